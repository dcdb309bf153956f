using System.Text;
using System.Text.Json;
using Xunit;

namespace Lumpet.Server.Tests.Prices;

public sealed class PriceListTests : IDisposable
{
    private readonly TestServer server = new();

    public void Dispose() => server.Dispose();

    private Task<(int Status, JsonElement Body)> Send(byte[] file, bool keep = false, string supplier = "Headland Dairy", object? columns = null, string? sign = null, object? articles = null, string? key = null) =>
        server.Send(HttpMethod.Post, "/api/prices/list", new { supplier, file = Convert.ToBase64String(file), columns, decimalSign = sign, validFrom = (string?)null, articles, keep }, key is null ? [] : [("Idempotency-Key", key)]);

    private Task<(int Status, JsonElement Body)> Send(string text, bool keep = false) => Send(Encoding.UTF8.GetBytes(text), keep);

    private async Task<decimal> Butter() => (await server.Get("/api/prices/butter")).GetProperty("steps").EnumerateArray().Last().GetProperty("price").GetProperty("perUnit").GetDecimal();

    private static JsonElement Change(JsonElement read, string ingredient) => read.GetProperty("changes").EnumerateArray().Single(change => change.GetProperty("ingredient").GetString() == ingredient);

    private static string Fault((int Status, JsonElement Body) answer, string field = "file")
    {
        Assert.Equal(400, answer.Status);
        return answer.Body.GetProperty("errors").GetProperty(field)[0].GetString()!;
    }

    [Fact]
    public async Task A_list_is_looked_at_first_says_what_it_does_to_pies_and_is_then_taken_once()
    {
        const string List = "Article,Pack,Price\r\n\"Butter, unsalted\",10 kg,94.00\r\nCaviar,1 kg,900.00\r\n";
        var (status, read) = await Send(List);
        Assert.True(status == 200, read.GetRawText());
        var butter = Change(read, "butter");
        Assert.Equal((20.5m, true, false), (butter.GetProperty("changePercent").GetDecimal(), butter.GetProperty("isInForce").GetBoolean(), butter.GetProperty("isSurprising").GetBoolean()));
        Assert.Equal(["Caviar"], read.GetProperty("unknown").EnumerateArray().Select(one => one.GetString()));
        var effects = read.GetProperty("effects").EnumerateArray().ToArray();
        Assert.True(effects.Length > 3);
        Assert.All(effects, effect => Assert.True(effect.GetProperty("now").GetDecimal() > effect.GetProperty("before").GetDecimal()));
        Assert.Equal(7.80m, await Butter());

        var rows = (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength();
        for (var tap = 0; tap < 3; tap++) Assert.Equal(1, (await Send(Encoding.UTF8.GetBytes(List), keep: true, key: "tap")).Body.GetProperty("taken").GetInt32());
        Assert.Equal((9.40m, rows + 1), (await Butter(), (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength()));
        Assert.Equal("list", (await server.Get("/api/prices/butter")).GetProperty("rows")[0].GetProperty("origin").GetString());
        // The same list again is no news.
        Assert.Equal(0, (await Send(List, keep: true)).Body.GetProperty("taken").GetInt32());
        // What the preview said a pie would cost is what it costs.
        var costs = (await server.Get("/api/costs")).GetProperty("products").EnumerateArray().ToDictionary(row => row.GetProperty("id").GetString()!, row => row.GetProperty("cost").GetDecimal());
        Assert.All(effects, effect => Assert.Equal(effect.GetProperty("now").GetDecimal(), costs[effect.GetProperty("product").GetString()!]));
    }

    [Fact]
    public async Task All_of_a_list_is_taken_or_nothing()
    {
        var answer = await Send("Article;Pack;Price\nButter, unsalted;10 kg;94.00\nMilk, whole;10 l;on request\n", keep: true);
        Assert.Contains("no price", Fault(answer, "rows[3].paid"), StringComparison.Ordinal);
        Assert.Equal(7.80m, await Butter());
    }

    [Fact]
    public async Task Columns_and_names_are_said_once_and_remembered()
    {
        const string List = "Was;Wieviel;Wofür\nGoldblock;10 kg;94,00\nKaviar;1 kg;900,00\n";
        var columns = new { article = "Was", pack = "Wieviel", unit = (string?)null, paid = "Wofür", currency = (string?)null, validFrom = (string?)null };
        var first = (await Send(List)).Body;
        Assert.Equal(["columns.article", "columns.pack", "columns.paid"], first.GetProperty("faults").EnumerateArray().Select(fault => fault.GetProperty("field").GetString()));
        Assert.StartsWith("No article of the list", Fault(await Send("Article,Pack,Price\nCaviar,1 kg,9.00\n", keep: true)), StringComparison.Ordinal);
        object[] articles = [new { article = "Goldblock", ingredient = "butter" }, new { article = "Kaviar", ingredient = (string?)null }];
        Assert.Equal(1, (await Send(Encoding.UTF8.GetBytes(List), keep: true, columns: columns, articles: articles)).Body.GetProperty("taken").GetInt32());

        var next = (await Send(List.Replace("94,00", "95,00", StringComparison.Ordinal))).Body;
        Assert.Equal("butter", Change(next, "butter").GetProperty("ingredient").GetString());
        Assert.Empty(next.GetProperty("unknown").EnumerateArray());
        Assert.Equal("Was", next.GetProperty("columns").GetProperty("article").GetString());
        // Another supplier's list is read by its own headings.
        Assert.Equal(3, (await Send(Encoding.UTF8.GetBytes(List), supplier: "Gannet Farm")).Body.GetProperty("faults").GetArrayLength());
    }

    [Fact]
    public async Task Separators_marks_and_character_sets_are_found_out()
    {
        // RFC 4180 with commas; semicolons and decimal commas as in much of Europe; tabs; bars; lines above the heading.
        foreach (var text in new[]
        {
            "Article,Pack,Price\n\"Butter, unsalted\",10 kg,94.00\n", "Article;Pack;Price\nButter, unsalted;10 kg;94,00\n", "Article\tPack\tPrice\nButter, unsalted\t10 kg\t94.00\n",
            "Article|Pack|Price\nButter, unsalted|10 kg|94.00\n", "Autumn list;;\n;;\nArticle;Pack;Price\nButter, unsalted;10 kg;€ 94,00\n",
        })
            foreach (var (bytes, name) in new (byte[], string)[]
            {
                (Encoding.UTF8.GetBytes(text), "UTF-8"), ([.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(text)], "UTF-8"),
                ([.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes(text)], "UTF-16"), ([.. Encoding.BigEndianUnicode.Preamble, .. Encoding.BigEndianUnicode.GetBytes(text)], "UTF-16"),
            })
            {
                var (status, read) = await Send(bytes);
                Assert.True(status == 200, $"{name} {text}: {read.GetRawText()}");
                Assert.Equal(name, read.GetProperty("characterSet").GetString());
                Assert.Equal(94m, Change(read, "butter").GetProperty("now").GetProperty("paid").GetDecimal());
            }
    }

    [Fact]
    public async Task Windows_1252_is_read_and_what_is_none_of_these_is_refused_with_its_place()
    {
        // 0xE8 is è, 0x80 is the euro sign (Windows-1252).
        byte[] file = [.. Encoding.Latin1.GetBytes("Article;Pack;Price\nCr\u00E8me br\u00FBl\u00E9e;5 kg;3,00\nButter, unsalted;10 kg;94,00 "), 0x80, (byte)'\n'];
        var (status, read) = await Send(file);
        Assert.True(status == 200, read.GetRawText());
        Assert.Equal("Windows-1252", read.GetProperty("characterSet").GetString());
        Assert.Equal(["Cr\u00E8me br\u00FBl\u00E9e"], read.GetProperty("unknown").EnumerateArray().Select(one => one.GetString()));
        Assert.Equal(94m, Change(read, "butter").GetProperty("now").GetProperty("paid").GetDecimal());

        Assert.StartsWith("Row 2, column 3:", Fault(await Send([.. Encoding.UTF8.GetBytes("Article;Pack;Price\nBu"), 0x81, .. Encoding.UTF8.GetBytes("ter;1 kg;3\n")])), StringComparison.Ordinal);
        Assert.StartsWith("Row 1, column 3:", Fault(await Send([.. Encoding.UTF8.GetBytes("PK"), 0, 4])), StringComparison.Ordinal);
        Assert.StartsWith("Row 2, column 4:", Fault(await Send([.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes("Article;Pack;Price\nBut\0er;1 kg;3\n")])), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("Article;Pack;Price\nBut\"ter;10 kg;94\n", "Row 2, column 1: a quotation mark")]
    [InlineData("Article;Pack;Price\nButter;10 kg;94\nMilk;\"10\" l;9\n", "Row 3, column 2: a quotation mark")]
    [InlineData("Article;Pack;Price\nButter;10 kg;\"94\nMilk;10 l;9\nEgg;30;6\n", "Row 2, column 3: a quotation mark")]
    public async Task A_quotation_mark_that_is_out_of_place_is_refused_with_its_cell(string text, string says)
    {
        Assert.StartsWith(says, Fault(await Send(text)), StringComparison.Ordinal);
        Assert.StartsWith("Row 1, column 61: at most 60 columns", Fault(await Send(string.Join(';', Enumerable.Range(0, 80)) + "\n")), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Files_that_are_no_list_are_refused_in_words_and_never_as_a_fault_of_the_server()
    {
        foreach (var text in new[] { "", "\n\n", "one column\nonly\n", "Article,Pack,Price\n", "Article,Article,Price\nButter,1 kg,2\n", "Article,Pack,Price\n\"Butter,10 kg,94.00\n" + new string('x', 5000), new string(',', 500) + "\n" })
        {
            var (status, body) = await Send(text);
            Assert.True(status == 400 || (status == 200 && body.GetProperty("faults").GetArrayLength() > 0), $"{status} {text[..Math.Min(40, text.Length)]}");
        }

        Assert.Equal(413, (await Send(new byte[70_000_000])).Status);
        Assert.Contains("64 MB", Fault(await Send(Enumerable.Repeat((byte)'a', 65_000_000).ToArray())), StringComparison.Ordinal);
        Assert.Contains("base 64", Fault(await server.Send(HttpMethod.Post, "/api/prices/list", new { supplier = "A", file = "&&&", keep = false })), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_list_of_fifty_megabytes_is_read_or_refused_with_its_row()
    {
        byte[] File(int rows, int words) => Encoding.UTF8.GetBytes(
            "Article;Pack;Price;Words\nButter, unsalted;10 kg;94,00;none\n" + string.Concat(Enumerable.Range(1, rows).Select(row => $"Candle {row};1 kg;2,50;{new string('w', words)}\n")));

        var wordy = File(19_999, 1998);
        Assert.InRange(wordy.Length, 40_000_000, 64_000_000);
        var (status, read) = await Send(wordy);
        Assert.True(status == 200, read.ToString());
        Assert.Equal((94.00m, 19_999), (Change(read, "butter").GetProperty("now").GetProperty("paid").GetDecimal(), read.GetProperty("passedOver").GetInt32()));

        var longer = File(1_500_000, 5);
        Assert.InRange(longer.Length, 45_000_000, 64_000_000);
        Assert.StartsWith("Row 20002: at most 20000 rows", Fault(await Send(longer)), StringComparison.Ordinal);
        Assert.StartsWith("Row 3, column 4: at most 2000 characters", Fault(await Send(File(1, 50_000_000))), StringComparison.Ordinal);
        Assert.StartsWith("Row 1, column 50000001:", Fault(await Send([.. Enumerable.Repeat((byte)'a', 50_000_000), 0])), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_formula_is_text_on_its_way_in_and_on_its_way_out()
    {
        const string Name = "=HYPERLINK(\"x\")";
        var (status, read) = await Send(Encoding.UTF8.GetBytes("Article;Pack;Price\n=1+2;1 kg;3.00\n@butter;=2*5 kg;=94\n"));
        Assert.True(status == 200, read.GetRawText());
        Assert.Empty(read.GetProperty("changes").EnumerateArray());
        await server.Send(HttpMethod.Post, "/api/prices", new { ingredient = "butter", supplier = Name, pack = "10 kg", paid = 80m, validFrom = (string?)null, isUsual = true });
        using var client = server.CreateClient();
        var text = await client.GetStringAsync(new Uri("/api/prices/prices.csv", UriKind.Relative));
        Assert.Contains("'=HYPERLINK", text, StringComparison.Ordinal);
        Assert.DoesNotContain(text.Split('\n'), line => line.Split(',').Any(cell => cell.Trim('"').StartsWith('=')));
    }

    [Fact]
    public async Task Two_people_who_take_a_list_and_add_a_price_at_once_lose_nothing()
    {
        var rows = (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength();
        var list = Enumerable.Range(0, 6).Select(at => Send(Encoding.UTF8.GetBytes($"Article;Pack;Price\nButter, unsalted;10 kg;{90 + at},00\n"), keep: true));
        var typed = Enumerable.Range(0, 6).Select(at => server.Send(HttpMethod.Post, "/api/prices", new { ingredient = "butter", supplier = $"Supplier {at}", pack = "1 kg", paid = 8m, validFrom = (string?)null, isUsual = false }));
        var answers = await Task.WhenAll(list.Concat(typed));
        Assert.All(answers, answer => Assert.InRange(answer.Status, 200, 204));
        Assert.Equal(rows + 12, (await server.Get("/api/prices/butter")).GetProperty("rows").GetArrayLength());
    }
}
