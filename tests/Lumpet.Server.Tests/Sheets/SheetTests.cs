using System.Text.Json;
using Ical.Net;
using Xunit;

namespace Lumpet.Server.Tests.Sheets;

/// <summary>Sheets by person and by station, with their weights, and the calendar of each.</summary>
public sealed class SheetTests : IDisposable
{
    private const string Sheets = $"/api/sheets/{TestServer.Fair}";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static JsonElement[] Each(JsonElement answer, string name) => [.. answer.GetProperty(name).EnumerateArray()];

    private static string Text(JsonElement one, string name) => one.GetProperty(name).GetString()!;

    [Fact]
    public async Task A_sheet_of_a_person_says_what_is_weighed_for_dough_for_pies_and_for_what_is_made_first()
    {
        var answer = await server.Get(Sheets);
        var sheets = Each(answer, "sheets");
        Assert.All(sheets, sheet => Assert.Matches("^(Afternoon|Night), pair of hands [1-4]$", Text(sheet, "title")));
        var tasks = sheets.SelectMany(sheet => Each(sheet, "tasks")).ToArray();
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        Assert.Equal(
            Each(plan, "tasks").Where(task => Text(task, "kind") == "hands").Select(task => Text(task, "id")).Order(StringComparer.Ordinal),
            tasks.Select(task => Text(task, "id")).Order(StringComparer.Ordinal));
        Assert.Equal(Text(plan, "fingerprint"), Text(answer, "fingerprint"));
        // A bowl of dough is what its batch says, line by line.
        var batch = Each(await server.Get($"/api/dough/{TestServer.Fair}"), "batches")[0];
        var mix = tasks.First(task => Text(task, "id") == $"{Text(batch, "dough")}/{batch.GetProperty("number").GetInt32()}/mix");
        Assert.Equal(
            Each(batch, "lines").Select(line => $"{line.GetProperty("grams").GetDouble()} g"),
            Each(mix, "weights").Select(weight => weight.GetString()!.Split(" g ")[0] + " g"));
        // A pie's weights are those of the bench.
        foreach (var bench in Each(await server.Get($"/api/bench/{TestServer.Fair}"), "tasks"))
            Assert.Equal(Each(bench, "weights").Select(one => one.GetString()), Each(tasks.First(task => Text(task, "id") == Text(bench, "id")), "weights").Select(one => one.GetString()));
    }

    [Fact]
    public async Task What_is_done_in_one_go_says_how_many_it_is_and_what_all_of_it_weighs()
    {
        foreach (var count in new[] { 6, 9 })
            Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "damson", pan = "23", count, pickUp = $"2026-11-28T{(count == 6 ? "07:30" : "10:00")}", @for = "Kiosk" })).Status);
        var tasks = Each(await server.Get("/api/sheets/2026-11-28"), "sheets").SelectMany(sheet => Each(sheet, "tasks")).ToArray();
        var first = tasks.First(task => Text(task, "id").EndsWith("/prepare", StringComparison.Ordinal) && Text(task, "oneGo").Length > 0 && !task.GetProperty("goesOn").GetBoolean());
        Assert.Matches("^15 in one go until [0-9]{2}:[0-9]{2}$", Text(first, "oneGo"));
        Assert.All(tasks.Where(task => task.GetProperty("goesOn").GetBoolean()), task => Assert.Equal("right on from the ones before, nothing laid out again", Text(task, "oneGo")));
        // Grams of the first ingredient: those of 15 pies are 15 times those of one.
        var (all, own) = (Each(first, "weights")[^1].GetString()!, Each(first, "weights")[0].GetString()!);
        Assert.Contains("for all 15 in one go: ", all, StringComparison.Ordinal);
        static double Grams(string line) => double.Parse(line.Split(": ")[^1].Split(" g ")[0], System.Globalization.CultureInfo.InvariantCulture);
        var pies = int.Parse(Text(first, "about").Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
        Assert.Equal(Grams(own) / pies * 15, Grams(all), tolerance: 6);
        // The plan says the same at the task, and leads to the one before.
        var plan = Each(await server.Get("/api/plan/2026-11-28"), "tasks").ToDictionary(task => Text(task, "id"));
        Assert.Contains(plan.Values, task => task.GetProperty("rightAfter").ValueKind == JsonValueKind.String && Text(task, "rightAfter") == Text(first, "id"));
        Assert.Equal(Text(first, "oneGo"), Text(plan[Text(first, "id")], "oneGo"));
    }

    [Fact]
    public async Task A_station_has_a_sheet_and_another_word_is_refused()
    {
        var stations = Each(await server.Get($"{Sheets}?by=station"), "sheets").Select(sheet => Text(sheet, "title")).ToArray();
        Assert.Contains("Bench", stations);
        Assert.Contains("Dough", stations);
        foreach (var path in new[] { $"{Sheets}?by=mood", $"{Sheets}/calendar.ics?by=mood&sheet=1-1" })
        {
            var (status, body) = await server.Send(HttpMethod.Get, path, null);
            Assert.Equal(400, status);
            Assert.True(body.GetProperty("errors").TryGetProperty("by", out _));
        }

        Assert.Equal(400, (await server.Send(HttpMethod.Get, $"{Sheets}/calendar.ics?sheet=9-9", null)).Status);
    }

    [Fact]
    public async Task The_calendar_of_a_sheet_has_its_work_and_no_other()
    {
        foreach (var sheet in Each(await server.Get(Sheets), "sheets"))
        {
            // Read back by a general-purpose reader of RFC 5545.
            var calendar = Calendar.Load(await server.Text($"{Sheets}/calendar.ics?sheet={Text(sheet, "id")}"))!;
            Assert.Equal(
                Each(sheet, "tasks").Select(task => $"{TestServer.Fair}-{Text(task, "id")}@lumpet").Order(StringComparer.Ordinal),
                calendar.Events.Select(one => one.Uid!).Order(StringComparer.Ordinal));
        }
    }
}
