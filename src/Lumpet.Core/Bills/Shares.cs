namespace Lumpet.Core.Bills;

/// <summary>Shares something out so that the shares add up to it exactly.</summary>
internal static class Shares
{
    /// <summary>Decimals to which shares are kept: far below any coin, and few enough that sums of them are exact.</summary>
    public const int Decimals = 12;

    /// <summary>An amount to as many decimals as shares have.</summary>
    public static decimal Kept(decimal amount) => Math.Round(amount, Decimals);

    /// <summary>Shares an amount in proportion to weights; what rounding leaves goes to the last. Nothing where there is no weight at all.</summary>
    /// <param name="whole">What is shared, with at most so many decimals.</param>
    /// <param name="weights">Who has how much of it, none below zero.</param>
    public static IReadOnlyDictionary<string, decimal> Of(decimal whole, IEnumerable<KeyValuePair<string, decimal>> weights)
    {
        var held = weights.Where(one => one.Value > 0).GroupBy(one => one.Key).Select(group => (Who: group.Key, Weight: group.Sum(one => one.Value))).ToArray();
        var all = held.Sum(one => one.Weight);
        var (shares, left) = (new Dictionary<string, decimal>(), whole);
        foreach (var (who, weight) in held)
        {
            var share = who == held[^1].Who ? left : Kept(whole * weight / all);
            shares[who] = share;
            left -= share;
        }

        return shares;
    }
}
