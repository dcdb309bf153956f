using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>The clock stands at nine on Wednesday 25 November: what should have begun by then, and what the days want from each other.</summary>
public sealed class LatePlanTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Today = "2026-11-25";

    private static string Sentence(JsonElement plan) =>
        string.Concat(plan.GetProperty("sentence").EnumerateArray().Select(part => part.GetProperty("text").GetString()));

    [Fact]
    public async Task A_plan_that_should_have_begun_says_so_first_and_what_can_still_be_done()
    {
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders/typed", new { line = "6 pear @ 23 13:00 quay", day = Today })).Status);
        var plan = await server.Get($"/api/plan/{Today}");
        var late = plan.GetProperty("late");
        Assert.StartsWith("Late: work was to begin at ", late.GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.False(late.GetProperty("isFromNow").GetBoolean());
        Assert.Contains("Had it begun in time: ", Sentence(plan), StringComparison.Ordinal);

        var fromNow = await server.Get($"/api/plan/{Today}?from=now");
        Assert.True(fromNow.GetProperty("late").GetProperty("isFromNow").GetBoolean());
        Assert.DoesNotContain("Had it begun in time", Sentence(fromNow), StringComparison.Ordinal);
        // Four hours on the rack, one in the oven and one at rest do not fit between nine and one.
        var wave = Assert.Single(fromNow.GetProperty("waves").EnumerateArray());
        Assert.False(wave.GetProperty("isMet").GetBoolean());
        Assert.NotEmpty(fromNow.GetProperty("troubles").EnumerateArray());
        Assert.Equal(late.GetProperty("still").GetString(), fromNow.GetProperty("late").GetProperty("still").GetString());
        // They are late, not lost: the afternoon's shift makes them. The sheets follow the plan that is shown.
        Assert.Contains("late", fromNow.GetProperty("troubles")[0].GetProperty("text").GetString(), StringComparison.Ordinal);
        static int Mixed(JsonElement dough) => Assert.Single(dough.GetProperty("batches").EnumerateArray()).GetProperty("mixStart").GetProperty("min").GetInt32();
        Assert.True(Mixed(await server.Get($"/api/dough/{Today}")) < 9 * 60 + 1440);
        Assert.True(Mixed(await server.Get($"/api/dough/{Today}?from=now")) >= 9 * 60 + 1440);
    }

    [Fact]
    public async Task A_plan_begins_when_it_should_or_now_and_never_otherwise()
    {
        // On a bakery of its own: an order for today may draw the fair's bakes into its heat, which is earlier than now.
        using var own = new TestServer();
        Assert.Equal(JsonValueKind.Null, (await own.Get($"/api/plan/{TestServer.Fair}")).GetProperty("late").ValueKind);
        var (status, refused) = await own.Send(HttpMethod.Get, $"/api/plan/{TestServer.Fair}?from=yesterday", null);
        Assert.Equal(400, status);
        Assert.True(refused.GetProperty("errors").TryGetProperty("from", out _));
    }
}
