namespace Lumpet.Core.Measures;

/// <summary>Rounds the parts of a total so that the shown parts add up to the shown total.</summary>
public static class SharedRounding
{
    /// <summary>
    /// Rounds each part to a multiple of <paramref name="step"/> so that together they make the rounded total: every part
    /// is rounded down, then the parts that lost most get one step each (the largest-remainder method).
    /// No part moves by a whole step.
    /// </summary>
    /// <param name="parts">The exact parts, none below zero.</param>
    /// <param name="step">What the scale can show, above zero: 1 for grams, 0.1 for spices.</param>
    /// <returns>The rounded parts, in the order given.</returns>
    /// <exception cref="ArgumentOutOfRangeException">The step is not above zero, or a part is below zero.</exception>
    public static IReadOnlyList<double> Round(IReadOnlyList<double> parts, double step)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(step);
        foreach (var part in parts) ArgumentOutOfRangeException.ThrowIfNegative(part, nameof(parts));

        // A hair is added before rounding down: 3 / 0.1 is 29.999… in floating point, and is thirty steps.
        var floors = parts.Select(part => Math.Floor((part / step) + 1e-9)).ToArray();
        var missing = (long)Math.Round((parts.Sum() / step) - floors.Sum(), MidpointRounding.AwayFromZero);
        var byLoss = Enumerable.Range(0, parts.Count)
            .OrderByDescending(index => (parts[index] / step) - floors[index])
            .ThenBy(index => index)
            .Take((int)missing);
        foreach (var index in byLoss) floors[index]++;
        return [.. floors.Select(steps => Math.Round(steps * step, 6))];
    }

    /// <summary>Rounds amounts of money to a multiple of a step so that together they make the rounded total, as <see cref="Round(IReadOnlyList{double}, double)"/> does; in decimals throughout.</summary>
    /// <param name="parts">The exact parts, none below zero.</param>
    /// <param name="step">The smallest coin, above zero: 0.01.</param>
    /// <returns>The rounded parts, in the order given.</returns>
    /// <exception cref="ArgumentOutOfRangeException">The step is not above zero, or a part is below zero.</exception>
    public static IReadOnlyList<decimal> Round(IReadOnlyList<decimal> parts, decimal step)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(step);
        foreach (var part in parts) ArgumentOutOfRangeException.ThrowIfNegative(part, nameof(parts));
        var floors = parts.Select(part => Math.Floor(part / step)).ToArray();
        var missing = (int)(Math.Round(parts.Sum() / step, MidpointRounding.AwayFromZero) - floors.Sum());
        foreach (var index in Enumerable.Range(0, parts.Count).OrderByDescending(index => (parts[index] / step) - floors[index]).ThenBy(index => index).Take(missing)) floors[index]++;
        return [.. floors.Select(steps => steps * step)];
    }
}
