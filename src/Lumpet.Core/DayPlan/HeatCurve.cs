using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>The chamber of an oven over time, for drawing.</summary>
public static class HeatCurve
{
    /// <summary>
    /// Corners of the chamber's curve under its settings, from its first setting until some minutes after it was
    /// switched off. An oven gains and loses degrees evenly, so the lines between corners are exact.
    /// </summary>
    /// <param name="oven">The oven as it was asked.</param>
    /// <param name="settings">Its settings, sorted; the last is off.</param>
    /// <param name="afterMin">For how many minutes after the last setting the curve goes on.</param>
    public static IReadOnlyList<HeatPoint> Of(BakeOven oven, IReadOnlyList<OvenSetting> settings, int afterMin)
    {
        if (settings.Count == 0) return [];
        var points = new List<HeatPoint>();
        var (now, slope) = (oven.StartC, int.MaxValue);
        int? setting = null;
        var next = 0;
        for (var minute = 0; minute <= settings[^1].AtMin + afterMin; minute++)
        {
            while (next < settings.Count && settings[next].AtMin <= minute) setting = settings[next++].TempC;
            var after = Step(oven, now, setting);
            if (next > 0 && after - now != slope) points.Add(new HeatPoint(minute, now));
            if (next > 0) slope = after - now;
            now = after;
        }

        points.Add(new HeatPoint(settings[^1].AtMin + afterMin + 1, now));
        return points;
    }

    private static int Step(BakeOven oven, int now, int? setting) =>
        setting is { } wanted && now < wanted ? Math.Min(wanted, now + oven.HeatCPerMin)
            : Math.Max(setting ?? Math.Min(25, now), now - oven.CoolCPerMin);
}

/// <summary>A corner of a heat curve.</summary>
/// <param name="AtMin">Minute.</param>
/// <param name="Celsius">The chamber there.</param>
public sealed record HeatPoint(int AtMin, int Celsius);
