namespace Lumpet.Core.Baking.Planning;

/// <summary>What a door that is opened for one more tray does to those that are in the oven, or enter it later.</summary>
internal sealed partial class OvenTimeline
{
    /// <summary>The chamber at the end of a region in which a tray's stay ends earlier; null where somebody's entering in between is spoiled.</summary>
    private int? Settled(OvenRegion region, int minute, int now)
    {
        if (openCPerTray == 0) return region.ChamberAtEnd;
        for (; minute < region.End; minute++)
        {
            // From where it is as it was, everything is as it was.
            if (now == chamber[minute]) return region.ChamberAtEnd;
            if (Spoils(minute, now, settings[minute])) return null;
            now = StepAt(minute, now, settings[minute]);
        }

        return now;
    }

    /// <summary>The same stay for one tray more, or null where its door spoils somebody's entering, or what follows is not reached any more.</summary>
    public OvenVisit? Beside(OvenVisit visit)
    {
        if (openCPerTray == 0) return visit;
        var now = chamber[visit.Start];
        for (var minute = visit.Start; minute < visit.End; minute++)
        {
            if (minute > visit.Start && Spoils(minute, now, settings[minute])) return null;
            now = StepAt(minute, now, settings[minute], minute == visit.Start ? 1 : 0);
        }

        return CostWith(visit.Start, visit.Settings, now) < 0 ? null : visit with { ChamberAtEnd = now };
    }
}
