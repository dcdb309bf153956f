using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>A price that a supplier asks, in a list or by a service.</summary>
/// <param name="Row">Which line of the file it stands in; counted from 1 where there is no file.</param>
/// <param name="Article">What the supplier calls it.</param>
/// <param name="Pack">What a pack holds.</param>
/// <param name="Paid">What a pack costs.</param>
/// <param name="ValidFrom">From which day on.</param>
public sealed record PriceOffer(int Row, string Article, PackSize Pack, decimal Paid, LocalDate ValidFrom)
{
    /// <summary>Which ingredient it is; null where it is none of the bakery's, or nobody has said which.</summary>
    public string? IngredientId { get; init; }

    /// <summary>The row that it becomes.</summary>
    /// <exception cref="InvalidOperationException">It is no ingredient's.</exception>
    internal Price AsPrice(string supplier, string currency, PriceOrigin origin) =>
        new(IngredientId ?? throw new InvalidOperationException("An article without its ingredient has no price row."), supplier, Pack.Amount, Pack.Unit, new Money(Paid, currency), ValidFrom) { PackSaid = Pack.Said, Origin = origin };
}
