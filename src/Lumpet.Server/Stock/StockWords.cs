using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Store.Stock;

namespace Lumpet.Server.Stock;

/// <summary>Says what is made already, until when it is good, and where it goes.</summary>
internal static class StockWords
{
    /// <summary>Everything that is noted, beside a day's plan.</summary>
    /// <param name="view">The day.</param>
    /// <param name="all">What is noted.</param>
    /// <param name="ingredients">All ingredients by id, doughs among them.</param>
    /// <param name="products">All products.</param>
    public static StockAnswer Of(DayView view, IReadOnlyList<StoredMade> all, IReadOnlyDictionary<string, Ingredient> ingredients, IReadOnlyList<Product> products)
    {
        MadeEntryAnswer[] entries = [.. all.Select(one => Entry(view, one, ingredients, products)).OrderBy(entry => entry.Uses.Count > 0 ? 0 : entry.IsGood ? 1 : 2)];
        return new StockAnswer(
            Days.Iso(view.Book.Day),
            Days.Name(view.Book.Day),
            PickUpText.Written.Format(view.Book.Clock.InstantAt(view.Now).InZone(view.Book.Bakery.Zone).LocalDateTime),
            entries.Count(entry => entry.Uses.Count > 0),
            entries,
            [.. ingredients.Values.Where(one => !one.IsRetired && MadeAlreadyReader.IsMadeHere(one)).OrderBy(one => one.Name, StringComparer.OrdinalIgnoreCase)
                .Select(one => new MadeChoiceAnswer(one.Id, one.Name, MadeAlreadyReader.Piece(one) is not null, [.. one.Formula!.How!.Keeping.Places.Select(kept => Naming.Of(kept.Place))]))],
            [.. products.Where(product => !product.IsRetired).Select(product => new PieStagesAnswer(product.Id, [.. PartDone.Stages(product.Process).Select(step => new PieStageAnswer(step.Id, step.Name))]))]);
    }

    private static MadeEntryAnswer Entry(DayView view, StoredMade one, IReadOnlyDictionary<string, Ingredient> ingredients, IReadOnlyList<Product> products)
    {
        var (book, plan, name) = (view.Book, view.Plan, StockOfDay.Name(one));
        StockUse[] uses = [.. plan.FromStock.Where(use => use.StockId == name)];
        var (mass, pies) = (one.Entry as MadeMass, one.Entry as MadePies);
        var product = pies is null ? null : products.First(product => product.Id == pies.Product);
        var keeps = mass is not null ? MadeKeeps.Of(ingredients[mass.Made], mass.Place) : MadeKeeps.Of(product!, pies!.Pan, pies.After);
        var piece = mass is null ? null : MadeAlreadyReader.Piece(ingredients[mass.Made]);
        // What days before take is not there any more when this one is planned.
        var there = book.Snapshot.Stock.Less(uses);
        var planned = plan.Stock.Less(uses);
        double Amount(DayStock stock) => pies is not null ? stock.Pies.FirstOrDefault(other => other.Id == name)?.Count ?? 0
            : Number(stock.Masses.FirstOrDefault(other => other.Id == name)?.Mass ?? Mass.Zero, piece);
        return new MadeEntryAnswer(
            one.Id,
            one.RowVersion,
            MadeAlreadyReader.Write(one.Entry, ingredients),
            mass is not null ? ingredients[mass.Made].Name : $"{product!.Name}, {product.SizeIn(pies!.Pan)?.Pan.Name ?? pies.Pan}",
            pies is not null ? pies.Count : Number(mass!.Mass, piece),
            pies is not null ? "pies" : piece is not null ? "pieces" : "grams",
            State(one.Entry, product),
            Until(view, one.Entry, keeps),
            keeps is not null && view.Now <= book.Clock.MinuteOf(one.Entry.MadeAt) + (long)keeps.GoodForMin,
            Math.Max(0, Math.Round(Amount(there) - Amount(planned), 1)),
            [.. uses.GroupBy(use => (use.For, use.AtMin)).Select(same => new MadeUsedAnswer(
                same.Key.For,
                pies is not null ? same.Sum(use => use.Pies) : Number(Mass.FromGrams(same.Sum(use => use.Taken.Grams)), piece),
                book.Clock.At(same.Key.AtMin),
                Orders(book, plan, [.. same])))],
            Math.Round(Amount(planned), 1));
    }

    private static double Number(Mass mass, Mass? piece) => piece is { } one ? Math.Round(mass / one) : Math.Round(mass.Grams);

    private static string Orders(DayBook book, PlannedDay plan, StockUse[] uses) => string.Join(
        ", ",
        uses.SelectMany(use => use.LotIds.Count == 0 ? plan.Ready.Where(one => one.StockId == use.StockId && one.Lot.PickUpMin == use.AtMin).Select(one => one.Lot) : use.LotIds.Select(plan.Lot))
            .GroupBy(lot => lot.PickUpMin).OrderBy(lots => lots.Key)
            .Select(lots => $"{book.Clock.At(lots.Key).Clock}{PlanSentence.Names([.. lots.SelectMany(lot => lot.For).Distinct()])}"));

    private static string State(MadeAlready entry, Product? product)
    {
        var where = entry.Place switch
        {
            KeepPlace.Room => "at room temperature",
            KeepPlace.Cold => "in the fridge",
            _ => "in the freezer",
        };
        var made = PickUpText.Said.Format(entry.MadeAt);
        if (entry is not MadePies pies) return $"made {made}, {where}";
        var step = product!.Process.Steps.FirstOrDefault(step => step.Id == pies.After)?.Name ?? pies.After;
        return $"\"{step}\" done {made}, {where}";
    }

    private static string Until(DayView view, MadeAlready entry, MadeKeeps? keeps)
    {
        if (keeps is null) return "Its recipe does not have this any more, so that no plan takes it.";
        var until = entry.MadeAt.PlusMinutes(keeps.GoodForMin);
        var said = PickUpText.Said.Format(until);
        var now = view.Book.Clock.InstantAt(view.Now).InZone(view.Book.Bakery.Zone).LocalDateTime;
        return (entry, until < now) switch
        {
            (MadePies, false) => $"good for pick-ups until {said}",
            (MadePies, true) => $"was good for pick-ups until {said}: no plan takes them",
            (_, false) => keeps.ThawMin > 0 ? $"keeps until {said}, the {PlanSentence.Hours(keeps.ThawMin)} that it thaws included" : $"keeps until {said}",
            _ => $"kept until {said}: no plan takes it",
        };
    }
}

/// <summary>What is made already, beside a day's plan.</summary>
/// <param name="Day">The day (ISO date).</param>
/// <param name="DayName">The day.</param>
/// <param name="Now">The bakery's clock: "2026-05-02T09:00".</param>
/// <param name="Used">Of how many of the entries the day's plan takes.</param>
/// <param name="Entries">What is noted: what this day takes of first, what is good no longer last; what was made first before what was made later.</param>
/// <param name="Made">What may be noted that is made before the pies.</param>
/// <param name="Stages">As far as which steps pies may have been brought, by product.</param>
public sealed record StockAnswer(
    string Day, string DayName, string Now, int Used, IReadOnlyList<MadeEntryAnswer> Entries, IReadOnlyList<MadeChoiceAnswer> Made, IReadOnlyList<PieStagesAnswer> Stages);

/// <summary>Something that is made already.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Version">Counts its changes, from 1.</param>
/// <param name="Draft">As it was described.</param>
/// <param name="Name">What it is.</param>
/// <param name="Amount">How much was noted.</param>
/// <param name="Unit">"grams", "pieces" or "pies".</param>
/// <param name="State">What is done on it, when, and where it lies.</param>
/// <param name="Until">Until when it is good, in words.</param>
/// <param name="IsGood">Whether it is good now.</param>
/// <param name="TakenBefore">What plans of days before take of it.</param>
/// <param name="Uses">What this day's plan takes of it.</param>
/// <param name="Left">What is left after that.</param>
public sealed record MadeEntryAnswer(
    Guid Id, long Version, MadeAlreadyDraft Draft, string Name, double Amount, string Unit, string State, string Until, bool IsGood, double TakenBefore, IReadOnlyList<MadeUsedAnswer> Uses, double Left);

/// <summary>What is taken of something that is made already.</summary>
/// <param name="For">For what.</param>
/// <param name="Amount">How much, in the unit of the entry.</param>
/// <param name="At">When it is taken; of pies when work on them goes on, or their pick-up.</param>
/// <param name="Orders">For which pick-ups, in words.</param>
public sealed record MadeUsedAnswer(string For, double Amount, Moment At, string Orders);

/// <summary>Something that may be noted.</summary>
/// <param name="Id">Id of the ingredient.</param>
/// <param name="Name">Its name.</param>
/// <param name="IsByPiece">Whether it goes by the piece.</param>
/// <param name="Places">Where it keeps: "room", "cold", "frozen".</param>
public sealed record MadeChoiceAnswer(string Id, string Name, bool IsByPiece, IReadOnlyList<string> Places);

/// <summary>As far as which steps pies of a product may have been brought.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Steps">The steps in order; after the last the pies are ready.</param>
public sealed record PieStagesAnswer(string Product, IReadOnlyList<PieStageAnswer> Steps);

/// <summary>A step as far as which pies may have been brought.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
public sealed record PieStageAnswer(string Id, string Name);
