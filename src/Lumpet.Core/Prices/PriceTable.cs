namespace Lumpet.Core.Prices;

/// <summary>A supplier's list as a table, before anybody knows what its columns mean.</summary>
/// <param name="Heading">The names of its columns.</param>
/// <param name="Rows">Its rows; those without a single filled cell are left out.</param>
public sealed record PriceTable(IReadOnlyList<string> Heading, IReadOnlyList<PriceTableRow> Rows)
{
    /// <summary>Where a column of this name is; null where there is none.</summary>
    internal int? At(string? column)
    {
        if (string.IsNullOrWhiteSpace(column)) return null;
        for (var at = 0; at < Heading.Count; at++)
            if (Heading[at].Equals(column.Trim(), StringComparison.OrdinalIgnoreCase)) return at;
        return null;
    }
}

/// <summary>A row of a list.</summary>
/// <param name="Number">Which line of the file it is, counted from 1, the heading included.</param>
/// <param name="Cells">What is in it, column by column; rows may be shorter than the heading.</param>
public sealed record PriceTableRow(int Number, IReadOnlyList<string> Cells)
{
    /// <summary>What is in a column; empty where the row ends before it.</summary>
    internal string In(int? column) => column is { } at && at < Cells.Count ? Cells[at].Trim() : string.Empty;
}
