using Lumpet.Core.DayPlan;
using Lumpet.Server.Faults;

namespace Lumpet.Server.DayPlan;

/// <summary>How much time and work a plan is given.</summary>
/// <param name="Name">As questions name it; plans are kept by it.</param>
/// <param name="Enough">After this the first whole plan is answered.</param>
/// <param name="AtOnce">After this whatever there is.</param>
/// <param name="Effort">Work of the oven planner in its last round.</param>
internal sealed record PlanTime(string Name, TimeSpan Enough, TimeSpan AtOnce, int Effort)
{
    /// <summary>While someone looks at an empty screen: a plan that holds, to be bettered.</summary>
    public static PlanTime First { get; } = new("first", TimeSpan.FromSeconds(0.12), TimeSpan.FromSeconds(2), 1);

    /// <summary>Where nobody says: a good plan, in about a second.</summary>
    public static PlanTime Soon { get; } = new("soon", TimeSpan.FromSeconds(1.2), TimeSpan.FromSeconds(4), DayPlanner.DefaultEffort);

    /// <summary>A small day settles in a moment; on a machine that is busy with something else it is given longer, so that it is the same plan there.</summary>
    public static PlanTime SmallDay { get; } = Soon with { Enough = TimeSpan.FromSeconds(6), AtOnce = TimeSpan.FromSeconds(9) };

    /// <summary>While a plan stands on the screen already.</summary>
    public static PlanTime Settled { get; } = new("settled", TimeSpan.FromSeconds(25), TimeSpan.FromSeconds(40), DayPlanner.SettledEffort);

    /// <summary>Where two plans are laid beside each other: both are given the same, or one would look worse for want of time.</summary>
    public static PlanTime Compared { get; } = new("compared", TimeSpan.FromSeconds(4), TimeSpan.FromSeconds(8), DayPlanner.SettledEffort);

    /// <summary>While a pick-up is stepped by a key: the plan follows the key, and is compared with one as quick.</summary>
    public static PlanTime Stepped { get; } = new("stepped", TimeSpan.FromSeconds(4), TimeSpan.FromSeconds(8), DayPlanner.DefaultEffort);

    /// <summary>The time of a name: <see cref="Soon"/> where none is said; null where there is none of that name.</summary>
    public static PlanTime? Of(string? name) => name is null or "" ? Soon : new[] { First, Soon, Settled, Compared, Stepped }.FirstOrDefault(time => time.Name == name);
}

/// <summary>A plan, and which it is.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Given">Name of the time it was given, by which it is found again.</param>
internal sealed record KeptPlan(PlannedDay Plan, string Given);

/// <summary>
/// Makes plans and keeps those that were looked at last. A plan follows from its snapshot, so that all who ask the same wait
/// for one; when nobody waits any more it is left. One processor is kept free of planning, so that others are answered.
/// </summary>
internal sealed class PlanShelf(Planning planning) : IDisposable
{
    private const int Most = 32;

    // Trays times bakes up to which a day settles well within a second on a small machine.
    private const int SmallDay = 120;

    private readonly Lock guard = new();
    private readonly Dictionary<string, Making> shelf = [];
    private readonly SemaphoreSlim turns = new(Math.Max(1, Environment.ProcessorCount - 1));
    // First plans take a moment, and do not wait behind one that settles.
    private readonly SemaphoreSlim firstTurns = new(1);
    private long looked;

    /// <summary>The plan of a day as it stands.</summary>
    /// <param name="book">The day.</param>
    /// <param name="time">How much time it is given.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    /// <exception cref="PlanStumblesException">Something that is ordered cannot be planned; it is named.</exception>
    /// <exception cref="UnsoundPlanException">What was found breaks a rule.</exception>
    /// <exception cref="OperationCanceledException">Whoever asked is gone.</exception>
    public async Task<PlannedDay> PlanAsync(DayBook book, PlanTime time, CancellationToken waiting)
    {
        // A plan that a crew works by is the one that was published, whoever asks.
        var making = Find(book, Published(book) ?? time);
        try
        {
            return await making.Plan.WaitAsync(waiting);
        }
        finally
        {
            Leave(making);
        }
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        turns.Dispose();
        firstTurns.Dispose();
    }

    /// <summary>The best plan of a day that is there, or else a first one at once.</summary>
    /// <inheritdoc cref="PlanAsync"/>
    public async Task<KeptPlan> AtOnceAsync(DayBook book, CancellationToken waiting)
    {
        var best = Published(book) ?? BestOf(book.Fingerprint) ?? PlanTime.First;
        return new KeptPlan(await PlanAsync(book, best, waiting), best.Name);
    }

    /// <summary>What part of a day's settled plan is done, 0 to 1; null where none is being made.</summary>
    public double? Settling(DayBook book)
    {
        lock (guard) return shelf.TryGetValue(Key(book.Fingerprint, PlanTime.Settled), out var making) && !making.Plan.IsCompleted ? making.Done : null;
    }

    private static PlanTime? Published(DayBook book) => book.Followed is { IsSame: true } followed ? PlanTime.Of(followed.Publication.Given) : null;

    private PlanTime? BestOf(string fingerprint)
    {
        lock (guard)
            return new[] { PlanTime.Settled, PlanTime.Soon, PlanTime.First }.FirstOrDefault(time => shelf.TryGetValue(Key(fingerprint, time), out var kept) && kept.Plan.IsCompletedSuccessfully);
    }

    private Making Find(DayBook book, PlanTime time)
    {
        var fingerprint = book.Fingerprint;
        lock (guard)
        {
            if (shelf.TryGetValue(Key(fingerprint, time), out var kept)) return kept.Taken(++looked);
            // A plan that is settled serves everyone who does not name another.
            if ((time == PlanTime.Soon || time == PlanTime.Compared) && shelf.TryGetValue(Key(fingerprint, PlanTime.Settled), out var settled) && settled.Plan.IsCompletedSuccessfully) return settled.Taken(++looked);
            MakeRoom();
            var key = Key(fingerprint, time);
            var making = new Making(key);
            making.Plan = MakeAsync(book, time, making);
            shelf[key] = making;
            return making.Taken(++looked);
        }
    }

    private static string Key(string fingerprint, PlanTime time) => $"{fingerprint}/{time.Name}";

    private async Task<PlannedDay> MakeAsync(DayBook book, PlanTime time, Making making)
    {
        var snapshot = await AroundAsync(book, time, making.Abandoned);
        var turn = time == PlanTime.First ? firstTurns : turns;
        await turn.WaitAsync(making.Abandoned);
        try
        {
            var given = time == PlanTime.Soon && IsSmall(book) ? PlanTime.SmallDay : time;
            using var enough = new CancellationTokenSource(given.Enough);
            using var atOnce = CancellationTokenSource.CreateLinkedTokenSource(making.Abandoned);
            atOnce.CancelAfter(given.AtOnce);
            var patience = new Patience(enough.Token, atOnce.Token);
            // On a thread of its own: those of the pool are there to answer.
            var plan = await Task.Factory.StartNew(() => SoundPlans.Of(planning, snapshot, given.Effort, patience, making), CancellationToken.None, TaskCreationOptions.LongRunning, TaskScheduler.Default);
            making.Abandoned.ThrowIfCancellationRequested();
            // Where nothing is baked there is nothing to better.
            return plan with { IsSettled = plan.IsSettled && (time != PlanTime.First || plan.Loads.Count == 0) };
        }
        finally
        {
            turn.Release();
        }
    }

    /// <summary>The day as it is asked, around the plans of the days before that reach into it, each as well planned as this one is to be.</summary>
    private async Task<DaySnapshot> AroundAsync(DayBook book, PlanTime time, CancellationToken abandoned)
    {
        if (book.Earlier.Count == 0) return book.Snapshot;
        var plans = new List<PlannedDay?>();
        foreach (var other in book.Earlier)
        {
            try
            {
                plans.Add(await PlanAsync(other, time == PlanTime.First ? BestOf(other.Fingerprint) ?? time : time == PlanTime.Settled ? time : PlanTime.Soon, abandoned));
            }
            catch (Exception exception) when (exception is PlanStumblesException or UnsoundPlanException)
            {
                // That day says so itself when it is looked at; this one is not held up by it.
                plans.Add(null);
            }
        }

        var taken = book.Taken(plans);
        return book.Snapshot with { Taken = book.Begun is { } begun ? taken.With(begun.Taken) : taken, Stock = book.Snapshot.Stock.Less(plans.OfType<PlannedDay>().SelectMany(plan => plan.FromStock)) };
    }

    private static bool IsSmall(DayBook book) =>
        Lot.From(book.Snapshot.Orders).Sum(lot => lot.Trays.Count * lot.Product.Process.Steps.Count(step => step.IsBake)) <= SmallDay;

    private void Leave(Making making)
    {
        lock (guard)
        {
            making.Waiting--;
            if (making.Plan.IsCompletedSuccessfully || (making.Waiting > 0 && !making.Plan.IsCompleted)) return;
            // Nobody waits for it, or it failed: it is not kept.
            if (shelf.GetValueOrDefault(making.Key) == making) shelf.Remove(making.Key);
            making.Dispose();
        }
    }

    private void MakeRoom()
    {
        while (shelf.Count >= Most && shelf.Values.Where(making => making.Waiting == 0).MinBy(making => making.LookedAt) is { } oldest) shelf.Remove(oldest.Key);
    }

    /// <summary>A plan that is being made or is there.</summary>
    private sealed class Making : IDisposable, IProgress<double>
    {
        private readonly CancellationTokenSource abandoned = new();
        private double done;

        public Making(string key) => (Key, Abandoned) = (key, abandoned.Token);

        public string Key { get; }

        public Task<PlannedDay> Plan { get; set; } = null!;

        public CancellationToken Abandoned { get; }

        public int Waiting { get; set; }

        public long LookedAt { get; private set; }

        public double Done => Volatile.Read(ref done);

        public void Report(double value) => Volatile.Write(ref done, value);

        public Making Taken(long now)
        {
            Waiting++;
            LookedAt = now;
            return this;
        }

        public void Dispose()
        {
            abandoned.Cancel();
            abandoned.Dispose();
        }
    }
}
