using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>Every price that was ever known, and from whom what was usually bought: what held on any day.</summary>
/// <remarks>
/// Of rows of one supplier for one day the one added last holds: so a price is corrected. Of several suppliers the usual one's
/// price holds; where it has none yet, the one that came into force last.
/// </remarks>
public sealed class PriceBook
{
    private readonly Dictionary<string, Price[]> rows;
    private readonly Dictionary<string, UsualSupplier[]> usual;

    private PriceBook(Dictionary<string, Price[]> rows, Dictionary<string, UsualSupplier[]> usual) => (this.rows, this.usual) = (rows, usual);

    /// <summary>A book of rows.</summary>
    /// <param name="rows">Every price, in the order in which they were added.</param>
    /// <param name="usual">From whom things are usually bought, in the order in which it was said; nothing where that was never said.</param>
    public PriceBook(IEnumerable<Price> rows, IEnumerable<UsualSupplier> usual)
    {
        this.rows = Joined([], rows, row => row.IngredientId, row => row.ValidFrom);
        this.usual = Joined([], usual, row => row.IngredientId, row => row.ValidFrom);
    }

    /// <summary>Ingredients of which a price was ever known, by id.</summary>
    public IReadOnlyCollection<string> Ingredients => rows.Keys;

    /// <summary>Every price of an ingredient, by the day from which it holds; of one day in the order in which they were added.</summary>
    public IReadOnlyList<Price> Of(string ingredientId) => rows.GetValueOrDefault(ingredientId) ?? [];

    /// <summary>The prices that hold on a day.</summary>
    public PriceList On(LocalDate day) =>
        new(rows.Keys.Select(id => Find(id, day)).OfType<Price>());

    /// <summary>The price that holds for an ingredient on a day; null where none is known by then.</summary>
    public Price? Find(string ingredientId, LocalDate day)
    {
        if (!rows.TryGetValue(ingredientId, out var all)) return null;
        return UsualOf(ingredientId, day) is { } supplier && Last(all, day, supplier) is { } theirs ? theirs : Last(all, day, null);
    }

    /// <summary>The price of one supplier that holds on a day; null where none is known.</summary>
    public Price? Find(string ingredientId, string supplier, LocalDate day) =>
        rows.TryGetValue(ingredientId, out var all) ? Last(all, day, supplier) : null;

    /// <summary>From whom an ingredient is usually bought on a day: what was said last by then, or first of all before anything was; null where that was never said.</summary>
    public string? UsualOf(string ingredientId, LocalDate day)
    {
        if (!usual.TryGetValue(ingredientId, out var said)) return null;
        return (said.LastOrDefault(one => one.ValidFrom <= day) ?? said[0]).Supplier;
    }

    /// <summary>The last price of every supplier of an ingredient that holds on a day, by supplier.</summary>
    public IReadOnlyList<Price> BySupplier(string ingredientId, LocalDate day) =>
        [.. Of(ingredientId).Select(row => row.Supplier).Distinct().Select(supplier => Find(ingredientId, supplier, day)).OfType<Price>().OrderBy(row => row.Supplier, StringComparer.OrdinalIgnoreCase)];

    /// <summary>The days, in order, on which the price in force of an ingredient changes, with the price from then on.</summary>
    public IReadOnlyList<(LocalDate Day, Price Price)> Steps(string ingredientId)
    {
        var days = Of(ingredientId).Select(row => row.ValidFrom).Concat((usual.GetValueOrDefault(ingredientId) ?? []).Select(one => one.ValidFrom)).Distinct().Order();
        var steps = new List<(LocalDate Day, Price Price)>();
        foreach (var day in days)
            if (Find(ingredientId, day) is { } price && (steps.Count == 0 || !ReferenceEquals(steps[^1].Price, price))) steps.Add((day, price));
        return steps;
    }

    /// <summary>This book with more rows, as if they were added now; what they are not of is not looked at.</summary>
    /// <param name="more">Prices, in the order in which they are added.</param>
    /// <param name="moreUsual">From whom things are bought, in the order in which it is said; null for nothing said.</param>
    public PriceBook With(IEnumerable<Price> more, IEnumerable<UsualSupplier>? moreUsual = null) =>
        new(Joined(rows, more, row => row.IngredientId, row => row.ValidFrom), Joined(usual, moreUsual ?? [], row => row.IngredientId, row => row.ValidFrom));

    // Sorting keeps the order of rows of one day: the last written stays last.
    private static Dictionary<string, T[]> Joined<T>(Dictionary<string, T[]> known, IEnumerable<T> more, Func<T, string> of, Func<T, LocalDate> from)
    {
        var joined = new Dictionary<string, T[]>(known);
        foreach (var group in more.GroupBy(of)) joined[group.Key] = [.. known.GetValueOrDefault(group.Key, []).Concat(group).OrderBy(from)];
        return joined;
    }

    private static Price? Last(Price[] all, LocalDate day, string? supplier)
    {
        for (var at = all.Length - 1; at >= 0; at--)
            if (all[at].ValidFrom <= day && (supplier is null || all[at].Supplier == supplier)) return all[at];
        return null;
    }
}
