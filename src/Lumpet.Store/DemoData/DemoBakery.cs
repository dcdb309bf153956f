using System.Data;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Lumpet.Core;
using Lumpet.Core.Bakery;
using Lumpet.Core.Buying;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Labels;
using Lumpet.Core.Measures;
using Lumpet.Core.Orders;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Stock;
using Lumpet.Store.Bakery;
using Lumpet.Store.Buying;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Labels;
using Lumpet.Store.Orders;
using Lumpet.Store.Prices;
using Lumpet.Store.Recipes;
using Lumpet.Store.Stock;
using NodaTime;
using NodaTime.Text;

namespace Lumpet.Store.DemoData;

/// <summary>
/// Tern Quay Bakehouse, a made-up harbour bakery before the first day of its Lantern Fair. Its data are the JSON files
/// beside this one, written as a person would type them and read by the same readers; they are only ever put into a new
/// database.
/// </summary>
public static class DemoBakery
{
    private static readonly JsonSerializerOptions Format = new(JsonSerializerDefaults.Web);

    /// <summary>
    /// The fair's day: the next one whose afternoon shift, the day before at noon, is still to come, so that the whole
    /// plan lies ahead when the demo is started.
    /// </summary>
    public static LocalDate FairDay(LocalDateTime localNow) => localNow.Date.PlusDays(localNow.Hour < 12 ? 1 : 2);

    /// <summary>Fills a new database.</summary>
    /// <param name="database">A database in which no bakery is described yet.</param>
    /// <param name="zone">The bakery's time zone.</param>
    /// <param name="localNow">The bakery's clock.</param>
    /// <exception cref="InvalidDataException">The demo data do not hold together; the message says where.</exception>
    /// <returns>Whether it was filled; a database in which a bakery is described already is left as it is.</returns>
    public static bool Fill(Database database, DateTimeZone zone, LocalDateTime localNow)
    {
        return database.Write(transaction =>
        {
            if (BakeryWriter.Version(transaction.Connection) != 0 || RecipeFinder.Count(transaction.Connection) > 0) return false;
            IngredientWriter.AddShipped(transaction);
            var (bakery, pans) = Bakery(transaction, zone);
            Prices(transaction, bakery.Currency, localNow.Date);
            var savedAt = localNow.InZoneLeniently(zone).ToInstant();
            var doughs = Doughs(transaction, savedAt);
            Ingredient[] known = [.. IngredientLibrary.All, .. doughs.Select(dough => dough.AsIngredient())];
            known = [.. known, .. Made(transaction, bakery.Currency, localNow.Date, known)];
            var products = Products(transaction, bakery, pans, ShellsMadeHere.With(doughs, known), known, savedAt);
            foreach (var order in Read("orders"))
            {
                var pickUp = FairDay(localNow).PlusDays(order["day"]?.GetValue<int>() ?? 0).At(PickUpText.Clock.Parse(Text(order, "at")).Value);
                OrderStore.Add(transaction, new OrderLine(Text(order, "product"), Text(order, "pan"), order["count"]!.GetValue<int>(), pickUp, Text(order, "for")), zone);
            }

            foreach (var written in Read("standing-orders"))
            {
                var (standing, faults) = StandingOrderReader.Read(
                    written.Deserialize<StandingOrderDraft>(Format)! with { From = LocalDatePattern.Iso.Format(FairDay(localNow).PlusDays(2)) }, products, localNow.Date);
                Check("standing-orders", faults);
                StandingOrderStore.Add(transaction, standing);
            }

            foreach (var written in Read("made-already"))
            {
                var at = localNow.Date.PlusDays(-written["daysAgo"]!.GetValue<int>()).At(PickUpText.Clock.Parse(Text(written, "at")).Value);
                var (made, faults) = MadeAlreadyReader.Read(
                    written.Deserialize<MadeAlreadyDraft>(Format)! with { MadeAt = PickUpText.Written.Format(at) }, IngredientStore.All(transaction.Connection), products, localNow);
                Check("made-already", faults);
                MadeAlreadyStore.Add(transaction, made!, savedAt);
            }

            foreach (var written in Read("suppliers"))
            {
                var (terms, faults) = SupplierTermsReader.Read(written.Deserialize<SupplierTermsDraft>(Format)!, Text(written, "supplier"));
                Check("suppliers", faults);
                BuyingStore.State(transaction, terms!, 0);
            }

            foreach (var written in Read("labels")) Label(transaction, written);
            foreach (var written in Read("shelves")) Shelve(transaction, written, bakery.Currency, localNow, zone);

            return true;
        });
    }

    private static (BakeryRecord Bakery, IReadOnlyList<Pan> Pans) Bakery(Transaction transaction, DateTimeZone zone)
    {
        var draft = Parse("bakery").Deserialize<BakeryDraft>(Format)! with { Zone = zone.Id };
        var (read, pans, faults) = BakeryReader.Read(draft);
        Check("bakery", faults);
        BakeryWriter.Save(transaction, read!, pans, 0);
        return (read!, pans);
    }

    /// <summary>Words of an ingredient for labels, or what is stated of a product in a pan.</summary>
    private static void Label(Transaction transaction, JsonNode written)
    {
        if (written["ingredient"] is not null)
        {
            LabelStore.Say(transaction, Text(written, "ingredient"), Text(written, "words"), 0);
            return;
        }

        var (stated, faults) = LabelStatementReader.Read(written.Deserialize<LabelStatementDraft>(Format)!);
        Check("labels", faults);
        LabelStore.State(transaction, Text(written, "product"), Text(written, "pan"), stated!, 0);
    }

    /// <summary>A lot that came some days ago, of which some has been used since.</summary>
    private static void Shelve(Transaction transaction, JsonNode written, string currency, LocalDateTime localNow, DateTimeZone zone)
    {
        var came = localNow.Date.PlusDays(-written["daysAgo"]!.GetValue<int>()).At(Delivered);
        var draft = written.Deserialize<StockReceiptDraft>(Format)! with
        {
            UseBy = written["useByDays"] is { } days ? LocalDatePattern.Iso.Format(localNow.Date.PlusDays(days.GetValue<int>())) : null,
        };
        var ingredients = IngredientStore.All(transaction.Connection);
        var (lot, faults) = StockReceiptReader.Read(draft, Guid.NewGuid(), ingredients, currency, came);
        Check("shelves", faults);
        StockWriter.Add(transaction, lot!, isMade: false, StockEntryKind.Received, came.InZoneLeniently(zone).ToInstant());
        if (written["usedKg"] is not { } used) return;
        var (change, wrong) = LotChangeReader.Read(new LotChangeDraft("used", Kilograms: used.GetValue<double>()), lot!, null, Guid.NewGuid(), localNow);
        Check("shelves", wrong);
        StockWriter.Enter(transaction, StockEntryKind.Used, localNow.Date.PlusDays(-1).At(Delivered).InZoneLeniently(zone).ToInstant(), "baked since it came", [new TracedMovement(lot!.Id, change!.Change)]);
    }

    private static readonly LocalTime Delivered = new(8, 30);

    private static void Prices(Transaction transaction, string currency, LocalDate today)
    {
        foreach (var ingredient in Read("ingredients"))
            foreach (var price in ingredient["prices"]!.AsArray())
                PriceWriter.Add(transaction, Row(Text(ingredient, "id"), price!, currency, today), becomesUsual: price!["usual"]?.GetValue<bool>() ?? true);
    }

    private static Price Row(string ingredient, JsonNode price, string currency, LocalDate today)
    {
        // As its supplier says it, or by weight or count.
        var pack = price["pack"] is { } said ? PackSize.Read(said.GetValue<string>()).Pack!
            : price["packPieces"] is { } pieces ? new PackSize(pieces.GetValue<decimal>(), PackUnit.Piece, string.Empty)
            : new PackSize(price["packGrams"]!.GetValue<decimal>(), PackUnit.Gram, string.Empty);
        return new Price(ingredient, Text(price, "supplier"), pack.Amount, pack.Unit, new Money(price["paid"]!.GetValue<decimal>(), currency), today.PlusDays(-price["daysAgo"]!.GetValue<int>())) { PackSaid = pack.Said };
    }

    /// <summary>What the bakery makes itself.</summary>
    private static List<Ingredient> Made(Transaction transaction, string currency, LocalDate today, Ingredient[] known)
    {
        var made = new List<Ingredient>();
        foreach (var written in Read("ingredients").Where(one => one["madeOf"] is not null))
        {
            var id = Text(written, "id");
            var usual = written["usual"] is { } kind ? UsualMakings.For(Naming.Known<PreparationKind>(kind.GetValue<string>())) : null;
            var draft = Over<IngredientDraft>(null, written) with { Price = null, Making = written["making"] is { } making ? Over(usual, making) : usual };
            var (ingredient, _, faults) = IngredientReader.Read(id, draft, currency, today, new Pantry([.. known, .. made]));
            Check($"ingredient {id}", faults);
            IngredientWriter.Add(transaction, [ingredient!]);
            made.Add(ingredient!);
        }

        return made;
    }

    private static List<DoughFormula> Doughs(Transaction transaction, Instant savedAt)
    {
        var doughs = new List<DoughFormula>();
        foreach (var written in Read("doughs"))
        {
            var id = Text(written, "id");
            var draft = Over(UsualDoughs.All.FirstOrDefault(usual => usual.Name == Text(written, "usual")), written);
            var (dough, fresh, faults) = DoughReader.Read(draft, id, 1, IngredientLibrary.All);
            Check($"dough {id}", faults);
            RecipeWriter.Save(transaction, dough!, fresh, savedAt);
            doughs.Add(dough!);
        }

        return doughs;
    }

    private static List<Product> Products(
        Transaction transaction, BakeryRecord bakery, IReadOnlyList<Pan> pans, IReadOnlyList<DoughFormula> doughs, IReadOnlyList<Ingredient> known, Instant savedAt)
    {
        var products = new List<Product>();
        foreach (var written in Read("products"))
        {
            var id = Text(written, "id");
            var usual = UsualProducts.All.First(usual => usual.Id == Text(written, "usual"));
            var draft = Over(usual.Draft, written);
            if (written["steps"] is null) draft = WithUsualSteps(draft);
            var (product, fresh, faults) = ProductReader.Read(draft, id, 1, bakery.Currency, pans, doughs, known, []);
            Check($"product {id}", faults);
            RecipeWriter.Save(transaction, product!, fresh, savedAt);
            products.Add(product!);
        }

        return products;
    }

    /// <summary>The steps that go with what was chosen.</summary>
    private static ProductDraft WithUsualSteps(ProductDraft draft)
    {
        var (kind, top) = (Naming.Known<FillingKind>(draft.Layers![0]!.FillingKind!), Naming.Known<Top>(draft.Top!));
        var lining = Naming.Known<Lining>(draft.Lining!);
        var (steps, links) = UsualChains.For(kind, Naming.Known<BaseTreatment>(draft.BaseTreatment!), top, lining);
        return draft with { Steps = steps, Links = links };
    }

    private static readonly string[] Texts = ["packaging", "lines", "madeOf", "handwork"];

    /// <summary>What is written, over what it leaves out. A list of lines is a text of one line each.</summary>
    private static T Over<T>(T? usual, JsonNode written)
        where T : class
    {
        var whole = usual is null ? [] : JsonSerializer.SerializeToNode(usual, Format)!.AsObject();
        foreach (var (field, value) in Joined(written)!.AsObject()) whole[field] = value?.DeepClone();
        return whole.Deserialize<T>(Format)!;
    }

    private static JsonNode? Joined(JsonNode? node, string field = "") => node switch
    {
        JsonArray list when (list.Count > 0 || Texts.Contains(field)) && list.All(item => item is JsonValue) => JsonValue.Create(string.Join('\n', list.Select(item => item!.GetValue<string>()))),
        JsonArray list => new JsonArray([.. list.Select(item => Joined(item))]),
        JsonObject parts => new JsonObject(parts.Select(part => KeyValuePair.Create(part.Key, Joined(part.Value, part.Key)))),
        _ => node?.DeepClone(),
    };

    private static void Check(string what, IReadOnlyList<FieldFault> faults)
    {
        if (faults.Count > 0) throw new InvalidDataException($"The demo's {what}: {string.Join("; ", faults.Select(fault => $"{fault.Field}: {fault.Message}"))}");
    }

    private static JsonNode Parse(string name)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"Lumpet.Store.DemoData.{name}.json")!;
        return JsonNode.Parse(stream, documentOptions: new JsonDocumentOptions { CommentHandling = JsonCommentHandling.Skip })!;
    }

    private static IEnumerable<JsonNode> Read(string name) => Parse(name).AsArray().OfType<JsonNode>();

    private static string Text(JsonNode node, string field) => node[field]?.GetValue<string>() ?? string.Empty;
}
