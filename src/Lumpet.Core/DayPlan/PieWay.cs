using System.Globalization;
using Lumpet.Core.Batches;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// The way of a pie from its first work to its box, along time: its dough, its filling and what is made first as lines that run
/// into it. Every wait is as it is wanted and nobody goes home in between, so this is the way itself and not a plan.
/// </summary>
/// <param name="Lines">The pie first, with its dough; then what runs into it.</param>
/// <param name="Minutes">From the first work to the last, in minutes.</param>
public sealed record PieWay(IReadOnlyList<WayLine> Lines, int Minutes)
{
    // Time without nights, so that no shift cuts a way.
    private const int Always = 10_000_000;

    // From an afternoon to the next morning, for the drawing of what is done the day before.
    private const int NightAndEveningMin = 840;

    private const int FridgeC = 4;
    private const int RoomC = 20;

    /// <summary>The way of a product.</summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">The pan it is made in.</param>
    /// <param name="pies">How many are made together; at least 1.</param>
    public static PieWay Of(Product product, Pan pan, int pies)
    {
        var graph = new StepGraph(product.ProcessIn(pan));
        var times = Times(graph, pies);
        var cautions = StepCautions.Of(product);
        WayPiece Piece(TimedStep timed) => new(timed.Step, timed.StartMin, timed.EndMin, cautions[timed.Step.Id]);
        WayPiece[] On(Func<int, bool> isHere) =>
        [
            .. Enumerable.Range(0, graph.Nodes.Count).Where(isHere).Select(node => new TimedStep(graph.Nodes[node], times.Start[node], times.End[node]))
                .Concat(graph.Edges.Where(edge => isHere(edge.From)).SelectMany(edge => DayTasks.Waits(edge, times)))
                .Select(Piece).OrderBy(piece => piece.StartMin).ThenBy(piece => piece.EndMin),
        ];
        var rolled = Enumerable.Range(0, graph.Nodes.Count).First(node => graph.Nodes[node].UsesDough);
        var lines = new List<WayLine> { new(product.Name, [.. Dough(product.Dough, times.Start[rolled]), .. On(graph.HoldsDough)], null, 0) };
        if (product.TopDough is { } top) lines.Add(new WayLine(top.Name, [.. Dough(top, times.Start[rolled])], times.Start[rolled], 0));
        int[] begun = [.. Enumerable.Range(0, graph.Nodes.Count).Where(node => !graph.HoldsDough(node) && !graph.Into(node).Any(edge => edge.Carries))];
        foreach (var (root, at) in begun.Select((root, at) => (root, at)))
        {
            bool IsMine(int node) => !graph.HoldsDough(node) && begun.First(other => other == node || Leads(graph, other, node)) == root;
            var joins = graph.Edges.Where(edge => IsMine(edge.From) && graph.HoldsDough(edge.To)).Select(edge => times.Start[edge.To]).DefaultIfEmpty(times.End[root]).Min();
            lines.Add(new WayLine(Named(product, at) ?? graph.Nodes[root].Name, On(IsMine), joins, 0));
        }

        MadeFirst(lines, product, pan, graph, times, pies);
        var first = lines.SelectMany(line => line.Pieces).Min(piece => piece.StartMin);
        return new PieWay([.. lines.Select(line => line.From(first))], times.End.Max() - first);
    }

    /// <summary>What is prepared first, second and so on: the fillings and toppings in their order, as <see cref="PreparationTaking"/> takes them; null beyond them.</summary>
    private static string? Named(Product product, int at) =>
        product.Layers.Where(layer => layer.Kind is PartKind.Filling or PartKind.Topping).ElementAtOrDefault(at) switch
        {
            { Name.Length: > 0 } layer => layer.Name,
            { Kind: PartKind.Filling } => "Filling",
            { Kind: PartKind.Topping } => "Topping",
            _ => null,
        };

    /// <summary>Backwards from the box at minute 0, every wait as it is wanted.</summary>
    private static ParcelTimes Times(StepGraph graph, int pies)
    {
        var (start, end) = (new int[graph.Nodes.Count], new int[graph.Nodes.Count]);
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
        {
            var length = graph.Minutes(node, pies);
            end[node] = graph.Out(node).Select(edge => start[edge.To] - Between(edge, length)).DefaultIfEmpty(0).Min();
            start[node] = end[node] - length;
        }

        // What is done while something bakes is drawn beside it, not when it is wanted.
        foreach (var edge in graph.Edges.Where(edge => !edge.Carries && end[edge.To] > end[edge.From]))
        {
            end[edge.To] = Math.Max(end[edge.From], start[edge.From] + edge.Lag.Least + graph.Minutes(edge.To, pies));
            start[edge.To] = end[edge.To] - graph.Minutes(edge.To, pies);
        }

        return new ParcelTimes(start, end, []);
    }

    /// <summary>Minutes between the end of a node and the start of what follows: as wanted, a night where it is done the day before; of what is done during it, counted from its start.</summary>
    private static int Between(StepEdge edge, int length) => edge.Kind switch
    {
        LinkKind.During => edge.Lag.Least - length,
        LinkKind.DayBefore => Math.Max(edge.Lag.Aim, Math.Min(edge.Lag.Most, NightAndEveningMin)),
        _ => edge.Lag.Aim,
    };

    private static bool Leads(StepGraph graph, int from, int to) => graph.Out(from).Any(edge => edge.Carries && (edge.To == to || Leads(graph, edge.To, to)));

    /// <summary>Mixing, turns and rest before the dough is taken.</summary>
    private static IEnumerable<WayPiece> Dough(DoughFormula dough, int takenMin)
    {
        var at = takenMin - dough.Rest.Aim - dough.MadeInMinutes;
        foreach (var (step, number) in new DoughMaking(dough).Method.Select((step, number) => (step, number)))
        {
            // No step of a pie has an id with a colon.
            var drawn = step with { Id = $":{step.Id}", Name = number == 0 ? $"{step.Name} {dough.Name}" : step.Name };
            yield return new WayPiece(drawn, at, at += Making.Minutes(step, 0), number == 0 ? DoughCautions.Of(dough) : string.Empty);
        }

        yield return new WayPiece(new Step(":rest", "Rest", Station.Cold, null, [], dough.Rest, FridgeC, false, string.Empty, string.Empty), at, takenMin, string.Empty);
    }

    // No task is called so: the line of a dough takes what goes into it.
    private const string InDough = ":dough/";

    /// <summary>What the doughs take of what is made first, when they are mixed or set out: that of the base on the first line, that of the top on the second.</summary>
    private static IEnumerable<PreparationDemand> InDoughs(List<WayLine> lines, Product product, Pan pan, int pies) =>
        from dough in Scaling.Scale(product, pan, pies).Doughs.Select((part, at) => (part.Lines, At: at))
        from line in dough.Lines
        from wants in PreparationTaking.Wants(line.Line.Ingredient, line.ToBuy)
        where wants.Wanted > Mass.Zero
        select new PreparationDemand(wants.Made, product.Name, FormattableString.Invariant($"{InDough}{dough.At}"), [product.Id], pies, wants.Wanted, lines[dough.At].Pieces[0].StartMin);

    /// <summary>A line for everything that is made first, running into what takes it; of several batches the first.</summary>
    private static void MadeFirst(List<WayLine> lines, Product product, Pan pan, StepGraph graph, ParcelTimes times, int pies)
    {
        var calendar = new ShiftCalendar([new DayShift("Always", -Always, Always)]);
        PreparationDemand[] demands = [.. DayMaking.Demands(product, pan, PreparationTaking.Of(product, graph), graph, pies, times, $"{product.Id}/", [product.Id]), .. InDoughs(lines, product, pan, pies)];
        var place = new Dictionary<string, int>();
        var all = new DayMaking(calendar).Make(demands, null);
        foreach (var made in all.Batches.Where(made => made.Batch.Number == 1))
        {
            var pieces = made.Steps.Select(step => new WayPiece(step.Step, step.StartMin, step.EndMin, step.Step.Caution)).ToList();
            pieces.AddRange(made.Kept.Select(kept => new WayPiece(kept.Step, kept.StartMin, kept.EndMin, DayTasks.Caution(made.Batch, kept.Step))));
            // What another made thing takes runs into its line; anything else into the line of the step that takes it.
            var into = Into(made.Batch.Uses[0].TaskId);
            place[made.Batch.Made.Id] = lines.Count;
            lines.Add(new WayLine(made.Batch.Made.Name, pieces, made.Batch.NeededMin, into));
        }

        foreach (var taken in all.Dough.OrderBy(demand => demand.NeededMin).DistinctBy(demand => demand.Made.Id))
            lines.Add(new WayLine(taken.Made.Name, [.. Dough(((DoughMaking)taken.Made.Formula!.How!).Dough, taken.NeededMin)], taken.NeededMin, Into(taken.TaskId)));

        int Into(string taker) => taker.StartsWith(InDough, StringComparison.Ordinal) ? int.Parse(taker[InDough.Length..], CultureInfo.InvariantCulture) : place.Where(one => taker.StartsWith($"made:{one.Key}/", StringComparison.Ordinal)).Select(one => one.Value)
            .Concat(Enumerable.Range(0, lines.Count).Where(line => lines[line].Pieces.Any(piece => taker == $"{product.Id}/{piece.Step.Id}"))).FirstOrDefault();
    }
}

/// <summary>One line of a way.</summary>
/// <param name="Name">Of what: the product, "Filling", "Topping", the first work of something else, or something made first.</param>
/// <param name="Pieces">Its steps in order of time.</param>
/// <param name="JoinsMin">When it runs into another line; null of the pie's own.</param>
/// <param name="JoinsLine">Number of the line it runs into, from 0.</param>
public sealed record WayLine(string Name, IReadOnlyList<WayPiece> Pieces, int? JoinsMin, int JoinsLine)
{
    /// <summary>The same, its minutes counted from another.</summary>
    internal WayLine From(int minute) => this with
    {
        Pieces = [.. Pieces.Select(piece => piece with { StartMin = piece.StartMin - minute, EndMin = piece.EndMin - minute })],
        JoinsMin = JoinsMin - minute,
    };
}

/// <summary>A step of a way with its time.</summary>
/// <param name="Step">The step.</param>
/// <param name="StartMin">First minute, from the first work of the way.</param>
/// <param name="EndMin">Minute after the last.</param>
/// <param name="Caution">What can hurt; may be empty.</param>
public sealed record WayPiece(Step Step, int StartMin, int EndMin, string Caution);
