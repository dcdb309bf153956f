using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day asks for against what there is, reckoned without planning it: whether it can be done at all, and how full it is.</summary>
/// <param name="WorkMin">Minutes of hands on its pies, doughs and all else that is made first; nothing is taken from what is there already.</param>
/// <param name="HandsMin">Minutes of hands that are there for it; null where some shift does not say how many it has.</param>
/// <param name="TrayMin">Trays times the least minutes of their bakes, those of what is made first among them.</param>
/// <param name="ShelfMin">Shelves times the minutes for which somebody watches the ovens.</param>
public sealed record DayLoad(long WorkMin, long? HandsMin, long TrayMin, long ShelfMin)
{
    /// <summary>What part of the hands is asked for; null where they are not counted or nobody is there.</summary>
    public double? OfHands => HandsMin > 0 ? WorkMin / (double)HandsMin : null;

    /// <summary>What part of the ovens is asked for; null where nobody watches them.</summary>
    public double? OfOvens => ShelfMin > 0 ? TrayMin / (double)ShelfMin : null;

    /// <summary>The load of a day.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="fromMin">From when on hands and ovens are its own: now, or the last pick-up before, so that nobody is counted for two days.</param>
    /// <exception cref="PlanStumblesException">Something that is ordered does not hold together; it is named.</exception>
    public static DayLoad Of(DaySnapshot snapshot, int fromMin)
    {
        var lots = Lot.From(snapshot.Orders, snapshot.Room.PotLitres);
        var to = snapshot.Orders.Select(order => order.PickUpMin).DefaultIfEmpty(0).Max();
        var ahead = MadeFirst(lots, snapshot with { Stock = DayStock.None });
        return new DayLoad(
            lots.Sum(lot => lot.ProcessLeft().Steps.Sum(step => (long)(step.Hands?.For(lot.Count) ?? 0)))
                + ahead.Mixed.Where(one => one.Batch.Dough.IsMixed).Sum(one => (long)HandsOf(one.Batch.Dough))
                + ahead.Made.SelectMany(made => made.Steps).Where(timed => timed.Step.Wait is null && !timed.Step.IsBake).Sum(timed => (long)timed.EndMin - timed.StartMin),
            snapshot.Shifts.Any(shift => shift.People is null) ? null : snapshot.Shifts.Sum(shift => Within(shift) * shift.People!.Value),
            lots.Sum(lot => lot.Trays.Count * lot.ProcessLeft().Steps.Sum(InOven)) + ahead.Made.Sum(made => made.Batch.How.Batches.TraysFor(made.Batch.Weighed) * made.Batch.How.Method.Sum(InOven)),
            snapshot.OvensWatched.Sum(Within) * snapshot.Ovens.Sum(oven => oven.Shelves + (oven.FloorPlaces ?? 0)));

        long Within(DayShift shift) => Math.Max(0, Math.Min(shift.EndMin, to) - Math.Max(shift.StartMin, fromMin));
    }

    private static long InOven(Step step) => step.IsBake ? step.HeatedTrayMin + step.Stages.Sum(stage => (long)stage.MinMin) : 0;

    /// <summary>What is mixed and made for the lots, as it is expected before any oven is planned.</summary>
    private static DoughAndMade MadeFirst(IReadOnlyList<Lot> lots, DaySnapshot snapshot)
    {
        var calendar = new ShiftCalendar(snapshot.Shifts, snapshot.Midnights);
        var mostTrays = snapshot.Ovens.Select(oven => oven.Shelves).DefaultIfEmpty(1).Max();
        LotAim[] aims = [.. lots.Select(lot => PlanStumblesException.Over(lot, () => LotAim.First(new LotWork(lot, calendar, mostTrays, snapshot.SpareMin), snapshot.HorizonMin)))];
        return DoughAndMade.Expected(aims, snapshot, calendar);
    }

    private static int HandsOf(DoughFormula dough) => dough.MixMinutes + (dough.Method.Turns * dough.Method.TurnMinutes);
}
