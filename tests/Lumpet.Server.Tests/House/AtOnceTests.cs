using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>Two people at the same moment: whoever comes second meets what the first has kept, never half of it.</summary>
public sealed class AtOnceTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonNode> Node(string path) => JsonNode.Parse((await server.Get(path)).GetRawText())!;

    [Fact]
    public async Task A_size_is_dropped_or_ordered_but_not_both()
    {
        for (var round = 0; round < 12; round++)
        {
            var written = await Node("/api/recipes/damson/written");
            var draft = written["draft"]!;
            var sizes = draft["sizes"]!.AsArray();
            var last = sizes.Select(size => size!["pan"]!.ToString()).Last(pan => pan != draft["referencePan"]!.ToString());
            sizes.Remove(sizes.First(size => size!["pan"]!.ToString() == last));
            var order = new { product = "damson", pan = last, count = 1, pickUp = $"2026-12-{round + 1:00}T09:00", @for = "race" };
            var both = await Task.WhenAll(
                server.Send(HttpMethod.Put, "/api/recipes/damson", draft.ToJsonString(), ("If-Match", $"\"{written["version"]}\"")),
                server.Send(HttpMethod.Post, "/api/orders", order));
            Assert.True(both.Count(one => one.Status is 200 or 201) <= 1, $"{both[0].Status} {both[1].Status}");
            Assert.All(both, one => Assert.InRange(one.Status, 200, 499));
            await server.Get($"/api/plan/2026-12-{round + 1:00}");
            if (both[1].Status == 201) break;
            // The size comes back for the next round.
            var now = await Node("/api/recipes/damson/written");
            now["draft"]!["sizes"]!.AsArray().Add(new JsonObject { ["pan"] = last });
            Assert.Equal(200, (await server.Send(HttpMethod.Put, "/api/recipes/damson", now["draft"]!.ToJsonString(), ("If-Match", $"\"{now["version"]}\""))).Status);
        }
    }

    [Fact]
    public async Task A_circle_closed_from_two_sides_is_closed_from_none_or_one_and_keeps_its_allergens()
    {
        async Task<string> Add(string name) => (await server.Send(HttpMethod.Post, "/api/ingredients", new { name, allergens = new[] { "nuts" } })).Status == 201 ? name.ToLowerInvariant().Replace(' ', '-') : throw new InvalidOperationException(name);
        var (one, other) = (await Add("Quince paste"), await Add("Quince cream"));
        var both = await Task.WhenAll(
            server.Send(HttpMethod.Put, $"/api/ingredients/{one}", new { name = "Quince paste", allergens = new[] { "nuts" }, madeOf = "100 g quince cream" }, ("If-Match", "\"1\"")),
            server.Send(HttpMethod.Put, $"/api/ingredients/{other}", new { name = "Quince cream", allergens = new[] { "milk" }, madeOf = "100 g quince paste" }, ("If-Match", "\"1\"")));
        Assert.Single(both, one => one.Status == 204);
        Assert.Single(both, one => one.Status == 400);
    }

    [Fact]
    public async Task Two_who_take_in_one_file_or_name_one_new_thing_do_it_once()
    {
        const string File = "id,name\nquince,Quince\nmedlar,Medlar\n";
        var taken = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => server.Send(HttpMethod.Post, "/api/library", new { text = File })));
        Assert.All(taken, one => Assert.Equal(200, one.Status));
        Assert.Equal(2, taken.Sum(one => one.Body.GetProperty("changes").GetInt32()));

        var named = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => server.Send(HttpMethod.Post, "/api/ingredients", new { name = "Sea buckthorn" })));
        Assert.Single(named, one => one.Status == 201);
        Assert.All(named.Where(one => one.Status != 201), one => Assert.Equal(400, one.Status));
    }

    [Fact]
    public async Task An_older_library_does_not_take_away_what_is_ordered()
    {
        var library = JsonNode.Parse(await server.Text("/api/library.json"))!;
        var pear = library["products"]!.AsArray().First(one => one!["id"]!.ToString() == "pear")!;
        var sizes = pear["written"]!["sizes"]!.AsArray();
        var reference = pear["written"]!["referencePan"]!.ToString();
        foreach (var size in sizes.Where(size => size!["pan"]!.ToString() != reference).ToArray()) sizes.Remove(size);
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = reference == "23" ? "26" : "23", count = 2, pickUp = $"{TestServer.Fair}T09:00", @for = "x" })).Status);
        var (status, problem) = await server.Send(HttpMethod.Post, "/api/library", new { text = library.ToJsonString() });
        Assert.Equal(400, status);
        Assert.Contains("There are orders for it in", problem.GetRawText(), StringComparison.Ordinal);
        await server.Get($"/api/plan/{TestServer.Fair}");
    }

    [Fact]
    public async Task A_recipe_that_was_removed_comes_back_from_a_file_with_its_next_version()
    {
        var library = await server.Text("/api/library.json");
        var free = JsonNode.Parse(library)!["products"]!.AsArray().Select(one => one!["id"]!.ToString()).ToArray();
        string? removed = null;
        foreach (var id in free)
            if (removed is null && (await server.Send(HttpMethod.Delete, $"/api/recipes/{id}", null)).Status == 204) removed = id;
        Assert.NotNull(removed);
        Assert.Equal(404, (await server.Send(HttpMethod.Put, $"/api/recipes/{removed}", JsonNode.Parse(library)!["products"]!.AsArray().First(one => one!["id"]!.ToString() == removed)!["written"]!.ToJsonString(), ("If-Match", "\"1\""))).Status);
        var (status, said) = await server.Send(HttpMethod.Post, "/api/library", new { text = library });
        Assert.True(status == 200, said.GetRawText());
        Assert.Equal(2, (await server.Get($"/api/recipes/{removed}/written")).GetProperty("version").GetInt32());
    }
}
