using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Cold;

/// <summary>What is in the cold at any minute, as it is drawn.</summary>
public sealed class FridgeTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    [Fact]
    public async Task What_is_there_is_named_with_until_when_it_keeps_and_the_levels_are_those_of_the_plan()
    {
        var cold = await server.Get($"/api/cold/{TestServer.Fair}");
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        var places = cold.GetProperty("places").EnumerateArray().ToDictionary(place => place.GetProperty("level").GetProperty("place").GetString()!);
        Assert.Equal(["freezerTrays", "freezerTubs", "fridgeTrays", "fridgeTubs", "racks"], places.Keys.Order());
        foreach (var room in plan.GetProperty("axis").GetProperty("rooms").EnumerateArray().Where(room => room.GetProperty("place").GetString() != "bench"))
            Assert.Equal(room.GetProperty("most").GetDouble(), places[room.GetProperty("place").GetString()!].GetProperty("level").GetProperty("most").GetDouble());
        var things = places.Values.SelectMany(place => place.GetProperty("things").EnumerateArray()).ToArray();
        Assert.All(things, thing => Assert.NotEqual("", thing.GetProperty("name").GetString()));
        // What is made already is named too.
        Assert.Contains(things, thing => thing.GetProperty("name").GetString() == "Almond paste" && thing.GetProperty("doing").GetString() == "Made already");
        Assert.Contains(things, thing => thing.GetProperty("product").GetString() == "Oat custard" && Min(thing, "keepsUntil") >= Min(thing, "to"));

        var moments = cold.GetProperty("moments").EnumerateArray().Select(moment => moment.GetProperty("min").GetInt32()).ToArray();
        Assert.Single(moments.Zip(moments.Skip(1), (one, next) => next - one).Distinct());
        Assert.InRange(cold.GetProperty("opensAt").GetInt32(), 0, moments.Length - 1);
        var fridge = places["fridgeTrays"].GetProperty("level");
        // Nothing is under way yet: it opens when the fridge is fullest, to the step.
        Assert.InRange(fridge.GetProperty("mostAt").GetProperty("min").GetInt32() - moments[cold.GetProperty("opensAt").GetInt32()], 0, 9);
        Assert.Contains($"Fridge: at most {fridge.GetProperty("most")} of {fridge.GetProperty("room")} trays, at {fridge.GetProperty("mostAt").GetProperty("day").GetString()} {fridge.GetProperty("mostAt").GetProperty("clock").GetString()}.", cold.GetProperty("fullest").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task While_the_day_is_under_way_it_opens_now()
    {
        await server.Get($"/api/cold/{TestServer.Fair}");
        server.Pass(TimeSpan.FromHours(9));
        var cold = await server.Get($"/api/cold/{TestServer.Fair}");
        var at = cold.GetProperty("moments")[cold.GetProperty("opensAt").GetInt32()];
        Assert.Equal("Wed", at.GetProperty("day").GetString());
        // Six in the evening, to the step.
        Assert.InRange(string.CompareOrdinal(at.GetProperty("clock").GetString(), "17:50"), 1, int.MaxValue);
        Assert.InRange(string.CompareOrdinal(at.GetProperty("clock").GetString(), "18:00"), int.MinValue, 0);
    }

    [Fact]
    public async Task A_day_without_orders_has_nothing_there()
    {
        var cold = await server.Get("/api/cold/2027-01-02");
        Assert.Empty(cold.GetProperty("places").EnumerateArray());
        Assert.Empty(cold.GetProperty("moments").EnumerateArray());
        Assert.Equal(400, (await server.Send(HttpMethod.Get, "/api/cold/tomorrow", null)).Status);
    }

    private static int Min(JsonElement thing, string name) => thing.GetProperty(name) is { ValueKind: JsonValueKind.Object } moment ? moment.GetProperty("min").GetInt32() : -1;
}
