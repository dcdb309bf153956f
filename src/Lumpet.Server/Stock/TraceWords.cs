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
/// <param name="ways">All ways, as the connection sees them.</param>
/// <param name="names">Names of what lies on shelves.</param>
/// <param name="zone">The bakery's time zone.</param>
internal sealed class TraceWords(SqliteConnection connection, KeptTraces ways, ThingNames names, DateTimeZone zone)
{
    // More steps nobody draws, and nobody reads; orders and what is still here are told in full.
    private const int MostSteps = 300;

    private readonly Dictionary<StockThing, string> said = [];

    /// <summary>A lot: what went into it, and what it went into.</summary>
    public TraceAnswer OfLot(StoredLot stored)
    {
        return Answer($"{names.Of(stored.Lot.Thing)}{(stored.Lot.Code.Length > 0 ? $", lot {stored.Lot.Code}" : string.Empty)}", stored.Lot.Id, [ways.Book.Back(stored.Lot.Id)], ways.Book.Forward(stored.Lot.Id));
    }

    /// <summary>An order: what went into its pies.</summary>
    /// <param name="made">Its pies as they were entered; those that were taken back are none.</param>
    public TraceAnswer OfOrder(IReadOnlyList<EnteredOrder> made)
    {
        var stored = StockStore.Entries(connection, made.Select(one => one.Entry)).Where(entry => !entry.IsTakenBack).ToArray();
        Guid[] lots = [.. stored.SelectMany(entry => entry.Traced.To)];
        var first = made[0];
        var what = string.Join(", ", StockStore.Find(connection, lots).Values.Select(pies => names.Of(pies.Lot.Thing)).Distinct());
        return Answer($"{(first.ForWhom.Length > 0 ? first.ForWhom : "Counter")}, {made.Max(one => one.Pies)} {what}, {PickUpText.Said.Format(first.PickUp)}", null, [.. lots.Select(ways.Book.Back)], null);
    }

    private TraceAnswer Answer(string about, Guid? lot, IReadOnlyList<StockTrace> back, StockTrace? forward)
    {
        TraceStep[] led = [.. back.SelectMany(trace => trace.Steps).DistinctBy(step => step.Number).OrderBy(step => step.Number)];
        var leads = forward?.Steps ?? [];
        var (before, after) = (Told(led), Told(leads));
        IEnumerable<TraceOrderAnswer> OrdersOf(TraceStep step) => ways.Orders[step.Number].Select(Order);
        HashSet<Guid> wayBack = [.. back.SelectMany(trace => trace.Lots)];
        HashSet<Guid> wayOn = [.. forward?.Lots ?? []];
        var lots = StockStore.Find(connection, before.Concat(after).SelectMany(step => step.Traced.Movements).Select(movement => movement.Lot).Concat(wayBack));
        var here = StockStore.StillHere(connection, wayOn);
        long[] shown = [.. before.Concat(after).Select(step => step.Traced.Number)];
        var unknown = StockStore.Unknown(connection, shown).ToLookup(one => one.Entry);
        var bakes = StockStore.Bakes(connection, shown).ToLookup(one => one.Entry);
        TraceLotAnswer Lot(Guid id, StockAmount amount) => Of(lots[id], amount);
        TraceStepAnswer Step(StoredEntry step, HashSet<Guid> way)
        {
            // What else went into a batch is not on the way of what is traced.
            var moved = step.Traced.Movements.Where(movement => way.Contains(movement.Lot)).ToArray();
            return new TraceStepAnswer(
                step.Traced.Number,
                Naming.Of(step.Traced.Kind),
                PickUpText.Said.Format(step.At.InZone(zone).LocalDateTime),
                [.. moved.Where(movement => movement.Amount.Count < 0).Select(movement => Lot(movement.Lot, -movement.Amount))],
                [.. moved.Where(movement => movement.Amount.Count > 0).Select(movement => Lot(movement.Lot, movement.Amount))],
                [.. unknown[step.Traced.Number].Select(one => $"{names.Of(one.Thing, one.Amount)} {names.Of(one.Thing)}")],
                [.. bakes[step.Traced.Number].Select(bake => $"{bake.Bake} in {bake.Oven}, {PickUpText.Said.Format(bake.Start.InZone(zone).LocalDateTime)} to {PickUpText.Clock.Format(bake.End.InZone(zone).TimeOfDay)}")],
                [.. ways.Orders[step.Traced.Number].Select(Order)]);
        }

        return new TraceAnswer(
            about,
            lot,
            [.. before.Select(step => Step(step, wayBack))],
            [.. after.Select(step => Step(step, wayOn))],
            leads.Count(step => step.Kind == StockEntryKind.Made),
            led.Length - before.Count + leads.Count - after.Count,
            [.. wayBack.Where(id => !lots[id].IsMade).Select(id => Lot(id, lots[id].Lot.Left))],
            // Of pies the orders stand with their own making.
            [.. led.Where(step => lot is { } mine && step.To.Contains(mine)).Concat(leads).SelectMany(OrdersOf)],
            [.. here.Select(stored => Of(stored, stored.Lot.Left))],
            LabelsOf(wayBack.Union(wayOn)));
    }

    private IReadOnlyList<StoredEntry> Told(IReadOnlyList<TraceStep> steps) => StockStore.Entries(connection, steps.Take(MostSteps).Select(step => step.Number));

    private TraceLotAnswer Of(StoredLot stored, StockAmount amount) => new(
        stored.Lot.Id, Said(stored.Lot.Thing), stored.Lot.Code, names.Of(stored.Lot.Thing, amount), stored.Lot.Supplier ?? string.Empty, stored.Lot.UseBy is { } day ? Days.Name(day) : string.Empty, stored.IsMade);

    private TraceOrderAnswer Order((EnteredOrder Order, StockedPie Pies) one) =>
        new(one.Order.OrderId, one.Order.ForWhom, one.Order.Pies, PickUpText.Said.Format(one.Order.PickUp), Said(one.Pies));

    private string Said(StockThing thing) => said.TryGetValue(thing, out var known) ? known : said[thing] = names.Of(thing);

    private TraceLabelsAnswer[] LabelsOf(IEnumerable<Guid> way)
    {
        var printed = LabelStore.Of(connection, [.. way]);
        var lots = StockStore.Find(connection, printed.Select(one => one.Lot!.Value));
        return
        [
            .. printed.OrderBy(one => one.Number)
                .Select(one => new TraceLabelsAnswer(one.Copies, Said(lots[one.Lot!.Value].Lot.Thing), lots[one.Lot.Value].Lot.Code, PickUpText.Said.Format(one.At.InZone(zone).LocalDateTime), one.Text.Split('\n'))),
        ];
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
