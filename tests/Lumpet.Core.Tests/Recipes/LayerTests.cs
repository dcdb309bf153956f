using CsCheck;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>Layers and the laws by which they follow the pan.</summary>
public sealed class LayerTests
{
    private static Layer Layer(string id, LayerLaw law, double grams, double density = 1, PartKind part = PartKind.Filling) =>
        new(id, part, law, [Line(id, grams)]) { PackedDensity = Density.FromGramsPerMillilitre(density), Pieces = law == LayerLaw.Count ? 12 : 0 };

    private static Product Of(params Layer[] layers) => Pear with { Layers = layers, BakeChange = Length.Zero, Crust = Pear.Crust with { Top = Top.Open } };

    private static double Factor(Product product, Pan pan, string id) => Scaling.Scale(product, pan, 1).Parts.Single(part => part.Part.Id == id).Factor;

    [Fact]
    public void Halves_go_by_the_piece_a_paste_by_the_floor_and_a_set_weight_stays()
    {
        var tart = Of(Layer("paste", LayerLaw.Floor, 200), Layer("halves", LayerLaw.Count, 420), Layer("jam", LayerLaw.Weight, 60), Layer("glaze", LayerLaw.Top, 40, part: PartKind.Finish));
        // With the rim the tops are 25 and 28 cm across: 12 x (28 / 25)^2 = 15.05, so 15 halves, 35 g each as in 420 / 12.
        Assert.Equal(15, LayerScale.Pieces(tart.Layers[1], tart, Pan26));
        Assert.Equal(15 * 35, Scaling.Scale(tart, Pan26, 1).Parts[2].PerPie.Grams, 9);
        Assert.Equal(1.2544, Factor(tart, Pan26, "glaze"), 9);
        Assert.Equal(1, Factor(tart, Pan26, "jam"));
        // Floors between the dough walls, by their diameters.
        var (small, large) = (Pan23.Lined(tart.Crust.Thickness).Bottom.Length.Centimetres, Pan26.Lined(tart.Crust.Thickness).Bottom.Length.Centimetres);
        Assert.Equal(Math.Pow(large / small, 2), Factor(tart, Pan26, "paste"), 9);
        // What has no room to fill stands as high as it comes to.
        Assert.Equal(Scaling.Scale(tart, Pan26, 1).FillingPerPie.Grams, Scaling.Scale(tart, Pan26, 1).FillingScale.Room.Millilitres, 6);
    }

    [Fact]
    public void At_least_one_piece_lies_on_the_smallest_pie()
    {
        var mini = Pan.Round("mini", "Mini", Length.FromCentimetres(4), Length.FromCentimetres(3.5), Length.FromCentimetres(2), Length.Zero, 24);
        var halves = Layer("halves", LayerLaw.Count, 24) with { Pieces = 3 };
        Assert.Equal(1, LayerScale.Pieces(halves, Of(halves), mini));
        Assert.Equal(8, Scaling.Scale(Of(halves), mini, 1).Parts[1].PerPie.Grams, 9);
        Assert.Equal(0, LayerScale.Pieces(Layer("jam", LayerLaw.Weight, 9), Of(halves), mini));
    }

    [Fact]
    public void What_fills_the_room_shares_what_the_others_leave()
    {
        // 100 ml of paste stay 100 ml; custard and fruit, 400 ml and 200 ml as written, take the rest, 2 to 1.
        var pie = Of(Layer("paste", LayerLaw.Weight, 100), Layer("custard", LayerLaw.Room, 420, 1.05), Layer("fruit", LayerLaw.Room, 160, 0.8));
        var (there, room) = (Scaling.Scale(pie, Pan26, 1), FillingScale.For(pie, Pan26).Room.Millilitres);
        Assert.Equal(700, there.FillingScale.Written.Millilitres, 9);
        Assert.Equal((room - 100) / 600, Factor(pie, Pan26, "custard"), 9);
        Assert.Equal(Factor(pie, Pan26, "custard"), Factor(pie, Pan26, "fruit"), 12);
        Assert.Equal(100 + (1.05 * 400 * (room - 100) / 600) + (0.8 * 200 * (room - 100) / 600), there.FillingPerPie.Grams, 6);
    }

    [Fact]
    public void In_the_pan_for_which_it_is_written_every_layer_is_as_written_and_in_any_pan_the_fillings_fill_their_room()
    {
        var any = Gen.Select(Gen.Enum<LayerLaw>(), Gen.Double[20, 120], Gen.Double[0.4, 1.4]).Array[1, 4].Select(layers => Of(
        [
            .. layers.Select((one, at) => Layer($"layer-{at}", one.Item1, one.Item2, one.Item3)),
            Layer("rest", LayerLaw.Room, 700, 0.9) with { KeptShare = 0.8 },
        ]));
        any.Sample(pie =>
        {
            Assert.All(Scaling.Scale(pie, Pan23, 1).Parts.Skip(1), part => Assert.Equal(1, part.Factor, 9));
            foreach (var pan in new[] { Pan23, Pan26 })
            {
                var scaled = Scaling.Scale(pie, pan, 3);
                Assert.Equal(scaled.FillingScale.Room.Millilitres, scaled.Fillings.Sum(part => (part.PerPie / part.Layer!.PackedDensity).Millilitres), 6);
                Assert.Equal(scaled.FillingPerPie.Grams, scaled.Fillings.Sum(part => part.Lines.Sum(line => line.Total.Grams) / 3 * part.Layer!.KeptShare), 6);
                Assert.Equal(scaled.FillingPerPie.Grams, (scaled.FillingScale.Room * scaled.FillingDensity).Grams, 6);
            }
        });
    }

    [Fact]
    public void A_pan_that_other_layers_fill_is_refused_and_says_by_how_much()
    {
        var mini = Pan.Round("mini", "Mini", Length.FromCentimetres(8), Length.FromCentimetres(7), Length.FromCentimetres(2), Length.Zero, 24);
        var pie = Of(Layer("paste", LayerLaw.Weight, 300), Layer("custard", LayerLaw.Room, 600));
        Assert.Contains("its other layers take 300 ml", Assert.Throws<ArgumentException>(() => Scaling.Scale(pie, mini, 1)).Message, StringComparison.Ordinal);
        Assert.Throws<InvalidOperationException>(() => LayerScale.Factor(pie.Layers[1], pie, Pan26));
    }

    [Fact]
    public void The_uppermost_filling_decides_whether_it_runs_over()
    {
        // A custard over raw fruit finds its level; raw fruit over a custard is heaped.
        Layer custard = Layer("custard", LayerLaw.Room, 900) with { Filling = FillingKind.BakedCustard }, fruit = Layer("fruit", LayerLaw.Room, 500);
        Assert.Equal("above the brim", FillingRoom.Of(Scaling.Scale(Of(fruit, custard), Pan23, 1))!.Why);
        Assert.Null(FillingRoom.Of(Scaling.Scale(Of(custard, fruit), Pan23, 1)));
    }

    [Fact]
    public void The_filling_that_takes_the_most_room_gives_a_pie_its_kind_and_any_that_is_baked_bakes_it()
    {
        Layer curd = Layer("curd", LayerLaw.Room, 500) with { Filling = FillingKind.Curd }, paste = Layer("paste", LayerLaw.Room, 400, 0.7) with { Filling = FillingKind.NutPaste };
        Assert.Equal("paste", Of(curd, paste).MainFilling.Id);
        Assert.True(Of(curd, paste).IsFillingBaked);
        Assert.False(Of(curd).IsFillingBaked);
    }

    [Fact]
    public void A_sauce_beside_is_cared_for_by_itself_and_asks_nothing_of_the_pie()
    {
        var sauce = new Layer("beside", PartKind.Beside, LayerLaw.Weight, [new RecipeLine(IngredientLibrary.Find("cream")!, "", Yield.Whole, Mass.FromGrams(60)), new RecipeLine(IngredientLibrary.Find("yolk")!, "", Yield.Whole, Mass.FromGrams(20))]) { Name = "Sauce" };
        var pie = Pear with { Layers = [.. Pear.Layers, sauce] };
        Assert.Equal(TimeAndTemperature.Needs(Pear), TimeAndTemperature.Needs(pie));
        string[] said = [.. ProductCautions.Of(pie).Except(ProductCautions.Of(Pear))];
        Assert.Contains(said, one => one.StartsWith("Sauce: kept at 5 °C or below", StringComparison.Ordinal));
        Assert.Contains(said, one => one.StartsWith("Sauce: its egg reaches 71 °C", StringComparison.Ordinal));
        Assert.Contains("milk", pie.Allergens);
        Assert.Equal(["Sauce: kept at 5 °C or below until it is handed over (FDA Food Code 3-501.16)."], Beside("cream"));
        Assert.Empty(Beside("sugar"));

        static IEnumerable<string> Beside(string id) =>
            ProductCautions.Of(Pear.Of(PartKind.Beside, [new RecipeLine(IngredientLibrary.Find(id)!, "", Yield.Whole, Mass.FromGrams(60))])).Where(one => one.Contains("handed over", StringComparison.Ordinal) || one.Contains("stove", StringComparison.Ordinal))
                .Select(one => one.Replace("What is served beside it", "Sauce", StringComparison.Ordinal));
    }

    [Fact]
    public void Each_layer_is_taken_where_it_is_prepared_and_a_sauce_with_the_last_step()
    {
        Ingredient Made(string id) => new IngredientFormula([Line("sugar", 100)], 1) { How = MakingReader.Read(new FieldChecks(), "making", UsualMakings.For(PreparationKind.Syrup)) }.Make(Ingredient(id));
        RecipeLine[] Lines(string id) => [new RecipeLine(Made(id), "", Yield.Whole, Mass.FromGrams(80))];
        var pie = Custard with
        {
            Layers =
            [
                new Layer("filling", PartKind.Filling, LayerLaw.Room, Lines("one")) { PackedDensity = Density.FromGramsPerMillilitre(1) },
                new Layer("filling-2", PartKind.Filling, LayerLaw.Floor, Lines("two")) { PackedDensity = Density.FromGramsPerMillilitre(1) },
                new Layer("topping", PartKind.Topping, LayerLaw.Top, Lines("three")),
                new Layer("beside", PartKind.Beside, LayerLaw.Weight, Lines("four")),
            ],
            Process = new ProcessNetwork([Work("toast", Station.Bench, 5, 1), .. Custard.Process.Steps], [new Link("toast", "pour", Span.Between(0, 60)), .. Custard.Process.Links]),
        };
        var takes = MadeFirst.In(pie).ToDictionary(one => one.Made.Id, one => one.Step.Id);
        Assert.Equal(["Oat custard", "Filling", "Filling"], PieWay.Of(pie, Pan23, 1).Lines.Take(3).Select(line => line.Name));
        var called = pie with { Layers = [pie.Layers[0], pie.Layers[1] with { Name = "Nuts" }, .. pie.Layers.Skip(2)] };
        Assert.Equal(["Oat custard", "Filling", "Nuts"], PieWay.Of(called, Pan23, 1).Lines.Take(3).Select(line => line.Name));
        Assert.Equal("Topping", PieWay.Of(pie with { Layers = [pie.Layers[0], pie.Layers[2]] }, Pan23, 1).Lines[2].Name);
        Assert.Equal(new Dictionary<string, string> { ["one"] = "toast", ["two"] = "whisk", ["three"] = "pour", ["four"] = "box" }, takes);
    }
}
