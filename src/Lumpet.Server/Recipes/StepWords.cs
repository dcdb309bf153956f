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
    /// <param name="bound">How it is bound to others, beyond coming after them.</param>
    public static StepAnswer Of(Step step, string caution, string piece = "pie", string bound = "") => new(
        step.Name,
        Naming.Of(step.Station),
        bound.Length == 0 ? Time(step, piece) : $"{Time(step, piece)}, {bound}",
        step.Celsius ?? (step.IsBake ? step.Stages[0].TempC : 20),
        step.Sign,
        caution);

    /// <summary>A bake's stages: "220 C 20 to 25 min, then 190 C 45 to 55 min".</summary>
    public static string Bake(Step step) =>
        string.Join(", then ", step.Stages.Select((stage, at) => $"{Heat(step, at)} {Range(stage.MinMin, stage.MaxMin)}"));

    /// <summary>A stage's temperature: "220 °C", or with what is written "218 °C (written 425 °F)".</summary>
    public static string Heat(Step step, int stage) => step.TemperaturesWritten.Count > stage && step.TemperaturesWritten[stage].Length > 0
        ? $"{step.Stages[stage].TempC} °C (written {step.TemperaturesWritten[stage]})"
        : $"{step.Stages[stage].TempC} °C";

    /// <summary>Where a bake stands, as the end of a sentence; empty for any shelf.</summary>
    public static string Place(OvenPlace place) => place switch
    {
        OvenPlace.Floor => ", on the floor of the oven",
        OvenPlace.Low => ", low in the oven",
        OvenPlace.Top => ", high in the oven",
        _ => string.Empty,
    };

    /// <summary>How a step is bound to others beyond coming after them: "while "Bake" bakes", "on the day before "Fill""; empty where it is not.</summary>
    public static string Bound(ProcessNetwork process, Step step)
    {
        string Name(string id) => process.Steps.First(other => other.Id == id).Name;
        return string.Join(", ", process.Links.Select(link => link.Kind switch
        {
            LinkKind.During when link.After == step.Id => $"while \"{Name(link.Before)}\" is in the oven{(link.Lag.Least > 0 ? $", {link.Lag.Least} min into it" : string.Empty)}",
            LinkKind.DayBefore when link.Before == step.Id => $"on a day before \"{Name(link.After)}\"",
            LinkKind.AtPickUp when link.After == step.Id => "at pick-up",
            _ => string.Empty,
        }).Where(one => one.Length > 0));
    }

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
        + Place(step.Place)
        + (step.WeightsOutMin is { } minute ? $", weights out after {minute} min" : string.Empty)
        + (step.Turned ? ", turned half-way" : string.Empty)
        + string.Concat(step.Handwork.Select(work => work.AfterMin is { } after ? $"; after {after} min {work.Words}" : $"; {work.Words}"));

    private static string Range(int least, int most) => least == most ? $"{least} min" : $"{least} to {most} min";

    /// <summary>A length of time: "45 min", "4 h".</summary>
    public static string Length(int minutes) => minutes < 120 ? $"{minutes} min" : FormattableString.Invariant($"{minutes / 60.0:0.#} h");
}
