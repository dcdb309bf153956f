using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Scheduling;

namespace Lumpet.Core.DayPlan;

/// <summary>A levelled schedule, put back into the parcels and batches that it was made of.</summary>
/// <param name="work">What was levelled.</param>
/// <param name="found">Where everything is.</param>
/// <param name="rightAfter">What is done right after what: it takes no longer than it must then.</param>
internal sealed class MovedWork(CrewWork work, Schedule found, IReadOnlyDictionary<string, string> rightAfter)
{
    private readonly Dictionary<string, int> moved = [];

    /// <summary>The round with everything where it was found.</summary>
    /// <param name="before">The round as it was.</param>
    /// <param name="letGo">Why what found no hands is not made, by what it belongs to.</param>
    public CrewLevelling Of(CrewLevelling before, IReadOnlyDictionary<string, PlanText> letGo)
    {
        var parcels = WithMisfits([.. before.Parcels.Select(Moved)], letGo);
        return new CrewLevelling(parcels, [.. before.Mixed.Select(Moved).OrderBy(one => one.Batch.MixStartMin).ThenBy(one => one.Batch.Number)], [.. before.Made.Select(Moved)], moved)
        {
            FromStock = [.. before.FromStock.Select(use => use with { AtMin = Taken(use.TaskId, use.AtMin) })],
            RightAfter = rightAfter,
        };
    }

    /// <summary>Parcels that say which of their work, or of what they take, finds no hands.</summary>
    /// <param name="parcels">The parcels.</param>
    /// <param name="letGo">Why, by what it belongs to.</param>
    public static IReadOnlyList<Parcel> WithMisfits(IReadOnlyList<Parcel> parcels, IReadOnlyDictionary<string, PlanText> letGo) =>
        [.. parcels.Select(parcel => letGo.TryGetValue(CrewWork.Owner(parcel), out var why) ? parcel with { Times = parcel.Times with { Misfits = [.. parcel.Times.Misfits, Misfit(parcel, why)] } } : parcel)];

    /// <summary>Its first bake comes later by what its longest work takes: then there may be hands.</summary>
    private static Misfit Misfit(Parcel parcel, PlanText why)
    {
        var graph = parcel.Work.Graph;
        var longest = Enumerable.Range(0, graph.Nodes.Count).Where(node => !graph.Nodes[node].IsBake).Select(node => parcel.Times.End[node] - parcel.Times.Start[node]).DefaultIfEmpty(0).Max();
        return new Misfit(graph.Bakes.Count == 0 ? -1 : graph.Bakes[0], 0, longest, why);
    }

    private int Start(string taskId, int wasMin)
    {
        if (work.StartIn(found, taskId) is not { } start) return wasMin;
        if (start != wasMin) moved[taskId] = start - wasMin;
        return start;
    }

    /// <summary>When something is taken by a task: what is not looked at stays where it was.</summary>
    private int Taken(string? taskId, int wasMin) => work.StartIn(found, taskId) ?? wasMin;

    private Parcel Moved(Parcel parcel)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        int[] start = [.. Enumerable.Range(0, graph.Nodes.Count).Select(node => graph.Nodes[node].IsBake ? times.Start[node] : Start(DayTasks.Id(parcel, graph.Nodes[node].Id), times.Start[node]))];
        return parcel with { Times = times with { Start = start, End = [.. start.Select((at, node) => at + Minutes(parcel, node))] } };
    }

    private int Minutes(Parcel parcel, int node)
    {
        var (step, minutes) = (parcel.Work.Graph.Nodes[node], parcel.Times.End[node] - parcel.Times.Start[node]);
        return rightAfter.ContainsKey(DayTasks.Id(parcel, step.Id)) ? Math.Min(minutes, step.Hands!.Onward(parcel.Pies)) : minutes;
    }

    private MixedBatch Moved(MixedBatch one)
    {
        var batch = one.Batch;
        DoughDemand[] discs = [.. batch.Discs.Select(disc => disc with { NeededMin = Taken(disc.TaskId, disc.NeededMin) })];
        return one with
        {
            Batch = batch with
            {
                Discs = discs,
                NeededMin = discs.Min(disc => disc.NeededMin),
                MixStartMin = Start(DayTasks.Id(batch, DayTasks.Mix), batch.MixStartMin),
                Turns = [.. batch.Turns.Select((at, turn) => Start(DayTasks.Id(batch, DayTasks.Turn(turn)), at))],
            },
        };
    }

    private MadeBatch Moved(MadeBatch one)
    {
        PreparationDemand[] uses = [.. one.Batch.Uses.Select(use => use with { NeededMin = Taken(use.TaskId, use.NeededMin) })];
        var batch = one.Batch with { Uses = uses, NeededMin = uses.Min(use => use.NeededMin) };
        TimedStep[] times = [.. one.Steps.Where(step => step.Step.Wait is null).Select(step =>
        {
            var start = step.Step.IsBake ? step.StartMin : Start(DayTasks.Id(batch, step.Step.Id), step.StartMin);
            return step with { StartMin = start, EndMin = start + step.EndMin - step.StartMin };
        })];
        return one with { Batch = batch, Steps = [.. MakingTimetable.WithWaits(batch.How.Method, times, batch.NeededMin - batch.How.Keeping.ToUse.Least)] };
    }
}
