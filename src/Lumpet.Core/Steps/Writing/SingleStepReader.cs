using Lumpet.Core.Baking;

namespace Lumpet.Core.Steps.Writing;

/// <summary>Reads one written step, wherever it stands: in the way of a product or in that of something made before it.</summary>
internal static class SingleStepReader
{
    /// <summary>The most minutes that a step waits.</summary>
    public const int MostMinutes = 4320;

    /// <summary>Reads a step; everything wrong is a fault below its path.</summary>
    public static Step Read(FieldChecks checks, StepDraft step, string path)
    {
        var name = checks.Name($"{path}.name", step.Name, "A step");
        var id = (step.Id ?? string.Empty).Trim();
        if (id.Length is 0 or > 40 || !id.All(letter => char.IsAsciiLetterLower(letter) || char.IsAsciiDigit(letter) || letter == '-'))
            checks.Add($"{path}.id", "A step's id takes up to 40 small letters, digits and hyphens.");
        var station = Naming.Read<Station>(step.Station);
        if (station is null) checks.Add($"{path}.station", $"A station is one of {string.Join(", ", Naming.All<Station>())}.");
        BakeStage[] stages = [.. checks.List($"{path}.stages", step.Stages, 0, 4, "stages").Select((stage, at) => Stage(checks, stage, $"{path}.stages[{at}]"))];
        var hands = step.PerBatch is null && step.PerPie is null ? null
            : new Hands(checks.Whole($"{path}.perBatch", step.PerBatch ?? 0, 0, 480, "min"), checks.Number($"{path}.perPie", step.PerPie ?? 0, 0, 60, "min"));
        var wait = step.WaitLeast is null && step.WaitAim is null && step.WaitMost is null ? null : Wait(checks, step, path);
        var kinds = (hands is null ? 0 : 1) + (wait is null ? 0 : 1) + (stages.Length == 0 ? 0 : 1);
        if (kinds != 1) checks.Add(path, "A step has hands, or stages of a bake, or a wait: one of the three.");
        if (stages.Length > 0 && station is not (null or Station.Oven)) checks.Add($"{path}.station", "A bake is in the oven.");
        var celsius = stages.Length > 0 ? (int?)null : checks.Whole($"{path}.celsius", step.Celsius, -40, 250, "°C");
        var read = new Step(
            id, name, station ?? default, hands, stages, wait, celsius, step.UsesDough, checks.Words($"{path}.readyWhen", step.ReadyWhen), checks.Words($"{path}.caution", step.Caution))
        {
            Seals = step.Seals,
            Cure = checks.Words($"{path}.cure", step.Cure),
        };
        return stages.Length == 0 ? read : AtTheOven(checks, step, path, read);
    }

    private static Step AtTheOven(FieldChecks checks, StepDraft step, string path, Step bake)
    {
        _ = checks.Word($"{path}.bakes", step.Bakes, BakeOf.Pie);
        var least = bake.Stages.Sum(stage => stage.MinMin);
        return bake with
        {
            Place = checks.Word($"{path}.place", step.Place, OvenPlace.Shelf),
            HeatedTrayMin = checks.Whole($"{path}.heatedTrayMin", step.HeatedTrayMin ?? 0, 0, 120, "min"),
            WeightsOutMin = step.WeightsOutMin is { } minute ? checks.Whole($"{path}.weightsOutMin", minute, 1, Math.Max(1, least), "min, before the bake may end") : null,
            Turned = step.Turned,
            TemperaturesWritten = Temperatures(step),
            Handwork = HandworkText.Read(checks, $"{path}.handwork", step.Handwork, least),
        };
    }

    private static Span Wait(FieldChecks checks, StepDraft step, string path)
    {
        var least = checks.Whole($"{path}.waitLeast", step.WaitLeast, 0, MostMinutes, "min");
        var aim = checks.Whole($"{path}.waitAim", step.WaitAim ?? step.WaitLeast, 0, MostMinutes, "min");
        var most = checks.Whole($"{path}.waitMost", step.WaitMost, 0, MostMinutes, "min");
        if (least > aim || aim > most) checks.Add($"{path}.waitAim", "The aim of a wait lies between its least and its most.");
        return new Span(least, aim, most);
    }

    private static BakeStage Stage(FieldChecks checks, StageDraft stage, string path)
    {
        var least = checks.Whole($"{path}.least", stage.Least, 1, 360, "min");
        var most = checks.Whole($"{path}.most", stage.Most, 1, 360, "min");
        if (least > most) checks.Add($"{path}.most", "The most of a stage is under its least.");
        return new BakeStage(checks.Whole($"{path}.tempC", Temperature(checks, stage, path), 50, 320, "°C"), least, Math.Max(least, most));
    }

    private static int? Temperature(FieldChecks checks, StageDraft stage, string path)
    {
        if (string.IsNullOrWhiteSpace(stage.Written)) return stage.TempC;
        if (TemperatureText.Celsius(stage.Written) is { } celsius) return celsius;
        checks.Add($"{path}.written", "Write degrees and how they are meant: 220, 425 °F, 200 °C fan.");
        return stage.TempC ?? 180;
    }

    /// <summary>What is kept of temperatures as written; none at all where every one is plain.</summary>
    private static string[] Temperatures(StepDraft step)
    {
        string[] written = [.. (step.Stages ?? []).OfType<StageDraft>().Select(stage => stage.Written?.Trim() ?? string.Empty).Select(text => TemperatureText.IsPlain(text) ? string.Empty : text)];
        return written.All(text => text.Length == 0) ? [] : written;
    }

    /// <summary>A step as it would be written.</summary>
    public static StepDraft Write(Step step) => new()
    {
        Id = step.Id,
        Name = step.Name,
        Station = Naming.Of(step.Station),
        PerBatch = step.Hands?.PerBatch,
        PerPie = step.Hands?.PerPie,
        WaitLeast = step.Wait?.Least,
        WaitAim = step.Wait?.Aim,
        WaitMost = step.Wait?.Most,
        Celsius = step.Celsius,
        Stages = [.. step.Stages.Select((stage, at) => new StageDraft(stage.TempC, stage.MinMin, stage.MaxMin, step.TemperaturesWritten.Count > at && step.TemperaturesWritten[at].Length > 0 ? step.TemperaturesWritten[at] : null))],
        UsesDough = step.UsesDough,
        ReadyWhen = step.ReadyWhen,
        Cure = step.Cure.Length == 0 ? null : step.Cure,
        Caution = step.Caution,
        Bakes = step.IsBake ? Naming.Of(step.Bakes) : null,
        Place = step.IsBake && step.Place != OvenPlace.Shelf ? Naming.Of(step.Place) : null,
        HeatedTrayMin = step.HeatedTrayMin > 0 ? step.HeatedTrayMin : null,
        WeightsOutMin = step.WeightsOutMin,
        Handwork = HandworkText.Write(step.Handwork),
        Turned = step.Turned,
        Seals = step.Seals,
    };
}
