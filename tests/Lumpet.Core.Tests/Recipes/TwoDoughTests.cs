using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>A base of one dough and what lies on it of another.</summary>
public sealed class TwoDoughTests
{
    private static readonly DoughFormula Rich = Flaky with
    {
        Id = "rich",
        Name = "Rich",
        Lines = [Line("rye", 500), Line("lard", 250)],
        Density = Density.FromGramsPerMillilitre(1.3),
        BowlLossShare = 0.05,
        Rest = new Span(120, 180, 2880),
    };

    private static readonly Product Two = Pear with { TopDough = Rich, Crust = Pear.Crust with { TopThickness = Length.FromMillimetres(2) } };

    [Fact]
    public void Each_piece_is_weighed_with_its_own_dough_and_thickness()
    {
        var (one, two) = (Scaling.Scale(Pear, Pan23, 1), Scaling.Scale(Two, Pan23, 1));
        // The same lid, 2 mm of 1.3 g/ml in place of 3 mm of 1.2.
        Assert.Equal(one.Pieces[1].Disc.Grams * (2 / 3.0) * (1.3 / 1.2), two.Pieces[1].Disc.Grams, 9);
        Assert.Equal(one.Pieces[0].Disc, two.Pieces[0].Disc);
        Assert.Equal([false, true], two.Pieces.Select(piece => piece.IsOnTop));
        Assert.Equal(two.Pieces[0].Disc.Grams / 0.99, two.Doughs.First().Lines.Sum(line => line.PerPie.Grams), 9);
        Assert.Equal(two.Pieces[1].Disc.Grams / 0.95, two.Doughs.Last().Lines.Sum(line => line.PerPie.Grams), 9);
        Assert.Equal(["dough", "top-dough", "filling", "finish"], two.Parts.Select(part => part.Part.Id));
        Assert.Equal(two.Pieces.Sum(piece => piece.Disc.Grams), two.DoughPerPie.Grams, 9);
        // Two thirds of what is weighed of it is rye: 500 of 750.
        Assert.Equal(two.Pieces[1].Disc.Grams / 0.95 * 2 / 3, two.Doughs.Last().Lines[0].PerPie.Grams, 9);
    }

    [Fact]
    public void Both_are_paid_for_and_missing_prices_of_either_are_said()
    {
        var cost = PieCost.Of(Scaling.Scale(Two, Pan23, 1), PriceList.On(new LocalDate(2026, 6, 1), [Price("rye", 1000, 2m)]));
        Assert.Contains("lard", cost.Missing);
        var rye = Assert.Single(cost.Lines, line => line.Ingredient.Id == "rye");
        Assert.Equal("top-dough", rye.Part.Id);
        Assert.Equal(rye.EdiblePortion * 0.002, (double)rye.Cost!.Value.Amount, 9);
    }

    [Fact]
    public void Trim_of_the_base_is_no_decoration_of_another_dough()
    {
        var cutOuts = Pear with { Crust = Pear.Crust with { Top = Top.CutOuts, CutOuts = 4, CutOutDiameter = Length.FromCentimetres(3) } };
        Assert.Equal(4, Scaling.Scale(cutOuts, Pan23, 1).Pieces[1].FromTrim);
        var other = Scaling.Scale(cutOuts with { TopDough = Rich }, Pan23, 1).Pieces[1];
        Assert.Equal(0, other.FromTrim);
        Assert.True(other.Disc > other.Mass);
    }

    [Fact]
    public void A_day_mixes_both_and_rests_each_as_it_needs()
    {
        var plan = DayPlanner.Plan(Snapshot(Order(Two, 8, 1020)));
        Assert.Equal(["flaky", "rich"], plan.Batches.Select(batch => batch.Dough.Id).Order());
        var rich = plan.Batches.Single(batch => batch.Dough.Id == "rich");
        Assert.All(rich.Discs, disc => Assert.EndsWith("lid", disc.Label, StringComparison.Ordinal));
        Assert.True(rich.NeededMin - rich.RestStartMin >= 120);
        Assert.Contains(PieWay.Of(Two, Pan23, 4).Lines, line => line.Name == "Rich");
    }

    [Fact]
    public void What_is_on_hand_of_dough_says_nothing_of_either()
    {
        var (answer, fault) = OnHand.Read("6 kg dough", Scaling.Scale(Two, Pan23, 1));
        Assert.Null(answer);
        Assert.Equal("It takes Flaky and Rich: one weight of dough says nothing of either.", fault);
    }
}
