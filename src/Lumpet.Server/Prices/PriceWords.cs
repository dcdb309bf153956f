using Lumpet.Core.Ingredients;

namespace Lumpet.Server.Prices;

/// <summary>Says a price row in words.</summary>
internal static class PriceWords
{
    /// <summary>"21.50 for 25 kg, Saltmarsh Mill, since 27 Aug 2026".</summary>
    public static string Of(Price price)
    {
        return FormattableString.Invariant($"{price.Paid.Amount:0.00} for {Pack(price)}, {price.Supplier}, since {price.ValidFrom:d MMM yyyy}");
    }

    /// <summary>The pack as its supplier says it; where only its amount is known, "25 kg", "12 l", "100 pieces".</summary>
    public static string Pack(Price price) => price.PackSaid.Length > 0 ? price.PackSaid : price.PackUnit switch
    {
        PackUnit.Piece => FormattableString.Invariant($"{price.PackAmount:0.###} pieces"),
        PackUnit.Millilitre => FormattableString.Invariant($"{price.PackAmount / 1000:0.###} l"),
        _ => FormattableString.Invariant($"{price.PackAmount / 1000:0.###} kg"),
    };
}
