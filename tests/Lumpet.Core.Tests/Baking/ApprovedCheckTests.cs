using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Valid plans, each spoiled in every way by one minute, one degree, one tray or one figure, and what the checker says of it.</summary>
public sealed class ApprovedCheckTests
{
    private static IEnumerable<(string What, StatedBakePlan Plan)> Spoiled(StatedBakePlan plan)
    {
        yield return ("as it is", plan);
        for (var at = 0; at < plan.Settings.Count; at++)
        {
            var (setting, index) = (plan.Settings[at], at);
            StatedBakePlan With(params IReadOnlyList<OvenSetting> others) => plan with { Settings = [.. plan.Settings.Take(index), .. others, .. plan.Settings.Skip(index + 1)] };
            yield return ($"setting {at} a minute sooner", With(setting with { AtMin = setting.AtMin - 1 }));
            yield return ($"setting {at} a minute later", With(setting with { AtMin = setting.AtMin + 1 }));
            yield return ($"setting {at} a degree off", With(setting with { TempC = setting.TempC + 1 }));
            yield return ($"setting {at} gone", With());
            yield return ($"setting {at} twice", With(setting, setting));
            yield return ($"setting {at} in no oven", With(setting with { OvenId = "gone" }));
        }

        for (var at = 0; at < plan.Trays.Count; at++)
        {
            var (tray, index) = (plan.Trays[at], at);
            StatedBakePlan With(params IReadOnlyList<BakedTray> others) => plan with { Trays = [.. plan.Trays.Take(index), .. others, .. plan.Trays.Skip(index + 1)] };
            yield return ($"tray {at} gone", With());
            yield return ($"tray {at} twice", With(tray, tray));
            yield return ($"tray {at} of number 0", With(tray with { Tray = 0 }));
            yield return ($"tray {at} a stage less", With(tray with { Stages = [.. tray.Stages.Skip(1)] }));
            yield return ($"tray {at} left out without a reason", With() with { Unplaced = [.. plan.Unplaced, new UnplacedTray(tray.BakeId, tray.Tray, " ")] });
            foreach (var (move, name) in new[] { (-1, "sooner"), (1, "later") })
            {
                yield return ($"tray {at} a minute {name}", With(tray with { Stages = [.. tray.Stages.Select(stage => stage with { StartMin = stage.StartMin + move, EndMin = stage.EndMin + move })] }));
                yield return ($"tray {at} ends a minute {name}", With(tray with { Stages = [.. tray.Stages.SkipLast(1), tray.Stages[^1] with { EndMin = tray.Stages[^1].EndMin + move }] }));
            }

            yield return ($"tray {at} in no time", With(tray with { Stages = [tray.Stages[0] with { EndMin = tray.Stages[0].StartMin }, .. tray.Stages.Skip(1)] }));
            yield return ($"tray {at} in no oven", With(tray with { Stages = [tray.Stages[0] with { OvenId = "gone" }, .. tray.Stages.Skip(1)] }));
        }

        foreach (var (name, figure) in plan.Cost) yield return ($"{name} one more", plan with { Cost = plan.Cost.ToDictionary(one => one.Key, one => one.Key == name ? figure + 1 : one.Value) });
        foreach (var name in plan.LowerBound.Keys) yield return ($"bound {name} far up", plan with { LowerBound = plan.LowerBound.ToDictionary(one => one.Key, one => one.Key == name ? 99_999_999 : one.Value) });
        yield return ("no figures", plan with { Cost = new Dictionary<string, decimal>(), LowerBound = new Dictionary<string, decimal>() });
    }

    [Fact]
    public void Every_way_of_spoiling_a_plan_is_told_as_approved() => Approved.Matches("Baking/checked", new[] { 3, 8, 21 }.SelectMany(seed =>
    {
        var problem = ApprovedBakeTests.Made(seed);
        var plan = BakePlanFile.Read(BakePlanFile.Write(BakePlanner.Plan(problem, 6, 3)));
        return Spoiled(plan).SelectMany(one => BakePlanChecker.Check(problem, one.Plan).Faults.Select(fault => $"  {fault.Rule} {fault.Where}: {fault.Message}").Take(6).Prepend($"{seed} {one.What}"));
    }));
}
