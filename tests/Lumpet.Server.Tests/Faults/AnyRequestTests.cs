using System.Text;
using System.Text.Json;
using CsCheck;
using Lumpet.Core.Tests;
using Xunit;

namespace Lumpet.Server.Tests.Faults;

/// <summary>Thousands of requests that nobody thought of: whatever is sent, the server answers and says why not.</summary>
public sealed class AnyRequestTests : IDisposable
{
    private static readonly string[] Fields =
    [
        "product", "pan", "count", "pickUp", "for", "line", "day", "moves", "from", "to", "text", "keep", "name", "zone", "currency", "shifts", "ovens", "pans",
        "id", "start", "lengthMin", "shelves", "topCm", "lines", "layers", "law", "pieces", "sizes", "price", "steps", "links", "stages", "tempC", "least", "most", "allergens",
        "dough", "top", "thicknessMm", "station", "perBatch", "waitLeast", "referencePan",
    ];

    private static readonly string[] Texts =
    [
        "pear", "23", "2026-11-26T09:00", "2026-11-26", "12 pear @ 23 9:00", "07:30", "lid", "flaky", "450 g flour\n2 lb 4 oz butter", "", " ", "\0", "\ud83e\udd67", "a\nb",
        "<script>alert(1)</script>", "'; DROP TABLE order_line; --", "../../etc/passwd", "%s%n", "NaN", "1e999", "-0", "2027-03-28T01:30", "9999-12-31T23:59", "oven",
    ];

    private static readonly Gen<string> Text = Gen.Frequency((6, Gen.OneOfConst(Texts)), (2, Gen.String[0, 40]), (1, Gen.Int[0, 5000].Select(length => new string('x', length))));

    private static readonly Gen<string> Scalar = Gen.Frequency(
        (5, Text.Select(text => JsonSerializer.Serialize(text))),
        (3, Gen.Int.Select(number => $"{number}")),
        (2, Gen.Int[-3, 60].Select(number => $"{number}")),
        (1, Gen.OneOfConst("null", "true", "false", "1.5", "1e30", "-1e400", "99999999999999999999", "0.0000001")));

    private static readonly Gen<string> Json = Gen.Recursive<string>((depth, inner) => depth > 3 ? Scalar : Gen.Frequency(
        (3, Scalar),
        (1, inner.Array[0, 4].Select(items => $"[{string.Join(',', items)}]")),
        (4, Gen.Select(Gen.OneOfConst(Fields), inner).Array[0, 8].Select(fields => $"{{{string.Join(',', fields.DistinctBy(field => field.Item1).Select(field => $"\"{field.Item1}\":{field.Item2}"))}}}"))));

    // A null in a path does not get past the web server, nor past the one that stands in for it here.
    private static readonly Gen<string> Part = Text.Where(text => !text.Contains('\0', StringComparison.Ordinal));

    private static readonly Gen<(string Method, string Path)> Address = Gen.OneOf(
        Gen.OneOfConst(
            ("POST", "/api/orders"), ("POST", "/api/orders/typed"), ("POST", "/api/orders/read"), ("POST", "/api/orders/import"), ("PUT", $"/api/orders/{Guid.Empty}"),
            ("DELETE", $"/api/orders/{Guid.Empty}"), ("POST", "/api/standing-orders"), ("PUT", $"/api/standing-orders/{Guid.Empty}"), ("PUT", $"/api/standing-orders/{Guid.Empty}/days/{TestServer.Fair}"), ("POST", $"/api/orders/{TestServer.Fair}/copy"), ("PUT", "/api/margins/pear"), ("POST", "/api/cooling"), ("POST", "/api/recipes"), ("PUT", "/api/recipes/pear"), ("POST", "/api/recipes/pear/scale"), ("POST", "/api/doughs"),
            ("PUT", "/api/doughs/flaky"), ("PUT", "/api/bakery/description"), ("PUT", "/api/ingredients/butter"), ("POST", "/api/writing/lines"),
            ("POST", $"/api/plan/{TestServer.Fair}/what-if"), ("POST", $"/api/plan/{TestServer.Fair}/take")),
        Part.Select(text => ("GET", $"/api/plan/{Uri.EscapeDataString(text)}")),
        Part.Select(text => ("GET", $"/api/orders/{Uri.EscapeDataString(text)}")),
        Part.Select(text => ("GET", $"/api/plan/{TestServer.Fair}/reason?task={Uri.EscapeDataString(text)}")),
        Part.Select(text => ("POST", $"/api/recipes/{Uri.EscapeDataString(text)}/scale")));

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    [Fact]
    public void No_request_makes_it_stumble()
    {
        using var client = server.CreateClient();
        Gen.Select(Address, Json, Gen.OneOfConst(null, "\"1\"", "\"0\"", "x", "\"99999999999999999999\""), Gen.Bool).SampleTheSame(
            any =>
            {
                var (address, body, version, isJson) = any;
                using var request = new HttpRequestMessage(new HttpMethod(address.Method), address.Path);
                if (address.Method != "GET") request.Content = new StringContent(body, Encoding.UTF8, isJson ? "application/json" : "text/plain");
                if (version is not null) request.Headers.TryAddWithoutValidation("If-Match", version);
                using var response = client.SendAsync(request).GetAwaiter().GetResult();
                var text = response.Content.ReadAsStringAsync().GetAwaiter().GetResult();
                Assert.True((int)response.StatusCode < 500, $"{address.Method} {address.Path} {body}: {(int)response.StatusCode} {text}");
                // What is refused says why, in words.
                if ((int)response.StatusCode >= 400)
                    Assert.False(string.IsNullOrWhiteSpace(JsonSerializer.Deserialize<JsonElement>(text).GetProperty("title").GetString()), $"{address.Method} {address.Path} {body}");
            },
            iter: 1800,
            threads: 1);
    }
}
