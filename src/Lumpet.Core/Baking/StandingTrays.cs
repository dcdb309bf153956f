namespace Lumpet.Core.Baking;

/// <summary>Takes a plan as settled, so that others are planned around it.</summary>
public static class StandingTrays
{
    /// <summary>The trays of a plan, each stay in an oven by itself, with what the oven is set to meanwhile.</summary>
    /// <param name="plan">The plan; what was planned around others' trays holds only its own.</param>
    /// <param name="bakes">The bakes that it was made for.</param>
    public static IEnumerable<StandingTray> Of(BakePlan plan, IEnumerable<Bake> bakes)
    {
        var onFloor = bakes.ToDictionary(bake => bake.Id, bake => bake.OnFloor);
        var settings = plan.Settings.ToLookup(setting => setting.OvenId);
        return from tray in plan.Trays
               from stay in Stays(tray)
               select new StandingTray(stay.OvenId, stay.StartMin, stay.EndMin, Between([.. settings[stay.OvenId]], stay.StartMin, stay.EndMin)) { OnFloor = onFloor[tray.BakeId] };
    }

    /// <summary>Stages that follow one another in one oven are one stay.</summary>
    internal static IEnumerable<BakedStage> Stays(BakedTray tray)
    {
        var stay = tray.Stages[0];
        foreach (var stage in tray.Stages.Skip(1))
        {
            if (stage.OvenId == stay.OvenId && stage.StartMin == stay.EndMin)
            {
                stay = stay with { EndMin = stage.EndMin };
                continue;
            }

            yield return stay;
            stay = stage;
        }

        yield return stay;
    }

    /// <summary>What an oven is set to between two minutes; the first is what is in force then.</summary>
    /// <param name="settings">The settings of that oven.</param>
    /// <param name="fromMin">First minute.</param>
    /// <param name="toMin">Minute after the last.</param>
    public static IReadOnlyList<StandingSetting> Between(IReadOnlyList<OvenSetting> settings, int fromMin, int toMin) =>
    [
        .. settings.Where(setting => setting.AtMin <= fromMin).TakeLast(1).Concat(settings.Where(setting => setting.AtMin > fromMin && setting.AtMin < toMin))
            .Where(setting => setting.TempC is not null)
            .Select(setting => new StandingSetting(Math.Max(setting.AtMin, fromMin), setting.TempC!.Value)),
    ];
}
