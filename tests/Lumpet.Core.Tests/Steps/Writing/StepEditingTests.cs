using CsCheck;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Steps.Writing;

public sealed class StepEditingTests
{
    private static readonly WrittenWay Fruit = Way(FillingKind.RawFruit, Top.Lid);

    private static WrittenWay Way(FillingKind kind, Top top)
    {
        var (steps, links) = UsualChains.For(kind, UsualChains.DefaultBase(kind), top, Lining.OnePiece);
        return new WrittenWay(steps, links);
    }

    private static string Said(WrittenWay way) => string.Join(" ", way.Steps.Select(step => step.Id)) + " | " + string.Join(" ", way.Links.Select(link => $"{link.From}>{link.To}").Order());

    [Fact]
    public void A_step_is_put_in_after_another_and_what_followed_follows_it()
    {
        // Frozen after it is filled, then thawed: two waits in a row between filling and the hot tray.
        var way = StepEditing.Apply(Fruit, StepAct.AddWait, "firm");
        Assert.Equal(["line", "chill-lined", "prepare", "fill", "firm", "wait", "onto-tray", "bake", "cool", "box"], way.Steps.Select(step => step.Id));
        Assert.Contains(new LinkDraft("firm", "wait", 0, 0), way.Links);
        Assert.Contains(new LinkDraft("wait", "onto-tray", 0, 0), way.Links);
        Assert.DoesNotContain(way.Links, link => link is { From: "firm", To: "onto-tray" });
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(way, StepAct.TakeOut, "wait")));
        // Work after work comes within what was said of them, or within the hour.
        var work = StepEditing.Apply(Fruit, StepAct.AddWork, "prepare");
        Assert.Contains(new LinkDraft("prepare", "work", 0, 60), work.Links);
        Assert.Contains(new LinkDraft("work", "fill", 0, 30), work.Links);
        Assert.Equal("work-2", StepEditing.Apply(work, StepAct.AddWork, "work").Steps.Single(step => step.Id!.EndsWith("-2", StringComparison.Ordinal)).Id);
    }

    [Fact]
    public void What_is_taken_out_leaves_no_hole()
    {
        var way = StepEditing.Apply(Fruit, StepAct.TakeOut, "firm");
        Assert.Contains(way.Links, link => link is { From: "fill", To: "onto-tray", Most: 60 });
        // What joins is led on from both sides.
        var joined = StepEditing.Apply(Fruit, StepAct.TakeOut, "fill");
        Assert.Contains(joined.Links, link => link is { From: "chill-lined", To: "firm" });
        Assert.Contains(joined.Links, link => link is { From: "prepare", To: "firm" });
    }

    [Fact]
    public void A_step_is_bound_to_what_it_follows_and_set_free_again()
    {
        LinkDraft Of(WrittenWay way, string from, string to) => way.Links.Single(link => link.From == from && link.To == to);
        var night = StepEditing.Apply(Fruit, StepAct.FollowNextDay, "fill", "prepare");
        Assert.Equal(new LinkDraft("prepare", "fill", 0, 1440, "dayBefore"), Of(night, "prepare", "fill"));
        Assert.Equal(new LinkDraft("prepare", "fill", 0, 1440), Of(StepEditing.Apply(night, StepAct.FollowAfter, "fill", "prepare"), "prepare", "fill"));
        // At a wait the wait holds the minutes, so none are added.
        Assert.Equal(new LinkDraft("cool", "box", 0, 0, "atPickUp"), Of(StepEditing.Apply(Fruit, StepAct.FollowAtPickUp, "box", "cool"), "cool", "box"));
        var beside = StepEditing.Apply(StepEditing.Apply(Fruit, StepAct.AddWork, "bake"), StepAct.FollowDuring, "work", "bake");
        Assert.Equal("during", Of(beside, "bake", "work").Kind);
        // What it does not follow it is not bound to.
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(Fruit, StepAct.FollowDuring, "box", "bake")));
        // Moved, it keeps how it follows.
        Assert.Equal("dayBefore", Of(StepEditing.Apply(night, StepAct.AddWork, "prepare"), "work", "fill").Kind);
    }

    [Fact]
    public void Neighbours_change_places_with_their_links_and_back()
    {
        var way = StepEditing.Apply(Fruit, StepAct.AddWork, "fill");
        var moved = StepEditing.Apply(way, StepAct.Earlier, "firm");
        Assert.Contains(moved.Links, link => link is { From: "fill", To: "firm" });
        Assert.Contains(moved.Links, link => link is { From: "firm", To: "work" });
        Assert.Contains(moved.Links, link => link is { From: "work", To: "onto-tray" });
        Assert.Equal(Said(way), Said(StepEditing.Apply(moved, StepAct.Later, "firm")));
        // Where two ways meet nothing is torn apart, and the first stays the first.
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(Fruit, StepAct.Earlier, "line")));
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(Fruit, StepAct.Later, "box")));
    }

    [Fact]
    public void A_step_follows_another_too_and_no_longer_but_never_in_a_circle()
    {
        // The fruit is begun only when the crust is chilled.
        var way = StepEditing.Apply(Fruit, StepAct.Follow, "prepare", "chill-lined");
        Assert.Contains(new LinkDraft("chill-lined", "prepare", 0, 0), way.Links);
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(way, StepAct.Unfollow, "prepare", "chill-lined")));
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(Fruit, StepAct.Follow, "line", "box")));
        Assert.Equal(Said(Fruit), Said(StepEditing.Apply(Fruit, StepAct.Follow, "fill", "prepare")));
        Assert.Throws<ArgumentException>(() => StepEditing.Apply(Fruit, StepAct.TakeOut, "whisk"));
        Assert.Throws<ArgumentException>(() => StepEditing.Apply(Fruit, StepAct.Follow, "fill", null));
    }

    [Fact]
    public void Whatever_is_done_it_stays_a_way() =>
        Gen.Select(Gen.Int[0, 10], Gen.Int[0, 6], Gen.Select(Gen.Int[0, 7], Gen.Int[0, 100], Gen.Int[0, 100]).Array[1, 12]).Sample((kind, top, acts) =>
        {
            var way = Way((FillingKind)kind, (Top)top);
            foreach (var (act, at, other) in acts)
            {
                if (way.Steps.Count == 0) return;
                var before = way;
                way = StepEditing.Apply(way, (StepAct)act, way.Steps[at % way.Steps.Count].Id!, way.Steps[other % way.Steps.Count].Id);
                string[] ids = [.. way.Steps.Select(step => step.Id!)];
                Assert.Equal(ids.Distinct(), ids);
                Assert.All(way.Links, link => Assert.True(Array.IndexOf(ids, link.From) >= 0 && Array.IndexOf(ids, link.From) < Array.IndexOf(ids, link.To), $"{link} in {Said(way)}"));
                Assert.Equal(way.Links.Count, way.Links.Select(link => (link.From, link.To)).Distinct().Count());
                Assert.All(way.Links.Where(link => way.Steps.Any(step => step.WaitMost is not null && (step.Id == link.From || step.Id == link.To))), link => Assert.Equal((0, 0), (link.Least, link.Most)));
                Assert.InRange(way.Steps.Count - before.Steps.Count, -1, 1);
            }
        });
}
