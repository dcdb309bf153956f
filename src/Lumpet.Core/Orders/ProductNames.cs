using Lumpet.Core.Recipes;

namespace Lumpet.Core.Orders;

/// <summary>Finds products by what people call them.</summary>
public static class ProductNames
{
    /// <summary>
    /// Products that the words may mean. A full id, name or alias wins alone; else each typed word must begin one of the
    /// product's words: "pear", "oat cus", "damson".
    /// </summary>
    public static IReadOnlyList<Product> Find(string typed, IReadOnlyList<Product> products)
    {
        Product[] exact = [.. products.Where(product => Calls(product).Contains(typed.Trim(), StringComparer.OrdinalIgnoreCase))];
        if (exact.Length > 0) return exact;

        var words = Words(typed);
        return [.. products.Where(product =>
        {
            var known = Calls(product).SelectMany(Words).ToArray();
            return words.Length > 0 && words.All(word => known.Any(name => name.StartsWith(word, StringComparison.OrdinalIgnoreCase)));
        })];
    }

    private static IEnumerable<string> Calls(Product product) => [product.Id, product.Name, .. product.Aliases];

    private static string[] Words(string text) =>
        text.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
}
