using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>A plan keeps to the working week, its breaks and its special dates.</summary>
public sealed class WorkingWeekTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task Describe(Action<JsonNode> change)
    {
        var written = await server.Get("/api/bakery/description");
        var draft = JsonNode.Parse(written.GetProperty("draft").GetRawText())!;
        change(draft);
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", $"\"{written.GetProperty("version").GetInt32()}\""))).Status);
    }

    private Task<JsonElement> Fair() => server.Get($"/api/plan/{TestServer.Fair}");

    private static JsonElement[] Hands(JsonElement plan) => [.. plan.GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("kind").GetString() == "hands")];

    private static string Clock(JsonElement task, string edge) => task.GetProperty(edge).GetProperty("day").GetString() + " " + task.GetProperty(edge).GetProperty("clock").GetString();

    [Fact]
    public async Task Nobody_works_in_a_break_and_the_ovens_stay_on()
    {
        var before = await Fair();
        // A time at which someone is at work and an oven is on.
        Assert.Contains(Hands(before), task => string.CompareOrdinal(Clock(task, "start"), "Thu 02:15") < 0 && string.CompareOrdinal(Clock(task, "end"), "Thu 02:00") > 0);
        await Describe(draft => draft["shifts"]![0]!["breaks"] = JsonNode.Parse("""[{ "start": "02:00", "lengthMin": 15 }]"""));
        var plan = await Fair();
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
        Assert.DoesNotContain(Hands(plan), task => string.CompareOrdinal(Clock(task, "start"), "Thu 02:15") < 0 && string.CompareOrdinal(Clock(task, "end"), "Thu 02:00") > 0);
        // Two in the morning is 26 hours after the clock of the plan begins.
        var asked = JsonDocument.Parse(await server.Text($"/api/plan/{TestServer.Fair}/bake-problem.json")).RootElement;
        Assert.All(asked.GetProperty("ovens").EnumerateArray(), oven => Assert.Contains(
            oven.GetProperty("openings").EnumerateArray(), opening => opening.GetProperty("fromMin").GetInt32() <= 1560 && opening.GetProperty("toMin").GetInt32() >= 1575));
        // It is told as one shift, whole.
        Assert.Single(plan.GetProperty("shifts").EnumerateArray(), shift => Clock(shift, "start") == "Thu 00:00");
    }

    [Fact]
    public async Task On_a_date_on_which_nobody_works_nothing_is_made_and_that_is_said()
    {
        await Describe(draft => draft["specialDates"] = JsonNode.Parse("""[{ "date": "2026-11-25", "words": "Storm", "shifts": [] }, { "date": "2026-11-26", "words": "Storm", "shifts": [] }]"""));
        var plan = await Fair();
        Assert.All(plan.GetProperty("waves").EnumerateArray(), wave => Assert.False(wave.GetProperty("isMet").GetBoolean()));
        Assert.NotEmpty(plan.GetProperty("troubles").EnumerateArray());
        // The day after has its own night, and is planned.
        Assert.Contains((await server.Get("/api/plan/2026-11-27")).GetProperty("waves").EnumerateArray(), wave => wave.GetProperty("isMet").GetBoolean());
        Assert.Empty(plan.GetProperty("tasks").EnumerateArray());
    }

    [Fact]
    public async Task A_shift_begins_on_its_days_of_the_week_only()
    {
        // The fair is on a Thursday.
        await Describe(draft => draft["shifts"]![0]!["days"] = JsonNode.Parse("""["monday", "sunday"]"""));
        Assert.DoesNotContain((await Fair()).GetProperty("shifts").EnumerateArray(), shift => shift.GetProperty("name").GetString() == "Night");
    }
}
