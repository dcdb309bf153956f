using System.Globalization;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Bakery;

/// <summary>Reads the bakery.</summary>
public static class BakeryStore
{
    /// <summary>The bakery, or null in a database in which none has been set up.</summary>
    public static BakeryRecord? Find(SqliteConnection connection)
    {
        var row = connection.QuerySingleOrDefault<Row>(
            """
            SELECT name, zone, currency, tolerance_c AS toleranceC, transfer_min AS transferMin, spare_min AS spareMin, open_c_per_tray AS openCPerTray,
                   mixer_name AS mixerName, mixer_smallest_g AS smallest, mixer_largest_g AS largest, cups, handles_stated AS handlesStated
            FROM bakery
            """);
        if (row is null) return null;
        var shifts = connection.Query<ShiftRow>(
            "SELECT name, day_offset AS dayOffset, start_minute AS startMinute, length_min AS lengthMin, people FROM shift ORDER BY day_offset, start_minute");
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
            [.. shifts.Select(shift => new ShiftRecord(shift.Name, (int)shift.DayOffset, (int)shift.StartMinute, (int)shift.LengthMin) { People = (int?)shift.People })],
            [.. ovens.Select(oven => new Oven(
                oven.Id, oven.Name, (int)oven.Shelves, (int)oven.MinC, (int)oven.MaxC, (int)oven.Heat, (int)oven.Cool, (int)oven.DialOffset) { FloorPlaces = (int?)oven.FloorPlaces, ActionMin = (int)oven.ActionMin, HourPrice = oven.HourPrice is { } price ? decimal.Parse(price, CultureInfo.InvariantCulture) : null })],
            Naming.Known<CupCustom>(row.Cups))
        {
            OpenCPerTray = (int)row.OpenCPerTray,
            Handles = row.HandlesStated == 1 ? [.. connection.Query<string>("SELECT allergen FROM bakery_handles ORDER BY allergen")] : null,
        };
    }

    private sealed record Row(
        string Name, string Zone, string Currency, long ToleranceC, long TransferMin, long SpareMin, long OpenCPerTray, string MixerName, double Smallest, double Largest, string Cups, long HandlesStated);

    private sealed record ShiftRow(string Name, long DayOffset, long StartMinute, long LengthMin, long? People);

    private sealed record OvenRow(
        string Id, string Name, long Shelves, long MinC, long MaxC, long Heat, long Cool, long DialOffset, long? FloorPlaces, string? HourPrice, long ActionMin);
}
