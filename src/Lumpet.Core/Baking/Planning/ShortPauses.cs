namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// Leaves out what nobody does at an oven: switching it off for a few minutes to set it again. The setting that follows is made
/// at once, so that the chamber arrives no later; it costs the few minutes of heat.
/// </summary>
public static class ShortPauses
{
    /// <summary>The plan without its short pauses, with what it costs then.</summary>
    /// <param name="problem">What was planned.</param>
    /// <param name="plan">A valid plan of it.</param>
    /// <param name="mostMin">Pauses of up to so many minutes are left out; at least 0.</param>
    /// <returns>A plan as valid, with the same trays.</returns>
    public static BakePlan Closed(BakeProblem problem, BakePlan plan, int mostMin)
    {
        OvenSetting[] settings = [.. problem.Ovens.SelectMany(oven => Closed(oven, [.. plan.Settings.Where(setting => setting.OvenId == oven.Id)], mostMin)).OrderBy(setting => setting.AtMin)];
        return settings.Length == plan.Settings.Count ? plan : plan with { Settings = settings, Cost = BakePlanner.Cost(problem, settings, plan.Trays, plan.Cost.UnplacedPies) };
    }

    private static IEnumerable<OvenSetting> Closed(BakeOven oven, OvenSetting[] settings, int mostMin)
    {
        var now = oven.StartSettingC;
        for (var index = 0; index < settings.Length; index++)
        {
            var setting = settings[index];
            if (setting.TempC is null && index + 1 < settings.Length && settings[index + 1].AtMin - setting.AtMin <= mostMin && IsOpen(oven, setting.AtMin, settings[index + 1].AtMin))
                setting = settings[++index] with { AtMin = setting.AtMin };
            if (setting.TempC == now) continue;
            now = setting.TempC;
            yield return setting;
        }
    }

    private static bool IsOpen(BakeOven oven, int from, int until) => oven.Openings.Any(opening => opening.FromMin <= from && until <= opening.ToMin);
}
