namespace Lumpet.Core.Measures.Amounts;

/// <summary>The words for units, in the singular and the plural, long and short.</summary>
internal static class UnitWords
{
    private const double Cup = Volume.MillilitresInUsCup;

    // Exact: NIST Handbook 44, Appendix C.
    private static readonly AmountUnit DryPint = new("US dry pint", UnitKind.Volume, 550.6104713575);
    private static readonly AmountUnit DryQuart = new("US dry quart", UnitKind.Volume, 2 * 550.6104713575);

    private static readonly AmountUnit UsCup = new("US cup", UnitKind.Volume, Cup);
    private static readonly AmountUnit UsTablespoon = new("US tbsp", UnitKind.Volume, Cup / 16);
    private static readonly AmountUnit UsTeaspoon = new("US tsp", UnitKind.Volume, Cup / 48);
    private static readonly AmountUnit MetricCup = new("metric cup", UnitKind.Volume, 250);
    private static readonly AmountUnit MetricTablespoon = new("metric tbsp", UnitKind.Volume, 15);
    private static readonly AmountUnit MetricTeaspoon = new("metric tsp", UnitKind.Volume, 5);
    private static readonly AmountUnit AustralianTablespoon = new("Australian tbsp", UnitKind.Volume, 20);

    private static readonly string[] Cups = ["cup", "cups", "c"];
    private static readonly string[] Tablespoons = ["tablespoon", "tablespoons", "tablespoonful", "tablespoonfuls", "tbsp", "tbsps", "tbs", "tb", "T"];
    private static readonly string[] Teaspoons = ["teaspoon", "teaspoons", "teaspoonful", "teaspoonfuls", "tsp", "tsps", "t"];

    /// <summary>Words that mean the same everywhere.</summary>
    private static readonly Dictionary<string, AmountUnit> Fixed = Words(
        (AmountUnit.Gram, ["g", "gr", "gram", "grams", "gramme", "grammes"]),
        (new("kg", UnitKind.Mass, 1000), ["kg", "kgs", "kilo", "kilos", "kilogram", "kilograms", "kilogramme", "kilogrammes"]),
        (new("mg", UnitKind.Mass, 0.001), ["mg", "milligram", "milligrams"]),
        (new("oz", UnitKind.Mass, 28.349523125), ["oz", "ounce", "ounces"]),
        (new("lb", UnitKind.Mass, 453.59237), ["lb", "lbs", "pound", "pounds"]),
        (new("ml", UnitKind.Volume, 1), ["ml", "mls", "millilitre", "millilitres", "milliliter", "milliliters", "cc"]),
        (new("cl", UnitKind.Volume, 10), ["cl", "centilitre", "centilitres", "centiliter", "centiliters"]),
        (new("dl", UnitKind.Volume, 100), ["dl", "decilitre", "decilitres", "deciliter", "deciliters"]),
        (new("l", UnitKind.Volume, 1000), ["l", "L", "litre", "litres", "liter", "liters"]),
        (new("US fl oz", UnitKind.Volume, Cup / 8), ["fl oz", "floz", "fluid ounce", "fluid ounces", "fl. oz"]),
        (new("US pint", UnitKind.Volume, Cup * 2), ["pint", "pints", "pt", "pts", "us pint", "us pints"]),
        (DryPint, ["dry pint", "dry pints", "us dry pint", "us dry pints"]),
        (DryQuart, ["dry quart", "dry quarts", "us dry quart", "us dry quarts"]),
        (new("US quart", UnitKind.Volume, Cup * 4), ["quart", "quarts", "qt", "qts"]),
        (new("US gallon", UnitKind.Volume, Cup * 16), ["gallon", "gallons", "gal"]),
        (UsCup, ["us cup", "us cups"]),
        (UsTablespoon, ["us tablespoon", "us tablespoons", "us tbsp"]),
        (UsTeaspoon, ["us teaspoon", "us teaspoons", "us tsp"]),
        (MetricCup, ["metric cup", "metric cups"]),
        (MetricTablespoon, ["metric tablespoon", "metric tablespoons", "metric tbsp"]),
        (MetricTeaspoon, ["metric teaspoon", "metric teaspoons", "metric tsp"]),
        (AustralianTablespoon, ["australian tablespoon", "australian tablespoons", "australian tbsp"]),
        // A pinch is reckoned as 1/16 tsp, a dash as 1/8 tsp (common practice, no source).
        (new("pinch", UnitKind.Volume, Cup / 48 / 16), ["pinch", "pinches"]),
        (new("dash", UnitKind.Volume, Cup / 48 / 8), ["dash", "dashes"]),
        (AmountUnit.Piece("stick"), ["stick", "sticks"]),
        (AmountUnit.Piece("tin"), ["tin", "tins", "can", "cans"]),
        (AmountUnit.Piece("pod"), ["pod", "pods"]),
        (AmountUnit.Piece("clove"), ["clove", "cloves"]),
        (AmountUnit.Piece("leaf"), ["leaf", "leaves"]),
        (AmountUnit.Piece("sprig"), ["sprig", "sprigs"]),
        (AmountUnit.Piece("packet"), ["packet", "packets", "package", "packages", "pkg"]),
        (AmountUnit.Piece("sheet"), ["sheet", "sheets"]));

    private static readonly Dictionary<CupCustom, Dictionary<string, AmountUnit>> ByCustom = new()
    {
        [CupCustom.UnitedStates] = Words((UsCup, Cups), (UsTablespoon, Tablespoons), (UsTeaspoon, Teaspoons)),
        [CupCustom.Metric] = Words((MetricCup, Cups), (MetricTablespoon, Tablespoons), (MetricTeaspoon, Teaspoons)),
        [CupCustom.Australian] = Words((MetricCup, Cups), (AustralianTablespoon, Tablespoons), (MetricTeaspoon, Teaspoons)),
    };

    /// <summary>The unit that a word names, or null. Only "T", "t" and "L" care about the size of letters.</summary>
    /// <param name="word">One or two words.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    public static AmountUnit? Find(string word, CupCustom custom)
    {
        var key = word is "T" or "L" ? word : word.ToLowerInvariant();
        return Fixed.GetValueOrDefault(key) ?? ByCustom[custom].GetValueOrDefault(key);
    }

    /// <summary>The dry unit of the same name, or the unit itself where there is none.</summary>
    public static AmountUnit DryOf(AmountUnit unit) => unit.Name switch { "US pint" => DryPint, "US quart" => DryQuart, _ => unit };

    private static Dictionary<string, AmountUnit> Words(params (AmountUnit Unit, string[] Words)[] units) =>
        units.SelectMany(one => one.Words.Select(word => (word, one.Unit))).ToDictionary(pair => pair.word, pair => pair.Unit);
}
