using Dapper;
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

    // Every allergen of an ingredient, its dough's included; what nobody has stated cannot be promised to be without.
    private const string Lines =
        """
        SELECT l.ingredient_id FROM product_line l WHERE l.product_id = p.id
        UNION ALL SELECT l.ingredient_id FROM dough_line l WHERE l.dough_id IN (p.dough_id, p.top_dough_id)
        """;

    /// <summary>Ids of the products that match, in the order in which the bakery lists them.</summary>
    public static IReadOnlyList<string> Find(SqliteConnection connection, RecipeQuestion question)
    {
        var (where, with) = (new List<string> { "1 = 1" }, new DynamicParameters());
        foreach (var (word, at) in question.Text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(MostWords).Select((word, at) => (word, at)))
        {
            with.Add($"word{at}", $"%{Escaped(word)}%");
            where.Add(
                $"""
                (p.name LIKE @word{at} ESCAPE '\' OR d.name LIKE @word{at} ESCAPE '\' OR t.name LIKE @word{at} ESCAPE '\'
                 OR EXISTS (SELECT 1 FROM product_alias a WHERE a.product_id = p.id AND a.alias LIKE @word{at} ESCAPE '\')
                 OR EXISTS (SELECT 1 FROM product_line l JOIN ingredient i ON i.id = l.ingredient_id WHERE l.product_id = p.id AND i.name LIKE @word{at} ESCAPE '\'))
                """);
        }

        if (question.Kind.Length > 0)
        {
            with.Add("kind", question.Kind);
            where.Add("EXISTS (SELECT 1 FROM product_layer y WHERE y.product_id = p.id AND y.part = 'filling' AND y.filling_kind = @kind COLLATE NOCASE)");
        }

        if (question.Without.Length > 0)
        {
            // By what each carries in the end: what is made here carries what it is made of.
            with.Add("carrying", IngredientStore.All(connection).Values.Where(one => !one.AllergensStated || one.Allergens.Contains(question.Without)).Select(one => one.Id).ToArray());
            where.Add($"NOT EXISTS (SELECT 1 FROM ({Lines}) used WHERE used.ingredient_id IN @carrying)");
        }

        return [.. connection.Query<string>($"SELECT p.id FROM product p JOIN dough d ON d.id = p.dough_id LEFT JOIN dough t ON t.id = p.top_dough_id WHERE {string.Join(" AND ", where)} ORDER BY p.position", with)];
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
