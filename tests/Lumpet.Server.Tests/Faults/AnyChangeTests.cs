using System.Globalization;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Xunit;

namespace Lumpet.Server.Tests.Faults;

/// <summary>
/// What the screens really send, with something wrong in it: a value of another kind, an absurd number, an entry twice, a
/// half character. Whatever is kept of it, everything that is looked at afterwards still answers.
/// LUMPET_REQUESTS sets how many requests are sent, looks included; LUMPET_SEED which.
/// </summary>
public sealed class AnyChangeTests : IDisposable
{
    // Stands for text that no JSON writer would write.
    private const string HalfCharacter = "HALF-CHARACTER";

    private static readonly JsonNode?[] Odd =
    [
        null, true, 0, -1, 1, 2, 3, 40, 1e-28, 1e-7, 0.5, 1e9, 2147483647, 2147483648, 1e30, 1e308, "", " ", "x", "{0}", "{to the rim}", "%s", "\u200b", "\u202eabc", "a\u0000b", "a\nb", "=1+1", "<b>x</b>",
        HalfCharacter, new string('y', 90), new string('z', 5000), "9999-12-31T23:59", "2027-03-28T01:30", "450 g flour", "1e999 kg flour", "2 cups flour\n3 eggs\n2 cups flour", "pear", "pear-23", "23", "26-deep",
        "100 g Hazelnut praline", "12 pear @ 23 9:00", new JsonArray(), new JsonObject(), new JsonArray(null, 1, "a"),
    ];

    private readonly TestServer server = new();
    private readonly Random random = new(Setting("LUMPET_SEED", 10));

    public void Dispose() => server.Dispose();

    private static int Setting(string name, int usual) => int.Parse(Environment.GetEnvironmentVariable(name) ?? $"{usual}", CultureInfo.InvariantCulture);

    private sealed class CountedRequests : DelegatingHandler
    {
        public int Sent { get; private set; }

        protected override Task<HttpResponseMessage> SendAsync(HttpRequestMessage request, CancellationToken cancellationToken)
        {
            Sent++;
            return base.SendAsync(request, cancellationToken);
        }
    }

    private sealed record Sent(HttpMethod Method, string Path, JsonNode Body, string? Version = null, string? Key = null);

    [Fact]
    public async Task Whatever_is_kept_everything_still_answers()
    {
        var most = Setting("LUMPET_REQUESTS", 600);
        using var counted = new CountedRequests();
        using var client = server.CreateDefaultClient(counted);
        var (stumbled, kept) = (new List<string>(), 0);
        var number = 0;
        for (; counted.Sent < most; number++)
        {
            var sent = await Pick(client);
            for (var faults = random.Next(0, 3); faults > 0; faults--) Spoil(sent.Body);
            var text = sent.Body.ToJsonString().Replace(HalfCharacter, "\\ud800", StringComparison.Ordinal);
            using var request = new HttpRequestMessage(sent.Method, sent.Path) { Content = new StringContent(text, Encoding.UTF8) };
            request.Content.Headers.ContentType = MediaTypeHeaderValue.Parse(random.Next(40) == 0 ? "application/json; charset=nope" : "application/json");
            if (sent.Version is { } version) request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
            if (sent.Key is { } key) request.Headers.TryAddWithoutValidation("Idempotency-Key", key);
            using var response = await client.SendAsync(request);
            // A rule of the schema that none of the program's own named before is one that is missing there.
            if ((int)response.StatusCode is >= 500 or 409) stumbled.Add($"{number}: {sent.Method} {sent.Path} {text[..Math.Min(3000, text.Length)]}: {await response.Content.ReadAsStringAsync()}");
            if (!response.IsSuccessStatusCode) continue;
            kept++;
            foreach (var path in await Looks(client))
            {
                using var look = await client.GetAsync(new Uri(path, UriKind.Relative));
                if ((int)look.StatusCode >= 500) stumbled.Add($"{number}: GET {path} after {sent.Method} {sent.Path} {text[..Math.Min(3000, text.Length)]}: {await look.Content.ReadAsStringAsync()}");
            }

            if (stumbled.Count > 20) break;
        }

        Assert.True(stumbled.Count == 0, string.Join("\n\n", stumbled));
        Assert.True(kept > number / 20, $"only {kept} of {number} changes were kept");
    }

    private async Task<IEnumerable<string>> Looks(HttpClient client)
    {
        var ids = (await client.GetFromJsonAsync<JsonNode>("/api/recipes"))!["recipes"]!.AsArray().Select(one => one!["id"]!.GetValue<string>()).ToArray();
        var id = ids[random.Next(ids.Length)];
        return
        [
            "/api/bakery", "/api/bakery/description", $"/api/orders/{TestServer.Fair}", $"/api/orders/{TestServer.Fair}/orders.csv", "/api/ingredients", "/api/doughs", "/api/pans",
            .. random.Next(4) == 0 ? (string[])[$"/api/plan/{TestServer.Fair}", $"/api/plan/{TestServer.Fair}/oven-steps", $"/api/dough/{TestServer.Fair}", $"/api/fillings/{TestServer.Fair}", $"/api/plan/{TestServer.Fair}/calendar.ics", "/api/library.json", "/api/ingredients.csv"] : [],
            $"/api/recipes/{id}/written", $"/api/recipes/{id}/versions", $"/api/recipes/{id}/recipe.jsonld",
        ];
    }

    /// <summary>Something that a screen might send now.</summary>
    private async Task<Sent> Pick(HttpClient client)
    {
        async Task<JsonNode> Get(string path) => (await client.GetFromJsonAsync<JsonNode>(path))!;
        string One(params string[] list) => list[random.Next(list.Length)];
        JsonNode Any(JsonNode list) => list[random.Next(list.AsArray().Count)]!;
        switch (random.Next(13))
        {
            case 0:
                var bakery = await Get("/api/bakery/description");
                return new Sent(HttpMethod.Put, "/api/bakery/description", bakery["draft"]!.DeepClone(), bakery["version"]!.ToString());
            case 1 or 2 or 3:
                var recipes = (await Get("/api/recipes"))["recipes"]!;
                var written = await Get($"/api/recipes/{Any(recipes)["id"]}/written");
                var draft = written["draft"]!.DeepClone();
                if (random.Next(4) > 0) return new Sent(HttpMethod.Put, $"/api/recipes/{written["id"]}", draft, written["version"]!.ToString());
                draft["name"] = $"{draft["name"]} {random.Next(1000)}";
                return new Sent(HttpMethod.Post, "/api/recipes", draft);
            case 4:
                var dough = Any(await Get("/api/doughs"));
                return new Sent(HttpMethod.Put, $"/api/doughs/{dough["id"]}", dough["draft"]!.DeepClone(), dough["version"]!.ToString());
            case 5 or 6:
                var library = JsonNode.Parse(await client.GetStringAsync(new Uri("/api/library.json", UriKind.Relative)))!;
                var ingredient = Any(library["ingredients"]!);
                var versions = (await Get("/api/ingredients"))["ingredients"]!.AsArray();
                var version = versions.First(one => one!["id"]!.ToString() == ingredient["id"]!.ToString())!["version"]!.ToString();
                return new Sent(HttpMethod.Put, $"/api/ingredients/{ingredient["id"]}", Priced(ingredient["stated"]!.DeepClone()), version);
            case 7:
                return new Sent(HttpMethod.Post, "/api/library", new JsonObject { ["text"] = Spoiled(JsonNode.Parse(await client.GetStringAsync(new Uri("/api/library.json", UriKind.Relative)))!) });
            case 8:
                return new Sent(HttpMethod.Post, "/api/orders/import", new JsonObject { ["text"] = $"count,product,pan,pick_up,for\n{random.Next(-1, 40)},pear,23,{TestServer.Fair}T10:00,=1+1\n3,{One("damson", "gooseberry", "x")},{One("23", "26", "30")},2026-11-27 09:00,b", ["keep"] = true }, Key: $"{random.Next(5)}");
            case 9:
                return new Sent(HttpMethod.Post, "/api/orders/typed", new JsonObject { ["line"] = $"{random.Next(-1, 60)} {One("pear", "damson", "oat custard", "leek")} @ {One("23", "26", "10")} {One("9:00", "9:60", "sat 7:30", "31/12/9999 9:00")} who", ["day"] = TestServer.Fair }, Key: $"{random.Next(5)}");
            case 10:
                return new Sent(HttpMethod.Post, $"/api/plan/{TestServer.Fair}/what-if", new JsonObject { ["moves"] = new JsonArray(new JsonObject { ["from"] = "07:30", ["to"] = "08:15" }), ["fromNow"] = random.Next(2) == 0 });
            case 11:
                var standing = Any((await Get("/api/standing-orders"))["orders"]!);
                if (random.Next(3) > 0) return new Sent(HttpMethod.Put, $"/api/standing-orders/{standing["id"]}", standing["draft"]!.DeepClone(), standing["version"]!.ToString());
                return new Sent(HttpMethod.Post, "/api/standing-orders", standing["draft"]!.DeepClone(), Key: $"{random.Next(5)}");
            default:
                return new Sent(HttpMethod.Post, "/api/orders", new JsonObject { ["product"] = "pear", ["pan"] = "23", ["count"] = 4, ["pickUp"] = $"{TestServer.Fair}T09:00", ["for"] = "kiosk" }, Key: $"{random.Next(5)}");
        }
    }

    private JsonNode Priced(JsonNode stated)
    {
        if (random.Next(3) == 0) stated["price"] = new JsonObject { ["supplier"] = "Quay", ["packAmount"] = 25, ["packUnit"] = "kg", ["paid"] = 30 };
        return stated;
    }

    private string Spoiled(JsonNode library)
    {
        // A few of everything: a file of all would mostly be refused for its first fault.
        foreach (var list in (string[])["ingredients", "pans", "doughs", "products"])
        {
            var all = library[list]!.AsArray();
            while (all.Count > 3) all.RemoveAt(random.Next(all.Count));
        }

        for (var faults = random.Next(0, 3); faults > 0; faults--) Spoil(library);
        return library.ToJsonString().Replace(HalfCharacter, random.Next(2) == 0 ? "\\ud800" : "h", StringComparison.Ordinal);
    }

    /// <summary>Puts something odd in the place of any value, or an entry twice, or takes one away.</summary>
    private void Spoil(JsonNode whole)
    {
        var places = Places(whole).ToArray();
        if (places.Length == 0) return;
        var (parent, key, index) = places[random.Next(places.Length)];
        var odd = Odd[random.Next(Odd.Length)]?.DeepClone();
        if (parent is JsonObject fields)
        {
            if (random.Next(6) == 0) fields.Remove(key!);
            else fields[key!] = random.Next(5) == 0 ? Other(places) : odd;
            return;
        }

        var list = (JsonArray)parent;
        switch (random.Next(4))
        {
            case 0: list.RemoveAt(index); break;
            case 1: list.Add(list[index]?.DeepClone()); break;
            case 2: list.Insert(0, list[index]?.DeepClone()); break;
            default: list[index] = odd; break;
        }
    }

    private JsonNode? Other((JsonNode Parent, string? Key, int Index)[] places)
    {
        var (parent, key, index) = places[random.Next(places.Length)];
        return (key is null ? parent[index] : parent[key])?.DeepClone();
    }

    private static IEnumerable<(JsonNode Parent, string? Key, int Index)> Places(JsonNode node)
    {
        if (node is JsonObject fields)
            foreach (var (key, value) in fields)
            {
                yield return (node, key, 0);
                if (value is not null) foreach (var inner in Places(value)) yield return inner;
            }
        else if (node is JsonArray list)
            for (var index = 0; index < list.Count; index++)
            {
                yield return (node, null, index);
                if (list[index] is { } value) foreach (var inner in Places(value)) yield return inner;
            }
    }
}
