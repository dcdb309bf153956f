using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class TaskReasonTests
{
    private static readonly PlannedDay Fair = DayPlanner.Plan(Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1170), Order(Pear, 12, 1320)));

    private static readonly Dictionary<string, DayTask> Tasks = Fair.Tasks.ToDictionary(task => task.Id);

    [Fact]
    public void Every_task_has_its_reason_and_every_link_leads_both_ways()
    {
        Assert.Equal(Tasks.Keys.Order(), Fair.Reasons.Keys.Order());
        foreach (var (id, reason) in Fair.Reasons)
        {
            Assert.NotEmpty(reason.Why.Parts);
            foreach (var link in reason.WaitsFor) Assert.Equal(Tasks[id].StartMin, Tasks[link.TaskId].EndMin + link.GapMin);
            foreach (var link in reason.WaitsFor.Where(link => !link.TaskId.EndsWith("/mix", StringComparison.Ordinal)))
                Assert.Contains(Fair.Reasons[link.TaskId].WaitedBy, back => back.TaskId == id);
        }
    }

    [Fact]
    public void Only_the_first_dough_waits_for_nothing_and_only_boxes_are_waited_for_by_nothing()
    {
        Assert.All(Tasks.Values.Where(task => Fair.Reasons[task.Id].WaitedBy.Count == 0), task => Assert.Equal("box", task.StepId));
        Assert.All(
            Tasks.Values.Where(task => Fair.Reasons[task.Id].WaitsFor.Count == 0),
            task => Assert.True(task.StepId is "mix" or "prepare" or "whisk", task.Id));
    }

    [Fact]
    public void What_may_slip_leaves_every_least_minute_between()
    {
        foreach (var (id, reason) in Fair.Reasons)
        {
            Assert.True(reason.SlipMin >= 0, id);
            foreach (var link in reason.WaitedBy.Where(link => Tasks[id].Kind != TaskKind.Wait && Tasks[link.TaskId].Kind != TaskKind.Wait))
                Assert.True(reason.SlipMin <= link.GapMin - link.LeastMin, id);
        }
    }

    [Fact]
    public void The_last_box_can_slip_until_its_pick_up()
    {
        // One that others are boxed right after cannot slip without them.
        var goOn = Tasks.Values.Select(task => task.RightAfter).ToHashSet();
        Assert.Contains(Tasks.Values, task => task.StepId == "box" && goOn.Contains(task.Id));
        Assert.All(Tasks.Values.Where(task => goOn.Contains(task.Id)), task => Assert.Equal(0, Fair.Reasons[task.Id].SlipMin));
        foreach (var box in Tasks.Values.Where(task => task.StepId == "box" && !goOn.Contains(task.Id)))
        {
            var pickUp = Fair.Lots.Single(lot => lot.Id == box.LotId).PickUpMin;
            Assert.Equal(Math.Min(pickUp, 1320) - box.EndMin, Fair.Reasons[box.Id].SlipMin);
        }
    }

    [Fact]
    public void A_bake_can_stay_as_long_as_its_oven_and_its_last_stage_allow()
    {
        foreach (var bake in Tasks.Values.Where(task => task.Kind == TaskKind.Bake))
        {
            var (lot, reason) = (Fair.Lots.Single(lot => lot.Id == bake.LotId), Fair.Reasons[bake.Id]);
            var stage = lot.Product.Process.Steps.Single(step => step.Id == bake.StepId).Stages[^1];
            var stay = Fair.BakePlan.Trays.First(tray => tray.BakeId == $"{bake.LotId}/{bake.StepId}" && tray.EndMin == bake.EndMin).Stages[^1];
            Assert.InRange(reason.SlipMin, 0, stage.MaxMin - (stay.EndMin - stay.StartMin));
            // Through all those minutes the oven stays within the tolerance of the stage.
            for (var minute = stay.EndMin; minute < stay.EndMin + reason.SlipMin; minute++)
            {
                var setting = Fair.BakePlan.Settings.Last(setting => setting.OvenId == stay.OvenId && setting.AtMin <= minute);
                Assert.InRange(setting.TempC!.Value, stage.TempC - 5, stage.TempC + 5);
            }
        }
    }

    [Fact]
    public void The_oven_steps_put_in_and_take_out_every_tray_once()
    {
        var steps = OvenSteps.Of(Fair);
        var put = steps.Where(step => step.Act == OvenAct.In).Sum(step => step.Visits.Sum(visit => visit.Pies));
        Assert.Equal(put, steps.Where(step => step.Act == OvenAct.Out).Sum(step => step.Visits.Sum(visit => visit.Pies)));
        // Twelve and twelve pears, and eight custards whose shells are baked before.
        Assert.Equal(12 + 12 + 8 + 8, put);
        Assert.Equal(steps.Count(step => step.Act is OvenAct.Set or OvenAct.Drop or OvenAct.Off), Fair.BakePlan.Settings.Count);
        Assert.Equal(steps.Select(step => step.AtMin).Order(), steps.Select(step => step.AtMin));
    }
}
