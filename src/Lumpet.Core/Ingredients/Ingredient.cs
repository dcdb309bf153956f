namespace Lumpet.Core.Ingredients;

/// <summary>Something that is bought: an ingredient, or a box.</summary>
/// <param name="Id">Short name, unique in the bakery.</param>
/// <param name="Name">The name shown, for example "Pears, firm".</param>
/// <param name="Allergens">Major allergens it carries, in plain words ("wheat", "milk"); may be empty.</param>
/// <param name="AllergensStated">Whether someone has said which it carries; until then an empty list means "not known".</param>
public sealed record Ingredient(string Id, string Name, IReadOnlyList<string> Allergens, bool AllergensStated = true)
{
    /// <summary>Whether it is retired: kept for what holds it, and offered no more.</summary>
    public bool IsRetired { get; init; }

    /// <summary>What else is known of it.</summary>
    public IngredientFacts Facts { get; init; } = IngredientFacts.None;

    /// <summary>What an id begins with that stands for a dough of the bakery; no other ingredient's id holds a colon.</summary>
    public const string DoughPrefix = "dough:";

    /// <summary>Whether an id stands for a dough of the bakery, taken like an ingredient.</summary>
    public static bool IsDoughId(string id) => id.StartsWith(DoughPrefix, StringComparison.Ordinal);

    /// <summary>Whether it is a dough of the bakery, taken like an ingredient.</summary>
    public bool IsDough => IsDoughId(Id);

    /// <summary>What it is made of where the bakery makes it itself; null where it is bought.</summary>
    public IngredientFormula? Formula { get; init; }
}
