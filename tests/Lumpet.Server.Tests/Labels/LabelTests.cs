using Lumpet.Core.Labels;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Labels;

/// <summary>Labels over HTTP; the clock stands at Wednesday 25 November 2026, 09:00.</summary>
public sealed class LabelTests : IDisposable
{
    private const string Fair = "2026-11-26";
    private const string Oat = "/api/labels/oat-custard/23";

    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private static string Said(JsonElement of, string name) => of.GetProperty(name).GetString()!;

    private static string[] Lines(JsonElement label) => [.. label.GetProperty("lines").EnumerateArray().Select(line => line.GetString()!)];

    private static object Asked(JsonElement answer, int copies = 12, bool evenSo = false, string[]? lines = null) => new
    {
        copies,
        manner = Said(answer, "manner"),
        isOneList = answer.GetProperty("isOneList").GetBoolean(),
        made = Said(answer, "made"),
        lot = answer.GetProperty("lot") is { ValueKind: JsonValueKind.String } lot ? lot.GetString() : null,
        lines = lines ?? Lines(answer.GetProperty("label")),
        evenSo,
    };

    private Task<(int Status, JsonElement Body)> Print(object asked, string? key = null, string path = Oat) =>
        key is null ? server.Send(HttpMethod.Post, $"{path}/printed", asked) : server.Send(HttpMethod.Post, $"{path}/printed", asked, ("Idempotency-Key", key));

    private async Task<JsonElement> EnteredPies()
    {
        for (var round = 0; round < 6; round++)
            foreach (var batch in (await server.Get($"/api/batches/{Fair}")).GetProperty("batches").EnumerateArray().Where(batch => !batch.GetProperty("isEntered").GetBoolean()))
                await server.Send(HttpMethod.Post, $"/api/batches/{Fair}/made", new { batch = Said(batch, "id"), amount = batch.GetProperty("amount").GetInt64(), evenIfUnknown = true });
        return (await server.Get($"/api/batches/{Fair}")).GetProperty("batches").EnumerateArray().First(batch => Said(batch, "product") == "oat-custard" && Said(batch, "pan") == "23");
    }

    [Fact]
    public async Task A_label_says_what_the_recipe_holds_and_what_was_stated()
    {
        var answer = await server.Get(Oat);
        Assert.Equal(
            ["Oat custard", "1240 g", "Use by 27 Nov 2026", "Keep at 5 °C or below", "Tern Quay Bakehouse"],
            Lines(answer.GetProperty("label")).Where(line => !line.StartsWith("Ingredients", StringComparison.Ordinal) && !line.StartsWith("May contain", StringComparison.Ordinal)));
        Assert.Empty(answer.GetProperty("inTheWay").EnumerateArray());
        Assert.Equal(Lines(answer.GetProperty("label"))[1], string.Concat(answer.GetProperty("label").GetProperty("ingredients").EnumerateArray().Select(word => Said(word, "text"))));
        var us = (await server.Get($"{Oat}?manner=unitedStates")).GetProperty("label");
        Assert.Equal("Contains: egg, milk, wheat.", Said(us, "contains"));
        Assert.Equal("Net wt 43.7 oz (1240 g)", Said(us, "net"));
    }

    /// <summary>Every product in every pan has a label, and each of its allergens stands out in it.</summary>
    [Fact]
    public async Task Every_product_in_every_pan_has_one()
    {
        foreach (var row in (await server.Get("/api/costs")).GetProperty("products").EnumerateArray())
        {
            var first = await server.Get($"/api/labels/{Said(row, "id")}/{Said(row, "pan")}");
            foreach (var pan in first.GetProperty("pans").EnumerateArray())
            {
                var answer = await server.Get($"/api/labels/{Said(row, "id")}/{Said(pan, "id")}?isOneList=false");
                Assert.Equal(Said(row, "name"), Lines(answer.GetProperty("label"))[0]);
                var carried = answer.GetProperty("ingredients").EnumerateArray().SelectMany(one => one.GetProperty("allergens").EnumerateArray()).Select(allergen => allergen.GetString()).Distinct();
                Assert.True(answer.GetProperty("label").GetProperty("ingredients").EnumerateArray().Count(word => word.GetProperty("isAllergen").GetBoolean()) >= carried.Count());
            }
        }
    }

    [Fact]
    public async Task Labels_of_a_lot_are_printed_once_and_lead_from_its_cream_to_the_label()
    {
        var pies = await EnteredPies();
        var answer = await server.Get($"{Oat}?lot={Said(pies, "lot")}");
        Assert.Contains($"Lot {Said(pies, "code")}", Lines(answer.GetProperty("label")));
        var taps = await Task.WhenAll(Enumerable.Range(0, 5).Select(_ => Print(Asked(answer), "once")));
        Assert.All(taps, tap => Assert.Equal(200, tap.Status));
        Assert.Single(taps.Select(tap => tap.Body.GetProperty("number").GetInt64()).Distinct());
        var after = await server.Get(Oat);
        Assert.Equal(488, after.GetProperty("printerLeft").GetInt32());
        Assert.Equal(12, Assert.Single(after.GetProperty("printed").EnumerateArray()).GetProperty("copies").GetInt32());
        var cream = (await server.Get("/api/trace?text=HD%202207")).EnumerateArray().First();
        foreach (var lot in new[] { Said(cream, "lot"), Said(pies, "lot") })
        {
            var labels = Assert.Single((await server.Get($"/api/trace/lots/{lot}")).GetProperty("labels").EnumerateArray());
            Assert.Equal((12, Said(pies, "code")), (labels.GetProperty("copies").GetInt32(), Said(labels, "code")));
            Assert.Contains($"Lot {Said(pies, "code")}", Lines(labels));
        }
    }

    [Fact]
    public async Task What_was_not_seen_so_is_not_printed_and_neither_is_what_the_roll_has_not()
    {
        var answer = await server.Get(Oat);
        Assert.Equal(400, (await Print(Asked(answer, lines: ["Oat custard"]))).Status);
        Assert.Equal(400, (await Print(Asked(answer, copies: 0))).Status);
        Assert.Equal(400, (await Print(Asked(answer, copies: 2001))).Status);
        var (status, said) = await Print(Asked(answer, copies: 501));
        Assert.Equal((409, "The roll has 500 labels left. Put a new one in (500), or print fewer."), (status, Said(said, "title")));
        Assert.Equal(200, (await Print(Asked(answer, copies: 499))).Status);
        Assert.Equal(409, (await Print(Asked(answer, copies: 2))).Status);
        Assert.Equal(204, (await server.Send(HttpMethod.Post, "/api/label-printer/roll", null)).Status);
        Assert.Equal(200, (await Print(Asked(answer, copies: 2))).Status);
        Assert.Equal([2, 499], (await server.Get(Oat)).GetProperty("printed").EnumerateArray().Select(one => one.GetProperty("copies").GetInt32()));
        // Of a pie that nobody has weighed a person says that it is to be printed even so.
        const string Leek = "/api/labels/leek/26-deep";
        var leek = await server.Get(Leek);
        var (refused, why) = await Print(Asked(leek, copies: 1), path: Leek);
        Assert.Equal(400, refused);
        Assert.True(why.GetProperty("errors").TryGetProperty("evenSo", out _));
        Assert.Equal(200, (await Print(Asked(leek, copies: 1, evenSo: true), path: Leek)).Status);
    }

    /// <summary>A printer that does as it is told.</summary>
    private sealed class TestPrinter : ILabelPrinter
    {
        public Func<CancellationToken, Task<string>> Does { get; set; } = _ => Task.FromResult(string.Empty);

        public List<int> Asked { get; } = [];

        public bool IsStandIn => false;

        public int? Left => null;

        public Task<string> PrintAsync(PieLabel label, int copies, CancellationToken cancellation)
        {
            Asked.Add(copies);
            return Does(cancellation);
        }

        public void PutIn()
        {
        }
    }

    [Fact]
    public async Task What_may_be_on_paper_is_on_the_books_and_what_the_printer_refused_is_not()
    {
        var printer = new TestPrinter();
        using var own = new TestServer { Printer = printer };
        var answer = await own.Get(Oat);
        async Task<(int Status, JsonElement Body)> Send(int copies) => await own.Send(HttpMethod.Post, $"{Oat}/printed", Asked(answer, copies: copies), ("Idempotency-Key", $"{copies}"));
        async Task<string> OnTheBooks() => string.Join(", ", (await own.Get(Oat)).GetProperty("printed").EnumerateArray().Select(one => one.GetProperty("copies").GetInt32()));

        printer.Does = _ => Task.FromResult("The printer is open.");
        var (refused, why) = await Send(1);
        Assert.Equal((409, "The printer is open."), (refused, Said(why, "title")));
        Assert.Equal(string.Empty, await OnTheBooks());
        // While it prints they are on the books already: nothing that happens then takes them off.
        printer.Does = async _ =>
        {
            Assert.Equal("2", await OnTheBooks());
            throw new IOException("The cable is out.");
        };
        Assert.Equal(500, (await Send(2)).Status);
        Assert.Equal("2", await OnTheBooks());
        printer.Does = async cancellation =>
        {
            await Task.Delay(Timeout.Infinite, cancellation);
            return string.Empty;
        };
        var (silent, looked) = await Send(3);
        Assert.Equal(409, silent);
        Assert.Contains("look whether it has printed", Said(looked, "title"), StringComparison.Ordinal);
        Assert.Equal("3, 2", await OnTheBooks());
        // What was not answered for, or refused, is sent again under the same key; what was printed is not.
        printer.Does = _ => Task.FromResult(string.Empty);
        foreach (var copies in new[] { 1, 3, 3 }) Assert.Equal(200, (await Send(copies)).Status);
        Assert.Equal("3, 1, 3, 2", await OnTheBooks());
        Assert.Equal([1, 2, 3, 1, 3], printer.Asked);
    }

    [Fact]
    public async Task What_is_stated_is_kept_by_one_of_two_and_refused_by_its_field()
    {
        object Stated(object? grams, object? days = null) => new { netGrams = grams, keepsDays = days ?? 1, isUseBy = true, storage = "Keep cold" };
        var version = (await server.Get("/api/labels/leek/26-deep")).GetProperty("version").GetInt64();
        Task<(int Status, JsonElement Body)> State(object draft, long with) => server.Send(HttpMethod.Put, "/api/labels/leek/26-deep", draft, ("If-Match", $"\"{with}\""));
        Assert.Equal(0, version);
        Assert.Equal(204, (await State(Stated(1980), 0)).Status);
        Assert.Equal(412, (await State(Stated(1990), 0)).Status);
        var (status, said) = await State(Stated(-4, 99), 1);
        Assert.Equal(400, status);
        Assert.Equal(["keepsDays", "netGrams"], said.GetProperty("errors").EnumerateObject().Select(error => error.Name).Order());
        Assert.Contains("1980 g", Lines((await server.Get("/api/labels/leek/26-deep")).GetProperty("label")));
        Assert.Equal(404, (await server.Send(HttpMethod.Put, "/api/labels/leek/99", Stated(5), ("If-Match", "\"0\""))).Status);
        Assert.Equal(428, (await server.Send(HttpMethod.Put, "/api/labels/leek/26-deep", Stated(5))).Status);
    }

    [Fact]
    public async Task Words_of_an_ingredient_stand_on_every_label_that_holds_it_and_are_text_alone()
    {
        Task<(int Status, JsonElement Body)> Say(string words, long version, string id = "butter") => server.Send(HttpMethod.Put, $"/api/ingredients/{id}/label-words", new { words }, ("If-Match", $"\"{version}\""));
        Assert.Equal(204, (await Say("butter {0} <b>'milk'</b>", 0)).Status);
        foreach (var path in new[] { Oat, "/api/labels/pear/23" })
            Assert.Contains("butter {0} <b>'milk'</b>", Lines((await server.Get(path)).GetProperty("label"))[1], StringComparison.Ordinal);
        Assert.Equal(412, (await Say("butter", 0)).Status);
        Assert.Equal(400, (await Say(new string('x', 401), 1)).Status);
        Assert.Equal(404, (await Say("x", 0, "no-such")).Status);
        Assert.Equal(404, (await Say("x", 0, "dough:flaky")).Status);
        Assert.Equal(204, (await Say(" ", 1)).Status);
        Assert.Contains("unsalted butter (milk)", Lines((await server.Get(Oat)).GetProperty("label"))[1], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("?manner=martian", 400, "manner")]
    [InlineData("?made=soon", 400, "made")]
    [InlineData("?made=2027-11-26", 400, "made")]
    [InlineData("?lot=11111111-1111-1111-1111-111111111111", 400, "lot")]
    public async Task What_is_no_manner_no_day_and_no_lot_is_refused(string query, int expected, string field)
    {
        var (status, said) = await server.Send(HttpMethod.Get, Oat + query, null);
        Assert.Equal(expected, status);
        Assert.True(said.GetProperty("errors").TryGetProperty(field, out _));
    }
}
