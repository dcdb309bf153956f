namespace Lumpet.Core.Baking.Planning;

/// <summary>What an oven does between regions: whether it is kept on, or off and heated again, and what that costs.</summary>
internal sealed partial class OvenTimeline
{
    /// <summary>What a region costs after the one before it, or -1 where it cannot be reached in time.</summary>
    private long CostOf(OvenRegion? before, OvenRegion region)
    {
        var gap = GapOnMinutes(before, region.Start, region.FirstSetting);
        if (gap < 0) return -1;
        var last = before is { } earlier ? earlier.LastSetting : Oven.StartSettingC;
        var changes = region.Changes + (last is not null && last != region.FirstSetting ? 1 : 0);
        return ((long)weights.PerOvenOnMin * (gap + region.End - region.Start)) + ((long)weights.PerSettingChange * changes);
    }

    /// <summary>Minutes for which the oven is on in a gap, or -1 where the time is too short.</summary>
    private int GapOnMinutes(OvenRegion? before, int until, int wanted) => Gap(before, until, wanted) is { } gap ? gap.Kept + until - gap.OnFrom : -1;

    /// <summary>
    /// When the oven is on between a region and the next, or before the first: for as few minutes as let the chamber
    /// stand at the wanted temperature when the next begins. Null where the time is too short.
    /// </summary>
    /// <returns>For how long it is left on after the region, and from when on it is heated for the next.</returns>
    private (int Kept, int OnFrom)? Gap(OvenRegion? before, int until, int wanted)
    {
        if (openings[until] is not { } opening) return null;
        // What is inside when the horizon starts asks for no heat first.
        if (until == 0) return (0, 0);
        var from = before?.End ?? 0;
        var temperature = before?.ChamberAtEnd ?? Oven.StartC;
        // What it was heated to before it was closed it may still have a part of.
        var earliestOn = Math.Max(from, opening.FromMin);
        if (earliestOn > until) return null;
        if (!Arrives(temperature, from, earliestOn, until, wanted)) return KeptOn(before, earliestOn, until, wanted) is { } kept ? (kept, earliestOn) : null;
        if (before is { StaysOn: true } same && same.LastSetting == wanted && earliestOn == from) return (0, from);

        var on = LastOn(temperature, from, earliestOn, until, wanted);
        // Nobody switches it off for a moment; what is set sooner is reached no later.
        var isMoment = before is not null && on > from && on - from < Oven.ShortestOffMin && opening.FromMin <= from;
        return (0, isMoment ? from : on);
    }

    /// <summary>Whether the chamber can stand at a temperature at a minute after a region, or before all.</summary>
    private bool IsReached(OvenRegion? before, int until, int wanted)
    {
        if (openings[until] is not { } opening) return false;
        if (until == 0) return true;
        var from = before?.End ?? 0;
        var earliestOn = Math.Max(from, opening.FromMin);
        return earliestOn <= until && (Arrives(before?.ChamberAtEnd ?? Oven.StartC, from, earliestOn, until, wanted) || KeptOn(before, earliestOn, until, wanted) is not null);
    }

    /// <summary>The last minute at which it may be switched on where the first is soon enough: the later, the colder the chamber arrives.</summary>
    private int LastOn(int temperature, int from, int earliestOn, int until, int wanted)
    {
        // Where it cools until it is heated, and where it has cooled as far as it does by then: whichever is warmer is how it is.
        var cooling = (temperature + ((long)Oven.CoolCPerMin * from) + ((long)Oven.HeatCPerMin * until) - wanted) / (Oven.CoolCPerMin + Oven.HeatCPerMin);
        var cold = until - MinutesBetween(Math.Min(RoomC, temperature), Math.Max(wanted, Math.Min(RoomC, temperature)));
        return (int)Math.Clamp(Math.Max(cooling, cold), earliestOn, until);
    }

    /// <summary>For how many minutes an oven is left on empty until it is closed, so that the heat it has when it is opened again is enough; null where it never is.</summary>
    private int? KeptOn(OvenRegion? before, int earliestOn, int until, int wanted)
    {
        if (before is not { } region || openings[region.End - 1] is not { } open || open.ToMin > earliestOn) return null;
        var now = region.ChamberAtEnd;
        for (var end = region.End; end <= Math.Min(open.ToMin, CloseMin); end++)
        {
            if (Arrives(now, end, earliestOn, until, wanted)) return end - region.End;
            now = Step(now, region.LastSetting);
        }

        return null;
    }

    /// <summary>Whether the chamber stands at the wanted temperature at <paramref name="until"/> when it is set at <paramref name="on"/>.</summary>
    private bool Arrives(int temperature, int from, int on, int until, int wanted)
    {
        var cooled = Cooled(temperature, on - from);
        return cooled <= wanted
            ? cooled + ((long)Oven.HeatCPerMin * (until - on)) >= wanted
            : cooled - ((long)Oven.CoolCPerMin * (until - on)) <= wanted;
    }
}
