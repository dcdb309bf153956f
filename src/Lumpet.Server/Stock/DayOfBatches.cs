using System.Globalization;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Orders;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Stock;

/// <summary>What the plan of a day makes, and what of it is entered already.</summary>
/// <param name="Book">The day.</param>
/// <param name="Batches">Its batches, in the order in which work on them begins.</param>
/// <param name="Stumbles">Why it cannot be planned; empty where it can.</param>
internal sealed record DayOfBatches(DayBook Book, IReadOnlyList<ListedBatch> Batches, string Stumbles)
{
    /// <summary>Most days ahead that shelves and buying look at.</summary>
    public const int MostDays = 14;

    /// <summary>What of it will still be taken off the shelves: of batches that are not entered, what no other batch of the day makes for them.</summary>
    /// <param name="isCounted">Whether a thing is kept on the books.</param>
    /// <param name="lots">Everything that is there, for what batches have made for one another.</param>
    public IEnumerable<StockNeed> Needs(Func<StockThing, bool> isCounted, IReadOnlyList<StockLot> lots)
    {
        // A batch of which a rest is still to be made is made by its rest.
        var open = Batches.Where(batch => batch.Entered is null).Select(batch => batch.Planned).ToHashSet();
        return
            from listed in Batches
            where listed.Entered is null
            from take in listed.Batch.Takes
            where isCounted(take.Thing) && (take.Batch is null || !open.Contains(take.Batch))
            select new StockNeed(take.Thing, take.Amount, Book.Clock.LocalAt(listed.Batch.StartMin), listed.Batch.About, Book.Day)
            {
                Lots = take.Lot is { } chosen ? [chosen] : take.Batch is { } batch ? [.. lots.Where(lot => lot.ForDay == Book.Day && lot.Batch == batch).Select(lot => lot.Id)] : [],
            };
    }

    /// <summary>The batches of a day's plan.</summary>
    /// <param name="book">The day.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="connection">Where it is read what is entered.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    public static async Task<DayOfBatches> OfAsync(DayBook book, PlanShelf shelf, SqliteConnection connection, CancellationToken waiting)
    {
        try
        {
            var (plan, _) = await shelf.AtOnceAsync(book, waiting);
            return new DayOfBatches(book, Listed(book, DayBatches.Of(plan), connection), string.Empty);
        }
        catch (Exception exception) when (exception is PlanStumblesException or UnsoundPlanException)
        {
            return new DayOfBatches(book, [], exception.Message);
        }
    }

    /// <summary>What is to be said of days that are not looked at: those that stumble, and those too far ahead.</summary>
    /// <param name="planned">The days that are looked at.</param>
    /// <param name="last">The last day that was asked for.</param>
    /// <param name="today">The day by the bakery's clock.</param>
    public static IReadOnlyList<string> NotSeen(IReadOnlyList<DayOfBatches> planned, LocalDate last, LocalDate today) =>
    [
        .. planned.Where(one => one.Stumbles.Length > 0).Select(one => $"{Days.Name(one.Book.Day)}: {one.Stumbles}"),
        .. last > today.PlusDays(MostDays) ? [$"Plans are looked at for {MostDays} days ahead, until {Days.Name(today.PlusDays(MostDays))}."] : Array.Empty<string>(),
    ];

    /// <summary>The days from today to a day that have orders, in order, each with its batches; at most so many ahead.</summary>
    /// <param name="last">The last day.</param>
    /// <param name="database">Where it is read.</param>
    /// <param name="shelf">Keeps plans.</param>
    /// <param name="clock">The bakery's clock.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    public static async Task<IReadOnlyList<DayOfBatches>> UntilAsync(LocalDate last, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        using var connection = database.Open();
        if (BakeryStore.Find(connection) is not { } bakery) return [];
        var today = clock.Today(bakery.Zone);
        var days = new List<DayOfBatches>();
        foreach (var (day, _) in OrderStore.Days(connection, today).Where(one => one.Day <= last && one.Day <= today.PlusDays(MostDays)))
            if (DayBook.Open(connection, day, clock) is { } book) days.Add(await OfAsync(book, shelf, connection, waiting));
        return days;
    }

    /// <summary>
    /// Which of a day's plans the batches are of: the number of the plan that is followed, or that the next one to be published would have. What a plan that
    /// is gone on with numbers anew is so never taken for what the one before has made.
    /// </summary>
    private static int Generation(DayBook book) => book.Followed switch
    {
        null => 1,
        { IsSame: true } followed => followed.Publication.Number,
        var followed => followed.Publication.Number + 1,
    };

    private static ListedBatch[] Listed(DayBook book, IReadOnlyList<DayBatch> batches, SqliteConnection connection)
    {
        var generation = Generation(book);
        var entered = StockStore.MadeFor(connection, book.Day).Where(entry => entry.Generation == generation).ToDictionary(entry => entry.Batch!);
        return [.. batches.OrderBy(batch => batch.StartMin).ThenBy(batch => batch.Id, StringComparer.Ordinal).SelectMany(batch => Parts(batch, NameOf(batch, book), new BatchKey(book.Day, generation, string.Empty), entered))];
    }

    /// <summary>What of a batch is entered, with as much as it made then; and the rest, where the plan makes more of it since.</summary>
    private static IEnumerable<ListedBatch> Parts(DayBatch batch, string planned, BatchKey key, Dictionary<string, StoredEntry> entered)
    {
        var (left, part) = (batch.Amount, 1);
        string Name() => part == 1 ? planned : string.Create(CultureInfo.InvariantCulture, $"{planned}+{part}");
        for (; entered.TryGetValue(Name(), out var entry); part++)
        {
            var made = StockAmount.Sum(entry.Traced.Movements.Where(movement => movement.Amount.Count > 0).Select(movement => movement.Amount), batch.Amount.Unit);
            left -= made;
            yield return new ListedBatch(key with { Batch = Name() }, batch with { Id = Name(), Amount = made, About = About(batch, made) }, entry, planned);
        }

        // What a gram more or less comes to is rounding, and no batch.
        if (part > 1 && left.Count < (batch.Amount.Unit == StockUnit.Piece ? 1 : 1000)) yield break;
        var share = (double)left.Count / batch.Amount.Count;
        yield return new ListedBatch(
            key with { Batch = Name() },
            part == 1 ? batch with { Id = planned } : batch with
            {
                Id = Name(),
                Amount = left,
                About = $"{About(batch, left)}, the rest",
                Takes = [.. batch.Takes.Select(take => take with { Amount = take.Amount with { Count = (long)Math.Ceiling(take.Amount.Count * share) } })],
            },
            null,
            planned);
    }

    /// <summary>Pies are told with how many they are.</summary>
    private static string About(DayBatch batch, StockAmount made) =>
        batch.Kind == DayBatchKind.Pies ? string.Create(CultureInfo.InvariantCulture, $"{made.Count}{batch.About[batch.About.IndexOf(' ', StringComparison.Ordinal)..]}") : batch.About;

    /// <summary>A name that stays: pies by the clock of their pick-up and not by the minutes of a plan whose clock may begin elsewhere.</summary>
    private static string NameOf(DayBatch batch, DayBook book)
    {
        if (batch is not { PickUpMin: { } pickUp, Makes: StockedPie pie }) return batch.Id;
        var rest = batch.Id[string.Create(CultureInfo.InvariantCulture, $"{pie.Product}/{pie.Pan}/{pickUp}").Length..];
        return string.Create(CultureInfo.InvariantCulture, $"pies:{pie.Product}/{pie.Pan}/{book.Clock.LocalAt(pickUp):HH:mm}{rest}");
    }
}

/// <summary>A batch of a day's plan.</summary>
/// <param name="Key">The day, the plan and its name there.</param>
/// <param name="Batch">The batch.</param>
/// <param name="Entered">The entry by which it took what it needs; null while it is not entered.</param>
/// <param name="Planned">Its name in the plan; a rest has one of its own beside it.</param>
internal sealed record ListedBatch(BatchKey Key, DayBatch Batch, StoredEntry? Entered, string Planned);
