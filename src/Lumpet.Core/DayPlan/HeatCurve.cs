using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>The chamber of an oven over time, for drawing.</summary>
public static class HeatCurve
{
    /// <summary>
    /// Corners of the chamber's curve under its settings, a curve for each time for which it is on, until some minutes after it
    /// was switched off; where it is on again by then, the curve goes on. An oven gains and loses degrees evenly, so the lines
    /// between corners are exact.
    /// </summary>
    /// <param name="oven">The oven as it was asked.</param>
    /// <param name="settings">Its settings, sorted; the last is off.</param>
    /// <param name="entering">How many trays are put in, by minute.</param>
    /// <param name="openCPerTray">Degrees that each of them costs through the open door.</param>
    /// <param name="afterMin">For how many minutes after it is off a curve goes on.</param>
    public static IReadOnlyList<IReadOnlyList<HeatPoint>> Of(BakeOven oven, IReadOnlyList<OvenSetting> settings, IReadOnlyDictionary<int, int> entering, int openCPerTray, int afterMin)
    {
        if (settings.Count == 0) return [];
        var (curves, points) = (new List<IReadOnlyList<HeatPoint>>(), new List<HeatPoint>());
        var (now, slope, offFrom) = (oven.StartC, int.MaxValue, int.MaxValue);
        int? setting = null;
        var next = 0;
        for (var minute = 0; minute <= settings[^1].AtMin + afterMin; minute++)
        {
            for (; next < settings.Count && settings[next].AtMin <= minute; next++)
                (setting, offFrom) = (settings[next].TempC, settings[next].TempC is null ? settings[next].AtMin : int.MaxValue);
            var after = oven.After(now, setting, entering.GetValueOrDefault(minute), openCPerTray);
            var isDrawn = next > 0 && (setting is not null || minute - offFrom <= afterMin);
            if (isDrawn && after - now != slope) points.Add(new HeatPoint(minute, now));
            slope = isDrawn ? after - now : int.MaxValue;
            if (!isDrawn && points.Count > 0)
            {
                curves.Add([.. points, new HeatPoint(minute, now)]);
                points.Clear();
            }

            now = after;
        }

        return [.. curves, [.. points, new HeatPoint(settings[^1].AtMin + afterMin + 1, now)]];
    }
}

/// <summary>A corner of a heat curve.</summary>
/// <param name="AtMin">Minute.</param>
/// <param name="Celsius">The chamber there.</param>
public sealed record HeatPoint(int AtMin, int Celsius);
