using Lumpet.Core.Measures;

namespace Lumpet.Core.Preparations;

/// <summary>How much of something is made at once, counted in what is made.</summary>
/// <param name="Least">The smallest sensible batch; zero where any is.</param>
/// <param name="Most">What pot, bowl or bench takes; above zero.</param>
/// <param name="Tray">What lies on one tray where it is baked, counted in what is weighed in; above zero.</param>
public sealed record BatchLimits(Mass Least, Mass Most, Mass Tray)
{
    /// <summary>Of a dough: the bakery's mixer says how much, and nothing of it is baked by itself.</summary>
    public static BatchLimits ByTheMixer { get; } = new(Mass.Zero, Mass.FromGrams(double.MaxValue), Mass.FromGrams(double.MaxValue));

    /// <summary>How many equal batches so much takes: as few as the most allows.</summary>
    public int CountFor(Mass wanted) => Math.Max(1, (int)Math.Ceiling((wanted / Most) - 1e-9));

    /// <summary>How many trays so much of what is weighed in takes.</summary>
    public int TraysFor(Mass weighed) => Math.Max(1, (int)Math.Ceiling((weighed / Tray) - 1e-9));
}
