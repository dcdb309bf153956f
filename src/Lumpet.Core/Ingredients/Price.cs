using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>What a pack counts in.</summary>
public enum PackUnit
{
    /// <summary>The pack's amount is grams.</summary>
    Gram,

    /// <summary>The pack's amount is pieces: boxes, labels.</summary>
    Piece,
}

/// <summary>One row of a price list. Rows are added, never changed, so that an old plan keeps its prices.</summary>
/// <param name="IngredientId">What is bought.</param>
/// <param name="Supplier">From whom.</param>
/// <param name="PackAmount">What one pack holds, in grams or pieces; above 0.</param>
/// <param name="PackUnit">What the pack counts in.</param>
/// <param name="Paid">What one pack costs.</param>
/// <param name="ValidFrom">First day on which this price holds.</param>
public sealed record Price(
    string IngredientId, string Supplier, decimal PackAmount, PackUnit PackUnit, Money Paid, LocalDate ValidFrom)
{
    /// <summary>Price of one gram or one piece as purchased.</summary>
    public Money PerUnit => Paid with { Amount = Paid.Amount / PackAmount };
}
