using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

public sealed class ApprovedIngredientTests
{
    private static readonly Pantry Shelf = new(IngredientLibrary.All);

    private static readonly string[] Lines =
    [
        "450 g flour", "1 cup flour", "1 cup flour, sifted", "2 cups flour, spooned", "1 cup flour, scooped", "1 cup Flour, plain", "1 cup corn flour", "1 cup corn starch", "1 stick butter", "2 sticks butter, cold, cubed",
        "1 cup cold butter", "2 eggs", "2 large eggs", "3 small eggs", "1 medium egg, beaten", "2 extra-large eggs", "3 egg whites", "1 yolk", "4 egg yolks", "1 egg, whole", "2 tins condensed milk", "1 tin coconut milk", "1 can pumpkin puree",
        "juice of 1 lemon", "juice of 2 large limes, strained", "zest of 1 orange", "grated rind of 1 lemon", "1 orange", "3 lemons", "1 vanilla pod", "1 pod vanilla", "2 leaves gelatine", "1 packet gelatine", "3 cloves garlic",
        "6 apples, pared and cored", "6 apples", "3 pears, firm, pared and cored", "1 pint strawberries", "1 pint strawberries, hulled", "1 quart blueberries", "1 pint milk", "1 quart water", "1 dry pint gooseberries", "2 cups plums, pitted",
        "12 apricots, pitted", "1 passion-fruit", "3 passionfruit", "2 bananas, peeled", "3 leeks, trimmed", "1 onion, pared", "2 sweet potatoes, roasted and scooped", "1 kg pumpkin, pared and seeded", "100 ml brandy", "2 tbsp rum",
        "1 fl oz vodka", "125 ml white wine", "1 tsp salt", "1 pinch salt", "a dash of vinegar", "1 tbsp honey", "1 cup golden syrup", "100 g finely chopped toasted hazelnuts", "100 g ground almonds", "1 cup (95 g) ground hazelnuts",
        "2-3 tbsp water", "1 heaped tbsp flour", "450 g quinoa dust", "2 cups quinoa dust", "3 quinoa dusts", "2 waters", "3 vinegar", "1 cup vanilla pod", "1 tin flour", "0 g flour", "1000 kg flour", "1001 kg flour", "flour", "450 g", "g",
        "450.125 g flour", "450.1255 g flour", "0.0001 g flour", "2 lb 4 oz plums, pitted", "1 cup plus 2 tbsp sugar", "200 g very ripe plums (Tern Quay's own), halved", "200 g plums (pitted", "200 g (pitted) plums", "100 g water, ice-cold",
        "100 g melted butter, cooled", "100 g big butter beans", "50 g demerara sugar", "50 g brown sugar, packed", "1 bought shell", "2 tart shells, bought in", "10 g Thyme leaves, fresh", "5 g good quality cocoa",
    ];

    private static readonly string[] Names =
    [
        "Rice flour", "flour, rice", "Butter beans", "Potato starch", "Goose fat", "Beef dripping", "Olive oil", "Date syrup", "Duck egg", "Duck eggs", "Egg, duck", "Oat milk", "Single cream", "Apple juice", "Cider", "Sherry vinegar",
        "Baking powder", "Smoked ham", "Ham-hock", "Prawns, peeled", "Spinach", "Lamb mince", "Yogurt", "Chestnut mushroom", "Butternut squash", "Chicken stock", "Tea", "Rose water", "Tea leaves", "Milk chocolate", "Honeycomb", "Water chestnut", "", "  ",
    ];

    private static Ingredient Of(string id) => IngredientLibrary.Find(id)!;

    [Fact]
    public void The_ingredients_that_ship_are_those_that_were_approved() => Approved.Matches("Ingredients/library", Told.Each(IngredientLibrary.All));

    [Fact]
    public void Recipe_lines_are_weighed_as_approved() => Approved.Matches("Ingredients/recipe-lines", Lines.Select(line =>
    {
        var (read, fault) = RecipeLineReader.Read(line, Shelf);
        return read is null ? $"{line}: {fault}" : $"{line}: {Told.Of(read)} written {RecipeLineReader.Write(read.Of(read.Known ?? new Ingredient("new", read.Name, [])))}";
    }));

    [Fact]
    public void Cups_of_other_customs_are_weighed_as_approved() => Approved.Matches("Ingredients/other-cups", Enum.GetValues<CupCustom>().SelectMany(custom =>
        new[] { "1 cup flour", "3 tbsp sugar", "2 tsp salt" }.Select(line => $"{custom} {line}: {Told.Of(RecipeLineReader.Read(line, Shelf, custom).Line)}")));

    [Fact]
    public void One_way_of_filling_is_a_doubt_too()
    {
        var meal = Of("flour") with { Id = "meal", Name = "Quay meal", Facts = Of("flour").Facts with { OtherNames = [], WaysOfFilling = [Of("flour").Facts.WaysOfFilling[0]] } };
        Assert.Equal("A cup of it weighs 113 g sifted: 125 g is taken. Write which (\"flour, spooned\"), or weigh it.", Assert.Single(RecipeLineReader.Read("1 cup quay meal", new Pantry([meal])).Line!.Doubts));
        Assert.Empty(RecipeLineReader.Read("1 cup quay meal, sifted", new Pantry([meal])).Line!.Doubts);
    }

    [Fact]
    public void What_a_name_lets_guess_is_as_approved() => Approved.Matches("Ingredients/guesses", Names.Select(name => $"{name}: {Told.Of(IngredientGuess.From(name))}"));

    [Fact]
    public void What_is_made_here_is_what_its_parts_are()
    {
        var curd = new IngredientFormula([Line("egg", 200), Line("sugar", 150), Line("lemon-juice", 100, 0.5), Line("rum", 20)], 0.8).Make(new Ingredient("curd", "Sharp curd", ["sulphites"]));
        var tart = new IngredientFormula([new RecipeLine(curd, "warm", Yield.Whole, Mass.FromGrams(300)), Line("dark-chocolate", 50)], 1).Make(new Ingredient("sauce", "Sauce", []) { Facts = IngredientFacts.None with { StatedUnsafeRaw = false } });
        var prices = PriceList.On(new LocalDate(2026, 5, 1), [TestBakery.Price("egg", 1000, 4), TestBakery.Price("sugar", 1000, 1), TestBakery.Price("lemon-juice", 1000, 6), TestBakery.Price("rum", 700, 14), TestBakery.Price("dark-chocolate", 2500, 30)]);
        Approved.Matches("Ingredients/made-here", new object?[]
        {
            curd, curd.Formula, curd.Formula!.Everything.Select(one => one.Id).Order(), curd.Formula.For(Mass.FromGrams(1000)).Select(line => line.Amount), prices.OfGram(curd),
            tart, tart.Formula, tart.Formula!.Everything.Select(one => one.Id).Order(), tart.Formula.For(Mass.FromGrams(70)).Select(line => line.Amount), prices.OfGram(tart),
            PriceList.On(new LocalDate(2026, 5, 1), [TestBakery.Price("egg", 1000, 4)]).OfGram(curd),
        }.Select(Told.Of));
    }

    [Fact]
    public void What_a_bakery_states_goes_before_what_ships() => Approved.Matches("Ingredients/stated-facts", new[]
    {
        IngredientFacts.None,
        IngredientFacts.None with { StatedRole = IngredientRole.Nut, Density = new DensityFigure(Density.FromGramsPerMillilitre(0.55), "own cup"), WeighedTo = 0.5, StarchStrength = 0.7 },
        IngredientFacts.None with { OtherNames = ["Mill flour", "FLOUR"], Pieces = [new PieceWeight("ONE", Mass.FromGrams(55), "own"), new PieceWeight("scoop", Mass.FromGrams(90), "own")] },
        IngredientFacts.None with { Yields = [new PreparationYield("Pared and cored", Yield.FromShare(0.7), "own")], StatedMayContain = ["milk"], StatedAlcoholPercent = 3, StatedUnsafeRaw = false, StatedNeedsControl = true },
    }.SelectMany(own => new[] { "flour", "egg", "pear", "rum", "dark-chocolate" }.Select(id => $"{id}: {Told.Of(FactsInForce.Of(Of(id) with { Facts = own }))} water {Told.Of(FactsInForce.Of(Of(id) with { Facts = own }).WaterShare)}")));

    private static RecipeLine Line(string id, double grams, double yield = 1) => new(Of(id), string.Empty, Yield.FromShare(yield), Mass.FromGrams(grams));
}
