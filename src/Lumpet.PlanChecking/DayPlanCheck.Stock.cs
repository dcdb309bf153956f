using Lumpet.Core.DayPlan;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.PlanChecking;

/// <summary>What was there before anything was made: no more of it is taken than there is, while it keeps, and by those it is meant for.</summary>
internal sealed partial class DayPlanCheck
{
    // What is there may weigh so much less than is wanted of it.
    private const double Short = 0.011;

    /// <summary>What is taken of what is there is there, and is taken when it can be.</summary>
    public void Stock()
    {
        var firstMin = snapshot.Shifts.Select(shift => shift.StartMin).DefaultIfEmpty(0).Min();
        foreach (var one in snapshot.Stock.Masses)
        {
            StockUse[] uses = [.. plan.FromStock.Where(use => use.StockId == one.Id)];
            if (uses.Sum(use => use.Taken.Grams) > one.Mass.Grams + 0.001) Say("stock", one.Id, $"{uses.Sum(use => use.Taken.Grams):0} g of it are taken, and there are {one.Mass.Grams:0} g.");
            var from = one.ThawMin > 0 ? Math.Max(one.ReadyMin, firstMin + one.ThawMin) : one.ReadyMin;
            foreach (var use in uses.Where(use => AreMade(use.LotIds)))
            {
                if (use.AtMin < from || use.AtMin > one.UntilMin) Say("stock", one.Id, $"It is taken at {use.AtMin}, and may be from {from} to {one.UntilMin}.");
                Taken("stock", one.Id, use.TaskId, use.AtMin, int.MinValue);
            }
        }

        foreach (var one in snapshot.Stock.Pies)
        {
            var (lots, ready) = (plan.Lots.Where(lot => lot.Begun?.Id == one.Id).ToArray(), plan.Ready.Where(ready => ready.StockId == one.Id).Select(ready => ready.Lot).ToArray());
            if (lots.Concat(ready).Sum(lot => lot.Count) > one.Count) Say("stock", one.Id, $"{lots.Concat(ready).Sum(lot => lot.Count)} of these pies are counted on, and there are {one.Count}.");
            foreach (var lot in lots.Concat(ready).Where(lot => lot.Product.Id != one.ProductId || lot.Pan.Id != one.PanId || lot.PickUpMin > one.UntilMin)) Say("stock", lot.Id, "It is made of pies that are not for it.");
            foreach (var lot in lots.Where(lot => made.Contains(lot.Id))) GoesOn(lot, one);
        }
    }

    /// <summary>Every pie that is rolled has its dough: what is mixed for its lot, and what of it is there, is what its pieces take.</summary>
    public void Discs()
    {
        foreach (var lot in plan.Lots.Where(lot => made.Contains(lot.Id) && plan.Fates.All(fate => fate.Lot.Id != lot.Id || fate.NotBaked == 0) && lot.ProcessLeft().Steps.Any(step => step.UsesDough)))
            foreach (var pieces in Scaling.Scale(lot.Product, lot.Pan, lot.Count).Pieces.GroupBy(piece => lot.Product.DoughOf(piece).Id))
            {
                var wanted = pieces.Sum(piece => Math.Round(piece.Disc.Grams, MidpointRounding.AwayFromZero)) * lot.Count * lot.ProcessLeft().Steps.Count(step => step.UsesDough);
                var mixed = plan.Batches.Where(batch => batch.Dough.Id == pieces.Key).SelectMany(batch => batch.Discs).Where(disc => disc.IsDiscOf(lot.Id)).Sum(disc => disc.Disc.Grams * disc.Count);
                var dough = lot.Product.Doughs.First(one => one.Id == pieces.Key).IngredientId;
                var there = plan.FromStock.Where(use => snapshot.Stock.Masses.Any(one => one.Id == use.StockId && one.MadeId == dough) && use.TaskId is { } task && byId.TryGetValue(task, out var takers) && takers[0].LotId == lot.Id).Sum(use => use.Taken.Grams);
                if (mixed + there < wanted * (1 - Short) || mixed + there > wanted * (1 + Short)) Say("discs", lot.Id, $"Its pieces of {pieces.Key} take {wanted:0} g, and {mixed:0} g are mixed for it and {there:0} g there.");
            }
    }

    /// <summary>Work on pies that were begun goes on where it stopped, after what must lie between.</summary>
    private void GoesOn(Lot lot, StockedPies begun)
    {
        var whole = lot.Product.ProcessIn(lot.Pan);
        var left = lot.ProcessLeft().Steps.Select(step => step.Id).ToHashSet();
        foreach (var parcel in Parcels(lot))
            foreach (var (step, endMin) in begun.Done)
                foreach (var (after, least) in Behind(whole, step, left))
                    foreach (var task in parcel.Where(task => task.StepId == after && task.StartMin < endMin + least))
                        Say("stock", task.Id, $"It begins at {task.StartMin}, and what comes before it was done at {endMin}, with {least} min between.");
    }

    /// <summary>What follows a step, through waits, with the minutes at least between.</summary>
    private static IEnumerable<(string After, int Least)> Behind(ProcessNetwork whole, string stepId, HashSet<string> left)
    {
        foreach (var link in whole.Links.Where(link => link.Before == stepId && link.Kind != LinkKind.During))
        {
            if (whole.Steps.First(step => step.Id == link.After).Wait is { } wait)
                foreach (var (after, least) in Behind(whole, link.After, left)) yield return (after, least + link.Lag.Least + wait.Least);
            else if (left.Contains(link.After)) yield return (link.After, link.Lag.Least);
        }
    }

    /// <summary>What is there lies where it is until it is taken; what nobody takes, for as long as it keeps.</summary>
    private IEnumerable<(int, int, int)> There(KeepPlace place)
    {
        foreach (var one in snapshot.Stock.Masses.Where(one => one.Place == place))
        {
            StockUse[] uses = [.. plan.FromStock.Where(use => use.StockId == one.Id)];
            foreach (var use in uses.Where(use => AreMade(use.LotIds))) yield return ((int)Math.Floor(use.Taken.Grams), 0, use.AtMin);
            yield return ((int)Math.Floor(one.Mass.Grams - uses.Sum(use => use.Taken.Grams)), 0, Math.Min(one.UntilMin, snapshot.HorizonMin));
        }
    }

    /// <summary>Pies that are there stand where they are until someone goes on with them, or hands them over.</summary>
    private IEnumerable<(int, int, int)> PiesThere(KeepPlace place) =>
        from one in snapshot.Stock.Pies
        where one.Place == place
        from lot in plan.Lots.Where(lot => lot.Begun?.Id == one.Id && made.Contains(lot.Id))
        from parcel in Parcels(lot)
        select ((parcel[0].Pies + lot.Pan.PerTray - 1) / lot.Pan.PerTray, 0, parcel.Min(task => task.StartMin));
}
