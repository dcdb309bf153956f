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
}
