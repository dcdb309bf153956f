using Lumpet.Core.Steps;

namespace Lumpet.Core.Preparations;

/// <summary>Where something waits between being made and being used.</summary>
public enum KeepPlace
{
    /// <summary>At room temperature.</summary>
    Room,

    /// <summary>In the fridge.</summary>
    Cold,

    /// <summary>In the freezer.</summary>
    Frozen,
}

/// <summary>How something keeps once it is made.</summary>
/// <param name="Place">Where a plan keeps it.</param>
/// <param name="Hold">Minutes from its last step to its use: the least that it needs there, what is wanted, and what it bears.</param>
/// <param name="BeforeUse">What is done to it again before it is used: stirred, whipped, warmed, thawed; empty for nothing.</param>
public sealed record Keeping(KeepPlace Place, Span Hold, string BeforeUse)
{
    /// <summary>Temperature of the place: a room's, a fridge's by FDA Food Code 2022, 3-501.16 (kitchens set 4), a freezer's.</summary>
    public int Celsius => Place switch { KeepPlace.Room => 20, KeepPlace.Cold => 4, _ => -18 };
}
