using Lumpet.Core.Bakery;
using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Bills;

/// <summary>
/// So many pies of one product made by themselves: the bowls of dough and the batches of all else that they take, whole as they are made, with the
/// hands and the oven's time for them. On a day other pies share bowls, hands and ovens; this is what it takes where none do.
/// </summary>
/// <param name="Scaled">The pies.</param>
/// <param name="Batches">What is made before them; what goes into others comes after what it goes into.</param>
/// <param name="HandsMin">Minutes of hands on the pies themselves.</param>
/// <param name="Bakes">The bakes of the pies.</param>
public sealed record LoneRun(ScaledProduct Scaled, IReadOnlyList<LoneBatch> Batches, int HandsMin, IReadOnlyList<LoneBake> Bakes)
{
    /// <summary>Minutes of hands in all.</summary>
    public int AllHandsMin => HandsMin + Batches.Sum(batch => batch.HandsMin);

    /// <summary>Every bake, of what is made before the pies first.</summary>
    public IEnumerable<LoneBake> AllBakes => Batches.SelectMany(batch => batch.Bakes).Concat(Bakes);

    /// <summary>Pies made by themselves.</summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">A pan it is made in.</param>
    /// <param name="count">How many, at least 1.</param>
    /// <param name="mixer">The mixer that makes its doughs.</param>
    /// <exception cref="ArgumentException">The pan is too small for what the recipe puts into it.</exception>
    public static LoneRun Of(Product product, Pan pan, int count, Mixer mixer)
    {
        var scaled = Scaling.Scale(product, pan, count);
        var graph = new StepGraph(product.ProcessIn(pan));
        int[] nodes = [.. Enumerable.Range(0, graph.Nodes.Count)];
        var trays = (count + pan.PerTray - 1) / pan.PerTray;
        return new LoneRun(
            scaled,
            Made(scaled, mixer),
            nodes.Where(node => !graph.Nodes[node].IsBake).Sum(node => graph.Minutes(node, count)),
            [.. nodes.Where(node => graph.Nodes[node].IsBake).Select(node => new LoneBake(graph.Nodes[node], trays))]);
    }

    private static List<LoneBatch> Made(ScaledProduct scaled, Mixer mixer)
    {
        var discs = new Dictionary<string, List<DoughDemand>>();
        var wanted = new Dictionary<string, List<PreparationDemand>>();
        foreach (var piece in scaled.Pieces.Where(piece => piece.Disc > Mass.Zero)) Disc(scaled.Product.DoughOf(piece), piece.Name, piece.Disc, scaled.Count, piece);
        foreach (var line in scaled.Parts.Where(part => part.Kind != PartKind.Dough).SelectMany(part => part.Lines)) Want(line.Line.Ingredient, line.ToBuy);
        var made = new List<LoneBatch>();
        while (discs.Count + wanted.Count > 0)
        {
            // What nothing else that is still to be made is made of comes next; there is one, since nothing is made of itself.
            var things = discs.Values.Select(list => list[0].Dough.AsIngredient()).Concat(wanted.Values.Select(list => list[0].Made)).ToArray();
            var next = things.First(one => things.All(other => other.Id == one.Id || other.Formula!.Everything.All(inner => inner.Id != one.Id)));
            made.AddRange(discs.Remove(next.Id, out var dough) ? Doughs(next, dough) : Preparations(wanted.Remove(next.Id, out var demands) ? demands : []));
        }

        return made;

        void Disc(DoughFormula dough, string label, Mass mass, int pieces, DoughPiece? piece)
        {
            if (!discs.TryGetValue(dough.IngredientId, out var list)) discs[dough.IngredientId] = list = [];
            list.Add(new DoughDemand(dough, [scaled.Product.Id], label, mass, pieces, piece, 0));
        }

        void Want(Ingredient ingredient, Mass mass)
        {
            foreach (var (thing, much) in PreparationTaking.Wants(ingredient, mass).Where(want => want.Wanted > Mass.Zero))
            {
                if (thing.Formula!.How is DoughMaking making)
                {
                    Disc(making.Dough, thing.Name, much, 1, null);
                    continue;
                }

                if (!wanted.TryGetValue(thing.Id, out var list)) wanted[thing.Id] = list = [];
                list.Add(new PreparationDemand(thing, scaled.Product.Name, string.Empty, [scaled.Product.Id], scaled.Count, much, 0));
            }
        }

        IEnumerable<LoneBatch> Doughs(Ingredient asIngredient, IReadOnlyList<DoughDemand> demands)
        {
            foreach (var batch in DoughBatching.Divide(demands, mixer))
            {
                foreach (var line in batch.Lines) Want(line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact));
                var turns = batch.Dough.Method.Turns * batch.Dough.Method.TurnMinutes;
                yield return new LoneBatch(asIngredient, batch.InDiscs + batch.Surplus, batch.Surplus, batch.Dough.MixMinutes + turns, []);
            }
        }

        IEnumerable<LoneBatch> Preparations(IReadOnlyList<PreparationDemand> demands)
        {
            foreach (var batch in PreparationBatching.Divide(demands))
            {
                foreach (var line in batch.Lines) Want(line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact));
                var trays = batch.How.Batches.TraysFor(batch.Weighed);
                yield return new LoneBatch(
                    batch.Made,
                    batch.Mass,
                    batch.Surplus,
                    batch.How.Method.Where(step => step.Hands is not null).Sum(step => Making.Minutes(step, batch.Units)),
                    [.. batch.How.Method.Where(step => step.IsBake).Select(step => new LoneBake(step, trays))]);
            }
        }
    }
}

/// <summary>A bowl of dough, or a batch of something else that is made before pies.</summary>
/// <param name="Made">What is made; a dough as the ingredient that it is.</param>
/// <param name="Mass">How much: what is taken, and surplus.</param>
/// <param name="Surplus">What is made beyond what is taken: the smallest bowl or batch is more, or it takes whole eggs or tins.</param>
/// <param name="HandsMin">Minutes of hands.</param>
/// <param name="Bakes">Its bakes.</param>
public sealed record LoneBatch(Ingredient Made, Mass Mass, Mass Surplus, int HandsMin, IReadOnlyList<LoneBake> Bakes);

/// <summary>A bake of so many trays.</summary>
/// <param name="Step">The bake.</param>
/// <param name="Trays">Trays in it, at least 1.</param>
public sealed record LoneBake(Step Step, int Trays)
{
    /// <summary>Minutes of one load in the oven, at least.</summary>
    public int Minutes => Step.Stages.Sum(stage => stage.MinMin) + Step.HeatedTrayMin;

    /// <summary>The least and the greatest heat that it asks for.</summary>
    public (int Least, int Most) Celsius => (Step.Stages.Min(stage => stage.TempC), Step.Stages.Max(stage => stage.TempC));
}
