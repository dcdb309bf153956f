using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Xunit;

namespace Lumpet.Core.Tests.Pans;

public sealed class TrayLayoutTests
{
    [Fact]
    public void Pans_never_overlap_and_never_hang_over() =>
        Gen.Select(Gen.Int[1, 40], Gen.Double[3, 46]).Sample((pans, across) =>
        {
            if (TrayLayout.Of(pans, Outline.Circle(Length.FromCentimetres(across))) is not { } layout) return;
            Assert.Equal(pans, layout.Spots.Count);
            Assert.All(layout.Spots, spot => Assert.True(
                spot.XCm >= (across / 2) - 1e-9 && spot.XCm <= 66 - (across / 2) + 1e-9 && spot.YCm >= (across / 2) - 1e-9 && spot.YCm <= 46 - (across / 2) + 1e-9));
            for (var one = 0; one < pans; one++)
                for (var other = 0; other < one; other++)
                    Assert.True(
                        Math.Sqrt(Math.Pow(layout.Spots[one].XCm - layout.Spots[other].XCm, 2) + Math.Pow(layout.Spots[one].YCm - layout.Spots[other].YCm, 2)) >= across - 1e-9,
                        $"{pans} of {across}");
        });

    // By hand: rows 46 - d apart, neighbours d apart, so that they are sqrt(d^2 - (46 - d)^2) along: 13.56 cm for 25 cm.
    [Theory]
    [InlineData(4, 25, true)]
    [InlineData(5, 25, false)]
    [InlineData(2, 28, true)]
    [InlineData(3, 28, false)]
    [InlineData(6, 22, true)]
    [InlineData(1, 46, true)]
    [InlineData(1, 47, false)]
    public void So_many_fit_and_no_more(int pans, double across, bool fits) => Assert.Equal(fits, TrayLayout.Of(pans, Outline.Circle(Length.FromCentimetres(across))) is not null);

    // Grids on 46 x 66 cm: 6 circles of 22 cm (2 x 3), 12 of 15 (3 x 4); of 23 cm a staggered pattern takes 5 (packing literature).
    [Theory]
    [InlineData(22, 6)]
    [InlineData(23, 5)]
    [InlineData(15, 12)]
    public void A_full_tray_holds_what_the_packing_literature_says(double across, int circles) =>
        Assert.Equal(circles, TrayLayout.Fullest(TrayLayout.Tray, Outline.Circle(Length.FromCentimetres(across))).Spots.Count);

    // By hand: two slabs of 35.6 x 25.6 do not fit side by side along 66, but turned they do: 2 x 25.6 <= 66, 35.6 <= 46.
    [Fact]
    public void Slabs_are_turned_where_that_holds_more()
    {
        var slab = Outline.Rectangle(Length.FromCentimetres(35.6), Length.FromCentimetres(25.6));
        var layout = TrayLayout.Of(2, slab)!;
        Assert.True(layout.IsTurned);
        Assert.Equal(2, TrayLayout.Fullest(TrayLayout.Tray, slab).Spots.Count);
        Assert.Null(TrayLayout.Of(3, slab));
    }

    [Fact]
    public void Nothing_on_a_full_sheet_overlaps_or_hangs_over() =>
        Gen.Select(Gen.Double[2, 60], Gen.Double[0.3, 1], Gen.Bool).Sample((length, ratio, isRound) =>
        {
            var piece = isRound ? Outline.Circle(Length.FromCentimetres(length)) : Outline.Rectangle(Length.FromCentimetres(length), Length.FromCentimetres(length * ratio));
            var sheet = Outline.Rectangle(Length.FromCentimetres(60), Length.FromCentimetres(40));
            var layout = TrayLayout.Fullest(sheet, piece);
            var (x, y) = layout.IsTurned ? (piece.Width.Centimetres, piece.Length.Centimetres) : (piece.Length.Centimetres, piece.Width.Centimetres);
            Assert.All(layout.Spots, spot => Assert.True(spot.XCm >= (x / 2) - 1e-6 && spot.XCm <= 60 - (x / 2) + 1e-6 && spot.YCm >= (y / 2) - 1e-6 && spot.YCm <= 40 - (y / 2) + 1e-6));
            for (var one = 0; one < layout.Spots.Count; one++)
                for (var other = 0; other < one; other++)
                {
                    var (across, down) = (Math.Abs(layout.Spots[one].XCm - layout.Spots[other].XCm), Math.Abs(layout.Spots[one].YCm - layout.Spots[other].YCm));
                    Assert.True(isRound ? Math.Sqrt((across * across) + (down * down)) >= x - 1e-6 : across >= x - 1e-6 || down >= y - 1e-6);
                }
        }, iter: 300);
}
