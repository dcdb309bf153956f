using Lumpet.Core.Measures;
using Lumpet.Core.Pans;

namespace Lumpet.Core.Recipes;

/// <summary>
/// How long the last bake may take in another pan. An estimate only: it gives way to the test for doneness, and to bakes
/// that were logged.
/// </summary>
/// <param name="ReferenceDepth">Volume of the filling over the surface it is heated through, in the reference pan.</param>
/// <param name="Depth">The same in the chosen pan.</param>
/// <param name="Least">Least minutes in all.</param>
/// <param name="Most">Most minutes in all.</param>
/// <param name="WrittenLeast">Least minutes as written.</param>
/// <param name="WrittenMost">Most minutes as written.</param>
public sealed record BakeEstimate(Length ReferenceDepth, Length Depth, double Least, double Most, int WrittenLeast, int WrittenMost)
{
    /// <summary>Depth over the reference depth.</summary>
    public double Likeness => Depth / ReferenceDepth;

    /// <summary>
    /// Heat that has to get through the surface makes time follow depth; heat that has to get to the middle makes it follow
    /// depth squared (the two limits of heating a slab: small and large Biot number, heat-transfer textbooks). The truth lies
    /// between, so the range takes in both. The first stage of several only sets the crust and stays as written.
    /// </summary>
    /// <returns>The estimate; null where no filling is baked, or where the size has a time of its own.</returns>
    public static BakeEstimate? For(Product product, Pan pan)
    {
        if (!product.IsFillingBaked || product.SizeIn(pan.Id)?.Bake is not null || SizeBake.Of(product.ProcessIn(product.ReferencePan)) is not { } bake) return null;
        var (reference, depth) = (Measure(product, product.ReferencePan), Measure(product, pan));
        var likeness = depth / reference;
        var (low, high) = (Math.Min(likeness, likeness * likeness), Math.Max(likeness, likeness * likeness));
        var setting = bake.Stages.Count > 1 ? bake.Stages[0] : null;
        var (least, most) = (bake.Stages.Sum(stage => stage.MinMin), bake.Stages.Sum(stage => stage.MaxMin));
        return new BakeEstimate(
            reference,
            depth,
            (setting?.MinMin ?? 0) + ((least - (setting?.MinMin ?? 0)) * low),
            (setting?.MaxMin ?? 0) + ((most - (setting?.MaxMin ?? 0)) * high),
            least,
            most);
    }

    /// <summary>Volume over surface: half the depth of a wide flat pie, less in a small one, whose walls heat it too.</summary>
    private static Length Measure(Product product, Pan pan)
    {
        var scale = FillingScale.For(product, pan);
        var (lined, level) = (scale.Lined, scale.Level);
        var surface = lined.At(level.Height);
        var wall = lined.Bottom.Between(surface, 0.5).Perimeter * level.Height;
        return Length.FromCentimetres(scale.Room.Millilitres / (lined.Bottom.Area + surface.Area + wall).SquareCentimetres);
    }
}
