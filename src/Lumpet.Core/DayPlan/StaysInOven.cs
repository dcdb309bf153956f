using Lumpet.Core.Baking;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>How much longer trays could stay where they are, as far as their oven is concerned.</summary>
internal sealed class StaysInOven(BakeProblem problem, BakePlan plan)
{
    // Nobody asks for more.
    private const int LongestMin = 240;

    private readonly Dictionary<string, Bake> bakes = problem.Bakes.ToDictionary(bake => bake.Id);

    /// <summary>Minutes beyond their planned end for which trays of a bake could stay in their last oven, and what ends that.</summary>
    /// <param name="bakeId">The bake.</param>
    /// <param name="trays">Numbers of the trays; all leave at the same minute.</param>
    /// <param name="heatedMin">For how many minutes they were heated empty before, in the first stage.</param>
    public (int Minutes, PlanText Ends) Longer(string bakeId, IReadOnlyList<int> trays, int heatedMin)
    {
        var last = plan.Trays.First(tray => tray.BakeId == bakeId && tray.Tray == trays[0]).Stages[^1];
        var stage = bakes[bakeId].Stages[^1];
        var oven = problem.Ovens.First(oven => oven.Id == last.OvenId);
        var settings = plan.Settings.Where(setting => setting.OvenId == oven.Id).ToArray();
        for (var minute = last.EndMin; minute < last.EndMin + LongestMin; minute++)
        {
            var longer = minute - last.EndMin;
            var setting = settings.Last(setting => setting.AtMin <= minute);
            if (setting.TempC is null) return (longer, Say($"the oven is switched off at {At(minute)}"));
            if (Math.Abs(setting.TempC.Value - stage.TempC) > problem.ToleranceC) return (longer, Say($"the oven is set to {setting.TempC.Value} °C at {At(minute)}"));
            if (Others(oven, bakeId, trays, minute) + trays.Count > oven.PlacesFor(bakes[bakeId]))
                return (longer, oven.TakesFloor(bakes[bakeId].OnFloor) ? Say($"the next load wants their places on the floor at {At(minute)}") : Say($"the next load wants their shelves at {At(minute)}"));
            if (minute - last.StartMin >= stage.MaxMin) return (longer, Say($"this stage has had its most, {stage.MaxMin - (bakes[bakeId].Stages.Count == 1 ? heatedMin : 0)} min, at {At(minute)}"));
        }

        return (LongestMin, Say($"no one bakes so long"));
    }

    /// <summary>Other trays that take the same sort of place there.</summary>
    private int Others(BakeOven oven, string bakeId, IReadOnlyList<int> trays, int minute) =>
        plan.Trays.Count(tray => oven.TakesFloor(bakes[tray.BakeId].OnFloor) == oven.TakesFloor(bakes[bakeId].OnFloor) && (tray.BakeId != bakeId || !trays.Contains(tray.Tray))
            && tray.Stages.Any(stage => stage.OvenId == oven.Id && stage.StartMin <= minute && stage.EndMin > minute));
}
