using Lumpet.Core.Baking;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.Core.Tests.Recipes;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Whole days as they are planned today, with all that is said of them. Whether a day can be done at all is checked elsewhere, by tests that know the rules.</summary>
public sealed class ApprovedDayTests
{
    // Half past seven and ten in the morning, minutes from noon.
    private const int Early = 1170;
    private const int Late = 1320;

    private static readonly Product Turned = Pear with { Id = "turned", Dough = Flaky with { Id = "folded", Method = DoughMethod.Flaky with { Turns = 3, TurnRestMinutes = 30 } } };

    private static readonly Dictionary<string, DaySnapshot> Days = new()
    {
        ["fair"] = Snapshot(Order(Pear, 12, Early), Order(Custard, 8, Early), Order(Pear, 4, Early, Pan26), Order(Pear, 12, Late), Order(Custard, 6, Late, Pan26)),
        ["crew"] = Crew(2, Snapshot(Order(Pear, 12, Early), Order(Custard, 8, Early), Order(Pear, 4, Early, Pan26), Order(Pear, 12, Late), Order(Custard, 6, Late, Pan26))),
        ["alone"] = Crew(1, Snapshot(Order(Pear, 24, Early), Order(Custard, 24, Early))),
        ["too-soon"] = Snapshot(Order(Pear, 8, 300), Order(Custard, 4, 500)),
        ["too-many"] = Snapshot(Order(Pear, 90, Early), Order(Custard, 40, Early)) with { Ovens = [new Oven("hearth", "Hearth", 2, 90, 280, 8, 4, 0)] },
        ["small-bowl"] = Snapshot(Order(Pear, 30, Late), Order(Custard, 20, Late)) with { Mixer = new Mixer("Bowl", Mass.FromGrams(500), Mass.FromGrams(1800)) },
        ["tiny-bowl"] = Snapshot(Order(Pear, 4, Late)) with { Mixer = new Mixer("Bowl", Mass.FromGrams(100), Mass.FromGrams(250)) },
        ["turned"] = Snapshot(Order(Turned, 12, Late), Order(Turned, 8, Early)),
        ["nobody"] = Snapshot(Order(Pear, 4, Late)) with { Shifts = [] },
        ["short-shift"] = Snapshot(Order(Pear, 8, Late), Order(Custard, 8, Late)) with { Shifts = [new DayShift("Short", 0, 100), new DayShift("Night", 900, 1000)] },
        ["handled"] = Snapshot(Order(With(Pear, "bake", step => step with { HeatedTrayMin = 15, WeightsOutMin = 30, Turned = true, Place = OvenPlace.Floor }), 12, Late), Order(With(Custard, "blind", step => step with { WeightsOutMin = 15 }), 8, Late)),
        ["two-ovens"] = Snapshot(Order(Pear, 16, Early), Order(Custard, 16, Early)) with { Ovens = [new Oven("hearth", "Hearth", 4, 200, 280, 8, 4, 0), new Oven("finisher", "Finisher", 4, 60, 195, 10, 5, -20)] },
        ["moved"] = Snapshot(Order(With(Pear, "bake", step => step with { WeightsOutMin = 12, Turned = true }), 8, Early)) with { Ovens = [new Oven("hearth", "Hearth", 4, 200, 280, 8, 4, 0), new Oven("finisher", "Finisher", 4, 60, 195, 10, 5, -20)] },
        ["usual"] = Snapshot([.. Demonstration.Products.Where((_, at) => at % 3 == 1).Select((product, at) => Order(product, 2 + at, Late, product.Sizes[at % 4].Pan))]),
        ["one-minute"] = Snapshot(Order(Pear, 1, Late)),
    };

    public static TheoryData<string> Names => [.. Days.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_day_is_planned_as_approved(string name)
    {
        var day = DayPlanner.Plan(Days[name], effort: 12);
        Approved.Matches($"DayPlan/{name}", [
            "== lots", .. Told.Each(day.Lots),
            "== waves", .. Told.Each(day.Waves),
            "== fates", .. Told.Each(day.Fates),
            "== troubles", .. Told.Each(day.Troubles),
            "== dough", .. Told.Each(day.Batches),
            "== ovens", Told.Of(day.BakePlan.Cost), .. Told.Each(day.BakePlan.Settings), .. Told.Each(day.Problem.Bakes),
            "== loads", .. Told.Each(day.Loads),
            "== at the ovens", .. Told.Each(OvenSteps.Of(day).Select(step => (step.AtMin, step.Act, step.OvenId, step.TempC, step.Load, step.HeatedMin, step.Visits.Sum(visit => visit.Pies)))),
            "== tasks and reasons", .. day.Tasks.Select(task => $"{Told.Of(task)} {Told.Of(day.Reasons[task.Id])}"),
            "== ribbon", .. Told.Each(DayRibbon.Of(day)),
            "== hands", Told.Of(HandsNeeded.In(day)),
            "== heat", .. day.Problem.Ovens.Select(oven => Told.Of(HeatCurve.Of(oven, [.. day.BakePlan.Settings.Where(setting => setting.OvenId == oven.Id)], BakedTray.EnteringAll(day.Problem, day.BakePlan.Trays, oven.Id), day.Problem.OpenCPerTray, 40))),
            "== overdue", .. new[] { -10, 0, 60, 200, Late - 1, Late }.Select(now => Told.Of(Overdue.At(day, now))),
        ]);
    }

    [Fact]
    public void What_two_days_share_is_as_approved()
    {
        var (one, other) = (DayPlanner.Plan(Days["fair"], effort: 12), DayPlanner.Plan(Days["handled"], effort: 12));
        Approved.Matches("DayPlan/shared", new[] { -1440, -300, -30, 0, 45, 600 }.SelectMany(offset => Told.Each(SharedTime.Between(one, other, offset, "Mixer")).Prepend($"== {offset}")));
    }

    private static Product With(Product product, string stepId, Func<Step, Step> change) =>
        product with { Process = product.Process with { Steps = [.. product.Process.Steps.Select(step => step.Id == stepId ? change(step) : step)] } };

}
