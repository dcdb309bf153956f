using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>The ingredients a bakery knows, and those that a recipe being read brings along.</summary>
/// <param name="pantry">What is known; what a recipe brings along is added to it.</param>
/// <param name="custom">Which cup and spoons are meant.</param>
internal sealed class IngredientNames(Pantry pantry, CupCustom custom)
{
    private readonly List<Ingredient> fresh = [];

    /// <summary>Ingredients that were not known before; what allergens they carry is not stated yet.</summary>
    public IReadOnlyList<Ingredient> Fresh => fresh;

    /// <summary>Reads the lines of a text, one ingredient each; empty lines are passed over.</summary>
    public IReadOnlyList<RecipeLine> Lines(FieldChecks checks, string field, string? text, int least)
    {
        var lines = new List<RecipeLine>();
        var written = Split(text);
        if (written.Length < least) checks.Add(field, "At least one ingredient is needed: an amount, then what it is.");
        if (written.Length > MostLines) checks.Add(field, $"At most {MostLines} lines are taken.");
        foreach (var line in written.Take(MostLines))
        {
            var (read, fault) = RecipeLineReader.Read(line, pantry, custom);
            if (read is null) checks.Add(field, fault!);
            else lines.Add(read.Of(read.Known ?? New(checks, field, read.Name)) with { Preparation = checks.Words(field, read.Preparation, 80) });
        }

        return lines;
    }

    /// <summary>Things that are counted by the pie, one a line.</summary>
    public IReadOnlyList<Ingredient> Counted(FieldChecks checks, string field, string? text) =>
        [.. Split(text).Take(MostLines).Select(name => pantry.Read(name) is { Known: { } known } ? known : New(checks, field, name)).DistinctBy(one => one.Id)];

    private const int MostLines = 60;

    private static string[] Split(string? text) =>
        [.. (text ?? string.Empty).ReplaceLineEndings("\n").Split('\n').Select(line => line.Trim()).Where(line => line.Length > 0)];

    private Ingredient New(FieldChecks checks, string field, string name)
    {
        var stated = new Ingredient(ShortName.For(name, [.. pantry.All.Select(one => one.Id)]), checks.Name(field, name, "An ingredient"), [], AllergensStated: false);
        // Nothing is stated of it yet; the recipe reads it with what its name tells.
        fresh.Add(stated);
        var ingredient = stated with { Facts = FactsInForce.Of(stated) };
        pantry.Add(ingredient);
        return ingredient;
    }
}
