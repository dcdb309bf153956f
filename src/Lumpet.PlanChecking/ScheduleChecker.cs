using Lumpet.Core.Scheduling;

namespace Lumpet.PlanChecking;

/// <summary>Checks a schedule minute by minute. It shares no code with what makes schedules.</summary>
public static class ScheduleChecker
{
    /// <summary>Every rule that a schedule breaks; what has no place is not looked at.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="schedule">The schedule.</param>
    public static IReadOnlyList<PlanFault> Check(ScheduleProblem problem, Schedule schedule) => [.. Faults(problem, schedule)];

    private static IEnumerable<PlanFault> Faults(ScheduleProblem problem, Schedule schedule)
    {
        if (schedule.Starts.Count != problem.Activities.Count)
        {
            yield return new PlanFault("count", "schedule", $"It has {schedule.Starts.Count} starts for {problem.Activities.Count} activities.");
            yield break;
        }

        var (leftOut, cost) = (0L, 0L);
        for (var at = 0; at < schedule.Starts.Count; at++)
        {
            var one = problem.Activities[at];
            if (schedule.Starts[at] is not { } start)
            {
                leftOut += one.Weight;
                continue;
            }

            if (start < 0 || start < one.EarliestMin || start > one.LatestMin) yield return new PlanFault("window", one.Id, $"It starts at {start}, and may from {one.EarliestMin} to {one.LatestMin}.");
            cost += start < one.WishMin ? (one.WishMin - start) * one.PerMinEarlier : (start - one.WishMin) * one.PerMinLater;
        }

        foreach (var lag in problem.Lags)
        {
            if (schedule.Starts[lag.From] is not { } from || schedule.Starts[lag.To] is not { } to) continue;
            var between = to - (from + problem.Activities[lag.From].Minutes);
            if (between < lag.LeastMin || (lag.MostMin is { } most && between > most))
                yield return new PlanFault("lag", problem.Activities[lag.To].Id, $"{between} min lie between it and {problem.Activities[lag.From].Id}.");
        }

        for (var resource = 0; resource < problem.Resources.Count; resource++)
        {
            var used = new Dictionary<int, int>();
            for (var at = 0; at < schedule.Starts.Count; at++)
            {
                if (schedule.Starts[at] is not { } start) continue;
                var amount = problem.Activities[at].Needs.Where(need => need.Resource == resource).Sum(need => need.Amount);
                for (var minute = start; amount > 0 && minute < start + problem.Activities[at].Minutes; minute++) used[minute] = used.GetValueOrDefault(minute) + amount;
            }

            foreach (var hold in problem.Holds.Where(hold => hold.Resource == resource))
            {
                int? At(HoldEnd end) => schedule.Starts[end.Activity] is { } start ? (end.IsAtEnd ? start + problem.Activities[end.Activity].Minutes : start) + end.LaterMin : null;
                for (var minute = At(hold.From) ?? int.MaxValue; minute < At(hold.To); minute++) used[minute] = used.GetValueOrDefault(minute) + hold.Amount;
            }

            foreach (var (minute, amount) in used.OrderBy(one => one.Key))
                if (amount > problem.Resources[resource].At(minute))
                {
                    yield return new PlanFault("capacity", problem.Resources[resource].Name, $"{amount} are wanted at minute {minute}, and {problem.Resources[resource].At(minute)} are there.");
                    break;
                }
        }

        if (leftOut != schedule.LeftOut) yield return new PlanFault("leftOut", "schedule", $"It says {schedule.LeftOut} are left out, where {leftOut} are.");
        if (cost != schedule.Cost) yield return new PlanFault("cost", "schedule", $"It says it costs {schedule.Cost}, where it costs {cost}.");
    }
}
