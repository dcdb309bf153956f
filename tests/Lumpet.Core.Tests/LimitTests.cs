using Lumpet.Core.Bakery;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests;

/// <summary>What every reader takes and no more, field by field, as approved.</summary>
public sealed class LimitTests
{
    private static readonly IngredientDraft Ingredient = new(
        "Quay syrup", ["milk"], ["nuts"], "sea syrup", "sugar", 1.3, "own", [new PieceDraft("pot", 40, "own")], [new YieldDraft("strained", 90, "own")], 5, true, 0.5, new PriceDraft("a supplier", 5, "kg", 20), "100 g sugar\n50 g water", 80, true, UsualMakings.For(PreparationKind.Puree) with { BatchLeastKg = 1 });

    private static readonly DoughFormula Flaky = DoughReader.Read(UsualDoughs.All[0], "dough", 1, IngredientLibrary.All).Dough!;

    private static readonly Pan[] Pans = [Tests.Recipes.Demonstration.Pans[0], .. Enumerable.Range(1, 70).Select(at => Tests.Recipes.Demonstration.Pans[0] with { Id = $"23-{at}" })];

    [Fact]
    public void An_ingredients_limits_are_as_approved() => Approved.Matches("Limits/ingredient", Limits.Of(Ingredient, draft =>
        IngredientReader.Read("quay-syrup", draft, "EUR", new LocalDate(2026, 5, 1), new Pantry(IngredientLibrary.All)).Faults.Count));

    [Fact]
    public void A_doughs_limits_are_as_approved() => Approved.Matches("Limits/dough", Limits.Of(UsualDoughs.All[2], draft => DoughReader.Read(draft, "dough", 1, IngredientLibrary.All).Faults.Count));

    [Fact]
    public void A_bakerys_limits_are_as_approved() => Approved.Matches("Limits/bakery", Limits.Of(BakeryReader.Suggestion("Europe/Lisbon") with { Name = "Quay" }, draft => BakeryReader.Read(draft).Faults.Count));

    public static TheoryData<string> Kinds => ["fruit-lid", "lattice", "cut-outs", "minis"];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_products_limits_are_as_approved(string kind)
    {
        Approved.Matches($"Limits/product-{kind}", Limits.Of(Good(kind), Faults));
    }

    [Fact]
    public void A_shared_doughs_limits_are_as_approved()
    {
        var good = Good("lattice") with { DoughGrams = 600, BaseSharePercent = 60, ShareGives = "strips", Sheet = "50 x 40" };
        string[] fields = ["DoughGrams", "BaseSharePercent", "ShareGives", "Sheet", "OverhangFromWall", "StripWidthCm", "StripGapCm", "ThicknessMm", "TopThicknessMm"];
        Approved.Matches("Limits/product-shared", Limits.Of(good, Faults).Where(line => fields.Contains(line.Split(':')[0])));
    }

    [Fact]
    public void A_layers_limits_are_as_approved()
    {
        var good = Good("custard");
        LayerDraft[] layers = [good.Layers![0]! with { Law = "count", Pieces = 5, Name = "Quinces" }, new() { Part = "beside", Law = "weight", Lines = "60 g Sugar, white", Name = "Sauce", KeptPercent = 90 }];
        Approved.Matches("Limits/layers", layers.SelectMany(layer =>
            Limits.Of(layer, one => Faults(good with { Layers = [.. layers.Select(other => other.Name == layer.Name ? one : other)] })).Prepend($"== {layer.Name}")));
    }

    [Fact]
    public void A_steps_limits_are_as_approved()
    {
        var good = Good("custard");
        Approved.Matches("Limits/steps", Enumerable.Range(0, good.Steps!.Count).Where(at => good.Steps[at]!.Id is "chill-lined" or "blind" or "bake" or "fill").SelectMany(at =>
            Limits.Of(good.Steps[at]!, step => Faults(good with { Steps = [.. good.Steps.Select((one, other) => other == at ? step : one)] })).Prepend($"== {good.Steps[at]!.Id}")));
    }

    private static int Faults(ProductDraft draft) => ProductReader.Read(draft, "quince", 1, "EUR", Pans, [Flaky], IngredientLibrary.All, []).Faults.Count;

    private static ProductDraft Good(string kind) => UsualProducts.All.Single(usual => usual.Id == kind).Draft.Filled("800 g quinces").Finished("4 g egg white") with
    {
        Name = "Quince",
        Aliases = "quinces",
        Dough = "dough",
        ReferencePan = "23",
        Sizes = [new SizeDraft("23", 18m, "Pie box")],
        Review = "a line",
        Assessment = "an assessment",
    };

    [Fact]
    public void What_is_said_of_every_field_at_once_is_as_approved()
    {
        var nothing = new ProductDraft { Layers = [null, new LayerDraft { Part = "hat" }, new LayerDraft { Law = "hat", FillingKind = "hat", Name = "<b>", PackedDensity = 9, KeptPercent = 1 }, new LayerDraft { Part = "beside", Law = "floor", Lines = "hats" }, new LayerDraft { Part = "topping", Law = "count", Lines = "1 g hats" }], Sizes = [null, new SizeDraft("99", -1m)], Steps = [null, new StepDraft { Stages = [null] }], Links = [null, new LinkDraft(null, null, null, null)] };
        Approved.Matches("Limits/empty-drafts", Told.Each(
        [
            .. ProductReader.Read(nothing, "quince", 1, "EUR", Pans, [Flaky], IngredientLibrary.All, []).Faults,
            .. ProductReader.Read(new ProductDraft(), "quince", 1, "EUR", [], [], [], ["quince"]).Faults,
            .. DoughReader.Read(new DoughDraft(), "dough", 1, []).Faults,
            .. IngredientReader.Read("x", new IngredientDraft(null, [null, "shoe"], ["hat"], null, "hat", -1, null, [null, new PieceDraft(null, null, null)], [new YieldDraft(null, null, null)], -1, null, -1, new PriceDraft(null, null, null, null), "flour\n3 hats", 4), "EUR", new LocalDate(2026, 5, 1)).Faults,
            .. BakeryReader.Read(new BakeryDraft(null, null, null, null, null, null, null, null, null, [new ShiftDraft(null, null, null, null)], [new OvenDraft(null, null, null, null, null, null, null)], [new(null, null, "hat", "hat", null, null, null, null, null, null, null)], "hat", ["hat"])).Faults,
            .. BakeryReader.Read(new BakeryDraft("a<b>", "x", "y", 1, 1, 1, "", 2, 1, null, null, null, null)).Faults,
        ]));
    }
}
