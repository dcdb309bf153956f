using System.Text.Json;
using System.Text.RegularExpressions;
using System.Web;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>Turns schema.org recipes into drafts, one after another: each doubtful line is marked for a person to look at.</summary>
internal sealed partial class ForeignRecipes(LibraryState state)
{
    private const int MostLines = 60;
    private const int LongestLine = 300;

    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web) { NumberHandling = System.Text.Json.Serialization.JsonNumberHandling.Strict };

    private readonly Pantry pantry = new(state.Ingredients);
    private readonly List<NamedProduct> products = [];
    private readonly List<NamedDough> doughs = [];
    private readonly List<NamedIngredient> ingredients = [];
    private readonly List<LibraryNote> notes = [];
    private readonly List<FieldFault> faults = [];
    private readonly List<string> ids = [.. state.Products.Select(product => product.Id)];

    /// <summary>What was read, as a library.</summary>
    public LibraryFile Library => new(LibraryFile.FormatName, ingredients, [], doughs, products);

    /// <summary>What to look at.</summary>
    public IReadOnlyList<LibraryNote> Notes => notes;

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<FieldFault> Faults => faults;

    /// <summary>Reads a recipe.</summary>
    public void Read(JsonElement recipe, int at)
    {
        if (recipe.TryGetProperty(RecipeJsonLd.OwnPart, out var own) && own.ValueKind == JsonValueKind.Object) Own(own);
        else Foreign(recipe, $"recipes[{at}]");
    }

    /// <summary>One of Lumpet's own: exactly as it was written, with its dough where that is not there yet.</summary>
    private void Own(JsonElement own)
    {
        var writing = own.Deserialize<RecipeJsonLd.OwnWriting>(Format)!;
        products.Add(new NamedProduct(writing.Id, EarlierProduct.Upgraded(writing.Product, own.Deserialize<RecipeJsonLd.EarlierWriting>(Format)!.Product)));
        // What it is made of that is made elsewhere and not yet known here comes with it.
        foreach (var one in writing.Ingredients ?? [])
            if (one?.Id is { } made && !state.Own.ContainsKey(made) && ingredients.All(other => other.Id != made))
                ingredients.Add(one);
        foreach (var dough in new[] { writing.Dough, writing.TopDough }.OfType<NamedDough>())
            if (doughs.All(other => other.Id != dough.Id))
                doughs.Add(dough);
    }

    private void Foreign(JsonElement recipe, string path)
    {
        var name = Plain(Text(recipe, "name"));
        if (name.Length is 0 or > 80)
        {
            faults.Add(new FieldFault($"{path}.name", "A recipe needs a name of up to 80 characters."));
            return;
        }

        if (state.Doughs.Count == 0 || state.Pans.Count == 0)
        {
            faults.Add(new FieldFault("doughs", "Recipes from elsewhere name neither dough nor pan as a bakery needs them: write a dough and describe a pan first."));
            return;
        }

        string[] written = [.. Lines(recipe).Take(MostLines + 1)];
        if (written.Length > MostLines)
        {
            faults.Add(new FieldFault($"{path}.recipeIngredient", $"At most {MostLines} lines are taken."));
            return;
        }

        var review = new List<string>();
        var told = ToldComponents.In(written, line => RecipeLineReader.Read(line, pantry, state.Cups).Line is not null)
            .Select(one => one with { Lines = [.. one.Lines.Where(line => IsTaken(line, review))] }).Where(one => one.Lines.Count > 0).ToArray();
        if (told.Length == 0)
        {
            faults.Add(new FieldFault($"{path}.recipeIngredient", $"No line of \"{name}\" could be weighed: {(review.Count > 0 ? review[0] : "there is none")}"));
            return;
        }

        var dough = told.Length > 1 && told.FirstOrDefault(one => one.IsDough) is { } crust ? Dough(name, crust, review) : null;
        ToldComponent[] components = [.. told.Where(one => dough is null || !one.IsDough)];
        review.Add(told.Length == 1
            ? "Dough, pan, top, steps and cooling are only the usual ones: choose what it is. Every line stands in the filling: move what belongs to dough, topping or finish."
            : $"Its components were read by their headings: {string.Join(", ", told.Select(one => one.Title.Length == 0 ? "the first lines" : one.Title.ToLowerInvariant()))}. Pan, top, steps and cooling are only the usual ones{(dough is null ? ", and so is the dough" : string.Empty)}: choose what it is.");
        var stages = ToldBake.Stages(Instructions(recipe));
        if (stages.Count > 0) review.Add($"Its bake was read from what is told: {string.Join(", then ", stages.Select(stage => $"{stage.Written ?? $"{stage.TempC} °C"} {stage.Least} to {stage.Most} min"))}.");
        var yields = Plain(Text(recipe, "recipeYield"));
        if (yields.Length > 0) review.Add($"It was written for \"{Shorten(yields)}\": make the amounts those of one pie in one pan.");
        foreach (var said in Instructions(recipe).Take(12)) review.Add($"As told there: {Shorten(said)}");
        var id = ShortName.For(name, ids);
        ids.Add(id);
        products.Add(new NamedProduct(id, Draft(name, dough ?? state.Doughs[0].Id, components, stages, review)));
        notes.AddRange(review.Select(what => new LibraryNote(name, what)));
    }

    private bool IsTaken(string line, List<string> review)
    {
        var (read, fault) = RecipeLineReader.Read(line, pantry, state.Cups);
        if (read is null)
        {
            review.Add($"Not taken in: {fault}");
            return false;
        }

        review.AddRange(read.Doubts.Select(doubt => $"\"{Shorten(line)}\": {doubt}"));
        if (read.Known is null) review.Add($"\"{Shorten(line)}\": \"{read.Name}\" is new here; is it one of the ingredients by another name?");
        else if (read.How.Length > 0) review.Add(FormattableString.Invariant($"\"{Shorten(line)}\" was weighed as {read.Amount.Grams:0.#} g ({read.How})."));
        return true;
    }

    /// <summary>Whether a filling of these lines needs time and temperature control; then only steps that keep it cold are taken.</summary>
    private bool NeedsCold(IEnumerable<string> lines) => lines.Any(line => RecipeLineReader.Read(line, pantry, state.Cups).Line?.Known?.Facts.NeedsControl == true);

    /// <summary>The dough of a component, as one of the bakery's own from now on; null where it is none that could be mixed.</summary>
    private string? Dough(string name, ToldComponent crust, List<string> review)
    {
        var id = ShortName.For($"{name} dough", [.. state.Doughs.Select(dough => dough.Id), .. doughs.Select(dough => dough.Id ?? string.Empty)]);
        var draft = UsualDoughs.All[0] with { Name = Shorter($"{name}, dough"), Lines = string.Join('\n', crust.Lines) };
        if (DoughReader.Read(draft, id, 1, pantry, state.Cups).Dough is not { } dough || dough.Lines.All(line => line.Ingredient.Facts.Role != IngredientRole.Flour)) return null;
        doughs.Add(new NamedDough(id, draft));
        review.Add($"\"{draft.Name}\" is a dough of its own, with the usual rest, thickness and keeping: choose its family, or take one that is there.");
        return id;
    }

    private static string Shorter(string name) => name.Length <= 80 ? name : name[..80];

    private ProductDraft Draft(string name, string dough, ToldComponent[] components, IReadOnlyList<StageDraft> stages, IEnumerable<string> review)
    {
        ToldComponent[] fillings = [.. components.Where(one => one.Part == PartKind.Filling)];
        // Without any filling the first component is it: a recipe of one thing only.
        if (fillings.Length == 0) fillings = [components[0]];
        ToldComponent[] others = [.. components.Except(fillings)];
        var start = NeedsCold(components.SelectMany(one => one.Lines)) ? "custard" : others.Any(one => one.IsCrumble) ? "crumble" : "cooked-fruit-lid";
        var usual = UsualProducts.All.First(one => one.Id == start).Draft;
        var layer = usual.Layers![0]!;
        return usual with
        {
            Name = name,
            Dough = dough,
            ReferencePan = state.Pans[0].Id,
            Sizes = [new SizeDraft(state.Pans[0].Id, null)],
            Layers =
            [
                .. fillings.Select(one => layer with { Lines = string.Join('\n', one.Lines), Name = fillings.Length > 1 ? Named(one) : null }),
                .. others.Select(one => new LayerDraft { Part = Naming.Of(one.Part), Lines = string.Join('\n', one.Lines), Name = Named(one) }),
            ],
            Steps = stages.Count == 0 ? usual.Steps : [.. usual.Steps!.Select(step => step!.Id == "bake" ? step with { Stages = stages } : step)],
            Review = string.Join('\n', review),
        };
    }

    private static string? Named(ToldComponent component) => component.Title.Length == 0 ? null : component.Title.Length <= 60 ? component.Title : component.Title[..60];

    private static IEnumerable<string> Lines(JsonElement recipe) =>
        (recipe.TryGetProperty("recipeIngredient", out var list) || recipe.TryGetProperty("ingredients", out list)) && list.ValueKind == JsonValueKind.Array
            ? list.EnumerateArray().Where(line => line.ValueKind == JsonValueKind.String).Select(line => Plain(line.GetString()!)).Where(line => line.Length > 0)
            : [];

    private static IEnumerable<string> Instructions(JsonElement recipe)
    {
        if (!recipe.TryGetProperty("recipeInstructions", out var steps)) return [];
        return steps.ValueKind switch
        {
            JsonValueKind.String => [Plain(steps.GetString()!)],
            JsonValueKind.Array => steps.EnumerateArray()
                .SelectMany(step => step.ValueKind == JsonValueKind.Object && step.TryGetProperty("itemListElement", out var inner) && inner.ValueKind == JsonValueKind.Array ? inner.EnumerateArray().ToArray() : [step])
                .Select(step => step.ValueKind == JsonValueKind.String ? step.GetString()! : step.ValueKind == JsonValueKind.Object ? Text(step, "text") : string.Empty)
                .Select(Plain)
                .Where(text => text.Length > 0),
            _ => [],
        };
    }

    private static string Text(JsonElement element, string field)
    {
        if (!element.TryGetProperty(field, out var value)) return string.Empty;
        if (value.ValueKind == JsonValueKind.Array && value.GetArrayLength() > 0) value = value[0];
        return value.ValueKind switch { JsonValueKind.String => value.GetString()!, JsonValueKind.Number => value.GetRawText(), _ => string.Empty };
    }

    /// <summary>Plain text on one line: entities read, tags and control characters taken out.</summary>
    private static string Plain(string text)
    {
        var first = text.Length > LongestLine * 4 ? text[..(LongestLine * 4)] : text;
        var plain = Tags().Replace(HttpUtility.HtmlDecode(first), " ");
        return Blanks().Replace(new string([.. plain.Select(letter => char.IsControl(letter) || letter is '<' or '>' ? ' ' : letter)]), " ").Trim();
    }

    private static string Shorten(string text) => text.Length > 140 ? text[..140] + "…" : text;

    [GeneratedRegex("<[^<>]{0,300}>", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Tags();

    [GeneratedRegex(@"\s+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Blanks();
}
