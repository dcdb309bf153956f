using CsCheck;
using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What must hold of the plan of any day, feasible or not.</summary>
public sealed class AnyDayTests
{
    private static readonly Gen<DayOrder> AnyOrder =
        Gen.Select(Gen.Int[0, 1], Gen.Int[1, 30], Gen.Int[10, 140], Gen.Bool).Select(order =>
            Order(order.Item1 == 0 ? Pear : Custard, order.Item2, order.Item3 * 10, order.Item4 ? Pan23 : Pan26));

    internal static readonly Gen<DaySnapshot> AnyDay =
        Gen.Select(AnyOrder.Array[1, 5], Gen.Int[0, 480], Gen.Int[60, 700]).Select((orders, pause, night) => Snapshot(orders) with
        {
            // The night begins after any pause, also none, and may be short.
            // On most days so many people are there, more of them in one of the shifts; on the others nobody has said.
            Shifts = [new DayShift("Afternoon", 0, 480) { People = pause % 5 == 0 ? null : pause % 5 }, new DayShift("Night", 480 + pause, 480 + pause + night) { People = night % 5 == 0 ? null : night % 4 + 1 }],
            // Doors that lose heat, hands that take their time and pans that are counted, each on every third day.
            OpenCPerTray = pause % 3 == 1 ? pause / 30 : 0,
            Ovens = [.. Snapshot().Ovens.Select(oven => oven with { ActionMin = night % 3 == 1 ? 2 : 0 })],
            // On every third day every other order may be late.
            Orders = [.. orders.Select((order, at) => order with { MayBeLateMin = night % 3 == 0 && at % 2 == 1 ? 30 + pause : 0 }).Select(order => night % 3 == 2 ? order with { Pan = order.Pan with { Owned = 12 } } : order)],
        });

    [Fact]
    public void A_plan_is_valid_complete_and_honest() => AnyDay.SampleTheSame(Holds, iter: 60);

    // Days on which a batch comes too late and is reckoned back to before anybody is there: pies moved before it had rested.
    [Theory]
    [InlineData("bF4rpTe6gCw2")]
    [InlineData("000g61-U1Yi2")]
    public void Nothing_is_taken_of_a_dough_before_it_has_rested_not_even_of_one_that_comes_too_late(string seed) => AnyDay.Sample(Holds, seed: seed, iter: 1);

    private static void Holds(DaySnapshot snapshot)
    {
        var plan = DayPlanner.Plan(snapshot, effort: 3);
        var verdict = BakePlanChecker.Check(plan.Problem, plan.BakePlan);
        Assert.True(verdict.IsValid, string.Join("; ", verdict.Faults));
        foreach (var lot in plan.Lots) LotHolds(plan, lot);
        DoughHolds(plan);
        PansHold(plan);
        Assert.Empty(DayPlanChecker.Check(snapshot, plan));

        // Whoever is not boxed in time is named, and nobody else.
        foreach (var wave in plan.Waves.Where(wave => wave.SpareMin is null or < 0))
            Assert.Contains(plan.Troubles, trouble => plan.Lots.First(lot => lot.Id == trouble.LotId).PickUpMin == wave.PickUpMin);
        if (plan.Troubles.Count == 0)
            Assert.All(plan.Tasks.Where(task => task.Kind != TaskKind.Wait), task => Assert.Contains(
                snapshot.Shifts, shift => Touching(snapshot, shift, task)));
    }

    /// <summary>Whether a task lies in a shift, or in two that touch.</summary>
    private static bool Touching(DaySnapshot snapshot, DayShift shift, DayTask task)
    {
        var end = snapshot.Shifts.FirstOrDefault(other => other.StartMin == shift.EndMin)?.EndMin ?? shift.EndMin;
        return task.StartMin >= shift.StartMin && task.EndMin <= end;
    }

    private static void LotHolds(PlannedDay plan, Lot lot)
    {
        var parcels = plan.Tasks.Where(task => task.LotId == lot.Id).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')]).ToArray();
        var boxed = parcels.Sum(parcel => parcel.First().Pies);
        var missing = plan.Troubles.Where(trouble => trouble.LotId == lot.Id && trouble.Kind == TroubleKind.NotBaked).Sum(trouble => trouble.Pies);
        Assert.Equal(lot.Count, boxed + missing);
        Assert.Equal(lot.Count, lot.Trays.Sum());
        Assert.All(lot.Trays, pies => Assert.InRange(pies, 1, lot.Pan.PerTray));

        foreach (var tasks in parcels.Select(parcel => parcel.ToDictionary(task => task.StepId)))
        {
            // Least lags are never broken, whatever else gives way.
            foreach (var step in lot.Product.Process.Steps.Where(step => step.Wait is not null))
                Assert.True(tasks[step.Id].EndMin - tasks[step.Id].StartMin >= step.Wait!.Least, $"{step.Id} {tasks[step.Id]}");
            foreach (var link in lot.Product.Process.Links)
                Assert.True(tasks[link.After].StartMin - tasks[link.Before].EndMin >= link.Lag.Least, $"{link}");
            var done = tasks["box"].EndMin;
            if (done > lot.PickUpMin) Assert.Contains(plan.Troubles, trouble => trouble.LotId == lot.Id && (trouble.Kind == TroubleKind.Unfit || trouble.LateMin >= done - lot.PickUpMin));
        }
    }

    /// <summary>Of pies that are made no more are in pans of a size than there are, from when they are lined until they are boxed.</summary>
    private static void PansHold(PlannedDay plan)
    {
        foreach (var lots in plan.Lots.Where(lot => lot.Pan.Owned is not null && plan.Fates.First(fate => fate.Lot == lot).Unfit == 0).GroupBy(lot => lot.Pan.Id))
        {
            var parcels = plan.Tasks.Where(task => lots.Any(lot => lot.Id == task.LotId)).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')])
                .Select(tasks => (From: tasks.Single(task => task.StepId == "line").StartMin, To: tasks.Single(task => task.StepId == "box").EndMin, tasks.First().Pies)).ToArray();
            Assert.All(parcels, parcel => Assert.InRange(parcels.Where(other => other.From <= parcel.From && other.To > parcel.From).Sum(other => other.Pies), 1, lots.First().Pan.Owned!.Value));
        }
    }

    private static void DoughHolds(PlannedDay plan)
    {
        Assert.All(plan.Batches, batch => Assert.True(batch.NeededMin - batch.RestStartMin >= batch.Dough.Rest.Least));
        var inOrder = plan.Batches.OrderBy(batch => batch.MixStartMin).ToArray();
        Assert.All(inOrder.Zip(inOrder.Skip(1)), pair => Assert.True(pair.Second.MixStartMin >= pair.First.MixEndMin));
        foreach (var task in plan.Tasks.Where(task => task.StepId == "line"))
            Assert.True(plan.Batches.Any(batch => batch.Discs.Any(disc => disc.IsDiscOf(task.LotId!)) && batch.NeededMin <= task.StartMin), task.Id);
    }
}
