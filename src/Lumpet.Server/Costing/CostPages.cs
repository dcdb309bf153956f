using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Prices;
using NodaTime;

namespace Lumpet.Server.Costing;

/// <summary>What every product costs.</summary>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Since">The day with which it is compared (ISO date).</param>
/// <param name="SinceName">The same in words.</param>
/// <param name="Sentence">What a tired manager reads first.</param>
/// <param name="AimPercent">What ingredients are to take of the price at most, as the first channel says.</param>
/// <param name="Products">The greatest share of the price first; those without a share last.</param>
public sealed record CostsAnswer(string Currency, string Since, string SinceName, string Sentence, decimal AimPercent, IReadOnlyList<CostRowAnswer> Products);

/// <summary>What a pie of a product costs in its usual pan.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PanName">Name of the pan.</param>
/// <param name="Cost">Of its ingredients; null while a price is missing.</param>
/// <param name="Missing">Ingredients of which nobody knows what they cost.</param>
/// <param name="Between">What it may cost while a price is missing: "7.40 to 9.10"; empty while none is.</param>
/// <param name="SellingPrice">Null where none is set.</param>
/// <param name="SharePercent">Cost over selling price; null where either is unknown.</param>
/// <param name="IsOverAim">Whether that is more than is aimed at.</param>
/// <param name="Before">What it cost on the day it is compared with; null where that is not known.</param>
/// <param name="More">The difference; null where either is not known.</param>
/// <param name="Reasons">What did it, the strongest three.</param>
public sealed record CostRowAnswer(
    string Id, string Name, string Pan, string PanName, decimal? Cost, IReadOnlyList<string> Missing, string Between, decimal? SellingPrice, decimal? SharePercent, bool IsOverAim, decimal? Before, decimal? More, IReadOnlyList<CostReasonAnswer> Reasons);

/// <summary>An ingredient whose price changed a cost.</summary>
/// <param name="Ingredient">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="More">By how much; null where its price was not known before.</param>
/// <param name="Text">In words: "Butter 6.20 to 6.80 a kg".</param>
public sealed record CostReasonAnswer(string Ingredient, string Name, decimal? More, string Text);

/// <summary>What a pie costs, by what is bought for it, and over time.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PanName">Its name.</param>
/// <param name="Pans">Every pan it is made in.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Cost">The sum of what is bought; null while a price is missing.</param>
/// <param name="KnownCost">The sum of what is known; with a price missing it costs at least that.</param>
/// <param name="Missing">What has no price, and what it may cost in one pie as far as that can be guessed.</param>
/// <param name="Between">What the pie may cost while a price is missing: "7.40 to 9.10", "7.40 at least"; empty while none is.</param>
/// <param name="SellingPrice">Null where none is set.</param>
/// <param name="SharePercent">Cost over selling price; null where either is unknown.</param>
/// <param name="Drivers">By ingredient, what costs most first; their costs add up.</param>
/// <param name="Slices">Into how many slices it is cut, for prices by the slice.</param>
/// <param name="Channels">What to charge, by channel; empty while a price is missing.</param>
/// <param name="Begin">What it cost on the first day of the history; null where that is not known.</param>
/// <param name="Since">The first day (ISO date).</param>
/// <param name="SinceName">The same in words.</param>
/// <param name="Today">The last day, at whose prices everything is reckoned (ISO date).</param>
/// <param name="OnName">The same in words where it is not today; else empty.</param>
/// <param name="Steps">The days on which that changed.</param>
public sealed record ProductCostAnswer(
    string Product,
    string Name,
    string Pan,
    string PanName,
    IReadOnlyList<CostPanAnswer> Pans,
    string Currency,
    decimal? Cost,
    decimal KnownCost,
    IReadOnlyList<string> Missing,
    string Between,
    decimal? SellingPrice,
    decimal? SharePercent,
    IReadOnlyList<CostDriverAnswer> Drivers,
    int Slices,
    IReadOnlyList<ChannelPriceAnswer> Channels,
    decimal? Begin,
    string Since,
    string SinceName,
    string Today,
    string OnName,
    IReadOnlyList<CostStepAnswer> Steps);

/// <summary>A pan that a product is made in.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
public sealed record CostPanAnswer(string Id, string Name);

/// <summary>What to charge for a pie in a channel.</summary>
/// <param name="Id">Id of the channel.</param>
/// <param name="Name">Its name.</param>
/// <param name="AimPercent">What ingredients are to take of the price before tax.</param>
/// <param name="ShowsTax">Whether prices shown there hold the tax.</param>
/// <param name="Present">What the price that is set earns there; null where none is set.</param>
/// <param name="Aimed">The least price that keeps to the aim.</param>
/// <param name="Slice">The same by the slice.</param>
public sealed record ChannelPriceAnswer(string Id, string Name, decimal AimPercent, bool ShowsTax, ChargedAnswer? Present, ChargedAnswer Aimed, ChargedAnswer Slice);

/// <summary>A price and where it goes: shown = before tax and, where it holds it, tax; before tax = cost, fee and what is earned.</summary>
/// <param name="Shown">What is shown.</param>
/// <param name="Net">Before tax.</param>
/// <param name="Tax">The tax on it.</param>
/// <param name="Fee">What whoever sells it keeps.</param>
/// <param name="Earned">What is left beside ingredients.</param>
/// <param name="SharePercent">Ingredients over the price before tax; null where it is given away.</param>
public sealed record ChargedAnswer(decimal Shown, decimal Net, decimal Tax, decimal Fee, decimal Earned, decimal? SharePercent);

/// <summary>What an ingredient does to a cost.</summary>
/// <param name="Ingredient">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Bought">What is bought of it for one pie: "412 g", "1 piece".</param>
/// <param name="Price">The price row in words; null where none is known.</param>
/// <param name="Cost">What that costs; null where it is not known.</param>
/// <param name="SharePercent">Of what all ingredients cost; null while a price is missing.</param>
/// <param name="More">What the pie costs more when this gets a tenth dearer.</param>
/// <param name="FoodCostPercentThen">Cost over selling price then.</param>
public sealed record CostDriverAnswer(string Ingredient, string Name, string Bought, string? Price, decimal? Cost, decimal? SharePercent, decimal? More, decimal? FoodCostPercentThen);

/// <summary>A day on which a cost changed.</summary>
/// <param name="Day">From this day on (ISO date).</param>
/// <param name="DayName">In words.</param>
/// <param name="At">Where between the first day and today, 0 to 1.</param>
/// <param name="Cost">From then on; null while a price is missing.</param>
/// <param name="More">By how much; null where either is not known.</param>
/// <param name="Reasons">What did it.</param>
public sealed record CostStepAnswer(string Day, string DayName, double At, decimal? Cost, decimal? More, IReadOnlyList<CostReasonAnswer> Reasons);

/// <summary>Writes costs out for the screen; exact figures are rounded here and only here, and so that what is shown adds up.</summary>
internal static class CostPages
{
    /// <summary>What of all costs is worth saying first.</summary>
    public static string Sentence(IReadOnlyList<CostRowAnswer> rows, decimal aimPercent, string since)
    {
        if (rows.Count == 0) return "There is no recipe yet, so nothing has a cost.";
        var said = new List<string>();
        if (rows.FirstOrDefault(row => row.SharePercent is not null) is { } dear)
        {
            var over = rows.Count(row => row.IsOverAim);
            said.Add(over == 0 ? FormattableString.Invariant($"Ingredients take no more than the {aimPercent:0.#} % of the price aimed at of any product.")
                : FormattableString.Invariant($"Of {(over == 1 ? "one product" : $"{over} of {rows.Count} products")} ingredients take more than the {aimPercent:0.#} % aimed at, most of {dear.Name}: {dear.SharePercent:0.0} %."));
        }

        var more = rows.Where(row => row.More > 0).ToArray();
        if (more.MaxBy(row => row.More) is { } most)
            said.Add(FormattableString.Invariant($"Since {since} {(more.Length == 1 ? "one product" : $"{more.Length} of {rows.Count} products")} got dearer, {most.Name} most, by {most.More:0.00}."));
        else said.Add($"Nothing got dearer since {since}.");
        if (rows.Count(row => row.Missing.Count > 0) is > 0 and var lacking) said.Add($"Of {(lacking == 1 ? "one product" : $"{lacking} products")} a price is missing.");
        return string.Join(' ', said);
    }

    /// <summary>What one pie costs.</summary>
    public static ProductCostAnswer Of(ScaledProduct scaled, PriceBook book, LocalDate from, LocalDate day, LocalDate today, string currency, IReadOnlyList<Channel> channels, int slices, IReadOnlyDictionary<string, Ingredient> ingredients)
    {
        var prices = book.On(day);
        var drivers = CostDrivers.Of(scaled, prices);
        var priced = drivers.Where(one => one.Cost is not null).ToArray();
        var coins = priced.Zip(SharedRounding.Round([.. priced.Select(one => one.Cost!.Value.Amount)], Money.SmallestCoin(currency))).ToDictionary(pair => pair.First, pair => pair.Second);
        var cost = PieCost.Of(scaled, prices);
        var range = priced.Length == drivers.Count ? null : CostRange.Of(scaled, book, prices, ingredients, currency);
        var history = CostHistory.Of(scaled, book, from, day);
        var days = Math.Max(1, Period.DaysBetween(from, day));
        return new ProductCostAnswer(
            scaled.Product.Id,
            scaled.Product.Name,
            scaled.Pan.Id,
            scaled.Pan.Name,
            [.. scaled.Product.Sizes.Select(size => new CostPanAnswer(size.Pan.Id, size.Pan.Name))],
            currency,
            priced.Length == drivers.Count ? coins.Values.Sum() : null,
            coins.Values.Sum(),
            [.. (range?.Guessed ?? []).Select(one => $"{one.Bought.Ingredient.Name}: {prices.Lacks(one.Bought.Ingredient)}{Guess(one)}")],
            Between(range),
            cost.SellingPrice?.Amount,
            cost.FoodCostShare is { } share ? Math.Round(share * 100, 1) : null,
            [.. drivers.Select(one => new CostDriverAnswer(
                one.Bought.Ingredient.Id,
                one.Bought.Ingredient.Name,
                one.Bought.Pieces > 0 ? one.Bought.Pieces == 1 ? "1 piece" : FormattableString.Invariant($"{one.Bought.Pieces} pieces") : FormattableString.Invariant($"{one.Bought.Grams:0.#} g"),
                prices.Find(one.Bought.Ingredient.Id) is { } price ? PriceWords.Of(price) : null,
                one.Cost is null ? null : coins[one],
                one.Share is { } part ? Math.Round(part * 100, 1) : null,
                one.More is { } more ? Math.Round(more.Amount, 3) : null,
                one.FoodCostShareThen is { } then ? Math.Round(then * 100, 1) : null))],
            slices,
            cost.Total is { } whole ? [.. channels.Select(channel => Charged(channel, whole, cost.SellingPrice, slices))] : [],
            Coins(history.Begin),
            Days.Iso(from),
            PriceAnswers.DayName(from),
            Days.Iso(day),
            day == today ? string.Empty : PriceAnswers.DayName(day),
            [.. history.Steps.Select(step => new CostStepAnswer(
                Days.Iso(step.Day),
                PriceAnswers.DayName(step.Day),
                Math.Round(Period.DaysBetween(from, step.Day) / (double)days, 4),
                Coins(step.Cost),
                step is { Cost: { } now, Before: { } was } ? Coins(now)!.Value - Coins(was)!.Value : null,
                [.. step.Reasons.Select(Reason)]))]);
    }

    /// <summary>Between what a pie may cost; empty where everything has a price.</summary>
    public static string Between(CostRange? range) => range switch
    {
        null => string.Empty,
        { High: { } high } => FormattableString.Invariant($"{Coins(range.Low):0.00} to {Coins(high):0.00}"),
        _ => FormattableString.Invariant($"{Coins(range.Low):0.00} at least"),
    };

    private static string Guess(GuessedCost guess) => guess.From switch
    {
        GuessedFrom.OtherPrices => FormattableString.Invariant($"; by other prices of it {Coins(guess.Low):0.00} to {Coins(guess.High):0.00} a pie"),
        GuessedFrom.AnyDensity => FormattableString.Invariant($"; as foods are light or dense {Coins(guess.Low):0.00} to {Coins(guess.High):0.00} a pie"),
        GuessedFrom.ItsKind => FormattableString.Invariant($"; as others of its kind {Coins(guess.Low):0.00} to {Coins(guess.High):0.00} a pie"),
        _ => "; nothing is known to guess it from",
    };

    /// <summary>What an ingredient's price did.</summary>
    public static CostReasonAnswer Reason(CostReason reason) => new(
        reason.Ingredient.Id,
        reason.Ingredient.Name,
        reason.More is { } more ? Math.Round(more.Amount, 3) : null,
        reason switch
        {
            { From: null, To: { } first } => $"{reason.Ingredient.Name}: its first price, {Unit(first)}",
            { From: { } from, To: { } to } when from.Supplier != to.Supplier => $"{reason.Ingredient.Name} {Unit(from)} to {Unit(to)}, now from {to.Supplier}",
            { From: { } from, To: { } to } => $"{reason.Ingredient.Name} {Unit(from)} to {Unit(to)}",
            _ => $"{reason.Ingredient.Name}: what goes in is bought otherwise",
        });

    private static ChannelPriceAnswer Charged(Channel channel, Money cost, Money? set, int slices) => new(
        channel.Id,
        channel.Name,
        channel.FoodCostShare * 100,
        channel.ShowsTax,
        set is { } net && net.Currency == cost.Currency ? Charged(channel.AtNet(cost, net)) : null,
        Charged(channel.ToCharge(cost)),
        Charged(channel.ToCharge(cost * (1m / slices))));

    // Each is rounded so that what is shown adds up: what is earned is what is left of the rounded others.
    private static ChargedAnswer Charged(ChargedPrice price)
    {
        var (shown, net, fee, cost) = (Coins(price.Shown)!.Value, Coins(price.Net)!.Value, Coins(price.Fee)!.Value, Coins(price.Cost)!.Value);
        var isShown = price.Shown != price.Net;
        return new ChargedAnswer(shown, net, isShown ? shown - net : Coins(price.Tax)!.Value, fee, net - fee - cost, price.FoodCostShare is { } share ? Math.Round(share * 100, 1) : null);
    }

    /// <summary>An amount in whole coins.</summary>
    public static decimal? Coins(Money? money) =>
        money is { } amount ? Math.Round(amount.Amount / Money.SmallestCoin(amount.Currency), MidpointRounding.AwayFromZero) * Money.SmallestCoin(amount.Currency) : null;

    private static string Unit(Price price) => PriceAnswers.Row(price) is var row ? FormattableString.Invariant($"{row.PerUnit:0.00##} a {row.Unit}") : string.Empty;
}
