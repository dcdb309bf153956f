using Lumpet.Core.DayPlan;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Lumpet.Server.Faults;

/// <summary>Turns what went wrong on the way into problem details (RFC 9457) that a person can act on.</summary>
internal sealed partial class FaultHandler(IProblemDetailsService problems, ILogger<FaultHandler> log) : IExceptionHandler
{
    private const int DiskFull = 13;
    private const int ReadOnly = 8;
    private const int InputOutput = 10;
    private const int CannotOpen = 14;
    private const int Busy = 5;
    private const int Constraint = 19;

    // Bodies that are refused for what they are, and not for what stands in them.
    private static readonly int[] OfTheBody = [StatusCodes.Status413PayloadTooLarge, StatusCodes.Status415UnsupportedMediaType];

    /// <inheritdoc/>
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            PlanStumblesException stumbles => Problem(409, $"This day cannot be planned: it stumbles over {stumbles.Message} Mend that recipe, or move its orders; every other day is planned as ever."),
            UnsoundPlanException unsound => Problem(500, $"The plan that was found for this day breaks a rule and is not shown ({unsound.Message}). Nothing was changed. Another number of pies or another pick-up may be planned well; whoever looks after Lumpet should be told."),
            BadHttpRequestException bad => FieldProblems.Of(Malformed(bad)).ProblemDetails,
            // The schema holds what must hold, whatever was checked before.
            SqliteException { SqliteErrorCode: Constraint } => Problem(409, "What is kept would not hold together with this, or someone else has just kept something that stands against it. Nothing was changed; look again."),
            SqliteException { SqliteErrorCode: DiskFull } => Problem(507, "The disk is full. Nothing was changed; free some space and try again."),
            SqliteException { SqliteErrorCode: Busy } => Problem(503, "The database is busy with other changes. Nothing was changed; try again in a moment."),
            SqliteException { SqliteErrorCode: InputOutput or CannotOpen } => Problem(503, "The disk does not take or give what is asked. Nothing was changed; look whether it is full or was removed, and try again."),
            SqliteException { SqliteErrorCode: ReadOnly } => Problem(503, "The database file cannot be written. Nothing was changed; check its permissions."),
            _ => Problem(500, "Something went wrong in Lumpet itself. Nothing was changed; try again, and if it stays, look at the server's output."),
        };
        if (exception is BadHttpRequestException { StatusCode: var status } && OfTheBody.Contains(status)) problem.Status = status;
        if (problem.Status >= 500 || exception is SqliteException) log.LogError(exception, "A request failed: {Method} {Path}", httpContext.Request.Method, httpContext.Request.Path);
        httpContext.Response.StatusCode = problem.Status ?? 500;
        return await problems.TryWriteAsync(new ProblemDetailsContext { HttpContext = httpContext, ProblemDetails = problem });
    }

    private static Microsoft.AspNetCore.Mvc.ProblemDetails Problem(int status, string title) => new() { Status = status, Title = title };

    private static (string Field, string Message) Malformed(BadHttpRequestException exception)
    {
        if (exception.InnerException is JsonException json)
        {
            var field = json.Path is { Length: > 2 } path ? path[2..] : "body";
            return field == "body" || json.Path == "$"
                ? ("body", "The request is not readable JSON.")
                : (field, "This is not a value of the kind that is needed here.");
        }

        if (Parameter().Match(exception.Message) is { Success: true } parameter)
            return (JsonNamingPolicy.CamelCase.ConvertName(parameter.Groups["name"].Value), "This is not a value of the kind that is needed here.");
        return ("body", exception.StatusCode switch
        {
            StatusCodes.Status413PayloadTooLarge => "The request is too large.",
            StatusCodes.Status415UnsupportedMediaType => "A body is sent as application/json, in UTF-8.",
            _ => "A JSON body is required here.",
        });
    }

    // What the framework says of a value in the address that it cannot read: 'Failed to bind parameter "double? dryC" from "abc".'
    [GeneratedRegex(@"^Failed to bind parameter ""[^""]*?(?<name>\w+)"" from", RegexOptions.CultureInvariant)]
    private static partial Regex Parameter();
}
