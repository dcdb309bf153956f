using System.Text.RegularExpressions;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>The words by which headings and bakes are known.</summary>
internal static partial class ToldWords
{
    /// <summary>A heading: a few words without a number, with a colon, all in capitals, or after "for the".</summary>
    [GeneratedRegex(@"^\s*(?:(?:[Ff]or|FOR)\s+(?:(?:the|THE)\s+)?(?<title>\p{L}[\p{L} '&-]{1,50}?)\s*:?|(?<title>\p{L}[\p{L} '&-]{1,50}?)\s*:|(?<title>\p{Lu}[\p{Lu} '&-]{2,50}))\s*$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture, matchTimeoutMilliseconds: 500)]
    public static partial Regex Heading();

    /// <summary>Dough.</summary>
    [GeneratedRegex(@"\b(?:crust|dough|pastry|base|shell|case|pie shell)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Dough();

    /// <summary>Crumble.</summary>
    [GeneratedRegex(@"\b(?:crumble|streusel|crumbs)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Crumble();

    /// <summary>What lies on top.</summary>
    [GeneratedRegex(@"\b(?:topping|top|meringue|whipped)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Topping();

    /// <summary>What is served beside.</summary>
    [GeneratedRegex(@"\b(?:sauce|serve|serving)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Beside();

    /// <summary>What is brushed on or strewn last.</summary>
    [GeneratedRegex(@"\b(?:glaze|wash|finish|finishing|decorate|decoration|dusting)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Finish();

    /// <summary>A temperature of an oven.</summary>
    [GeneratedRegex(@"(?<written>\b\d{3}\s*(?:°|º|degrees)?\s*[CF]\b(?:\s*(?:fan|convection))?)", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Heat();

    /// <summary>Minutes, or a range of them.</summary>
    [GeneratedRegex(@"\b(?<least>\d{1,3})(?:\s*(?:to|-|–)\s*(?<most>\d{1,3}))?\s*(?:more\s+)?min", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Minutes();

    /// <summary>That something bakes.</summary>
    [GeneratedRegex(@"\b(?:bake|baking|oven|reduce|lower)\b", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex Bakes();

    /// <summary>That it is the shell that bakes, or nuts or roots before.</summary>
    [GeneratedRegex(@"\b(?:blind|weights|beans|pre-?bake|par-?bake|empty|toast|roast)", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase, matchTimeoutMilliseconds: 500)]
    public static partial Regex BakesBefore();

    /// <summary>Where one sentence ends and the next begins.</summary>
    [GeneratedRegex(@"(?<=[.;!])\s+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 500)]
    public static partial Regex Ends();
}
