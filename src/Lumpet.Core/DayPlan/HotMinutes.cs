using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>For how long ovens are on for a day.</summary>
public static class HotMinutes
{
    /// <summary>Minutes for which each oven is on, by its id; where a day before has it on anyway, the minutes that this day adds. An oven that is never on is not in it.</summary>
    /// <param name="plan">The day's plan.</param>
    public static IReadOnlyDictionary<string, long> Of(PlannedDay plan) => plan.BakePlan.Settings.GroupBy(setting => setting.OvenId).ToDictionary(
        oven => oven.Key,
        oven =>
        {
            // What was on when the clock began is on until its first change.
            var begun = plan.Problem.Ovens.First(asked => asked.Id == oven.Key).StartSettingC is null ? 0 : oven.First().AtMin;
            return begun + In(oven) - In(plan.Taken.Settings.Where(setting => setting.OvenId == oven.Key));
        });

    /// <summary>Minutes for which ovens are on by their settings, all ovens together.</summary>
    internal static long In(IEnumerable<OvenSetting> settings) => settings.GroupBy(setting => setting.OvenId)
        .Sum(oven => oven.Zip(oven.Skip(1)).Where(pair => pair.First.TempC is not null).Sum(pair => (long)pair.Second.AtMin - pair.First.AtMin));
}
