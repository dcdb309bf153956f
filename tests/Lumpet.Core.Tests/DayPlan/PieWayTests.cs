using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using Lumpet.Core.Tests.Recipes;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class PieWayTests
{
    [Fact]
    public void A_way_is_as_long_as_its_work_its_bakes_and_what_is_wanted_of_its_waits()
    {
        var way = PieWay.Of(Pear, Pan23, 12);
        // By hand, for twelve: mix 30, rest 90, line 8 + 36, chill 45, fill 4 + 24, firm 20, bake 20 + 45, cool 360, box 2 + 12.
        Assert.Equal(30 + 90 + 44 + 45 + 28 + 20 + 65 + 360 + 14, way.Minutes);
        Assert.Equal([":mix", ":rest", "line", "chill", "fill", "firm", "bake", "cool", "box"], way.Lines[0].Pieces.Select(piece => piece.Step.Id));
        Assert.Equal((0, way.Minutes), (way.Lines[0].Pieces[0].StartMin, way.Lines[0].Pieces[^1].EndMin));
        // The pears, 10 + 36 min, run into the pie where it is filled.
        var filling = way.Lines[1];
        Assert.Equal(("Filling", 46), (filling.Name, filling.Pieces[0].EndMin - filling.Pieces[0].StartMin));
        Assert.Equal(way.Lines[0].Pieces.Single(piece => piece.Step.Id == "fill").StartMin, filling.JoinsMin);
        Assert.Equal(0, filling.JoinsLine);
        Assert.Null(way.Lines[0].JoinsMin);
    }

    [Fact]
    public void What_is_made_first_runs_into_what_takes_it()
    {
        Ingredient Made(string id, Span hold, params RecipeLine[] lines) => Ingredient(id) with
        {
            Formula = new IngredientFormula(lines, 1)
            {
                How = new Making(PreparationKind.Other, [Work("make", Station.Pot, 20, 5), Wait("cool", Station.Cold, 60, 90, 900)], new BatchLimits(Mass.Zero, Mass.FromGrams(4000), Mass.FromGrams(2500)), new Keeping(KeepPlace.Cold, hold, "stir")),
            },
        };
        var praline = Made("praline", new Span(0, 0, 900), Line("nuts", 100));
        var curd = Made("curd", new Span(0, 600, 9000), Line("egg", 80), new RecipeLine(praline, "", Yield.Whole, Mass.FromGrams(20)));
        var way = PieWay.Of(Custard.Filled([new RecipeLine(curd, "", Yield.Whole, Mass.FromGrams(979))]), Pan23, 4);
        Assert.Equal(["Oat custard", "Filling", "curd", "praline"], way.Lines.Select(line => line.Name));
        Assert.Equal([null, 0, 1, 2], way.Lines.Select(line => line.JoinsMin is null ? (int?)null : line.JoinsLine));
        // 3.916 kg: 20 + 5 x 3.916 = 40 min, cooled 90, kept the 600 that are wanted.
        Assert.Equal([40, 90, 600], way.Lines[2].Pieces.Select(piece => piece.EndMin - piece.StartMin));
        Assert.Equal(way.Lines[1].Pieces[0].StartMin, way.Lines[2].JoinsMin);
        Assert.Equal(way.Lines[2].Pieces[0].StartMin, way.Lines[3].JoinsMin);
        Assert.Equal("before use: stir", way.Lines[2].Pieces[2].Step.ReadyWhen);
        Assert.Equal(0, way.Lines.SelectMany(line => line.Pieces).Min(piece => piece.StartMin));
    }

    [Fact]
    public void On_no_line_two_things_happen_at_once_and_every_step_is_on_one() => Assert.All(Demonstration.Products, product =>
    {
        var way = PieWay.Of(product, product.ReferencePan, 6);
        foreach (var line in way.Lines) Assert.All(line.Pieces.Zip(line.Pieces.Skip(1)), pair => Assert.True(pair.Second.StartMin >= pair.First.EndMin, $"{product.Id}: {pair.First.Step.Id} {pair.Second.Step.Id}"));
        Assert.Equal(product.Process.Steps.Select(step => step.Id).Order(), way.Lines.SelectMany(line => line.Pieces).Select(piece => piece.Step.Id).Where(id => id[0] != ':').Order());
        Assert.All(way.Lines.Skip(1), line => Assert.True(line.Pieces[^1].EndMin <= line.JoinsMin));
    });

    [Fact]
    public void Ways_are_those_that_were_approved() => Approved.Matches("DayPlan/ways", Demonstration.Products.SelectMany(product =>
        Told.Each(PieWay.Of(product, product.Sizes[^1].Pan, 5).Lines.Select(line => (line.Name, line.JoinsMin, line.JoinsLine, string.Join(" ", line.Pieces.Select(piece => $"{piece.Step.Id} {piece.StartMin}-{piece.EndMin} {piece.Caution}"))))).Prepend($"== {product.Id}")));
}
