using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;

namespace Lumpet.PlanChecking;

/// <summary>
/// Checks a bake plan against its problem by the rules of docs/formats/bake-plan.md. It simulates every oven minute by
/// minute and shares no scheduling code with any planner.
/// </summary>
public static class BakePlanChecker
{
    /// <summary>Checks a plan, its figures included.</summary>
    public static PlanVerdict Check(BakeProblem problem, StatedBakePlan plan)
    {
        var check = new BakePlanCheck(problem, plan);
        check.Names();
        // A plan that names what is not there cannot be simulated.
        if (check.Faults.Count > 0) return new PlanVerdict(check.Faults, new BakePlanCost(0, 0, 0, 0, 0));
        check.Settings();
        check.Trays();
        check.Shelves();
        check.Hands();
        check.Pans();
        check.After();
        var cost = check.Cost();
        check.Figures(cost);
        return new PlanVerdict(check.Faults, cost);
    }

    /// <summary>Checks a plan straight from a planner.</summary>
    public static PlanVerdict Check(BakeProblem problem, BakePlan plan) =>
        Check(problem, BakePlanFile.Read(BakePlanFile.Write(plan)));
}
