using Lumpet.Core;
using Lumpet.Core.Ingredients;

namespace Lumpet.Server.Ingredients;

/// <summary>The ingredients of the bakery.</summary>
/// <param name="Ingredients">By name.</param>
/// <param name="Allergens">What can be stated.</param>
/// <param name="UsAllergens">Those among them that US law names; the EU names all.</param>
/// <param name="Roles">What an ingredient may do in a formula.</param>
public sealed record IngredientsAnswer(
    IReadOnlyList<IngredientAnswer> Ingredients, IReadOnlyList<string> Allergens, IReadOnlyList<string> UsAllergens, IReadOnlyList<string> Roles);

/// <summary>An ingredient.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Version">Goes back in If-Match.</param>
/// <param name="Name">Its name.</param>
/// <param name="Allergens">What it carries; null while nobody has said.</param>
/// <param name="MayContain">What it may carry in traces.</param>
/// <param name="Price">The price in force, in words; null where none is known.</param>
/// <param name="Role">What it does in a formula.</param>
/// <param name="OtherNames">Other words for it.</param>
/// <param name="Density">Its density; null where none is known.</param>
/// <param name="Pieces">Weights of one.</param>
/// <param name="Yields">What preparing it leaves.</param>
/// <param name="AlcoholPercent">Alcohol by volume.</param>
/// <param name="UnsafeRaw">Whether it is not to be tasted raw.</param>
/// <param name="NeedsControl">Whether a moist filling of it needs time and temperature control.</param>
/// <param name="UsedIn">Products that take it.</param>
/// <param name="IsMadeHere">Whether the bakery makes it itself.</param>
/// <param name="IsRetired">Whether it is offered no more.</param>
/// <param name="Own">What the bakery itself has set, as it would be stated.</param>
public sealed record IngredientAnswer(
    string Id,
    long Version,
    string Name,
    IReadOnlyList<string>? Allergens,
    IReadOnlyList<string> MayContain,
    string? Price,
    string Role,
    IReadOnlyList<string> OtherNames,
    DensityAnswer? Density,
    IReadOnlyList<PieceWeightAnswer> Pieces,
    IReadOnlyList<YieldAnswer> Yields,
    double AlcoholPercent,
    bool UnsafeRaw,
    bool NeedsControl,
    int UsedIn,
    bool IsMadeHere,
    bool IsRetired,
    IngredientDraft Own)
{
    /// <summary>The answer for an ingredient.</summary>
    /// <param name="ingredient">With the facts in force.</param>
    /// <param name="own">With the facts that the bakery has set.</param>
    /// <param name="version">Its version.</param>
    /// <param name="price">Its price in words.</param>
    /// <param name="usedIn">Products that take it.</param>
    public static IngredientAnswer Of(Ingredient ingredient, Ingredient own, long version, string? price, int usedIn) => new(
        ingredient.Id,
        version,
        ingredient.Name,
        ingredient.AllergensStated ? ingredient.Allergens : null,
        ingredient.Facts.MayContain,
        price,
        Naming.Of(ingredient.Facts.Role),
        ingredient.Facts.OtherNames,
        ingredient.Facts.Density is { } density
            ? new DensityAnswer(
                Math.Round(density.Value.GramsPerMillilitre, 4), Math.Round(density.Value.GramsPerMillilitre * Core.Measures.Volume.MillilitresInUsCup, 1), density.Source, own.Facts.Density is not null)
            : null,
        [.. ingredient.Facts.Pieces.Select(piece => new PieceWeightAnswer(piece.Piece, Math.Round(piece.Weight.Grams, 2), piece.Source, own.Facts.PieceOf(piece.Piece) is not null))],
        [.. ingredient.Facts.Yields.Select(yield => new YieldAnswer(
            yield.Preparation, Math.Round(yield.Yield.Share * 100, 1), yield.Source, own.Facts.Yields.Any(other => other.Preparation == yield.Preparation)))],
        ingredient.Facts.AlcoholPercent,
        ingredient.Facts.UnsafeRaw,
        ingredient.Facts.NeedsControl,
        usedIn,
        ingredient.Formula is not null,
        ingredient.IsRetired,
        IngredientReader.Write(own));
}

/// <summary>A density.</summary>
/// <param name="GramsPerMl">Grams in a millilitre.</param>
/// <param name="GramsPerCup">Grams in a US cup.</param>
/// <param name="Source">Who says so.</param>
/// <param name="IsOwn">Whether the bakery has set it itself.</param>
public sealed record DensityAnswer(double GramsPerMl, double GramsPerCup, string Source, bool IsOwn);

/// <summary>A weight of one.</summary>
/// <param name="Piece">What is counted.</param>
/// <param name="Grams">What it weighs.</param>
/// <param name="Source">Who says so.</param>
/// <param name="IsOwn">Whether the bakery has set it itself.</param>
public sealed record PieceWeightAnswer(string Piece, double Grams, string Source, bool IsOwn);

/// <summary>A yield.</summary>
/// <param name="Preparation">The preparation.</param>
/// <param name="Percent">What is left.</param>
/// <param name="Source">Who says so.</param>
/// <param name="IsOwn">Whether the bakery has set it itself.</param>
public sealed record YieldAnswer(string Preparation, double Percent, string Source, bool IsOwn);
