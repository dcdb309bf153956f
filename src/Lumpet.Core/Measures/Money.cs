namespace Lumpet.Core.Measures;

/// <summary>An amount of money in one currency. Decimal, unrounded.</summary>
/// <param name="Amount">How much, in the currency's main unit.</param>
/// <param name="Currency">The ISO 4217 code, for example "EUR".</param>
public readonly record struct Money(decimal Amount, string Currency)
{
    /// <summary>The sum of two amounts of one currency.</summary>
    /// <exception cref="InvalidOperationException">The currencies differ.</exception>
    public static Money operator +(Money left, Money right) =>
        left.Currency == right.Currency
            ? left with { Amount = left.Amount + right.Amount }
            : throw new InvalidOperationException($"Cannot add {left.Currency} to {right.Currency}.");

    /// <summary>An amount scaled by a factor.</summary>
    public static Money operator *(Money money, decimal factor) => money with { Amount = money.Amount * factor };

    /// <summary>The smallest coin of the currency, in its main unit: 0.01 of most, 1 of those without a minor unit, 0.001 of a few (ISO 4217, from memory).</summary>
    public static decimal SmallestCoin(string currency) => currency switch
    {
        "BIF" or "CLP" or "DJF" or "GNF" or "ISK" or "JPY" or "KMF" or "KRW" or "PYG" or "RWF" or "UGX" or "VND" or "VUV" or "XAF" or "XOF" or "XPF" => 1m,
        "BHD" or "IQD" or "JOD" or "KWD" or "LYD" or "OMR" or "TND" => 0.001m,
        _ => 0.01m,
    };
}
