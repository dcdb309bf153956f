using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.Safety;

/// <summary>
/// What can hurt about how something made here is kept, where it needs time and temperature control. The rules are those of
/// the FDA Food Code 2022, from memory; local codes and licensed practice decide.
/// </summary>
public static class KeepingCautions
{
    // 3-501.19: time alone as the control.
    private const int MostWarmMin = 240;

    // 3-501.17: used by the seventh day, the day it was made counted as the first; six times 24 hours are on the safe side.
    private const int MostColdMin = 6 * 1440;

    /// <summary>What is said of every place in which it keeps; empty where nothing is.</summary>
    /// <param name="made">Something made here.</param>
    public static string Of(Ingredient made) =>
        Joined(made.Formula?.How is { } how ? how.Keeping.Places.Select(kept => In(made, kept)) : []);

    /// <summary>What is said of one place; empty where nothing is, or where it is not kept there.</summary>
    /// <param name="made">Something made here.</param>
    /// <param name="place">The place.</param>
    public static string Of(Ingredient made, KeepPlace place) =>
        Joined(made.Formula?.How is { } how ? how.Keeping.Places.Where(kept => kept.Place == place).Select(kept => In(made, kept)) : []);

    private static string In(Ingredient made, KeptIn kept) => (made.Facts.NeedsControl, kept) switch
    {
        (true, { Place: KeepPlace.Room, MostMin: > MostWarmMin }) => "At room temperature time alone is the control for 4 h at most (FDA Food Code 3-501.19).",
        (true, { Place: KeepPlace.Cold, MostMin: > MostColdMin }) => "In the fridge it is used by its seventh day, the day it was made counted, unless it is cooked again (FDA Food Code 3-501.17).",
        _ => string.Empty,
    };

    private static string Joined(IEnumerable<string> said)
    {
        string[] some = [.. said.Where(one => one.Length > 0)];
        return some.Length == 0 ? string.Empty : $"{string.Join(' ', some)} {ProductCautions.Decide}";
    }
}
