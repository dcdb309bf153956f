using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Ahead;

/// <summary>The days ahead: batches of the next ones, the load of all.</summary>
public sealed class AheadTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private async Task<JsonElement[]> Ahead(int days) => [.. (await server.Get($"/api/ahead?days={days}")).EnumerateArray()];

    [Fact]
    public async Task Batches_of_the_next_days_are_those_of_their_own_sheets_and_what_lies_beyond_is_only_reckoned()
    {
        var all = await Ahead(2);
        Assert.Equal(["2026-11-26", "2026-11-27"], all.Where(day => day.GetProperty("isPlanned").GetBoolean()).Select(day => day.GetProperty("day").GetString()));
        Assert.True(all.Length > 4);
        foreach (var day in all)
        {
            var batches = day.GetProperty("batches").EnumerateArray().ToArray();
            Assert.Equal(day.GetProperty("isPlanned").GetBoolean(), batches.Length > 0);
            Assert.Equal(batches.Select(batch => batch.GetProperty("start").GetProperty("min").GetInt32()).Order(), batches.Select(batch => batch.GetProperty("start").GetProperty("min").GetInt32()));
            Assert.Matches(@"^Work \d+ h \d\d against \d+ h \d\d of hands$", day.GetProperty("load").GetProperty("hands").GetString());
            Assert.InRange(day.GetProperty("load").GetProperty("ofHandsPercent").GetInt32(), 1, 100);
        }

        var sheet = await server.Get($"/api/dough/{TestServer.Fair}?given=first");
        var doughs = all[0].GetProperty("batches").EnumerateArray().Where(batch => batch.GetProperty("kind").GetString() == "dough").ToArray();
        Assert.Equal(sheet.GetProperty("batches").EnumerateArray().Select(batch => batch.GetProperty("mixStart").ToString()), doughs.Select(batch => batch.GetProperty("start").ToString()));
        var fillings = await server.Get($"/api/fillings/{TestServer.Fair}?given=first");
        foreach (var filling in fillings.GetProperty("fillings").EnumerateArray())
        {
            var told = Assert.Single(all[0].GetProperty("batches").EnumerateArray(), batch => batch.GetProperty("kind").GetString() == "filling" && batch.GetProperty("name").GetString() == filling.GetProperty("name").GetString());
            Assert.Equal(filling.GetProperty("grams").GetDouble() / 1000, told.GetProperty("kilograms").GetDouble(), 1);
        }
    }

    [Fact]
    public async Task Hands_are_counted_for_one_day_only_and_not_those_of_the_past()
    {
        var hands = (await Ahead(0))[0].GetProperty("load").GetProperty("hands").GetString()!;
        server.Pass(TimeSpan.FromHours(8));
        var later = (await Ahead(0))[0].GetProperty("load").GetProperty("hands").GetString()!;
        Assert.NotEqual(hands, later);
        Assert.True(There(later) < There(hands), $"{hands} / {later}");

        static int There(string words) => int.Parse(words.Split("against ")[1].Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(8)]
    public async Task More_than_a_week_is_not_planned(int days)
    {
        var (status, problem) = await server.Send(HttpMethod.Get, $"/api/ahead?days={days}", null);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty("days", out _));
    }
}
