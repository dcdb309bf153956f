using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>A recipe that can be made in one or more pans, each at a price.</summary>
/// <param name="Id">Short name, unique in the bakery.</param>
/// <param name="Name">The name shown, for example "Pear and ginger".</param>
/// <param name="Version">Number of this version, from 1.</param>
/// <param name="Aliases">Other words by which an order line may call it.</param>
/// <param name="Dough">The dough of its base, and of what lies on top unless that has one of its own.</param>
/// <param name="Crust">How that dough is cut.</param>
/// <param name="Layers">Its fillings from the floor up, then what lies on them, is brushed on or served beside; one filling at least.</param>
/// <param name="Packaging">What is counted by the pie: box, label.</param>
/// <param name="ReferencePan">The pan for which it is written.</param>
/// <param name="Sizes">The pans it may be made in, with the selling price of each; holds the reference pan.</param>
/// <param name="Process">Its steps.</param>
/// <param name="OldestAtPickUp">Minutes from the end of its last bake to pick-up, at most.</param>
public sealed record Product(
    string Id,
    string Name,
    int Version,
    IReadOnlyList<string> Aliases,
    DoughFormula Dough,
    Crust Crust,
    IReadOnlyList<Layer> Layers,
    IReadOnlyList<Ingredient> Packaging,
    Pan ReferencePan,
    IReadOnlyList<ProductSize> Sizes,
    ProcessNetwork Process,
    int OldestAtPickUp)
{
    /// <summary>How its base is kept crisp.</summary>
    public BaseTreatment BaseTreatment { get; init; }

    /// <summary>
    /// What the manager states where its steps leave the cold longer than the rule for time and temperature allows; empty
    /// where nothing was assessed.
    /// </summary>
    public string Assessment { get; init; } = string.Empty;

    /// <summary>Whether it is retired: kept for old orders, and offered no more.</summary>
    public bool IsRetired { get; init; }

    /// <summary>Whether the manager accepts glass or earthenware going from the freezer into a hot oven.</summary>
    public bool GlassFromFreezer { get; init; }

    /// <summary>The dough of lid, strips or cut-outs; null where they are of the same as the base.</summary>
    public DoughFormula? TopDough { get; init; }

    /// <summary>Its doughs, that of the base first.</summary>
    public IEnumerable<DoughFormula> Doughs => TopDough is { } top ? [Dough, top] : [Dough];

    /// <summary>The dough of a piece.</summary>
    public DoughFormula DoughOf(DoughPiece piece) => piece.IsOnTop ? TopDough ?? Dough : Dough;

    /// <summary>How far the middle of its filling moves in the reference pan while it bakes: below 0 sinks, above 0 rises.</summary>
    public Length BakeChange { get; init; }

    /// <summary>What a person should still look at, as in a recipe that was taken in from elsewhere.</summary>
    public IReadOnlyList<string> Review { get; init; } = [];

    /// <summary>
    /// Every part with its lines as written. Whatever weighs, costs, declares, buys or prints lines walks these, so that no
    /// part can be forgotten; a test holds that no list of lines stands beside them.
    /// </summary>
    public IReadOnlyList<RecipePart> Parts =>
        [.. Doughs.Select((dough, at) => new RecipePart(PartKind.Dough, at == 0 ? "dough" : "top-dough", null, dough.Lines) { Dough = dough }), .. Layers.Select(layer => new RecipePart(layer.Kind, layer.Id, layer, layer.Lines))];

    /// <summary>Its fillings, from the floor up.</summary>
    public IEnumerable<Layer> Fillings => Layers.Where(layer => layer.Kind == PartKind.Filling);

    /// <summary>The filling that takes the most room: by it a pie is called, found and begun.</summary>
    public Layer MainFilling => Fillings.MaxBy(layer => layer.Room.Millilitres)!;

    /// <summary>Whether any of its fillings is baked in the crust; others are set in a crust that was baked before.</summary>
    public bool IsFillingBaked => Fillings.Any(layer => FillingKinds.IsBaked(layer.Filling));

    /// <summary>Every line of every part.</summary>
    public IEnumerable<RecipeLine> AllLines => Parts.SelectMany(part => part.Lines);

    /// <summary>What is counted by the pie in any of its sizes, each once.</summary>
    public IEnumerable<Ingredient> AllPackaging => Packaging.Concat(Sizes.SelectMany(size => size.Beside)).DistinctBy(one => one.Id);

    /// <summary>The size in this pan, or null where the product is not made in it.</summary>
    public ProductSize? SizeIn(string panId) => Sizes.FirstOrDefault(size => size.Pan.Id == panId);

    /// <summary>Its steps in this pan, with the time that the size has for its bake.</summary>
    public ProcessNetwork ProcessIn(Pan pan) => SizeIn(pan.Id)?.Bake is { } bake ? bake.In(Process) : Process;

    /// <summary>Ingredients of which nobody has said yet what allergens they carry; their names, each once.</summary>
    public IReadOnlyList<string> WithoutStatedAllergens =>
        [.. AllLines
            .Where(line => !line.Ingredient.AllergensStated).Select(line => line.Ingredient.Name).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>Every allergen of every line, each once, in alphabetical order.</summary>
    public IReadOnlyList<string> Allergens =>
        [.. AllLines
            .SelectMany(line => line.Ingredient.Allergens).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>What it may carry in traces beyond those, as its suppliers say.</summary>
    public IReadOnlyList<string> MayContain =>
        [.. AllLines.SelectMany(line => line.Ingredient.Facts.MayContain).Distinct().Except(Allergens).Order(StringComparer.Ordinal)];

    /// <summary>Names of its ingredients that carry alcohol.</summary>
    public IReadOnlyList<string> Alcohol => [.. AllLines.Where(line => line.Ingredient.Facts.AlcoholPercent > 0).Select(line => line.Ingredient.Name).Distinct()];
}

/// <summary>A product in one pan.</summary>
/// <param name="Pan">The pan.</param>
/// <param name="SellingPrice">What one pie sells for, or null where no price is set.</param>
public sealed record ProductSize(Pan Pan, Money? SellingPrice)
{
    /// <summary>What is counted by the pie in this size only: a larger box.</summary>
    public IReadOnlyList<Ingredient> Packaging { get; init; } = [];

    /// <summary>The pan itself, where it is bought for each pie and goes with it; null where it comes back.</summary>
    public Ingredient? PanBought { get; init; }

    /// <summary>How long it bakes in this size, where it is stated; null where it bakes as the recipe's steps say.</summary>
    public SizeBake? Bake { get; init; }

    /// <summary>What is counted by the pie in this size, beside what every size has.</summary>
    public IEnumerable<Ingredient> Beside => PanBought is { } pan ? Packaging.Append(pan) : Packaging;
}

/// <summary>The parts of a recipe.</summary>
public enum PartKind
{
    /// <summary>The dough of the crust.</summary>
    Dough,

    /// <summary>What goes into it.</summary>
    Filling,

    /// <summary>Crumble, meringue, cream.</summary>
    Topping,

    /// <summary>Wash, sugar and the like.</summary>
    Finish,

    /// <summary>Served beside it: a sauce, a cream. It goes with the pie and is never baked.</summary>
    Beside,

    /// <summary>Box, label, a pan that goes with the pie: counted, not weighed.</summary>
    Packaging,
}

/// <summary>A part of a recipe.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Id">Unique in its recipe.</param>
/// <param name="Layer">The layer that it is; null for the dough.</param>
/// <param name="Lines">Its lines as written.</param>
public sealed record RecipePart(PartKind Kind, string Id, Layer? Layer, IReadOnlyList<RecipeLine> Lines)
{
    /// <summary>The dough that it is; null for layers and packaging.</summary>
    public DoughFormula? Dough { get; init; }
}
