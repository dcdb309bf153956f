using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Faults;

/// <summary>The version that a change was based on, in If-Match.</summary>
internal static class RowVersion
{
    /// <summary>Reads it; null where there is none.</summary>
    public static long? Read(string? ifMatch) =>
        long.TryParse(ifMatch?.Trim('"'), NumberStyles.None, CultureInfo.InvariantCulture, out var version) ? version : null;

    /// <summary>The refusal of a change that names no version.</summary>
    public static ProblemHttpResult Missing(string what) => TypedResults.Problem(
        title: $"The version the {what} was read with is needed in If-Match. Nothing was changed; load it again.", statusCode: StatusCodes.Status428PreconditionRequired);

    /// <summary>The refusal of a change that met another.</summary>
    public static ProblemHttpResult Conflict(string what) => TypedResults.Problem(
        title: $"Someone else has changed {what} since you opened it. Nothing was changed; look at theirs and decide again.", statusCode: StatusCodes.Status412PreconditionFailed);
}
