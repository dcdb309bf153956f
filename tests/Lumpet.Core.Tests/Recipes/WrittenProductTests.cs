using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>Products as people write them, each read, weighed, costed, planned, given out and taken in again.</summary>
public sealed class WrittenProductTests
{
    private static readonly LocalDate Today = new(2026, 6, 1);

    private static readonly Ingredient[] Known = [.. IngredientLibrary.All, .. WrittenProducts.Doughs.Select(dough => dough.AsIngredient()), .. WrittenProducts.MadeHere];

    public static TheoryData<WrittenProduct> Written => [.. WrittenProducts.All];

    private static Product Read(ProductDraft draft)
    {
        var (product, fresh, faults) = ProductReader.Read(draft, "written", 1, "EUR", Demonstration.Pans, ShellsMadeHere.With(WrittenProducts.Doughs, Known), Known, []);
        Assert.True(faults.Count == 0, string.Join("; ", faults));
        Assert.Empty(fresh);
        return product!;
    }

    [Fact]
    public void They_are_of_every_kind()
    {
        Product[] products = [.. WrittenProducts.All.Select(one => Read(one.Draft))];
        Assert.True(products.Length >= 30);
        Assert.Equal(Enum.GetValues<FillingKind>(), products.SelectMany(product => product.Fillings).Select(layer => layer.Filling).Distinct().Order());
        Assert.Equal(Enum.GetValues<Top>(), products.Select(product => product.Crust.Top).Distinct().Order());
        Assert.Equal(Enum.GetValues<Lining>(), products.Select(product => product.Crust.Lining).Distinct().Order());
        Assert.Equal(Enum.GetValues<BaseTreatment>(), products.Select(product => product.BaseTreatment).Distinct().Order());
        Assert.Equal(Enum.GetValues<DoughFamily>(), products.SelectMany(product => product.Doughs).Select(dough => dough.Method.Family).Distinct().Order());
        Assert.Equal(Enum.GetValues<LayerLaw>(), products.SelectMany(product => product.Layers).Select(layer => layer.Law).Distinct().Order());
        Assert.Equal(Enum.GetValues<PartKind>().Where(kind => kind != PartKind.Packaging), products.SelectMany(product => product.Parts).Select(part => part.Kind).Distinct().Order());
    }

    [Theory]
    [MemberData(nameof(Written))]
    public void It_weighs_and_buys_and_declares_what_was_worked_by_hand(WrittenProduct written)
    {
        var product = Read(written.Draft);
        Assert.Equal(written.FillingGrams, Scaling.Scale(product, product.ReferencePan, 1).FillingPerPie.Grams, 0.001);
        var ten = Scaling.Scale(product, product.ReferencePan, 10);
        Assert.Equal(written.Bought.Grams, ten.AllLines.Where(line => line.Line.Ingredient.Id == written.Bought.Ingredient).Where(IsOfALayer(ten)).Sum(line => line.ToBuy.Grams), 0.001);
        Assert.Equal(written.Allergens, string.Join(", ", product.Allergens));
    }

    private static Func<ScaledLine, bool> IsOfALayer(ScaledProduct scaled) => line => scaled.Parts.Where(part => part.Layer is not null).SelectMany(part => part.Lines).Contains(line);

    [Theory]
    [MemberData(nameof(Written))]
    public void It_costs_what_all_that_is_bought_for_it_costs(WrittenProduct written)
    {
        var product = Read(written.Draft);
        var scaled = Scaling.Scale(product, product.ReferencePan, 1);
        // Everything at 4 a kilogram as bought, what is made here by what goes into it; a box at 0.40.
        Price[] prices =
        [
            .. Known.Where(one => one.Formula is null).Select(one => TestBakery.Price(one.Id, 1000, 4m)).Where(price => price.IngredientId != "box"),
            new Price("box", "a supplier", 100, PackUnit.Piece, new Money(40, "EUR"), new LocalDate(2026, 1, 1)),
        ];
        double Bought(RecipeLine line, double grams) => line.Ingredient.Formula is { } formula
            ? formula.For(Mass.FromGrams(grams)).Sum(inner => Bought(inner, inner.Yield.AsPurchased(inner.Amount).Grams))
            : grams;
        var expected = (scaled.AllLines.Sum(line => Bought(line.Line, line.ToBuy.Grams)) * 0.004) + 0.4;
        var cost = PieCost.Of(scaled, PriceList.On(Today, prices));
        Assert.Empty(cost.Missing);
        Assert.Equal(expected, (double)cost.Total!.Value.Amount, 0.0001);
    }

    [Theory]
    [MemberData(nameof(Written))]
    public void A_day_makes_it_in_time(WrittenProduct written)
    {
        var product = Read(written.Draft);
        var plan = DayPlanner.Plan(TestBakery.Snapshot(new DayOrder(product, product.ReferencePan, 6, 1310, "kiosk")), effort: 4);
        Assert.True(plan.Fates.Sum(fate => fate.InTime) == 6, string.Join("; ", plan.Troubles));
        // What goes into it and is made here is made first, and in time.
        var everything = MadeHere.In(Scaling.Scale(product, product.ReferencePan, 6));
        Assert.Equal(everything.Where(one => !one.Ingredient.IsDough).Select(one => one.Ingredient.Id).Order(), plan.Made.Select(one => one.Batch.Made.Id).Distinct().Order());
        foreach (var one in everything)
        {
            var made = one.Ingredient.IsDough
                ? plan.Batches.Where(batch => batch.Dough.IngredientId == one.Ingredient.Id).SelectMany(batch => batch.Discs).Where(disc => disc.Piece is null).Sum(disc => disc.Disc.Grams * disc.Count)
                : plan.Made.Where(batch => batch.Batch.Made.Id == one.Ingredient.Id).Sum(batch => batch.Batch.Mass.Grams);
            Assert.True(made >= one.Wanted.Grams - 0.5, one.Ingredient.Name);
        }
    }

    [Theory]
    [MemberData(nameof(Written))]
    public void It_goes_out_and_comes_back_the_same(WrittenProduct written)
    {
        var product = Read(written.Draft);
        Assert.Equivalent(product, Read(ProductReader.Write(product)), strict: true);
        var elsewhere = new LibraryState(
            "EUR", CupCustom.UnitedStates, Known.ToDictionary(one => one.Id, one => one with { Facts = IngredientFacts.None }), Known, Demonstration.Pans, WrittenProducts.Doughs, [], Today);
        foreach (var text in new[] { LibraryFile.Of([], [], [], [product]).Write(), RecipeJsonLd.Write(product) })
        {
            var change = LibraryReader.Read(text, elsewhere);
            Assert.True(change.Faults.Count == 0, string.Join("; ", change.Faults));
            Assert.Equal(Told.Of(product), Told.Of(Assert.Single(change.Products)));
            Assert.Equivalent(product, Assert.Single(change.Products), strict: true);
        }
    }
}
