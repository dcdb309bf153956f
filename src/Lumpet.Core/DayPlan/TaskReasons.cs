using Lumpet.Core.Dough;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Says of every task why it is when it is: what it waits for, what waits for it, how much it can slip.</summary>
internal sealed class TaskReasons
{
    private readonly Dictionary<string, TaskReason> reasons = [];
    private readonly IReadOnlyList<Parcel> parcels;
    private readonly DoughBatch[] batches;
    private readonly IReadOnlyList<DayShift> stretches;
    private readonly StaysInOven stays;

    private TaskReasons(DayAttempt attempt, DoughBatch[] batches, IReadOnlyList<DayShift> stretches) =>
        (parcels, this.batches, this.stretches, stays) = (attempt.Parcels, batches, stretches, new StaysInOven(attempt.Problem, attempt.Plan));

    /// <summary>The reasons of all tasks, by id.</summary>
    public static IReadOnlyDictionary<string, TaskReason> Of(DayAttempt attempt, DoughBatch[] batches, IReadOnlyList<DayShift> stretches)
    {
        var all = new TaskReasons(attempt, batches, stretches);
        for (var at = 0; at < batches.Length; at++) all.Batch(at);
        foreach (var parcel in attempt.Parcels) all.Parcel(parcel);
        return all.reasons;
    }

    private static string Id(Parcel parcel, string step) => FormattableString.Invariant($"{parcel.Work.Lot.Id}/{parcel.Number}/{step}");

    private static string Id(DoughBatch batch, string step) => FormattableString.Invariant($"{batch.Dough.Id}/{batch.Number}/{step}");

    private void Batch(int at)
    {
        var batch = batches[at];
        var lots = batch.Discs.Select(disc => disc.LotId).ToHashSet();
        TaskLink[] rollers =
        [
            .. from parcel in parcels
               where lots.Contains(parcel.Work.Lot.Id)
               from node in Enumerable.Range(0, parcel.Work.Graph.Nodes.Count)
               where parcel.Work.Graph.Nodes[node].UsesDough && parcel.Times.Start[node] >= batch.NeededMin
               select new TaskLink(Id(parcel, parcel.Work.Graph.Nodes[node].Id), parcel.Times.Start[node] - batch.NeededMin, 0),
        ];
        var rest = batch.NeededMin - batch.MixEndMin;
        var spare = rest - batch.Dough.Rest.Least;
        var next = at + 1 < batches.Length ? batches[at + 1] : null;
        var mixerFree = next is null ? int.MaxValue : next.MixStartMin - batch.MixEndMin;
        TaskLink[] before = at == 0 ? [] : [new TaskLink(Id(batches[at - 1], "mix"), batch.MixStartMin - batches[at - 1].MixEndMin, 0)];
        reasons[Id(batch, "mix")] = new TaskReason(
            rest <= batch.Dough.Rest.Aim ? new TroubleText($"as late as its rest allows: the first disc is rolled at {{0}}, after {Minutes(batch.Dough.Rest.Aim)} in the cold", batch.NeededMin)
                : mixerFree == 0 ? new TroubleText("the mixer is wanted for the next batch at {0}", batch.MixEndMin)
                : new TroubleText("the shift leaves no later place; the first disc is rolled at {0}", batch.NeededMin),
            before,
            [new TaskLink(Id(batch, "rest"), 0, 0)],
            Math.Min(Math.Min(spare, mixerFree), ShiftLeft(batch.MixEndMin)),
            mixerFree < spare ? new TroubleText("the next batch is held up at {0}", batch.MixEndMin + mixerFree) : new TroubleText($"the dough rests under {Minutes(batch.Dough.Rest.Least)}"));
        reasons[Id(batch, "rest")] = new TaskReason(
            new TroubleText($"{Minutes(batch.Dough.Rest.Least)} at least, {Minutes(batch.Dough.Rest.Aim)} wanted; here {Minutes(rest)}"),
            [new TaskLink(Id(batch, "mix"), 0, 0)],
            rollers,
            spare,
            new TroubleText($"the dough rests under {Minutes(batch.Dough.Rest.Least)}"));
    }

    private void Parcel(Parcel parcel)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        for (var node = 0; node < graph.Nodes.Count; node++) reasons[Id(parcel, graph.Nodes[node].Id)] = Node(parcel, node);
        foreach (var edge in graph.Edges.Where(edge => edge.Wait is not null))
        {
            var (wait, minutes) = (edge.Wait!.Wait!, times.Start[edge.To] - times.End[edge.From]);
            reasons[Id(parcel, edge.Wait.Id)] = new TaskReason(
                new TroubleText($"{Minutes(wait.Least)} at least, {Minutes(wait.Aim)} wanted, {Minutes(wait.Most)} at most; here {Minutes(minutes)}"),
                [new TaskLink(Id(parcel, graph.Nodes[edge.From].Id), 0, 0)],
                [new TaskLink(Id(parcel, graph.Nodes[edge.To].Id), 0, 0)],
                minutes - wait.Least,
                new TroubleText($"\"{graph.Nodes[edge.To].Name}\" comes later than {{0}}", times.Start[edge.To]));
        }
    }

    private TaskReason Node(Parcel parcel, int node)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        StepEdge[] onward = [.. graph.Out(node)];
        var rests = graph.Nodes[node].UsesDough
            ? batches.Where(batch => batch.NeededMin <= times.Start[node] && batch.Discs.Any(disc => disc.LotId == parcel.Work.Lot.Id))
                .Select(batch => new TaskLink(Id(batch, "rest"), times.Start[node] - batch.NeededMin, 0))
            : [];
        var slip = onward.Select(edge => times.Start[edge.To] - times.End[node] - edge.Lag.Least).DefaultIfEmpty(parcel.Work.Lot.PickUpMin - times.End[node]).Min();
        var shift = ShiftLeft(times.End[node]);
        var longer = graph.Nodes[node].IsBake ? stays.Longer(parcel.Work.BakeId(node), parcel.Trays) : (Minutes: int.MaxValue, Ends: new TroubleText(string.Empty));
        return new TaskReason(
            Why(parcel, node, onward),
            [.. graph.Into(node).Select(edge => Link(parcel, edge, edge.From)), .. rests],
            [.. onward.Select(edge => Link(parcel, edge, edge.To))],
            Math.Min(longer.Minutes, Math.Min(slip, shift)),
            longer.Minutes <= Math.Min(slip, shift) ? longer.Ends
                : shift < slip ? new TroubleText("the shift ends at {0}", times.End[node] + shift)
                : onward.Length == 0 ? new TroubleText("the pick-up at {0} is missed", parcel.Work.Lot.PickUpMin)
                : Touched(parcel, node, onward));
    }

    private static TroubleText Touched(Parcel parcel, int node, StepEdge[] onward)
    {
        var edge = onward.MinBy(edge => parcel.Times.Start[edge.To] - parcel.Times.End[node] - edge.Lag.Least)!;
        return new TroubleText($"\"{parcel.Work.Graph.Nodes[edge.To].Name}\" cannot begin at {{0}}", parcel.Times.Start[edge.To]);
    }

    private static TaskLink Link(Parcel parcel, StepEdge edge, int other) => new(
        Id(parcel, edge.Wait?.Id ?? parcel.Work.Graph.Nodes[other].Id),
        edge.Wait is null ? parcel.Times.Start[edge.To] - parcel.Times.End[edge.From] : 0,
        edge.Wait is null ? edge.Lag.Least : 0);

    private TroubleText Why(Parcel parcel, int node, StepEdge[] onward)
    {
        var (graph, times, work) = (parcel.Work.Graph, parcel.Times, parcel.Work);
        if (graph.Nodes[node].IsBake)
            return new TroubleText("the ovens cost least this way: it could be at the door from {0}, and should be out by {1}", work.Release[node], work.Due(node));
        if (graph.BakeAhead(node) >= 0 || graph.IsAside(node))
        {
            var next = onward.MinBy(edge => times.Start[edge.To] - edge.Lag.Aim)!;
            var gap = times.Start[next.To] - times.End[node];
            if (gap == next.Lag.Aim)
                return new TroubleText($"as late as what follows allows: \"{graph.Nodes[next.To].Name}\" is at {{0}}{(next.Lag.Aim > 0 ? $", with {Minutes(next.Lag.Aim)} wanted between" : string.Empty)}", times.Start[next.To]);
            return ShiftLeft(times.End[node]) == 0
                ? new TroubleText("no one is there after {0}", times.End[node])
                : new TroubleText($"so that \"{graph.Nodes[next.To].Name}\" can be at {{0}}, {Minutes(gap)} later", times.Start[next.To]);
        }

        var last = graph.Into(node).Where(edge => !graph.IsAside(edge.From)).MaxBy(edge => times.End[edge.From] + edge.Lag.Aim)!;
        var waited = times.Start[node] - times.End[last.From];
        return waited < last.Lag.Aim ? new TroubleText($"the pick-up at {{0}} leaves {Minutes(waited)} after \"{graph.Nodes[last.From].Name}\", where {Minutes(last.Lag.Aim)} are wanted", work.Lot.PickUpMin)
            : waited == last.Lag.Aim ? new TroubleText($"as soon as it should after \"{graph.Nodes[last.From].Name}\" at {{0}}{(last.Lag.Aim > 0 ? $": {Minutes(last.Lag.Aim)} wanted" : string.Empty)}", times.End[last.From])
            : new TroubleText("the first that someone is there: from {0}", times.Start[node]);
    }

    /// <summary>Minutes from an end of work to the end of the people's time.</summary>
    private int ShiftLeft(int end) => stretches.Where(stretch => stretch.EndMin >= end).Select(stretch => stretch.EndMin - end).DefaultIfEmpty(0).First();

    private static string Minutes(int minutes) =>
        minutes < 120 ? FormattableString.Invariant($"{minutes} min") : FormattableString.Invariant($"{minutes / 60} h{(minutes % 60 > 0 ? $" {minutes % 60:00}" : string.Empty)}");
}
