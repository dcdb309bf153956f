using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Ingredients;

/// <summary>What a bakery makes itself and uses in its recipes.</summary>
public sealed class IngredientFormulaTests
{
    private static readonly LocalDate Today = new(2026, 5, 1);

    private static IngredientDraft Draft(string name, string? madeOf, double? kept = null) =>
        new(name, [], [], "", null, null, null, [], [], null, null, null, null, madeOf, kept);

    private static (Ingredient? Ingredient, IReadOnlyList<FieldFault> Faults) Read(string id, string madeOf, params IEnumerable<Ingredient> known)
    {
        var (ingredient, _, faults) = IngredientReader.Read(id, Draft(id, madeOf, 80), "EUR", Today, new Pantry(IngredientLibrary.All.Concat(known)));
        return (ingredient is { Formula: { } formula } ? formula.Make(ingredient) : ingredient, faults);
    }

    private static Ingredient Praline => Read("praline", "200 g hazelnuts, toasted\n220 g sugar").Ingredient!;

    [Fact]
    public void It_carries_what_its_parts_carry_however_deep()
    {
        Assert.Equal(["nuts"], Praline.Allergens);
        var (cream, _) = Read("praline-cream", "300 g praline\n200 ml cream\n2 tbsp rum\n2 egg yolks", Praline);
        Assert.Equal(["egg", "milk", "nuts"], cream!.Allergens);
        Assert.True(cream.Facts.UnsafeRaw);
        Assert.Equal(40, cream.Facts.AlcoholPercent);
        Assert.True(cream.AllergensStated);
        var (doubtful, _) = Read("mix", "10 g dust\n10 g sugar", new Ingredient("dust", "Dust", [], AllergensStated: false));
        Assert.False(doubtful!.AllergensStated);
    }

    [Fact]
    public void It_costs_what_its_parts_cost_over_what_is_left()
    {
        // By hand: 200 g at 14 a kg and 220 g at 1.10 make 3.042; 80 % of 420 g are 336 g.
        var prices = PriceList.On(Today, [Price("hazelnut", 1000, 14m), Price("sugar", 1000, 1.10m)]);
        Assert.Equal(3.042 / 336, (double)prices.OfGram(Praline)!.Value.Amount, 9);
        var pie = Pear.Filled(new RecipeLine(Praline, "", Yield.Whole, Mass.FromGrams(100))).Finished() with { Dough = Flaky with { Lines = [new RecipeLine(IngredientLibrary.Find("sugar")!, "", Yield.Whole, Mass.FromGrams(1))] }, Packaging = [] };
        var cost = PieCost.Of(Scaling.Scale(pie, Pan23, 1), prices);
        Assert.Empty(cost.Missing);
        Assert.Equal(100 * 3.042 / 336, (double)cost.Lines.Single(line => line.Ingredient.Id == "praline").Cost!.Value.Amount, 6);
        // A part without a price leaves it incomplete, and a price of its own wins.
        Assert.Null(PriceList.On(Today, [Price("sugar", 1000, 1.10m)]).OfGram(Praline));
        Assert.Equal(0.02m, PriceList.On(Today, [Price("praline", 1000, 20m)]).OfGram(Praline)!.Value.Amount);
    }

    [Fact]
    public void What_is_made_first_adds_up_over_all_it_goes_into()
    {
        var (cream, _) = Read("praline-cream", "300 g praline\n200 g cream", Praline);
        var pie = Pear.Filled(new RecipeLine(cream!, "", Yield.Whole, Mass.FromGrams(500))).Finished(new RecipeLine(Praline, "", Yield.Whole, Mass.FromGrams(20)));
        var made = MadeHere.In(Scaling.Scale(pie, Pan23, 4));
        // 2000 g of cream, of which 80 % are left of 2500 weighed: 1500 g of praline, and 80 g on top.
        Assert.Equal(["praline-cream", "praline"], made.Select(one => one.Ingredient.Id));
        Assert.Equal([2000, 1580], made.Select(one => Math.Round(one.Wanted.Grams, 6)));
        Assert.Equal(1500, made[0].Ingredient.Formula!.For(made[0].Wanted)[0].Amount.Grams, 6);
    }

    [Theory]
    [InlineData("100 g praline", "cannot be made of itself")]
    [InlineData("100 g nougat", "a recipe cannot use itself")]
    [InlineData("100 g deep", "a recipe cannot use itself")]
    [InlineData("100 g stardust", "is new here")]
    [InlineData("some sugar", "not understood")]
    public void A_recipe_that_uses_itself_is_refused_however_deep(string madeOf, string why)
    {
        var nougat = Read("nougat", "100 g praline\n50 g sugar", Praline).Ingredient!;
        var deep = Read("deep", "100 g nougat\n50 g sugar", nougat).Ingredient!;
        var (_, faults) = Read("praline", madeOf, Praline, nougat, deep);
        var fault = Assert.Single(faults);
        Assert.Equal("madeOf", fault.Field);
        Assert.Contains(why, fault.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_was_written_comes_back_as_it_was()
    {
        var (ingredient, _, _) = IngredientReader.Read("praline", Draft("Praline", "1 cup hazelnuts, toasted\n220 g Sugar, white", 96), "EUR", Today, new Pantry(IngredientLibrary.All));
        var written = IngredientReader.Write(ingredient!);
        Assert.Equal(("1 cup Hazelnuts, toasted\n220 g Sugar, white", 96), (written.MadeOf, written.KeptPercent));
    }

    /// <summary>A tower: each storey is made of the one below twice over, and of sugar.</summary>
    private static Ingredient Tower(int storeys)
    {
        var top = Line("sugar", 100).Ingredient;
        for (var storey = 1; storey <= storeys; storey++)
        {
            RecipeLine Of(Ingredient part, double grams) => new(part, string.Empty, Yield.Whole, Mass.FromGrams(grams));
            top = new IngredientFormula([Of(top, 100), Of(top, 50), Of(Ingredient("sugar"), 50)], 1).Make(Ingredient($"storey-{storey}"));
        }

        return top;
    }

    [Fact]
    public void What_goes_into_much_else_is_reckoned_once()
    {
        // Forty storeys have a million million ways down; whoever walks them all never comes back.
        var tower = Tower(40);
        Assert.Equal(40, tower.Formula!.Everything.Count);
        var prices = PriceList.On(Today, [Price("sugar", 1000, 2m)]);
        // All of it is sugar in the end, and nothing is lost on the way.
        Assert.Equal(0.002, (double)prices.OfGram(tower)!.Value.Amount, 9);
        var product = Pear.Filled([new RecipeLine(tower, string.Empty, Yield.Whole, Mass.FromGrams(200))]);
        var made = MadeHere.In(Scaling.Scale(product, Pan23, 1));
        Assert.Equal(40, made.Count);
        // Of 200 g three quarters are the storey below, and so on down.
        Assert.All(made.Zip(made.Skip(1)), pair => Assert.Equal(0.75, pair.Second.Wanted / pair.First.Wanted, 9));
        Assert.Equal("storey-40", made[0].Ingredient.Id);
    }

    [Fact]
    public void A_thing_that_two_others_take_is_made_after_neither()
    {
        var one = Read("one", "100 g praline\n100 g sugar", Praline).Ingredient!;
        var both = Read("both", "100 g one\n50 g praline", Praline, one).Ingredient!;
        var product = Pear.Filled([new RecipeLine(both, string.Empty, Yield.Whole, Mass.FromGrams(120))]);
        var made = MadeHere.In(Scaling.Scale(product, Pan23, 1));
        Assert.Equal(["both", "one", "praline"], made.Select(one => one.Ingredient.Id));
        // 120 g of both take 100 of one and 50 of praline (80 % of 150 g are kept); 100 of one take 62.5 of praline.
        var factor = made[0].Wanted.Grams / 120;
        Assert.Equal(100 * factor, made[1].Wanted.Grams, 6);
        Assert.Equal((50 + 62.5) * factor, made[2].Wanted.Grams, 6);
    }

    [Fact]
    public void Things_lie_at_most_eight_deep_in_one_another()
    {
        var known = Enumerable.Range(1, 8).Select(Tower).ToArray();
        Assert.Null(IngredientReader.Nesting(Tower(8), known));
        Assert.Contains("at most 8 deep", IngredientReader.Nesting(Tower(9), known)!.Message, StringComparison.Ordinal);
        // Deepening the lowest deepens all above it.
        var lower = new IngredientFormula([Line("sugar", 1)], 1).Make(Ingredient("sugar-syrup"));
        var first = new IngredientFormula([new RecipeLine(lower, string.Empty, Yield.Whole, Mass.FromGrams(1))], 1).Make(Ingredient("storey-1"));
        Assert.Contains("at most 8 deep", IngredientReader.Nesting(first, [.. known, lower])!.Message, StringComparison.Ordinal);
        Assert.Null(IngredientReader.Nesting(first, [.. known[..7], lower]));
        // And round in a circle nothing goes at all.
        var circle = new IngredientFormula([new RecipeLine(known[5], string.Empty, Yield.Whole, Mass.FromGrams(1))], 1).Make(Ingredient("storey-2"));
        Assert.Contains("cannot use itself", IngredientReader.Nesting(circle, known)!.Message, StringComparison.Ordinal);
    }
}
