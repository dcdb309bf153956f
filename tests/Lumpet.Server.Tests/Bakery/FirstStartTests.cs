using Xunit;

namespace Lumpet.Server.Tests.Bakery;

public sealed class FirstStartTests
{
    [Fact]
    public async Task A_demo_is_put_into_an_empty_database_once_and_never_over_a_bakery()
    {
        using var server = new TestServer { Demo = false };
        Assert.False((await server.Get("/api/bakery")).GetProperty("isSetUp").GetBoolean());
        Assert.Equal(204, (await server.Send(HttpMethod.Post, "/api/demo", null)).Status);
        Assert.Equal("Tern Quay Bakehouse", (await server.Get("/api/bakery")).GetProperty("name").GetString());
        Assert.Equal(0, (await server.Get($"/api/plan/{TestServer.Fair}")).GetProperty("troubles").GetArrayLength());
        Assert.Equal(409, (await server.Send(HttpMethod.Post, "/api/demo", null)).Status);
    }

    [Fact]
    public async Task Every_kind_that_can_be_chosen_is_served_with_words_of_its_own()
    {
        using var server = new TestServer { Demo = false };
        var words = await server.Get("/api/words");
        foreach (var list in words.EnumerateObject().Where(list => list.Name != "allergens"))
        {
            var said = list.Value.EnumerateArray().Select(choice => choice.GetProperty("words").GetString()).ToArray();
            Assert.True(said.Length > 1, list.Name);
            Assert.Equal(said.Length, said.Distinct().Count());
            Assert.DoesNotContain(said, string.IsNullOrWhiteSpace);
        }

        // FDA's nine (21 USC 321(qq)) and the EU's fourteen (Regulation 1169/2011, annex II) share one list; gluten is told apart by its cereal.
        string[] major = ["wheat", "egg", "milk", "nuts", "peanut", "soy", "fish", "crustaceans", "sesame", "celery", "mustard", "sulphites", "lupin", "molluscs"];
        Assert.Empty(major.Except(words.GetProperty("allergens").EnumerateArray().Select(one => one.GetString()!)));
    }
}
