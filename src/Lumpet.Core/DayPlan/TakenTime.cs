using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What the plans of days before have taken of a day's ovens, pans, mixer and hands, on that day's clock. Pick-ups that come sooner
/// come first: a day is planned around those before it, and an order for Sunday never moves what is done for Saturday.
/// </summary>
/// <param name="Trays">Trays that stand in the ovens.</param>
/// <param name="Pans">Pans in use.</param>
/// <param name="Mixing">When the mixer is in use.</param>
/// <param name="Work">When a pair of hands is at work; several at once are several entries.</param>
/// <param name="Shifts">The shifts that those plans count on.</param>
/// <param name="OvensWatched">When somebody watches the ovens for them.</param>
/// <param name="Loads">What the trays hold, to be told and drawn.</param>
/// <param name="Warm">What heat is left in ovens when the horizon starts.</param>
/// <param name="Settings">What the ovens would be set to for those plans alone.</param>
public sealed record TakenTime(
    IReadOnlyList<StandingTray> Trays,
    IReadOnlyList<StandingPans> Pans,
    IReadOnlyList<TakenMinutes> Mixing,
    IReadOnlyList<TakenMinutes> Work,
    IReadOnlyList<DayShift> Shifts,
    IReadOnlyList<DayShift> OvensWatched,
    IReadOnlyList<TakenLoad> Loads,
    IReadOnlyList<WarmOven> Warm,
    IReadOnlyList<OvenSetting> Settings)
{
    /// <summary>Room of the kitchen that is in use.</summary>
    public IReadOnlyList<RoomUse> Room { get; init; } = [];

    /// <summary>Nothing is taken.</summary>
    public static TakenTime None { get; } = new([], [], [], [], [], [], [], [], []);

    /// <summary>What earlier plans have taken from minute 0 on.</summary>
    /// <param name="days">The plans, earliest first: each was planned around those before it.</param>
    public static TakenTime Of(IReadOnlyList<EarlierDay> days)
    {
        TakenLoad[] loads = [.. days.SelectMany(Baked).Where(load => load.Visit.EndMin > 0)];
        DayShift[] There(Func<EarlierDay, IEnumerable<DayShift>> shifts) => [.. days.SelectMany(day => shifts(day).Select(shift => Later(shift, day.OffsetMin))).Where(shift => shift.EndMin > 0).Distinct()];
        return new TakenTime(
            [.. days.SelectMany(day => StandingTrays.Of(day.Plan.BakePlan, day.Plan.Problem.Bakes).Select(tray => tray.From(-day.OffsetMin))).Where(tray => tray.EndMin > 0)],
            [.. days.SelectMany(day => day.Plan.PansInUse.Select(hold => hold with { FromMin = hold.FromMin + day.OffsetMin, ToMin = hold.ToMin + day.OffsetMin })).Where(hold => hold.ToMin > 0)],
            Left(days.SelectMany(day => day.Plan.Batches.Where(batch => batch.Dough.IsMixed).Select(batch => new TakenMinutes(batch.MixStartMin + day.OffsetMin, batch.MixEndMin + day.OffsetMin)))),
            Left(days.SelectMany(Worked)),
            There(day => day.Snapshot.Shifts),
            There(day => day.Snapshot.OvensWatched),
            loads,
            [.. days.TakeLast(1).SelectMany(LeftWarm)],
            [.. days.TakeLast(1).SelectMany(Set)])
        {
            Room = [.. days.SelectMany(day => day.Plan.Room.Select(use => Later(use, day.OffsetMin))).Where(use => use.ToMin > 0)],
        };
    }

    /// <summary>With what a published plan of the same day has begun and still takes; minutes are the same.</summary>
    public TakenTime With(TakenTime other) => this with
    {
        Trays = [.. Trays, .. other.Trays],
        Mixing = Left(Mixing.Concat(other.Mixing)),
        Work = Left(Work.Concat(other.Work)),
        Loads = [.. Loads, .. other.Loads],
        OvensWatched = [.. OvensWatched.Concat(other.OvensWatched).Distinct()],
        Warm = other.Warm,
    };

    /// <summary>The same, so many minutes later on the clock.</summary>
    internal TakenTime Later(int minutes)
    {
        TakenMinutes Moved(TakenMinutes one) => new(one.FromMin + minutes, one.ToMin + minutes);
        return this with
        {
            Trays = [.. Trays.Select(tray => tray.From(-minutes))],
            Pans = [.. Pans.Select(hold => hold with { FromMin = hold.FromMin + minutes, ToMin = hold.ToMin + minutes })],
            Mixing = [.. Mixing.Select(Moved)],
            Work = [.. Work.Select(Moved)],
            Room = [.. Room.Select(use => Later(use, minutes))],
            Shifts = [.. Shifts.Select(shift => Later(shift, minutes))],
            OvensWatched = [.. OvensWatched.Select(shift => Later(shift, minutes))],
            Loads = [.. Loads.Select(load => load with { Visit = load.Visit.Later(minutes), Thing = load.Thing with { NeededMin = load.Thing.NeededMin + minutes } })],
            // By then they have cooled.
            Warm = [],
            Settings = [.. Settings.Select(setting => setting with { AtMin = setting.AtMin + minutes })],
        };
    }

    private static RoomUse Later(RoomUse use, int minutes) => use with { FromMin = use.FromMin + minutes, ToMin = use.ToMin + minutes };

    private static DayShift Later(DayShift shift, int minutes) => shift with { StartMin = shift.StartMin + minutes, EndMin = shift.EndMin + minutes };

    /// <summary>Whether no minute of anything is taken.</summary>
    public bool IsNothing => Trays.Count + Pans.Count + Mixing.Count + Work.Count + Room.Count == 0;

    private static TakenMinutes[] Left(IEnumerable<TakenMinutes> minutes) => [.. minutes.Where(one => one.ToMin > 0).OrderBy(one => one.FromMin).ThenBy(one => one.ToMin)];

    /// <summary>Work on pies of which none can be made is none: nobody begins it.</summary>
    private static IEnumerable<TakenMinutes> Worked(EarlierDay day)
    {
        var hopeless = day.Plan.Fates.Where(fate => fate.Unfit + fate.NotBaked == fate.Lot.Count).Select(fate => fate.Lot.Id).ToHashSet();
        return day.Plan.Tasks
            .Where(task => task.Kind == TaskKind.Hands && (task.LotId is null || !hopeless.Contains(task.LotId)))
            .Select(task => new TakenMinutes(task.StartMin + day.OffsetMin, task.EndMin + day.OffsetMin));
    }

    private static IEnumerable<TakenLoad> Baked(EarlierDay day) =>
        from load in day.Plan.Loads
        from visit in load.Visits
        let thing = day.Plan.Thing(visit)
        // Another day's lot may have the same name.
        select new TakenLoad(day.Name, load.OvenId, visit.Later(day.OffsetMin) with { LotId = $"{day.Name}/{visit.LotId}" }, thing with { NeededMin = thing.NeededMin + day.OffsetMin });

    /// <summary>The settings from minute 0 on; what is in force then is set then.</summary>
    private static IEnumerable<OvenSetting> Set(EarlierDay day)
    {
        foreach (var settings in day.Plan.BakePlan.Settings.Select(setting => setting with { AtMin = setting.AtMin + day.OffsetMin }).GroupBy(setting => setting.OvenId))
        {
            if (settings.LastOrDefault(setting => setting.AtMin <= 0) is { TempC: not null } inForce) yield return inForce with { AtMin = 0 };
            foreach (var setting in settings.Where(setting => setting.AtMin > 0)) yield return setting;
        }
    }

    /// <summary>The ovens as the last plan before has them when this day's clock begins: on, where trays are inside, or cooling.</summary>
    private static IEnumerable<WarmOven> LeftWarm(EarlierDay day) =>
        from oven in Replanning.OvensAt(day.Plan.Problem, day.Plan.BakePlan.Settings, day.Plan.BakePlan.Trays, Math.Max(0, -day.OffsetMin))
        where day.OffsetMin <= 0 && (oven.StartSettingC is not null || oven.StartC > day.Plan.Problem.Ovens.First(other => other.Id == oven.Id).StartC)
        select new WarmOven(oven.Id, oven.StartC, oven.StartSettingC);
}

/// <summary>A plan of a day before.</summary>
/// <param name="Name">Which day, as a name among others: "2026-12-11".</param>
/// <param name="Plan">Its plan.</param>
/// <param name="Snapshot">What it was made for, on its own clock.</param>
/// <param name="OffsetMin">Minutes to add to a minute of it to have one of the day that is planned.</param>
public sealed record EarlierDay(string Name, PlannedDay Plan, DaySnapshot Snapshot, int OffsetMin);

/// <summary>A stretch of time that is taken.</summary>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute after the last.</param>
public sealed record TakenMinutes(int FromMin, int ToMin);

/// <summary>Trays of an earlier day in an oven.</summary>
/// <param name="Day">Which day, by its name.</param>
/// <param name="OvenId">The oven.</param>
/// <param name="Visit">What enters, when, on which shelves.</param>
/// <param name="Thing">What it is.</param>
public sealed record TakenLoad(string Day, string OvenId, LoadVisit Visit, OvenThing Thing);

/// <summary>An oven that is not at room temperature when the horizon starts.</summary>
/// <param name="OvenId">The oven.</param>
/// <param name="Celsius">Its chamber.</param>
/// <param name="SettingC">What it is set to; null where it is off and cools.</param>
public sealed record WarmOven(string OvenId, int Celsius, int? SettingC);
