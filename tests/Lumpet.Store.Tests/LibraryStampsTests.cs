using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Store.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;
using Xunit;

namespace Lumpet.Store.Tests;

/// <summary>What follows from a recipe is current until that recipe changes, or what it is made of; and no other change makes it old.</summary>
public sealed class LibraryStampsTests : IDisposable
{
    private static readonly Instant At = Instant.FromUnixTimeSeconds(0);

    private readonly TemporaryDatabase temporary = TemporaryDatabase.WithDemo();

    public void Dispose() => temporary.Dispose();

    private T Read<T>(Func<SqliteConnection, T> read)
    {
        using var connection = temporary.Database.Open();
        return read(connection);
    }

    private Product Product(string id) => Read(connection => RecipeStore.Find(connection, id)!);

    private IReadOnlyList<Product> Products => Read(RecipeStore.Products);

    private string Of(string product) => Read(connection => string.Join(' ', LibraryStamps.Of(connection, [RecipeStore.Find(connection, product)!], [])));

    private void Write(Action<Transaction> change) => temporary.Database.Write(transaction =>
    {
        change(transaction);
        return true;
    });

    private static string[] Bought(Product product) => [.. product.Parts.SelectMany(part => part.Lines).Select(line => line.Ingredient).Where(one => one.Formula is null).Select(one => one.Id).Distinct()];

    private static void Save(Transaction transaction, string ingredient, Func<Ingredient, Ingredient> change, Price? price = null) =>
        Assert.Equal(ChangeOutcome.Done, IngredientWriter.Change(transaction, change(IngredientStore.Own(transaction.Connection)[ingredient]), price, IngredientStore.Versions(transaction.Connection)[ingredient]));

    private static Ingredient Renamed(Ingredient one) => one with { Name = one.Name + " of ours" };

    [Fact]
    public void What_any_product_takes_makes_it_old_and_nothing_else_does()
    {
        Product[] products = [.. Products.Take(5)];
        var taken = products.ToDictionary(product => product.Id, product => product.Parts.SelectMany(part => part.Lines).Select(line => line.Ingredient).Concat(product.AllPackaging)
            .SelectMany(one => one.Formula is { } formula ? formula.Everything.Select(inner => inner.Id).Append(one.Id) : [one.Id]).ToHashSet());
        var seen = (Old: 0, Current: 0);
        foreach (var ingredient in Read(IngredientStore.Own).Where(one => one.Value.Formula is null && taken.Values.Any(ids => ids.Contains(one.Key))).Select(one => one.Key).Append("quinces"))
        {
            if (ingredient == "quinces") Write(transaction => IngredientWriter.Add(transaction, IngredientStore.Own(transaction.Connection)["sugar"] with { Id = "quinces", Name = "Quinces, ours" }, null));
            var before = products.ToDictionary(product => product.Id, product => Of(product.Id));
            Write(transaction => Save(transaction, ingredient, Renamed));
            foreach (var id in taken.Keys)
            {
                var isTaken = taken[id].Contains(ingredient);
                Assert.True(isTaken == (before[id] != Of(id)), $"{ingredient} in {id}");
                seen = isTaken ? (seen.Old + 1, seen.Current) : (seen.Old, seen.Current + 1);
            }
        }

        Assert.True(seen.Old > products.Length && seen.Current > products.Length, $"{seen}");
    }

    [Fact]
    public void A_price_makes_nothing_old()
    {
        var before = Of("pear");
        foreach (var ingredient in Bought(Product("pear")))
            Write(transaction => Save(transaction, ingredient, one => one, new Price(ingredient, "Quay store", 1000, PackUnit.Gram, new Money(9, "EUR"), new LocalDate(2026, 11, 25))));
        Assert.Equal(before, Of("pear"));
        // With something else that is stated anew it does.
        Write(transaction => Save(transaction, Bought(Product("pear"))[0], Renamed, new Price(Bought(Product("pear"))[0], "Quay store", 1000, PackUnit.Gram, new Money(9, "EUR"), new LocalDate(2026, 11, 25))));
        Assert.NotEqual(before, Of("pear"));
    }

    [Fact]
    public void Another_recipe_makes_nothing_old_and_its_own_does()
    {
        var before = Of("pear");
        var other = Products.First(product => product.Id != "pear");
        Write(transaction => RecipeWriter.Save(transaction, other with { Version = other.Version + 1 }, [], At));
        Assert.Equal(before, Of("pear"));
        Write(transaction => RecipeWriter.Save(transaction, Product("pear") with { Version = Product("pear").Version + 1 }, [], At));
        Assert.NotEqual(before, Of("pear"));
    }

    [Fact]
    public void Its_dough_makes_it_old_and_no_other_dough_does()
    {
        var dough = Product("pear").Dough;
        var other = Read(RecipeStore.Doughs).First(one => Product("pear").Doughs.All(own => own.Id != one.Id));
        var before = Of("pear");
        Write(transaction => RecipeWriter.Save(transaction, other with { Version = other.Version + 1 }, [], At));
        Assert.Equal(before, Of("pear"));
        Write(transaction => RecipeWriter.Save(transaction, dough with { Version = dough.Version + 1 }, [], At));
        Assert.NotEqual(before, Of("pear"));
    }

    [Fact]
    public void The_bakery_and_its_pans_make_it_old()
    {
        var (bakery, pans) = (Read(BakeryStore.Find)!, Read(RecipeStore.Pans));
        var before = Of("pear");
        Write(transaction => BakeryWriter.Save(transaction, bakery with { SpareMin = bakery.SpareMin + 1 }, pans, BakeryWriter.Version(transaction.Connection)));
        Assert.NotEqual(before, Of("pear"));
    }

    [Fact]
    public void What_is_removed_and_comes_back_is_not_what_it_was()
    {
        long? Number() => Read(connection => connection.QuerySingleOrDefault<long?>("SELECT number FROM item_stamp WHERE kind = 'ingredient' AND id = 'quinces'"));
        var quinces = Read(IngredientStore.Own)["sugar"] with { Id = "quinces", Name = "Quinces, ours" };
        Write(transaction => IngredientWriter.Add(transaction, quinces, null));
        var first = Number();
        Write(transaction => Shelving.Remove(transaction, Shelved.Ingredient, "quinces"));
        Assert.Null(Number());
        Write(transaction => IngredientWriter.Add(transaction, quinces, null));
        Assert.True(Number() > first);
    }

    [Fact]
    public void Everything_of_the_library_has_its_stamp()
    {
        using var connection = temporary.Database.Open();
        foreach (var kind in new[] { "product", "dough", "ingredient", "pan" })
            Assert.Equal(connection.Query<string>($"SELECT id FROM {kind} ORDER BY id"), connection.Query<string>("SELECT id FROM item_stamp WHERE kind = @kind ORDER BY id", new { kind }));
    }
}
