using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core.DayPlan;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Days whose shifts reach into one another are planned one around the other, the sooner pick-ups first.</summary>
public sealed class DaysTogetherTests : IDisposable
{
    private const string Next = "2026-11-27";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    /// <summary>A bakery that works from midnight to ten in the evening, so that every day may be worked for on the day before.</summary>
    private static async Task AllDay(TestServer server, int people)
    {
        var written = await server.Get("/api/bakery/description");
        var draft = JsonNode.Parse(written.GetProperty("draft").GetRawText())!;
        draft["shifts"] = JsonNode.Parse(
            $$"""
            [{ "name": "Day", "start": "00:00", "lengthMin": 1320, "people": {{people}} }]
            """);
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", $"\"{written.GetProperty("version").GetInt32()}\""))).Status);
        // A pick-up in the evening, when the next day has begun.
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 24, pickUp = $"{TestServer.Fair}T19:30", @for = "Evening stall" })).Status);
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "damson", pan = "23", count = 12, pickUp = $"{Next}T01:30", @for = "Night boat" })).Status);
    }

    private static string[] Beside(JsonElement plan) => [.. plan.GetProperty("beside").EnumerateArray().Select(one => one.GetString()!)];

    private static (string Oven, int Shelf, string From, string To)[] Stays(JsonElement plan, bool own) =>
    [
        .. from oven in plan.GetProperty("ovens").GetProperty("ovens").EnumerateArray()
           from layer in oven.GetProperty("layers").EnumerateArray()
           where (layer.GetProperty("day").GetString() == string.Empty) == own
           from shelf in layer.GetProperty("shelves").EnumerateArray()
           let stages = layer.GetProperty("stages").EnumerateArray().ToArray()
           select (oven.GetProperty("name").GetString()!, shelf.GetInt32(), Said(stages[0].GetProperty("start")), Said(stages[^1].GetProperty("end"))),
    ];

    private static string Said(JsonElement moment) => $"{moment.GetProperty("day").GetString()} {moment.GetProperty("clock").GetString()}";

    [Fact]
    public async Task A_day_is_planned_around_the_one_before_and_says_so_on_both()
    {
        await AllDay(server, 4);
        var (fair, next) = (await server.Get($"/api/plan/{TestServer.Fair}"), await server.Get($"/api/plan/{Next}"));
        Assert.Contains(Beside(next), words => words.StartsWith("Planned around Thursday 26 November, whose last trays are out of the ovens at Thu ", StringComparison.Ordinal));
        Assert.DoesNotContain(Beside(fair), words => words.StartsWith("Planned around", StringComparison.Ordinal));
        // What stands in the ovens for the day before is drawn where that day has it.
        var theirs = Stays(next, own: false);
        Assert.NotEmpty(theirs);
        Assert.Subset(Stays(fair, own: true).ToHashSet(), theirs.ToHashSet());
        // Never twice the same minute of a shelf.
        var taken = theirs.Concat(Stays(next, own: true)).ToArray();
        Assert.DoesNotContain(taken, one => taken.Any(other => other != one && other.Oven == one.Oven && other.Shelf == one.Shelf && other.From[..3] == one.From[..3] && string.CompareOrdinal(other.From, one.To) < 0 && string.CompareOrdinal(one.From, other.To) < 0 && one.From[..3] == one.To[..3] && other.From[..3] == other.To[..3]));
        var steps = (await server.Get($"/api/plan/{Next}/oven-steps")).EnumerateArray().Select(step => step.GetProperty("words").GetString()!).ToArray();
        Assert.Contains(steps, words => words.StartsWith("Load for Thursday 26 November in: ", StringComparison.Ordinal));
    }

    [Fact]
    public async Task An_order_for_the_day_after_changes_nothing_of_the_day_before()
    {
        await AllDay(server, 4);
        var before = (await server.Get($"/api/plan/{TestServer.Fair}")).GetProperty("fingerprint").GetString();
        var next = (await server.Get($"/api/plan/{Next}")).GetProperty("fingerprint").GetString();
        await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 12, pickUp = $"{Next}T09:00", @for = "Kiosk" });
        Assert.Equal(before, (await server.Get($"/api/plan/{TestServer.Fair}")).GetProperty("fingerprint").GetString());
        var changed = (await server.Get($"/api/plan/{Next}")).GetProperty("fingerprint").GetString();
        Assert.NotEqual(next, changed);
        // The other way round it does.
        await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 6, pickUp = $"{TestServer.Fair}T19:00", @for = "Kiosk" });
        Assert.NotEqual(changed, (await server.Get($"/api/plan/{Next}")).GetProperty("fingerprint").GetString());
    }

    [Fact]
    public async Task A_day_that_cannot_be_planned_holds_up_no_other()
    {
        using var stumbling = new TestServer
        {
            Planning = (snapshot, effort, patience, progress) => snapshot.Orders.Any(order => order.For == "Evening stall")
                ? throw new PlanStumblesException("The day before stumbles.")
                : DayPlanner.Plan(snapshot, effort, patience, progress),
        };
        await AllDay(stumbling, 4);
        Assert.NotEqual(200, (await stumbling.Send(HttpMethod.Get, $"/api/plan/{TestServer.Fair}", null)).Status);
        var next = await stumbling.Get($"/api/plan/{Next}");
        Assert.Equal(89, next.GetProperty("pies").GetInt32());
        Assert.Empty(Beside(next));
    }

    [Fact]
    public async Task The_next_days_are_planned_ahead_one_after_the_other()
    {
        var planned = new System.Collections.Concurrent.ConcurrentQueue<int>();
        using var ahead = new TestServer
        {
            PlansAhead = true,
            Planning = (snapshot, _, patience, progress) =>
            {
                planned.Enqueue(snapshot.Orders.Sum(order => order.Count));
                return DayPlanner.Plan(snapshot, 1, patience, progress);
            },
        };
        Assert.Equal(JsonValueKind.Object, (await ahead.Get("/api/bakery")).ValueKind);
        for (var waits = 0; planned.Count < 2 && waits < 600; waits++) await Task.Delay(50, TestContext.Current.CancellationToken);
        Assert.Equal([62, 77], planned.Take(2));
    }

    [Fact]
    public async Task Far_ahead_a_day_is_planned_by_itself_and_what_two_count_on_is_said()
    {
        await AllDay(server, 4);
        foreach (var (product, pan, count, pickUp) in new[] { ("sweet-potato", "22-foil", 100, "2026-12-10T19:55"), ("sweet-potato", "22-foil", 100, "2026-12-11T00:30") })
            Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product, pan, count, pickUp, @for = "Kiosk" })).Status);
        var far = await server.Get("/api/plan/2026-12-11");
        Assert.Empty(Beside(far));
        Assert.Contains(far.GetProperty("troubles").EnumerateArray(), trouble => trouble.GetProperty("text").GetString()!.Contains("is wanted by Thursday 10 December too", StringComparison.Ordinal));
    }
}
