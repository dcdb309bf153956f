using System.Globalization;
using System.Text.Json;
using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using NodaTime.Text;

namespace Lumpet.Store.Stock;

/// <summary>Lots of the shelves as rows, both ways.</summary>
internal static class StockRows
{
    /// <summary>Everything of a lot, for <see cref="LotRow"/>.</summary>
    public const string Columns =
        """
        SELECT id, ingredient_id AS ingredientId, dough_id AS doughId, product_id AS productId, pan_id AS panId, after_step AS afterStep, unit, amount, is_made AS isMade, code, supplier, use_by AS useBy,
               place, shelf, since, pack, pack_said AS packSaid, paid, currency, part_of AS partOf, is_open AS isOpen, for_day AS forDay, batch, note, row_version AS rowVersion, rowid AS number
        FROM stock_lot
        """;

    /// <summary>The lot of a row.</summary>
    public static StoredLot Read(LotRow row)
    {
        var unit = Naming.Known<StockUnit>(row.Unit);
        StockThing thing = row.ProductId is { } product
            ? new StockedPie(product, row.PanId!, row.AfterStep!)
            : new StockedGoods(row.DoughId is { } dough ? Ingredient.DoughPrefix + dough : row.IngredientId!);
        var lot = new StockLot(Guid.Parse(row.Id), thing, row.Code, new StockAmount(row.Amount, unit), Naming.Known<KeepPlace>(row.Place))
        {
            Shelf = row.Shelf,
            UseBy = Day(row.UseBy),
            Since = PickUpText.Read(row.Since)!.Value,
            Supplier = row.Supplier,
            Pack = row.Pack is { } pack ? new StockAmount(pack, unit) : null,
            PackSaid = row.PackSaid,
            PaidForPack = row.Paid is { } paid ? new Money(decimal.Parse(paid, CultureInfo.InvariantCulture), row.Currency!) : null,
            PartOf = row.PartOf is { } part ? Guid.Parse(part) : null,
            IsOpen = row.IsOpen != 0,
            ForDay = Day(row.ForDay),
            Batch = row.Batch,
            Note = row.Note,
        };
        return new StoredLot(lot, row.IsMade != 0, row.RowVersion, row.Number);
    }

    /// <summary>What an id of an ingredient is kept as: a dough by its own id, all else by the ingredient's.</summary>
    public static (string? Ingredient, string? Dough) Ids(StockThing thing) => thing switch
    {
        StockedGoods { Id: var id } when Ingredient.IsDoughId(id) => (null, id[Ingredient.DoughPrefix.Length..]),
        StockedGoods { Id: var id } => (id, null),
        _ => (null, null),
    };

    /// <summary>A day as it is kept.</summary>
    public static string? Written(NodaTime.LocalDate? day) => day is { } known ? LocalDatePattern.Iso.Format(known) : null;

    /// <summary>The values of a list that is given as one parameter named "some": a list of thousands is asked for in one go.</summary>
    public const string Among = "(SELECT value FROM json_each(@some))";

    /// <summary>A list as one parameter, for <see cref="Among"/>.</summary>
    public static string List<T>(IEnumerable<T> values) => JsonSerializer.Serialize(values);

    /// <summary>A lot's name as it is kept.</summary>
    public static string Key(Guid id) => id.ToString("D");

    private static NodaTime.LocalDate? Day(string? text) => text is null ? null : LocalDatePattern.Iso.Parse(text).Value;
}

/// <summary>A lot as a row.</summary>
internal sealed record LotRow(
    string Id,
    string? IngredientId,
    string? DoughId,
    string? ProductId,
    string? PanId,
    string? AfterStep,
    string Unit,
    long Amount,
    long IsMade,
    string Code,
    string? Supplier,
    string? UseBy,
    string Place,
    string Shelf,
    string Since,
    long? Pack,
    string PackSaid,
    string? Paid,
    string? Currency,
    string? PartOf,
    long IsOpen,
    string? ForDay,
    string? Batch,
    string Note,
    long RowVersion,
    long Number);
