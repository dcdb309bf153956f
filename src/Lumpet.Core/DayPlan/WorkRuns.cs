using Lumpet.Core.Scheduling;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Joins work that is the same for several parcels, so that one pair of hands does it in one go: fruit is pitted for both pans at once and not
/// twice side by side, and what a batch takes whatever the count is paid once. What is near in time is tried first; what holds up anything is not joined.
/// </summary>
internal sealed class WorkRuns
{
    /// <summary>Work that begins so much later than other of the same ends is not fetched: who did it has long done something else.</summary>
    public const int MostApartMin = 60;

    /// <summary>No pair of hands does the same for longer in one go: then the work goes round.</summary>
    public const int LongestMin = 120;

    /// <summary>So much is tried where someone waits for one plan: each is a whole schedule.</summary>
    public const int ManyTries = 40;

    // How long each is searched.
    private const int EffortEach = 20;
    private const int HorizonMin = ScheduleProblem.MostMinutes;

    private readonly CrewWork work;
    private readonly long mostLacking;
    private readonly CancellationToken cancellation;
    private readonly Dictionary<int, double> potShare;
    private int triesLeft;

    private WorkRuns(CrewWork work, long mostLacking, int mostTries, CancellationToken cancellation)
    {
        (this.work, this.mostLacking, triesLeft, this.cancellation) = (work, mostLacking, mostTries, cancellation);
        // What part of the one pot it fills in which all of a run would be.
        potShare = work.Alike.ToDictionary(one => one.Activity, one => one.Hands.AtOnce is { } most ? one.Pies / (double)most : 0);
    }


    /// <summary>Joins what can be joined.</summary>
    /// <param name="work">The work; what it has in runs already stays so.</param>
    /// <param name="found">How it is without that.</param>
    /// <param name="effort">Changes tried once it is joined.</param>
    /// <param name="mostTries">In how many ways it is tried at most; at least 1.</param>
    /// <param name="cancellation">Ends the search for something better.</param>
    /// <returns>The schedule, and what is done right after what, by tasks; the schedule as it was where nothing is joined.</returns>
    public static (Schedule Found, IReadOnlyDictionary<string, string> RightAfter) Joined(CrewWork work, Schedule found, int effort, int mostTries, CancellationToken cancellation)
    {
        var search = new WorkRuns(work, work.Lacking(found), mostTries, cancellation);
        var (already, pairs) = (search.Already(), search.Pairs(found));
        var accepted = pairs.Count == 0 ? already : search.Accepted(already, pairs);
        if (accepted.Count == already.Count) return (found, work.RightAfter);
        var joined = new JoinedActivities(work.Problem, search.Runs(accepted));
        var best = joined.Apart(Scheduler.Plan(joined.Problem, effort, cancellation: cancellation));
        return work.Lacking(best) > search.mostLacking ? (found, work.RightAfter) : (best, accepted.ToDictionary(pair => pair.Next.TaskId, pair => pair.Before.TaskId));
    }

    /// <summary>What is done right after other work already stays so: it is as short as that makes it.</summary>
    private List<Pair> Already()
    {
        var byTask = work.Alike.ToDictionary(one => one.TaskId);
        return [.. work.RightAfter.Select(pair => new Pair(byTask[pair.Value], byTask[pair.Key], 0))];
    }

    /// <summary>Work that could be done right after other of the same, the nearest first; what is done in one go already is one.</summary>
    private List<Pair> Pairs(Schedule found)
    {
        var next = work.RightAfter.ToDictionary(pair => pair.Value, pair => pair.Key);
        var byTask = work.Alike.ToDictionary(one => one.TaskId);
        LikeWork Last(LikeWork one) => next.TryGetValue(one.TaskId, out var after) ? Last(byTask[after]) : one;
        int StartOf(LikeWork one) => found.Starts[one.Activity] ?? work.Problem.Activities[one.Activity].WishMin;
        int EndOf(LikeWork one) => StartOf(one) + work.Problem.Activities[one.Activity].Minutes;
        return
        [
            .. from same in work.Alike.Where(one => !work.RightAfter.ContainsKey(one.TaskId)).GroupBy(one => one.Key)
               let order = same.OrderBy(StartOf).ThenBy(one => one.TaskId, StringComparer.Ordinal).ToArray()
               from pair in order.Zip(order.Skip(1), (before, first) => new Pair(Last(before), first, Math.Abs(StartOf(first) - EndOf(Last(before)))))
               where StartOf(pair.Next) - EndOf(pair.Before) <= MostApartMin
               orderby pair.ApartMin, pair.Next.TaskId
               select pair,
        ];
    }

    /// <summary>Those pairs with which all still has a place, beside some that have been accepted; tried together first, and halved where that is too much.</summary>
    private List<Pair> Accepted(List<Pair> before, List<Pair> tried)
    {
        if (triesLeft == 0 || cancellation.IsCancellationRequested) return before;
        List<Pair> all = [.. before, .. tried];
        if (Fits(all)) return all;
        if (tried.Count == 1) return before;
        var half = tried.Count / 2;
        return Accepted(Accepted(before, tried[..half]), tried[half..]);
    }

    private bool Fits(IReadOnlyList<Pair> pairs)
    {
        var runs = Runs(pairs);
        if (runs.Any(run => run.Parts.Sum(part => potShare[part.Activity]) > 1)) return false;
        if (runs.Any(run => run.Parts.Sum(part => work.Problem.Activities[part.Activity].Minutes - part.SavedMin) > LongestMin)) return false;
        var joined = new JoinedActivities(work.Problem, runs);
        if (joined.Contradicts || (mostLacking == 0 && !joined.IsPossible(HorizonMin))) return false;
        triesLeft--;
        return work.Lacking(joined.Apart(Scheduler.Plan(joined.Problem, EffortEach, cancellation: cancellation))) <= mostLacking;
    }

    /// <summary>The runs that pairs make together.</summary>
    private List<JoinedRun> Runs(IReadOnlyList<Pair> pairs)
    {
        var next = pairs.ToDictionary(pair => pair.Before.Activity, pair => pair.Next);
        var follows = pairs.Select(pair => pair.Next.Activity).ToHashSet();
        var runs = new List<JoinedRun>();
        foreach (var first in pairs.Select(pair => pair.Before).Where(one => !follows.Contains(one.Activity)).OrderBy(one => one.Activity))
        {
            var (run, isInOneVessel) = (new List<JoinedPart> { new(first.Activity, 0) }, first.IsInOneVessel);
            for (var one = first; next.TryGetValue(one.Activity, out var after); one = after)
            {
                run.Add(new JoinedPart(after.Activity, SavedMin(after)));
                isInOneVessel |= after.IsInOneVessel;
            }

            runs.Add(new JoinedRun(run, isInOneVessel));
        }

        return runs;
    }

    /// <summary>What is saved where it goes on from another; nothing of what has been saved already.</summary>
    private int SavedMin(LikeWork one) => Math.Max(0, work.Problem.Activities[one.Activity].Minutes - one.Hands.Onward(one.Pies));

    private sealed record Pair(LikeWork Before, LikeWork Next, int ApartMin);
}

/// <summary>Work on pies that may be done in one go with other of the same.</summary>
/// <param name="Activity">Its index.</param>
/// <param name="TaskId">Its task.</param>
/// <param name="Key">What it is: work of one key is the same.</param>
/// <param name="Hands">What it takes.</param>
/// <param name="Pies">On how many pies.</param>
/// <param name="IsInOneVessel">Whether it is done to all at once, as fillings are, and not to pie after pie.</param>
internal sealed record LikeWork(int Activity, string TaskId, SameWork Key, Hands Hands, int Pies, bool IsInOneVessel);
