using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.DayPlan.BegunWorkTests;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Work that a published plan has begun may take longer than it was to; the rest is planned around that.</summary>
public sealed class TakesLongerTests
{
    private static readonly PublishedPlan Published = Publishing.Of(Plan, Day.OvensWatched, task => task.About, null);

    private static DayTask Task(PublishedPlan plan, string id) => plan.Tasks.Single(one => one.Task.Id == id).Task;

    private static PublishedPlan Longer(string id, int minutes) => Published.Taking(new Dictionary<string, int> { [id] = minutes });

    [Fact]
    public void What_a_batch_still_needs_is_later_by_as_much_and_so_is_the_batch()
    {
        // As if the roots needed no oven: then all of their batch may be later.
        var published = Published with { Trays = [] };
        var batch = published.Made.MaxBy(one => one.TaskIds.Count)!;
        Assert.True(batch.TaskIds.Count > 2);
        var (first, second, rest) = (batch.TaskIds[0], batch.TaskIds.Skip(1).First(id => Task(published, id).Kind == TaskKind.Hands), batch.TaskIds.Skip(1).ToArray());
        var plan = published.Taking(new Dictionary<string, int> { [first] = 17, [second] = 4 });
        Assert.Equal((Task(published, first).StartMin, Task(published, first).EndMin + 17), (Task(plan, first).StartMin, Task(plan, first).EndMin));
        foreach (var id in rest)
        {
            var isBefore = Array.IndexOf(rest, id) < Array.IndexOf(rest, second);
            Assert.Equal((Task(published, id).StartMin + (isBefore || id == second ? 17 : 21), Task(published, id).EndMin + (isBefore ? 17 : 21)), (Task(plan, id).StartMin, Task(plan, id).EndMin));
        }

        Assert.Equal(batch.ReadyMin + 21, plan.Made.First(one => one.TaskIds.Contains(first)).ReadyMin);
        // And nothing else.
        Assert.All(published.Tasks.Where(one => !batch.TaskIds.Contains(one.Task.Id)), one => Assert.Contains(one, plan.Tasks));
        Assert.All(published.Made.Where(one => !one.TaskIds.Contains(first)), one => Assert.Contains(plan.Made, other => other.ReadyMin == one.ReadyMin && other.TaskIds.SequenceEqual(one.TaskIds)));
        Assert.Equal(plan.Tasks.Select(one => one.Task.StartMin).Order(), plan.Tasks.Select(one => one.Task.StartMin));
    }

    [Fact]
    public void It_is_said_of_work_of_the_plan_itself_before_which_no_oven_waits()
    {
        foreach (var task in Plan.Tasks.Where(task => task.Kind == TaskKind.Bake)) Assert.False(Published.MayTakeLonger(task.Id), task.Id);
        var baked = Published.Made.Single(one => one.TaskIds.Any(id => Task(Published, id).Kind == TaskKind.Bake)).TaskIds;
        var bake = baked.TakeWhile(id => Task(Published, id).Kind != TaskKind.Bake).Count();
        Assert.InRange(bake, 1, baked.Count - 2);
        Assert.All(baked.Take(bake), id => Assert.False(Published.MayTakeLonger(id), id));
        Assert.All(baked.Skip(bake + 1).Where(id => Task(Published, id).Kind == TaskKind.Hands), id => Assert.True(Published.MayTakeLonger(id), id));
        Assert.False(Published.MayTakeLonger("no such task"));
        var before = Published with { Tasks = [.. Published.Tasks.Select(one => one with { IsFromBefore = true })] };
        Assert.All(before.Tasks, one => Assert.False(before.MayTakeLonger(one.Task.Id)));
        // What may not be said changes nothing.
        Assert.Same(Published, Longer(baked[0], 30));
        Assert.Same(Published, Published.Taking(new Dictionary<string, int>()));
    }

    [Theory]
    [InlineData(5)]
    [InlineData(45)]
    public void Whatever_takes_longer_the_rest_is_planned_after_it(int longer)
    {
        var seen = 0;
        foreach (var task in Plan.Tasks.Where(task => Published.MayTakeLonger(task.Id)).Where((_, at) => at % 5 == 0))
        {
            var minute = task.StartMin + 1;
            var published = Longer(task.Id, longer);
            var left = Day.From(minute, BegunWork.At(published, minute, new HashSet<string>(), Library, ("b1", "published")));
            var plan = DayPlanner.Plan(left, 2);
            Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
            Assert.Empty(DayPlanChecker.Check(left, plan));
            var end = task.EndMin + longer - minute;
            Assert.Contains(plan.GoingOn, other => other.Id == task.Id && other.EndMin == end);
            Assert.Contains(left.Taken.Work, work => work.ToMin == end);
            // Pies of it go on when it is over: nothing of their lot that is left begins before.
            if (task.LotId is { } lot && Published.Pies.Single(pies => pies.Steps.Values.Contains(task.Id)) is var pies)
                Assert.Contains(left.Stock.Pies, one => one.ProductId == pies.ProductId && one.DoneMin == end && lot.Length > 0);
            seen++;
        }

        Assert.True(seen > 5, $"{seen}");
    }
}
