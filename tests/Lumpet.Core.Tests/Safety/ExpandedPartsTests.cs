using CsCheck;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Core.Tests.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Safety;

/// <summary>Whether lines stand in a recipe or in something that is made here for it, what can hurt about it is the same.</summary>
public sealed class ExpandedPartsTests
{
    private static readonly Gen<(Product Product, int[] Packed, int Levels)> Any =
        Gen.Select(Gen.Int[0, Demonstration.Products.Length - 1], Gen.Int[0, 9].Array[1, 4], Gen.Int[1, 3], (product, packed, levels) => (Demonstration.Products[product], packed, levels));

    /// <summary>The product with some lines of each of its layers packed into something made here, so many levels deep.</summary>
    private static Product Packed(Product product, int[] which, int levels) => product with
    {
        Layers =
        [
            .. product.Layers.Select((layer, at) =>
            {
                RecipeLine[] inside = [.. which.Select(one => layer.Lines[one % layer.Lines.Count]).Distinct()];
                return layer with { Lines = [.. layer.Lines.Except(inside), Made(inside, levels, at)] };
            }),
        ],
    };

    private static RecipeLine Made(RecipeLine[] lines, int levels, int at)
    {
        var made = new IngredientFormula(lines, 1).Make(new Ingredient($"made-{at}-{levels}", $"Made {at}.{levels}", []));
        var line = new RecipeLine(made, string.Empty, Yield.Whole, Mass.FromGrams(lines.Sum(one => one.Amount.Grams)));
        return levels == 1 ? line : Made([line], levels - 1, at);
    }

    /// <summary>A caution without the names of what it is about.</summary>
    private static string Kind(string caution) =>
        caution.StartsWith("Do not taste raw", StringComparison.Ordinal) ? "raw"
        : caution.StartsWith("Contains alcohol", StringComparison.Ordinal) ? "alcohol"
        : caution.StartsWith("Needs time and temperature control", StringComparison.Ordinal) ? caution[caution.IndexOf(". ", StringComparison.Ordinal)..]
        : caution;

    [Fact]
    public void What_is_packed_into_something_made_here_is_declared_and_warned_of_as_if_it_stood_in_the_recipe() => Any.Sample(
        one =>
        {
            var packed = Packed(one.Product, one.Packed, one.Levels);
            Assert.Equal(one.Product.Allergens, packed.Allergens);
            Assert.Equal(one.Product.MayContain, packed.MayContain);
            Assert.Equal(one.Product.WithoutStatedAllergens.Count > 0, packed.WithoutStatedAllergens.Count > 0);
            Assert.Equal(one.Product.Alcohol.Count > 0, packed.Alcohol.Count > 0);
            Assert.Equal(TimeAndTemperature.Needs(one.Product).Count > 0, TimeAndTemperature.Needs(packed).Count > 0);
            Assert.Equal(TimeAndTemperature.Left(one.Product).Select(left => left.StepId), TimeAndTemperature.Left(packed).Select(left => left.StepId));
            Assert.Equal(ProductCautions.Of(one.Product).Select(Kind), ProductCautions.Of(packed).Select(Kind));
            Assert.Equal(StepCautions.Of(one.Product).Values.Select(said => said.Length > 0), StepCautions.Of(packed).Values.Select(said => said.Length > 0));
        },
        iter: 400);

    [Fact]
    public void A_dough_that_is_taken_like_an_ingredient_warns_of_what_it_holds()
    {
        var rich = Demonstration.Doughs.Single(dough => dough.Name == "Egg-bound").AsIngredient();
        var pear = Demonstration.Products[0];
        var crumbled = pear with { Layers = [.. pear.Layers, new Layer("crumbled", PartKind.Topping, LayerLaw.Top, [new RecipeLine(rich, "crumbled", Yield.Whole, Mass.FromGrams(150))])] };
        Assert.Contains("egg", crumbled.Allergens);
        Assert.Contains(ProductCautions.Of(crumbled), said => said.StartsWith("Do not taste raw", StringComparison.Ordinal) && said.Contains("Egg-bound", StringComparison.Ordinal));
        Assert.Contains(ProductCautions.Of(crumbled), said => said.Contains("71 °C", StringComparison.Ordinal));
        // As in any crust, its butter and egg ask for no cold of their own.
        Assert.Equal(TimeAndTemperature.Needs(pear), TimeAndTemperature.Needs(crumbled));
    }
}
