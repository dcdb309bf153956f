using Lumpet.Core.Baking;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What has to be known of a plan that a crew works by, once it has begun: plain values that can be kept. Minutes are the plan's own.
/// </summary>
/// <param name="Pies">Pies that travel together, with what is done on them.</param>
/// <param name="Made">Batches of doughs and of what else is made before the pies.</param>
/// <param name="Uses">What is taken of what was noted as made already.</param>
/// <param name="Trays">Trays in ovens.</param>
/// <param name="Tasks">Work and bakes, in order of time.</param>
/// <param name="OvensWatched">When somebody watches the ovens.</param>
/// <param name="Problem">What the ovens were asked, as its file says it.</param>
/// <param name="Ovens">What they answered, as its file says it.</param>
public sealed record PublishedPlan(
    IReadOnlyList<PublishedPies> Pies,
    IReadOnlyList<PublishedMade> Made,
    IReadOnlyList<PublishedUse> Uses,
    IReadOnlyList<PublishedTray> Trays,
    IReadOnlyList<PublishedTask> Tasks,
    IReadOnlyList<DayShift> OvensWatched,
    string Problem,
    string Ovens)
{
    /// <summary>Whether a plan has the same work at the same minutes.</summary>
    public bool IsOf(PlannedDay plan)
    {
        var work = plan.Tasks.Where(task => task.Kind != TaskKind.Wait).Select(task => (task.Id, task.StartMin, task.EndMin)).ToHashSet();
        var mine = Tasks.Where(task => !task.IsFromBefore).ToArray();
        return work.Count == mine.Length && mine.All(task => work.Contains((task.Task.Id, task.Task.StartMin, task.Task.EndMin)));
    }

    /// <summary>Most minutes by which work may be said to take longer; what takes longer still is not done.</summary>
    public const int MostLongerMin = 240;

    /// <summary>Whether it may be said of a task that it takes longer: of work of this plan, but for what a batch is put into an oven after. When trays are where is the ovens' to say.</summary>
    /// <param name="taskId">The task.</param>
    public bool MayTakeLonger(string taskId) =>
        Tasks.Any(one => one.Task.Id == taskId && one is { IsFromBefore: false, Task.Kind: TaskKind.Hands })
        && !Made.Where(one => one.TaskIds.Contains(taskId)).SelectMany(one => one.TaskIds.SkipWhile(id => id != taskId)).Any(id => Trays.Any(tray => tray.TaskId == id));

    /// <summary>The same where some of the work takes longer: what a batch needs after it, and the batch itself, are later by as much.</summary>
    /// <param name="longerMin">By how many minutes, by the task's id; work that may not take longer is as it was.</param>
    public PublishedPlan Taking(IReadOnlyDictionary<string, int> longerMin)
    {
        var said = longerMin.Where(one => MayTakeLonger(one.Key)).ToDictionary();
        if (said.Count == 0) return this;
        var later = said.ToDictionary(one => one.Key, one => (Start: 0, End: one.Value));
        PublishedMade[] made = [.. Made.Select(one =>
        {
            var by = 0;
            foreach (var id in one.TaskIds) later[id] = (by, by += said.GetValueOrDefault(id));
            return one with { ReadyMin = one.ReadyMin + by };
        })];
        PublishedTask[] tasks = [.. Tasks.Select(one => !one.IsFromBefore && later.TryGetValue(one.Task.Id, out var by)
            ? one with { Task = one.Task with { StartMin = one.Task.StartMin + by.Start, EndMin = one.Task.EndMin + by.End } } : one)];
        return this with { Made = made, Tasks = [.. tasks.OrderBy(one => one.Task.StartMin).ThenBy(one => one.Task.Id, StringComparer.Ordinal)] };
    }
}

/// <summary>Pies that travel together.</summary>
/// <param name="ProductId">Their product.</param>
/// <param name="PanId">Their pan.</param>
/// <param name="Count">How many.</param>
/// <param name="PickUpMin">Their pick-up.</param>
/// <param name="Steps">The task of each work or bake, by the step's id.</param>
/// <param name="Done">What was done on them before, or is as good as done: the minute of its end by the step's id.</param>
public sealed record PublishedPies(string ProductId, string PanId, int Count, int PickUpMin, IReadOnlyDictionary<string, string> Steps, IReadOnlyDictionary<string, int> Done);

/// <summary>A batch of a dough, or of something else that is made before the pies.</summary>
/// <param name="MadeId">Id of the ingredient that it is.</param>
/// <param name="TaskIds">Its work and bakes in order; none of what was begun before.</param>
/// <param name="Shares">What of it goes where.</param>
/// <param name="ReadyMin">From when on it may be used, but for thawing.</param>
/// <param name="UntilMin">Until when it keeps.</param>
/// <param name="Place">Where it is kept.</param>
/// <param name="ThawMin">What it takes to thaw.</param>
public sealed record PublishedMade(
    string MadeId, IReadOnlyList<string> TaskIds, IReadOnlyList<PublishedShare> Shares, int ReadyMin, int UntilMin, KeepPlace Place, int ThawMin);

/// <summary>So much of a batch.</summary>
/// <param name="TaskId">The task that takes it; null of what nobody takes.</param>
/// <param name="Grams">How much.</param>
public sealed record PublishedShare(string? TaskId, double Grams);

/// <summary>What is taken of something that was noted as made already.</summary>
/// <param name="StockId">Of what, by its name.</param>
/// <param name="TaskId">The task that takes it; null of pies that are handed over.</param>
/// <param name="AtMin">When.</param>
/// <param name="Grams">How much; 0 of pies.</param>
/// <param name="Pies">How many pies.</param>
public sealed record PublishedUse(string StockId, string? TaskId, int AtMin, double Grams, int Pies);

/// <summary>Trays of one bake that stay in an oven together.</summary>
/// <param name="TaskId">The bake's task.</param>
/// <param name="OvenId">The oven.</param>
/// <param name="Visit">What enters, when, on which shelves.</param>
/// <param name="Standing">The trays, as those see them that bake beside them.</param>
/// <param name="Name">What it is.</param>
/// <param name="NeededMin">The pick-up, or when the first of it is taken.</param>
/// <param name="ProductId">Of pies their product; null of what is made before them.</param>
/// <param name="MadeId">Of what is made before the pies the ingredient; null of pies.</param>
/// <param name="PanId">The pan of pies.</param>
public sealed record PublishedTray(
    string TaskId, string OvenId, LoadVisit Visit, IReadOnlyList<StandingTray> Standing, string Name, int NeededMin, string? ProductId, string? MadeId, string? PanId)
{
    /// <summary>The same, with minutes counted from another.</summary>
    internal PublishedTray From(int minute) => this with
    {
        Visit = Visit.Later(-minute),
        Standing = [.. Standing.Select(tray => tray.From(minute))],
        NeededMin = NeededMin - minute,
    };
}

/// <summary>Work or a bake that a crew goes by.</summary>
/// <param name="Task">The task; what it is about is said with its pick-up, and it belongs to no lot.</param>
/// <param name="IsFromBefore">Whether it was begun by a plan that was published before.</param>
public sealed record PublishedTask(DayTask Task, bool IsFromBefore);
