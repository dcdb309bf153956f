namespace Lumpet.PlanChecking;

/// <summary>A rule that a plan breaks.</summary>
/// <param name="Rule">Short name of the rule, as in docs/formats/bake-plan.md: "stage", "entering", "after"…</param>
/// <param name="Where">The oven, tray or field concerned.</param>
/// <param name="Message">What is wrong, with the minutes and degrees.</param>
public sealed record PlanFault(string Rule, string Where, string Message);

/// <summary>What the checker found.</summary>
/// <param name="Faults">Every broken rule; empty when the plan is valid.</param>
/// <param name="Cost">What the plan costs, counted anew.</param>
public sealed record PlanVerdict(IReadOnlyList<PlanFault> Faults, Lumpet.Core.Baking.BakePlanCost Cost)
{
    /// <summary>Whether the plan keeps every rule.</summary>
    public bool IsValid => Faults.Count == 0;
}
