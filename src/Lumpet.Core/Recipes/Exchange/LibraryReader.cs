using System.Text.Json;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes.Writing;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>
/// Reads a file against what a bakery has: a library of Lumpet's, or schema.org recipes as JSON-LD. All of it can be taken,
/// or every fault is named and nothing is. docs/formats/library.md and docs/formats/recipe-json-ld.md have the formats.
/// </summary>
public static class LibraryReader
{
    /// <summary>Longest text that is read, in characters: two thousand recipes with all their steps, and some to spare.</summary>
    public const int LongestText = 16_000_000;

    /// <summary>The most recipes that a file holds.</summary>
    public const int MostRecipes = 2000;

    private const int MostFaults = 50;
    private const int MostIngredients = 5000;
    private const int MostDoughs = 500;

    /// <summary>Reads a text.</summary>
    public static LibraryChange Read(string text, LibraryState state)
    {
        if (text.Length > LongestText) return Refused(new FieldFault("text", "A file takes up to 16 million characters."));
        if (LoneSurrogates.AreInJson(text)) return Refused(new FieldFault("text", "It holds half a character (a lone surrogate such as \\ud800)."));
        JsonDocument document;
        try
        {
            document = JsonDocument.Parse(text, new JsonDocumentOptions { MaxDepth = 32 });
        }
        catch (JsonException exception)
        {
            return Refused(new FieldFault("text", $"This is not readable JSON: line {exception.LineNumber + 1}, or nested too deeply."));
        }

        using (document)
        {
            try
            {
                return document.RootElement.ValueKind == JsonValueKind.Object && document.RootElement.TryGetProperty("format", out var format)
                    ? format.ValueKind == JsonValueKind.String && format.GetString() is LibraryFile.FormatName or LibraryFile.EarlierFormatName
                        ? Read(LibraryFile.Read(document.RootElement), state, [])
                        : Refused(new FieldFault("format", $"This format is not known; a library says \"{LibraryFile.FormatName}\"."))
                    : Foreign(document.RootElement, state);
            }
            catch (JsonException exception)
            {
                return Refused(new FieldFault(exception.Path is { Length: > 2 } path ? path[2..] : "text", "This is not a value of the kind that is needed here."));
            }
        }
    }

    private static LibraryChange Foreign(JsonElement root, LibraryState state)
    {
        var (recipes, notes, faults) = RecipeJsonLd.Read(root, state);
        return faults.Count > 0 ? Refused([.. faults.Take(MostFaults)]) : Read(recipes, state, notes);
    }

    private static LibraryChange Read(LibraryFile file, LibraryState state, IReadOnlyList<LibraryNote> notes)
    {
        var checks = new FieldChecks();
        if (file.Products?.Count > MostRecipes) return Refused(new FieldFault("products", $"At most {MostRecipes} recipes are taken at once."));
        var reading = new Reading(checks, state);
        var doughs = checks.List("doughs", file.Doughs, 0, MostDoughs, "doughs");
        reading.Name(doughs);
        reading.Ingredients(checks.List("ingredients", file.Ingredients, 0, MostIngredients, "ingredients"));
        var pans = reading.Pans(file.Pans);
        reading.Doughs(doughs);
        reading.Nest();
        if (checks.Faults.Count == 0) reading.Products(checks.List("products", file.Products, 0, MostRecipes, "products"), pans);
        return checks.Faults.Count > 0 ? Refused([.. checks.Faults.Take(MostFaults)]) : reading.Change(notes);
    }

    private static LibraryChange Refused(params IReadOnlyList<FieldFault> faults) => new([], [], [], [], [], 0, [], faults);

    private sealed class Reading(FieldChecks checks, LibraryState state)
    {
        private readonly List<Ingredient> added = [];
        private readonly List<Ingredient> restated = [];
        private readonly List<Pan> newPans = [];
        private readonly List<DoughFormula> doughs = [];
        private readonly List<Product> products = [];
        private readonly Dictionary<string, Ingredient> ingredients = state.All.ToDictionary(one => one.Id);
        private readonly Dictionary<string, DoughFormula> allDoughs = state.Doughs.ToDictionary(dough => dough.Id);
        private readonly MadeHereNesting nesting = new(state.All);
        private readonly List<(string Path, Ingredient Made)> nested = [];
        private Pantry? pantry;
        private int same;

        // Made once for a whole file, when its ingredients are read: two thousand recipes are looked up in it. Of two that are
        // called the same, a dough is not meant.
        private Pantry Pantry => pantry ??= new Pantry(ingredients.Values.OrderBy(one => one.IsDough));

        /// <summary>Doughs by their names, before anything is read that may be made of them; what they are made of is read later.</summary>
        public void Name(IReadOnlyList<NamedDough> list)
        {
            foreach (var one in list.Where(one => one.Id is not null && one.Written?.Name is not null && !allDoughs.ContainsKey(one.Id)).DistinctBy(one => one.Id))
                ingredients.TryAdd(Ingredient.DoughPrefix + one.Id, new Ingredient(Ingredient.DoughPrefix + one.Id, one.Written!.Name!, []));
        }

        public void Ingredients(IReadOnlyList<NamedIngredient> list)
        {
            // What is made here may name what comes later in the file, so names are known before formulas are read.
            // What it is made of now says nothing where it is written anew.
            var written = list.Select(one => one.Id).ToHashSet();
            var named = new Pantry([
                .. state.Ingredients.Where(one => !one.IsDough).Select(one => written.Contains(one.Id) ? one with { Formula = null } : one),
                .. list.Where(one => one.Stated?.Name is not null && one.Id is not null && !ingredients.ContainsKey(one.Id)).DistinctBy(one => one.Id).Select(Named),
                .. ingredients.Values.Where(one => one.IsDough).Select(one => one with { Formula = null }),
            ]);
            var ids = new HashSet<string>();
            var names = new Dictionary<string, string>(StringComparer.OrdinalIgnoreCase);
            foreach (var one in state.Ingredients.Where(one => !one.IsDough)) names.TryAdd(one.Name, one.Id);
            foreach (var (one, at) in list.Select((one, at) => (one, at)))
            {
                var path = $"ingredients[{at}]";
                var id = Id(path, one.Id);
                var (read, _, faults) = IngredientReader.Read(id, one.Stated ?? new IngredientDraft(null, null, null, null, null, null, null, null, null, null, null, null, null), state.Currency, state.Today, named, state.Cups);
                Add(path, faults);
                if (read is null) continue;
                if (!ids.Add(id)) checks.Add($"{path}.id", $"Two ingredients have the id \"{id}\".");
                nesting.State(read);
                if (read.Formula is not null) nested.Add(($"{path}.madeOf", read));
                if (names.TryGetValue(read.Name, out var owner) && owner != id) checks.Add($"{path}.name", $"There is an ingredient \"{read.Name}\" of another id already.");
                names[read.Name] = id;
                var inForce = read with { Facts = FactsInForce.Of(read) };
                if (!state.Own.TryGetValue(id, out var present)) added.Add(read);
                else if (Text(IngredientReader.Write(present)) == Text(IngredientReader.Write(read))) same++;
                else restated.Add(read);

                ingredients[id] = inForce;
            }
        }

        /// <summary>An ingredient of the file before what it is made of is read: its figures count already.</summary>
        private Ingredient Named(NamedIngredient one)
        {
            var (read, _, _) = IngredientReader.Read(one.Id!, one.Stated! with { MadeOf = null, Making = null, ReducedPercent = null, KeptPercent = null, Price = null }, state.Currency, state.Today, null, state.Cups);
            return read is null ? new Ingredient(one.Id!, one.Stated.Name!, []) : read with { Facts = FactsInForce.Of(read) };
        }

        public IReadOnlyList<Pan> Pans(IReadOnlyList<PanDraft?>? drafts)
        {
            if (drafts is null || drafts.Count == 0) return state.Pans;
            foreach (var pan in PanReader.Read(checks, "pans", drafts).Select(pan => pan with { Owned = null }))
            {
                if (state.Pans.Any(other => other.Id.Equals(pan.Id, StringComparison.OrdinalIgnoreCase))) same++;
                else newPans.Add(pan);
                if (pan.BoughtAs is { } bought && !ingredients.ContainsKey(bought)) checks.Add("pans", $"{pan.Name} is bought as \"{bought}\", which is no ingredient here.");
            }

            if (state.Pans.Count + newPans.Count > PanReader.MostPans) checks.Add("pans", $"A bakery has at most {PanReader.MostPans} pans; with this file it would have {state.Pans.Count + newPans.Count}.");
            return [.. state.Pans, .. newPans];
        }

        public void Doughs(IReadOnlyList<NamedDough> list)
        {
            var ids = new HashSet<string>();
            foreach (var (one, at) in list.Select((one, at) => (one, at)))
            {
                var path = $"doughs[{at}]";
                var id = Id(path, one.Id);
                var present = allDoughs.GetValueOrDefault(id);
                var (dough, fresh, faults) = DoughReader.Read(one.Written ?? new DoughDraft(), id, (present?.Version ?? state.RemovedDoughs.GetValueOrDefault(id)) + 1, Pantry, state.Cups);
                Add(path, faults);
                if (dough is null) continue;
                added.AddRange(fresh);
                foreach (var ingredient in fresh) ingredients[ingredient.Id] = ingredient;
                if (!ids.Add(id)) checks.Add($"{path}.id", $"Two doughs have the id \"{id}\".");
                if (allDoughs.Values.Any(other => other.Id != id && other.Name.Equals(dough.Name, StringComparison.OrdinalIgnoreCase))) checks.Add($"{path}.name", $"There is a dough \"{dough.Name}\" of another id already.");
                nesting.State(dough.AsIngredient());
                nested.Add(($"{path}.lines", dough.AsIngredient()));
                if (present is not null && Text(DoughReader.Write(present)) == Text(DoughReader.Write(dough))) same++;
                else
                {
                    doughs.Add(dough);
                    allDoughs[id] = dough;
                    ingredients[dough.IngredientId] = dough.AsIngredient();
                }
            }
        }

        /// <summary>Names the last written that would be made of itself, once all of it is there: what it closes a circle with is at the same fault.</summary>
        public void Nest()
        {
            var faulty = nested.Where(one => nesting.Fault(one.Made) is not null).OrderBy(one => nesting.IsInItself(one.Made.Id)).ToArray();
            if (faulty.Length > 0) checks.Add(faulty[^1].Path, nesting.Fault(faulty[^1].Made)!);
        }

        /// <summary>Everything as it will be: what was only a name when a line was read is there with all that it is made of.</summary>
        private Ingredient[] Whole()
        {
            var whole = new Dictionary<string, Ingredient>();
            return [.. ingredients.Keys.Select(Make)];

            Ingredient Make(string id)
            {
                if (whole.TryGetValue(id, out var ready)) return ready;
                if (ingredients[id] is not { Formula: { } formula } made) return whole[id] = ingredients[id];
                RecipeLine[] lines = [.. formula.Lines.Select(line => line with { Ingredient = ingredients.ContainsKey(line.Ingredient.Id) ? Make(line.Ingredient.Id) : line.Ingredient })];
                return whole[id] = formula.How is DoughMaking { Dough: var dough } ? (dough with { Lines = lines }).AsIngredient() : (formula with { Lines = lines }).Make(made);
            }
        }

        public void Products(IReadOnlyList<NamedProduct> list, IReadOnlyList<Pan> pans)
        {
            var present = state.Products.ToDictionary(product => product.Id);
            var names = state.Products.ToDictionary(product => product.Id, product => product.Name);
            // A name is looked up for every product of the file, so the names are kept as a set.
            var taken = new Dictionary<string, string>(StringComparer.OrdinalIgnoreCase);
            foreach (var (key, name) in names) taken.TryAdd(name, key);
            var whole = Whole();
            pantry = new Pantry(whole.OrderBy(one => one.IsDough));
            var known = ShellsMadeHere.With([.. whole.Select(one => one.Formula?.How).OfType<DoughMaking>().Select(making => making.Dough)], whole);
            var ids = new HashSet<string>();
            foreach (var (one, at) in list.Select((one, at) => (one, at)))
            {
                var path = $"products[{at}]";
                var id = Id(path, one.Id);
                if (!ids.Add(id)) checks.Add($"{path}.id", $"Two products have the id \"{id}\".");
                var before = present.GetValueOrDefault(id);
                var name = (one.Written?.Name ?? string.Empty).Trim();
                IReadOnlyCollection<string> others = taken.TryGetValue(name, out var owner) && owner != id ? [name] : [];
                taken.TryAdd(name, id);
                var (product, fresh, faults) = ProductReader.Read(one.Written ?? new ProductDraft(), id, (before?.Version ?? state.RemovedProducts.GetValueOrDefault(id)) + 1, state.Currency, pans, known, Pantry, others, state.Cups);
                Add(path, faults);
                if (checks.Faults.Count > MostFaults) return;
                if (product is null) continue;
                if (OrderedSizes.Fault(product, state.Ordered.GetValueOrDefault(id) ?? []) is { } dropped) checks.Add($"{path}.{dropped.Field}", dropped.Message);
                added.AddRange(fresh);
                if (before is not null && Text(ProductReader.Write(before)) == Text(ProductReader.Write(product))) same++;
                else products.Add(product);
            }

            Crusts(known.ToDictionary(dough => dough.Id), ids);
        }

        /// <summary>What the file does not write anew keeps its crust: shells stay shells.</summary>
        private void Crusts(Dictionary<string, DoughFormula> known, HashSet<string> anew)
        {
            var misfits = state.Products.Where(product => !anew.Contains(product.Id) && known.TryGetValue(product.Dough.Id, out var dough) && !ShellsMadeHere.Fits(product.Crust.Lining, dough));
            foreach (var group in misfits.GroupBy(product => product.Dough.Id))
            {
                var path = doughs.Exists(dough => dough.Id == group.Key) ? "doughs" : "ingredients";
                checks.Add(path, ShellsMadeHere.Misfit([.. group.Select(product => product.Name)]));
            }
        }

        public LibraryChange Change(IReadOnlyList<LibraryNote> notes) => new(added, restated, newPans, doughs, products, same, notes, []);

        private string Id(string path, string? typed)
        {
            var id = (typed ?? string.Empty).Trim();
            if (id.Length is 0 or > 60 || !id.All(letter => char.IsAsciiLetterLower(letter) || char.IsAsciiDigit(letter) || letter == '-'))
                checks.Add($"{path}.id", "An id takes up to 60 small letters, digits and hyphens.");
            return id;
        }

        private void Add(string path, IEnumerable<FieldFault> faults)
        {
            foreach (var fault in faults) checks.Add($"{path}.{fault.Field}", fault.Message);
        }

        private static string Text<T>(T value) => JsonSerializer.Serialize(value);
    }
}
