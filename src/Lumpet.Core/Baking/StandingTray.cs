namespace Lumpet.Core.Baking;

/// <summary>
/// A tray of somebody else's plan that is settled: it stands in an oven from one minute to another under settings that hold then.
/// Others may bake beside it; nothing may move it.
/// </summary>
/// <param name="OvenId">The oven.</param>
/// <param name="StartMin">When it goes in; below 0 where it is inside when the horizon starts.</param>
/// <param name="EndMin">When it is out; after <paramref name="StartMin"/>.</param>
/// <param name="Settings">What the oven is set to while it is inside, in order; the first at <paramref name="StartMin"/>, at least one.</param>
public sealed record StandingTray(string OvenId, int StartMin, int EndMin, IReadOnlyList<StandingSetting> Settings)
{
    /// <summary>Whether it stands on the oven's floor.</summary>
    public bool OnFloor { get; init; }

    /// <summary>The same tray, with minutes counted from another.</summary>
    public StandingTray From(int minute) => this with
    {
        StartMin = StartMin - minute,
        EndMin = EndMin - minute,
        Settings = [.. Settings.Select(setting => setting with { AtMin = setting.AtMin - minute })],
    };

    /// <summary>What the oven is set to at each minute in which the tray is inside.</summary>
    public IEnumerable<int> EachMinute()
    {
        for (var index = 0; index < Settings.Count; index++)
        {
            var until = index + 1 < Settings.Count ? Settings[index + 1].AtMin : EndMin;
            for (var minute = Settings[index].AtMin; minute < until; minute++) yield return Settings[index].TempC;
        }
    }
}

/// <summary>A setting that holds while a settled tray is inside.</summary>
/// <param name="AtMin">From when.</param>
/// <param name="TempC">The setting.</param>
public sealed record StandingSetting(int AtMin, int TempC);

/// <summary>Pans that somebody else's plan has in use.</summary>
/// <param name="PanId">Which.</param>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute after the last.</param>
/// <param name="Count">How many; at least 0.</param>
public sealed record StandingPans(string PanId, int FromMin, int ToMin, int Count);
