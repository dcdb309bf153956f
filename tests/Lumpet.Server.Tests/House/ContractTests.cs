using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.House;

/// <summary>What holds of every address of the server.</summary>
public sealed class ContractTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Every_number_of_the_contract_is_a_number_only()
    {
        // With lenient number handling the document would type numbers as number or text.
        var document = await server.Get("/api/openapi.json");
        var order = document.GetProperty("components").GetProperty("schemas").GetProperty("OrderAnswer").GetProperty("properties");
        Assert.Equal("integer", order.GetProperty("count").GetProperty("type").GetString());
        Assert.DoesNotContain("\"pattern\":\"^-?", document.GetRawText(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Every_operation_has_a_name_and_a_summary()
    {
        var document = await server.Get("/api/openapi.json");
        var operations = document.GetProperty("paths").EnumerateObject().SelectMany(path => path.Value.EnumerateObject()).ToArray();
        Assert.True(operations.Length >= 12);
        Assert.All(operations, operation =>
        {
            Assert.NotEmpty(operation.Value.GetProperty("operationId").GetString()!);
            Assert.EndsWith(".", operation.Value.GetProperty("summary").GetString(), StringComparison.Ordinal);
        });
    }

    [Fact]
    public async Task Answers_are_not_kept_by_the_browser_and_pages_load_from_here_only()
    {
        using var client = server.CreateClient();
        using var response = await client.GetAsync(new Uri("/api/bakery", UriKind.Relative));
        Assert.True(response.Headers.CacheControl!.NoStore);
        Assert.StartsWith("default-src 'self'", response.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
        Assert.Equal("nosniff", response.Headers.GetValues("X-Content-Type-Options").Single());
    }

    [Theory]
    [InlineData("GET", "/api/orders")]
    [InlineData("PATCH", "/api/orders/2026-11-26")]
    [InlineData("DELETE", "/api/orders/not-an-id")]
    [InlineData("GET", "/api/recipes/pear/scale")]
    [InlineData("GET", "/nowhere")]
    public async Task What_is_not_there_is_said_plainly(string method, string path)
    {
        var (status, problem) = await server.Send(new HttpMethod(method), path, null);
        Assert.InRange(status, 404, 405);
        if (problem.ValueKind == JsonValueKind.Object) Assert.NotEmpty(problem.GetProperty("title").GetString()!);
    }

    [Fact]
    public async Task A_body_without_end_is_refused()
    {
        var (status, _) = await server.Send(HttpMethod.Post, "/api/orders/read", new { line = new string('9', 2_000_000), day = TestServer.Fair });
        // The in-memory host has no Kestrel limit; the line's own limit holds.
        Assert.InRange(status, 200, 413);
        var (_, read) = await server.Send(HttpMethod.Post, "/api/orders/read", new { line = new string('9', 201), day = TestServer.Fair });
        Assert.Equal("line", read.GetProperty("faults")[0].GetProperty("field").GetString());
    }
}
