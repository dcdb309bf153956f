using System.Text.RegularExpressions;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>One component of a recipe from elsewhere: its heading, and the lines below it.</summary>
/// <param name="Title">As it is headed; empty of lines that stand before any heading.</param>
/// <param name="Lines">Its lines.</param>
internal sealed record ToldComponent(string Title, IReadOnlyList<string> Lines)
{
    /// <summary>Whether it is the dough.</summary>
    public bool IsDough => Has(ToldWords.Dough());

    /// <summary>Whether it is strewn, as crumble is.</summary>
    public bool IsCrumble => Has(ToldWords.Crumble());

    /// <summary>Which part of a pie it is, where it is no dough; a filling unless its heading says otherwise.</summary>
    public PartKind Part => Has(ToldWords.Topping()) || IsCrumble ? PartKind.Topping
        : Has(ToldWords.Beside()) ? PartKind.Beside
        : Has(ToldWords.Finish()) ? PartKind.Finish
        : PartKind.Filling;

    private bool Has(Regex words) => words.IsMatch(Title);
}

/// <summary>Parts a list of ingredients at its headings: "For the crust:", "FILLING", "To serve:".</summary>
internal static class ToldComponents
{
    /// <summary>The components, in order, those without lines left out.</summary>
    /// <param name="lines">Lines and headings, as they stand.</param>
    /// <param name="isLine">Whether a text is understood as a line: no line is taken for a heading.</param>
    public static IReadOnlyList<ToldComponent> In(IEnumerable<string> lines, Func<string, bool> isLine)
    {
        var found = new List<(string Title, List<string> Lines)> { (string.Empty, []) };
        foreach (var line in lines)
        {
            if (ToldWords.Heading().Match(line) is { Success: true } heading && !isLine(line)) found.Add((Title(heading), []));
            else found[^1].Lines.Add(line);
        }

        return [.. found.Where(one => one.Lines.Count > 0).Select(one => new ToldComponent(one.Title, one.Lines))];
    }

    private static string Title(Match heading)
    {
        var title = heading.Groups["title"].Value.Trim().ToLowerInvariant();
        return title.Length == 0 ? title : char.ToUpperInvariant(title[0]) + title[1..];
    }
}
