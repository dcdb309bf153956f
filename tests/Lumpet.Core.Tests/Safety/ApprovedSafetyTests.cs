using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Lumpet.Core.Tests.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Safety;

/// <summary>What is said about time, temperature, raw food and glass, at the minutes and degrees where it changes.</summary>
public sealed class ApprovedSafetyTests
{
    private static readonly Product Custard = Demonstration.Products.Single(product => product.Id == "custard");
    private static readonly Product Curd = Demonstration.Products.Single(product => product.Id == "curd-meringue");
    private static readonly Product Savoury = Demonstration.Products.Single(product => product.Id == "savoury");

    private static Product With(Product product, Func<Step, bool> which, Func<Step, Step> change) =>
        product with { Process = product.Process with { Steps = [.. product.Process.Steps.Select(step => which(step) ? change(step) : step)] } };

    private static IEnumerable<string> Said(string of, Product product) =>
    [
        $"== {of}", .. Told.Each(TimeAndTemperature.Left(product)), .. Told.Each(ProductCautions.Of(product)), .. Told.Each(StepCautions.Of(product).Where(pair => pair.Value.Length > 0)),
    ];

    [Fact]
    public void What_leaves_the_cold_is_said_as_approved() => Approved.Matches("Safety/cold", new[] { Custard, Curd, Savoury }.SelectMany(product =>
        product.Process.Steps.Where(step => step.Wait is not null).SelectMany(wait => new (int Most, int Celsius)[] { (30, 20), (60, 20), (61, 20), (90, 20), (119, 20), (120, 20), (121, 20), (239, 20), (240, 20), (241, 20), (2000, 5), (2000, 6), (300, 57), (300, 56), (2000, 4) }
            .Select(at => (At: at, Changed: With(product, step => step.Id == wait.Id, step => step with { Celsius = at.Celsius, Wait = new Span(10, 20, at.Most) })))
            .Select(one => $"{product.Id} {wait.Id} up to {one.At.Most} min at {one.At.Celsius} °C: {Told.Of(TimeAndTemperature.Left(one.Changed))}"))));

    [Fact]
    public void Where_it_waits_for_its_pick_up_is_said_as_approved() => Approved.Matches("Safety/pick-up", new[] { Custard, Curd, Savoury }.SelectMany(product =>
        new int?[] { null, 4, 5, 6, 20, 56, 57, 58 }.Select(celsius => $"{product.Id} boxed at {celsius} °C: {Told.Of(TimeAndTemperature.Left(With(product, step => step.Id == "box", step => step with { Celsius = celsius })))}")));

    [Fact]
    public void Cautions_are_said_as_approved()
    {
        var egg = IngredientLibrary.Find("egg")!;
        RecipeLine Line(string id, string preparation = "") => new(IngredientLibrary.Find(id)!, preparation, Yield.Whole, Mass.FromGrams(10));
        var pear = TestBakery.Pear;
        Approved.Matches("Safety/cautions", [
            .. Said("nothing", pear),
            .. Said("egg in a topping", pear.Topped(Line("egg-white"))),
            .. Said("an egg wash", pear.Finished(Line("egg", "beaten, as wash"))),
            .. Said("milk as a wash", pear.Finished(Line("milk", "as Wash"))),
            .. Said("cream on top", pear.Finished(Line("cream"))),
            .. Said("something made of egg", pear.Filled([new RecipeLine(new IngredientFormula([Line("egg"), Line("sugar")], 1).Make(new Ingredient("sauce", "Sauce", [])), "", Yield.Whole, Mass.FromGrams(50))])),
            .. Said("rum", pear.Filled([Line("rum"), Line("white-wine"), Line("rum")])),
            .. Said("assessed", Custard with { Assessment = "Set hot and boxed dry." }),
            .. Said("assessed and left", With(Custard, step => step.Wait is not null, step => step with { Celsius = 20 }) with { Assessment = "By trial 7." }),
            .. Said("left and not assessed", With(Custard, step => step.Wait is not null, step => step with { Celsius = 20 })),
            .. Said("sealed", With(Savoury, step => step.Id == "fill", step => step with { Seals = true })),
            .. Said("words of its own", With(Custard, step => true, step => step with { Caution = "Mind the steam." })),
            .. Said("words already there", With(Custard, step => true, step => step with { Caution = "71 °C in the middle (USDA FSIS). At 5 °C or below (FDA Food Code 3-501.16)." })),
            .. Said("frozen before the oven", With(pear, step => step.Id == "firm", step => step with { Celsius = -18 }) with { Sizes = [.. Demonstration.Pans.Select(pan => new ProductSize(pan, null))] }),
            .. Said("just not frozen", With(pear, step => step.Id == "firm", step => step with { Celsius = -4 }) with { Sizes = [.. Demonstration.Pans.Select(pan => new ProductSize(pan, null))] }),
            .. Said("frozen early", With(pear, step => step.Id == "chill", step => step with { Celsius = -5 }) with { Sizes = [.. Demonstration.Pans.Select(pan => new ProductSize(pan, null))] }),
            DoughCautions.Of(pear.Dough), DoughCautions.Of(pear.Dough with { Caution = "Cold hands." }), DoughCautions.Of(pear.Dough with { Lines = [Line("flour"), new RecipeLine(egg, "", Yield.Whole, Mass.FromGrams(5))] }),
            DoughCautions.Of(pear.Dough with { Caution = "Cold hands.", Lines = [Line("flour")] }),
        ]);
    }
}
