using Dapper;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using Lumpet.Store.DayPlan;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests.DayPlan;

/// <summary>Plans that a crew works by, as they are kept.</summary>
public sealed class PublishedPlanStoreTests : IDisposable
{
    private static readonly LocalDate Day = new(2026, 11, 26);

    private static readonly PublishedPlan Work = new(
        [new PublishedPies("pear", "23", 4, 1140, new Dictionary<string, string> { ["line"] = "pear/23/1140/1/line" }, new Dictionary<string, int> { ["fill"] = -7 })],
        [new PublishedMade("dough:flaky", ["flaky/1/mix"], [new PublishedShare("pear/23/1140/1/line", 1392.5), new PublishedShare(null, 8)], 97, 2917, KeepPlace.Frozen, 60)],
        [new PublishedUse("noted", "flaky/1/mix", 7, 300, 0)],
        [
            new PublishedTray(
                "pear/23/1140/1/bake", "hearth", new LoadVisit("pear/23/1140", "bake", 4, [new VisitStage(1, 220, 300, 320), new VisitStage(2, 190, 320, 365)], [1], [4], null, 0) { HeatedFromMin = 300 },
                [new StandingTray("hearth", 300, 365, [new StandingSetting(300, 220), new StandingSetting(320, 190)]) { OnFloor = true }], "Pear and ginger", 1140, "pear", null, "23"),
        ],
        [new PublishedTask(new DayTask("flaky/1/mix", null, "mix", "Mix", "Flaky {0} <b>", Station.Dough, TaskKind.Hands, 7, 37, 0, 20, "", "") { IsMadeFirst = true, Bakes = BakeOf.Shell }, true)],
        [new DayShift("Afternoon", 0, 480) { People = 3 }],
        "{}",
        "{}");

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    private T Write<T>(Func<Transaction, T> write) => temporary.Database.Write(write);

    private static StoredPublication Plan(GoneOnFrom? from = null) => new(0, Instant.FromUnixTimeSeconds(100), Instant.FromUnixTimeSeconds(60), "print", "settled", from, Work);

    [Fact]
    public void The_last_that_was_published_is_followed_and_all_of_it_is_kept()
    {
        Assert.Null(Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day)));
        Assert.Equal(1, Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan())));
        var from = new GoneOnFrom(1, Instant.FromUnixTimeSeconds(90), ["flaky/1/mix"], new Dictionary<string, int> { ["flaky/2/mix"] = 15 });
        Assert.Equal(2, Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan(from))));
        Assert.Equal(1, Write(transaction => PublishedPlanStore.Publish(transaction, Day.PlusDays(1), Plan())));
        var kept = Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day))!;
        Assert.Equal((2, "print", "settled", 100, 60), (kept.Number, kept.Fingerprint, kept.Given, kept.PublishedAt.ToUnixTimeSeconds(), kept.Start.ToUnixTimeSeconds()));
        Assert.Equal((1, 90), (kept.From!.Number, kept.From.At.ToUnixTimeSeconds()));
        Assert.Equal(["flaky/1/mix"], kept.From.NotDone);
        Assert.Equal([KeyValuePair.Create("flaky/2/mix", 15)], kept.From.LongerMin);
        Assert.Equivalent(Work, kept.Work, strict: true);
        Assert.Equal(Work.Tasks[0], kept.Work.Tasks[0]);
        Assert.Null(Write(transaction => PublishedPlanStore.Find(transaction.Connection, Day, 1))!.From);
    }

    [Fact]
    public void What_is_not_done_is_of_one_plan_and_goes_with_it()
    {
        Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan()));
        Write(transaction =>
        {
            PublishedPlanStore.Say(transaction, Day, 1, "a", false);
            PublishedPlanStore.Say(transaction, Day, 1, "a", false);
            PublishedPlanStore.Say(transaction, Day, 1, "b", false);
            PublishedPlanStore.Say(transaction, Day, 1, "b", true);
            return 0;
        });
        Assert.Equal(["a"], Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day))!.NotDone);
        Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan(new GoneOnFrom(1, Instant.FromUnixTimeSeconds(90), ["a"], new Dictionary<string, int>()))));
        Assert.Empty(Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day))!.NotDone);
        Assert.True(Write(transaction => PublishedPlanStore.TakeBack(transaction, Day)));
        Assert.False(Write(transaction => PublishedPlanStore.TakeBack(transaction, Day)));
        Assert.Equal(0, Write(transaction => transaction.Connection.QuerySingle<int>("SELECT count(*) FROM not_done")));
    }

    [Fact]
    public void What_takes_longer_is_of_one_plan_and_goes_with_it()
    {
        Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan()));
        Write(transaction =>
        {
            PublishedPlanStore.Lengthen(transaction, Day, 1, "a", 5);
            PublishedPlanStore.Lengthen(transaction, Day, 1, "a", 10);
            PublishedPlanStore.Lengthen(transaction, Day, 1, "b", 5);
            PublishedPlanStore.Lengthen(transaction, Day, 1, "b", 0);
            return 0;
        });
        Assert.Equal([KeyValuePair.Create("a", 10)], Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day))!.LongerMin);
        Assert.Throws<SqliteException>(() => Write(transaction =>
        {
            PublishedPlanStore.Lengthen(transaction, Day, 1, "a", 241);
            return 0;
        }));
        Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan()));
        Assert.Empty(Write(transaction => PublishedPlanStore.Followed(transaction.Connection, Day))!.LongerMin);
        Assert.True(Write(transaction => PublishedPlanStore.TakeBack(transaction, Day)));
        Assert.Equal(0, Write(transaction => transaction.Connection.QuerySingle<int>("SELECT count(*) FROM takes_longer")));
    }

    [Fact]
    public void The_schema_knows_no_plan_that_goes_on_from_none() => Assert.Throws<SqliteException>(() => Write(transaction => PublishedPlanStore.Publish(transaction, Day, Plan(new GoneOnFrom(7, Instant.FromUnixTimeSeconds(90), [], new Dictionary<string, int>())))));
}
