using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;

namespace Lumpet.Core.Batches;

/// <summary>Pools what a day wants of one thing made here into batches.</summary>
public static class PreparationBatching
{
    /// <summary>
    /// Equal batches, as few as the largest allows, in the order in which they are taken. What comes to less than the
    /// smallest batch is made as one, and where batches take whole eggs or tins what that makes beyond is made too: the
    /// surplus is named.
    /// </summary>
    /// <param name="demands">What is wanted, all of one thing; at least one, each above zero.</param>
    public static IReadOnlyList<PreparationBatch> Divide(IReadOnlyList<PreparationDemand> demands)
    {
        var made = demands[0].Made;
        var total = Mass.FromGrams(demands.Sum(demand => demand.Wanted.Grams));
        var (count, each) = Sizes(made, total);
        PreparationDemand[] inOrder = [.. demands.OrderBy(demand => demand.NeededMin).ThenBy(demand => demand.Label, StringComparer.Ordinal).ThenBy(demand => demand.TaskId, StringComparer.Ordinal)];
        var batches = new List<PreparationBatch>();
        var (at, left) = (0, inOrder[0].Wanted);
        for (var number = 1; number <= count; number++)
        {
            var (uses, room) = (new List<PreparationDemand>(), each);
            while (at < inOrder.Length && (number == count || room.Grams > each.Grams * 1e-9))
            {
                var taken = number == count || left <= room ? left : room;
                uses.Add(inOrder[at] with { Wanted = taken });
                (room, left) = (room - taken, left - taken);
                if (left.Grams > inOrder[at].Wanted.Grams * 1e-9) break;
                if (++at < inOrder.Length) left = inOrder[at].Wanted;
            }

            batches.Add(Batch(made, number, count, Mass.FromGrams(uses.Sum(use => use.Wanted.Grams)), each, uses));
        }

        return batches;
    }

    /// <summary>How many equal batches, and how much each makes: what is wanted, or as many whole pieces, eggs or tins as make it.</summary>
    private static (int Count, Mass Each) Sizes(Ingredient made, Mass total)
    {
        var limits = made.Formula!.How!.Batches;
        if (made.Formula.BatchUnit is not { } one || one > limits.Most)
        {
            var count = limits.CountFor(total);
            return (count, total / count);
        }

        var (wanted, most) = (Whole(total / one), Math.Max(1, (int)Math.Floor((limits.Most / one) + 1e-9)));
        var batches = (wanted + most - 1) / most;
        var pieces = (wanted + batches - 1) / batches;
        // With so many in each, the last may not be needed.
        return ((wanted + pieces - 1) / pieces, one * pieces);
    }

    private static int Whole(double pieces) => Math.Max(1, (int)Math.Ceiling(pieces - 1e-9));

    private static PreparationBatch Batch(Ingredient made, int number, int of, Mass wanted, Mass each, List<PreparationDemand> uses)
    {
        var limits = made.Formula!.How!.Batches;
        var least = made.Formula.BatchUnit is { } one && one <= limits.Most ? one * Whole(limits.Least / one) : limits.Least;
        var mass = each < least ? least : each;
        return new PreparationBatch(
            made,
            number,
            of,
            mass,
            [.. made.Formula.For(mass).Select(line => new PreparationLine(line, line.Amount, ScaleReading.GramsOf(line.Amount, line.Ingredient.Facts.WeighedTo)))],
            uses,
            mass - wanted,
            uses.Min(use => use.NeededMin));
    }
}
