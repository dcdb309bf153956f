using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Preparations;

/// <summary>What is made before it goes into pies: who takes it, how it is made, how it keeps, how much a day takes.</summary>
internal static class PreparationEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/preparations", List).WithName("GetPreparations").WithSummary("Everything that is made here before it goes into pies; with a day, how much it takes.");
        routes.MapPost("/api/writing/making", Usual).WithName("GetUsualMaking").WithSummary("The usual way of making and keeping something of a kind. Stores nothing.");
    }

    private static Results<Ok<PreparationsAnswer>, ValidationProblem> List(string? day, Database database)
    {
        using var connection = database.Open();
        var today = new Dictionary<string, Mass>();
        if (!string.IsNullOrEmpty(day))
        {
            var (book, refused) = PlanEndpoints.Open(day, connection, clock: null);
            if (book is null) return refused!;
            ScaledProduct[] scaled = [.. book.Snapshot.Orders.Select(Scaled).OfType<ScaledProduct>()];
            today = MadeHere.In(scaled).ToDictionary(one => one.Ingredient.Id, one => one.Wanted);
            foreach (var (dough, mass) in MadeHere.InDiscs(scaled)) today[Ingredient.DoughPrefix + dough] = today.GetValueOrDefault(Ingredient.DoughPrefix + dough) + mass;
        }

        var products = RecipeStore.Products(connection).Where(product => !product.IsRetired).ToArray();
        // Doughs last; what only stands for something that is bought, or for a shell made here, is not made itself.
        Ingredient[] made = [.. IngredientStore.All(connection).Values
            .Where(one => one is { Formula: not null, IsRetired: false } && one.Formula.How is not DoughMaking { Dough.IsMixed: false })
            .OrderBy(one => one.IsDough).ThenBy(one => one.Name, StringComparer.OrdinalIgnoreCase)];
        var mixer = BakeryStore.Find(connection)?.Mixer;
        return TypedResults.Ok(new PreparationsAnswer(
            string.IsNullOrEmpty(day) ? string.Empty : Days.Name(Days.Read(day)!.Value),
            [.. made.Select(one => Answer(one, products, made, today.GetValueOrDefault(one.Id), mixer))]));
    }

    /// <summary>What an order takes; null where its product cannot be made: the plan of the day names it, and here the way to mend it is found.</summary>
    private static ScaledProduct? Scaled(DayOrder order)
    {
        try
        {
            return Scaling.Scale(order.Product, order.Pan, order.Count);
        }
        catch (ArgumentException)
        {
            return null;
        }
    }

    private static Results<Ok<MakingDraft>, ValidationProblem> Usual(UsualMakingRequest request) =>
        Naming.Read<PreparationKind>(request.Kind) is { } kind and not PreparationKind.Dough
            ? TypedResults.Ok(UsualMakings.For(kind))
            : FieldProblems.Of(("kind", $"This is one of {string.Join(", ", Naming.All<PreparationKind>().Where(word => word != Naming.Of(PreparationKind.Dough)))}."));

    private static PreparationAnswer Answer(Ingredient one, Product[] products, Ingredient[] made, Mass today, Mixer? mixer)
    {
        var how = one.Formula!.How;
        var dough = (how as DoughMaking)?.Dough;
        bool Takes(IEnumerable<RecipeLine> lines) => lines.Any(line => line.Ingredient.Id == one.Id);
        bool IsCrust(DoughFormula crust) => crust.Id == dough?.Id || (!crust.IsMixed && Takes(crust.Lines));
        return new PreparationAnswer(
            one.Id,
            one.Name,
            Place(one),
            how is null ? null : PreparationWords.Of(how.Kind),
            how?.IsPlanned ?? false,
            [
                .. products.Where(product => product.Doughs.Any(IsCrust) || Takes(product.Parts.Where(part => part.Kind != PartKind.Dough).SelectMany(part => part.Lines))).Select(product => new TakerAnswer(product.Name, $"/recipes/{product.Id}")),
                .. made.Where(other => Takes(other.Formula!.Lines)).OrderByDescending(other => other.IsDough).Select(other => new TakerAnswer(other.Name, Place(other))),
            ],
            how is DoughMaking kept ? PreparationWords.Keeps(kept) : how is null ? string.Empty : PreparationWords.Keeps(how.Keeping),
            dough is not null ? PreparationWords.Batches(mixer) : how is null ? string.Empty : PreparationWords.Batches(how, how.Method.Any(step => step.IsBake), one.Formula),
            [.. (how?.Method ?? []).Select(step => StepWords.Of(step, step.Caution, how!.Piece is null ? "kg" : "piece"))],
            [.. one.Formula.Lines.Select(line => new MadeLine(line.Ingredient.Name, LineWords.Preparation(line, line.Amount), Math.Round(line.Amount.Grams, 1)))],
            Math.Round(one.Formula.LeftShare * 100, 1),
            LineWords.Reduced(one.Formula.Lines, one.Formula.ReducedTo),
            today > Mass.Zero ? ScaleReading.GramsOf(today) : 0,
            today > Mass.Zero && how?.Piece is { } piece ? (int)Math.Round(today / piece) : null,
            today == Mass.Zero || how is null ? 0 : dough is null ? how.Batches.CountFor(today) : mixer is null ? 1 : (int)Math.Max(1, Math.Ceiling((dough.BatchFor(today) / mixer.LargestBatch) - 1e-9)),
            one.AllergensStated ? one.Allergens : null,
            Cautions(one));
    }

    /// <summary>What can hurt of something made here: what is not to be tasted raw, and how long it may be kept.</summary>
    internal static string Cautions(Ingredient one) => $"{ProductCautions.Raw(one.Formula!.Lines)} {KeepingCautions.Of(one)}".Trim();

    /// <summary>Where it is written: a dough among the doughs.</summary>
    private static string Place(Ingredient one) => one.IsDough ? $"/doughs/{one.Id[Ingredient.DoughPrefix.Length..]}" : $"/preparations/{one.Id}";
}

/// <summary>The kind whose usual way is asked for.</summary>
/// <param name="Kind">One of the kinds of preparation.</param>
public sealed record UsualMakingRequest(string? Kind);

/// <summary>Everything that is made here before it goes into pies.</summary>
/// <param name="DayName">The day that was asked for; empty for none.</param>
/// <param name="Preparations">By name.</param>
public sealed record PreparationsAnswer(string DayName, IReadOnlyList<PreparationAnswer> Preparations);

/// <summary>Something that is made here before it goes into pies.</summary>
/// <param name="Id">Its id; an ingredient has the same.</param>
/// <param name="Name">Its name.</param>
/// <param name="Place">Its address in the interface.</param>
/// <param name="Kind">What it is, in words; null while nobody has said how it is made.</param>
/// <param name="IsPlanned">Whether a plan makes it.</param>
/// <param name="TakenBy">What takes it, each with its address here.</param>
/// <param name="Keeps">How it keeps, in words.</param>
/// <param name="Batches">How much is made at once, in words.</param>
/// <param name="Steps">How it is made.</param>
/// <param name="Lines">What goes in, as written.</param>
/// <param name="KeptPercent">What of it is left.</param>
/// <param name="Reduced">What boiling down does to it, before and after; empty where nothing is boiled down.</param>
/// <param name="DayGrams">How much the day takes; 0 for none.</param>
/// <param name="DayPieces">How many pieces those are; null of what goes by weight.</param>
/// <param name="DayBatches">In how many batches.</param>
/// <param name="Allergens">What it carries; null where something in it is not stated.</param>
/// <param name="Caution">What is not to be tasted raw, and how long it may be kept where that is a matter of safety; empty where there is nothing.</param>
public sealed record PreparationAnswer(
    string Id,
    string Name,
    string Place,
    string? Kind,
    bool IsPlanned,
    IReadOnlyList<TakerAnswer> TakenBy,
    string Keeps,
    string Batches,
    IReadOnlyList<StepAnswer> Steps,
    IReadOnlyList<MadeLine> Lines,
    double KeptPercent,
    string Reduced,
    double DayGrams,
    int? DayPieces,
    int DayBatches,
    IReadOnlyList<string>? Allergens,
    string Caution);

/// <summary>What takes something that is made here.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Place">Its address in the interface.</param>
public sealed record TakerAnswer(string Name, string Place);
