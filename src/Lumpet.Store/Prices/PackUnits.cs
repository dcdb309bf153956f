using Lumpet.Core.Ingredients;

namespace Lumpet.Store.Prices;

/// <summary>Units of packs as the database writes them.</summary>
internal static class PackUnits
{
    /// <summary>A unit as it is written.</summary>
    public static string Word(PackUnit unit) => unit switch { PackUnit.Gram => "g", PackUnit.Millilitre => "ml", _ => "piece" };

    /// <summary>The unit of a word.</summary>
    public static PackUnit Of(string word) => word switch { "g" => PackUnit.Gram, "ml" => PackUnit.Millilitre, _ => PackUnit.Piece };
}
