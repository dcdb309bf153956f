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
    public void Temperatures_that_cannot_share_need_minutes_of_their_own_and_a_rise_between_them()
    {
        // 190 and 220: one tray each, 30 + 10 minutes, 8 and 3 by four shelves; from 25 to 220 at 8 a minute 25; one change of setting.
        var bound = Bound(Bake("pear"), Bake("hot", stages: [new BakeStage(220, 10, 10)]));
        Assert.Equal(8 + 3 + 25, bound.OvenOnMin);
        // One oven: the second group is a change.
        Assert.Equal((36 * 100) + 200, bound.Total);
    }

    [Fact]
    public void What_rises_in_the_oven_needs_no_empty_rise() =>
        // 190, then 220 in the same oven: it rises with the tray in it, after 21 minutes from 25 to 190; 30 and 10 minutes by four shelves.
        Assert.Equal(8 + 3 + 21, Bound(Bake("hotter", stages: [new BakeStage(190, 30, 30), new BakeStage(220, 10, 10)])).OvenOnMin);

    [Fact]
    public void Temperatures_within_the_tolerance_share_and_others_do_only_where_something_lies_between_them()
    {
        Bake At(string id, int celsius) => Bake(id, stages: [new BakeStage(celsius, 30, 30)]);
        // 190 and 195: 60 shelf minutes by four; the hottest group begins at 190.
        Assert.Equal(15 + 21, Bound(At("one", 190), At("two", 195)).OvenOnMin);
        // 190 and 200 both bear 195, but nothing bakes at it, so nothing sets it: 8 and 8, and 22 up to 200.
        Assert.Equal(8 + 8 + 22, Bound(At("one", 190), At("two", 200)).OvenOnMin);
        // Where something does, all three may share.
        Assert.Equal(23 + 21, Bound(At("one", 190), At("two", 200), At("between", 195)).OvenOnMin);
    }

    [Fact]
    public void Shelves_are_those_that_a_bake_may_use()
    {
        // 30 min of one tray on the two shelves of the small oven: 15; up to 190 there at 4 a minute: 42.
        var problem = Problem([Oven(), Oven("small", shelves: 2, heat: 4)], Bake("pear", ovens: ["small"]));
        Assert.Equal(15 + 21, LowerBounds.AllPlaced(problem).OvenOnMin);
    }

    [Fact]
    public void What_cannot_be_out_in_time_is_late_in_every_plan() =>
        // Released at 100, 30 min of bake, due at 110: 20 min late, six pies.
        Assert.Equal(((8 + 21) * 100) + (20 * 6 * 1000), Bound(Bake("pear", release: 100, due: 110)).Total);

    [Fact]
    public void Trays_without_pies_bind_nothing() => Assert.Equal(new BakePlanBound(0, 0), Bound(Bake("empty", trays: 3, pies: 0)));
}
