using Lumpet.Core.Measures;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Preparations;

/// <summary>How something that the bakery makes itself is made: in batches, by its own steps, and kept until it is used.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Method">Its steps in order, one after the other; empty while nobody has written them, and then no plan makes it. Hands count by the batch, and by the kilogram weighed in or by the piece.</param>
/// <param name="Batches">How much is made at once.</param>
/// <param name="Keeping">How it keeps.</param>
public record Making(PreparationKind Kind, IReadOnlyList<Step> Method, BatchLimits Batches, Keeping Keeping)
{
    /// <summary>
    /// Most minutes between two steps of hands or oven with no wait between them, where one shift ends and the next begins
    /// (common practice, no source).
    /// </summary>
    public const int MostBetweenMin = 60;

    /// <summary>Id of the ingredient of which every batch takes whole eggs, tins or the like; null where batches are simply equal.</summary>
    public string? WholeOf { get; init; }

    /// <summary>What one weighs once it is made, of what is made and taken by the piece; null of what goes by weight.</summary>
    public Mass? Piece { get; init; }

    /// <summary>Whether a plan makes it.</summary>
    public bool IsPlanned => Method.Count > 0;

    /// <summary>Minutes of a step for a batch: of hands as many as they take, of a bake or a wait the least.</summary>
    /// <param name="step">A step of the method.</param>
    /// <param name="units">Kilograms weighed in, or pieces.</param>
    public static int Minutes(Step step, double units) =>
        step.IsBake ? step.Stages.Sum(stage => stage.MinMin)
        : step.Hands is { } hands ? hands.For(units)
        : step.Wait!.Least;
}
