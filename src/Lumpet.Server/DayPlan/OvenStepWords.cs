using Lumpet.Core;
using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>Says what is done at the ovens.</summary>
internal static class OvenStepWords
{
    /// <summary>All steps of a plan.</summary>
    public static IReadOnlyList<OvenStepAnswer> Of(DayBook book, PlannedDay plan) => [.. OvenSteps.Of(plan).Select(step => Words(book, plan, step))];

    private static OvenStepAnswer Words(DayBook book, PlannedDay plan, OvenStep step)
    {
        var oven = book.Snapshot.Ovens.First(oven => oven.Id == step.OvenId);
        var dial = step.TempC + oven.DialOffsetC;
        var lot = step.Visit is { } visit ? plan.Lots.First(lot => lot.Id == visit.LotId) : null;
        var bake = lot?.Product.Process.Steps.First(one => one.Id == step.Visit!.StepId);
        var what = lot is null ? string.Empty : $"{step.Visit!.Pies} {lot.Product.Name}{(bake!.Id == "blind" ? " shells" : string.Empty)}, {lot.Pan.Name}";
        return new OvenStepAnswer(
            book.Clock.At(step.AtMin),
            Naming.Of(step.Act),
            oven.Name,
            step.Act switch
            {
                OvenAct.Off => "Switch off",
                OvenAct.Set => $"Set to {dial} °C",
                OvenAct.Drop => $"Drop to {dial} °C, trays stay in",
                OvenAct.In => $"Load {step.Load} in: {what}",
                OvenAct.Move => $"Load {step.Load} moves here from {book.Snapshot.Ovens.First(one => one.Id == step.Visit!.FromOvenId).Name}: {what}",
                _ => $"Load {step.Load} out: {what}",
            } + (step.TempC is not null && oven.DialOffsetC != 0 ? $" on the dial ({step.TempC} °C conventional)" : string.Empty),
            dial,
            step.TempC ?? step.Visit?.Stages[0].TempC,
            step.Visit?.Shelves ?? [],
            step.Act == OvenAct.Out ? bake!.ReadyWhen : string.Empty,
            step.Act == OvenAct.Out ? bake!.Caution : string.Empty);
    }
}
