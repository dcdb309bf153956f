using Lumpet.Core;
using Lumpet.Core.Labels;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Core.Safety;
using Lumpet.Core.Stock;
using Lumpet.Server.Bakery;
using Lumpet.Server.Faults;
using Lumpet.Store.Bakery;
using Lumpet.Store.Labels;
using Lumpet.Store.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.Labels;

/// <summary>A label with what it follows from.</summary>
internal sealed record LabelPage(ScaledProduct Pie, LabelRequest Request, LabelStatement Stated, long Version, IReadOnlyDictionary<string, (string Words, long RowVersion)> Words, StockLot? Lot, PieLabel Label, DateTimeZone Zone)
{
    /// <summary>What stands in the way of using it.</summary>
    public IReadOnlyList<string> InTheWay => PieLabel.InTheWay(Pie, Stated, Plain(Words));

    /// <summary>Why there is no label of a product in a pan.</summary>
    public static ProblemHttpResult Nothing() => TypedResults.Problem(title: "There is no such product in such a pan.", statusCode: 404);

    /// <summary>Opens a label, or answers why there is none.</summary>
    public static (LabelPage? Page, ValidationProblem? Refused, ProblemHttpResult? Nothing) Open(
        SqliteConnection connection, string product, string pan, PrintLabelsRequest asked, BakeryClock clock, IReadOnlyList<Product> products)
    {
        if (BakeryStore.Find(connection) is not { } bakery) return (null, Days.NoBakery(), null);
        if (products.FirstOrDefault(one => one.Id == product) is not { } found || found.SizeIn(pan) is not { } size) return (null, null, Nothing());
        var faults = new List<FieldFault>();
        var manner = string.IsNullOrEmpty(asked.Manner) ? LabelManner.EuropeanUnion : Naming.Read<LabelManner>(asked.Manner);
        if (manner is null) faults.Add(new FieldFault("manner", "A label is written by the manners of europeanUnion or unitedStates."));
        var lot = asked.Lot is { } id ? StockStore.Find(connection, id)?.Lot : null;
        if (asked.Lot is not null && (lot?.Thing is not StockedPie pies || pies.Product != product || pies.Pan != pan)) faults.Add(new FieldFault("lot", "There is no such lot of these pies."));
        var made = lot is not null ? lot.Since.Date : string.IsNullOrEmpty(asked.Made) ? clock.Today(bakery.Zone) : Days.Read(asked.Made);
        if (made is not { } day || day < clock.Today(bakery.Zone).PlusDays(-LabelStatement.MostDays) || day > clock.Today(bakery.Zone).PlusDays(LabelStatement.MostDays)) faults.Add(new FieldFault("made", $"It was made within {LabelStatement.MostDays} days: 2026-12-24."));
        if (faults.Count > 0) return (null, FieldProblems.Of(faults), null);
        var words = LabelStore.Words(connection);
        var pie = Scaling.Scale(found, size.Pan, 1);
        var kept = LabelStore.Statement(connection, product, pan);
        var stated = kept?.Statement ?? LabelStatement.Usual(TimeAndTemperature.Needs(found).Count > 0);
        var request = new LabelRequest(manner!.Value, asked.IsOneList ?? true, made!.Value, lot?.Code ?? string.Empty);
        return (new LabelPage(pie, request, stated, kept?.RowVersion ?? 0, words, lot, PieLabel.Of(pie, request, stated, Plain(words), bakery.Handles, bakery.Name), bakery.Zone), null, null);
    }

    /// <summary>All of it for the screen.</summary>
    public LabelAnswer Answer(SqliteConnection connection, ILabelPrinter printer, int shown)
    {
        var (product, pan) = (Pie.Product, Pie.Pan);
        return new LabelAnswer(
            product.Id,
            product.Name,
            pan.Id,
            pan.Name,
            [.. product.Sizes.Select(size => new LabelPanAnswer(size.Pan.Id, size.Pan.Name))],
            Naming.Of(Request.Manner),
            Request.IsOneList,
            Days.Iso(Request.Made),
            Lot?.Id,
            Label,
            InTheWay,
            PieLabel.Notes(Pie, Request, Stated, Plain(Words)),
            new LabelStatementDraft(Stated.NetGrams, Stated.KeepsDays, Stated.IsUseBy, Stated.Storage),
            Version,
            (int)Math.Round(PieLabel.NetGrams(Pie, Stated with { NetGrams = null })),
            [.. LabelIngredient.Of(Pie, isOneList: true).Select(one => new LabelIngredientAnswer(
                one.Ingredient.Id,
                one.Ingredient.Name,
                Math.Round(one.Mass.Grams, 1),
                one.Ingredient.AllergensStated ? one.Ingredient.Allergens : null,
                Words.TryGetValue(one.Ingredient.Id, out var said) ? said.Words : string.Empty,
                said.RowVersion))],
            [.. StockStore.Lots(connection).Select(stored => stored.Lot).Where(lot => lot.Thing is StockedPie pies && pies.Product == product.Id && pies.Pan == pan.Id && pies.After == product.ProcessIn(pan).Steps[^1].Id)
                .OrderByDescending(lot => lot.Since).Take(shown).Select(lot => new LabelLotAnswer(lot.Id, lot.Code, (int)lot.Left.Count, Days.Iso(lot.Since.Date)))],
            printer.Left,
            printer.IsStandIn,
            [.. LabelStore.Latest(connection, product.Id, pan.Id, shown).Select(one => new PrintedLabelAnswer(one.Number, PickUpText.Said.Format(one.At.InZone(Zone).LocalDateTime), one.Copies, one.Text.Split('\n')))]);
    }

    private static Dictionary<string, string> Plain(IReadOnlyDictionary<string, (string Words, long RowVersion)> words) => words.ToDictionary(one => one.Key, one => one.Value.Words);
}
