using Dapper;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Store.Stock;

/// <summary>A lot as it is kept.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="IsMade">Whether it was made here; else it came from outside.</param>
/// <param name="RowVersion">Counts the changes of its description, from 1.</param>
/// <param name="Number">Lots that came to the books later have higher ones.</param>
public sealed record StoredLot(StockLot Lot, bool IsMade, long RowVersion, long Number);

/// <summary>An entry of the ledger as it is kept.</summary>
/// <param name="Traced">Its number, its kind and what moved.</param>
/// <param name="At">When it was entered.</param>
/// <param name="Reason">Why; may be empty.</param>
/// <param name="Day">Of a batch the day whose plan it is of.</param>
/// <param name="Generation">Of a batch which of that day's plans.</param>
/// <param name="Batch">Of a batch its name there.</param>
/// <param name="TakesBack">The number of the entry that it takes back.</param>
/// <param name="IsTakenBack">Whether another takes it back.</param>
public sealed record StoredEntry(TracedEntry Traced, Instant At, string Reason, LocalDate? Day, int? Generation, string? Batch, long? TakesBack, bool IsTakenBack);

/// <summary>What a batch took that no lot held.</summary>
/// <param name="Entry">The batch's entry.</param>
/// <param name="Thing">What.</param>
/// <param name="Amount">How much.</param>
public sealed record UnknownTake(long Entry, StockedGoods Thing, StockAmount Amount);

/// <summary>A batch in an oven, as it was when the batch was entered.</summary>
/// <param name="Entry">The batch's entry.</param>
/// <param name="Oven">Name of the oven.</param>
/// <param name="Bake">Name of the bake.</param>
/// <param name="Start">When its trays go in.</param>
/// <param name="End">When they come out.</param>
public sealed record EnteredBake(long Entry, string Oven, string Bake, Instant Start, Instant End);

/// <summary>An order that pies were made for, as it was then.</summary>
/// <param name="Entry">The entry of the pies.</param>
/// <param name="OrderId">The order.</param>
/// <param name="ForWhom">Who it is for; may be empty.</param>
/// <param name="Pies">How many of the pies.</param>
/// <param name="PickUp">Its pick-up, by the bakery's clock.</param>
public sealed record EnteredOrder(long Entry, Guid OrderId, string ForWhom, int Pies, LocalDateTime PickUp);

/// <summary>Reads what lies on the shelves, and the ledger of it.</summary>
public static class StockStore
{
    /// <summary>Every lot of which something is left, in the order in which they came to the books.</summary>
    public static IReadOnlyList<StoredLot> Lots(SqliteConnection connection) => [.. connection.Query<LotRow>($"{StockRows.Columns} WHERE amount > 0 ORDER BY rowid").Select(StockRows.Read)];

    /// <summary>Lots that were made here, of which something is left.</summary>
    internal static IEnumerable<StoredLot> Made(SqliteConnection connection) =>
        connection.Query<LotRow>($"{StockRows.Columns} WHERE amount > 0 AND is_made = 1 ORDER BY rowid").Select(StockRows.Read);

    /// <summary>What the batches that are entered for some days have taken of each lot; what was taken back is not counted.</summary>
    internal static IReadOnlyDictionary<Guid, long> TakenFor(SqliteConnection connection, IEnumerable<LocalDate> days) =>
        connection.Query<(string Lot, long Taken)>(
            """
            SELECT m.lot_id, -sum(m.amount) FROM stock_entry e JOIN stock_movement m ON m.entry_id = e.id
            WHERE e.day IN @days AND m.amount < 0 AND NOT EXISTS (SELECT 1 FROM stock_entry b WHERE b.takes_back = e.id) GROUP BY m.lot_id
            """, new { days = days.Select(day => StockRows.Written(day)).ToArray() }).ToDictionary(row => Guid.Parse(row.Lot), row => row.Taken);

    /// <summary>A lot, or null.</summary>
    public static StoredLot? Find(SqliteConnection connection, Guid id) =>
        connection.QuerySingleOrDefault<LotRow>($"{StockRows.Columns} WHERE id = @id", new { id = StockRows.Key(id) }) is { } row ? StockRows.Read(row) : null;

    /// <summary>Lots by their ids, used up or not.</summary>
    public static IReadOnlyDictionary<Guid, StoredLot> Find(SqliteConnection connection, IEnumerable<Guid> ids) =>
        connection.Query<LotRow>($"{StockRows.Columns} WHERE id IN {StockRows.Among}", new { some = StockRows.List(ids.Distinct().Select(StockRows.Key)) })
            .Select(StockRows.Read).ToDictionary(stored => stored.Lot.Id);

    /// <summary>Of some lots those of which something is left, in the order in which they came to the books.</summary>
    public static IReadOnlyList<StoredLot> StillHere(SqliteConnection connection, IEnumerable<Guid> ids)
    {
        // What is on the shelves is few beside all that ever was there, so it is looked for among that.
        var there = connection.Query<string>("SELECT id FROM stock_lot WHERE amount > 0").Select(Guid.Parse).ToHashSet();
        there.IntersectWith(ids);
        return [.. Find(connection, there).Values.OrderBy(stored => stored.Number)];
    }

    /// <summary>Lots whose number holds some text, or that are of some things, used up or not, the latest first.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="text">The text; all of it is meant as it stands.</param>
    /// <param name="goods">Ids of ingredients and doughs.</param>
    /// <param name="products">Ids of products.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<StoredLot> Found(SqliteConnection connection, string text, IReadOnlyCollection<string> goods, IReadOnlyCollection<string> products, int most)
    {
        var doughs = goods.Where(Ingredient.IsDoughId).Select(id => id[Ingredient.DoughPrefix.Length..]);
        return [.. connection.Query<LotRow>(
            $"""
            {StockRows.Columns} WHERE instr(lower(code), lower(@text)) > 0 OR ingredient_id IN @goods OR dough_id IN @doughs OR product_id IN @products
            ORDER BY since DESC, rowid DESC LIMIT @most
            """, new { text, goods, doughs, products, most }).Select(StockRows.Read)];
    }

    /// <summary>Orders on the books of pies whose customer's name holds some text, the latest first, each once.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="text">The text; all of it is meant as it stands.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<EnteredOrder> OrdersFound(SqliteConnection connection, string text, int most) =>
        [.. connection.Query<OrderRow>(
            // No sums: of no rows at all a sum has no type.
            $"""
            {OrderColumns} WHERE rowid IN (
              SELECT max(o.rowid) FROM stock_order o
              WHERE instr(lower(o.for_whom), lower(@text)) > 0 AND NOT EXISTS (SELECT 1 FROM stock_entry b WHERE b.takes_back = o.entry_id) GROUP BY o.order_id)
            ORDER BY pick_up DESC LIMIT @most
            """, new { text, most }).Select(Read)];

    /// <summary>How many lots have something left.</summary>
    public static int Count(SqliteConnection connection) => connection.QuerySingle<int>("SELECT count(*) FROM stock_lot WHERE amount > 0");

    /// <summary>The entries that touch a lot, in the order of the books, each with all that moved.</summary>
    public static IReadOnlyList<StoredEntry> EntriesOf(SqliteConnection connection, Guid lot) =>
        Entries(connection, "e.id IN (SELECT entry_id FROM stock_movement WHERE lot_id = @lot)", new { lot = StockRows.Key(lot) });

    /// <summary>The number of the last entry of the ledger; 0 where there is none.</summary>
    public static long Last(SqliteConnection connection) => connection.QuerySingleOrDefault<long?>("SELECT id FROM stock_entry ORDER BY id DESC LIMIT 1") ?? 0;

    /// <summary>The entries after one, in the order of the books, each with the lots that it moved.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="after">The number of the entry; 0 for all.</param>
    public static IReadOnlyList<TraceStep> Steps(SqliteConnection connection, long after)
    {
        var steps = new List<TraceStep>();
        // Read as they come and not grouped: the books of years are read here once.
        foreach (var (entry, kind, lot, isTo) in connection.Query<(long Entry, string Kind, string Lot, long IsTo)>(
            "SELECT e.id, e.kind, m.lot_id, m.amount > 0 FROM stock_entry e JOIN stock_movement m ON m.entry_id = e.id WHERE e.id > @after ORDER BY e.id", new { after }, buffered: false))
        {
            if (steps.Count == 0 || steps[^1].Number != entry) steps.Add(new TraceStep(entry, Naming.Known<StockEntryKind>(kind), new List<Guid>(), new List<Guid>()));
            ((List<Guid>)(isTo != 0 ? steps[^1].To : steps[^1].From)).Add(Guid.Parse(lot));
        }

        return steps;
    }

    /// <summary>The numbers of the entries that were taken back.</summary>
    public static IReadOnlySet<long> TakenBack(SqliteConnection connection) => connection.Query<long>("SELECT takes_back FROM stock_entry WHERE takes_back IS NOT NULL").ToHashSet();

    /// <summary>Entries by their numbers.</summary>
    public static IReadOnlyList<StoredEntry> Entries(SqliteConnection connection, IEnumerable<long> numbers) =>
        Entries(connection, $"e.id IN {StockRows.Among}", new { some = StockRows.List(numbers.Distinct()) });

    /// <summary>The batches of a day that are entered and not taken back.</summary>
    public static IReadOnlyList<StoredEntry> MadeFor(SqliteConnection connection, LocalDate day) =>
        [.. Entries(connection, "e.day = @day", new { day = StockRows.Written(day) }).Where(entry => !entry.IsTakenBack)];

    /// <summary>What was thrown away between two moments, the first among them and the second not; what was taken back is not among it.</summary>
    public static IReadOnlyList<StoredEntry> ThrownAway(SqliteConnection connection, Instant from, Instant to) =>
        [.. Entries(connection, "e.kind = 'wasted' AND e.at_unix >= @from AND e.at_unix < @to", new { from = from.ToUnixTimeSeconds(), to = to.ToUnixTimeSeconds() }).Where(entry => !entry.IsTakenBack)];

    /// <summary>What entries took that no lot held.</summary>
    public static IReadOnlyList<UnknownTake> Unknown(SqliteConnection connection, IEnumerable<long> entries) =>
        [.. Of<UnknownRow>(connection, "SELECT entry_id AS entry, ingredient_id AS ingredient, dough_id AS dough, unit, amount FROM stock_unknown", entries)
            .Select(row => new UnknownTake(row.Entry, new StockedGoods(row.Dough is { } dough ? Ingredient.DoughPrefix + dough : row.Ingredient!), new StockAmount(row.Amount, Naming.Known<StockUnit>(row.Unit))))];

    /// <summary>When batches were in which ovens.</summary>
    public static IReadOnlyList<EnteredBake> Bakes(SqliteConnection connection, IEnumerable<long> entries) =>
        [.. Of<BakeRow>(connection, "SELECT entry_id AS entry, oven, bake, start_unix AS start, end_unix AS end FROM stock_bake", entries)
            .Select(row => new EnteredBake(row.Entry, row.Oven, row.Bake, Instant.FromUnixTimeSeconds(row.Start), Instant.FromUnixTimeSeconds(row.End)))];

    /// <summary>Which orders pies were made for.</summary>
    public static IReadOnlyList<EnteredOrder> Orders(SqliteConnection connection, IEnumerable<long> entries) =>
        [.. Of<OrderRow>(connection, $"{OrderColumns}", entries).Select(Read)];

    /// <summary>Which orders the pies of the entries after one were made for, each with the pies.</summary>
    /// <param name="connection">The bakery.</param>
    /// <param name="after">The number of the entry; 0 for all.</param>
    public static IReadOnlyList<(EnteredOrder Order, StockedPie Pies)> OrdersAfter(SqliteConnection connection, long after) =>
    [
        .. connection.Query<OrderedPiesRow>(
            """
            SELECT o.entry_id AS entry, o.order_id AS orderId, o.for_whom AS forWhom, o.pies, o.pick_up AS pickUp, l.product_id AS product, l.pan_id AS pan, l.after_step AS after
            FROM stock_order o JOIN stock_movement m ON m.entry_id = o.entry_id AND m.amount > 0 JOIN stock_lot l ON l.id = m.lot_id
            WHERE o.entry_id > @after AND l.product_id IS NOT NULL ORDER BY o.rowid
            """, new { after })
            .Select(row => (Read(new OrderRow(row.Entry, row.OrderId, row.ForWhom, row.Pies, row.PickUp)), new StockedPie(row.Product, row.Pan, row.After))),
    ];

    /// <summary>The pies that were made for an order.</summary>
    public static IReadOnlyList<EnteredOrder> OfOrder(SqliteConnection connection, Guid order) =>
        [.. connection.Query<OrderRow>($"{OrderColumns} WHERE order_id = @order ORDER BY rowid", new { order = StockRows.Key(order) }).Select(Read)];

    /// <summary>For how many days lots of each ingredient were good when they came, in the mean of the latest that state a last day, at most twenty of each.</summary>
    public static IReadOnlyDictionary<string, double> KeepsDays(SqliteConnection connection) =>
        connection.Query<(string Id, string UseBy, string Since)>(
            """
            SELECT ingredient_id, use_by, since FROM (
              SELECT ingredient_id, use_by, since, row_number() OVER (PARTITION BY ingredient_id ORDER BY since DESC) AS place
              FROM stock_lot WHERE use_by IS NOT NULL AND is_made = 0 AND is_open = 0 AND part_of IS NULL)
            WHERE place <= 20
            """)
            .GroupBy(row => row.Id)
            .ToDictionary(lots => lots.Key, lots => lots.Average(row => (double)Period.DaysBetween(PickUpText.Read(row.Since)!.Value.Date, NodaTime.Text.LocalDatePattern.Iso.Parse(row.UseBy).Value)));

    /// <summary>What somebody has said of ingredients: whether they are kept on the books.</summary>
    public static IReadOnlyDictionary<string, bool> Counted(SqliteConnection connection) =>
        connection.Query<(string Id, long IsCounted)>("SELECT ingredient_id, is_counted FROM stock_counted").ToDictionary(row => row.Id, row => row.IsCounted != 0);

    private const string OrderColumns = "SELECT entry_id AS entry, order_id AS orderId, for_whom AS forWhom, pies, pick_up AS pickUp FROM stock_order";

    private static IReadOnlyList<StoredEntry> Entries(SqliteConnection connection, string which, object parameters) =>
    [
        .. connection.Query<MovementRow>(
            $"""
            SELECT e.id, e.kind, e.at_unix AS at, e.reason, e.day, e.generation, e.batch, e.takes_back AS takesBack, b.id AS takenBackBy, m.lot_id AS lot, m.amount, l.unit
            FROM stock_entry e LEFT JOIN stock_entry b ON b.takes_back = e.id LEFT JOIN stock_movement m ON m.entry_id = e.id LEFT JOIN stock_lot l ON l.id = m.lot_id
            WHERE {which} ORDER BY e.id, m.id
            """, parameters)
            .GroupBy(row => row.Id)
            .Select(rows =>
            {
                var first = rows.First();
                return new StoredEntry(
                    new TracedEntry(first.Id, Naming.Known<StockEntryKind>(first.Kind), [.. rows.Where(row => row.Lot is not null).Select(row => new TracedMovement(Guid.Parse(row.Lot!), new StockAmount(row.Amount!.Value, Naming.Known<StockUnit>(row.Unit!))))]),
                    Instant.FromUnixTimeSeconds(first.At),
                    first.Reason,
                    first.Day is { } day ? NodaTime.Text.LocalDatePattern.Iso.Parse(day).Value : null,
                    (int?)first.Generation,
                    first.Batch,
                    first.TakesBack,
                    first.TakenBackBy is not null);
            }),
    ];

    private static IEnumerable<T> Of<T>(SqliteConnection connection, string columns, IEnumerable<long> entries) =>
        connection.Query<T>($"{columns} WHERE entry_id IN {StockRows.Among} ORDER BY rowid", new { some = StockRows.List(entries.Distinct()) });

    private static EnteredOrder Read(OrderRow row) => new(row.Entry, Guid.Parse(row.OrderId), row.ForWhom, (int)row.Pies, PickUpText.Read(row.PickUp)!.Value);

    private sealed record MovementRow(long Id, string Kind, long At, string Reason, string? Day, long? Generation, string? Batch, long? TakesBack, long? TakenBackBy, string? Lot, long? Amount, string? Unit);

    private sealed record UnknownRow(long Entry, string? Ingredient, string? Dough, string Unit, long Amount);

    private sealed record BakeRow(long Entry, string Oven, string Bake, long Start, long End);

    private sealed record OrderRow(long Entry, string OrderId, string ForWhom, long Pies, string PickUp);

    private sealed record OrderedPiesRow(long Entry, string OrderId, string ForWhom, long Pies, string PickUp, string Product, string Pan, string After);
}
