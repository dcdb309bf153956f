using Lumpet.Core;
using Lumpet.Core.Steps;

namespace Lumpet.Server.Recipes;

/// <summary>Says a step's times in words.</summary>
internal static class StepWords
{
    /// <summary>A step for the list of steps.</summary>
    /// <param name="step">The step.</param>
    /// <param name="caution">What can hurt there.</param>
    /// <param name="piece">What hands count by: a pie, or a kilogram of what is made before.</param>
    public static StepAnswer Of(Step step, string caution, string piece = "pie") => new(
        step.Name,
        Naming.Of(step.Station),
        Time(step, piece),
        step.Celsius ?? (step.IsBake ? step.Stages[0].TempC : 20),
        step.ReadyWhen,
        caution);

    /// <summary>A bake's stages: "220 C 20 to 25 min, then 190 C 45 to 55 min".</summary>
    public static string Bake(Step step) =>
        string.Join(", then ", step.Stages.Select(stage => $"{stage.TempC} °C {Range(stage.MinMin, stage.MaxMin)}"));

    private static string Time(Step step, string piece)
    {
        if (step.IsBake) return $"{Bake(step)}{AtTheOven(step)}";
        if (step.Hands is { } hands) return FormattableString.Invariant($"{hands.PerBatch} min and {hands.PerPie} min a {piece}");
        var wait = step.Wait!;
        var least = wait.Least == wait.Aim ? $"{Length(wait.Least)} at least" : $"{Length(wait.Least)} at least, better {Length(wait.Aim)}";
        return $"{least}, {Length(wait.Most)} at most";
    }

    /// <summary>What is done meanwhile, and where it stands: ", weights out after 15 min, turned half-way".</summary>
    private static string AtTheOven(Step step) =>
        (step.HeatedTrayMin > 0 ? $", on a tray heated for {step.HeatedTrayMin} min" : string.Empty)
        + (step.Place == OvenPlace.Floor ? ", on the floor of the oven" : string.Empty)
        + (step.WeightsOutMin is { } minute ? $", weights out after {minute} min" : string.Empty)
        + (step.Turned ? ", turned half-way" : string.Empty)
        + string.Concat(step.Handwork.Select(work => work.AfterMin is { } after ? $"; after {after} min {work.Words}" : $"; {work.Words}"));

    private static string Range(int least, int most) => least == most ? $"{least} min" : $"{least} to {most} min";

    /// <summary>A length of time: "45 min", "4 h".</summary>
    public static string Length(int minutes) => minutes < 120 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60.0:0.#} h");
}
