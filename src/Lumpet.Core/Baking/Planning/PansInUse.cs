namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// Pans that pies are in while a plan is built, minute by minute. A pie that is baked again in its pan, because the bake
/// follows another by tray, stays in it from before the first bake until after the last.
/// </summary>
internal sealed class PansInUse
{
    private readonly BakeProblem problem;
    // By pan and minute.
    private readonly int[][] used;
    // The most of each that were in use since they were all put back.
    private readonly int[] most;
    private readonly Dictionary<string, int> panOf;
    private readonly Dictionary<(string Bake, int Tray), Pie> pies = [];
    private readonly ILookup<int, Pie> piesIn;
    // What other plans have in use, by pan.
    private readonly ILookup<int, PanHold> standing;
    private bool isOver;

    /// <summary>No pans in use over minutes 0 to a horizon.</summary>
    public PansInUse(BakeProblem problem, BakeChains chains, int horizonMin)
    {
        this.problem = problem;
        used = [.. problem.Pans.Select(_ => new int[horizonMin + 1])];
        most = new int[used.Length];
        panOf = problem.Pans.Select((pan, at) => (pan.Id, at)).ToDictionary(pan => pan.Id, pan => pan.at);
        foreach (var bake in chains.Ordered.Where(bake => bake.Pan is not null))
            for (var tray = 1; tray <= bake.Trays.Count; tray++)
            {
                Pie[] before = [.. bake.After.Where(after => after.ByTray && chains.Find(after.BakeId).Pan?.PanId == bake.Pan!.PanId)
                    .Select(after => pies.GetValueOrDefault((after.BakeId, tray))).OfType<Pie>().Distinct()];
                var pie = before.Length > 0 ? before[0] : new Pie(panOf[bake.Pan!.PanId]);
                pies[(bake.Id, tray)] = pie;
                // What follows two bakes joins them.
                foreach (var (key, _) in pies.Where(one => before.Skip(1).Contains(one.Value)).ToList()) pies[key] = pie;
            }

        piesIn = pies.Values.Distinct().ToLookup(pie => pie.Pan);
        standing = problem.StandingPans.Where(hold => panOf.ContainsKey(hold.PanId)).ToLookup(hold => panOf[hold.PanId], hold => new PanHold(hold.FromMin, hold.ToMin, hold.Count));
        PutStanding();
    }

    /// <summary>Whether no more are in use at any minute than there are.</summary>
    public bool Hold => !isOver;

    /// <summary>Puts all pans back.</summary>
    public void Clear()
    {
        isOver = false;
        foreach (var pan in used) Array.Clear(pan);
        Array.Clear(most);
        foreach (var pie in piesIn.SelectMany(pie => pie)) pie.Hold = null;
        PutStanding();
    }

    private void PutStanding()
    {
        foreach (var pan in standing)
            foreach (var hold in pan) Use(pan.Key, hold.From, hold.To, hold.Pies);
    }

    private void Use(int pan, int from, int to, int more)
    {
        for (var minute = Math.Max(0, from); minute < Math.Min(to, used[pan].Length); minute++)
        {
            used[pan][minute] += more;
            most[pan] = Math.Max(most[pan], used[pan][minute]);
        }
    }

    /// <summary>Takes pans for a tray.</summary>
    public void Put(Bake bake, int tray, int start, int end)
    {
        if (bake.Pan is not { } need || !pies.TryGetValue((bake.Id, tray), out var pie)) return;
        var (before, count) = (pie.Hold, bake.Trays[tray - 1]);
        var after = Joined(before, need, start, end, count);
        foreach (var (from, to, more) in Added(before, after)) Use(pie.Pan, from, to, more);
        isOver |= most[pie.Pan] > problem.Pans[pie.Pan].Count;

        pie.Hold = after;
    }

    /// <summary>What pans ask of when a tray is baked; null where they ask nothing.</summary>
    public PanWindow? For(Bake bake, int tray) => bake.Pan is not null && pies.TryGetValue((bake.Id, tray), out var pie) ? new PanWindow(this, pie, bake.Pan, bake.Trays[tray - 1]) : null;

    private static PanHold Joined(PanHold? before, PanNeed need, int start, int end, int pies)
    {
        var (from, to) = (need.InUseFrom(start), need.InUseUntil(end));
        return before is { } known ? new PanHold(Math.Min(known.From, from), Math.Max(known.To, to), Math.Max(known.Pies, pies)) : new PanHold(from, to, pies);
    }

    /// <summary>What a hold takes more than the one before it.</summary>
    private static IEnumerable<(int From, int To, int Pies)> Added(PanHold? before, PanHold after)
    {
        if (before is not { } known)
        {
            yield return (after.From, after.To, after.Pies);
            yield break;
        }

        yield return (after.From, known.From, after.Pies);
        if (after.Pies > known.Pies) yield return (known.From, known.To, after.Pies - known.Pies);
        yield return (known.To, after.To, after.Pies);
    }

    private bool AreEnough(Pie pie, int count) => most[pie.Pan] + count <= problem.Pans[pie.Pan].Count;

    private bool Fits(Pie pie, PanNeed need, int count, int start, int end)
    {
        if (AreEnough(pie, count)) return true;
        foreach (var (from, to, more) in Added(pie.Hold, Joined(pie.Hold, need, start, end, count)))
            for (var minute = Math.Max(0, from); minute < Math.Min(to, used[pie.Pan].Length); minute++)
                if (used[pie.Pan][minute] + more > problem.Pans[pie.Pan].Count) return false;
        return true;
    }

    /// <summary>When pans are in use for a pie, and how many: from a minute up to another.</summary>
    internal readonly record struct PanHold(int From, int To, int Pies);

    /// <summary>The pies of a tray, and of those that follow it in the same pans.</summary>
    internal sealed class Pie(int pan)
    {
        /// <summary>Which pans.</summary>
        public int Pan => pan;

        /// <summary>When; null while none of the trays is put in.</summary>
        public PanHold? Hold { get; set; }
    }

    /// <summary>What pans ask of when one tray is baked.</summary>
    internal sealed class PanWindow(PansInUse pans, Pie pie, PanNeed need, int count)
    {
        /// <summary>Whether there are pans for a tray that is in ovens from a minute to another.</summary>
        public bool Fits(int start, int end) => pans.Fits(pie, need, count, start, end);

        /// <summary>Minutes at which it may go in because pans came free, and minutes by which it must be out because others need them.</summary>
        public IEnumerable<(int Enter, int Out)> Edges() =>
            pans.AreEnough(pie, count) ? [] : pans.piesIn[pie.Pan].Where(other => other.Hold is not null).Select(other => other.Hold!.Value).Concat(pans.standing[pie.Pan])
                .Select(hold => (need.FirstIn(hold.To), need.LastOut(hold.From)));
    }
}
