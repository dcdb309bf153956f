using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>Reads a written product: everything wrong is named, or the whole of it can be taken.</summary>
public static class ProductReader
{
    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What was written.</param>
    /// <param name="id">Id of the product.</param>
    /// <param name="version">Number of the version.</param>
    /// <param name="currency">Currency of its prices.</param>
    /// <param name="pans">The bakery's pans.</param>
    /// <param name="doughs">The bakery's doughs.</param>
    /// <param name="known">The bakery's ingredients.</param>
    /// <param name="others">Names of the bakery's other products, which are taken.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    /// <returns>The product and the ingredients that are new with it; null where there are faults.</returns>
    public static (Product? Product, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        ProductDraft draft,
        string id,
        int version,
        string currency,
        IReadOnlyList<Pan> pans,
        IReadOnlyList<DoughFormula> doughs,
        IEnumerable<Ingredient> known,
        IReadOnlyCollection<string> others,
        CupCustom custom = CupCustom.UnitedStates) => Read(draft, id, version, currency, pans, doughs, new Pantry(known), others, custom);

    /// <summary>Reads a draft against a pantry, to which the ingredients are added that are new with it.</summary>
    internal static (Product? Product, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(
        ProductDraft draft,
        string id,
        int version,
        string currency,
        IReadOnlyList<Pan> pans,
        IReadOnlyList<DoughFormula> doughs,
        Pantry pantry,
        IReadOnlyCollection<string> others,
        CupCustom custom)
    {
        var (checks, names) = (new FieldChecks(), new IngredientNames(pantry, custom));
        var name = checks.Name("name", draft.Name, "A product");
        if (others.Contains(name, StringComparer.OrdinalIgnoreCase)) checks.Add("name", $"There is a product \"{name}\" already.");
        var dough = doughs.FirstOrDefault(dough => dough.Id == draft.Dough);
        if (dough is null) checks.Add("dough", doughs.Count == 0 ? "Write a dough first." : $"Choose one of {string.Join(", ", doughs.Select(one => one.Name))}.");
        var crust = CrustReader.Read(checks, draft);
        var topDough = TopDough(checks, draft, doughs, crust.Top);
        var layers = LayerReader.Read(checks, names, draft.Layers, crust.Top);
        var change = Length.FromCentimetres(checks.Number("bakeChangeCm", draft.BakeChangeCm, -6, 4, "cm"));
        var packaging = names.Counted(checks, "packaging", draft.Packaging);
        var sizes = Sizes(checks, draft, pans, currency, names, pantry);
        var reference = sizes.FirstOrDefault(size => size.Pan.Id == draft.ReferencePan)?.Pan;
        if (reference is null) checks.Add("referencePan", "The pan for which it is written must be one of its sizes.");
        var oldest = checks.Whole("oldestMin", draft.OldestMin, 30, 5760, "min");
        string[] review = [.. (draft.Review ?? string.Empty).ReplaceLineEndings("\n").Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)];
        if (review.Length > MostReview || review.Any(line => line.Length > 600)) checks.Add("review", $"Up to {MostReview} lines of 600 characters are kept to look at.");
        var treatment = checks.Word("baseTreatment", draft.BaseTreatment, BaseTreatment.Plain);
        var assessment = checks.Words("assessment", draft.Assessment, 600);
        var process = StepReader.Read(checks, draft, layers.Any(layer => layer.Kind == PartKind.Filling && FillingKinds.IsBaked(layer.Filling)));
        if (checks.Faults.Count > 0) return (null, [], checks.Faults);

        var product = new Product(id, name, version, Aliases(checks, draft), dough!, crust, layers, packaging, reference!, sizes, process, oldest)
        {
            BaseTreatment = treatment,
            Assessment = assessment,
            GlassFromFreezer = draft.GlassFromFreezer ?? false,
            BakeChange = change,
            TopDough = topDough,
            Review = review,
        };
        product = CrustReader.Settled(checks, product);
        if (product.Crust.Lining == Lining.BoughtShell) CrustReader.FitsItsShell(checks, product);
        else if (!process.Steps.Any(step => step.IsBake)) checks.Add("steps", "A product needs a bake: only shells that come baked do without.");
        if (product.Crust.Lining != Lining.BoughtShell && ShellsMadeHere.Is(product.Dough)) checks.Add("lining", $"{product.Dough.Name} comes as shells: nothing of it is rolled. Choose a shell by the piece.");
        if (product.TopDough is { } above && ShellsMadeHere.Is(above)) checks.Add("topDough", $"{above.Name} comes as shells: nothing of it is rolled.");
        product = product with { Process = StepTaking.Read(checks, draft, product) };
        // Its step says egg; where no line does, its allergen would be missing on every label.
        if (process.Steps.Any(step => step.Seals) && product.AllLines.All(line => line.Ingredient.Facts.Role != IngredientRole.Egg))
            checks.Add("layers", "A base that is sealed with egg needs that egg among its lines, or its allergen is missing: 4 g Egg white.");
        foreach (var (size, at) in sizes.Select((size, at) => (size, at)).Where(one => one.size.Bake is not null && SizeBake.Of(product.Process) is null))
            checks.Add($"sizes[{at}].bakeLeast", "Nothing of it is baked filled, so no size has a time for that.");
        foreach (var size in sizes) CanBeMade(checks, product, size.Pan, "sizes");
        KeepsToTheCold(checks, product);
        return checks.Faults.Count > 0 ? (null, [], checks.Faults) : (product, names.Fresh, []);
    }

    /// <summary>Adds a fault where the steps leave a rule for safety that nobody has answered for.</summary>
    private static void KeepsToTheCold(FieldChecks checks, Product product)
    {
        if (product.Assessment.Length < LeastAssessment)
        {
            if (product.Assessment.Length > 0) checks.Add("assessment", "An assessment says who assessed it, how and when.");
            foreach (var left in TimeAndTemperature.Left(product))
                checks.Add("assessment", $"For its {string.Join(", ", TimeAndTemperature.Needs(product))} this needs time and temperature control, and {left.Words}. Change that step, or write down who assessed it, how and when. Local codes and licensed practice decide.");
        }

        if (product.GlassFromFreezer || ThermalShock.Pans(product) is not { Count: > 0 } pans) return;
        checks.Add("glassFromFreezer", $"{string.Join(", ", pans.Select(pan => pan.Name))}: glass or earthenware may crack when it goes from the freezer into a hot oven. Let it warm first, take another pan, or say that you accept it.");
    }

    /// <summary>A product as it would be written.</summary>
    public static ProductDraft Write(Product product) => CrustReader.Write(product.Crust) with
    {
        Name = product.Name,
        Aliases = string.Join(", ", product.Aliases),
        Dough = product.Dough.Id,
        TopDough = product.TopDough?.Id,
        BakeChangeCm = Tidy(product.BakeChange.Centimetres),
        ReferencePan = product.ReferencePan.Id,
        OldestMin = product.OldestAtPickUp,
        Layers = [.. product.Layers.Select(LayerReader.Write)],
        Packaging = Text(product.Packaging),
        Sizes = [.. product.Sizes.Select(size => new SizeDraft(size.Pan.Id, size.SellingPrice?.Amount, size.Packaging.Count == 0 ? null : Text(size.Packaging), size.Bake?.Least, size.Bake?.Most))],
        Steps = StepTaking.Write(product),
        Links = [.. product.Process.Links.Select(link => new LinkDraft(link.Before, link.After, link.Lag.Least, link.Lag.Most, link.Kind == LinkKind.After ? null : Naming.Of(link.Kind)))],
        BaseTreatment = Naming.Of(product.BaseTreatment),
        Review = product.Review.Count == 0 ? null : string.Join('\n', product.Review),
        Assessment = product.Assessment.Length == 0 ? null : product.Assessment,
        GlassFromFreezer = product.GlassFromFreezer ? true : null,
    };

    private static string Text(IEnumerable<Ingredient> counted) => string.Join('\n', counted.Select(one => one.Name));

    private const int MostReview = 200;
    private const int LeastAssessment = 12;
    private const int MostBakeMin = 600;

    private static double Tidy(double value) => Math.Round(value, 6);

    /// <summary>The dough of what lies on top where it is another than that of the base.</summary>
    private static DoughFormula? TopDough(FieldChecks checks, ProductDraft draft, IReadOnlyList<DoughFormula> doughs, Top top)
    {
        if (string.IsNullOrWhiteSpace(draft.TopDough) || draft.TopDough == draft.Dough || !CrustReader.IsOfDough(top)) return null;
        if (doughs.FirstOrDefault(dough => dough.Id == draft.TopDough) is { } found) return found;
        checks.Add("topDough", $"Choose one of {string.Join(", ", doughs.Select(one => one.Name))}, or the same as the base.");
        return null;
    }

    private static IReadOnlyList<string> Aliases(FieldChecks checks, ProductDraft draft) =>
        [.. checks.Words("aliases", draft.Aliases).Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Distinct(StringComparer.OrdinalIgnoreCase).Take(12)];

    private static List<ProductSize> Sizes(FieldChecks checks, ProductDraft draft, IReadOnlyList<Pan> pans, string currency, IngredientNames names, Pantry pantry)
    {
        var sizes = new List<ProductSize>();
        foreach (var (size, at) in checks.List("sizes", draft.Sizes, 1, 30, "sizes").Select((size, at) => (size, at)))
        {
            var pan = pans.FirstOrDefault(pan => pan.Id == size.Pan);
            if (pan is null) checks.Add($"sizes[{at}].pan", $"Choose one of the pans {string.Join(", ", pans.Select(one => one.Id))}.");
            else if (sizes.Any(other => other.Pan.Id == pan.Id)) checks.Add($"sizes[{at}].pan", $"{pan.Name} is named twice.");
            if (size.Price is < 0 or > 10_000) checks.Add($"sizes[{at}].price", "A price lies between 0 and 10000.");
            if (pan is not null) sizes.Add(new ProductSize(pan, size.Price is { } price ? new Money(price, currency) : null)
            {
                Packaging = names.Counted(checks, $"sizes[{at}].packaging", size.Packaging),
                Bake = Bake(checks, $"sizes[{at}]", size, draft),
                PanBought = pan.BoughtAs is null ? null : pantry.All.FirstOrDefault(one => one.Id == pan.BoughtAs),
            });
        }

        return sizes;
    }

    /// <summary>The time that a size has for its bake; null where it states none.</summary>
    private static SizeBake? Bake(FieldChecks checks, string path, SizeDraft size, ProductDraft draft)
    {
        if (size.BakeLeast is null && size.BakeMost is null) return null;
        // As many minutes as the bake has stages, so that each has one.
        var stages = (draft.Steps ?? []).OfType<StepDraft>().Select(step => step.Stages?.Count ?? 0).DefaultIfEmpty(1).Max();
        var (least, most) = (checks.Whole($"{path}.bakeLeast", size.BakeLeast, Math.Max(1, stages), MostBakeMin, "min"), checks.Whole($"{path}.bakeMost", size.BakeMost, Math.Max(1, stages), MostBakeMin, "min"));
        if (most < least) checks.Add($"{path}.bakeMost", "The most is under the least.");
        return new SizeBake(least, most);
    }

    /// <summary>Adds a fault where a product cannot be made in a pan: found here, and not in the middle of a day's plan.</summary>
    internal static void CanBeMade(FieldChecks checks, Product product, Pan pan, string field)
    {
        try
        {
            _ = Scaling.Scale(product, pan, 1);
        }
        catch (ArgumentException exception)
        {
            checks.Add(field, $"{product.Name} cannot be made in {pan.Name}: {exception.Message.Split(" (Parameter", StringSplitOptions.None)[0]}");
        }
    }
}
