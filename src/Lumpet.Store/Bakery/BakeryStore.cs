using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.Bakery;

/// <summary>Reads the bakery.</summary>
public static class BakeryStore
{
    /// <summary>The bakery, or null in a database in which none has been set up.</summary>
    public static BakeryRecord? Find(SqliteConnection connection)
    {
        var row = connection.QuerySingleOrDefault<Row>(
            """
            SELECT name, zone, currency, tolerance_c AS toleranceC, transfer_min AS transferMin, spare_min AS spareMin, open_c_per_tray AS openCPerTray, days_ahead AS daysAhead,
                   bench_places AS benchPlaces, burners, rack_trays AS rackTrays, fridge_trays AS fridgeTrays, fridge_kg AS fridgeKg, freezer_trays AS freezerTrays, freezer_kg AS freezerKg, pot_l AS potL, hands_hour_price AS handsHourPrice,
                   mixer_name AS mixerName, mixer_smallest_g AS smallest, mixer_largest_g AS largest, cups, handles_stated AS handlesStated
            FROM bakery
            """);
        if (row is null) return null;
        var shifts = connection.Query<ShiftRow>("SELECT id, date, weekdays, name, start_minute AS startMinute, length_min AS lengthMin, people FROM work_shift ORDER BY position").AsList();
        var breaks = connection.Query<BreakRow>("SELECT shift_id AS shiftId, after_min AS afterMin, length_min AS lengthMin FROM shift_break ORDER BY shift_id, after_min").ToLookup(pause => pause.ShiftId);
        ShiftRecord[] On(string? date) => [.. shifts.Where(shift => shift.Date == date).Select(shift => Shift(shift, breaks[shift.Id]))];
        var ovens = connection.Query<OvenRow>(
            """
            SELECT id, name, shelves, min_c AS minC, max_c AS maxC, heat_c_per_min AS heat, cool_c_per_min AS cool, dial_offset_c AS dialOffset, floor_places AS floorPlaces, hour_price AS hourPrice, action_min AS actionMin
            FROM oven ORDER BY position
            """);
        return new BakeryRecord(
            row.Name,
            DateTimeZoneProviders.Tzdb[row.Zone],
            row.Currency,
            (int)row.ToleranceC,
            (int)row.TransferMin,
            (int)row.SpareMin,
            new Mixer(row.MixerName, Mass.FromGrams(row.Smallest), Mass.FromGrams(row.Largest)),
            On(null),
            [.. ovens.Select(oven => new Oven(
                oven.Id, oven.Name, (int)oven.Shelves, (int)oven.MinC, (int)oven.MaxC, (int)oven.Heat, (int)oven.Cool, (int)oven.DialOffset) { FloorPlaces = (int?)oven.FloorPlaces, ActionMin = (int)oven.ActionMin, HourPrice = oven.HourPrice is { } price ? decimal.Parse(price, CultureInfo.InvariantCulture) : null })],
            Naming.Known<CupCustom>(row.Cups))
        {
            OpenCPerTray = (int)row.OpenCPerTray,
            DaysAhead = (int)row.DaysAhead,
            HandsHourPrice = row.HandsHourPrice is { } hour ? decimal.Parse(hour, CultureInfo.InvariantCulture) : null,
            Room = new KitchenRoom
            {
                BenchPlaces = (int?)row.BenchPlaces,
                Burners = (int?)row.Burners,
                RackTrays = (int?)row.RackTrays,
                FridgeTrays = (int?)row.FridgeTrays,
                FridgeKilograms = (int?)row.FridgeKg,
                FreezerTrays = (int?)row.FreezerTrays,
                FreezerKilograms = (int?)row.FreezerKg,
                PotLitres = (int?)row.PotL,
            },
            SpecialDates = [.. connection.Query<DateRow>("SELECT date, words FROM special_date ORDER BY date").Select(special => new SpecialDate(LocalDatePattern.Iso.Parse(special.Date).Value, special.Words, On(special.Date)))],
            Handles = row.HandlesStated == 1 ? [.. connection.Query<string>("SELECT allergen FROM bakery_handles ORDER BY allergen")] : null,
        };
    }

    private static ShiftRecord Shift(ShiftRow shift, IEnumerable<BreakRow> breaks) => new(shift.Name, (int)shift.StartMinute, (int)shift.LengthMin)
    {
        People = (int?)shift.People,
        Days = shift.Weekdays is { } days ? WeekDays.OfBits(days) : ShiftRecord.EveryDay,
        Breaks = [.. breaks.Select(pause => new ShiftBreak((int)pause.AfterMin, (int)pause.LengthMin))],
    };

    private sealed record Row(
        string Name, string Zone, string Currency, long ToleranceC, long TransferMin, long SpareMin, long OpenCPerTray, long DaysAhead,
        long? BenchPlaces, long? Burners, long? RackTrays, long? FridgeTrays, long? FridgeKg, long? FreezerTrays, long? FreezerKg, long? PotL, string? HandsHourPrice, string MixerName, double Smallest, double Largest, string Cups, long HandlesStated);

    private sealed record ShiftRow(long Id, string? Date, long? Weekdays, string Name, long StartMinute, long LengthMin, long? People);

    private sealed record BreakRow(long ShiftId, long AfterMin, long LengthMin);

    private sealed record DateRow(string Date, string Words);

    private sealed record OvenRow(
        string Id, string Name, long Shelves, long MinC, long MaxC, long Heat, long Cool, long DialOffset, long? FloorPlaces, string? HourPrice, long ActionMin);
}
