using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>A dough: its proportions, and how it is mixed and rested. Written amounts give the proportions only.</summary>
/// <param name="Id">Short name, unique in the bakery.</param>
/// <param name="Name">The name shown, for example "Flaky 3-2-1".</param>
/// <param name="Version">Number of this version, from 1.</param>
/// <param name="Lines">What goes in, as written.</param>
/// <param name="Density">Of the rolled dough; about 1.2 g/ml (common practice, no source).</param>
/// <param name="BowlLossShare">Share of a batch that stays in the bowl, from 0 to under 1.</param>
/// <param name="MixMinutes">Hands' minutes to scale, mix and divide one batch; at least 1.</param>
/// <param name="Rest">How long it rests, cold, before it is rolled.</param>
/// <param name="ReadyWhen">The sign that mixing is done.</param>
/// <param name="Caution">What can hurt; empty where nothing.</param>
public sealed record DoughFormula(
    string Id,
    string Name,
    int Version,
    IReadOnlyList<RecipeLine> Lines,
    Density Density,
    double BowlLossShare,
    int MixMinutes,
    Span Rest,
    string ReadyWhen,
    string Caution)
{
    /// <summary>Whether it is retired: kept for what is made of it, and offered no more.</summary>
    public bool IsRetired { get; init; }

    /// <summary>What is done where the sign does not come: it sticks, cracks, springs back; empty where nothing is said.</summary>
    public string Cure { get; init; } = string.Empty;

    /// <summary>The sign that mixing is done, and what is done where it does not come.</summary>
    public string Sign => Cures.Sign(ReadyWhen, Cure);

    /// <summary>How it is made and kept.</summary>
    public DoughMethod Method { get; init; } = DoughMethod.Flaky;

    /// <summary>Least minutes from the first flour until the discs rest: mixing, then every turn and the cold after it.</summary>
    public int MadeInMinutes => MixMinutes + (Method.Turns * (Method.TurnMinutes + Method.TurnRestMinutes));

    /// <summary>The sum of the written amounts.</summary>
    public Mass Written => Mass.FromGrams(Lines.Sum(line => line.Amount.Grams));

    /// <summary>Whether the mixer makes it; what is bought in is only set out.</summary>
    public bool IsMixed => Method.Family != DoughFamily.BoughtIn;

    /// <summary>What one weighs of a shell that comes by the piece, bought in or made here; null where it is no such shell.</summary>
    public Mass? BoughtShell => Lines is [{ Ingredient: { Facts.OnePiece: { } one } shell }] && (shell.Facts.Role == IngredientRole.BoughtDough || ShellsMadeHere.Is(this)) ? one.Weight : null;

    /// <summary>Its id where it is taken like an ingredient.</summary>
    public string IngredientId => Ingredient.DoughPrefix + Id;

    /// <summary>
    /// The dough as something that other things are made of: crumbled over a pie, baked as shells, rolled into another dough.
    /// What stays in the bowl is what its formula loses.
    /// </summary>
    public Ingredient AsIngredient()
    {
        var made = new IngredientFormula(Lines, 1 - BowlLossShare) { How = new DoughMaking(this) }.Make(
            new Ingredient(IngredientId, Name, [])
            {
                IsRetired = IsRetired,
                Facts = new IngredientFacts
                {
                    OtherNames = Name.EndsWith("dough", StringComparison.OrdinalIgnoreCase) ? [] : [$"{Name} dough"],
                    Density = new DensityFigure(Density, "of the rolled dough"),
                },
            });
        // Baked it is dry, and raw it is no moist filling: its egg and butter need no control, as in any crust.
        return made with { Facts = made.Facts with { StatedNeedsControl = false } };
    }

    /// <summary>The batch that leaves this much dough for discs: discs plus what stays in the bowl.</summary>
    public Mass BatchFor(Mass discs) => discs / (1 - BowlLossShare);
}
