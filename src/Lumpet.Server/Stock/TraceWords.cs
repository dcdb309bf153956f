using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Store.Labels;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Stock;

/// <summary>Tells the ways through the ledger. What was taken back is on none of them.</summary>
/// <param name="connection">Where it is read.</param>
/// <param name="names">Names of what lies on shelves.</param>
/// <param name="zone">The bakery's time zone.</param>
internal sealed class TraceWords(SqliteConnection connection, ThingNames names, DateTimeZone zone)
{
    // More steps nobody draws, and nobody reads; orders and what is still here are told in full.
    private const int MostSteps = 300;

    private readonly Dictionary<long, Instant> at = [];

    /// <summary>A lot: what went into it, and what it went into.</summary>
    public TraceAnswer OfLot(StoredLot stored)
    {
        var (back, forward) = (StockTrace.Back(stored.Lot.Id, Made), StockTrace.Forward(stored.Lot.Id, Took));
        return Answer($"{names.Of(stored.Lot.Thing)}{(stored.Lot.Code.Length > 0 ? $", lot {stored.Lot.Code}" : string.Empty)}", stored.Lot.Id, [back], [forward]);
    }

    /// <summary>An order: what went into its pies.</summary>
    /// <param name="made">Its pies as they were entered; those that were taken back are none.</param>
    public TraceAnswer OfOrder(IReadOnlyList<EnteredOrder> made)
    {
        var stored = StockStore.Entries(connection, made.Select(one => one.Entry)).Where(entry => !entry.IsTakenBack).ToArray();
        Guid[] lots = [.. stored.SelectMany(entry => entry.Traced.To)];
        var first = made[0];
        var what = string.Join(", ", StockStore.Find(connection, lots).Values.Select(pies => names.Of(pies.Lot.Thing)).Distinct());
        return Answer($"{(first.ForWhom.Length > 0 ? first.ForWhom : "Counter")}, {made.Max(one => one.Pies)} {what}, {PickUpText.Said.Format(first.PickUp)}", null, [.. lots.Select(lot => StockTrace.Back(lot, Made))], []);
    }

    private TraceAnswer Answer(string about, Guid? lot, IReadOnlyList<StockTrace> back, IReadOnlyList<StockTrace> forward)
    {
        var (led, leads) = (Steps(back), Steps(forward));
        TracedEntry[] shown = [.. led.Take(MostSteps), .. leads.Take(MostSteps)];
        var orders = StockStore.Orders(connection, led.Concat(leads).Select(step => step.Number)).ToLookup(one => one.Entry);
        var lots = StockStore.Find(connection, shown.SelectMany(step => step.Movements.Select(movement => movement.Lot))
            .Concat(led.Concat(leads).Where(step => orders[step.Number].Any()).SelectMany(step => step.To)).Concat(back.SelectMany(trace => trace.Lots)).Concat(forward.Select(trace => trace.Start)));
        var here = StockStore.StillHere(connection, forward.SelectMany(trace => trace.Lots));
        long[] numbers = [.. shown.Select(step => step.Number)];
        var unknown = StockStore.Unknown(connection, numbers).ToLookup(one => one.Entry);
        var bakes = StockStore.Bakes(connection, numbers).ToLookup(one => one.Entry);
        TraceLotAnswer Of(StoredLot stored, StockAmount amount) => new(
            stored.Lot.Id, names.Of(stored.Lot.Thing), stored.Lot.Code, names.Of(stored.Lot.Thing, amount), stored.Lot.Supplier ?? string.Empty, stored.Lot.UseBy is { } day ? Days.Name(day) : string.Empty, stored.IsMade);
        TraceLotAnswer Lot(Guid id, StockAmount amount) => Of(lots[id], amount);
        TraceStepAnswer Step(TracedEntry step) => new(
            step.Number,
            Naming.Of(step.Kind),
            PickUpText.Said.Format(at[step.Number].InZone(zone).LocalDateTime),
            [.. step.Movements.Where(movement => movement.Amount.Count < 0).Select(movement => Lot(movement.Lot, -movement.Amount))],
            [.. step.Movements.Where(movement => movement.Amount.Count > 0).Select(movement => Lot(movement.Lot, movement.Amount))],
            [.. unknown[step.Number].Select(one => $"{names.Of(one.Thing, one.Amount)} {names.Of(one.Thing)}")],
            [.. bakes[step.Number].Select(bake => $"{bake.Bake} in {bake.Oven}, {PickUpText.Said.Format(bake.Start.InZone(zone).LocalDateTime)} to {PickUpText.Clock.Format(bake.End.InZone(zone).TimeOfDay)}")],
            OrdersOf(step));
        TraceOrderAnswer[] OrdersOf(TracedEntry step) =>
            [.. orders[step.Number].Select(order => new TraceOrderAnswer(order.OrderId, order.ForWhom, order.Pies, PickUpText.Said.Format(order.PickUp), step.To.Select(id => names.Of(lots[id].Lot.Thing)).FirstOrDefault() ?? string.Empty))];
        return new TraceAnswer(
            about,
            lot,
            [.. led.Take(MostSteps).Select(Step)],
            [.. leads.Take(MostSteps).Select(Step)],
            leads.Count(step => step.Kind == StockEntryKind.Made),
            Math.Max(0, led.Count - MostSteps) + Math.Max(0, leads.Count - MostSteps),
            [.. back.SelectMany(trace => trace.Lots).Distinct().Where(id => !lots[id].IsMade).Select(id => Lot(id, lots[id].Lot.Left))],
            // Of pies the orders stand with their own making.
            [.. led.Where(step => lot is { } mine && step.To.Contains(mine)).Concat(leads).SelectMany(OrdersOf)],
            [.. here.Select(stored => Of(stored, stored.Lot.Left))],
            LabelsOf([.. led.Concat(leads).Where(step => orders[step.Number].Any()).SelectMany(step => step.To).Concat(forward.Select(trace => trace.Start)).Distinct()], lots));
    }

    private TraceLabelsAnswer[] LabelsOf(IReadOnlyCollection<Guid> pies, IReadOnlyDictionary<Guid, StoredLot> lots) =>
    [
        .. LabelStore.Of(connection, pies).OrderBy(one => one.Number)
            .Select(one => new TraceLabelsAnswer(one.Copies, names.Of(lots[one.Lot!.Value].Lot.Thing), lots[one.Lot.Value].Lot.Code, PickUpText.Said.Format(one.At.InZone(zone).LocalDateTime), one.Text.Split('\n'))),
    ];

    private static IReadOnlyList<TracedEntry> Steps(IReadOnlyList<StockTrace> traces) => [.. traces.SelectMany(trace => trace.Steps).DistinctBy(step => step.Number).OrderBy(step => step.Number)];

    private IEnumerable<TracedEntry> Made(IReadOnlyCollection<Guid> lots) => Leading(lots, isForward: false);

    private IEnumerable<TracedEntry> Took(IReadOnlyCollection<Guid> lots) => Leading(lots, isForward: true);

    private IEnumerable<TracedEntry> Leading(IReadOnlyCollection<Guid> lots, bool isForward)
    {
        foreach (var (entry, entered) in StockStore.Leading(connection, lots, isForward))
        {
            at[entry.Number] = entered;
            yield return entry;
        }
    }
}

/// <summary>A way through the ledger.</summary>
/// <param name="About">Of what.</param>
/// <param name="Lot">The lot that it is of; null of an order.</param>
/// <param name="Before">What led to it, in the order of the books.</param>
/// <param name="After">What it led to, in the order of the books.</param>
/// <param name="Batches">How many batches it went into, those that are not shown among them.</param>
/// <param name="NotShown">How many steps there are beyond those that are told one by one; orders and what is still here are told in full.</param>
/// <param name="Sources">The lots from outside that went into it, each with what is left of it.</param>
/// <param name="Orders">The orders that it went to.</param>
/// <param name="StillHere">What it went into, itself among it, that lies on a shelf still, with how much.</param>
/// <param name="Labels">The labels that were printed for pies on the way, in the order of the books.</param>
public sealed record TraceAnswer(
    string About,
    Guid? Lot,
    IReadOnlyList<TraceStepAnswer> Before,
    IReadOnlyList<TraceStepAnswer> After,
    int Batches,
    int NotShown,
    IReadOnlyList<TraceLotAnswer> Sources,
    IReadOnlyList<TraceOrderAnswer> Orders,
    IReadOnlyList<TraceLotAnswer> StillHere,
    IReadOnlyList<TraceLabelsAnswer> Labels);

/// <summary>A step of the way: a batch, a pack that was opened, something that was moved.</summary>
/// <param name="Number">The number of its entry.</param>
/// <param name="Kind">"made", "opened" or "moved".</param>
/// <param name="At">When it was entered.</param>
/// <param name="From">What went in.</param>
/// <param name="To">What came of it.</param>
/// <param name="Unknown">What went in that no lot on the books held.</param>
/// <param name="Bakes">When it was in which oven.</param>
/// <param name="Orders">The orders that the pies were for.</param>
public sealed record TraceStepAnswer(
    long Number,
    string Kind,
    string At,
    IReadOnlyList<TraceLotAnswer> From,
    IReadOnlyList<TraceLotAnswer> To,
    IReadOnlyList<string> Unknown,
    IReadOnlyList<string> Bakes,
    IReadOnlyList<TraceOrderAnswer> Orders);

/// <summary>So much of a lot.</summary>
/// <param name="Lot">Its identity.</param>
/// <param name="Name">What it is.</param>
/// <param name="Code">Its number; may be empty.</param>
/// <param name="Amount">How much, in words.</param>
/// <param name="Supplier">From whom; empty of what was made here.</param>
/// <param name="UseBy">Its last day as it was stated; empty where none was.</param>
/// <param name="IsMade">Whether it was made here.</param>
public sealed record TraceLotAnswer(Guid Lot, string Name, string Code, string Amount, string Supplier, string UseBy, bool IsMade);

/// <summary>An order that pies went to.</summary>
/// <param name="Order">The order.</param>
/// <param name="ForWhom">Who it is for; may be empty.</param>
/// <param name="Pies">How many.</param>
/// <param name="PickUp">Its pick-up.</param>
/// <param name="Product">Which pies.</param>
public sealed record TraceOrderAnswer(Guid Order, string ForWhom, int Pies, string PickUp, string Product);

/// <summary>Labels that were printed for a lot of pies.</summary>
/// <param name="Copies">How many.</param>
/// <param name="Pies">Which pies.</param>
/// <param name="Code">Their lot.</param>
/// <param name="At">When.</param>
/// <param name="Lines">All that stood on each.</param>
public sealed record TraceLabelsAnswer(int Copies, string Pies, string Code, string At, IReadOnlyList<string> Lines);
