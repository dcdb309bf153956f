using CsCheck;
using Lumpet.Core.Scheduling;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Scheduling;

/// <summary>A run of activities, planned as one, keeps every rule that its parts would keep.</summary>
public sealed class JoinedActivitiesTests
{
    private static readonly Gen<(ScheduleProblem Problem, int Saved, bool IsInOneVessel)> Any =
        Gen.Select(
            Gen.Select(Gen.Int[1, 4], Gen.Int[0, 20], Gen.Int[1, 3]).Array[4, 7],
            Gen.Select(Gen.Int[0, 6], Gen.Int[0, 6], Gen.Int[-2, 4], Gen.Int[0, 12]).Array[0, 6],
            Gen.Select(Gen.Int[0, 6], Gen.Int[0, 6], Gen.Bool, Gen.Bool, Gen.Int[1, 2]).Array[0, 4],
            Gen.Int[0, 1],
            Gen.Bool)
        .Select((activities, lags, holds, saved, isInOneVessel) =>
        {
            bool AreApart(int from, int to) => from < to && to < activities.Length && to > 1;
            return (
                new ScheduleProblem(
                    [.. activities.Select((one, at) => new Activity($"{at}", at == 1 ? one.Item1 + 1 : one.Item1, one.Item2, [new Need(0, 1)]) { PerMinEarlier = one.Item3, PerMinLater = one.Item3, LatestMin = 40, Weight = one.Item3 })],
                    [.. lags.Where(lag => AreApart(lag.Item1, lag.Item2)).Select(lag => new Lag(lag.Item1, lag.Item2, lag.Item3, lag.Item4 == 0 ? null : lag.Item3 + lag.Item4))],
                    [Resource.Always("hands", 2), Resource.Always("room", 3)])
                { Holds = [.. holds.Where(hold => AreApart(hold.Item1, hold.Item2)).Select(hold => new Hold(1, hold.Item5, new HoldEnd(hold.Item1, hold.Item3), new HoldEnd(hold.Item2, hold.Item4)))] },
                saved,
                isInOneVessel);
        });

    /// <summary>The same said without runs: the second is shorter and begins when the first ends; from one vessel nothing comes and into it nothing goes but at its ends.</summary>
    private static ScheduleProblem Said(ScheduleProblem problem, int saved, bool isInOneVessel) => problem with
    {
        Activities = [.. problem.Activities.Select((one, at) => at == 1 ? one with { Minutes = one.Minutes - saved } : one)],
        Lags =
        [
            .. problem.Lags,
            new Lag(0, 1, 0, 0),
            .. isInOneVessel ? problem.Lags.Where(lag => lag.From == 0).Select(lag => new Lag(1, lag.To, lag.LeastMin)) : [],
            .. isInOneVessel ? problem.Lags.Where(lag => lag.To == 1).Select(lag => new Lag(lag.From, 0, lag.LeastMin)) : [],
        ],
    };

    [Fact]
    public void What_is_planned_as_one_is_right_part_by_part()
    {
        var (whole, none) = (0, 0);
        Any.SampleTheSame(
            one =>
            {
                var (problem, saved, isInOneVessel) = one;
                var joined = new JoinedActivities(problem, [new JoinedRun([new JoinedPart(0, 0), new JoinedPart(1, saved)], isInOneVessel)]);
                var said = Said(problem, saved, isInOneVessel);
                var other = Scheduler.Plan(said, effort: 600);
                if (joined.Contradicts || !joined.IsPossible(400))
                {
                    Assert.True(other.LeftOut > 0, "It is called impossible, and is not.");
                    none++;
                    return;
                }

                var apart = joined.Apart(Scheduler.Plan(joined.Problem, effort: 200));
                // What it costs is counted at the starts of its parts.
                Assert.Empty(ScheduleChecker.Check(said, apart));
                if (apart.LeftOut == 0) whole++;
                else Assert.True(other.LeftOut > 0, $"It leaves out {apart.LeftOut}, where nothing need be.");
            },
            iter: 400,
            threads: 1);
        Assert.InRange(whole, 250, 400);
        Assert.InRange(none, 1, 150);
    }

    [Fact]
    public void A_run_is_as_long_as_its_parts_and_begins_where_most_of_it_is_wished()
    {
        var problem = new ScheduleProblem(
            [new Activity("a", 10, 100, [new Need(0, 1)]) { PerMinEarlier = 1, PerMinLater = 1 }, new Activity("b", 8, 140, [new Need(0, 1)]) { PerMinEarlier = 5, PerMinLater = 5 }, new Activity("c", 6, 90, [new Need(0, 1)]) { EarliestMin = 50 }],
            [],
            [Resource.Always("hands", 1)]);
        var joined = new JoinedActivities(problem, [new JoinedRun([new JoinedPart(0, 0), new JoinedPart(1, 3), new JoinedPart(2, 1)], false)]);
        var run = Assert.Single(joined.Problem.Activities);
        // 10 + (8 - 3) + (6 - 1); b weighs most and begins 10 minutes into it.
        Assert.Equal((20, 130, 7L, 35), (run.Minutes, run.WishMin, run.PerMinLater, run.EarliestMin));
        Assert.Equal([130, 140, 145], joined.Apart(Scheduler.Plan(joined.Problem)).Starts);
        Assert.Equal(30 + 0 + 55, joined.Apart(Scheduler.Plan(joined.Problem)).Cost);
    }
}
