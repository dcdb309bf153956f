using Lumpet.Core.Baking;

namespace Lumpet.Core.Tests.Baking;

/// <summary>
/// The best of all plans of a small problem, found by trying everything minute by minute: every setting of every oven, every
/// tray in, on, dropped, moved or out. It knows the contract (docs/formats/bake-plan.md) and nothing of the planner.
/// </summary>
internal sealed class EveryPlan
{
    private const int Off = int.MinValue;
    private const int RoomC = 25;

    // Minutes of a tray that enters at this very minute.
    private const int JustIn = -1;
    private const long PerPieLeftOut = 10_000_000_000;

    private readonly BakeProblem problem;
    private readonly int[] temperatures;
    private readonly (Bake Bake, int Pies, int Number)[] trays;
    private readonly int horizon;
    private readonly long atMost;

    private EveryPlan(BakeProblem problem, int horizon, long atMost)
    {
        (this.problem, this.horizon, this.atMost) = (problem, horizon, atMost);
        temperatures = [.. problem.Bakes.SelectMany(bake => bake.Stages).Select(stage => stage.TempC).Distinct()];
        trays = [.. problem.Bakes.SelectMany(bake => bake.Trays.Select((pies, at) => (bake, pies, at + 1)))];
    }

    /// <summary>Pies left out and tenths of cost of the best plan; null where there is none at most as bad as that.</summary>
    /// <param name="problem">A small problem.</param>
    /// <param name="horizon">Minute by which everything is over.</param>
    /// <param name="left">Pies that a plan known already leaves out.</param>
    /// <param name="tenths">What it costs.</param>
    public static (long Left, long Tenths)? Best(BakeProblem problem, int horizon, long left, long tenths) => new EveryPlan(problem, horizon, (left * PerPieLeftOut) + tenths).Search() is { } best
        ? (best / PerPieLeftOut, best % PerPieLeftOut)
        : null;

    // What an oven is: its chamber, its setting or off, the last temperature set, and whether that has been baked at.
    private readonly record struct OvenNow(int Chamber, int Setting, int LastSet, bool IsHeld);

    // Where a tray is. Stage -1: not begun; as many as there are: out. Oven -1: on its way to the next. Minutes: in the stage, left of the way, or since it is out.
    private readonly record struct TrayNow(int Stage, int Oven, int Minutes);

    // Hands: minutes for which they are still at a door.
    private sealed record Now(OvenNow[] Ovens, TrayNow[] Trays, int Hands)
    {
        public string Key() => string.Create((2 * Ovens.Length) + Trays.Length + 1, this, static (text, now) =>
        {
            var at = 0;
            foreach (var oven in now.Ovens)
            {
                text[at++] = (char)(oven.Chamber + 100);
                text[at++] = (char)((Packed(oven.Setting) * 1024) + (Packed(oven.LastSet) * 2) + (oven.IsHeld ? 1 : 0));
            }

            foreach (var tray in now.Trays) text[at++] = (char)(((tray.Stage + 1) * 4096) + ((tray.Oven + 4) * 256) + tray.Minutes + 1);
            text[at] = (char)now.Hands;
        });

        // Settings are tens of degrees apart in what is enumerated; off is nothing.
        private static int Packed(int setting) => setting == Off ? 0 : (setting / 5) % 500;
    }

    private long? Search()
    {
        var states = new Dictionary<string, (Now Now, long Cost)>();
        var start = new Now([.. problem.Ovens.Select(oven => new OvenNow(oven.StartC, Off, Off, true))], [.. trays.Select(_ => new TrayNow(-1, -1, 0))], 0);
        states[start.Key()] = (start, 0);
        long? best = null;
        for (var minute = 0; minute <= horizon + 1; minute++)
        {
            var next = new Dictionary<string, (Now, long)>();
            foreach (var (now, cost) in states.Values)
            {
                if (IsOver(now)) best = Math.Min(best ?? long.MaxValue, cost + LeftOut(now));
                foreach (var (moved, of) in Moves(now, minute, 0).Where(one => MayBeHandled(now, one.Now)))
                    foreach (var (set, ofHeat) in Heated(now, Handled(now, moved), minute, 0))
                    {
                        var total = cost + of + ofHeat;
                        if (total + AtLeast(set) > atMost || total >= best) continue;
                        var passed = Pass(set);
                        var key = passed.Key();
                        if (!next.TryGetValue(key, out var other) || total < other.Item2) next[key] = (passed, total);
                    }
            }

            states = next;
        }

        return best <= atMost ? best : null;
    }

    /// <summary>What is still to come at least: pies left out, or their stages on all shelves at once.</summary>
    private long AtLeast(Now now)
    {
        long minutes = 0;
        var running = 0;
        for (var tray = 0; tray < trays.Length; tray++)
        {
            if (IsOut(now, tray)) continue;
            // One that has not begun may be left out, which costs more than any heat.
            var (stages, at) = (trays[tray].Bake.Stages, now.Trays[tray]);
            for (var stage = Math.Max(0, at.Stage); stage < stages.Count; stage++) minutes += stages[stage].MinMin;
            if (at.Oven >= 0) running += Math.Min(Math.Max(at.Minutes, 0), stages[at.Stage].MinMin);
        }

        return 1000 * Math.Max(0, ((minutes - running) / Math.Max(1, problem.Ovens.Sum(oven => oven.Shelves + (oven.FloorPlaces ?? 0)))) - 1);
    }

    private bool IsOut(Now now, int tray) => now.Trays[tray].Stage == trays[tray].Bake.Stages.Count;

    private bool IsOver(Now now) => Enumerable.Range(0, trays.Length).All(tray => now.Trays[tray].Stage == -1 || IsOut(now, tray)) && now.Ovens.All(oven => oven.Setting == Off || oven.IsHeld);

    private long LeftOut(Now now) => Enumerable.Range(0, trays.Length).Where(tray => !IsOut(now, tray)).Sum(tray => trays[tray].Pies * PerPieLeftOut);

    /// <summary>Everything that trays may do at a minute, one tray after another: stay, drop, leave, enter. Trays of a bake that are alike enter in order.</summary>
    private IEnumerable<(Now Now, long Cost)> Moves(Now now, int minute, int tray)
    {
        if (tray == trays.Length)
        {
            yield return (now, 0);
            yield break;
        }

        foreach (var (to, cost) in Choices(now, minute, tray))
        {
            TrayNow[] changed = [.. now.Trays];
            changed[tray] = to;
            foreach (var (rest, more) in Moves(now with { Trays = changed }, minute, tray + 1)) yield return (rest, cost + more);
        }
    }

    private IEnumerable<(TrayNow To, long Cost)> Choices(Now now, int minute, int tray)
    {
        var (bake, pies, number) = trays[tray];
        var at = now.Trays[tray];
        if (IsOut(now, tray))
        {
            yield return (at, 0);
            yield break;
        }

        if (at.Stage == -1)
        {
            yield return (at, 0);
            if (minute < bake.ReleaseMin || IsIn(bake.NotIn, minute) || !MayBegin(now, tray) || IsBehindItsLike(now, tray)) yield break;
        }
        else if (at.Oven < 0 && at.Minutes > 0)
        {
            yield return (at, 0);
            yield break;
        }

        if (at.Oven < 0)
        {
            // A way ends at its minute: there it enters another oven, or this is no plan.
            for (var oven = 0; oven < problem.Ovens.Count; oven++)
                if (bake.Ovens?.Contains(problem.Ovens[oven].Id) != false && oven != LeftJustNow(at)) yield return (new TrayNow(Math.Max(at.Stage, 0), oven, JustIn), 0);
            yield break;
        }

        var stage = bake.Stages[at.Stage];
        if (at.Minutes < stage.MaxMin) yield return (at, 0);
        if (at.Minutes < stage.MinMin) yield break;
        if (at.Stage == bake.Stages.Count - 1)
        {
            if (minute < (bake.EarliestOutMin ?? 0) || IsIn(bake.NotOut, minute)) yield break;
            var late = (long)minute - bake.DueMin;
            yield return (new TrayNow(at.Stage + 1, -1, 0), late > 0 ? 10_000 * late * pies : -late * pies);
            yield break;
        }

        yield return (new TrayNow(at.Stage + 1, at.Oven, 0), 0);
        if (problem.TransferMin > 0) yield return (new TrayNow(at.Stage + 1, -2 - at.Oven, problem.TransferMin), 0);
    }

    private static bool IsIn(IReadOnlyList<DoorPause> pauses, int minute) => pauses.Any(pause => pause.FromMin <= minute && minute <= pause.ToMin);

    // A tray on its way remembers the oven that it left: -2 for the first, -3 for the second.
    private static int LeftJustNow(TrayNow at) => at.Oven < -1 ? -2 - at.Oven : -1;

    private bool IsBehindItsLike(Now now, int tray)
    {
        var like = tray > 0 && trays[tray - 1].Bake == trays[tray].Bake && trays[tray - 1].Pies == trays[tray].Pies && trays[tray].Bake.After.All(after => !after.ByTray)
            && !problem.Bakes.Any(bake => bake.After.Any(after => after.ByTray && after.BakeId == trays[tray].Bake.Id));
        return like && now.Trays[tray - 1].Stage == -1;
    }

    private bool MayBegin(Now now, int tray)
    {
        foreach (var after in trays[tray].Bake.After)
            for (var other = 0; other < trays.Length; other++)
            {
                if (trays[other].Bake.Id != after.BakeId || (after.ByTray && trays[other].Number != trays[tray].Number)) continue;
                if (!IsOut(now, other) || now.Trays[other].Minutes < after.MinLagMin || now.Trays[other].Minutes > after.MaxLagMin) return false;
            }

        return true;
    }

    /// <summary>Trays that are put into an oven or taken out of it between one state and the next.</summary>
    private int AtDoor(Now before, Now now, int oven) => Enumerable.Range(0, trays.Length).Count(tray => Inside(before, tray) != Inside(now, tray) && (Inside(before, tray) == oven || Inside(now, tray) == oven));

    private int Inside(Now now, int tray) => now.Trays[tray].Stage < 0 || IsOut(now, tray) ? -1 : Math.Max(-1, now.Trays[tray].Oven);

    private int HandMinutes(Now before, Now now, int oven) => problem.Ovens[oven].ActionMin * AtDoor(before, now, oven);

    private bool MayBeHandled(Now before, Now now) => Enumerable.Range(0, problem.Ovens.Count).Count(oven => HandMinutes(before, now, oven) > 0) <= (before.Hands > 0 ? 0 : 1);

    private Now Handled(Now before, Now now) => now with { Hands = before.Hands + Enumerable.Range(0, problem.Ovens.Count).Sum(oven => HandMinutes(before, now, oven)) };

    // Only of bakes that no other follows in the same pans, and that need none before they go in.
    private int PansInUse(Now now, int minute, string pan) => Enumerable.Range(0, trays.Length).Where(tray => trays[tray].Bake.Pan?.PanId == pan
        && now.Trays[tray].Stage >= 0 && (!IsOut(now, tray) || minute < FreeAt(trays[tray].Bake.Pan!, minute - now.Trays[tray].Minutes))).Sum(tray => trays[tray].Pies);

    private static int FreeAt(PanNeed need, int outMin) => need.Until.Where(step => step.FromMin <= outMin).Select(step => step.UntilMin).Append(outMin + need.AfterMin).Max();

    /// <summary>Every setting of every oven that bears what is in it and lets in what enters.</summary>
    private IEnumerable<(Now Now, long Cost)> Heated(Now before, Now now, int minute, int oven)
    {
        if (oven == problem.Ovens.Count)
        {
            yield return (now, 0);
            yield break;
        }

        var (of, at) = (problem.Ovens[oven], now.Ovens[oven]);
        int[] inside = [.. Enumerable.Range(0, trays.Length).Where(tray => now.Trays[tray].Oven == oven && !IsOut(now, tray))];
        var onFloor = of.FloorPlaces is null ? 0 : inside.Count(tray => trays[tray].Bake.OnFloor);
        if (inside.Length - onFloor > of.Shelves || onFloor > (of.FloorPlaces ?? 0)) yield break;
        if (oven == 0 && problem.Pans.Any(pan => PansInUse(now, minute, pan.Id) > pan.Count)) yield break;
        foreach (var setting in temperatures.Append(Off))
        {
            if (setting != at.Setting && !at.IsHeld) continue;
            if (setting == Off ? inside.Length > 0 : !of.Openings.Any(opening => minute >= opening.FromMin && minute < opening.ToMin) || setting < of.MinC || setting > of.MaxC) continue;
            if (inside.Any(tray => Math.Abs(setting - trays[tray].Bake.Stages[now.Trays[tray].Stage].TempC) > problem.ToleranceC || (now.Trays[tray].Minutes == JustIn && at.Chamber != setting))) continue;
            var isHeld = setting == Off || (setting == at.Setting && at.IsHeld) || inside.Any(tray => trays[tray].Bake.Stages[now.Trays[tray].Stage].TempC == setting);
            OvenNow[] ovens = [.. now.Ovens];
            var lost = problem.OpenCPerTray * inside.Count(tray => now.Trays[tray].Minutes == JustIn);
            ovens[oven] = new OvenNow(Math.Max(at.Chamber - lost, Math.Min(at.Chamber, RoomC)), setting, setting == Off ? at.LastSet : setting, isHeld);
            var cost = setting == Off ? 0L : 1000 + (at.LastSet != Off && at.LastSet != setting ? 2000 : 0);
            foreach (var (rest, more) in Heated(before, now with { Ovens = ovens }, minute, oven + 1)) yield return (rest, cost + more);
        }
    }

    /// <summary>A minute goes by.</summary>
    private Now Pass(Now now) => new(
        [.. now.Ovens.Select((oven, at) => oven with { Chamber = Toward(problem.Ovens[at], oven) })],
        [.. now.Trays.Select((tray, at) => tray.Stage == -1 ? tray
            : IsOut(now, at) ? tray with { Minutes = Math.Min(tray.Minutes + 1, 60) }
            : tray.Oven < 0 ? tray with { Minutes = tray.Minutes - 1 }
            : tray with { Minutes = Math.Max(tray.Minutes, 0) + 1 })],
        Math.Max(0, now.Hands - 1));

    private static int Toward(BakeOven oven, OvenNow now)
    {
        var goal = now.Setting == Off ? Math.Min(RoomC, now.Chamber) : now.Setting;
        return now.Chamber < goal ? Math.Min(goal, now.Chamber + oven.HeatCPerMin) : Math.Max(goal, now.Chamber - oven.CoolCPerMin);
    }
}
