using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Prices;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Prices;

public sealed class MarketPricesTests
{
    private static readonly LocalDate Day = new(2026, 3, 2);

    private static Price Known(string id) => new(id, "A", 1000, PackUnit.Gram, new Money(10, "EUR"), Day);

    private static decimal On(string id, IngredientRole role, LocalDate day) => MarketPrices.On(Known(id), role, day).Amount;

    [Fact]
    public void An_article_costs_what_it_was_really_asked_on_that_day_and_the_same_whenever_it_is_asked()
    {
        Assert.Equal(10m, On("butter", IngredientRole.Fat, Day));
        Assert.Equal(On("butter", IngredientRole.Fat, Day.PlusDays(100)), On("butter", IngredientRole.Fat, Day.PlusDays(100)));
        Assert.Equal(0m, MarketPrices.On(Known("butter") with { Paid = new Money(0, "EUR") }, IngredientRole.Fat, Day.PlusDays(100)).Amount);
        // A week is a week: Monday 2 March to Sunday 8 March.
        Assert.Equal(10m, On("butter", IngredientRole.Fat, Day.PlusDays(6)));
    }

    [Fact]
    public void Prices_move_by_whole_coins_and_believably()
    {
        var weeks = Enumerable.Range(0, 260).SelectMany(week => Enumerable.Range(0, 30).Select(at => On($"thing-{at}", IngredientRole.Other, Day.PlusWeeks(week)))).ToArray();
        Assert.All(weeks, paid => Assert.Equal(0m, paid % 0.01m));
        // Our own bounds: nothing halves or doubles, and not everything stands still.
        Assert.All(weeks, paid => Assert.InRange(paid, 5m, 20m));
        Assert.InRange(weeks.Distinct().Count(), 200, 2000);
    }

    [Fact]
    public void Fruit_is_dear_in_spring_and_cheap_at_harvest()
    {
        // Over many kinds, so that chance evens out.
        decimal Mean(IngredientRole role, LocalDate day) => Enumerable.Range(0, 200).Average(at => On($"kind-{at}", role, day));
        Assert.InRange(Mean(IngredientRole.Fruit, new LocalDate(2026, 9, 14)) / Mean(IngredientRole.Fruit, new LocalDate(2026, 3, 16)), 0.65m, 0.85m);
        Assert.InRange(Mean(IngredientRole.Flour, new LocalDate(2026, 9, 14)) / Mean(IngredientRole.Flour, new LocalDate(2026, 3, 16)), 0.95m, 1.05m);
    }
}
