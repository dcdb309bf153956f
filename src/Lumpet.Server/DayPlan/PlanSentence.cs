using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>Says a plan in plain words.</summary>
internal static class PlanSentence
{
    // A sentence that names more pick-ups than this is a list; the tightest one then stands for all.
    private const int MostNamed = 3;

    /// <summary>The answer: how much, when, and whether the pick-ups are met.</summary>
    public static IReadOnlyList<SentencePart> Of(DayBook book, PlannedDay plan)
    {
        var day = new SentencePart(Days.Name(book.Day), "day", Days.Iso(book.Day));
        if (plan.Pies == 0) return [Plain("Nothing is ordered for "), day, Plain(".")];
        var parts = new List<SentencePart> { new(Count(plan.Pies, "pie"), "orders", null), Plain(" for "), day };
        if (plan.Loads.Count == 0) return [.. parts, Plain(plan.Pies == 1 ? " finds no oven." : " find no oven.")];

        var (first, last) = (book.Clock.At(plan.Loads[0].StartMin), book.Clock.At(plan.Loads.SelectMany(load => load.Visits).Max(visit => visit.EndMin)));
        parts.Add(Plain($" in {Count(plan.Loads.Count, "load")}, the first in at {Said(first)}, the last out at {Said(last)}. "));
        if (plan.Waves.Count > MostNamed) return [.. parts, .. Many(book, plan), Plain(".")];
        for (var at = 0; at < plan.Waves.Count; at++)
        {
            parts.Add(Plain(at == 0 ? "The " : ", the "));
            parts.AddRange(Wave(book, plan.Waves[at]));
        }

        return [.. parts, Plain(".")];
    }

    /// <summary>Many pick-ups: how many of them are met, and the worst one.</summary>
    private static IReadOnlyList<SentencePart> Many(DayBook book, PlannedDay plan)
    {
        var missed = plan.Waves.Count(wave => wave.SpareMin is null or < 0);
        var worst = plan.Waves.MinBy(wave => wave.SpareMin ?? int.MinValue)!;
        return
        [
            Plain(missed == 0 ? $"All {plan.Waves.Count} pick-ups are met; the tightest, the " : $"{missed} of {plan.Waves.Count} pick-ups are not met; the worst, the "),
            .. Wave(book, worst),
        ];
    }

    /// <summary>Oven time against its bound, and hands; and whether work should have begun.</summary>
    public static string Note(DayBook book, PlannedDay plan, int now)
    {
        if (plan.Tasks.Count == 0) return string.Empty;
        var cost = plan.BakePlan.Cost;
        var bound = plan.BakePlan.LowerBound.OvenOnMin;
        var note = $"Ovens on for {Hours(cost.OvenOnMin)} between them"
            + (bound > 0 ? $"; no plan can do it in under {Hours(bound)}. " : ". ")
            + $"{Count(cost.SettingChanges, "change")} of setting.";
        var first = plan.Tasks.Min(task => task.StartMin);
        if (now > first && now < plan.Tasks.Max(task => task.EndMin))
            note += $" Work began at {Said(book.Clock.At(first))}, {Hours(now - first)} ago.";
        return note;
    }

    /// <summary>A trouble in words.</summary>
    public static TroubleAnswer Trouble(DayBook book, PlannedDay plan, Trouble trouble)
    {
        var lot = plan.Lots.First(lot => lot.Id == trouble.LotId);
        var what = $"{trouble.Pies} {lot.Product.Name}, {lot.Pan.Name}, for {Said(book.Clock.At(lot.PickUpMin))}{Names(lot.For)}";
        var how = trouble.LateMin switch
        {
            null => "cannot be baked",
            0 => "do not fit the shifts",
            var late => $"are boxed {Hours(late.Value)} late",
        };
        return new TroubleAnswer($"{what} {how}: {Filled(book, trouble.Binds)}.", Sentence(Filled(book, trouble.Mend)));
    }

    /// <summary>A length of time in words: "5 h 26" or "32 min".</summary>
    internal static string Hours(long minutes) => minutes < 60 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60} h {minutes % 60:00}");

    private static SentencePart[] Wave(DayBook book, Wave wave)
    {
        var clock = book.Clock.At(wave.PickUpMin).Clock;
        var name = wave.For.Count == 1 ? $" {wave.For[0]}" : string.Empty;
        return
        [
            new(clock, "pickUp", clock),
            Plain(name + wave.SpareMin switch
            {
                null => " is not all made",
                < 0 => $" is {Hours(-wave.SpareMin.Value)} late",
                var spare => $" is boxed with {Hours(spare.Value)} to spare",
            }),
        ];
    }

    private static SentencePart Plain(string text) => new(text, null, null);

    private static string Names(IReadOnlyList<string> names) => names.Count == 0 ? string.Empty : $" ({string.Join(", ", names)})";

    /// <summary>A text with its minutes as clock times.</summary>
    internal static string Filled(DayBook book, TroubleText text) =>
        string.Format(System.Globalization.CultureInfo.InvariantCulture, text.Template, [.. text.Minutes.Select(minute => (object)Said(book.Clock.At(minute)))]);

    private static string Sentence(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..] + ".";

    private static string Said(Moment moment) => $"{moment.Day} {moment.Clock}";

    private static string Count(long count, string noun) => count == 1 ? $"1 {noun}" : $"{count} {noun}s";
}
