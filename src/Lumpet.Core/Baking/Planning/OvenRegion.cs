namespace Lumpet.Core.Baking.Planning;

/// <summary>A run of minutes at each of which a tray is in the oven.</summary>
/// <param name="Start">First minute.</param>
/// <param name="End">Minute after the last.</param>
/// <param name="FirstSetting">Setting of the first minute; the chamber is at it.</param>
/// <param name="LastSetting">Setting of the last minute.</param>
/// <param name="Changes">Changes of setting inside.</param>
/// <param name="ChamberAtEnd">The chamber at its end.</param>
internal readonly record struct OvenRegion(int Start, int End, int FirstSetting, int LastSetting, int Changes, int ChamberAtEnd)
{
    /// <summary>Whether the oven stays on until the next region where that begins with the same setting: what is set is somebody's there.</summary>
    public bool StaysOn { get; init; }
}

/// <summary>A stay that is put into an oven again.</summary>
/// <param name="Visit">The stay.</param>
/// <param name="Temperatures">Temperature of each stage of its bake.</param>
/// <param name="Floor">Whether it is on the floor.</param>
internal readonly record struct OvenStay(OvenVisit Visit, int[] Temperatures, bool Floor)
{
    /// <summary>The stay of a tray that stands: its settings are its stages.</summary>
    public static OvenStay Of(StandingTray tray) => new(
        new OvenVisit(0, Math.Max(0, tray.StartMin), [.. tray.EachMinute().Skip(Math.Max(0, -tray.StartMin))], [.. tray.Settings.Skip(1).Select(setting => setting.AtMin), tray.EndMin], 0, 0) { IsRunning = tray.StartMin < 0 },
        [.. tray.Settings.Select(setting => setting.TempC)],
        tray.OnFloor);
}
