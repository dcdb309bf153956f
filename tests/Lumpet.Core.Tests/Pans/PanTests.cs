using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Pans;

public sealed class PanTests
{
    private static Pan Inches(double top, double bottom, double depth) =>
        Pan.Round("t", "test", Length.FromCentimetres(top * 2.54), Length.FromCentimetres(bottom * 2.54), Length.FromCentimetres(depth * 2.54), Length.Zero, 1);

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
        Assert.Equal(1570.796, Pan.Round("c", "c", Length.FromCentimetres(20), Length.FromCentimetres(20), Length.FromCentimetres(5), Length.Zero, 1).BrimfulVolume.Millilitres, 3);

    [Fact]
    public void A_lining_takes_its_thickness_off_floor_and_wall()
    {
        // Straight walls: 3 mm off each side and the floor: 19.4 across, 4.7 deep.
        var lined = Pan.Round("c", "c", Length.FromCentimetres(20), Length.FromCentimetres(20), Length.FromCentimetres(5), Length.Zero, 1)
            .Lined(Length.FromMillimetres(3));
        Assert.Equal(19.4, lined.Top.Width.Centimetres, 9);
        Assert.Equal(19.4, lined.Bottom.Width.Centimetres, 9);
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
        var lined = new LinedPan(Outline.Circle(Length.FromCentimetres(20)), Outline.Circle(Length.FromCentimetres(20)), Length.FromCentimetres(4));
        Assert.Equal(471.239, lined.MoundVolume(Length.FromCentimetres(3)).Millilitres, 3);
        var level = lined.LevelOf(lined.LevelVolume + Volume.FromMillilitres(471.2389));
        Assert.Equal(3, level.Mound.Centimetres, 4);
        Assert.Equal(4, level.Height.Centimetres, 9);
    }

    [Fact]
    public void A_level_holds_what_was_filled_in() =>
        Gen.Select(Gen.Double[10, 30], Gen.Double[0.6, 1], Gen.Double[2, 8], Gen.Double[0, 1]).Sample((top, taper, depth, share) =>
        {
            var lined = new LinedPan(Outline.Circle(Length.FromCentimetres(top)), Outline.Circle(Length.FromCentimetres(top * taper)), Length.FromCentimetres(depth));
            var filling = lined.LevelVolume * share;
            var height = lined.LevelOf(filling).Height.Centimetres;
            var across = top * (taper + ((1 - taper) * height / depth));
            var bottom = top * taper;
            Assert.Equal(filling.Millilitres, Math.PI * height / 12 * ((across * across) + (across * bottom) + (bottom * bottom)), 3);
        });

    private static Length Cm(double value) => Length.FromCentimetres(value);

    private static Pan Long(double length, double width, double floorLength, double floorWidth, double depth) => new(
        "long", "long", PanFamily.Rectangular, PanMaterial.Steel, Outline.Rectangle(Cm(length), Cm(width)), Outline.Rectangle(Cm(floorLength), Cm(floorWidth)), Cm(depth), Length.Zero, 1);

    [Theory]
    // Household pan tables (cookbook appendices, from memory): 8 x 8 x 2 in holds 8 cups, 9 x 13 x 2 in 14 to 15; brimful they
    // are 8.87 and 16.2 cups (2 x 64 and 2 x 117 cubic inches at 14.4375 to the cup).
    [InlineData(8, 8, 8.866)]
    [InlineData(13, 9, 16.208)]
    public void Straight_boxes_hold_their_sides_multiplied(double length, double width, double cups) =>
        Assert.Equal(cups, Long(length * 2.54, width * 2.54, length * 2.54, width * 2.54, 2 * 2.54).BrimfulVolume.UsCups, 2);

    [Fact]
    public void A_box_with_sloped_walls_holds_what_thin_slices_add_up_to()
    {
        // Summed by ten thousand slices, as an independent reckoning.
        var slices = Enumerable.Range(0, 10_000).Sum(at =>
        {
            var share = (at + 0.5) / 10_000;
            return (32 + (2 * share)) * (22 + (2 * share)) * 3.5 / 10_000;
        });
        Assert.Equal(slices, Long(34, 24, 32, 22, 3.5).BrimfulVolume.Millilitres, 3);
    }

    [Fact]
    public void Walls_are_measured_along_their_slope()
    {
        // Round, 23 over 19.5, 3.5 deep: slant sqrt(3.5^2 + 1.75^2) = 3.9131; lateral area pi (R + r) s = pi x 21.25 x 3.9131.
        var round = Pan.Round("r", "r", Cm(23), Cm(19.5), Cm(3.5), Length.Zero, 1);
        Assert.Equal(Math.PI * 21.25 * Math.Sqrt(15.3125), round.WallArea.SquareCentimetres, 9);
        // A straight box 30 x 20, 5 deep: 2 x (30 + 20) x 5.
        Assert.Equal(500, Long(30, 20, 30, 20, 5).WallArea.SquareCentimetres, 9);
        // Sloped on its long sides only: two trapezoids at the ends, two slanted sides.
        var tapered = Long(30, 20, 30, 18, 5);
        Assert.Equal((38 * 5) + (60 * Math.Sqrt(26)), tapered.WallArea.SquareCentimetres, 9);
    }

    [Fact]
    public void A_mound_on_a_slab_is_four_ninths_of_its_box()
    {
        // Mean of (1 - x^2)(1 - y^2) over the square is 2/3 x 2/3 (calculus); summed on a grid as an independent reckoning.
        double mean = 0;
        for (var x = 0; x < 200; x++)
            for (var y = 0; y < 200; y++)
                mean += (1 - Math.Pow(((x + 0.5) / 100) - 1, 2)) * (1 - Math.Pow(((y + 0.5) / 100) - 1, 2)) / 40_000;
        var lined = new LinedPan(Outline.Rectangle(Cm(30), Cm(20)), Outline.Rectangle(Cm(30), Cm(20)), Cm(3));
        Assert.Equal(600 * 2 * mean, lined.MoundVolume(Cm(2)).Millilitres, 0.05);
        Assert.Equal(2, lined.LevelOf(lined.LevelVolume + lined.MoundVolume(Cm(2))).Mound.Centimetres, 9);
    }

    [Theory]
    [InlineData("freeForm")]
    [InlineData("foil")]
    [InlineData("slab")]
    public void Every_family_and_material_is_read_and_written(string family)
    {
        var isLong = family == "slab";
        var draft = new PanDraft("p", "Pan", family, null, 30, 28, isLong ? 20 : null, isLong ? 18 : null, 3, 0.5, 2);
        var checks = new FieldChecks();
        var pan = Assert.Single(PanReader.Read(checks, "pans", [draft]));
        Assert.Empty(checks.Faults);
        Assert.Equal(isLong, !pan.IsRound);
        var again = Assert.Single(PanReader.Read(checks, "pans", [PanReader.Write(pan)]));
        Assert.Equal(pan, again);
        Assert.NotEmpty(PanMaterials.Note(pan.Material));
    }

    [Theory]
    [InlineData("family", "round")]
    [InlineData("material", "3")]
    [InlineData("topWidthCm", "wider than long")]
    [InlineData("topWidthCm", "a slab of one side")]
    [InlineData("bottomWidthCm", "a floor wider than the top")]
    [InlineData("depthCm", "a pan deeper than wide by ten")]
    [InlineData("depthCm", "no number")]
    public void A_pan_that_cannot_be_names_its_field(string field, string what)
    {
        var good = new PanDraft("p", "Pan", "sloped", "steel", 30, 28, null, null, 3, 1, 2);
        var draft = what switch
        {
            "round" => good with { Family = what },
            "3" => good with { Material = what },
            "wider than long" => good with { Family = "slab", TopWidthCm = 40, BottomWidthCm = 28 },
            "a slab of one side" => good with { Family = "slab" },
            "a floor wider than the top" => good with { Family = "slab", TopWidthCm = 20, BottomWidthCm = 25 },
            "a pan deeper than wide by ten" => good with { TopCm = 6, BottomCm = 6, DepthCm = 16 },
            _ => good with { DepthCm = double.NaN },
        };
        var checks = new FieldChecks();
        PanReader.Read(checks, "pans", [draft]);
        Assert.Contains(checks.Faults, fault => fault.Field == $"pans[0].{field}");
    }

    [Fact]
    public void A_lattice_strip_wider_than_the_pan_cannot_be_cut()
    {
        var lattice = TestBakery.Pear with { Crust = TestBakery.Pear.Crust with { Top = Top.Lattice, StripWidth = Length.FromCentimetres(26) } };
        Assert.Contains("wider than the pan", Assert.Throws<ArgumentException>(() => DoughPieces.For(lattice, TestBakery.Pan23, Length.Zero)).Message, StringComparison.Ordinal);
        Assert.NotEmpty(DoughPieces.For(lattice, TestBakery.Pan26, Length.Zero));
    }
}
