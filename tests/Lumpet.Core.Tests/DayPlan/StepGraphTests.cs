using Lumpet.Core.DayPlan;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Xunit;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class StepGraphTests
{
    private static readonly ProcessNetwork Custard = TestBakery.Custard.Process;

    private static int Node(StepGraph graph, string id) => Enumerable.Range(0, graph.Nodes.Count).Single(node => graph.Nodes[node].Id == id);

    [Fact]
    public void Waits_become_the_lags_between_work_and_bakes()
    {
        var graph = new StepGraph(Custard);
        Assert.DoesNotContain(graph.Nodes, node => node.Wait is not null);
        var chill = graph.Edges.Single(edge => edge.FirstWait?.Id == "chill");
        Assert.Equal(("line", "weight"), (graph.Nodes[chill.From].Id, graph.Nodes[chill.To].Id));
        Assert.Equal(new Span(20, 40, 960), chill.Lag);
    }

    [Fact]
    public void Waits_in_a_row_are_one_wait_in_several_places()
    {
        // Frozen once it is filled, thawed in the fridge, then baked: the pear pie firms at -18 °C, and a wait of 4 °C follows.
        var pear = TestBakery.Pear;
        var frozen = pear with
        {
            Process = new ProcessNetwork(
                [
                    .. pear.Process.Steps.TakeWhile(step => step.Id != "bake").Select(step => step.Id == "firm" ? step with { Celsius = -18, Wait = new Span(120, 120, 600) } : step),
                    TestBakery.Wait("thaw", Station.Cold, 60, 90, 300) with { Celsius = 4 },
                    .. pear.Process.Steps.SkipWhile(step => step.Id != "bake"),
                ],
                [.. pear.Process.Links.Where(link => link.Before != "firm"), new Link("firm", "thaw", Span.Between(0, 0)), new Link("thaw", "bake", Span.Between(0, 0))]),
        };
        var edge = new StepGraph(frozen.Process).Edges.Single(edge => edge.Waits.Count == 2);
        Assert.Equal(new Span(180, 210, 900), edge.Lag);
        Assert.True(ThermalShock.GoesIntoTheOvenFrozen(frozen.Process with { Steps = [.. frozen.Process.Steps.Select(step => step.Id == "thaw" ? step with { Celsius = -18 } : step)] }));
        Assert.False(ThermalShock.GoesIntoTheOvenFrozen(frozen.Process));

        var plan = DayPlanner.Plan(TestBakery.Snapshot(TestBakery.Order(frozen, 8, 1320)));
        Assert.Empty(plan.Troubles);
        foreach (var parcel in plan.Tasks.Where(task => task.LotId is not null).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')]))
        {
            var tasks = parcel.ToDictionary(task => task.StepId);
            Assert.Equal(tasks["fill"].EndMin, tasks["firm"].StartMin);
            Assert.Equal(tasks["firm"].EndMin, tasks["thaw"].StartMin);
            Assert.Equal(tasks["bake"].StartMin, tasks["thaw"].EndMin);
            Assert.InRange(tasks["firm"].EndMin - tasks["firm"].StartMin, 120, 600);
            Assert.InRange(tasks["thaw"].EndMin - tasks["thaw"].StartMin, 60, 300);
            Assert.Equal(tasks["thaw"].Id, Assert.Single(plan.Reasons[tasks["firm"].Id].WaitedBy).TaskId);
            Assert.Equal(tasks["thaw"].Id, Assert.Single(plan.Reasons[tasks["bake"].Id].WaitsFor).TaskId);
        }
    }

    [Fact]
    public void Work_belongs_to_the_first_bake_it_leads_to()
    {
        var graph = new StepGraph(Custard);
        Assert.Equal(Node(graph, "blind"), graph.BakeAhead(Node(graph, "line")));
        Assert.Equal(Node(graph, "bake"), graph.BakeAhead(Node(graph, "whisk")));
        Assert.Equal(-1, graph.BakeAhead(Node(graph, "box")));
        Assert.Equal(Node(graph, "bake"), graph.LastBake);
        Assert.True(graph.IsLast(Node(graph, "box")));
    }

    [Fact]
    public void Work_that_leads_to_a_bake_and_past_all_bakes_belongs_to_the_bake()
    {
        // What is whisked is poured before the bake, and some of it goes on top when it is boxed.
        var graph = new StepGraph(Custard with { Links = [.. Custard.Links, new Link("whisk", "box", Span.Between(0, 900))] });
        Assert.Equal(Node(graph, "bake"), graph.BakeAhead(Node(graph, "whisk")));
        Assert.False(graph.IsAside(Node(graph, "whisk")));
    }

    [Fact]
    public void Between_two_bakes_lies_the_longest_of_the_least_and_the_shortest_of_the_most()
    {
        var calendar = new ShiftCalendar([new DayShift("Day", 0, 1000)]);
        var lot = Assert.Single(Lot.From([TestBakery.Order(TestBakery.Custard, 12, 900)]));
        var work = new LotWork(lot, calendar, mostTrays: 4, spareMin: 30);
        var aim = LotAim.First(work, 1000);
        var (wanted, least) = (aim.Between(Node(work.Graph, "blind"), Node(work.Graph, "bake"))!, (aim with { GivenUp = true }).Between(Node(work.Graph, "blind"), Node(work.Graph, "bake"))!);
        // Shells cool 20 to 600, better 30; pouring 12 takes 3 + 6 minutes, one takes 4; the oven follows within 5.
        Assert.Equal(30 + 9, wanted.Least);
        Assert.Equal(20 + 9, least.Least);
        Assert.Equal(600 + 4 + 5, wanted.Most);
    }

    [Theory]
    [InlineData("a link to nowhere")]
    [InlineData("a wait at the end")]
    [InlineData("a step before what it needs")]
    public void A_network_that_does_not_hold_together_is_refused(string what)
    {
        var network = what switch
        {
            "a link to nowhere" => Custard with { Links = [.. Custard.Links, new Link("box", "shop", Span.Between(0, 10))] },
            "a wait at the end" => Custard with { Steps = [.. Custard.Steps, Custard.Steps[1] with { Id = "last" }], Links = [.. Custard.Links, new Link("box", "last", Span.Between(0, 0)), new Link("last", "nothing", Span.Between(0, 0))] },
            _ => Custard with { Steps = [.. Custard.Steps.Reverse()] },
        };
        Assert.Throws<ArgumentException>(() => new StepGraph(network));
    }

    [Theory]
    [InlineData(8, 3, 12, 44)]
    [InlineData(3, 0.5, 7, 7)]
    [InlineData(0, 0, 4, 1)]
    public void Hands_take_whole_minutes_rounded_up(int perBatch, double perPie, int pies, int minutes) =>
        Assert.Equal(minutes, new Hands(perBatch, perPie).For(pies));

    [Fact]
    public void A_lot_fills_its_trays_and_leaves_the_rest_on_the_last()
    {
        var lots = Lot.From([
            TestBakery.Order(TestBakery.Pear, 7, 900), TestBakery.Order(TestBakery.Pear, 3, 900) with { For = "ferry" },
            TestBakery.Order(TestBakery.Pear, 1, 800), TestBakery.Order(TestBakery.Pear, 5, 900, TestBakery.Pan26)]);
        Assert.Equal(["pear/23/800", "pear/23/900", "pear/26/900"], lots.Select(lot => lot.Id));
        Assert.Equal([4, 4, 2], lots[1].Trays);
        Assert.Equal(["kiosk", "ferry"], lots[1].For);
        Assert.Equal([2, 2, 1], lots[2].Trays);
    }

    [Fact]
    public void Lots_whose_names_run_together_stay_apart()
    {
        Core.Pans.Pan Named(string id) => TestBakery.Pan23 with { Id = id };
        var lots = Lot.From([TestBakery.Order(TestBakery.Pear, 1, 900, Named("26-deep")), TestBakery.Order(TestBakery.Pear with { Id = "pear-26" }, 1, 900, Named("deep"))]);
        Assert.Equal(2, lots.Select(lot => lot.Id).Distinct().Count());
    }
}
