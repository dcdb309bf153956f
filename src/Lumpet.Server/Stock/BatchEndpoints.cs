using Lumpet.Core;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Stock;

/// <summary>The batches of a day: entered when they are made, so that they take their ingredients once, and taken back.</summary>
internal static class BatchEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var batches = routes.MapGroup("/api/batches/{day}");
        batches.MapGet("", Get).WithName("GetBatches").WithSummary("The batches of a day's plan, with what each takes of which lots, and which are entered.");
        batches.MapPost("/made", Made).WithName("EnterBatch").WithSummary("Enters a batch that is made: it takes what it needs and puts what it makes on the shelf, once, however often it is sent.");
        batches.MapPost("/handed-over", HandOver).WithName("HandOverPies").WithSummary("Enters that the pies of a batch were picked up; without a batch those of all pick-ups until now.");
        batches.MapPost("/taken-back", TakeBack).WithName("TakeBatchBack").WithSummary("Takes an entered batch back: everything is where it was before.");
    }

    private static async Task<Results<Ok<DayBatchesAnswer>, ValidationProblem>> Get(
        string day, Database database, PlanShelf shelf, BakeryClock clock, RecipeShelf recipes, CancellationToken waiting)
    {
        var (book, refused) = PlanEndpoints.Open(day, database, clock);
        if (book is null) return refused!;
        using var connection = database.Open();
        var batches = await DayOfBatches.OfAsync(book, shelf, connection, waiting);
        var store = Storeroom.Read(connection, recipes.Products(connection));
        var on = clock.Today(book.Bakery.Zone);
        return TypedResults.Ok(new DayBatchesAnswer(
            Days.Iso(book.Day),
            Days.Name(book.Day),
            batches.Stumbles,
            [.. batches.Batches.Select(listed => Answer(listed, batches, store, on, connection))]));
    }

    private static async Task<Results<Ok<BatchEntered>, ValidationProblem, ProblemHttpResult>> Made(
        string day, EnterBatchRequest request, Database database, PlanShelf shelf, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes, CancellationToken waiting)
    {
        var (book, refused) = PlanEndpoints.Open(day, database, clock);
        if (book is null) return refused!;
        ListedBatch? listed;
        using (var reading = database.Open())
        {
            // Before a change begins only what is kept may be asked of a shelf.
            listed = Find(await DayOfBatches.OfAsync(book, shelf, reading, waiting), request.Batch);
            _ = recipes.Products(reading);
        }

        if (listed is null) return FieldProblems.Of(("batch", "The plan has no such batch any more. Look at it again."));
        if (request.Amount != listed.Batch.Amount.Count) return FieldProblems.Of(("amount", "The plan makes another amount of it now. Look at it again."));
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (Entered(connection, listed) is { } before) return TypedResults.Ok(new BatchEntered(before.Traced.Number, LotOf(connection, before)?.Code ?? string.Empty));
        var store = Storeroom.Read(connection, recipes.Products(connection));
        var now = clock.LocalNow(book.Bakery.Zone);
        var taking = BatchTaking.Of(listed.Batch, book.Day, [.. store.Lots.Select(stored => stored.Lot)], now.Date, store.IsCounted);
        if (taking.Unknown.Count > 0 && request.EvenIfUnknown != true)
            return FieldProblems.Of(("evenIfUnknown", $"On the books there is not enough: {string.Join("; ", taking.Unknown.Select(take => $"{store.Names.Of(take.Thing, take.Amount)} {store.Names.Of(take.Thing)} missing"))}. Count or receive it first, or enter the batch all the same: what is missing is then noted as of an unknown lot."));
        var made = MadeLot(listed, book, StockWriter.NextCode(transaction, now.Date), now);
        StockWriter.AddEmpty(transaction, made, isMade: true);
        var number = StockWriter.Enter(
            transaction, StockEntryKind.Made, clock.Now, string.Empty, [.. taking.Taken.Select(one => new TracedMovement(one.Lot.Id, -one.Amount)), new TracedMovement(made.Id, made.Left)], listed.Key);
        StockWriter.Tell(
            transaction,
            taking.Unknown.Where(take => take.Thing is StockedGoods).Select(take => new UnknownTake(number, (StockedGoods)take.Thing, take.Amount)),
            listed.Batch.Bakes.Select(bake => new EnteredBake(number, bake.Oven, bake.Bake, book.Clock.InstantAt(bake.StartMin), book.Clock.InstantAt(bake.EndMin))),
            OrdersOf(connection, listed, book).Select(order => new EnteredOrder(number, order.Id, order.Line.For, order.Line.Count, order.Line.PickUp)));
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.Ok(new BatchEntered(number, made.Code));
    }

    private static Results<Ok<PiesHandedOver>, ValidationProblem> HandOver(string day, HandOverRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        using var transaction = database.Begin();
        var connection = transaction.Connection;
        if (BakeryStore.Find(connection) is not { } bakery) return Days.NoBakery();
        var entries = StockStore.MadeFor(connection, date);
        var pickUps = StockStore.Orders(connection, entries.Select(entry => entry.Traced.Number)).ToLookup(order => order.Entry, order => order.PickUp);
        var now = clock.LocalNow(bakery.Zone);
        var lots = entries.Where(entry => request.Batch is { } batch ? entry.Batch == batch : pickUps[entry.Traced.Number].Any() && pickUps[entry.Traced.Number].All(pickUp => pickUp <= now))
            .Select(entry => LotOf(connection, entry)).OfType<StockLot>().Where(lot => lot.Thing is StockedPie && !lot.Left.IsNothing).ToArray();
        foreach (var lot in lots) StockWriter.Enter(transaction, StockEntryKind.HandedOver, clock.Now, string.Empty, [new TracedMovement(lot.Id, -lot.Left)]);
        transaction.Commit();
        if (lots.Length > 0) feed.Publish("stock");
        return TypedResults.Ok(new PiesHandedOver((int)lots.Sum(lot => lot.Left.Count)));
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> TakeBack(string day, TakeBatchBackRequest request, Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (Days.Read(day) is not { } date) return Days.NoDay();
        if (string.IsNullOrWhiteSpace(request.Batch)) return FieldProblems.Of(("batch", "Say which batch."));
        using var transaction = database.Begin();
        if (StockStore.MadeFor(transaction.Connection, date).LastOrDefault(entry => entry.Batch == request.Batch) is not { } entry) return TypedResults.NoContent();
        if (LotOf(transaction.Connection, entry) is { } made && made.Left != entry.Traced.Movements.Single(movement => movement.Lot == made.Id).Amount)
            return TypedResults.Problem(title: $"Some of lot {made.Code} has been used, moved or counted since: take that back first, or put the lot right by counting it.", statusCode: StatusCodes.Status409Conflict);
        StockWriter.Enter(
            transaction, StockEntryKind.TakenBack, clock.Now, string.Empty, entry.Traced.Movements.Select(movement => movement with { Amount = -movement.Amount }), takesBack: entry.Traced.Number);
        transaction.Commit();
        feed.Publish("stock");
        return TypedResults.NoContent();
    }

    private static ListedBatch? Find(DayOfBatches batches, string? id) => batches.Batches.FirstOrDefault(listed => listed.Batch.Id == id);

    private static StoredEntry? Entered(SqliteConnection connection, ListedBatch listed) =>
        StockStore.MadeFor(connection, listed.Key.Day).FirstOrDefault(entry => entry.Generation == listed.Key.Generation && entry.Batch == listed.Key.Batch);

    /// <summary>The lot that a batch made.</summary>
    private static StockLot? LotOf(SqliteConnection connection, StoredEntry entry) =>
        entry.Traced.To.Select(id => StockStore.Find(connection, id)?.Lot).FirstOrDefault(lot => lot is not null);

    private static StockLot MadeLot(ListedBatch listed, DayBook book, string code, LocalDateTime now) =>
        new(Guid.NewGuid(), listed.Batch.Makes, code, listed.Batch.Amount, listed.Batch.Place) { Since = now, ForDay = book.Day, Batch = listed.Batch.Id };

    /// <summary>The orders whose pies a batch is.</summary>
    private static IEnumerable<StoredOrder> OrdersOf(SqliteConnection connection, ListedBatch listed, DayBook book) =>
        listed.Batch is { Makes: StockedPie pie, PickUpMin: { } pickUp }
            ? OrderStore.OnDay(connection, book.Day).Where(order => order.Line.Product == pie.Product && order.Line.Pan == pie.Pan && order.Line.PickUp == book.Clock.LocalAt(pickUp))
            : [];

    private static DayBatchAnswer Answer(ListedBatch listed, DayOfBatches day, Storeroom store, LocalDate on, SqliteConnection connection)
    {
        var (batch, book, names) = (listed.Batch, day.Book, store.Names);
        var lot = listed.Entered is { } entry ? LotOf(connection, entry) : null;
        return new DayBatchAnswer(
            batch.Id,
            Naming.Of(batch.Kind),
            batch.About,
            names.Of(batch.Makes, batch.Amount),
            batch.Amount.Count,
            book.Clock.At(batch.StartMin),
            book.Clock.At(batch.DoneMin),
            batch.PickUpMin is { } pickUp ? book.Clock.At(pickUp) : null,
            batch.For,
            listed.Entered is not null,
            lot?.Code ?? string.Empty,
            lot?.Id,
            lot is { Thing: StockedPie, Left.IsNothing: false },
            listed.Entered is { } entered ? Entered(entered, connection, names) : ToTake(listed, day, store, on),
            (batch.Makes as StockedPie)?.Product ?? string.Empty,
            (batch.Makes as StockedPie)?.Pan ?? string.Empty);
    }

    private static IReadOnlyList<BatchTakeAnswer> Entered(StoredEntry entry, SqliteConnection connection, ThingNames names)
    {
        var lots = StockStore.Find(connection, entry.Traced.From);
        return
        [
            .. entry.Traced.Movements.Where(movement => movement.Amount.Count < 0).Select(movement => Take(lots[movement.Lot].Lot, -movement.Amount, names)),
            .. StockStore.Unknown(connection, [entry.Traced.Number]).Select(unknown => new BatchTakeAnswer(names.Of(unknown.Thing), names.Of(unknown.Thing, unknown.Amount), string.Empty, null, true, string.Empty)),
        ];
    }

    private static IReadOnlyList<BatchTakeAnswer> ToTake(ListedBatch listed, DayOfBatches day, Storeroom store, LocalDate on)
    {
        var taking = BatchTaking.Of(listed.Batch, day.Book.Day, [.. store.Lots.Select(stored => stored.Lot)], on, store.IsCounted);
        var open = day.Batches.Where(other => other.Entered is null).ToDictionary(other => other.Batch.Id, other => other.Batch.About);
        return
        [
            .. taking.Taken.Select(one => Take(one.Lot, one.Amount, store.Names)),
            .. taking.Unknown.Select(take => new BatchTakeAnswer(
                store.Names.Of(take.Thing), store.Names.Of(take.Thing, take.Amount), string.Empty, null, true, take.Batch is { } batch ? open.GetValueOrDefault(batch, string.Empty) : string.Empty)),
        ];
    }

    private static BatchTakeAnswer Take(StockLot lot, StockAmount amount, ThingNames names) => new(names.Of(lot.Thing), names.Of(lot.Thing, amount), lot.Code, lot.Id, false, string.Empty);
}

/// <summary>The batches of a day.</summary>
/// <param name="Day">The day (ISO date).</param>
/// <param name="DayName">The day.</param>
/// <param name="Stumbles">Why it cannot be planned; empty where it can.</param>
/// <param name="Batches">In the order in which work on them begins.</param>
public sealed record DayBatchesAnswer(string Day, string DayName, string Stumbles, IReadOnlyList<DayBatchAnswer> Batches);

/// <summary>A batch of a day.</summary>
/// <param name="Id">Its name among the day's batches.</param>
/// <param name="Kind">"dough", "made" or "pies".</param>
/// <param name="About">What it is.</param>
/// <param name="Makes">How much it makes, in words.</param>
/// <param name="Amount">How much it makes, in milligrams or pieces: an entry says what it has seen.</param>
/// <param name="Start">When work on it begins.</param>
/// <param name="Done">When it is done.</param>
/// <param name="PickUp">The pick-up of pies; null of all else.</param>
/// <param name="For">Who pies are for.</param>
/// <param name="IsEntered">Whether it is entered as made.</param>
/// <param name="Code">The number of the lot that it made; empty while it is not entered.</param>
/// <param name="Lot">The lot that it made; null while it is not entered.</param>
/// <param name="IsToHandOver">Whether some of its pies have not been handed over.</param>
/// <param name="Takes">What it took, or would take now.</param>
/// <param name="Product">Id of the product of pies; empty of all else.</param>
/// <param name="Pan">Id of their pan; empty of all else.</param>
public sealed record DayBatchAnswer(
    string Id,
    string Kind,
    string About,
    string Makes,
    long Amount,
    Moment Start,
    Moment Done,
    Moment? PickUp,
    IReadOnlyList<string> For,
    bool IsEntered,
    string Code,
    Guid? Lot,
    bool IsToHandOver,
    IReadOnlyList<BatchTakeAnswer> Takes,
    string Product,
    string Pan);

/// <summary>What a batch takes of a lot.</summary>
/// <param name="Name">What.</param>
/// <param name="Amount">How much, in words.</param>
/// <param name="Code">The lot's number; may be empty.</param>
/// <param name="Lot">The lot; null of what no lot on the books holds.</param>
/// <param name="IsUnknown">Whether no lot on the books holds it.</param>
/// <param name="WaitsFor">The batch of the same day that makes it and is not entered yet; empty where there is none.</param>
public sealed record BatchTakeAnswer(string Name, string Amount, string Code, Guid? Lot, bool IsUnknown, string WaitsFor);

/// <summary>A batch that is made.</summary>
/// <param name="Batch">Its name among the day's batches.</param>
/// <param name="Amount">How much it makes, as it was seen.</param>
/// <param name="EvenIfUnknown">Whether it is entered even where the books do not hold all that went in.</param>
public sealed record EnterBatchRequest(string? Batch, long? Amount, bool? EvenIfUnknown);

/// <summary>A batch that was not made after all.</summary>
/// <param name="Batch">Its name among the day's batches.</param>
public sealed record TakeBatchBackRequest(string? Batch);

/// <summary>A batch that is entered.</summary>
/// <param name="Entry">The number of its entry.</param>
/// <param name="Code">The number of the lot that it made.</param>
public sealed record BatchEntered(long Entry, string Code);

/// <summary>Pies that were picked up.</summary>
/// <param name="Batch">Their name among the day's batches; null for all whose pick-up has passed.</param>
public sealed record HandOverRequest(string? Batch);

/// <summary>Pies that were handed over.</summary>
/// <param name="Pies">How many.</param>
public sealed record PiesHandedOver(int Pies);
