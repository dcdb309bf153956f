using Google.OrTools.LinearSolver;
using Lumpet.Core.Scheduling;
using Lumpet.PlanChecking;
using Lumpet.Solving;
using Xunit;

namespace Lumpet.Core.Tests.Scheduling;

/// <summary>
/// Projects with least and most lags and shared resources, as the literature knows them (resource-constrained project scheduling with generalised precedence
/// relations), held to the optimum that a general-purpose mixed-integer solver (SCIP, in OR-Tools) proves on the time-indexed model of Pritsker, Watters and Wolfe
/// 1969: another model and another solver than the planner's. The projects are drawn here; none is published.
/// </summary>
public sealed class ProjectSchedulingTests
{
    private const int Projects = 24;
    private const int Pieces = 9;
    private const int HorizonMin = 48;
    private const int End = Pieces;

    [Fact]
    public void The_shortest_projects_are_found_and_proved()
    {
        var (feasible, byHand, best) = (0, 0L, 0L);
        for (var seed = 1; seed <= Projects; seed++)
        {
            var project = Project(seed);
            var known = Scheduler.Plan(project, 300);
            var solved = new ConstraintScheduler().Better(project, known, 2);
            Assert.Empty(ScheduleChecker.Check(project, known));
            Assert.Empty(ScheduleChecker.Check(project, solved.Schedule));
            if (Shortest(project) is not { } shortest)
            {
                // Lags and resources cannot be kept together: something is left out, and that is known as well.
                Assert.True(solved.Schedule.LeftOut > 0, $"project {seed}");
                continue;
            }

            feasible++;
            Assert.Equal((seed, 0L, shortest, true), (seed, solved.Schedule.LeftOut, solved.Schedule.Cost, solved.IsProved));
            // What is left out by the quick search alone is no schedule to compare.
            if (known.LeftOut > 0) continue;
            Assert.True(known.Cost >= shortest);
            (byHand, best) = (byHand + known.Cost, best + shortest);
        }

        Assert.InRange(feasible, Projects / 2, Projects);
        // The quick search alone is a little longer, all together.
        Assert.InRange(byHand, best, best * 105 / 100);
    }

    /// <summary>A project of nine pieces, two resources, a dozen least lags and some most lags; the last activity is its end, which is all that costs.</summary>
    private static ScheduleProblem Project(int seed)
    {
        var dice = new Random(seed);
        Activity[] pieces =
        [
            .. Enumerable.Range(0, Pieces).Select(at => new Activity($"{at}", 1 + dice.Next(7), 0, [new Need(0, dice.Next(4)), new Need(1, dice.Next(3))]) { LatestMin = HorizonMin, PerMinEarlier = 0, PerMinLater = 0, Weight = 100 }),
            new Activity("end", 0, 0, []) { LatestMin = HorizonMin, PerMinEarlier = 0, PerMinLater = 1, Weight = 100 },
        ];
        var lags = new List<Lag>();
        for (var to = 1; to < Pieces; to++)
            for (var many = dice.Next(3); many > 0; many--)
            {
                var (from, least) = (dice.Next(to), dice.Next(4));
                if (lags.All(lag => (lag.From, lag.To) != (from, to))) lags.Add(new Lag(from, to, least, dice.Next(3) == 0 ? least + dice.Next(6) : null));
            }

        return new ScheduleProblem(pieces, [.. lags, .. Enumerable.Range(0, Pieces).Select(at => new Lag(at, End, 0))], [Resource.Always("first", 4), Resource.Always("second", 3)]);
    }

    /// <summary>The least minute of the end, proved; null where there is no schedule of all.</summary>
    private static long? Shortest(ScheduleProblem project)
    {
        using var solver = Solver.CreateSolver("SCIP");
        var starts = project.Activities.Select(one => Enumerable.Range(0, HorizonMin + 1).Select(_ => solver.MakeBoolVar(string.Empty)).ToArray()).ToArray();
        LinearExpr Start(int at) => new SumArray([.. starts[at].Select((begins, minute) => minute * begins)]);
        foreach (var one in starts) solver.Add(new SumArray([.. one.Select(begins => begins * 1)]) == 1);
        foreach (var lag in project.Lags)
        {
            var minutes = project.Activities[lag.From].Minutes;
            solver.Add(Start(lag.To) - Start(lag.From) >= minutes + lag.LeastMin);
            if (lag.MostMin is { } most) solver.Add(Start(lag.To) - Start(lag.From) <= minutes + most);
        }

        for (var resource = 0; resource < project.Resources.Count; resource++)
            for (var minute = 0; minute <= HorizonMin; minute++)
            {
                LinearExpr[] uses =
                [
                    .. from at in Enumerable.Range(0, Pieces)
                       let amount = project.Activities[at].Needs[resource].Amount
                       where amount > 0
                       from begins in Enumerable.Range(Math.Max(0, minute - project.Activities[at].Minutes + 1), Math.Min(minute, project.Activities[at].Minutes - 1) + 1)
                       select amount * starts[at][begins],
                ];
                if (uses.Length > 0) solver.Add(new SumArray(uses) <= project.Resources[resource].At(minute));
            }

        solver.Minimize(Start(End));
        return solver.Solve() switch
        {
            Solver.ResultStatus.OPTIMAL => (long)Math.Round(solver.Objective().Value()),
            Solver.ResultStatus.INFEASIBLE => null,
            var other => throw new InvalidOperationException($"SCIP says {other}."),
        };
    }
}
