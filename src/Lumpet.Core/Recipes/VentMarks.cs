namespace Lumpet.Core.Recipes;

/// <summary>A stroke of a vent mark, in a circle of radius 1 round the origin; y grows downwards.</summary>
/// <param name="X1">Where it begins.</param>
/// <param name="Y1">Where it begins.</param>
/// <param name="X2">Where it ends.</param>
/// <param name="Y2">Where it ends.</param>
public sealed record VentStroke(double X1, double Y1, double X2, double Y2);

/// <summary>
/// The vent marks of a bakery. Bakers cut vents so that pies can be told apart once they are closed; here each product has a
/// few strokes in a circle, made from its name, and no two of a bakery are alike.
/// </summary>
public static class VentMarks
{
    private const int Rings = 12;
    private const int Middles = 15;
    private const int Ticks = 16;

    /// <summary>How many marks there are.</summary>
    public const int Most = Rings * Middles * Ticks;

    /// <summary>A mark for every name; a name keeps its mark while no earlier one has taken it.</summary>
    /// <param name="names">Names of the products, each once, in the bakery's order; at most <see cref="Most"/>.</param>
    public static IReadOnlyDictionary<string, IReadOnlyList<VentStroke>> Of(IEnumerable<string> names)
    {
        var taken = new HashSet<int>();
        var marks = new Dictionary<string, IReadOnlyList<VentStroke>>();
        foreach (var name in names)
        {
            // Plain marks first: a small bakery needs no ticks.
            var code = (int)(Hash(name) % (Rings * Middles));
            for (var tries = 0; !taken.Add(code) && tries < Most; tries++) code = (code + 1) % Most;
            marks[name] = Strokes(code);
        }

        return marks;
    }

    // FNV-1a, since a string's own hash differs from run to run.
    private static uint Hash(string name) => name.Aggregate(2166136261u, (hash, letter) => (hash ^ letter) * 16777619u);

    private static VentStroke[] Strokes(int code)
    {
        var (tick, plain) = (code / (Rings * Middles), code % (Rings * Middles));
        return [.. Ring(plain % Rings), .. Middle(plain / Rings), .. Tick(tick)];
    }

    /// <summary>Slits that point to the middle: three to eight of them, begun at the top or half a step on.</summary>
    private static IEnumerable<VentStroke> Ring(int ring)
    {
        var (count, isTurned) = (3 + (ring / 2), ring % 2 == 1);
        return Enumerable.Range(0, count).Select(at => Radial((at + (isTurned ? 0.5 : 0)) / count, 0.55, 0.9));
    }

    /// <summary>What is cut in the middle: nothing, a slit, a cross, two slits side by side, an arrow.</summary>
    private static IEnumerable<VentStroke> Middle(int middle) => middle switch
    {
        0 => [],
        < 5 => [Through((middle - 1) / 8.0, 0)],
        < 7 => [Through((middle - 5) / 8.0, 0), Through(((middle - 5) / 8.0) + 0.25, 0)],
        < 11 => [Through((middle - 7) / 8.0, 0.14), Through((middle - 7) / 8.0, -0.14)],
        _ => [Radial(((middle - 11) / 4.0) + 0.125, 0, 0.36), Radial(((middle - 11) / 4.0) - 0.125, 0, 0.36)],
    };

    /// <summary>A short stroke across the rim, where a bakery has more products than plain marks.</summary>
    private static IEnumerable<VentStroke> Tick(int tick) => tick == 0 ? [] : [Across((tick - 1) / 15.0)];

    private static VentStroke Radial(double turn, double from, double to) => new(X(turn, from), Y(turn, from), X(turn, to), Y(turn, to));

    private static VentStroke Through(double turn, double aside)
    {
        var (x, y) = (X(turn + 0.25, aside), Y(turn + 0.25, aside));
        return new(Tidy(X(turn, -0.36) + x), Tidy(Y(turn, -0.36) + y), Tidy(X(turn, 0.36) + x), Tidy(Y(turn, 0.36) + y));
    }

    private static VentStroke Across(double turn) => new(
        Tidy(X(turn, 0.78) + X(turn + 0.25, 0.2)), Tidy(Y(turn, 0.78) + Y(turn + 0.25, 0.2)), Tidy(X(turn, 0.78) - X(turn + 0.25, 0.2)), Tidy(Y(turn, 0.78) - Y(turn + 0.25, 0.2)));

    private static double X(double turn, double radius) => Tidy(Math.Sin(turn * 2 * Math.PI) * radius);

    private static double Y(double turn, double radius) => Tidy(-Math.Cos(turn * 2 * Math.PI) * radius);

    private static double Tidy(double value) => Math.Round(value, 3) + 0.0;
}
