using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Safety;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Safety;

public sealed class ProductCautionTests
{
    private static RecipeLine Of(string id) => new(IngredientLibrary.Find(id)!, "", Yield.Whole, Mass.FromGrams(100));

    [Fact]
    public void Raw_flour_and_egg_alcohol_and_cold_keeping_are_said_and_local_codes_decide()
    {
        var product = Custard.Filled(Of("egg"), Of("milk"), Of("brandy")) with { Dough = Flaky with { Lines = [Of("flour"), Of("butter")] } };
        var said = ProductCautions.Of(product);
        Assert.Contains(said, one => one.Contains("Flour, plain; Egg, whole can carry pathogens", StringComparison.Ordinal));
        Assert.Contains(said, one => one.Contains("71 °C", StringComparison.Ordinal));
        Assert.Contains(said, one => one.Contains("alcohol: Brandy", StringComparison.Ordinal));
        Assert.Contains(said, one => one.Contains("21 °C within 2 h and to 5 °C within 6 h", StringComparison.Ordinal));
        Assert.Equal("Local codes and licensed practice decide.", said[^1]);
    }

    [Fact]
    public void A_fruit_pie_of_safe_things_says_nothing()
    {
        var plain = Pear.Filled(Of("pear"), Of("sugar")).Finished() with { Dough = Flaky with { Lines = [Of("bought-dough")] } };
        Assert.Empty(ProductCautions.Of(plain));
    }

    [Fact]
    public void Traces_are_shown_beside_what_is_carried()
    {
        var chocolate = Pear.Filled([Of("dark-chocolate"), Of("milk")]);
        Assert.Contains("milk", chocolate.Allergens);
        Assert.DoesNotContain("milk", chocolate.MayContain);
        Assert.Contains("nuts", chocolate.MayContain);
    }
}
