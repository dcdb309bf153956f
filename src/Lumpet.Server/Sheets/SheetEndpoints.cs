using System.Text;
using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.Bench;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Sheets;

/// <summary>A day's work on sheets, by person and by station: each to be printed and taken along.</summary>
internal static class SheetEndpoints
{
    private const string Person = "person";
    private const string Station = "station";

    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        var sheets = routes.MapGroup("/api/sheets/{day}");
        sheets.MapGet("", Get).WithName("GetSheets").WithSummary("The work of a day on sheets, one for each pair of hands of each shift, or one for each station.");
        sheets.MapGet("/calendar.ics", Calendar).WithName("GetSheetCalendar").WithSummary("The work of one sheet as iCalendar.").Produces<string>(200, "text/calendar");
    }

    private static async Task<Results<Ok<WorkSheetsAnswer>, ValidationProblem>> Get(string day, string? by, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        if (!IsKnown(by)) return NotKnown();
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        return TypedResults.Ok(new WorkSheetsAnswer(
            Days.Iso(book.Day), Days.Name(book.Day), by is Station ? Station : Person, [.. Of(book, plan, by).Select(sheet => Sheet(book, plan, sheet))], book.Fingerprint));
    }

    private static async Task<Results<ContentHttpResult, ValidationProblem>> Calendar(string day, string? by, string? sheet, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        if (!IsKnown(by)) return NotKnown();
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        return Of(view.Book, view.Plan, by).FirstOrDefault(one => one.Id == sheet) is { } found
            ? TypedResults.Text(PlanCalendar.Of(view.Book, view.Plan, clock.Now, Title(found), found.Tasks, []), "text/calendar", Encoding.UTF8)
            : FieldProblems.Of(("sheet", "There is no such sheet in the plan as it is now; it may have been planned anew."));
    }

    private static bool IsKnown(string? by) => by is null or "" or Person or Station;

    private static ValidationProblem NotKnown() => FieldProblems.Of(("by", "Sheets are by \"person\" or by \"station\"."));

    private static IReadOnlyList<WorkSheet> Of(DayBook book, PlannedDay plan, string? by) =>
        by is Station ? WorkSheets.ByStation(plan) : WorkSheets.ByPerson(plan, book.Snapshot.OvensWatched);

    /// <summary>What stands at the top of a sheet: "Night, pair of hands 2".</summary>
    private static string Title(WorkSheet sheet) => sheet.Shift is { } shift ? $"{shift.Name}, pair of hands {sheet.Person}" : $"{sheet.Station}";

    private static WorkSheetAnswer Sheet(DayBook book, PlannedDay plan, WorkSheet sheet) => new(
        sheet.Id,
        Title(sheet),
        sheet.Shift is { } shift ? $"{book.Clock.At(shift.StartMin).Day} {book.Clock.At(shift.StartMin).Clock} to {book.Clock.At(shift.EndMin).Clock}" : string.Empty,
        sheet.WorkMin,
        [.. sheet.Tasks.Select(task => new WorkSheetTaskAnswer(
            task.Id,
            book.Clock.At(task.StartMin),
            book.Clock.At(task.EndMin),
            task.EndMin - task.StartMin,
            task.Name,
            $"{(task.Pies > 0 ? $"{task.Pies} " : string.Empty)}{PlanWriting.About(book, plan, task)}",
            Naming.Of(task.Station),
            [.. TaskWeights.Of(plan, task), .. TaskWeights.InOneGo(plan, task)],
            task.ReadyWhen,
            task.Caution,
            OneGo.Words(book, plan, task),
            task.RightAfter is not null))]);
}

/// <summary>A day's work on sheets.</summary>
/// <param name="Day">The day, ISO date.</param>
/// <param name="DayName">The day as people say it.</param>
/// <param name="By">"person" or "station".</param>
/// <param name="Sheets">The sheets.</param>
/// <param name="Fingerprint">Of the plan that they are of.</param>
public sealed record WorkSheetsAnswer(string Day, string DayName, string By, IReadOnlyList<WorkSheetAnswer> Sheets, string Fingerprint);

/// <summary>A sheet.</summary>
/// <param name="Id">Its name among the sheets, by which its calendar is asked for.</param>
/// <param name="Title">"Night, pair of hands 2", or the station.</param>
/// <param name="When">From when to when the shift is; empty of a station's.</param>
/// <param name="WorkMin">Minutes of work in all.</param>
/// <param name="Tasks">In order of time.</param>
public sealed record WorkSheetAnswer(string Id, string Title, string When, int WorkMin, IReadOnlyList<WorkSheetTaskAnswer> Tasks);

/// <summary>A task on a sheet.</summary>
/// <param name="Id">As in the plan.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="Name">What is done.</param>
/// <param name="About">Of what, and how much of it.</param>
/// <param name="Station">Where.</param>
/// <param name="Weights">What it takes, one thing each, as the scale shows it.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
/// <param name="OneGo">What is done in one go with it, in words; empty where it is done by itself.</param>
/// <param name="GoesOn">Whether it goes right on from the same work before.</param>
public sealed record WorkSheetTaskAnswer(
    string Id, Moment Start, Moment End, int Minutes, string Name, string About, string Station, IReadOnlyList<string> Weights, string ReadyWhen, string Caution, string OneGo, bool GoesOn);
