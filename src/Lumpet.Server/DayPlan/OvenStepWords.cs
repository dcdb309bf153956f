using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using Lumpet.Server.Bakery;
using Lumpet.Server.Recipes;

namespace Lumpet.Server.DayPlan;

/// <summary>Says what is done at the ovens.</summary>
internal static class OvenStepWords
{
    /// <summary>All steps of a plan.</summary>
    public static IReadOnlyList<OvenStepAnswer> Of(DayBook book, PlannedDay plan) => [.. OvenSteps.Of(plan).Select(step => Words(book, plan, step))];

    /// <summary>What lies on the trays of a visit: "6 Pear and ginger", "6 shells for Oat custard".</summary>
    public static string What(PlannedDay plan, LoadVisit visit)
    {
        var thing = plan.Thing(visit);
        return thing.Step.Bakes switch
        {
            BakeOf.Shell => $"{Count(visit.Pies, "shell")} for {thing.Name}",
            BakeOf.Preparation when thing.Lot is null => $"{Count(visit.TrayPies.Count, "tray")} of {thing.Name}",
            BakeOf.Preparation => $"{Count(visit.TrayPies.Count, "tray")} of \"{thing.Step.Name}\" for {Count(visit.Pies, "pie")} {thing.Name}",
            BakeOf.Top => $"{visit.Pies} {thing.Name} to finish",
            _ => $"{visit.Pies} {thing.Name}",
        };
    }

    private static OvenStepAnswer Words(DayBook book, PlannedDay plan, OvenStep step)
    {
        var oven = book.Snapshot.Ovens.First(oven => oven.Id == step.OvenId);
        var dial = step.Visits.Count == 0 ? step.TempC + oven.DialOffsetC : null;
        var (readyWhen, caution) = step.Act == OvenAct.Out ? Signs(plan, step) : (string.Empty, step.Act == OvenAct.In ? Frozen(plan, step) : string.Empty);
        return new OvenStepAnswer(
            book.Clock.At(step.AtMin),
            Naming.Of(step.Act),
            oven.Name,
            Sentence(book, plan, step, oven),
            dial,
            step.TempC,
            Places(oven, [.. step.Visits.SelectMany(visit => visit.Shelves).Order()]),
            [.. step.Visits.Select(visit => plan.Thing(visit).Name).Distinct()],
            readyWhen,
            caution);
    }

    /// <summary>"shelves 1, 2, floor 1": where trays are.</summary>
    private static string Places(Oven oven, int[] places)
    {
        string Named(string one, string several, int[] numbers) => numbers.Length == 0 ? string.Empty : $"{(numbers.Length == 1 ? one : several)} {string.Join(", ", numbers)}";
        string[] said = [Named("shelf", "shelves", [.. places.Where(place => place <= oven.Shelves)]), Named("floor", "floor", [.. places.Where(place => place > oven.Shelves).Select(place => place - oven.Shelves)])];
        return string.Join(", ", said.Where(words => words.Length > 0));
    }

    private static string Sentence(DayBook book, PlannedDay plan, OvenStep step, Oven oven)
    {
        var what = string.Join("; ", step.Visits.GroupBy(visit => (visit.LotId, visit.StepId)).Select(group =>
            $"{What(plan, group.First() with { Pies = group.Sum(visit => visit.Pies), TrayPies = [.. group.SelectMany(visit => visit.TrayPies)] })}{(plan.Thing(group.First()).Lot is { } lot ? $", {lot.Pan.Name}" : string.Empty)}{StepWords.Place(Bake(plan, group.First()).Place)}"));
        return step.Act switch
        {
            OvenAct.Off => "Switch off",
            OvenAct.Set => $"Set to {Heat(step, oven)}",
            OvenAct.Drop => $"Change to {Heat(step, oven)}; the trays stay in",
            OvenAct.HeatTrays => $"{Trays(step)} in, empty, to heat for {Trays(plan, step, "load")}: {step.HeatedMin} min",
            OvenAct.Handwork => $"{Trays(plan, step, "Load")}, {step.Words}: {what}",
            OvenAct.In => $"{Trays(plan, step, "Load")} in: {what}{Signs(plan, step.Visits)}",
            OvenAct.Move => $"{Trays(plan, step, "Load")} moves here from {string.Join(", ", step.Visits.Select(visit => book.Snapshot.Ovens.First(one => one.Id == visit.FromOvenId).Name).Distinct())}: {what}",
            OvenAct.WeightsOut => $"Weights out of {Trays(plan, step, "load")}: {what}",
            OvenAct.Turn => $"Turn the trays of {Trays(plan, step, "load")}: {what}",
            _ => $"{Trays(plan, step, "Load")} out: {what}",
        };
    }

    /// <summary>"Load 3", or of what an earlier day has in the oven "Load for Friday 11 December".</summary>
    private static string Trays(PlannedDay plan, OvenStep step, string word) => step.Load > 0
        ? $"{word} {step.Load}"
        : $"{word} for {string.Join(" and ", plan.Taken.Loads.Where(load => step.Visits.Any(visit => visit.LotId == load.Visit.LotId)).Select(load => load.Day).Distinct().Select(day => Days.Read(day) is { } date ? Days.Name(date) : day))}";

    /// <summary>What is done by its sign while the trays are in: said when they go in, since no minute is known.</summary>
    private static string Signs(PlannedDay plan, IEnumerable<LoadVisit> visits)
    {
        string[] said = [.. visits.SelectMany(visit => Bake(plan, visit).Handwork).Where(work => work.AfterMin is null).Select(work => work.Words).Distinct()];
        return said.Length == 0 ? string.Empty : $". Meanwhile {string.Join("; ", said)}";
    }

    private static string Heat(OvenStep step, Oven oven) => oven.DialOffsetC == 0
        ? $"{step.TempC} °C"
        : $"{step.TempC + oven.DialOffsetC} °C on the dial ({step.TempC} °C conventional)";

    private static string Trays(OvenStep step) => step.Visits.Sum(visit => visit.Shelves.Count) is var trays && trays == 1 ? "1 tray" : $"{trays} trays";

    private static (string ReadyWhen, string Caution) Signs(PlannedDay plan, OvenStep step)
    {
        OvenThing[] bakes = [.. step.Visits.Select(plan.Thing).DistinctBy(one => (one.Name, one.Step.Id))];
        string Each(Func<OvenThing, string> of)
        {
            var said = bakes.Select(one => (one.Name, Words: of(one))).Where(one => one.Words.Length > 0).ToArray();
            return said.Select(one => one.Words).Distinct().Count() <= 1
                ? said.Select(one => one.Words).FirstOrDefault() ?? string.Empty
                : string.Join("; ", said.Select(one => $"{one.Name}: {one.Words}"));
        }

        return (
            Each(one => one.Step.Sign),
            Each(one => one.Lot is { } lot ? StepCautions.Of(lot.Product)[one.Step.Id] : one.Step.Caution));
    }

    /// <summary>What cracks when it comes from the freezer.</summary>
    private static string Frozen(PlannedDay plan, OvenStep step)
    {
        string[] pans = [.. step.Visits.Select(visit => plan.Thing(visit).Lot).OfType<Lot>()
            .Where(lot => lot.Pan.MayCrack && ThermalShock.GoesIntoTheOvenFrozen(lot.Product.Process)).Select(lot => lot.Pan.Name).Distinct()];
        return pans.Length == 0 ? string.Empty : $"{string.Join(", ", pans)} comes from the freezer: glass and earthenware may crack in a hot oven. Stand clear, tray below.";
    }

    private static Step Bake(PlannedDay plan, LoadVisit visit) =>
        plan.Thing(visit).Step;

    private static string Count(int count, string noun) => count == 1 ? $"1 {noun}" : $"{count} {noun}s";
}
