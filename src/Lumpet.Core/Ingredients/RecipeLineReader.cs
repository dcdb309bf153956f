using System.Text.RegularExpressions;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Ingredients;

/// <summary>A line of a formula as it was read.</summary>
/// <param name="Known">The ingredient, where the bakery has it.</param>
/// <param name="Name">Its name; of a new one as it was typed.</param>
/// <param name="Preparation">How it is prepared; empty if not at all.</param>
/// <param name="Amount">How much.</param>
/// <param name="Written">The amount as typed; empty for plain grams.</param>
/// <param name="How">By which figures it was weighed; empty for weights.</param>
/// <param name="Doubts">What a person should look at.</param>
public sealed record ReadLine(Ingredient? Known, string Name, string Preparation, Mass Amount, string Written, string How, IReadOnlyList<string> Doubts)
{
    /// <summary>The line for a formula.</summary>
    /// <param name="ingredient">The ingredient, where it is new.</param>
    public RecipeLine Of(Ingredient ingredient) =>
        new(ingredient, Preparation, ingredient.Facts.YieldFor(Preparation), Amount) { Written = Written };
}

/// <summary>
/// Reads lines such as "1010 g pears, firm, pared and cored", "2 1/2 cups flour" or "juice of 1 lemon": an amount, the
/// ingredient, and after a comma how it is prepared. docs/formats/amounts.md has the grammar.
/// </summary>
public static partial class RecipeLineReader
{
    private const int LongestLine = 300;
    private const int LongestName = 80;
    private const double MostGrams = 1_000_000;

    /// <summary>Reads one line.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="pantry">The bakery's ingredients.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    /// <returns>The line, or what is wrong with it.</returns>
    public static (ReadLine? Line, string? Fault) Read(string text, Pantry pantry, CupCustom custom = CupCustom.UnitedStates)
    {
        var line = text.Trim();
        if (line.Length > LongestLine || line.Any(char.IsControl)) return (null, $"\"{Shorten(line)}\" is too long, or no plain text.");
        if (AmountReader.Read(line, custom) is not { } read)
            return (null, $"\"{Shorten(line)}\" is not understood. Write the amount first: 450 g flour, 2 lb 4 oz plums, pitted, or 1 1/2 cups milk.");
        if (read.Rest.Length == 0) return (null, $"\"{Shorten(line)}\" names no ingredient.");
        var (known, name, preparation) = pantry.Read(read.Rest);
        if (name.Length > LongestName) return (null, $"\"{Shorten(name)}\" is too long for an ingredient.");
        if (known is null && read.Amount.Parts.Any(part => part.Unit.Kind != UnitKind.Mass))
            return (null, $"\"{Shorten(name)}\" is new here, so what \"{Shorten(read.Typed)}\" of it weighs is not known. Write a weight, or choose one of the ingredients.");
        var weighed = AmountWeighing.Weigh(read.Amount, known ?? new Ingredient(string.Empty, name, []), preparation);
        if (weighed.Amount is not { } mass) return (null, $"\"{Shorten(line)}\": {weighed.Fault}");
        if (mass.Grams is not (> 0 and <= MostGrams)) return (null, $"\"{Shorten(line)}\": an amount lies above 0 and up to 1000 kg.");
        var left = Reduction.ShareLeft(preparation);
        if (left is { } share && known is not null && WaterBalance.BoilingShare(known) is { } water && share < 1 - water)
            return (null, FormattableString.Invariant($"\"{Shorten(line)}\": {known.Name} is {water * 100:0.#} % water, so {(1 - water) * 100:0.#} % of it is left at least."));
        // What is boiled down is weighed before, and goes in after.
        if (left is { } boiled) mass *= boiled;
        return (new ReadLine(known, name, preparation, mass, PlainGrams().IsMatch(read.Typed) ? string.Empty : read.Typed, left is { } after ? FormattableString.Invariant($"{(weighed.How.Length > 0 ? $"{weighed.How}; " : string.Empty)}{mass.Grams / after:0.#} g before it is boiled down") : weighed.How, [.. read.Doubts, .. Ways(read.Amount, known, preparation)]), null);
    }

    /// <summary>A cup of flour is not one figure: which way it was filled is worth asking.</summary>
    private static IEnumerable<string> Ways(WrittenAmount amount, Ingredient? ingredient, string preparation)
    {
        if (ingredient is not { Facts: { WaysOfFilling.Count: > 0, Density: { } density } } || amount.Parts.All(part => part.Unit.Kind != UnitKind.Volume)) yield break;
        if (AmountWeighing.Filled(ingredient, preparation) is not null) yield break;
        string Cup(DensityFigure figure) => FormattableString.Invariant($"{figure.Value.GramsPerMillilitre * Volume.MillilitresInUsCup:0} g");
        yield return $"A cup of it weighs {string.Join(", ", ingredient.Facts.WaysOfFilling.Select(way => $"{Cup(way.Figure)} {way.Way}"))}: {Cup(density)} is taken. Write which (\"flour, spooned\"), or weigh it.";
    }

    /// <summary>A line as it would be typed; reading it again gives the same line.</summary>
    public static string Write(RecipeLine line)
    {
        var amount = line.Written.Length > 0 ? line.Written : FormattableString.Invariant($"{line.Amount.Grams / (Reduction.ShareLeft(line.Preparation) ?? 1):0.###} g");
        // "juice of 1 lemon" says what it is of.
        var name = line.Written.Length > 0 && AmountReader.Read(line.Written)?.Rest.Length > 0 ? string.Empty : $" {line.Ingredient.Name}";
        return $"{amount}{name}{(line.Preparation.Length > 0 ? $", {line.Preparation}" : string.Empty)}";
    }

    private static string Shorten(string text) => text.Length > 60 ? text[..60] + "…" : text;

    [GeneratedRegex(@"^\d{1,9}(?:\.\d{1,3})?\s?g$", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex PlainGrams();
}
