using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;

namespace Lumpet.Server.Recipes;

/// <summary>Says what was found about a dough or a filling.</summary>
internal static class JudgeWords
{
    /// <summary>A dough, judged by its family.</summary>
    public static DoughJudged Of(DoughFormula dough) => new(
        DoughJudgement.Name(dough.Method.Family),
        DoughRatio.Of(dough)?.InWords,
        [.. DoughJudgement.Of(dough).Select(finding => new FindingAnswer(finding.Part, Math.Round(finding.Percent, 1), finding.Least, finding.Most, finding.Expect))]);

    /// <summary>How a filling is thickened; null where starch does not thicken it.</summary>
    public static string? Of(Thickening? thickening)
    {
        if (thickening is null) return null;
        var per = thickening.Of == "liquid" ? "kg of liquid" : "kg of fruit";
        var judged = FormattableString.Invariant($"{thickening.Least} to {thickening.Most} g");
        var usual = thickening.Expect.Length == 0 ? $"which is usual ({judged})" : $"where {judged} is usual: {thickening.Expect}";
        var swaps = string.Join(" or ", thickening.Swaps.Select(swap => FormattableString.Invariant($"{swap.Grams:0.#} g {swap.Starch}")));
        return FormattableString.Invariant($"Thickened like {thickening.PerKilogram:0.#} g corn starch on a {per}, {usual}. As written {swaps} do the same.");
    }
}
