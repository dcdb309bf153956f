using Lumpet.Core.Ingredients;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Core.Prices;

/// <summary>Reads a supplier's list: every row of an ingredient of the bakery, or what is wrong and where.</summary>
public static class PriceListReader
{
    /// <summary>The longest name of an article.</summary>
    public const int LongestArticle = 120;

    private static readonly LocalDatePattern[] Days = [LocalDatePattern.Iso, LocalDatePattern.CreateWithInvariantCulture("d.M.uuuu")];

    // Further back no bakery remembers, further on no supplier promises.
    private static readonly LocalDate Earliest = new(2000, 1, 1);
    private static readonly Period Furthest = Period.FromYears(2);

    /// <summary>What is said of a day that cannot be.</summary>
    internal const string DayRule = "A day is written 2026-05-02, not before 2000 and at most two years ahead.";

    /// <summary>Whether a price may hold from a day.</summary>
    internal static bool IsWithin(LocalDate day, LocalDate today) => day >= Earliest && day <= today.Plus(Furthest);

    /// <summary>Reads a list.</summary>
    /// <param name="table">The list.</param>
    /// <param name="columns">Which column says what.</param>
    /// <param name="reading">How its words and numbers are meant.</param>
    /// <returns>The offers in the order of the file, those of articles that are no ingredient included as far as they can be read; faults by field, "rows[3].paid" being line 3 of the file.</returns>
    public static (IReadOnlyList<PriceOffer> Offers, IReadOnlyList<FieldFault> Faults) Read(PriceTable table, PriceColumns columns, PriceReading reading)
    {
        var wrong = columns.Faults(table).ToList();
        if (reading.DecimalSign is not (null or "." or ",")) wrong.Add(new FieldFault("decimalSign", "Decimals are parted by . or by ,"));
        if (table.Rows.Count == 0) wrong.Add(new FieldFault("file", "There is no price in the file."));
        if (wrong.Count > 0) return ([], wrong);

        var (article, pack, unit, paid, currency, from) = (table.At(columns.Article), table.At(columns.Pack), table.At(columns.Unit), table.At(columns.Paid), table.At(columns.Currency), table.At(columns.ValidFrom));
        var (prices, isOpen) = WrittenPrices.Read([.. table.Rows.Select(row => row.In(paid))], reading.Currency, reading.DecimalSign);
        if (isOpen) wrong.Add(new FieldFault("decimalSign", "No price in the list tells whether . or , parts its decimals: say which."));
        var offers = new List<PriceOffer>();
        foreach (var (row, price) in table.Rows.Zip(prices))
        {
            var named = row.In(article);
            // Headings between the articles, and articles that the bakery does not buy, may hold anything.
            var ingredient = reading.IngredientOf(named);
            var faults = new List<FieldFault>();
            void Wrong(string field, string message) => faults.Add(new FieldFault($"rows[{row.Number}].{field}", message));
            if (named.Length is 0 or > LongestArticle || named.Any(char.IsControl)) Wrong("article", $"An article has a name of at most {LongestArticle} characters.");
            var (size, packFault) = PackSize.Read($"{row.In(pack)} {row.In(unit)}");
            if (size is null) Wrong("pack", packFault);
            if (price.Paid is null) Wrong("paid", price.Fault);
            if (row.In(currency) is { Length: > 0 } other && !other.Equals(reading.Currency, StringComparison.OrdinalIgnoreCase)) Wrong("currency", $"The list is in {other}, the books are in {reading.Currency}.");
            var day = Day(row.In(from), reading.ValidFrom);
            if (day is not { } valid || !IsWithin(valid, reading.Today)) Wrong("validFrom", DayRule);
            if (faults.Count == 0) offers.Add(new PriceOffer(row.Number, named, size!, price.Paid!.Value, day!.Value) { IngredientId = ingredient });
            else if (ingredient is not null) wrong.AddRange(faults);
        }

        wrong.AddRange(Twice(offers));
        return (offers, wrong);
    }

    /// <summary>Two prices of one ingredient for one day: nobody can say which holds.</summary>
    private static IEnumerable<FieldFault> Twice(IReadOnlyList<PriceOffer> offers)
    {
        foreach (var same in offers.Where(offer => offer.IngredientId is not null).GroupBy(offer => (offer.IngredientId, offer.ValidFrom)))
        {
            var first = same.First();
            foreach (var other in same.Skip(1).Where(other => (other.Pack.Amount, other.Pack.Unit, other.Paid) != (first.Pack.Amount, first.Pack.Unit, first.Paid)))
                yield return new FieldFault($"rows[{other.Row}].article", $"\"{other.Article}\" and \"{first.Article}\" in row {first.Row} are the same ingredient at two prices: pass over one of them.");
        }
    }

    /// <summary>A day from which a price may hold: today where none is said, not before 2000 and at most two years ahead.</summary>
    internal static LocalDate Day(FieldChecks checks, string? text, LocalDate today)
    {
        if (string.IsNullOrWhiteSpace(text)) return today;
        if (LocalDatePattern.Iso.Parse(text.Trim()) is { Success: true } day && IsWithin(day.Value, today)) return day.Value;
        checks.Add("validFrom", DayRule);
        return today;
    }

    private static LocalDate? Day(string text, LocalDate otherwise) =>
        text.Length == 0 ? otherwise : Days.Select(pattern => pattern.Parse(text)).FirstOrDefault(parsed => parsed.Success) is { } parsed ? parsed.Value : null;
}

/// <summary>How the words and numbers of a list are meant.</summary>
/// <param name="Currency">The currency of the books (ISO 4217).</param>
/// <param name="Today">The day on which it is read.</param>
/// <param name="ValidFrom">From when prices hold that say nothing of it.</param>
/// <param name="DecimalSign">"." or ","; null where the list is to tell.</param>
/// <param name="IngredientOf">Which ingredient an article is; null where it is none.</param>
public sealed record PriceReading(string Currency, LocalDate Today, LocalDate ValidFrom, string? DecimalSign, Func<string, string?> IngredientOf);
