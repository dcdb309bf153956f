namespace Lumpet.Core.Baking.Planning;

/// <summary>The ovens filled with a whole plan.</summary>
internal sealed partial class PlanSearch
{
    private readonly List<int> unheld = [];
    private readonly List<OvenStay>[] stays;
    private readonly List<int>[] stayOf;
    // What each oven was filled with at last, and which of that nothing held; an oven that is to hold the same again is left as it is.
    private readonly List<OvenStay>[] filled;
    private readonly List<int>[] unheldIn;
    private readonly bool[] isAsFilled;

    /// <summary>Fills the ovens with a plan; trays whose setting nothing holds any more are taken out as well.</summary>
    private bool FillWithout(TrayPath?[] next, List<int> open)
    {
        while (true)
        {
            if (!Fill(next)) return false;
            if (unheld.Count == 0) return true;
            foreach (var index in unheld.Distinct())
            {
                next[index] = null;
                open.Add(index);
            }
        }
    }

    /// <summary>Fills the ovens with a plan; in <see cref="unheld"/> are the trays whose setting nothing holds.</summary>
    private bool Fill(TrayPath?[] plan)
    {
        unheld.Clear();
        for (var oven = 0; oven < ovens.Length; oven++)
        {
            stays[oven].Clear();
            stayOf[oven].Clear();
        }

        foreach (var tray in trays.All)
            foreach (var visit in plan[tray.Index]?.Visits ?? [])
            {
                stays[visit.Oven].Add(new OvenStay(visit, tray.Temperatures, tray.Bake.OnFloor));
                stayOf[visit.Oven].Add(tray.Index);
            }

        pans.Clear();
        foreach (var tray in trays.All)
            if (plan[tray.Index] is { } path) pans.Put(tray.Bake, tray.Number, path.Start, path.End);
        if (!pans.Hold) return false;
        search.Filled();
        var holds = true;
        for (var oven = 0; oven < ovens.Length && holds; oven++)
        {
            holds = IsFilled(oven) || Refill(oven);
            foreach (var number in unheldIn[oven]) unheld.Add(stayOf[oven][number]);
        }

        return holds && doors.HandsHold;
    }

    /// <summary>Whether an oven was filled with these stays before, and with nothing more since.</summary>
    private bool IsFilled(int oven)
    {
        if (!isAsFilled[oven] || filled[oven].Count != stays[oven].Count) return false;
        for (var at = 0; at < filled[oven].Count; at++)
            if (!ReferenceEquals(filled[oven][at].Visit, stays[oven][at].Visit)) return false;
        return true;
    }

    private bool Refill(int oven)
    {
        unheldIn[oven].Clear();
        isAsFilled[oven] = ovens[oven].Refill(stays[oven], unheldIn[oven]);
        (filled[oven], stays[oven]) = (stays[oven], filled[oven]);
        return isAsFilled[oven];
    }
}
