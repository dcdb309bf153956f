using System.Text.Json;
using Dapper;
using Lumpet.Core.DayPlan;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Microsoft.Extensions.DependencyInjection;
using NodaTime;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>Plans are made once for all who ask, and left when nobody waits.</summary>
public sealed class PlanShelfTests : IDisposable
{
    private readonly TestServer server = new();
    private readonly PlanShelf shelf = new((snapshot, effort, patience, progress) => DayPlanner.Plan(snapshot, effort, patience, progress));

    public void Dispose()
    {
        shelf.Dispose();
        server.Dispose();
    }

    private DayBook Book()
    {
        using var connection = server.Services.GetRequiredService<Database>().Open();
        return DayBook.Open(connection, new LocalDate(2026, 11, 26), clock: null)!;
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
    public async Task A_plan_that_breaks_a_rule_is_never_shown()
    {
        // A planner that lets a pie out a minute too soon.
        static PlannedDay Damaged(PlannedDay plan) => plan with
        {
            BakePlan = plan.BakePlan with { Trays = [.. plan.BakePlan.Trays.Select((tray, at) => at > 0 ? tray : tray with { Stages = [.. tray.Stages.SkipLast(1), tray.Stages[^1] with { EndMin = tray.Stages[^1].StartMin + 1 }] })] },
        };
        var asked = new List<int>();
        using var searching = new PlanShelf((snapshot, effort, patience, progress) =>
        {
            asked.Add(effort);
            return effort == 1 ? DayPlanner.Plan(snapshot, effort, patience, progress) : Damaged(DayPlanner.Plan(snapshot, 2, patience, progress));
        });
        // What the search did wrong, the first plan does right.
        Assert.Equal(62, (await searching.PlanAsync(Book(), PlanTime.Soon, CancellationToken.None)).Pies);
        Assert.Equal([DayPlanner.DefaultEffort, 1], asked);

        // Where that is wrong too it is said, and the rest of Lumpet goes on.
        using var broken = new PlanShelf((snapshot, _, patience, progress) => Damaged(DayPlanner.Plan(snapshot, 1, patience, progress)));
        var said = await Assert.ThrowsAsync<UnsoundPlanException>(() => broken.PlanAsync(Book(), PlanTime.Soon, CancellationToken.None));
        Assert.Contains("stage", said.Message, StringComparison.OrdinalIgnoreCase);
        using var other = new TestServer { Planning = (snapshot, _, patience, progress) => Damaged(DayPlanner.Plan(snapshot, 1, patience, progress)) };
        var (status, body) = await other.Send(HttpMethod.Get, $"/api/plan/{TestServer.Fair}", null);
        Assert.Equal(500, status);
        Assert.Contains("breaks a rule", body.GetProperty("title").GetString(), StringComparison.Ordinal);
        Assert.Equal(200, (await other.Send(HttpMethod.Get, "/api/bakery", null)).Status);
    }

    [Fact]
    public async Task How_far_a_settled_plan_is_can_be_asked_while_it_is_made()
    {
        using var go = new ManualResetEventSlim();
        using var told = new ManualResetEventSlim();
        using var slow = new PlanShelf((snapshot, _, patience, progress) =>
        {
            progress.Report(0.4);
            told.Set();
            go.Wait(TimeSpan.FromSeconds(30));
            return DayPlanner.Plan(snapshot, 1, patience, progress);
        });
        Assert.Null(slow.Settling(Book()));
        var plan = slow.PlanAsync(Book(), PlanTime.Settled, CancellationToken.None);
        Assert.True(told.Wait(TimeSpan.FromSeconds(30)));
        Assert.Equal(0.4, slow.Settling(Book()));
        go.Set();
        await plan;
        Assert.Null(slow.Settling(Book()));
        // The real planner tells more and more, and never beyond the whole.
        var said = new List<double>();
        DayPlanner.Plan(Book().Snapshot, 24, default, new Heard(said));
        Assert.True(said.Count > 3);
        Assert.All(said.Zip(said.Skip(1)), pair => Assert.True(pair.First <= pair.Second + 1e-9, $"{pair}"));
        Assert.InRange(said[^1], 0.5, 1);
        // The server settles its next days when it starts; whether it is at it just now is its own affair.
        if ((await server.Get($"/api/plan/{TestServer.Fair}/progress")).GetProperty("percent") is { ValueKind: JsonValueKind.Number } percent) Assert.InRange(percent.GetInt32(), 0, 100);
    }

    private sealed class Heard(List<double> said) : IProgress<double>
    {
        public void Report(double value)
        {
            lock (said) said.Add(value);
        }
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
