using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day's ovens are planned for, once the pick-ups are met. Bakers differ, and so do days.</summary>
public enum OvenSchool
{
    /// <summary>The fewest hot hours: loads close together, some pies out long before their pick-up.</summary>
    FewestHotHours,

    /// <summary>The freshest pies: out as late as their pick-up allows, and ovens hot for longer or twice.</summary>
    Freshest,

    /// <summary>The steadiest work: few trips to the oven doors, none at two ovens in the same minute, few changes of setting.</summary>
    Steadiest,
}

/// <summary>The schools as weights for the oven planner.</summary>
public static class OvenSchools
{
    /// <summary>All of them, in the order in which they are shown.</summary>
    public static IReadOnlyList<OvenSchool> All { get; } = [OvenSchool.FewestHotHours, OvenSchool.Freshest, OvenSchool.Steadiest];

    /// <summary>
    /// What counts for how much (our own choice, no source). Freshest: a tray of five pies that waits ten minutes is worth a hot
    /// minute and a half. Steadiest: a trip to the door is worth three hot minutes, two doors at once five more.
    /// </summary>
    public static BakeWeights Weights(this OvenSchool school) => school switch
    {
        OvenSchool.Freshest => BakeWeights.Usual with { EarlyTenths = 30 },
        OvenSchool.Steadiest => BakeWeights.Usual with { PerSettingChange = 400, PerDoorOpening = 300, PerDoorClash = 500 },
        _ => BakeWeights.Usual,
    };
}
