using System.Text.Json;
using CsCheck;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Safety;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>Whatever is weighed, costed, declared, bought and printed are the same lines, of every part.</summary>
public sealed class PartsTests
{
    private static readonly LocalDate Today = new(2026, 6, 1);

    private static readonly Ingredient[] Foods = [.. IngredientLibrary.All.Where(one => one.Facts.Role != IngredientRole.Packaging)];

    private static readonly Gen<RecipeLine[]> SomeLines = Gen.Select(Gen.Int[0, Foods.Length - 1], Gen.Double[0.5, 900]).Array[1, 5]
        .Select(lines => lines.Select(line => new RecipeLine(
            Foods[line.Item1], string.Empty, Foods[line.Item1].Facts.Yields is [var prepared, ..] ? prepared.Yield : Yield.Whole, Mass.FromGrams(line.Item2))).ToArray());

    private static readonly Gen<(Product Product, Pan Pan, int Count)> AnyProduct =
        Gen.Select(SomeLines, SomeLines, SomeLines, SomeLines, Gen.Bool, Gen.Int[1, 400]).Select(any =>
        {
            var (dough, filling, topping, finish, isLarge, count) = any;
            var product = Pear with
            {
                Dough = Flaky with { Lines = dough },
                Layers =
                [
                    new Layer("filling", PartKind.Filling, LayerLaw.Count, topping) { Pieces = 3, PackedDensity = Density.FromGramsPerMillilitre(1.6) },
                    Layered.Filling(filling.Select(line => line with { Amount = line.Amount * 4 }).ToArray(), 0.62) with { Id = "filling-2", KeptShare = 0.9 },
                    new Layer("topping", PartKind.Topping, LayerLaw.Top, topping),
                    new Layer("finish", PartKind.Finish, LayerLaw.Floor, finish),
                    new Layer("beside", PartKind.Beside, LayerLaw.Weight, finish),
                ],
                Sizes = [new ProductSize(Pan23, null), new ProductSize(Pan26, null) { Packaging = [Ingredient("large box")], PanBought = Ingredient("foil") }],
            };
            return (product, isLarge ? Pan26 : Pan23, count);
        });

    [Fact]
    public void No_list_of_lines_stands_beside_the_parts()
    {
        // Found by reflection, so that a part added later is missed here and nowhere else.
        var marked = new Dictionary<string, RecipeLine>();
        RecipeLine[] Mark(string what) => [marked[what] = Line(what, 10)];
        var product = Pear with
        {
            Dough = Flaky with { Lines = Mark("dough") },
            Layers = [.. Enum.GetValues<PartKind>().Where(LayerDrafts.IsLayer).Select(kind => new Layer(Naming.Of(kind), kind, LayerLaw.Top, Mark(Naming.Of(kind))))],
        };
        var lists = new[] { (object)product, product.Dough }.Concat(product.Layers)
            .SelectMany(owner => owner.GetType().GetProperties().Where(one => one.GetIndexParameters().Length == 0 && typeof(IEnumerable<RecipeLine>).IsAssignableFrom(one.PropertyType))
                .Select(one => (Name: $"{owner.GetType().Name}.{one.Name}", Lines: (IEnumerable<RecipeLine>)one.GetValue(owner)!)))
            .ToArray();
        Assert.True(lists.Length >= 5);
        Assert.All(lists, list => Assert.All(list.Lines, line => Assert.Contains(line, product.Parts.SelectMany(part => part.Lines))));
        Assert.Equal(marked.Values.ToHashSet(), product.AllLines.ToHashSet());
        Assert.Equal(Enum.GetValues<PartKind>().Where(kind => kind != PartKind.Packaging), product.Parts.Select(part => part.Kind));
    }

    [Fact]
    public void What_is_weighed_costed_declared_bought_and_printed_are_the_same_lines() => AnyProduct.Sample(any =>
    {
        var (product, pan, count) = any;
        var scaled = Scaling.Scale(product, pan, count);
        var cost = PieCost.Of(scaled, PriceList.On(Today, []));
        string[] weighed = [.. product.AllLines.Select(line => line.Ingredient.Id)];
        string[] counted = pan == Pan23 ? ["box"] : ["box", "large box", "foil"];

        Assert.Equal(weighed, scaled.AllLines.Select(line => line.Line.Ingredient.Id));
        Assert.Equal(counted, scaled.Packaging.Select(item => item.Id));
        Assert.Equal(weighed.Concat(counted), cost.Lines.Select(line => line.Ingredient.Id));
        Assert.Equal(cost.Lines.Select(line => line.Ingredient.Name).Distinct(), cost.Missing);
        Assert.Equal(product.AllLines.SelectMany(line => line.Ingredient.Allergens).Distinct().Order(StringComparer.Ordinal), product.Allergens);
        Assert.Equal(product.AllLines.Where(line => line.Ingredient.Facts.AlcoholPercent > 0).Select(line => line.Ingredient.Name).Distinct(), product.Alcohol);
        foreach (var raw in product.AllLines.Where(line => line.Ingredient.Facts.UnsafeRaw)) Assert.Contains(ProductCautions.Of(product), said => said.Contains(raw.Ingredient.Name, StringComparison.Ordinal));
        Assert.All(scaled.AllLines, line => Assert.Equal(line.Total.Grams / line.Line.Yield.Share, line.ToBuy.Grams, 6));
        using var printed = JsonDocument.Parse(RecipeJsonLd.Write(product));
        Assert.Equal(weighed.Length, printed.RootElement.GetProperty("recipeIngredient").GetArrayLength());
        Assert.All(product.AllLines.Zip(printed.RootElement.GetProperty("recipeIngredient").EnumerateArray()), pair => Assert.Contains(pair.First.Ingredient.Name, pair.Second.GetString(), StringComparison.Ordinal));
    }, iter: 300);

    [Fact]
    public void What_the_parts_cost_adds_up_to_the_pie() => AnyProduct.Sample(any =>
    {
        var (product, pan, _) = any;
        var scaled = Scaling.Scale(product, pan, 1);
        Price[] prices =
        [
            .. product.AllLines.Select(line => line.Ingredient.Id).Distinct().Select(id => Price(id, 1000, 3m)),
            .. product.AllPackaging.Select(one => new Price(one.Id, "a supplier", 100, PackUnit.Piece, new Money(40, "EUR"), new LocalDate(2026, 1, 1))),
        ];
        var cost = PieCost.Of(scaled, PriceList.On(Today, prices));
        // Everything at 3 a kilogram as bought, and 0.40 a piece: the sum can be worked without the parts.
        var expected = ((decimal)scaled.AllLines.Sum(line => line.ToBuy.Grams) * 0.003m) + (0.4m * scaled.Packaging.Count);
        Assert.Equal(expected, cost.Total!.Value.Amount, 6);
        Assert.Equal(expected, Enum.GetValues<PartKind>().Sum(part => cost.Of(part)?.Amount ?? 0), 6);
    }, iter: 200);

    [Fact]
    public void A_topping_is_part_of_the_cost_and_its_missing_price_is_said()
    {
        // 90 g flour at 0.86 and 60 g butter at 7.80 a kilogram: 0.0774 + 0.468, worked by hand.
        var crumble = Pear.Topped(Line("flour", 90), Line("butter", 60));
        var cost = PieCost.Of(Scaling.Scale(crumble, Pan23, 1), PriceList.On(Today, [Price("flour", 1000, 0.86m), Price("butter", 1000, 7.8m)]));
        Assert.Equal(0.5454m, cost.Of(PartKind.Topping)!.Value.Amount, 6);
        Assert.Null(PieCost.Of(Scaling.Scale(crumble, Pan23, 1), PriceList.On(Today, [Price("flour", 1000, 0.86m)])).Of(PartKind.Topping));
    }

    [Fact]
    public void A_pan_that_goes_with_the_pie_is_charged_where_it_is_used_and_nowhere_else()
    {
        var product = Pear with { Sizes = [new ProductSize(Pan23, null), new ProductSize(Pan26, null) { PanBought = Ingredient("foil") }] };
        Assert.DoesNotContain(PieCost.Of(Scaling.Scale(product, Pan23, 1), PriceList.On(Today, [])).Lines, line => line.Ingredient.Id == "foil");
        Assert.Single(PieCost.Of(Scaling.Scale(product, Pan26, 1), PriceList.On(Today, [])).Lines, line => line.Ingredient.Id == "foil");
    }

    [Fact]
    public void Packaging_by_size_and_a_bought_pan_are_written_and_read()
    {
        var foil = Pan26 with { BoughtAs = "foil-pan" };
        var draft = UsualProducts.All[0].Draft.Filled("800 g Plums") with { Name = "Any", Dough = "flaky", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m), new SizeDraft("26", null, "Pie box\nTray band")] };
        var (product, fresh, faults) = ProductReader.Read(draft, "any", 1, "EUR", [Pan23, foil], [Flaky], IngredientLibrary.All, []);
        Assert.Empty(faults);
        Assert.Equal("Tray band", Assert.Single(fresh).Name);
        Assert.Equal(["Pie box", "Tray band", "Foil pan"], product!.SizeIn("26")!.Beside.Select(one => one.Name));
        Assert.Empty(product.SizeIn("23")!.Beside);
        Assert.Equal("Pie box\nTray band", ProductReader.Write(product).Sizes![1]!.Packaging);
    }
}
