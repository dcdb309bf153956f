using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes;

public sealed class ScalingTests
{
    private static readonly Gen<Pan> AnyPan =
        Gen.Select(Gen.Double[12, 40], Gen.Double[0.7, 1], Gen.Double[2, 7], Gen.Double[0, 2]).Select(pan => Pan.Round(
            "any", "any", Length.FromCentimetres(pan.Item1), Length.FromCentimetres(pan.Item1 * pan.Item2), Length.FromCentimetres(pan.Item3), Length.FromCentimetres(pan.Item4), 1));

    [Fact]
    public void In_its_own_pan_a_recipe_is_what_is_written()
    {
        var scaled = Scaling.Scale(Pear, Pan23, 1);
        Assert.Equal(1, scaled.FillingScale.Factor, 12);
        Assert.Equal(1, scaled.DoughFactor, 12);
        Assert.Equal([1010, 140, 26], scaled.Fillings.First().Lines.Select(line => Math.Round(line.PerPie.Grams, 6)));
    }

    [Fact]
    public void Filling_follows_volume_by_hand()
    {
        // The 23 cm pan lined with 3 mm: slope 1.75 / 3.5 = 0.5, so the wall takes 3 mm * sqrt(1.25) sideways.
        var sideways = 0.3 * Math.Sqrt(1.25);
        var (top, bottom, depth) = (23 - (2 * sideways), 19.5 + (2 * ((0.5 * 0.3) - sideways)), 3.2);
        var level = Math.PI * depth / 12 * ((top * top) + (top * bottom) + (bottom * bottom));
        var written = 1176 / 0.62;
        var mound = 2 * (written - level) / (Math.PI / 4 * top * top);
        var small = Scaling.Scale(Pear, Pan23, 1).FillingScale;
        Assert.Equal(level, small.Lined.LevelVolume.Millilitres, 6);
        Assert.Equal(mound, small.Level.Mound.Centimetres, 6);

        // The 26 cm pan: slope again 0.5; the mound grows with the diameter.
        var (wide, narrow, deep) = (26 - (2 * sideways), 22 + (2 * ((0.5 * 0.3) - sideways)), 3.7);
        var room = (Math.PI * deep / 12 * ((wide * wide) + (wide * narrow) + (narrow * narrow)))
            + (Math.PI / 8 * wide * wide * (mound * wide / top));
        var large = Scaling.Scale(Pear, Pan26, 24);
        Assert.Equal(room / written, large.FillingScale.Factor, 9);
        Assert.Equal(1010 * room / written * 24, large.Fillings.First().Lines[0].Total.Grams, 6);
        Assert.Equal(large.Fillings.First().Lines[0].Total.Grams / 0.78, large.Fillings.First().Lines[0].ToBuy.Grams, 6);
    }

    [Fact]
    public void A_custard_keeps_its_share_of_the_pan_and_has_no_mound()
    {
        var scaled = Scaling.Scale(Custard, Pan26, 1).FillingScale;
        Assert.True(scaled.LevelShare < 1);
        Assert.Equal(0, scaled.Level.Mound.Centimetres);
        Assert.Equal(scaled.LevelShare, scaled.Room / scaled.Lined.LevelVolume, 9);
        Assert.True(scaled.Moved.Centimetres > 0);
    }

    [Fact]
    public void Scaling_there_and_back_is_the_identity() =>
        AnyPan.Sample(pan =>
        {
            var there = FillingScale.For(Pear, pan);
            // The same recipe, written for that pan with what scaling gave.
            var moved = Pear.Filled([.. Pear.MainFilling.Lines.Select(line => line with { Amount = line.Amount * there.Factor })]) with { ReferencePan = pan };
            Assert.Equal(1, there.Factor * FillingScale.For(moved, Pan23).Factor, 6);
        });

    [Fact]
    public void Counts_add_up() =>
        Gen.Select(Gen.Int[1, 500], Gen.Int[1, 500]).Sample((one, other) => Assert.Equal(
            Scaling.Scale(Pear, Pan26, one + other).Fillings.First().Lines[0].Total.Grams,
            Scaling.Scale(Pear, Pan26, one).Fillings.First().Lines[0].Total.Grams + Scaling.Scale(Pear, Pan26, other).Fillings.First().Lines[0].Total.Grams,
            4));

    [Theory]
    // Common practice, no source: 33 cm for a 23 cm pan, 35 to 37 cm for 26 cm.
    [InlineData("23", 32.5, 33.5)]
    [InlineData("26", 35, 37)]
    public void A_base_is_about_ten_centimetres_wider_than_its_pan(string pan, double least, double most) =>
        Assert.InRange(DoughPieces.BaseOutline(Pear.Crust, pan == "23" ? Pan23 : Pan26).Width.Centimetres, least, most);

    [Fact]
    public void Dough_of_three_millimetres_weighs_3_6_grams_on_ten_square_centimetres()
    {
        // Common practice, no source: about 3.6 g per 10 cm2 at 1.2 g/cm3.
        var piece = Scaling.Scale(Pear, Pan23, 1).Pieces[0];
        Assert.Equal(3.6, piece.Mass.Grams / piece.Area.SquareCentimetres * 10, 6);
    }

    [Fact]
    public void A_disc_is_its_piece_and_the_trim()
    {
        var piece = Scaling.Scale(Pear, Pan23, 1).Pieces[1];
        Assert.Equal("lid", piece.Name);
        Assert.Equal(piece.Mass.Grams / 0.88, piece.Disc.Grams, 9);
        Assert.Equal(piece.Disc.Grams * 0.12, piece.Trim.Grams, 9);
    }

    [Fact]
    public void A_dough_of_300_flour_227_butter_118_water_makes_two_bases_for_23_cm()
    {
        // Common practice, no source. 645 g in two: 322 g a base, as a disc with a few per cent to spare.
        var disc = Scaling.Scale(Pear, Pan23, 1).Pieces[0].Disc.Grams;
        Assert.InRange(disc * 2, 645 * 0.9, 645 * 1.1);
    }

    [Fact]
    public void A_lid_follows_its_mound()
    {
        // Arc of a parabola by small chords, as an independent reckoning: 22 cm wide, 5 cm high.
        var arc = Enumerable.Range(0, 20000).Sum(step =>
        {
            double Y(double x) => 5 * (1 - (x * x / 121));
            var (left, right) = (-11 + (step * 0.0011), -11 + ((step + 1) * 0.0011));
            return Math.Sqrt(Math.Pow(right - left, 2) + Math.Pow(Y(right) - Y(left), 2));
        });
        Assert.Equal(arc, DoughPieces.ParabolaArc(Length.FromCentimetres(22), Length.FromCentimetres(5)).Centimetres, 4);
        Assert.Equal(22, DoughPieces.ParabolaArc(Length.FromCentimetres(22), Length.Zero).Centimetres);
    }

    [Fact]
    public void A_lattice_has_as_many_strips_as_fit_across_both_ways()
    {
        var lattice = Scaling.Scale(Pear with { Crust = Pear.Crust with { Top = Top.Lattice } }, Pan23, 1).Pieces[1];
        // 25 cm across the rim; strips of 2 with gaps of 1: (25 + 1) / 3 = 8 each way.
        Assert.Equal((8, 8), (lattice.Strips.Upright.Count, lattice.Strips.Across.Count));
        Assert.Equal(lattice.Strips.All.Sum(strip => strip.Centimetres) * 2, lattice.Area.SquareCentimetres, 9);
        Assert.All(lattice.Strips.All, strip => Assert.InRange(strip.Centimetres, 10, 27.4));
    }

    [Fact]
    public void An_open_tart_has_a_base_only() => Assert.Single(Scaling.Scale(Custard, Pan23, 1).Pieces);

    [Fact]
    public void Dough_lines_make_the_discs_and_what_stays_in_the_bowl()
    {
        var scaled = Scaling.Scale(Pear, Pan26, 7);
        Assert.Equal(scaled.DoughPerPie.Grams * 7 / 0.99, scaled.Doughs.First().Lines.Sum(line => line.Total.Grams), 6);
        Assert.Equal(0.5, scaled.Doughs.First().Lines[0].Total / (scaled.Doughs.First().Lines[0].Total + scaled.Doughs.First().Lines[1].Total + scaled.Doughs.First().Lines[2].Total), 9);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(1_000_000_000)]
    public void An_absurd_count_is_refused(int count) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Scaling.Scale(Pear, Pan23, count));
}
