using System.Globalization;
using Lumpet.Server.Faults;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Bakery;

/// <summary>Days as the contract writes them, and the refusals that every screen of a day shares.</summary>
internal static class Days
{
    /// <summary>A day as the contract writes it.</summary>
    public static string Iso(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <summary>A day as people say it.</summary>
    public static string Name(DateOnly day) => day.ToString("dddd d MMMM", CultureInfo.InvariantCulture);

    /// <summary>A day of the contract, or null where it is none.</summary>
    public static DateOnly? Read(string? day) =>
        DateOnly.TryParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date) ? date : null;

    /// <summary>The refusal of a day that is none.</summary>
    public static ValidationProblem NoDay() => FieldProblems.Of(("day", "A day is written 2026-05-02."));

    /// <summary>The refusal while no bakery is set up.</summary>
    public static ValidationProblem NoBakery() =>
        FieldProblems.Of(("bakery", "No bakery is set up in this database yet. Describe it under Bakery first."));
}
