using Lumpet.Core.Ingredients;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Judging;

public sealed class JudgingTests
{
    private static DoughFormula Dough(string lines, DoughFamily family) =>
        DoughReader.Read(UsualDoughs.All[0] with { Lines = lines, Family = family.ToString() }, "dough", 1, IngredientLibrary.All).Dough!;

    private static Layer Filling(FillingKind kind, params string[] lines)
    {
        var pantry = new Pantry(IngredientLibrary.All);
        return Layered.Filling([.. lines.Select(text => RecipeLineReader.Read(text, pantry).Line!).Select(line => line.Of(line.Known!))], 0.9, kind);
    }

    [Fact]
    public void A_flaky_dough_of_450_300_150_is_3_to_2_to_1_and_usual()
    {
        // Flaky 3-2-1 by weight: 450 flour, 300 butter, 150 water (common practice, no source).
        var dough = Dough("450 g flour\n300 g butter\n150 g water", DoughFamily.Flaky);
        Assert.Equal("3 : 2 : 1", DoughRatio.Of(dough)!.InWords);
        Assert.All(DoughJudgement.Of(dough), finding => Assert.True(finding.IsUsual));
    }

    [Fact]
    public void Of_what_wets_a_dough_vinegar_is_none_and_a_spirit_counts_its_water()
    {
        // Vodka of 40 % by volume, 27.8 g a US fluid ounce, so 0.940 g/ml: 40 % of 0.789 g/ml (ethanol at 20 C, handbook) are
        // alcohol, and 66.4 % of its weight is water. 75 + 75 x 0.664 on 450 is 27.7 %.
        var ratio = DoughRatio.Of(Dough("450 g flour\n300 g butter\n75 g water\n75 g vodka\n15 g vinegar", DoughFamily.Flaky))!;
        Assert.Equal((75 + (75 * 0.6643)) / 450 * 100, ratio.LiquidPercent, 0.02);
        Assert.Equal(150.0 / 450 * 100, DoughRatio.Of(Dough("450 g flour\n300 g butter\n150 g water\n30 g vinegar", DoughFamily.Flaky))!.LiquidPercent, 9);
    }

    [Fact]
    public void A_flour_that_is_new_to_the_bakery_is_flour()
    {
        var ratio = DoughRatio.Of(Dough("250 g flour\n200 g Spelt flour\n300 g butter\n150 g water", DoughFamily.Flaky))!;
        Assert.Equal(450, ratio.FlourGrams);
        Assert.Equal("3 : 2 : 1", ratio.InWords);
    }

    [Fact]
    public void Where_there_is_no_starch_nothing_is_said_of_starch() =>
        Assert.Null(Thickening.For(Filling(FillingKind.RawFruit, "1000 g Plums, pitted", "120 g Sugar, white")));

    [Fact]
    public void Grams_and_cups_of_the_same_dough_are_judged_the_same()
    {
        // 3 1/2 cups of flour at 125 g are 437.5 g; 2 sticks and 2 tbsp of butter 255 g.
        var cups = DoughRatio.Of(Dough("3 1/2 cups flour\n2 sticks butter\n150 g water", DoughFamily.Flaky))!;
        var grams = DoughRatio.Of(Dough("437.5 g flour\n226.796 g butter\n150 g water", DoughFamily.Flaky))!;
        Assert.Equal(grams.FatPercent, cups.FatPercent, 3);
        Assert.Equal(grams.LiquidPercent, cups.LiquidPercent, 3);
    }

    [Theory]
    [InlineData("450 g flour\n450 g butter\n150 g water", "fat", "softens fast")]
    [InlineData("450 g flour\n150 g butter\n150 g water", "fat", "tough")]
    [InlineData("450 g flour\n300 g butter\n250 g water", "water and egg", "shrinks")]
    [InlineData("450 g flour\n300 g butter\n60 g water", "water and egg", "cracks")]
    [InlineData("450 g flour\n300 g butter\n150 g water\n90 g sugar", "sugar", "browns fast")]
    public void What_is_not_usual_says_what_to_expect(string lines, string part, string expect) =>
        Assert.Contains(expect, DoughJudgement.Of(Dough(lines, DoughFamily.Flaky)).Single(finding => finding.Part == part).Expect, StringComparison.Ordinal);

    [Fact]
    public void The_same_dough_is_usual_for_one_family_and_not_for_another()
    {
        const string Rich = "225 g flour\n226 g butter\n115 g water";
        Assert.All(DoughJudgement.Of(Dough(Rich, DoughFamily.VeryRich)), finding => Assert.True(finding.IsUsual));
        Assert.Contains(DoughJudgement.Of(Dough(Rich, DoughFamily.Flaky)), finding => !finding.IsUsual);
    }

    [Fact]
    public void A_dough_that_is_bought_in_is_not_judged()
    {
        var bought = Dough("1000 g Flaky dough, bought in", DoughFamily.BoughtIn);
        Assert.Null(DoughRatio.Of(bought));
        Assert.Empty(DoughJudgement.Of(bought));
    }

    [Theory]
    // 8 to 32 g of corn starch, or about twice as much flour, for 1 to 1.6 kg of fruit (common practice, no source).
    [InlineData("24 g corn starch", 24)]
    [InlineData("48 g flour", 24)]
    [InlineData("24 g tapioca starch", 24)]
    [InlineData("3 tbsp corn starch", 24)]
    public void Starches_are_compared_by_what_they_thicken(string starch, double cornStarch)
    {
        var thickening = Thickening.For(Filling(FillingKind.RawFruit, "1000 g pears, pared and cored", starch))!;
        Assert.Equal(cornStarch, thickening.PerKilogram, 0.01);
        Assert.Empty(thickening.Expect);
        Assert.Equal([("corn starch", 24), ("flour", 48), ("tapioca starch", 24)], thickening.Swaps.Select(swap => (swap.Starch, Math.Round(swap.Grams, 2))));
    }

    [Fact]
    public void Too_little_and_too_much_are_said_and_a_cream_is_measured_by_its_liquid()
    {
        Assert.Contains("run", Thickening.For(Filling(FillingKind.RawFruit, "1000 g plums, pitted", "2 g corn starch"))!.Expect, StringComparison.Ordinal);
        Assert.Contains("stiff", Thickening.For(Filling(FillingKind.RawFruit, "1000 g plums, pitted", "90 g corn starch"))!.Expect, StringComparison.Ordinal);
        // About 32 g per 650 ml of liquid (common practice, no source); milk weighs 1.031 g/ml.
        var cream = Thickening.For(Filling(FillingKind.CookedCream, "650 ml milk", "32 g corn starch"))!;
        Assert.Equal("liquid", cream.Of);
        Assert.Equal(32 / (0.65 * 1.0313), cream.PerKilogram, 0.05);
        Assert.Empty(cream.Expect);
        Assert.Null(Thickening.For(Filling(FillingKind.BakedCustard, "650 ml milk", "3 eggs")));
    }

    [Fact]
    public void A_line_is_compared_with_its_like_and_what_is_new_or_gone_is_shown()
    {
        KeptLine[] old = [new("filling", "Pears, firm", "pared and cored", 1000, ""), new("filling", "Sugar, white", "", 150, ""), new("finish", "Egg, whole", "wash", 18, "")];
        KeptLine[] fresh = [new("filling", "Pears, firm", "pared and cored, sliced", 1100, ""), new("filling", "Corn starch", "", 24, ""), new("finish", "Egg, whole", "wash", 18, "")];
        var rows = RecipeComparison.Of(old, fresh);
        Assert.Equal(
            [("Pears, firm, pared and cored, sliced", 1000, 1100), ("Corn starch", null, 24), ("Sugar, white", 150, null), ("Egg, whole, wash", 18, (double?)18)],
            rows.Select(row => (row.What, row.Old, row.New)));
        Assert.Equal(10, rows[0].ChangePercent!.Value, 9);
        Assert.True(rows[3].IsSame);
    }
}
