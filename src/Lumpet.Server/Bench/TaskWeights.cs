using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.Server.Recipes;

namespace Lumpet.Server.Bench;

/// <summary>What hands weigh for a task, one thing each, as the scale shows it.</summary>
internal static class TaskWeights
{
    /// <summary>What any task takes: of dough what goes into the bowl, of what else is made first what goes into the pot, of pies what their step takes.</summary>
    public static IEnumerable<string> Of(PlannedDay plan, DayTask task)
    {
        if (task.LotId is { } lot) return Of(plan.Lot(lot), task);
        if (plan.Batches.FirstOrDefault(batch => task.Id == $"{batch.Dough.Id}/{batch.Number}/{task.StepId}") is { } mixed)
            return task.Station == Station.Dough ? mixed.Lines.Select(line => Line(line.Weighed.Grams, line.Line)) : [];
        if (plan.Made.FirstOrDefault(one => task.Id == $"{one.Batch.Id}/{task.StepId}") is not { } made) return [];
        // All of it is taken when it is begun.
        return task.StartMin == made.StartMin ? made.Batch.Lines.Select(line => Line(line.WeighedGrams, line.Line)) : [];
    }

    private static string Line(double grams, RecipeLine line) => Words($"{grams} g {line.Ingredient.Name.ToLowerInvariant()}{(line.Preparation.Length > 0 ? $", {line.Preparation}" : string.Empty)}");

    /// <summary>What the step takes, as the scale shows it: discs, fillings and what lies on them by the pie, wash and the like by the batch.</summary>
    public static IEnumerable<string> Of(Lot lot, DayTask task)
    {
        var product = lot.Product;
        var scaled = Scaling.Scale(product, lot.Pan, task.Pies);
        var step = product.Process.Steps.First(one => one.Id == task.StepId);
        if (step.UsesDough)
            foreach (var piece in scaled.Pieces)
                yield return Words($"{piece.Name}: {(piece.Disc > Mass.Zero ? Words($"{Math.Round(piece.Disc.Grams)} g") : "from the trim")}{(PieceWords.Rolled(piece) is { Length: > 0 } rolled ? $", {rolled}" : PieceWords.Cut(piece))}");
        var filling = FillingSteps.Of(product.Process);
        if (filling.Count > 1 && step.Id == filling[0].Id)
        {
            foreach (var part in scaled.Fillings.Where(part => part.Part.Id == product.MainFilling.Id))
                yield return Words($"{LayerWords.Title(product, part.Part)}, for all: {Listed(part.Lines.Select(line => (line.Line.Ingredient, line.Total)))}");
        }

        if (filling.Count > 0 && step.Id == filling[^1].Id)
        {
            foreach (var part in scaled.Parts.Where(part => part.Kind is PartKind.Filling or PartKind.Topping))
                yield return Words($"{LayerWords.Title(product, part.Part)}: {LayerWords.PerPie(part)} g a pie{Pieces(scaled, part)}");
            foreach (var part in scaled.Parts.Where(part => part.Kind == PartKind.Finish))
                yield return Words($"{LayerWords.Title(product, part.Part)}, for all: {Listed(part.Lines.Select(line => (line.Line.Ingredient, line.Total)))}");
        }

        if (step.Station == Station.Box)
            foreach (var said in scaled.Packaging.GroupBy(item => item.Name).Select(item => Words($"{item.Count() * task.Pies} × {item.Key.ToLowerInvariant()}"))
                .Concat(scaled.Parts.Where(part => part.Kind == PartKind.Beside).Select(part => Words($"{LayerWords.Title(product, part.Part)}: {LayerWords.PerPie(part)} g a pie beside"))))
                yield return said;
    }

    /// <summary>What a filling takes that is made in one go for several pans and pick-ups, told where it begins.</summary>
    public static IEnumerable<string> InOneGo(PlannedDay plan, DayTask task)
    {
        var run = plan.InOneGoWith(task);
        if (run.Count == 1 || run[0].Id != task.Id || run.Any(one => one.LotId is null)) yield break;
        var product = plan.Lot(task.LotId!).Product;
        if (FillingSteps.Of(product.Process) is not { Count: > 1 } filling || filling[0].Id != task.StepId) yield break;
        ScaledPart[] taken = [.. run.SelectMany(one => Scaling.Scale(product, plan.Lot(one.LotId!).Pan, one.Pies).Fillings.Where(part => part.Part.Id == product.MainFilling.Id))];
        // In the order of the recipe; what stands in it twice is weighed twice.
        var lines = taken.SelectMany(part => part.Lines.Select((line, at) => (At: at, line.Line.Ingredient, line.Total))).GroupBy(line => line.At).OrderBy(same => same.Key);
        yield return Words($"{LayerWords.Title(product, taken[0].Part)}, for all {run.Sum(one => one.Pies)} in one go: {Listed(lines.Select(same => (same.First().Ingredient, Mass.FromGrams(same.Sum(line => line.Total.Grams)))))}");
    }

    private static string Listed(IEnumerable<(Ingredient Ingredient, Mass Total)> lines) =>
        string.Join(", ", lines.Select(line => Words($"{ScaleReading.GramsOf(line.Total, line.Ingredient.Facts.WeighedTo)} g {line.Ingredient.Name.ToLowerInvariant()}")));

    private static string Pieces(ScaledProduct scaled, ScaledPart part) =>
        LayerScale.Pieces(part.Layer!, scaled.Product, scaled.Pan) is > 0 and var pieces ? Words($", {pieces} pieces") : string.Empty;

    private static string Words(FormattableString text) => FormattableString.Invariant(text);
}
