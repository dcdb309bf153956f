using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>The ingredients a bakery knows, and those that a recipe being read brings along.</summary>
internal sealed class IngredientNames(IEnumerable<Ingredient> known)
{
    private readonly List<Ingredient> all = [.. known];
    private readonly List<Ingredient> fresh = [];

    /// <summary>Ingredients that were not known before; what allergens they carry is not stated yet.</summary>
    public IReadOnlyList<Ingredient> Fresh => fresh;

    /// <summary>Reads the lines of a text, one ingredient each; empty lines are passed over.</summary>
    public IReadOnlyList<RecipeLine> Lines(FieldChecks checks, string field, string? text, int least)
    {
        var lines = new List<RecipeLine>();
        var written = Split(text);
        if (written.Length < least) checks.Add(field, "At least one ingredient is needed: a weight, then what it is.");
        if (written.Length > MostLines) checks.Add(field, $"At most {MostLines} lines are taken.");
        foreach (var line in written.Take(MostLines))
        {
            var (read, fault) = RecipeLineReader.Read(line, all);
            if (read is null) checks.Add(field, fault!);
            else lines.Add(new RecipeLine(read.Known ?? New(checks, field, read.Name), checks.Words(field, read.Preparation, 80), Yield.Whole, read.Amount));
        }

        return lines;
    }

    /// <summary>Things that are counted by the pie, one a line.</summary>
    public IReadOnlyList<Ingredient> Counted(FieldChecks checks, string field, string? text) =>
        [.. Split(text).Take(MostLines).Select(name => RecipeLineReader.Read($"1 g {name}", all) is ({ } read, _)
            ? read.Known ?? New(checks, field, read.Name)
            : New(checks, field, name)).DistinctBy(one => one.Id)];

    private const int MostLines = 60;

    private static string[] Split(string? text) =>
        [.. (text ?? string.Empty).ReplaceLineEndings("\n").Split('\n').Select(line => line.Trim()).Where(line => line.Length > 0)];

    private Ingredient New(FieldChecks checks, string field, string name)
    {
        var ingredient = new Ingredient(ShortName.For(name, [.. all.Select(one => one.Id)]), checks.Name(field, name, "An ingredient"), [], AllergensStated: false);
        all.Add(ingredient);
        fresh.Add(ingredient);
        return ingredient;
    }
}
