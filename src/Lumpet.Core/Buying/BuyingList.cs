using Lumpet.Core.Measures;
using Lumpet.Core.Stock;
using NodaTime;

namespace Lumpet.Core.Buying;

/// <summary>Something that is missing and has to be bought.</summary>
/// <param name="Thing">What.</param>
/// <param name="Amount">How much is missing in all.</param>
/// <param name="FirstNeeded">When the first of it is needed.</param>
/// <param name="For">For what, each once.</param>
public sealed record Wanted(StockedGoods Thing, StockAmount Amount, LocalDateTime FirstNeeded, IReadOnlyList<string> For);

/// <summary>What is known of how something is used, to say what becomes of what a pack holds beyond the need.</summary>
/// <param name="OnShelves">What is there that no plan takes.</param>
/// <param name="ADay">What plans use of it in a day, in the mean over the days that are looked at.</param>
/// <param name="KeepsDays">For how many days a lot of it was good when it came, in the mean of the lots on the books; null where none has said.</param>
public sealed record UseOfGoods(StockAmount OnShelves, double ADay, double? KeepsDays)
{
    /// <summary>How much of what is left over would be past its day before it is used, from 0 to 1; 0 where nobody knows how long it keeps.</summary>
    /// <param name="leftOver">What is left over when all that is planned is made.</param>
    /// <param name="afterDays">So many days after it came.</param>
    public double SpoiltShare(StockAmount leftOver, double afterDays) => KeepsDays is not { } keeps || leftOver.Count <= 0
        ? 0
        : 1 - Math.Clamp(ADay * Math.Max(0, keeps - afterDays) / leftOver.Count, 0, 1);
}

/// <summary>A line of an order at a supplier.</summary>
/// <param name="Wanted">What it is for.</param>
/// <param name="Offer">The pack.</param>
/// <param name="Packs">How many; at least 1.</param>
/// <param name="Cost">What they cost.</param>
/// <param name="LeftOver">What is left on the shelves when all that is planned is made.</param>
/// <param name="SpoiltShare">What of the surplus of the packs would spoil before it is used, 0 to 1.</param>
/// <param name="Instead">Another offer that would cost less, what spoils counted as lost; null where none does.</param>
public sealed record BuyingLine(Wanted Wanted, PackOffer Offer, int Packs, Money Cost, StockAmount LeftOver, double SpoiltShare, BuyingInstead? Instead)
{
    /// <summary>Where it is to be had in time, if its order comes too late for it: the cheapest such offer of another supplier; null where its order is in time, or nobody is.</summary>
    public BuyingSooner? Sooner { get; init; }
}

/// <summary>Another offer that would cost less.</summary>
/// <param name="Offer">The pack.</param>
/// <param name="Packs">How many.</param>
/// <param name="Saves">By how much it is cheaper, what spoils counted as lost; at least a coin.</param>
public sealed record BuyingInstead(PackOffer Offer, int Packs, Money Saves);

/// <summary>An offer that is there in time.</summary>
/// <param name="Offer">The pack.</param>
/// <param name="Packs">How many.</param>
/// <param name="Cost">What they cost.</param>
/// <param name="Delivery">The delivery's day.</param>
/// <param name="OrderUntil">Until when it is ordered.</param>
public sealed record BuyingSooner(PackOffer Offer, int Packs, Money Cost, LocalDate Delivery, LocalDateTime OrderUntil);

/// <summary>An order at a supplier.</summary>
/// <param name="Terms">When it delivers and from how much on.</param>
/// <param name="Delivery">The delivery's day; null where none comes within sixty days.</param>
/// <param name="OrderUntil">Until when it is ordered.</param>
/// <param name="IsInTime">Whether it is there when the first of it is needed.</param>
/// <param name="Lines">What is ordered, what is needed first first.</param>
/// <param name="Total">What it comes to.</param>
public sealed record SupplierOrder(SupplierTerms Terms, LocalDate? Delivery, LocalDateTime? OrderUntil, bool IsInTime, IReadOnlyList<BuyingLine> Lines, Money Total)
{
    /// <summary>By how much it is below what the supplier asks for at least; zero where it is not.</summary>
    public decimal BelowBy => Math.Max(0, Terms.Minimum - Total.Amount);
}

/// <summary>What is to be bought, from whom and by when: what plans need and nobody has, in whole packs.</summary>
/// <param name="Orders">By supplier, what is to be ordered first first.</param>
/// <param name="NobodySells">What no supplier's price is known of.</param>
public sealed record BuyingList(IReadOnlyList<SupplierOrder> Orders, IReadOnlyList<Wanted> NobodySells)
{
    /// <summary>
    /// What is missing, each thing once, less what is ordered. What comes too late is ordered all the same: buying it again at the same door would not bring it sooner.
    /// </summary>
    /// <param name="missing">What plans need that is not on the shelves.</param>
    /// <param name="coming">What is ordered: how much of what, and from when on it can be used.</param>
    public static IReadOnlyList<Wanted> WantedOf(IEnumerable<Shortage> missing, IEnumerable<(StockedGoods Thing, StockAmount Amount, LocalDateTime ThereAt)> coming)
    {
        var arriving = coming.OrderBy(one => one.ThereAt).Select(one => (one.Thing, one.ThereAt, Left: one.Amount)).ToArray();
        var open = new List<Shortage>();
        foreach (var shortage in missing.Where(one => one.Need.Thing is StockedGoods).OrderBy(one => one.Need.At))
        {
            var amount = shortage.Amount;
            // What is there in time is taken first.
            foreach (var at in Enumerable.Range(0, arriving.Length).OrderBy(at => arriving[at].ThereAt > shortage.Need.At))
            {
                if (amount.Count <= 0 || arriving[at].Thing != shortage.Need.Thing || arriving[at].Left.Unit != amount.Unit) continue;
                var part = StockAmount.Least(amount, arriving[at].Left);
                arriving[at].Left -= part;
                amount -= part;
            }

            if (amount.Count > 0) open.Add(shortage with { Amount = amount });
        }

        return
        [
            .. open.GroupBy(one => (Thing: (StockedGoods)one.Need.Thing, one.Amount.Unit)).Select(same => new Wanted(
                same.Key.Thing, StockAmount.Sum(same.Select(one => one.Amount), same.Key.Unit), same.Min(one => one.Need.At), [.. same.Select(one => one.Need.For).Distinct()])),
        ];
    }

    /// <summary>Makes the list.</summary>
    /// <param name="wanted">What is to be bought.</param>
    /// <param name="offersOf">The packs in which a thing is sold, those of its usual supplier first.</param>
    /// <param name="useOf">How a thing is used.</param>
    /// <param name="termsOf">When a supplier delivers.</param>
    /// <param name="now">The bakery's clock.</param>
    /// <param name="last">The last day that is looked at.</param>
    public static BuyingList Of(
        IReadOnlyList<Wanted> wanted, Func<StockedGoods, IReadOnlyList<PackOffer>> offersOf, Func<StockedGoods, UseOfGoods> useOf, Func<string, SupplierTerms> termsOf, LocalDateTime now, LocalDate last)
    {
        var lines = new List<BuyingLine>();
        var nobody = new List<Wanted>();
        foreach (var one in wanted)
        {
            PackOffer[] offers = [.. offersOf(one.Thing).Where(offer => offer.Pack.Unit == one.Amount.Unit)];
            if (offers.Length == 0) nobody.Add(one);
            else lines.Add(Line(one, offers, useOf(one.Thing), Math.Max(0, Period.DaysBetween(now.Date, last))));
        }

        SupplierOrder[] orders =
        [
            .. lines.GroupBy(line => line.Offer.Supplier, StringComparer.OrdinalIgnoreCase).Select(same =>
            {
                var terms = termsOf(same.First().Offer.Supplier);
                var delivery = terms.Delivery(same.Min(line => line.Wanted.FirstNeeded), now);
                return new SupplierOrder(
                    terms,
                    delivery?.Day,
                    delivery is { } comes ? terms.OrderUntil(comes.Day) : null,
                    delivery?.IsInTime ?? false,
                    [.. same.OrderBy(line => line.Wanted.FirstNeeded).Select(line => delivery is { } there && SupplierTerms.ThereAt(there.Day) <= line.Wanted.FirstNeeded ? line : line with { Sooner = Sooner(line, offersOf(line.Wanted.Thing), termsOf, now) })],
                    same.Select(line => line.Cost).Aggregate((sum, cost) => sum + cost));
            }),
        ];
        return new BuyingList([.. orders.OrderBy(order => order.OrderUntil ?? LocalDate.MaxIsoValue.AtMidnight()).ThenBy(order => order.Terms.Supplier, StringComparer.OrdinalIgnoreCase)], nobody);
    }

    /// <summary>Bought where it is usually bought, in the pack of which least is lost; what another offer would save is said beside it.</summary>
    private static BuyingLine Line(Wanted wanted, PackOffer[] offers, UseOfGoods use, int days)
    {
        var usual = offers[0].Supplier;
        var chosen = offers.Where(offer => offer.Supplier.Equals(usual, StringComparison.OrdinalIgnoreCase)).MinBy(offer => Lost(wanted, offer, use, days))!;
        var packs = chosen.PacksFor(wanted.Amount);
        var cheapest = offers.Where(offer => offer.Paid.Currency == chosen.Paid.Currency).MinBy(offer => Lost(wanted, offer, use, days))!;
        var saves = Lost(wanted, chosen, use, days) - Lost(wanted, cheapest, use, days);
        return new BuyingLine(
            wanted,
            chosen,
            packs,
            chosen.Cost(packs),
            use.OnShelves + (chosen.Pack * packs) - wanted.Amount,
            Spoilt(wanted, chosen, use, days),
            saves >= Money.SmallestCoin(chosen.Paid.Currency) ? new BuyingInstead(cheapest, cheapest.PacksFor(wanted.Amount), new Money(saves, chosen.Paid.Currency)) : null);
    }

    /// <summary>The cheapest offer of another supplier that is there when the first of it is needed.</summary>
    private static BuyingSooner? Sooner(BuyingLine late, IEnumerable<PackOffer> offers, Func<string, SupplierTerms> termsOf, LocalDateTime now)
    {
        var inTime =
            from offer in offers
            where offer.Pack.Unit == late.Wanted.Amount.Unit && offer.Paid.Currency == late.Offer.Paid.Currency && !offer.Supplier.Equals(late.Offer.Supplier, StringComparison.OrdinalIgnoreCase)
            let terms = termsOf(offer.Supplier)
            let delivery = terms.Delivery(late.Wanted.FirstNeeded, now)
            where delivery is { IsInTime: true }
            let packs = offer.PacksFor(late.Wanted.Amount)
            select new BuyingSooner(offer, packs, offer.Cost(packs), delivery.Value.Day, terms.OrderUntil(delivery.Value.Day));
        return inTime.MinBy(sooner => sooner.Cost.Amount);
    }

    /// <summary>What is paid for what is used and for what spoils; what keeps until it is used is worth what it cost.</summary>
    private static decimal Lost(Wanted wanted, PackOffer offer, UseOfGoods use, int days)
    {
        var packs = offer.PacksFor(wanted.Amount);
        var bought = offer.Pack * packs;
        var kept = (decimal)(bought - wanted.Amount).Count * (1 - (decimal)Spoilt(wanted, offer, use, days));
        return offer.Cost(packs).Amount * (1 - (kept / bought.Count));
    }

    private static double Spoilt(Wanted wanted, PackOffer offer, UseOfGoods use, int days)
    {
        var surplus = (offer.Pack * offer.PacksFor(wanted.Amount)) - wanted.Amount;
        return use.SpoiltShare(surplus, days);
    }
}
