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
        var keepsFirst = written.Count > 1 && Least - written[0].MinMin >= written.Count - 1;
        BakeStage[] sharing = [.. written.Skip(keepsFirst ? 1 : 0)];
        var least = Shared([.. sharing.Select(stage => stage.MinMin)], Least - (keepsFirst ? written[0].MinMin : 0), each: 1);
        // What the most is over the least goes to the first stage as far as it is written so, then to the others: the sum is the size's own.
        var first = keepsFirst ? Math.Min(written[0].MaxMin - written[0].MinMin, Most - Least) : 0;
        var over = Shared([.. sharing.Select(stage => stage.MaxMin - stage.MinMin)], Most - Least - first, each: 0);
        return
        [
            .. written.Take(keepsFirst ? 1 : 0).Select(stage => stage with { MaxMin = stage.MinMin + first }),
            .. sharing.Select((stage, at) => stage with { MinMin = least[at], MaxMin = least[at] + over[at] }),
        ];
    }

    /// <summary>Whole minutes that add up to a total, so many each at least, shared by what is written.</summary>
    private static int[] Shared(int[] written, int total, int each)
    {
        var (shares, sum) = (new int[written.Length], written.Sum());
        var (given, counted) = (0, 0);
        for (var at = 0; at < written.Length; at++)
        {
            counted += written[at];
            // By what is shared so far, so that the last gets what rounding left, and enough stays for each to come.
            var upTo = at == written.Length - 1 ? total : sum == 0 ? 0 : (int)Math.Round((double)total * counted / sum, MidpointRounding.AwayFromZero);
            shares[at] = Math.Clamp(upTo - given, each, total - given - (each * (written.Length - at - 1)));
            given += shares[at];
        }

        return shares;
    }
}
