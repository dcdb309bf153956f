namespace Lumpet.Core.DayPlan;

/// <summary>What crew, ovens, room and pick-ups are drawn on together: the time in which anything is done.</summary>
/// <param name="Blocks">Stretches of time in which someone works or an oven is on; what lies between is not drawn.</param>
public sealed record DayAxis(IReadOnlyList<AxisBlock> Blocks)
{
    // A shorter pause is drawn as it is.
    private const int LongestPauseMin = 90;

    // A pick-up needs room for its clock time.
    private const int PickUpMin = 20;

    /// <summary>The axis of a plan; without a block where nothing is done.</summary>
    public static DayAxis Of(PlannedDay day)
    {
        var busy = day.AllTasks().Where(task => task.Kind != TaskKind.Wait).Select(task => new AxisBlock(task.StartMin, task.EndMin))
            .Concat(day.BakePlan.Settings.GroupBy(setting => setting.OvenId).SelectMany(oven => oven.Zip(oven.Skip(1))).Where(pair => pair.First.TempC is not null).Select(pair => new AxisBlock(pair.First.AtMin, pair.Second.AtMin)))
            .Concat(day.Waves.Select(wave => new AxisBlock(wave.PickUpMin, wave.PickUpMin + PickUpMin)));
        var blocks = new List<AxisBlock>();
        foreach (var one in busy.OrderBy(one => one.FromMin))
        {
            if (blocks.Count > 0 && one.FromMin - blocks[^1].ToMin <= LongestPauseMin) blocks[^1] = blocks[^1] with { ToMin = Math.Max(blocks[^1].ToMin, one.ToMin) };
            else blocks.Add(one);
        }

        return new DayAxis(blocks);
    }
}

/// <summary>A stretch of time that is drawn in one piece.</summary>
/// <param name="FromMin">First minute.</param>
/// <param name="ToMin">Minute after the last.</param>
public sealed record AxisBlock(int FromMin, int ToMin);
