using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>
/// Something that is made already: a dough or what else is made before the pies, or pies that have been brought as far as one of
/// their steps. A plan uses it before it makes anything anew.
/// </summary>
/// <param name="Place">Where it lies.</param>
/// <param name="MadeAt">When the last of what is done on it was done, by the bakery's clock.</param>
/// <param name="Note">What a person says of it; may be empty.</param>
public abstract record MadeAlready(KeepPlace Place, LocalDateTime MadeAt, string Note)
{
    /// <summary>The most that is noted at once.</summary>
    public const int Most = 500;

    /// <summary>So many days back something may have been made; what is older is not known well enough to be promised.</summary>
    public const int MostDaysBack = 366;

    /// <summary>Whether it is of the same thing as another: of the same dough or filling, or pies of the same product, however far they are brought.</summary>
    public bool IsOfTheSame(MadeAlready other) => (this, other) switch
    {
        (MadeMass mine, MadeMass its) => mine.Made == its.Made,
        (MadePies mine, MadePies its) => mine.Product == its.Product,
        _ => false,
    };
}

/// <summary>A dough, or something else that is made before the pies.</summary>
/// <param name="Made">Id of the ingredient that it is; of a dough the one by which it is taken like an ingredient.</param>
/// <param name="Mass">How much.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="MadeAt">When the last of what is done on it was done, by the bakery's clock.</param>
/// <param name="Note">What a person says of it; may be empty.</param>
public sealed record MadeMass(string Made, Mass Mass, KeepPlace Place, LocalDateTime MadeAt, string Note) : MadeAlready(Place, MadeAt, Note)
{
    /// <summary>The most of one thing.</summary>
    public const double MostKilograms = 2000;
}

/// <summary>Pies that are ready, or have been brought as far as a step.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">How many.</param>
/// <param name="After">Id of the last step that is done on them.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="MadeAt">When the last of what is done on it was done, by the bakery's clock.</param>
/// <param name="Note">What a person says of it; may be empty.</param>
public sealed record MadePies(string Product, string Pan, int Count, string After, KeepPlace Place, LocalDateTime MadeAt, string Note) : MadeAlready(Place, MadeAt, Note);

/// <summary>How long something that is made already is good for, by its recipe.</summary>
/// <param name="ReadyAfterMin">Minutes after it was made from which on it may be used, but for thawing.</param>
/// <param name="GoodForMin">Minutes after it was made until which it may be used; of pies until their pick-up.</param>
/// <param name="ThawMin">What it takes to thaw; 0 where it is used as it is.</param>
public sealed record MadeKeeps(int ReadyAfterMin, int GoodForMin, int ThawMin)
{
    /// <summary>How long a dough or something else that is made first is good for in a place; null where it does not keep there, or no plan makes it.</summary>
    /// <param name="made">What it is.</param>
    /// <param name="place">Where it lies.</param>
    public static MadeKeeps? Of(Ingredient made, KeepPlace place)
    {
        if (made.Formula?.How is not { IsPlanned: true } how || how.Keeping.Places.FirstOrDefault(kept => kept.Place == place) is not { } kept) return null;
        var thaw = place == KeepPlace.Frozen ? how.Keeping.ThawMin : 0;
        return new MadeKeeps(kept.LeastMin, kept.MostMin + thaw, thaw);
    }

    /// <summary>How long pies are good for; null where the product is not made in that pan, or has no such step.</summary>
    /// <param name="product">Their product.</param>
    /// <param name="pan">Id of their pan.</param>
    /// <param name="after">Id of the last step that is done.</param>
    public static MadeKeeps? Of(Product product, string pan, string after)
    {
        if (product.SizeIn(pan) is not { } size) return null;
        var network = product.ProcessIn(size.Pan);
        return PartDone.Stages(network).Any(step => step.Id == after) ? new MadeKeeps(0, Math.Max(0, PartDone.GoodUntilMin(network, PartDone.By(network, after, 0), product.OldestAtPickUp)), 0) : null;
    }
}
