using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Fillings;

/// <summary>The day's fillings.</summary>
internal static class FillingEndpoints
{
    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/fillings/{day}", Get).WithName("GetFillings").WithSummary("The fillings of a day, ready to be weighed.");

    private static async Task<Results<Ok<FillingsAnswer>, ValidationProblem>> Get(string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        FillingAnswer[] fillings = [.. plan.Lots.Where(IsFilledYet).GroupBy(lot => lot.Product.Id).Select(lots => Filling(book, plan, [.. lots]))];
        // What a plan makes has sheets of its own; of the rest it is said how much is wanted.
        var planned = plan.Made.Select(made => made.Batch.Made.Name).ToHashSet();
        // What is mixed stands on the dough sheet.
        planned.UnionWith(plan.Batches.Select(batch => batch.Dough.Name));
        planned.UnionWith(plan.FromStock.Where(use => use.Pies == 0).Select(use => book.MadeThere[plan.Stock.Masses.First(one => one.Id == use.StockId).MadeId].Name));
        MadeAnswer[] made = [.. ScaleAnswers.Made(plan.Lots.Select(lot => Scaling.Scale(lot.Product, lot.Pan, lot.Count))).Where(one => !planned.Contains(one.Name))];
        return TypedResults.Ok(new FillingsAnswer(Days.Name(book.Day), Math.Round(fillings.Sum(filling => filling.Grams) / 1000, 1), StockUseWords.Of(book, plan, isDough: false), made, MadeBatchWords.Of(book, plan), fillings));
    }

    /// <summary>Whether pies are to be filled: those that are there already may be.</summary>
    private static bool IsFilledYet(Lot lot)
    {
        if (lot.Begun is null) return true;
        var left = lot.ProcessLeft().Steps.Select(step => step.Id).ToHashSet();
        return FillingSteps.Of(lot.Product.Process).Any(step => left.Contains(step.Id));
    }

    private static FillingAnswer Filling(DayBook book, PlannedDay plan, Lot[] lots)
    {
        var product = lots[0].Product;
        var scaled = lots.Select(lot => (Lot: lot, Scaled: Scaling.Scale(product, lot.Pan, lot.Count))).ToArray();
        var batches = Batches(plan, lots);
        FillingLayerAnswer[] layers = [.. product.Layers.Select((layer, at) => new FillingLayerAnswer(
            LayerWords.Title(product, layer),
            Naming.Of(layer.Kind),
            Math.Round(layer.LeftShare * 100, 1),
            Lines([.. scaled.Select(one => Of(one.Scaled, layer).Lines)], [.. batches.Select(batch => Of(Scaling.Scale(product, batch.Lot.Pan, batch.Task.Pies), layer).Lines)]),
            LineWords.Reduced([.. layer.Lines.Select((line, index) => line with { Amount = Mass.FromGrams(scaled.Sum(one => Of(one.Scaled, layer).Lines[index].Total.Grams)) })], layer.ReducedTo)))];
        return new FillingAnswer(
            product.Id,
            product.Name,
            Math.Round(layers.Where(layer => layer.Part == Naming.Of(PartKind.Filling)).Sum(layer => layer.Lines.Sum(line => line.Grams)), 1),
            layers,
            [.. scaled.SelectMany(one => one.Scaled.Packaging.Select(item => (item.Name, one.Lot.Count))).GroupBy(item => item.Name)
                .Select(item => new PackagingAnswer(item.Key, item.Sum(one => one.Count)))],
            [.. scaled.Select(one => new FillingLotAnswer(
                one.Lot.Count,
                one.Lot.Pan.Name,
                book.Clock.At(one.Lot.PickUpMin),
                Math.Round(one.Scaled.FillingPerPie.Grams, MidpointRounding.AwayFromZero),
                [.. product.Layers.Select(layer => Weight(one.Scaled, layer))],
                [.. RoomWords.Of(one.Scaled)]))],
            product.Allergens,
            product.WithoutStatedAllergens,
            product.MayContain,
            book.Bakery.Handles,
            ProductCautions.Of(product),
            [.. batches.Select(batch => new FillingBatchAnswer(book.Clock.At(batch.Task.StartMin), batch.Task.Pies, batch.Lot.Pan.Name))],
            [.. FillingSteps.Of(product.Process).Select(step => Step(book, plan, lots, product, step))],
            ProcessWords.Keeping(product));
    }

    /// <summary>Each time that a filling is made: the first of its steps, with the pies it is for.</summary>
    private static (DayTask Task, Lot Lot)[] Batches(PlannedDay plan, Lot[] lots) => FillingSteps.First(lots[0].Product.Process) is not { } first ? []
        : [.. plan.Tasks.Where(task => task.StepId == first.Id).SelectMany(task => lots.Where(lot => lot.Id == task.LotId).Select(lot => (task, lot))).OrderBy(one => one.task.StartMin)];

    private static FillingStepAnswer Step(DayBook book, PlannedDay plan, Lot[] lots, Product product, Step step)
    {
        var said = StepWords.Of(step, StepCautions.Of(product)[step.Id], bound: StepWords.Bound(product.Process, step));
        return new FillingStepAnswer(
            said.Name, said.Station, said.Time, said.Celsius, said.ReadyWhen, said.Caution,
            [.. plan.Tasks.Where(task => task.StepId == step.Id && lots.Any(lot => lot.Id == task.LotId)).Select(task => task.StartMin).Distinct().Order().Select(book.Clock.At)]);
    }

    private static ScaledPart Of(ScaledProduct scaled, Layer layer) => scaled.Parts.First(part => part.Part.Id == layer.Id);

    private static LayerWeightAnswer Weight(ScaledProduct scaled, Layer layer)
    {
        var part = Of(scaled, layer);
        return new LayerWeightAnswer(
            LayerWords.Title(scaled.Product, layer),
            LayerWords.PerPie(part),
            LayerScale.Pieces(layer, scaled.Product, scaled.Pan),
            Math.Round(part.Factor, 4));
    }

    /// <summary>The lines of one layer, added up over the lots of a product and rounded once.</summary>
    private static FillingLineAnswer[] Lines(IReadOnlyList<ScaledLine>[] lots, IReadOnlyList<ScaledLine>[] batches) =>
        [.. lots[0].Select((first, index) =>
        {
            var exact = Mass.FromGrams(lots.Sum(lot => lot[index].Total.Grams));
            var line = first.Line;
            return new FillingLineAnswer(
                line.Ingredient.Name,
                LineWords.Preparation(line, exact),
                ScaleReading.GramsOf(exact, line.Ingredient.Facts.WeighedTo),
                line.Yield.Share < 1 ? Math.Round(line.Yield.AsPurchased(exact).Grams) : null,
                line.Yield.Share < 1 ? Math.Round(line.Yield.Share * 100) : null,
                batches.Length < 2 ? [] : [.. batches.Select(batch => ScaleReading.GramsOf(batch[index].Total, line.Ingredient.Facts.WeighedTo))]);
        })];
}

/// <summary>The fillings of a day.</summary>
/// <param name="DayName">The day.</param>
/// <param name="Kilograms">Filling in all.</param>
/// <param name="Already">What is there already and is taken first, one sentence each.</param>
/// <param name="Made">What is made here first and no plan makes, for all parts of all pies of the day.</param>
/// <param name="Batches">What the plan makes first, batch by batch.</param>
/// <param name="Fillings">One for each product.</param>
public sealed record FillingsAnswer(string DayName, double Kilograms, IReadOnlyList<string> Already, IReadOnlyList<MadeAnswer> Made, IReadOnlyList<MadeBatchAnswer> Batches, IReadOnlyList<FillingAnswer> Fillings);

/// <summary>The filling of a product.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Name">Name of the product.</param>
/// <param name="Grams">What is weighed of its fillings in all; their lines add up to it.</param>
/// <param name="Layers">Everything that is weighed for it but dough, from the floor up.</param>
/// <param name="Packaging">What is counted by the pie: boxes, labels, pans that go with the pie.</param>
/// <param name="Lots">Where it goes.</param>
/// <param name="Allergens">What it carries, crust and finish included.</param>
/// <param name="NotStated">Ingredients of which nobody has said yet what they carry.</param>
/// <param name="MayContain">What it may carry in traces, as suppliers say.</param>
/// <param name="Handles">What this kitchen handles, as the bakery states; null while it has stated nothing.</param>
/// <param name="Cautions">What can hurt.</param>
/// <param name="Batches">Each time that it is made; empty where it has no step of its own.</param>
/// <param name="Steps">Its method, up to the step that fills.</param>
/// <param name="Keeps">How the pie keeps.</param>
public sealed record FillingAnswer(
    string Product,
    string Name,
    double Grams,
    IReadOnlyList<FillingLayerAnswer> Layers,
    IReadOnlyList<PackagingAnswer> Packaging,
    IReadOnlyList<FillingLotAnswer> Lots,
    IReadOnlyList<string> Allergens,
    IReadOnlyList<string> NotStated,
    IReadOnlyList<string> MayContain,
    IReadOnlyList<string>? Handles,
    IReadOnlyList<string> Cautions,
    IReadOnlyList<FillingBatchAnswer> Batches,
    IReadOnlyList<FillingStepAnswer> Steps,
    string Keeps);

/// <summary>One time that a filling is made.</summary>
/// <param name="Start">When it is begun.</param>
/// <param name="Pies">For how many pies.</param>
/// <param name="Pan">In which pan.</param>
public sealed record FillingBatchAnswer(Moment Start, int Pies, string Pan);

/// <summary>A step of a filling.</summary>
/// <param name="Name">What is done.</param>
/// <param name="Station">Where.</param>
/// <param name="Time">How long, in words.</param>
/// <param name="Celsius">Temperature.</param>
/// <param name="ReadyWhen">The sensory test, and what is done where it fails.</param>
/// <param name="Caution">What can hurt.</param>
/// <param name="Starts">When it is begun, batch by batch.</param>
public sealed record FillingStepAnswer(string Name, string Station, string Time, int Celsius, string ReadyWhen, string Caution, IReadOnlyList<Moment> Starts);

/// <summary>A layer of a product.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Part">"filling", "topping", "finish" or "beside".</param>
/// <param name="KeptPercent">What of it goes into the pans.</param>
/// <param name="Lines">By ingredient.</param>
/// <param name="Reduced">What boiling down does to it, before and after; empty where nothing is boiled down.</param>
public sealed record FillingLayerAnswer(string Title, string Part, double KeptPercent, IReadOnlyList<FillingLineAnswer> Lines, string Reduced);

/// <summary>What of a layer goes into one pie.</summary>
/// <param name="Title">What the layer is called.</param>
/// <param name="Grams">What goes in, what boils away taken off.</param>
/// <param name="Pieces">Whole pieces; 0 where it does not go by the piece.</param>
/// <param name="Factor">By which the written amounts were multiplied.</param>
public sealed record LayerWeightAnswer(string Title, double Grams, int Pieces, double Factor);

/// <summary>Something that is counted by the pie.</summary>
/// <param name="Name">What.</param>
/// <param name="Count">How many.</param>
public sealed record PackagingAnswer(string Name, int Count);

/// <summary>An ingredient of a filling.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">What to weigh, prepared.</param>
/// <param name="ToBuyGrams">What to buy for it; null where nothing is lost.</param>
/// <param name="YieldPercent">What preparation leaves; null where nothing is lost.</param>
/// <param name="PerBatch">What to weigh for each batch; empty where there is one only.</param>
public sealed record FillingLineAnswer(string Name, string Preparation, double Grams, double? ToBuyGrams, double? YieldPercent, IReadOnlyList<double> PerBatch);

/// <summary>Pies that a filling goes into.</summary>
/// <param name="Count">Pies.</param>
/// <param name="Pan">The pan.</param>
/// <param name="PickUp">The pick-up.</param>
/// <param name="GramsPerPie">All fillings of one pie.</param>
/// <param name="Layers">What of each layer goes into one.</param>
/// <param name="Room">What is too much for this pan, in words; empty where it fits.</param>
public sealed record FillingLotAnswer(int Count, string Pan, Moment PickUp, double GramsPerPie, IReadOnlyList<LayerWeightAnswer> Layers, IReadOnlyList<string> Room);
