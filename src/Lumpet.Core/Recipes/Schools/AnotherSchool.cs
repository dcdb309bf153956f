using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes.Writing;

namespace Lumpet.Core.Recipes.Schools;

/// <summary>A product made by another school at one place, as for a day or to compare: its recipe stays as it is written, and so does what is weighed.</summary>
public static class AnotherSchool
{
    // Nothing is priced or named anew here; the reader only asks for them.
    private const string AnyCurrency = "EUR";

    /// <summary>The places at which a school can be taken for a day. Another filling is another recipe: it is weighed differently.</summary>
    public static IReadOnlyList<SchoolPlace> Places { get; } = [SchoolPlace.Rest, SchoolPlace.Base, SchoolPlace.Tray, SchoolPlace.Heat];

    /// <summary>The schools that a product can be made by, other than as it is.</summary>
    /// <param name="product">The product.</param>
    /// <returns>Place by place, each with the product made so; what would break a rule is not among them.</returns>
    public static IReadOnlyList<(School School, Product Made)> All(Product product)
    {
        var draft = ProductReader.Write(product);
        return
        [
            .. from school in OfferedSchools.For(draft)
               where Places.Contains(school.Place)
               where !SchoolExchange.IsSame(draft, SchoolExchange.Exchanged(draft, school.Place, school.Set).Draft)
               let made = Taken(product, draft, school)
               where made is not null
               select (school, made),
        ];
    }

    /// <summary>The product made by a school; null where it has no such place or school, or would break a rule.</summary>
    /// <param name="product">The product.</param>
    /// <param name="place">The place.</param>
    /// <param name="school">The school's id.</param>
    public static Product? Of(Product product, SchoolPlace place, string school) =>
        Offered(product, place, school) is { } found ? Taken(product, ProductReader.Write(product), found) : null;

    /// <summary>A school that the product can be made by; null where it has no such place or school, or would break a rule.</summary>
    /// <inheritdoc cref="Of"/>
    public static School? Find(Product product, SchoolPlace place, string school) => Of(product, place, school) is null ? null : Offered(product, place, school);

    private static School? Offered(Product product, SchoolPlace place, string school) =>
        Places.Contains(place) ? OfferedSchools.For(ProductReader.Write(product)).FirstOrDefault(one => one.Place == place && one.Id == school) : null;

    private static Product? Taken(Product product, ProductDraft draft, School school)
    {
        var other = SchoolExchange.Exchanged(draft, school.Place, school.Set).Draft;
        Ingredient[] known = [.. product.AllLines.Select(line => line.Ingredient).Concat(product.Packaging).Concat(product.Sizes.SelectMany(size => size.Packaging)).DistinctBy(one => one.Id)];
        DoughFormula[] doughs = product.TopDough is { } top ? [product.Dough, top] : [product.Dough];
        var (read, _, _) = ProductReader.Read(other, product.Id, product.Version, AnyCurrency, [.. product.Sizes.Select(size => size.Pan)], doughs, known, []);
        // Only its way is taken of what was read: amounts that were written in spoons stay what they weigh.
        return read is null ? null : product with { Process = read.Process, BaseTreatment = read.BaseTreatment };
    }
}
