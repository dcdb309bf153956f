using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>Where pans stand on a tray, or rounds lie on a sheet, seen from above. Nothing overlaps, nothing hangs over.</summary>
/// <param name="Spots">Middle of each, from the upper left corner.</param>
/// <param name="IsTurned">Whether long pans lie with their length across the tray's longer side.</param>
public sealed record TrayLayout(IReadOnlyList<TraySpot> Spots, bool IsTurned = false)
{
    /// <summary>A baking tray of 66 x 46 cm, the common full tray (common practice, no source).</summary>
    public static Outline Tray { get; } = Outline.Rectangle(Length.FromCentimetres(66), Length.FromCentimetres(46));

    // Lengths that touch may differ by a rounding.
    private const double Hair = 1e-9;

    /// <summary>A layout on a tray; null where the pans do not fit, as may be where a bakery's own trays are larger.</summary>
    /// <param name="pans">How many; at least 1.</param>
    /// <param name="outer">Outer outline of a pan, rim included.</param>
    public static TrayLayout? Of(int pans, Outline outer)
    {
        if (pans < 1 || outer.Width <= Length.Zero) return null;
        return Layouts(Tray, outer).Select(layout => layout.Holding(pans)).FirstOrDefault(layout => layout is not null);
    }

    /// <summary>The most that these layouts find room for on a surface; 0 where not even one fits.</summary>
    /// <param name="surface">A tray or a sheet, lying with its longer side across.</param>
    /// <param name="outer">Outline of what lies on it.</param>
    public static TrayLayout Fullest(Outline surface, Outline outer) =>
        Layouts(surface, outer).Select(layout => layout.Full()).Append(new TrayLayout([])).MaxBy(layout => layout.Spots.Count)!;

    /// <summary>The patterns that are tried, plain ones first.</summary>
    private static IEnumerable<Pattern> Layouts(Outline surface, Outline outer)
    {
        var (width, depth) = (surface.Length.Centimetres, surface.Width.Centimetres);
        var (length, across) = (outer.Length.Centimetres, outer.Width.Centimetres);
        yield return new Pattern(width, depth, length, across, PatternKind.Rows, false);
        if (!outer.IsRound)
        {
            yield return new Pattern(width, depth, across, length, PatternKind.Rows, true);
            yield break;
        }

        yield return new Pattern(width, depth, across, across, PatternKind.Zigzag, false);
        yield return new Pattern(width, depth, across, across, PatternKind.Staggered, false);
        yield return new Pattern(width, depth, across, across, PatternKind.StaggeredColumns, false);
    }

    private enum PatternKind
    {
        Rows,
        Zigzag,
        Staggered,
        StaggeredColumns,
    }

    private sealed record Pattern(double Width, double Depth, double X, double Y, PatternKind Kind, bool IsTurned)
    {
        private int Columns => (int)((Width / X) + Hair);

        private int RowCount => (int)((Depth / Y) + Hair);

        /// <summary>So many, spread evenly; null where they do not fit.</summary>
        public TrayLayout? Holding(int pans)
        {
            if (Kind == PatternKind.Rows)
            {
                if (pans > Columns * RowCount) return null;
                var columns = Math.Min(Columns, (int)Math.Ceiling(pans / (double)Math.Min(RowCount, pans)));
                return new TrayLayout([.. Spread(pans, columns)], IsTurned);
            }

            var full = Full();
            return full.Spots.Count < pans ? null : full with { Spots = [.. full.Spots.Take(pans)] };
        }

        /// <summary>As many as the pattern holds.</summary>
        public TrayLayout Full()
        {
            if (Columns < 1 || RowCount < 1) return new TrayLayout([]);
            return new TrayLayout(
                [.. Kind switch
                {
                    PatternKind.Rows => Spread(Columns * RowCount, Columns),
                    PatternKind.Zigzag => Zigzag(),
                    PatternKind.Staggered => Staggered(Width, Depth),
                    _ => Staggered(Depth, Width).Select(spot => new TraySpot(spot.YCm, spot.XCm)),
                }],
                IsTurned);
        }

        private IEnumerable<TraySpot> Spread(int pans, int columns)
        {
            var rows = (int)Math.Ceiling(pans / (double)columns);
            var (cell, row) = (Width / columns, Depth / rows);
            return Enumerable.Range(0, pans).Select(at => new TraySpot(
                Math.Clamp(((at % columns) + 0.5) * cell, X / 2, Width - (X / 2)),
                Math.Clamp(((at / columns) + 0.5) * row, Y / 2, Depth - (Y / 2))));
        }

        /// <summary>Two rows as far apart as the surface is deep; neighbours of the zigzag touch.</summary>
        private IEnumerable<TraySpot> Zigzag()
        {
            var up = Depth - X;
            var along = Math.Max(X > up ? Math.Sqrt((X * X) - (up * up)) : 0, X / 2);
            var count = (int)(((Width - X) / along) + Hair) + 1;
            return Enumerable.Range(0, count).Select(at => new TraySpot((X / 2) + (at * along), at % 2 == 0 ? X / 2 : Depth - (X / 2)));
        }

        /// <summary>Rows d sqrt(3) / 2 apart, every other shifted by d / 2 (the hexagonal pattern of the packing literature).</summary>
        private IEnumerable<TraySpot> Staggered(double width, double depth)
        {
            var apart = X * Math.Sqrt(3) / 2;
            var rows = (int)(((depth - X) / apart) + Hair) + 1;
            for (var row = 0; row < rows; row++)
            {
                var shift = row % 2 == 0 ? 0 : X / 2;
                var columns = (int)(((width - shift) / X) + Hair);
                for (var column = 0; column < columns; column++)
                    yield return new TraySpot((X / 2) + shift + (column * X), (X / 2) + (row * apart));
            }
        }
    }
}

/// <summary>The middle of a pan on a tray, or of a round on a sheet.</summary>
/// <param name="XCm">From the left edge, in centimetres.</param>
/// <param name="YCm">From the upper edge, in centimetres.</param>
public sealed record TraySpot(double XCm, double YCm);
