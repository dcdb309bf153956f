using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Store.Stock;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Server.Stock;

/// <summary>Draws the shelves: what lies where, what of it is kept for whom, and what is not there.</summary>
/// <param name="names">Names of what lies there.</param>
/// <param name="today">The day by the bakery's clock.</param>
internal sealed class ShelfWords(ThingNames names, LocalDate today)
{
    // So many days before its last one a lot is said to end soon.
    private const int SoonDays = 3;

    /// <summary>All places, shelf by shelf, what expires first in front.</summary>
    /// <param name="lots">What is there; what is made here with its last day by its recipe.</param>
    /// <param name="kept">What is kept for what.</param>
    public IReadOnlyList<ShelfPlaceAnswer> Places(IReadOnlyList<StoredLot> lots, Reservations kept)
    {
        var keptOf = kept.Kept.ToLookup(one => one.Lot.Id);
        var largest = lots.GroupBy(stored => (stored.Lot.Left.Unit, stored.Lot.Thing is StockedPie)).ToDictionary(same => same.Key, same => same.Max(stored => stored.Lot.Left.Count));
        return
        [
            .. InOrder.Select(place => new ShelfPlaceAnswer(
                Naming.Of(place),
                [
                    .. lots.Where(stored => stored.Lot.Place == place).GroupBy(stored => stored.Lot.Shelf, StringComparer.OrdinalIgnoreCase)
                        .OrderBy(shelf => shelf.Key.Length == 0).ThenBy(shelf => shelf.Key, StringComparer.OrdinalIgnoreCase)
                        .Select(shelf => new ShelfAnswer(
                            shelf.First().Lot.Shelf,
                            [
                                .. FirstExpired.Order(shelf.Select(stored => stored.Lot))
                                    .Select(lot => Lot(lot, [.. keptOf[lot.Id]], largest[(lot.Left.Unit, lot.Thing is StockedPie)])),
                            ])),
                ])),
        ];
    }

    /// <summary>What is not there, each thing once, what is needed first first.</summary>
    public IReadOnlyList<MissingAnswer> Missing(Reservations kept) =>
    [
        .. kept.Missing.GroupBy(one => one.Need.Thing).Select(same => new MissingAnswer(
            names.Of(same.Key),
            names.Of(same.Key, StockAmount.Sum(same.Select(one => one.Amount), same.First().Amount.Unit)),
            PickUpText.Said.Format(same.Min(one => one.Need.At)),
            [.. same.Select(one => one.Need.For).Distinct()])),
    ];

    /// <summary>How its last day stands to today: "past", "today", "soon", "good", or "none" where none is stated.</summary>
    public string Freshness(LocalDate? useBy) => useBy switch
    {
        null => "none",
        var day when day < today => "past",
        var day when day == today => "today",
        var day when day <= today.PlusDays(SoonDays) => "soon",
        _ => "good",
    };

    /// <summary>Its last day in words; empty where none is stated.</summary>
    public string UseBy(LocalDate? useBy) => useBy is not { } day ? string.Empty : Period.DaysBetween(today, day) switch
    {
        < 0 => $"past since {PickUpText.Day.Format(day)}",
        0 => "use today",
        1 => "use by tomorrow",
        <= 6 => $"use by {PickUpText.Day.Format(day)}",
        <= 300 => $"use by {NearDay.Format(day)}",
        _ => $"use by {FarDay.Format(day)}",
    };

    /// <summary>A lot with the last day that its recipe gives it, where it is made here and states none.</summary>
    /// <param name="stored">The lot.</param>
    /// <param name="keeps">How long it is good for; null where its recipe does not say.</param>
    public static StoredLot WithLastDay(StoredLot stored, MadeKeeps? keeps) => stored.Lot.UseBy is not null || keeps is null || !stored.IsMade
        ? stored
        : stored with { Lot = stored.Lot with { UseBy = stored.Lot.Since.PlusMinutes(keeps.GoodForMin).Date } };

    // What ends soonest is looked for in the fridge.
    private static readonly KeepPlace[] InOrder = [KeepPlace.Cold, KeepPlace.Room, KeepPlace.Frozen];

    private static readonly LocalDatePattern NearDay = LocalDatePattern.CreateWithInvariantCulture("d MMM");

    private static readonly LocalDatePattern FarDay = LocalDatePattern.CreateWithInvariantCulture("MMM uuuu");

    private ShelfLotAnswer Lot(StockLot lot, IReadOnlyList<Reservation> kept, long largest)
    {
        var taken = StockAmount.Sum(kept.Select(one => one.Amount), lot.Left.Unit);
        return new ShelfLotAnswer(
            lot.Id,
            names.Of(lot.Thing),
            lot.Code,
            names.Of(lot.Thing, lot.Left),
            Math.Round(Math.Sqrt((double)lot.Left.Count / largest), 4),
            lot.Left.IsNothing ? 0 : Math.Round((double)taken.Count / lot.Left.Count, 4),
            taken.IsNothing ? string.Empty : names.Of(lot.Thing, taken),
            lot.IsOpen,
            Freshness(lot.UseBy),
            UseBy(lot.UseBy));
    }
}

/// <summary>The shelves of a bakery.</summary>
/// <param name="Day">Until which day what is planned is kept (ISO date).</param>
/// <param name="DayName">The day, in words.</param>
/// <param name="Today">Today (ISO date).</param>
/// <param name="Lots">How many lots lie there.</param>
/// <param name="Past">How many of them are past their last day.</param>
/// <param name="Soon">How many end today or in the next three days.</param>
/// <param name="Missing">What plans need and is not there.</param>
/// <param name="Places">The fridge, the room, the freezer.</param>
/// <param name="Stumbles">Days that cannot be planned, with what stands in the way, and from when on none is looked at.</param>
/// <param name="Goods">What can be received.</param>
/// <param name="Suppliers">From whom.</param>
/// <param name="Currency">The currency of the books.</param>
public sealed record ShelvesAnswer(
    string Day,
    string DayName,
    string Today,
    int Lots,
    int Past,
    int Soon,
    IReadOnlyList<MissingAnswer> Missing,
    IReadOnlyList<ShelfPlaceAnswer> Places,
    IReadOnlyList<string> Stumbles,
    IReadOnlyList<StoredGoodsAnswer> Goods,
    IReadOnlyList<string> Suppliers,
    string Currency);

/// <summary>A place with its shelves.</summary>
/// <param name="Place">"room", "cold" or "frozen".</param>
/// <param name="Shelves">Its shelves; that which has no name last.</param>
public sealed record ShelfPlaceAnswer(string Place, IReadOnlyList<ShelfAnswer> Shelves);

/// <summary>A shelf.</summary>
/// <param name="Name">Its name; empty where nobody has given it one.</param>
/// <param name="Lots">What lies on it, what expires first in front.</param>
public sealed record ShelfAnswer(string Name, IReadOnlyList<ShelfLotAnswer> Lots);

/// <summary>A lot on a shelf.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Name">What it is.</param>
/// <param name="Code">Its lot number; may be empty.</param>
/// <param name="Left">How much is left, in words.</param>
/// <param name="Side">Side of its box, so that areas are to scale: 1 for the largest lot that is counted as it is.</param>
/// <param name="KeptShare">What of it is kept for plans, 0 to 1.</param>
/// <param name="Kept">How much that is, in words; empty for nothing.</param>
/// <param name="IsOpen">Whether it lies open.</param>
/// <param name="Freshness">"past", "today", "soon", "good", or "none" where no last day is stated.</param>
/// <param name="UseBy">Its last day in words; empty where none is stated.</param>
public sealed record ShelfLotAnswer(Guid Id, string Name, string Code, string Left, double Side, double KeptShare, string Kept, bool IsOpen, string Freshness, string UseBy);

/// <summary>Something that is not there.</summary>
/// <param name="Name">What.</param>
/// <param name="Amount">How much is missing, in words.</param>
/// <param name="At">When the first of it is needed, in words.</param>
/// <param name="For">For what.</param>
public sealed record MissingAnswer(string Name, string Amount, string At, IReadOnlyList<string> For);

/// <summary>Something that can be received.</summary>
/// <param name="Id">Id of the ingredient.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pack">The pack in which it is usually bought; empty where no price says.</param>
/// <param name="Supplier">From whom it is usually bought; empty where no price says.</param>
/// <param name="IsCounted">Whether it is kept on the books.</param>
public sealed record StoredGoodsAnswer(string Id, string Name, string Pack, string Supplier, bool IsCounted);
