using System.Text.Json;
using Lumpet.Core.Baking.Files;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

public sealed class PlanEndpointTests(TestServer server) : IClassFixture<TestServer>
{
    private static string Sentence(JsonElement plan) =>
        string.Concat(plan.GetProperty("sentence").EnumerateArray().Select(part => part.GetProperty("text").GetString()));

    [Fact]
    public async Task The_demo_is_planned_without_trouble()
    {
        var plan = await server.Get($"/api/plan/{TestServer.Fair}");
        Assert.Equal(0, plan.GetProperty("troubles").GetArrayLength());
        Assert.StartsWith("62 pies for Thursday 26 November in ", Sentence(plan), StringComparison.Ordinal);
        Assert.All(plan.GetProperty("waves").EnumerateArray(), wave => Assert.True(wave.GetProperty("spareMin").GetInt32() >= 0));
        Assert.Equal(2, plan.GetProperty("ovens").GetProperty("ovens").GetArrayLength());
        Assert.Contains(
            plan.GetProperty("ovens").GetProperty("ovens").EnumerateArray().SelectMany(oven => oven.GetProperty("settings").EnumerateArray()),
            setting => setting.GetProperty("isDrop").GetBoolean());
        // The night: a wait that begins on Wednesday and ends on Thursday.
        Assert.Contains(
            plan.GetProperty("tasks").EnumerateArray(),
            task => task.GetProperty("start").GetProperty("day").GetString() == "Wed" && task.GetProperty("end").GetProperty("day").GetString() == "Thu");
    }

    [Fact]
    public async Task Its_oven_files_are_valid_by_the_checker()
    {
        using var client = server.CreateClient();
        var problem = BakeProblemFile.Read(await client.GetStringAsync(new Uri($"/api/plan/{TestServer.Fair}/bake-problem.json", UriKind.Relative)));
        var plan = BakePlanFile.Read(await client.GetStringAsync(new Uri($"/api/plan/{TestServer.Fair}/bake-plan.json", UriKind.Relative)));
        var verdict = BakePlanChecker.Check(problem, plan);
        Assert.Empty(verdict.Faults);
        Assert.Equal(0, verdict.Cost.TardyPieMin);
    }

    [Fact]
    public async Task A_new_order_makes_a_new_plan_and_an_impossible_one_says_why()
    {
        using var own = new TestServer();
        var before = await own.Get($"/api/plan/{TestServer.Fair}");
        await own.Send(HttpMethod.Post, "/api/orders/typed", new { line = "4 pear @ 23 10:00 quay", day = TestServer.Fair });
        var after = await own.Get($"/api/plan/{TestServer.Fair}");
        Assert.NotEqual(before.GetProperty("fingerprint").GetString(), after.GetProperty("fingerprint").GetString());
        Assert.StartsWith("66 pies", Sentence(after), StringComparison.Ordinal);

        await own.Send(HttpMethod.Post, "/api/orders/typed", new { line = "300 pear @ 26 7:30 quay", day = TestServer.Fair });
        var troubles = (await own.Get($"/api/plan/{TestServer.Fair}")).GetProperty("troubles").EnumerateArray().ToArray();
        Assert.Contains(troubles, trouble => trouble.GetProperty("text").GetString()!.Contains("Pear and ginger, 26 cm, for Thu 07:30 (Net loft cafe, quay)", StringComparison.Ordinal));
        Assert.All(troubles, trouble => Assert.NotEmpty(trouble.GetProperty("mend").GetString()!));
    }

    [Fact]
    public async Task A_day_without_orders_has_an_empty_plan()
    {
        var plan = await server.Get("/api/plan/2026-12-26");
        Assert.Equal("Nothing is ordered for Saturday 26 December.", Sentence(plan));
        Assert.Equal(JsonValueKind.Null, plan.GetProperty("ovens").ValueKind);
    }

    [Fact]
    public async Task A_night_on_which_the_clock_changes_is_planned_by_the_true_minutes()
    {
        using var own = new TestServer();
        // Lisbon puts its clocks forward on 28 March 2027: that night is an hour shorter.
        await own.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 4, pickUp = "2027-03-28T09:00", @for = "" });
        var plan = await own.Get("/api/plan/2027-03-28");
        Assert.Equal(0, plan.GetProperty("troubles").GetArrayLength());
        // The midnight before to nine the day after is 33 hours on the wall and 32 by the clock's change.
        Assert.Equal(32 * 60, plan.GetProperty("waves")[0].GetProperty("pickUp").GetProperty("min").GetInt32());
        Assert.Equal("09:00", plan.GetProperty("waves")[0].GetProperty("pickUp").GetProperty("clock").GetString());
    }

    [Fact]
    public async Task Dough_batches_add_up()
    {
        var dough = await server.Get($"/api/dough/{TestServer.Fair}");
        Assert.All(dough.GetProperty("batches").EnumerateArray(), batch =>
        {
            double Number(string name) => batch.GetProperty(name).GetDouble();
            Assert.Equal(Number("grams"), batch.GetProperty("lines").EnumerateArray().Sum(line => line.GetProperty("grams").GetDouble()));
            Assert.Equal(
                Number("inDiscs"), batch.GetProperty("discs").EnumerateArray().Sum(disc => disc.GetProperty("count").GetInt32() * disc.GetProperty("grams").GetDouble()));
            Assert.InRange(Number("grams") - Number("inDiscs") - Number("inBowl") - Number("surplus"), -1, 1);
            Assert.True(Number("restMin") >= Number("restLeast"));
            Assert.InRange(Number("grams"), 2000, 12000);
        });
    }

    [Fact]
    public async Task Fillings_add_up()
    {
        var fillings = await server.Get($"/api/fillings/{TestServer.Fair}");
        Assert.Equal(3, fillings.GetProperty("fillings").GetArrayLength());
        Assert.All(fillings.GetProperty("fillings").EnumerateArray(), filling =>
        {
            Assert.Equal(filling.GetProperty("grams").GetDouble(), filling.GetProperty("layers").EnumerateArray().Where(layer => layer.GetProperty("part").GetString() == "filling").Sum(layer => layer.GetProperty("lines").EnumerateArray().Sum(line => line.GetProperty("grams").GetDouble())), 6);
            var perPie = filling.GetProperty("lots").EnumerateArray().Sum(lot => lot.GetProperty("count").GetInt32() * lot.GetProperty("gramsPerPie").GetDouble());
            // Per-pie figures are shown rounded to the gram.
            Assert.Equal(perPie, filling.GetProperty("grams").GetDouble(), 40.0);
        });
    }

    [Fact]
    public async Task An_empty_database_says_that_no_bakery_is_set_up()
    {
        using var empty = new TestServer { Demo = false };
        Assert.False((await empty.Get("/api/bakery")).GetProperty("isSetUp").GetBoolean());
        var (status, problem) = await empty.Send(HttpMethod.Get, $"/api/plan/{TestServer.Fair}", null);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty("bakery", out _));
    }

    [Fact]
    public async Task It_says_that_it_is_well()
    {
        using var client = server.CreateClient();
        Assert.Equal("ok", await client.GetStringAsync(new Uri("/healthz", UriKind.Relative)));
    }
}
