using Lumpet.Server.Tables;
using Xunit;

namespace Lumpet.Server.Tests.Tables;

public sealed class CellGuardTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    [Theory]
    [InlineData("=1+1", "'=1+1")]
    [InlineData("+351 210", "'+351 210")]
    [InlineData("-5 °C stall", "'-5 °C stall")]
    [InlineData("@stall", "'@stall")]
    [InlineData("'=1+1", "''=1+1")]
    [InlineData("''@", "'''@")]
    [InlineData("kiosk", "kiosk")]
    [InlineData("'quay'", "'quay'")]
    [InlineData("", "")]
    public void A_cell_that_a_spreadsheet_would_run_is_marked_as_text_and_read_back(string text, string cell)
    {
        Assert.Equal(cell, CellGuard.Write(text));
        Assert.Equal(text, CellGuard.Read(cell));
    }

    [Fact]
    public async Task An_exported_order_runs_nothing_and_comes_back_as_it_was()
    {
        const string Whom = "=HYPERLINK(1)";
        Assert.Equal(201, (await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 3, pickUp = "2026-12-05T09:00", @for = Whom })).Status);
        var table = await server.Text("/api/orders/2026-12-05/orders.csv");
        Assert.Contains(",'=HYPERLINK(1)", table, StringComparison.Ordinal);
        Assert.Equal(200, (await server.Send(HttpMethod.Post, "/api/orders/import", new { text = table, keep = true })).Status);
        var orders = (await server.Get("/api/orders/2026-12-05")).GetProperty("orders").EnumerateArray().Select(order => order.GetProperty("for").GetString());
        Assert.Equal([Whom, Whom], orders);
    }
}
