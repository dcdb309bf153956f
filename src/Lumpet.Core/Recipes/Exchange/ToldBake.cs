using System.Globalization;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>Reads the stages of the pie's bake out of instructions: "Heat the oven to 220 °C. Bake for 20 minutes, lower to 190 °C and bake 40 to 50 minutes more."</summary>
internal static class ToldBake
{
    private const int MostStages = 4;

    /// <summary>The stages in order, temperatures as they are written; none where they are not told, or only of something baked before the pie.</summary>
    public static IReadOnlyList<StageDraft> Stages(IEnumerable<string> instructions)
    {
        var stages = new List<StageDraft>();
        string? heat = null;
        foreach (var sentence in instructions.SelectMany(text => ToldWords.Ends().Split(text)))
        {
            var isBake = ToldWords.Bakes().IsMatch(sentence);
            if (!isBake && heat is null) continue;
            if (ToldWords.BakesBefore().IsMatch(sentence))
            {
                heat = ToldWords.Heat().Matches(sentence).LastOrDefault()?.Groups["written"].Value ?? heat;
                continue;
            }

            // Temperatures and minutes in the order in which they stand: each time belongs to the heat before it.
            foreach (var told in ToldWords.Heat().Matches(sentence).Select(match => (match.Index, Heat: (string?)match.Groups["written"].Value, Least: 0, Most: 0))
                .Concat(ToldWords.Minutes().Matches(sentence).Select(match => (match.Index, Heat: (string?)null, Least: Number(match.Groups["least"].Value), Most: Number(match.Groups["most"].Value))))
                .OrderBy(told => told.Index).ToArray())
            {
                heat = told.Heat ?? heat;
                if (told.Heat is null && isBake && heat is not null && told.Least > 0 && TemperatureText.Celsius(heat) is >= 50 and <= 320 and var celsius)
                    stages.Add(new StageDraft(celsius, told.Least, Math.Max(told.Least, told.Most), heat));
            }
        }

        return stages.Count > MostStages ? [] : [.. stages.Select(stage => TemperatureText.IsPlain(stage.Written!) ? stage with { Written = null } : stage)];
    }

    private static int Number(string text) => text.Length == 0 ? 0 : int.Parse(text, CultureInfo.InvariantCulture);
}
