using Lumpet.Core.Baking;

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
    public (int Minutes, TroubleText Ends) Longer(string bakeId, IReadOnlyList<int> trays)
    {
        var last = plan.Trays.First(tray => tray.BakeId == bakeId && tray.Tray == trays[0]).Stages[^1];
        var stage = bakes[bakeId].Stages[^1];
        var oven = problem.Ovens.First(oven => oven.Id == last.OvenId);
        var settings = plan.Settings.Where(setting => setting.OvenId == oven.Id).ToArray();
        for (var minute = last.EndMin; minute < last.EndMin + LongestMin; minute++)
        {
            var longer = minute - last.EndMin;
            var setting = settings.Last(setting => setting.AtMin <= minute);
            if (setting.TempC is null) return (longer, new TroubleText("the oven is switched off at {0}", minute));
            if (Math.Abs(setting.TempC.Value - stage.TempC) > problem.ToleranceC) return (longer, new TroubleText($"the oven is set to {setting.TempC} °C at {{0}}", minute));
            if (Others(oven, bakeId, trays, minute) + trays.Count > oven.Shelves) return (longer, new TroubleText("the next load wants their shelves at {0}", minute));
            if (minute - last.StartMin >= stage.MaxMin) return (longer, new TroubleText($"this stage has had its most, {stage.MaxMin} min, at {{0}}", minute));
        }

        return (LongestMin, new TroubleText("no one bakes so long"));
    }

    private int Others(BakeOven oven, string bakeId, IReadOnlyList<int> trays, int minute) =>
        plan.Trays.Count(tray => (tray.BakeId != bakeId || !trays.Contains(tray.Tray))
            && tray.Stages.Any(stage => stage.OvenId == oven.Id && stage.StartMin <= minute && stage.EndMin > minute));
}
