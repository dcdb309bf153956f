using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>What a pack counts in.</summary>
public enum PackUnit
{
    /// <summary>The pack's amount is grams.</summary>
    Gram,

    /// <summary>The pack's amount is pieces: boxes, labels, eggs.</summary>
    Piece,

    /// <summary>The pack's amount is millilitres; what a gram costs needs the ingredient's density.</summary>
    Millilitre,
}

/// <summary>How a price came to be known.</summary>
public enum PriceOrigin
{
    /// <summary>Someone stated it.</summary>
    Typed,

    /// <summary>It stood in a supplier's list.</summary>
    List,

    /// <summary>A supplier's service gave it.</summary>
    Feed,
}

/// <summary>One row of a price list. Rows are added, never changed, so that an old plan keeps its prices.</summary>
/// <param name="IngredientId">What is bought.</param>
/// <param name="Supplier">From whom.</param>
/// <param name="PackAmount">What one pack holds, in grams, millilitres or pieces; above 0.</param>
/// <param name="PackUnit">What the pack counts in.</param>
/// <param name="Paid">What one pack costs.</param>
/// <param name="ValidFrom">First day on which this price holds.</param>
public sealed record Price(
    string IngredientId, string Supplier, decimal PackAmount, PackUnit PackUnit, Money Paid, LocalDate ValidFrom)
{
    /// <summary>The pack as its supplier says it: "case of 6 x 1 l"; empty where only its amount is known.</summary>
    public string PackSaid { get; init; } = string.Empty;

    /// <summary>How it came to be known.</summary>
    public PriceOrigin Origin { get; init; }

    /// <summary>Price of one gram, millilitre or piece as purchased.</summary>
    public Money PerUnit => Paid with { Amount = Paid.Amount / PackAmount };

    /// <summary>What a gram of an ingredient costs at this price; null where its pack is by volume or by the piece and nobody has said what that weighs.</summary>
    public Money? OfGram(Ingredient ingredient)
    {
        var weight = PackUnit switch
        {
            PackUnit.Gram => 1m,
            PackUnit.Millilitre => (decimal?)ingredient.Facts.Density?.Value.GramsPerMillilitre,
            // Eggs by the dozen, tins, shells: by what one weighs, where that is known.
            _ => (decimal?)ingredient.Facts.OnePiece?.Weight.Grams,
        };
        return weight is > 0 and var grams ? PerUnit with { Amount = PerUnit.Amount / grams } : null;
    }

    /// <summary>Whether another row says the same of the same pack: then it is no news.</summary>
    public bool SaysTheSameAs(Price other) =>
        (PackAmount, PackUnit, Paid) == (other.PackAmount, other.PackUnit, other.Paid);
}

/// <summary>From whom an ingredient is usually bought, from a day on: what it costs is what it costs there.</summary>
/// <param name="IngredientId">What is bought.</param>
/// <param name="Supplier">From whom.</param>
/// <param name="ValidFrom">From which day on.</param>
public sealed record UsualSupplier(string IngredientId, string Supplier, LocalDate ValidFrom);
