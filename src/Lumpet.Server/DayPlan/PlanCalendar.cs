using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>Writes a plan as iCalendar (RFC 5545): each task with hands or heat, and each pick-up, an event.</summary>
internal static class PlanCalendar
{
    /// <summary>The calendar of a day.</summary>
    public static string Of(DayBook book, PlannedDay plan, Instant now) =>
        // Resting, chilling and cooling fill a calendar without asking anything of anyone.
        Of(book, plan, now, string.Empty, plan.Tasks.Where(task => task.Kind != TaskKind.Wait), plan.Waves);

    /// <summary>The calendar of some of its work.</summary>
    /// <param name="book">The day.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="now">When it is written.</param>
    /// <param name="of">Whose work it is; empty of all.</param>
    /// <param name="tasks">The work.</param>
    /// <param name="waves">The pick-ups.</param>
    public static string Of(DayBook book, PlannedDay plan, Instant now, string of, IEnumerable<DayTask> tasks, IReadOnlyList<Wave> waves)
    {
        var calendar = new Calendar { ProductId = "-//Lumpet//Day plan//EN", Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", $"{book.Bakery.Name}, {Days.Name(book.Day)}{(of.Length > 0 ? $", {of}" : string.Empty)}");
        foreach (var task in tasks)
            calendar.Events.Add(Event(
                book,
                now,
                task.Id,
                $"{task.Name}: {(task.Pies > 0 ? $"{task.Pies} " : string.Empty)}{PlanWriting.About(book, plan, task)}",
                string.Join("\n", new[] { task.ReadyWhen.Length > 0 ? $"Ready when: {task.ReadyWhen}" : string.Empty, task.Caution.Length > 0 ? $"Caution: {task.Caution}" : string.Empty }.Where(line => line.Length > 0)),
                task.Station.ToString(),
                task.StartMin,
                task.EndMin));
        foreach (var wave in waves)
            calendar.Events.Add(Event(book, now, $"pick-up-{wave.PickUpMin}", $"Pick-up: {wave.Pies} pies", string.Join(", ", wave.For), "Box", wave.PickUpMin, wave.PickUpMin));
        return new CalendarSerializer().SerializeToString(calendar) ?? string.Empty;
    }

    private static CalendarEvent Event(DayBook book, Instant now, string id, string summary, string description, string station, int from, int to) => new()
    {
        Uid = $"{Days.Iso(book.Day)}-{id}@lumpet",
        Summary = summary,
        Description = description.Length > 0 ? description : null,
        Location = station,
        DtStamp = Utc(now),
        Start = Utc(book.Clock.InstantAt(from)),
        End = to > from ? Utc(book.Clock.InstantAt(to)) : null,
    };

    private static CalDateTime Utc(Instant instant) => new(instant.ToDateTimeUtc(), "UTC");
}
