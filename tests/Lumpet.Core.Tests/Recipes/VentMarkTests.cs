using Lumpet.Core.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

public sealed class VentMarkTests
{
    private static string Look(IEnumerable<VentStroke> strokes) => string.Join(' ', strokes.Select(stroke => $"{stroke}").Order(StringComparer.Ordinal));

    [Fact]
    public void No_two_products_of_a_bakery_have_one_mark()
    {
        string[] names = [.. Enumerable.Range(0, 2000).Select(at => $"Pie {at}")];
        var marks = VentMarks.Of(names);
        Assert.Equal(2000, marks.Values.Select(Look).Distinct().Count());
        Assert.All(marks.Values.SelectMany(mark => mark), stroke => Assert.True(Math.Max((stroke.X1 * stroke.X1) + (stroke.Y1 * stroke.Y1), (stroke.X2 * stroke.X2) + (stroke.Y2 * stroke.Y2)) <= 1));
    }

    [Fact]
    public void A_product_keeps_its_mark_when_others_come_after_it()
    {
        var before = VentMarks.Of(["Damson lattice", "Oat custard"]);
        var after = VentMarks.Of(["Damson lattice", "Oat custard", "Quince", "Rhubarb minis"]);
        Assert.Equal(before["Damson lattice"], after["Damson lattice"]);
        Assert.Equal(before["Oat custard"], after["Oat custard"]);
    }
}
