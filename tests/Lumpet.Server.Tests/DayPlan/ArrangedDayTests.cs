using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Changes of a day that are asked about: more pies, an oven out, a longer bake, another school. What is asked stores nothing; what is taken is what was asked.</summary>
public sealed class ArrangedDayTests : IDisposable
{
    private const string Plan = $"/api/plan/{TestServer.Fair}";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private sealed record OnTop(string Product, string Pan, int Count, string PickUp, string For);

    private static OnTop[] More(int count) => [new("pear", "23", count, "10:00", string.Empty)];

    private static string Fingerprint(JsonElement plan) => plan.GetProperty("fingerprint").GetString()!;

    private static (string Before, string After, string Is)? Difference(JsonElement plan, string name) => plan.GetProperty("differences").EnumerateArray()
        .Where(one => one.GetProperty("name").GetString() == name)
        .Select(one => ((string, string, string)?)(one.GetProperty("before").GetString()!, one.GetProperty("after").GetString()!, one.GetProperty("is").GetString()!)).FirstOrDefault();

    public static TheoryData<string, object> Questions => new()
    {
        { "more", new { more = More(10) } },
        { "oven", new { ovensOut = new[] { "finisher" } } },
        { "longer", new { longerBakes = new[] { new { product = "pear", minutes = 9 } } } },
        { "school", new { school = "steadiest" } },
        { "earlier", new { earlierMin = 90 } },
        { "hands", new { moreHands = 2, more = More(3) } },
        { "between", new { betweenHands = 2 } },
        { "left out", new { leftOut = new[] { new { product = "pear", pan = "23", pickUp = "07:30" } } } },
        { "all", new { moreHands = 1, earlierMin = 60, more = More(4), ovensOut = new[] { "finisher" }, longerBakes = new[] { new { product = "damson", minutes = 5 } }, school = "freshest", moves = new[] { new { from = "07:30", to = "08:15" } } } },
    };

    [Theory]
    [MemberData(nameof(Questions))]
    public async Task What_is_asked_stores_nothing_and_what_is_taken_is_the_plan_that_was_asked_about(string what, object question)
    {
        Assert.NotEmpty(what);
        var before = await server.Get(Plan);
        var (status, asked) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", question);
        Assert.Equal(200, status);
        Assert.NotEqual(Fingerprint(before), Fingerprint(asked));
        Assert.NotEmpty(asked.GetProperty("differences").EnumerateArray());
        Assert.Equal(Fingerprint(before), Fingerprint(await server.Get(Plan)));
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", question)).Status);
        var taken = await server.Get(Plan);
        Assert.Equal(Fingerprint(asked), Fingerprint(taken));
        Assert.Empty(taken.GetProperty("differences").EnumerateArray());
    }

    [Fact]
    public async Task Hands_are_got_for_one_day_and_given_back()
    {
        static string[] Shifts(JsonElement plan) => [.. plan.GetProperty("shifts").EnumerateArray().Select(shift => shift.GetProperty("name").GetString()!)];
        var usual = await server.Get(Plan);
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { moreHands = 2, earlierMin = 90 });
        var plan = await server.Get(Plan);
        Assert.Equal("2 more pairs of hands in every shift; work begins 1 h 30 earlier", plan.GetProperty("arrangement").GetProperty("words").GetString());
        Assert.Equal((2, 90), (plan.GetProperty("arrangement").GetProperty("moreHands").GetInt32(), plan.GetProperty("arrangement").GetProperty("earlierMin").GetInt32()));
        // The crew of the first shift is there before it, in a shift of its own.
        Assert.Equal([$"{Shifts(usual)[0]}, earlier", .. Shifts(usual)], Shifts(plan));
        Assert.Equal("6 are there", plan.GetProperty("hands").GetProperty("there").GetString());
        Assert.NotEqual(Fingerprint(usual), Fingerprint(plan));
        // Another day has no more than it had.
        Assert.Equal(string.Empty, (await server.Get("/api/plan/2026-11-27")).GetProperty("arrangement").GetProperty("words").GetString());
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { moreHands = 0, earlierMin = 0 });
        Assert.Equal(Fingerprint(usual), Fingerprint(await server.Get(Plan)));
    }

    [Fact]
    public async Task A_shift_between_the_shifts_leaves_no_minute_without_hands_before_the_last_pick_up()
    {
        static (int From, int To)[] Shifts(JsonElement plan) =>
            [.. plan.GetProperty("shifts").EnumerateArray().Select(shift => (shift.GetProperty("start").GetProperty("min").GetInt32(), shift.GetProperty("end").GetProperty("min").GetInt32())).Order()];
        static bool Joins((int From, int To)[] shifts) => shifts.Zip(shifts.Skip(1)).All(pair => pair.First.To >= pair.Second.From);
        var usual = await server.Get(Plan);
        Assert.False(Joins(Shifts(usual)));
        var offered = (await server.Get($"{Plan}/choices")).EnumerateArray().Select(choice => choice.GetProperty("name").GetString()).ToArray();
        Assert.Contains("A shift between the shifts", offered);
        Assert.DoesNotContain("Nobody between the shifts", offered);
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { betweenHands = 1 });
        var plan = await server.Get(Plan);
        Assert.Equal("one pair of hands between the shifts", plan.GetProperty("arrangement").GetProperty("words").GetString());
        Assert.True(Joins(Shifts(plan)));
        Assert.Equal(Shifts(usual)[0].From, Shifts(plan)[0].From);
        Assert.True(Shifts(plan).Max(shift => shift.To) >= plan.GetProperty("waves").EnumerateArray().Last().GetProperty("pickUp").GetProperty("min").GetInt32());
        Assert.Contains("One more between the shifts", (await server.Get($"{Plan}/choices")).EnumerateArray().Select(choice => choice.GetProperty("name").GetString()));
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { betweenHands = 0 });
        Assert.Equal(Fingerprint(usual), Fingerprint(await server.Get(Plan)));
    }

    [Fact]
    public async Task Pies_are_left_out_of_a_plan_and_said_wherever_it_is_read_and_their_orders_stay()
    {
        static int Pies(JsonElement answer) => answer.GetProperty("pies").GetInt32();
        static string Sentence(JsonElement plan) => string.Concat(plan.GetProperty("sentence").EnumerateArray().Select(part => part.GetProperty("text").GetString()));
        static string[] LeftOut(JsonElement orders) => [.. orders.GetProperty("orders").EnumerateArray().Where(order => order.GetProperty("isLeftOut").GetBoolean()).Select(order => $"{order.GetProperty("product").GetString()} {order.GetProperty("clock").GetString()}").Distinct()];
        static int ToBake(JsonElement answer) => answer.GetProperty("totals").EnumerateArray().Sum(row => row.GetProperty("total").GetInt32());
        var (usual, orders) = (await server.Get(Plan), await server.Get("/api/orders/2026-11-26"));
        var lot = usual.GetProperty("arrangement").GetProperty("lots").EnumerateArray().First(lot => lot.GetProperty("product").GetString() == "damson");
        string name = lot.GetProperty("name").GetString()!, clock = lot.GetProperty("pickUp").GetString()!;
        var pies = int.Parse(name.Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
        var change = new { leftOut = new[] { new { product = "damson", pan = lot.GetProperty("pan").GetString(), pickUp = clock } } };
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", change)).Status);
        var plan = await server.Get(Plan);
        Assert.Equal(Pies(usual) - pies, Pies(plan));
        Assert.Contains($"Left out of the plan: {name}", Sentence(plan));
        Assert.StartsWith($"left out: {name}", plan.GetProperty("arrangement").GetProperty("words").GetString());
        Assert.DoesNotContain(plan.GetProperty("tasks").EnumerateArray(), task => task.GetProperty("about").GetString()!.Contains(name[(name.IndexOf(' ', StringComparison.Ordinal) + 1)..], StringComparison.Ordinal));
        Assert.Contains(usual.GetProperty("tasks").EnumerateArray(), task => task.GetProperty("about").GetString()!.Contains(name[(name.IndexOf(' ', StringComparison.Ordinal) + 1)..], StringComparison.Ordinal));
        var after = await server.Get("/api/orders/2026-11-26");
        Assert.Equal(Pies(orders), Pies(after));
        Assert.Equal([$"damson {clock}"], LeftOut(after));
        Assert.Equal(pies, ToBake(orders) - ToBake(after));
        // It comes with the others of its pick-up when that moves, and comes back where all is planned again.
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { moves = new[] { new { from = clock, to = "08:25" } } });
        Assert.Equal(["damson 08:25"], LeftOut(await server.Get("/api/orders/2026-11-26")));
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { moves = new[] { new { from = "08:25", to = clock } } });
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { leftOut = Array.Empty<object>() });
        Assert.Equal(Fingerprint(usual), Fingerprint(await server.Get(Plan)));
        Assert.Empty(LeftOut(await server.Get("/api/orders/2026-11-26")));
    }

    [Fact]
    public async Task Of_a_lot_that_is_left_out_another_order_is_too_and_the_first_after_all_are_gone_is_not()
    {
        async Task<JsonElement> Order(string @for) =>
            (await server.Send(HttpMethod.Post, "/api/orders", new { product = "damson", pan = "26", count = 2, pickUp = "2026-12-19T11:00", @for })).Body;
        async Task<string[]> LeftOut() => [.. (await server.Get("/api/orders/2026-12-19")).GetProperty("orders").EnumerateArray().Where(order => order.GetProperty("isLeftOut").GetBoolean()).Select(order => order.GetProperty("for").GetString()!)];
        Task Remove(JsonElement order) => server.Send(HttpMethod.Delete, $"/api/orders/{order.GetProperty("id").GetString()}", null, ("If-Match", $"\"{order.GetProperty("version").GetInt64()}\""));
        var first = await Order("first");
        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/plan/2026-12-19/take", new { leftOut = new[] { new { product = "damson", pan = "26", pickUp = "11:00" } } })).Status);
        var second = await Order("second");
        Assert.Equal(["first", "second"], await LeftOut());
        await Remove(first);
        Assert.Equal(["second"], await LeftOut());
        await Remove(second);
        await Order("third");
        Assert.Empty(await LeftOut());
    }

    [Fact]
    public async Task A_day_of_which_all_is_left_out_says_so()
    {
        var lots = (await server.Get("/api/plan/2026-11-27")).GetProperty("arrangement").GetProperty("lots").EnumerateArray()
            .Select(lot => new { product = lot.GetProperty("product").GetString(), pan = lot.GetProperty("pan").GetString(), pickUp = lot.GetProperty("pickUp").GetString() }).ToArray();
        Assert.NotEmpty(lots);
        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/plan/2026-11-27/take", new { leftOut = lots })).Status);
        var plan = await server.Get("/api/plan/2026-11-27");
        var sentence = string.Concat(plan.GetProperty("sentence").EnumerateArray().Select(part => part.GetProperty("text").GetString()));
        Assert.StartsWith("Nothing is planned for Friday", sentence);
        Assert.Contains("Left out of the plan: ", sentence);
        Assert.Equal(lots.Length, plan.GetProperty("arrangement").GetProperty("lots").EnumerateArray().Count(lot => lot.GetProperty("isLeftOut").GetBoolean()));
    }

    [Fact]
    public async Task A_way_out_says_what_it_does_and_does_it_when_it_is_taken()
    {
        // Begun now, in the afternoon's shift, pears cannot be cold by then.
        const string today = "/api/plan/2026-11-25";
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 4, pickUp = "2026-11-25T17:00", @for = "Kiosk" })).Status);
        var way = (await server.Get($"{today}?from=now&given=settled")).GetProperty("waysOut").EnumerateArray().First(one => one.GetProperty("change").GetProperty("moves").GetArrayLength() > 0);
        Assert.Matches("^The 17:00 pick-up at 1[78]:[0-9][05]$", way.GetProperty("text").GetString());
        Assert.Matches("^4 late, the last by [0-9]+ (min|h)", way.GetProperty("before").GetString());
        Assert.Equal("all in time", way.GetProperty("after").GetString());
        var move = way.GetProperty("change").GetProperty("moves")[0];
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{today}/take", new { moves = new[] { new { from = move.GetProperty("from").GetString(), to = move.GetProperty("to").GetString() } } })).Status);
        var taken = await server.Get($"{today}?from=now&given=settled");
        Assert.Empty(taken.GetProperty("troubles").EnumerateArray());
        Assert.Empty(taken.GetProperty("waysOut").EnumerateArray());
    }

    [Fact]
    public async Task An_oven_that_is_out_bakes_nothing_and_comes_back()
    {
        var (_, asked) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", new { ovensOut = new[] { "finisher" } });
        Assert.Equal(["Hearth"], asked.GetProperty("ovens").GetProperty("ovens").EnumerateArray().Select(oven => oven.GetProperty("name").GetString()));
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { ovensOut = new[] { "finisher" } });
        var arrangement = (await server.Get(Plan)).GetProperty("arrangement");
        Assert.Equal("Finisher is out", arrangement.GetProperty("words").GetString());
        Assert.Equal([false, true], arrangement.GetProperty("ovens").EnumerateArray().Select(oven => oven.GetProperty("isOut").GetBoolean()));
        // Another day has it, and so has this one once it is back; what else is arranged stays.
        Assert.Equal(2, (await server.Get("/api/plan/2026-11-27")).GetProperty("ovens").GetProperty("ovens").GetArrayLength());
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { school = "steadiest" });
        Assert.Equal("planned for the steadiest work; Finisher is out", (await server.Get(Plan)).GetProperty("arrangement").GetProperty("words").GetString());
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { ovensOut = Array.Empty<string>() });
        Assert.Equal("planned for the steadiest work", (await server.Get(Plan)).GetProperty("arrangement").GetProperty("words").GetString());
    }

    [Fact]
    public async Task More_pies_and_a_longer_bake_are_in_the_plan()
    {
        var (_, asked) = await server.Send(HttpMethod.Post, $"{Plan}/what-if", new { more = More(10), longerBakes = new[] { new { product = "pear", minutes = 9 } } });
        Assert.Equal(("62", "72", "other"), Difference(asked, "Pies"));
        Assert.Equal("worse", Difference(asked, "Ovens hot")?.Is);
        Assert.Equal("worse", Difference(asked, "Heat costs")?.Is);
        int[] Minutes(JsonElement plan) => [.. plan.GetProperty("ovens").GetProperty("ovens").EnumerateArray().SelectMany(oven => oven.GetProperty("layers").EnumerateArray())
            .Where(layer => layer.GetProperty("product").GetString() == "Pear and ginger").SelectMany(layer => layer.GetProperty("stages").EnumerateArray())
            .Where(stage => stage.GetProperty("number").GetInt32() == 2).Select(stage => stage.GetProperty("end").GetProperty("min").GetInt32() - stage.GetProperty("start").GetProperty("min").GetInt32())];
        Assert.Equal(Minutes(await server.Get(Plan)).Min() + 9, Minutes(asked).Min());
    }

    [Fact]
    public async Task The_same_taken_twice_adds_one_order()
    {
        var question = new { more = More(3) };
        for (var time = 0; time < 2; time++) Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", question, ("Idempotency-Key", "twice"))).Status);
        Assert.Equal(65, (await server.Get(Plan)).GetProperty("pies").GetInt32());
    }

    [Fact]
    public async Task Each_school_is_planned_and_says_what_it_comes_to()
    {
        async Task<JsonElement> By(string? school) => (await server.Send(HttpMethod.Post, $"{Plan}/compare", new { school })).Body;
        var (fewest, steadiest) = (await By(null), await By("steadiest"));
        Assert.Equal("all in time", fewest.GetProperty("served").GetString());
        Assert.Equal("all in time", steadiest.GetProperty("served").GetString());
        Assert.All(fewest.GetProperty("figures").EnumerateArray(), figure => Assert.Equal("same", figure.GetProperty("is").GetString()));
        Assert.Equal(Names(fewest), Names(steadiest));
        Assert.True(Figure(steadiest, "Doors opened").Value < Figure(fewest, "Doors opened").Value);
        Assert.Equal("better", Figure(steadiest, "Doors opened").Is);
        Assert.True(Figure(steadiest, "Two doors at once").Value <= Figure(fewest, "Two doors at once").Value);
    }

    [Fact]
    public async Task Everything_that_may_be_chosen_can_be_laid_beside_the_day_and_taken()
    {
        var offered = (await server.Get($"{Plan}/choices")).EnumerateArray().ToArray();
        Assert.Equal(offered.Length, offered.Select(one => one.GetProperty("id").GetString()).Distinct().Count());
        Assert.Equal(["Ovens", "Crew", "Recipes, for this day"], offered.Select(one => one.GetProperty("group").GetString()).Distinct());
        var names = offered.Select(one => one.GetProperty("name").GetString()!).ToArray();
        foreach (var name in new[] { "Freshest pies", "Without Finisher", "One more pair of hands", "Work begins 1 h 00 earlier" }) Assert.Contains(name, names);
        Assert.Contains(names, name => name.EndsWith(": lined ahead and frozen", StringComparison.Ordinal));
        var before = Fingerprint(await server.Get(Plan));
        var orders = (await server.Get(Plan)).GetProperty("pies").GetInt32();
        foreach (var one in offered)
        {
            var (status, answer) = await server.Send(HttpMethod.Post, $"{Plan}/compare", one.GetProperty("change"));
            Assert.True(status == 200, $"{one.GetProperty("name")}: {answer}");
            Assert.Equal((orders, "same"), Figure(answer, "Pies"));
        }

        // Nothing of it was stored.
        Assert.Equal(before, Fingerprint(await server.Get(Plan)));
    }

    [Fact]
    public async Task A_product_is_made_by_another_school_for_a_day_and_by_its_recipe_again()
    {
        var frozen = Choice(await server.Get($"{Plan}/choices"), "Pear and ginger: lined ahead and frozen");
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", frozen)).Status);
        var plan = await server.Get(Plan);
        Assert.Equal("Pear and ginger: lined ahead and frozen", plan.GetProperty("arrangement").GetProperty("words").GetString());
        Assert.Contains(plan.GetProperty("tasks").EnumerateArray(), task => task.GetProperty("about").GetString()!.StartsWith("Pear", StringComparison.Ordinal) && task.GetProperty("celsius").GetInt32() == -18);
        var back = Choice(await server.Get($"{Plan}/choices"), "Pear and ginger: what is shaped waits as its recipe says");
        Assert.Equal(200, (await server.Send(HttpMethod.Post, $"{Plan}/take", back)).Status);
        Assert.Equal(string.Empty, (await server.Get(Plan)).GetProperty("arrangement").GetProperty("words").GetString());
    }

    [Fact]
    public async Task An_hour_earlier_the_clock_says_the_same_time_for_work_that_stays()
    {
        // The day's own clock counts from an hour earlier then; what is said is the time on the wall.
        var asItIs = (await server.Send(HttpMethod.Post, $"{Plan}/compare", new { })).Body;
        var earlier = (await server.Send(HttpMethod.Post, $"{Plan}/compare", new { earlierMin = 60 })).Body;
        string Begins(JsonElement compared) => compared.GetProperty("figures").EnumerateArray().First(figure => figure.GetProperty("name").GetString() == "Work begins").GetProperty("value").GetString()!;
        var first = (await server.Send(HttpMethod.Post, $"{Plan}/what-if", new { earlierMin = 60 })).Body.GetProperty("tasks").EnumerateArray().Select(task => task.GetProperty("start")).MinBy(start => start.GetProperty("min").GetInt32());
        Assert.Equal($"{first.GetProperty("day").GetString()} {first.GetProperty("clock").GetString()}", Begins(earlier));
        Assert.True(string.CompareOrdinal(Begins(earlier), Begins(asItIs)) <= 0);
    }

    private static JsonElement Choice(JsonElement choices, string name) => choices.EnumerateArray().Single(one => one.GetProperty("name").GetString() == name).GetProperty("change");

    private static IEnumerable<string?> Names(JsonElement compared) => compared.GetProperty("figures").EnumerateArray().Select(figure => figure.GetProperty("name").GetString());

    private static (int Value, string? Is) Figure(JsonElement compared, string name)
    {
        var figure = compared.GetProperty("figures").EnumerateArray().First(figure => figure.GetProperty("name").GetString() == name);
        return (int.Parse(figure.GetProperty("value").GetString()!, System.Globalization.CultureInfo.InvariantCulture), figure.GetProperty("is").GetString());
    }

    [Theory]
    [InlineData("{\"school\":\"none\"}", "school")]
    [InlineData("{\"ovensOut\":[\"hearth\",\"stove\"]}", "ovensOut[1]")]
    [InlineData("{\"longerBakes\":[{\"product\":\"mango\",\"minutes\":5}]}", "longerBakes[0].product")]
    [InlineData("{\"longerBakes\":[{\"product\":\"pear\",\"minutes\":61}]}", "longerBakes[0].minutes")]
    [InlineData("{\"moreHands\":7}", "moreHands")]
    [InlineData("{\"moreHands\":-1}", "moreHands")]
    [InlineData("{\"earlierMin\":481}", "earlierMin")]
    [InlineData("{\"betweenHands\":7}", "betweenHands")]
    [InlineData("{\"leftOut\":[null]}", "leftOut[0].pickUp")]
    [InlineData("{\"leftOut\":[{\"product\":\"pear\",\"pan\":\"23\",\"pickUp\":\"25:00\"}]}", "leftOut[0].pickUp")]
    [InlineData("{\"leftOut\":[{\"product\":\"pear\",\"pan\":\"23\",\"pickUp\":\"03:33\"}]}", "leftOut[0].product")]
    [InlineData("{\"leftOut\":[{\"product\":\"no such\",\"pan\":\"23\",\"pickUp\":\"07:30\"}]}", "leftOut[0].product")]
    [InlineData("{\"betweenHands\":-1}", "betweenHands")]
    [InlineData("{\"longerBakes\":[null]}", "longerBakes[0].minutes")]
    [InlineData("{\"schools\":[null]}", "schools[0].place")]
    [InlineData("{\"schools\":[{\"product\":\"pear\",\"place\":\"filling\",\"school\":\"rawFruit\"}]}", "schools[0].place")]
    [InlineData("{\"schools\":[{\"product\":\"mango\",\"place\":\"rest\",\"school\":\"frozen\"}]}", "schools[0].product")]
    [InlineData("{\"schools\":[{\"product\":\"pear\",\"place\":\"rest\",\"school\":\"cellar\"}]}", "schools[0].school")]
    [InlineData("{\"schools\":[{\"product\":\"pear\",\"place\":\"rest\",\"school\":\"frozen\"},{\"product\":\"pear\",\"place\":\"rest\",\"school\":\"freezer\"}]}", "schools[1].place")]
    [InlineData("{\"more\":[{\"product\":\"pear\",\"pan\":\"99\",\"count\":5,\"pickUp\":\"10:00\"}]}", "more[0].pan")]
    [InlineData("{\"more\":[{\"product\":\"pear\",\"pan\":\"23\",\"count\":0,\"pickUp\":\"10:00\"}]}", "more[0].count")]
    [InlineData("{\"more\":[{\"product\":\"pear\",\"pan\":\"23\",\"count\":5,\"pickUp\":\"ten\"}]}", "more[0].pickUp")]
    public async Task What_makes_no_sense_is_refused_whole_and_named(string question, string field)
    {
        var before = Fingerprint(await server.Get(Plan));
        foreach (var path in new[] { "what-if", "compare", "take" })
        {
            var (status, problem) = await server.Send(HttpMethod.Post, $"{Plan}/{path}", JsonSerializer.Deserialize<JsonElement>(question));
            Assert.Equal(400, status);
            Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), problem.ToString());
        }

        Assert.Equal(before, Fingerprint(await server.Get(Plan)));
        Assert.Equal(400, (await server.Send(HttpMethod.Get, $"{Plan}?given=whenever", null)).Status);
    }

    [Fact]
    public async Task An_oven_that_is_taken_out_of_the_bakery_is_out_of_no_day_any_more()
    {
        await server.Send(HttpMethod.Post, $"{Plan}/take", new { ovensOut = new[] { "finisher" } });
        var description = await server.Get("/api/bakery/description");
        var draft = description.GetProperty("draft").Deserialize<System.Text.Json.Nodes.JsonObject>()!;
        draft["ovens"]!.AsArray().RemoveAt(1);
        var (status, said) = await server.Send(HttpMethod.Put, "/api/bakery/description", draft, ("If-Match", $"\"{description.GetProperty("version").GetInt64()}\""));
        Assert.True(status is 200 or 204, said.ToString());
        Assert.Empty((await server.Get(Plan)).GetProperty("arrangement").GetProperty("words").GetString()!);
    }
}
