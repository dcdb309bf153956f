using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Pies of one product, pan and pick-up that are made together.</summary>
/// <param name="Id">
/// "pear/23/1140": product, pan and minute of the pick-up, by how many minutes it may be late where it may, and what its pies have been brought as far as
/// where they are there already. No id holds a stroke or a tilde, so that no two lots share one.
/// </param>
/// <param name="Product">The product.</param>
/// <param name="Pan">The pan.</param>
/// <param name="PickUpMin">Minute of the pick-up.</param>
/// <param name="Count">Pies.</param>
/// <param name="Trays">Pies on each of its trays: full ones, then the rest.</param>
/// <param name="For">Who they are for, each once, in the order of the orders.</param>
public sealed record Lot(
    string Id, Product Product, Pan Pan, int PickUpMin, int Count, IReadOnlyList<int> Trays, IReadOnlyList<string> For)
{
    /// <summary>By how many minutes its pies may be late, where others would be; 0 where they must not be.</summary>
    public int MayBeLateMin { get; init; }

    /// <summary>What its pies are made of that are there already, brought as far as one of their steps; null where all of them are made anew.</summary>
    public StockedPies? Begun { get; init; }

    /// <summary>How many pies' filling the largest pot holds; null where nobody has said how large it is.</summary>
    public int? PiesInPot { get; init; }

    /// <summary>What is to be done: all steps of the product in this pan, or those that are left.</summary>
    public ProcessNetwork ProcessLeft()
    {
        var all = Begun is { } begun ? PartDone.Rest(Product.ProcessIn(Pan), begun.Done) : Product.ProcessIn(Pan);
        return PiesInPot is not { } most ? all : all with { Steps = [.. all.Steps.Select(step => step is { Station: Station.Pot, UsesDough: false, Hands: { } hands } ? step with { Hands = hands with { AtOnce = most } } : step)] };
    }

    // A pot is filled to two thirds at most, so that it does not boil over (common practice, no source).
    private const double FilledTo = 2 / 3.0;

    /// <summary>How many pies' main filling a pot holds, of what is weighed for it and as it packs; at least one.</summary>
    private static int InPot(Product product, Pan pan, int litres)
    {
        var perPie = Scaling.Scale(product, pan, 1).Fillings.Where(part => part.Part.Id == product.MainFilling.Id).SelectMany(part => part.Lines).Sum(line => line.PerPie.Grams);
        var room = Mass.FromGrams(perPie) / product.MainFilling.PackedDensity;
        return room.Millilitres > 0 ? (int)Math.Clamp(litres * FilledTo * 1000 / room.Millilitres, 1, int.MaxValue / 4) : int.MaxValue / 4;
    }

    /// <summary>Adds orders up to lots, earliest pick-up first.</summary>
    /// <param name="orders">The orders.</param>
    /// <param name="potLitres">Litres of the largest pot; null where nobody has said.</param>
    public static IReadOnlyList<Lot> From(IEnumerable<DayOrder> orders, int? potLitres = null) =>
        [.. orders
            .GroupBy(order => (Product: order.Product.Id, Pan: order.Pan.Id, order.PickUpMin, order.MayBeLateMin))
            .OrderBy(group => group.Key.PickUpMin)
            .ThenBy(group => group.Key.Product, StringComparer.Ordinal)
            .ThenBy(group => group.Key.Pan, StringComparer.Ordinal)
            .ThenBy(group => group.Key.MayBeLateMin)
            .Select(group =>
            {
                var (first, count) = (group.First(), group.Sum(order => order.Count));
                return new Lot(
                    FormattableString.Invariant($"{group.Key.Product}/{group.Key.Pan}/{group.Key.PickUpMin}{(group.Key.MayBeLateMin > 0 ? $"/{group.Key.MayBeLateMin}" : string.Empty)}"),
                    first.Product,
                    first.Pan,
                    group.Key.PickUpMin,
                    count,
                    TraysOf(count, first.Pan.PerTray),
                    [.. group.Select(order => order.For).Where(name => name.Length > 0).Distinct()])
                {
                    MayBeLateMin = group.Key.MayBeLateMin,
                    PiesInPot = potLitres is { } litres && first.Product.Process.Steps.Any(step => step is { Station: Station.Pot, UsesDough: false, Hands: not null }) ? InPot(first.Product, first.Pan, litres) : null,
                };
            })];

    /// <summary>So many of its pies, on trays of their own.</summary>
    internal Lot Of(int count) => count == Count ? this : this with { Count = count, Trays = TraysOf(count, Pan.PerTray) };

    private static int[] TraysOf(int count, int perTray) =>
        [.. Enumerable.Repeat(perTray, count / perTray), .. count % perTray > 0 ? [count % perTray] : Array.Empty<int>()];
}
