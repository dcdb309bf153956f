namespace Lumpet.Core.Baking;

/// <summary>What is left to plan when a plan has been followed up to a minute.</summary>
public static class Replanning
{
    /// <summary>
    /// The problem that remains at a minute of a plan: minutes are counted from there, ovens are as hot and as set as they are
    /// then, and trays that have begun are running or done. Where an oven has failed or a bake needs five minutes more, the
    /// caller changes the answer and has it planned.
    /// </summary>
    /// <param name="problem">What was planned.</param>
    /// <param name="plan">The plan that is followed.</param>
    /// <param name="minute">The minute, at least 0.</param>
    /// <returns>The problem from that minute on.</returns>
    /// <exception cref="ArgumentOutOfRangeException">The minute is below 0.</exception>
    /// <exception cref="ArgumentException">A tray is on its way from one oven to another then: choose a minute at which all are in one.</exception>
    public static BakeProblem From(BakeProblem problem, BakePlan plan, int minute)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(minute);
        // What enters at the minute itself has not begun yet.
        BakedTray[] begun = [.. plan.Trays.Where(tray => tray.StartMin < minute)];
        return problem with
        {
            Ovens = [.. OvensAt(problem, plan.Settings, plan.Trays, minute)],
            Bakes = [.. problem.Bakes.Select(bake => bake.CountedFrom(minute))],
            Running = [.. begun.Select(tray => Running(tray, minute))],
            // What stands in an oven at the minute goes on standing there; what is over is over.
            Standing = [.. problem.Standing.Where(tray => tray.EndMin > minute).Select(tray => tray.From(minute))],
            StandingPans = [.. problem.StandingPans.Where(pans => pans.ToMin > minute).Select(pans => pans with { FromMin = pans.FromMin - minute, ToMin = pans.ToMin - minute })],
        };
    }

    /// <summary>The ovens as hot and as set as they are at a minute of a plan, minutes counted from there.</summary>
    internal static IEnumerable<BakeOven> OvensAt(BakeProblem problem, IReadOnlyList<OvenSetting> settings, IReadOnlyList<BakedTray> trays, int minute) =>
        problem.Ovens.Select(oven => From(oven, [.. settings.Where(setting => setting.OvenId == oven.Id)], minute, problem.OpenCPerTray, BakedTray.EnteringAll(problem, trays, oven.Id)));

    private static BakeOven From(BakeOven oven, OvenSetting[] settings, int minute, int openCPerTray, IReadOnlyDictionary<int, int> entering)
    {
        var (now, setting, next) = (oven.StartC, oven.StartSettingC, 0);
        for (var at = 0; at < minute; at++)
        {
            while (next < settings.Length && settings[next].AtMin <= at) setting = settings[next++].TempC;
            now = oven.After(now, setting, entering.GetValueOrDefault(at), openCPerTray);
        }

        return (oven with { StartC = now, StartSettingC = setting })
            .OpenAt(oven.Openings.Select(opening => new OvenOpening(opening.FromMin - minute, opening.ToMin - minute)));
    }

    private static RunningTray Running(BakedTray tray, int minute)
    {
        BakedStage[] begun = [.. tray.Stages.Where(stage => stage.StartMin < minute || (stage.StartMin == minute && IsDrop(tray, stage)))];
        var last = begun[^1];
        if (last.EndMin <= minute && begun.Length < tray.Stages.Count)
            throw new ArgumentException($"Tray {tray.Tray} of {tray.BakeId} is on its way between ovens at {minute}.", nameof(minute));
        return new RunningTray(
            tray.BakeId,
            tray.Tray,
            [.. begun.Select(stage => new RunningStage(stage.OvenId, stage.StartMin - minute, stage == last && stage.EndMin > minute ? null : stage.EndMin - minute))]);
    }

    // Where the next stage begins in the same oven at that very minute the tray is in it already.
    private static bool IsDrop(BakedTray tray, BakedStage stage) => tray.Stages.Any(before => before.EndMin == stage.StartMin && before.OvenId == stage.OvenId);
}
