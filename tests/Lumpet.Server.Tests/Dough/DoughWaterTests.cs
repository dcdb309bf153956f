using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Dough;

/// <summary>Which water the dough sheet asks for, by what was measured.</summary>
public sealed class DoughWaterTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    /// <summary>The water of the first dough that has some.</summary>
    private async Task<JsonElement> Water(string measured) => (await server.Get($"/api/dough/{TestServer.Fair}?{measured}")).GetProperty("batches").EnumerateArray()
        .First(batch => batch.GetProperty("lines").EnumerateArray().Any(line => line.GetProperty("name").GetString() == "Water")).GetProperty("water");

    [Fact]
    public async Task It_follows_what_was_measured()
    {
        var usual = await Water(string.Empty);
        Assert.True(usual.GetProperty("isMet").GetBoolean());
        Assert.Equal(15, usual.GetProperty("reachedC").GetDouble());
        Assert.True((await Water("dryC=26&waterC=20")).GetProperty("iceGrams").GetDouble() > usual.GetProperty("iceGrams").GetDouble());
        Assert.StartsWith("Water at ", (await Water("wantedC=22")).GetProperty("words").GetString(), StringComparison.Ordinal);
        var hopeless = await Water("wantedC=2&dryC=35&coldC=20&frictionC=8");
        Assert.False(hopeless.GetProperty("isMet").GetBoolean());
        Assert.StartsWith("No ice makes it 2 °C: with ", hopeless.GetProperty("words").GetString(), StringComparison.Ordinal);
        Assert.Equal(26, (await server.Get($"/api/dough/{TestServer.Fair}?dryC=26")).GetProperty("readings").GetProperty("dryC").GetDouble());
    }

    [Theory]
    [InlineData("wantedC", "wantedC=99")]
    [InlineData("dryC", "dryC=abc")]
    [InlineData("waterC", "waterC=NaN")]
    [InlineData("frictionC", "frictionC=1e999")]
    public async Task What_no_thermometer_shows_is_refused_at_its_field(string field, string measured)
    {
        var (status, problem) = await server.Send(HttpMethod.Get, $"/api/dough/{TestServer.Fair}?{measured}", null);
        Assert.Equal(400, status);
        Assert.True(problem.GetProperty("errors").TryGetProperty(field, out _), problem.GetRawText());
    }
}
