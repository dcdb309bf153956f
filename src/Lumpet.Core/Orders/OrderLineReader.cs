using System.Globalization;
using System.Text.RegularExpressions;
using Lumpet.Core.Recipes;
using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>What was understood of a typed order line.</summary>
/// <param name="Parts">The parts found, in the order of the line, with what they were taken for.</param>
/// <param name="Order">The order, or null while something is missing or wrong.</param>
/// <param name="Faults">What is missing or wrong; empty when there is an order.</param>
public sealed record UnderstoodLine(
    IReadOnlyList<UnderstoodPart> Parts, OrderLine? Order, IReadOnlyList<FieldFault> Faults);

/// <summary>A part of a typed line.</summary>
/// <param name="Field">"count", "product", "pan", "day", "time" or "for".</param>
/// <param name="Typed">The characters typed.</param>
/// <param name="Meaning">What they were taken for.</param>
public sealed record UnderstoodPart(string Field, string Typed, string Meaning);

/// <summary>
/// Reads an order typed on one line: COUNT PRODUCT @ PAN [DAY] TIME [WHO], for example
/// "24 pear @ 23 sat 9:00 kiosk". docs/formats/order-line.md has the grammar.
/// </summary>
public static partial class OrderLineReader
{
    /// <summary>Longest line that is looked at.</summary>
    public const int LongestLine = 200;

    /// <summary>Reads a line.</summary>
    /// <param name="line">What was typed.</param>
    /// <param name="products">The bakery's products.</param>
    /// <param name="defaultDay">The day meant where none is typed.</param>
    /// <param name="localNow">The bakery's clock; weekdays mean the next such day from here, today included.</param>
    /// <param name="zone">The bakery's time zone.</param>
    public static UnderstoodLine Read(
        string line, IReadOnlyList<Product> products, LocalDate defaultDay, LocalDateTime localNow, DateTimeZone zone)
    {
        if (line.Length > LongestLine)
            return new UnderstoodLine([], null, [new FieldFault("line", $"A line takes up to {LongestLine} characters.")]);
        if (line.Any(char.IsControl)) return new UnderstoodLine([], null, [new FieldFault("line", "A line takes no control characters.")]);
        return new Reading(products, defaultDay, localNow, zone).Read(line);
    }

    [GeneratedRegex(@"^\s*(?<count>\d+)?\s*(?<product>[^@]*?)\s*(?:@\s*(?<pan>\d+\s*[x×]\s*\d+(?:\s*cm\b)?|\d+(?:\s*cm\b)?(?=\s|$)|[^\s@]+)(?<rest>.*))?$", RegexOptions.CultureInvariant)]
    private static partial Regex Shape { get; }

    [GeneratedRegex(@"^(?<hour>\d{1,2})(?:[:.](?<minute>\d{2}))?\s*(?<half>am|pm)?$|^(?<hour>\d{2})(?<minute>\d{2})$", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase)]
    private static partial Regex ClockTime { get; }

    [GeneratedRegex(@"^(\d+)\s*[x×]\s*(\d+)$", RegexOptions.CultureInvariant)]
    private static partial Regex Sides();

    private sealed class Reading(IReadOnlyList<Product> products, LocalDate defaultDay, LocalDateTime localNow, DateTimeZone zone)
    {
        private readonly List<UnderstoodPart> parts = [];
        private readonly List<FieldFault> faults = [];

        public UnderstoodLine Read(string line)
        {
            var shape = Shape.Match(line);
            var count = Count(shape.Groups["count"].Value);
            var product = Product(shape.Groups["product"].Value.Trim());
            var pan = Pan(shape.Groups["pan"].Value, product);
            var words = shape.Groups["rest"].Value.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).ToList();
            var day = Day(words);
            var time = Time(words, shape.Groups["pan"].Success);
            var who = string.Join(' ', words);
            if (who.Length > 0) parts.Add(new UnderstoodPart("for", who, who));
            if (count is null || product is null || pan is null || time is null || faults.Count > 0) return new UnderstoodLine(parts, null, faults);

            var order = new OrderLine(product.Id, pan, count.Value, day.At(time.Value), who);
            faults.AddRange(OrderRules.Faults(order, products, localNow, zone));
            return new UnderstoodLine(parts, faults.Count == 0 ? order : null, faults);
        }

        private int? Count(string typed)
        {
            if (typed.Length == 0) return Missing<int?>("count", "How many? A line begins with the count: 24 pear @ 23 sat 9:00 kiosk.");
            var tooMany = !int.TryParse(typed, NumberStyles.None, CultureInfo.InvariantCulture, out var count) || count > OrderLine.MostPies;
            if (tooMany || count == 0) return Missing<int?>("count", $"A line takes 1 to {OrderLine.MostPies} pies.");
            parts.Add(new UnderstoodPart("count", typed, count == 1 ? "1 pie" : $"{count} pies"));
            return count;
        }

        private Product? Product(string typed)
        {
            if (typed.Length == 0) return Missing<Product>("product", $"Which product? There are {OrderRules.Names(products)}.");
            var found = ProductNames.Find(typed, products);
            if (found.Count == 0)
                return Missing<Product>("product", $"There is no product \"{OrderRules.Shorten(typed)}\". There are {OrderRules.Names(products)}.");
            if (found.Count > 1)
                return Missing<Product>("product", $"\"{OrderRules.Shorten(typed)}\" could be {string.Join(" or ", found.Select(product => product.Name))}. Type more of it.");
            parts.Add(new UnderstoodPart("product", typed, found[0].Name));
            return found[0];
        }

        private string? Pan(string typed, Product? product)
        {
            if (typed.Length == 0)
                return Missing<string>("pan", product is null ? "Which pan? It is written after @." : $"Which pan? It is written after @: {OrderRules.Sizes(product)}.");
            var size = typed.EndsWith("cm", StringComparison.OrdinalIgnoreCase) ? typed[..^2].Trim() : typed;
            // The sides of a slab: "34 x 24" is the pan "34x24".
            var id = Sides().Replace(size, "$1x$2");
            if (product is null) return null;
            if (product.SizeIn(id) is not { } made)
                return Missing<string>("pan", $"{product.Name} is not made in \"{OrderRules.Shorten(id)}\", only in {OrderRules.Sizes(product)}.");
            parts.Add(new UnderstoodPart("pan", typed, made.Pan.Name));
            return made.Pan.Id;
        }

        private LocalDate Day(List<string> words)
        {
            if (TypedDay.Find(words, localNow.Date) is not { } typed) return defaultDay;
            parts.Add(new UnderstoodPart("day", string.Join(' ', words.Take(typed.Words)), PickUpText.Day.Format(typed.Day)));
            words.RemoveRange(0, typed.Words);
            return typed.Day;
        }

        private LocalTime? Time(List<string> words, bool expected)
        {
            var typed = words.Count > 0 ? words[0] : string.Empty;
            if (ClockTime.Match(typed) is { Success: true } match && TimeOf(match) is { } time)
            {
                words.RemoveAt(0);
                parts.Add(new UnderstoodPart("time", typed, PickUpText.Clock.Format(time)));
                return time;
            }

            if (!expected) return null;
            return Missing<LocalTime?>(
                "pickUp", typed.Length == 0 ? "When? After the pan: sat 9:00, tomorrow 7:30, 2026-05-02 11:00." : $"\"{OrderRules.Shorten(typed)}\" is no day or time. Write sat 9:00, 27 nov 7:30, 27/11 7:30 (the day first) or 2026-11-27 11:00.");
        }

        private static LocalTime? TimeOf(Match match)
        {
            var hour = int.Parse(match.Groups["hour"].Value, CultureInfo.InvariantCulture);
            var (minute, half) = (match.Groups["minute"], match.Groups["half"].Value);
            // A bare number is no time: it may be the name of a stall.
            if (!minute.Success && half.Length == 0) return null;
            if (half.Length > 0)
            {
                if (hour is < 1 or > 12) return null;
                hour = (hour % 12) + (half.Equals("pm", StringComparison.OrdinalIgnoreCase) ? 12 : 0);
            }

            var minutes = minute.Success ? int.Parse(minute.Value, CultureInfo.InvariantCulture) : 0;
            return hour < 24 && minutes < 60 ? new LocalTime(hour, minutes) : null;
        }

        private T? Missing<T>(string field, string message)
        {
            faults.Add(new FieldFault(field, message));
            return default;
        }
    }
}
