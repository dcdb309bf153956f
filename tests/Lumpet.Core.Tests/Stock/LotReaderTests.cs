using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Stock;

/// <summary>What comes to a shelf and what is done to a lot, as people say it.</summary>
public sealed class LotReaderTests
{
    private static readonly LocalDateTime Now = new(2026, 11, 25, 9, 0);
    private static readonly Guid Id = Guid.NewGuid();
    private static readonly Guid Other = Guid.NewGuid();
    private static readonly Dictionary<string, Ingredient> Ingredients = IngredientLibrary.All.Append(new Ingredient("dough:flaky", "Flaky", [])).ToDictionary(one => one.Id);

    private static (StockLot? Lot, string[] Fields) Receive(StockReceiptDraft draft)
    {
        var (lot, faults) = StockReceiptReader.Read(draft, Id, Ingredients, "EUR", Now);
        return (lot, [.. faults.Select(fault => fault.Field)]);
    }

    private static StockReceiptDraft Cream { get; } = new("cream", "5 kg", 3, "Headland Dairy", "HD 7", "2026-12-01", "cold", "Walk-in", 25.5m, "cold on arrival");

    [Fact]
    public void Packs_are_counted_in_grams_whatever_they_are_said_in()
    {
        var (lot, fields) = Receive(Cream);
        Assert.Empty(fields);
        Assert.Equal((15_000_000L, 5_000_000L), (lot!.Left.Count, lot.Pack!.Value.Count));
        Assert.Equal(("HD 7", KeepPlace.Cold, "Walk-in", new LocalDate(2026, 12, 1), Now, "Headland Dairy", new Money(25.5m, "EUR"), "cold on arrival"), (lot.Code, lot.Place, lot.Shelf, lot.UseBy, lot.Since, lot.Supplier, lot.PaidForPack, lot.Note));
        // A litre by the density that ships, a tray by the weight of one egg, a dozen dozens of boxes by the piece.
        var milk = Ingredients["milk"].Facts.Density!.Value.GramsPerMillilitre;
        Assert.Equal(Math.Round(6000 * milk * 1000), Receive(new StockReceiptDraft("milk", "case of 6 x 1 l", 1)).Lot!.Left.Count);
        Assert.Equal(Math.Round(2 * 30 * Ingredients["egg"].Facts.OnePiece!.Weight.Grams * 1000), Receive(new StockReceiptDraft("egg", "tray of 30", 2)).Lot!.Left.Count);
        Assert.Equal(StockAmount.Pieces(200), Receive(new StockReceiptDraft("box", "100 pieces", 2)).Lot!.Left);
    }

    [Fact]
    public void What_is_missing_or_wrong_is_named_by_its_field()
    {
        Assert.Equal(["ingredient"], Receive(Cream with { Ingredient = "dough:flaky" }).Fields);
        Assert.Equal(["ingredient", "pack", "packs"], Receive(new StockReceiptDraft(null, null, null)).Fields);
        Assert.Equal(["packs"], Receive(Cream with { Packs = 0 }).Fields);
        Assert.Equal(["packs"], Receive(Cream with { Pack = "90000 kg", Packs = 2 }).Fields);
        Assert.Equal(["place", "paid", "useBy"], Receive(Cream with { Place = "attic", Paid = -1, UseBy = "1.12." }).Fields);
        Assert.Equal(["code", "shelf", "note"], Receive(Cream with { Code = new string('x', 41), Shelf = new string('x', 41), Note = new string('x', 121) }).Fields);
        Assert.Equal(["pack"], StockReceiptReader.Read(new StockReceiptDraft("odd", "1 l", 1), Id, new Dictionary<string, Ingredient> { ["odd"] = new("odd", "Odd", []) }, "EUR", Now).Faults.Select(fault => fault.Field));
    }

    private static readonly StockLot Lot = new(Id, new StockedGoods("cream"), "HD 7", StockAmount.Of(Mass.FromKilograms(12)), KeepPlace.Cold)
    {
        UseBy = Now.Date.PlusDays(6),
        Pack = StockAmount.Of(Mass.FromKilograms(5)),
        Shelf = "Walk-in",
    };

    private static (LotChange? Change, string[] Fields) Change(LotChangeDraft draft, StockLot? lot = null, Mass? piece = null)
    {
        var (change, faults) = LotChangeReader.Read(draft, lot ?? Lot, piece, Other, Now);
        return (change, [.. faults.Select(fault => fault.Field)]);
    }

    private static double Kilograms(LotChange? change) => change!.Change.Mass.Kilograms;

    [Fact]
    public void Some_is_used_counted_put_right_or_thrown_away()
    {
        Assert.Equal(-2.5, Kilograms(Change(new LotChangeDraft("used", Kilograms: 2.5)).Change));
        Assert.Equal(-6.5, Kilograms(Change(new LotChangeDraft("counted", Packs: 1, Kilograms: 0.5)).Change));
        Assert.Equal(3, Kilograms(Change(new LotChangeDraft("counted", Packs: 3)).Change));
        Assert.Equal(-12, Kilograms(Change(new LotChangeDraft("counted", Kilograms: 0)).Change));
        Assert.Equal(-1, Kilograms(Change(new LotChangeDraft("adjusted", Kilograms: -1, Reason: "weighed wrong")).Change));
        var wasted = Change(new LotChangeDraft("wasted", Packs: 2, Reason: "turned")).Change!;
        Assert.Equal((-10.0, "turned", StockEntryKind.Wasted, (StockLot?)null), (Kilograms(wasted), wasted.Reason, wasted.Kind, wasted.Parted));
        // Shells go by the piece, though they are weighed on the books.
        Assert.Equal(-0.24, Kilograms(Change(new LotChangeDraft("used", Pieces: 10), Lot with { Pack = null }, Mass.FromGrams(24)).Change), 9);
        Assert.Equal(StockAmount.Pieces(-3), Change(new LotChangeDraft("used", Pieces: 3), Lot with { Left = StockAmount.Pieces(5), Pack = null }).Change!.Change);
    }

    [Fact]
    public void Nothing_is_taken_that_is_not_there_and_no_reason_is_no_reason()
    {
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("used", Kilograms: 12.001)).Fields);
        Assert.Equal(["packs"], Change(new LotChangeDraft("wasted", Packs: 3, Reason: "turned")).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("adjusted", Kilograms: -13, Reason: "x")).Fields);
        Assert.Equal(["reason"], Change(new LotChangeDraft("wasted", Kilograms: 1)).Fields);
        Assert.Equal(["reason"], Change(new LotChangeDraft("adjusted", Kilograms: 1, Reason: " ")).Fields);
        Assert.Equal(["packs"], Change(new LotChangeDraft("counted", Packs: 100_000)).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("used")).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("used", Kilograms: 0)).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("used", Kilograms: -1)).Fields);
        Assert.Equal(["pieces"], Change(new LotChangeDraft("used", Pieces: 1)).Fields);
        Assert.Equal(["packs"], Change(new LotChangeDraft("used", Packs: 1), Lot with { Pack = null }).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("used", Kilograms: 1), Lot with { Left = StockAmount.Pieces(5), Pack = null }).Fields);
        foreach (var kind in new[] { null, "received", "made", "takenBack", "eaten", "1" }) Assert.Equal(["kind"], Change(new LotChangeDraft(kind, Kilograms: 1)).Fields);
    }

    [Fact]
    public void A_pack_that_is_opened_is_a_lot_of_its_own_that_ends_sooner()
    {
        var opened = Change(new LotChangeDraft("opened", UseBy: "2026-11-28")).Change!;
        Assert.Equal((-5.0, 5.0), (Kilograms(opened), opened.Parted!.Left.Mass.Kilograms));
        Assert.Equal((Other, (Guid?)Id, true, new LocalDate(2026, 11, 28), (StockAmount?)null, "HD 7", Now), (opened.Parted.Id, opened.Parted.PartOf, opened.Parted.IsOpen, opened.Parted.UseBy!.Value, opened.Parted.Pack, opened.Parted.Code, opened.Parted.Since));
        Assert.Equal(Lot.UseBy, Change(new LotChangeDraft("opened", Packs: 2)).Change!.Parted!.UseBy);
        Assert.Equal(["useBy"], Change(new LotChangeDraft("opened", UseBy: "2026-12-24")).Fields);
        Assert.Equal(["useBy"], Change(new LotChangeDraft("opened", UseBy: "2026-11-24")).Fields);
        Assert.Equal(["packs"], Change(new LotChangeDraft("opened", Packs: 3)).Fields);
        Assert.Equal(["kind"], Change(new LotChangeDraft("opened"), Lot with { IsOpen = true, Pack = null }).Fields);
    }

    [Fact]
    public void Part_of_a_lot_that_is_moved_is_a_lot_of_its_own_and_all_of_it_stays_the_same()
    {
        var part = Change(new LotChangeDraft("moved", Kilograms: 4, Place: "frozen", Shelf: "")).Change!;
        Assert.Equal((-4.0, 4.0, KeepPlace.Frozen, "", (Guid?)Id), (Kilograms(part), part.Parted!.Left.Mass.Kilograms, part.Parted.Place, part.Parted.Shelf, part.Parted.PartOf));
        var all = Change(new LotChangeDraft("moved", Place: "frozen")).Change!;
        Assert.Equal((0.0, (StockLot?)null, KeepPlace.Frozen, Id), (Kilograms(all), all.Parted, all.Described!.Place, all.Described.Id));
        Assert.Equal(["place"], Change(new LotChangeDraft("moved", Kilograms: 4)).Fields);
        Assert.Equal(["kilograms"], Change(new LotChangeDraft("moved", Kilograms: 13, Place: "room")).Fields);
    }

    [Fact]
    public void How_a_lot_is_described_changes_and_nothing_else()
    {
        var (lot, faults) = StockReceiptReader.Read(new LotDescriptionDraft("HD 8", null, "Walk-in, left", "blue crate"), Lot);
        Assert.Empty(faults);
        Assert.Equal(Lot with { Code = "HD 8", UseBy = null, Shelf = "Walk-in, left", Note = "blue crate" }, lot);
    }
}
