namespace Lumpet.Core.Ingredients;

/// <summary>
/// The fourteen allergens that EU Regulation 1169/2011, Annex II, asks to be named (from memory); the nine of the US are
/// among them. Local codes decide what a label must say.
/// </summary>
public static class MajorAllergens
{
    /// <summary>Names as they are shown, "wheat" standing for itself among the cereals that contain gluten.</summary>
    public static IReadOnlyList<string> All { get; } =
    [
        "wheat", "gluten (oats)", "gluten (rye, barley)", "crustaceans", "egg", "fish", "peanut", "soy", "milk", "nuts", "celery", "mustard", "sesame",
        "sulphites", "lupin", "molluscs",
    ];
}
