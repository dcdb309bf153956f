using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>What becomes of products when the pans of the bakery change.</summary>
public static class PanChanges
{
    /// <summary>Products that could not be made any more, each as a fault at "pans".</summary>
    /// <param name="products">The products.</param>
    /// <param name="pans">The pans as they would be; one that is not there stays as it is.</param>
    public static IReadOnlyList<FieldFault> Faults(IReadOnlyList<Product> products, IReadOnlyList<Pan> pans)
    {
        Pan Changed(Pan pan) => pans.FirstOrDefault(other => other.Id == pan.Id) ?? pan;
        var checks = new FieldChecks();
        foreach (var product in products)
        {
            var changed = product with { ReferencePan = Changed(product.ReferencePan), Sizes = [.. product.Sizes.Select(size => size with { Pan = Changed(size.Pan) })] };
            foreach (var size in changed.Sizes) ProductReader.CanBeMade(checks, changed, size.Pan, "pans");
        }

        return checks.Faults;
    }
}
