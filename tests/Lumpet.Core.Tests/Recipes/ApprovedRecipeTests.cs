using Lumpet.Core.Costing;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Safety;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes;

public sealed class ApprovedRecipeTests
{
    private static readonly PriceList Prices = PriceList.On(new LocalDate(2026, 6, 1), [
        .. IngredientLibrary.All.Where(one => one.Facts.Role != IngredientRole.Packaging).Select((one, at) => TestBakery.Price(one.Id, 1000, 1.1m + (0.13m * at))),
        .. IngredientLibrary.All.Where(one => one.Facts.Role == IngredientRole.Packaging).Select((one, at) => new Price(one.Id, "a supplier", 100, PackUnit.Piece, new Money(20 + at, "EUR"), new LocalDate(2026, 1, 1))),
    ]);

    public static TheoryData<string> Kinds => [.. Demonstration.Products.Select(product => product.Id)];

    private static Product Of(string id) => Demonstration.Products.Single(product => product.Id == id);

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_product_is_what_was_approved(string id)
    {
        var product = Of(id);
        Approved.Matches($"Recipes/{id}", [
            Told.Of(product),
            .. Told.Each(product.Parts.SelectMany(part => part.Lines)),
            .. Told.Each(ProductCautions.Of(product)),
            .. Told.Each(TimeAndTemperature.Needs(product)),
            .. Told.Each(TimeAndTemperature.Left(product)),
            .. Told.Each(StepCautions.Of(product)),
            Told.Of(ThermalShock.Pans(product)),
            Told.Of(Thickening.For(product.MainFilling)),
            id is "fruit-lid" or "curd-meringue" ? RecipeJsonLd.Write(product) : Told.Of(ProductReader.Write(product)),
            // In the pan it is written for, and in one of the others by turns.
            .. product.Sizes.Where((_, at) => at == 0 || at == 1 + (Kinds.Count(kind => string.CompareOrdinal(kind, id) < 0) % 5)).SelectMany(size => InPan(product, size.Pan)),
        ]);
    }

    private static IEnumerable<string> InPan(Product product, Pan pan)
    {
        var scaled = Scaling.Scale(product, pan, 7);
        return [
            $"== {pan.Id}",
            Told.Of(scaled),
            .. Told.Each(scaled.Parts),
            .. Told.Each(DoughPieces.For(product, pan, Length.FromCentimetres(2))),
            Told.Of(FillingScale.For(product, pan)),
            Told.Of(BakeEstimate.For(product, pan)),
            Told.Of(FillingRoom.Of(scaled)),
            Told.Of(WholePieces.In(scaled)),
            Told.Of(ScaleWarnings.Of(Scaling.Scale(product, pan, 60))),
            Told.Of(PieCost.Of(scaled, Prices)),
            Told.Of(OnHand.Read("2 kg filling", scaled)),
            Told.Of(OnHand.Read("1 l dough", scaled)),
        ];
    }

    [Fact]
    public void Doughs_are_judged_as_approved() => Approved.Matches("Recipes/doughs", Demonstration.Doughs.SelectMany(dough => new[]
    {
        $"== {dough.Name}: {Told.Of(dough)} {Told.Of(dough.Written)} {Told.Of(dough.BatchFor(Mass.FromGrams(1000)))} {Told.Of(DoughRatio.Of(dough))} {Told.Of(DoughRatio.Water(dough))} {DoughCautions.Of(dough)}",
    }.Concat(Enum.GetValues<DoughFamily>().Select(family => $"as {DoughJudgement.Name(family)}: {Told.Of(DoughJudgement.Of(dough with { Method = dough.Method with { Family = family } }))}"))));

    [Fact]
    public void Usual_chains_are_as_approved()
    {
        var choices = Enum.GetValues<FillingKind>().Select(kind => (kind, UsualChains.DefaultBase(kind), Top.Open, Lining.OnePiece))
            .Concat(Enum.GetValues<BaseTreatment>().Select(school => (FillingKind.Berry, school, Top.Lattice, Lining.OnePiece)))
            .Concat(Enum.GetValues<BaseTreatment>().Select(school => (FillingKind.BakedCustard, school, Top.Crumble, Lining.Pressed)))
            .Concat(Enum.GetValues<Top>().SelectMany(top => new[] { FillingKind.RawFruit, FillingKind.Curd, FillingKind.NutPaste }.Select(kind => (kind, UsualChains.DefaultBase(kind), top, Lining.SmallRounds))))
            .Concat(Enum.GetValues<Lining>().Select(lining => (FillingKind.Savoury, BaseTreatment.Seal, Top.Lid, lining))).Distinct();
        Approved.Matches("Recipes/usual-chains", choices.SelectMany(choice =>
        {
            var (kind, school, top, lining) = choice;
            var (steps, links) = UsualChains.For(kind, school, top, lining);
            return new[] { $"== {kind} {school} {top} {lining}, {UsualChains.CoolingOf(kind, top, lining)}" }.Concat(Told.Each(steps)).Append(Told.Of(links));
        }).Concat(Enum.GetValues<CoolingClass>().Select(cooling => $"{cooling}: {CoolingClasses.LeastMinutes(cooling)} {CoolingClasses.IsKeptCold(cooling)}")));
    }

    [Fact]
    public void Vents_are_drawn_as_approved() => Approved.Matches("Recipes/vents", Told.Each(VentMarks.Of(Enumerable.Range(0, 40).Select(at => $"Pie {at}"))));

    [Fact]
    public void What_is_on_hand_is_read_as_approved()
    {
        var scaled = Scaling.Scale(Of("fruit-lid"), Demonstration.Pans[0], 7);
        Approved.Matches("Recipes/on-hand", new[]
        {
            "2 kg filling", "2 l filling", "1 kg dough", "900 ml dough", "3 dough", "2 tins filling", "5 kg pears", "5 kg pears, firm, pared and cored", "2 lb 3 oz sugar", "1 kg flour", "1 kg quinoa", "sugar", "0 g filling", "1 g filling",
            "1000 kg filling", "12 eggs",
        }.Select(text => $"{text}: {Told.Of(OnHand.Read(text, scaled))}").Append(Told.Of(OnHand.Of("air", Mass.FromGrams(10), Mass.Zero))));
    }

    [Fact]
    public void Recipes_are_compared_as_approved()
    {
        KeptLine[] old = [new("filling", "pear", "pared", 900, ""), new("filling", "sugar", "", 140, ""), new("filling", "sugar", "brown", 20, ""), new("filling", "egg", "", 50, ""), new("dough", "flour", "", 480, ""), new("finish", "egg", "", 10, "")];
        KeptLine[] fresh = [new("filling", "sugar", "brown", 20.0004, ""), new("filling", "pear", "pared and cored", 990, ""), new("filling", "sugar", "", 140.0006, ""), new("filling", "ginger", "", 4, ""), new("dough", "flour", "", 0, ""), new("topping", "egg", "", 10, "")];
        Approved.Matches("Recipes/comparison", [.. Told.Each(RecipeComparison.Of(old, fresh)), .. Told.Each(RecipeComparison.Of(fresh, old)), .. Told.Each(RecipeComparison.Of([], fresh))]);
    }

    [Fact]
    public void Things_made_here_are_counted_as_approved()
    {
        Ingredient Library(string id) => IngredientLibrary.Find(id)!;
        RecipeLine Line(Ingredient one, double grams) => new(one, string.Empty, Yield.Whole, Mass.FromGrams(grams));
        var paste = new IngredientFormula([Line(Library("ground-almond"), 100), Line(Library("sugar"), 80)], 0.9).Make(new Ingredient("paste", "Paste", []));
        var cream = new IngredientFormula([Line(paste, 200), Line(Library("butter"), 100)], 1).Make(new Ingredient("almond-cream", "Almond cream", []));
        var pie = Of("nut-paste").Filled(Line(paste, 300), Line(cream, 120)).Topped(Line(cream, 90));
        Approved.Matches("Recipes/made-here", [
            .. Told.Each(MadeHere.In(Scaling.Scale(pie, Demonstration.Pans[0], 3), Scaling.Scale(pie, Demonstration.Pans[3], 10))),
            .. Told.Each(ProductCautions.Of(pie)), Told.Of(pie.Allergens), Told.Of(pie.MayContain), Told.Of(pie.Alcohol),
        ]);
    }
}
