namespace Lumpet.Server.Tables;

/// <summary>
/// Cells of a table as text and nothing else. A spreadsheet runs a cell that begins like a formula, whoever wrote it; a
/// quotation mark before it says that it is text. Written so, it is read back as it was.
/// </summary>
internal static class CellGuard
{
    private const char Mark = '\'';

    // What OWASP's page on CSV injection names (from memory): signs that begin a formula, tab and carriage return.
    private static readonly char[] BeginFormula = ['=', '+', '-', '@', '\t', '\r'];

    /// <summary>A text as it is written into a cell.</summary>
    public static string Write(string? text) => Begins(text ?? string.Empty) ? Mark + text : text ?? string.Empty;

    /// <summary>The text of a cell.</summary>
    public static string Read(string cell) => cell.Length > 0 && cell[0] == Mark && Begins(cell[1..]) ? cell[1..] : cell;

    // Marks that were there already are kept apart from the one that is added.
    private static bool Begins(string text) => text.TrimStart(Mark) is { Length: > 0 } rest && BeginFormula.Contains(rest[0]);
}
