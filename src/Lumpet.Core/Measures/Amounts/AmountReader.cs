using System.Text.RegularExpressions;

namespace Lumpet.Core.Measures.Amounts;

/// <summary>What was read at the start of a line.</summary>
/// <param name="Amount">The amount.</param>
/// <param name="Typed">The characters that said it.</param>
/// <param name="Rest">What follows: the ingredient and how it is prepared.</param>
/// <param name="Doubts">What a person should look at: a heaped spoon, a range.</param>
public sealed record ReadAmount(WrittenAmount Amount, string Typed, string Rest, IReadOnlyList<string> Doubts);

/// <summary>
/// Reads the amount at the start of a line as recipes are written: "1 1/2 cups", "2 lb 4 oz", "2-3 tbsp", "2 tins (400 g)",
/// "1 14-oz tin", "3 large", "juice of 1 lemon", "a pinch of".
/// </summary>
public static partial class AmountReader
{
    /// <summary>Reads a line.</summary>
    /// <param name="line">What was typed; at most a few hundred characters.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    /// <returns>The amount and what follows; null where the line does not begin with an amount.</returns>
    public static ReadAmount? Read(string line, CupCustom custom = CupCustom.UnitedStates)
    {
        var text = Bullet().Replace(line.Trim(), string.Empty);
        if (Of(text) is { } pressed) return pressed;
        var doubts = new List<string>();
        if (Part(text, custom, doubts) is not { } first) return null;
        var parts = new List<AmountPart> { first.Part };
        var rest = first.After;
        // "2 lb 4 oz", "1 cup plus 2 tbsp": whatever begins again with a number and a unit belongs to the amount.
        while (parts.Count < MostParts && first.Part.Unit.Kind != UnitKind.Piece)
        {
            var joined = Plus().Replace(rest, string.Empty);
            if (Part(joined, custom, doubts) is not { Part.Unit.Kind: not UnitKind.Piece } more) break;
            parts.Add(more.Part);
            rest = more.After;
        }

        var typed = text[..^rest.Length].Trim();
        var amount = new WrittenAmount(parts);
        if (amount.IsRange) doubts.Add($"\"{typed}\" is a range: its middle is taken.");
        return new ReadAmount(amount, typed, OfThe().Replace(rest, string.Empty).Trim(), doubts);
    }

    private const int MostParts = 3;

    /// <summary>"juice of 2 lemons", "zest of half an orange": pieces of the fruit, of an ingredient named "lemon juice".</summary>
    private static ReadAmount? Of(string text)
    {
        var match = PressedOf().Match(text);
        if (!match.Success) return null;
        if (NumberReader.Range(match.Groups["rest"].Value) is not { } number) return null;
        var name = match.Groups["rest"].Value[number.Length..].Trim();
        if (name.Length == 0) return null;
        var comma = name.IndexOf(',', StringComparison.Ordinal);
        var (fruit, after) = comma < 0 ? (name, string.Empty) : (name[..comma].Trim(), name[comma..]);
        var one = Singular.Of(Size().Replace(fruit, string.Empty));
        var amount = new WrittenAmount([new AmountPart(number.Least, number.Most, AmountUnit.Piece(one))]);
        var what = match.Groups["what"].Value.ToLowerInvariant();
        var typed = text[..^(after.Length)].Trim();
        return new ReadAmount(amount, typed, $"{one} {(what == "rind" ? "zest" : what)}{after}", []);
    }

    private static (AmountPart Part, string After)? Part(string text, CupCustom custom, List<string> doubts)
    {
        if (NumberReader.Range(text) is not { } number) return Pinch(text, custom);
        var rest = text[number.Length..].TrimStart();

        // "2 x 400 g tins", "1 (14 oz) tin", "1 14-oz tin": so many of a stated size.
        var sized = Sized().Match(rest);
        if (sized.Success && NumberReader.Range(sized.Groups["number"].Value) is { } size && UnitWords.Find(sized.Groups["unit"].Value, custom) is { Kind: not UnitKind.Piece } of)
        {
            var held = new AmountPart(number.Least * size.Least, number.Most * size.Most, of);
            return (held, rest[sized.Length..].TrimStart());
        }

        var modifier = Modifier().Match(rest);
        if (modifier.Success)
        {
            if (!modifier.Groups["plain"].Success) doubts.Add($"\"{modifier.Value.Trim()}\" is not a measure: taken as level.");
            rest = rest[modifier.Length..].TrimStart();
        }

        var (unit, taken) = Unit(rest, custom);
        // "1e9 g": letters that cling to a number and are no unit make it none.
        if (unit == AmountUnit.One && text.Length > number.Length && char.IsLetter(text[number.Length])) return null;
        rest = rest[taken..].TrimStart();
        var part = new AmountPart(number.Least, number.Most, unit);

        // "1 cup (200 g)", "2 tins (400 g)": a weight in brackets. After a tin it is the weight of each, otherwise of all.
        var stated = Stated().Match(rest);
        if (stated.Success && NumberReader.Range(stated.Groups["number"].Value) is { } weight && UnitWords.Find(stated.Groups["unit"].Value, custom) is { Kind: UnitKind.Mass } weighed)
        {
            var times = unit.Kind == UnitKind.Piece && unit != AmountUnit.One && !stated.Groups["total"].Success ? number : (Least: 1, Most: 1, Length: 0);
            part = new AmountPart(weight.Least * times.Least, weight.Most * times.Most, weighed);
            rest = rest[stated.Length..].TrimStart();
        }

        return (part, rest);
    }

    private static (AmountPart Part, string After)? Pinch(string text, CupCustom custom)
    {
        var match = Loose().Match(text);
        return match.Success ? (new AmountPart(1, 1, UnitWords.Find(match.Groups["unit"].Value, custom)!), text[match.Length..].TrimStart()) : null;
    }

    /// <summary>The longest run of up to two words that names a unit; things that are simply counted have none.</summary>
    private static (AmountUnit Unit, int Length) Unit(string text, CupCustom custom)
    {
        var words = TwoWords().Match(text);
        if (!words.Success) return (AmountUnit.One, 0);
        if (words.Groups["second"] is { Success: true } second && UnitWords.Find($"{words.Groups["first"].Value} {second.Value}", custom) is { } two)
            return (two, words.Length);
        var first = words.Groups["first"];
        var length = first.Length + (text.Length > first.Length && text[first.Length] == '.' ? 1 : 0);
        return UnitWords.Find(first.Value, custom) is { } one ? (one, length) : (AmountUnit.One, 0);
    }

    [GeneratedRegex(@"^[-•*–]\s+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Bullet();

    [GeneratedRegex(@"^(?:the\s+)?(?:(?:finely\s+)?grated\s+)?(?<what>juice|zest|rind)\s+of\s+(?<rest>\S.*)$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex PressedOf();

    [GeneratedRegex(@"^(?:large|medium|small)\s+", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Size();

    [GeneratedRegex(@"^(?:plus|and|\+|&)\s*", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Plus();

    [GeneratedRegex(@"^of\s+(?:the\s+)?", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex OfThe();

    [GeneratedRegex(@"^(?:[x×]\s*)?\(?(?<number>[\d½⅓⅔¼¾⅛.,/⁄]{1,12})[\s-]?(?<unit>g|kg|oz|lb|ml|l|ounces?|grams?|pounds?|fl oz)\)?[\s-]+(?:tins?|cans?|packets?|packages?|bottles?|jars?|cartons?|blocks?|bars?|bags?)\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Sized();

    [GeneratedRegex(@"^\((?:about\s+|ca\.?\s+|each\s+)?(?<number>[\d½⅓⅔¼¾⅛.,/⁄ -]{1,16}?)\s*(?<unit>g|kg|oz|lbs?|ounces?|grams?|pounds?)\b\.?\s*(?<total>in all|total)?(?:\s*/[^)]{0,40})?(?:\s+each)?\)", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Stated();

    [GeneratedRegex(@"^(?:(?<plain>level|packed|lightly packed|firmly packed)|heaped|heaping|rounded|scant|generous|good|about)\s+", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Modifier();

    [GeneratedRegex(@"^(?<unit>pinch|dash)\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex Loose();

    [GeneratedRegex(@"^(?<first>\p{L}+)(?:\.?\s+(?<second>\p{L}+)\b)?", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    private static partial Regex TwoWords();
}
