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
        var rest = PartDone.Rest(Pear.Process, after);
        Assert.Equal(left.Split(' ', StringSplitOptions.RemoveEmptyEntries), rest.Steps.Select(step => step.Id));
        Assert.All(rest.Links, link => Assert.Contains(rest.Steps, step => step.Id == link.Before));
        Assert.All(rest.Links, link => Assert.Contains(rest.Steps, step => step.Id == link.After));
    }

    [Fact]
    public void A_filling_for_shells_that_are_baked_is_still_to_be_cooked()
    {
        Assert.Equal(["blind", "line", "weight"], PartDone.DoneBy(Custard.Process, "blind").Order());
        Assert.Equal(["whisk", "pour", "bake", "rack", "to-fridge", "set", "box"], PartDone.Rest(Custard.Process, "blind").Steps.Select(step => step.Id));
        // It cools for 20 to 600 minutes before it is filled.
        Assert.Equal([("pour", new Span(20, 30, 600))], PartDone.Next(Custard.Process, "blind"));
        Assert.Empty(PartDone.Next(Custard.Process, "box"));
    }

    [Theory]
    // Chilled 960 at most; then fill 6, firm 10, bake 65, cool 240 and box 3 at least.
    [InlineData("line", 960 + 6 + 10 + 65 + 240 + 3)]
    // Firm for 45 at most, then the bake, which is also as old as it may be 1440 after it: the wait binds.
    [InlineData("fill", 45 + 65 + 240 + 3)]
    // Cools for 1440 at most, and is 1440 old at most.
    [InlineData("bake", 1440)]
    // 240 of cooling and 3 of boxing are part of its age.
    [InlineData("box", 1440 - 243)]
    public void They_are_promised_for_as_long_as_what_follows_may_wait_and_they_are_not_too_old(string after, int minutes) =>
        Assert.Equal(minutes, PartDone.GoodForMin(Pear.Process, after, Pear.OldestAtPickUp));

    [Fact]
    public void What_is_older_than_it_may_be_is_promised_for_nothing() => Assert.Equal(0, PartDone.GoodForMin(Pear.Process, "box", 200));

    [Theory]
    [InlineData("prepare-nothing")]
    [InlineData("cool")]
    public void No_pie_is_brought_as_far_as_a_wait_or_what_is_not_there(string after) => Assert.Throws<ArgumentException>(() => PartDone.DoneBy(Pear.Process, after));
}
