using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A product that is made by another school on one day than its recipe says.</summary>
/// <param name="ProductId">The product.</param>
/// <param name="Place">Where in its way.</param>
/// <param name="SchoolId">The school there; what the recipe does not offer any more changes nothing.</param>
public sealed record DaySchool(string ProductId, SchoolPlace Place, string SchoolId)
{
    /// <summary>A product as it is made on a day: what its recipe does not offer any more changes nothing.</summary>
    /// <param name="product">The product as its recipe says.</param>
    /// <param name="schools">The schools of that day, of this product or of others.</param>
    public static Product MadeBy(Product product, IReadOnlyList<DaySchool> schools) =>
        schools.Where(school => school.ProductId == product.Id).OrderBy(school => school.Place)
            .Aggregate(product, (so, school) => AnotherSchool.Of(so, school.Place, school.SchoolId) ?? so);

    /// <summary>The same day with this product made so.</summary>
    public DaySnapshot In(DaySnapshot snapshot)
    {
        var products = snapshot.Orders.Select(order => order.Product).DistinctBy(product => product.Id).ToDictionary(product => product.Id, product => MadeBy(product, [this]));
        return snapshot with
        {
            Orders = [.. snapshot.Orders.Select(order => order with { Product = products[order.Product.Id] })],
            Stock = Fitting(snapshot.Stock, products, [this]),
        };
    }

    /// <summary>What is there already without pies that were begun another way: they are gone on with only where all that was done on them is part of how they are made that day.</summary>
    /// <param name="stock">What is there.</param>
    /// <param name="products">The products as they are made, by id.</param>
    /// <param name="schools">The schools of that day.</param>
    public static DayStock Fitting(DayStock stock, IReadOnlyDictionary<string, Product> products, IReadOnlyList<DaySchool> schools)
    {
        var changed = schools.Select(school => school.ProductId).ToHashSet();
        bool Fits(StockedPies pies) => !changed.Contains(pies.ProductId) || products.GetValueOrDefault(pies.ProductId)?.SizeIn(pies.PanId) is not { } size
            || PartDone.Whole(products[pies.ProductId].ProcessIn(size.Pan), pies.Done).Count == pies.Done.Count;
        return stock with { Pies = [.. stock.Pies.Where(Fits)] };
    }
}
