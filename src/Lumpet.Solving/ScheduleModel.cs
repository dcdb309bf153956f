using Google.OrTools.Sat;
using Lumpet.Core.Scheduling;

namespace Lumpet.Solving;

/// <summary>A schedule problem as a model of the solver: every activity has a start, and a literal that says whether it has a place.</summary>
internal sealed class ScheduleModel
{
    private readonly ScheduleProblem problem;
    private readonly IntVar[] starts;
    private readonly BoolVar[] isPlaced;
    private readonly int horizonMin;

    /// <summary>The model of a problem.</summary>
    /// <param name="problem">The problem; it holds together.</param>
    /// <param name="known">A schedule of it, from which the search begins.</param>
    public ScheduleModel(ScheduleProblem problem, Schedule known)
    {
        this.problem = problem;
        horizonMin = Horizon(known);
        var activities = problem.Activities;
        starts = [.. activities.Select((one, at) => Start(one, at))];
        isPlaced = [.. activities.Select((one, at) => Model.NewBoolVar($"placed {at}"))];
        foreach (var (one, at) in activities.Select((one, at) => (one, at)))
            // What cannot start within its limits has no place.
            if (one.EarliestMin > one.LatestMin || Math.Max(0, one.EarliestMin) > horizonMin) Model.Add(isPlaced[at] == 0);
        foreach (var lag in problem.Lags) Add(lag);
        for (var resource = 0; resource < problem.Resources.Count; resource++) Add(resource);
        Judge();
        Hint(known);
    }

    /// <summary>The model.</summary>
    public CpModel Model { get; } = new();

    /// <summary>The schedule that a solver found.</summary>
    public Schedule Read(CpSolver solver)
    {
        int?[] found = [.. starts.Select((start, at) => solver.BooleanValue(isPlaced[at]) ? (int?)solver.Value(start) : null)];
        return new Schedule(
            found,
            found.Select((start, at) => start is null ? problem.Activities[at].Weight : 0).Sum(),
            found.Select((start, at) => start is { } minute ? problem.CostOf(at, minute) : 0).Sum());
    }

    /// <summary>No start is later: all that is known, limited or wished, and room for all work behind it.</summary>
    private int Horizon(Schedule known)
    {
        var last = problem.Activities.Select((one, at) => Math.Max(Math.Max(one.WishMin, one.EarliestMin), known.Starts[at] ?? 0) + one.Minutes).Max();
        var work = problem.Activities.Sum(one => (long)one.Minutes) + problem.Lags.Sum(lag => (long)Math.Max(0, lag.LeastMin));
        return (int)Math.Min(ScheduleProblem.MostMinutes, Math.Max(0, last) + work);
    }

    private IntVar Start(Activity one, int at)
    {
        var from = Math.Clamp(one.EarliestMin, 0, horizonMin);
        return Model.NewIntVar(from, Math.Max(from, Math.Min(one.LatestMin, horizonMin)), $"start {at}");
    }

    private void Add(Lag lag)
    {
        var (end, placed) = (starts[lag.From] + problem.Activities[lag.From].Minutes, new ILiteral[] { isPlaced[lag.From], isPlaced[lag.To] });
        Model.Add(starts[lag.To] - end >= lag.LeastMin).OnlyEnforceIf(placed);
        if (lag.MostMin is { } most) Model.Add(starts[lag.To] - end <= most).OnlyEnforceIf(placed);
    }

    /// <summary>What is in use of a resource, with what is missing of it at times, is never more than there is at most.</summary>
    private void Add(int resource)
    {
        var steps = problem.Resources[resource].Steps;
        var most = steps.Select(step => step.Amount).DefaultIfEmpty(0).Max();
        var (intervals, demands) = (new List<IntervalVar>(), new List<long>());
        void Use(IntervalVar interval, long amount)
        {
            if (amount == 0) return;
            intervals.Add(interval);
            demands.Add(amount);
        }

        foreach (var (one, at) in problem.Activities.Select((one, at) => (one, at)))
            if (one.Minutes > 0) Use(Model.NewOptionalFixedSizeIntervalVar(starts[at], one.Minutes, isPlaced[at], $"at {at} on {resource}"), one.Needs.Where(need => need.Resource == resource).Sum(need => need.Amount));
        foreach (var (hold, at) in problem.Holds.Where(hold => hold.Resource == resource && hold.Amount > 0).Select((hold, at) => (hold, at))) Use(Held(hold, FormattableString.Invariant($"hold {at} on {resource}")), hold.Amount);
        var end = horizonMin + problem.Activities.Max(one => one.Minutes) + 1;
        foreach (var (from, to, amount) in Stretches(steps, end).Where(stretch => stretch.Amount < most)) Use(Model.NewFixedSizeIntervalVar(from, to - from, $"missing of {resource} from {from}"), most - amount);
        if (demands.Count > 0) Model.AddCumulative(most).AddDemands(intervals, demands);
    }

    private static IEnumerable<(int From, int To, int Amount)> Stretches(IReadOnlyList<CapacityFrom> steps, int endMin)
    {
        // None is there before the first.
        if (steps.Count == 0 || steps[0].AtMin > 0) yield return (0, steps.Count == 0 ? endMin : Math.Min(steps[0].AtMin, endMin), 0);
        for (var at = 0; at < steps.Count; at++)
        {
            var (from, to) = (Math.Max(0, steps[at].AtMin), at + 1 < steps.Count ? Math.Min(steps[at + 1].AtMin, endMin) : endMin);
            if (from < to) yield return (from, to, steps[at].Amount);
        }
    }

    /// <summary>Something is held from one minute until another, where that is later and both activities have a place.</summary>
    private IntervalVar Held(Hold hold, string name)
    {
        LinearExpr Minute(HoldEnd end) => starts[end.Activity] + end.LaterMin + (end.IsAtEnd ? problem.Activities[end.Activity].Minutes : 0);
        var (from, to) = (Minute(hold.From), Minute(hold.To));
        var isHeld = Model.NewBoolVar(name);
        var (begin, end) = (Model.NewIntVar(-ScheduleProblem.MostMinutes, 2 * ScheduleProblem.MostMinutes, $"{name} from"), Model.NewIntVar(-ScheduleProblem.MostMinutes, 2 * ScheduleProblem.MostMinutes, $"{name} to"));
        var minutes = Model.NewIntVar(0, 2 * ScheduleProblem.MostMinutes, $"{name} minutes");
        Model.Add(begin == from).OnlyEnforceIf(isHeld);
        Model.Add(end == to).OnlyEnforceIf(isHeld);
        var (fromPlaced, toPlaced) = (isPlaced[hold.From.Activity], isPlaced[hold.To.Activity]);
        Model.AddImplication(isHeld, fromPlaced);
        Model.AddImplication(isHeld, toPlaced);
        // Not held only where something has no place, or nothing lies between.
        var isNothing = Model.NewBoolVar($"{name} none");
        Model.Add(to <= from).OnlyEnforceIf(isNothing);
        Model.AddBoolOr([isHeld, isNothing, fromPlaced.Not(), toPlaced.Not()]);
        return Model.NewOptionalIntervalVar(begin, minutes, end, isHeld, name);
    }

    /// <summary>What is left out stands above all that the others cost.</summary>
    private void Judge()
    {
        var costs = new List<LinearExpr>();
        long most = 0;
        foreach (var (one, at) in problem.Activities.Select((one, at) => (one, at)))
        {
            var dearest = Math.Max(one.PerMinEarlier, one.PerMinLater) * (horizonMin + (long)Math.Abs(one.WishMin));
            if (dearest == 0) continue;
            var cost = Model.NewIntVar(0, dearest, $"cost {at}");
            Model.Add(cost >= (starts[at] - one.WishMin) * one.PerMinLater).OnlyEnforceIf(isPlaced[at]);
            Model.Add(cost >= (one.WishMin - starts[at]) * one.PerMinEarlier).OnlyEnforceIf(isPlaced[at]);
            costs.Add(cost);
            most += dearest;
        }

        costs.AddRange(problem.Activities.Select((one, at) => isPlaced[at].NotAsExpr() * (one.Weight * (most + 1))));
        Model.Minimize(LinearExpr.Sum(costs));
    }

    private void Hint(Schedule known)
    {
        for (var at = 0; at < starts.Length; at++)
        {
            Model.AddHint(isPlaced[at], known.Starts[at] is not null);
            if (known.Starts[at] is { } start) Model.AddHint(starts[at], start);
        }
    }
}
