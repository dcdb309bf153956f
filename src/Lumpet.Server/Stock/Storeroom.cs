using Lumpet.Core.Recipes;
using Lumpet.Core.Stock;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Stock;
using Microsoft.Data.Sqlite;

namespace Lumpet.Server.Stock;

/// <summary>Everything that lies on the shelves, with what is needed to tell of it.</summary>
/// <param name="Lots">What is there; what is made here with its last day by its recipe.</param>
/// <param name="Names">Names of it.</param>
/// <param name="IsCounted">Whether a thing is kept on the books.</param>
internal sealed record Storeroom(IReadOnlyList<StoredLot> Lots, ThingNames Names, Func<StockThing, bool> IsCounted)
{
    /// <summary>Reads it.</summary>
    /// <param name="connection">Where it is read.</param>
    /// <param name="products">All products.</param>
    public static Storeroom Read(SqliteConnection connection, IReadOnlyList<Product> products)
    {
        var names = new ThingNames(IngredientStore.All(connection), products);
        return new Storeroom(
            [.. StockStore.Lots(connection).Select(stored => ShelfWords.WithLastDay(stored, names.Keeps(stored.Lot)))],
            names,
            ThingNames.IsCounted(StockStore.Counted(connection)));
    }

    /// <summary>What plans keep of it, and what they miss.</summary>
    /// <param name="planned">The days whose plans take of it.</param>
    public Reservations Kept(IReadOnlyList<DayOfBatches> planned)
    {
        StockLot[] lots = [.. Lots.Select(stored => stored.Lot)];
        return Reservations.Of(lots, planned.SelectMany(day => day.Needs(IsCounted, lots)));
    }
}
