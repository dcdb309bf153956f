using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>Says a plan in plain words. Every word about what is met and what is not comes from the plan's one account of its lots.</summary>
internal static class PlanSentence
{
    // A sentence that names more pick-ups than this is a list; the worst one then stands for all.
    private const int MostNamed = 3;

    /// <summary>The answer: how much, when, and whether the pick-ups are met.</summary>
    /// <param name="book">The day.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="now">Minute of now.</param>
    /// <param name="isLate">Whether work that should have begun is not known to have.</param>
    public static IReadOnlyList<SentencePart> Of(DayBook book, PlannedDay plan, int now, bool isLate)
    {
        var parts = Planned(book, plan, now, isLate);
        if (book.LeftOut.Count == 0) return parts;
        var pies = book.LeftOut.Sum(one => one.Order.Count);
        return [.. parts, Plain($" Left out of the plan: {(book.LeftOut.Select(one => one.Lot).Distinct().Count() > MostNamed ? Count(pies, "ordered pie") : string.Join("; ", LeftOutPies.Words(book.LeftOut)))}.")];
    }

    private static IReadOnlyList<SentencePart> Planned(DayBook book, PlannedDay plan, int now, bool isLate)
    {
        var day = new SentencePart(Days.Name(book.Day), "day", Days.Iso(book.Day));
        var ready = plan.Ready.Sum(one => one.Lot.Count);
        if (plan.Pies + ready == 0) return [Plain(book.LeftOut.Count > 0 ? "Nothing is planned for " : "Nothing is ordered for "), day, Plain(".")];
        if (plan.Pies == 0) return [new SentencePart(ready == 1 ? "The one pie" : $"All {ready} pies", "orders", null), Plain(" for "), day, Plain(ready == 1 ? " is ready already." : " are ready already.")];
        var parts = new List<SentencePart> { new(Count(plan.Pies, "pie"), "orders", null), Plain($"{(ready > 0 ? $" beside {ready} that {(ready == 1 ? "is" : "are")} ready already" : string.Empty)} for "), day };
        var isBaked = plan.Lots.Any(lot => lot.ProcessLeft().Steps.Any(step => step.IsBake));
        if (plan.Loads.Count == 0 && isBaked) return [.. parts, Plain(plan.Pies == 1 ? " finds no oven." : " find no oven.")];

        if (plan.Loads.Count == 0) parts.Add(Plain(", and nothing is left to bake. "));
        else
        {
            var (first, last) = (book.Clock.At(plan.Loads[0].StartMin), book.Clock.At(plan.Loads.SelectMany(load => load.Visits).Max(visit => visit.EndMin)));
            parts.Add(Plain($" in {Count(plan.Loads.Count, "load")}, the first in at {Said(first)}, the last out at {Said(last)}. "));
        }

        if (plan.Waves[^1].PickUpMin <= now) return [.. parts, Plain("Its pick-ups have passed; this is how it was planned.")];
        if (isLate) parts.Add(Plain("Had it begun in time: "));
        if (plan.Waves.Count > MostNamed) return [.. parts, .. Many(book, plan, isLate), Plain(".")];
        for (var at = 0; at < plan.Waves.Count; at++)
        {
            parts.Add(Plain(at > 0 ? ", the " : isLate ? "the " : "The "));
            parts.AddRange(Wave(book, plan.Waves[at]));
        }

        return [.. parts, Plain(".")];
    }

    /// <summary>How a pick-up fares: "boxed with 32 min to spare", "12 of 20 cannot be made", "5 of 20 are 1 h 10 late".</summary>
    public static string Says(Wave wave)
    {
        var said = new List<string>();
        if (wave.NotMade > 0) said.Add(wave.NotMade == wave.Pies ? "cannot be made" : $"{wave.NotMade} of {wave.Pies} cannot be made");
        if (wave.Fates.Sum(fate => fate.Late) is > 0 and var late)
            said.Add($"{(late == wave.Pies ? string.Empty : $"{late} of {wave.Pies} ")}{(late == wave.Pies ? "is" : late == 1 ? "is" : "are")} {Hours(wave.Fates.Max(fate => fate.LateMin))} late");
        if (said.Count > 0) return string.Join(" and ", said);
        return wave.SpareMin is { } spare ? $"is boxed with {Hours(spare)} to spare" : "is ready already";
    }

    /// <summary>Many pick-ups: how many of them are met, and the worst one.</summary>
    private static IReadOnlyList<SentencePart> Many(DayBook book, PlannedDay plan, bool isLate)
    {
        var missed = plan.Waves.Count(wave => !wave.IsMet);
        var worst = plan.Waves.OrderByDescending(wave => wave.NotMade).ThenBy(wave => wave.SpareMin ?? int.MinValue).First();
        var all = isLate ? "all" : "All";
        return
        [
            Plain(missed == 0 ? $"{all} {plan.Waves.Count} pick-ups are met; the tightest, the " : $"{missed} of {plan.Waves.Count} pick-ups {(missed == 1 ? "is" : "are")} not met; the worst, the "),
            .. Wave(book, worst),
        ];
    }

    /// <summary>Oven time against its bound.</summary>
    public static string Note(PlannedDay plan)
    {
        if (plan.Tasks.Count == 0) return string.Empty;
        var bound = plan.BakePlan.LowerBound.OvenOnMin;
        // Where others have them on, only what this day adds is its own.
        var isAround = plan.Taken.Settings.Count > 0;
        return $"Ovens on for {Hours(DayFigures.Of(plan).HotMin)} between them{(isAround ? " beyond what days before need" : string.Empty)}"
            + (bound > 0 ? $"; no plan can do it in under {Hours(bound)}. " : ". ")
            + $"{Count(DayFigures.Of(plan).SettingChanges, "change")} of setting{(isAround ? " more" : string.Empty)}."
            + (plan.IsSettled ? string.Empty : " A first plan, not settled yet: a better one may be found.");
    }

    /// <summary>
    /// How many people are there: "4 are there", "4 are there in "Afternoon", 2 in "Night""; empty where nobody has said of any shift.
    /// Where some work is on pies that cannot be made, that it is counted too: then more may be at work than are there.
    /// </summary>
    public static string There(IReadOnlyList<DayShift> shifts, IReadOnlyList<LotFate> fates)
    {
        if (shifts.All(shift => shift.People is null)) return string.Empty;
        // The pieces that breaks leave, and other days' shifts of one name, are one where as many work in them.
        var named = shifts.DistinctBy(shift => (shift.Name, shift.People)).ToArray();
        var there = shifts.All(shift => shift.People == shifts[0].People)
            ? $"{shifts[0].People} {(shifts[0].People == 1 ? "is" : "are")} there"
            : $"there are {string.Join(", ", named.Select(shift => shift.People is { } people ? $"{people} in \"{shift.Name}\"" : $"as many as are wanted in \"{shift.Name}\""))}";
        return fates.Any(fate => fate.Unfit > 0) ? $"{there}; work on pies that cannot be made is counted too" : there;
    }

    /// <summary>What is late, and what can still be done.</summary>
    /// <param name="book">The day.</param>
    /// <param name="overdue">What is overdue in the plan as it was made.</param>
    /// <param name="now">Minute of now.</param>
    /// <param name="still">The plan in which all of it is begun now.</param>
    /// <param name="isFromNow">Whether that one is shown.</param>
    public static LateAnswer Late(DayBook book, Overdue overdue, int now, PlannedDay still, bool isFromNow)
    {
        var words = $"Late: work was to begin at {Said(book.Clock.At(overdue.FirstMin))}, {Hours(now - overdue.FirstMin)} ago, with \"{overdue.FirstName}\" ({overdue.FirstAbout}). "
            + $"{Count(overdue.Tasks, "task")} should have begun by now, and nobody has recorded that {(overdue.Tasks == 1 ? "it has" : "any of them has")}.";
        var (inTime, late, not) = (still.Fates.Sum(fate => fate.InTime), still.Fates.Sum(fate => fate.Late), still.Waves.Sum(wave => wave.NotMade));
        var parts = new List<string>();
        if (inTime > 0) parts.Add($"{inTime} of {still.Pies} are boxed in time");
        if (late > 0) parts.Add($"{late} {(late == 1 ? "is" : "are")} up to {Hours(still.Fates.Max(fate => fate.LateMin))} late");
        if (not > 0) parts.Add($"{not} cannot be made");
        return new LateAnswer(words, $"If nothing is done yet and all of it is begun now: {string.Join(", ", parts)}.", isFromNow);
    }

    /// <summary>A trouble in words.</summary>
    public static TroubleAnswer Trouble(DayBook book, PlannedDay plan, Trouble trouble)
    {
        var lot = plan.Lot(trouble.LotId);
        var what = $"{trouble.Pies} {lot.Product.Name}, {lot.Pan.Name}, for {Said(book.Clock.At(lot.PickUpMin))}{Names(lot.For)}";
        var how = trouble.Kind switch
        {
            TroubleKind.NotBaked => "cannot be baked",
            TroubleKind.Unfit => trouble.Pies == 1 ? "cannot be made around its bake" : "cannot be made around their bakes",
            _ => $"{(trouble.Pies == 1 ? "is" : "are")} boxed {Hours(trouble.LateMin)} late",
        };
        return new TroubleAnswer($"{what} {how}: {Filled(book, trouble.What)}.", Sentence(Filled(book, trouble.Mend)));
    }

    /// <summary>What two days want at one time, in words.</summary>
    public static TroubleAnswer Shared(DayBook book, DayBook other, SharedTime shared) => new(
        $"{shared.What} is wanted by {Days.Name(other.Day)} too, from {Said(book.Clock.At(shared.FromMin))} to {Said(book.Clock.At(shared.ToMin))}: each day is planned by itself, and both count on having it then.",
        "Move a pick-up of one of the two days, or do that work earlier.");

    /// <summary>What days before and after, and what is made already, have to do with a day, one sentence each.</summary>
    public static IReadOnlyList<string> Beside(DayBook book, PlannedDay plan, OtherDays others) =>
    [
        .. StockUseWords.Briefly(book, plan) is { Length: > 0 } taken ? new[] { taken } : [],
        .. others.Before.Select(before => $"Planned around {Days.Name(before.Other.Day)}{(before.OvensUntilMin is { } until ? $", whose last trays are out of the ovens at {Said(book.Clock.At(until))}" : ", which has hands or the mixer first")}."),
        .. others.After.Select(after => $"{Days.Name(after.Other.Day)} bakes beside this day in {after.Shared.What} from {Said(book.Clock.At(after.Shared.FromMin))} to {Said(book.Clock.At(after.Shared.ToMin))}: its settings then are on that day's sheet, which has this day's trays too."),
    ];

    /// <summary>A length of time in words: "5 h 26" or "32 min".</summary>
    internal static string Hours(long minutes) => minutes < 60 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60} h {minutes % 60:00}");

    private static SentencePart[] Wave(DayBook book, Wave wave)
    {
        var clock = book.Clock.At(wave.PickUpMin).Clock;
        var name = wave.For.Count == 1 ? $" {wave.For[0]}" : string.Empty;
        var says = Says(wave);
        // "the 07:30: 5 of 20 are late", "the 07:30 is boxed with …".
        var join = says.StartsWith("is ", StringComparison.Ordinal) || says.StartsWith("cannot", StringComparison.Ordinal) ? " " : ": ";
        return [new(clock, "pickUp", clock), Plain($"{name}{join}{says}")];
    }

    private static SentencePart Plain(string text) => new(text, null, null);

    internal static string Names(IReadOnlyList<string> names) => names.Count == 0 ? string.Empty : $" ({string.Join(", ", names)})";

    /// <summary>A text with its minutes as clock times.</summary>
    internal static string Filled(DayBook book, PlanText text) => text.With(minute => Said(book.Clock.At(minute)));

    private static string Sentence(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..] + ".";

    internal static string Said(Moment moment) => $"{moment.Day} {moment.Clock}";

    /// <summary>So many of something: "1 pie", "6 pies".</summary>
    public static string Count(long count, string noun) => count == 1 ? $"1 {noun}" : $"{count} {noun}s";
}
