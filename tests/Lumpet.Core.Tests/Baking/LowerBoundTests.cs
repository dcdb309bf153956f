using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Planning;
using Xunit;
using static Lumpet.Core.Tests.Baking.Problems;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Each argument of the lower bound, reckoned by hand.</summary>
public sealed class LowerBoundTests
{
    private static BakePlanBound Bound(params Bake[] bakes) => LowerBounds.AllPlaced(Problem([Oven()], bakes));

    [Fact]
    public void Shelf_minutes_need_oven_minutes_and_a_heat_up() =>
        // Five trays of 30 min on four shelves: 37.5, so 38; and 25 to 190 at 8 a minute is 21.
        Assert.Equal(38 + 21, Bound(Bake("pear", trays: 5)).OvenOnMin);

    [Fact]
    public void Temperatures_that_cannot_share_need_minutes_of_their_own()
    {
        // 190 and 220: one tray each, 30 + 10 minutes, 8 and 3 by four shelves; one change of setting.
        var bound = Bound(Bake("pear"), Bake("hot", stages: [new BakeStage(220, 10, 10)]));
        Assert.Equal(8 + 3 + 21, bound.OvenOnMin);
        Assert.Equal((32 * 100) + 200, bound.Total);
    }

    [Fact]
    public void Temperatures_within_twice_the_tolerance_may_share() =>
        // 190 and 200 both bear 195: 60 shelf minutes by four.
        Assert.Equal(15 + 21, Bound(Bake("pear"), Bake("other", stages: [new BakeStage(200, 30, 30)])).OvenOnMin);

    [Fact]
    public void What_cannot_be_out_in_time_is_late_in_every_plan() =>
        // Released at 100, 30 min of bake, due at 110: 20 min late, six pies.
        Assert.Equal(((8 + 21) * 100) + (20 * 6 * 1000), Bound(Bake("pear", release: 100, due: 110)).Total);

    [Fact]
    public void Trays_without_pies_bind_nothing() => Assert.Equal(new BakePlanBound(0, 0), Bound(Bake("empty", trays: 3, pies: 0)));
}
