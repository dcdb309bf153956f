using Lumpet.Core.Baking;

namespace Lumpet.PlanChecking;

/// <summary>One oven, simulated minute by minute from its settings and from what is put in.</summary>
internal sealed class OvenSimulation
{
    // An oven that is off cools toward the room.
    private const int RoomC = 25;

    private readonly int?[] settings;
    private readonly int[] chamber;

    /// <summary>Runs the oven from minute 0 up to a last minute.</summary>
    /// <param name="oven">The oven.</param>
    /// <param name="changes">Its settings, sorted by minute.</param>
    /// <param name="lastMin">The last minute looked at; at least 0.</param>
    /// <param name="entering">The minutes at which trays are put in, one entry for each tray.</param>
    /// <param name="openCPerTray">Degrees lost at the door for each of them.</param>
    public OvenSimulation(BakeOven oven, IReadOnlyList<OvenSetting> changes, int lastMin, IEnumerable<int> entering, int openCPerTray)
    {
        settings = new int?[lastMin + 1];
        chamber = new int[lastMin + 1];
        var now = oven.StartC;
        var setting = oven.StartSettingC;
        var next = 0;
        var trays = entering.GroupBy(minute => minute).ToDictionary(group => group.Key, group => group.Count());
        for (var minute = 0; minute <= lastMin; minute++)
        {
            while (next < changes.Count && changes[next].AtMin <= minute) setting = changes[next++].TempC;
            settings[minute] = setting;
            chamber[minute] = now;
            // The tray looks at the thermometer before the door opens.
            var lost = (long)openCPerTray * trays.GetValueOrDefault(minute);
            if (lost > 0) now = (int)Math.Max(now - lost, Math.Min(now, RoomC));
            now = After(oven, now, setting);
        }
    }

    /// <summary>The setting in force from a minute on; null: off.</summary>
    public int? Setting(int minute) => minute >= 0 && minute < settings.Length ? settings[minute] : null;

    /// <summary>The chamber's temperature at a minute.</summary>
    public int Chamber(int minute) => chamber[Math.Clamp(minute, 0, chamber.Length - 1)];

    /// <summary>Minutes for which the oven is not off.</summary>
    public int OnMinutes => settings.Count(setting => setting is not null);

    private static int After(BakeOven oven, int now, int? setting)
    {
        if (setting is { } wanted && now < wanted) return Math.Min(wanted, now + oven.HeatCPerMin);
        var floor = setting ?? Math.Min(RoomC, now);
        return Math.Max(floor, now - oven.CoolCPerMin);
    }
}
