using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>A plan that is published, over HTTP; it is Wednesday 25 November 2026, 09:00, and the fair is on Thursday.</summary>
public sealed class PublishTests : IDisposable
{
    private const string Fair = TestServer.Fair;

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<JsonElement> Plan(string more = "") => server.Get($"/api/plan/{Fair}?given=settled{more}");

    private async Task<(int Status, JsonElement Body)> Publish(JsonElement plan, string? from = null) => await server.Send(
        HttpMethod.Post, $"/api/plan/{Fair}/publish", new { fingerprint = plan.GetProperty("fingerprint").GetString(), given = plan.GetProperty("given").GetString(), from });

    private static (string Id, string Clock)[] Tasks(JsonElement plan) => [.. plan.GetProperty("tasks").EnumerateArray()
        .Where(task => task.GetProperty("kind").GetString() != "wait").Select(task => (task.GetProperty("id").GetString()!, task.GetProperty("start").GetProperty("day").GetString() + task.GetProperty("start").GetProperty("clock").GetString()))];

    private async Task Order(int count) =>
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count, pickUp = $"{Fair}T10:00", @for = "kiosk" })).Status);

    [Fact]
    public async Task What_a_published_plan_has_begun_counts_as_done_and_it_stays_the_plan()
    {
        var plan = await Plan();
        Assert.Equal(JsonValueKind.Null, plan.GetProperty("published").ValueKind);
        Assert.Equal(204, (await Publish(plan)).Status);
        Assert.Equal(409, (await Publish(plan)).Status);
        server.Pass(TimeSpan.FromHours(10));
        var later = await Plan();
        Assert.Equal(Tasks(plan), Tasks(later));
        Assert.Equal(JsonValueKind.Null, later.GetProperty("late").ValueKind);
        var published = later.GetProperty("published");
        Assert.StartsWith("Wed 09:00 this day's plan was published: what it has begun counts as done", published.GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.True(published.GetProperty("isShown").GetBoolean());
        var begun = published.GetProperty("begun").EnumerateArray().ToArray();
        Assert.NotEmpty(begun);
        Assert.All(begun, task => Assert.True(task.GetProperty("isDone").GetBoolean()));
        // Taken back, work is late again.
        Assert.Equal(204, (await server.Send(HttpMethod.Delete, $"/api/plan/{Fair}/publish", null)).Status);
        Assert.Equal(404, (await server.Send(HttpMethod.Delete, $"/api/plan/{Fair}/publish", null)).Status);
        Assert.NotEqual(JsonValueKind.Null, (await Plan()).GetProperty("late").ValueKind);
    }

    [Fact]
    public async Task Where_orders_change_what_was_begun_stays_and_the_rest_is_planned_from_now()
    {
        var plan = await Plan();
        await Publish(plan);
        server.Pass(TimeSpan.FromHours(9));
        await Order(6);
        var left = await Plan();
        var published = left.GetProperty("published");
        Assert.False(published.GetProperty("isShown").GetBoolean());
        Assert.Contains("what it has begun stays, and the rest is planned anew from Wed 18:05", published.GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Equal(JsonValueKind.Null, left.GetProperty("late").ValueKind);
        Assert.Equal([32, 36], left.GetProperty("waves").EnumerateArray().Select(wave => wave.GetProperty("pies").GetInt32()));
        Assert.All(left.GetProperty("waves").EnumerateArray(), wave => Assert.True(wave.GetProperty("isMet").GetBoolean()));
        // Nothing that had begun is begun again, and what is under way ends when it was to.
        var begun = Tasks(plan).Where(task => task.Clock.StartsWith("Wed", StringComparison.Ordinal) && string.CompareOrdinal(task.Clock, "Wed18:05") < 0).Select(task => task.Id).ToHashSet();
        Assert.Subset(begun, published.GetProperty("begun").EnumerateArray().Select(task => task.GetProperty("task").GetString()!).ToHashSet());
        Assert.All(Tasks(left).Where(task => string.CompareOrdinal(task.Clock, "Wed18:05") < 0 && task.Clock.StartsWith("Wed", StringComparison.Ordinal)), task => Assert.Contains(task.Id, begun));
        var rolled = plan.GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("id").GetString()!.EndsWith("/line", StringComparison.Ordinal) && begun.Contains(task.GetProperty("id").GetString()!)).Sum(task => task.GetProperty("pies").GetInt32());
        Assert.True(rolled > 0);
        Assert.Equal(68 - rolled, left.GetProperty("tasks").EnumerateArray().Where(task => task.GetProperty("id").GetString()!.EndsWith("/line", StringComparison.Ordinal) && !begun.Contains(task.GetProperty("id").GetString()!)).Sum(task => task.GetProperty("pies").GetInt32()));
        // The new plan can be published in turn, and is then the plan.
        Assert.Equal(204, (await Publish(left)).Status);
        var again = await Plan();
        Assert.True(again.GetProperty("published").GetProperty("isShown").GetBoolean(), again.GetProperty("published").GetProperty("words").GetString());
        Assert.Equal(Tasks(left), Tasks(again));
        server.Pass(TimeSpan.FromHours(2));
        Assert.Equal(Tasks(left), Tasks(await Plan()));
        foreach (var path in new[] { "dough", "fillings", "bench", "stock", "sheets" }) await server.Get($"/api/{path}/{Fair}?given=settled");
        await server.Get($"/api/plan/{Fair}/oven-steps?given=settled");
        // A task that is under way has its reason.
        foreach (var task in Tasks(left).Where(task => begun.Contains(task.Id)).Take(2)) await server.Get($"/api/plan/{Fair}/reason?given=settled&task={Uri.EscapeDataString(task.Id)}");
    }

    [Fact]
    public async Task Work_that_takes_longer_moves_what_waits_for_it()
    {
        var plan = await Plan();
        await Publish(plan);
        var mixed = plan.GetProperty("tasks").EnumerateArray().First(task => task.GetProperty("id").GetString()!.EndsWith("/mix", StringComparison.Ordinal));
        var (id, start) = (mixed.GetProperty("id").GetString()!, mixed.GetProperty("start").GetProperty("clock").GetString()!);
        var until = TimeSpan.Parse(start, System.Globalization.CultureInfo.InvariantCulture) - TimeSpan.FromHours(9) + TimeSpan.FromMinutes(6);
        var say = (int? minutes, string? task, int number) => server.Send(HttpMethod.Put, $"/api/plan/{Fair}/takes-longer", new { number, task, minutes });
        // Nothing is said of what nobody has begun.
        Assert.Equal(400, (await say(5, id, 1)).Status);
        server.Pass(until);
        foreach (var (minutes, task, number, status) in new[] { ((int?)-1, id, 1, 400), (241, id, 1, 400), (null, id, 1, 400), (5, "no such task", 1, 400), (5, null, 1, 400), (5, id, 2, 409) })
            Assert.Equal(status, (await say(minutes, task, number)).Status);
        var bake = plan.GetProperty("tasks").EnumerateArray().First(task => task.GetProperty("kind").GetString() == "bake").GetProperty("id").GetString()!;
        Assert.Equal(400, (await say(5, bake, 1)).Status);
        JsonElement Begun(JsonElement of) => of.GetProperty("published").GetProperty("begun").EnumerateArray().Single(task => task.GetProperty("task").GetString() == id);
        var before = Begun(await Plan());
        Assert.Equal((0, true), (before.GetProperty("longerMin").GetInt32(), before.GetProperty("mayTakeLonger").GetBoolean()));
        Assert.Equal(204, (await say(20, id, 1)).Status);
        Assert.Equal(204, (await say(25, id, 1)).Status);
        var left = await Plan();
        Assert.Contains("One task of it takes longer: what it has begun stays, and the rest is planned anew", left.GetProperty("published").GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Equal(25, Begun(left).GetProperty("longerMin").GetInt32());
        Assert.Equal(before.GetProperty("end").GetProperty("min").GetInt32() + 25, Begun(left).GetProperty("end").GetProperty("min").GetInt32());
        Assert.All(left.GetProperty("waves").EnumerateArray(), wave => Assert.True(wave.GetProperty("isMet").GetBoolean()));
        // Published in turn it is the plan, and stays it.
        Assert.Equal(204, (await Publish(left)).Status);
        var again = await Plan();
        Assert.True(again.GetProperty("published").GetProperty("isShown").GetBoolean(), again.GetProperty("published").GetProperty("words").GetString());
        Assert.Equal(Tasks(left), Tasks(again));
    }

    [Fact]
    public async Task As_long_as_it_was_to_take_leaves_it_the_plan()
    {
        var plan = await Plan();
        await Publish(plan);
        server.Pass(TimeSpan.FromHours(9));
        var id = (await Plan()).GetProperty("published").GetProperty("begun").EnumerateArray().First(task => task.GetProperty("mayTakeLonger").GetBoolean()).GetProperty("task").GetString();
        foreach (var (minutes, isShown) in new[] { (15, false), (0, true) })
        {
            Assert.Equal(204, (await server.Send(HttpMethod.Put, $"/api/plan/{Fair}/takes-longer", new { number = 1, task = id, minutes })).Status);
            Assert.Equal(isShown, (await Plan()).GetProperty("published").GetProperty("isShown").GetBoolean());
        }
    }

    [Fact]
    public async Task A_price_leaves_it_the_plan_and_what_is_said_of_an_ingredient_does_not()
    {
        var plan = await Plan();
        await Publish(plan);
        async Task<bool> IsShown() => (await Plan()).GetProperty("published").GetProperty("isShown").GetBoolean();
        var butter = (await server.Get("/api/ingredients")).GetProperty("ingredients").EnumerateArray().Single(one => one.GetProperty("id").GetString() == "butter");
        var version = $"\"{butter.GetProperty("version").GetInt64()}\"";
        object Butter(string[] allergens) => new { name = butter.GetProperty("name").GetString(), allergens, price = new { supplier = "Gannet Farm", packAmount = 12.5, packUnit = "kg", paid = 101.25 } };
        // As it is, with what is paid for it now.
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/ingredients/butter", Butter(["milk"]), ("If-Match", version))).Status);
        Assert.True(await IsShown());
        Assert.Equal(204, (await server.Send(HttpMethod.Put, "/api/ingredients/butter", Butter(["milk", "nuts"]), ("If-Match", $"\"{butter.GetProperty("version").GetInt64() + 1}\""))).Status);
        Assert.False(await IsShown());
    }

    [Fact]
    public async Task A_task_that_is_not_done_is_planned_again()
    {
        await Publish(await Plan());
        server.Pass(TimeSpan.FromHours(8));
        var published = (await Plan()).GetProperty("published");
        var mixed = published.GetProperty("begun").EnumerateArray().Last(task => task.GetProperty("task").GetString()!.EndsWith("/mix", StringComparison.Ordinal)).GetProperty("task").GetString()!;
        var say = (bool? isDone, string task, int number) => server.Send(HttpMethod.Put, $"/api/plan/{Fair}/not-done", new { number, task, isDone });
        Assert.Equal(400, (await say(false, "no such task", 1)).Status);
        Assert.Equal(400, (await say(null, mixed, 1)).Status);
        // Of what has not begun there is nothing to say.
        var (refused, why) = await say(false, Tasks(await Plan()).Last(task => task.Id.EndsWith("/box", StringComparison.Ordinal)).Id, 1);
        Assert.Equal(400, refused);
        Assert.StartsWith("It has not begun yet", why.GetProperty("errors").GetProperty("task")[0].GetString());
        Assert.Equal(409, (await say(false, mixed, 2)).Status);
        Assert.Equal(204, (await say(false, mixed, 1)).Status);
        Assert.Equal(204, (await say(false, mixed, 1)).Status);
        var left = await Plan();
        Assert.Contains("One task of it is not done", left.GetProperty("published").GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Contains(Tasks(left), task => task.Id.EndsWith("/mix", StringComparison.Ordinal) && string.CompareOrdinal(task.Clock, "Wed17:05") >= 0);
        Assert.Equal(204, (await say(true, mixed, 1)).Status);
        Assert.True((await Plan()).GetProperty("published").GetProperty("isShown").GetBoolean());
    }

    [Fact]
    public async Task Only_the_plan_that_is_seen_is_published()
    {
        var plan = await Plan();
        await Order(4);
        var (status, body) = await Publish(plan);
        Assert.Equal(409, status);
        Assert.Contains("Something has changed", body.GetProperty("title").GetString(), StringComparison.Ordinal);
        Assert.Equal(400, (await server.Send(HttpMethod.Post, "/api/plan/2027-01-02/publish", new { fingerprint = (await server.Get("/api/plan/2027-01-02?given=soon")).GetProperty("fingerprint").GetString(), given = "soon" })).Status);
    }

    [Fact]
    public async Task What_is_asked_about_is_asked_of_what_is_left()
    {
        await Publish(await Plan());
        server.Pass(TimeSpan.FromHours(9));
        var (status, asked) = await server.Send(HttpMethod.Post, $"/api/plan/{Fair}/what-if", new { more = new[] { new { product = "pear", pan = "23", count = 2, pickUp = "10:00", @for = "x" } } });
        Assert.Equal(200, status);
        Assert.Equal(64, asked.GetProperty("waves").EnumerateArray().Sum(wave => wave.GetProperty("pies").GetInt32()));
        Assert.Contains("planned anew from Wed 18:05", asked.GetProperty("published").GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Equal("all in time", (await server.Send(HttpMethod.Post, $"/api/plan/{Fair}/compare", new { school = "freshest" })).Body.GetProperty("served").GetString());
    }
}
