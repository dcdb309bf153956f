using System.Globalization;
using System.Text;
using System.Text.Json;

namespace Lumpet.Mutate;

/// <summary>Why a fault that no test notices does no harm.</summary>
/// <param name="File">The file below src.</param>
/// <param name="Code">The line as it stands.</param>
/// <param name="Before">What is exchanged.</param>
/// <param name="After">What stands there instead.</param>
/// <param name="Why">The reason.</param>
public sealed record Harmless(string File, string Code, string Before, string After, string Why);

/// <summary>Writes the figures of a run into the document of the tests.</summary>
public static class Report
{
    private const string Start = "<!-- figures of ./lumpet mutate -->";
    private const string End = "<!-- end of figures -->";
    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    /// <summary>The reasons that were written down.</summary>
    public static IReadOnlyList<Harmless> Reasons(string file) => JsonSerializer.Deserialize<List<Harmless>>(File.ReadAllText(file), Web) ?? [];

    /// <summary>One line on how many were found.</summary>
    public static string Summary(IReadOnlyCollection<Outcome> outcomes) => string.Create(
        CultureInfo.InvariantCulture,
        $"{outcomes.Count} faults seeded, {outcomes.Count(one => one.IsFound)} found ({Percent(outcomes)} %), {outcomes.Count(one => !one.IsFound)} survived");

    /// <summary>The figures and the survivors, as Markdown.</summary>
    public static string Text(IReadOnlyCollection<Outcome> outcomes, int possible, int seed, IReadOnlyList<Harmless> reasons)
    {
        var text = new StringBuilder();
        text.AppendLine(CultureInfo.InvariantCulture, $"Last run, seed {seed}, drawn from {possible} faults that could be seeded: **{Summary(outcomes)}**.");
        text.AppendLine();
        text.AppendLine("| kind | seeded | found | of these by never ending |");
        text.AppendLine("| --- | --- | --- | --- |");
        foreach (var kind in outcomes.GroupBy(one => one.Fault.Kind).OrderBy(group => group.Key))
        {
            text.AppendLine(CultureInfo.InvariantCulture, $"| {Word(kind.Key)} | {kind.Count()} | {kind.Count(one => one.IsFound)} | {kind.Count(one => one.Verdict == Verdict.Hung)} |");
        }

        text.AppendLine();
        text.AppendLine("| survivor | exchanged | why it is harmless |");
        text.AppendLine("| --- | --- | --- |");
        foreach (var one in outcomes.Where(one => !one.IsFound).OrderBy(one => one.Fault.File, StringComparer.Ordinal).ThenBy(one => one.Fault.Line))
        {
            text.AppendLine(CultureInfo.InvariantCulture, $"| `{one.Fault.File}`: {Code(one.Fault.Code)} | {Code(one.Fault.Before)} → {Code(one.Fault.After)} | {Why(one.Fault, reasons)} |");
        }

        return text.ToString();
    }

    /// <summary>Puts a text between the marks of a document.</summary>
    /// <exception cref="InvalidOperationException">The marks are missing.</exception>
    public static void Write(string document, string text)
    {
        var whole = File.ReadAllText(document);
        var start = whole.IndexOf(Start, StringComparison.Ordinal);
        var end = whole.IndexOf(End, StringComparison.Ordinal);
        if (start < 0 || end < start) throw new InvalidOperationException($"{document} has no place for the figures.");
        File.WriteAllText(document, $"{whole[..(start + Start.Length)]}\n\n{text}\n{whole[end..]}");
    }

    /// <summary>The reason for a survivor, or that none is known.</summary>
    public static string Why(Fault fault, IReadOnlyList<Harmless> reasons) =>
        reasons.FirstOrDefault(one => (one.File, one.Code, one.Before, one.After) == (fault.File, fault.Code, fault.Before, fault.After))?.Why ?? "**not harmless: a test is missing**";

    private static string Percent(IReadOnlyCollection<Outcome> outcomes) =>
        (100.0 * outcomes.Count(one => one.IsFound) / Math.Max(1, outcomes.Count)).ToString("F1", CultureInfo.InvariantCulture);

    private static string Word(FaultKind kind) => kind switch
    {
        FaultKind.Operator => "operators",
        FaultKind.Bound => "bounds",
        FaultKind.Constant => "constants",
        _ => "dropped conditions and statements",
    };

    private static string Code(string text)
    {
        var line = string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)).Replace("|", "\\|", StringComparison.Ordinal);
        return line.Length == 0 ? "nothing" : $"`{(line.Length <= 110 ? line : line[..110] + "…")}`";
    }
}
