using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>The whole day as a strip: what most of it is about, stretch by stretch.</summary>
public static class DayRibbon
{
    // Finer than the eye reads on a strip as wide as a screen.
    private const int SlotMin = 10;

    /// <summary>The stretches of a plan, in order, without overlap.</summary>
    public static IReadOnlyList<RibbonStretch> Of(PlannedDay day)
    {
        if (day.Tasks.Count == 0) return [];
        var (from, to) = (day.Tasks.Min(task => task.StartMin), day.Tasks.Max(task => task.EndMin));
        var stretches = new List<RibbonStretch>();
        for (var minute = from; minute < to; minute += SlotMin)
        {
            var until = Math.Min(to, minute + SlotMin);
            if (At(day, minute, until) is not { } slot) continue;
            if (stretches.Count > 0 && stretches[^1] is var last && last.Phase == slot.Phase && last.EndMin == minute && last.Celsius == slot.Celsius)
                stretches[^1] = last with { EndMin = until };
            else stretches.Add(new RibbonStretch(slot.Phase, minute, until, slot.Celsius));
        }

        return stretches;
    }

    /// <summary>
    /// What a slot is about: a bake if an oven is at work, else what holds most pies, dough counting as one day's pies
    /// while nothing else is under way.
    /// </summary>
    private static (string Phase, int Celsius)? At(PlannedDay day, int from, int until)
    {
        DayTask[] running = [.. day.Tasks.Where(task => task.StartMin < until && task.EndMin > from)];
        // By what stands in an oven: a bake that found none is a task still, with its trouble, and no oven is at work for it.
        int[] heat = [.. day.Loads.SelectMany(load => load.Visits).SelectMany(visit => visit.Stages).Where(stage => stage.StartMin < until && stage.EndMin > from).Select(stage => stage.TempC)];
        if (heat.Length > 0) return ("bake", heat.Max());
        running = [.. running.Where(task => task.Kind != TaskKind.Bake)];
        if (running.Length == 0) return null;

        var leading = running.MaxBy(task => (task.Kind == TaskKind.Hands ? 1000 : 0) + task.Pies)!;
        return (Phase(leading), leading.Celsius ?? 20);
    }

    private static string Phase(DayTask task) => task.Station switch
    {
        Station.Dough => "dough",
        Station.Pot or Station.Bench => "fillings, line",
        Station.Cold => task.IsDough ? "dough rests" : "chill",
        Station.Rack => "cool",
        Station.Oven => "bake",
        Station.Finish => "finish",
        _ => "box",
    };
}

/// <summary>A stretch of the ribbon.</summary>
/// <param name="Phase">What it is about.</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
/// <param name="Celsius">Temperature it is drawn in.</param>
public sealed record RibbonStretch(string Phase, int StartMin, int EndMin, int Celsius);
