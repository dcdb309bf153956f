namespace Lumpet.Core.Scheduling;

/// <summary>How much of every resource is free at each minute, while a schedule is put together.</summary>
internal sealed class ResourceUse
{
    private readonly int[][] free;
    private readonly ScheduleProblem problem;
    private readonly Hold[][] holdsOf;

    /// <summary>Nothing is in use yet.</summary>
    public ResourceUse(ScheduleProblem problem, int horizonMin)
    {
        this.problem = problem;
        var holds = problem.Holds.SelectMany(hold => new[] { (hold.From.Activity, hold), (hold.To.Activity, hold) }).ToLookup(pair => pair.Activity, pair => pair.hold);
        holdsOf = [.. Enumerable.Range(0, problem.Activities.Count).Select(at => holds[at].ToArray())];
        free = [.. problem.Resources.Select(resource => Profile(resource, horizonMin))];
    }

    private static int[] Profile(Resource resource, int horizonMin)
    {
        var profile = new int[horizonMin];
        foreach (var (step, at) in resource.Steps.Select((step, at) => (step, at)))
        {
            var to = at + 1 < resource.Steps.Count ? resource.Steps[at + 1].AtMin : horizonMin;
            for (var minute = Math.Max(0, step.AtMin); minute < Math.Min(to, horizonMin); minute++) profile[minute] = step.Amount;
        }

        return profile;
    }

    /// <summary>Takes what an activity needs from its start on, and what is held between it and others that have a place.</summary>
    /// <param name="starts">The start of each; null where it has no place. Its own is there.</param>
    /// <param name="activity">Which.</param>
    public void Take(int?[] starts, int activity) => Add(starts, activity, -1);

    /// <summary>Gives it back; its start is still there.</summary>
    /// <inheritdoc cref="Take"/>
    public void GiveBack(int?[] starts, int activity) => Add(starts, activity, 1);

    private void Add(int?[] starts, int activity, int sign)
    {
        var (one, start) = (problem.Activities[activity], starts[activity]!.Value);
        foreach (var need in one.Needs) Add(need.Resource, start, start + one.Minutes, sign * need.Amount);
        foreach (var hold in holdsOf[activity])
            if (MinuteOf(starts, hold.From) is { } from && MinuteOf(starts, hold.To) is { } to) Add(hold.Resource, from, to, sign * hold.Amount);
    }

    private void Add(int resource, int from, int to, int amount)
    {
        var profile = free[resource];
        for (var minute = from; minute < Math.Min(to, profile.Length); minute++) profile[minute] += amount;
    }

    private int? MinuteOf(int?[] starts, HoldEnd end) => starts[end.Activity] + (end.IsAtEnd ? problem.Activities[end.Activity].Minutes : 0);

    /// <summary>The starts of an activity, of those from one to another, that what is held between it and what has a place leaves it; none where the first is after the last.</summary>
    public (int From, int To) Within(int?[] starts, int activity, int from, int to)
    {
        if (holdsOf[activity].Length == 0) return (from, to);
        foreach (var held in holdsOf[activity].GroupBy(hold => (hold.Resource, IsFrom: hold.From.Activity == activity)))
        {
            var ends = held.Select(hold => (Own: held.Key.IsFrom ? hold.From : hold.To, Other: MinuteOf(starts, held.Key.IsFrom ? hold.To : hold.From), hold.Amount)).Where(end => end.Other is not null).ToArray();
            if (ends.Length == 0) continue;
            // All of one side are held from the same minute or until the same, within the length of the activity: the narrower counts for all.
            var lengths = ends.Select(end => end.Own.IsAtEnd ? problem.Activities[activity].Minutes : 0).ToArray();
            var profile = free[held.Key.Resource];
            if (held.Key.IsFrom) from = Math.Max(from, FirstHeldFrom(profile, [.. ends.Select(end => (end.Other!.Value, end.Amount))], from + lengths.Min()) - lengths.Min());
            else to = Math.Min(to, LastHeldTo(profile, [.. ends.Select(end => (end.Other!.Value, end.Amount))], to + lengths.Max()) - lengths.Max());
        }

        return (from, to);
    }

    /// <summary>The first minute from which all that ends at these minutes can be held.</summary>
    private static int FirstHeldFrom(int[] profile, (int Minute, int Amount)[] ends, int from)
    {
        for (var minute = Math.Min(profile.Length, ends.Max(end => end.Minute)) - 1; minute >= Math.Max(0, from); minute--)
            if (profile[minute] < Wanted(ends, end => end.Minute > minute)) return minute + 1;
        return from;
    }

    /// <summary>The last minute until which all that begins at these minutes can be held.</summary>
    private static int LastHeldTo(int[] profile, (int Minute, int Amount)[] ends, int to)
    {
        for (var minute = Math.Max(0, ends.Min(end => end.Minute)); minute < Math.Min(profile.Length, to); minute++)
            if (profile[minute] < Wanted(ends, end => end.Minute <= minute)) return minute;
        return to;
    }

    private static int Wanted((int Minute, int Amount)[] ends, Func<(int Minute, int Amount), bool> isHeld)
    {
        var wanted = 0;
        foreach (var end in ends)
            if (isHeld(end)) wanted += end.Amount;
        return wanted;
    }

    /// <summary>The first start from a minute on, and not after another, at which all is free; null where there is none.</summary>
    public int? FirstFrom(int activity, int from, int to)
    {
        var start = Math.Max(0, from);
        while (start <= to)
        {
            if (Blocked(activity, start, last: true) is not { } minute) return start;
            start = minute + 1;
        }

        return null;
    }

    /// <summary>The last start up to a minute, and not before another, at which all is free; null where there is none.</summary>
    public int? LastUpTo(int activity, int to, int from)
    {
        var (start, length) = (to, problem.Activities[activity].Minutes);
        while (start >= Math.Max(0, from))
        {
            if (Blocked(activity, start, last: false) is not { } minute) return start;
            start = minute - length;
        }

        return null;
    }

    /// <summary>The last or the first minute at which something is missing; null where nothing is.</summary>
    private int? Blocked(int activity, int start, bool last)
    {
        var one = problem.Activities[activity];
        int? found = null;
        foreach (var need in one.Needs)
        {
            var profile = free[need.Resource];
            if (start + one.Minutes > profile.Length) return last ? start + one.Minutes - 1 : Math.Min(found ?? int.MaxValue, profile.Length);
            if (last)
            {
                for (var minute = start + one.Minutes - 1; minute >= start && minute > (found ?? -1); minute--)
                    if (profile[minute] < need.Amount) found = minute;
            }
            else
            {
                for (var minute = start; minute < start + one.Minutes && minute < (found ?? int.MaxValue); minute++)
                    if (profile[minute] < need.Amount) found = minute;
            }
        }

        return found;
    }
}
