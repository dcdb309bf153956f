using Lumpet.Core.Dough;
using Lumpet.Core.Steps;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>Works out the reasons of what a task belongs to: a batch of dough, or a parcel.</summary>
internal sealed class ReasonSearch(DayRound round, DoughBatch[] batches, IReadOnlyList<DayShift> stretches, IReadOnlySet<string> taskIds)
{
    private readonly Dictionary<string, TaskReason> reasons = [];
    private readonly IReadOnlyList<Parcel> parcels = round.Parcels;
    private readonly StaysInOven stays = new(round.Problem, round.Plan);

    /// <summary>The reason of a task, with those of its batch or its parcel.</summary>
    public IReadOnlyDictionary<string, TaskReason> Of(string id)
    {
        for (var at = 0; at < batches.Length; at++)
            if (id.StartsWith(DayTasks.Id(batches[at], string.Empty), StringComparison.Ordinal)) Batch(at);
        foreach (var made in round.Made)
            if (id.StartsWith(DayTasks.Id(made.Batch, string.Empty), StringComparison.Ordinal)) Made(made);
        foreach (var parcel in parcels)
            if (id.StartsWith(DayTasks.Id(parcel, string.Empty), StringComparison.Ordinal)) Parcel(parcel);
        return reasons;
    }

    private void Batch(int at)
    {
        var batch = batches[at];
        var lots = batch.Discs.Where(disc => disc.Piece is not null).SelectMany(disc => disc.LotIds).ToHashSet();
        var first = batch.Discs.Where(disc => disc.NeededMin == batch.NeededMin).All(disc => disc.Piece is null) ? "the first of it is taken" : "the first disc is rolled";
        TaskLink[] rollers =
        [
            .. from parcel in parcels
               where lots.Contains(parcel.Work.Lot.Id)
               from node in Enumerable.Range(0, parcel.Work.Graph.Nodes.Count)
               where parcel.Work.Graph.Nodes[node].UsesDough && parcel.Times.Start[node] >= batch.NeededMin
               select new TaskLink(DayTasks.Id(parcel, parcel.Work.Graph.Nodes[node].Id), parcel.Times.Start[node] - batch.NeededMin, 0),
            .. batch.Discs.Where(disc => disc.Piece is null && disc.TaskId is not null && taskIds.Contains(disc.TaskId)).DistinctBy(disc => disc.TaskId).Select(disc => new TaskLink(disc.TaskId!, disc.NeededMin - batch.NeededMin, 0)),
        ];
        var rest = batch.NeededMin - batch.RestStartMin;
        var spare = rest - batch.Dough.Rest.Least;
        var next = at + 1 < batches.Length ? batches[at + 1] : null;
        var mixerFree = next is null ? int.MaxValue : next.MixStartMin - batch.MixEndMin;
        var turns = batch.Turns.Count;
        var afterMix = turns == 0 ? spare : batch.Turns[0] - batch.MixEndMin;
        TaskLink[] before = at == 0 ? [] : [new TaskLink(DayTasks.Id(batches[at - 1], DayTasks.Mix), batch.MixStartMin - batches[at - 1].MixEndMin, 0)];
        before = [.. before, .. MadeFor(DayTasks.Id(batch, DayTasks.Mix))];
        reasons[DayTasks.Id(batch, DayTasks.Mix)] = new TaskReason(
            turns > 0 ? Say($"its {turns} turns and the cold after each come first; {first} at {At(batch.NeededMin)}")
                : rest <= batch.Dough.Rest.Aim ? Say($"as late as its rest allows: {first} at {At(batch.NeededMin)}, after {Long(rest)} in the cold")
                : mixerFree == 0 ? Say($"the mixer is wanted for the next batch at {At(batch.MixEndMin)}")
                : Say($"the shift leaves no later place; {first} at {At(batch.NeededMin)}"),
            before,
            [new TaskLink(DayTasks.Id(batch, turns == 0 ? DayTasks.Rest : DayTasks.Turn(0)), turns == 0 ? 0 : afterMix, 0)],
            Math.Min(Math.Min(afterMix, mixerFree), ShiftLeft(batch.MixEndMin)),
            mixerFree < afterMix ? Say($"the next batch is held up at {At(batch.MixEndMin + mixerFree)}")
                : turns > 0 ? Say($"its first turn is held up at {At(batch.Turns[0])}")
                : Say($"the dough rests under {Long(batch.Dough.Rest.Least)}"));
        for (var turn = 0; turn < turns; turn++) Turn(batch, turn);
        reasons[DayTasks.Id(batch, DayTasks.Rest)] = new TaskReason(
            Say($"{Long(batch.Dough.Rest.Least)} at least, {Long(batch.Dough.Rest.Aim)} wanted; here {Long(rest)}"),
            [new TaskLink(DayTasks.Id(batch, turns == 0 ? DayTasks.Mix : DayTasks.ColdAfter(turns - 1)), 0, 0)],
            rollers,
            spare,
            Say($"the dough rests under {Long(batch.Dough.Rest.Least)}"));
    }

    /// <summary>The last tasks of what is made first and taken by a task, doughs among it.</summary>
    private IEnumerable<TaskLink> MadeFor(string taskId) =>
        (from one in round.Made
         from use in one.Batch.Uses.Where(use => use.TaskId == taskId).Take(1)
         select new TaskLink(DayTasks.Id(one.Batch, Last(one).Step.Id), use.NeededMin - Last(one).EndMin, 0))
        .Concat(
            from batch in batches
            from portion in batch.Discs.Where(disc => disc.Piece is null && disc.TaskId == taskId).Take(1)
            select new TaskLink(DayTasks.Id(batch, DayTasks.Rest), portion.NeededMin - batch.NeededMin, 0));

    /// <summary>Where it is kept or thaws, or where neither comes between, its last step.</summary>
    private static TimedStep Last(MadeBatch one) => one.Kept is [.., { } kept] ? kept : one.Steps[^1];

    private void Made(MadeBatch made)
    {
        var (batch, hold, kept) = (made.Batch, made.Batch.How.Keeping.ToUse, made.Kept);
        TaskLink[] takers = [.. batch.Uses.Where(use => taskIds.Contains(use.TaskId)).DistinctBy(use => use.TaskId).Select(use => new TaskLink(use.TaskId, use.NeededMin - Last(made).EndMin, 0))];
        for (var at = 0; at < made.Steps.Count; at++)
        {
            var (step, start, end) = made.Steps[at];
            var next = at + 1 < made.Steps.Count ? made.Steps[at + 1] : null;
            TaskLink[] before = at > 0 ? [new TaskLink(DayTasks.Id(batch, made.Steps[at - 1].Step.Id), start - made.Steps[at - 1].EndMin, 0)] : [.. MadeFor(DayTasks.Id(batch, step.Id))];
            TaskLink[] after = next is not null ? [new TaskLink(DayTasks.Id(batch, next.Step.Id), next.StartMin - end, 0)]
                : kept.Count > 0 ? [new TaskLink(DayTasks.Id(batch, kept[0].Step.Id), 0, 0)] : takers;
            var follows = next?.StartMin ?? batch.NeededMin - hold.Least;
            // A wait after it gives way as far as its least.
            var slip = next?.Step.Wait is { } wait ? next.EndMin - next.StartMin - wait.Least : step.Wait is { } own ? end - start - own.Least : follows - end;
            reasons[DayTasks.Id(batch, step.Id)] = new TaskReason(
                step.Wait is { } of ? Say($"{Long(of.Least)} at least, {Long(of.Aim)} wanted, {Long(of.Most)} at most; here {Long(end - start)}")
                    : step.IsBake ? Say($"the ovens cost least this way; the first of it is used at {At(batch.NeededMin)}")
                    : Say($"as late as what follows, its keeping and the shifts allow: the first of it is used at {At(batch.NeededMin)}"),
                before,
                after,
                step.Wait is null ? Math.Min(slip, ShiftLeft(end)) : slip,
                step.Wait is null && ShiftLeft(end) < slip ? Say($"the shift ends at {At(end + ShiftLeft(end))}") : Say($"what takes it is held up at {At(batch.NeededMin)}"));
        }

        for (var at = 0; at < kept.Count; at++)
        {
            var (step, start, end) = kept[at];
            var own = step.Wait!;
            reasons[DayTasks.Id(batch, step.Id)] = new TaskReason(
                Say($"{Long(own.Least)} at least, {Long(own.Aim)} wanted, {Long(own.Most)} at most; here {Long(end - start)}"),
                [new TaskLink(DayTasks.Id(batch, (at > 0 ? kept[at - 1] : made.Steps[^1]).Step.Id), 0, 0)],
                at + 1 < kept.Count ? [new TaskLink(DayTasks.Id(batch, kept[at + 1].Step.Id), 0, 0)] : takers,
                end - start - own.Least,
                Say($"what takes it is held up at {At(batch.NeededMin)}"));
        }
    }

    private void Turn(DoughBatch batch, int turn)
    {
        var (method, start) = (batch.Dough.Method, batch.Turns[turn]);
        var isLast = turn == batch.Turns.Count - 1;
        var end = start + method.TurnMinutes;
        var cold = (isLast ? batch.RestStartMin : batch.Turns[turn + 1]) - end;
        var beforeIt = turn == 0 ? batch.MixEndMin : start;
        var before = new TaskLink(DayTasks.Id(batch, turn == 0 ? DayTasks.Mix : DayTasks.ColdAfter(turn - 1)), start - beforeIt, 0);
        var after = new TaskLink(DayTasks.Id(batch, DayTasks.ColdAfter(turn)), 0, 0);
        reasons[DayTasks.Id(batch, DayTasks.Turn(turn))] = new TaskReason(
            Say($"as late as {Long(method.TurnRestMinutes)} of cold after it allow, and someone is there"), [before], [after], cold - method.TurnRestMinutes, Say($"the cold after it is under {Long(method.TurnRestMinutes)}"));
        reasons[DayTasks.Id(batch, DayTasks.ColdAfter(turn))] = new TaskReason(
            Say($"{Long(method.TurnRestMinutes)} at least; here {Long(cold)}"),
            [new TaskLink(DayTasks.Id(batch, DayTasks.Turn(turn)), 0, 0)],
            [new TaskLink(DayTasks.Id(batch, isLast ? DayTasks.Rest : DayTasks.Turn(turn + 1)), 0, 0)],
            cold - method.TurnRestMinutes,
            Say($"what follows is held up at {At(end + cold)}"));
    }

    private void Parcel(Parcel parcel)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        for (var node = 0; node < graph.Nodes.Count; node++) reasons[DayTasks.Id(parcel, graph.Nodes[node].Id)] = Node(parcel, node);
        foreach (var edge in graph.Edges)
        {
            TimedStep[] waits = [.. DayTasks.Waits(edge, times)];
            for (var at = 0; at < waits.Length; at++)
            {
                var (wait, minutes) = (waits[at].Step.Wait!, waits[at].EndMin - waits[at].StartMin);
                reasons[DayTasks.Id(parcel, waits[at].Step.Id)] = new TaskReason(
                    Say($"{Long(wait.Least)} at least, {Long(wait.Aim)} wanted, {Long(wait.Most)} at most; here {Long(minutes)}"),
                    [new TaskLink(DayTasks.Id(parcel, at == 0 ? graph.Nodes[edge.From].Id : waits[at - 1].Step.Id), 0, 0)],
                    [new TaskLink(DayTasks.Id(parcel, at == waits.Length - 1 ? graph.Nodes[edge.To].Id : waits[at + 1].Step.Id), 0, 0)],
                    minutes - wait.Least,
                    Say($"\"{graph.Nodes[edge.To].Name}\" comes later than {At(times.Start[edge.To])}"));
            }
        }
    }

    private TaskReason Node(Parcel parcel, int node)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        StepEdge[] onward = [.. graph.Out(node)];
        var rests = graph.Nodes[node].UsesDough
            ? batches.Where(batch => batch.NeededMin <= times.Start[node] && batch.Discs.Any(disc => disc.IsDiscOf(parcel.Work.Lot.Id)))
                .Select(batch => new TaskLink(DayTasks.Id(batch, DayTasks.Rest), times.Start[node] - batch.NeededMin, 0))
            : [];
        TaskLink[] made = [.. MadeFor(DayTasks.Id(parcel, graph.Nodes[node].Id))];
        var slip = onward.Where(edge => edge.Carries).Select(edge => times.Start[edge.To] - times.End[node] - edge.Lag.Least).DefaultIfEmpty(parcel.Work.Lot.PickUpMin - times.End[node]).Min();
        var shift = ShiftLeft(times.End[node]);
        var longer = graph.Nodes[node].IsBake ? stays.Longer(parcel.Work.BakeId(node), parcel.Trays, graph.Nodes[node].HeatedTrayMin) : (Minutes: int.MaxValue, Ends: Empty);
        return new TaskReason(
            Why(parcel, node, onward),
            [.. graph.Into(node).Select(edge => Link(parcel, edge, edge.From, edge.LastWait)), .. rests, .. made],
            [.. onward.Select(edge => Link(parcel, edge, edge.To, edge.FirstWait))],
            Math.Min(longer.Minutes, Math.Min(slip, shift)),
            longer.Minutes <= Math.Min(slip, shift) ? longer.Ends
                : shift < slip ? Say($"the shift ends at {At(times.End[node] + shift)}")
                : onward.Length == 0 ? Say($"the pick-up at {At(parcel.Work.Lot.PickUpMin)} is missed")
                : Touched(parcel, node, onward));
    }

    private static PlanText Touched(Parcel parcel, int node, StepEdge[] onward)
    {
        var edge = onward.Where(edge => edge.Carries).MinBy(edge => parcel.Times.Start[edge.To] - parcel.Times.End[node] - edge.Lag.Least)!;
        return Say($"\"{parcel.Work.Graph.Nodes[edge.To].Name}\" cannot begin at {At(parcel.Times.Start[edge.To])}");
    }

    /// <summary>What stands next to a node: the wait beside it, or where there is none the other node.</summary>
    private static TaskLink Link(Parcel parcel, StepEdge edge, int other, Step? wait) => wait is not null
        ? new TaskLink(DayTasks.Id(parcel, wait.Id), 0, 0)
        : new TaskLink(DayTasks.Id(parcel, parcel.Work.Graph.Nodes[other].Id), parcel.Times.Start[edge.To] - parcel.Times.End[edge.From], edge.Lag.Least);

    private PlanText Why(Parcel parcel, int node, StepEdge[] onward)
    {
        var (graph, times, work) = (parcel.Work.Graph, parcel.Times, parcel.Work);
        if (graph.Nodes[node].IsBake)
            return Say($"the ovens cost least this way: it could be at the door from {At(round.AimOf(work).Release[node])}, and should be out by {At(round.AimOf(work).Due(node))}");
        if (graph.Into(node).FirstOrDefault(edge => edge.Kind == LinkKind.During) is { } beside)
            return Say($"while \"{graph.Nodes[beside.From].Name}\" is in the oven, from {At(times.Start[beside.From])} to {At(times.End[beside.From])}");
        if (onward.FirstOrDefault(edge => edge.Kind == LinkKind.DayBefore) is { } night)
            return Say($"on the day before \"{graph.Nodes[night.To].Name}\" at {At(times.Start[night.To])}");
        if (graph.Into(node).Any(edge => edge.Kind == LinkKind.AtPickUp) && graph.BakeAhead(node) < 0)
            return Say($"at its pick-up, {At(work.Lot.PickUpMin)}");
        if (graph.Bakes.Count == 0 && onward.Length == 0)
            return times.End[node] <= work.Lot.PickUpMin ? Say($"as late as its pick-up at {At(work.Lot.PickUpMin)} allows") : Say($"as soon as what goes in can be made");
        if (graph.BakeAhead(node) >= 0 || graph.IsAside(node))
        {
            var next = onward.MinBy(edge => times.Start[edge.To] - edge.Lag.Aim)!;
            var gap = times.Start[next.To] - times.End[node];
            if (gap == next.Lag.Aim)
                return Say($"as late as what follows allows: \"{graph.Nodes[next.To].Name}\" is at {At(times.Start[next.To])}{(next.Lag.Aim > 0 ? $", with {Long(next.Lag.Aim)} wanted between" : string.Empty)}");
            return ShiftLeft(times.End[node]) == 0
                ? Say($"no one is there after {At(times.End[node])}")
                : Say($"so that \"{graph.Nodes[next.To].Name}\" can be at {At(times.Start[next.To])}, {Long(gap)} later");
        }

        var last = graph.Into(node).Where(edge => !graph.IsAside(edge.From)).MaxBy(edge => times.End[edge.From] + edge.Lag.Aim)!;
        var waited = times.Start[node] - times.End[last.From];
        return waited < last.Lag.Aim ? Say($"the pick-up at {At(work.Lot.PickUpMin)} leaves {Long(waited)} after \"{graph.Nodes[last.From].Name}\", where {Long(last.Lag.Aim)} are wanted")
            : waited == last.Lag.Aim ? Say($"as soon as it should after \"{graph.Nodes[last.From].Name}\" at {At(times.End[last.From])}{(last.Lag.Aim > 0 ? $": {Long(last.Lag.Aim)} wanted" : string.Empty)}")
            : Say($"the first that someone is there: from {At(times.Start[node])}");
    }

    /// <summary>Minutes from an end of work to the end of the people's time.</summary>
    private int ShiftLeft(int end) => stretches.Where(stretch => stretch.EndMin >= end).Select(stretch => stretch.EndMin - end).DefaultIfEmpty(0).First();
}
