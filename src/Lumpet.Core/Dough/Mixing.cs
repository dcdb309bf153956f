namespace Lumpet.Core.Dough;

/// <summary>Sets when each batch is mixed: as late as its rest, the mixer and the shifts allow.</summary>
internal static class Mixing
{
    /// <summary>Times batches of all doughs on one mixer. The aim of a rest is kept where all batches then fit, else the least.</summary>
    /// <param name="batches">Batches, untimed.</param>
    /// <param name="latestStart">The latest start of work of a length that ends by a minute, inside the shifts; null where there is none.</param>
    /// <param name="firstMin">The first minute at which anyone is there.</param>
    /// <param name="taken">When the mixer is in use for others; null: never.</param>
    public static IReadOnlyList<MixedBatch> Schedule(
        IReadOnlyList<DoughBatch> batches, Func<int, int, int?> latestStart, int firstMin, IReadOnlyList<(int FromMin, int ToMin)>? taken = null)
    {
        var aimed = Schedule(batches, latestStart, firstMin, taken ?? [], aim: true);
        return aimed.All(mixed => mixed.Short == 0) ? aimed : Schedule(batches, latestStart, firstMin, taken ?? [], aim: false);
    }

    /// <summary>The latest start at which the mixer is free; null where there is none.</summary>
    private static int? LatestFree(Func<int, int, int?> latestStart, IReadOnlyList<(int FromMin, int ToMin)> taken, int length, int endBy)
    {
        // Each time it ends before something more that is in the mixer, so that this ends.
        while (true)
        {
            if (latestStart(length, endBy) is not { } start) return null;
            var before = taken.Where(other => other.FromMin < start + length && other.ToMin > start).Select(other => other.FromMin).DefaultIfEmpty(int.MaxValue).Min();
            if (before == int.MaxValue) return start;
            endBy = before;
        }
    }

    private static MixedBatch[] Schedule(
        IReadOnlyList<DoughBatch> batches, Func<int, int, int?> latestStart, int firstMin, IReadOnlyList<(int FromMin, int ToMin)> taken, bool aim)
    {
        var mixed = new List<MixedBatch>();
        var mixerFreeUntil = int.MaxValue;
        foreach (var batch in batches.OrderByDescending(batch => batch.NeededMin).ThenByDescending(batch => batch.Number))
        {
            var (dough, method) = (batch.Dough, batch.Dough.Method);
            var (missing, endBy) = (0, batch.NeededMin - (aim ? dough.Rest.Aim : dough.Rest.Least));
            int Latest(int length, int by, bool inMixer)
            {
                if ((inMixer ? LatestFree(latestStart, taken, length, by) : latestStart(length, by)) is { } start) return start;
                missing = Math.Max(missing, Math.Max(1, firstMin - (by - length)));
                return by - length;
            }

            // From the last turn back to the mixer; the bowl is taken for the mixing only.
            var turns = new int[method.Turns];
            for (var turn = turns.Length - 1; turn >= 0; turn--) endBy = turns[turn] = Latest(method.TurnMinutes, endBy - method.TurnRestMinutes, inMixer: false);
            var timed = batch with { MixStartMin = Latest(dough.MixMinutes, dough.IsMixed ? Math.Min(mixerFreeUntil, endBy) : endBy, dough.IsMixed), Turns = turns };
            // A dough that would rest too long is as wrong as one that rests too little.
            if (timed.NeededMin - timed.RestStartMin > dough.Rest.Most) missing = Math.Max(missing, 1);
            mixed.Add(new MixedBatch(timed, missing));
            if (dough.IsMixed) mixerFreeUntil = timed.MixStartMin;
        }

        return [.. mixed.OrderBy(one => one.Batch.MixStartMin).ThenBy(one => one.Batch.Number)];
    }
}

/// <summary>A batch with its time.</summary>
/// <param name="Batch">The batch.</param>
/// <param name="Short">Minutes by which it comes too late for its discs; 0 where it fits.</param>
internal sealed record MixedBatch(DoughBatch Batch, int Short)
{
    /// <summary>From when on its dough can be had.</summary>
    public int ReadyMin => Batch.NeededMin + Short;
}
