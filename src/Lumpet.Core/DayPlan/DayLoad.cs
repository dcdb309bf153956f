using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day asks for against what there is, reckoned without planning it: whether it can be done at all, and how full it is.</summary>
/// <param name="WorkMin">Minutes of hands on its pies and doughs, what else is made first not counted.</param>
/// <param name="HandsMin">Minutes of hands that are there for it; null where some shift does not say how many it has.</param>
/// <param name="TrayMin">Trays times the least minutes of their bakes.</param>
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
    public static DayLoad Of(DaySnapshot snapshot, int fromMin)
    {
        var lots = Lot.From(snapshot.Orders, snapshot.Room.PotLitres);
        var to = snapshot.Orders.Select(order => order.PickUpMin).DefaultIfEmpty(0).Max();
        return new DayLoad(
            lots.Sum(lot => lot.ProcessLeft().Steps.Sum(step => (long)(step.Hands?.For(lot.Count) ?? 0))) + Mixing(lots, snapshot),
            snapshot.Shifts.Any(shift => shift.People is null) ? null : snapshot.Shifts.Sum(shift => Within(shift) * shift.People!.Value),
            lots.Sum(lot => (long)lot.Trays.Count * lot.ProcessLeft().Steps.Where(step => step.IsBake).Sum(step => step.HeatedTrayMin + step.Stages.Sum(stage => stage.MinMin))),
            snapshot.OvensWatched.Sum(Within) * snapshot.Ovens.Sum(oven => oven.Shelves + (oven.FloorPlaces ?? 0)));

        long Within(DayShift shift) => Math.Max(0, Math.Min(shift.EndMin, to) - Math.Max(shift.StartMin, fromMin));
    }

    /// <summary>Minutes at the mixer: as few batches as hold what the pies take.</summary>
    private static long Mixing(IReadOnlyList<Lot> lots, DaySnapshot snapshot) => lots
        .SelectMany(lot => Scaling.Scale(lot.Product, lot.Pan, lot.Count).Pieces.Select(piece => (Dough: piece.IsOnTop && lot.Product.TopDough is { } top ? top : lot.Product.Dough, Grams: piece.Disc.Grams * lot.Count)))
        .Where(piece => piece.Dough.IsMixed)
        .GroupBy(piece => piece.Dough.Id)
        .Sum(dough => (long)Math.Ceiling(dough.Sum(piece => piece.Grams) / snapshot.Mixer.LargestBatch.Grams) * HandsOf(dough.First().Dough));

    private static int HandsOf(DoughFormula dough) => dough.MixMinutes + (dough.Method.Turns * dough.Method.TurnMinutes);
}
