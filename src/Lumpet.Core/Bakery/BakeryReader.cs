using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using NodaTime;

namespace Lumpet.Core.Bakery;

/// <summary>Reads a described bakery: everything wrong is named, or the whole of it can be taken.</summary>
public static class BakeryReader
{
    private const int MostDaysAhead = 3;
    private const int MostTrays = 5000;
    private const int MostKilograms = 20_000;
    private const int MostPotLitres = 1000;

    /// <summary>Reads a draft.</summary>
    /// <returns>The bakery and its pans; both null where there are faults.</returns>
    public static (BakeryRecord? Bakery, IReadOnlyList<Pan> Pans, IReadOnlyList<FieldFault> Faults) Read(BakeryDraft draft)
    {
        var checks = new FieldChecks();
        var name = checks.Name("name", draft.Name, "A bakery");
        var zone = Zone(checks, draft.Zone);
        var currency = (draft.Currency ?? string.Empty).Trim().ToUpperInvariant();
        if (currency.Length != 3 || !currency.All(char.IsAsciiLetterUpper)) checks.Add("currency", "A currency is written with its three letters, such as EUR.");
        var tolerance = checks.Whole("toleranceC", draft.ToleranceC, 0, 15, "°C");
        var transfer = checks.Whole("transferMin", draft.TransferMin, 0, 15, "min");
        var openC = checks.Whole("openCPerTray", draft.OpenCPerTray ?? 0, 0, 40, "°C");
        var spare = checks.Whole("spareMin", draft.SpareMin, 0, 240, "min");
        var mixer = Mixer(checks, draft);
        var (shifts, special) = (ShiftReader.Week(checks, draft.Shifts), ShiftReader.Special(checks, draft.SpecialDates));
        var ahead = checks.Whole("daysAhead", draft.DaysAhead ?? BakeryRecord.UsualDaysAhead, 0, MostDaysAhead, "days");
        var ovens = Ovens(checks, draft);
        var room = Room(checks, draft.Room);
        var hands = draft.HandsHourPrice is { } hour ? Price(checks, "handsHourPrice", hour) : (decimal?)null;
        var pans = PanReader.Read(checks, "pans", draft.Pans);
        var cups = checks.Word("cups", draft.Cups, CupCustom.UnitedStates);
        var handles = draft.Handles is null ? null : MajorAllergens.Stated(checks, "handles", draft.Handles);
        return checks.Faults.Count > 0 || zone is null
            ? (null, [], checks.Faults)
            : (new BakeryRecord(name, zone, currency, tolerance, transfer, spare, mixer, shifts, ovens, cups) { Handles = handles, OpenCPerTray = openC, DaysAhead = ahead, SpecialDates = special, Room = room, HandsHourPrice = hands }, pans, []);
    }

    /// <summary>A bakery as it would be described.</summary>
    public static BakeryDraft Write(BakeryRecord bakery, IReadOnlyList<Pan> pans) => new(
        bakery.Name,
        bakery.Zone.Id,
        bakery.Currency,
        bakery.ToleranceC,
        bakery.TransferMin,
        bakery.SpareMin,
        bakery.Mixer.Name,
        bakery.Mixer.SmallestBatch.Kilograms,
        bakery.Mixer.LargestBatch.Kilograms,
        ShiftReader.Write(bakery.Shifts, withDays: true),
        [.. bakery.Ovens.Select(oven => new OvenDraft(oven.Name, oven.Shelves, oven.MinC, oven.MaxC, oven.HeatCPerMin, oven.CoolCPerMin, oven.DialOffsetC, oven.FloorPlaces, oven.HourPrice, oven.ActionMin == 0 ? null : oven.ActionMin))],
        [.. pans.Select(PanReader.Write)],
        Naming.Of(bakery.Cups),
        bakery.Handles,
        bakery.OpenCPerTray == 0 ? null : bakery.OpenCPerTray,
        bakery.DaysAhead,
        ShiftReader.Write(bakery.SpecialDates),
        Write(bakery.Room),
        bakery.HandsHourPrice);

    private static RoomDraft Write(KitchenRoom room) =>
        new(room.BenchPlaces, room.Burners, room.RackTrays, room.FridgeTrays, room.FridgeKilograms, room.FreezerTrays, room.FreezerKilograms, room.PotLitres);

    /// <summary>A bakery to begin with: one oven, two shifts, one common pan. Its figures are common practice, no source.</summary>
    /// <param name="zone">Id of the time zone to suggest.</param>
    public static BakeryDraft Suggestion(string zone) => new(
        string.Empty,
        zone,
        "EUR",
        5,
        2,
        30,
        "Mixer",
        1,
        10,
        [new ShiftDraft("Night", "00:00", 600), new ShiftDraft("Afternoon", "12:00", 480)],
        [new OvenDraft("Oven", 4, 60, 280, 8, 4, 0)],
        [PanReader.Write(Pan.Round("23", "23 cm", Length.FromCentimetres(23), Length.FromCentimetres(19.5), Length.FromCentimetres(3.5), Length.FromCentimetres(1), 4))],
        Naming.Of(CupCustom.UnitedStates),
        DaysAhead: BakeryRecord.UsualDaysAhead,
        Room: new RoomDraft());

    private static DateTimeZone? Zone(FieldChecks checks, string? id)
    {
        if (id is { Length: > 0 and < 60 } && DateTimeZoneProviders.Tzdb.GetZoneOrNull(id) is { } zone) return zone;
        checks.Add("zone", "A time zone is written like Europe/Lisbon.");
        return null;
    }

    private static Mixer Mixer(FieldChecks checks, BakeryDraft draft)
    {
        var name = checks.Name("mixerName", draft.MixerName, "The mixer");
        var smallest = checks.Number("smallestBatchKg", draft.SmallestBatchKg, 0, 500, "kg");
        var largest = checks.Number("largestBatchKg", draft.LargestBatchKg, 0.5, 500, "kg");
        if (smallest > largest) checks.Add("smallestBatchKg", "The smallest batch is more than the largest.");
        return new Mixer(name, Mass.FromKilograms(smallest), Mass.FromKilograms(Math.Max(smallest, largest)));
    }

    private static KitchenRoom Room(FieldChecks checks, RoomDraft? room)
    {
        int? Counted(string field, int? count, int most, string unit) => count is null ? null : checks.Whole($"room.{field}", count, 1, most, unit);
        return room is null ? KitchenRoom.Uncounted : new KitchenRoom
        {
            BenchPlaces = Counted("benchPlaces", room.BenchPlaces, 60, "places"),
            Burners = Counted("burners", room.Burners, 60, "pots"),
            RackTrays = Counted("rackTrays", room.RackTrays, MostTrays, "trays"),
            FridgeTrays = Counted("fridgeTrays", room.FridgeTrays, MostTrays, "trays"),
            FridgeKilograms = Counted("fridgeKg", room.FridgeKg, MostKilograms, "kg"),
            FreezerTrays = Counted("freezerTrays", room.FreezerTrays, MostTrays, "trays"),
            PotLitres = Counted("potLitres", room.PotLitres, MostPotLitres, "l"),
            FreezerKilograms = Counted("freezerKg", room.FreezerKg, MostKilograms, "kg"),
        };
    }

    private static decimal Price(FieldChecks checks, string field, decimal price)
    {
        if (price is < 0 or > 10_000 || decimal.Round(price, 4) != price) checks.Add(field, "A price of 0 to 10000 is possible, with up to four decimals.");
        return price;
    }

    private static Oven[] Ovens(FieldChecks checks, BakeryDraft draft)
    {
        var ovens = new List<Oven>();
        foreach (var (oven, at) in checks.List("ovens", draft.Ovens, 1, 8, "ovens").Select((oven, at) => (oven, at)))
        {
            var path = $"ovens[{at}]";
            var name = checks.Name($"{path}.name", oven.Name, "An oven", 40);
            var (min, max) = (checks.Whole($"{path}.minC", oven.MinC, 30, 250, "°C"), checks.Whole($"{path}.maxC", oven.MaxC, 100, 400, "°C"));
            if (min > max) checks.Add($"{path}.minC", "The lowest setting is above the highest.");
            if (ovens.Any(other => other.Name.Equals(name, StringComparison.OrdinalIgnoreCase))) checks.Add($"{path}.name", "Two ovens have this name.");
            ovens.Add(new Oven(
                ShortName.For(name, [.. ovens.Select(other => other.Id)]),
                name,
                checks.Whole($"{path}.shelves", oven.Shelves, 1, 60, "shelves"),
                min,
                max,
                checks.Whole($"{path}.heatCPerMin", oven.HeatCPerMin, 1, 60, "°C a minute"),
                checks.Whole($"{path}.coolCPerMin", oven.CoolCPerMin, 1, 60, "°C a minute"),
                checks.Whole($"{path}.dialOffsetC", oven.DialOffsetC, -50, 50, "°C"))
            {
                FloorPlaces = oven.FloorPlaces is null ? null : checks.Whole($"{path}.floorPlaces", oven.FloorPlaces, 0, 60, "trays"),
                ActionMin = checks.Whole($"{path}.actionMin", oven.ActionMin ?? 0, 0, 10, "min"),
                HourPrice = oven.HourPrice is { } price ? Price(checks, $"{path}.hourPrice", price) : null,
            });
        }

        return [.. ovens];
    }
}
