using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Aims are kept while they can be, and given up before a pick-up is missed (docs/decisions/0004).</summary>
public sealed class AimTests
{
    private static int Minutes(PlannedDay plan, string step) =>
        plan.Tasks.Where(task => task.StepId == step).Select(task => task.EndMin - task.StartMin).Min();

    [Fact]
    public void A_quiet_day_cools_and_rests_as_long_as_it_should_and_is_boxed_early()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 4, 1320)));
        Assert.True(Minutes(plan, "cool") >= 360);
        Assert.True(Minutes(plan, "rest") >= 90);
        Assert.True(plan.Waves[0].SpareMin >= 30);
    }

    [Fact]
    public void A_pick_up_that_leaves_no_time_for_the_aim_still_gets_the_least()
    {
        // Seven in the evening of the day that begins at noon: mixed by 13:30 at best, baked by 15:00, four hours to cool.
        var soon = Enumerable.Range(0, 60).Select(step => 380 + (step * 5))
            .Select(pickUp => (pickUp, Plan: DayPlanner.Plan(Snapshot(Order(Pear, 4, pickUp)) with { Shifts = [new DayShift("Long", 0, 900)] })))
            .First(one => one.Plan.Troubles.Count == 0);
        Assert.InRange(Minutes(soon.Plan, "cool"), 240, 359);
        Assert.True(soon.Plan.Waves[0].SpareMin < 30);
    }

    [Fact]
    public void What_is_wanted_between_two_bakes_is_kept_on_a_quiet_day_and_given_up_on_a_full_one()
    {
        // Shells cool 20 minutes at least, better 30.
        Assert.True(Minutes(DayPlanner.Plan(Snapshot(Order(Custard, 4, 1320))), "shell-cool") >= 30);
        var tight = Enumerable.Range(0, 60).Select(step => 200 + (step * 5))
            .Select(pickUp => DayPlanner.Plan(Snapshot(Order(Custard, 4, pickUp)) with { Shifts = [new DayShift("Long", 0, 900)] }))
            .First(plan => plan.Troubles.Count == 0);
        Assert.InRange(Minutes(tight, "shell-cool"), 20, 29);
    }

    [Fact]
    public void A_turn_takes_hands_and_the_cold_after_it_takes_neither_hands_nor_mixer()
    {
        // Three turns of 5 minutes, 30 of cold after each: 40 minutes of mixing and 15 of turning, where 130 used to be hands.
        var folded = Pear with { Dough = Flaky with { MixMinutes = 40, Method = Flaky.Method with { Turns = 3, TurnRestMinutes = 30 } } };
        var plan = DayPlanner.Plan(Snapshot(Order(folded, 4, 1320)));
        Assert.Empty(plan.Troubles);
        var batch = Assert.Single(plan.Batches);
        Assert.Equal((3, 40), (batch.Turns.Count, batch.MixEndMin - batch.MixStartMin));
        Assert.Equal(40 + 15, plan.Tasks.Where(task => task.IsDough && task.Kind == TaskKind.Hands).Sum(task => task.EndMin - task.StartMin));
        Assert.All(batch.Turns.Zip(batch.Turns.Skip(1)), pair => Assert.True(pair.Second - pair.First >= 5 + 30));
        Assert.True(batch.RestStartMin >= batch.Turns[^1] + 5 + 30);
        Assert.True(batch.NeededMin - batch.RestStartMin >= 60);
        // While one batch is in the cold, the bowl takes the next.
        var two = DayPlanner.Plan(Snapshot(Order(folded, 40, 1320)));
        Assert.True(two.Batches.Count >= 2);
        Assert.All(two.Batches.Zip(two.Batches.Skip(1)), pair => Assert.True(pair.Second.MixStartMin >= pair.First.MixEndMin));
    }

    [Fact]
    public void Work_beside_the_bakes_that_does_not_fit_now_comes_later()
    {
        // Shells are out as the first shift ends; the cream can only be cooked when someone is there again, so filling waits for it.
        var cream = Custard with
        {
            Process = new ProcessNetwork(
                [.. Custard.Process.Steps.Where(step => step.Id is "line" or "chill" or "weight" or "blind" or "shell-cool" or "whisk" or "pour" or "set" or "box")],
                [
                    .. Custard.Process.Links.Where(link => link.After is "chill" or "weight" or "blind" or "shell-cool"), new Link("shell-cool", "pour", Span.Between(0, 0)),
                    new Link("whisk", "pour", Span.Between(0, 15)), new Link("pour", "set", Span.Between(0, 0)), new Link("set", "box", Span.Between(0, 0)),
                ]),
        };
        for (var end = 200; end <= 330; end += 10)
        {
            var plan = DayPlanner.Plan(Snapshot(Order(cream, 4, 1320)) with { Shifts = [new DayShift("Day", 0, end), new DayShift("Night", 720, 1320)] });
            Assert.True(plan.Troubles.Count == 0, $"shift until {end}: {string.Join("; ", plan.Troubles.Select(trouble => trouble.What.With(minute => $"{minute}")))}");
            Assert.InRange(plan.Tasks.Single(task => task.StepId == "pour").StartMin - plan.Tasks.Single(task => task.StepId == "whisk").EndMin, 0, 15);
        }
    }

    [Fact]
    public void A_custard_leaves_the_rack_within_its_most_even_when_the_shift_ends()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Custard, 8, 1320)));
        Assert.Empty(plan.Troubles);
        Assert.InRange(Minutes(plan, "rack"), 30, 90);
        Assert.True(Minutes(plan, "set") >= 120);
    }

    [Fact]
    public void A_day_with_a_little_more_than_one_bowl_mixes_two_equal_ones_in_time()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 24, 1320)));
        Assert.Empty(plan.Troubles);
        Assert.Equal(2, plan.Batches.Count);
        Assert.Equal(plan.Batches[0].Mass.Grams, plan.Batches[1].Mass.Grams, 700.0);
    }
}
