namespace Lumpet.Server.Faults;

/// <summary>A plan was found that breaks a rule: a fault of the planner.</summary>
/// <param name="message">The rule, and where.</param>
internal sealed class UnsoundPlanException(string message) : Exception(message);
