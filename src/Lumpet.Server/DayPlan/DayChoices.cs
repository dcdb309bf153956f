using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;

namespace Lumpet.Server.DayPlan;

/// <summary>What a manager may choose for a day, each a change that can be asked about, laid beside others and taken.</summary>
internal static class DayChoices
{
    // Usual steps; any other is asked under "Try a change".
    private const int EarlierMin = 60;

    /// <summary>All that may be chosen for a day, other than as it is.</summary>
    public static IReadOnlyList<ChoiceAnswer> Of(DayBook book) => [.. Ovens(book), .. Crew(book), .. Recipes(book)];

    /// <summary>A product's school in words: "Leek and cheese: lined ahead and frozen".</summary>
    private static string Words(string product, string school) => $"{product}: {char.ToLowerInvariant(school[0])}{school[1..]}";

    /// <summary>A school that a product is made by on this day, in words; of what its recipe does not offer any more, that it is made as its recipe says. Nothing where the product is not ordered.</summary>
    public static IEnumerable<string> Words(DayBook book, DaySchool school)
    {
        if (book.Products.FirstOrDefault(product => product.Id == school.ProductId) is not { } product) return [];
        return Offered(book, product, school) is { } found
            ? [Words(product.Name, found.Name)]
            : [$"{product.Name} as its recipe says: what was chosen for this day does not fit it any more"];
    }

    /// <summary>Whether its recipe offers it; what it does not offer any more is let go of with the next choice.</summary>
    public static bool IsOffered(DayBook book, DaySchool school) => book.Products.FirstOrDefault(product => product.Id == school.ProductId) is not { } product || Offered(book, product, school) is not null;

    /// <summary>The school as its recipe offers it, together with what is taken at places before it.</summary>
    private static School? Offered(DayBook book, Product product, DaySchool school) => AnotherSchool.Find(
        book.Arrangement.Schools.Where(other => other.ProductId == product.Id && other.Place < school.Place).OrderBy(other => other.Place)
            .Aggregate(product, (made, other) => AnotherSchool.Of(made, other.Place, other.SchoolId) ?? made),
        school.Place,
        school.SchoolId);

    private static IEnumerable<ChoiceAnswer> Ovens(DayBook book)
    {
        foreach (var school in OvenSchools.All.Where(school => school != book.Arrangement.School))
            yield return new ChoiceAnswer($"ovens {Naming.Of(school)}", "Ovens", PlanComparison.Of(school).Name, PlanComparison.Of(school).Words, new DayChange { School = Naming.Of(school) });
        var (all, isOut) = (book.Bakery.Ovens, book.Arrangement.OvensOut.ToHashSet());
        foreach (var oven in all.Where(oven => isOut.Contains(oven.Id) || isOut.Count < all.Count - 1))
        {
            string[] without = [.. all.Select(one => one.Id).Where(id => isOut.Contains(id) != (id == oven.Id))];
            yield return new ChoiceAnswer($"oven {oven.Id}", "Ovens", isOut.Contains(oven.Id) ? $"{oven.Name} back in use" : $"Without {oven.Name}", string.Empty, new DayChange { OvensOut = without });
        }
    }

    private static IEnumerable<ChoiceAnswer> Crew(DayBook book)
    {
        var arrangement = book.Arrangement;
        if (book.Snapshot.Shifts.Any(shift => shift.People is not null))
        {
            if (arrangement.MoreHands < DayArrangement.MostMoreHands)
                yield return new ChoiceAnswer("hands more", "Crew", "One more pair of hands", "In every shift of this day.", new DayChange { MoreHands = arrangement.MoreHands + 1 });
            if (arrangement.MoreHands > 0)
                yield return new ChoiceAnswer("hands fewer", "Crew", "One pair of hands fewer", "Of those beside the week's.", new DayChange { MoreHands = arrangement.MoreHands - 1 });
        }

        if (arrangement.BetweenHands < DayArrangement.MostBetweenHands && (book.IsEmptyBetween || arrangement.BetweenHands > 0))
        {
            yield return new ChoiceAnswer(
                "between more", "Crew", arrangement.BetweenHands == 0 ? "A shift between the shifts" : "One more between the shifts",
                "One pair of hands, whenever nobody else is there before the last pick-up.", new DayChange { BetweenHands = arrangement.BetweenHands + 1 });
        }

        if (arrangement.BetweenHands > 0)
            yield return new ChoiceAnswer("between none", "Crew", "Nobody between the shifts", string.Empty, new DayChange { BetweenHands = 0 });
        if (arrangement.EarlierMin + EarlierMin <= DayArrangement.EarliestMin)
            yield return new ChoiceAnswer("earlier", "Crew", $"Work begins {PlanSentence.Hours(arrangement.EarlierMin + EarlierMin)} earlier", "The crew of the first shift.", new DayChange { EarlierMin = arrangement.EarlierMin + EarlierMin });
        if (arrangement.EarlierMin > 0)
            yield return new ChoiceAnswer("not earlier", "Crew", "Work begins with the first shift", string.Empty, new DayChange { EarlierMin = 0 });
    }

    private static IEnumerable<ChoiceAnswer> Recipes(DayBook book)
    {
        foreach (var product in book.Products.OrderBy(product => product.Name, StringComparer.Ordinal))
        {
            var taken = book.Arrangement.Schools.Where(one => one.ProductId == product.Id).ToArray();
            foreach (var (school, _) in AnotherSchool.All(product).Where(one => taken.All(other => (other.Place, other.SchoolId) != (one.School.Place, one.School.Id))))
                yield return Recipe(book, product, school.Place, school);
            foreach (var place in taken.Select(one => one.Place)) yield return Recipe(book, product, place, null);
        }
    }

    /// <summary>All schools of a day with one more of them; another of that product at that place gives way.</summary>
    public static IReadOnlyList<ProductSchoolRequest> With(DayBook book, DaySchool school) => [.. Others(book, school.ProductId, school.Place), new ProductSchoolRequest(school.ProductId, Naming.Of(school.Place), school.SchoolId)];

    private static IEnumerable<ProductSchoolRequest> Others(DayBook book, string product, SchoolPlace place) =>
        book.Arrangement.Schools.Where(one => (one.ProductId, one.Place) != (product, place) && IsOffered(book, one)).Select(one => new ProductSchoolRequest(one.ProductId, Naming.Of(one.Place), one.SchoolId));

    private static ChoiceAnswer Recipe(DayBook book, Product product, SchoolPlace place, School? school)
    {
        IReadOnlyList<ProductSchoolRequest> schools = school is null ? [.. Others(book, product.Id, place)] : With(book, new DaySchool(product.Id, place, school.Id));
        return new ChoiceAnswer(
            $"recipe {product.Id} {Naming.Of(place)} {school?.Id}",
            "Recipes, for this day",
            school is null ? $"{product.Name}: {PlaceWords(place)} as its recipe says" : Words(product.Name, school.Name),
            school is null ? string.Empty : $"{char.ToUpperInvariant(school.Why[0])}{school.Why[1..]}.",
            new DayChange { Schools = schools });
    }

    private static string PlaceWords(SchoolPlace place) => place switch
    {
        SchoolPlace.Rest => "what is shaped waits",
        SchoolPlace.Base => "its base",
        SchoolPlace.Tray => "it stands in the oven",
        _ => "it bakes",
    };
}

/// <summary>Something that may be chosen for a day.</summary>
/// <param name="Id">By which it is told from the others.</param>
/// <param name="Group">What it is about: "Ovens", "Crew", "Recipes, for this day".</param>
/// <param name="Name">What is chosen.</param>
/// <param name="Words">What it is for; empty where the name says all.</param>
/// <param name="Change">The change that it is.</param>
public sealed record ChoiceAnswer(string Id, string Group, string Name, string Words, DayChange Change);

/// <summary>A change of what is arranged for a day; what is null stays as it is.</summary>
public sealed record DayChange
{
    /// <summary>What the ovens would be planned for.</summary>
    public string? School { get; init; }

    /// <summary>Ids of all ovens that would be out.</summary>
    public IReadOnlyList<string>? OvensOut { get; init; }

    /// <summary>Pairs of hands more in every shift.</summary>
    public int? MoreHands { get; init; }

    /// <summary>By how many minutes the crew of the first shift would begin earlier.</summary>
    public int? EarlierMin { get; init; }

    /// <summary>Pairs of hands that would be there between the shifts.</summary>
    public int? BetweenHands { get; init; }

    /// <summary>All products that would be made by another school.</summary>
    public IReadOnlyList<ProductSchoolRequest>? Schools { get; init; }
}

/// <summary>A choice, planned.</summary>
/// <param name="Served">How the pick-ups are served, in a few words.</param>
/// <param name="Figures">What it comes to, beside the day as it is.</param>
public sealed record ChoiceOutcomeAnswer(string Served, IReadOnlyList<PlanFigureAnswer> Figures);

/// <summary>A product made by another school on a day.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Place">Where in its way: "rest", "base", "tray" or "heat".</param>
/// <param name="School">The school there.</param>
public sealed record ProductSchoolRequest(string? Product, string? Place, string? School);
