using Lumpet.Core.Bakery;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;

namespace Lumpet.Core.DayPlan;

/// <summary>Everything a day's plan follows from. Minutes count from the start of the horizon.</summary>
/// <param name="Orders">Orders of the day.</param>
/// <param name="Shifts">When people are at work, in order of time; those of two shifts may overlap.</param>
/// <param name="Ovens">The ovens.</param>
/// <param name="Mixer">The mixer.</param>
/// <param name="ToleranceC">By how much an oven's setting may differ from what a bake asks for.</param>
/// <param name="TransferMin">Minutes a tray takes from one oven to another.</param>
/// <param name="SpareMin">By how many minutes boxes should be ready before their pick-up; given up before a pick-up is missed.</param>
/// <param name="HorizonMin">Length of the horizon.</param>
public sealed record DaySnapshot(
    IReadOnlyList<DayOrder> Orders,
    IReadOnlyList<DayShift> Shifts,
    IReadOnlyList<Oven> Ovens,
    Mixer Mixer,
    int ToleranceC,
    int TransferMin,
    int SpareMin,
    int HorizonMin)
{
    /// <summary>Minutes at which a day ends and the next begins, in order; what is to be done the day before is done before one of them.</summary>
    public IReadOnlyList<int> Midnights { get; init; } = [];

    /// <summary>Degrees that an oven loses through the open door for each tray put in.</summary>
    public int OpenCPerTray { get; init; }

    /// <summary>How much room the kitchen has.</summary>
    public KitchenRoom Room { get; init; } = KitchenRoom.Uncounted;

    /// <summary>When somebody watches the ovens; where nobody has said, in the shifts. A break of the bench is none of the ovens'.</summary>
    public IReadOnlyList<DayShift> OvensWatched
    {
        get => watched ?? Shifts;
        init => watched = value;
    }

    private readonly IReadOnlyList<DayShift>? watched;

    /// <summary>
    /// What is left of the day at a minute, on a clock that begins then: nobody can do anything sooner. What was begun by then is there or goes on;
    /// pick-ups that have passed are over.
    /// </summary>
    /// <param name="minute">The minute.</param>
    /// <param name="begun">What was begun, on this day's clock.</param>
    public DaySnapshot From(int minute, BegunWork begun)
    {
        DayShift[] Left(IEnumerable<DayShift> shifts) => [.. shifts.Where(shift => shift.EndMin > minute).Select(shift => shift with { StartMin = Math.Max(0, shift.StartMin - minute), EndMin = shift.EndMin - minute })];
        var goesOn = begun.From(minute);
        var noted = Stock.Less(begun.Used).Later(-minute);
        return this with
        {
            Orders = [.. Orders.Where(order => order.PickUpMin > minute).Select(order => order with { PickUpMin = order.PickUpMin - minute })],
            Shifts = Left(Shifts),
            OvensWatched = Left(OvensWatched),
            HorizonMin = HorizonMin - minute,
            Midnights = [.. Midnights.Select(midnight => midnight - minute)],
            Stock = new DayStock([.. noted.Masses, .. goesOn.Stock.Masses], [.. noted.Pies, .. goesOn.Stock.Pies]),
            Taken = Taken.Later(-minute).With(goesOn.Taken),
            GoingOn = goesOn.GoingOn,
            Kept = goesOn.Left,
        };
    }

    /// <summary>The same day with other shifts, in which the ovens are watched as well.</summary>
    internal DaySnapshot With(IReadOnlyList<DayShift> shifts) => this with { Shifts = shifts, OvensWatched = shifts };

    /// <summary>When nobody is there between the shifts, and from the last of them to the last pick-up, in order.</summary>
    public IReadOnlyList<(int FromMin, int ToMin)> Pauses => ShiftCalendar.Pauses(OvensWatched, Orders.Select(order => order.PickUpMin).DefaultIfEmpty(0).Max());

    /// <summary>What is made already, and used before anything is made anew.</summary>
    public DayStock Stock { get; init; } = DayStock.None;

    /// <summary>Work and bakes that a published plan has begun and that go on; what they take of hands, mixer and ovens is in what is taken.</summary>
    public IReadOnlyList<DayTask> GoingOn { get; init; } = [];

    /// <summary>What the ovens were to do in the plan that is published: kept where it serves as well and costs little more.</summary>
    public KeptOvens Kept { get; init; } = KeptOvens.None;

    /// <summary>The first minute at which anyone is there.</summary>
    internal int FirstMin => Shifts.Select(shift => shift.StartMin).DefaultIfEmpty(0).Min();

    /// <summary>What days before have taken already.</summary>
    public TakenTime Taken { get; init; } = TakenTime.None;

    /// <summary>How many pairs of hands are free at a minute, of those that this day may count on; null where nobody has said how many are there.</summary>
    /// <param name="minute">The minute.</param>
    /// <param name="atDoors">How many are at the ovens' doors then.</param>
    internal int? HandsFreeAt(int minute, int atDoors = 0)
    {
        bool IsOn(DayShift shift) => shift.StartMin <= minute && minute < shift.EndMin;
        DayShift[] own = [.. Shifts.Where(IsOn)];
        if (own.Any(shift => shift.People is null)) return null;
        var people = own.Sum(shift => shift.People!.Value);
        if (people == 0 || (Taken.Work.Count == 0 && atDoors == 0)) return people;
        // A shift that both days count on is there once; those of another day that are there too do that day's work.
        var all = own.Concat(Taken.Shifts.Where(IsOn)).DistinctBy(shift => (shift.Name, shift.StartMin, shift.EndMin)).ToArray();
        if (all.Any(shift => shift.People is null)) return people;
        return Math.Clamp(all.Sum(shift => shift.People!.Value) - Taken.Work.Count(work => work.FromMin <= minute && minute < work.ToMin) - atDoors, 0, people);
    }

    /// <summary>What the ovens are planned for, once the pick-ups are met.</summary>
    public OvenSchool School { get; init; }
}

/// <summary>An order of the day.</summary>
/// <param name="Product">What was ordered.</param>
/// <param name="Pan">In which pan; one of the product's sizes.</param>
/// <param name="Count">How many; at least 1.</param>
/// <param name="PickUpMin">When it is picked up.</param>
/// <param name="For">Who it is for; may be empty.</param>
public sealed record DayOrder(Product Product, Pan Pan, int Count, int PickUpMin, string For)
{
    /// <summary>By how many minutes it may be late, where something else would be; 0 of one that must not be.</summary>
    public int MayBeLateMin { get; init; }
}

/// <summary>A time in which people are there.</summary>
/// <param name="Name">"Afternoon", "Night".</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
public sealed record DayShift(string Name, int StartMin, int EndMin)
{
    /// <summary>How many pairs of hands are there; null where nobody has said, and hands bind nothing.</summary>
    public int? People { get; init; }
}
