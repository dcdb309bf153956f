using Dapper;
using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes.Schools;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.DayPlan;

/// <summary>What is arranged for a day.</summary>
public static class ArrangementStore
{
    /// <summary>The arrangement of a day; the usual one where nothing is arranged.</summary>
    public static DayArrangement Of(SqliteConnection connection, LocalDate day)
    {
        var at = new { day = Key(day) };
        var hands = connection.QuerySingleOrDefault<HandsRow>("SELECT more, earlier_min AS earlierMin FROM day_hands WHERE day = @day", at);
        return new DayArrangement(
            connection.QuerySingleOrDefault<string>("SELECT school FROM day_school WHERE day = @day", at) is { } school ? Naming.Known<OvenSchool>(school) : OvenSchool.FewestHotHours,
            connection.Query<string>("SELECT oven_id FROM day_oven_out WHERE day = @day ORDER BY 1", at).AsList(),
            connection.Query<LongerRow>("SELECT product_id AS productId, minutes FROM day_longer_bake WHERE day = @day", at).ToDictionary(row => row.ProductId, row => (int)row.Minutes))
        {
            MoreHands = (int)(hands?.More ?? 0),
            EarlierMin = (int)(hands?.EarlierMin ?? 0),
            BetweenHands = connection.QuerySingleOrDefault<int>("SELECT hands FROM day_between_shifts WHERE day = @day", at),
            LeftOut =
            [
                .. connection.Query<LeftOutRow>("SELECT product_id AS productId, pan_id AS panId, pick_up AS pickUp FROM day_left_out WHERE day = @day ORDER BY pick_up, product_id, pan_id", at)
                    .Select(row => new LeftOutLot(row.ProductId, row.PanId, day.At(PickUpText.Clock.Parse(row.PickUp).Value))),
            ],
            Schools =
            [
                .. connection.Query<SchoolRow>("SELECT product_id AS productId, place, school FROM day_product_school WHERE day = @day ORDER BY product_id, place", at)
                    .Select(row => new DaySchool(row.ProductId, Naming.Known<SchoolPlace>(row.Place), row.School)),
            ],
        };
    }

    /// <summary>Arranges a day anew.</summary>
    /// <exception cref="SqliteException">An oven or a product of it is not there, which is seen when the change is kept.</exception>
    public static void Save(Transaction transaction, LocalDate day, DayArrangement arrangement)
    {
        var (connection, at) = (transaction.Connection, new { day = Key(day) });
        connection.Execute("DELETE FROM day_school WHERE day = @day; DELETE FROM day_oven_out WHERE day = @day; DELETE FROM day_longer_bake WHERE day = @day; DELETE FROM day_hands WHERE day = @day; DELETE FROM day_left_out WHERE day = @day; DELETE FROM day_between_shifts WHERE day = @day; DELETE FROM day_product_school WHERE day = @day", at);
        if (arrangement.School != OvenSchool.FewestHotHours) Rows.Insert(connection, "day_school", new { at.day, school = Naming.Of(arrangement.School) });
        if (arrangement.MoreHands > 0 || arrangement.EarlierMin > 0) Rows.Insert(connection, "day_hands", new { at.day, more = arrangement.MoreHands, earlier_min = arrangement.EarlierMin });
        if (arrangement.BetweenHands > 0) Rows.Insert(connection, "day_between_shifts", new { at.day, hands = arrangement.BetweenHands });
        foreach (var oven in arrangement.OvensOut) Rows.Insert(connection, "day_oven_out", new { at.day, oven_id = oven });
        foreach (var lot in arrangement.LeftOut) Rows.Insert(connection, "day_left_out", new { at.day, product_id = lot.Product, pan_id = lot.Pan, pick_up = PickUpText.Clock.Format(lot.PickUp.TimeOfDay) });
        foreach (var school in arrangement.Schools) Rows.Insert(connection, "day_product_school", new { at.day, product_id = school.ProductId, place = Naming.Of(school.Place), school = school.SchoolId });
        foreach (var (product, minutes) in arrangement.LongerBakes) Rows.Insert(connection, "day_longer_bake", new { at.day, product_id = product, minutes });
    }

    private static string Key(LocalDate day) => LocalDatePattern.Iso.Format(day);

    private sealed record LeftOutRow(string ProductId, string PanId, string PickUp);

    private sealed record HandsRow(long More, long EarlierMin);

    private sealed record SchoolRow(string ProductId, string Place, string School);

    private sealed record LongerRow(string ProductId, long Minutes);
}
