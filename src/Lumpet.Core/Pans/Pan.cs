using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>A pan: a floor, a rim that is as wide or wider, and a wall between them.</summary>
/// <param name="Id">Short name used in order lines, for example "23".</param>
/// <param name="Name">The name shown, for example "23 cm pie pan".</param>
/// <param name="Family">Its family.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="Top">Inner outline at the upper edge of the wall, without the rim.</param>
/// <param name="Bottom">Inner outline of the floor; nowhere wider than the top.</param>
/// <param name="Depth">Inner height from floor to rim.</param>
/// <param name="RimWidth">Width of the flat rim on one side.</param>
/// <param name="PerTray">How many of these pans stand on one tray, measured by their outer footprint; at least 1.</param>
public sealed record Pan(
    string Id, string Name, PanFamily Family, PanMaterial Material, Outline Top, Outline Bottom, Length Depth, Length RimWidth, int PerTray)
{
    /// <summary>A round pan of bright steel with sloped walls.</summary>
    public static Pan Round(string id, string name, Length top, Length bottom, Length depth, Length rim, int perTray) =>
        new(id, name, PanFamily.Sloped, PanMaterial.Steel, Outline.Circle(top), Outline.Circle(bottom), depth, rim, perTray);

    /// <summary>Id of what is bought for each pie where the pan goes with it, counted by the piece; null where the pan comes back.</summary>
    public string? BoughtAs { get; init; }

    /// <summary>How many of them the bakery has; null where nobody counts them.</summary>
    public int? Owned { get; init; }

    /// <summary>How many may be in use at once; null where that binds nothing: nobody counts them, or they go with the pie.</summary>
    public int? AtOnce => BoughtAs is null && !IsFreeForm ? Owned : null;

    /// <summary>Whether it is retired: kept for what is made in it, and offered no more.</summary>
    public bool IsRetired { get; init; }

    /// <summary>Whether heat or cold that comes at once may crack it.</summary>
    public bool MayCrack => Material is PanMaterial.Glass or PanMaterial.Ceramic;

    /// <summary>Whether it is round.</summary>
    public bool IsRound => Top.IsRound;

    /// <summary>Whether there is no pan at all.</summary>
    public bool IsFreeForm => Family == PanFamily.FreeForm;

    /// <summary>What it takes on a tray, rim included.</summary>
    public Outline Footprint => Top.Widened(RimWidth);

    /// <summary>Brimful volume of the empty pan.</summary>
    public Volume BrimfulVolume => Outline.VolumeBetween(Top, Bottom, Depth);

    /// <summary>Height of the wall along its slope, at the ends of a long pan or all round a round one.</summary>
    public Length SlantHeight => Slant(Top.Length - Bottom.Length);

    /// <summary>Height of the wall along its slope, at the sides of a long pan.</summary>
    public Length SideSlantHeight => Slant(Top.Width - Bottom.Width);

    /// <summary>Area of the wall inside: of a round pan pi (R + r) s, of a long one four trapezoids.</summary>
    public Area WallArea => Area.FromSquareCentimetres(IsRound
        ? Math.PI / 2 * (Top.Width + Bottom.Width).Centimetres * SlantHeight.Centimetres
        : ((Top.Width + Bottom.Width).Centimetres * SlantHeight.Centimetres) + ((Top.Length + Bottom.Length).Centimetres * SideSlantHeight.Centimetres));

    /// <summary>The space left inside a lining of dough of even thickness, measured square to floor and wall.</summary>
    /// <param name="thickness">Thickness of the rolled dough; at least 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">The dough would fill the pan.</exception>
    public LinedPan Lined(Length thickness)
    {
        var (topLength, bottomLength) = Inside(Top.Length, Bottom.Length, thickness);
        var (topWidth, bottomWidth) = Inside(Top.Width, Bottom.Width, thickness);
        var depth = Depth - thickness;
        if (thickness < Length.Zero || bottomLength <= Length.Zero || bottomWidth <= Length.Zero || depth <= Length.Zero)
            throw new ArgumentOutOfRangeException(nameof(thickness), thickness.Centimetres, "The lining leaves no room in the pan.");
        return new LinedPan(new Outline(IsRound, topLength, topWidth), new Outline(IsRound, bottomLength, bottomWidth), depth);
    }

    private (Length Top, Length Bottom) Inside(Length top, Length bottom, Length thickness)
    {
        var slope = (top - bottom).Centimetres / 2 / Depth.Centimetres;
        var sideways = thickness * Math.Sqrt(1 + (slope * slope));
        return (top - (sideways * 2), bottom + (((thickness * slope) - sideways) * 2));
    }

    private Length Slant(Length wider) =>
        Length.FromCentimetres(Math.Sqrt((Depth.Centimetres * Depth.Centimetres) + (wider.Centimetres * wider.Centimetres / 4)));
}
