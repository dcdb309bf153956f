namespace Lumpet.Core.DayPlan;

/// <summary>Something a manager can do about a day on which something does not work out. It was planned: it helps.</summary>
/// <param name="Kind">What.</param>
/// <param name="Amount">Pairs of hands more in every shift, pairs of hands between the shifts, or minutes by which work begins earlier or a pick-up comes later; 0 of a school and of a lot that is left out.</param>
/// <param name="PickUpMin">The pick-up that comes later; null where none does.</param>
/// <param name="Before">How the day is served as it is.</param>
/// <param name="After">How it would be, planned roughly.</param>
public sealed record WayOut(WayOutKind Kind, int Amount, int? PickUpMin, DayServed Before, DayServed After)
{
    /// <summary>The school by which a product is made on that day; null where none is.</summary>
    public DaySchool? School { get; init; }

    /// <summary>The lot that is left out; null where none is.</summary>
    public Lot? LeftOut { get; init; }

    /// <summary>The same with a lot left out, whose pies are among those that are not made afterwards.</summary>
    internal WayOut Without(Lot lot, int pies) => this with { LeftOut = lot, After = After with { NotMade = After.NotMade + pies, LeftOut = pies } };
}

/// <summary>What is done.</summary>
public enum WayOutKind
{
    /// <summary>More pairs of hands in every shift of the day.</summary>
    MoreHands,

    /// <summary>The crew of the first shift begins earlier.</summary>
    Earlier,

    /// <summary>A pick-up comes later.</summary>
    LaterPickUp,

    /// <summary>A product is made by another school on that day: lined ahead and frozen, by one heat, its base raw.</summary>
    OtherSchool,

    /// <summary>Some are there between the shifts, and up to the last pick-up, when nobody would be.</summary>
    Between,

    /// <summary>A lot is left out of the plan, so that the others are served.</summary>
    LeaveOut,
}

/// <summary>How the pick-ups of a day are served.</summary>
/// <param name="NotMade">Pies that cannot be made.</param>
/// <param name="Late">Pies that are late.</param>
/// <param name="LateMin">By how many minutes the last of them is; 0 where none is.</param>
public sealed record DayServed(int NotMade, int Late, int LateMin)
{
    /// <summary>Pies of these that would be left out, which is the manager's word: they are among those that cannot be made.</summary>
    public int LeftOut { get; init; }

    /// <summary>Counts them.</summary>
    public static DayServed Of(IReadOnlyList<LotFate> fates) =>
        new(fates.Sum(fate => fate.NotBaked + fate.Unfit), fates.Sum(fate => fate.Late), fates.Select(fate => fate.LateMin).DefaultIfEmpty(0).Max());
}
