using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class DayPlannerTests
{
    // Half past seven and ten in the morning, minutes from noon.
    private const int Early = 1170;
    private const int Late = 1320;

    private static readonly PlannedDay Fair = DayPlanner.Plan(
        Snapshot(Order(Pear, 12, Early), Order(Custard, 8, Early), Order(Pear, 4, Early, Pan26), Order(Pear, 12, Late), Order(Custard, 6, Late, Pan26)));

    [Fact]
    public void Where_ovens_are_crowded_first_stages_in_one_and_second_stages_in_the_other_serve_more()
    {
        // The finisher does not reach 220 degrees; the hearth alone bakes 48 of these in time.
        var day = Snapshot(Order(Pear, 90, 1170, Pan26));
        day = day with { Mixer = new Mixer("Mixer", day.Mixer.SmallestBatch, day.Mixer.LargestBatch * 20), Ovens = [day.Ovens[0], day.Ovens[1] with { MaxC = 200 }] };
        int InTime(int effort) => DayPlanner.Plan(day, effort).Fates.Sum(fate => fate.InTime);
        Assert.True(InTime(24) >= 60, $"{InTime(24)} in time");
        Assert.True(InTime(24) > InTime(2));
    }

    [Fact]
    public void Every_pie_is_boxed_at_its_pick_up()
    {
        Assert.Empty(Fair.Troubles);
        Assert.All(Fair.Waves, wave => Assert.True(wave.SpareMin >= 0));
        Assert.Equal(42, Fair.Pies);
        Assert.Equal(42, Fair.Tasks.Where(task => task.StepId == "box").Sum(task => task.Pies));
    }

    [Fact]
    public void A_disc_that_is_more_than_the_mixer_takes_is_said_and_not_a_crash()
    {
        var small = Snapshot(Order(Pear, 4, Late)) with { Mixer = new Mixer("Bowl", Mass.FromGrams(100), Mass.FromGrams(250)) };
        var trouble = Assert.Single(DayPlanner.Plan(small).Troubles);
        Assert.Contains("more than the mixer takes (0.25 kg)", trouble.What.With(minute => $"{minute}"), StringComparison.Ordinal);
    }

    [Fact]
    public void Its_oven_plan_keeps_every_rule() => Assert.Empty(BakePlanChecker.Check(Fair.Problem, Fair.BakePlan).Faults);

    [Fact]
    public void All_hands_work_inside_the_shifts_and_waits_may_cross_midnight()
    {
        Assert.All(
            Fair.Tasks.Where(task => task.Kind != TaskKind.Wait),
            task => Assert.True((task.StartMin >= 0 && task.EndMin <= 480) || (task.StartMin >= 720 && task.EndMin <= 1320), $"{task.Id} {task.StartMin}"));
        Assert.Contains(Fair.Tasks, task => task.Kind == TaskKind.Wait && task.StartMin < 720 && task.EndMin > 720);
    }

    [Fact]
    public void No_least_lag_is_broken_and_no_most_lag_either()
    {
        foreach (var lot in Fair.Lots)
        {
            var network = lot.Product.Process;
            foreach (var parcel in Fair.Tasks.Where(task => task.LotId == lot.Id).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')]))
            {
                var tasks = parcel.ToDictionary(task => task.StepId);
                foreach (var wait in network.Steps.Where(step => step.Wait is not null))
                    Assert.InRange(tasks[wait.Id].EndMin - tasks[wait.Id].StartMin, wait.Wait!.Least, wait.Wait.Most);
                foreach (var link in network.Links)
                    Assert.InRange(tasks[link.After].StartMin - tasks[link.Before].EndMin, link.Lag.Least, link.Lag.Most);
            }
        }
    }

    [Fact]
    public void Dough_is_rested_before_it_is_rolled_and_the_mixer_does_one_batch_at_a_time()
    {
        Assert.All(Fair.Batches, batch => Assert.InRange(batch.NeededMin - batch.RestStartMin, batch.Dough.Rest.Least, batch.Dough.Rest.Most));
        Assert.All(Fair.Batches.Zip(Fair.Batches.Skip(1)), pair => Assert.True(pair.Second.MixStartMin >= pair.First.MixEndMin));
        var discs = Fair.Lots.Sum(lot => lot.Count * (lot.Product.Id == "pear" ? 2 : 1));
        Assert.Equal(discs, Fair.Batches.Sum(batch => batch.Discs.Sum(disc => disc.Count)));
    }

    [Fact]
    public void No_pie_is_older_than_its_product_allows() =>
        Assert.All(Fair.Tasks.Where(task => task.StepId == "bake"), task =>
        {
            var lot = Fair.Lots.First(lot => lot.Id == task.LotId);
            Assert.True(lot.PickUpMin - task.EndMin <= lot.Product.OldestAtPickUp);
        });

    [Fact]
    public void Every_tray_lies_on_a_shelf_of_its_own()
    {
        var visits = Fair.Loads.SelectMany(load => load.Visits.SelectMany(visit => visit.Shelves.Select(shelf => (load.OvenId, Shelf: shelf, load.StartMin, visit.EndMin))));
        foreach (var shelf in visits.GroupBy(visit => (visit.OvenId, visit.Shelf)))
        {
            Assert.InRange(shelf.Key.Shelf, 1, 4);
            var inOrder = shelf.OrderBy(visit => visit.StartMin).ToArray();
            Assert.All(inOrder.Zip(inOrder.Skip(1)), pair => Assert.True(pair.Second.StartMin >= pair.First.EndMin));
        }
    }

    [Fact]
    public void The_same_snapshot_gives_the_same_plan()
    {
        var again = DayPlanner.Plan(
            Snapshot(Order(Pear, 12, Early), Order(Custard, 8, Early), Order(Pear, 4, Early, Pan26), Order(Pear, 12, Late), Order(Custard, 6, Late, Pan26)));
        Assert.Equal(Fair.Tasks, again.Tasks);
    }

    [Fact]
    public void A_pick_up_that_is_too_soon_says_how_late_and_what_binds()
    {
        // Five in the afternoon of the day that begins at noon: dough, lining, 65 minutes of bake and four hours of cooling do not fit.
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 8, 300)));
        var trouble = Assert.Single(plan.Troubles);
        Assert.Equal(8, trouble.Pies);
        Assert.True(trouble.LateMin > 60);
        Assert.Equal(TroubleKind.Late, trouble.Kind);
        Assert.NotEmpty(trouble.Mend.Parts);
    }

    [Fact]
    public void More_than_the_ovens_can_bake_is_said_and_not_hidden()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Pear, 400, Early)), effort: 2);
        Assert.NotEmpty(plan.Troubles);
        Assert.True(plan.Waves[0].SpareMin is null or < 0);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
    }

    [Fact]
    public void Without_orders_there_is_nothing_to_do()
    {
        var plan = DayPlanner.Plan(Snapshot());
        Assert.Empty(plan.Tasks);
        Assert.Empty(plan.BakePlan.Settings);
        Assert.Empty(DayRibbon.Of(plan));
    }

    [Fact]
    public void Without_shifts_nothing_can_be_made_and_the_plan_says_so() =>
        Assert.NotEmpty(DayPlanner.Plan(Snapshot(Order(Pear, 4, Early)) with { Shifts = [] }).Troubles);

    [Fact]
    public void The_ribbon_covers_the_day_without_overlap()
    {
        var ribbon = DayRibbon.Of(Fair);
        Assert.Equal(Fair.Tasks.Min(task => task.StartMin), ribbon[0].StartMin);
        Assert.All(ribbon.Zip(ribbon.Skip(1)), pair => Assert.True(pair.Second.StartMin >= pair.First.EndMin));
        Assert.Contains(ribbon, stretch => stretch.Phase == "bake");
    }

    [Fact]
    public void Hands_are_counted()
    {
        var hands = HandsNeeded.In(Fair);
        var work = Fair.Tasks.Where(task => task.Kind == TaskKind.Hands).ToArray();
        Assert.Equal(work.Sum(task => task.EndMin - task.StartMin), hands.WorkMin);
        Assert.Equal(hands.AtOnce, work.Count(task => task.StartMin <= hands.AtMin && task.EndMin > hands.AtMin));
        Assert.True(hands.AtOnce >= 2);
    }

    [Fact]
    public void A_heat_curve_climbs_holds_and_falls()
    {
        // 25 to 190 at 8 a minute: 21 minutes; off after 30 more, then 4 a minute down.
        var oven = Baking.Problems.Oven();
        var curve = Assert.Single(HeatCurve.Of(oven, [new("deck", 10, 190), new("deck", 61, null)], new Dictionary<int, int>(), 0, 10));
        Assert.Contains(new HeatPoint(10, 25), curve);
        Assert.Contains(new HeatPoint(31, 190), curve);
        Assert.Contains(new HeatPoint(61, 190), curve);
        Assert.Equal(new HeatPoint(72, 190 - 44), curve[^1]);
    }

    [Fact]
    public void A_heat_curve_is_broken_where_the_oven_is_off_for_long_and_goes_on_from_the_heat_that_is_left()
    {
        var oven = Baking.Problems.Oven();
        IReadOnlyList<IReadOnlyList<HeatPoint>> Curves(int on) => HeatCurve.Of(oven, [new("deck", 0, 185), new("deck", 40, null), new("deck", on, 185), new("deck", on + 40, null)], new Dictionary<int, int>(), 0, 10);
        var apart = Curves(60);
        Assert.Equal(2, apart.Count);
        // Eleven minutes down at 4 a minute, and twenty until it is on again.
        Assert.Equal(new HeatPoint(51, 185 - 44), apart[0][^1]);
        Assert.Equal(new HeatPoint(60, 185 - 80), apart[1][0]);
        Assert.Single(Curves(50));
    }

    [Fact]
    public void Out_of_patience_it_answers_a_first_plan_that_holds_and_says_so()
    {
        using var over = new CancellationTokenSource();
        over.Cancel();
        var snapshot = Snapshot([.. Enumerable.Range(0, 14).Select(at => Order(at % 2 == 0 ? Pear : Custard, 12, Early + (at * 10)))]);
        var first = DayPlanner.Plan(snapshot, patience: new Patience(over.Token, CancellationToken.None));
        Assert.False(first.IsSettled);
        Assert.True(DayPlanner.Plan(snapshot).IsSettled);
        Assert.Empty(BakePlanChecker.Check(first.Problem, first.BakePlan).Faults);
        Assert.Equal(first.Pies, first.Fates.Sum(fate => fate.InTime + fate.Late + fate.Unfit + fate.NotBaked));
        // Work fits around its bakes even so; of what cannot be done the cause is said, and what would free it is not tried.
        Assert.Empty(first.Troubles);
        var tooSoon = DayPlanner.Plan(Snapshot(Order(Pear, 4, 60), Order(Custard, 4, Late)), patience: new Patience(over.Token, CancellationToken.None));
        Assert.NotEmpty(tooSoon.Troubles);
        Assert.All(tooSoon.Troubles, trouble => Assert.Equal("what would free it has not been tried yet", trouble.Mend.With(minute => $"{minute}")));

        // At once: nothing was looked at yet, and even that is said of every pie.
        var nothing = DayPlanner.Plan(snapshot, patience: new Patience(over.Token, over.Token));
        Assert.Empty(nothing.BakePlan.Trays);
        Assert.Equal(nothing.Pies, nothing.Fates.Sum(fate => fate.NotBaked));
        Assert.All(nothing.Troubles, trouble => Assert.Contains("no time left", trouble.What.With(minute => $"{minute}"), StringComparison.Ordinal));
    }

    [Fact]
    public void What_it_stumbles_over_is_named()
    {
        var unmade = Pear with { Name = "Hollow", Crust = Pear.Crust with { Thickness = Length.FromCentimetres(20) } };
        var exception = Assert.Throws<PlanStumblesException>(() => DayPlanner.Plan(Snapshot(Order(Custard, 4, Late), Order(unmade, 4, Late))));
        Assert.StartsWith("Hollow in 23 cm: ", exception.Message, StringComparison.Ordinal);
    }
}
