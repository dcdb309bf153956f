using System.Data;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using Lumpet.Core.Orders;
using Lumpet.Store.Orders;
using Microsoft.Data.Sqlite;

namespace Lumpet.Store.DemoData;

/// <summary>
/// Tern Quay Bakehouse, a made-up harbour bakery before the first day of its Lantern Fair. Its data are the JSON files
/// beside this one; they are only ever put into a new database.
/// </summary>
public static class DemoBakery
{
    private static readonly JsonDocumentOptions Relaxed = new() { CommentHandling = JsonCommentHandling.Skip };

    /// <summary>
    /// The fair's day: the next one whose afternoon shift, the day before at noon, is still to come, so that the whole
    /// plan lies ahead when the demo is started.
    /// </summary>
    public static DateOnly FairDay(DateTime localNow) => DateOnly.FromDateTime(localNow).AddDays(localNow.Hour < 12 ? 1 : 2);

    /// <summary>Fills a new database.</summary>
    /// <param name="database">A database that was just created.</param>
    /// <param name="zone">The bakery's time zone.</param>
    /// <param name="localNow">The bakery's clock.</param>
    public static void Fill(Database database, TimeZoneInfo zone, DateTime localNow)
    {
        database.Write((connection, transaction) =>
        {
            var writer = new Writer(connection, transaction);
            writer.Bakery(Read("bakery"), zone);
            writer.Ingredients(Read("ingredients"), DateOnly.FromDateTime(localNow));
            writer.Doughs(Read("doughs"));
            writer.Products(Read("products"));
            return true;
        });
        foreach (var order in Read("orders").EnumerateArray())
        {
            var pickUp = FairDay(localNow).ToDateTime(TimeOnly.ParseExact(Text(order, "at"), "HH:mm", CultureInfo.InvariantCulture));
            var line = new OrderLine(Text(order, "product"), Text(order, "pan"), order.GetProperty("count").GetInt32(), pickUp, Text(order, "for"));
            OrderStore.Add(database, line, zone, idempotencyKey: null);
        }
    }

    private static JsonElement Read(string name)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"Lumpet.Store.DemoData.{name}.json")!;
        using var document = JsonDocument.Parse(stream, Relaxed);
        return document.RootElement.Clone();
    }

    private static string Text(JsonElement element, string field) =>
        element.TryGetProperty(field, out var value) ? value.GetString()! : string.Empty;

    private static double Number(JsonElement element, string field) =>
        element.TryGetProperty(field, out var value) ? value.GetDouble() : 0;

    private static JsonElement[] List(JsonElement element, string field) =>
        element.TryGetProperty(field, out var value) ? [.. value.EnumerateArray()] : [];

    private static JsonElement? Optional(JsonElement element, string field) =>
        element.TryGetProperty(field, out var value) ? value : null;

    private sealed class Writer(SqliteConnection connection, IDbTransaction transaction)
    {
        public void Bakery(JsonElement bakery, TimeZoneInfo zone)
        {
            var mixer = bakery.GetProperty("mixer");
            Insert("bakery", new
            {
                id = 1,
                name = Text(bakery, "name"),
                zone = zone.Id,
                currency = Text(bakery, "currency"),
                tolerance_c = (int)Number(bakery, "toleranceC"),
                transfer_min = (int)Number(bakery, "transferMin"),
                spare_min = (int)Number(bakery, "spareMin"),
                mixer_name = Text(mixer, "name"),
                mixer_smallest_g = Number(mixer, "smallestGrams"),
                mixer_largest_g = Number(mixer, "largestGrams"),
            });
            foreach (var shift in List(bakery, "shifts"))
                Insert("shift", new
                {
                    name = Text(shift, "name"),
                    day_offset = (int)Number(shift, "dayOffset"),
                    start_minute = (int)TimeOnly.ParseExact(Text(shift, "start"), "HH:mm", CultureInfo.InvariantCulture).ToTimeSpan().TotalMinutes,
                    length_min = (int)Number(shift, "lengthMin"),
                });
            foreach (var (oven, position) in List(bakery, "ovens").Select((oven, position) => (oven, position)))
                Insert("oven", new
                {
                    id = Text(oven, "id"),
                    position,
                    name = Text(oven, "name"),
                    shelves = (int)Number(oven, "shelves"),
                    min_c = (int)Number(oven, "minC"),
                    max_c = (int)Number(oven, "maxC"),
                    heat_c_per_min = (int)Number(oven, "heatCPerMin"),
                    cool_c_per_min = (int)Number(oven, "coolCPerMin"),
                    dial_offset_c = (int)Number(oven, "dialOffsetC"),
                });
            foreach (var (pan, position) in List(bakery, "pans").Select((pan, position) => (pan, position)))
                Insert("pan", new
                {
                    id = Text(pan, "id"),
                    position,
                    name = Text(pan, "name"),
                    top_cm = Number(pan, "topCm"),
                    bottom_cm = Number(pan, "bottomCm"),
                    depth_cm = Number(pan, "depthCm"),
                    rim_cm = Number(pan, "rimCm"),
                    per_tray = (int)Number(pan, "perTray"),
                });
        }

        public void Ingredients(JsonElement ingredients, DateOnly today)
        {
            foreach (var ingredient in ingredients.EnumerateArray())
            {
                var id = Text(ingredient, "id");
                Insert("ingredient", new { id, name = Text(ingredient, "name") });
                foreach (var allergen in List(ingredient, "allergens"))
                    Insert("ingredient_allergen", new { ingredient_id = id, allergen = allergen.GetString() });
                foreach (var yield in List(ingredient, "yields"))
                    Insert("ingredient_yield", new { ingredient_id = id, preparation = Text(yield, "preparation"), share = Number(yield, "share"), source = Text(yield, "source") });
                foreach (var price in List(ingredient, "prices"))
                    Insert("price", new
                    {
                        ingredient_id = id,
                        supplier = Text(price, "supplier"),
                        pack_amount = (Optional(price, "packGrams") ?? price.GetProperty("packPieces")).GetRawText(),
                        pack_unit = Optional(price, "packGrams") is null ? "piece" : "g",
                        paid = price.GetProperty("paid").GetRawText(),
                        currency = "EUR",
                        valid_from = today.AddDays(-(int)Number(price, "daysAgo")).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                    });
            }
        }

        public void Doughs(JsonElement doughs)
        {
            foreach (var dough in doughs.EnumerateArray())
            {
                var (id, rest) = (Text(dough, "id"), dough.GetProperty("rest"));
                Insert("dough", new
                {
                    id,
                    name = Text(dough, "name"),
                    version = 1,
                    density = Number(dough, "density"),
                    bowl_loss_share = Number(dough, "bowlLossShare"),
                    mix_min = (int)Number(dough, "mixMin"),
                    rest_least = (int)Number(rest, "least"),
                    rest_aim = (int)Number(rest, "aim"),
                    rest_most = (int)Number(rest, "most"),
                    ready_when = Text(dough, "readyWhen"),
                    caution = Text(dough, "caution"),
                });
                foreach (var (line, position) in List(dough, "lines").Select((line, position) => (line, position)))
                    Insert("dough_line", new { dough_id = id, position, ingredient_id = Text(line, "ingredient"), preparation = Text(line, "preparation"), grams = Number(line, "grams") });
            }
        }

        public void Products(JsonElement products)
        {
            foreach (var (product, position) in products.EnumerateArray().Select((product, position) => (product, position)))
            {
                var id = Text(product, "id");
                Insert("product", new
                {
                    id,
                    position,
                    name = Text(product, "name"),
                    version = 1,
                    dough_id = Text(product, "dough"),
                    top = Text(product, "top"),
                    thickness_mm = Number(product, "thicknessMm"),
                    base_overhang_cm = Number(product, "baseOverhangCm"),
                    top_overhang_cm = Number(product, "topOverhangCm"),
                    trim_share = Number(product, "trimShare"),
                    strip_width_cm = Number(product, "stripWidthCm"),
                    strip_gap_cm = Number(product, "stripGapCm"),
                    packed_density = Number(product, "packedDensity"),
                    bake_change_cm = Number(product, "bakeChangeCm"),
                    reference_pan_id = Text(product, "referencePan"),
                    oldest_min = (int)Number(product, "oldestMin"),
                });
                foreach (var alias in List(product, "aliases")) Insert("product_alias", new { product_id = id, alias = alias.GetString() });
                foreach (var part in (string[])["filling", "finish"])
                    foreach (var (line, at) in List(product, part).Select((line, at) => (line, at)))
                        Insert("product_line", new { product_id = id, part, position = at, ingredient_id = Text(line, "ingredient"), preparation = Text(line, "preparation"), grams = Number(line, "grams") });
                foreach (var item in List(product, "packaging")) Insert("product_packaging", new { product_id = id, ingredient_id = item.GetString() });
                foreach (var (size, at) in List(product, "sizes").Select((size, at) => (size, at)))
                    Insert("product_size", new { product_id = id, pan_id = Text(size, "pan"), position = at, price = Optional(size, "price")?.GetRawText() });
                Steps(product, id);
            }
        }

        private void Steps(JsonElement product, string id)
        {
            foreach (var (step, position) in List(product, "steps").Select((step, position) => (step, position)))
            {
                var (stepId, hands, wait) = (Text(step, "id"), Optional(step, "hands"), Optional(step, "wait"));
                Insert("product_step", new
                {
                    product_id = id,
                    id = stepId,
                    position,
                    name = Text(step, "name"),
                    station = Text(step, "station"),
                    hands_per_batch = hands is { } batch ? (int?)Number(batch, "perBatch") : null,
                    hands_per_pie = hands is { } pie ? (double?)Number(pie, "perPie") : null,
                    wait_least = wait is { } least ? (int?)Number(least, "least") : null,
                    wait_aim = wait is { } aim ? (int?)Number(aim, "aim") : null,
                    wait_most = wait is { } most ? (int?)Number(most, "most") : null,
                    celsius = Optional(step, "celsius") is { } celsius ? (int?)celsius.GetInt32() : null,
                    uses_dough = Optional(step, "usesDough")?.GetBoolean() == true ? 1 : 0,
                    ready_when = Text(step, "readyWhen"),
                    caution = Text(step, "caution"),
                });
                foreach (var (stage, at) in List(step, "stages").Select((stage, at) => (stage, at)))
                    Insert("product_stage", new { product_id = id, step_id = stepId, number = at + 1, temp_c = (int)Number(stage, "tempC"), min_min = (int)Number(stage, "least"), max_min = (int)Number(stage, "most") });
            }

            foreach (var link in List(product, "links"))
                Insert("product_link", new { product_id = id, before = Text(link, "from"), after = Text(link, "to"), least = (int)Number(link, "least"), most = (int)Number(link, "most") });
        }

        private void Insert(string table, object row) => Rows.Insert(connection, transaction, table, row);
    }
}
