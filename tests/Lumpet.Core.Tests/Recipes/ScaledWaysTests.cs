using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>The ways to scale beside count and pan: by what is on hand, in whole eggs, and what to look at afterwards.</summary>
public sealed class ScaledWaysTests
{
    private static readonly Pantry Library = new(IngredientLibrary.All);

    private static RecipeLine Written(string text)
    {
        var line = RecipeLineReader.Read(text, Library).Line!;
        return line.Of(line.Known!);
    }

    private static readonly Product Fruit = Pear.Filled(Written("1000 g Pears, firm, pared and cored"), Written("150 g Sugar, white"), Written("0.4 g Cloves, ground"));

    private static readonly Product Curd = Custard.Filled(Written("700 g Milk, whole"), Written("3 Egg, whole"), Written("1 tin (397 g) Condensed milk, sweetened"))
        .Filling(filling => filling with { Filling = FillingKind.BakedCustard });

    [Fact]
    public void Pears_as_bought_are_enough_for_what_is_left_of_them()
    {
        // 14.2 kg at 78 % are 11.076 kg pared: 11 pies of 1 kg, and what is left is told as bought.
        var (answer, fault) = OnHand.Read("14.2 kg pears", Scaling.Scale(Fruit, Pan23, 1));
        Assert.Null(fault);
        Assert.Equal(11, answer!.Pies);
        Assert.Equal(14_200 - (11 * 1000 / 0.78), answer.Left.Grams, 6);
        Assert.Equal(14, OnHand.Read("14.2 kg pears, pared and cored", Scaling.Scale(Fruit, Pan23, 1)).Answer!.Pies);
    }

    [Theory]
    [InlineData("12 kg filling", 10)]
    // 1150.4 g at 0.62 g/ml take 1855.5 ml: 10 l are enough for five.
    [InlineData("10 l filling", 5)]
    public void Filling_and_dough_are_taken_as_they_are(string text, int pies) =>
        Assert.Equal(pies, OnHand.Read(text, Scaling.Scale(Fruit, Pan23, 1)).Answer!.Pies);

    [Theory]
    // A base of 32.93 cm, 3 mm thick, at 1.2 g/ml and 12 % trim is a disc of 348.3 g.
    [InlineData("6.95 kg dough", 19)]
    [InlineData("7 kg dough", 20)]
    public void Dough_is_enough_for_its_discs(string text, int pies) =>
        Assert.Equal(pies, OnHand.Read(text, Scaling.Scale(Fruit with { Crust = Fruit.Crust with { Top = Top.Open } }, Pan23, 1)).Answer!.Pies);

    [Theory]
    [InlineData("3 kg quinces", "takes no")]
    [InlineData("some pears", "not understood")]
    [InlineData("3 filling", "not counted")]
    public void What_it_does_not_take_is_said(string text, string why) =>
        Assert.Contains(why, OnHand.Read(text, Scaling.Scale(Fruit, Pan23, 1)).Fault, StringComparison.Ordinal);

    [Fact]
    public void What_is_on_hand_is_never_overdrawn_and_one_more_pie_would_be() =>
        Gen.Double[2, 90].Sample(kilograms =>
        {
            var answer = OnHand.Of("pears", Mass.FromKilograms(kilograms), Mass.FromGrams(1282));
            return answer.Left.Grams >= -1e-6 && answer.Left < answer.PerPie;
        });

    [Fact]
    public void Eggs_come_whole_in_three_ways()
    {
        var egg = WholePieces.In(Scaling.Scale(Curd, Pan26, 5)).Single(whole => whole.Piece == "Egg, whole");
        var factor = FillingScale.For(Curd, Pan26).Factor;
        Assert.Equal(15 * factor, egg.Exact, 6);
        Assert.Equal(Math.Round(15 * factor), egg.Nearest);
        Assert.Equal(((egg.Nearest / egg.Exact) - 1) * 100, egg.MovedPercent, 9);
        // At the count it names the eggs come out whole within a twentieth of an egg, and by how much is said.
        var at = 3 * factor * egg.At!.Pies;
        Assert.Equal(egg.At.Pieces, at, 0.05);
        Assert.Equal(((egg.At.Pieces / at) - 1) * 100, egg.At.MovedPercent, 9);
        Assert.Contains(WholePieces.In(Scaling.Scale(Curd, Pan23, 5)), whole => whole.Piece == "tin" && whole.Exact == 5);
    }

    [Fact]
    public void Butter_comes_in_sticks_only_where_it_was_written_in_sticks()
    {
        var sticks = Custard.Filled([Written("2 sticks Butter, unsalted"), Written("500 g Sugar, white")]);
        var weighed = Custard.Filled([Written("226 g Butter, unsalted"), Written("500 g Sugar, white")]);
        Assert.Equal(6, Assert.Single(WholePieces.In(Scaling.Scale(sticks, Pan23, 3))).Exact, 6);
        Assert.Empty(WholePieces.In(Scaling.Scale(weighed, Pan23, 3)));
    }

    [Fact]
    public void Large_factors_flag_spices_and_rounding_is_said_where_it_moves_something()
    {
        Assert.DoesNotContain(ScaleWarnings.Of(Scaling.Scale(Fruit, Pan23, 10)), said => said.Contains("Cloves", StringComparison.Ordinal));
        Assert.Contains(ScaleWarnings.Of(Scaling.Scale(Fruit, Pan23, 30)), said => said.StartsWith("Scaled 30 times: Cloves, ground", StringComparison.Ordinal));
        // 0.43 g on a scale of tenths shows 0.4: 7 % less.
        var little = Fruit.Filled([.. Fruit.MainFilling.Lines.Take(2), Written("0.43 g Cloves, ground")]);
        Assert.Contains(ScaleWarnings.Of(Scaling.Scale(little, Pan23, 1)), said => said.Contains("0.4 g for 0.43 g, 7 % less", StringComparison.Ordinal));
    }

    [Fact]
    public void A_bakery_may_weigh_an_ingredient_to_its_own_step()
    {
        Assert.Equal(1085, ScaleReading.GramsOf(Mass.FromGrams(1083.4), 5));
        Assert.Equal(12.25, ScaleReading.GramsOf(Mass.FromGrams(12.2), 0.25));
        Assert.Equal(12.2, ScaleReading.GramsOf(Mass.FromGrams(12.2), null));
    }

    [Fact]
    public void A_deeper_pan_is_estimated_to_bake_longer_and_the_reference_pan_as_written()
    {
        var deep = Core.Pans.Pan.Round("deep", "deep", Length.FromCentimetres(26), Length.FromCentimetres(23), Length.FromCentimetres(5.5), Length.FromCentimetres(1), 2);
        var shallow = Core.Pans.Pan.Round("mini", "mini", Length.FromCentimetres(8), Length.FromCentimetres(6), Length.FromCentimetres(2.5), Length.Zero, 30);
        var (same, longer, shorter) = (BakeEstimate.For(Custard, Pan23)!, BakeEstimate.For(Custard, deep)!, BakeEstimate.For(Custard, shallow)!);
        Assert.Equal((40.0, 50.0), (same.Least, same.Most));
        Assert.True(longer.Least > 40 && longer.Most > longer.Least && shorter.Most < 50);
        // Between depth and its square, each from the nearer end of what is written.
        Assert.Equal(40 * longer.Likeness, longer.Least, 9);
        Assert.Equal(50 * longer.Likeness * longer.Likeness, longer.Most, 9);
    }

    [Fact]
    public void A_wide_flat_filling_is_measured_by_half_its_depth()
    {
        // Volume over surface of a slab that is wide against its depth is half its depth.
        var wide = Core.Pans.Pan.Round("wide", "wide", Length.FromCentimetres(5000), Length.FromCentimetres(5000), Length.FromCentimetres(4), Length.Zero, 1);
        var product = Custard with { ReferencePan = Pan23, Sizes = [new ProductSize(Pan23, null), new ProductSize(wide, null)] };
        var level = FillingScale.For(product, wide).Level.Height.Centimetres;
        Assert.Equal(level / 2, BakeEstimate.For(product, wide)!.Depth.Centimetres, 0.01);
    }

    [Fact]
    public void A_filling_that_boils_down_goes_in_lighter_than_it_was_weighed()
    {
        var reduced = Fruit.Filling(filling => filling with { KeptShare = 0.8 });
        var scaled = Scaling.Scale(reduced, Pan23, 1);
        Assert.Equal(1150.4 * 0.8, scaled.FillingPerPie.Grams, 6);
        Assert.Equal(1000, scaled.Fillings.First().Lines[0].PerPie.Grams, 6);
        Assert.Equal(1, scaled.FillingScale.Factor, 9);
    }

    [Fact]
    public void A_topping_is_scaled_by_the_area_of_the_top()
    {
        var topped = Fruit.Topped(Written("100 g Flour, plain"));
        var line = Assert.Single(Scaling.Scale(topped, Pan26, 3).Part(PartKind.Topping).Lines);
        // Outer rims of 25 and 28 cm.
        Assert.Equal(100.0 * 28 * 28 / (25 * 25) * 3, line.Total.Grams, 6);
        Assert.Contains("wheat", topped.Allergens);
    }

    [Fact]
    public void Of_two_bakes_of_a_filling_the_last_one_is_estimated()
    {
        var browned = Pear with { Process = Pear.Process with { Steps = [.. Pear.Process.Steps, new Step("brown", "Brown", Station.Oven, null, [new BakeStage(240, 5, 8)], null, null, false, "", "")] } };
        Assert.Equal((5, 8), (BakeEstimate.For(browned, Pan26)!.WrittenLeast, BakeEstimate.For(browned, Pan26)!.WrittenMost));
        // Two stages before the browning: 20 and 45 minutes at least.
        Assert.Equal(65, BakeEstimate.For(Pear, Pan26)!.WrittenLeast);
    }
}
