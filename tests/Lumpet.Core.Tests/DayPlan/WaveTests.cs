using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class WaveTests
{
    private static readonly Lot Pears = Lot.From([Order(Pear, 8, 600)])[0];
    private static readonly Lot Custards = Lot.From([Order(Custard, 4, 600)])[0];

    private static LotFate Fate(Lot lot, int late = 0, int unfit = 0, int notBaked = 0, int? done = 540) =>
        new(lot, lot.Count - late - unfit - notBaked, late, late > 0 ? 20 : 0, unfit, notBaked, done, PlanText.Empty, PlanText.Empty);

    [Fact]
    public void A_pick_up_is_boxed_when_the_last_of_its_pies_is()
    {
        var wave = new Wave(600, [Fate(Pears), Fate(Custards, done: 570)]);
        Assert.Equal((12, 12, 570, 30, true), (wave.Pies, wave.InTime, wave.BoxedMin, wave.SpareMin, wave.IsMet));
    }

    [Theory]
    [InlineData(1, 0)]
    [InlineData(0, 1)]
    public void One_pie_that_is_never_boxed_leaves_no_minute_at_which_all_are(int unfit, int notBaked)
    {
        var wave = new Wave(600, [Fate(Pears), Fate(Custards, unfit: unfit, notBaked: notBaked)]);
        Assert.Equal((1, 11, (int?)null, (int?)null, false), (wave.NotMade, wave.InTime, wave.BoxedMin, wave.SpareMin, wave.IsMet));
    }

    [Fact]
    public void One_pie_that_is_late_leaves_the_pick_up_unmet()
    {
        var wave = new Wave(600, [Fate(Pears, late: 1, done: 620)]);
        Assert.Equal((0, 7, 620, -20, false), (wave.NotMade, wave.InTime, wave.BoxedMin, wave.SpareMin, wave.IsMet));
    }

    [Fact]
    public void Only_those_with_a_name_are_named()
    {
        var lot = Assert.Single(Lot.From([Order(Pear, 2, 600) with { For = "" }, Order(Pear, 3, 600), Order(Pear, 1, 600)]));
        Assert.Equal(6, lot.Count);
        Assert.Equal(["kiosk"], lot.For);
    }
}
