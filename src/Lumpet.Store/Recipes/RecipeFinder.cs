using System.Text.Json;
using Dapper;
using Lumpet.Core.Ingredients;
using Lumpet.Store.Ingredients;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.Recipes;

/// <summary>What is looked for among the products; what is null or empty does not narrow.</summary>
/// <param name="Text">Words that name, alias, dough or an ingredient must hold, each of them.</param>
/// <param name="Kind">Kind of filling, of any of its fillings.</param>
/// <param name="Without">An allergen that no line carries, as far as it is stated.</param>
public sealed record RecipeQuestion(string Text, string Kind, string Without);

/// <summary>Finds products without reading them all.</summary>
public static class RecipeFinder
{
    private const int MostWords = 6;

    /// <summary>Ids of the products that match, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<string> Find(SqliteConnection connection, RecipeQuestion question)
    {
        var (where, with) = (new List<string> { "1 = 1" }, new DynamicParameters());
        foreach (var (word, at) in question.Text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(MostWords).Select((word, at) => (word, at)))
        {
            with.Add($"word{at}", $"%{Escaped(word)}%");
            // What bears the word is found first, and then who has it: names are few, lines are many.
            where.Add(
                $"""
                (p.name LIKE @word{at} ESCAPE '\'
                 OR p.dough_id IN (SELECT id FROM dough WHERE name LIKE @word{at} ESCAPE '\')
                 OR p.top_dough_id IN (SELECT id FROM dough WHERE name LIKE @word{at} ESCAPE '\')
                 OR p.id IN (SELECT product_id FROM product_alias WHERE alias LIKE @word{at} ESCAPE '\')
                 OR p.id IN (SELECT product_id FROM product_line WHERE ingredient_id IN (
                      SELECT i.id FROM ingredient i LEFT JOIN dough d ON d.id = i.dough_id WHERE coalesce(d.name, i.name) LIKE @word{at} ESCAPE '\')))
                """);
        }

        if (question.Kind.Length > 0)
        {
            with.Add("kind", question.Kind);
            where.Add("p.id IN (SELECT product_id FROM product_layer WHERE part = 'filling' AND filling_kind = @kind COLLATE NOCASE)");
        }

        if (question.Without.Length > 0)
        {
            // By what each carries in the end: what is made here carries what it is made of, a dough too. What nobody has stated
            // cannot be promised to be without.
            with.Add("carrying", JsonSerializer.Serialize(IngredientStore.All(connection).Values.Where(one => !one.AllergensStated || one.Allergens.Contains(question.Without)).Select(one => one.Id)));
            where.Add(
                $"""
                p.id NOT IN (SELECT product_id FROM product_line WHERE ingredient_id IN (SELECT value FROM json_each(@carrying)))
                AND '{Ingredient.DoughPrefix}' || p.dough_id NOT IN (SELECT value FROM json_each(@carrying))
                AND coalesce('{Ingredient.DoughPrefix}' || p.top_dough_id, '') NOT IN (SELECT value FROM json_each(@carrying))
                """);
        }

        return [.. connection.Query<string>($"SELECT p.id FROM product p WHERE {string.Join(" AND ", where)} ORDER BY p.position", with)];
    }

    /// <summary>Products there are.</summary>
    public static int Count(SqliteConnection connection) => (int)connection.QuerySingle<long>("SELECT count(*) FROM product");

    /// <summary>Kinds of filling that occur.</summary>
    public static IReadOnlyList<string> Kinds(SqliteConnection connection) => [.. connection.Query<string>("SELECT DISTINCT filling_kind FROM product_layer WHERE part = 'filling' ORDER BY filling_kind")];

    /// <summary>Names of every product, by id.</summary>
    public static IReadOnlyDictionary<string, string> Names(SqliteConnection connection) =>
        connection.Query<NameRow>("SELECT id, name FROM product").ToDictionary(row => row.Id, row => row.Name);

    private static string Escaped(string word) =>
        word.Replace(@"\", @"\\", StringComparison.Ordinal).Replace("%", @"\%", StringComparison.Ordinal).Replace("_", @"\_", StringComparison.Ordinal);

    private sealed record NameRow(string Id, string Name);
}
