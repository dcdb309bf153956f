using CsCheck;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

/// <summary>A size that bakes for a time of its own.</summary>
public sealed class SizeBakeTests
{
    private static Step Baked(params BakeStage[] stages) => new("bake", "Bake", Station.Oven, null, stages, null, null, false, "", "");

    private static IReadOnlyList<BakeStage> Stages(SizeBake bake, params BakeStage[] written) => bake.In(new ProcessNetwork([Baked(written)], [])).Steps[0].Stages;

    [Fact]
    public void The_first_stage_sets_the_crust_and_the_others_share_what_is_left()
    {
        // 220 for 20 to 25 min, then 190 for 45 to 55: in 40 to 50 min in all, 20 to 25 are left for the second.
        Assert.Equal([new BakeStage(220, 20, 25), new BakeStage(190, 20, 25)], Stages(new SizeBake(40, 50), new BakeStage(220, 20, 25), new BakeStage(190, 45, 55)));
        // 30 left, shared 1 to 2.
        Assert.Equal([20, 10, 20], Stages(new SizeBake(50, 60), new BakeStage(220, 20, 20), new BakeStage(190, 15, 20), new BakeStage(170, 30, 40)).Select(stage => stage.MinMin));
        Assert.Equal([new BakeStage(175, 12, 16)], Stages(new SizeBake(12, 16), new BakeStage(175, 30, 40)));
    }

    [Fact]
    public void A_mini_that_bakes_for_less_than_the_first_stage_shrinks_them_all() =>
        Assert.Equal([new BakeStage(220, 5, 6), new BakeStage(190, 10, 13)], Stages(new SizeBake(15, 19), new BakeStage(220, 20, 25), new BakeStage(190, 40, 55)));

    [Fact]
    public void A_size_never_bakes_longer_than_it_says()
    {
        // 2 min are over the least, so the first stage may take 22 of its 25, and the second no more than its least.
        Assert.Equal([new BakeStage(220, 20, 22), new BakeStage(190, 20, 20)], Stages(new SizeBake(40, 42), new BakeStage(220, 20, 25), new BakeStage(190, 45, 55)));
        Assert.Equal([new BakeStage(220, 20, 23), new BakeStage(190, 2, 2)], Stages(new SizeBake(22, 25), new BakeStage(220, 20, 25), new BakeStage(190, 45, 55)));
    }

    [Fact]
    public void Minutes_add_up_and_no_stage_is_lost() =>
        Gen.Select(Gen.Select(Gen.Int[1, 60], Gen.Int[0, 30]).Array[1, 4], Gen.Int[4, 300], Gen.Int[0, 60]).Sample(any =>
        {
            var (written, least, more) = any;
            var stages = Stages(new SizeBake(least, least + more), [.. written.Select(stage => new BakeStage(180, stage.Item1, stage.Item1 + stage.Item2))]);
            Assert.Equal(written.Length, stages.Count);
            Assert.Equal(least, stages.Sum(stage => stage.MinMin));
            Assert.All(stages, stage => Assert.True(stage.MinMin >= 1 && stage.MaxMin >= stage.MinMin));
            Assert.Equal(least + more, stages.Sum(stage => stage.MaxMin));
        });

    [Fact]
    public void Only_the_bake_of_the_filled_pie_has_it_and_weights_come_out_while_it_bakes()
    {
        var custard = Custard with { Sizes = [new ProductSize(Pan23, null), new ProductSize(Pan26, null) { Bake = new SizeBake(50, 58) }] };
        var (small, large) = (custard.ProcessIn(Pan23).Steps, custard.ProcessIn(Pan26).Steps);
        Assert.Same(custard.Process, custard.ProcessIn(Pan23));
        Assert.Equal(small.Where(step => step.Id != "bake"), large.Where(step => step.Id != "bake"));
        Assert.Equal([new BakeStage(170, 50, 58)], large.Single(step => step.Id == "bake").Stages);
        var shells = new ProcessNetwork([Baked(new BakeStage(190, 40, 45)) with { WeightsOutMin = 15 }], []);
        Assert.Equal([15, null], new[] { 15, 14 }.Select(minutes => new SizeBake(minutes, 20).In(shells).Steps[0].WeightsOutMin));
        var blind = new ProcessNetwork([Baked(new BakeStage(190, 40, 45)) with { Bakes = BakeOf.Shell }], []);
        Assert.Same(blind, new SizeBake(9, 9).In(blind));
    }

    [Fact]
    public void The_day_bakes_each_size_for_its_own_time()
    {
        var custard = Custard with { Sizes = [new ProductSize(Pan23, null) { Bake = new SizeBake(20, 25) }, new ProductSize(Pan26, null)] };
        var plan = DayPlanner.Plan(Snapshot(Order(custard, 4, 1100), Order(custard, 4, 1100, Pan26)));
        int[] Minutes(string pan) => [.. plan.Tasks.Where(task => task.StepId == "bake" && plan.Lot(task.LotId!).Pan.Id == pan).Select(task => task.EndMin - task.StartMin).Distinct()];
        Assert.All(Minutes("23"), minutes => Assert.InRange(minutes, 20, 25));
        Assert.All(Minutes("26"), minutes => Assert.InRange(minutes, 40, 50));
        // The screen shows it as stated, so nothing is estimated; the other size is reckoned from it.
        Assert.Null(BakeEstimate.For(custard, Pan23));
        Assert.Equal((20, 25), (BakeEstimate.For(custard, Pan26)!.WrittenLeast, BakeEstimate.For(custard, Pan26)!.WrittenMost));
        Assert.Contains(PieWay.Of(custard, Pan23, 1).Lines[0].Pieces, piece => piece.Step.Id == "bake" && piece.Step.Stages[0].MaxMin == 25);
    }
}
