using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Fillings;

/// <summary>Cold in time, and which water a dough takes, over HTTP.</summary>
public sealed class CoolingTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Ask(object question)
    {
        var (status, answer) = await server.Send(HttpMethod.Post, "/api/cooling", question);
        Assert.True(status == 200, answer.GetRawText());
        return answer;
    }

    [Fact]
    public async Task A_pot_is_told_what_would_be_cold_in_time_and_that_is()
    {
        var pot = await Ask(new { kilograms = 20, depthCm = 25, place = "fridge" });
        Assert.False(pot.GetProperty("isInTime").GetBoolean());
        Assert.Contains("it is not cold in time: from 57 to 21 °C it takes", pot.GetProperty("words").GetString(), StringComparison.Ordinal);
        var deepest = pot.GetProperty("deepestCm").GetDouble();
        // 20 kg at 1050 kg/m³ in pans of 0.15 m².
        Assert.Contains($"{Math.Ceiling(20 / (1050 * 0.15 * deepest / 100)):0} pans of 50 × 30 cm for 20 kg", pot.GetProperty("mend").GetString(), StringComparison.Ordinal);
        var shallow = await Ask(new { kilograms = 20, depthCm = deepest, place = "fridge" });
        Assert.True(shallow.GetProperty("isInTime").GetBoolean());
        Assert.Equal(string.Empty, shallow.GetProperty("mend").GetString());
        Assert.InRange(shallow.GetProperty("to21Min").GetInt32(), 100, 120);
        Assert.False((await Ask(new { kilograms = 20, depthCm = deepest + 0.2, place = "fridge" })).GetProperty("isInTime").GetBoolean());
    }

    [Fact]
    public async Task A_rack_in_the_room_never_is()
    {
        var rack = await Ask(new { depthCm = 1, place = "rack" });
        Assert.EndsWith("it never gets to 5 °C.", rack.GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Equal(JsonValueKind.Null, rack.GetProperty("deepestCm").ValueKind);
        Assert.EndsWith("it never gets to 21 °C.", (await Ask(new { depthCm = 1, place = "rack", placeC = 25 })).GetProperty("words").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Two_readings_of_a_probe_count_more_than_a_formula()
    {
        // At 3 °C around: from 57 to 30 °C in 38.5 min is tau 55.5 min; to 21 °C it is tau ln(54 / 18) = 61 min, to 5 °C tau ln(27) = 183 min.
        var answer = await Ask(new { place = "fridge", reading = new { firstC = 57, secondC = 30, minutes = 38.5 } });
        Assert.Equal("As measured it is cold in time: from 57 to 21 °C in 1 h 02, to 5 °C in 3 h 04.", answer.GetProperty("words").GetString());
        Assert.Equal(0, answer.GetProperty("to57Min").GetInt32());
    }

    [Theory]
    [InlineData("depthCm", "{}")]
    [InlineData("depthCm", "{\"depthCm\":0}")]
    [InlineData("kilograms", "{\"depthCm\":5,\"kilograms\":1e9}")]
    [InlineData("place", "{\"depthCm\":5,\"place\":\"cellar\"}")]
    [InlineData("placeC", "{\"depthCm\":5,\"placeC\":100}")]
    [InlineData("placeC", "{\"depthCm\":5,\"placeC\":-11}")]
    [InlineData("reading.secondC", "{\"reading\":{\"firstC\":50,\"secondC\":49.9999999,\"minutes\":1440}}")]
    [InlineData("fromC", "{\"depthCm\":5,\"fromC\":20}")]
    [InlineData("reading.minutes", "{\"reading\":{\"firstC\":60,\"secondC\":40}}")]
    [InlineData("reading.secondC", "{\"reading\":{\"firstC\":60,\"secondC\":70,\"minutes\":5}}")]
    [InlineData("reading.secondC", "{\"reading\":{\"firstC\":60,\"secondC\":2,\"minutes\":5}}")]
    public async Task What_no_kitchen_has_is_refused_at_its_field(string field, string body)
    {
        var (status, problem) = await server.Send(HttpMethod.Post, "/api/cooling", JsonSerializer.Deserialize<JsonElement>(body));
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), problem.GetRawText());
    }

    [Fact]
    public async Task What_is_cooked_and_kept_cold_says_how_deep_it_may_stand_and_nothing_else_does()
    {
        var batches = (await server.Get("/api/fillings/2026-11-27")).GetProperty("batches").EnumerateArray().ToDictionary(one => one.GetProperty("name").GetString()!, one => one.GetProperty("cooling").GetString()!);
        Assert.StartsWith("Cold in time no deeper than ", batches["Passion-fruit curd"], StringComparison.Ordinal);
        Assert.Contains("3-501.14", batches["Passion-fruit curd"], StringComparison.Ordinal);
        Assert.StartsWith("Cold in time no deeper than ", batches["Sweet potato puree"], StringComparison.Ordinal);
        Assert.Equal(string.Empty, batches["Toasted hazelnuts"]);
        Assert.Equal(string.Empty, batches["Tartlet shells"]);
    }
}
