namespace Lumpet.Core.Labels;

/// <summary>What the bakery states of a product in a pan for its labels.</summary>
/// <param name="NetGrams">What a baked one weighs, by the scale; null while nobody has weighed one.</param>
/// <param name="KeepsDays">For how many days after it was made it is good: 0 for that day only.</param>
/// <param name="IsUseBy">Whether it may harm after that, and so has a use-by date; else it is best before it.</param>
/// <param name="Storage">How it is kept: "Keep at 5 °C or below".</param>
public sealed record LabelStatement(int? NetGrams, int KeepsDays, bool IsUseBy, string Storage)
{
    /// <summary>The longest that is stated of a pie.</summary>
    public const int MostDays = 60;

    /// <summary>The longest storage words.</summary>
    public const int LongestStorage = 80;

    /// <summary>
    /// Most days of ready-to-eat food that needs time and temperature control, kept at 5 °C or below, the day on which it was made among them: seven (FDA Food Code 2022,
    /// 3-501.17, from memory).
    /// </summary>
    public const int MostControlledDays = 6;

    /// <summary>What is suggested where nobody has said: figures of our own (common practice, no source).</summary>
    /// <param name="needsControl">Whether it needs time and temperature control for safety.</param>
    public static LabelStatement Usual(bool needsControl) => needsControl
        ? new LabelStatement(null, 2, true, "Keep at 5 °C or below")
        : new LabelStatement(null, 2, false, "Keep cool and dry");
}

/// <summary>A statement as it is said.</summary>
/// <param name="NetGrams">What a baked one weighs, 1 to 20000; null while nobody has weighed one.</param>
/// <param name="KeepsDays">Days after the day on which it was made, 0 to 60.</param>
/// <param name="IsUseBy">Whether it has a use-by date.</param>
/// <param name="Storage">How it is kept; up to 80 characters.</param>
public sealed record LabelStatementDraft(int? NetGrams, int? KeepsDays, bool? IsUseBy, string? Storage);

/// <summary>Reads what is stated for labels.</summary>
public static class LabelStatementReader
{
    private const int MostGrams = 20_000;
    private const int LongestWords = 400;

    /// <summary>Reads how an ingredient is called on labels.</summary>
    /// <returns>The words, trimmed; empty takes them back. Or what is wrong with them.</returns>
    public static (string? Words, IReadOnlyList<FieldFault> Faults) ReadWords(string? words)
    {
        var checks = new FieldChecks();
        var said = checks.Words("words", words, LongestWords);
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (said, []);
    }

    /// <summary>Reads a draft.</summary>
    /// <returns>The statement; or everything that is wrong with it, field by field.</returns>
    public static (LabelStatement? Statement, IReadOnlyList<FieldFault> Faults) Read(LabelStatementDraft draft)
    {
        var checks = new FieldChecks();
        var grams = draft.NetGrams is null ? (int?)null : checks.Whole("netGrams", draft.NetGrams, 1, MostGrams, "g");
        var days = checks.Whole("keepsDays", draft.KeepsDays, 0, LabelStatement.MostDays, "days");
        if (draft.IsUseBy is null) checks.Add("isUseBy", "Say whether it is a use-by date.");
        var storage = checks.Words("storage", draft.Storage, LabelStatement.LongestStorage);
        return checks.Faults.Count > 0 ? (null, checks.Faults) : (new LabelStatement(grams, days, draft.IsUseBy!.Value, storage), []);
    }
}
