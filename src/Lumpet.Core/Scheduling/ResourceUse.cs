using System.Numerics;

namespace Lumpet.Core.Scheduling;

/// <summary>How much of every resource is free at each minute, while a schedule is put together.</summary>
internal sealed class ResourceUse
{
    private const int MostOnTheStack = 256;

    private readonly int[][] free;
    private readonly ScheduleProblem problem;
    private readonly Hold[][] holdsOf;
    private readonly HeldSide[][] sidesOf;
    private readonly (HeldSide From, HeldSide To)[][] bothOf;

    /// <summary>Nothing is in use yet.</summary>
    public ResourceUse(ScheduleProblem problem, int horizonMin)
    {
        this.problem = problem;
        var holds = problem.Holds.SelectMany(hold => new[] { (hold.From.Activity, hold), (hold.To.Activity, hold) }).ToLookup(pair => pair.Activity, pair => pair.hold);
        holdsOf = [.. Enumerable.Range(0, problem.Activities.Count).Select(at => holds[at].ToArray())];
        sidesOf = [.. Enumerable.Range(0, problem.Activities.Count).Select(at => holds[at].GroupBy(hold => (hold.Resource, IsFrom: hold.From.Activity == at)).Select(side => Side(side.Key.IsFrom, [.. side])).ToArray())];
        bothOf = [.. sidesOf.Select(sides => (from side in sides where side.IsFrom from other in sides where !other.IsFrom && other.Resource == side.Resource && side.Minutes < other.Minutes select (side, other)).ToArray())];
        free = [.. problem.Resources.Select(resource => Profile(resource, horizonMin))];
    }

    private static int[] Profile(Resource resource, int horizonMin)
    {
        var profile = new int[horizonMin];
        foreach (var (step, at) in resource.Steps.Select((step, at) => (step, at)))
        {
            var to = at + 1 < resource.Steps.Count ? resource.Steps[at + 1].AtMin : horizonMin;
            for (var minute = Math.Max(0, step.AtMin); minute < Math.Min(to, horizonMin); minute++) profile[minute] = step.Amount;
        }

        return profile;
    }

    /// <summary>Takes what an activity needs from its start on, and what is held between it and others that have a place.</summary>
    /// <param name="starts">The start of each; null where it has no place. Its own is there.</param>
    /// <param name="activity">Which.</param>
    public void Take(int?[] starts, int activity) => Add(starts, activity, -1);

    /// <summary>Gives it back; its start is still there.</summary>
    /// <inheritdoc cref="Take"/>
    public void GiveBack(int?[] starts, int activity) => Add(starts, activity, 1);

    private void Add(int?[] starts, int activity, int sign)
    {
        var (one, start) = (problem.Activities[activity], starts[activity]!.Value);
        foreach (var need in one.Needs) Add(need.Resource, start, start + one.Minutes, sign * need.Amount);
        foreach (var hold in holdsOf[activity])
            if (MinuteOf(starts, hold.From) is { } from && MinuteOf(starts, hold.To) is { } to) Add(hold.Resource, from, to, sign * hold.Amount);
    }

    private void Add(int resource, int from, int to, int amount)
    {
        var profile = Stretch(free[resource], from, to);
        // Hours of minutes are changed again and again: as many at once as the processor takes.
        var minute = 0;
        for (; minute <= profile.Length - Vector<int>.Count; minute += Vector<int>.Count)
        {
            var some = profile.Slice(minute, Vector<int>.Count);
            (new Vector<int>(some) + new Vector<int>(amount)).CopyTo(some);
        }

        for (; minute < profile.Length; minute++) profile[minute] += amount;
    }

    /// <summary>The minutes from one to another, as far as there are such; none where the second is not after the first.</summary>
    private static Span<int> Stretch(int[] profile, int from, int to)
    {
        var (first, end) = (Math.Max(0, from), Math.Min(to, profile.Length));
        return end > first ? profile.AsSpan(first, end - first) : [];
    }

    /// <summary>The first of some minutes at which less than so much is free; null where there is none.</summary>
    private static int? FirstBelow(int[] profile, int from, int to, int amount) =>
        Stretch(profile, from, to).IndexOfAnyInRange(int.MinValue, amount - 1) is >= 0 and var at ? Math.Max(0, from) + at : null;

    /// <summary>The last of some minutes at which less than so much is free; null where there is none.</summary>
    private static int? LastBelow(int[] profile, int from, int to, int amount) =>
        Stretch(profile, from, to).LastIndexOfAnyInRange(int.MinValue, amount - 1) is >= 0 and var at ? Math.Max(0, from) + at : null;

    private int? MinuteOf(int?[] starts, HoldEnd end) => starts[end.Activity] + Within(end);

    /// <summary>Minutes from an activity's start.</summary>
    private int Within(HoldEnd end) => end.LaterMin + (end.IsAtEnd ? problem.Activities[end.Activity].Minutes : 0);

    /// <summary>All of one side are held from the same minute on or until the same, within the length of the activity: the narrower counts for all.</summary>
    private HeldSide Side(bool isFrom, Hold[] held)
    {
        int Length(Hold hold) => Within(isFrom ? hold.From : hold.To);
        return new HeldSide(held[0].Resource, isFrom, isFrom ? held.Min(Length) : held.Max(Length), [.. held.Select(hold => isFrom ? hold.To : hold.From)], [.. held.Select(hold => hold.Amount)]);
    }

    /// <summary>The starts of an activity, of those from one to another, that what is held between it and what has a place leaves it; none where the first is after the last.</summary>
    public (int From, int To) Within(int?[] starts, int activity, int from, int to)
    {
        foreach (var side in sidesOf[activity])
        {
            if (side.IsFrom) from = Math.Max(from, FirstHeldFrom(starts, side, from + side.Minutes) - side.Minutes);
            else to = Math.Min(to, LastHeldTo(starts, side, to + side.Minutes) - side.Minutes);
        }

        return (from, to);
    }

    /// <summary>The first minute from which all of a side can be held until where it ends.</summary>
    private int FirstHeldFrom(int?[] starts, HeldSide side, int from)
    {
        Span<(int Minute, int Amount)> ends = side.Others.Length <= MostOnTheStack ? stackalloc (int, int)[side.Others.Length] : new (int, int)[side.Others.Length];
        ends = Placed(starts, side, ends);
        var (profile, wanted) = (free[side.Resource], 0);
        // From the last end back: between two of them as much is wanted at every minute.
        for (var at = ends.Length - 1; at >= 0; at--)
        {
            wanted += ends[at].Amount;
            if (LastBelow(profile, Math.Max(from, at > 0 ? ends[at - 1].Minute : 0), ends[at].Minute, wanted) is { } minute) return minute + 1;
        }

        return from;
    }

    /// <summary>The last minute until which all of a side can be held from where it begins.</summary>
    private int LastHeldTo(int?[] starts, HeldSide side, int to)
    {
        Span<(int Minute, int Amount)> ends = side.Others.Length <= MostOnTheStack ? stackalloc (int, int)[side.Others.Length] : new (int, int)[side.Others.Length];
        ends = Placed(starts, side, ends);
        var (profile, wanted) = (free[side.Resource], 0);
        for (var at = 0; at < ends.Length; at++)
        {
            wanted += ends[at].Amount;
            if (FirstBelow(profile, ends[at].Minute, Math.Min(to, at + 1 < ends.Length ? ends[at + 1].Minute : int.MaxValue), wanted) is { } minute) return minute;
        }

        return to;
    }

    /// <summary>The other ends of a side that have a place, with what is held there, in order of time.</summary>
    private Span<(int Minute, int Amount)> Placed(int?[] starts, HeldSide side, Span<(int Minute, int Amount)> into)
    {
        var count = 0;
        for (var at = 0; at < side.Others.Length; at++)
        {
            if (MinuteOf(starts, side.Others[at]) is not { } minute) continue;
            // Few of them, nearly in order.
            var to = count++;
            for (; to > 0 && into[to - 1].Minute > minute; to--) into[to] = into[to - 1];
            into[to] = (minute, side.Amounts[at]);
        }

        return into[..count];
    }

    /// <summary>What is held of one resource from an activity on, or until it.</summary>
    private sealed record HeldSide(int Resource, bool IsFrom, int Minutes, HoldEnd[] Others, int[] Amounts);

    /// <summary>The first start from a minute on, and not after another, at which all is free; null where there is none.</summary>
    public int? FirstFrom(int?[] starts, int activity, int from, int to)
    {
        var start = Math.Max(0, from);
        while (start <= to)
        {
            if (Blocked(starts, activity, start, last: true) is not { } minute) return start;
            start = minute + 1;
        }

        return null;
    }

    /// <summary>The last start up to a minute, and not before another, at which all is free; null where there is none.</summary>
    public int? LastUpTo(int?[] starts, int activity, int to, int from)
    {
        var (start, length) = (to, problem.Activities[activity].Minutes);
        while (start >= Math.Max(0, from))
        {
            if (Blocked(starts, activity, start, last: false) is not { } minute) return start;
            start = minute - length;
        }

        return null;
    }

    /// <summary>The last or the first minute at which something is missing; null where nothing is.</summary>
    private int? Blocked(int?[] starts, int activity, int start, bool last)
    {
        var one = problem.Activities[activity];
        int? found = null;
        foreach (var need in one.Needs)
        {
            if (start + one.Minutes > free[need.Resource].Length) return last ? start + one.Minutes - 1 : Math.Min(found ?? int.MaxValue, free[need.Resource].Length);
            found = Blocked(free[need.Resource], start, start + one.Minutes, need.Amount, last, found);
        }

        // What is held until late in an activity and what is held from early in it are there together in between.
        foreach (var (from, to) in bothOf[activity])
        {
            if (Blocked(free[from.Resource], start + from.Minutes, start + to.Minutes, Held(starts, from) + Held(starts, to), last, null) is not { } minute) continue;
            // As if it were wanted all the while from the start, or until the end.
            found = last ? Math.Max(found ?? -1, minute - from.Minutes) : Math.Min(found ?? int.MaxValue, minute + one.Minutes - to.Minutes);
        }

        return found;
    }

    private static int? Blocked(int[] profile, int from, int to, int amount, bool last, int? found) => last
        ? LastBelow(profile, Math.Max(from, (found ?? -1) + 1), to, amount) ?? found
        : FirstBelow(profile, from, Math.Min(to, found ?? int.MaxValue), amount) ?? found;

    /// <summary>How much of a side is held: what has its other end in place.</summary>
    private static int Held(int?[] starts, HeldSide side)
    {
        var held = 0;
        for (var at = 0; at < side.Others.Length; at++)
            if (starts[side.Others[at].Activity] is not null) held += side.Amounts[at];
        return held;
    }
}
