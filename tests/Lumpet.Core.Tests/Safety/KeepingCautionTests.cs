using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Safety;

/// <summary>How long what needs control is kept: FDA Food Code 2022, 3-501.17 and 3-501.19, from memory.</summary>
public sealed class KeepingCautionTests
{
    private const int Day = 1440;

    private static Ingredient Made(bool needsControl, Keeping keeping) => new("made", "Made", [])
    {
        Facts = new IngredientFacts { StatedNeedsControl = needsControl },
        Formula = new IngredientFormula([new RecipeLine(new Ingredient("part", "Part", []), string.Empty, Yield.Whole, Mass.FromGrams(100))], 1)
        {
            How = new Making(PreparationKind.Curd, [], new BatchLimits(Mass.Zero, Mass.FromGrams(1000), Mass.FromGrams(1000)), keeping),
        },
    };

    private static Keeping In(KeepPlace place, int most) => new(place, new Span(0, 0, most), string.Empty);

    [Theory]
    [InlineData(KeepPlace.Room, 240, "")]
    [InlineData(KeepPlace.Room, 241, "3-501.19")]
    [InlineData(KeepPlace.Cold, 6 * Day, "")]
    [InlineData(KeepPlace.Cold, (6 * Day) + 1, "3-501.17")]
    [InlineData(KeepPlace.Frozen, 300 * Day, "")]
    public void What_needs_control_is_not_kept_beyond_the_rule_unsaid(KeepPlace place, int most, string rule)
    {
        var said = KeepingCautions.Of(Made(true, In(place, most)));
        if (rule.Length == 0) Assert.Empty(said);
        else Assert.Contains(rule, said, StringComparison.Ordinal);
        if (rule.Length > 0) Assert.EndsWith("Local codes and licensed practice decide.", said, StringComparison.Ordinal);
        Assert.Equal(said, KeepingCautions.Of(Made(true, In(place, most)), place));
        Assert.Empty(KeepingCautions.Of(Made(false, In(place, most))));
    }

    [Fact]
    public void Every_place_is_looked_at_and_each_by_itself()
    {
        var made = Made(true, In(KeepPlace.Frozen, 90 * Day) with { Elsewhere = [new KeptIn(KeepPlace.Cold, 0, 14 * Day), new KeptIn(KeepPlace.Room, 0, Day)] });
        var said = KeepingCautions.Of(made);
        Assert.Contains("3-501.17", said, StringComparison.Ordinal);
        Assert.Contains("3-501.19", said, StringComparison.Ordinal);
        Assert.Empty(KeepingCautions.Of(made, KeepPlace.Frozen));
        Assert.DoesNotContain("3-501.19", KeepingCautions.Of(made, KeepPlace.Cold), StringComparison.Ordinal);
        Assert.Empty(KeepingCautions.Of(made with { Formula = made.Formula! with { How = null } }));
    }

    [Fact]
    public void No_usual_way_keeps_what_needs_control_beyond_the_rule()
    {
        foreach (var kind in Enum.GetValues<PreparationKind>().Where(kind => kind != PreparationKind.Dough))
        {
            PieceDraft?[] pieces = [new PieceDraft("one", 24, null)];
            // Egg and cream in everything: the strictest case, but for shells, which are baked dry, and what holds nothing of the kind.
            var draft = new IngredientDraft("Any", [], null, null, null, null, null, pieces, null, null, null, null, null, "2 eggs\n100 g Cream, heavy", null, null, UsualMakings.For(kind));
            var (made, _, faults) = IngredientReader.Read("any", draft, "EUR", new LocalDate(2026, 11, 26), new Pantry(IngredientLibrary.All));
            Assert.Empty(faults);
            if (kind is PreparationKind.Praline or PreparationKind.Toasted or PreparationKind.Shells or PreparationKind.Syrup or PreparationKind.Glaze or PreparationKind.Jam) continue;
            Assert.Empty(KeepingCautions.Of(FactsInForceOf(made!)));
        }

        static Ingredient FactsInForceOf(Ingredient made) => made.Formula!.Make(made);
    }
}
