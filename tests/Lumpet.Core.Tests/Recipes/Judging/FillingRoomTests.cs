using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Recipes.Judging;

public sealed class FillingRoomTests
{
    private static Length Cm(double value) => Length.FromCentimetres(value);

    // A ring of 20.6 cm, 4.3 cm deep, lined 3 mm thick, leaves a room of 20 cm and 4 cm: 1256.6 ml, and 314.2 ml a centimetre.
    private static readonly Pan Ring = Pan.Round("ring", "ring", Cm(20.6), Cm(20.6), Cm(4.3), Length.Zero, 4);

    private static FillingRoom? Room(FillingKind kind, double grams, double density, double moves, Top top = Top.Open)
    {
        var product = Pear with { Layers = [Layered.Filling([Line("anything", grams)], density, kind)], BakeChange = Cm(moves), Crust = Pear.Crust with { Top = top }, ReferencePan = Ring, Sizes = [new ProductSize(Ring, null)] };
        return FillingRoom.Of(Scaling.Scale(product, Ring, 1));
    }

    [Fact]
    public void A_poured_filling_above_the_brim_is_said_with_what_would_fit()
    {
        // 1476.5 ml stand 0.7 cm above the brim of 1256.6 ml; at 1.05 g/ml 1319.5 g fit.
        var room = Room(FillingKind.BakedCustard, (1256.637 + (0.7 * 314.159)) * 1.05, 1.05, 0)!;
        Assert.Equal(0.7, room.Over.Centimetres, 3);
        Assert.Equal("above the brim", room.Why);
        Assert.Equal(1319.5, room.Fits.Grams, 0.1);
    }

    [Fact]
    public void A_filling_that_is_flush_and_rises_runs_over()
    {
        // Flush, and 1.3 cm more when it rises: 2.7 cm deep is what may be poured, 848.2 ml.
        var room = Room(FillingKind.BakedCustard, 1256.6 * 1.05, 1.05, 1.3)!;
        Assert.Equal(1.3, room.Over.Centimetres, 2);
        Assert.Equal("above the brim when it rises", room.Why);
        Assert.Equal(848.2 * 1.05, room.Fits.Grams, 0.2);
        Assert.Null(Room(FillingKind.BakedCustard, 848.2 * 1.05, 1.05, 1.3));
    }

    [Fact]
    public void Fruit_heaps_as_high_as_a_pan_of_this_width_holds()
    {
        // A mound of 11 cm on 20 cm: half the area times the height is 1727.9 ml above 1256.6. A lid holds 0.3 of the width, 6 cm.
        var room = Room(FillingKind.RawFruit, (1256.637 + 1727.876) * 0.62, 0.62, -3, Top.Lid)!;
        Assert.Equal(11 - 6, room.Over.Centimetres, 3);
        Assert.Equal((1256.637 + (0.5 * 314.159 * 6)) * 0.62, room.Fits.Grams, 0.1);
        Assert.Null(Room(FillingKind.RawFruit, (1256.637 + (0.5 * 314.159 * 5.9)) * 0.62, 0.62, -3, Top.Lid));
        // Without a lid it rolls off earlier, and berries at once.
        Assert.Equal(5.9 - 4, Room(FillingKind.RawFruit, (1256.637 + (0.5 * 314.159 * 5.9)) * 0.62, 0.62, -3)!.Over.Centimetres, 3);
        Assert.NotNull(Room(FillingKind.Berry, (1256.637 + (0.5 * 314.159 * 3)) * 0.62, 0.62, 0));
    }

    [Fact]
    public void What_lies_below_the_brim_is_fine() => Assert.Null(Room(FillingKind.CookedCream, 1000, 1.05, 0));
}
