using Lumpet.Core.Bakery;
using Lumpet.Core.Pans;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Bakery;

public sealed class BakeryReaderTests
{
    private static BakeryDraft Good => BakeryReader.Suggestion("Europe/Lisbon") with { Name = "Quay" };

    private static OvenDraft Oven => Good.Ovens![0]!;

    private static PanDraft Pan => Good.Pans![0]!;

    private static ShiftDraft Shift => Good.Shifts![0]!;

    [Fact]
    public void What_is_suggested_can_be_taken_once_it_has_a_name_and_comes_out_as_it_went_in()
    {
        var (bakery, pans, faults) = BakeryReader.Read(Good);
        Assert.Empty(faults);
        Assert.Equivalent(Good, BakeryReader.Write(bakery!, pans), strict: true);
    }

    [Fact]
    public void The_week_its_breaks_and_its_special_dates_come_out_as_they_went_in()
    {
        var draft = Good with
        {
            DaysAhead = 2,
            Shifts = [Shift with { Days = ["monday", "saturday"], Start = "22:00", LengthMin = 480, Breaks = [new BreakDraft("23:30", 15), new BreakDraft("02:00", 30)] }, Shift with { Name = "Late", Days = ["sunday"], People = 3 }],
            SpecialDates = [new SpecialDateDraft("2026-12-24", "Lantern Fair", [Shift with { Start = "01:00" }]), new SpecialDateDraft("2026-12-25", string.Empty, [])],
        };
        var (bakery, pans, faults) = BakeryReader.Read(draft);
        Assert.Empty(faults);
        Assert.Equivalent(draft, BakeryReader.Write(bakery!, pans), strict: true);
        // By hand: an hour and a half, then from 23:45 to 02:00, then from 02:30 to 06:00.
        Assert.Equal([(0, 90), (105, 240), (270, 480)], bakery!.Shifts[0].AtTheBench());
        string[] On(int day) => [.. bakery.ShiftsOn(new LocalDate(2026, 12, day)).Select(shift => $"{shift.Name} {shift.StartMinute}")];
        // The 19th is a Saturday; the 24th would be a Thursday, without any.
        Assert.Equal(["Night 1320"], On(19));
        Assert.Equal(["Late 0"], On(20));
        Assert.Equal(["Night 1320"], On(21));
        Assert.Empty(On(22));
        Assert.Equal(["Night 60"], On(24));
        Assert.Empty(On(25));
    }

    [Fact]
    public void Room_comes_out_as_it_went_in_and_what_is_not_counted_limits_nothing()
    {
        var draft = Good with { Room = new RoomDraft(1, 2, 3, 4, 5, 6, 7, 30) };
        var (bakery, pans, faults) = BakeryReader.Read(draft);
        Assert.Empty(faults);
        Assert.Equal(new KitchenRoom { BenchPlaces = 1, Burners = 2, PotLitres = 30, RackTrays = 3, FridgeTrays = 4, FridgeKilograms = 5, FreezerTrays = 6, FreezerKilograms = 7 }, bakery!.Room);
        Assert.Equal(draft.Room, BakeryReader.Write(bakery, pans).Room);
        Assert.True(bakery.Room.IsCounted);
        Assert.False(BakeryReader.Read(Good with { Room = null }).Bakery!.Room.IsCounted);
    }

    [Fact]
    public void A_break_at_either_end_of_a_shift_leaves_the_rest()
    {
        var (bakery, _, faults) = BakeryReader.Read(Good with { Shifts = [Shift with { LengthMin = 120, Breaks = [new BreakDraft("00:00", 15), new BreakDraft("01:45", 15)] }] });
        Assert.Empty(faults);
        Assert.Equal([(15, 105)], bakery!.Shifts[0].AtTheBench());
    }

    public static TheoryData<string, string, BakeryDraft> Wrong => new()
    {
        { "no name", "name", Good with { Name = null } },
        { "no such zone", "zone", Good with { Zone = "Mars/Base" } },
        { "a zone out of the file system", "zone", Good with { Zone = "../../etc/passwd" } },
        { "no currency", "currency", Good with { Currency = "gold" } },
        { "a tolerance of half an oven", "toleranceC", Good with { ToleranceC = 90 } },
        { "below nothing", "transferMin", Good with { TransferMin = -1 } },
        { "a mixer upside down", "smallestBatchKg", Good with { SmallestBatchKg = 20 } },
        { "no number", "largestBatchKg", Good with { LargestBatchKg = double.NaN } },
        { "no shift", "shifts", Good with { Shifts = [] } },
        { "fifteen shifts", "shifts", Good with { Shifts = [.. Enumerable.Repeat(Shift, 15)] } },
        { "two shifts of one name", "shifts[1].name", Good with { Shifts = [Shift, Shift with { Name = "NIGHT", Start = "15:00" }] } },
        { "no clock time", "shifts[0].start", Good with { Shifts = [Shift with { Start = "25:00" }] } },
        { "no day", "shifts[0].days", Good with { Shifts = [Shift with { Days = [] }] } },
        { "no day of the week", "shifts[0].days", Good with { Shifts = [Shift with { Days = ["monday", "none"] }] } },
        { "a day of null", "shifts[0].days", Good with { Shifts = [Shift with { Days = ["monday", null] }] } },
        { "a break after its shift", "shifts[0].breaks[0].start", Good with { Shifts = [Shift with { Breaks = [new BreakDraft("09:45", 30)] }] } },
        { "a break before its shift", "shifts[0].breaks[0].start", Good with { Shifts = [Shift with { Breaks = [new BreakDraft("23:00", 30)] }] } },
        { "a break of a minute", "shifts[0].breaks[0].lengthMin", Good with { Shifts = [Shift with { Breaks = [new BreakDraft("03:00", 1)] }] } },
        { "breaks that overlap", "shifts[0].breaks[1].start", Good with { Shifts = [Shift with { Breaks = [new BreakDraft("03:00", 30), new BreakDraft("03:29", 30)] }] } },
        { "nothing but a break", "shifts[0].breaks", Good with { Shifts = [Shift with { LengthMin = 60, Breaks = [new BreakDraft("00:00", 60)] }] } },
        { "a week ahead", "daysAhead", Good with { DaysAhead = 7 } },
        { "no place at the bench", "room.benchPlaces", Good with { Room = new RoomDraft(BenchPlaces: 0) } },
        { "a hundred burners", "room.burners", Good with { Room = new RoomDraft(Burners: 100) } },
        { "racks below nothing", "room.rackTrays", Good with { Room = new RoomDraft(RackTrays: -4) } },
        { "a fridge of a warehouse", "room.fridgeTrays", Good with { Room = new RoomDraft(FridgeTrays: 5001) } },
        { "a fridge without weight", "room.fridgeKg", Good with { Room = new RoomDraft(FridgeKg: 0) } },
        { "a freezer of a warehouse", "room.freezerTrays", Good with { Room = new RoomDraft(FreezerTrays: int.MaxValue) } },
        { "a pot of a brewery", "room.potLitres", Good with { Room = new RoomDraft(PotLitres: 1001) } },
        { "a freezer of too much", "room.freezerKg", Good with { Room = new RoomDraft(FreezerKg: 20_001) } },
        { "no date", "specialDates[0].date", Good with { SpecialDates = [new SpecialDateDraft("24 December", null, [])] } },
        { "a date long ago", "specialDates[0].date", Good with { SpecialDates = [new SpecialDateDraft("1066-10-14", null, [])] } },
        { "a date twice", "specialDates[1].date", Good with { SpecialDates = [new SpecialDateDraft("2026-12-24", null, []), new SpecialDateDraft("2026-12-24", null, [])] } },
        { "a shift of a date with days", "specialDates[0].shifts[0].days", Good with { SpecialDates = [new SpecialDateDraft("2026-12-24", null, [Shift with { Days = ["monday"] }])] } },
        { "a shift of a date without a name", "specialDates[0].shifts[0].name", Good with { SpecialDates = [new SpecialDateDraft("2026-12-24", null, [Shift with { Name = null }])] } },
        { "no oven", "ovens", Good with { Ovens = null } },
        { "an oven of null", "ovens", Good with { Ovens = [null] } },
        { "two ovens of one name", "ovens[1].name", Good with { Ovens = [Oven, Oven] } },
        { "an oven without shelves", "ovens[0].shelves", Good with { Ovens = [Oven with { Shelves = 0 }] } },
        { "an oven upside down", "ovens[0].minC", Good with { Ovens = [Oven with { MinC = 200, MaxC = 150 }] } },
        { "an oven that never heats", "ovens[0].heatCPerMin", Good with { Ovens = [Oven with { HeatCPerMin = 0 }] } },
        { "a pan with a blank in its short name", "pans[0].id", Good with { Pans = [Pan with { Id = "2 3" }] } },
        { "two pans of one short name", "pans[1].id", Good with { Pans = [Pan, Pan] } },
        { "a pan wider below", "pans[0].bottomCm", Good with { Pans = [Pan with { BottomCm = 30 }] } },
        { "a pan deeper than wide", "pans[0].depthCm", Good with { Pans = [Pan with { TopCm = 4, BottomCm = 4, DepthCm = 12 }] } },
        { "a pan without a tray", "pans[0].perTray", Good with { Pans = [Pan with { PerTray = 0 }] } },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_is_wrong_is_named_by_its_field(string what, string field, BakeryDraft draft)
    {
        var (bakery, _, faults) = BakeryReader.Read(draft);
        Assert.Null(bakery);
        Assert.True(faults.Any(fault => fault.Field == field), $"{what}: {string.Join(", ", faults.Select(fault => fault.Field))}");
    }

    [Theory]
    [InlineData("Hearth", "hearth")]
    [InlineData("Räucherofen 2", "rucherofen-2")]
    [InlineData("hearth", "hearth-2", "hearth")]
    [InlineData("  ", "x")]
    [InlineData("🥧", "x")]
    public void Short_names_are_plain_and_unlike_those_taken(string name, string expected, params string[] taken) =>
        Assert.Equal(expected, ShortName.For(name, taken));
}
