using Lumpet.Core.DayPlan;
using Lumpet.PlanChecking;
using Lumpet.Server.Faults;

namespace Lumpet.Server.DayPlan;

/// <summary>How a day is planned: what is asked, with how much work, how long someone waits, and whom to tell how far it is.</summary>
internal delegate PlannedDay Planning(DaySnapshot snapshot, int effort, Patience patience, IProgress<double> progress);

/// <summary>Plans days, and lets nothing pass that breaks a rule of the ovens, the crew, the room or of what follows what: the checkers look at every plan, and know nothing of how it was found.</summary>
internal static class SoundPlans
{
    /// <summary>A plan that keeps every rule: where the one that was found does not, the first that is built.</summary>
    /// <exception cref="UnsoundPlanException">That breaks a rule as well.</exception>
    public static PlannedDay Of(Planning planning, DaySnapshot snapshot, int effort, Patience patience, IProgress<double> progress)
    {
        var plan = planning(snapshot, effort, patience, progress);
        if (FaultOf(snapshot, plan) is null) return plan;
        var built = planning(snapshot, 1, patience, progress);
        return FaultOf(snapshot, built) is { } fault ? throw new UnsoundPlanException($"{fault.Rule}, {fault.Where}: {fault.Message}") : built;
    }

    private static PlanFault? FaultOf(DaySnapshot snapshot, PlannedDay plan) => BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults.Concat(DayPlanChecker.Check(snapshot, plan)).FirstOrDefault();
}
