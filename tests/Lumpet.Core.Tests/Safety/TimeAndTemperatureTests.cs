using Lumpet.Core.Steps.Writing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Safety;
using Lumpet.Core.Tests.Recipes.Writing;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Safety;

/// <summary>FDA Food Code 2022, 3-501.14, .16 and .19, from memory.</summary>
public sealed class TimeAndTemperatureTests
{
    private static ProductDraft Custard { get; } = Usual("custard").Filled("700 g Milk, whole\n4 Egg, whole\n95 g Sugar, white");

    private static ProductDraft Usual(string id) => UsualProducts.All.First(usual => usual.Id == id).Draft with
    {
        Name = "Any",
        Dough = "flaky",
        ReferencePan = "23",
        Sizes = [new SizeDraft("23", 18m)],
    };

    private static (Product? Product, IReadOnlyList<FieldFault> Faults) Read(ProductDraft draft, params Pan[] pans)
    {
        var (product, _, faults) = ProductReader.Read(draft, "any", 1, "EUR", pans.Length == 0 ? [Pan23] : pans, [Flaky, Drafted.Shell("shell")], IngredientLibrary.All, []);
        return (product, faults);
    }

    private static ProductDraft With(ProductDraft draft, string step, Func<StepDraft, StepDraft> change) =>
        draft with { Steps = [.. draft.Steps!.Select(one => one!.Id == step ? change(one) : one)] };

    [Fact]
    public void A_custard_that_cools_by_the_rule_can_be_saved() => Assert.Empty(Read(Custard).Faults);

    [Fact]
    public void A_custard_left_for_three_days_at_room_temperature_is_refused_with_the_rule()
    {
        var left = With(Custard, "rack", step => step with { WaitMost = 4320 });
        var fault = Assert.Single(Read(left).Faults);
        Assert.Equal("assessment", fault.Field);
        Assert.Contains("\"Cool on the rack, timed\" leaves it out of the cold for up to 72 h", fault.Message, StringComparison.Ordinal);
        Assert.Contains("3-501.14", fault.Message, StringComparison.Ordinal);
        Assert.Contains("licensed practice decide", fault.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(120, true)]
    [InlineData(121, false)]
    public void Two_hours_out_of_the_oven_are_the_most_before_the_cold(int most, bool isTaken) =>
        Assert.Equal(isTaken, Read(With(Custard, "rack", step => step with { WaitMost = most })).Faults.Count == 0);

    [Fact]
    public void Set_at_room_temperature_or_boxed_warm_it_leaves_the_rule_too()
    {
        Assert.Contains("3-501.1", Assert.Single(Read(With(Custard, "set", step => step with { Celsius = 20 })).Faults).Message, StringComparison.Ordinal);
        Assert.Contains("waits for its pick-up out of the cold", Assert.Single(Read(With(Custard, "box", step => step with { Celsius = 20 })).Faults).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Raw_filling_may_stand_for_four_hours_and_no_longer()
    {
        var steps = Custard.Steps!.Select(step => step!).ToList();
        steps.Insert(steps.FindIndex(step => step.Id == "whisk") + 1, new StepDraft { Id = "stand", Name = "Let it stand", Station = "bench", WaitLeast = 10, WaitAim = 20, WaitMost = 300, Celsius = 20 });
        var draft = Custard with { Steps = steps, Links = [.. Custard.Links!.Where(link => link!.From != "whisk"), new LinkDraft("whisk", "stand", 0, 0), new LinkDraft("stand", "fill", 0, 0)] };
        Assert.Contains("3-501.19", Assert.Single(Read(draft).Faults).Message, StringComparison.Ordinal);
        Assert.Empty(Read(With(draft, "stand", step => step with { WaitMost = 240 })).Faults);
    }

    [Fact]
    public void An_assessment_lets_it_leave_the_rule_and_stands_wherever_the_product_is()
    {
        var left = With(Custard, "rack", step => step with { WaitMost = 4320 }) with { Assessment = "pH 4.1 measured by our own laboratory on 3 May" };
        var (product, faults) = Read(left);
        Assert.Empty(faults);
        Assert.Contains(ProductCautions.Of(product!), said => said.Contains("pH 4.1 measured", StringComparison.Ordinal));
        Assert.Contains("pH 4.1 measured", StepCautions.Of(product!)["rack"], StringComparison.Ordinal);
        Assert.Equal(left.Assessment, ProductReader.Write(product!).Assessment);
        Assert.Equal("assessment", Read(left with { Assessment = "fine" }).Faults[0].Field);
    }

    [Fact]
    public void Fruit_needs_no_control_and_neither_do_its_dough_and_its_wash()
    {
        var (product, faults) = Read(Usual("fruit-lid").Filled("900 g Plums, pitted\n100 g Sugar, white").Finished("18 g Egg, whole, wash\n5 g Milk, whole, wash"));
        Assert.Empty(faults);
        Assert.Empty(TimeAndTemperature.Needs(product!));
    }

    [Theory]
    [InlineData("200 g Cream, heavy", "Cream, heavy")]
    [InlineData("20 g Egg, whole, wash", null)]
    public void A_finish_counts_what_is_not_brushed_on_before_the_bake(string finish, string? needs) =>
        Assert.Equal(needs is null ? [] : [needs], TimeAndTemperature.Needs(Pear.Finished(LineOf(finish))));

    [Fact]
    public void What_is_made_here_of_milk_and_egg_needs_control()
    {
        var curd = new IngredientFormula([LineOf("200 g Egg, whole"), LineOf("100 g Sugar, white")], 1).Make(new Ingredient("curd", "Curd", []));
        var product = Pear.Filled([new RecipeLine(curd, "", Yield.Whole, Mass.FromGrams(500))]);
        Assert.Equal(["Curd"], TimeAndTemperature.Needs(product));
        Assert.Contains(ProductCautions.Of(product), said => said.Contains("71 °C", StringComparison.Ordinal));
    }

    [Fact]
    public void Every_usual_way_of_making_a_pie_keeps_to_the_rule_whatever_is_in_it() => Assert.All(UsualProducts.All.Where(usual => usual.Draft.Layers![0]!.FillingKind is not ("rawFruit" or "precookedFruit" or "maceratedFruit" or "berry")), usual =>
    {
        var (_, faults) = Read(usual.Draft.Filled("300 g Milk, whole\n3 Egg, whole\n100 g Sugar, white") with { Name = "Any", Dough = usual.Id == "filled-shells" ? "shell" : "flaky", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m)] });
        Assert.True(faults.Count == 0, $"{usual.Id}: {string.Join("; ", faults)}");
    });

    [Fact]
    public void Cautions_follow_what_is_there()
    {
        var (eggless, faults) = Read(Custard.Filled("700 g Coconut milk\n40 g Corn starch\n95 g Sugar, white"));
        Assert.Empty(faults);
        Assert.All(StepCautions.Of(eggless!).Values, said => Assert.DoesNotContain("egg", said, StringComparison.OrdinalIgnoreCase));
        var (egg, _) = Read(Custard);
        Assert.Contains("Egg, whole can carry pathogens", StepCautions.Of(egg!)["whisk"], StringComparison.Ordinal);
        Assert.Contains("71 °C", StepCautions.Of(egg!)["bake"], StringComparison.Ordinal);
        Assert.DoesNotContain("71 °C", StepCautions.Of(egg!)["blind"], StringComparison.Ordinal);
        Assert.Contains("3-501.14", StepCautions.Of(egg!)["rack"], StringComparison.Ordinal);
        Assert.Contains("5 °C or below", StepCautions.Of(egg!)["box"], StringComparison.Ordinal);
    }

    [Fact]
    public void Glass_from_the_freezer_is_refused_until_it_is_accepted()
    {
        var glass = Pan23 with { Material = PanMaterial.Glass };
        var draft = Usual("fruit-lid").Filled("900 g Plums, pitted");
        Assert.Empty(Read(draft).Faults);
        Assert.Equal("glassFromFreezer", Assert.Single(Read(draft, glass).Faults).Field);
        var (product, faults) = Read(draft with { GlassFromFreezer = true }, glass);
        Assert.Empty(faults);
        Assert.Contains(ProductCautions.Of(product!), said => said.Contains("may crack", StringComparison.Ordinal));
        // From the fridge it may go.
        Assert.Empty(Read(With(draft, "firm", step => step with { Celsius = 4 }), glass).Faults);
    }

    private static RecipeLine LineOf(string text)
    {
        var read = RecipeLineReader.Read(text, new Pantry(IngredientLibrary.All)).Line!;
        return read.Of(read.Known!);
    }
}
