namespace Lumpet.Core.Ingredients;

/// <summary>
/// What the name of an ingredient tells that nothing is known of yet: "Spelt flour" is a flour. A guess is there so that
/// ratios and cautions do not leave it out; the bakery's own statement always wins.
/// </summary>
public static class IngredientGuess
{
    private static readonly (IngredientRole Role, string[] Words)[] Roles =
    [
        // The last word decides: "butter beans" are none of fat, "corn flour" is one of flour.
        (IngredientRole.Flour, ["flour", "semolina", "polenta", "cornmeal"]),
        (IngredientRole.Starch, ["starch"]),
        (IngredientRole.Fat, ["butter", "lard", "oil", "shortening", "suet", "dripping", "margarine", "ghee"]),
        (IngredientRole.Sugar, ["sugar", "syrup", "honey"]),
        (IngredientRole.Egg, ["egg", "eggs", "yolk", "yolks"]),
        (IngredientRole.Liquid, ["milk", "cream", "water", "juice", "buttermilk", "stock", "cider", "tea"]),
        (IngredientRole.Acid, ["vinegar", "verjuice"]),
        (IngredientRole.Raising, ["baking powder"]),
    ];

    private static readonly string[] Controlled =
        ["milk", "cream", "buttermilk", "yoghurt", "yogurt", "ricotta", "chicken", "beef", "lamb", "pork", "ham", "bacon", "sausage", "mince", "fish", "salmon", "prawns", "stock", "mushroom", "mushrooms", "spinach", "squash"];

    /// <summary>The facts that a name tells; none where it tells nothing.</summary>
    public static IngredientFacts From(string name)
    {
        var words = name.ToLowerInvariant().Split([' ', ',', '-'], StringSplitOptions.RemoveEmptyEntries);
        var role = Roles.Where(one => one.Words.Contains(words.LastOrDefault()) || one.Words.Contains(words.FirstOrDefault()) && name.Contains(',', StringComparison.Ordinal))
            .Select(one => (IngredientRole?)one.Role).FirstOrDefault();
        var isControlled = role == IngredientRole.Egg || words.Any(word => Controlled.Contains(word));
        return IngredientFacts.None with
        {
            StatedRole = role,
            StatedUnsafeRaw = role is IngredientRole.Flour or IngredientRole.Egg ? true : null,
            StatedNeedsControl = isControlled ? true : null,
            // As for the flours and starches that ship (common practice, no source).
            StarchStrength = role switch { IngredientRole.Flour => 0.5, IngredientRole.Starch => 1, _ => 0 },
        };
    }
}
