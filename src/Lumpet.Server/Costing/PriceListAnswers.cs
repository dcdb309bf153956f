using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Prices;
using Lumpet.Core.Recipes;
using Lumpet.Server.Prices;
using NodaTime;

namespace Lumpet.Server.Costing;

/// <summary>A supplier's list.</summary>
/// <param name="Supplier">Whose it is.</param>
/// <param name="File">The file in base 64 (RFC 4648), as it is: its character set is found out.</param>
/// <param name="Columns">Which column says what; null for those of the last list, or as their headings say.</param>
/// <param name="DecimalSign">"." or ","; empty where the list is to tell; null for that of the last list.</param>
/// <param name="ValidFrom">From when prices hold that say nothing of it (ISO date); null for today.</param>
/// <param name="Articles">What articles are, as far as it is said anew.</param>
/// <param name="Keep">Whether to take the prices; otherwise it is only said what they would change.</param>
public sealed record PriceListRequest(
    string? Supplier, string? File, PriceColumns? Columns, string? DecimalSign, string? ValidFrom, IReadOnlyList<SaidArticle?>? Articles, bool Keep);

/// <summary>A question to a supplier's service.</summary>
/// <param name="Supplier">Whose.</param>
/// <param name="Keep">Whether to take the prices; otherwise it is only said what they would change.</param>
public sealed record FeedRequest(string? Supplier, bool Keep);

/// <summary>What a list would change, or has changed.</summary>
/// <param name="Supplier">Whose it is.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Changes">By ingredient: what changes most first, what is known already last.</param>
/// <param name="Effects">What it does to products, what gets dearest first; only those that change.</param>
/// <param name="CharacterSet">The character set that a file was read in; null where there is no file.</param>
/// <param name="Heading">The names of a file's columns.</param>
/// <param name="Columns">Which column was taken for what; null where there is no file.</param>
/// <param name="DecimalSign">The sign that parts decimals, where it was said.</param>
/// <param name="Unknown">Articles of which nobody has said what they are; the first of many.</param>
/// <param name="PassedOver">Rows whose article is no ingredient.</param>
/// <param name="Faults">What keeps the list from being taken; the first of many.</param>
/// <param name="IsMadeUp">Whether the prices are made up by a stand-in.</param>
/// <param name="Taken">Prices taken; 0 while nothing is.</param>
/// <param name="IsKept">Whether they are taken now.</param>
public sealed record PriceListAnswer(
    string Supplier,
    string Currency,
    IReadOnlyList<PriceChangeAnswer> Changes,
    IReadOnlyList<PriceEffectAnswer> Effects,
    string? CharacterSet,
    IReadOnlyList<string> Heading,
    PriceColumns? Columns,
    string? DecimalSign,
    IReadOnlyList<string> Unknown,
    int PassedOver,
    IReadOnlyList<ListFaultAnswer> Faults,
    bool IsMadeUp,
    int Taken,
    bool IsKept);

/// <summary>Something that is wrong with a list.</summary>
/// <param name="Field">"rows[3].paid" is line 3 of the file.</param>
/// <param name="Message">What is wrong, in words.</param>
public sealed record ListFaultAnswer(string Field, string Message);

/// <summary>What new prices do to what is baked.</summary>
internal static class PriceEffects
{
    /// <summary>Products whose pie, in the usual pan, costs something else once all the new prices hold; what gets dearest first.</summary>
    public static IReadOnlyList<PriceEffectAnswer> Of(PriceBook book, IReadOnlyList<Price> news, IReadOnlyList<Product> products, LocalDate today)
    {
        if (news.Count == 0) return [];
        var day = news.Max(price => price.ValidFrom) is var last && last > today ? last : today;
        var then = book.With(news).On(day);
        var now = book.On(day);
        return
        [
            .. products.Where(product => !product.IsRetired).Select(product => (Product: product, Scaled: Scaling.Scale(product, product.ReferencePan, 1)))
                .Select(one => (one.Product, Before: PieCost.Of(one.Scaled, now).Total, Then: PieCost.Of(one.Scaled, then).Total))
                .Where(one => one.Before != one.Then)
                .OrderByDescending(one => (one.Then?.Amount ?? 0) - (one.Before?.Amount ?? 0))
                .Select(one => new PriceEffectAnswer(
                    one.Product.Id, $"{one.Product.Name}, {one.Product.ReferencePan.Name}", CostPages.Coins(one.Before), CostPages.Coins(one.Then), one is { Before: { } was, Then: { } becomes } ? CostPages.Coins(becomes)!.Value - CostPages.Coins(was)!.Value : null)),
        ];
    }
}
