using Lumpet.Core;
using Lumpet.Core.Steps;

namespace Lumpet.Server.Recipes;

/// <summary>Says a step's times in words.</summary>
internal static class StepWords
{
    /// <summary>A step for the list of steps.</summary>
    public static StepAnswer Of(Step step) => new(
        step.Name,
        Naming.Of(step.Station),
        Time(step),
        step.Celsius ?? (step.IsBake ? step.Stages[0].TempC : 20),
        step.ReadyWhen,
        step.Caution);

    /// <summary>A bake's stages: "220 C 20 to 25 min, then 190 C 45 to 55 min".</summary>
    public static string Bake(Step step) =>
        string.Join(", then ", step.Stages.Select(stage => $"{stage.TempC} °C {Range(stage.MinMin, stage.MaxMin)}"));

    private static string Time(Step step)
    {
        if (step.IsBake) return Bake(step);
        if (step.Hands is { } hands) return FormattableString.Invariant($"{hands.PerBatch} min and {hands.PerPie} min a pie");
        var wait = step.Wait!;
        var least = wait.Least == wait.Aim ? $"{Length(wait.Least)} at least" : $"{Length(wait.Least)} at least, better {Length(wait.Aim)}";
        return $"{least}, {Length(wait.Most)} at most";
    }

    private static string Range(int least, int most) => least == most ? $"{least} min" : $"{least} to {most} min";

    private static string Length(int minutes) => minutes < 120 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60.0:0.#} h");
}
