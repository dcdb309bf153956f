using Lumpet.Core.DayPlan;

namespace Lumpet.PlanChecking;

/// <summary>
/// Checks a day's plan against what was asked: hands, shifts, the mixer, pans and room, what follows what, rests and keeping. It reads products
/// and recipes itself and shares no scheduling code with the planner. Of pies that the plan says cannot be made nothing is asked but
/// that no least time is broken.
/// </summary>
public static class DayPlanChecker
{
    /// <summary>Every rule that a plan breaks, the ovens' own apart, which <see cref="BakePlanChecker"/> looks at.</summary>
    /// <param name="snapshot">What was asked.</param>
    /// <param name="plan">The plan.</param>
    public static IReadOnlyList<PlanFault> Check(DaySnapshot snapshot, PlannedDay plan)
    {
        var check = new DayPlanCheck(snapshot, plan);
        check.Orders();
        check.Steps();
        check.InOneGo();
        check.Dough();
        check.MadeFirst();
        check.Bowl();
        check.Crew();
        check.Standing();
        check.Room();
        check.Stock();
        check.Discs();
        return check.Faults;
    }
}
