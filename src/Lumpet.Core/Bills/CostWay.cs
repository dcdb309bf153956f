using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;

namespace Lumpet.Core.Bills;

/// <summary>In what a way of making a pie differs from how it is made.</summary>
public enum CostWayKind
{
    /// <summary>In nothing: as it is.</summary>
    AsItIs,

    /// <summary>In the pan.</summary>
    Pan,

    /// <summary>In the dough of its base, and of what lies on it unless that has its own: another of the bakery's, or one that is bought in.</summary>
    Dough,

    /// <summary>In the school by which something is done.</summary>
    School,

    /// <summary>In that it is made as an earlier version wrote it.</summary>
    Version,
}

/// <summary>A way of making a pie, to be laid beside another.</summary>
/// <param name="Kind">In what it differs.</param>
/// <param name="Name">What is other: the pan, the dough, the school, the version.</param>
/// <param name="Product">The product, made so.</param>
/// <param name="Pan">In which pan.</param>
public sealed record CostWay(CostWayKind Kind, string Name, Product Product, Pan Pan)
{
    /// <summary>How a pie is made, and every other way that it could be: in its other pans, of other doughs, by other schools, by its earlier versions.</summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">Its pan.</param>
    /// <param name="doughs">The doughs of the bakery; a shell that comes by the piece is made for one pan, and stands for no other dough.</param>
    /// <param name="earlier">Earlier versions, each by its number; those that are not made in the pan are left out.</param>
    public static IReadOnlyList<CostWay> Of(Product product, Pan pan, IEnumerable<DoughFormula> doughs, IEnumerable<(int Number, Product Product)> earlier) =>
    [
        new CostWay(CostWayKind.AsItIs, "as it is", product, pan),
        .. product.Sizes.Where(size => size.Pan.Id != pan.Id).Select(size => new CostWay(CostWayKind.Pan, size.Pan.Name, product, size.Pan)),
        .. product.Dough.BoughtShell is not null ? [] : doughs.Where(dough => !dough.IsRetired && dough.Id != product.Dough.Id && dough.BoughtShell is null)
            .Select(dough => new CostWay(CostWayKind.Dough, dough.Name, product with { Dough = dough }, pan)),
        .. AnotherSchool.All(product).Select(other => new CostWay(CostWayKind.School, other.School.Name, other.Made, pan)),
        .. earlier.Where(one => one.Product.SizeIn(pan.Id) is not null).Select(one => new CostWay(CostWayKind.Version, FormattableString.Invariant($"version {one.Number}"), one.Product, pan)),
    ];
}
