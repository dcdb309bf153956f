using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Pans;
using Lumpet.Core.Steps;
using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>Lays the ovens of a plan out for drawing.</summary>
internal static class OvenDrawing
{
    // How much of the way down is drawn after an oven is off, and how much air there is at the edges.
    private const int AfterMin = 12;
    private const int MarginMin = 20;

    // Where no oven is on for longer than this, the drawing begins anew.
    private const int LongestPauseMin = 90;

    /// <summary>The drawing, or null where nothing is baked.</summary>
    public static OvensAnswer? Of(DayBook book, PlannedDay plan)
    {
        if (plan.BakePlan.Settings.Count == 0) return null;
        var clock = book.Clock;
        BlockAnswer[] blocks = [.. Blocks(plan).Select(block => new BlockAnswer(clock.At(block.From), clock.At(block.To), clock.Hours(block.From, block.To)))];
        return new OvensAnswer(blocks[0].From, blocks[^1].To, blocks, [.. book.Snapshot.Ovens.Select(oven => Oven(book, plan, oven))]);
    }

    private static IEnumerable<(int From, int To)> Blocks(PlannedDay plan)
    {
        (int From, int To)? current = null;
        foreach (var (from, to) in OnTimes(plan).OrderBy(time => time.From))
        {
            if (current is { } block && from - block.To <= LongestPauseMin)
            {
                current = (block.From, Math.Max(block.To, to));
                continue;
            }

            if (current is { } done) yield return Widened(done);
            current = (from, to);
        }

        if (current is { } last) yield return Widened(last);
    }

    private static (int From, int To) Widened((int From, int To) block) => (block.From - MarginMin, block.To + MarginMin);

    private static IEnumerable<(int From, int To)> OnTimes(PlannedDay plan) =>
        plan.BakePlan.Settings.GroupBy(setting => setting.OvenId)
            .SelectMany(oven => oven.Zip(oven.Skip(1)).Where(pair => pair.First.TempC is not null).Select(pair => (pair.First.AtMin, pair.Second.AtMin)));

    private static OvenAnswer Oven(DayBook book, PlannedDay plan, Oven oven)
    {
        var all = plan.Loads.SelectMany(load => load.Visits.Select(visit => (load.Number, load.OvenId, Visit: visit, Day: string.Empty)))
            .Concat(plan.Taken.Loads.Select(load => (Number: 0, load.OvenId, load.Visit, Day: Days.Read(load.Day) is { } date ? Days.Name(date) : load.Day))).Index().ToArray();
        var visits = all.Where(one => one.Item.OvenId == oven.Id).Select(one => (one.Index, one.Item.Number, one.Item.Visit, one.Item.Day)).ToArray();
        // Trays that come from another oven left it when theirs of the same bake did.
        int[] From(LoadVisit visit) => visit.FromOvenId is null ? [] :
        [
            .. all.Where(one => one.Item.OvenId == visit.FromOvenId && one.Item.Visit.LotId == visit.LotId && one.Item.Visit.StepId == visit.StepId && one.Item.Visit.EndMin == visit.LeftAtMin)
                .Select(one => one.Index),
        ];
        OvenSetting[] settings = [.. plan.BakePlan.Settings.Where(setting => setting.OvenId == oven.Id)];
        var curves = HeatCurve.Of(plan.Problem.Ovens.First(asked => asked.Id == oven.Id), settings, BakedTray.EnteringAll(plan.Problem, plan.BakePlan.Trays, oven.Id), plan.Problem.OpenCPerTray, AfterMin);
        return new OvenAnswer(
            oven.Id,
            oven.Name,
            oven.Shelves,
            oven.FloorPlaces ?? 0,
            oven.DialOffsetC,
            [.. curves.Select(curve => curve.Select(point => new CurvePoint(point.AtMin, point.Celsius)).ToArray())],
            [.. settings.Select(setting => new SettingAnswer(
                book.Clock.At(setting.AtMin),
                setting.TempC,
                setting.TempC + oven.DialOffsetC,
                setting.TempC is not null && visits.Any(visit => visit.Visit.Stages.Skip(1).Any(stage => stage.StartMin == setting.AtMin))))],
            [.. visits.Select(visit => Layer(book, plan, visit.Number, visit.Visit, visit.Index, From(visit.Visit), visit.Day))]);
    }

    private static LayerAnswer Layer(DayBook book, PlannedDay plan, int load, LoadVisit visit, int id, IReadOnlyList<int> from, string day)
    {
        var (name, step, neededMin, lot) = plan.Thing(visit);
        return new LayerAnswer(
            load,
            name,
            step.Bakes switch { BakeOf.Shell => "shells", BakeOf.Top => "to finish", BakeOf.Preparation when lot is not null => step.Name, _ => string.Empty },
            step.Place == OvenPlace.Floor,
            lot?.Pan.Name ?? string.Empty,
            visit.Pies,
            visit.Shelves,
            [.. visit.TrayPies.Select(pies => lot is null ? new TrayAnswer(0, [], false) : Tray(lot.Pan, pies))],
            lot?.Pan.Footprint.Width.Centimetres ?? 0,
            lot is { Pan.IsRound: false } ? lot.Pan.Footprint.Length.Centimetres : null,
            [.. visit.Stages.Select(stage => new StageAnswer(stage.Number, stage.TempC, book.Clock.At(stage.StartMin), book.Clock.At(stage.EndMin)))],
            visit.FromOvenId is null ? null : plan.Ovens[visit.FromOvenId].Name,
            book.Clock.At(neededMin),
            step.Sign,
            id,
            from,
            visit.HeatedFromMin < visit.Stages[0].StartMin ? book.Clock.At(visit.HeatedFromMin) : null,
            day);
    }

    private static TrayAnswer Tray(Pan pan, int pies)
    {
        var layout = TrayLayout.Of(pies, pan.Footprint);
        return new TrayAnswer(
            pies, [.. (layout?.Spots ?? []).Select(spot => new SpotAnswer(Math.Round(spot.XCm, 1), Math.Round(spot.YCm, 1)))], layout?.IsTurned ?? false);
    }
}
