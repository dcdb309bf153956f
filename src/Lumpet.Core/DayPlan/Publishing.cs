using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.DayPlan;

/// <summary>Puts down what has to be known of a plan once a crew works by it.</summary>
public static class Publishing
{
    /// <summary>A plan, as it is kept.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="ovensWatched">When somebody watches the ovens.</param>
    /// <param name="about">What a task is about, with its pick-up: it will belong to no lot.</param>
    /// <param name="begun">What was begun by a plan that was published before, around which this one was made; null where nothing was.</param>
    public static PublishedPlan Of(PlannedDay plan, IReadOnlyList<DayShift> ovensWatched, Func<DayTask, string> about, BegunWork? begun)
    {
        var before = begun?.Stock ?? DayStock.None;
        var left = before.Less(plan.FromStock);
        var uses = plan.FromStock.ToLookup(use => use.StockId);
        return new PublishedPlan(
            [
                .. plan.Tasks.Where(task => task.LotId is not null && task.Kind != TaskKind.Wait).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')]).Select(parcel => Pies(plan.Lot(parcel.First().LotId!), [.. parcel])),
                .. left.Pies.Concat(plan.Ready.Select(one => before.Pies.FirstOrDefault(pies => pies.Id == one.StockId) is { } pies ? pies with { Count = one.Lot.Count } : null).OfType<StockedPies>())
                    .Select(pies => new PublishedPies(pies.ProductId, pies.PanId, pies.Count, pies.UntilMin, new Dictionary<string, string>(), pies.Done)),
            ],
            [
                .. plan.Batches.Select(batch => new PublishedMade(
                    batch.Dough.IngredientId,
                    [DayTasks.Id(batch, DayTasks.Mix), .. batch.Turns.Select((_, turn) => DayTasks.Id(batch, DayTasks.Turn(turn)))],
                    [.. batch.Discs.Select(disc => new PublishedShare(disc.TaskId, disc.Disc.Grams * disc.Count)), new PublishedShare(null, batch.Surplus.Grams)],
                    batch.RestStartMin + batch.Dough.Rest.Least,
                    batch.RestStartMin + batch.Dough.Rest.Most,
                    KeepPlace.Cold,
                    0)),
                .. plan.Made.Select(Made),
                .. before.Masses.Select(mass => new PublishedMade(
                    mass.MadeId,
                    [],
                    [.. uses[mass.Id].Select(use => new PublishedShare(use.TaskId, use.Taken.Grams)), new PublishedShare(null, left.Masses.FirstOrDefault(one => one.Id == mass.Id)?.Mass.Grams ?? 0)],
                    mass.ReadyMin,
                    mass.UntilMin,
                    mass.Place,
                    mass.ThawMin)),
            ],
            [
                .. plan.FromStock.Where(use => before.Masses.All(one => one.Id != use.StockId) && before.Pies.All(one => one.Id != use.StockId)).Select(use => new PublishedUse(use.StockId, use.TaskId, use.AtMin, use.Taken.Grams, use.Pies)),
                .. begun?.Used.Select(use => new PublishedUse(use.StockId, null, int.MinValue, use.Taken.Grams, use.Pies)) ?? [],
            ],
            [.. plan.Loads.SelectMany(load => load.Visits.Select(visit => Tray(plan, load.OvenId, visit))).OfType<PublishedTray>(), .. begun?.Trays ?? []],
            [
                .. plan.Tasks.Where(task => task.Kind != TaskKind.Wait).Select(task => new PublishedTask(AlongTheWay(plan, task, about(task)), IsFromBefore: false)),
                .. begun?.GoingOn.Select(task => new PublishedTask(task, IsFromBefore: true)) ?? [],
            ],
            ovensWatched,
            BakePlanFile.Write(plan.Problem),
            BakePlanFile.Write(plan.BakePlan));
    }

    /// <summary>What is done of what else was begun before counts with what this plan does.</summary>
    private static PublishedPies Pies(Lot lot, DayTask[] tasks) => new(
        lot.Product.Id, lot.Pan.Id, tasks[0].Pies, lot.PickUpMin, tasks.ToDictionary(task => task.StepId, task => task.Id), lot.Begun?.Done ?? new Dictionary<string, int>());

    private static PublishedMade Made(MadeBatch one)
    {
        var keeping = one.Batch.How.Keeping;
        var thaw = keeping.Place == KeepPlace.Frozen ? keeping.ThawMin : 0;
        return new PublishedMade(
            one.Batch.Made.Id,
            [.. one.Steps.Where(step => step.Step.Wait is null).Select(step => DayTasks.Id(one.Batch, step.Step.Id))],
            [.. one.Batch.Uses.Select(use => new PublishedShare(use.TaskId, use.Wanted.Grams)), new PublishedShare(null, one.Batch.Surplus.Grams)],
            one.DoneMin + keeping.Hold.Least,
            one.DoneMin + keeping.Hold.Most + thaw,
            keeping.Place,
            thaw);
    }

    /// <summary>Trays in an oven; null of pies of which another bake found no place, so that nobody begins them.</summary>
    private static PublishedTray? Tray(PlannedDay plan, string ovenId, LoadVisit visit)
    {
        var (thing, made) = (plan.Thing(visit), plan.Made.FirstOrDefault(one => one.Batch.Id == visit.LotId)?.Batch.Made);
        var bake = made is not null ? DayTasks.Id(plan.Made.First(one => one.Batch.Id == visit.LotId).Batch, visit.StepId)
            : plan.Tasks.FirstOrDefault(task => task.LotId == visit.LotId && task.StepId == visit.StepId && task.StartMin <= visit.Stages[0].StartMin && visit.EndMin <= task.EndMin)?.Id;
        if (bake is null) return null;
        var settings = plan.BakePlan.Settings.Where(setting => setting.OvenId == ovenId).ToArray();
        var standing = new StandingTray(ovenId, visit.HeatedFromMin, visit.EndMin, StandingTrays.Between(settings, visit.HeatedFromMin, visit.EndMin));
        return new PublishedTray(
            bake, ovenId, visit, [.. visit.Shelves.Select(shelf => standing with { OnFloor = shelf > plan.Ovens[ovenId].Shelves })], thing.Name, thing.NeededMin, thing.Lot?.Product.Id, made?.Id, thing.Lot?.Pan.Id);
    }

    private static DayTask AlongTheWay(PlannedDay plan, DayTask task, string about) => task with
    {
        LotId = null,
        IsMadeFirst = true,
        About = about,
        Celsius = task.Celsius ?? plan.Lot(task.LotId!).ProcessLeft().Steps.First(step => step.Id == task.StepId).Stages[0].TempC,
    };
}
