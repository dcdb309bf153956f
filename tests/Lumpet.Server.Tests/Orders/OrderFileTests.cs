using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Orders;

public sealed class OrderFileTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<int> Pies() => (await server.Get($"/api/orders/{TestServer.Fair}")).GetProperty("pies").GetInt32();

    private Task<(int Status, JsonElement Body)> Import(string text, bool keep, string? key = null) =>
        server.Send(HttpMethod.Post, "/api/orders/import", new { text, keep }, key is null ? [] : [("Idempotency-Key", key)]);

    [Fact]
    public async Task What_goes_out_comes_in_again()
    {
        // Quotes, commas and line ends inside fields are written as RFC 4180, section 2, says.
        await server.Send(HttpMethod.Post, "/api/orders", new { product = "pear", pan = "23", count = 3, pickUp = "2026-11-26T09:00", @for = "Quay \"9\", left door", mayBeLateMin = 45 });
        using var client = server.CreateClient();
        var text = await client.GetStringAsync(new Uri($"/api/orders/{TestServer.Fair}/orders.csv", UriKind.Relative));
        Assert.Contains("3,pear,23,2026-11-26T09:00,\"Quay \"\"9\"\", left door\",45\r\n", text, StringComparison.Ordinal);
        Assert.Equal(65, await Pies());

        var (status, read) = await Import(text, keep: false);
        Assert.Equal((200, 9, 65, false), (status, read.GetProperty("orders").GetInt32(), read.GetProperty("pies").GetInt32(), read.GetProperty("isKept").GetBoolean()));
        Assert.Equal(65, await Pies());
        await Import(text, keep: true, "once");
        await Import(text, keep: true, "once");
        Assert.Equal(130, await Pies());
        Assert.Equal(2, (await server.Get($"/api/orders/{TestServer.Fair}")).GetProperty("orders").EnumerateArray().Count(order => order.GetProperty("for").GetString() == "Quay \"9\", left door" && order.GetProperty("mayBeLateMin").GetInt32() == 45));
    }

    [Fact]
    public async Task Names_and_semicolons_do_as_well()
    {
        var (status, read) = await Import("for;pick_up;product;count;pan\nKiosk;2026-11-26 08:00;Damson lattice;4;26\n", keep: true);
        Assert.True(status == 200, read.GetRawText());
        Assert.Equal(66, await Pies());
    }

    [Theory]
    [InlineData("an empty file", "", "file")]
    [InlineData("no heading", "4,pear,23,2026-11-26T09:00,x\n", "file")]
    [InlineData("only a heading", "count,product,pan,pick_up,for\n", "file")]
    [InlineData("a bad row among good ones", "count,product,pan,pick_up,for\n4,pear,23,2026-11-26T09:00,x\n0,pear,23,2026-11-26T09:00,x\n", "rows[2].count")]
    [InlineData("a fraction", "count,product,pan,pick_up,for\n1.5,pear,23,2026-11-26T09:00,x\n", "rows[1].count")]
    [InlineData("no such product", "count,product,pan,pick_up,for\n4,mango,23,2026-11-26T09:00,x\n", "rows[1].product")]
    [InlineData("no such pan", "count,product,pan,pick_up,for\n4,pear,99,2026-11-26T09:00,x\n", "rows[1].pan")]
    [InlineData("yesterday", "count,product,pan,pick_up,for\n4,pear,23,2026-11-24T09:00,x\n", "rows[1].pickUp")]
    [InlineData("no date", "count,product,pan,pick_up,for\n4,pear,23,soon,x\n", "rows[1].pickUp")]
    [InlineData("late by a word", "count,product,pan,pick_up,for,may_be_late_min\n4,pear,23,2026-11-26T09:00,x,soon\n", "rows[1].mayBeLateMin")]
    [InlineData("a row cut short", "count,product,pan,pick_up,for\n4,pear\n", "rows[1].pan")]
    [InlineData("a quote that never ends", "count,product,pan,pick_up,for\n4,pear,23,2026-11-26T09:00,\"x\n", "rows[1].for")]
    [InlineData("no text at all", "\0\0\u0001", "file")]
    public async Task A_file_with_anything_wrong_is_refused_whole_and_every_bad_row_named(string what, string text, string field)
    {
        var (status, problem) = await Import(text, keep: true);
        Assert.True(status == 400, what);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), $"{what}: {problem.GetRawText()}");
        Assert.Equal(62, await Pies());
    }

    [Fact]
    public async Task Too_many_rows_are_refused_before_they_are_all_read()
    {
        var rows = string.Concat(Enumerable.Repeat("4,pear,23,2026-11-26T09:00,x\n", 2001));
        var (status, problem) = await Import("count,product,pan,pick_up,for\n" + rows, keep: true);
        Assert.Equal(400, status);
        Assert.Contains("2000", problem.GetProperty("errors").GetProperty("file")[0].GetString(), StringComparison.Ordinal);
        Assert.Equal(62, await Pies());
    }
}
