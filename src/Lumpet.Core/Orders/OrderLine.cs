using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>What someone ordered: so many of a product in a pan, to be picked up at a time.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">Pies; 1 to <see cref="MostPies"/>.</param>
/// <param name="PickUp">Local date and time of the pick-up.</param>
/// <param name="For">Who it is for; may be empty.</param>
public sealed record OrderLine(string Product, string Pan, int Count, LocalDateTime PickUp, string For)
{
    /// <summary>By how many minutes it may be late, where another order would be; 0 where it must not be, at most <see cref="MostLateMin"/>.</summary>
    public int MayBeLateMin { get; init; }

    /// <summary>What may be later than so many minutes is for another day.</summary>
    public const int MostLateMin = 720;

    /// <summary>The most pies on one line. A small bakery bakes some hundreds a day; more is a slip of the finger.</summary>
    public const int MostPies = 2000;

    /// <summary>The longest name of who it is for.</summary>
    public const int LongestFor = 80;

    /// <summary>How many days ahead an order may lie.</summary>
    public const int MostDaysAhead = 366;
}
