using Lumpet.Core.Recipes;

namespace Lumpet.Server.Recipes;

/// <summary>Says what the layers of a product are.</summary>
internal static class LayerWords
{
    /// <summary>What a layer is called: by the bakery, or by its part; of several fillings by its kind.</summary>
    public static string Title(Product product, Layer layer) => layer switch
    {
        { Name.Length: > 0 } => layer.Name,
        { Kind: PartKind.Filling } when product.Fillings.Count() > 1 => Capital(KindWords.Of(layer.Filling)),
        { Kind: PartKind.Filling } => "Filling",
        { Kind: PartKind.Topping } => "Topping",
        { Kind: PartKind.Beside } => "Served beside",
        _ => "Finish",
    };

    /// <summary>What a part of a recipe is called.</summary>
    public static string Title(Product product, RecipePart part) => part switch
    {
        { Layer: { } layer } => Title(product, layer),
        { Kind: PartKind.Packaging } => "Packaging",
        { Id: "top-dough", Dough: { } top } => top.Name,
        { Dough: { } dough } when product.TopDough is not null => dough.Name,
        _ => "Dough",
    };

    /// <summary>The kinds of its fillings, the lowest first: "nut paste below raw fruit".</summary>
    public static string Fillings(Product product) => string.Join(" below ", product.Fillings.Select(layer => KindWords.Of(layer.Filling)).Distinct());

    /// <summary>A part of a pie that is written as a layer.</summary>
    public static string Of(PartKind part) => part switch
    {
        PartKind.Filling => "filling",
        PartKind.Topping => "topping",
        PartKind.Finish => "finish",
        _ => "served beside",
    };

    /// <summary>How a layer follows the pan.</summary>
    public static string Of(LayerLaw law) => law switch
    {
        LayerLaw.Room => "fills the crust",
        LayerLaw.Floor => "by the floor",
        LayerLaw.Top => "by the top",
        LayerLaw.Weight => "the same in every pan",
        _ => "by the piece",
    };

    /// <summary>How a layer is scaled to a pan, with the figures.</summary>
    public static string Scaled(ScaledProduct scaled, ScaledPart part)
    {
        var layer = part.Layer!;
        var times = Math.Abs(part.Factor - 1) < 0.0005 ? "as written" : FormattableString.Invariant($"{part.Factor:0.###} times as written");
        var isAlone = scaled.Product.Fillings.Count() == 1;
        return layer.Law switch
        {
            LayerLaw.Room when isAlone => $"It fills the room in the crust as far as in the {scaled.Product.ReferencePan.Name} pan: {times}.",
            LayerLaw.Room => $"It fills the room that the crust and the other layers leave: {times}.",
            LayerLaw.Floor => $"It goes by the floor inside the dough: {times}.",
            LayerLaw.Top => $"It goes by the top, rim included: {times}.",
            LayerLaw.Weight => "It weighs the same in every pan.",
            _ => $"It goes by the piece: {LayerScale.Pieces(layer, scaled.Product, scaled.Pan)} a pie here, {layer.Pieces} as written.",
        };
    }

    /// <summary>Grams of a layer that go into one pie: whole ones, or tenths of what is little.</summary>
    public static double PerPie(ScaledPart part) => Math.Round(part.PerPie.Grams, part.PerPie.Grams < 20 ? 1 : 0, MidpointRounding.AwayFromZero);

    /// <summary>Words with a capital letter at the start.</summary>
    public static string Capital(string words) => words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];
}
