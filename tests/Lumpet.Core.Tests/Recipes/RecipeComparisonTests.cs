using Lumpet.Core.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

public sealed class RecipeComparisonTests
{
    private static KeptLine Line(string preparation, double grams) => new("filling", "Butter", preparation, grams, string.Empty);

    [Fact]
    public void A_line_does_not_take_the_exact_partner_of_a_later_one()
    {
        // The softened butter is new; the cold one is the same as before.
        var rows = RecipeComparison.Of([Line("cold", 200)], [Line("softened", 80), Line("cold", 200)]);
        Assert.Equal([("Butter, softened", null, 80.0), ("Butter, cold", 200.0, 200.0)], rows.Select(row => (row.What, row.Old, row.New!.Value)));
        Assert.True(rows[1].IsSame);
    }

    [Fact]
    public void What_was_only_prepared_otherwise_is_still_paired_and_what_is_left_out_is_shown()
    {
        var rows = RecipeComparison.Of([Line("cold", 200), Line("melted", 30)], [Line("softened", 210)]);
        Assert.Equal([("Butter, softened", 200.0, 210.0), ("Butter, melted", 30.0, null)], rows.Select(row => (row.What, row.Old!.Value, row.New)));
    }

    [Fact]
    public void Lines_that_are_alike_are_paired_one_to_one()
    {
        var rows = RecipeComparison.Of([Line("", 1), Line("", 2)], [Line("", 1), Line("", 2), Line("", 3)]);
        Assert.Equal([1.0, 2.0, null], rows.Select(row => row.Old));
    }
}
