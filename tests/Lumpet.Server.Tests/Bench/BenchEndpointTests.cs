using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Bench;

/// <summary>The bench sheet: the plan's work with the weights that hands need.</summary>
public sealed class BenchEndpointTests(TestServer server) : IClassFixture<TestServer>
{
    private static JsonElement[] Each(JsonElement of, string list) => [.. of.GetProperty(list).EnumerateArray()];

    private static string Text(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    [Fact]
    public async Task It_has_all_work_of_the_plan_at_its_stations_at_the_same_minute()
    {
        var plan = Each(await server.Get($"/api/plan/{TestServer.Fair}"), "tasks");
        var bench = await server.Get($"/api/bench/{TestServer.Fair}");
        var expected = plan.Where(task => Text(task, "kind") == "hands" && task.GetProperty("pies").GetInt32() > 0 && Text(task, "station") is not ("pot" or "dough" or "oven")).Select(task => (Text(task, "id"), task.GetProperty("start").GetProperty("min").GetInt32()));
        Assert.Equal(expected, Each(bench, "tasks").Select(task => (Text(task, "id"), task.GetProperty("start").GetProperty("min").GetInt32())));
        Assert.Equal(Each(bench, "tasks").Sum(task => task.GetProperty("minutes").GetInt32()), bench.GetProperty("minutes").GetInt32());
    }

    [Fact]
    public async Task It_tells_the_weights_that_the_recipe_tells()
    {
        var tasks = Each(await server.Get($"/api/bench/{TestServer.Fair}"), "tasks").Where(task => Text(task, "product") == "Pear and ginger" && Text(task, "pan") == "23 cm").ToArray();
        var pies = tasks[0].GetProperty("pies").GetInt32();
        var (_, scaled) = await server.Send(HttpMethod.Post, "/api/recipes/pear/scale", new { pan = "23", count = pies });
        string[] Weights(string step) => [.. Each(tasks.First(task => Text(task, "id").EndsWith($"/{step}", StringComparison.Ordinal) && task.GetProperty("pies").GetInt32() == pies), "weights").Select(weight => weight.GetString()!)];
        var pieces = Each(scaled.GetProperty("dough"), "pieces");
        Assert.Equal(pieces.Select(piece => $"{Text(piece, "name")}: {Math.Round(piece.GetProperty("discGrams").GetDouble())} g"), Weights("line").Select(weight => weight.Split(',')[0]));
        Assert.Equal($"Filling: {Each(scaled, "layers")[0].GetProperty("gramsPerPie").GetDouble()} g a pie", Weights("fill")[0]);
        // 18 g of wash a pie, for all.
        Assert.Contains($"{18 * pies} g egg, whole", Weights("fill")[1]);
        Assert.Contains($"{pies} × pie box", Weights("box"));
        Assert.Contains("kept at room temperature", Text(tasks.First(task => Text(task, "station") == "box"), "keeps"));
    }

    [Fact]
    public async Task The_filling_sheet_has_its_method_and_the_weights_of_each_batch()
    {
        var filling = Each(await server.Get($"/api/fillings/{TestServer.Fair}"), "fillings").Single(one => Text(one, "product") == "damson");
        Assert.Equal(["Pit damsons; toss", "Fill, weave the lattice, wash"], Each(filling, "steps").Select(step => Text(step, "name")));
        var batches = Each(filling, "batches").Length;
        Assert.True(batches > 1);
        Assert.All(Each(Each(filling, "layers")[0], "lines"), line =>
        {
            var weights = Each(line, "perBatch").Select(weight => weight.GetDouble()).ToArray();
            Assert.Equal(batches, weights.Length);
            // Each batch is rounded where it is weighed.
            Assert.Equal(line.GetProperty("grams").GetDouble(), weights.Sum(), 0.5 * batches);
        });
        Assert.All(Each(filling, "steps"), step => Assert.NotEmpty(Each(step, "starts")));
    }
}
