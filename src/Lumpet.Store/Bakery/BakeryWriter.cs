using System.Globalization;
using System.Data;
using Dapper;
using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Pans;
using Lumpet.Store.Orders;
using Microsoft.Data.Sqlite;
using NodaTime.Text;

namespace Lumpet.Store.Bakery;

/// <summary>Writes the bakery: all of it in one go.</summary>
public static class BakeryWriter
{
    /// <summary>Version of the bakery as it is kept; 0 while none is set up.</summary>
    public static long Version(SqliteConnection connection) =>
        connection.QuerySingleOrDefault<long>("SELECT row_version FROM bakery");

    /// <summary>Replaces the bakery that still has the version it was read with.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="bakery">The bakery.</param>
    /// <param name="pans">Its pans, in the order in which they are listed.</param>
    /// <param name="version">The version it was read with; 0 for a new one.</param>
    /// <returns>Whether it was saved; and the pans that cannot go because a product is made in them or an order asks for them.</returns>
    public static (ChangeOutcome Outcome, IReadOnlyList<string> PansInUse) Save(Transaction transaction, BakeryRecord bakery, IReadOnlyList<Pan> pans, long version)
    {
        var connection = transaction.Connection;
        if (Version(connection) != version) return (ChangeOutcome.Conflict, []);
        var used = connection.Query<string>("SELECT pan_id FROM product_size UNION SELECT reference_pan_id FROM product UNION SELECT pan_id FROM order_line UNION SELECT pan_id FROM standing_order UNION SELECT pan_id FROM stock_lot WHERE pan_id IS NOT NULL UNION SELECT pan_id FROM label_print")
            .Except(pans.Select(pan => pan.Id)).Order(StringComparer.Ordinal).ToArray();
        if (used.Length > 0) return (ChangeOutcome.Conflict, used);
        connection.Execute("DELETE FROM day_oven_out WHERE oven_id NOT IN @kept", new { kept = bakery.Ovens.Select(oven => oven.Id) });
        connection.Execute("DELETE FROM bakery; DELETE FROM bakery_handles; DELETE FROM work_shift; DELETE FROM special_date; DELETE FROM oven");
        Rows.Insert(connection, "bakery", new
        {
            id = 1,
            name = bakery.Name,
            zone = bakery.Zone.Id,
            currency = bakery.Currency,
            tolerance_c = bakery.ToleranceC,
            transfer_min = bakery.TransferMin,
            open_c_per_tray = bakery.OpenCPerTray,
            spare_min = bakery.SpareMin,
            days_ahead = bakery.DaysAhead,
            bench_places = bakery.Room.BenchPlaces,
            burners = bakery.Room.Burners,
            rack_trays = bakery.Room.RackTrays,
            fridge_trays = bakery.Room.FridgeTrays,
            fridge_kg = bakery.Room.FridgeKilograms,
            freezer_trays = bakery.Room.FreezerTrays,
            freezer_kg = bakery.Room.FreezerKilograms,
            pot_l = bakery.Room.PotLitres,
            hands_hour_price = bakery.HandsHourPrice?.ToString(CultureInfo.InvariantCulture),
            mixer_name = bakery.Mixer.Name,
            mixer_smallest_g = bakery.Mixer.SmallestBatch.Grams,
            mixer_largest_g = bakery.Mixer.LargestBatch.Grams,
            cups = Naming.Of(bakery.Cups),
            handles_stated = bakery.Handles is null ? 0 : 1,
            row_version = version + 1,
        });
        foreach (var allergen in bakery.Handles ?? []) Rows.Insert(connection, "bakery_handles", new { allergen });
        Shifts(connection, bakery.Shifts, null);
        foreach (var special in bakery.SpecialDates)
        {
            var date = LocalDatePattern.Iso.Format(special.Date);
            Rows.Insert(connection, "special_date", new { date, words = special.Words });
            Shifts(connection, special.Shifts, date);
        }

        foreach (var (oven, position) in bakery.Ovens.Select((oven, position) => (oven, position)))
            Rows.Insert(connection, "oven", new
            {
                id = oven.Id,
                position,
                name = oven.Name,
                shelves = oven.Shelves,
                min_c = oven.MinC,
                max_c = oven.MaxC,
                heat_c_per_min = oven.HeatCPerMin,
                cool_c_per_min = oven.CoolCPerMin,
                dial_offset_c = oven.DialOffsetC,
                floor_places = oven.FloorPlaces,
                action_min = oven.ActionMin,
                hour_price = oven.HourPrice?.ToString(CultureInfo.InvariantCulture),
            });
        Pans(connection, pans);
        OrderStore.ChangeZone(transaction, bakery.Zone);
        return (ChangeOutcome.Done, []);
    }

    /// <summary>Adds pans after those that are there, as part of a transaction.</summary>
    internal static void Add(Transaction transaction, IReadOnlyList<Pan> pans)
    {
        var connection = transaction.Connection;
        if (pans.Count == 0) return;
        Put(connection, pans, (int)connection.QuerySingle<long>("SELECT coalesce(max(position), -1) + 1 FROM pan"));
        connection.Execute("UPDATE bakery SET row_version = row_version + 1");
    }

    private static void Shifts(SqliteConnection connection, IReadOnlyList<ShiftRecord> shifts, string? date)
    {
        foreach (var (shift, position) in shifts.Select((shift, at) => (shift, at)))
        {
            Rows.Insert(connection, "work_shift", new
            {
                date,
                weekdays = date is null ? WeekDays.Bits(shift.Days) : (long?)null,
                position,
                name = shift.Name,
                start_minute = shift.StartMinute,
                length_min = shift.LengthMin,
                people = shift.People,
            });
            var id = connection.QuerySingle<long>("SELECT last_insert_rowid()");
            foreach (var pause in shift.Breaks) Rows.Insert(connection, "shift_break", new { shift_id = id, after_min = pause.AfterMin, length_min = pause.LengthMin });
        }
    }

    private static void Pans(SqliteConnection connection, IReadOnlyList<Pan> pans)
    {
        connection.Execute("DELETE FROM pan WHERE id NOT IN @kept", new { kept = pans.Select(pan => pan.Id) });
        Put(connection, pans, 0);
    }

    private static void Put(SqliteConnection connection, IReadOnlyList<Pan> pans, int from)
    {
        foreach (var (pan, position) in pans.Select((pan, at) => (pan, from + at)))
            connection.Execute(
                """
                INSERT INTO pan (id, position, name, family, material, top_cm, bottom_cm, top_width_cm, bottom_width_cm, depth_cm, rim_cm, per_tray, bought_as, owned, retired)
                VALUES (@id, @position, @name, @family, @material, @top, @bottom, @topWidth, @bottomWidth, @depth, @rim, @perTray, @boughtAs, @owned, @retired)
                ON CONFLICT (id) DO UPDATE SET position = excluded.position, name = excluded.name, family = excluded.family,
                  material = excluded.material, top_cm = excluded.top_cm, top_width_cm = excluded.top_width_cm, bottom_width_cm = excluded.bottom_width_cm,
                  bottom_cm = excluded.bottom_cm, depth_cm = excluded.depth_cm, rim_cm = excluded.rim_cm, per_tray = excluded.per_tray, bought_as = excluded.bought_as, owned = excluded.owned, retired = excluded.retired
                """,
                new
                {
                    id = pan.Id,
                    position,
                    name = pan.Name,
                    family = Naming.Of(pan.Family),
                    material = Naming.Of(pan.Material),
                    top = pan.Top.Length.Centimetres,
                    bottom = pan.Bottom.Length.Centimetres,
                    topWidth = pan.IsRound ? (double?)null : pan.Top.Width.Centimetres,
                    bottomWidth = pan.IsRound ? (double?)null : pan.Bottom.Width.Centimetres,
                    depth = pan.Depth.Centimetres,
                    rim = pan.RimWidth.Centimetres,
                    perTray = pan.PerTray,
                    boughtAs = pan.BoughtAs,
                    owned = pan.Owned,
                    retired = pan.IsRetired ? 1 : 0,
                });
    }
}
