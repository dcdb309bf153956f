using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>A cone cut level: the shape of a round pan and of what lies in it.</summary>
internal static class Frustum
{
    /// <summary>Volume of a frustum: pi h / 12 (D^2 + D d + d^2).</summary>
    public static Volume Volume(Length top, Length bottom, Length depth)
    {
        var (wide, narrow) = (top.Centimetres, bottom.Centimetres);
        var squares = (wide * wide) + (wide * narrow) + (narrow * narrow);
        return Measures.Volume.FromMillilitres(Math.PI * depth.Centimetres / 12 * squares);
    }
}
