using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Schools;

/// <summary>Products made by another school while their recipe stays as it is.</summary>
public sealed class AnotherSchoolTests
{
    public static TheoryData<string> Products => [.. Demonstration.Products.Select(product => product.Id)];

    private static Product Product(string id) => Demonstration.Products.Single(product => product.Id == id);

    [Theory]
    [MemberData(nameof(Products))]
    public void Every_school_changes_the_way_and_nothing_that_is_weighed(string id)
    {
        var product = Product(id);
        var all = AnotherSchool.All(product);
        Assert.NotEmpty(all);
        foreach (var (school, made) in all)
        {
            Assert.Contains(school.Place, AnotherSchool.Places);
            Assert.NotEqual(SchoolPlace.Filling, school.Place);
            Assert.Same(product.Layers, made.Layers);
            Assert.Same(product.Dough, made.Dough);
            Assert.Same(product.Sizes, made.Sizes);
            Assert.NotEqual(Way(product), Way(made));
            Assert.Equal(Way(made), Way(AnotherSchool.Of(product, school.Place, school.Id)!));
            Assert.Equal(school.Name, AnotherSchool.Find(product, school.Place, school.Id)!.Name);
            // Made so already, it is not offered again.
            Assert.DoesNotContain(AnotherSchool.All(made), again => (again.School.Place, again.School.Id) == (school.Place, school.Id));
        }
    }

    [Fact]
    public void A_recipe_has_the_other_ways_that_its_steps_have_places_for()
    {
        string[] Offered(string id) => [.. AnotherSchool.All(Product(id)).Select(one => $"{one.School.Place} {one.School.Id}")];
        Assert.Contains("Rest frozen", Offered("fruit-lid"));
        Assert.Contains("Base partBlind", Offered("fruit-lid"));
        // Its base goes into the oven raw as it is.
        Assert.DoesNotContain("Base plain", Offered("fruit-lid"));
    }

    [Fact]
    public void What_it_does_not_offer_is_not_made()
    {
        var product = Product("fruit-lid");
        Assert.Null(AnotherSchool.Of(product, SchoolPlace.Rest, "cellar"));
        Assert.Null(AnotherSchool.Find(product, SchoolPlace.Rest, "cellar"));
        // Another filling is another recipe.
        Assert.Null(AnotherSchool.Of(product, SchoolPlace.Filling, "maceratedFruit"));
        // A seal needs egg among its lines, or an allergen would be missing on the label.
        var withoutEgg = TestBakery.Pear;
        Assert.DoesNotContain(withoutEgg.AllLines, line => line.Ingredient.Facts.Role == IngredientRole.Egg);
        Assert.DoesNotContain(AnotherSchool.All(withoutEgg), one => one.School.Id == "seal");
    }

    private static string Way(Product product) => string.Join("; ", product.Process.Steps.Select(step => $"{step} {string.Join(", ", step.Stages)}").Concat(product.Process.Links.Select(link => $"{link}")));
}
