using Lumpet.Core.Bakery;
using Lumpet.Core.Pans;
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
        { "seven shifts", "shifts", Good with { Shifts = [.. Enumerable.Repeat(Shift, 7)] } },
        { "shifts that overlap", "shifts", Good with { Shifts = [Shift, Shift with { Name = "Late", Start = "15:00" }] } },
        { "a shift that overlaps over midnight", "shifts", Good with { Shifts = [Shift with { LengthMin = 1000 }, new ShiftDraft("Night", 0, "00:00", 60)] } },
        { "no clock time", "shifts[0].start", Good with { Shifts = [Shift with { Start = "25:00" }] } },
        { "a shift next week", "shifts[0].dayOffset", Good with { Shifts = [Shift with { DayOffset = 7 }] } },
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
