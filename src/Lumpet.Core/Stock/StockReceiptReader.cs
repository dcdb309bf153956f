using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Stock;

/// <summary>What comes to the shelves from outside, as it is said.</summary>
/// <param name="Ingredient">Id of the ingredient.</param>
/// <param name="Pack">What one pack holds: "25 kg", "case of 6 x 1 l", "tray of 30".</param>
/// <param name="Packs">How many packs.</param>
/// <param name="Supplier">From whom; may be missing.</param>
/// <param name="Code">Its lot number; may be missing.</param>
/// <param name="UseBy">Last day on which it may be used (ISO date); null where none is stated.</param>
/// <param name="Place">Where it lies: "room", "cold" or "frozen"; null for the room.</param>
/// <param name="Shelf">Which shelf.</param>
/// <param name="Paid">What was paid for a pack, in the currency of the books; null where nobody says.</param>
/// <param name="Note">What else is to be said of it.</param>
public sealed record StockReceiptDraft(
    string? Ingredient, string? Pack, int? Packs, string? Supplier = null, string? Code = null, string? UseBy = null, string? Place = null, string? Shelf = null, decimal? Paid = null, string? Note = null);

/// <summary>What may be corrected of how a lot is described; how much there is of it only its movements say.</summary>
/// <param name="Code">Its lot number.</param>
/// <param name="UseBy">Its last day (ISO date); null where none is stated.</param>
/// <param name="Shelf">Which shelf.</param>
/// <param name="Note">What else is to be said of it.</param>
public sealed record LotDescriptionDraft(string? Code, string? UseBy, string? Shelf, string? Note);

/// <summary>Reads what comes to the shelves.</summary>
public static class StockReceiptReader
{
    internal const int LongestShelf = 40;
    private const int LongestCode = 40;
    private const int LongestNote = 120;
    private const int MostPacks = 10_000;
    private const decimal MostPaid = 1_000_000m;

    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What is said.</param>
    /// <param name="id">Identity of the lot that it would be.</param>
    /// <param name="ingredients">All ingredients by id.</param>
    /// <param name="currency">The currency of the books (ISO 4217).</param>
    /// <param name="localNow">The bakery's clock.</param>
    /// <returns>The lot; or everything that is wrong with it, field by field.</returns>
    public static (StockLot? Lot, IReadOnlyList<FieldFault> Faults) Read(
        StockReceiptDraft draft, Guid id, IReadOnlyDictionary<string, Ingredient> ingredients, string currency, LocalDateTime localNow)
    {
        var checks = new FieldChecks();
        var ingredient = draft.Ingredient is { } name && ingredients.TryGetValue(name, out var found) && !found.IsDough ? found : null;
        if (ingredient is null) checks.Add("ingredient", "There is no such ingredient.");
        var (pack, fault) = PackSize.Read(draft.Pack);
        if (pack is null) checks.Add("pack", fault);
        var packs = checks.Whole("packs", draft.Packs, 1, MostPacks, "packs");
        var supplier = string.IsNullOrWhiteSpace(draft.Supplier) ? null : checks.Name("supplier", draft.Supplier, "A supplier");
        var place = checks.Word("place", draft.Place, KeepPlace.Room);
        if (draft.Paid is < 0 or > MostPaid) checks.Add("paid", "A price lies between 0 and 1000000.");
        var described = Described(checks, new LotDescriptionDraft(draft.Code, draft.UseBy, draft.Shelf, draft.Note));
        var one = ingredient is null || pack is null ? null : StockedGoods.Amount(ingredient, pack.Amount, pack.Unit);
        if (ingredient is not null && pack is not null && one is null) checks.Add("pack", $"Nobody has said what a millilitre of {ingredient.Name} weighs: say the pack in grams, or give its density first.");
        if (one is { } each && each.Count < 1) checks.Add("pack", "A pack holds more than nothing.");
        if (one is { } sized && (double)sized.Count * packs > Most(sized.Unit)) checks.Add("packs", "That is more than any bakery stores.");
        if (checks.Faults.Count > 0 || one is not { } amount) return (null, checks.Faults);
        return (new StockLot(id, new StockedGoods(ingredient!.Id), described.Code, amount * packs, place)
        {
            Shelf = described.Shelf,
            UseBy = described.UseBy,
            Since = localNow,
            Supplier = supplier,
            Pack = amount,
            PackSaid = pack!.Said,
            PaidForPack = draft.Paid is { } paid ? new Money(paid, currency) : null,
            Note = described.Note,
        }, []);
    }

    /// <summary>Reads how a lot is described anew.</summary>
    /// <param name="draft">What is said.</param>
    /// <param name="lot">The lot as it is.</param>
    /// <returns>The lot as it is to be; or everything that is wrong, field by field.</returns>
    public static (StockLot? Lot, IReadOnlyList<FieldFault> Faults) Read(LotDescriptionDraft draft, StockLot lot)
    {
        var checks = new FieldChecks();
        var (code, useBy, shelf, note) = Described(checks, draft);
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (lot with { Code = code, UseBy = useBy, Shelf = shelf, Note = note }, []);
    }

    internal static double Most(StockUnit unit) => unit == StockUnit.Piece ? StockLot.MostPieces : StockLot.MostKilograms * 1_000_000;

    private static (string Code, LocalDate? UseBy, string Shelf, string Note) Described(FieldChecks checks, LotDescriptionDraft draft)
    {
        LocalDate? useBy = null;
        if (draft.UseBy is { Length: > 0 } text)
        {
            useBy = LocalDatePattern.Iso.Parse(text) is { Success: true } read && read.Value.Year is >= 2000 and <= 2200 ? read.Value : null;
            if (useBy is null) checks.Add("useBy", "A day is needed: 2026-12-24.");
        }

        return (checks.Words("code", draft.Code, LongestCode), useBy, checks.Words("shelf", draft.Shelf, LongestShelf), checks.Words("note", draft.Note, LongestNote));
    }
}
