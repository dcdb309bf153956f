using Lumpet.Core.Measures;

namespace Lumpet.Core.Recipes.Judging;

/// <summary>A filling that does not stay where it is put.</summary>
/// <param name="Over">By how much it stands too high.</param>
/// <param name="Why">"above the brim", "above the brim when it rises", "above what holds without a lid" and the like.</param>
/// <param name="Fits">How much filling of one pie would stay, in this pan.</param>
/// <param name="PerPie">How much there is.</param>
public sealed record FillingRoom(Length Over, string Why, Mass Fits, Mass PerPie)
{
    // A hair over the brim is the meniscus, and within what a ladle does.
    private const double HairCm = 0.05;

    // How high sliced fruit heaps, over the pan's width: as a slope of some 40 degrees allows, and half as much again where
    // a lid holds it; berries roll (common practice, no source).
    private const double HeapOpen = 0.2;
    private const double HeapBelowLid = 0.3;
    private const double HeapBerries = 0.08;

    /// <summary>What is too much about the filling of a pie; null where it stays where it is put.</summary>
    public static FillingRoom? Of(ScaledProduct scaled)
    {
        // The uppermost filling runs over or holds its heap, whatever lies below it.
        var upper = scaled.Product.Fillings.Last().Filling;
        return IsPoured(upper) ? Poured(scaled) : Heaped(scaled, MostMound(scaled, upper), scaled.FillingScale.Level.Mound);
    }

    /// <summary>Whether a filling finds its own level.</summary>
    public static bool IsPoured(FillingKind kind) =>
        kind is FillingKind.BakedCustard or FillingKind.Puree or FillingKind.CookedCream or FillingKind.Curd or FillingKind.NutSyrup;

    private static FillingRoom? Poured(ScaledProduct scaled)
    {
        var scale = scaled.FillingScale;
        if (scale.Level.Mound.Centimetres > HairCm) return new FillingRoom(Surplus(scale), "above the brim", Held(scaled, scale.Lined.LevelVolume), scaled.FillingPerPie);
        var risen = scale.Level.Height + scale.Moved - scale.Lined.Depth;
        if (scale.Moved <= Length.Zero || risen.Centimetres <= HairCm) return null;
        var below = scale.Lined.Depth - scale.Moved;
        return new FillingRoom(risen, "above the brim when it rises", below <= Length.Zero ? Mass.Zero : Held(scaled, scale.Lined.VolumeUpTo(below)), scaled.FillingPerPie);
    }

    /// <summary>What is poured on stands as a film over the whole top, not as a mound: as high as its volume over the top's area.</summary>
    private static Length Surplus(FillingScale scale) =>
        Length.FromCentimetres((scale.Room.Millilitres - scale.Lined.LevelVolume.Millilitres) / scale.Lined.Top.Area.SquareCentimetres);

    private static FillingRoom? Heaped(ScaledProduct scaled, Length most, Length mound)
    {
        if ((mound - most).Centimetres <= HairCm) return null;
        var scale = scaled.FillingScale;
        var holds = scale.Lined.LevelVolume + scale.Lined.MoundVolume(most);
        var why = scaled.Product.Crust.Top == Top.Lid ? "above what a lid of this width holds" : "above what holds without a lid";
        return new FillingRoom(mound - most, why, Held(scaled, holds), scaled.FillingPerPie);
    }

    private static Length MostMound(ScaledProduct scaled, FillingKind upper) => scaled.FillingScale.Lined.Top.Width * (
        upper == FillingKind.Berry ? HeapBerries
        : scaled.Product.Crust.Top == Top.Lid ? HeapBelowLid
        : HeapOpen);

    private static Mass Held(ScaledProduct scaled, Volume room) => room * scaled.FillingDensity;
}
