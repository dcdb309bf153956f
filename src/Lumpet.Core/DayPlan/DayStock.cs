using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;

namespace Lumpet.Core.DayPlan;

/// <summary>What is made already when a day is planned, on the day's clock. It is used before anything is made anew, while it keeps.</summary>
/// <param name="Masses">Doughs, and what else is made before the pies.</param>
/// <param name="Pies">Pies that are ready, or have been brought as far as one of their steps.</param>
public sealed record DayStock(IReadOnlyList<StockedMass> Masses, IReadOnlyList<StockedPies> Pies)
{
    /// <summary>Nothing is there.</summary>
    public static DayStock None { get; } = new([], []);

    /// <summary>Whether nothing is there.</summary>
    public bool IsNothing => Masses.Count + Pies.Count == 0;

    /// <summary>The same, so many minutes later on the clock.</summary>
    internal DayStock Later(int minutes) => new(
        [.. Masses.Select(one => one with { ReadyMin = one.ReadyMin + minutes, UntilMin = one.UntilMin + minutes })],
        [.. Pies.Select(one => one with { Done = one.Done.ToDictionary(step => step.Key, step => step.Value + minutes), UntilMin = one.UntilMin + minutes })]);

    /// <summary>What is left when others have taken theirs.</summary>
    /// <param name="uses">What they take.</param>
    public DayStock Less(IEnumerable<StockUse> uses)
    {
        var taken = uses.ToLookup(use => use.StockId);
        return new DayStock(
            [.. Masses.Select(one => one with { Mass = one.Mass - Mass.FromGrams(Math.Min(one.Mass.Grams, taken[one.Id].Sum(use => use.Taken.Grams))) }).Where(one => one.Mass > Mass.Zero)],
            [.. Pies.Select(one => one with { Count = one.Count - taken[one.Id].Sum(use => use.Pies) }).Where(one => one.Count > 0)]);
    }
}

/// <summary>Dough, or something else that is made before the pies, that is there.</summary>
/// <param name="Id">Its name among all that is there.</param>
/// <param name="MadeId">Of what: the id of the ingredient, of a dough the one by which it is taken like an ingredient.</param>
/// <param name="Mass">How much.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="ReadyMin">From when on it may be used, but for thawing.</param>
/// <param name="UntilMin">Until when it keeps.</param>
/// <param name="ThawMin">What it takes to thaw before it is used; 0 where it is used as it is.</param>
public sealed record StockedMass(string Id, string MadeId, Mass Mass, KeepPlace Place, int ReadyMin, int UntilMin, int ThawMin)
{
    /// <summary>From when on it can be had, where the first who could take it out to thaw comes at a minute.</summary>
    internal int FromMin(int firstMin) => ThawMin > 0 ? Math.Max(ReadyMin, firstMin + ThawMin) : ReadyMin;

    /// <summary>What is weighed to a hundredth is enough: nobody makes a pot for what is short of that (common practice, no source).</summary>
    internal const double Enough = 0.01;
}

/// <summary>Pies that are there.</summary>
/// <param name="Id">Their name among all that is there.</param>
/// <param name="ProductId">Of which product.</param>
/// <param name="PanId">In which pan.</param>
/// <param name="Count">How many.</param>
/// <param name="Done">The work and bakes that are done on them, or are under way, each with the minute of its end; at least one.</param>
/// <param name="IsReady">Whether nothing is left but to hand them over.</param>
/// <param name="Place">Where they stand; null where nothing stands yet that takes room.</param>
/// <param name="UntilMin">The last pick-up they are good for.</param>
public sealed record StockedPies(string Id, string ProductId, string PanId, int Count, IReadOnlyDictionary<string, int> Done, bool IsReady, KeepPlace? Place, int UntilMin)
{
    /// <summary>When the last of what is done was.</summary>
    public int DoneMin => Done.Values.Max();
}

/// <summary>Something that was there and is taken.</summary>
/// <param name="StockId">What of it, by its name.</param>
/// <param name="For">For what, as the crew says it: "Pear and ginger, 23 cm, base".</param>
/// <param name="LotIds">The lots that it goes into; none of pies that are ready.</param>
/// <param name="TaskId">The task that takes it; null while no task is planned, and of pies that are ready.</param>
/// <param name="Taken">How much; zero of pies.</param>
/// <param name="Pies">How many pies; 0 of doughs and of what else is made first.</param>
/// <param name="AtMin">When; of pies when work on them goes on, or their pick-up.</param>
public sealed record StockUse(string StockId, string For, IReadOnlyList<string> LotIds, string? TaskId, Mass Taken, int Pies, int AtMin);
