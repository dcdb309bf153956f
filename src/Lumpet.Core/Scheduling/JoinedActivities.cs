namespace Lumpet.Core.Scheduling;

/// <summary>
/// A problem in which some activities are done right after one another by the same hands: a run of them is one activity, shorter by
/// what the later ones need not do again. What leads to one of them, and what follows one, is bound by its own minutes in the run; where
/// all are in one vessel, it needs all of them to begin and none is ready before the last.
/// </summary>
internal sealed class JoinedActivities
{
    private readonly ScheduleProblem problem;

    // Of each activity the one that it is part of, the minutes in that before it begins, its own, and whether all of it is in one vessel.
    private readonly (int Whole, int HeadMin, int Minutes, bool IsInOneVessel)[] place;

    /// <summary>Joins runs.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="runs">The runs, each in its order; no activity is in two. All of a run need the same, and none is bound to another of it.</param>
    public JoinedActivities(ScheduleProblem problem, IReadOnlyList<JoinedRun> runs)
    {
        this.problem = problem;
        place = new (int, int, int, bool)[problem.Activities.Count];
        var whole = new List<Activity>();
        var isPart = runs.SelectMany(run => run.Parts).Select(part => part.Activity).ToHashSet();
        for (var at = 0; at < place.Length; at++)
        {
            if (isPart.Contains(at)) continue;
            place[at] = (whole.Count, 0, problem.Activities[at].Minutes, false);
            whole.Add(problem.Activities[at]);
        }

        foreach (var run in runs)
        {
            var head = 0;
            foreach (var part in run.Parts)
            {
                place[part.Activity] = (whole.Count, head, problem.Activities[part.Activity].Minutes - part.SavedMin, run.IsInOneVessel);
                head += problem.Activities[part.Activity].Minutes - part.SavedMin;
            }

            whole.Add(Whole(run.Parts, head));
        }

        Lag[] lags = [.. problem.Lags.Select(lag => Shifted(lag, whole))];
        Contradicts = lags.Any(lag => lag.MostMin < lag.LeastMin);
        Problem = new ScheduleProblem(whole, lags, problem.Resources) { Holds = [.. problem.Holds.Select(Shifted)] };
    }

    /// <summary>The problem with every run as one activity.</summary>
    public ScheduleProblem Problem { get; }

    /// <summary>Whether what is in one vessel would have to wait longer than it may for the rest.</summary>
    public bool Contradicts { get; }

    /// <summary>Whether every activity has some minute at which its limits and lags let it start, resources aside.</summary>
    public bool IsPossible(int horizonMin)
    {
        if (Contradicts) return false;
        var windows = new StartWindows(Problem, horizonMin);
        windows.Begin(new int?[Problem.Activities.Count]);
        return Enumerable.Range(0, Problem.Activities.Count).All(at => windows.From[at] <= windows.To[at]);
    }

    /// <summary>A schedule of the joined problem, activity by activity of the problem as it was. Its cost counts what each is earlier or later than wished.</summary>
    public Schedule Apart(Schedule found)
    {
        int?[] starts = [.. place.Select(one => found.Starts[one.Whole] + one.HeadMin)];
        return new Schedule(
            starts,
            starts.Select((start, at) => start is null ? problem.Activities[at].Weight : 0).Sum(),
            starts.Select((start, at) => start is { } minute ? problem.CostOf(at, minute) : 0).Sum());
    }

    /// <summary>A run as one: it would best start where most of its parts would, by their weight.</summary>
    private Activity Whole(IReadOnlyList<JoinedPart> run, int minutes)
    {
        var parts = run.Select(part => (One: problem.Activities[part.Activity], Head: place[part.Activity].HeadMin)).ToArray();
        return new Activity(parts[0].One.Id, minutes, Middle([.. parts.Select(part => (part.One.WishMin - part.Head, part.One.PerMinLater))]), parts[0].One.Needs)
        {
            EarliestMin = parts.Max(part => part.One.EarliestMin - part.Head),
            LatestMin = parts.Min(part => part.One.LatestMin == ScheduleProblem.MostMinutes ? ScheduleProblem.MostMinutes : part.One.LatestMin - part.Head),
            PerMinEarlier = parts.Sum(part => part.One.PerMinEarlier),
            PerMinLater = parts.Sum(part => part.One.PerMinLater),
            Weight = parts.Sum(part => part.One.Weight),
        };
    }

    /// <summary>The weighted median: what all are away from it costs least in sum.</summary>
    private static int Middle((int Minute, long Weight)[] wishes)
    {
        var (half, sum) = (wishes.Sum(wish => wish.Weight) / 2, 0L);
        foreach (var (minute, weight) in wishes.OrderBy(wish => wish.Minute))
        {
            sum += weight;
            if (sum >= half) return minute;
        }

        return wishes[^1].Minute;
    }

    private Lag Shifted(Lag lag, List<Activity> whole)
    {
        var (from, to) = (place[lag.From], place[lag.To]);
        // From the end of the whole, which is later than its own, to the start of the other, which is sooner. Out of one vessel comes nothing before the end, and nothing is put in later.
        var (tail, head) = (whole[from.Whole].Minutes - from.HeadMin - from.Minutes, to.HeadMin);
        return new Lag(from.Whole, to.Whole, lag.LeastMin - (from.IsInOneVessel ? 0 : tail) - (to.IsInOneVessel ? 0 : head), lag.MostMin - tail - head);
    }

    private Hold Shifted(Hold hold) => hold with { From = Shifted(hold.From), To = Shifted(hold.To) };

    private HoldEnd Shifted(HoldEnd end)
    {
        var (whole, head, minutes, _) = place[end.Activity];
        return new HoldEnd(whole, false) { LaterMin = end.LaterMin + head + (end.IsAtEnd ? minutes : 0) };
    }
}

/// <summary>Activities that are done right after one another.</summary>
/// <param name="Parts">Which, in their order.</param>
/// <param name="IsInOneVessel">Whether they are one batch: all is put in before it begins, and none of it is ready before all is.</param>
internal sealed record JoinedRun(IReadOnlyList<JoinedPart> Parts, bool IsInOneVessel);

/// <summary>An activity in a run.</summary>
/// <param name="Activity">Its index.</param>
/// <param name="SavedMin">By how many minutes it is shorter there; at least 0, less than it takes.</param>
internal sealed record JoinedPart(int Activity, int SavedMin);
