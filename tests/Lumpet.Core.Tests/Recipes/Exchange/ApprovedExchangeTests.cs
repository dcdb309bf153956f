using System.Text.Json.Nodes;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes.Exchange;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Exchange;

public sealed class ApprovedExchangeTests
{
    private static readonly LibraryState Here = new(
        "EUR",
        CupCustom.UnitedStates,
        IngredientLibrary.All.ToDictionary(one => one.Id, one => one with { Facts = IngredientFacts.None }),
        IngredientLibrary.All,
        Demonstration.Pans,
        Demonstration.Doughs,
        [Demonstration.Products[0], Demonstration.Products[3]],
        new LocalDate(2026, 5, 1))
    {
        RemovedDoughs = new Dictionary<string, int> { ["old-dough"] = 4 },
        RemovedProducts = new Dictionary<string, int> { ["custard"] = 6 },
        Ordered = new Dictionary<string, IReadOnlyList<string>> { ["fruit-lid"] = ["23", "10"] },
    };

    private static readonly LibraryState Empty = Here with { Pans = [], Doughs = [], Products = [] };

    private static string Library(Action<JsonObject> change)
    {
        var library = JsonNode.Parse(LibraryFile.Of([], Demonstration.Pans[..1], [Demonstration.Doughs[0] with { Id = "old-dough", Name = "Old dough" }], [Demonstration.Products[0], Demonstration.Products[7]]).Write())!.AsObject();
        change(library);
        return library.ToJsonString();
    }

    private static readonly string Many = string.Join(',', Enumerable.Repeat("\"10 g sugar\"", 61));

    private static readonly string[] Foreign =
    [
        "{\"@type\":\"Recipe\",\"name\":\"Quay tart\",\"recipeYield\":4,\"recipeIngredient\":[\"300 g plums, pitted\",\"2 eggs\",\"1 cup flour\",\"1 heaped tbsp sugar\",\"a few leaves\",\"30 g mystery\"],\"recipeInstructions\":\"Bake &amp; cool.\"}",
        "{\"@type\":\"Recipe\",\"name\":\"Fruit only\",\"ingredients\":[\"300 g plums\",7,\"  \"],\"recipeInstructions\":[\"One.\",{\"text\":\"Two.\"},{\"itemListElement\":[{\"text\":\"Three.\"},\"Four.\",{}]},7]}",
        "[{\"@type\":\"Recipe\",\"name\":\"A\",\"recipeIngredient\":[\"1 g sugar\"]},{\"@type\":[\"Thing\",\"Recipe\"],\"name\":\"A\",\"recipeIngredient\":[\"1 g sugar\"]}]",
        "{\"@graph\":[{\"@type\":\"Recipe\",\"name\":\"" + new string('n', 80) + "\",\"recipeIngredient\":[\"1 g sugar\"]},{\"@type\":\"Recipe\",\"name\":\"" + new string('n', 81) + "\",\"recipeIngredient\":[\"1 g sugar\"]}]}",
        "{\"@type\":\"Recipe\",\"name\":\"Sixty\",\"recipeIngredient\":[" + Many[..^13] + "]}",
        "{\"@type\":\"Recipe\",\"name\":\"Sixty-one\",\"recipeIngredient\":[" + Many + "]}",
        "{\"@type\":\"Recipe\",\"name\":\"Steps\",\"recipeYield\":[\"" + new string('y', 200) + "\"],\"recipeIngredient\":[\"1 g sugar\",\"" + new string('l', 400) + "\"],\"recipeInstructions\":[" + string.Join(',', Enumerable.Range(1, 14).Select(at => $"\"Step {at}.\"")) + "]}",
        "{\"@type\":\"Recipe\",\"name\":\"Long\",\"recipeIngredient\":[\"1 g sugar " + new string('l', 1300) + "\"],\"recipeInstructions\":\"" + new string('i', 1300) + "\"}",
        "{\"@type\":\"Recipe\",\"name\":\"None\"}", "{\"@type\":\"Recipe\",\"name\":\"\"}", "{\"@type\":\"Recipe\"}", "{\"@type\":7}", "[]", "7", "\"\\ud800\"",
    ];

    [Fact]
    public void Recipes_from_elsewhere_are_taken_as_approved() => Approved.Matches("Exchange/foreign", Foreign.SelectMany(text => (string[])
    [
        $"== {(text.Length > 200 ? text[..200] : text)}",
        Told.Of(LibraryReader.Read(text, Here)),
        .. LibraryReader.Read(text, Here).Products.SelectMany(product => new[] { Told.Of(product), Told.Of(product.MainFilling) }),
        Told.Of(LibraryReader.Read(text, Empty).Faults),
    ]));

    [Fact]
    public void Libraries_are_taken_as_approved() => Approved.Matches("Exchange/libraries", new (string What, Action<JsonObject> Change)[]
    {
        ("as it is", _ => { }),
        ("twice the same dough", library => library["doughs"]!.AsArray().Add(library["doughs"]![0]!.DeepClone())),
        ("twice the same product", library => library["products"]!.AsArray().Add(library["products"]![0]!.DeepClone())),
        ("a size less", library => library["products"]![0]!["written"]!["sizes"]!.AsArray().RemoveAt(3)),
        ("a dough of a name that is there", library => library["doughs"]![0]!["written"]!["name"] = "FOLDED"),
        ("a product of a name that is there", library => library["products"]![1]!["written"]!["name"] = "any Lattice"),
        ("an id of 60 letters", library => library["products"]![1]!["id"] = new string('a', 60)),
        ("an id of 61 letters", library => library["products"]![1]!["id"] = new string('a', 61)),
        ("an id with a capital", library => library["products"]![1]!["id"] = "Quay"),
        ("an id with a digit and a hyphen", library => library["products"]![1]!["id"] = "quay-2"),
        ("no id", library => library["products"]![1]!["id"] = null),
        ("no writing", library => library["products"]![1]!["written"] = null),
        ("a pan more", library => library["pans"]!.AsArray().Add(JsonNode.Parse("{\"id\":\"19\",\"name\":\"19 cm\",\"topCm\":19,\"bottomCm\":16,\"depthCm\":3,\"rimCm\":1,\"perTray\":6,\"boughtAs\":\"hat\"}"))),
        ("sixty pans more", library => library["pans"] = new JsonArray([.. Enumerable.Range(0, 60).Select(at => JsonNode.Parse($"{{\"id\":\"p{at}\",\"name\":\"P{at}\",\"topCm\":19,\"bottomCm\":16,\"depthCm\":3,\"rimCm\":1,\"perTray\":6}}"))])),
        ("fifty-four pans more", library => library["pans"] = new JsonArray([.. Enumerable.Range(0, 54).Select(at => JsonNode.Parse($"{{\"id\":\"p{at}\",\"name\":\"P{at}\",\"topCm\":19,\"bottomCm\":16,\"depthCm\":3,\"rimCm\":1,\"perTray\":6}}"))])),
        ("an ingredient of a name that is there", library => library["ingredients"] = JsonNode.Parse("[{\"id\":\"quay-sugar\",\"stated\":{\"name\":\"sugar, white\"}}]")),
        ("an ingredient restated", library => library["ingredients"] = JsonNode.Parse("[{\"id\":\"sugar\",\"stated\":{\"name\":\"Sugar, white\",\"gramsPerMl\":0.9}},{\"id\":\"sugar\",\"stated\":{\"name\":\"Sugar, white\"}}]")),
        ("a product that is there, spoiled", library => library["products"]![0]!["written"]!["thicknessMm"] = 99),
        ("many faults", library => library["products"] = new JsonArray([.. Enumerable.Range(0, 60).Select(at => JsonNode.Parse($"{{\"id\":\"p{at}\"}}"))])),
        ("a number for a list", library => library["products"] = 7),
    }.SelectMany(one =>
    {
        var change = LibraryReader.Read(Library(one.Change), Here);
        return (string[])[$"== {one.What}", Told.Of(change), .. Told.Each(change.Products.Select(product => (product.Id, product.Version))), .. Told.Each(change.Doughs.Select(dough => (dough.Id, dough.Version)))];
    }));
}
