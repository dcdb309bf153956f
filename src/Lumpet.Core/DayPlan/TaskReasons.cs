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
        value = round.MovedMin.TryGetValue(key, out var moved) ? found with { Why = ForHands(moved) } : found;
        return true;
    }

    private static PlanText ForHands(int movedMin) => movedMin < 0
        ? PlanText.Say($"{PlanText.Long(-movedMin)} sooner than what follows needs it: so everyone who is there suffices")
        : PlanText.Say($"{PlanText.Long(movedMin)} later than it could be: so everyone who is there suffices");

    /// <inheritdoc/>
    public IEnumerator<KeyValuePair<string, TaskReason>> GetEnumerator() => ids.Select(id => KeyValuePair.Create(id, this[id])).GetEnumerator();

    /// <inheritdoc/>
    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
