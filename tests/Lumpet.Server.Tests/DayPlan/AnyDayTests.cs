using System.Text.Json;
using CsCheck;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Whatever is ordered: no two sentences, troubles, reasons, tasks or sheets of a day contradict each other.</summary>
public sealed class AnyDayTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly string[] Products = ["pear", "damson", "oat-custard"];

    private static readonly Gen<(int Product, int Count, bool Large, int Quarter)[]> AnyOrders =
        Gen.Select(Gen.Int[0, 2], Gen.Int[1, 70], Gen.Bool, Gen.Int[12, 56]).Array[1, 6];

    private int days;

    [Fact]
    public Task No_word_on_any_screen_contradicts_another() => AnyOrders.SampleAsync(
        async orders =>
        {
            // Saturdays, on which no order of the demo repeats and no two meet in an oven.
            var day = new NodaTime.LocalDate(2026, 11, 28).PlusDays(7 * Interlocked.Increment(ref days)).ToString("uuuu-MM-dd", null);
            foreach (var (product, count, large, quarter) in orders)
            {
                var order = new { product = Products[product], pan = large ? "26" : "23", count, pickUp = $"{day}T{quarter / 4:00}:{quarter % 4 * 15:00}", @for = string.Empty };
                Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", order)).Status);
            }

            var plan = await server.Get($"/api/plan/{day}");
            var waves = Each(plan, "waves").ToArray();
            Assert.Equal(orders.Sum(order => order.Count), Number(plan, "pies"));
            Assert.Equal(Number(plan, "pies"), waves.Sum(wave => Number(wave, "pies")));
            Pick_ups_sentence_and_troubles_agree(plan, waves);
            await Tasks_and_their_reasons_agree(day, plan);
            await Sheets_agree_with_the_plan(day, plan);
        },
        iter: 12,
        threads: 1);

    private static void Pick_ups_sentence_and_troubles_agree(JsonElement plan, JsonElement[] waves)
    {
        var sentence = string.Concat(Each(plan, "sentence").Select(part => Text(part, "text")));
        var troubles = Each(plan, "troubles").Select(trouble => Text(trouble, "text")).ToArray();
        var missed = waves.Where(wave => !wave.GetProperty("isMet").GetBoolean()).ToArray();
        Assert.All(waves, wave => Assert.Equal(wave.GetProperty("isMet").GetBoolean(), Text(wave, "says").StartsWith("is boxed with ", StringComparison.Ordinal)));
        Assert.All(waves.Except(missed), wave =>
        {
            Assert.True(Number(wave, "spareMin") >= 0);
            Assert.Equal(Number(wave.GetProperty("pickUp"), "min"), Number(wave.GetProperty("boxed"), "min") + Number(wave, "spareMin"));
        });
        Assert.Equal(missed.Length > 0, troubles.Length > 0);
        // Each pick-up that is not met has its trouble, and no other has one.
        Assert.All(waves, wave => Assert.Equal(
            !wave.GetProperty("isMet").GetBoolean(),
            troubles.Any(said => said.Contains($" {Text(wave.GetProperty("pickUp"), "clock")} ", StringComparison.Ordinal))));
        if (Each(plan, "tasks").Any()) Assert.All(waves.Length <= 3 ? waves.Select(wave => Text(wave, "says")) : [missed.Length == 0 ? $"All {waves.Length} pick-ups are met" : $"{missed.Length} of {waves.Length} pick-ups "], said =>
            Assert.Contains(said, sentence, StringComparison.Ordinal));
    }

    private async Task Tasks_and_their_reasons_agree(string day, JsonElement plan)
    {
        foreach (var task in Each(plan, "tasks").Where(task => Text(task, "kind") != "wait").Take(10))
        {
            var (start, end) = (Number(task.GetProperty("start"), "min"), Number(task.GetProperty("end"), "min"));
            var reason = await server.Get($"/api/plan/{day}/reason?task={Uri.EscapeDataString(Text(task, "id"))}");
            Assert.All(Each(reason, "waitsFor"), before => Assert.True(Number(before.GetProperty("end"), "min") <= start, Text(task, "id")));
            Assert.All(Each(reason, "waitedBy"), after => Assert.True(Number(after.GetProperty("start"), "min") >= end, Text(task, "id")));
        }
    }

    private async Task Sheets_agree_with_the_plan(string day, JsonElement plan)
    {
        var mixed = Each(await server.Get($"/api/dough/{day}"), "batches").Select(batch => Number(batch.GetProperty("mixStart"), "min")).Order();
        Assert.Equal(Each(plan, "tasks").Where(task => Text(task, "name") == "Mix and divide").Select(task => Number(task.GetProperty("start"), "min")).Order(), mixed);
        var filled = Each(await server.Get($"/api/fillings/{day}"), "fillings").SelectMany(filling => Each(filling, "lots")).Sum(lot => Number(lot, "count"));
        Assert.Equal(Number(plan, "pies"), filled);
        if (plan.GetProperty("ovens").ValueKind == JsonValueKind.Null) return;
        // Who reads the oven sheet opens the door at the minutes at which the drawing has its trays going in.
        var drawn = Each(plan.GetProperty("ovens"), "ovens").SelectMany(oven => Each(oven, "layers")).Select(layer => Number(Each(layer, "stages").First().GetProperty("start"), "min")).Distinct().Order();
        var (_, steps) = await server.Send(HttpMethod.Get, $"/api/plan/{day}/oven-steps", null);
        Assert.Equal(drawn, steps.EnumerateArray().Where(step => Text(step, "act") is "in" or "move").Select(step => Number(step.GetProperty("at"), "min")).Distinct().Order());
    }

    private static JsonElement.ArrayEnumerator Each(JsonElement of, string list) => of.GetProperty(list).EnumerateArray();

    private static string Text(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static int Number(JsonElement of, string name) => of.GetProperty(name).GetInt32();
}
