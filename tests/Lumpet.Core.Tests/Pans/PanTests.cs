using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Xunit;

namespace Lumpet.Core.Tests.Pans;

public sealed class PanTests
{
    private static Pan Inches(double top, double bottom, double depth) =>
        new("t", "test", Length.FromInches(top), Length.FromInches(bottom), Length.FromInches(depth), Length.Zero, 1);

    [Fact]
    public void A_nine_inch_pan_with_a_bottom_of_seven_and_a_half_holds_about_4_7_cups()
    {
        // Household pan tables (cookbook appendices, from memory) give 4.7; the frustum by hand is
        // pi * 1.25 / 12 * (81 + 67.5 + 56.25) = 67.004 cubic inches, at 14.4375 to the cup 4.641.
        var cups = Inches(9, 7.5, 1.25).BrimfulVolume.UsCups;
        Assert.Equal(67.004 / 14.4375, cups, 3);
        Assert.Equal(4.7, cups, 0.1);
    }

    [Theory]
    // Household pan tables (cookbook appendices, from memory), level with the usual headroom: brimful lies up to 17 % above.
    [InlineData(8, 6.6, 1.25, 3)]
    [InlineData(9, 7.5, 1.25, 4)]
    [InlineData(9, 7.5, 1.5, 5)]
    [InlineData(9.5, 8, 2, 7.5)]
    public void Brimful_pans_lie_near_the_household_tables(double top, double bottom, double depth, double cups)
    {
        var share = Inches(top, bottom, depth).BrimfulVolume.UsCups / cups;
        Assert.InRange(share, 1.0, 1.22);
    }

    [Fact]
    public void A_straight_pan_is_a_cylinder() =>
        // pi / 4 * 20^2 * 5.
        Assert.Equal(1570.796, new Pan("c", "c", Length.FromCentimetres(20), Length.FromCentimetres(20), Length.FromCentimetres(5), Length.Zero, 1).BrimfulVolume.Millilitres, 3);

    [Fact]
    public void A_lining_takes_its_thickness_off_floor_and_wall()
    {
        // Straight walls: 3 mm off each side and the floor: 19.4 across, 4.7 deep.
        var lined = new Pan("c", "c", Length.FromCentimetres(20), Length.FromCentimetres(20), Length.FromCentimetres(5), Length.Zero, 1)
            .Lined(Length.FromMillimetres(3));
        Assert.Equal(19.4, lined.TopDiameter.Centimetres, 9);
        Assert.Equal(19.4, lined.BottomDiameter.Centimetres, 9);
        Assert.Equal(Math.PI / 4 * 19.4 * 19.4 * 4.7, lined.LevelVolume.Millilitres, 6);
    }

    [Fact]
    public void A_lining_of_no_thickness_leaves_the_whole_pan() =>
        Assert.Equal(Inches(9, 7.5, 1.25).BrimfulVolume.Millilitres, Inches(9, 7.5, 1.25).Lined(Length.Zero).LevelVolume.Millilitres, 9);

    [Fact]
    public void A_lining_as_thick_as_the_pan_is_refused() =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Inches(4, 3, 1).Lined(Length.FromCentimetres(3)));

    [Fact]
    public void What_does_not_fit_below_the_rim_is_mounded_as_a_paraboloid()
    {
        // A paraboloid on a circle of 20 cm, 3 cm high, holds half of base area times height: 471.24 ml.
        var lined = new LinedPan(Length.FromCentimetres(20), Length.FromCentimetres(20), Length.FromCentimetres(4));
        Assert.Equal(471.239, lined.MoundVolume(Length.FromCentimetres(3)).Millilitres, 3);
        var level = lined.LevelOf(lined.LevelVolume + Volume.FromMillilitres(471.2389));
        Assert.Equal(3, level.Mound.Centimetres, 4);
        Assert.Equal(4, level.Height.Centimetres, 9);
    }

    [Fact]
    public void A_level_holds_what_was_filled_in() =>
        Gen.Select(Gen.Double[10, 30], Gen.Double[0.6, 1], Gen.Double[2, 8], Gen.Double[0, 1]).Sample((top, taper, depth, share) =>
        {
            var lined = new LinedPan(Length.FromCentimetres(top), Length.FromCentimetres(top * taper), Length.FromCentimetres(depth));
            var filling = lined.LevelVolume * share;
            var height = lined.LevelOf(filling).Height.Centimetres;
            var across = top * (taper + ((1 - taper) * height / depth));
            var bottom = top * taper;
            Assert.Equal(filling.Millilitres, Math.PI * height / 12 * ((across * across) + (across * bottom) + (bottom * bottom)), 3);
        });
}
