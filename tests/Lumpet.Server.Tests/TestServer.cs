using System.Net.Http.Json;
using System.Text.Json;
using Lumpet.Core.Labels;
using Lumpet.Core.DayPlan;
using Lumpet.Server.DayPlan;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;

namespace Lumpet.Server.Tests;

/// <summary>The real HTTP pipeline in memory, on a new demo database, with a clock that stands at nine on a Wednesday.</summary>
public sealed class TestServer : WebApplicationFactory<Program>
{
    public const string Fair = "2026-11-26";

    private readonly StandingClock clock = new();

    /// <summary>Lets time pass.</summary>
    public void Pass(TimeSpan time) => clock.Ahead += time;

    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-server-test-").FullName;

    /// <summary>Plans in place of the planner; null for the planner, which does less than for people who wait: what is tested here is not how good a plan is.</summary>
    internal Planning? Planning { get; init; }

    private const int MostEffort = 6;

    /// <summary>Whether the next days are planned ahead after the start, which takes time from whatever is tested.</summary>
    public bool PlansAhead { get; init; }

    /// <summary>A label printer in place of the stand-in that ships; null for that.</summary>
    internal ILabelPrinter? Printer { get; init; }

    /// <summary>Whether the demo bakery is put in.</summary>
    public bool Demo { get; init; } = true;

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        // A log on the console would write into the lines by which the test runner tells its results.
        builder.ConfigureLogging(logging => logging.ClearProviders());
        builder.UseSetting("Data", Path.Combine(folder, "bakery.db"));
        builder.UseSetting("Demo", Demo.ToString());
        builder.ConfigureTestServices(services =>
        {
            services.AddSingleton<TimeProvider>(clock);
            services.AddSingleton(Planning ?? ((snapshot, effort, patience, progress) => DayPlanner.Plan(snapshot, Math.Min(effort, MostEffort), patience, progress)));
            if (Printer is not null) services.AddSingleton(Printer);
            if (!PlansAhead) services.Remove(services.Single(service => service.ImplementationType == typeof(PlanWarmer)));
        });
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        SqliteConnection.ClearAllPools();
        if (Directory.Exists(folder)) Directory.Delete(folder, recursive: true);
    }

    /// <summary>The JSON answer of a GET, which must succeed.</summary>
    public async Task<JsonElement> Get(string path)
    {
        using var client = CreateClient();
        return await client.GetFromJsonAsync<JsonElement>(path);
    }

    /// <summary>The text of a file, which must be there.</summary>
    public async Task<string> Text(string path)
    {
        using var client = CreateClient();
        return await client.GetStringAsync(path);
    }

    /// <summary>Sends a body and answers status and JSON.</summary>
    public async Task<(int Status, JsonElement Body)> Send(HttpMethod method, string path, object? body, params (string Name, string Value)[] headers)
    {
        using var client = CreateClient();
        using var request = new HttpRequestMessage(method, path);
        if (body is not null) request.Content = new StringContent(body as string ?? JsonSerializer.Serialize(body, JsonSerializerOptions.Web), System.Text.Encoding.UTF8, "application/json");
        foreach (var (name, value) in headers)
        {
            if (name == "Content-Type") request.Content!.Headers.ContentType = System.Net.Http.Headers.MediaTypeHeaderValue.Parse(value);
            else request.Headers.TryAddWithoutValidation(name, value);
        }

        using var response = await client.SendAsync(request);
        var text = await response.Content.ReadAsStringAsync();
        return ((int)response.StatusCode, text.Length == 0 ? default : JsonSerializer.Deserialize<JsonElement>(text));
    }

    private sealed class StandingClock : TimeProvider
    {
        public TimeSpan Ahead { get; set; }

        public override TimeZoneInfo LocalTimeZone => TimeZoneInfo.FindSystemTimeZoneById("Europe/Lisbon");

        public override DateTimeOffset GetUtcNow() => new DateTimeOffset(2026, 11, 25, 9, 0, 0, TimeSpan.Zero) + Ahead;
    }
}
