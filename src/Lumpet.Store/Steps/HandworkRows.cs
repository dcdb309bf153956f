using System.Globalization;
using Lumpet.Core.Steps;

namespace Lumpet.Store.Steps;

/// <summary>Handwork at the oven in a column: one thing a line, its minute before a bar, or nothing before it where a sign tells.</summary>
internal static class HandworkRows
{
    /// <summary>From a column.</summary>
    public static IReadOnlyList<OvenHandwork> Read(string column) =>
        [.. column.Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(line => line.Split('|', 2)).Select(parts =>
            new OvenHandwork(parts[0].Length == 0 ? null : int.Parse(parts[0], NumberStyles.None, CultureInfo.InvariantCulture), parts[1]))];

    /// <summary>For a column; words hold no line breaks.</summary>
    public static string Write(IReadOnlyList<OvenHandwork> handwork) =>
        string.Join('\n', handwork.Select(work => string.Create(CultureInfo.InvariantCulture, $"{work.AfterMin}|{work.Words}")));
}
