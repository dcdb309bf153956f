using Lumpet.Core.Ingredients;
using Lumpet.Core.Labels;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Tests.DayPlan;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Labels;

/// <summary>Labels: the list by weight with everything opened, allergens, alcohol, weight, date.</summary>
public sealed class PieLabelTests
{
    private static readonly IReadOnlyDictionary<string, string> NoWords = new Dictionary<string, string>();
    private static readonly LabelStatement Stated = new(612, 2, true, "Keep at 5 °C or below");

    private static LabelRequest Asked(LabelManner manner = LabelManner.EuropeanUnion, bool isOneList = true) => new(manner, isOneList, new LocalDate(2026, 12, 30), "261230-2");

    private static PieLabel Label(Product product, LabelRequest? asked = null, IReadOnlyDictionary<string, string>? words = null) =>
        PieLabel.Of(Scaling.Scale(product, Pan23, 1), asked ?? Asked(), Stated, words ?? NoWords, null, "Quay");

    private static string List(PieLabel label) => string.Concat(label.Ingredients.Select(word => word.Text));

    private static string[] Marked(PieLabel label) => [.. label.Ingredients.Where(word => word.IsAllergen).Select(word => word.Text)];

    /// <summary>
    /// By hand: the filling as it is weighed is 1010 pears, 140 sugar, 26 starch, and 18 egg on top; the dough on the pie is base and lid of 450 : 300 : 150.
    /// </summary>
    [Fact]
    public void Ingredients_stand_by_weight_and_those_of_the_name_with_their_share()
    {
        var pie = Scaling.Scale(Pear, Pan23, 1);
        var dough = pie.Pieces.Sum(piece => piece.Mass.Grams);
        var grams = new Dictionary<string, double> { ["pear"] = 1010, ["sugar"] = 140, ["starch"] = 26, ["egg"] = 18, ["flour"] = dough / 2, ["butter"] = dough / 3, ["water"] = dough / 6 };
        var listed = LabelIngredient.Of(pie, isOneList: true);
        Assert.Equal(grams.OrderByDescending(one => one.Value).Select(one => one.Key), listed.Select(one => one.Ingredient.Id));
        Assert.All(listed, one => Assert.Equal(grams[one.Ingredient.Id], one.Mass.Grams, 6));
        Assert.StartsWith(FormattableString.Invariant($"Ingredients: pear {1010 / grams.Values.Sum() * 100:0} %, flour (wheat), butter (milk), "), List(Label(Pear)), StringComparison.Ordinal);
        Assert.DoesNotContain("%", List(Label(Pear, Asked(LabelManner.UnitedStates))).Replace("2% or less", string.Empty, StringComparison.Ordinal), StringComparison.Ordinal);
    }

    /// <summary>What must hold for every part: each line of each is on the label, and nothing else.</summary>
    [Fact]
    public void Every_line_of_every_part_is_on_it_opened_to_what_is_bought()
    {
        foreach (var product in new[] { Pear, Custard, MadeFirstTests.CurdPie, MadeFirstTests.PureePie, Beside(), TwoDoughs() })
            foreach (var isOneList in new[] { true, false })
            {
                var bought = product.AllLines.SelectMany(line => (line.Ingredient.Formula?.Everything ?? []).Append(line.Ingredient)).Where(one => one.Formula is null).Select(one => one.Id).Distinct().Order();
                var listed = LabelIngredient.Of(Scaling.Scale(product, Pan23, 1), isOneList);
                Assert.Equal(bought, listed.SelectMany(one => one.Bought).Select(one => one.Ingredient.Id).Distinct().Order());
                Assert.Equal(isOneList, listed.All(one => one.Inside.Count == 0));
                Assert.Equal(listed.OrderByDescending(one => one.Mass.Grams), listed);
                Assert.All(bought, id => Assert.Contains(id, List(Label(product, Asked(isOneList: isOneList))), StringComparison.Ordinal));
            }
    }

    /// <summary>Of a curd of 100 : 50 that keeps nine tenths, 700 g hold 700 g of what went in, in the same proportion.</summary>
    [Fact]
    public void What_is_made_here_stands_with_what_is_in_it_behind()
    {
        var made = new IngredientFormula([Line("lemon", 100), Line("butter", 50)], 0.9).Make(new Ingredient("curd", "Curd", []));
        var pie = Scaling.Scale(Custard.Filled(new RecipeLine(made, "", Yield.Whole, Mass.FromGrams(700)), Line("milk", 279)), Pan23, 1);
        var curd = LabelIngredient.Of(pie, isOneList: false).Single(one => one.Ingredient.Id == "curd");
        Assert.Equal(["lemon", "butter"], curd.Inside.Select(one => one.Ingredient.Id));
        Assert.Equal(700, curd.Inside.Sum(one => one.Mass.Grams), 6);
        Assert.Equal(700 * 2 / 3.0, curd.Inside[0].Mass.Grams, 6);
        var text = List(PieLabel.Of(pie, Asked(isOneList: false), Stated, NoWords, null, "Quay"));
        Assert.Contains("curd (lemon, butter (milk))", text, StringComparison.Ordinal);
        Assert.Contains("pastry (flour (wheat), butter (milk), water)", text, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_allergen_of_a_pie_stands_out_in_the_list()
    {
        foreach (var allergen in MajorAllergens.All)
        {
            var pie = Custard.Filled(new RecipeLine(new Ingredient("thing", "Some thing", [allergen]), "", Yield.Whole, Mass.FromGrams(979)));
            Assert.Contains(AllergenWords.Plain(allergen), Marked(Label(pie)));
            var us = Label(pie, Asked(LabelManner.UnitedStates)).Contains;
            if (MajorAllergens.UnitedStates.Contains(allergen)) Assert.Contains(allergen == "nuts" ? "tree nuts" : allergen, us, StringComparison.Ordinal);
            else Assert.Equal("Contains: milk, wheat.", us);
        }
    }

    [Theory]
    [InlineData("Milk, whole", "milk", "Milk", "")]
    [InlineData("Cream, heavy", "milk", "", "milk")]
    [InlineData("Hazelnuts, roasted", "nuts", "Hazelnuts", "")]
    [InlineData("Eggplant", "egg", "", "egg")]
    [InlineData("Whole wheat flour", "wheat", "wheat", "")]
    [InlineData("Rolled oats", "gluten (oats)", "oats", "")]
    [InlineData("Fishes of the bay", "fish", "Fishes", "")]
    public void A_word_is_found_where_it_stands_by_itself(string text, string allergen, string named, string missing)
    {
        var (words, not) = AllergenWords.Cut(text, [allergen]);
        Assert.Equal(text, string.Concat(words.Select(word => word.Text)));
        Assert.Equal(named, string.Concat(words.Where(word => word.IsAllergen).Select(word => word.Text)));
        Assert.Equal(missing, string.Concat(not));
    }

    /// <summary>Commas part one ingredient from the next, so a name must not hold one.</summary>
    [Theory]
    [InlineData("Milk, whole", "whole milk 100 %.", "Milk pie")]
    [InlineData("Oats, rolled", "rolled oats 100 %.", "Oat custard")]
    [InlineData("Berries, frozen", "frozen berries 100 %.", "Berry pie")]
    [InlineData("Moor cheese", "moor cheese.", "Leek pie")]
    [InlineData("UHT cream", "UHT cream.", "Pie and whole")]
    public void A_name_stands_as_people_read_it(string name, string written, string pie)
    {
        var only = Scaling.Scale((Pear with { Name = pie }).Filled(new RecipeLine(new Ingredient("x", name, []), "", Yield.Whole, Mass.FromGrams(900))), Pan23, 1);
        var text = List(PieLabel.Of(only, Asked(), Stated, NoWords, null, "Quay"));
        var all = LabelIngredient.Of(only, isOneList: true);
        var share = FormattableString.Invariant($"{all.First(one => one.Ingredient.Id == "x").Mass.Grams / all.Sum(one => one.Mass.Grams) * 100:0} %");
        var shown = written.Replace("100 %", share, StringComparison.Ordinal).TrimEnd('.');
        Assert.Contains($"Ingredients: {shown},", text, StringComparison.Ordinal);
    }

    [Fact]
    public void By_us_manners_the_little_stands_at_the_end_and_the_major_allergens_once_more()
    {
        var label = Label(Pear, Asked(LabelManner.UnitedStates));
        Assert.EndsWith(", contains 2% or less of: starch, egg.", List(label), StringComparison.Ordinal);
        // 2.2 % are no little any more, 1.8 % are: of what lies on the pie beside the starch so much is starch.
        var rest = LabelIngredient.Of(Scaling.Scale(Pear, Pan23, 1), isOneList: true).Where(one => one.Ingredient.Id != "starch").Sum(one => one.Mass.Grams);
        string With(double share) => List(Label(Pear.Filled(Line("pear", 1010, 0.78), Line("sugar", 140), Line("starch", rest * share / (1 - share))), Asked(LabelManner.UnitedStates)));
        Assert.EndsWith("starch, contains 2% or less of: egg.", With(0.022), StringComparison.Ordinal);
        Assert.EndsWith(", contains 2% or less of: starch, egg.", With(0.018), StringComparison.Ordinal);
        Assert.Equal("Contains: milk, wheat.", label.Contains);
        // 612 g are 21.6 oz (an ounce is 28.349523125 g).
        Assert.Equal("Net wt 21.6 oz (612 g)", label.Net);
        Assert.Equal("612 g", Label(Pear).Net);
        Assert.Empty(Label(Pear).Contains);
        var nuts = Custard.Filled(new RecipeLine(new Ingredient("nuts", "Hazelnuts", ["nuts"]), "", Yield.Whole, Mass.FromGrams(979)));
        Assert.Equal("Contains: milk, hazelnuts, wheat.", Label(nuts, Asked(LabelManner.UnitedStates)).Contains);
    }

    [Fact]
    public void Date_lot_traces_and_alcohol_are_said()
    {
        var rum = new Ingredient("rum", "Rum", []) { Facts = new IngredientFacts { StatedAlcoholPercent = 40, StatedMayContain = ["nuts"] } };
        var label = PieLabel.Of(Scaling.Scale(Custard.Filled(new RecipeLine(rum, "", Yield.Whole, Mass.FromGrams(979))), Pan23, 1), Asked(), Stated, NoWords, ["milk", "soy"], "Quay");
        Assert.Equal(("Use by 1 Jan 2027", "Lot 261230-2", "Contains alcohol (Rum)."), (label.Date, label.Lot, label.Alcohol));
        // Milk is in it, so it is no trace.
        Assert.Equal("May contain traces of nuts, soy.", label.MayContain);
        Assert.Equal("Best before 1 Jan 2027", PieLabel.Of(Scaling.Scale(Pear, Pan23, 1), Asked(), Stated with { IsUseBy = false }, NoWords, null, "Quay").Date);
        Assert.Equal(["Oat custard", "Keep at 5 °C or below", "Quay"], new[] { label.Lines[0], label.Storage, label.Lines[^1] });
    }

    [Fact]
    public void What_nobody_has_said_stands_in_the_way()
    {
        string[] InTheWay(Product product, LabelStatement stated, IReadOnlyDictionary<string, string>? words = null) => [.. PieLabel.InTheWay(Scaling.Scale(product, Pan23, 1), stated, words ?? NoWords)];
        Assert.Empty(InTheWay(Pear, Stated));
        Assert.StartsWith("Nobody has weighed a baked one", Assert.Single(InTheWay(Pear, Stated with { NetGrams = null })), StringComparison.Ordinal);
        var thing = new Ingredient("thing", "Thing", [], AllergensStated: false);
        Assert.Equal("Nobody has said which allergens Thing carries.", Assert.Single(InTheWay(Custard.Filled(new RecipeLine(thing, "", Yield.Whole, Mass.FromGrams(979))), Stated)));
        var praline = Custard.Filled(new RecipeLine(new Ingredient("praline", "Praline", ["nuts"]), "", Yield.Whole, Mass.FromGrams(979)));
        Assert.Contains("say which", Assert.Single(InTheWay(praline, Stated)), StringComparison.Ordinal);
        Assert.Empty(InTheWay(praline, Stated, new Dictionary<string, string> { ["praline"] = "praline (sugar, hazelnuts)" }));
        Assert.Contains("hazelnuts", Marked(Label(praline, words: new Dictionary<string, string> { ["praline"] = "praline (sugar, hazelnuts)" })));
    }

    [Fact]
    public void What_needs_control_and_is_said_to_keep_too_long_is_warned_of()
    {
        var milk = new Ingredient("milk", "Milk", ["milk"]) { Facts = new IngredientFacts { StatedNeedsControl = true } };
        var pie = Scaling.Scale(Custard.Filled(new RecipeLine(milk, "", Yield.Whole, Mass.FromGrams(979))), Pan23, 1);
        bool Warns(LabelStatement stated) => PieLabel.Notes(pie, Asked(), stated, NoWords).Any(note => note.Contains("3-501.17", StringComparison.Ordinal));
        Assert.False(Warns(Stated with { KeepsDays = 6 }));
        Assert.True(Warns(Stated with { KeepsDays = 7 }));
        Assert.True(Warns(Stated with { IsUseBy = false }));
        Assert.Contains(PieLabel.Notes(pie, Asked(), Stated, NoWords), note => note.Contains("no legal advice", StringComparison.Ordinal));
    }

    [Fact]
    public void Statements_are_read_whole_or_refused_by_field()
    {
        var (stated, _) = LabelStatementReader.Read(new LabelStatementDraft(612, 2, true, "Keep at 5 °C or below"));
        Assert.Equal(Stated, stated);
        var (none, faults) = LabelStatementReader.Read(new LabelStatementDraft(0, 61, null, new string('x', 81)));
        Assert.Null(none);
        Assert.Equal(["isUseBy", "keepsDays", "netGrams", "storage"], faults.Select(fault => fault.Field).Order());
        Assert.NotNull(LabelStatementReader.Read(new LabelStatementDraft(null, 0, false, "")).Statement);
    }

    private static Product Beside() => Pear with { Layers = [.. Pear.Layers, new Layer("beside", PartKind.Beside, LayerLaw.Weight, [Line("cream", 40)])] };

    private static Product TwoDoughs() => Pear with { TopDough = Flaky with { Id = "sweet", Lines = [Line("flour", 300), Line("icing", 100), Line("butter", 200)] } };
}
