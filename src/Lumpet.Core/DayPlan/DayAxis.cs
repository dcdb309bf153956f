using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>What crew, ovens, cold and pick-ups are drawn on together: the time in which anything is done, and how full the cold is.</summary>
/// <param name="Blocks">Stretches of time in which someone works or an oven is on; what lies between is not drawn.</param>
/// <param name="Cold">How many pies lie in the cold, from each minute on; the last is 0.</param>
public sealed record DayAxis(IReadOnlyList<AxisBlock> Blocks, IReadOnlyList<ColdLevel> Cold)
{
    // A shorter pause is drawn as it is.
    private const int LongestPauseMin = 90;

    // A pick-up needs room for its clock time.
    private const int PickUpMin = 20;

    /// <summary>The axis of a plan; without a block where nothing is done.</summary>
    public static DayAxis Of(PlannedDay day)
    {
        var busy = day.Tasks.Where(task => task.Kind != TaskKind.Wait).Select(task => new AxisBlock(task.StartMin, task.EndMin))
            .Concat(day.BakePlan.Settings.GroupBy(setting => setting.OvenId).SelectMany(oven => oven.Zip(oven.Skip(1))).Where(pair => pair.First.TempC is not null).Select(pair => new AxisBlock(pair.First.AtMin, pair.Second.AtMin)))
            .Concat(day.Waves.Select(wave => new AxisBlock(wave.PickUpMin, wave.PickUpMin + PickUpMin)));
        var blocks = new List<AxisBlock>();
        foreach (var one in busy.OrderBy(one => one.FromMin))
        {
            if (blocks.Count > 0 && one.FromMin - blocks[^1].ToMin <= LongestPauseMin) blocks[^1] = blocks[^1] with { ToMin = Math.Max(blocks[^1].ToMin, one.ToMin) };
            else blocks.Add(one);
        }

        return new DayAxis(blocks, [.. Levels(day)]);
    }

    private static IEnumerable<ColdLevel> Levels(PlannedDay day)
    {
        var pies = 0;
        foreach (var minute in day.Tasks.Where(task => task.Kind == TaskKind.Wait && task.Station == Station.Cold && task.Pies > 0)
            .SelectMany(task => new[] { (At: task.StartMin, task.Pies), (At: task.EndMin, Pies: -task.Pies) }).GroupBy(change => change.At).OrderBy(group => group.Key))
        {
            if (minute.Sum(change => change.Pies) is var change && change == 0) continue;
            pies += change;
            yield return new ColdLevel(minute.Key, pies);
        }
    }
}

/// <summary>A stretch of time that is drawn in one piece.</summary>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute after the last.</param>
public sealed record AxisBlock(int FromMin, int ToMin);

/// <summary>So many pies lie in the cold from a minute on.</summary>
/// <param name="AtMin">The minute.</param>
/// <param name="Pies">How many.</param>
public sealed record ColdLevel(int AtMin, int Pies);
