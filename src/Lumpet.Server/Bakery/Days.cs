using Lumpet.Server.Faults;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Server.Bakery;

/// <summary>Days as the contract writes them, and the refusals that every screen of a day shares.</summary>
internal static class Days
{
    private static readonly LocalDatePattern InWords = LocalDatePattern.CreateWithInvariantCulture("dddd d MMMM");

    /// <summary>A day as the contract writes it.</summary>
    public static string Iso(LocalDate day) => LocalDatePattern.Iso.Format(day);

    /// <summary>A day as people say it.</summary>
    public static string Name(LocalDate day) => InWords.Format(day);

    /// <summary>A day of the contract, or null where it is none, or none in which anyone bakes.</summary>
    public static LocalDate? Read(string? day) =>
        LocalDatePattern.Iso.Parse(day ?? string.Empty) is { Success: true, Value: { Year: >= 2000 and <= 2200 } date } ? date : null;

    /// <summary>The refusal of a day that is none.</summary>
    public static ValidationProblem NoDay() => FieldProblems.Of(("day", "A day is written 2026-05-02."));

    /// <summary>The refusal while no bakery is set up.</summary>
    public static ValidationProblem NoBakery() =>
        FieldProblems.Of(("bakery", "No bakery is set up in this database yet. Describe it under Bakery first."));
}
