using System.Globalization;
using System.Text;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

public sealed class WhatIfTests : IDisposable
{
    private const string Plan = $"/api/plan/{TestServer.Fair}";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static object Moves(string from, string to) => new { moves = new[] { new { from, to } } };

    private static string[] Clocks(JsonElement plan) => [.. plan.GetProperty("waves").EnumerateArray().Select(wave => wave.GetProperty("pickUp").GetProperty("clock").GetString()!)];

    [Fact]
    public async Task A_moved_pick_up_is_planned_and_nothing_is_stored()
    {
        var (status, asked) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", Moves("10:00", "11:15"));
        Assert.Equal(200, status);
        Assert.Equal(["07:30", "11:15"], Clocks(asked));
        var sentence = asked.GetProperty("sentence").EnumerateArray().Where(part => part.GetProperty("control").GetString() == "pickUp").Select(part => part.GetProperty("value").GetString());
        Assert.Equal(["07:30", "11:15"], sentence);
        Assert.Equal(["07:30", "10:00"], Clocks(await server.Get(Plan)));
    }

    [Fact]
    public async Task Kept_it_is_the_plan_that_was_asked_about()
    {
        var (_, asked) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", Moves("10:00", "11:15"));
        var (status, moved) = await server.Send(HttpMethod.Post, $"{Plan}/take", Moves("10:00", "11:15"));
        Assert.Equal((200, 4), (status, moved.GetProperty("moved").GetInt32()));
        Assert.Equal(asked.GetProperty("fingerprint").GetString(), (await server.Get(Plan)).GetProperty("fingerprint").GetString());
    }

    [Fact]
    public async Task Two_pick_ups_may_change_places()
    {
        var before = (await server.Get(Plan)).GetProperty("waves");
        var moves = new { moves = new[] { new { from = "07:30", to = "10:00" }, new { from = "10:00", to = "07:30" } } };
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", moves)).Status);
        var after = (await server.Get(Plan)).GetProperty("waves");
        Assert.Equal(before[0].GetProperty("pies").GetInt32(), after[1].GetProperty("pies").GetInt32());
        Assert.Equal(before[1].GetProperty("for").GetString(), after[0].GetProperty("for").GetString());
    }

    [Theory]
    [InlineData("09:00", "11:00", "from")]
    [InlineData("10:00", "25:00", "to")]
    [InlineData("10:00", "", "to")]
    [InlineData("ten", "eleven", "from")]
    public async Task A_move_that_cannot_be_is_refused(string from, string to, string field)
    {
        var (status, problem) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", Moves(from, to));
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty($"moves[0].{field}", out _));
        (status, problem) = await server.Send(HttpMethod.Post, $"{Plan}/take", Moves(from, to));
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty($"moves[0].{field}", out _));
    }

    [Fact]
    public async Task Every_task_can_be_asked_why_and_an_unknown_one_is_said()
    {
        var tasks = (await server.Get(Plan)).GetProperty("tasks").EnumerateArray().ToArray();
        foreach (var task in tasks)
        {
            var reason = await server.Get($"{Plan}/reason?task={Uri.EscapeDataString(task.GetProperty("id").GetString()!)}");
            Assert.DoesNotContain("{", reason.GetProperty("why").GetString(), StringComparison.Ordinal);
            Assert.NotEmpty(reason.GetProperty("waitsFor").EnumerateArray().Concat(reason.GetProperty("waitedBy").EnumerateArray()));
        }

        Assert.Equal(404, (await server.Send(HttpMethod.Get, $"{Plan}/reason?task=nothing", null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Get, $"{Plan}/reason", null)).Status);
    }

    [Fact]
    public async Task The_oven_steps_name_dial_and_shelves()
    {
        var steps = (await server.Get($"{Plan}/oven-steps")).EnumerateArray().ToArray();
        Assert.Contains(steps, step => step.GetProperty("act").GetString() == "drop");
        // The finisher has a fan: its dial stands 20 below the conventional temperature (common practice, no source).
        Assert.All(
            steps.Where(step => step.GetProperty("oven").GetString() == "Finisher" && step.GetProperty("act").GetString() is "set" or "drop"),
            step => Assert.Equal(step.GetProperty("tempC").GetInt32() - 20, step.GetProperty("dialC").GetInt32()));
        Assert.All(steps.Where(step => step.GetProperty("act").GetString() is "in" or "move" or "out"), step => Assert.Matches("^(shelf|shelves|floor) \\d", step.GetProperty("places").GetString()));
    }

    [Fact]
    public async Task The_calendar_has_each_task_at_its_instant()
    {
        using var client = server.CreateClient();
        var text = await client.GetStringAsync(new Uri($"{Plan}/calendar.ics", UriKind.Relative));
        // RFC 5545, 3.1: lines end with CRLF and hold at most 75 octets.
        Assert.All(text.Split("\r\n"), line => Assert.InRange(Encoding.UTF8.GetByteCount(line), 0, 75));
        Assert.StartsWith("BEGIN:VCALENDAR\r\n", text, StringComparison.Ordinal);
        var plan = await server.Get(Plan);
        var work = plan.GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("kind").GetString() != "wait").ToArray();
        Assert.Equal(work.Length + 2, text.Split("BEGIN:VEVENT").Length - 1);
        // Lisbon keeps UTC in November, so that clock times are instants.
        var first = work[0].GetProperty("start");
        var day = first.GetProperty("day").GetString() == "Wed" ? "20261125" : "20261126";
        Assert.Contains(string.Create(CultureInfo.InvariantCulture, $"DTSTART:{day}T{first.GetProperty("clock").GetString()!.Replace(":", string.Empty, StringComparison.Ordinal)}00Z"), text, StringComparison.Ordinal);
    }
}
