using Lumpet.Core.Ingredients;

namespace Lumpet.Server.Recipes;

/// <summary>Says a price row in words.</summary>
internal static class PriceWords
{
    /// <summary>"21.50 for 25 kg, Saltmarsh Mill, since 27 Aug 2026".</summary>
    public static string Of(Price price)
    {
        var pack = price.PackUnit == PackUnit.Piece ? FormattableString.Invariant($"{price.PackAmount:0.###} pieces")
            : FormattableString.Invariant($"{price.PackAmount / 1000:0.###} kg");
        return FormattableString.Invariant($"{price.Paid.Amount:0.00} for {pack}, {price.Supplier}, since {price.ValidFrom:d MMM yyyy}");
    }
}
