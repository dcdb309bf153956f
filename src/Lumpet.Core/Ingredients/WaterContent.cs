namespace Lumpet.Core.Ingredients;

/// <summary>Percent of water in the ingredients that ship (USDA FoodData Central, SR Legacy, from memory; to about a percent).</summary>
internal static class WaterContent
{
    private static readonly (string Id, double Percent)[] Figures =
    [
        // Flour, starch, sugar, fat.
        ("flour", 11.9), ("pastry-flour", 12), ("cake-flour", 12.5), ("wholemeal-flour", 10.7), ("rye-flour", 10.5), ("corn-starch", 8.3), ("tapioca-starch", 11), ("potato-starch", 15),
        ("arrowroot", 11.4), ("oats", 10.8), ("bread-crumbs", 6.5), ("sugar", 0), ("brown-sugar", 1.3), ("icing-sugar", 0.2), ("coarse-sugar", 0), ("honey", 17.1), ("molasses", 21.9),
        ("maple-syrup", 32.4), ("corn-syrup", 22.8), ("apricot-jam", 30.5), ("malt-extract", 20), ("butter", 16.2), ("lard", 0), ("shortening", 0), ("oil", 0),

        // Milk, cream, cheese, egg.
        ("milk", 88.1), ("cream", 57.7), ("buttermilk", 88), ("sour-cream", 73), ("yoghurt", 87.9), ("condensed-milk", 27.2), ("evaporated-milk", 74), ("cream-cheese", 52.6),
        ("ricotta", 71.7), ("hard-cheese", 36.8), ("egg", 76.2), ("egg-white", 87.6), ("yolk", 52.3),

        // Water and juice.
        ("water", 100), ("lemon-juice", 92.3), ("lime-juice", 90.8), ("orange-juice", 88.3), ("vinegar", 94), ("coffee", 99), ("coconut-milk", 72.9), ("salt", 0),

        // Fruit, roots and vegetables.
        ("apple", 86.7), ("pear", 84), ("quince", 83.8), ("peach", 88.9), ("apricot", 86.4), ("plum", 87.2), ("damson", 85), ("cherry", 82.3), ("rhubarb", 93.6), ("strawberry", 91),
        ("blueberry", 84.2), ("raspberry", 85.8), ("gooseberry", 87.9), ("cranberry", 87.3), ("passion-fruit", 72.9), ("banana", 74.9), ("raisin", 15.5), ("pumpkin-puree", 90),
        ("pumpkin", 91.6), ("sweet-potato", 77.3), ("leek", 83), ("onion", 89.1), ("potato", 79.3), ("celery", 95.4), ("garlic", 58.6),

        // Nuts and chocolate.
        ("hazelnut", 5.3), ("ground-hazelnut", 5.3), ("almond", 4.4), ("ground-almond", 4.4), ("flaked-almond", 4.4), ("pecan", 3.5), ("walnut", 4.1), ("peanut", 6.5), ("sesame", 4.7),
        ("coconut", 3), ("cocoa", 3), ("dark-chocolate", 1.4),
    ];

    private static readonly Dictionary<string, double> ById = Figures.ToDictionary(one => one.Id, one => one.Percent);

    /// <summary>Percent of water in what ships under an id; null where no figure is known.</summary>
    public static double? Of(string id) => ById.TryGetValue(id, out var percent) ? percent : null;
}
