using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Steps;

/// <summary>What is left of a product when its pies have been brought as far as a step; the figures are those of the test bakery, added up by hand.</summary>
public sealed class PartDoneTests
{
    [Fact]
    public void Pies_are_brought_as_far_as_work_and_bakes_on_their_crust()
    {
        Assert.Equal(["line", "fill", "bake", "box"], PartDone.Stages(Pear.Process).Select(step => step.Id));
        Assert.Equal(["line", "weight", "blind", "pour", "bake", "to-fridge", "box"], PartDone.Stages(Custard.Process).Select(step => step.Id));
    }

    [Theory]
    [InlineData("line", "prepare fill firm bake cool box")]
    [InlineData("fill", "bake cool box")]
    [InlineData("bake", "box")]
    [InlineData("box", "")]
    public void What_leads_to_a_step_is_done_with_it_and_no_wait_for_that_is_left(string after, string left)
    {
        var rest = PartDone.Rest(Pear.Process, PartDone.By(Pear.Process, after, 0));
        Assert.Equal(left.Split(' ', StringSplitOptions.RemoveEmptyEntries), rest.Steps.Select(step => step.Id));
        Assert.All(rest.Links, link => Assert.Contains(rest.Steps, step => step.Id == link.Before));
        Assert.All(rest.Links, link => Assert.Contains(rest.Steps, step => step.Id == link.After));
    }

    [Fact]
    public void A_filling_for_shells_that_are_baked_is_still_to_be_cooked()
    {
        Assert.Equal(["blind", "line", "weight"], PartDone.By(Custard.Process, "blind", 0).Keys.Order());
        Assert.Equal(["whisk", "pour", "bake", "rack", "to-fridge", "set", "box"], PartDone.Rest(Custard.Process, PartDone.By(Custard.Process, "blind", 100)).Steps.Select(step => step.Id));
        // It cools for 20 to 600 minutes before it is filled.
        Assert.Equal([("pour", 120, 700L)], PartDone.Next(Custard.Process, PartDone.By(Custard.Process, "blind", 100)));
        Assert.Empty(PartDone.Next(Custard.Process, PartDone.By(Custard.Process, "box", 100)));
    }

    [Theory]
    // Chilled 960 at most; then filled for 6, firm for 45 at most, baked for 65, and as old as they may be.
    [InlineData("line", 960 + 6 + 45 + 65 + 1440)]
    [InlineData("fill", 45 + 65 + 1440)]
    // Cools for 1440 at most, and is 1440 old at most.
    [InlineData("bake", 1440)]
    // 240 of cooling and 3 of boxing are part of its age.
    [InlineData("box", 1440 - 243)]
    public void They_are_good_for_as_long_as_what_follows_may_wait_and_they_are_not_too_old(string after, int minutes) =>
        Assert.Equal(700 + minutes, PartDone.GoodUntilMin(Pear.Process, PartDone.By(Pear.Process, after, 700), Pear.OldestAtPickUp));

    [Fact]
    public void What_leads_to_a_step_was_done_as_much_sooner_as_lies_between() =>
        // Boxing takes 3, cooling 240 at least, the bake 65, firming 10.
        Assert.Equal([("bake", 757), ("box", 1000), ("fill", 682)], PartDone.By(Pear.Process, "box", 1000).Where(one => one.Key is "bake" or "box" or "fill").Select(one => (one.Key, one.Value)).Order());

    [Fact]
    public void Nothing_is_done_before_what_leads_to_it_and_what_has_not_gone_in_is_not_on_the_crust()
    {
        var done = new Dictionary<string, int> { ["line"] = 10, ["prepare"] = 40, ["bake"] = 300, ["nothing"] = 5 };
        Assert.Equal(["line", "prepare"], PartDone.Whole(Pear.Process, done).Keys.Order());
        Assert.Equal(["line"], PartDone.OnTheCrust(Pear.Process, PartDone.Whole(Pear.Process, done)).Keys);
        Assert.Equal(["fill", "line", "prepare"], PartDone.OnTheCrust(Pear.Process, PartDone.By(Pear.Process, "fill", 50)).Keys.Order());
        Assert.Equal(["chill"], PartDone.Waiting(Pear.Process, PartDone.Whole(Pear.Process, done)).Select(wait => wait.Id));
        // The filling waits for 30 at most, lined pies for 960.
        Assert.Equal(40 + 30 + 6 + 45 + 65 + 1440, PartDone.GoodUntilMin(Pear.Process, PartDone.Whole(Pear.Process, done), 1440));
    }

    [Theory]
    [InlineData("prepare-nothing")]
    [InlineData("cool")]
    public void No_pie_is_brought_as_far_as_a_wait_or_what_is_not_there(string after) => Assert.Throws<ArgumentException>(() => PartDone.By(Pear.Process, after, 0));
}
