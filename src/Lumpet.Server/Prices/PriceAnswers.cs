using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Prices;
using Lumpet.Server.Bakery;
using NodaTime;

namespace Lumpet.Server.Prices;

/// <summary>Prices of all ingredients.</summary>
/// <param name="Currency">ISO 4217 code of the books.</param>
/// <param name="Today">Today at the bakery (ISO date).</param>
/// <param name="Ingredients">By name.</param>
/// <param name="Suppliers">Names of all suppliers.</param>
public sealed record PricesAnswer(string Currency, string Today, IReadOnlyList<PricedIngredientAnswer> Ingredients, IReadOnlyList<string> Suppliers);

/// <summary>An ingredient and what it costs.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="InForce">The price that counts today; null where none is known.</param>
/// <param name="Others">What other suppliers ask.</param>
/// <param name="Lacking">What must be known before a gram of it has a cost; null where nothing is lacking.</param>
/// <param name="UsedIn">In how many products it is used.</param>
public sealed record PricedIngredientAnswer(string Id, string Name, PriceRowAnswer? InForce, IReadOnlyList<PriceRowAnswer> Others, string? Lacking, int UsedIn);

/// <summary>A row of the books.</summary>
/// <param name="Supplier">Who asks it.</param>
/// <param name="Pack">For what pack.</param>
/// <param name="Paid">What the pack costs.</param>
/// <param name="PerUnit">What a kilogram, a litre or a piece costs, rounded for the eye.</param>
/// <param name="Unit">"kg", "l" or "piece".</param>
/// <param name="ValidFrom">From which day on (ISO date).</param>
/// <param name="ValidFromName">The same in words: "3 May 2026".</param>
/// <param name="Origin">"typed", "list" or "feed".</param>
public sealed record PriceRowAnswer(string Supplier, string Pack, decimal Paid, decimal PerUnit, string Unit, string ValidFrom, string ValidFromName, string Origin);

/// <summary>The prices of one ingredient.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Rows">Every price, the newest day first.</param>
/// <param name="Steps">The days on which the price that counts changed, in order.</param>
public sealed record PriceHistoryAnswer(string Id, string Name, string Currency, IReadOnlyList<PriceRowAnswer> Rows, IReadOnlyList<PriceStepAnswer> Steps);

/// <summary>A day on which the price that counts changed.</summary>
/// <param name="Day">From this day on (ISO date).</param>
/// <param name="DayName">In words.</param>
/// <param name="Price">The price.</param>
/// <param name="ChangePercent">By how much dearer than before, by unit; null for the first and where the unit changed.</param>
public sealed record PriceStepAnswer(string Day, string DayName, PriceRowAnswer Price, decimal? ChangePercent);

/// <summary>What an offer would change.</summary>
/// <param name="Row">Which line of the file; counted from 1 where there is no file.</param>
/// <param name="Article">What the supplier calls it.</param>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Name">Its name.</param>
/// <param name="Now">The price offered.</param>
/// <param name="Before">What the same supplier asked until then; null where nothing is known.</param>
/// <param name="ChangePercent">By how much dearer, by unit; null where that cannot be said.</param>
/// <param name="IsNoNews">Whether it is known already.</param>
/// <param name="IsSurprising">Whether it changes by so much that a slip is likely.</param>
/// <param name="IsInForce">Whether costs follow it.</param>
public sealed record PriceChangeAnswer(
    int Row, string Article, string Ingredient, string Name, PriceRowAnswer Now, PriceRowAnswer? Before, decimal? ChangePercent, bool IsNoNews, bool IsSurprising, bool IsInForce);

/// <summary>What new prices do to a product.</summary>
/// <param name="Product">Its id.</param>
/// <param name="Name">Its name, and the pan.</param>
/// <param name="Before">What a pie costs until then; null while a price is missing.</param>
/// <param name="Now">What it costs then; null while a price is missing.</param>
/// <param name="More">The difference; null where either is not known.</param>
public sealed record PriceEffectAnswer(string Product, string Name, decimal? Before, decimal? Now, decimal? More);

/// <summary>Writes prices out for the screen; exact figures are rounded here and only here.</summary>
internal static class PriceAnswers
{
    /// <summary>An ingredient and its prices.</summary>
    public static PricedIngredientAnswer Priced(Ingredient ingredient, PriceBook book, PriceList list, LocalDate today, int usedIn)
    {
        var inForce = list.Find(ingredient.Id);
        var isCounted = ingredient.Facts.Role == IngredientRole.Packaging;
        return new PricedIngredientAnswer(
            ingredient.Id,
            ingredient.Name,
            inForce is null ? null : Row(inForce),
            [.. book.BySupplier(ingredient.Id, today).Where(row => row.Supplier != inForce?.Supplier).Select(Row)],
            (isCounted ? inForce?.PackUnit == PackUnit.Piece : list.OfGram(ingredient) is not null) ? null : list.Lacks(ingredient),
            usedIn);
    }

    /// <summary>Everything that is known of an ingredient's price.</summary>
    public static PriceHistoryAnswer History(Ingredient ingredient, PriceBook book, string currency, LocalDate today)
    {
        var steps = book.Steps(ingredient.Id);
        return new PriceHistoryAnswer(
            ingredient.Id,
            ingredient.Name,
            currency,
            [.. book.Of(ingredient.Id).Reverse().Select(Row)],
            [.. steps.Select((step, at) => new PriceStepAnswer(Days.Iso(step.Day), DayName(step.Day), Row(step.Price), at == 0 ? null : Percent(step.Price, steps[at - 1].Price)))]);
    }

    /// <summary>What an offer would change.</summary>
    public static PriceChangeAnswer Change(PriceChange change, IReadOnlyDictionary<string, Ingredient> ingredients) => new(
        change.Offer.Row,
        change.Offer.Article,
        change.Now.IngredientId,
        ingredients[change.Now.IngredientId].Name,
        Row(change.Now),
        change.Before is { } before ? Row(before) : null,
        change.Share is { } share ? Math.Round(share * 100, 1) : null,
        change.IsNoNews,
        change.IsSurprising,
        change.IsInForce);

    /// <summary>A row.</summary>
    public static PriceRowAnswer Row(Price price)
    {
        var (unit, many) = price.PackUnit switch { PackUnit.Gram => ("kg", 1000m), PackUnit.Millilitre => ("l", 1000m), _ => ("piece", 1m) };
        var perUnit = price.PerUnit.Amount * many;
        return new PriceRowAnswer(
            price.Supplier, PriceWords.Pack(price), price.Paid.Amount, Math.Round(perUnit, perUnit < 1 ? 4 : Decimals(price.Paid.Currency)), unit, Days.Iso(price.ValidFrom), DayName(price.ValidFrom), Naming.Of(price.Origin));
    }

    /// <summary>A day with its year: "3 May 2026".</summary>
    public static string DayName(LocalDate day) => FormattableString.Invariant($"{day:d MMM yyyy}");

    private static int Decimals(string currency) => Money.SmallestCoin(currency) switch { 1m => 0, 0.001m => 3, _ => 2 };

    private static decimal? Percent(Price now, Price before) =>
        now.PackUnit == before.PackUnit && before.PerUnit.Amount > 0 ? Math.Round(((now.PerUnit.Amount / before.PerUnit.Amount) - 1) * 100, 1) : null;
}
