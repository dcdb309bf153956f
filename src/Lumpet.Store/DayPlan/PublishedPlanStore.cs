using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using Lumpet.Core.DayPlan;
using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.DayPlan;

/// <summary>A plan that a crew works by, as it is kept.</summary>
/// <param name="Number">From 1, in the order in which plans of the day were published.</param>
/// <param name="PublishedAt">When it was.</param>
/// <param name="Start">Where its clock begins.</param>
/// <param name="Fingerprint">Of what it was made for.</param>
/// <param name="Given">Name of the time that it was given.</param>
/// <param name="From">The plan that it goes on from; null where nothing had begun.</param>
/// <param name="Work">What has to be known of it.</param>
public sealed record StoredPublication(int Number, Instant PublishedAt, Instant Start, string Fingerprint, string Given, GoneOnFrom? From, PublishedPlan Work)
{
    /// <summary>Ids of its tasks of which someone says that they are not done.</summary>
    public IReadOnlySet<string> NotDone { get; init; } = new HashSet<string>();

    /// <summary>By how many minutes its tasks take longer of which someone says so, by the task's id.</summary>
    public IReadOnlyDictionary<string, int> LongerMin { get; init; } = new Dictionary<string, int>();
}

/// <summary>A plan that another goes on from.</summary>
/// <param name="Number">Its number.</param>
/// <param name="At">When it was gone on from.</param>
/// <param name="NotDone">What of it was not done then.</param>
/// <param name="LongerMin">By how many minutes its tasks took longer then, by the task's id.</param>
public sealed record GoneOnFrom(int Number, Instant At, IReadOnlyList<string> NotDone, IReadOnlyDictionary<string, int> LongerMin);

/// <summary>Keeps plans that are published. The last of a day is the one that is followed.</summary>
public static class PublishedPlanStore
{
    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web) { Converters = { new JsonStringEnumConverter() } };

    /// <summary>The plan that is followed on a day; null where none is.</summary>
    public static StoredPublication? Followed(SqliteConnection connection, LocalDate day) =>
        connection.QuerySingleOrDefault<Row>($"{Columns} WHERE day = @day ORDER BY number DESC LIMIT 1", new { day = Iso(day) }) is { } row ? Read(connection, day, row) : null;

    /// <summary>A plan of a day by its number; null where there is none.</summary>
    public static StoredPublication? Find(SqliteConnection connection, LocalDate day, int number) =>
        connection.QuerySingleOrDefault<Row>($"{Columns} WHERE day = @day AND number = @number", new { day = Iso(day), number }) is { } row ? Read(connection, day, row) : null;

    /// <summary>Publishes a plan: from now on it is the one that is followed.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="day">The day of its pick-ups.</param>
    /// <param name="plan">The plan; its number is the next of the day.</param>
    /// <returns>Its number.</returns>
    public static int Publish(Transaction transaction, LocalDate day, StoredPublication plan)
    {
        var number = transaction.Connection.QuerySingle<int>("SELECT coalesce(max(number), 0) + 1 FROM published_plan WHERE day = @day", new { day = Iso(day) });
        transaction.Connection.Execute(
            """
            INSERT INTO published_plan (day, number, published_unix, start_unix, fingerprint, given, from_number, from_unix, from_not_done, from_longer, work)
            VALUES (@day, @number, @published, @start, @fingerprint, @given, @from, @fromUnix, @notDone, @longer, @work)
            """,
            new
            {
                day = Iso(day),
                number,
                published = plan.PublishedAt.ToUnixTimeSeconds(),
                start = plan.Start.ToUnixTimeSeconds(),
                fingerprint = plan.Fingerprint,
                given = plan.Given,
                from = plan.From?.Number,
                fromUnix = plan.From?.At.ToUnixTimeSeconds(),
                notDone = JsonSerializer.Serialize(plan.From?.NotDone ?? [], Format),
                longer = JsonSerializer.Serialize(plan.From?.LongerMin ?? new Dictionary<string, int>(), Format),
                work = JsonSerializer.Serialize(plan.Work, Format),
            });
        return number;
    }

    /// <summary>Takes all plans of a day back: none is followed any more.</summary>
    /// <returns>Whether there was one.</returns>
    public static bool TakeBack(Transaction transaction, LocalDate day)
    {
        transaction.Connection.Execute("PRAGMA defer_foreign_keys = ON");
        return transaction.Connection.Execute("DELETE FROM published_plan WHERE day = @day", new { day = Iso(day) }) > 0;
    }

    /// <summary>Says of a task of the plan that is followed whether it is done.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="day">The day.</param>
    /// <param name="number">The plan.</param>
    /// <param name="task">Id of the task.</param>
    /// <param name="isDone">Whether it is.</param>
    public static void Say(Transaction transaction, LocalDate day, int number, string task, bool isDone) => transaction.Connection.Execute(
        isDone ? "DELETE FROM not_done WHERE day = @day AND number = @number AND task_id = @task" : "INSERT INTO not_done (day, number, task_id) VALUES (@day, @number, @task) ON CONFLICT DO NOTHING",
        new { day = Iso(day), number, task });

    /// <summary>Says of a task of the plan that is followed by how much it takes longer.</summary>
    /// <param name="transaction">The change it is part of.</param>
    /// <param name="day">The day.</param>
    /// <param name="number">The plan.</param>
    /// <param name="task">Id of the task.</param>
    /// <param name="minutes">Minutes; 0 where it takes as long as it was to.</param>
    public static void Lengthen(Transaction transaction, LocalDate day, int number, string task, int minutes) => transaction.Connection.Execute(
        minutes == 0
            ? "DELETE FROM takes_longer WHERE day = @day AND number = @number AND task_id = @task"
            : "INSERT INTO takes_longer (day, number, task_id, minutes) VALUES (@day, @number, @task, @minutes) ON CONFLICT DO UPDATE SET minutes = excluded.minutes",
        new { day = Iso(day), number, task, minutes });

    private const string Columns =
        "SELECT number, published_unix AS published, start_unix AS start, fingerprint, given, from_number AS fromNumber, from_unix AS fromUnix, from_not_done AS fromNotDone, from_longer AS fromLonger, work FROM published_plan";

    private static StoredPublication Read(SqliteConnection connection, LocalDate day, Row row) => new(
        (int)row.Number,
        Instant.FromUnixTimeSeconds(row.Published),
        Instant.FromUnixTimeSeconds(row.Start),
        row.Fingerprint,
        row.Given,
        row.FromNumber is { } from ? new GoneOnFrom((int)from, Instant.FromUnixTimeSeconds(row.FromUnix!.Value), JsonSerializer.Deserialize<string[]>(row.FromNotDone, Format)!, JsonSerializer.Deserialize<Dictionary<string, int>>(row.FromLonger, Format)!) : null,
        JsonSerializer.Deserialize<PublishedPlan>(row.Work, Format)!)
    {
        NotDone = connection.Query<string>("SELECT task_id FROM not_done WHERE day = @day AND number = @number", new { day = Iso(day), number = row.Number }).ToHashSet(),
        LongerMin = connection.Query<LongerRow>("SELECT task_id AS task, minutes FROM takes_longer WHERE day = @day AND number = @number", new { day = Iso(day), number = row.Number })
            .ToDictionary(one => one.Task, one => (int)one.Minutes),
    };

    private static string Iso(LocalDate day) => LocalDatePattern.Iso.Format(day);

    private sealed record Row(long Number, long Published, long Start, string Fingerprint, string Given, long? FromNumber, long? FromUnix, string FromNotDone, string FromLonger, string Work);

    private sealed record LongerRow(string Task, long Minutes);
}
