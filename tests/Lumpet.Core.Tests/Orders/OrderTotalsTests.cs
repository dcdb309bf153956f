using Lumpet.Core.Orders;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Orders;

public sealed class OrderTotalsTests
{
    [Fact]
    public void Orders_add_up_per_product_pan_and_pick_up()
    {
        var (early, late) = (new LocalDateTime(2026, 11, 28, 7, 30, 0), new LocalDateTime(2026, 11, 28, 10, 0, 0));
        var totals = OrderTotals.Of(
            [new("pear", "23", 12, late, "a"), new("pear", "23", 4, early, "b"), new("pear", "26", 2, early, "c"), new("pear", "23", 8, late, "d")],
            TestBakery.Products);
        Assert.Equal([early, late], totals.PickUps);
        Assert.Equal([4, 20], totals.Rows[0].PerPickUp);
        Assert.Equal([24, 2], totals.Rows.Select(row => row.Total));
        Assert.Equal(26, totals.Total);
    }
}
