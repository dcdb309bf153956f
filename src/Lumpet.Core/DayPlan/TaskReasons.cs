using System.Collections;
using System.Diagnostics.CodeAnalysis;
using Lumpet.Core.Dough;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Says of every task why it is when it is: what it waits for, what waits for it, how much it can slip. A reason is worked
/// out when it is asked for, from the round and nothing else: a large day has thousands of tasks, of which a few are asked.
/// </summary>
internal sealed class TaskReasons(DayRound round, DoughBatch[] batches, IReadOnlyList<DayShift> stretches, IReadOnlyList<DayTask> tasks) : IReadOnlyDictionary<string, TaskReason>
{
    private readonly HashSet<string> ids = [.. tasks.Select(task => task.Id)];

    // What goes on from a task in one go, and when that ends.
    private readonly Dictionary<string, string> goesOn = round.RightAfter.ToDictionary(pair => pair.Value, pair => pair.Key);
    private readonly Dictionary<string, int> ended = tasks.Where(task => task.RightAfter is not null).ToDictionary(task => task.RightAfter!, task => task.StartMin);

    /// <inheritdoc/>
    public IEnumerable<string> Keys => ids;

    /// <inheritdoc/>
    public IEnumerable<TaskReason> Values => ids.Select(id => this[id]);

    /// <inheritdoc/>
    public int Count => ids.Count;

    /// <inheritdoc/>
    public TaskReason this[string key] => TryGetValue(key, out var reason) ? reason : throw new KeyNotFoundException($"There is no task {key}.");

    /// <inheritdoc/>
    public bool ContainsKey(string key) => ids.Contains(key);

    /// <inheritdoc/>
    public bool TryGetValue(string key, [MaybeNullWhen(false)] out TaskReason value)
    {
        value = null;
        if (!ids.Contains(key) || !new ReasonSearch(round, batches, stretches, ids).Of(key).TryGetValue(key, out var found)) return false;
        value = round.RightAfter.TryGetValue(key, out var before) ? found with { Why = RightAfter(key, before), WaitsFor = [new TaskLink(before, 0, 0), .. found.WaitsFor] }
            : round.MovedInOneGo.TryGetValue(key, out var along) ? found with { Why = InOneGo(along + round.MovedMin.GetValueOrDefault(key)) }
            : round.MovedMin.TryGetValue(key, out var moved) ? found with { Why = ForHands(moved) }
            : found;
        if (goesOn.TryGetValue(key, out var next))
            value = value with { WaitedBy = [new TaskLink(next, 0, 0), .. value.WaitedBy], SlipMin = Math.Min(0, value.SlipMin), SlipEnds = value.SlipMin < 0 ? value.SlipEnds : PlanText.Say($"what is done in one go with it is held up at {PlanText.At(ended[key])}") };
        return true;
    }

    private PlanText RightAfter(string id, string beforeId)
    {
        var (task, before) = (tasks.First(one => one.Id == id), tasks.First(one => one.Id == beforeId));
        var parcel = round.Parcels.First(one => id.StartsWith(DayTasks.Id(one, string.Empty), StringComparison.Ordinal));
        var step = parcel.Work.Graph.Nodes.First(node => node.Id == task.StepId);
        var saved = step.Hands!.For(parcel.Pies) - (task.EndMin - task.StartMin);
        return saved > 0
            ? PlanText.Say($"in one go with the same for {before.About}: what it takes for any count is done once, which saves {PlanText.Long(saved)}")
            : PlanText.Say($"in one go with the same for {before.About}: one pair of hands does both");
    }

    private static PlanText InOneGo(int movedMin) => movedMin == 0 ? PlanText.Say($"where it was, while other work is done in one go around it")
        : movedMin < 0 ? PlanText.Say($"{PlanText.Long(-movedMin)} sooner than what follows needs it: so equal work is done in one go")
        : PlanText.Say($"{PlanText.Long(movedMin)} later than it could be: so equal work is done in one go");

    private static PlanText ForHands(int movedMin) => movedMin < 0
        ? PlanText.Say($"{PlanText.Long(-movedMin)} sooner than what follows needs it: so everyone who is there suffices")
        : PlanText.Say($"{PlanText.Long(movedMin)} later than it could be: so everyone who is there suffices");

    /// <inheritdoc/>
    public IEnumerator<KeyValuePair<string, TaskReason>> GetEnumerator() => ids.Select(id => KeyValuePair.Create(id, this[id])).GetEnumerator();

    /// <inheritdoc/>
    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
