using Lumpet.Core;
using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Safety;
using Lumpet.Server.Prices;

namespace Lumpet.Server.Recipes;

/// <summary>
/// Writes a scaled product out for the screen. Exact figures are rounded here and only here, and so that parts shown
/// beside a total add up to it.
/// </summary>
internal static class ScaleAnswers
{
    /// <summary>The answer.</summary>
    public static ScaleAnswer Of(ScaledProduct scaled, PieCost cost, string currency, IReadOnlyList<string>? handles, OnHand? onHand, Product written)
    {
        var product = scaled.Product;
        var layers = Layers(scaled);
        DoughScaleAnswer[] doughs = [.. scaled.Doughs.Select(part => Dough(scaled, part, written))];
        return new ScaleAnswer(
            product.Id,
            product.Name,
            product.Version,
            product.Allergens,
            product.WithoutStatedAllergens,
            scaled.Count,
            Pan(scaled.Pan),
            Pan(product.ReferencePan),
            [.. product.Sizes.Select(size => Pan(size.Pan))],
            Math.Round(layers.Where(layer => layer.Part == Naming.Of(PartKind.Filling)).Sum(layer => layer.Lines.Sum(line => line.TotalGrams)) / 1000, 2),
            Math.Round(doughs.Sum(dough => dough.Lines.Sum(line => line.TotalGrams)) / 1000, 2),
            Filling(scaled),
            layers,
            doughs[0],
            doughs.ElementAtOrDefault(1),
            [.. scaled.Packaging.Select(item => item.Name)],
            Cost(cost, product, currency),
            Steps(product, scaled.Pan),
            new RecipeFacts(
                LayerWords.Fillings(product),
                KindWords.Of(product.Crust),
                ProcessWords.Base(product),
                KindWords.Of(product.Crust.Lining),
                ProcessWords.Cooling(product.Process),
                ProcessWords.Keeping(product),
                product.MayContain,
                handles,
                product.Alcohol,
                ProductCautions.Of(product),
                Thickened(product),
                PanMaterials.Note(scaled.Pan.Material),
                product.Review,
                product.IsRetired),
            [.. RoomWords.Of(scaled), .. ScaleWarnings.Of(scaled)],
            [.. WholePieces.In(scaled).Select(Whole)],
            Estimate(BakeEstimate.For(product, scaled.Pan), scaled.Pan),
            onHand is null ? null
                : new OnHandAnswer(onHand.What, Math.Round(onHand.Have.Grams, 1), Math.Round(onHand.PerPie.Grams, 1), onHand.Pies, Math.Round(onHand.Left.Grams, 1)),
            Made(scaled));
    }

    /// <summary>One of the doughs, with the pieces that are cut of it.</summary>
    private static DoughScaleAnswer Dough(ScaledProduct scaled, ScaledPart part, Product written)
    {
        var (product, dough) = (scaled.Product, part.Part.Dough!);
        DoughPiece[] pieces = [.. scaled.Pieces.Where(piece => product.DoughOf(piece) == dough)];
        var reference = Scaling.Scale(product, product.ReferencePan, 1).Doughs.First(one => one.Part.Id == part.Part.Id);
        var isOnTop = dough != product.Dough;
        Length Thickness(Crust crust) => isOnTop ? crust.TopThickness ?? crust.Thickness : crust.Thickness;
        return new DoughScaleAnswer(
            dough.Name,
            Math.Round(part.Factor / reference.Factor, 4),
            Math.Round(pieces.Sum(piece => piece.Disc.Grams), 1),
            dough.Density.GramsPerMillilitre,
            Math.Round(Thickness(product.Crust).Millimetres, 3),
            Math.Round(Thickness(written.Crust).Millimetres, 3),
            Math.Round(product.Crust.TrimShare * 100, 1),
            Math.Round(dough.BowlLossShare * 100, 1),
            [.. pieces.Select(piece => Piece(piece, scaled))],
            Lines(part.Lines),
            JudgeWords.Of(dough),
            dough.BoughtShell is { } shell ? DoughWords.Shells(dough, shell, scaled.Count) : DoughWords.Method(dough, part.Lines, Thickness(product.Crust).Millimetres),
            DoughWords.TrimUse(product.Crust, pieces),
            dough == product.Dough ? PieceWords.Said(product) : string.Empty,
            dough.BoughtShell is not null);
    }

    /// <summary>How the fillings stand in the pan.</summary>
    internal static FillingScaleAnswer Filling(ScaledProduct scaled)
    {
        var (product, filling) = (scaled.Product, scaled.FillingScale);
        return new FillingScaleAnswer(
            Math.Round(filling.Factor, 4),
            Math.Round(filling.Written.Millilitres, 1),
            Math.Round(filling.Room.Millilitres, 1),
            Math.Round(filling.Lined.LevelVolume.Millilitres, 1),
            Math.Round(filling.LevelShare * 100),
            Math.Round(scaled.FillingDensity.GramsPerMillilitre, 3),
            Math.Round(scaled.FillingPerPie.Grams),
            Centimetres(filling.Lined.Top.Length),
            Centimetres(filling.Lined.Bottom.Length),
            Centimetres(filling.Lined.Depth),
            Centimetres(filling.Level.Height),
            Centimetres(filling.Level.Mound),
            Centimetres(filling.Level.Height + filling.Level.Mound + filling.Moved),
            Centimetres(filling.Moved),
            product.Crust.Thickness.Centimetres);
    }

    /// <summary>Every layer, with how high it stands in the crust.</summary>
    internal static PieLayerAnswer[] Layers(ScaledProduct scaled)
    {
        var (room, above) = (0.0, scaled.Fillings.Count());
        return [.. scaled.Parts.Where(part => part.Layer is not null).Select(part =>
        {
            var layer = part.Layer!;
            var isFilling = layer.Kind == PartKind.Filling;
            if (isFilling)
            {
                room += (part.PerPie / layer.PackedDensity).Millilitres;
                above--;
            }

            // The uppermost stands as high as all of them; what lies below stands level as far as it reaches.
            var level = above == 0 ? scaled.FillingScale.Level : scaled.FillingScale.Lined.LevelOf(Volume.FromMillilitres(room));
            return new PieLayerAnswer(
                layer.Id,
                Naming.Of(layer.Kind),
                LayerWords.Title(scaled.Product, layer),
                isFilling ? KindWords.Of(layer.Filling) : string.Empty,
                LayerWords.Scaled(scaled, part),
                Math.Round(part.Factor, 4),
                LayerWords.PerPie(part),
                Math.Round(layer.LeftShare * 100, 1),
                LineWords.Reduced([.. part.Lines.Select(line => line.Line with { Amount = line.PerPie })], layer.ReducedTo),
                LayerScale.Pieces(layer, scaled.Product, scaled.Pan),
                isFilling ? Centimetres(level.Height) : null,
                Lines(part.Lines));
        })];
    }

    /// <summary>How each filling is thickened that starch thickens; null where there is none.</summary>
    private static string? Thickened(Product product)
    {
        (Layer Layer, string? Words)[] said = [.. product.Fillings.Select(layer => (layer, JudgeWords.Of(Thickening.For(layer)))).Where(one => one.Item2 is not null)];
        return said.Length == 0 ? null
            : product.Fillings.Count() == 1 ? said[0].Words
            : string.Join(' ', said.Select(one => $"{LayerWords.Title(product, one.Layer)}: {one.Words}"));
    }

    /// <summary>What is made here first for some products.</summary>
    internal static MadeAnswer[] Made(params IEnumerable<ScaledProduct> scaled) =>
    [
        .. MadeHere.In(scaled).Select(made => new MadeAnswer(
            made.Ingredient.Name,
            ScaleReading.GramsOf(made.Wanted),
            Math.Round(made.Ingredient.Formula!.LeftShare * 100, 1),
            [.. made.Ingredient.Formula.For(made.Wanted).Select(line => new MadeLine(line.Ingredient.Name, LineWords.Preparation(line, line.Amount), ScaleReading.GramsOf(line.Amount, line.Ingredient.Facts.WeighedTo)))])),
    ];

    private static WholeAnswer Whole(WholePieces whole) => new(
        whole.Line.Line.Ingredient.Name,
        whole.Piece,
        Math.Round(whole.Exact, 2),
        ScaleReading.GramsOf(whole.Line.Total, whole.Line.Line.Ingredient.Facts.WeighedTo),
        whole.Nearest,
        Math.Round(whole.MovedPercent, 1),
        whole.At is { } at ? new WholeAtAnswer(at.Pies, at.Pieces, Math.Round(at.MovedPercent, 1)) : null);

    private static EstimateAnswer? Estimate(BakeEstimate? estimate, Pan pan)
    {
        if (estimate is null) return null;
        var why = FormattableString.Invariant(
            $"Volume over surface is {estimate.Depth.Centimetres:0.00} cm here and {estimate.ReferenceDepth.Centimetres:0.00} cm as written ({estimate.WrittenLeast} to {estimate.WrittenMost} min): time goes with that, or with its square.");
        return new EstimateAnswer((int)Math.Round(estimate.Least), (int)Math.Round(estimate.Most), $"{why} {PanMaterials.Note(pan.Material)}");
    }

    /// <summary>A pan, for the drawing.</summary>
    internal static PanAnswer Pan(Pan pan) => new(
        pan.Id,
        pan.Name,
        KindWords.Of(pan.Family),
        KindWords.Of(pan.Material),
        pan.IsRound,
        pan.IsFreeForm,
        pan.Top.Length.Centimetres,
        pan.Bottom.Length.Centimetres,
        pan.Top.Width.Centimetres,
        pan.Bottom.Width.Centimetres,
        pan.Depth.Centimetres,
        pan.RimWidth.Centimetres,
        pan.PerTray,
        Math.Round(pan.BrimfulVolume.Millilitres),
        Math.Round((pan.Bottom.Area + pan.WallArea).SquareCentimetres));

    private static LineAnswer[] Lines(IReadOnlyList<ScaledLine> lines)
    {
        var perPie = SharedRounding.Round([.. lines.Select(line => line.PerPie.Grams)], 0.1);
        return [.. lines.Select((line, index) => new LineAnswer(
            line.Line.Ingredient.Name,
            LineWords.Preparation(line.Line, line.Total),
            line.Line.Written,
            Math.Round(line.Line.Amount.Grams, 2),
            perPie[index],
            ScaleReading.GramsOf(line.Total, line.Line.Ingredient.Facts.WeighedTo),
            line.Line.Yield.Share < 1 ? Math.Round(line.ToBuy.Grams) : null,
            Percent(line.Line.Yield),
            Pieces(line)))];
    }

    /// <summary>"about 17 Apples", as they are bought; null where the weight of one is not known, or where they are counted anyway.</summary>
    private static string? Pieces(ScaledLine line)
    {
        var ingredient = line.Line.Ingredient;
        if (ingredient.Facts.Role is not (IngredientRole.Fruit or IngredientRole.Vegetable) || ingredient.Facts.PieceOf("one") is not { } one) return null;
        var count = line.ToBuy / one.Weight;
        return count < 0.5 ? null : FormattableString.Invariant($"about {(count < 10 ? Math.Round(count * 2) / 2 : Math.Ceiling(count)):0.#} of {one.Weight.Grams:0.#} g");
    }

    private static StepAnswer[] Steps(Product product, Pan pan)
    {
        var cautions = StepCautions.Of(product);
        return [.. product.ProcessIn(pan).Steps.Select(step => StepWords.Of(step, cautions[step.Id], bound: StepWords.Bound(product.Process, step)))];
    }

    private static PieceAnswer Piece(DoughPiece piece, ScaledProduct scaled)
    {
        // What is cut from the base's trim takes no disc: disc and trim are of what is portioned.
        var fromDisc = piece.Mass - piece.TakenFromTrim;
        var grams = SharedRounding.Round([fromDisc.Grams, piece.Trim.Grams, piece.TakenFromTrim.Grams], 0.1);
        return new PieceAnswer(
            piece.Name,
            piece.Outline.IsRound,
            piece.Count,
            Centimetres(piece.Outline.Length),
            Centimetres(piece.Diameter),
            Math.Round(piece.Rolled.Width.Centimetres, 1),
            [.. piece.Strips.Upright.Select(Centimetres)],
            [.. piece.Strips.Across.Select(Centimetres)],
            Math.Round(piece.StripWidth.Centimetres, 2),
            piece.Strips.Upright.Count > 0 ? Math.Round((piece.StripWidth + scaled.Product.Crust.StripGap).Centimetres, 4) : 0,
            PieceWords.Of(piece, scaled),
            Math.Round((piece.IsOnTop ? scaled.Product.Crust.TopThickness ?? scaled.Product.Crust.Thickness : scaled.Product.Crust.Thickness).Millimetres, 3),
            Math.Round(piece.Area.SquareCentimetres, 1),
            Math.Round(grams[0] + grams[2], 1),
            Math.Round(grams[0] + grams[1], 1),
            grams[1],
            piece.Disc > Mass.Zero ? Math.Round(piece.Trim / piece.Disc * 100, 1) : 0,
            piece.FromTrim,
            Sheet(piece, scaled));
    }

    /// <summary>Small rounds, cut-outs and strips of a sheet with given sides are cut from it; large rounds are rolled one by one.</summary>
    private static SheetAnswer? Sheet(DoughPiece piece, ScaledProduct scaled)
    {
        var crust = scaled.Product.Crust;
        var rolled = piece.Name == "lattice" && crust.StripSheet is { } strips ? Outline.Rectangle(strips.Length, strips.Width) : crust.Sheet;
        if (piece.Name == "lattice" && crust.StripSheet is null) return null;
        var isSmallRound = piece.Name == "base" && crust.Lining == Lining.SmallRounds;
        if (!isSmallRound && piece.Name is not ("cut-outs" or "wall strips" or "lattice")) return null;
        var longest = piece.Strips.All.Select(strip => strip.Centimetres).DefaultIfEmpty(0).Max();
        var one = longest > 0 ? Outline.Rectangle(Length.FromCentimetres(longest), piece.StripWidth) : piece.Outline;
        var layout = TrayLayout.Fullest(rolled, one);
        if (layout.Spots.Count == 0) return null;
        var sheet = new SheetLayout(rolled, one, layout, isSmallRound ? crust.Rerolls : 0);
        var pieces = longest > 0 ? piece.Strips.All.Count() : piece.Count;
        return new SheetAnswer(
            rolled.Length.Centimetres,
            rolled.Width.Centimetres,
            Centimetres(layout.IsTurned ? one.Width : one.Length),
            Centimetres(layout.IsTurned ? one.Length : one.Width),
            [.. layout.Spots.Select(spot => new SheetSpot(Math.Round(spot.XCm, 2), Math.Round(spot.YCm, 2)))],
            Math.Round(sheet.UsedShare * 100, 1),
            sheet.Rerolls,
            (int)Math.Ceiling(((double)pieces * scaled.Count / sheet.PerSheet * (isSmallRound ? sheet.UsedShare / (1 - sheet.TrimShare) : 1)) - 1e-9));
    }

    private static CostAnswer Cost(PieCost cost, Product product, string currency)
    {
        var priced = cost.Lines.Where(line => line.Cost is not null).ToArray();
        // The coins that are shown add up: lines to parts, parts to the total.
        var coins = SharedRounding.Round([.. priced.Select(line => line.Cost!.Value.Amount)], Money.SmallestCoin(currency));
        // By reference: two lines of a formula may be alike.
        var shown = new Dictionary<CostLine, decimal>(ReferenceEqualityComparer.Instance);
        foreach (var (line, paid) in priced.Zip(coins)) shown[line] = paid;
        var complete = cost.Total is not null;
        return new CostAnswer(
            complete,
            currency,
            complete ? coins.Sum() : null,
            cost.SellingPrice?.Amount,
            cost.FoodCostShare is { } share ? Math.Round(share * 100, 1) : null,
            [.. cost.Lines.GroupBy(line => line.Part.Id).Select(part => new CostPartAnswer(
                part.Key, LayerWords.Title(product, part.First().Part), part.Any(line => line.Cost is null) ? null : part.Sum(line => shown[line])))],
            [.. cost.Lines.Select(line => new CostLineAnswer(
                line.Part.Id,
                line.Ingredient.Name,
                Math.Round(line.EdiblePortion, 1),
                line.Part.Kind == PartKind.Packaging ? "piece" : "g",
                Percent(line.Yield),
                line.Price is { } price ? PriceWords.Of(price) : line.Ingredient.Formula is not null && line.Cost is not null ? "made here, at what its parts cost" : null,
                shown.TryGetValue(line, out var part) ? part : null))],
            cost.Missing);
    }

    private static double? Percent(Yield yield) => yield.Share < 1 ? Math.Round(yield.Share * 100, 1) : null;

    private static double Centimetres(Length length) => Math.Round(length.Centimetres, 2);

}
