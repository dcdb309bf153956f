namespace Lumpet.Core.Scheduling;

/// <summary>
/// When each activity without a place may start, by its own limits and by the lags that lead to it, through others without a
/// place too. What is put in narrows the others.
/// </summary>
internal sealed class StartWindows
{
    private readonly ScheduleProblem problem;
    private readonly Lag[][] lagsOf;
    private readonly Queue<int> open = new();
    private readonly bool[] isOpen;
    private readonly int horizonMin;

    // What is given up binds nothing any more.
    private readonly bool[] isGivenUp;

    /// <summary>Windows over a problem; no activity ends after the horizon.</summary>
    public StartWindows(ScheduleProblem problem, int horizonMin)
    {
        (this.problem, this.horizonMin) = (problem, horizonMin);
        lagsOf = [.. Enumerable.Range(0, problem.Activities.Count).Select(at => problem.Lags.Where(lag => lag.From == at || lag.To == at).ToArray())];
        (From, To, isOpen, isGivenUp) = (new int[lagsOf.Length], new int[lagsOf.Length], new bool[lagsOf.Length], new bool[lagsOf.Length]);
    }

    /// <summary>The first start of each.</summary>
    public int[] From { get; }

    /// <summary>The last start of each; before the first where there is none.</summary>
    public int[] To { get; }

    /// <summary>The lags of an activity, either way.</summary>
    public IReadOnlyList<Lag> LagsOf(int activity) => lagsOf[activity];

    /// <summary>Begins anew: what has a place is where it is, the rest wherever that lets it.</summary>
    /// <param name="starts">The start of each; null where it has no place.</param>
    public void Begin(int?[] starts)
    {
        Array.Clear(isGivenUp);
        Widen(starts);
    }

    private void Widen(int?[] starts)
    {
        open.Clear();
        for (var at = 0; at < starts.Length; at++)
        {
            var one = problem.Activities[at];
            isOpen[at] = false;
            (From[at], To[at]) = starts[at] is { } start ? (start, start) : (Math.Max(0, one.EarliestMin), Math.Min(one.LatestMin, horizonMin - one.Minutes));
        }

        for (var at = 0; at < starts.Length; at++)
            if (starts[at] is null && !isGivenUp[at]) Open(at);
        Settle(starts);
    }

    /// <summary>An activity has got a place: what hangs on it is narrowed.</summary>
    public void Place(int?[] starts, int activity)
    {
        (From[activity], To[activity]) = (starts[activity]!.Value, starts[activity]!.Value);
        OpenAround(starts, activity);
        Settle(starts);
    }

    /// <summary>An activity is given up: it binds nothing that is looked at from now on.</summary>
    public void GiveUp(int?[] starts, int activity)
    {
        isGivenUp[activity] = true;
        Widen(starts);
    }

    private void Open(int activity)
    {
        if (isOpen[activity]) return;
        isOpen[activity] = true;
        open.Enqueue(activity);
    }

    private void OpenAround(int?[] starts, int activity)
    {
        foreach (var lag in lagsOf[activity])
        {
            var other = lag.From == activity ? lag.To : lag.From;
            if (starts[other] is null && !isGivenUp[other]) Open(other);
        }
    }

    private void Settle(int?[] starts)
    {
        // Lags that contradict each other would narrow for ever: an empty window is left alone.
        while (open.TryDequeue(out var activity))
        {
            isOpen[activity] = false;
            if (From[activity] > To[activity] || !Narrow(activity)) continue;
            OpenAround(starts, activity);
        }
    }

    private bool Narrow(int activity)
    {
        var (from, to, length) = (From[activity], To[activity], problem.Activities[activity].Minutes);
        foreach (var lag in lagsOf[activity])
        {
            var other = lag.From == activity ? lag.To : lag.From;
            if (isGivenUp[other] || From[other] > To[other]) continue;
            var otherLength = problem.Activities[other].Minutes;
            if (lag.To == activity)
            {
                from = Math.Max(from, From[other] + otherLength + lag.LeastMin);
                if (lag.MostMin is { } most) to = Math.Min(to, To[other] + otherLength + most);
            }
            else
            {
                to = Math.Min(to, To[other] - lag.LeastMin - length);
                if (lag.MostMin is { } most) from = Math.Max(from, From[other] - most - length);
            }
        }

        if (from == From[activity] && to == To[activity]) return false;
        (From[activity], To[activity]) = (from, to);
        return true;
    }
}
