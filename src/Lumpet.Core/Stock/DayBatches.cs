using System.Globalization;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Dough;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Stock;

/// <summary>
/// What a day's plan makes, batch by batch, with what each takes. What is made of something that the plan makes too takes it of the batch that
/// the plan has in mind; what is bought is opened down to what lies on a shelf. Nothing is left out: every line of every part is in one of them.
/// </summary>
public static class DayBatches
{
    /// <summary>Every batch of a plan, what goes into others before what it goes into.</summary>
    /// <param name="plan">The plan.</param>
    public static IReadOnlyList<DayBatch> Of(PlannedDay plan)
    {
        var made = MadeByTask(plan);
        return
        [
            .. plan.Made.Select(one => Of(plan, one, made)),
            .. plan.Batches.Select(batch => Of(batch, made)),
            .. plan.Lots.Select(lot => Of(plan, lot, made)),
        ];
    }

    /// <summary>Name of a bowl of dough among a day's batches.</summary>
    public static string IdOf(DoughBatch batch) => string.Create(CultureInfo.InvariantCulture, $"{batch.Dough.IngredientId}/{batch.Number}");

    /// <summary>What a weight of something takes off the shelves of what is bought; what a plan makes of it is not in it.</summary>
    /// <param name="ingredient">What is taken.</param>
    /// <param name="mass">How much, as purchased.</param>
    public static IEnumerable<(Ingredient Ingredient, Mass Mass)> Bought(Ingredient ingredient, Mass mass) => ingredient.Formula switch
    {
        null => [(ingredient, mass)],
        { How.IsPlanned: true } => [],
        var formula => formula.For(mass).SelectMany(line => Bought(line.Ingredient, line.Yield.AsPurchased(line.Amount))),
    };

    /// <summary>What each task takes of what is made, by this plan or before it.</summary>
    private static ILookup<string, BatchTake> MadeByTask(PlannedDay plan) =>
        plan.Made.SelectMany(one => one.Batch.Uses.Select(use => (use.TaskId, Take: Take(one.Batch.Made.Id, use.Wanted, one.Batch.Id))))
            .Concat(plan.Batches.SelectMany(batch => batch.Discs.Where(disc => disc.TaskId is not null)
                .Select(disc => (TaskId: disc.TaskId!, Take: Take(batch.Dough.IngredientId, disc.Disc * disc.Count, IdOf(batch))))))
            .Concat(plan.FromStock.Where(use => use.TaskId is not null && use.Pies == 0)
                .Select(use => (TaskId: use.TaskId!, Take: Take(plan.Stock.Masses.First(one => one.Id == use.StockId).MadeId, use.Taken, null) with { Lot = LotOf(use.StockId) })))
            .ToLookup(one => one.TaskId, one => one.Take);

    private static DayBatch Of(PlannedDay plan, MadeBatch one, ILookup<string, BatchTake> made)
    {
        var batch = one.Batch;
        return new DayBatch(
            batch.Id,
            DayBatchKind.Made,
            batch.About,
            new StockedGoods(batch.Made.Id),
            StockAmount.Of(batch.Mass),
            batch.How.Keeping.Place,
            one.StartMin,
            one.DoneMin,
            null,
            [],
            Together(batch.Lines.SelectMany(line => Bought(line.Line, line.Exact)).Concat(one.Steps.SelectMany(step => made[DayTasks.Id(batch, step.Step.Id)]))),
            BakesOf(plan, batch.Id));
    }

    private static DayBatch Of(DoughBatch batch, ILookup<string, BatchTake> made) => new(
        IdOf(batch),
        DayBatchKind.Dough,
        batch.Of == 1 ? batch.Dough.Name : string.Create(CultureInfo.InvariantCulture, $"{batch.Dough.Name}, batch {batch.Number} of {batch.Of}"),
        new StockedGoods(batch.Dough.IngredientId),
        StockAmount.Of(batch.InDiscs + batch.Surplus),
        KeepPlace.Cold,
        batch.MixStartMin,
        batch.MixEndMin,
        null,
        [],
        Together(batch.Lines.SelectMany(line => Bought(line.Line, line.Exact)).Concat(made[DayTasks.Id(batch, DayTasks.Mix)])),
        []);

    private static DayBatch Of(PlannedDay plan, Lot lot, ILookup<string, BatchTake> made)
    {
        DayTask[] tasks = [.. plan.Tasks.Where(task => task.LotId == lot.Id && task.Kind != TaskKind.Wait)];
        return new DayBatch(
            lot.Id,
            DayBatchKind.Pies,
            string.Create(CultureInfo.InvariantCulture, $"{lot.Count} {lot.Product.Name}, {lot.Pan.Name}"),
            new StockedPie(lot.Product.Id, lot.Pan.Id, lot.Product.Process.Steps[^1].Id),
            StockAmount.Pieces(lot.Count),
            KeepPlace.Room,
            tasks.Select(task => task.StartMin).DefaultIfEmpty(lot.PickUpMin).Min(),
            tasks.Select(task => task.EndMin).DefaultIfEmpty(lot.PickUpMin).Max(),
            lot.PickUpMin,
            lot.For,
            Together(Begun(lot).Concat(InPies(lot)).Concat(tasks.SelectMany(task => made[task.Id]))),
            BakesOf(plan, lot.Id));
    }

    /// <summary>Where its trays are in an oven, trays that go in together once.</summary>
    private static BatchBake[] BakesOf(PlannedDay plan, string id) =>
    [
        .. from load in plan.Loads
           from visit in load.Visits
           where visit.LotId == id
           group visit by (load.OvenId, plan.Thing(visit).Step.Name, visit.Stages[0].StartMin, visit.EndMin) into same
           orderby same.Key.StartMin, same.Key.OvenId
           select new BatchBake(plan.Ovens[same.Key.OvenId].Name, same.Key.Name, same.Key.StartMin, same.Key.EndMin),
    ];

    /// <summary>The pies that were there already, brought as far as a step.</summary>
    private static IEnumerable<BatchTake> Begun(Lot lot) => lot.Begun is { } begun && LotOf(begun.Id) is { } id
        ? [new BatchTake(new StockedPie(lot.Product.Id, lot.Pan.Id, lot.Product.ProcessIn(lot.Pan).Steps.Last(step => begun.Done.ContainsKey(step.Id)).Id), StockAmount.Pieces(lot.Count), null, id)]
        : [];

    /// <summary>What is bought for pies and goes in at the steps that are left, and what each is packed in.</summary>
    private static IEnumerable<BatchTake> InPies(Lot lot)
    {
        var scaled = Scaling.Scale(lot.Product, lot.Pan, lot.Count);
        var (whole, left) = (new StepGraph(lot.Product.ProcessIn(lot.Pan)), lot.ProcessLeft().Steps.Select(step => step.Id).ToHashSet());
        bool IsLeft(Layer layer, RecipeLine line) => lot.Begun is null
            || left.Contains(whole.Nodes[PreparationTaking.Said(whole, line.Ingredient) ?? PreparationTaking.NodeOf(lot.Product, whole, layer)].Id);
        return
        [
            .. from part in scaled.Parts
               where part.Layer is not null
               from line in part.Lines
               where IsLeft(part.Layer!, line.Line)
               from bought in Bought(line.Line.Ingredient, line.ToBuy)
               select Take(bought.Ingredient.Id, bought.Mass, null),
            .. scaled.Packaging.Select(item => new BatchTake(new StockedGoods(item.Id), StockedGoods.Amount(item, lot.Count, PackUnit.Piece)!.Value)),
        ];
    }

    private static IEnumerable<BatchTake> Bought(RecipeLine line, Mass prepared) =>
        Bought(line.Ingredient, line.Yield.AsPurchased(prepared)).Select(bought => Take(bought.Ingredient.Id, bought.Mass, null));

    private static BatchTake Take(string id, Mass mass, string? batch) => new(new StockedGoods(id), StockAmount.Of(mass), batch);

    /// <summary>Each thing of each batch or lot once, in the order in which it is first taken.</summary>
    private static BatchTake[] Together(IEnumerable<BatchTake> takes) =>
    [
        .. takes.Where(take => take.Amount.Count > 0).GroupBy(take => (take.Thing, take.Amount.Unit, take.Batch, take.Lot))
            .Select(same => same.First() with { Amount = StockAmount.Sum(same.Select(take => take.Amount), same.Key.Unit) }),
    ];

    /// <summary>The lot that something that is made already is; null of what a published plan has under way.</summary>
    private static Guid? LotOf(string stockId) => Guid.TryParseExact(stockId, "N", out var id) ? id : null;
}
