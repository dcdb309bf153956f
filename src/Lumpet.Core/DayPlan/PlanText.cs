using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// A sentence about a plan, without a full stop, in which minutes stand to be shown as clock times. What people have
/// written into it is text and nothing else.
/// </summary>
/// <param name="Parts">In order.</param>
public sealed record PlanText(IReadOnlyList<PlanTextPart> Parts)
{
    /// <summary>Nothing.</summary>
    public static PlanText Empty { get; } = new([]);

    /// <summary>A sentence with minutes in it: <c>Say($"no one is there after {At(minute)}")</c>.</summary>
    public static PlanText Say(PlanTextHandler words) => words.Text();

    /// <summary>A minute of the plan, to be shown as a clock time.</summary>
    public static PlanMinute At(int minute) => new(minute);

    /// <summary>Minutes in words: "45 min", "2 h 05".</summary>
    public static string Long(int minutes) =>
        minutes < 120 ? FormattableString.Invariant($"{minutes} min") : FormattableString.Invariant($"{minutes / 60} h{(minutes % 60 > 0 ? $" {minutes % 60:00}" : string.Empty)}");

    /// <summary>The sentence, its minutes written by a clock.</summary>
    public string With(Func<int, string> clock) =>
        string.Concat(Parts.Select(part => part.Minute is { } minute ? clock(minute) : part.Words));

    /// <inheritdoc/>
    public bool Equals(PlanText? other) => other is not null && Parts.SequenceEqual(other.Parts);

    /// <inheritdoc/>
    public override int GetHashCode() => Parts.Aggregate(0, HashCode.Combine);
}

/// <summary>A part of a sentence: words, or a minute.</summary>
/// <param name="Words">The words; empty for a minute.</param>
/// <param name="Minute">The minute; null for words.</param>
public sealed record PlanTextPart(string Words, int? Minute);

/// <summary>A minute in a sentence.</summary>
/// <param name="Minute">From the start of the plan's horizon.</param>
public readonly record struct PlanMinute(int Minute);

/// <summary>Takes an interpolated string apart, so that text is never read as a format.</summary>
[InterpolatedStringHandler]
public sealed class PlanTextHandler
{
    private readonly List<PlanTextPart> parts = [];
    private readonly StringBuilder words = new();

    /// <summary>A handler; the compiler passes lengths that are not needed.</summary>
    public PlanTextHandler(int literalLength, int formattedCount) => words.EnsureCapacity(literalLength + (8 * formattedCount));

    /// <summary>Adds words of the sentence.</summary>
    public void AppendLiteral(string value) => words.Append(value);

    /// <summary>Adds text as it is.</summary>
    public void AppendFormatted(string? value) => words.Append(value);

    /// <summary>Adds a number.</summary>
    public void AppendFormatted(int value) => words.Append(value.ToString(CultureInfo.InvariantCulture));

    /// <summary>Adds a minute.</summary>
    public void AppendFormatted(PlanMinute value)
    {
        Words();
        parts.Add(new PlanTextPart(string.Empty, value.Minute));
    }

    /// <summary>Adds a sentence that was said before.</summary>
    public void AppendFormatted(PlanText value)
    {
        Words();
        parts.AddRange(value.Parts);
    }

    /// <summary>The sentence.</summary>
    internal PlanText Text()
    {
        Words();
        return new PlanText([.. parts]);
    }

    private void Words()
    {
        if (words.Length > 0) parts.Add(new PlanTextPart(words.ToString(), null));
        words.Clear();
    }
}
