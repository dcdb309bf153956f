using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Recipes;

/// <summary>The way of a pie along time.</summary>
internal static class WayEndpoints
{
    private const int MostPies = 2000;

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/recipes/{id}/way", Get).WithName("GetWay").WithSummary("The way of a pie from its first work to its box, along time. Stores nothing.");

    private static Results<Ok<WayAnswer>, ValidationProblem, ProblemHttpResult> Get(string id, string? pan, int? count, Database database)
    {
        using var connection = database.Open();
        if (RecipeStore.Find(connection, id) is not { } product) return TypedResults.Problem(title: "There is no such product.", statusCode: 404);
        var pies = count ?? 1;
        if (pies is < 1 or > MostPies) return FieldProblems.Of(("count", $"1 to {MostPies} pies."));
        if (product.SizeIn(pan ?? product.ReferencePan.Id)?.Pan is not { } chosen) return FieldProblems.Of(("pan", $"{product.Name} is not made in this pan."));
        var way = PieWay.Of(product, chosen, pies);
        return TypedResults.Ok(Answer(way));
    }

    /// <summary>A way as it is drawn.</summary>
    internal static WayAnswer Answer(PieWay way) => new(way.Minutes, [.. way.Lines.Select(Line)]);

    private static WayLineAnswer Line(WayLine line) => new(
        line.Name,
        [.. line.Pieces.Select((piece, at) => new WayPieceAnswer(
            $"{at}",
            piece.Step.Id,
            piece.Step.Name,
            piece.Step.IsBake ? "bake" : piece.Step.Hands is not null ? "hands" : "wait",
            Naming.Of(piece.Step.Station),
            piece.StartMin,
            piece.EndMin,
            StepWords.Of(piece.Step, piece.Caution).Celsius,
            [.. piece.Step.Stages.Select(stage => new WayStageAnswer(stage.TempC, stage.MinMin, stage.MaxMin))],
            piece.Step.Sign,
            piece.Caution))],
        line.JoinsMin,
        line.JoinsLine);
}

/// <summary>The way of a pie.</summary>
/// <param name="Minutes">From the first work to the box.</param>
/// <param name="Lines">The pie first, then what runs into it.</param>
public sealed record WayAnswer(int Minutes, IReadOnlyList<WayLineAnswer> Lines);

/// <summary>One line of a way.</summary>
/// <param name="Name">Of what.</param>
/// <param name="Pieces">Its steps in order of time.</param>
/// <param name="JoinsMin">When it runs into another line; null of the pie's own.</param>
/// <param name="JoinsLine">Number of that line, from 0.</param>
public sealed record WayLineAnswer(string Name, IReadOnlyList<WayPieceAnswer> Pieces, int? JoinsMin, int JoinsLine);

/// <summary>A step of a way.</summary>
/// <param name="Id">Unique in its line.</param>
/// <param name="Step">Id of the step, as it is written; of doughs and what is made first one of its own.</param>
/// <param name="Name">What is done.</param>
/// <param name="Kind">"hands", "bake" or "wait".</param>
/// <param name="Station">Where.</param>
/// <param name="StartMin">First minute, from the first work of the way.</param>
/// <param name="EndMin">Minute after the last.</param>
/// <param name="Celsius">Temperature of the place; of a bake that of its first stage.</param>
/// <param name="Stages">Stages of a bake.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record WayPieceAnswer(
    string Id, string Step, string Name, string Kind, string Station, int StartMin, int EndMin, int Celsius, IReadOnlyList<WayStageAnswer> Stages, string ReadyWhen, string Caution);

/// <summary>A stage of a bake.</summary>
/// <param name="TempC">Its temperature.</param>
/// <param name="MinMin">Least minutes, which are drawn.</param>
/// <param name="MaxMin">Most minutes.</param>
public sealed record WayStageAnswer(int TempC, int MinMin, int MaxMin);
