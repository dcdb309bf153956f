using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>How full a day is, reckoned by hand.</summary>
public sealed class DayLoadTests
{
    [Fact]
    public void Work_and_ovens_are_what_the_steps_say_against_who_is_there()
    {
        // 8 custards in 23 cm, four on a tray. Line 6 + 8 x 2 = 22, weight 3 + 8 = 11, whisk 20 + 8 = 28, pour 3 + 4 = 7, to the fridge 2 + 2.4, box 2 + 8 = 10.
        var day = Crew(2, Snapshot(Order(Custard, 8, 1320)));
        var work = Custard.Process.Steps.Sum(step => step.Hands?.For(8) ?? 0);
        Assert.InRange(work, 22 + 11 + 28 + 7 + 4 + 10, 22 + 11 + 28 + 7 + 5 + 10);
        var load = DayLoad.Of(day, 0);
        // One batch of dough: its minutes at the mixer.
        Assert.Equal(work + Flaky.MixMinutes, load.WorkMin);
        // Two pairs of hands from 0 to 480 and from 720 to 1320.
        Assert.Equal(2 * (480 + 600), load.HandsMin);
        // Two trays: blind for 23 and baked for 40; eight shelves watched for as long.
        Assert.Equal(2 * (23 + 40), load.TrayMin);
        Assert.Equal(8 * (480 + 600), load.ShelfMin);
        Assert.Equal(load.WorkMin / 2160.0, load.OfHands!.Value, 12);
        Assert.Equal(126 / 8640.0, load.OfOvens!.Value, 12);
    }

    [Fact]
    public void What_is_made_first_is_work_and_stands_in_ovens_too_even_where_it_is_there_already()
    {
        // Ten pies take 6 kg of puree: cut for 5 + 2 x 6, blended for 8 + 3 x 6 minutes, roasted for 90 on three trays of 2.5 kg at most.
        var pie = MadeFirstTests.PureePie;
        var day = Crew(2, Snapshot(Order(pie, 10, 1320)));
        var load = DayLoad.Of(day, 0);
        var hands = pie.Process.Steps.Sum(step => step.Hands?.For(10) ?? 0);
        Assert.Equal(hands + Flaky.MixMinutes + 17 + 26, load.WorkMin);
        Assert.Equal((3 * (23 + 40)) + (3 * 90), load.TrayMin);
        Assert.Equal(load, DayLoad.Of(day with { Stock = new DayStock([new StockedMass("tub", MadeFirstTests.Puree.Id, Core.Measures.Mass.FromGrams(6000), Core.Preparations.KeepPlace.Cold, 0, 4000, 0)], []) }, 0));
    }

    [Fact]
    public void What_is_before_a_minute_or_after_the_last_pick_up_is_not_the_days_own()
    {
        var day = Crew(2, Snapshot(Order(Custard, 8, 1000)));
        // From 400 to 480 and from 720 to 1000.
        Assert.Equal(2 * (80 + 280), DayLoad.Of(day, 400).HandsMin);
        Assert.Equal(0, DayLoad.Of(day, 1000).HandsMin);
        Assert.Null(DayLoad.Of(day, 1000).OfHands);
        Assert.Null(DayLoad.Of(day, 1000).OfOvens);
    }

    [Fact]
    public void Where_nobody_says_how_many_are_there_nothing_is_counted_on_and_twice_the_dough_is_more_batches()
    {
        Assert.Null(DayLoad.Of(Snapshot(Order(Custard, 8, 1320)), 0).HandsMin);
        var (few, many) = (DayLoad.Of(Snapshot(Order(Pear, 8, 1320)), 0), DayLoad.Of(Snapshot(Order(Pear, 80, 1320)), 0));
        var hands = (int pies) => Pear.Process.Steps.Sum(step => step.Hands?.For(pies) ?? 0);
        Assert.Equal(Flaky.MixMinutes, few.WorkMin - hands(8));
        // 80 pies take more than a bowl of 12 kg holds, and whole bowls are mixed.
        Assert.Equal(0, (many.WorkMin - hands(80)) % Flaky.MixMinutes);
        Assert.True(many.WorkMin - hands(80) > Flaky.MixMinutes);
        Assert.Equal(new DayLoad(0, null, 0, 0), DayLoad.Of(Snapshot(), 0));
    }
}
