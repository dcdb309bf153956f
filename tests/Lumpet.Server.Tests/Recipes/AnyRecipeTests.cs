using System.Globalization;
using System.Text.Json.Nodes;
using CsCheck;
using Lumpet.Core.Tests;
using Xunit;

namespace Lumpet.Server.Tests.Recipes;

/// <summary>Recipes with a few figures changed at random: whatever is taken can be scaled, ordered and planned.</summary>
public sealed class AnyRecipeTests : IDisposable
{
    private static readonly Gen<JsonNode?> Value = Gen.Frequency(
        (6, Gen.Int[0, 300].Select(number => (JsonNode?)JsonValue.Create(number))),
        (3, Gen.Double[0, 12].Select(number => (JsonNode?)JsonValue.Create(Math.Round(number, 2)))),
        (1, Gen.Int[-5, 5000].Select(number => (JsonNode?)JsonValue.Create(number))),
        (1, Gen.Const(0).Select(_ => (JsonNode?)null)));

    private static readonly string[] Kinds =
    [
        "pear", "damson", "oat-custard", "gooseberry", "apricot", "passion", "chocolate", "sweet-potato", "hazelnut", "leek", "plum", "minis", "slab", "cranberry",
    ];

    private readonly TestServer server = new();
    private int number;

    public void Dispose() => server.Dispose();

    [Fact]
    public async Task What_is_taken_can_be_made()
    {
        // Beside the demo's orders a strange recipe would only make the plan longer to look for.
        foreach (var order in (await server.Get($"/api/orders/{TestServer.Fair}")).GetProperty("orders").EnumerateArray())
            await server.Send(HttpMethod.Delete, $"/api/orders/{order.GetProperty("id").GetString()}", null, ("If-Match", "\"1\""));
        string[] written = [.. await Task.WhenAll(Kinds.Select(async id => (await server.Get($"/api/recipes/{id}/written")).GetProperty("draft").GetRawText()))];
        var taken = 0;
        Gen.Select(Gen.Int[0, Kinds.Length - 1], Gen.Select(Gen.Int[0, 10_000], Value).Array[1, 3]).SampleTheSame(
            any => taken += Try(written[any.Item1], any.Item2).GetAwaiter().GetResult() ? 1 : 0,
            iter: 160,
            threads: 1);
        Assert.True(taken > 12, $"only {taken} were taken");
    }

    private async Task<bool> Try(string written, (int At, JsonNode? Value)[] changes)
    {
        var draft = JsonNode.Parse(written)!;
        foreach (var (at, value) in changes)
        {
            var figures = Figures(draft).ToArray();
            var (owner, field) = figures[at % figures.Length];
            owner[field] = value?.DeepClone();
        }

        draft["name"] = string.Create(CultureInfo.InvariantCulture, $"Strange {++number}");
        draft["aliases"] = string.Empty;
        var (status, product) = await server.Send(HttpMethod.Post, "/api/recipes", draft.ToJsonString());
        Assert.True(status is 201 or 400, $"{status}: {product.GetRawText()}");
        if (status == 400) return false;

        var id = product.GetProperty("id").GetString();
        var (scaled, answer) = await server.Send(HttpMethod.Post, $"/api/recipes/{id}/scale", new { count = 7 });
        Assert.True(scaled == 200, $"scale {scaled} {answer.GetRawText()} {draft.ToJsonString()}");
        var (ordered, order) = await server.Send(HttpMethod.Post, "/api/orders", new { product = id, pan = draft["referencePan"]!.GetValue<string>(), count = 5, pickUp = $"{TestServer.Fair}T10:00", @for = "strange" });
        Assert.Equal(201, ordered);
        var (planned, plan) = await server.Send(HttpMethod.Get, $"/api/plan/{TestServer.Fair}", null);
        Assert.True(planned == 200, $"plan {planned} {plan.GetRawText()} {draft.ToJsonString()}");
        // It is made, or it is said why not.
        Assert.True(
            plan.GetProperty("waves")[0].GetProperty("spareMin") is { ValueKind: System.Text.Json.JsonValueKind.Number } || plan.GetProperty("troubles").GetArrayLength() > 0);
        await server.Send(HttpMethod.Delete, $"/api/orders/{order.GetProperty("id").GetString()}", null, ("If-Match", "\"1\""));
        return true;
    }

    /// <summary>Every figure of a draft, with the object that holds it.</summary>
    private static IEnumerable<(JsonObject Owner, string Field)> Figures(JsonNode? node)
    {
        switch (node)
        {
            case JsonObject owner:
                foreach (var (field, value) in owner.ToArray())
                {
                    if (value is JsonValue figure && figure.TryGetValue<double>(out _)) yield return (owner, field);
                    foreach (var inner in Figures(value)) yield return inner;
                }

                break;
            case JsonArray list:
                foreach (var inner in list.SelectMany(Figures)) yield return inner;
                break;
        }
    }
}
