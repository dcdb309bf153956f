namespace Lumpet.Core.Ingredients;

/// <summary>
/// The fourteen allergens that EU Regulation 1169/2011, Annex II, asks to be named, and the nine of the US (FALCPA 2004,
/// FASTER Act 2021), both from memory. Local codes decide what a label must say.
/// </summary>
public static class MajorAllergens
{
    /// <summary>Names as they are shown, "wheat" standing for itself among the cereals that contain gluten.</summary>
    public static IReadOnlyList<string> All { get; } =
    [
        "wheat", "gluten (oats)", "gluten (rye, barley)", "crustaceans", "egg", "fish", "peanut", "soy", "milk", "nuts", "celery", "mustard", "sesame",
        "sulphites", "lupin", "molluscs",
    ];

    /// <summary>A statement of some of them, each once; what is none of them is a fault.</summary>
    internal static string[] Stated(FieldChecks checks, string field, IReadOnlyList<string?> stated)
    {
        foreach (var unknown in stated.Where(allergen => allergen is null || !All.Contains(allergen)).Take(5))
            checks.Add(field, $"\"{unknown}\" is none of {string.Join(", ", All)}.");
        return [.. stated.OfType<string>().Distinct()];
    }

    /// <summary>Those among them that US law names.</summary>
    public static IReadOnlyList<string> UnitedStates { get; } = ["milk", "egg", "fish", "crustaceans", "nuts", "wheat", "peanut", "soy", "sesame"];
}
