using System.Globalization;
using Lumpet.Core.Measures;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Stock;

/// <summary>What somebody does to a lot, as it is said.</summary>
/// <param name="Kind">"used", "counted", "adjusted", "wasted", "opened" or "moved".</param>
/// <param name="Packs">So many whole packs; they add to the rest.</param>
/// <param name="Kilograms">So many kilograms, of what is weighed; adjusted downwards it is below zero.</param>
/// <param name="Pieces">So many pieces, of what is counted; adjusted downwards it is below zero.</param>
/// <param name="Reason">Why.</param>
/// <param name="UseBy">Of a pack that is opened its last day from then on (ISO date); null for that of the lot.</param>
/// <param name="Place">Where it is moved to: "room", "cold" or "frozen"; null for where it lies.</param>
/// <param name="Shelf">The shelf it is moved to; null for the one on which it lies.</param>
public sealed record LotChangeDraft(
    string? Kind, int? Packs = null, double? Kilograms = null, int? Pieces = null, string? Reason = null, string? UseBy = null, string? Place = null, string? Shelf = null);

/// <summary>Reads what somebody does to a lot. Nothing is ever taken that is not there.</summary>
public static class LotChangeReader
{
    private const int LongestReason = 120;

    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What is said.</param>
    /// <param name="lot">The lot as it is.</param>
    /// <param name="piece">What one weighs of what is weighed and goes by the piece; null of all else.</param>
    /// <param name="parted">Identity of what would be parted from it.</param>
    /// <param name="localNow">The bakery's clock.</param>
    /// <returns>The change; or everything that is wrong with it, field by field.</returns>
    public static (LotChange? Change, IReadOnlyList<FieldFault> Faults) Read(LotChangeDraft draft, StockLot lot, Mass? piece, Guid parted, LocalDateTime localNow)
    {
        var checks = new FieldChecks();
        var kind = Naming.Read<StockEntryKind>(draft.Kind);
        if (kind is null or StockEntryKind.Received or StockEntryKind.Made or StockEntryKind.HandedOver or StockEntryKind.TakenBack)
        {
            checks.Add("kind", "Say what happens: used, counted, adjusted, wasted, opened or moved.");
            return (null, checks.Faults);
        }

        var reason = checks.Words("reason", draft.Reason, LongestReason);
        if (kind is StockEntryKind.Adjusted or StockEntryKind.Wasted && reason.Length == 0) checks.Add("reason", "Say why, in a few words.");
        var isAll = kind == StockEntryKind.Moved && draft is { Packs: null, Kilograms: null, Pieces: null };
        var amount = kind switch
        {
            StockEntryKind.Opened => lot.Pack is { } pack ? pack * checks.Whole("packs", draft.Packs ?? 1, 1, 1000, "packs") : lot.Left,
            _ when isAll => lot.Left,
            _ => Amount(checks, draft, lot, piece, kind == StockEntryKind.Adjusted, kind == StockEntryKind.Counted),
        };
        // What is no amount is not measured against what is there.
        if (checks.Faults.Count > 0) return (null, checks.Faults);
        var (change, field) = (kind.Value, AmountField(draft, lot)) switch
        {
            (StockEntryKind.Counted, var of) => (amount - lot.Left, of),
            (StockEntryKind.Adjusted, var of) => (amount, of),
            (StockEntryKind.Opened, _) => (-amount, "packs"),
            (_, var of) => (-amount, of),
        };
        if ((lot.Left + change).Count < 0) checks.Add(field, $"On the books there is only {Said(lot.Left)} of it. Where there is more, say first what was counted.");
        if (change.Count > 0 && (lot.Left + change).Count > StockReceiptReader.Most(lot.Left.Unit)) checks.Add(field, "That is more than any bakery stores.");
        var read = kind switch
        {
            StockEntryKind.Opened => Opened(checks, draft, lot, parted, localNow, amount, reason),
            StockEntryKind.Moved => Moved(checks, draft, lot, parted, amount, reason),
            _ => new LotChange(kind.Value, change, reason),
        };
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (read, []);
    }

    /// <summary>An amount as people say it: "3.25 kg", "12 pieces".</summary>
    public static string Said(StockAmount amount) => amount.Unit == StockUnit.Piece
        ? string.Create(CultureInfo.InvariantCulture, $"{amount.Count} {(amount.Count == 1 ? "piece" : "pieces")}")
        : string.Create(CultureInfo.InvariantCulture, $"{amount.Mass.Kilograms:0.###} kg");

    private static StockAmount Amount(FieldChecks checks, LotChangeDraft draft, StockLot lot, Mass? piece, bool mayBeLess, bool mayBeNothing)
    {
        var sum = StockAmount.Zero(lot.Left.Unit);
        if (draft.Packs is { } packs)
        {
            if (lot.Pack is not { } pack) checks.Add("packs", "Nobody has said what a pack of it holds.");
            else sum += pack * checks.Whole("packs", packs, mayBeLess ? -100_000 : 0, 100_000, "packs");
        }

        var isPieces = lot.Left.Unit == StockUnit.Piece;
        if (draft.Pieces is { } pieces)
        {
            var count = checks.Whole("pieces", pieces, mayBeLess ? -StockLot.MostPieces : 0, StockLot.MostPieces, "pieces");
            if (isPieces) sum += StockAmount.Pieces(count);
            else if (piece is { } one) sum += StockAmount.Of(one * count);
            else checks.Add("pieces", "It goes by weight: say kilograms.");
        }

        if (draft.Kilograms is { } kilograms)
        {
            var number = checks.Number("kilograms", kilograms, mayBeLess ? -StockLot.MostKilograms : 0, StockLot.MostKilograms, "kg");
            if (isPieces) checks.Add("kilograms", "It goes by the piece: say how many.");
            else sum += StockAmount.Of(Mass.FromKilograms(number));
        }

        if (draft is { Packs: null, Pieces: null, Kilograms: null }) checks.Add(AmountField(draft, lot), "Say how much.");
        else if (sum.IsNothing && !mayBeNothing && checks.Faults.Count == 0) checks.Add(AmountField(draft, lot), "Say how much: nothing is nothing to note.");
        return sum;
    }

    private static string AmountField(LotChangeDraft draft, StockLot lot) =>
        draft.Kilograms is not null ? "kilograms" : draft.Pieces is not null ? "pieces" : draft.Packs is not null ? "packs" : lot.Left.Unit == StockUnit.Piece ? "pieces" : "kilograms";

    private static LotChange Opened(FieldChecks checks, LotChangeDraft draft, StockLot lot, Guid parted, LocalDateTime localNow, StockAmount amount, string reason)
    {
        if (lot.IsOpen) checks.Add("kind", "It lies open already.");
        if (lot.Left.IsNothing) checks.Add("kind", "There is nothing of it left to open.");
        var useBy = lot.UseBy;
        if (draft.UseBy is { Length: > 0 } text)
        {
            useBy = LocalDatePattern.Iso.Parse(text) is { Success: true } read ? read.Value : null;
            if (useBy is null) checks.Add("useBy", "A day is needed: 2026-12-24.");
            else if (useBy < localNow.Date) checks.Add("useBy", "What is opened today is good today at least.");
            else if (useBy > lot.UseBy) checks.Add("useBy", "Opened, it keeps no longer than it would closed.");
        }

        var open = lot with { Id = parted, Left = amount, UseBy = useBy, IsOpen = true, Pack = null, Since = localNow, PartOf = lot.Id };
        return new LotChange(StockEntryKind.Opened, -amount, reason) { Parted = open };
    }

    private static LotChange Moved(FieldChecks checks, LotChangeDraft draft, StockLot lot, Guid parted, StockAmount amount, string reason)
    {
        var place = checks.Word("place", draft.Place, lot.Place);
        var shelf = draft.Shelf is null ? lot.Shelf : checks.Words("shelf", draft.Shelf, StockReceiptReader.LongestShelf);
        if (place == lot.Place && shelf == lot.Shelf) checks.Add("place", "There it lies already: say where it is moved to.");
        var there = lot with { Place = place, Shelf = shelf };
        return amount == lot.Left
            ? new LotChange(StockEntryKind.Moved, StockAmount.Zero(amount.Unit), reason) { Described = there }
            : new LotChange(StockEntryKind.Moved, -amount, reason) { Parted = there with { Id = parted, Left = amount, PartOf = lot.Id } };
    }
}
