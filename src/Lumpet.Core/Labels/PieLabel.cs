using System.Globalization;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Labels;

/// <summary>By whose manners a label is written. Neither is legal advice: local law decides what must stand on it.</summary>
public enum LabelManner
{
    /// <summary>EU Regulation 1169/2011.</summary>
    EuropeanUnion,

    /// <summary>US 21 CFR 101 and FALCPA.</summary>
    UnitedStates,
}

/// <summary>What a label is asked for.</summary>
/// <param name="Manner">By whose manners.</param>
/// <param name="IsOneList">Whether all ingredients stand in one list; else doughs and preparations stand as such, with what is in them behind.</param>
/// <param name="Made">The day on which it was made.</param>
/// <param name="Lot">Its lot; may be empty.</param>
public sealed record LabelRequest(LabelManner Manner, bool IsOneList, LocalDate Made, string Lot);

/// <summary>The label of a pie.</summary>
/// <param name="Title">Its name.</param>
/// <param name="Ingredients">The list of ingredients, allergens marked.</param>
/// <param name="Contains">By US manners the allergens once more, each by the words that US law uses; empty by EU manners, which mark them in the list.</param>
/// <param name="MayContain">What it may hold traces of; the bakery's own statement and its suppliers'.</param>
/// <param name="Alcohol">That it holds alcohol, and of what; empty where it does not.</param>
/// <param name="Net">What it weighs: "620 g", "Net wt 21.9 oz (620 g)".</param>
/// <param name="Date">"Use by 28 Nov 2026".</param>
/// <param name="Lot">"Lot 261126-4"; empty without one.</param>
/// <param name="Storage">How it is kept.</param>
/// <param name="Maker">Who made it.</param>
public sealed record PieLabel(
    string Title, IReadOnlyList<LabelWord> Ingredients, string Contains, string MayContain, string Alcohol, string Net, string Date, string Lot, string Storage, string Maker)
{
    private const double GramsInAnOunce = 28.349523125;

    // Words of a name that name nothing.
    private static readonly string[] Little = ["and", "with", "the", "for", "free", "whole", "white", "ground"];

    // 21 CFR 101.4(a)(2): ingredients of 2 percent or less may stand at the end, behind such words (from memory).
    private const double LittleShare = 0.02;

    /// <summary>All of it as plain text, a line for each thing; empty lines are left out.</summary>
    public IReadOnlyList<string> Lines =>
        [.. new[] { Title, string.Concat(Ingredients.Select(word => word.Text)), Contains, MayContain, Alcohol, Net, Date, Storage, Lot, Maker }.Where(line => line.Length > 0)];

    /// <summary>Writes the label of a product in a pan.</summary>
    /// <param name="pie">The product, scaled to its pan.</param>
    /// <param name="request">What is asked for.</param>
    /// <param name="stated">What the bakery states of it.</param>
    /// <param name="words">How the bakery calls ingredients on labels, by id: with what a bought one is made of. Those that are not there stand by their name.</param>
    /// <param name="handles">Allergens that the bakery handles; null where nobody has said.</param>
    /// <param name="maker">Who made it.</param>
    public static PieLabel Of(ScaledProduct pie, LabelRequest request, LabelStatement stated, IReadOnlyDictionary<string, string> words, IReadOnlyList<string>? handles, string maker)
    {
        var product = pie.Product;
        var isUs = request.Manner == LabelManner.UnitedStates;
        var traces = product.MayContain.Concat(handles ?? []).Distinct().Except(product.Allergens).Order(StringComparer.Ordinal).Select(AllergenWords.Plain).ToArray();
        var ingredients = Listed(pie, request, words);
        var date = request.Made.PlusDays(stated.KeepsDays);
        return new PieLabel(
            product.Name,
            ingredients,
            isUs ? Declared(product.Allergens, ingredients) : string.Empty,
            traces.Length > 0 ? $"May contain traces of {string.Join(", ", traces)}." : string.Empty,
            product.Alcohol.Count > 0 ? $"Contains alcohol ({string.Join(", ", product.Alcohol)})." : string.Empty,
            Weight(NetGrams(pie, stated), isUs),
            $"{(stated.IsUseBy ? "Use by" : isUs ? "Best by" : "Best before")} {LocalDatePattern.CreateWithInvariantCulture("d MMM uuuu").Format(date)}",
            request.Lot.Length > 0 ? $"Lot {request.Lot}" : string.Empty,
            stated.Storage,
            maker);
    }

    /// <summary>What one weighs: as it was stated, or by its recipe before it is baked.</summary>
    public static double NetGrams(ScaledProduct pie, LabelStatement stated) => stated.NetGrams
        ?? pie.Pieces.Sum(piece => piece.Mass.Grams) + pie.Parts.Where(part => part.Kind != PartKind.Dough).Sum(part => part.PerPie.Grams);

    /// <summary>What stands in the way of using a label; empty where nothing does.</summary>
    public static IReadOnlyList<string> InTheWay(ScaledProduct pie, LabelStatement stated, IReadOnlyDictionary<string, string> words)
    {
        var said = new List<string>();
        if (pie.Product.WithoutStatedAllergens is { Count: > 0 } unknown) said.Add($"Nobody has said which allergens {string.Join(", ", unknown)} {(unknown.Count == 1 ? "carries" : "carry")}.");
        if (stated.NetGrams is null) said.Add("Nobody has weighed a baked one: by its recipe it weighs what goes in, and some of that bakes away.");
        said.AddRange(
            from one in LabelIngredient.Of(pie, isOneList: true)
            from allergen in AllergenWords.Cut(NameOf(one.Ingredient, words), one.Ingredient.Allergens).NotNamed
            where AllergenWords.IsNamedOneByOne(allergen)
            select $"{one.Ingredient.Name} carries {allergen}: say which, in its words for labels.");
        return said;
    }

    /// <summary>What a person should know of it; the manners' own sayings, and no legal advice.</summary>
    public static IReadOnlyList<string> Notes(ScaledProduct pie, LabelRequest request, LabelStatement stated, IReadOnlyDictionary<string, string> words)
    {
        var said = new List<string>();
        var plain = LabelIngredient.Of(pie, isOneList: true).Where(one => !words.ContainsKey(one.Ingredient.Id)).Select(one => one.Ingredient.Name).ToArray();
        if (plain.Length > 0) said.Add($"By the bakery's own name stand {string.Join("; ", plain)}. What is bought ready-made needs the list from its own label; state its words below.");
        if (TimeAndTemperature.Needs(pie.Product) is { Count: > 0 } controlled && (!stated.IsUseBy || stated.KeepsDays > LabelStatement.MostControlledDays))
            said.Add($"It holds {string.Join(", ", controlled)}: usually such a pie has a use-by date, seven days at most with the day on which it was made, at 5 °C or below (FDA Food Code 3-501.17).");
        said.Add(request.Manner == LabelManner.EuropeanUnion
            ? "Ingredients by weight as they go in; those that its name stresses with their share of all that goes in; allergens stand out in the list (EU 1169/2011, articles 18, 21 and 22). Added water may be left out where it is 5 % of the baked pie or less."
            : "Ingredients by weight as they go in, those of 2 % or less at the end (21 CFR 101.4); the major allergens once more behind \"Contains\" (FALCPA). A list of nutrients may be asked for besides.");
        said.Add("Help, and no legal advice: local law decides what must stand on a label.");
        return said;
    }

    private static List<LabelWord> Listed(ScaledProduct pie, LabelRequest request, IReadOnlyDictionary<string, string> words)
    {
        var all = LabelIngredient.Of(pie, request.IsOneList);
        var whole = all.Sum(one => one.Mass.Grams);
        var text = new List<LabelWord> { new("Ingredients: ", false) };
        void Each(IReadOnlyList<LabelIngredient> some)
        {
            foreach (var (one, at) in some.Select((one, at) => (one, at)))
            {
                if (at > 0) text.Add(new LabelWord(", ", false));
                Write(one);
            }
        }

        void Write(LabelIngredient one)
        {
            var (cut, missing) = AllergenWords.Cut(NameOf(one.Ingredient, words), one.Inside.Count > 0 ? [] : one.Ingredient.Allergens);
            text.AddRange(cut);
            if (request.Manner == LabelManner.EuropeanUnion && IsStressed(one.Ingredient, pie.Product)) text.Add(new LabelWord(string.Create(CultureInfo.InvariantCulture, $" {one.Mass.Grams / whole * 100:0} %"), false));
            if (one.Inside.Count > 0)
            {
                text.Add(new LabelWord(" (", false));
                Each(one.Inside);
                text.Add(new LabelWord(")", false));
            }
            else if (missing.Count > 0)
            {
                text.Add(new LabelWord(" (", false));
                text.AddRange(missing.SelectMany((allergen, at) => at == 0 ? [new LabelWord(AllergenWords.Plain(allergen), true)] : new[] { new LabelWord(", ", false), new LabelWord(AllergenWords.Plain(allergen), true) }));
                text.Add(new LabelWord(")", false));
            }
        }

        LabelIngredient[] little = request.Manner == LabelManner.UnitedStates ? [.. all.Where(one => one.Mass.Grams <= whole * LittleShare)] : [];
        Each([.. all.Except(little)]);
        if (little.Length > 0)
        {
            text.Add(new LabelWord(little.Length == all.Count ? "contains 2% or less of: " : ", contains 2% or less of: ", false));
            Each(little);
        }

        text.Add(new LabelWord(".", false));
        return text;
    }

    /// <summary>By US law, among the nine that it names; nuts and fish by the words that stand in the list.</summary>
    private static string Declared(IReadOnlyList<string> allergens, IReadOnlyList<LabelWord> list)
    {
        string[] named = [.. allergens.Where(MajorAllergens.UnitedStates.Contains).SelectMany(allergen => allergen is "nuts" or "fish" or "crustaceans" ? OneByOne(allergen, list) : [allergen]).Distinct()];
        return named.Length == 0 ? string.Empty : $"Contains: {string.Join(", ", named)}.";
    }

    private static string[] OneByOne(string allergen, IReadOnlyList<LabelWord> list)
    {
        string[] words = [.. list.Where(word => word.IsAllergen).Select(word => word.Text.ToLowerInvariant()).Where(word => AllergenWords.Cut(word, [allergen]).NotNamed.Count == 0)];
        return words.Length > 0 ? words : [allergen == "nuts" ? "tree nuts" : allergen];
    }

    private static string NameOf(Ingredient ingredient, IReadOnlyDictionary<string, string> words) => words.TryGetValue(ingredient.Id, out var said) ? said : ingredient.IsDough ? "pastry" : Plainly(ingredient.Name);

    /// <summary>A name as people read it, since commas part one ingredient from the next: "Milk, whole" is "whole milk".</summary>
    private static string Plainly(string name) => string.Join(' ', name.Split(", ").Reverse().Select(part => part.Length > 1 && char.IsLower(part[1]) ? char.ToLowerInvariant(part[0]) + part[1..] : part));

    /// <summary>Whether the name of the pie names it: "Pears, firm" in "Pear and ginger".</summary>
    private static bool IsStressed(Ingredient ingredient, Product product)
    {
        static IEnumerable<string> Stems(string text) => text.Split([' ', ',', '-', '(', ')'], StringSplitOptions.RemoveEmptyEntries).Select(word => word.ToLowerInvariant()).Where(word => word.Length > 2 && !Little.Contains(word)).Select(word => word.EndsWith("ies", StringComparison.Ordinal) ? word[..^3] + "y" : word.TrimEnd('s'));
        return Stems(ingredient.Name).Intersect(Stems(product.Name)).Any();
    }

    private static string Weight(double grams, bool isUs) => isUs
        ? string.Create(CultureInfo.InvariantCulture, $"Net wt {grams / GramsInAnOunce:0.0} oz ({grams:0} g)")
        : string.Create(CultureInfo.InvariantCulture, $"{grams:0} g");
}
