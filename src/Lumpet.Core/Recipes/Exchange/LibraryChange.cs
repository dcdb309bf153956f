using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using NodaTime;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>What a bakery has when a file is read against it.</summary>
/// <param name="Currency">Its currency.</param>
/// <param name="Cups">Which cup and spoons it means.</param>
/// <param name="Own">Its ingredients with the facts that it has set itself, by id.</param>
/// <param name="Ingredients">Its ingredients with the facts in force.</param>
/// <param name="Pans">Its pans.</param>
/// <param name="Doughs">Its doughs.</param>
/// <param name="Products">Its products.</param>
/// <param name="Today">Its day.</param>
public sealed record LibraryState(
    string Currency,
    CupCustom Cups,
    IReadOnlyDictionary<string, Ingredient> Own,
    IReadOnlyList<Ingredient> Ingredients,
    IReadOnlyList<Pan> Pans,
    IReadOnlyList<DoughFormula> Doughs,
    IReadOnlyList<Product> Products,
    LocalDate Today)
{
    /// <summary>Its ingredients and its doughs, taken like ingredients: everything that a line may name.</summary>
    internal IEnumerable<Ingredient> All => Ingredients.Concat(Doughs.Select(dough => dough.AsIngredient())).DistinctBy(one => one.Id);

    private static readonly IReadOnlyDictionary<string, int> None = new Dictionary<string, int>();

    /// <summary>Last versions of doughs that were removed, by id: one that comes back goes on counting.</summary>
    public IReadOnlyDictionary<string, int> RemovedDoughs { get; init; } = None;

    /// <summary>Last versions of products that were removed, by id.</summary>
    public IReadOnlyDictionary<string, int> RemovedProducts { get; init; } = None;

    /// <summary>Ids of the pans in which products are ordered, by the product's id.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<string>> Ordered { get; init; } = new Dictionary<string, IReadOnlyList<string>>();
}

/// <summary>What taking in a file would do: all of it or nothing.</summary>
/// <param name="Added">Ingredients that are new.</param>
/// <param name="Restated">Ingredients of which something else is stated now.</param>
/// <param name="Pans">Pans that are new; pans of the bakery stay as they are.</param>
/// <param name="Doughs">Doughs that are new or in a new version.</param>
/// <param name="Products">Products that are new or in a new version.</param>
/// <param name="Same">How many things are the same as what is there.</param>
/// <param name="Notes">What a person should look at, by recipe.</param>
/// <param name="Faults">Why nothing can be taken; empty where all of it can.</param>
public sealed record LibraryChange(
    IReadOnlyList<Ingredient> Added,
    IReadOnlyList<Ingredient> Restated,
    IReadOnlyList<Pan> Pans,
    IReadOnlyList<DoughFormula> Doughs,
    IReadOnlyList<Product> Products,
    int Same,
    IReadOnlyList<LibraryNote> Notes,
    IReadOnlyList<FieldFault> Faults)
{
    /// <summary>Whether it would change nothing.</summary>
    public bool IsEmpty => Added.Count + Restated.Count + Pans.Count + Doughs.Count + Products.Count == 0;
}

/// <summary>Something in a recipe to look at.</summary>
/// <param name="Recipe">Its name.</param>
/// <param name="What">What to look at.</param>
public sealed record LibraryNote(string Recipe, string What);
