using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.PlanChecking;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>What is done while something bakes, on the day before, or at pick-up. Minute 0 is noon, midnight is 720.</summary>
public sealed class LinkKindTests
{
    private const int Morning = 1310;

    private static Link Linked(string before, string after, int most, LinkKind kind = LinkKind.After, int least = 0) => new(before, after, Span.Between(least, most)) { Kind = kind };

    /// <summary>The pear pie with more steps, put where they come in the order.</summary>
    private static Product With(IEnumerable<(Step Step, string Before)> steps, params Link[] links) => Pear with
    {
        Process = new ProcessNetwork(
            [.. Pear.Process.Steps.SelectMany(step => steps.Where(one => one.Before == step.Id).Select(one => one.Step).Append(step))],
            [.. Pear.Process.Links.Where(old => links.All(link => (link.Before, link.After) != (old.Before, old.After))), .. links]),
    };

    private static Product WithSauce(int least = 0) => With([(Work("sauce", Station.Pot, 12, 1), "cool")], Linked("bake", "sauce", 0, LinkKind.During, least), Linked("sauce", "box", 1440));

    private static PlannedDay Plan(Product product, int pies = 6, int pickUp = Morning) => DayPlanner.Plan(Snapshot(Order(product, pies, pickUp)), effort: 4);

    private static DayTask[] Of(PlannedDay day, string step) => [.. day.Tasks.Where(task => task.StepId == step)];

    private static void AllInTime(PlannedDay day) => Assert.True(day.Fates.All(fate => fate.Missed == 0), string.Join("; ", day.Troubles));

    [Fact]
    public void A_sauce_is_made_while_its_pie_bakes()
    {
        var day = Plan(WithSauce());
        AllInTime(day);
        foreach (var (sauce, bake) in Of(day, "sauce").Zip(Of(day, "bake")))
        {
            Assert.InRange(sauce.StartMin, bake.StartMin, bake.EndMin);
            Assert.True(sauce.EndMin <= bake.EndMin);
        }
    }

    [Fact]
    public void What_is_done_a_while_into_a_bake_waits_for_that()
    {
        var day = Plan(WithSauce(least: 30));
        AllInTime(day);
        Assert.All(Of(day, "sauce").Zip(Of(day, "bake")), pair => Assert.Equal(30, pair.First.StartMin - pair.Second.StartMin));
    }

    [Fact]
    public void What_is_gone_on_beside_one_bake_may_lead_to_the_next()
    {
        // The filling is whisked while the shells bake, and poured when they have cooled.
        var custard = Custard with { Process = Custard.Process with { Links = [.. Custard.Process.Links.Where(link => link.Before != "whisk"), Linked("blind", "whisk", 0, LinkKind.During), Linked("whisk", "pour", 240)] } };
        custard = custard with { Process = custard.Process with { Steps = [.. custard.Process.Steps.Select(step => step.Id == "whisk" ? step with { Hands = new Hands(10, 1) } : step)] } };
        var day = Plan(custard);
        AllInTime(day);
        Assert.All(Of(day, "whisk").Zip(Of(day, "blind")), pair => Assert.True(pair.First.StartMin >= pair.Second.StartMin && pair.First.EndMin <= pair.Second.EndMin));
    }

    [Fact]
    public void What_is_done_the_day_before_ends_before_midnight()
    {
        var plain = Plan(Pear);
        var day = Plan(With([], Linked("prepare", "fill", 1440, LinkKind.DayBefore)));
        AllInTime(day);
        Assert.All(Of(day, "prepare"), task => Assert.True(task.EndMin <= 720));
        Assert.All(Of(day, "fill"), task => Assert.True(task.StartMin >= 720));
        // Left alone it is prepared in the night.
        Assert.All(Of(plain, "prepare"), task => Assert.True(task.StartMin >= 720));
    }

    [Fact]
    public void A_roast_of_the_day_before_is_in_the_oven_the_day_before()
    {
        var roast = new Step("roast", "roast", Station.Oven, null, [new BakeStage(180, 90, 120)], null, null, false, "", "") { Bakes = BakeOf.Preparation };
        var day = Plan(With([(roast, "prepare")], Linked("roast", "prepare", 1440, LinkKind.DayBefore)));
        AllInTime(day);
        Assert.All(Of(day, "roast"), task => Assert.True(task.EndMin <= 720));
        Assert.All(Of(day, "prepare"), task => Assert.True(task.StartMin >= 720));
    }

    [Fact]
    public void However_few_hands_there_are_every_kind_of_link_is_kept()
    {
        Product[] products = [WithSauce(), WithSauce(least: 30), With([], Linked("prepare", "fill", 1440, LinkKind.DayBefore)), With([], Linked("cool", "box", 600, LinkKind.AtPickUp))];
        foreach (var product in products)
            for (var people = 1; people <= 3; people++)
            {
                var day = Crew(people, Snapshot(Order(product, 8, Morning), Order(product, 6, Morning, Pan26), Order(product, 8, Morning - 40), Order(product, 8, Morning - 20)));
                Assert.Empty(DayPlanChecker.Check(day, DayPlanner.Plan(day, effort: 4)));
                // With people there over midnight as well, what is of the day before could slip over it.
                var through = day with { Shifts = [new DayShift("All", 0, 1320) { People = people }] };
                Assert.Empty(DayPlanChecker.Check(through, DayPlanner.Plan(through, effort: 4)));
            }
    }

    [Fact]
    public void Without_a_day_before_it_is_said_what_cannot_be()
    {
        var product = With([], Linked("prepare", "fill", 1440, LinkKind.DayBefore));
        var day = DayPlanner.Plan(Snapshot(Order(product, 6, Morning)) with { Midnights = [] }, effort: 4);
        Assert.Equal(6, day.Fates.Sum(fate => fate.Missed));
    }

    [Fact]
    public void What_is_done_at_pick_up_comes_as_late_as_boxes_should_be_ready()
    {
        // Picked up at 2100; people are there until 1320, so that is when the last work is done; at 1310 less the spare half hour it is 1280.
        var early = Of(Plan(Pear, pickUp: Morning), "box");
        var late = Plan(With([], Linked("cool", "box", 0, LinkKind.AtPickUp)), pickUp: Morning);
        AllInTime(late);
        Assert.All(Of(late, "box"), task => Assert.Equal(Morning - 30, task.EndMin));
        Assert.All(early, task => Assert.True(task.EndMin <= Morning - 30));
        var evening = Plan(With([], Linked("cool", "box", 0, LinkKind.AtPickUp)), pickUp: 2100);
        Assert.All(Of(evening, "box"), task => Assert.Equal(1320, task.EndMin));
    }

    [Fact]
    public void The_way_draws_a_sauce_beside_its_bake_and_a_night_before_what_follows_it()
    {
        WayPiece Piece(PieWay way, string step) => way.Lines.SelectMany(line => line.Pieces).Single(piece => piece.Step.Id == step);
        var way = PieWay.Of(WithSauce(), Pan23, 4);
        Assert.True(Piece(way, "sauce").EndMin <= Piece(way, "bake").EndMin && Piece(way, "sauce").StartMin >= Piece(way, "bake").StartMin);
        // It is a line of its own, which runs into the box.
        Assert.DoesNotContain(way.Lines[0].Pieces, piece => piece.Step.Id == "sauce");
        Assert.Equal(["Pear and ginger", "Filling", "sauce"], way.Lines.Select(line => line.Name));
        var night = PieWay.Of(With([], Linked("prepare", "fill", 1440, LinkKind.DayBefore)), Pan23, 4);
        Assert.Equal(840, Piece(night, "fill").StartMin - Piece(night, "prepare").EndMin);
    }

    [Fact]
    public void What_cannot_be_bound_so_is_refused_with_its_reason()
    {
        string Why(Product product) => Assert.Throws<ArgumentException>(() => new StepGraph(product.Process)).Message;
        Assert.Equal("Only a bake can be gone on beside, and \"fill\" is none.", Why(With([(Work("sauce", Station.Pot, 12, 1), "firm")], Linked("fill", "sauce", 0, LinkKind.During), Linked("sauce", "box", 1440))));
        Assert.Equal("\"sauce\" takes longer than \"bake\" bakes.", Why(With([(Work("sauce", Station.Pot, 70, 1), "cool")], Linked("bake", "sauce", 0, LinkKind.During), Linked("sauce", "box", 1440))));
        Assert.Equal("\"prepare\" is done the day before \"fill\", and between them lie at most 479 min: a night takes 480.", Why(With([], Linked("prepare", "fill", 479, LinkKind.DayBefore))));
        Assert.Equal("\"fill\" comes before a bake, so it cannot wait for the pick-up.", Why(With([], Linked("prepare", "fill", 600, LinkKind.AtPickUp))));
        Assert.Equal("What is done while \"bake\" bakes is work, without a wait before it.", Why(With([], Linked("bake", "cool", 0, LinkKind.During))));
    }
}
