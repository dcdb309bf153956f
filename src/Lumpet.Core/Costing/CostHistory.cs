using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using NodaTime;

namespace Lumpet.Core.Costing;

/// <summary>A day on which a pie began to cost something else.</summary>
/// <param name="Day">From this day on.</param>
/// <param name="Cost">What it costs from then on; null while a price is missing.</param>
/// <param name="Before">What it cost until then; null while a price was missing.</param>
/// <param name="Reasons">What did it, the strongest first; they add up to the difference where both are known.</param>
public sealed record CostStep(LocalDate Day, Money? Cost, Money? Before, IReadOnlyList<CostReason> Reasons);

/// <summary>An ingredient whose price changed what a pie costs.</summary>
/// <param name="Ingredient">Whose price changed.</param>
/// <param name="More">What the pie costs more for it, less than 0 where it costs less; null where its price was not known before or is not now.</param>
/// <param name="From">The price until then; null where none was known.</param>
/// <param name="To">The price from then on; null where none is known.</param>
public sealed record CostReason(Ingredient Ingredient, Money? More, Price? From, Price? To);

/// <summary>What a pie cost over time: its recipe as it is now, at the prices of every day.</summary>
/// <param name="Begin">What it cost on the first day; null while a price was missing.</param>
/// <param name="Steps">The days on which that changed, in order.</param>
public sealed record CostHistory(Money? Begin, IReadOnlyList<CostStep> Steps)
{
    /// <summary>The history between two days.</summary>
    /// <param name="scaled">The product, scaled to its pan.</param>
    /// <param name="book">Every price.</param>
    /// <param name="from">The first day.</param>
    /// <param name="to">The last day, itself included.</param>
    public static CostHistory Of(ScaledProduct scaled, PriceBook book, LocalDate from, LocalDate to)
    {
        string[] everything = [.. Everything(scaled)];
        var days = everything.SelectMany(id => book.Steps(id).Select(step => step.Day)).Where(day => day > from && day <= to).Distinct().Order();
        var before = Costs(scaled, everything, book, from);
        var begin = before.Total;
        var steps = new List<CostStep>();
        foreach (var day in days)
        {
            var now = Costs(scaled, everything, book, day);
            if (Step(before, now, day) is { Reasons.Count: > 0 } step) steps.Add(step);
            before = now;
        }

        return new CostHistory(begin, steps);
    }

    /// <summary>What changed between two days, as if it had changed at once on the second.</summary>
    /// <param name="scaled">The product, scaled to its pan.</param>
    /// <param name="book">Every price.</param>
    /// <param name="from">The first day.</param>
    /// <param name="to">The second.</param>
    public static CostStep Between(ScaledProduct scaled, PriceBook book, LocalDate from, LocalDate to)
    {
        string[] everything = [.. Everything(scaled)];
        return Step(Costs(scaled, everything, book, from), Costs(scaled, everything, book, to), to);
    }

    private static CostStep Step(Bill before, Bill now, LocalDate day) => new(
        day,
        now.Total,
        before.Total,
        [
            .. before.Bought.Values.Concat(now.Bought.Values).Select(one => one.Ingredient).DistinctBy(one => one.Id)
                .Select(one => Reason(one, before, now)).OfType<CostReason>().OrderByDescending(reason => Math.Abs(reason.More?.Amount ?? decimal.MaxValue)),
        ]);

    private static CostReason? Reason(Ingredient ingredient, Bill before, Bill now)
    {
        var (was, becomes) = (before.Of(ingredient), now.Of(ingredient));
        return was == becomes ? null : new CostReason(ingredient, was is { } one && becomes is { } other ? other with { Amount = other.Amount - one.Amount } : null, before.Prices.Find(ingredient.Id), now.Prices.Find(ingredient.Id));
    }

    private static Bill Costs(ScaledProduct scaled, IEnumerable<string> everything, PriceBook book, LocalDate day)
    {
        var prices = new PriceList(everything.Select(id => book.Find(id, day)).OfType<Price>());
        return new Bill(prices, BoughtAmount.Of(scaled, prices).ToDictionary(one => one.Ingredient.Id));
    }

    private static IEnumerable<string> Everything(ScaledProduct scaled) =>
        scaled.Parts.SelectMany(part => part.Lines).Select(line => line.Line.Ingredient)
            .SelectMany(one => (one.Formula?.Everything ?? []).Append(one)).Concat(scaled.Packaging).Select(one => one.Id).Distinct();

    private sealed record Bill(PriceList Prices, IReadOnlyDictionary<string, BoughtAmount> Bought)
    {
        public Money? Total
        {
            get
            {
                Money?[] costs = [.. Bought.Values.Select(one => one.CostAt(Prices))];
                return costs.Length == 0 || costs.Any(cost => cost is null) ? null : costs.Select(cost => cost!.Value).Aggregate((left, right) => left + right);
            }
        }

        // What is not bought costs nothing; what is bought at a price that nobody knows costs nobody knows what.
        public Money? Of(Ingredient ingredient) => Bought.TryGetValue(ingredient.Id, out var one) ? one.CostAt(Prices) : new Money(0, Currency);

        private string Currency => Bought.Values.Select(one => one.CostAt(Prices)).FirstOrDefault(cost => cost is not null)?.Currency ?? string.Empty;
    }
}
