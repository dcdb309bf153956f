using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// When pies must not go into an oven, or not come out of one, because the work around that bake would find nobody: asked of the
/// ovens from the beginning, it need not be found by planning them again. It is looked at for as many pies as travel together at most: what
/// fits for them fits for fewer.
/// </summary>
internal static class DoorPauses
{
    // Where work fits and where it does not goes on for longer than this; its first and last minute are then looked for.
    private const int LookedAtEvery = 20;

    /// <summary>When a bake must not begin.</summary>
    /// <param name="work">The lot.</param>
    /// <param name="bake">Node of the bake.</param>
    /// <param name="untilMin">Last minute looked at.</param>
    public static IReadOnlyList<DoorPause> In(LotWork work, int bake, int untilMin) =>
        Of(minute => work.Timetable.BeforeOne(bake, work.PiesTogether, minute).Misfits.Count == 0, untilMin);

    /// <summary>When the last bake must not be over.</summary>
    /// <param name="work">The lot.</param>
    /// <param name="untilMin">Last minute looked at.</param>
    public static IReadOnlyList<DoorPause> Out(LotWork work, int untilMin) =>
        Of(minute => work.Timetable.AfterLast(work.PiesTogether, minute).Misfits.Count == 0, untilMin);

    /// <summary>Stretches in which nothing fits between two minutes at which it does: before the first and after the last, other limits hold.</summary>
    private static DoorPause[] Of(Func<int, bool> fits, int untilMin)
    {
        var pauses = new List<DoorPause>();
        // The last minute that is known to fit, and the first after it that does not.
        var (last, closed) = ((int?)null, (int?)null);
        for (var minute = 0; minute <= untilMin; minute += LookedAtEvery)
        {
            if (!fits(minute))
            {
                closed ??= minute;
                continue;
            }

            if (last is { } before && closed is { } from) pauses.Add(new DoorPause(First(at => !fits(at), before, from), First(fits, minute - LookedAtEvery, minute) - 1));
            (last, closed) = (minute, null);
        }

        return [.. pauses];
    }

    /// <summary>The first minute after one of which something is not so, up to another of which it is.</summary>
    private static int First(Func<int, bool> isSo, int notMin, int soMin)
    {
        while (soMin - notMin > 1)
        {
            var middle = (notMin + soMin) / 2;
            if (isSo(middle)) soMin = middle;
            else notMin = middle;
        }

        return soMin;
    }
}
