using Lumpet.Core.Ingredients;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads which step takes what is made first, where a person says so.</summary>
internal static class StepTaking
{
    private const char Between = ';';

    /// <summary>The steps of a product with what each takes; a name that means nothing here is a fault at its step.</summary>
    public static ProcessNetwork Read(FieldChecks checks, ProductDraft draft, Product product)
    {
        Ingredient[] made = [.. Made(product)];
        return product.Process with
        {
            Steps = [.. product.Process.Steps.Zip(draft.Steps!.OfType<StepDraft>(), (step, written) => (step, written)).Select((pair, at) =>
                string.IsNullOrWhiteSpace(pair.written.Takes) ? pair.step : pair.step with { Takes = Ids(checks, pair.written.Takes, pair.step, made, $"steps[{at}].takes") })],
        };
    }

    /// <summary>The steps of a product as they would be written.</summary>
    public static IReadOnlyList<StepDraft> Write(Product product)
    {
        var names = Made(product).ToDictionary(one => one.Id, one => one.Name);
        return [.. StepReader.Write(product.Process).Zip(product.Process.Steps, (written, step) =>
            step.Takes.Count == 0 ? written : written with { Takes = string.Join($"{Between} ", step.Takes.Select(id => names.GetValueOrDefault(id, id))) })];
    }

    /// <summary>What of a product's lines is made here, each once; what is in its dough is taken when that is mixed.</summary>
    private static IEnumerable<Ingredient> Made(Product product) =>
        product.Parts.Where(part => part.Kind != PartKind.Dough).SelectMany(part => part.Lines).Select(line => line.Ingredient).Where(one => one.Formula is not null).DistinctBy(one => one.Id);

    private static IReadOnlyList<string> Ids(FieldChecks checks, string text, Step step, Ingredient[] made, string field)
    {
        if (step.Wait is not null) checks.Add(field, "A wait takes nothing: it is taken by work or a bake.");
        var ids = new List<string>();
        foreach (var name in text.Split(Between, StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            if (made.FirstOrDefault(one => one.Name.Equals(name, StringComparison.OrdinalIgnoreCase)) is { } found) ids.Add(found.Id);
            else checks.Add(field, $"\"{(name.Length > 40 ? name[..40] : name)}\" is nothing made here that this recipe takes{(made.Length == 0 ? "." : $": {string.Join(", ", made.Select(one => one.Name))}.")}");
        }

        return [.. ids.Distinct()];
    }
}
