using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>Pieces of one size cut side by side from rolled dough.</summary>
/// <param name="Sheet">What is rolled.</param>
/// <param name="Piece">What is cut.</param>
/// <param name="Layout">Where the pieces of one sheet lie.</param>
/// <param name="Rerolls">How often the scraps are rolled again.</param>
public sealed record SheetLayout(Outline Sheet, Outline Piece, TrayLayout Layout, int Rerolls)
{
    /// <summary>A sheet of 60 x 40 cm, as it fits a bench and a full tray (common practice, no source).</summary>
    public static Outline Usual { get; } = Outline.Rectangle(Length.FromCentimetres(60), Length.FromCentimetres(40));

    /// <summary>Pieces on a sheet.</summary>
    public int PerSheet => Layout.Spots.Count;

    /// <summary>Share of a sheet that becomes pieces the first time it is cut.</summary>
    public double UsedShare => PerSheet * (Piece.Area / Sheet.Area);

    /// <summary>
    /// Share that is scraps in the end. Scraps rolled again give the same share of pieces, so that (1 - used) is left each
    /// time: (1 - used)^(1 + rerolls).
    /// </summary>
    public double TrimShare => Math.Pow(1 - UsedShare, 1 + Rerolls);

    /// <summary>Lays pieces on a sheet.</summary>
    /// <param name="piece">What is cut.</param>
    /// <param name="rerolls">How often the scraps are rolled again, 0 to 2.</param>
    /// <param name="sheet">What is rolled; null for the usual sheet.</param>
    /// <exception cref="ArgumentOutOfRangeException">Not even one fits on a sheet.</exception>
    public static SheetLayout Of(Outline piece, int rerolls, Outline? sheet = null)
    {
        var rolled = sheet ?? Usual;
        var layout = TrayLayout.Fullest(rolled, piece);
        return layout.Spots.Count > 0
            ? new SheetLayout(rolled, piece, layout, rerolls)
            : throw new ArgumentOutOfRangeException(nameof(piece), piece.Width.Centimetres, FormattableString.Invariant($"A small round must fit on a sheet of {rolled.Length.Centimetres:0.#} x {rolled.Width.Centimetres:0.#} cm."));
    }
}
