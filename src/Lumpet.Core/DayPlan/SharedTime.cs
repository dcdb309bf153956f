using Lumpet.Core.Dough;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// An oven or the mixer that two days want at one time: where each is planned by itself, both count on having it.
/// </summary>
/// <param name="What">Name of the oven or the mixer.</param>
/// <param name="FromMin">First minute, on the clock of the first day.</param>
/// <param name="ToMin">Minute after the last.</param>
public sealed record SharedTime(string What, int FromMin, int ToMin)
{
    /// <summary>What two plans want at one time, ovens first.</summary>
    /// <param name="one">The plan of a day.</param>
    /// <param name="other">The plan of another day.</param>
    /// <param name="offsetMin">Minutes to add to a minute of the other plan to have one of the first.</param>
    /// <param name="mixer">Name of the mixer.</param>
    public static IReadOnlyList<SharedTime> Between(PlannedDay one, PlannedDay other, int offsetMin, string mixer)
    {
        var (mine, theirs) = (OnTimes(one).ToArray(), OnTimes(other).Select(time => time with { From = time.From + offsetMin, To = time.To + offsetMin }).ToArray());
        return
        [
            .. from time in mine
               from wanted in theirs
               where time.OvenId == wanted.OvenId
               from shared in Overlap(time.Name, (time.From, time.To), (wanted.From, wanted.To))
               select shared,
            .. from batch in one.Batches
               from wanted in other.Batches
               from shared in Overlap(mixer, Mixed(batch, 0), Mixed(wanted, offsetMin))
               select shared,
        ];
    }

    /// <summary>When trays of another plan, its own, are in ovens that one plan has on.</summary>
    /// <param name="one">The plan of a day.</param>
    /// <param name="other">The plan of another day, which is planned around it.</param>
    /// <param name="offsetMin">Minutes to add to a minute of the other plan to have one of the first.</param>
    public static IReadOnlyList<SharedTime> Baked(PlannedDay one, PlannedDay other, int offsetMin) =>
    [
        .. from oven in OnTimes(one).GroupBy(time => (time.OvenId, time.Name))
           let meets = (from time in oven
                        from load in other.Loads
                        where load.OvenId == oven.Key.OvenId
                        from visit in load.Visits
                        from shared in Overlap(oven.Key.Name, (time.From, time.To), (visit.HeatedFromMin + offsetMin, visit.EndMin + offsetMin))
                        select shared).ToArray()
           where meets.Length > 0
           select new SharedTime(oven.Key.Name, meets.Min(meet => meet.FromMin), meets.Max(meet => meet.ToMin)),
    ];

    private static IEnumerable<(string OvenId, string Name, int From, int To)> OnTimes(PlannedDay day) =>
        from stretch in day.BakePlan.Settings.GroupBy(setting => setting.OvenId)
        let oven = day.Ovens[stretch.Key]
        from pair in stretch.Zip(stretch.Skip(1))
        where pair.First.TempC is not null
        // Settings that follow one another are one time of heat.
        group pair by (oven.Id, oven.Name, Off: stretch.First(setting => setting.TempC is null && setting.AtMin >= pair.Second.AtMin).AtMin) into heat
        select (heat.Key.Id, heat.Key.Name, heat.Min(pair => pair.First.AtMin), heat.Key.Off);

    private static (int From, int To) Mixed(DoughBatch batch, int offsetMin) => (batch.MixStartMin + offsetMin, batch.MixEndMin + offsetMin);

    private static IEnumerable<SharedTime> Overlap(string what, (int From, int To) one, (int From, int To) other)
    {
        var (from, to) = (Math.Max(one.From, other.From), Math.Min(one.To, other.To));
        if (from < to) yield return new SharedTime(what, from, to);
    }
}
