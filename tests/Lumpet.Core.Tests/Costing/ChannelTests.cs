using CsCheck;
using Lumpet.Core.Costing;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Costing;

public sealed class ChannelTests
{
    private static readonly Channel Counter = new("counter", "Counter", 0.30m, 0.07m, true, 0, 0.50m, 0);

    private static Money Euro(decimal amount) => new(amount, "EUR");

    [Fact]
    public void A_price_is_food_cost_over_its_share()
    {
        // Culinary arithmetic (from memory): a portion of 4.50 at a food cost of 30 % sells for 15.00.
        var plain = Counter with { TaxShare = 0, Step = 0.01m };
        Assert.Equal(15.00m, plain.ToCharge(Euro(4.50m)).Shown.Amount);
        Assert.Equal(10.50m, plain.ToCharge(Euro(4.50m)).Earned.Amount);
        // With 7 % tax shown it is 16.05, and 16.50 at steps of a half: 15.42 before tax.
        Assert.Equal(16.05m, (Counter with { Step = 0.01m }).ToCharge(Euro(4.50m)).Shown.Amount);
        var price = Counter.ToCharge(Euro(4.50m));
        Assert.Equal((16.50m, 15.42m, 1.08m), (price.Shown.Amount, Math.Round(price.Net.Amount, 2), Math.Round(price.Tax.Amount, 2)));
        Assert.Equal(0.2918m, Math.Round(price.FoodCostShare!.Value, 4));
        // Where tax is not shown, it is on top of what is.
        var wholesale = (Counter with { ShowsTax = false, Step = 0.10m }).ToCharge(Euro(4.50m));
        Assert.Equal((15.00m, 15.00m, 1.05m), (wholesale.Shown.Amount, wholesale.Net.Amount, wholesale.Tax.Amount));
    }

    [Fact]
    public void A_fee_is_taken_from_what_is_earned_and_a_price_below_cost_earns_less_than_nothing()
    {
        var stall = Counter with { TaxShare = 0, FeeShare = 0.10m };
        Assert.Equal(20m - 2m - 5m, stall.AtNet(Euro(5), Euro(20)).Earned.Amount);
        Assert.Equal(4m - 0.4m - 5m, stall.AtNet(Euro(5), Euro(4)).Earned.Amount);
        Assert.Null(stall.AtNet(Euro(5), Euro(0)).FoodCostShare);
    }

    [Fact]
    public void Price_points_may_lie_below_a_step()
    {
        var channel = Counter with { Step = 1, Under = 0.05m };
        Assert.Equal([0.95m, 9.95m, 9.95m, 10.95m, 10.95m], new[] { 0m, 9.90m, 9.95m, 9.96m, 10m }.Select(channel.PointFrom));
    }

    [Fact]
    public void The_price_is_the_least_point_that_keeps_to_the_aim_and_its_parts_add_up() =>
        Gen.Select(Gen.Int[0, 5000], Gen.Int[1, 99], Gen.Int[0, 30], Gen.Bool, Gen.Int[0, 50], Gen.Int[1, 300]).Select(Gen.Int[0, 99], (one, under) => (one, under)).Sample(drawn =>
        {
            var ((cents, share, tax, shows, fee, step), under) = drawn;
            var channel = new Channel("a", "A", share / 100m, tax / 100m, shows, fee / 100m, step / 100m, step * under / 10000m);
            var cost = Euro(cents / 100m);
            var price = channel.ToCharge(cost);
            const decimal Hair = 1e-9m;
            Assert.True(price.Net.Amount * channel.FoodCostShare >= cost.Amount - Hair);
            // A step lower would miss it, or be nothing.
            var lower = price.Shown.Amount - channel.Step;
            var lowerNet = shows ? lower / (1 + channel.TaxShare) : lower;
            Assert.True(lower <= 0 || lowerNet * channel.FoodCostShare < cost.Amount + Hair);
            Assert.Equal(0, (price.Shown.Amount + channel.Under) % channel.Step);
            Assert.Equal(price.Net.Amount, price.Cost.Amount + price.Fee.Amount + price.Earned.Amount, 18);
            if (shows) Assert.Equal(price.Shown.Amount, price.Net.Amount + price.Tax.Amount, 18);
        });

    [Fact]
    public void What_is_wrong_with_a_channel_is_named_by_its_place()
    {
        ChannelDraft good = new("Counter", 30, 7, true, 0, 0.5m, 0);
        Assert.Equal(new Channel("counter", "Counter", 0.30m, 0.07m, true, 0, 0.5m, 0), Assert.Single(ChannelReader.Read([good]).Channels));
        foreach (var (draft, field) in new (ChannelDraft, string)[]
        {
            (good with { Name = "" }, "channels[0].name"), (good with { FoodCostPercent = 0 }, "channels[0].foodCostPercent"), (good with { FoodCostPercent = 100 }, "channels[0].foodCostPercent"),
            (good with { TaxPercent = 101 }, "channels[0].taxPercent"), (good with { FeePercent = 91 }, "channels[0].feePercent"), (good with { Step = 0 }, "channels[0].step"), (good with { Under = 0.5m }, "channels[0].under"),
        })
        {
            var (channels, faults) = ChannelReader.Read([draft]);
            Assert.Empty(channels);
            Assert.Equal(field, Assert.Single(faults).Field);
        }

        Assert.Equal("channels[1].name", Assert.Single(ChannelReader.Read([good, good with { Name = "counter" }]).Faults).Field);
        Assert.Equal("channels", Assert.Single(ChannelReader.Read([]).Faults).Field);
        Assert.NotEmpty(ChannelReader.Read([.. Enumerable.Range(0, 13).Select(at => good with { Name = $"C{at}" })]).Faults);
    }
}
