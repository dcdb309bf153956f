using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>Something that is made already, as it is described: either what is made before the pies, or pies.</summary>
/// <param name="Made">Id of the ingredient that it is; null of pies.</param>
/// <param name="Kilograms">How much of it, where it goes by weight.</param>
/// <param name="Pieces">How many, where it goes by the piece.</param>
/// <param name="Product">Id of the product; null of what is made before the pies.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Pies">How many pies.</param>
/// <param name="After">Id of the last step that is done on them.</param>
/// <param name="Place">Where it lies: "room", "cold" or "frozen".</param>
/// <param name="MadeAt">When the last of what is done on it was done, by the bakery's clock: "2026-05-02T09:00".</param>
/// <param name="Note">What else is to be said of it.</param>
public sealed record MadeAlreadyDraft(
    string? Made, double? Kilograms, int? Pieces, string? Product, string? Pan, int? Pies, string? After, string? Place, string? MadeAt, string? Note = null);

/// <summary>Reads what is made already.</summary>
public static class MadeAlreadyReader
{
    private const int MostNote = 80;
    private const double LeastKilograms = 0.01;

    /// <summary>Reads a draft.</summary>
    /// <param name="draft">What is described.</param>
    /// <param name="ingredients">All ingredients by id, doughs among them.</param>
    /// <param name="products">The bakery's products.</param>
    /// <param name="localNow">The bakery's clock: nothing is made in time to come.</param>
    /// <returns>What it is, null where that cannot be said; and everything wrong with it, field by field. It is to be taken only where nothing is.</returns>
    public static (MadeAlready? Entry, IReadOnlyList<FieldFault> Faults) Read(
        MadeAlreadyDraft draft, IReadOnlyDictionary<string, Ingredient> ingredients, IReadOnlyList<Product> products, LocalDateTime localNow)
    {
        var checks = new FieldChecks();
        var note = checks.Words("note", draft.Note, MostNote);
        var at = At(checks, draft.MadeAt, localNow);
        var place = checks.Word("place", draft.Place, KeepPlace.Cold);
        if (draft.Product is not null && draft.Made is not null) checks.Add("made", "Something is either made before the pies, or it is pies: say one of the two.");
        var entry = draft.Product is null ? Mass(checks, draft, ingredients, place, at, note) : (MadeAlready?)Pies(checks, draft, products, place, at, note);
        return (entry, checks.Faults);
    }

    /// <summary>What it is, as it would be described.</summary>
    /// <param name="entry">What it is.</param>
    /// <param name="ingredients">All ingredients by id, doughs among them.</param>
    public static MadeAlreadyDraft Write(MadeAlready entry, IReadOnlyDictionary<string, Ingredient> ingredients)
    {
        var (place, at, note) = (Naming.Of(entry.Place), PickUpText.Written.Format(entry.MadeAt), entry.Note);
        if (entry is MadePies pies) return new MadeAlreadyDraft(null, null, null, pies.Product, pies.Pan, pies.Count, pies.After, place, at, note);
        var mass = (MadeMass)entry;
        return Piece(ingredients[mass.Made]) is { } one
            ? new MadeAlreadyDraft(mass.Made, null, (int)Math.Round(mass.Mass / one), null, null, null, null, place, at, note)
            : new MadeAlreadyDraft(mass.Made, mass.Mass.Kilograms, null, null, null, null, null, place, at, note);
    }

    /// <summary>Whether plans make something, so that it can be there already; dough that is bought in they only set out.</summary>
    public static bool IsMadeHere(Ingredient made) => made.Formula?.How is { IsPlanned: true } and not DoughMaking { Dough.IsMixed: false };

    /// <summary>What one weighs of what goes by the piece; null of what goes by weight.</summary>
    public static Mass? Piece(Ingredient made) => made.Formula?.How?.Piece;

    private static MadeMass? Mass(FieldChecks checks, MadeAlreadyDraft draft, IReadOnlyDictionary<string, Ingredient> ingredients, KeepPlace place, LocalDateTime at, string note)
    {
        if (!ingredients.TryGetValue(draft.Made ?? string.Empty, out var made) || !IsMadeHere(made) || made.Formula?.How is not { } how)
        {
            checks.Add("made", "Say what it is: a dough, something that plans make before the pies, or pies.");
            return null;
        }

        if (how.Keeping.Places.All(kept => kept.Place != place))
            checks.Add("place", $"{made.Name} does not keep {Where(place)}, as its recipe says; it keeps {string.Join(" or ", how.Keeping.Places.Select(kept => Where(kept.Place)))}.");
        var mass = Piece(made) is { } one
            ? one * checks.Whole("pieces", draft.Pieces, 1, OrderLine.MostPies, "pieces")
            : Measures.Mass.FromKilograms(checks.Number("kilograms", draft.Kilograms, LeastKilograms, MadeMass.MostKilograms, "kg"));
        return new MadeMass(made.Id, mass, place, at, note);
    }

    private static MadePies? Pies(FieldChecks checks, MadeAlreadyDraft draft, IReadOnlyList<Product> products, KeepPlace place, LocalDateTime at, string note)
    {
        var pies = new MadePies(draft.Product!, draft.Pan ?? string.Empty, draft.Pies ?? 0, draft.After ?? string.Empty, place, at, note);
        foreach (var fault in OrderRules.WhatFaults(pies.Product, pies.Pan, pies.Count, products)) checks.Add(fault.Field == "count" ? "pies" : fault.Field, fault.Message);
        if (place == KeepPlace.Frozen) checks.Add("place", "Pies that are frozen are not planned with: freezing and thawing are no steps of their recipe.");
        if (products.FirstOrDefault(product => product.Id == pies.Product)?.SizeIn(pies.Pan) is not { } size) return null;
        var stages = PartDone.Stages(products.First(product => product.Id == pies.Product).ProcessIn(size.Pan));
        if (stages.All(step => step.Id != pies.After)) checks.Add("after", $"Say what is done on them already: {string.Join(", ", stages.Select(step => $"\"{step.Name}\""))}.");
        return pies;
    }

    private static LocalDateTime At(FieldChecks checks, string? text, LocalDateTime localNow)
    {
        if (PickUpText.Read(text) is not { } at)
        {
            checks.Add("madeAt", "A date and a clock time are needed: 2026-12-24 15:00.");
            return localNow;
        }

        if (at > localNow) checks.Add("madeAt", $"{PickUpText.Said.Format(at)} has not come yet.");
        else if (at < localNow.PlusDays(-MadeAlready.MostDaysBack)) checks.Add("madeAt", $"It may have been made {MadeAlready.MostDaysBack} days ago at most.");
        return at;
    }

    private static string Where(KeepPlace place) => place switch
    {
        KeepPlace.Room => "at room temperature",
        KeepPlace.Cold => "in the fridge",
        _ => "in the freezer",
    };
}
