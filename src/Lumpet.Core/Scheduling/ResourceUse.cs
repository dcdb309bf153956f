namespace Lumpet.Core.Scheduling;

/// <summary>How much of every resource is free at each minute, while a schedule is put together.</summary>
internal sealed class ResourceUse
{
    private readonly int[][] free;
    private readonly ScheduleProblem problem;

    /// <summary>Nothing is in use yet.</summary>
    public ResourceUse(ScheduleProblem problem, int horizonMin)
    {
        this.problem = problem;
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

    /// <summary>Takes what an activity needs from a minute on.</summary>
    public void Take(int activity, int start) => Add(activity, start, -1);

    /// <summary>Gives it back.</summary>
    public void GiveBack(int activity, int start) => Add(activity, start, 1);

    private void Add(int activity, int start, int sign)
    {
        var one = problem.Activities[activity];
        foreach (var need in one.Needs)
            for (var minute = start; minute < start + one.Minutes; minute++) free[need.Resource][minute] += sign * need.Amount;
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
