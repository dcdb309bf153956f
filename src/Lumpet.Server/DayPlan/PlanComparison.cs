using System.Globalization;
using Lumpet.Core;
using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>Lays two plans of a day beside each other, figure by figure, and says which is better where one can say so.</summary>
internal static class PlanComparison
{
    /// <summary>The schools' names, and what each is for.</summary>
    public static (string Name, string Words) Of(OvenSchool school) => school switch
    {
        OvenSchool.Freshest => ("Freshest pies", "Out as late as the pick-up allows; ovens may be hot for longer."),
        OvenSchool.Steadiest => ("Steadiest work", "Few trips to the doors, none at two ovens in one minute, few changes of setting."),
        _ => ("Fewest hot hours", "Loads close together; some pies wait longer."),
    };

    /// <summary>Every figure that tells two plans apart, in the order in which a manager asks.</summary>
    /// <param name="book">The day, for clock and currency.</param>
    /// <param name="before">The plan as it is.</param>
    /// <param name="after">The plan as it would be.</param>
    public static IReadOnlyList<PlanDifferenceAnswer> Between(DayBook book, DayFigures before, DayFigures after)
    {
        var all = new List<PlanDifferenceAnswer>();
        void Add(string name, string was, string now, int better)
        {
            if (was != now) all.Add(new PlanDifferenceAnswer(name, was, now, better < 0 ? "better" : better > 0 ? "worse" : "other"));
        }

        void Number(string name, long was, long now) => Add(name, Figure(was), Figure(now), now.CompareTo(was));
        Add("Pies", Figure(before.Pies), Figure(after.Pies), 0);
        Number("Cannot be made", before.NotMade, after.NotMade);
        Number("Late", before.Late, after.Late);
        Add("The latest by", PlanSentence.Hours(before.MostLateMin), PlanSentence.Hours(after.MostLateMin), after.MostLateMin.CompareTo(before.MostLateMin));
        Add("Least time to spare", Spare(before), Spare(after), (before.LeastSpareMin ?? int.MinValue).CompareTo(after.LeastSpareMin ?? int.MinValue));
        Add("Ovens hot", PlanSentence.Hours(before.HotMin), PlanSentence.Hours(after.HotMin), after.HotMin.CompareTo(before.HotMin));
        Add("Heat costs", Money(book, before), Money(book, after), before.HeatCost is { } was && after.HeatCost is { } now ? now.CompareTo(was) : 0);
        Number("Changes of setting", before.SettingChanges, after.SettingChanges);
        Number("Doors opened", before.DoorOpenings, after.DoorOpenings);
        Number("Two doors at once", before.DoorClashes, after.DoorClashes);
        Number("Loads", before.Loads, after.Loads);
        Add("From oven to pick-up", Wait(before), Wait(after), (after.WaitMin ?? 0).CompareTo(before.WaitMin ?? 0));
        Number("Hands at the busiest", before.MostHands, after.MostHands);
        Add("Work begins", Begin(book, before), Begin(book, after), (before.FirstMin ?? 0).CompareTo(after.FirstMin ?? 0));
        return all;
    }

    /// <summary>A way of planning a day, with the figures that the schools differ in.</summary>
    public static OvenSchoolAnswer Way(DayBook book, OvenSchool school, DayFigures figures, bool isTaken)
    {
        var (name, words) = Of(school);
        return new OvenSchoolAnswer(
            Naming.Of(school),
            name,
            words,
            isTaken,
            [
                new("Ovens hot", PlanSentence.Hours(figures.HotMin)),
                new("Heat costs", Money(book, figures)),
                new("From oven to pick-up", Wait(figures)),
                new("Doors opened", Figure(figures.DoorOpenings)),
                new("Two doors at once", Figure(figures.DoorClashes)),
                new("Changes of setting", Figure(figures.SettingChanges)),
                new("Late or not made", Figure(figures.Late + figures.NotMade)),
            ]);
    }

    private static string Figure(long number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Spare(DayFigures figures) => figures.LeastSpareMin is { } spare ? spare < 0 ? $"{PlanSentence.Hours(-spare)} late" : PlanSentence.Hours(spare) : "never boxed";

    private static string Wait(DayFigures figures) => figures.WaitMin is { } wait ? $"{PlanSentence.Hours(wait)} on average" : "nothing baked";

    private static string Begin(DayBook book, DayFigures figures) => figures.FirstMin is { } first ? $"{book.Clock.At(first).Day} {book.Clock.At(first).Clock}" : "never";

    private static string Money(DayBook book, DayFigures figures) =>
        figures.HeatCost is { } cost ? string.Create(CultureInfo.InvariantCulture, $"{cost:0.00} {book.Bakery.Currency}") : "no price for an oven hour";
}

/// <summary>A figure in which two plans differ.</summary>
/// <param name="Name">What of.</param>
/// <param name="Before">As it is.</param>
/// <param name="After">As it would be.</param>
/// <param name="Is">"better", "worse" or "other".</param>
public sealed record PlanDifferenceAnswer(string Name, string Before, string After, string Is);

/// <summary>A school of planning the ovens of a day, planned.</summary>
/// <param name="School">"fewestHotHours", "freshest" or "steadiest".</param>
/// <param name="Name">Its name.</param>
/// <param name="Words">What it is for.</param>
/// <param name="IsTaken">Whether the day is planned by it.</param>
/// <param name="Figures">What it comes to.</param>
public sealed record OvenSchoolAnswer(string School, string Name, string Words, bool IsTaken, IReadOnlyList<PlanFigureAnswer> Figures);

/// <summary>A figure of a plan in words.</summary>
/// <param name="Name">What of.</param>
/// <param name="Value">How much.</param>
public sealed record PlanFigureAnswer(string Name, string Value);
