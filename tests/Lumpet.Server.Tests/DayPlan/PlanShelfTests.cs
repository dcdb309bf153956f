using Dapper;
using Lumpet.Server.DayPlan;
using Lumpet.Store;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Plans are made once for all who ask, and left when nobody waits.</summary>
public sealed class PlanShelfTests : IDisposable
{
    private readonly TestServer server = new();
    private readonly PlanShelf shelf = new();

    public void Dispose()
    {
        shelf.Dispose();
        server.Dispose();
    }

    private DayBook Book()
    {
        using var connection = server.Services.GetRequiredService<Database>().Open();
        return DayBook.Open(connection, new LocalDate(2026, 11, 26))!;
    }

    [Fact]
    public async Task Who_asks_the_same_waits_for_one_plan()
    {
        var plans = await Task.WhenAll(Enumerable.Range(0, 5).Select(_ => shelf.PlanAsync(Book(), PlanTime.Soon, CancellationToken.None)));
        Assert.Single(plans.Distinct(ReferenceEqualityComparer.Instance));
        Assert.True(plans[0].IsSettled);
        // The plan of another day's end is another plan.
        Assert.NotSame(plans[0], await shelf.PlanAsync(Book().From(60), PlanTime.Soon, CancellationToken.None));
    }

    [Fact]
    public async Task A_first_plan_gives_way_to_the_settled_one()
    {
        var first = await shelf.AtOnceAsync(Book(), CancellationToken.None);
        Assert.Equal("first", first.Given);
        Assert.False(first.Plan.IsSettled);
        Assert.Equal(62, first.Plan.Pies);
        // Asked again there is nothing better yet, and sheets find the same plan by its name.
        Assert.Same(first.Plan, (await shelf.AtOnceAsync(Book(), CancellationToken.None)).Plan);
        var settled = await shelf.PlanAsync(Book(), PlanTime.Settled, CancellationToken.None);
        Assert.True(settled.IsSettled);
        Assert.True(settled.BakePlan.Cost.Total <= first.Plan.BakePlan.Cost.Total);
        Assert.Same(settled, await shelf.PlanAsync(Book(), PlanTime.Soon, CancellationToken.None));
        Assert.Equal(new KeptPlan(settled, "settled"), await shelf.AtOnceAsync(Book(), CancellationToken.None));
        Assert.Same(first.Plan, await shelf.PlanAsync(Book(), PlanTime.First, CancellationToken.None));
    }

    [Fact]
    public async Task Who_goes_leaves_it_to_the_others_and_the_last_takes_it_along()
    {
        using var gone = new CancellationTokenSource();
        var leaving = shelf.PlanAsync(Book(), PlanTime.Soon, gone.Token);
        var staying = shelf.PlanAsync(Book(), PlanTime.Soon, CancellationToken.None);
        await gone.CancelAsync();
        Assert.Equal(62, (await staying).Pies);
        await Assert.ThrowsAnyAsync<OperationCanceledException>(async () =>
        {
            await leaving;
            throw new OperationCanceledException("It was done before anyone could leave.");
        });

        using var alone = new CancellationTokenSource();
        var left = shelf.PlanAsync(Book().From(30), PlanTime.Soon, alone.Token);
        await alone.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(async () =>
        {
            await left;
            throw new OperationCanceledException("It was done before anyone could leave.");
        });
        // What was left can be asked for again.
        Assert.Equal(62, (await shelf.PlanAsync(Book().From(30), PlanTime.Soon, CancellationToken.None)).Pies);
    }

    [Fact]
    public async Task A_day_that_cannot_be_planned_names_what_it_stumbles_over_and_holds_up_no_other()
    {
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "oat-custard", pan = "23", count = 4, pickUp = "2026-11-27T10:00", @for = "next day" })).Status);
        // As no form would take it: a crust of twenty centimetres.
        server.Services.GetRequiredService<Database>().Write(transaction => transaction.Connection.Execute("UPDATE product SET thickness_mm = 200 WHERE id = 'damson'"));
        foreach (var path in new[] { $"/api/plan/{TestServer.Fair}", $"/api/dough/{TestServer.Fair}", $"/api/plan/{TestServer.Fair}/calendar.ics" })
        {
            var (status, problem) = await server.Send(HttpMethod.Get, path, null);
            Assert.Equal(409, status);
            Assert.Contains("it stumbles over Damson lattice in 23 cm", problem.GetProperty("title").GetString(), StringComparison.Ordinal);
        }

        // Where it can be mended is not shut with it.
        Assert.Equal(200, (await server.Send(HttpMethod.Get, $"/api/preparations?day={TestServer.Fair}", null)).Status);
        Assert.Equal(4 + 77, (await server.Get("/api/plan/2026-11-27")).GetProperty("pies").GetInt32());
        Assert.Equal(62, (await server.Get($"/api/orders/{TestServer.Fair}")).GetProperty("pies").GetInt32());
    }
}
