using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>The room of the kitchen as it is described, kept to by plans, and drawn.</summary>
public sealed class RoomTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task Describe(string room)
    {
        var written = await server.Get("/api/bakery/description");
        var draft = JsonNode.Parse(written.GetProperty("draft").GetRawText())!;
        draft["room"] = JsonNode.Parse(room);
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", $"\"{written.GetProperty("version").GetInt32()}\""))).Status);
    }

    private async Task<(JsonElement Plan, Dictionary<string, JsonElement> Rooms)> Fair()
    {
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        return (plan, plan.GetProperty("axis").GetProperty("rooms").EnumerateArray().ToDictionary(room => room.GetProperty("place").GetString()!));
    }

    private static double Most(JsonElement room) => room.GetProperty("most").GetDouble();

    [Fact]
    public async Task What_is_not_counted_is_drawn_against_nothing_and_what_is_counted_is_kept_to()
    {
        await Describe("{}");
        var (_, free) = await Fair();
        // What is made already lies in the freezer.
        Assert.Equal(["freezerTrays", "freezerTubs", "fridgeTrays", "fridgeTubs", "racks"], free.Keys.Order());
        Assert.All(free.Values, room => Assert.Equal((JsonValueKind.Null, ""), (room.GetProperty("room").ValueKind, room.GetProperty("full").GetString())));
        var racks = (int)Most(free["racks"]);
        Assert.InRange(racks, 8, 40);

        await Describe($$"""{ "benchPlaces": 2, "rackTrays": {{racks - 2}} }""");
        var (plan, counted) = await Fair();
        Assert.Equal(2, Most(counted["bench"]));
        Assert.InRange(Most(counted["racks"]), 1, racks - 2);
        Assert.Equal(racks - 2, counted["racks"].GetProperty("room").GetDouble());
        Assert.StartsWith("Every place at the bench is taken for ", counted["bench"].GetProperty("full").GetString(), StringComparison.Ordinal);
        // By the crew's own list no more than two are at the bench.
        var atTheBench = plan.GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("kind").GetString() == "hands" && task.GetProperty("station").GetString() is "bench" or "finish")
            .Select(task => (From: task.GetProperty("start").GetProperty("min").GetInt32(), To: task.GetProperty("end").GetProperty("min").GetInt32())).ToArray();
        if (plan.GetProperty("troubles").GetArrayLength() == 0) Assert.All(atTheBench, task => Assert.InRange(atTheBench.Count(other => other.From <= task.From && task.From < other.To), 1, 2));
    }

    [Fact]
    public async Task Dough_and_tubs_are_said_in_kilograms_as_they_lie_in_the_fridge()
    {
        var (plan, rooms) = await Fair();
        var tubs = rooms["fridgeTubs"];
        Assert.Equal(("Fridge", "kg", 40.0), (tubs.GetProperty("name").GetString(), tubs.GetProperty("unit").GetString(), tubs.GetProperty("room").GetDouble()));
        // All doughs of the day weigh more than lie there at once, and less than all of it at once would.
        var dough = (await server.Get($"/api/dough/{TestServer.Fair}")).GetProperty("batches").EnumerateArray().Sum(batch => batch.GetProperty("grams").GetDouble() / 1000);
        Assert.InRange(Most(tubs), dough / 4, 40);
        Assert.Equal(0, tubs.GetProperty("levels").EnumerateArray().Last().GetProperty("amount").GetDouble());
        Assert.Empty(plan.GetProperty("troubles").EnumerateArray());
    }

    [Fact]
    public async Task Where_the_racks_are_far_too_few_that_is_the_trouble_that_is_said()
    {
        await Describe("""{ "rackTrays": 1 }""");
        var (plan, _) = await Fair();
        Assert.Contains(plan.GetProperty("troubles").EnumerateArray(), trouble => trouble.GetRawText().Contains("the racks are full (1 tray)", StringComparison.Ordinal));
    }
}
