namespace Lumpet.Core.Recipes.Writing;

/// <summary>What is ordered of a product stays among its sizes.</summary>
public static class OrderedSizes
{
    /// <summary>The fault of a product that drops a size it is ordered in, or null.</summary>
    /// <param name="product">The product as it would be.</param>
    /// <param name="ordered">Ids of the pans in which it is ordered.</param>
    public static FieldFault? Fault(Product product, IReadOnlyList<string> ordered)
    {
        string[] dropped = [.. ordered.Where(pan => product.SizeIn(pan) is null)];
        return dropped.Length == 0 ? null : new FieldFault("sizes", $"There are orders for it in {string.Join(", ", dropped)}; past ones too; keep that size.");
    }
}
