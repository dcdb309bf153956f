using System.Globalization;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Stock;

namespace Lumpet.Server.Stock;

/// <summary>Says what lies on shelves, how much of it, and how long it is good for.</summary>
/// <param name="ingredients">All ingredients by id, doughs among them.</param>
/// <param name="products">All products.</param>
internal sealed class ThingNames(IReadOnlyDictionary<string, Ingredient> ingredients, IEnumerable<Product> products)
{
    private readonly Dictionary<string, Product> byId = products.ToDictionary(product => product.Id);

    /// <summary>All ingredients by id.</summary>
    public IReadOnlyDictionary<string, Ingredient> Ingredients => ingredients;

    /// <summary>What it is: "Pears, firm", "Pear and ginger, 23 cm".</summary>
    public string Of(StockThing thing) => thing switch
    {
        StockedGoods goods => ingredients.TryGetValue(goods.Id, out var ingredient) ? ingredient.Name : goods.Id,
        StockedPie pie => byId.TryGetValue(pie.Product, out var product) ? $"{product.Name}, {product.SizeIn(pie.Pan)?.Pan.Name ?? pie.Pan}" : $"{pie.Product}, {pie.Pan}",
        _ => thing.ToString(),
    };

    /// <summary>How much of it: "3.25 kg", "800 g", "12 pies", "24 pieces".</summary>
    public string Of(StockThing thing, StockAmount amount) => (thing, amount.Unit) switch
    {
        (StockedPie, _) => Counted(amount.Count, amount.Count == 1 ? "pie" : "pies"),
        (_, StockUnit.Piece) => Counted(amount.Count, amount.Count == 1 ? "piece" : "pieces"),
        _ when Piece(thing) is { } one => Counted((long)Math.Round(amount.Mass / one), "pieces"),
        _ => Weighed(amount.Mass.Grams),
    };

    /// <summary>How long a lot that was made here is good for by its recipe; null where that does not say, and of what is bought.</summary>
    public MadeKeeps? Keeps(StockLot lot) => lot.Thing switch
    {
        StockedGoods goods => ingredients.TryGetValue(goods.Id, out var made) ? MadeKeeps.Of(made, lot.Place) : null,
        StockedPie pie => byId.TryGetValue(pie.Product, out var product) ? MadeKeeps.Of(product, pie.Pan, pie.After) : null,
        _ => null,
    };

    /// <summary>What one weighs of what is made here and goes by the piece; null of all else.</summary>
    public Core.Measures.Mass? Piece(StockThing thing) => thing is StockedGoods goods && ingredients.TryGetValue(goods.Id, out var made) ? MadeAlreadyReader.Piece(made) : null;

    /// <summary>Whether it is kept on the books: what comes from the tap is not unless somebody says so.</summary>
    /// <param name="said">What somebody has said, by ingredient.</param>
    public static Func<StockThing, bool> IsCounted(IReadOnlyDictionary<string, bool> said) =>
        thing => thing is not StockedGoods goods || (said.TryGetValue(goods.Id, out var counted) ? counted : goods.Id != IngredientLibrary.TapWater);

    private static string Counted(long count, string what) => string.Create(CultureInfo.InvariantCulture, $"{count} {what}");

    private static string Weighed(double grams) => Math.Abs(grams) >= 1000
        ? string.Create(CultureInfo.InvariantCulture, $"{grams / 1000:0.00} kg")
        : string.Create(CultureInfo.InvariantCulture, $"{(Math.Abs(grams) < 20 ? Math.Round(grams, 1) : Math.Round(grams))} g");
}
