using Lumpet.Core.Baking;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>How long the last bake of the filled pie takes in one size, all its stages together: a mini bakes for its depth.</summary>
/// <param name="Least">Least minutes; at least one for each stage.</param>
/// <param name="Most">Most minutes; at least the least.</param>
public sealed record SizeBake(int Least, int Most)
{
    /// <summary>The bake that a size has its own time for: the last of the filled pie; null where none is baked filled.</summary>
    public static Step? Of(ProcessNetwork process) => process.Steps.LastOrDefault(step => step is { IsBake: true, Bakes: BakeOf.Pie });

    /// <summary>
    /// The steps with these minutes. The first stage of several only sets the crust and stays as written; the others share
    /// what is left as they share it in the recipe. Where nothing would be left, all stages shrink alike.
    /// </summary>
    public ProcessNetwork In(ProcessNetwork process) => Of(process) is not { } bake ? process : process with
    {
        Steps = [.. process.Steps.Select(step => step.Id != bake.Id ? step : step with { Stages = Stages(bake.Stages), WeightsOutMin = step.WeightsOutMin <= Least ? step.WeightsOutMin : null })],
    };

    private BakeStage[] Stages(IReadOnlyList<BakeStage> written)
    {
        var (least, most) = (Shared([.. written.Select(stage => stage.MinMin)], Least), Shared([.. written.Select(stage => stage.MaxMin)], Most));
        return [.. written.Select((stage, at) => stage with { MinMin = least[at], MaxMin = Math.Max(least[at], most[at]) })];
    }

    /// <summary>Whole minutes that add up to a total, at least one each.</summary>
    private static int[] Shared(int[] written, int total)
    {
        var kept = written.Length > 1 && total - written[0] >= written.Length - 1 ? written[0] : 0;
        var (sharing, left) = (kept > 0 ? written[1..] : written, total - kept);
        var shares = new int[sharing.Length];
        var (given, counted) = (0, 0);
        for (var at = 0; at < sharing.Length; at++)
        {
            counted += sharing[at];
            // By what is shared so far, so that the last gets what rounding left, and at least a minute for each to come.
            var upTo = (int)Math.Round((double)left * counted / sharing.Sum(), MidpointRounding.AwayFromZero);
            shares[at] = Math.Clamp(upTo - given, 1, left - given - (sharing.Length - at - 1));
            given += shares[at];
        }

        return kept > 0 ? [kept, .. shares] : shares;
    }
}
