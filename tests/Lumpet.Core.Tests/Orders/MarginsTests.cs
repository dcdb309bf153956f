using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

public sealed class MarginsTests
{
    private static readonly LocalDateTime Nine = new(2026, 11, 26, 9, 0);
    private static readonly Margins Ten = new(new Dictionary<string, int> { ["pear"] = 10 });

    private static OrderLine Order(string product, int count, LocalDateTime pickUp, string pan = "23") => new(product, pan, count, pickUp, "kiosk");

    [Theory]
    [InlineData(1, 1)]
    [InlineData(10, 1)]
    [InlineData(11, 2)]
    [InlineData(20, 2)]
    [InlineData(21, 3)]
    public void A_tenth_is_rounded_up_to_whole_pies(int ordered, int beyond) => Assert.Equal(beyond, Assert.Single(Ten.Beyond([Order("pear", ordered, Nine)])).Count);

    [Fact]
    public void It_is_of_each_pan_by_itself_ready_first_and_gives_way_until_the_last()
    {
        var beyond = Ten.Beyond([Order("pear", 12, Nine.PlusHours(2)), Order("pear", 8, Nine), Order("pear", 4, Nine, "26"), Order("damson", 40, Nine)]);
        Assert.Equal([new OrderLine("pear", "23", 2, Nine, string.Empty) { MayBeLateMin = 120 }, new OrderLine("pear", "26", 1, Nine, string.Empty)], beyond);
    }

    [Fact]
    public void It_gives_way_for_half_a_day_at_most() =>
        Assert.Equal(OrderLine.MostLateMin, Assert.Single(Ten.Beyond([Order("pear", 1, Nine.PlusHours(-9)), Order("pear", 1, Nine.PlusHours(14))])).MayBeLateMin);

    [Fact]
    public void Without_orders_or_margins_there_is_nothing_beyond()
    {
        Assert.Empty(Ten.Beyond([]));
        Assert.Empty(new Margins(new Dictionary<string, int>()).Beyond([Order("pear", 12, Nine)]));
    }
}
