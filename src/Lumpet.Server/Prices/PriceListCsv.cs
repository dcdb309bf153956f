using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Lumpet.Core;
using Lumpet.Core.Prices;
using Lumpet.Server.Tables;

namespace Lumpet.Server.Prices;

/// <summary>A supplier's list as comma-separated values: parted by commas, semicolons, tabs or bars.</summary>
internal static class PriceListCsv
{
    /// <summary>The most rows of one list.</summary>
    public const int MostRows = 20_000;

    private const int MostColumns = 60;
    private const int LongestCell = 2000;

    /// <summary>Takes a list apart. The first row with two filled cells is the heading; what stands above it is passed over.</summary>
    public static (PriceTable? Table, FieldFault? Fault) Read(string text)
    {
        int? linesOfBad = null;
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            HasHeaderRecord = false,
            TrimOptions = TrimOptions.Trim,
            DetectDelimiter = true,
            DetectDelimiterValues = [",", ";", "\t", "|"],
            IgnoreBlankLines = true,
            BadDataFound = found => linesOfBad = found.Field.AsSpan().Count('\n'),
        };
        using var csv = new CsvParser(new StringReader(text), configuration);
        (string[]? heading, var rows) = (null, new List<PriceTableRow>());
        try
        {
            while (csv.Read())
            {
                if (csv.Count > MostColumns) return (null, new FieldFault("file", $"Row {csv.RawRow}, column {MostColumns + 1}: at most {MostColumns} columns are read."));
                var cells = new string[csv.Count];
                for (var column = 0; column < cells.Length; column++)
                {
                    // A cell is looked at when it is asked for, and only then found to be bad.
                    cells[column] = CellGuard.Read(csv[column]);
                    // A mark that is never closed takes in the lines below it; it stands where it begins.
                    if (linesOfBad is { } below) return (null, new FieldFault("file", $"Row {csv.RawRow - below}, column {column + 1}: a quotation mark is out of place."));
                }

                if (Array.FindIndex(cells, cell => cell.Length > LongestCell) is >= 0 and var at) return (null, new FieldFault("file", $"Row {csv.RawRow}, column {at + 1}: at most {LongestCell} characters stand in a cell. Is a quotation mark missing?"));
                if (heading is null)
                {
                    if (cells.Count(cell => cell.Trim().Length > 0) > 1) heading = [.. cells.Select(cell => cell.Trim())];
                    continue;
                }

                if (cells.All(cell => cell.Trim().Length == 0)) continue;
                if (rows.Count == MostRows) return (null, new FieldFault("file", $"Row {csv.RawRow}: at most {MostRows} rows are taken at once; send the list in parts."));
                rows.Add(new PriceTableRow(csv.RawRow, cells));
            }
        }
        catch (Exception exception) when (exception is CsvHelperException or ArgumentException)
        {
            return (null, new FieldFault("file", $"Row {csv.RawRow}: this cannot be read as comma-separated values."));
        }

        if (heading is null) return (null, new FieldFault("file", "The file is empty, or has one column only. Its first row names the columns: article, pack, price."));
        if (heading.Where(name => name.Length > 0).GroupBy(name => name, StringComparer.OrdinalIgnoreCase).FirstOrDefault(group => group.Count() > 1) is { } twice)
            return (null, new FieldFault("file", $"Two columns are called \"{twice.Key}\"."));
        return (new PriceTable(heading, rows), null);
    }
}
