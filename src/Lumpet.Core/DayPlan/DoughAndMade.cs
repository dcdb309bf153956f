using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>Doughs and everything else that is made before the pies, settled against each other: either may take the other.</summary>
/// <param name="Mixed">Dough batches, timed.</param>
/// <param name="Made">Batches of everything else, timed.</param>
/// <param name="Demands">What pies and doughs take of what is made.</param>
/// <param name="FromStock">What is taken of what is there already.</param>
internal sealed record DoughAndMade(IReadOnlyList<MixedBatch> Mixed, IReadOnlyList<MadeBatch> Made, IReadOnlyList<PreparationDemand> Demands, IReadOnlyList<StockUse> FromStock)
{
    /// <summary>What lots take when their bakes are as late as they may be, before any oven is planned.</summary>
    /// <param name="aims">The lots, the first pick-up first.</param>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="calendar">The shifts.</param>
    public static DoughAndMade Expected(IReadOnlyList<LotAim> aims, DaySnapshot snapshot, ShiftCalendar calendar) => Settle(
        [.. aims.SelectMany(aim => DiscDemands.Of(aim.Work, aim.Work.Lot.Count, DayMaking.ExpectedTimes(aim)))], DayMaking.Expected(aims), null, snapshot, calendar, [.. aims.Select(aim => aim.Work.Lot.Id)]);

    /// <summary>
    /// Mixes what the discs take, makes what pies and doughs take, mixes what that takes in turn, and so on until nothing
    /// more is wanted: as often as things may lie in one another, since nothing is made of itself.
    /// </summary>
    /// <param name="discs">What the pies take of doughs.</param>
    /// <param name="asked">What the pies take of everything else.</param>
    /// <param name="plan">What the ovens answered; null before they were asked.</param>
    /// <param name="snapshot">What is asked: the mixer, when others have it, and what is there already.</param>
    /// <param name="calendar">The shifts.</param>
    /// <param name="lots">All lots, the first pick-up first: what is there goes to it first.</param>
    public static DoughAndMade Settle(
        IReadOnlyList<DoughDemand> discs, IReadOnlyList<PreparationDemand> asked, BakePlan? plan, DaySnapshot snapshot, ShiftCalendar calendar, IReadOnlyList<string> lots)
    {
        var making = new DayMaking(calendar);
        DoughDemand[] portions = [];
        for (var level = 0; ; level++)
        {
            var there = new StockTaking(snapshot.Stock, snapshot.FirstMin, lots);
            var mixed = Mix(there.Left([.. discs, .. portions]), snapshot, calendar);
            PreparationDemand[] demands = [.. asked, .. DayMaking.Of(mixed)];
            var made = making.Make(demands, plan, there);
            DoughDemand[] next = [.. made.Dough.SelectMany(demand => Portions(demand, snapshot.Mixer))];
            if (level > MadeHereNesting.MostLevels || next.Select(Key).SequenceEqual(portions.Select(Key))) return new DoughAndMade(mixed, made.Batches, demands, there.Uses);
            portions = next;
        }
    }

    private static IReadOnlyList<MixedBatch> Mix(IReadOnlyList<DoughDemand> demands, DaySnapshot snapshot, ShiftCalendar calendar)
    {
        DoughBatch[] batches =
        [
            .. demands.GroupBy(demand => demand.Dough.Id)
                .OrderBy(group => group.Key, StringComparer.Ordinal)
                .SelectMany(group => DoughBatching.Divide([.. group], snapshot.Mixer)),
        ];
        return Mixing.Schedule(batches, calendar.LatestStart, calendar.Stretches.Count > 0 ? calendar.Stretches[0].StartMin : 0, [.. snapshot.Taken.Mixing.Select(taken => (taken.FromMin, taken.ToMin))]);
    }

    /// <summary>What is taken of a dough, in equal portions that each leave the mixer at once.</summary>
    private static IEnumerable<DoughDemand> Portions(PreparationDemand demand, Mixer mixer)
    {
        var dough = ((DoughMaking)demand.Made.Formula!.How!).Dough;
        var count = dough.IsMixed ? Math.Max(1, (int)Math.Ceiling((dough.BatchFor(demand.Wanted) / mixer.LargestBatch) - 1e-9)) : 1;
        yield return new DoughDemand(dough, demand.LotIds, demand.Label, demand.Wanted / count, count, null, demand.NeededMin) { TaskId = demand.TaskId };
    }

    private static (string, string?, double, int, int) Key(DoughDemand demand) => (demand.Dough.Id, demand.TaskId, demand.Disc.Grams, demand.Count, demand.NeededMin);
}
