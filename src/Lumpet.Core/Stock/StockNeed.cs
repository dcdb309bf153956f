using NodaTime;

namespace Lumpet.Core.Stock;

/// <summary>What something that is planned will take off the shelves.</summary>
/// <param name="Thing">What.</param>
/// <param name="Amount">How much; above zero.</param>
/// <param name="At">When, by the bakery's clock.</param>
/// <param name="For">For what, as the crew says it.</param>
/// <param name="ForDay">The day whose plan it is.</param>
public sealed record StockNeed(StockThing Thing, StockAmount Amount, LocalDateTime At, string For, LocalDate ForDay)
{
    /// <summary>The lots that the plan has in mind, where it has; any lot where it is empty.</summary>
    public IReadOnlyList<Guid> Lots { get; init; } = [];
}

/// <summary>So much of a lot that is kept for something.</summary>
/// <param name="Lot">The lot.</param>
/// <param name="Amount">How much of it.</param>
/// <param name="Need">For what.</param>
public sealed record Reservation(StockLot Lot, StockAmount Amount, StockNeed Need);

/// <summary>What is planned and is not on the shelves.</summary>
/// <param name="Need">For what.</param>
/// <param name="Amount">How much of it is missing; above zero.</param>
public sealed record Shortage(StockNeed Need, StockAmount Amount);

/// <summary>What plans will take of what is there: what is needed first is given first, of lots that expire first, and none that is past its day by then.</summary>
/// <param name="Kept">What is kept for what, in the order in which it is needed.</param>
/// <param name="Missing">What is not there, in the order in which it is needed.</param>
public sealed record Reservations(IReadOnlyList<Reservation> Kept, IReadOnlyList<Shortage> Missing)
{
    /// <summary>Gives what is there to what is planned.</summary>
    /// <param name="lots">Everything that is there.</param>
    /// <param name="needs">Everything that is planned, in any order.</param>
    public static Reservations Of(IEnumerable<StockLot> lots, IEnumerable<StockNeed> needs)
    {
        var free = lots.ToDictionary(lot => lot.Id);
        var byThing = free.Values.ToLookup(lot => lot.Thing, lot => lot.Id);
        var (kept, missing) = (new List<Reservation>(), new List<Shortage>());
        // What a plan has chosen is not given to another.
        foreach (var need in needs.OrderBy(need => need.Lots.Count == 0).ThenBy(need => need.At))
        {
            var choice = (need.Lots.Count > 0 ? need.Lots.Where(free.ContainsKey) : byThing[need.Thing]).Select(id => free[id]);
            var (taken, left) = FirstExpired.Take(choice, need.Amount, need.At.Date);
            foreach (var (lot, amount) in taken)
            {
                kept.Add(new Reservation(lot, amount, need));
                free[lot.Id] = free[lot.Id] with { Left = free[lot.Id].Left - amount };
            }

            if (left.Count > 0) missing.Add(new Shortage(need, left));
        }

        return new Reservations([.. kept.OrderBy(one => one.Need.At)], [.. missing.OrderBy(one => one.Need.At)]);
    }
}
