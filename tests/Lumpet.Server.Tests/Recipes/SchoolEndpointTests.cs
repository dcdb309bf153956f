using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

/// <summary>Schools offered, taken and put back, before anything is saved.</summary>
public sealed class SchoolEndpointTests(TestServer server) : IClassFixture<TestServer>
{
    private async Task<JsonObject> Written(string id) => JsonNode.Parse((await server.Get($"/api/recipes/{id}/written")).GetProperty("draft").GetRawText())!.AsObject();

    private async Task<JsonElement> Ask(string path, JsonObject body, int expected = 200)
    {
        var (status, answer) = await server.Send(HttpMethod.Post, path, body.ToJsonString());
        Assert.True(status == expected, answer.GetRawText());
        return answer;
    }

    private static JsonElement School(JsonElement offered, string place, string id) =>
        offered.GetProperty("schools").EnumerateArray().Single(one => one.GetProperty("place").GetString() == place && one.GetProperty("id").GetString() == id);

    [Fact]
    public async Task What_a_school_would_take_is_what_it_takes_when_it_is_taken_and_it_is_put_back()
    {
        var draft = await Written("leek");
        var offered = await Ask("/api/writing/schools", new JsonObject { ["id"] = "leek", ["draft"] = draft.DeepClone() });
        var promised = School(offered, "base", "partBlind").GetProperty("effect");
        Assert.NotEqual(offered.GetProperty("now").GetRawText(), promised.GetRawText());

        var taken = await Ask("/api/writing/schools/take", new JsonObject { ["draft"] = draft.DeepClone(), ["place"] = "base", ["school"] = "partBlind" });
        var other = draft.DeepClone().AsObject();
        foreach (var field in new[] { "steps", "links", "layers", "baseTreatment" }) other[field] = JsonNode.Parse(taken.GetProperty(field).GetRawText());
        var after = await Ask("/api/writing/schools", new JsonObject { ["id"] = "leek", ["draft"] = other.DeepClone() });
        Assert.Equal(promised.GetRawText(), after.GetProperty("now").GetRawText());
        Assert.True(School(after, "base", "partBlind").GetProperty("isNow").GetBoolean());

        var back = await Ask("/api/writing/schools/take", new JsonObject { ["draft"] = other, ["place"] = "base", ["set"] = JsonNode.Parse(taken.GetProperty("before").GetRawText()) });
        Assert.True(JsonNode.DeepEquals(draft["steps"], JsonNode.Parse(back.GetProperty("steps").GetRawText())));
        Assert.True(JsonNode.DeepEquals(draft["links"], JsonNode.Parse(back.GetProperty("links").GetRawText())));
    }

    [Fact]
    public async Task What_does_not_hold_together_says_why_and_nothing_is_offered_for_it()
    {
        var draft = await Written("leek");
        draft["thicknessMm"] = 99;
        var offered = await Ask("/api/writing/schools", new JsonObject { ["id"] = "leek", ["draft"] = draft });
        Assert.Equal(JsonValueKind.Null, offered.GetProperty("now").ValueKind);
        Assert.Empty(offered.GetProperty("schools").EnumerateArray());
        Assert.Contains("1 to 15 mm", offered.GetProperty("faults")[0].GetString());
        // A school that would need what the recipe has not says so: nothing of this seals a base.
        var plain = await Written("minis");
        var sealing = School(await Ask("/api/writing/schools", new JsonObject { ["id"] = "minis", ["draft"] = plain }), "base", "seal");
        Assert.Contains("egg", sealing.GetProperty("faults")[0].GetString());
    }

    [Fact]
    public async Task What_is_asked_badly_is_refused_by_its_field()
    {
        var draft = await Written("leek");
        async Task Refused(string field, Action<JsonObject> change)
        {
            var body = new JsonObject { ["draft"] = draft.DeepClone(), ["place"] = "base", ["school"] = "partBlind" };
            change(body);
            Assert.True((await Ask("/api/writing/schools/take", body, 400)).GetProperty("errors").TryGetProperty(field, out _), field);
        }

        await Refused("place", body => body["place"] = "cellar");
        await Refused("school", body => body["school"] = "hat");
        await Refused("set", body => (body["school"], body["set"]) = (null, new JsonObject { ["steps"] = new JsonArray(new JsonObject { ["at"] = -1 }), ["links"] = new JsonArray() }));
        await Refused("draft.steps", body => body["draft"]!["steps"] = new JsonArray(new JsonObject()));
        await Refused("school", body => body["draft"]!["steps"] = new JsonArray());
    }

    [Theory]
    [InlineData("425 °F", 218)]
    [InlineData("200 C fan", 220)]
    [InlineData("warm", null)]
    public async Task A_temperature_is_read_as_a_recipe_gives_it(string text, int? celsius)
    {
        var read = (await server.Get($"/api/writing/temperature?text={Uri.EscapeDataString(text)}")).GetProperty("celsius");
        Assert.Equal(celsius, read.ValueKind == JsonValueKind.Null ? null : read.GetInt32());
    }
}
