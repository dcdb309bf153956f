using Lumpet.Core.Measures;
using static Lumpet.Core.Ingredients.IngredientRole;

namespace Lumpet.Core.Ingredients;

/// <summary>
/// The ingredients that ship with Lumpet, each figure with its source. A bakery sets its own over them: practitioners' own
/// cup weights differ by 5 to 20 %, and a label of the supplier's decides on allergens.
/// </summary>
public static class IngredientLibrary
{
    private const string Usda = "USDA FoodData Central, SR Legacy portion weights, from memory";
    private const string Buying = "USDA Food Buying Guide, from memory";
    private const string Refuse = "USDA refuse data, from memory";
    private const string Ways = "GNU Units, definitions.units, section on cooking";
    private const string Practice = "common practice, no source";

    private const double CupMl = Volume.MillilitresInUsCup;
    private const double SpoonMl = CupMl / 48;

    /// <summary>All of them, by kind.</summary>
    public static IReadOnlyList<Ingredient> All { get; } = [.. new Ingredient[]
    {
        // Flour and starch.
        Filled(Raw("flour", "Flour, plain", Flour, ["wheat"], Cup(125), ["flour", "all-purpose flour", "white flour", "wheat flour"])),
        Raw("pastry-flour", "Flour, pastry", Flour, ["wheat"], Cup(115, Practice)),
        Raw("cake-flour", "Flour, cake", Flour, ["wheat"], Cup(137)),
        Raw("wholemeal-flour", "Flour, wholemeal", Flour, ["wheat"], Cup(120), ["whole wheat flour", "wholewheat flour"]),
        Raw("rye-flour", "Flour, rye", Flour, ["gluten (rye, barley)"], Cup(102)),
        Thick("corn-starch", "Corn starch", 1, Cup(128), ["cornstarch", "corn flour", "cornflour", "maize starch"]),
        Thick("tapioca-starch", "Tapioca starch", 1, Cup(120, Practice), ["tapioca flour", "tapioca", "instant tapioca"]),
        Thick("potato-starch", "Potato starch", 1, Cup(160, Practice)),
        Thick("arrowroot", "Arrowroot", 1, Cup(128), ["arrowroot starch", "arrowroot powder"]),
        Of("oats", "Oats, rolled", Other, ["gluten (oats)"], Cup(81), ["oats", "oat flakes", "porridge oats"], ["wheat", "gluten (rye, barley)"]),
        Of("bread-crumbs", "Bread crumbs, dry", Other, ["wheat"], Cup(108), ["bread crumbs", "breadcrumbs"]),

        // Sugar and syrup.
        Of("sugar", "Sugar, white", Sugar, [], Cup(200), ["sugar", "granulated sugar", "caster sugar", "white granulated sugar"]),
        Of("brown-sugar", "Sugar, light brown", Sugar, [], Cup(220), ["brown sugar", "soft brown sugar", "dark brown sugar", "muscovado sugar", "packed brown sugar"]),
        Of("icing-sugar", "Icing sugar", Sugar, [], Cup(120), ["powdered sugar", "confectioners sugar", "confectioner's sugar", "icing sugar, unsifted"]),
        Of("coarse-sugar", "Sugar, coarse", Sugar, [], Cup(200, Practice), ["sanding sugar", "pearl sugar", "demerara sugar", "turbinado sugar"]),
        Of("honey", "Honey", Sugar, [], Cup(339)),
        Of("molasses", "Molasses", Sugar, [], Cup(337), ["treacle", "black treacle"]),
        Of("maple-syrup", "Maple syrup", Sugar, [], Cup(315)),
        Of("corn-syrup", "Corn syrup", Sugar, [], Cup(341), ["golden syrup", "light corn syrup", "glucose syrup"]),
        Of("apricot-jam", "Apricot jam", Sugar, [], Cup(320), ["apricot glaze", "apricot preserves"]),

        // Fat.
        Pieces(Of("butter", "Butter, unsalted", Fat, ["milk"], Cup(227), ["butter", "unsalted butter", "sweet butter"]), ("stick", 4 * 28.349523125, "4 oz a stick, US trade size")),
        Of("lard", "Lard", Fat, [], Cup(205), ["leaf lard"]),
        Of("shortening", "Vegetable shortening", Fat, [], Cup(205), ["shortening", "vegetable fat"]),
        Of("oil", "Vegetable oil", Fat, [], Cup(218), ["oil", "sunflower oil", "neutral oil"]),

        // Milk, cream, cheese.
        Cold("milk", "Milk, whole", Liquid, ["milk"], Cup(244), ["milk", "whole milk", "full-fat milk"]),
        Cold("cream", "Cream, heavy", Liquid, ["milk"], Cup(238), ["cream", "double cream", "whipping cream", "heavy whipping cream", "thickened cream"]),
        Cold("buttermilk", "Buttermilk", Liquid, ["milk"], Cup(245)),
        Cold("sour-cream", "Sour cream", Other, ["milk"], Cup(230), ["creme fraiche", "crème fraîche"]),
        Cold("yoghurt", "Yoghurt, plain", Other, ["milk"], Cup(245), ["yogurt", "plain yogurt", "natural yoghurt"]),
        Pieces(Of("condensed-milk", "Condensed milk, sweetened", Liquid, ["milk"], Cup(306), ["condensed milk", "sweetened condensed milk"]), ("tin", 397, Practice)),
        Pieces(Cold("evaporated-milk", "Evaporated milk", Liquid, ["milk"], Cup(252)), ("tin", 354, Practice)),
        Cold("cream-cheese", "Cream cheese", Other, ["milk"], Cup(232)),
        Cold("ricotta", "Ricotta", Other, ["milk"], Cup(246)),
        Of("hard-cheese", "Cheese, hard", Other, ["milk"], Cup(113), ["hard cheese", "cheese"]),

        // Egg. Weights of one are without the shell.
        Pieces(Raw("egg", "Egg, whole", Egg, ["egg"], Cup(243), ["egg", "eggs", "whole egg", "beaten egg"]), ("one", 50, Usda), ("large", 50, Usda), ("medium", 44, Usda), ("small", 38, Usda), ("extra-large", 56, Usda)),
        Pieces(Raw("egg-white", "Egg white", Egg, ["egg"], Cup(243), ["white", "egg whites"]), ("one", 33, Usda)),
        Pieces(Raw("yolk", "Egg yolk", Egg, ["egg"], Cup(243), ["yolk", "egg yolks"]), ("one", 17, Usda)),

        // Water, juice, spirits.
        Of("water", "Water", Liquid, [], Cup(237), ["ice water", "ice-cold water", "iced water", "boiling water", "water, ice-cold"]),
        Pieces(Of("lemon-juice", "Lemon juice", Acid, [], Cup(244)), ("lemon", 48, Usda)),
        Pieces(Of("lime-juice", "Lime juice", Acid, [], Cup(242)), ("lime", 38, Usda)),
        Pieces(Of("orange-juice", "Orange juice", Liquid, [], Cup(248)), ("orange", 86, Usda)),
        Pieces(Of("lemon-zest", "Lemon zest", Spice, [], Spoon(2), ["grated lemon zest", "lemon peel", "lemon rind"]), ("lemon", 6, Practice)),
        Pieces(Of("orange-zest", "Orange zest", Spice, [], Spoon(2), ["grated orange zest", "orange peel", "orange rind"]), ("orange", 10, Practice)),
        Of("vinegar", "Vinegar", Acid, [], Cup(239), ["cider vinegar", "white vinegar", "white wine vinegar"]),
        Of("coffee", "Coffee, strong", Liquid, [], Cup(237), ["espresso", "coffee"]),
        Pieces(Cold("coconut-milk", "Coconut milk", Liquid, [], Cup(226)), ("tin", 400, Practice)),
        Spirits("brandy", "Brandy", 40, 27.8, ["cognac", "fruit brandy"]),
        Spirits("rum", "Rum", 40, 27.8, ["dark rum"]),
        Spirits("vodka", "Vodka", 40, 27.8, []),
        Spirits("white-wine", "Wine, white", 12, 29.4, ["white wine", "dry white wine"]) with { Allergens = ["sulphites"] },

        // Salt, spice, raising, flavour.
        Of("salt", "Salt, fine", Spice, [], Spoon(6), ["salt", "table salt", "fine sea salt", "sea salt", "kosher salt"]),
        Of("baking-powder", "Baking powder", Raising, [], Spoon(4.6)),
        Of("baking-soda", "Baking soda", Raising, [], Spoon(4.6), ["bicarbonate of soda", "bicarb"]),
        Of("cream-of-tartar", "Cream of tartar", Raising, [], Spoon(3)),
        Of("cinnamon", "Cinnamon, ground", Spice, [], Spoon(2.6), ["cinnamon"]),
        Of("nutmeg", "Nutmeg, ground", Spice, [], Spoon(2.2), ["nutmeg", "grated nutmeg"]),
        Of("ginger", "Ginger, ground", Spice, [], Spoon(1.8), ["ginger", "powdered ginger"]),
        Of("cloves", "Cloves, ground", Spice, [], Spoon(2.1)),
        Of("cardamom", "Cardamom, ground", Spice, [], Spoon(2), ["cardamom"]),
        Of("allspice", "Allspice, ground", Spice, [], Spoon(1.9), ["allspice"]),
        Of("pepper", "Pepper, ground", Spice, [], Spoon(2.3), ["pepper", "black pepper", "ground black pepper"]),
        Of("mustard", "Mustard, prepared", Spice, ["mustard"], Spoon(5), ["mustard", "dijon mustard"]),
        Of("stem-ginger", "Stem ginger", Fruit, [], null, ["preserved ginger", "ginger in syrup"]),
        Alcohol(Of("vanilla-extract", "Vanilla extract", Spice, [], Spoon(4.2), ["vanilla", "vanilla essence"]), 35),
        Pieces(Of("vanilla-pod", "Vanilla pod", Spice, [], null, ["vanilla bean"]), ("one", 4, Practice), ("pod", 4, Practice)),
        Of("cocoa", "Cocoa powder", Other, [], Cup(86), ["cocoa", "unsweetened cocoa"]),
        Of("dark-chocolate", "Chocolate, dark", Other, [], Cup(168), ["dark chocolate", "chocolate", "chocolate chips", "bittersweet chocolate"], ["milk", "soy", "nuts"]),
        Of("malt-extract", "Malt extract", Sugar, ["gluten (rye, barley)"], Cup(340, Practice), ["barley malt syrup", "malt syrup"]),
        Pieces(Of("gelatine", "Gelatine", Other, [], Spoon(2.8, Practice), ["gelatin", "powdered gelatine"]), ("leaf", 2, Practice), ("packet", 7, Usda)),

        // Fruit. Cup weights are of fruit cut as it goes into a pie; weights of one are whole.
        Fruits("apple", "Apples", Cup(110), 182, ("pared and cored", 0.78, Buying)),
        Called(Fruits("pear", "Pears, firm", Cup(140), 178, ("pared and cored", 0.78, Buying)), "pear"),
        Fruits("quince", "Quinces", null, 151, ("pared and cored", 0.61, Refuse)),
        Fruits("peach", "Peaches", Cup(154), 150, ("pared and pitted", 0.76, Buying)),
        Fruits("apricot", "Apricots", Cup(165), 35, ("pitted", 0.93, Buying)),
        Fruits("plum", "Plums", Cup(165), 66, ("pitted", 0.94, Buying)),
        Fruits("damson", "Damsons", Cup(165, Practice), 12, ("pitted", 0.94, "USDA Food Buying Guide, plums, from memory")),
        Called(Fruits("cherry", "Cherries, sweet", Cup(154), 8.2, ("pitted", 0.84, Buying)), "cherry"),
        Fruits("rhubarb", "Rhubarb", Cup(122), 51, ("trimmed", 0.86, Buying)),
        Fruits("strawberry", "Strawberries", Cup(152), 12, ("hulled", 0.88, Buying)),
        Fruits("blueberry", "Blueberries", Cup(148), null, ("picked over", 0.96, Buying)),
        Fruits("raspberry", "Raspberries", Cup(123), null, ("picked over", 0.96, Buying)),
        Fruits("gooseberry", "Gooseberries", Cup(150), null, ("topped and tailed", 0.94, Practice)),
        Fruits("cranberry", "Cranberries", Cup(100), null, ("picked over", 0.95, Buying)),
        Pieces(Called(Fruits("passion-fruit", "Passion-fruit pulp", Cup(236), null), "passion-fruit", "passionfruit"), ("passion-fruit", 18, Usda), ("one", 18, Usda)),
        Fruits("banana", "Bananas", Cup(150), 118, ("peeled", 0.65, Buying)),
        Fruits("raisin", "Raisins", Cup(145), null) with { Allergens = ["sulphites"] },

        // Roots and savoury.
        Pieces(Cold("pumpkin-puree", "Pumpkin puree, tinned", Fruit, [], Cup(245), ["canned pumpkin", "pumpkin puree", "tinned pumpkin"]), ("tin", 425, Practice)),
        Yields(Of("pumpkin", "Pumpkin", Vegetable, [], Cup(116)), ("pared and seeded", 0.70, Buying)),
        Yields(Pieces(Of("sweet-potato", "Sweet potatoes", Vegetable, [], Cup(133)), ("one", 130, Usda)), ("pared", 0.80, Buying), ("roasted and scooped", 0.68, Practice)),
        Yields(Pieces(Of("leek", "Leeks", Vegetable, [], Cup(89)), ("one", 89, Usda)), ("trimmed", 0.44, Refuse)),
        Yields(Pieces(Of("onion", "Onions", Vegetable, [], Cup(160)), ("one", 110, Usda)), ("pared", 0.88, Buying)),
        Yields(Pieces(Of("potato", "Potatoes", Vegetable, [], Cup(150)), ("one", 213, Usda)), ("pared", 0.81, Buying)),
        Yields(Of("celery", "Celery", Vegetable, ["celery"], Cup(101)), ("trimmed", 0.83, Buying)),
        Pieces(Of("garlic", "Garlic", Vegetable, [], null), ("clove", 3, Usda)),
        Of("thyme", "Thyme, fresh", Spice, [], Spoon(0.8), ["thyme", "thyme leaves"]),

        // Nuts and seeds.
        Of("hazelnut", "Hazelnuts", Nut, ["nuts"], Cup(135), ["filberts"]),
        Of("ground-hazelnut", "Hazelnuts, ground", Nut, ["nuts"], Cup(95, Practice), ["hazelnut meal"]),
        Of("almond", "Almonds", Nut, ["nuts"], Cup(143)),
        Of("ground-almond", "Almonds, ground", Nut, ["nuts"], Cup(95), ["almond flour", "almond meal", "ground almonds"]),
        Of("flaked-almond", "Almonds, flaked", Nut, ["nuts"], Cup(92), ["sliced almonds", "slivered almonds"]),
        Of("pecan", "Pecans", Nut, ["nuts"], Cup(99), ["pecan halves"]),
        Of("walnut", "Walnuts", Nut, ["nuts"], Cup(117)),
        Of("peanut", "Peanuts", Nut, ["peanut"], Cup(146)),
        Of("sesame", "Sesame seeds", Nut, ["sesame"], Cup(144)),
        Of("coconut", "Coconut, flaked", Nut, [], Cup(85), ["desiccated coconut", "shredded coconut", "coconut"], ["nuts", "sulphites"]),

        // Bought ready, and what goes round the pie.
        Of("bought-dough", "Flaky dough, bought in", BoughtDough, ["wheat", "milk"], null, ["puff pastry", "bought pastry"]),
        Pieces(Of("bought-shell", "Tart shell, bought in", BoughtDough, ["wheat", "milk", "egg"], null), ("one", 30, Practice)),
        Of("box", "Pie box", Packaging, [], null),
        Of("label", "Label", Packaging, [], null),
        Of("foil-pan", "Foil pan", Packaging, [], null),
    }.Select(one => WaterContent.Of(one.Id) is { } water ? one with { Facts = one.Facts with { WaterPercent = water } } : one)];

    private static readonly Dictionary<string, Ingredient> ById = All.ToDictionary(one => one.Id);

    /// <summary>Id of water, which comes from the tap: nobody stores it.</summary>
    public const string TapWater = "water";

    /// <summary>The ingredient that ships under an id, or null.</summary>
    public static Ingredient? Find(string id) => ById.GetValueOrDefault(id);

    private static DensityFigure Cup(double grams, string source = Usda) => Measured(grams, CupMl, "a US cup", source);

    private static DensityFigure Spoon(double grams, string source = Usda) => Measured(grams, SpoonMl, "a US teaspoon", source);

    private static DensityFigure Measured(double grams, double millilitres, string of, string source) =>
        new(Density.FromGramsPerMillilitre(grams / millilitres), FormattableString.Invariant($"{grams} g {of}: {source}"));

    private static Ingredient Of(
        string id, string name, IngredientRole role, IReadOnlyList<string> allergens, DensityFigure? density, IReadOnlyList<string>? otherNames = null, IReadOnlyList<string>? mayContain = null) =>
        new(id, name, allergens)
        {
            Facts = new IngredientFacts { StatedRole = role, Density = density, OtherNames = otherNames ?? [], StatedMayContain = mayContain ?? [], StatedNeedsControl = role is Egg or Vegetable },
        };

    /// <summary>Milk, cream and the like: a moist filling of it needs time and temperature control.</summary>
    private static Ingredient Cold(
        string id, string name, IngredientRole role, IReadOnlyList<string> allergens, DensityFigure? density, IReadOnlyList<string>? otherNames = null)
    {
        var ingredient = Of(id, name, role, allergens, density, otherNames);
        return ingredient with { Facts = ingredient.Facts with { StatedNeedsControl = true } };
    }

    /// <summary>A cup of flour is not one figure: it depends on how the cup was filled.</summary>
    private static Ingredient Filled(Ingredient flour) => flour with
    {
        Facts = flour.Facts with { WaysOfFilling = [new("sifted", Cup(113, Ways)), new("spooned", Cup(120, Ways)), new("scooped", Cup(142, Ways))] },
    };

    private static Ingredient Raw(string id, string name, IngredientRole role, IReadOnlyList<string> allergens, DensityFigure density, IReadOnlyList<string>? otherNames = null)
    {
        var ingredient = Of(id, name, role, allergens, density, otherNames);
        // Flour thickens about half as well as corn starch (common practice, no source).
        return ingredient with { Facts = ingredient.Facts with { StatedUnsafeRaw = true, StarchStrength = role == Flour ? 0.5 : 0 } };
    }

    private static Ingredient Thick(string id, string name, double strength, DensityFigure density, IReadOnlyList<string>? otherNames = null)
    {
        var ingredient = Of(id, name, Starch, [], density, otherNames);
        return ingredient with { Facts = ingredient.Facts with { StarchStrength = strength } };
    }

    private static Ingredient Spirits(string id, string name, double percent, double gramsPerFluidOunce, IReadOnlyList<string> otherNames) =>
        Alcohol(Of(id, name, Spirit, [], Measured(gramsPerFluidOunce, CupMl / 8, "a US fluid ounce", Usda), otherNames), percent);

    private static Ingredient Alcohol(Ingredient ingredient, double percent) => ingredient with { Facts = ingredient.Facts with { StatedAlcoholPercent = percent } };

    private static Ingredient Fruits(string id, string name, DensityFigure? density, double? one, params (string Preparation, double Share, string Source)[] yields)
    {
        var fruit = Yields(Of(id, name, Fruit, [], density), yields);
        return one is { } grams ? Pieces(fruit, ("one", grams, Usda)) : fruit;
    }

    private static Ingredient Pieces(Ingredient ingredient, params (string Piece, double Grams, string Source)[] pieces) => ingredient with
    {
        Facts = ingredient.Facts with { Pieces = [.. pieces.Select(one => new PieceWeight(one.Piece, Mass.FromGrams(one.Grams), one.Source))] },
    };

    private static Ingredient Yields(Ingredient ingredient, params (string Preparation, double Share, string Source)[] yields) => ingredient with
    {
        Facts = ingredient.Facts with { Yields = [.. yields.Select(one => new PreparationYield(one.Preparation, Yield.FromShare(one.Share), one.Source))] },
    };

    private static Ingredient Called(Ingredient ingredient, params string[] names) => ingredient with { Facts = ingredient.Facts with { OtherNames = names } };
}
