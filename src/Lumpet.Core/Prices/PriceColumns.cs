namespace Lumpet.Core.Prices;

/// <summary>Which column of a supplier's list says what.</summary>
/// <param name="Article">What is sold.</param>
/// <param name="Pack">What a pack holds.</param>
/// <param name="Unit">The unit of the pack, where it has a column of its own.</param>
/// <param name="Paid">What a pack costs.</param>
/// <param name="Currency">The currency, where it has a column of its own.</param>
/// <param name="ValidFrom">From when it holds, where that is said row by row.</param>
public sealed record PriceColumns(string? Article, string? Pack, string? Unit, string? Paid, string? Currency, string? ValidFrom)
{
    // Words that suppliers put above their columns; of a list in words that are not among these someone says once which is which.
    private static readonly string[] Articles = ["article", "item", "product", "description", "name", "ingredient", "artikel", "bezeichnung", "désignation", "designation"];
    private static readonly string[] Packs = ["pack", "pack size", "packsize", "packing", "size", "content", "contents", "quantity", "unit size", "gebinde", "inhalt", "conditionnement"];
    private static readonly string[] Units = ["unit", "uom", "measure", "einheit", "unité"];
    private static readonly string[] Prices = ["price", "net price", "unit price", "pack price", "cost", "amount", "preis", "nettopreis", "prix", "prix ht"];
    private static readonly string[] Currencies = ["currency", "ccy", "währung", "devise"];
    private static readonly string[] Days = ["valid from", "valid_from", "from", "since", "date", "gültig ab", "valable dès"];

    /// <summary>The columns that their headings name.</summary>
    public static PriceColumns Guess(PriceTable table)
    {
        string? Find(string[] words) =>
            table.Heading.FirstOrDefault(name => words.Contains(name.Trim().ToLowerInvariant()))
            ?? table.Heading.FirstOrDefault(name => words.Any(word => name.Contains(word, StringComparison.OrdinalIgnoreCase) && word.Length > 4));
        var pack = Find(Packs);
        return new PriceColumns(Find(Articles), pack, Find(Units) is { } unit && unit != pack ? unit : null, Find(Prices), Find(Currencies), Find(Days));
    }

    /// <summary>Whether a list has all the columns that are named here.</summary>
    public bool Fit(PriceTable table) =>
        new[] { Article, Pack, Paid }.All(name => table.At(name) is not null) && new[] { Unit, Currency, ValidFrom }.All(name => string.IsNullOrWhiteSpace(name) || table.At(name) is not null);

    /// <summary>What is wrong with these columns for a list.</summary>
    internal IEnumerable<FieldFault> Faults(PriceTable table)
    {
        foreach (var (field, name, what, isNeeded) in new[]
        {
            ("columns.article", Article, "what is sold", true), ("columns.pack", Pack, "what a pack holds", true), ("columns.paid", Paid, "what a pack costs", true),
            ("columns.unit", Unit, "the unit", false), ("columns.currency", Currency, "the currency", false), ("columns.validFrom", ValidFrom, "from when a price holds", false),
        })
        {
            if (string.IsNullOrWhiteSpace(name))
            {
                if (isNeeded) yield return new FieldFault(field, $"Which column says {what}? There are {string.Join(", ", table.Heading)}.");
            }
            else if (table.At(name) is null) yield return new FieldFault(field, $"There is no column \"{name}\". There are {string.Join(", ", table.Heading)}.");
        }
    }
}
