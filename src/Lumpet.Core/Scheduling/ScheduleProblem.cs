namespace Lumpet.Core.Scheduling;

/// <summary>
/// Work that shares what there is only so much of: people, a mixer, a bench. It knows nothing of a bakery. Activities are not
/// interrupted; minutes count from a start of the caller's choosing.
/// </summary>
/// <param name="Activities">What is to be done.</param>
/// <param name="Lags">What follows what.</param>
/// <param name="Resources">What they share.</param>
public sealed record ScheduleProblem(IReadOnlyList<Activity> Activities, IReadOnlyList<Lag> Lags, IReadOnlyList<Resource> Resources)
{
    /// <summary>What is in use from one activity until another: a tray in the fridge from when it is lined until it is filled.</summary>
    public IReadOnlyList<Hold> Holds { get; init; } = [];

    /// <summary>Whether nothing in it points to what is not there, and no number is absurd.</summary>
    /// <exception cref="ArgumentException">Something does; the message says what.</exception>
    public void Check()
    {
        foreach (var one in Activities)
        {
            if (one.Minutes < 0 || one.Minutes > MostMinutes || Math.Abs((long)one.WishMin) > MostMinutes) throw new ArgumentException($"Activity {one.Id} has minutes that cannot be.");
            if (one.PerMinEarlier < 0 || one.PerMinLater < 0 || one.Weight < 0) throw new ArgumentException($"Activity {one.Id} has a cost below zero.");
            if (one.Needs.Any(need => need.Resource < 0 || need.Resource >= Resources.Count || need.Amount < 0)) throw new ArgumentException($"Activity {one.Id} needs what is not there.");
        }

        foreach (var lag in Lags)
            if (lag.From < 0 || lag.To < 0 || lag.From >= Activities.Count || lag.To >= Activities.Count || lag.From == lag.To || lag.MostMin < lag.LeastMin) throw new ArgumentException($"A lag from {lag.From} to {lag.To} cannot be.");

        bool IsThere(HoldEnd end) => end.Activity >= 0 && end.Activity < Activities.Count && Math.Abs((long)end.LaterMin) <= MostMinutes;
        foreach (var hold in Holds)
            if (hold.Resource < 0 || hold.Resource >= Resources.Count || hold.Amount < 0 || !IsThere(hold.From) || !IsThere(hold.To) || hold.From.Activity == hold.To.Activity) throw new ArgumentException($"A hold from {hold.From.Activity} to {hold.To.Activity} cannot be.");
    }

    /// <summary>No minute of a problem lies further from 0.</summary>
    public const int MostMinutes = 100_000;

    /// <summary>What so much later or earlier than wished costs an activity.</summary>
    /// <param name="activity">Its index.</param>
    /// <param name="start">When it starts.</param>
    public long CostOf(int activity, int start)
    {
        var (one, late) = (Activities[activity], (long)start - Activities[activity].WishMin);
        return late > 0 ? late * one.PerMinLater : -late * one.PerMinEarlier;
    }
}

/// <summary>Something to be done without a break.</summary>
/// <param name="Id">Its name, for messages.</param>
/// <param name="Minutes">How long it takes; at least 0.</param>
/// <param name="WishMin">When it would best start.</param>
/// <param name="Needs">What it takes all the while.</param>
public sealed record Activity(string Id, int Minutes, int WishMin, IReadOnlyList<Need> Needs)
{
    /// <summary>It does not start before this.</summary>
    public int EarliestMin { get; init; }

    /// <summary>It does not start after this.</summary>
    public int LatestMin { get; init; } = ScheduleProblem.MostMinutes;

    /// <summary>What each minute before its wish costs.</summary>
    public long PerMinEarlier { get; init; } = 1;

    /// <summary>What each minute after its wish costs.</summary>
    public long PerMinLater { get; init; } = 1;

    /// <summary>How bad it is that it finds no place, beside others that find none.</summary>
    public long Weight { get; init; } = 1;
}

/// <summary>So much of a resource.</summary>
/// <param name="Resource">Its index.</param>
/// <param name="Amount">How much; at least 0.</param>
public sealed record Need(int Resource, int Amount);

/// <summary>One activity after another: from the end of the first to the start of the second.</summary>
/// <param name="From">Index of the first.</param>
/// <param name="To">Index of the second.</param>
/// <param name="LeastMin">At least so many minutes; below 0 where they may overlap.</param>
/// <param name="MostMin">At most so many; null where nothing limits it.</param>
public sealed record Lag(int From, int To, int LeastMin, int? MostMin = null);

/// <summary>So much of a resource in use from a minute of one activity until a minute of another; nothing where that is not later, or where either has no place.</summary>
/// <param name="Resource">Its index.</param>
/// <param name="Amount">How much; at least 0.</param>
/// <param name="From">From when.</param>
/// <param name="To">Until when; of another activity.</param>
public sealed record Hold(int Resource, int Amount, HoldEnd From, HoldEnd To);

/// <summary>A minute of an activity: its start, its end, or so many minutes after either.</summary>
/// <param name="Activity">Its index.</param>
/// <param name="IsAtEnd">Whether its end is meant, and not its start.</param>
public sealed record HoldEnd(int Activity, bool IsAtEnd)
{
    /// <summary>So many minutes after that.</summary>
    public int LaterMin { get; init; }
}

/// <summary>Something of which there is only so much at a time.</summary>
/// <param name="Name">Its name, for messages.</param>
/// <param name="Steps">How much there is from a minute on, in order of time; none before the first.</param>
public sealed record Resource(string Name, IReadOnlyList<CapacityFrom> Steps)
{
    /// <summary>As much at every minute.</summary>
    public static Resource Always(string name, int amount) => new(name, [new CapacityFrom(0, amount)]);

    /// <summary>How much there is at a minute.</summary>
    public int At(int minute) => Steps.LastOrDefault(step => step.AtMin <= minute)?.Amount ?? 0;
}

/// <summary>From a minute on there is so much.</summary>
/// <param name="AtMin">The minute.</param>
/// <param name="Amount">How much; at least 0.</param>
public sealed record CapacityFrom(int AtMin, int Amount);

/// <summary>When what is done.</summary>
/// <param name="Starts">The start of each activity; null where it found no place that keeps every rule.</param>
/// <param name="LeftOut">The weights of those without a place, added up.</param>
/// <param name="Cost">What the others cost by being earlier or later than wished.</param>
public sealed record Schedule(IReadOnlyList<int?> Starts, long LeftOut, long Cost);
