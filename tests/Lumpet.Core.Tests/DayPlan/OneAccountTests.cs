using CsCheck;
using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Pick-ups, troubles, reasons and tasks are told from one account, and contradict each other nowhere.</summary>
public sealed class OneAccountTests
{
    private static readonly Gen<DaySnapshot> AnyDay =
        Gen.Select(Gen.Select(Gen.Int[0, 1], Gen.Int[1, 40], Gen.Int[10, 140], Gen.Bool).Array[1, 5], Gen.Int[0, 480], Gen.Int[60, 700]).Select((orders, pause, night) => Snapshot(
            [.. orders.Select(order => Order(order.Item1 == 0 ? Pear : Custard, order.Item2, order.Item3 * 10, order.Item4 ? Pan23 : Pan26))]) with
        {
            Shifts = [new DayShift("Afternoon", 0, 480), new DayShift("Night", 480 + pause, 480 + pause + night)],
        });

    [Fact]
    public void Every_pie_has_one_fate_and_every_word_is_told_from_it() => AnyDay.SampleTheSame(snapshot =>
    {
        var plan = DayPlanner.Plan(snapshot, effort: 2);
        foreach (var fate in plan.Fates)
        {
            Assert.Equal(fate.Lot.Count, fate.InTime + fate.Late + fate.Unfit + fate.NotBaked);
            Assert.Equal(fate.Late > 0, fate.LateMin > 0);
            // Troubles are the pies that miss, kind by kind, and no others.
            int Told(TroubleKind kind) => plan.Troubles.Where(trouble => trouble.LotId == fate.Lot.Id && trouble.Kind == kind).Sum(trouble => trouble.Pies);
            Assert.Equal((fate.NotBaked, fate.Unfit, fate.Late), (Told(TroubleKind.NotBaked), Told(TroubleKind.Unfit), Told(TroubleKind.Late)));
            // Boxes of the plan are the pies that have a place in an oven.
            Assert.Equal(fate.Lot.Count - fate.NotBaked, plan.Tasks.Where(task => task.LotId == fate.Lot.Id && task.StepId == "box").Sum(task => task.Pies));
        }

        foreach (var wave in plan.Waves)
        {
            Assert.Equal(wave.IsMet, !plan.Troubles.Any(trouble => plan.Lots.First(lot => lot.Id == trouble.LotId).PickUpMin == wave.PickUpMin));
            // Time to spare is promised only where every pie is boxed by then.
            if (wave.SpareMin >= 0) Assert.True(wave.IsMet);
            if (wave.IsMet) Assert.True(wave.SpareMin >= 0);
        }

        Assert.All(plan.Troubles, trouble => Assert.NotEmpty(trouble.Mend.Parts));
    }, iter: 60);

    [Fact]
    public void A_reason_never_says_that_a_bake_could_be_at_the_door_only_after_it_began() => AnyDay.SampleTheSame(snapshot =>
    {
        var plan = DayPlanner.Plan(snapshot, effort: 2);
        foreach (var bake in plan.Tasks.Where(task => task.Kind == TaskKind.Bake))
        {
            // "…it could be at the door from A, and should be out by B".
            var said = plan.Reasons[bake.Id].Why.Parts.Where(part => part.Minute is not null).Select(part => part.Minute!.Value).ToArray();
            Assert.Equal(plan.Problem.Bakes.Single(one => one.Id == $"{bake.LotId}/{bake.StepId}").ReleaseMin, said[0]);
            Assert.True(said[0] <= bake.StartMin, $"{bake.Id}: {said[0]} after {bake.StartMin}");
        }
    }, iter: 60);

    [Fact]
    public void A_way_out_is_named_only_where_taking_it_helps()
    {
        // 60 pears for half past seven in one oven of one shelf, with people there all the time: ovens help, people and mixer do not.
        var day = Snapshot(Order(Pear, 60, 1170)) with { Ovens = [new Core.Bakery.Oven("hearth", "Hearth", 1, 90, 280, 8, 4, 0)], Shifts = [new DayShift("All", 0, 1320)] };
        var plan = DayPlanner.Plan(day);
        var mend = plan.Troubles[0].Mend.With(minute => $"{minute}");
        Assert.Contains("oven", mend, StringComparison.Ordinal);
        Assert.DoesNotContain("people", mend, StringComparison.Ordinal);
        Assert.DoesNotContain("mixer", mend, StringComparison.Ordinal);
        var helped = DayPlanner.Plan(day with { Ovens = [day.Ovens[0] with { Shelves = 2 }] });
        Assert.True(helped.Fates.Sum(fate => fate.Missed) < plan.Fates.Sum(fate => fate.Missed));
    }

    [Fact]
    public void A_pick_up_that_is_only_too_soon_is_offered_the_time_at_which_it_would_be_met()
    {
        // Begun at noon, nothing gets a pear to a box by five: only an earlier begin or a later pick-up does.
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 4, 300)));
        var trouble = Assert.Single(plan.Troubles);
        var mend = trouble.Mend.With(minute => $"{minute}");
        Assert.True(mend.Contains("earlier", StringComparison.Ordinal) || mend.Contains("would be met", StringComparison.Ordinal), mend);
        Assert.DoesNotContain("shelves", mend, StringComparison.Ordinal);
    }

    [Fact]
    public void Text_that_people_write_is_text_whatever_it_holds()
    {
        var braces = Pear with
        {
            Name = "Pear {0}",
            Process = Pear.Process with { Steps = [.. Pear.Process.Steps.Select(step => step with { Name = $"{step.Name} {{to the rim}} {{9}}" })] },
        };
        var plan = DayPlanner.Plan(Snapshot(Order(braces, 60, 500)) with { Shifts = [new DayShift("Short", 0, 200)] });
        Assert.NotEmpty(plan.Troubles);
        Assert.Contains(plan.Reasons.Values.Select(reason => reason.Why.With(minute => $"{minute}")).Concat(plan.Troubles.Select(trouble => trouble.What.With(minute => $"{minute}"))), said => said.Contains("{to the rim} {9}", StringComparison.Ordinal) || plan.Reasons.Count == 0);
    }

    [Fact]
    public void Work_before_now_is_overdue_until_the_last_pick_up()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 4, 1320)));
        var first = plan.Tasks.First(task => task.Kind != TaskKind.Wait);
        Assert.Null(Overdue.At(plan, first.StartMin));
        var late = Overdue.At(plan, first.StartMin + 1)!;
        Assert.Equal((1, first.StartMin, first.Name), (late.Tasks, late.FirstMin, late.FirstName));
        Assert.Equal(plan.Tasks.Count(task => task.Kind != TaskKind.Wait && task.StartMin < 1000), Overdue.At(plan, 1000)!.Tasks);
        Assert.Null(Overdue.At(plan, 1320));
    }

    [Fact]
    public void Two_days_that_count_on_one_oven_or_mixer_at_one_time_are_told()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 12, 1170)));
        // A copy of the day an hour later wants the same ovens and mixer; one a day later does not.
        var shared = SharedTime.Between(plan, plan, 60, "Mixer");
        Assert.Contains(shared, one => one.What is "Hearth" or "Finisher");
        Assert.All(shared, one => Assert.True(one.FromMin < one.ToMin));
        Assert.Empty(SharedTime.Between(plan, plan, 1440, "Mixer"));
        var batch = plan.Batches[0];
        Assert.Contains(SharedTime.Between(plan, plan, 10, "Mixer"), one => one == new SharedTime("Mixer", batch.MixStartMin + 10, batch.MixEndMin));
    }
}
