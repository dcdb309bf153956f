using Lumpet.Core.Measures.Amounts;
using Xunit;

namespace Lumpet.Core.Tests.Measures.Amounts;

public sealed class ApprovedAmountTests
{
    private static readonly string[] Units =
    [
        "g", "gr", "gram", "grams", "gramme", "grammes", "kg", "kgs", "kilo", "kilos", "kilogram", "kilograms", "kilogramme", "kilogrammes", "mg", "milligram", "milligrams",
        "oz", "ounce", "ounces", "lb", "lbs", "pound", "pounds", "ml", "mls", "millilitre", "millilitres", "milliliter", "milliliters", "cc", "cl", "centilitre", "centilitres",
        "centiliter", "centiliters", "dl", "decilitre", "decilitres", "deciliter", "deciliters", "l", "L", "litre", "litres", "liter", "liters", "fl oz", "floz", "fluid ounce",
        "fluid ounces", "fl. oz", "pint", "pints", "pt", "pts", "us pint", "us pints", "dry pint", "dry pints", "us dry pint", "us dry pints", "dry quart", "dry quarts", "quart",
        "quarts", "qt", "qts", "gallon", "gallons", "gal", "us cup", "us cups", "us tablespoon", "us tablespoons", "us tbsp", "us teaspoon", "us teaspoons", "us tsp", "metric cup",
        "metric cups", "metric tablespoon", "metric tbsp", "metric teaspoon", "metric tsp", "australian tablespoon", "australian tbsp", "pinch", "pinches", "dash", "dashes", "stick",
        "sticks", "tin", "tins", "can", "cans", "pod", "pods", "clove", "cloves", "leaf", "leaves", "sprig", "sprigs", "packet", "packets", "package", "packages", "pkg", "sheet", "sheets",
        "cup", "cups", "c", "tablespoon", "tablespoons", "tablespoonful", "tablespoonfuls", "tbsp", "tbsps", "tbs", "tb", "T", "teaspoon", "teaspoons", "teaspoonful", "teaspoonfuls",
        "tsp", "tsps", "t", "Tbsp", "TSP", "KG", "bowl", "handful",
    ];

    private static readonly string[] Numbers =
    [
        "½", "⅓", "⅔", "¼", "¾", "⅕", "⅖", "⅗", "⅘", "⅙", "⅚", "⅛", "⅜", "⅝", "⅞", "1½", "2 ⅔", "1 1/2", "3/4", "1⁄2", "12 3/8", "0", "0.5", "0,5", "1,000", "1,250.5", "12 000", "1.000",
        "a", "an", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "half", "half a", "half an", "a half", "one half", "a quarter", "quarter",
        "a dozen", "one and a half", "two and a half", "2-3", "2 - 3", "2 to 3", "2–3", "½-¾", "1 1/2 to 2", "3-2", "2 or 3", "999999999", "1/0", "3/1", "2 1/1", "1/3 or 1/2", "1-1/2", "1/", "/2", "1//2", ".5", "5.", "1.2.3", "-2", "+2", "1e3",
    ];

    private static readonly string[] Lines =
    [
        "450 g flour", "450g flour", "450 G Flour", "• 450 g flour", "- 450 g flour", "* 2 eggs", "2 eggs", "2 large eggs", "1 egg yolk", "an egg", "half a lemon", "juice of 1 lemon", "the juice of 2 lemons",
        "juice of half a lemon, strained", "zest of 1 orange", "finely grated zest of 1 lemon", "grated rind of 2 large oranges", "rind of 3 limes", "juice of lemons", "juice of 2", "2 lb 4 oz plums", "1 lb plus 2 oz butter",
        "1 cup + 2 tbsp sugar", "1 cup and 2 tbsp sugar", "1 cup & 1 tsp sugar", "1 lb 2 oz 3 g 4 mg dust", "1 cup sugar 2 eggs", "2 x 400 g tins milk", "2 × 400g tins milk", "1 (14 oz) tin milk", "1 14-oz can milk",
        "3 (8 ounce) packages cheese", "2 (1/2 pound) blocks butter", "1 cup (200 g) sugar", "1 cup (7 oz/200 g) sugar", "2 tins (400 g) milk", "2 tins (400 g each) milk", "2 tins (800 g total) milk", "2 tins (800 g in all) milk",
        "6 apples (about 1 kg)", "6 apples (each 150 g)", "1 cup (about 2) plums", "1 heaped tbsp flour", "1 rounded tsp salt", "1 scant cup milk", "1 generous pinch salt", "1 good handful nuts", "about 200 g figs",
        "1 level tsp salt", "1 packed cup sugar", "1 firmly packed cup sugar", "1 lightly packed cup leaves", "pinch of salt", "a pinch salt", "dash of vinegar", "Dash rum", "2-3 tbsp water", "2 to 3 cups berries",
        "1 to 2 lb 3 oz plums", "1 tbsp. sugar", "2 fl. oz cream", "2 cups of the milk", "3 of the plums", "200 g", "flour", "", "   ", "1e9 g sugar", "1g", "5 gfoo", "1 t salt", "1 T salt", "1 L milk", "1 l milk",
        "2 sticks butter", "1 vanilla pod", "3 cloves garlic", "4 leaves gelatine", "2 sheets puff", "12 sprigs thyme", "1 (2 cup) tin x", "1 x 400 tin beans", "4 oz dark chocolate (70 %)", "1 cup (200 cups) odd",
    ];

    [Fact]
    public void Every_unit_word_is_the_unit_that_was_approved() => Approved.Matches("Measures/units", Enum.GetValues<CupCustom>().SelectMany(custom => Units
        .Select(unit => (Unit: unit, Read: Told.Of(AmountReader.Read($"3 {unit} dust", custom)), Usual: Told.Of(AmountReader.Read($"3 {unit} dust"))))
        .Where(one => custom == CupCustom.UnitedStates || one.Read != one.Usual)
        .Select(one => $"{custom} {one.Unit}: {one.Read}")));

    [Fact]
    public void Every_way_of_writing_a_number_is_the_number_that_was_approved() => Approved.Matches("Measures/numbers", Numbers.SelectMany(number => new[]
    {
        $"{number} g: {Told.Of(AmountReader.Read($"{number} g dust"))}",
        $"{number}: {Told.Of(AmountReader.Read($"{number} plums"))}",
    }));

    [Fact]
    public void Every_line_is_understood_as_it_was_approved() => Approved.Matches("Measures/amount-lines", Lines.Select(line => $"{line}: {Told.Of(AmountReader.Read(line))}"));

    [Fact]
    public void Plurals_become_singular_as_approved() => Approved.Matches("Measures/singulars", new[]
    {
        "cherries", "pies", "ties", "berries", "potatoes", "toes", "peaches", "radishes", "boxes", "leaves", "sleaves", "lemons", "eggs", "gas", "as", "glass", "asparagus", "hummus", "us", "egg", "", " Plums ", "oes", "oats",
    }.Select(word => $"{word}: {Singular.Of(word)} / {Singular.Key($"{word}, big-{word}'s")}"));
}
