using System.Globalization;
using System.Text.Json;
using CsCheck;
using Lumpet.Core.Bakery;
using Lumpet.Core.Costing;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Exchange;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Safety;
using Lumpet.PlanChecking;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Writing;

/// <summary>Whole products of every kind, base, top and lining, with strange figures and words: what is taken works everywhere, what is not says why.</summary>
public sealed class AnyDraftTests
{
    private static readonly string[] Words =
    [
        "Pear {0}", "Quince — the 2nd", "100 % \"tart\"", "=SUM(A1)", "O'Gooseberry, late", "Пирог", "パイ", "a/b", "@home", "-1", "{{}}", "null", "pie\u0301", "🥧", "%s", new string('n', 80),
    ];

    private static readonly string[] Amounts = ["{0:0.###} g", "{0:0.###} g", "{0:0.###} g", "1/3 cup", "2-3 tbsp", "1 lb 2 oz", "½ tsp", "1.5 kg", "2 cups plus 1 tbsp"];

    private static readonly Ingredient[] Foods = [.. IngredientLibrary.All.Where(one => one.Facts.Density is not null)];

    private static readonly Gen<string> AnyLine = Gen.Select(Gen.Int[0, Amounts.Length - 1], Gen.Double[0.4, 2500], Gen.Int[0, Foods.Length - 1], Gen.Int[0, 3]).Select(line =>
    {
        var food = Foods[line.Item3];
        var preparation = line.Item4 == 0 && food.Facts.Yields is [var prepared, ..] ? $", {prepared.Preparation}" : string.Empty;
        return $"{string.Format(CultureInfo.InvariantCulture, Amounts[line.Item1], line.Item2)} {food.Name}{preparation}";
    });

    private static readonly Gen<double[]> Figures = Gen.Double[0, 1].Array[14];

    private static readonly Gen<ProductDraft> AnyDraft =
        Gen.Select(Gen.Select(Gen.Enum<FillingKind>(), Gen.Enum<BaseTreatment>(), Gen.Enum<Top>(), Gen.Enum<Lining>()), Gen.Int[0, Words.Length - 1], AnyLine.Array[1, 8], AnyLine.Array[1, 3], Figures, Gen.Int[0, 5]).Select(any =>
        {
            var ((kind, school, top, lining), word, filling, topping, figures, pan) = any;
            var (steps, links) = UsualChains.For(kind, school, top, lining);
            double Between(int at, double least, double most) => Math.Round(least + (figures[at] * (most - least)), 2);
            return new ProductDraft
            {
                Name = Words[word],
                Aliases = $"{Words[(word + 1) % Words.Length]}, the other",
                Dough = Demonstration.Doughs[(word + pan) % Demonstration.Doughs.Length].Id,
                TopDough = pan < 3 ? Demonstration.Doughs[pan].Id : null,
                TopThicknessMm = pan % 2 == 0 ? Between(0, 1, 7) : null,
                Top = Naming.Of(top),
                ThicknessMm = Between(0, 1, 7),
                BaseOverhangCm = Between(1, 0, 4),
                TopOverhangCm = Between(2, 0, 3),
                TrimPercent = Between(3, 0, 60),
                StripWidthCm = Between(4, 0.5, 4),
                StripGapCm = Between(5, 0, 4),
                BakeChangeCm = Between(7, -3, 2),
                OldestMin = (int)Between(9, 600, 5760),
                CutOutCm = Between(10, 1, 9),
                CutOuts = (int)Between(11, 1, 20),
                CutOutsFromTrim = figures[12] < 0.5,
                Rerolls = (int)Between(13, 0, 2),
                DoughGrams = word % 5 == 0 ? Between(0, 150, 1500) : null,
                BaseSharePercent = word % 5 == 0 ? Between(1, 25, 75) : null,
                ShareGives = word % 10 == 0 ? "strips" : null,
                StripSheet = word % 4 == 1 ? FormattableString.Invariant($"{Between(4, 20, 40)} x 45 into {(int)Between(5, 6, 22)}") : null,
                Sheet = word % 3 == 1 ? "70 x 52.5" : null,
                OverhangFromWall = pan == 2 ? true : null,
                Layers = Layers(kind, filling, topping, word, Between(6, 0.2, 1.6), Between(8, 10, 100)),
                Packaging = "Pie box\nLabel",
                ReferencePan = Demonstration.Pans[pan].Id,
                Sizes = [.. Demonstration.Pans.Where((_, at) => at == pan || at == (pan + word) % 6).Select(one => new SizeDraft(one.Id, figures[12] < 0.3 ? null : 7.35m + one.PerTray, null, figures[11] < 0.4 ? (int)Between(11, 4, 60) : null, figures[11] < 0.4 ? (int)Between(11, 4, 60) + word : null))],
                Steps = steps,
                Links = links,
                BaseTreatment = Naming.Of(school),
                Lining = Naming.Of(lining),
                Assessment = $"{Words[(word + 2) % Words.Length]} was assessed by the process authority on 3 May: held hot.",
                GlassFromFreezer = true,
            };
        });

    /// <summary>One to three fillings of every law, a topping and a finish, and often something beside.</summary>
    private static IReadOnlyList<LayerDraft> Layers(FillingKind kind, string[] filling, string[] topping, int word, double density, double kept)
    {
        LayerDraft Layer(PartKind part, LayerLaw law, params string[] lines) => new() { Part = Naming.Of(part), Law = Naming.Of(law), Lines = string.Join('\n', lines), KeptPercent = kept, Pieces = law == LayerLaw.Count ? word + 1 : null };
        LayerDraft Filling(LayerLaw law, FillingKind of, string[] lines) => Layer(PartKind.Filling, law, lines) with { FillingKind = Naming.Of(of), PackedDensity = density, Name = Words[word] };
        var laws = Enum.GetValues<LayerLaw>();
        LayerDraft[] below = (word % 4) switch
        {
            0 => [],
            1 => [Filling(laws[word % laws.Length], (FillingKind)(word % 11), ["40 g Almonds, ground"])],
            2 => [Filling(LayerLaw.Floor, FillingKind.NutPaste, ["25 g Butter, unsalted"]), Filling(laws[word % laws.Length], kind, ["30 g Sugar, white", "1 tbsp Rum"])],
            _ => [Filling(LayerLaw.Weight, kind, topping)],
        };
        return
        [
            .. below,
            Filling(LayerLaw.Room, kind, filling) with { Name = null },
            Layer(PartKind.Topping, laws[1 + (word % (laws.Length - 1))], topping),
            Layer(PartKind.Finish, LayerLaw.Top, "12 g Egg white", "1 tsp Sugar, coarse"),
            .. word % 3 == 0 ? [Layer(PartKind.Beside, LayerLaw.Weight, "60 g Cream, heavy")] : Array.Empty<LayerDraft>(),
        ];
    }

    private static readonly DaySnapshot Nobody = TestBakery.Snapshot();

    [Fact]
    public void What_is_taken_works_everywhere_and_what_is_not_says_why()
    {
        var (taken, all) = (0, 0);
        AnyDraft.Sample(
            draft =>
            {
                Interlocked.Increment(ref all);
                var (product, fresh, faults) = Read(draft);
                Assert.Equal(product is null, faults.Count > 0);
                Assert.All(faults, fault => Assert.True(fault.Field.Length > 0 && fault.Message.Length > 10));
                if (product is null) return;
                Interlocked.Increment(ref taken);
                Assert.Empty(fresh);
                Holds(product);
            },
            iter: 150);
        // Figures are drawn wide; yet a law that hardly anything reaches would say nothing. 57 of 100 are taken (1,701 of
        // 3,000): fewer than a third of 150 is six standard deviations away, where fewer than half came up once in twenty runs.
        Assert.True(taken * 3 > all, $"{taken} of {all}");
    }

    private static (Product? Product, IReadOnlyList<Ingredient> Fresh, IReadOnlyList<FieldFault> Faults) Read(ProductDraft draft) =>
        ProductReader.Read(draft, "any", 1, "EUR", Demonstration.Pans, Demonstration.Doughs, IngredientLibrary.All, []);

    private static void Holds(Product product)
    {
        Assert.Equivalent(product, Read(ProductReader.Write(product)).Product, strict: true);
        foreach (var size in product.Sizes) Scales(product, size);
        using (var printed = JsonDocument.Parse(RecipeJsonLd.Write(product))) Assert.Equal(product.Name, printed.RootElement.GetProperty("name").GetString());
        Assert.Equal(product.Process.Steps.Select(step => step.Id).Order(), StepCautions.Of(product).Keys.Order());
        if (product.AllLines.Any(line => line.Ingredient.Facts.UnsafeRaw)) Assert.Contains(ProductCautions.Of(product), said => said.StartsWith("Do not taste raw", StringComparison.Ordinal));
        // What leaves the cold is a step of its own.
        Assert.All(TimeAndTemperature.Left(product), left => Assert.Contains(product.Process.Steps, step => step.Id == left.StepId));
        Planned(product);
        TakenElsewhere(product);
    }

    private static void Scales(Product product, ProductSize size)
    {
        var (one, many) = (Scaling.Scale(product, size.Pan, 1), Scaling.Scale(product, size.Pan, 137));
        Assert.All(many.AllLines.Zip(one.AllLines), pair =>
        {
            Assert.True(double.IsFinite(pair.First.PerPie.Grams) && pair.First.PerPie.Grams >= 0);
            Assert.Equal(pair.Second.PerPie.Grams, pair.First.PerPie.Grams, 6);
            Assert.Equal(pair.First.PerPie.Grams * 137, pair.First.Total.Grams, 4);
            Assert.Equal(pair.First.Total.Grams / pair.First.Line.Yield.Share, pair.First.ToBuy.Grams, 4);
        });
        Balances(product, one);
        // In its own pan it is as it is written.
        if (size.Pan == product.ReferencePan) Assert.Equal(1, one.FillingScale.Factor, 6);
        var cost = PieCost.Of(one, PriceList.On(new LocalDate(2026, 6, 1), []));
        Assert.Null(cost.Total);
        Assert.All(product.AllLines, line => Assert.Contains(line.Ingredient.Name, cost.Missing));
    }

    /// <summary>Grams in are grams out, with every loss named: what boils away, what stays in pot and bowl, what is trimmed and what of that is used.</summary>
    private static void Balances(Product product, ScaledProduct one)
    {
        Assert.All(one.Parts.Where(part => part.Layer is not null), part =>
        {
            var (weighed, layer) = (part.Lines.Sum(line => line.PerPie.Grams), part.Layer!);
            var (boiled, inThePot) = (weighed * (1 - layer.ReducedTo), weighed * layer.ReducedTo * (1 - layer.KeptShare));
            Assert.Equal(weighed, part.PerPie.Grams + boiled + inThePot, 1e-6 * weighed + 1e-9);
        });
        Assert.All(one.Doughs, part =>
        {
            var (weighed, dough) = (part.Lines.Sum(line => line.PerPie.Grams), part.Part.Dough!);
            DoughPiece[] pieces = [.. one.Pieces.Where(piece => product.DoughOf(piece) == dough)];
            Assert.Equal(weighed, pieces.Sum(piece => piece.Disc.Grams) + (weighed * dough.BowlLossShare), 1e-6 * weighed + 1e-9);
            Assert.Equal(pieces.Sum(piece => piece.Disc.Grams), pieces.Sum(piece => piece.Mass.Grams + piece.Trim.Grams - piece.TakenFromTrim.Grams), 6);
        });
    }

    private static void Planned(Product product)
    {
        var plan = DayPlanner.Plan(Nobody with { Orders = [.. product.Sizes.Select(size => new DayOrder(product, size.Pan, 3, 1320, product.Name))], Ovens = [new Oven("oven", "Oven", 6, 40, 300, 8, 4, 0)] }, effort: 2);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
        Assert.Equal(plan.Pies, plan.Fates.Sum(fate => fate.InTime + fate.Late + fate.Unfit + fate.NotBaked));
        Assert.Equal(plan.Tasks.Select(task => task.Id).Order(), plan.Reasons.Keys.Order());
        Assert.All(plan.Waves, wave => Assert.Equal([product.Name], wave.For));
        // What is mixed and becomes no disc and is not left over is what stays in the bowl, by the dough's own share.
        Assert.All(plan.Batches, batch => Assert.Equal(batch.Mass.Grams * batch.Dough.BowlLossShare, batch.Mass.Grams - batch.InDiscs.Grams - batch.Surplus.Grams, 1e-6 * batch.Mass.Grams));
    }

    private static void TakenElsewhere(Product product)
    {
        var elsewhere = new LibraryState(
            "EUR", CupCustom.UnitedStates, IngredientLibrary.All.ToDictionary(one => one.Id, one => one with { Facts = IngredientFacts.None }), IngredientLibrary.All, Demonstration.Pans, Demonstration.Doughs, [], new LocalDate(2026, 6, 1));
        var change = LibraryReader.Read(LibraryFile.Of([], [], [], [product]).Write(), elsewhere);
        Assert.Empty(change.Faults);
        Assert.Equivalent(product, Assert.Single(change.Products), strict: true);
        Assert.Equal(Mass.FromGrams(product.MainFilling.Lines.Sum(line => line.Amount.Grams)).Grams, change.Products[0].MainFilling.Lines.Sum(line => line.Amount.Grams), 6);
    }
}
