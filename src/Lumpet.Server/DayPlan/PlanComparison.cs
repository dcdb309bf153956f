using System.Globalization;
using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>A figure in which plans of a day may differ.</summary>
/// <param name="Name">What of.</param>
/// <param name="Words">How much.</param>
/// <param name="Worse">The larger, the worse; null where neither of two is better.</param>
internal sealed record ComparedFigure(string Name, string Words, decimal? Worse);

/// <summary>Lays plans of a day beside each other, figure by figure, and says which is better where one can say so.</summary>
internal static class PlanComparison
{
    /// <summary>The schools' names, and what each is for.</summary>
    public static (string Name, string Words) Of(OvenSchool school) => school switch
    {
        OvenSchool.Freshest => ("Freshest pies", "Out as late as the pick-up allows; ovens may be hot for longer."),
        OvenSchool.Steadiest => ("Steadiest work", "Few trips to the doors, none at two ovens in one minute, few changes of setting."),
        _ => ("Fewest hot hours", "Loads close together; some pies wait longer."),
    };

    /// <summary>Every figure that tells two plans apart, in the order in which a manager asks; the same figures of every plan.</summary>
    /// <param name="book">The day that was planned, for its clock and currency: with an earlier start its minutes count from another.</param>
    /// <param name="figures">What the plan comes to.</param>
    private static IReadOnlyList<ComparedFigure> Figures(DayBook book, DayFigures figures) =>
    [
        new("Pies", Figure(figures.Pies), null),
        Number("Cannot be made", figures.NotMade),
        Number("Late", figures.Late),
        Long("The latest by", figures.MostLateMin),
        new("Least time to spare", Spare(figures), -(figures.LeastSpareMin ?? int.MinValue)),
        Number("Hands at the busiest", figures.MostHands),
        Long("Work in all", figures.WorkMin),
        new("Work begins", figures.FirstMin is { } first ? $"{book.Clock.At(first).Day} {book.Clock.At(first).Clock}" : "never", figures.FirstMin is { } begins ? -book.Clock.InstantAt(begins).ToUnixTimeSeconds() : null),
        Long("Ovens hot", figures.HotMin),
        new("Heat costs", figures.HeatCost is { } cost ? string.Create(CultureInfo.InvariantCulture, $"{cost:0.00} {book.Bakery.Currency}") : "no price for an oven hour", figures.HeatCost),
        new("From oven to pick-up", figures.WaitMin is { } wait ? $"{PlanSentence.Hours(wait)} on average" : "nothing baked", figures.WaitMin ?? 0),
        Number("Trays in the fridge at its fullest", figures.FridgeTrays),
        Number("Trays in the freezer at its fullest", figures.FreezerTrays),
        Number("Loads", figures.Loads),
        Number("Changes of setting", figures.SettingChanges),
        Number("Doors opened", figures.DoorOpenings),
        Number("Two doors at once", figures.DoorClashes),
    ];

    /// <summary>The figures in which one plan differs from another.</summary>
    /// <param name="before">The day as it is, planned.</param>
    /// <param name="after">The day as it would be, planned.</param>
    public static IReadOnlyList<PlanDifferenceAnswer> Between((DayBook Book, PlannedDay Plan) before, (DayBook Book, PlannedDay Plan) after) =>
    [
        .. Pairs(before, after).Where(pair => pair.First.Words != pair.Second.Words)
            .Select(pair => new PlanDifferenceAnswer(pair.First.Name, pair.First.Words, pair.Second.Words, Is(pair.First, pair.Second))),
    ];

    /// <summary>What a plan comes to beside the day as it is.</summary>
    /// <param name="before">The day as it is, planned.</param>
    /// <param name="after">The day with a choice, planned.</param>
    public static IReadOnlyList<PlanFigureAnswer> Beside((DayBook Book, PlannedDay Plan) before, (DayBook Book, PlannedDay Plan) after) =>
        [.. Pairs(before, after).Select(pair => new PlanFigureAnswer(pair.Second.Name, pair.Second.Words, pair.First.Words == pair.Second.Words ? "same" : Is(pair.First, pair.Second)))];

    private static IEnumerable<(ComparedFigure First, ComparedFigure Second)> Pairs((DayBook Book, PlannedDay Plan) before, (DayBook Book, PlannedDay Plan) after) =>
        Figures(before.Book, DayFigures.Of(before.Plan)).Zip(Figures(after.Book, DayFigures.Of(after.Plan)));

    private static string Is(ComparedFigure before, ComparedFigure after) => (before.Worse, after.Worse) is ({ } was, { } now) && was != now ? now < was ? "better" : "worse" : "other";

    private static ComparedFigure Number(string name, long number) => new(name, Figure(number), number);

    private static ComparedFigure Long(string name, long minutes) => new(name, PlanSentence.Hours(minutes), minutes);

    private static string Figure(long number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Spare(DayFigures figures) => figures.LeastSpareMin is { } spare ? spare < 0 ? $"{PlanSentence.Hours(-spare)} late" : PlanSentence.Hours(spare) : "never boxed";
}

/// <summary>A figure in which two plans differ.</summary>
/// <param name="Name">What of.</param>
/// <param name="Before">As it is.</param>
/// <param name="After">As it would be.</param>
/// <param name="Is">"better", "worse" or "other".</param>
public sealed record PlanDifferenceAnswer(string Name, string Before, string After, string Is);

/// <summary>A figure of a plan in words, beside that of the day as it is.</summary>
/// <param name="Name">What of.</param>
/// <param name="Value">How much.</param>
/// <param name="Is">"same", "better", "worse" or "other".</param>
public sealed record PlanFigureAnswer(string Name, string Value, string Is);
