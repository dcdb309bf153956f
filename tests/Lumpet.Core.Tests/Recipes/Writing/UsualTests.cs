using Lumpet.Core.DayPlan;
using Lumpet.Core.Dough;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Writing;

public sealed class UsualTests
{
    private static readonly Pan Pan = new("23", "23 cm", Length.FromCentimetres(23), Length.FromCentimetres(19.5), Length.FromCentimetres(3.5), Length.FromCentimetres(1), 4);

    private static DoughFormula Dough(int at) => DoughReader.Read(UsualDoughs.All[at], "dough", 1, []).Dough!;

    public static TheoryData<string> Kinds => [.. UsualProducts.All.Select(usual => usual.Id)];

    private static Product Made(string kind)
    {
        var usual = UsualProducts.All.Single(one => one.Id == kind);
        var draft = usual.Draft with { Name = usual.Name, Dough = "dough", Filling = "800 g Quince, cooked", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m)] };
        var (product, fresh, faults) = ProductReader.Read(draft, kind, 1, "EUR", [Pan], [Dough(0)], [], []);
        Assert.Empty(faults);
        Assert.Equal(["Quince", "Pie box", "Label"], fresh.Select(one => one.Name));
        Assert.All(fresh, one => Assert.False(one.AllergensStated));
        return product!;
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_usual_chain_gives_a_plan_that_holds(string kind)
    {
        // From Friday noon: an afternoon, then a night, and a pick-up at eleven.
        var snapshot = new DaySnapshot(
            [new DayOrder(Made(kind), Pan, 8, 1380, "test")],
            [new DayShift("Afternoon", 0, 480), new DayShift("Night", 720, 1320)],
            [new DayOven("oven", "Oven", 4, 60, 280, 8, 4, 0)],
            new Mixer("Mixer", Mass.FromKilograms(1), Mass.FromKilograms(10)),
            5,
            2,
            30,
            2160);
        var plan = DayPlanner.Plan(snapshot);
        Assert.Empty(plan.Troubles);
        Assert.True(plan.Waves.Single().SpareMin >= 0);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_product_written_out_and_read_again_is_the_same(string kind)
    {
        var product = Made(kind);
        Ingredient[] known = [.. product.Filling.Lines.Select(line => line.Ingredient), .. product.Packaging];
        var (again, fresh, faults) = ProductReader.Read(ProductReader.Write(product), kind, 1, "EUR", [Pan], [product.Dough], known, []);
        Assert.Empty(faults);
        Assert.Empty(fresh);
        Assert.Equivalent(product, again, strict: true);
    }

    // The proportions of the trade: flour, fat, water by weight (common practice, no source).
    [Theory]
    [InlineData(0, 3, 2, 1)]
    [InlineData(1, 2, 2, 1)]
    [InlineData(2, 3, 2, 1)]
    public void Doughs_with_water_have_the_usual_proportions(int at, double flour, double fat, double water)
    {
        var grams = Dough(at).Lines.Select(line => line.Amount.Grams).ToArray();
        Assert.Equal(flour / water, grams[0] / grams[2], 1e-9);
        Assert.Equal(fat / water, grams[1] / grams[2], 1e-9);
    }

    // 2 flour : 1 butter, and 0.8 icing sugar in sweet tart dough; butter two thirds of the flour in the egg-bound one (common practice, no source).
    [Theory]
    [InlineData(3, 0.5)]
    [InlineData(4, 0.5)]
    [InlineData(5, 2.0 / 3)]
    public void Doughs_with_egg_have_the_usual_fat(int at, double fatPerFlour) =>
        Assert.Equal(fatPerFlour, Dough(at).Lines[1].Amount / Dough(at).Lines[0].Amount, 0.001);

    [Fact]
    public void A_dough_written_out_and_read_again_is_the_same() => Assert.All(UsualDoughs.All, draft =>
    {
        var dough = DoughReader.Read(draft, "dough", 1, []).Dough!;
        var again = DoughReader.Read(DoughReader.Write(dough), "dough", 1, dough.Lines.Select(line => line.Ingredient)).Dough;
        Assert.Equivalent(dough, again, strict: true);
    });
}
