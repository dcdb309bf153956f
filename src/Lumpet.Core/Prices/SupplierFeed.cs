using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>A supplier's service that tells its prices. The stand-in that ships and a real one come in by this door.</summary>
public interface ISupplierFeed
{
    /// <summary>Whether it makes its prices up.</summary>
    bool IsStandIn { get; }

    /// <summary>What a supplier asks on a day; nothing where it does not know that supplier.</summary>
    /// <param name="supplier">Whose prices are asked.</param>
    /// <param name="day">The day on which they hold.</param>
    /// <param name="cancellation">Ends the question.</param>
    /// <returns>Offers with their ingredients.</returns>
    Task<IReadOnlyList<PriceOffer>> OffersAsync(string supplier, LocalDate day, CancellationToken cancellation);
}
