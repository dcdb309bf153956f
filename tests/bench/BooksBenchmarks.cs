using System.Globalization;
using Dapper;
using Lumpet.Store;
using Lumpet.Store.DemoData;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Bench;

/// <summary>
/// The books at the size of years: 500 ingredients with weekly prices of five years, 100 products, and a year of shelves with about 100,000 movements, made up by a fixed
/// seed. Everything is asked over HTTP of a server of its own.
/// </summary>
internal static class BooksBenchmarks
{
    private const string Heading = "## The books";
    private const int DoughsADay = 6;
    private const int PiesADay = 22;

    // What goes into each of a day's lots of pies beside its dough.
    private static readonly string[] Fillings = ["pear", "sugar", "corn-starch", "lemon-juice", "egg", "box", "label", "salt"];

    private static readonly Size Full = new(Ingredients: 500, Weeks: 260, Products: 100, Days: 365);
    private static readonly Size Half = new(Ingredients: 250, Weeks: 130, Products: 50, Days: 182);

    /// <summary>Measures, and says it as a section of docs/benchmarks.md.</summary>
    /// <param name="root">The project's folder.</param>
    public static async Task<string> Measure(string root)
    {
        var (half, halfRows) = await Measure(root, Half);
        var (full, rows) = await Measure(root, Full);
        string Told(IReadOnlyList<double> sorted) => sorted.Count == 1
            ? FormattableString.Invariant($"{sorted[0]:F0} ms")
            : FormattableString.Invariant($"{sorted[sorted.Count / 2]:F0} ms median, {sorted[(int)(sorted.Count * 0.95)]:F0} ms for 95 of 100");
        string Growth(IReadOnlyList<double> small, IReadOnlyList<double> large) => FormattableString.Invariant($"{large[large.Count / 2] / small[small.Count / 2]:F1} times");
        return FormattableString.Invariant($"""
            {Heading}

            Written by `./lumpet bench books`, over HTTP on {Environment.ProcessorCount} cores, {DateTime.Now.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}: {Full.Ingredients} ingredients beside those that ship, each with a price a week for {Full.Weeks} weeks;
            {Full.Products} products; {full.Movements} movements of {full.Lots} lots over a year. The half has half of each ({Half.Ingredients}, {Half.Weeks}, {Half.Products}; {half.Movements} movements of {half.Lots} lots), so that what grows with
            one of them takes twice as long with all, what grows with prices (ingredients by weeks) four times.

            | what | goal | measured | half of it | grows |
            | --- | --- | --- | --- | --- |
            {string.Join('\n', rows.Zip(halfRows, (row, small) => $"| {row.What} | {row.Goal} | {Told(row.Took)} | {small.Took[small.Took.Count / 2].ToString("F0", CultureInfo.InvariantCulture)} ms | {Growth(small.Took, row.Took)} |"))}

            """);
    }

    private static async Task<(Filled Books, IReadOnlyList<(string What, string Goal, IReadOnlyList<double> Took)> Rows)> Measure(string root, Size size)
    {
        var books = new Filled(string.Empty, string.Empty, string.Empty, 0, 0);
        using var load = new ServerLoad(Path.Combine(root, "src/Lumpet.Server/bin/Release/net10.0/lumpet-server.dll"), Path.Combine(root, "web/dist"), path => books = Fill(path, size));
        await load.TakeIn(size.Products - 12);
        return (books,
        [
            ("Costs of all products, the first time", string.Empty, await load.Ask("/api/costs", 1)),
            ("Costs of all products", "under 100 ms", await load.Ask("/api/costs", 40)),
            ("Costs of all products, right after a price was added", "under 100 ms", await load.AskAfter("/api/costs", 12, at => ("/api/prices", new { ingredient = "butter", supplier = "Headland Dairy", pack = "10 kg", paid = 80 + at, isUsual = true }))),
            ("One product over five years, with what a tenth more of each ingredient does", "under 100 ms", await load.Ask("/api/costs/pear/23", 25)),
            ("What a tenth more of every ingredient does to every product", "under 300 ms", await load.Ask("/api/costs/drivers", 25)),
            ("Shelves, with what the next day's plan keeps", string.Empty, await load.Ask($"/api/shelves/{books.Fair}", 25)),
            ("What to buy for it", string.Empty, await load.Ask($"/api/buying/{books.Fair}", 25)),
            ("Trace of a lot of butter of which a week's doughs were made", "under 200 ms", await load.Ask($"/api/trace/lots/{books.Week}", 25)),
            ("Trace of a lot of salt that is in everything of a year", "under 200 ms", await load.Ask($"/api/trace/lots/{books.Year}", 25)),
        ]);
    }

    /// <summary>Puts the section where it stands, or before the planner's.</summary>
    public static void Write(string path, string section)
    {
        var text = File.ReadAllText(path);
        var planner = PlannerBenchmarks.Kept(path);
        var rest = text[..(text.Length - planner.Length)];
        var at = rest.IndexOf(Heading, StringComparison.Ordinal);
        File.WriteAllText(path, $"{(at < 0 ? rest : rest[..at]).TrimEnd()}\n\n{section}{planner}");
        Console.WriteLine(section);
    }

    /// <summary>How large the books are.</summary>
    private sealed record Size(int Ingredients, int Weeks, int Products, int Days);

    /// <summary>Whose way is asked for.</summary>
    private sealed record Filled(string Fair, string Week, string Year, int Movements, int Lots);

    private static Filled Fill(string path, Size size)
    {
        var now = SystemClock.Instance.GetCurrentInstant().InZone(DateTimeZoneProviders.Tzdb.GetSystemDefault());
        var database = new Database(path);
        database.Migrate();
        DemoBakery.Fill(database, now.Zone, now.LocalDateTime);
        return database.Write(transaction =>
        {
            Price(transaction.Connection, now.Date, size);
            return Shelve(transaction.Connection, now.LocalDateTime, size.Days);
        });
    }

    /// <summary>Weekly prices that wander.</summary>
    private static void Price(SqliteConnection connection, LocalDate today, Size size)
    {
        var chance = new Random(14);
        string[] known = [.. connection.Query<string>("SELECT DISTINCT ingredient_id FROM price")];
        for (var at = 0; at < size.Ingredients; at++) connection.Execute("INSERT INTO ingredient (id, name) VALUES (@id, @name)", new { id = $"thing-{at}", name = $"Thing {at}" });
        connection.Execute("INSERT OR IGNORE INTO supplier (name) VALUES ('Wholesale')");
        foreach (var id in known.Concat(Enumerable.Range(0, size.Ingredients - known.Length).Select(at => $"thing-{at}")))
        {
            var paid = 10 + (50 * chance.NextDouble());
            connection.Execute(
                "INSERT INTO price (ingredient_id, supplier, pack_amount, pack_unit, paid, currency, valid_from) VALUES (@id, 'Wholesale', '5000', 'g', @paid, 'EUR', @from)",
                Enumerable.Range(0, size.Weeks).Select(week => new { id, paid = (paid *= 0.97 + (0.06 * chance.NextDouble())).ToString("F2", CultureInfo.InvariantCulture), from = LocalDatePattern.Iso.Format(today.PlusWeeks(week - size.Weeks)) }));
        }
    }

    /// <summary>A year of deliveries, doughs and pies, straight into the ledger.</summary>
    private static Filled Shelve(SqliteConnection connection, LocalDateTime now, int days)
    {
        var (movements, lots) = (0, 0);
        string Lot(string column, string id, string unit, bool isMade, string code, LocalDate since)
        {
            lots++;
            var lot = Guid.NewGuid().ToString("D");
            var pie = column == "product_id";
            connection.Execute(
                $"INSERT INTO stock_lot (id, {column}, pan_id, after_step, unit, is_made, code, place, since, for_day, batch) VALUES (@lot, @id, @pan, @step, @unit, @isMade, @code, 'cold', @since, @day, @batch)",
                new { lot, id, pan = pie ? "23" : null, step = pie ? "box" : null, unit, isMade, code, since = LocalDatePattern.Iso.Format(since) + "T06:00", day = isMade ? LocalDatePattern.Iso.Format(since) : null, batch = isMade ? code : null });
            return lot;
        }

        void Enter(string kind, LocalDate day, string? batch, params (string Lot, long Amount)[] moved)
        {
            movements += moved.Length;
            var iso = LocalDatePattern.Iso.Format(day);
            var entry = connection.QuerySingle<long>(
                "INSERT INTO stock_entry (kind, at_unix, day, generation, batch) VALUES (@kind, @at, @day, @generation, @batch) RETURNING id",
                new { kind, at = day.AtMidnight().InUtc().ToInstant().ToUnixTimeSeconds(), day = batch is null ? null : iso, generation = batch is null ? (int?)null : 1, batch });
            connection.Execute("INSERT INTO stock_movement (entry_id, lot_id, amount) VALUES (@entry, @Lot, @Amount)", moved.Select(one => new { entry, one.Lot, one.Amount }));
            if (kind == "made" && moved[^1].Amount < 1000)
                connection.Execute("INSERT INTO stock_order (entry_id, order_id, for_whom, pies, pick_up) VALUES (@entry, @order, 'Kiosk', 4, @pickUp)", new { entry, order = Guid.NewGuid().ToString("D"), pickUp = iso + "T09:00" });
        }

        const long Plenty = 50_000_000_000;
        var open = new Dictionary<string, string>();
        var week = string.Empty;
        foreach (var thing in Fillings.Append("flour"))
        {
            open[thing] = Lot("ingredient_id", thing, thing is "box" or "label" ? "piece" : "milligram", false, $"YEAR {thing}", now.Date.PlusDays(-days - 1));
            Enter("received", now.Date.PlusDays(-days - 1), null, (open[thing], Plenty));
        }

        for (var at = days; at > 0; at--)
        {
            var day = now.Date.PlusDays(-at);
            if (at == days || at % 7 == 0)
            {
                open["butter"] = Lot("ingredient_id", "butter", "milligram", false, $"WEEK {at}", day);
                Enter("received", day, null, (open["butter"], Plenty / 100));
                if (at == 7 * 13) week = open["butter"];
            }

            var doughs = new List<string>();
            for (var bowl = 0; bowl < DoughsADay; bowl++)
            {
                var dough = Lot("dough_id", "flaky", "milligram", true, $"dough {bowl}", day);
                Enter("made", day, $"dough {bowl}", (open["flour"], -5_000_000), (open["butter"], -3_000_000), (open["salt"], -80_000), (dough, 8_000_000));
                doughs.Add(dough);
            }

            for (var pie = 0; pie < PiesADay; pie++)
            {
                var made = Lot("product_id", "pear", "piece", true, $"pies {pie}", day);
                Enter("made", day, $"pies {pie}", [(doughs[pie % DoughsADay], -1_000_000), .. Fillings.Select(filling => (open[filling], filling is "box" or "label" ? -4L : -400_000L)), (made, 4)]);
                Enter("handedOver", day, null, (made, -4));
            }
        }

        return new Filled(LocalDatePattern.Iso.Format(DemoBakery.FairDay(now)), week, open["salt"], movements, lots);
    }
}
