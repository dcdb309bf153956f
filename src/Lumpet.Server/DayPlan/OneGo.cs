using Lumpet.Core.DayPlan;

namespace Lumpet.Server.DayPlan;

/// <summary>Says what is done in one go with a task.</summary>
internal static class OneGo
{
    /// <summary>"16 in one go until 16:12" of the first, with how many of each where they are several products, "right on from the one before" of the others; empty of what is done by itself.</summary>
    public static string Words(DayBook book, PlannedDay plan, DayTask task)
    {
        var run = plan.InOneGoWith(task);
        if (run.Count == 1) return Potfuls(plan, task);
        return run[0].Id == task.Id ? $"{run.Sum(one => one.Pies)} in one go until {book.Clock.At(run[^1].EndMin).Clock}{Products(plan, run)}" : "right on from the ones before, nothing laid out again";
    }

    private static string Products(PlannedDay plan, IReadOnlyList<DayTask> run)
    {
        string[] each = [.. run.Where(one => one.LotId is not null).GroupBy(one => plan.Lot(one.LotId!).Product.Id).Select(same => $"{same.Sum(one => one.Pies)} {plan.Lot(same.First().LotId!).Product.Name}")];
        return each.Length > 1 ? $": {string.Join(", ", each)}" : string.Empty;
    }

    private static string Potfuls(PlannedDay plan, DayTask task)
    {
        if (task is not { Kind: TaskKind.Hands, LotId: { } lot } || plan.Lot(lot).ProcessLeft().Steps.FirstOrDefault(step => step.Id == task.StepId)?.Hands is not { AtOnce: { } most } hands) return string.Empty;
        return hands.Batches(task.Pies) is > 1 and var potfuls ? $"in {potfuls} potfuls: the largest pot holds it for {most}" : string.Empty;
    }
}
