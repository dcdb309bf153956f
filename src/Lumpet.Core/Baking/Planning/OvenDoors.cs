namespace Lumpet.Core.Baking.Planning;

/// <summary>When the doors of all ovens of a plan are opened for trays, and what that costs.</summary>
internal sealed class OvenDoors
{
    private readonly BakeWeights weights;
    // At how many ovens a door is opened, by minute.
    private readonly int[] open;

    /// <summary>Closed doors over minutes 0 to a horizon.</summary>
    public OvenDoors(BakeWeights weights, int horizonMin) =>
        (this.weights, open, AreCounted) = (weights, new int[horizonMin + 2], weights.PerDoorOpening > 0 || weights.PerDoorClash > 0);

    /// <summary>Whether opening a door costs anything.</summary>
    public bool AreCounted { get; }

    /// <summary>Whether two doors in one minute cost more than two minutes.</summary>
    public bool ClashesAreCounted => weights.PerDoorClash > 0;

    /// <summary>What all openings cost.</summary>
    public long Cost { get; private set; }

    /// <summary>The door of one more oven.</summary>
    public Door Of() => new(this);

    private long CostOfOneMore(int minute) => weights.PerDoorOpening + (open[minute] > 0 ? weights.PerDoorClash : 0L);

    /// <summary>One oven's door.</summary>
    internal sealed class Door(OvenDoors all)
    {
        // Stays that begin or end, by minute.
        private readonly int[] handled = new int[all.open.Length];

        /// <summary>What a stay would cost at the door: nothing in minutes at which it is opened anyhow.</summary>
        public long CostWith(int start, int end)
        {
            if (!all.AreCounted) return 0;
            return (handled[start] > 0 ? 0 : all.CostOfOneMore(start)) + (handled[end] > 0 ? 0 : all.CostOfOneMore(end));
        }

        /// <summary>Opens it for a stay.</summary>
        public void Put(int start, int end)
        {
            if (!all.AreCounted) return;
            Open(start);
            Open(end);
        }

        /// <summary>Forgets all stays.</summary>
        public void Clear()
        {
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
