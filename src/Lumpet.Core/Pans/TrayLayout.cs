using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>Where round pans stand on a tray, seen from above.</summary>
/// <param name="Spots">Middle of each pan, from the tray's upper left corner.</param>
public sealed record TrayLayout(IReadOnlyList<TraySpot> Spots)
{
    /// <summary>Longer side of a baking tray; 46 x 66 cm is the common full tray (common practice, no source).</summary>
    public static Length TrayWidth { get; } = Length.FromCentimetres(66);

    /// <summary>Shorter side of a baking tray.</summary>
    public static Length TrayDepth { get; } = Length.FromCentimetres(46);

    /// <summary>
    /// A layout in rows, or in a zigzag of two rows where that holds more; null where the pans do not fit this tray, as
    /// may be where a bakery's own trays are larger.
    /// </summary>
    /// <param name="pans">How many; at least 1.</param>
    /// <param name="outer">Outer diameter of a pan, rim included.</param>
    public static TrayLayout? Of(int pans, Length outer)
    {
        var (width, depth, across) = (TrayWidth.Centimetres, TrayDepth.Centimetres, outer.Centimetres);
        if (pans < 1 || across <= 0 || across > depth) return null;
        var (columns, rows) = ((int)(width / across), (int)(depth / across));
        if (pans <= columns * rows) return Rows(pans, Math.Min(columns, (int)Math.Ceiling(pans / (double)Math.Min(rows, pans))), across);
        // Neighbours of a zigzag touch: they are one diameter apart, and the rows as far apart as the tray is deep.
        var up = depth - across;
        var along = across > up ? Math.Sqrt((across * across) - (up * up)) : 0;
        along = Math.Max(along, across / 2);
        if (across + (along * (pans - 1)) > width + 1e-9) return null;
        return new TrayLayout([.. Enumerable.Range(0, pans).Select(at => new TraySpot((across / 2) + (at * along), at % 2 == 0 ? across / 2 : depth - (across / 2)))]);
    }

    private static TrayLayout Rows(int pans, int columns, double across)
    {
        var rows = (int)Math.Ceiling(pans / (double)columns);
        var (cell, row) = (TrayWidth.Centimetres / columns, TrayDepth.Centimetres / rows);
        return new TrayLayout([.. Enumerable.Range(0, pans).Select(at => new TraySpot(
            Math.Clamp(((at % columns) + 0.5) * cell, across / 2, TrayWidth.Centimetres - (across / 2)),
            Math.Clamp(((at / columns) + 0.5) * row, across / 2, TrayDepth.Centimetres - (across / 2))))]);
    }
}

/// <summary>The middle of a pan on a tray.</summary>
/// <param name="XCm">From the left edge, in centimetres.</param>
/// <param name="YCm">From the upper edge, in centimetres.</param>
public sealed record TraySpot(double XCm, double YCm);
