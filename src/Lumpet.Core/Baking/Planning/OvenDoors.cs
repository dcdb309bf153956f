namespace Lumpet.Core.Baking.Planning;

/// <summary>When the doors of all ovens of a plan are opened for trays, what that costs, and for how long it keeps the one pair of hands.</summary>
internal sealed class OvenDoors
{
    private readonly BakeWeights weights;
    // At how many ovens a door is opened, by minute.
    private readonly int[] open;
    // At how many ovens the hands are, by minute: at one at most in a plan that holds.
    private readonly int[] handsAt;
    private int overlaps;

    /// <summary>Closed doors of a problem over minutes 0 to a horizon.</summary>
    public OvenDoors(BakeProblem problem, int horizonMin)
    {
        (weights, open, handsAt) = (problem.Weights, new int[horizonMin + 2], new int[horizonMin + 2]);
        AreCounted = weights.PerDoorOpening > 0 || weights.PerDoorClash > 0;
        HandsBind = problem.Ovens.Any(oven => oven.ActionMin > 0);
    }

    /// <summary>Whether opening a door costs anything.</summary>
    public bool AreCounted { get; }

    /// <summary>Whether two doors in one minute cost more than two minutes.</summary>
    public bool ClashesAreCounted => weights.PerDoorClash > 0;

    /// <summary>Whether trays wait for the hands that put them in and take them out.</summary>
    public bool HandsBind { get; }

    /// <summary>Whether the hands are at one oven at a time.</summary>
    public bool HandsHold => overlaps == 0;

    /// <summary>What all openings cost.</summary>
    public long Cost { get; private set; }

    /// <summary>The door of one more oven.</summary>
    public Door Of(BakeOven oven) => new(this, oven.ActionMin);

    /// <summary>Whether the hands are free for so many trays more, all of them.</summary>
    public bool Serve(IReadOnlyList<(Door Door, int Minute)> trays)
    {
        foreach (var (door, minute) in trays) door.Take(minute);
        var serve = HandsHold;
        foreach (var (door, minute) in trays) door.Free(minute);
        return serve;
    }

    private long CostOfOneMore(int minute) => weights.PerDoorOpening + (open[minute] > 0 ? weights.PerDoorClash : 0L);

    private void HandsCome(int minute)
    {
        if (minute < handsAt.Length && handsAt[minute]++ > 0) overlaps++;
    }

    private void HandsGo(int minute)
    {
        if (minute < handsAt.Length && --handsAt[minute] > 0) overlaps--;
    }

    /// <summary>One oven's door.</summary>
    internal sealed class Door(OvenDoors all, int actionMin)
    {
        // Stays that begin or end, by minute.
        private readonly int[] handled = new int[all.open.Length];
        // Those of them that the hands are needed for.
        private readonly int[] byHand = new int[actionMin > 0 ? all.open.Length : 0];

        /// <summary>Minutes that the hands need for a tray.</summary>
        public int ActionMin => actionMin;

        /// <summary>Until when the hands are here from a minute on; the minute itself where they are not needed at it.</summary>
        public int HandsUntil(int minute) => actionMin == 0 ? minute : minute + (byHand[minute] * actionMin);

        /// <summary>Whether the hands are free for so many more trays at a minute.</summary>
        public bool Serves(int minute, int trays)
        {
            if (actionMin == 0) return true;
            for (var at = HandsUntil(minute); at < Math.Min(HandsUntil(minute) + (trays * actionMin), all.handsAt.Length); at++)
                if (all.handsAt[at] > 0) return false;
            return true;
        }

        /// <summary>Takes the hands for one tray more.</summary>
        public void Take(int minute)
        {
            if (actionMin == 0) return;
            for (var at = HandsUntil(minute); at < HandsUntil(minute) + actionMin; at++) all.HandsCome(at);
            byHand[minute]++;
        }

        /// <summary>Frees them of it again.</summary>
        public void Free(int minute)
        {
            if (actionMin == 0) return;
            byHand[minute]--;
            for (var at = HandsUntil(minute); at < HandsUntil(minute) + actionMin; at++) all.HandsGo(at);
        }

        /// <summary>What a stay would cost at the door: nothing in minutes at which it is opened anyhow.</summary>
        public long CostWith(int start, int end)
        {
            if (!all.AreCounted) return 0;
            return (handled[start] > 0 ? 0 : all.CostOfOneMore(start)) + (handled[end] > 0 ? 0 : all.CostOfOneMore(end));
        }

        /// <summary>Opens it for a stay. What is inside when the horizon starts is taken out whenever it is done.</summary>
        public void Put(OvenVisit visit)
        {
            if (all.HandsBind && !visit.IsRunning)
            {
                Take(visit.Start);
                Take(visit.End);
            }

            if (!all.AreCounted) return;
            Open(visit.Start);
            Open(visit.End);
        }

        /// <summary>Forgets all stays.</summary>
        public void Clear()
        {
            for (var minute = 0; minute < byHand.Length; minute++)
                while (byHand[minute] > 0) Free(minute);
            if (!all.AreCounted) return;
            for (var minute = 0; minute < handled.Length; minute++)
            {
                if (handled[minute] == 0) continue;
                all.open[minute]--;
                all.Cost -= all.CostOfOneMore(minute);
                handled[minute] = 0;
            }
        }

        private void Open(int minute)
        {
            if (handled[minute]++ > 0) return;
            all.Cost += all.CostOfOneMore(minute);
            all.open[minute]++;
        }
    }
}
