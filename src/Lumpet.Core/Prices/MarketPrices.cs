using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using NodaTime;

namespace Lumpet.Core.Prices;

/// <summary>
/// Prices that a market might ask: by season, by a walk that comes back to where it began, and by shocks that fade. The same
/// article costs the same on the same day whenever it is asked.
/// </summary>
/// <remarks>A model for trying things out, not a forecast; its figures are our own (common practice, no source).</remarks>
public static class MarketPrices
{
    private static readonly LocalDate FirstMonday = new(2020, 1, 6);

    // A week moves a price by two per cent up or down, and a twentieth of the way back to its mean is made up.
    private const double Weekly = 0.02;
    private const double Back = 0.05;

    // Once in sixty weeks or so something happens: a frost, a strike. It lifts the price by 8 to 25 %, and half of that is gone after ten weeks.
    private const double ShockEachWeek = 1 / 60.0;
    private const double LeastShock = 0.08;
    private const double MostShock = 0.25;
    private const double HalfGoneAfterWeeks = 10;

    /// <summary>What an article costs on a day, from what it cost on another.</summary>
    /// <param name="known">A price that was really asked.</param>
    /// <param name="role">What it is, for its season.</param>
    /// <param name="day">The day, not before 2020; prices change on Mondays.</param>
    /// <returns>The price of the same pack, in whole coins of its currency, at least one.</returns>
    public static Money On(Price known, IngredientRole role, LocalDate day)
    {
        // What is given away stays a gift.
        if (known.Paid.Amount == 0) return known.Paid;
        var paid = (double)known.Paid.Amount * Level(known.IngredientId, role, day) / Level(known.IngredientId, role, known.ValidFrom);
        var coin = Money.SmallestCoin(known.Paid.Currency);
        return known.Paid with { Amount = Math.Max(coin, Math.Round((decimal)paid / coin, MidpointRounding.ToEven) * coin) };
    }

    private static double Level(string article, IngredientRole role, LocalDate day)
    {
        var weeks = Math.Max(0, Period.DaysBetween(FirstMonday, day) / 7);
        var (walk, shock) = (0.0, 0.0);
        for (var week = 0; week <= weeks; week++)
        {
            walk += (Weekly * ((2 * Chance(article, week, 1)) - 1)) - (Back * walk);
            shock *= Math.Pow(0.5, 1 / HalfGoneAfterWeeks);
            if (Chance(article, week, 2) < ShockEachWeek) shock += LeastShock + ((MostShock - LeastShock) * Chance(article, week, 3));
        }

        return Season(role, FirstMonday.PlusWeeks(weeks)) * Math.Exp(walk) * (1 + shock);
    }

    /// <summary>Fruit is cheapest in September, eggs and butter in May.</summary>
    private static double Season(IngredientRole role, LocalDate day)
    {
        var (swing, cheapest) = role switch
        {
            IngredientRole.Fruit => (0.15, 255),
            IngredientRole.Egg or IngredientRole.Fat => (0.05, 135),
            _ => (0.0, 0),
        };
        return 1 - (swing * Math.Cos(2 * Math.PI * (day.DayOfYear - cheapest) / 365.25));
    }

    /// <summary>A number from 0 to 1 that is always the same for the same article, week and use (FNV-1a with a final mix, both from memory).</summary>
    private static double Chance(string article, int week, int use)
    {
        var hash = 14695981039346656037UL;
        foreach (var one in article) hash = (hash ^ one) * 1099511628211UL;
        hash = (hash ^ (ulong)week) * 1099511628211UL;
        hash = (hash ^ (ulong)use) * 1099511628211UL;
        hash ^= hash >> 33;
        hash *= 0xff51afd7ed558ccdUL;
        hash ^= hash >> 33;
        return (hash >> 11) / (double)(1UL << 53);
    }
}
