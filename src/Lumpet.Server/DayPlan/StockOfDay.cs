using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Steps;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>What is made already, on the clock of a day.</summary>
internal static class StockOfDay
{
    /// <summary>What is there, and of what by the ingredient's id; what its recipe knows no more is left out.</summary>
    /// <param name="connection">Where it is read.</param>
    /// <param name="clock">The day's clock.</param>
    /// <param name="today">The day by the bakery's clock.</param>
    /// <param name="days">The day, and days before whose plans take their part of it first: what is entered of theirs is taken by their plans.</param>
    public static (DayStock Stock, IReadOnlyDictionary<string, Ingredient> There) Read(SqliteConnection connection, PlanClock clock, LocalDate today, IReadOnlyCollection<LocalDate> days)
    {
        var all = MadeAlreadyStore.AsOf(connection, today, days);
        if (all.Count == 0) return (DayStock.None, new Dictionary<string, Ingredient>());
        var ingredients = all.Any(one => one.Entry is MadeMass) ? IngredientStore.All(connection) : null;
        var products = RecipeStore.Products(connection, [.. all.Select(one => one.Entry).OfType<MadePies>().Select(pies => pies.Product).Distinct()]).ToDictionary(product => product.Id);
        var stock = new DayStock(
        [
            .. from one in all
               where one.Entry is MadeMass
               let mass = (MadeMass)one.Entry
               let keeps = MadeKeeps.Of(ingredients![mass.Made], mass.Place)
               where keeps is not null
               let made = clock.MinuteOf(mass.MadeAt)
               select new StockedMass(Name(one), mass.Made, mass.Mass, mass.Place, made + keeps.ReadyAfterMin, Until(made, keeps), keeps.ThawMin),
        ],
        [
            .. from one in all
               where one.Entry is MadePies
               let pies = (MadePies)one.Entry
               let product = products[pies.Product]
               let keeps = MadeKeeps.Of(product, pies.Pan, pies.After)
               where keeps is not null
               let made = clock.MinuteOf(pies.MadeAt)
               select new StockedPies(Name(one), pies.Product, pies.Pan, pies.Count, PartDone.By(product.Process, pies.After, made), product.Process.Steps[^1].Id == pies.After, pies.Place, Until(made, keeps)),
        ]);
        return (stock, stock.Masses.Select(mass => mass.MadeId).Distinct().ToDictionary(id => id, id => ingredients![id]));
    }

    /// <summary>Its name among all that is there.</summary>
    public static string Name(StoredMade one) => one.Id.ToString("N");

    private static int Until(int made, MadeKeeps keeps) => (int)Math.Min(int.MaxValue / 4, (long)made + keeps.GoodForMin);
}
