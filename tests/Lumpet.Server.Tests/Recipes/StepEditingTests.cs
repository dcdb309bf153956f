using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

/// <summary>Steps that a person adds, moves, links and takes out, and what is said of them before anything is saved.</summary>
public sealed class StepEditingTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonObject> Written(string id) => JsonNode.Parse((await server.Get($"/api/recipes/{id}/written")).GetProperty("draft").GetRawText())!.AsObject();

    private async Task<JsonElement> Edit(JsonObject draft, string act, string step, string? other = null)
    {
        var body = new JsonObject { ["steps"] = draft["steps"]!.DeepClone(), ["links"] = draft["links"]!.DeepClone(), ["act"] = act, ["step"] = step, ["other"] = other };
        var (status, answer) = await server.Send(HttpMethod.Post, "/api/writing/steps/edit", body.ToJsonString());
        Assert.True(status == 200, answer.GetRawText());
        draft["steps"] = JsonNode.Parse(answer.GetProperty("steps").GetRawText());
        draft["links"] = JsonNode.Parse(answer.GetProperty("links").GetRawText());
        return answer;
    }

    private async Task<string[]> Faults(JsonObject draft, string? id = "pear")
    {
        var (status, answer) = await server.Send(HttpMethod.Post, "/api/writing/recipe", new JsonObject { ["id"] = id, ["draft"] = draft.DeepClone() }.ToJsonString());
        Assert.Equal(200, status);
        return [.. answer.GetProperty("fields").EnumerateObject().Select(field => field.Name)];
    }

    [Fact]
    public async Task A_pie_is_frozen_and_thawed_between_two_steps_and_the_plan_does_so()
    {
        var draft = await Written("pear");
        await Edit(draft, "addWait", "firm");
        var steps = draft["steps"]!.AsArray();
        Assert.Equal("wait", steps[5]!["id"]!.GetValue<string>());
        steps[5]!["name"] = "Thaw in the fridge";
        Assert.Empty(await Faults(draft));
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/pear", draft.ToJsonString(), ("If-Match", "\"1\""))).Status);

        var tasks = (await server.Get($"/api/plan/{TestServer.Fair}")).GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("id").GetString()!.StartsWith("pear/23/", StringComparison.Ordinal)).ToArray();
        var (firm, thaw) = (tasks.First(task => task.GetProperty("name").GetString() == "Firm in the freezer"), tasks.First(task => task.GetProperty("name").GetString() == "Thaw in the fridge"));
        Assert.Equal(firm.GetProperty("end").GetProperty("min").GetInt32(), thaw.GetProperty("start").GetProperty("min").GetInt32());
        Assert.Equal((-18, 4), (firm.GetProperty("celsius").GetInt32(), thaw.GetProperty("celsius").GetInt32()));
        Assert.Equal(draft["links"]!.AsArray().Count, (await Written("pear"))["links"]!.AsArray().Count);
    }

    [Fact]
    public async Task What_does_not_hold_together_is_said_before_it_is_saved()
    {
        var draft = await Written("pear");
        await Edit(draft, "takeOut", "line");
        Assert.Contains("steps", await Faults(draft));
        draft = await Written("pear");
        await Edit(draft, "unfollow", "fill", "chill-lined");
        Assert.Equal(["steps"], await Faults(draft));
        await Edit(draft, "follow", "fill", "chill-lined");
        Assert.Empty(await Faults(draft));
        draft["steps"]![1]!["waitMost"] = 5;
        Assert.Equal(["steps[1].waitAim"], await Faults(draft));
        // Nothing was stored by any of it; a name that another recipe has is one fault more.
        Assert.Equal(1, (await server.Get("/api/recipes/pear/written")).GetProperty("version").GetInt32());
        Assert.Equal(["name", "steps[1].waitAim"], (await Faults(draft, null)).Order());
        // A size that is ordered stays.
        draft = await Written("pear");
        draft["sizes"]!.AsArray().RemoveAt(1);
        Assert.Equal(["sizes"], await Faults(draft));
    }

    [Fact]
    public async Task A_person_says_which_step_takes_what_is_made_first()
    {
        async Task<JsonElement[]> Takes(JsonObject draft)
        {
            var (_, answer) = await server.Send(HttpMethod.Post, "/api/writing/recipe", new JsonObject { ["id"] = "chocolate", ["draft"] = draft.DeepClone() }.ToJsonString());
            Assert.Empty(answer.GetProperty("fields").EnumerateObject());
            return [.. answer.GetProperty("takes").EnumerateArray()];
        }

        // A finish goes on when the pie is cold, so its praline is taken at the box, unless somebody says that it goes in with the filling.
        var draft = await Written("chocolate");
        var told = Assert.Single(await Takes(draft));
        Assert.Equal(("Hazelnut praline", "box", false), (told.GetProperty("name").GetString(), told.GetProperty("step").GetString(), told.GetProperty("isSaid").GetBoolean()));
        JsonNode Step(string id) => draft["steps"]!.AsArray().Single(step => step!["id"]!.GetValue<string>() == id)!;
        Step("fill")["takes"] = "hazelnut PRALINE";
        Assert.Equal(("fill", true), (Assert.Single(await Takes(draft)).GetProperty("step").GetString(), (await Takes(draft))[0].GetProperty("isSaid").GetBoolean()));
        Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/chocolate", draft.ToJsonString(), ("If-Match", "\"1\""))).Status);
        draft = await Written("chocolate");
        Assert.Equal("Hazelnut praline", Step("fill")["takes"]!.GetValue<string>());
        var uses = (await server.Get("/api/fillings/2026-11-27")).GetProperty("batches").EnumerateArray().Single(batch => batch.GetProperty("name").GetString() == "Hazelnut praline").GetProperty("uses")[0];
        var fill = (await server.Get("/api/plan/2026-11-27")).GetProperty("tasks").EnumerateArray().First(task => task.GetProperty("id").GetString()!.StartsWith("chocolate/", StringComparison.Ordinal) && task.GetProperty("id").GetString()!.EndsWith("/fill", StringComparison.Ordinal));
        Assert.Equal(fill.GetProperty("start").GetProperty("min").GetInt32(), uses.GetProperty("at").GetProperty("min").GetInt32());

        Step("fill")["takes"] = "Quince paste";
        Assert.Equal(["steps[6].takes"], await Faults(draft, "chocolate"));
        Step("fill")["takes"] = null;
        Step("chill-lined")["takes"] = "Hazelnut praline";
        Assert.Equal(["steps[1].takes"], await Faults(draft, "chocolate"));
    }

    [Theory]
    [InlineData("swap", "line", "act")]
    [InlineData("takeOut", "whisk", "step")]
    [InlineData("follow", "line", "step")]
    public async Task An_act_that_cannot_be_is_refused(string act, string step, string field)
    {
        var draft = await Written("pear");
        var body = new JsonObject { ["steps"] = draft["steps"]!.DeepClone(), ["links"] = draft["links"]!.DeepClone(), ["act"] = act, ["step"] = step };
        var (status, problem) = await server.Send(HttpMethod.Post, "/api/writing/steps/edit", body.ToJsonString());
        Assert.Equal(400, status);
        Assert.Equal([field], problem.GetProperty("errors").EnumerateObject().Select(one => one.Name));
        body["steps"] = null;
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/writing/steps/edit", body.ToJsonString())).Status);
    }
}
