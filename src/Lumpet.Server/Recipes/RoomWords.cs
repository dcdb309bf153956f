using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;

namespace Lumpet.Server.Recipes;

/// <summary>Says where a filling does not stay where it is put.</summary>
internal static class RoomWords
{
    /// <summary>One sentence where the filling is too much, and how much would fit; none otherwise.</summary>
    public static IReadOnlyList<string> Of(ScaledProduct scaled) => FillingRoom.Of(scaled) is not { } room ? []
        : [FormattableString.Invariant($"The filling stands {room.Over.Centimetres:0.#} cm {room.Why}: {room.Fits.Grams:0} g of its {room.PerPie.Grams:0} g a pie would stay in the {scaled.Pan.Name} pan.")];
}
