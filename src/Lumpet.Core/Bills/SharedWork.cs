using Lumpet.Core.Batches;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Bills;

/// <summary>For which pies of a plan hands and ovens work: on the pies themselves, or on doughs and batches of which several take.</summary>
internal sealed class SharedWork(PlannedDay plan)
{
    private readonly DayTask[] work = [.. plan.AllTasks().Where(task => task.Kind == TaskKind.Hands)];
    private readonly HashSet<string> lots = [.. plan.Lots.Select(lot => lot.Id)];
    private readonly Dictionary<string, KeyValuePair<string, decimal>[]> made = plan.Made.ToDictionary(one => one.Batch.Id, one => Takers(one.Batch));
    private readonly Dictionary<string, string> batchOfTask = plan.Made.SelectMany(one => one.Steps.Select(step => (Task: DayTasks.Id(one.Batch, step.Step.Id), one.Batch.Id))).ToDictionary(one => one.Task, one => one.Id);
    private readonly Dictionary<string, KeyValuePair<string, decimal>[]> doughs = plan.Batches
        .SelectMany(batch => Enumerable.Range(0, batch.Turns.Count).Select(DayTasks.Turn).Prepend(DayTasks.Mix)
            .Select(what => KeyValuePair.Create(DayTasks.Id(batch, what), Split(batch.Discs.Select(disc => (disc.LotIds, disc.Disc.Grams * disc.Count))))))
        .ToDictionary();

    private readonly Dictionary<string, KeyValuePair<string, decimal>[]> inOven = [];

    /// <summary>Minutes of hands in all.</summary>
    public decimal AllHandsMin => work.Sum(task => Minutes(task));

    /// <summary>Minutes of hands by the lot that they are for; those that are for none are left out.</summary>
    public IEnumerable<KeyValuePair<string, decimal>> Hands() => work.SelectMany(task => Shares.Of(Minutes(task), WhoseIs(task)));

    /// <summary>Who has how much of an oven: trays times minutes, by the lot.</summary>
    public IReadOnlyList<KeyValuePair<string, decimal>> InOven(string ovenId) => inOven.TryGetValue(ovenId, out var known) ? known : inOven[ovenId] =
    [
        .. from load in plan.Loads
           where load.OvenId == ovenId
           from visit in load.Visits
           let held = (decimal)visit.Shelves.Count * (visit.EndMin - visit.HeatedFromMin)
           from share in Shares.Of(held, lots.Contains(visit.LotId) ? [KeyValuePair.Create(visit.LotId, 1m)] : made.GetValueOrDefault(visit.LotId, []))
           select share,
    ];

    /// <summary>What doughs and batches make beyond what is taken, each thing once.</summary>
    public IEnumerable<(Ingredient Made, Mass Mass)> Surplus() =>
        from one in plan.Batches.Select(batch => (Made: batch.Dough.AsIngredient(), batch.Surplus)).Concat(plan.Made.Select(one => (one.Batch.Made, one.Batch.Surplus)))
        where one.Surplus.Grams > LeftOver.Hair
        group one by one.Made.Id into same
        select (same.First().Made, Mass.FromGrams(same.Sum(one => one.Surplus.Grams)));

    private IEnumerable<KeyValuePair<string, decimal>> WhoseIs(DayTask task)
    {
        if (task.LotId is { } lot) return lots.Contains(lot) ? [KeyValuePair.Create(lot, 1m)] : [];
        if (doughs.TryGetValue(task.Id, out var takers)) return takers;
        if (batchOfTask.TryGetValue(task.Id, out var batch)) return made[batch];
        // At a door for the trays of its oven.
        return plan.Ovens.Keys.FirstOrDefault(oven => task.Id.StartsWith($"{oven}/door/", StringComparison.Ordinal)) is { } door ? InOven(door) : [];
    }

    private static decimal Minutes(DayTask task) => task.EndMin - task.StartMin;

    private static KeyValuePair<string, decimal>[] Takers(PreparationBatch batch) => Split(batch.Uses.Select(use => (use.LotIds, use.Wanted.Grams)));

    /// <summary>What is for several lots is for each of them alike.</summary>
    private static KeyValuePair<string, decimal>[] Split(IEnumerable<(IReadOnlyList<string> LotIds, double Grams)> uses) =>
        [.. uses.SelectMany(use => use.LotIds.Select(lot => KeyValuePair.Create(lot, (decimal)(use.Grams / use.LotIds.Count))))];
}
