namespace Lumpet.Core.Baking.Planning;

/// <summary>The stays of the way that is being looked at, from the first oven on. There is one way at a time: nothing new is made for each.</summary>
internal sealed partial class TraySearch
{
    private readonly List<Visiting> visitings = [];

    /// <summary>A stay in an oven as far as it is known.</summary>
    private sealed class Visiting(int number)
    {
        /// <summary>How many stays come before it.</summary>
        public int Number => number;

        public int Oven { get; set; }

        public int Start { get; set; }

        public int FirstStage { get; set; }

        /// <summary>What the stays before it cost.</summary>
        public long CostSoFar { get; set; }

        public Visiting? Before { get; set; }

        /// <summary>Whether the tray is inside when the horizon starts.</summary>
        public bool IsRunning { get; set; }

        public List<int> StageEnds { get; } = [];

        public int End { get; set; }

        public int ChamberAtEnd { get; set; }
    }

    /// <summary>The stay after another; what was known of an earlier one at this place is forgotten.</summary>
    private Visiting Begin(int oven, int minute, int stage, long costSoFar, Visiting? before, bool isRunning = false)
    {
        var number = before is null ? 0 : before.Number + 1;
        if (number == visitings.Count) visitings.Add(new Visiting(number));
        var visiting = visitings[number];
        (visiting.Oven, visiting.Start, visiting.FirstStage, visiting.CostSoFar, visiting.Before, visiting.IsRunning) = (oven, minute, stage, costSoFar, before, isRunning);
        visiting.StageEnds.Clear();
        return visiting;
    }

    private static bool WasIn(int oven, Visiting? visiting)
    {
        for (; visiting is not null; visiting = visiting.Before)
            if (visiting.Oven == oven) return true;
        return false;
    }

    /// <summary>The stays up to one, as they are kept. What was set in earlier ones still stands in the settings, minute by minute.</summary>
    private OvenVisit[] Visits(Visiting? last)
    {
        var visits = new OvenVisit[last is null ? 0 : last.Number + 1];
        for (var visiting = last; visiting is not null; visiting = visiting.Before)
            visits[visiting.Number] = new OvenVisit(visiting.Oven, visiting.Start, settings[visiting.Start..visiting.End], [.. visiting.StageEnds], visiting.ChamberAtEnd, visiting.FirstStage) { IsRunning = visiting.IsRunning };
        return visits;
    }
}
