using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes.Writing;

namespace Lumpet.Core.Recipes.Exchange;

/// <summary>A whole library as a file, format "lumpet.recipe-library/2": everything as a person would write it.</summary>
/// <param name="Format">The name of the format.</param>
/// <param name="Ingredients">What the bakery itself states of its ingredients, by id.</param>
/// <param name="Pans">Its pans.</param>
/// <param name="Doughs">Its doughs.</param>
/// <param name="Products">Its products.</param>
public sealed record LibraryFile(
    string? Format,
    IReadOnlyList<NamedIngredient?>? Ingredients,
    IReadOnlyList<PanDraft?>? Pans,
    IReadOnlyList<NamedDough?>? Doughs,
    IReadOnlyList<NamedProduct?>? Products)
{
    /// <summary>The name of the format.</summary>
    public const string FormatName = "lumpet.recipe-library/2";

    /// <summary>The name of the format before products had layers; it is read still.</summary>
    public const string EarlierFormatName = "lumpet.recipe-library/1";

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        NumberHandling = JsonNumberHandling.Strict,
        // Readable in any editor; the file is never put into a page.
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        MaxDepth = 24,
    };

    /// <summary>The file as text.</summary>
    public string Write() => JsonSerializer.Serialize(this, Options);

    /// <summary>Reads the text of a file, of this format or the one before.</summary>
    /// <exception cref="JsonException">It is no such file.</exception>
    public static LibraryFile Read(JsonElement text)
    {
        var file = text.Deserialize<LibraryFile>(Options)!;
        if (file.Format == FormatName || file.Products is not { } products) return file;
        var earlier = text.Deserialize<EarlierFile>(Options)!.Products!;
        return file with { Products = [.. products.Zip(earlier, (product, before) => product is null ? null : product with { Written = EarlierProduct.Upgraded(product.Written, before?.Written) })] };
    }

    /// <summary>A library of what a bakery has.</summary>
    /// <param name="ingredients">With the facts that the bakery itself has set.</param>
    /// <param name="pans">Its pans.</param>
    /// <param name="doughs">Its doughs.</param>
    /// <param name="products">Its products.</param>
    public static LibraryFile Of(IEnumerable<Ingredient> ingredients, IEnumerable<Pan> pans, IEnumerable<DoughFormula> doughs, IEnumerable<Product> products) => new(
        FormatName,
        [.. ingredients.OrderBy(one => one.Id, StringComparer.Ordinal).Select(one => new NamedIngredient(one.Id, IngredientReader.Write(one)))],
        // How many there are is of one bakery, and no part of its recipes.
        [.. pans.Select(pan => PanReader.Write(pan with { Owned = null }))],
        [.. doughs.Select(dough => new NamedDough(dough.Id, DoughReader.Write(dough)))],
        [.. products.Select(product => new NamedProduct(product.Id, ProductReader.Write(product)))]);

    private sealed record EarlierFile(IReadOnlyList<EarlierNamed?>? Products);

    private sealed record EarlierNamed(EarlierProduct? Written);
}

/// <summary>An ingredient in a library.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Stated">What is stated of it.</param>
public sealed record NamedIngredient(string? Id, IngredientDraft? Stated);

/// <summary>A dough in a library.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Written">As written.</param>
public sealed record NamedDough(string? Id, DoughDraft? Written);

/// <summary>A product in a library.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Written">As written.</param>
public sealed record NamedProduct(string? Id, ProductDraft? Written);
