using Lumpet.Core.Measures;

namespace Lumpet.Core.Ingredients;

/// <summary>What is known of an ingredient beyond its name: enough to weigh it however a recipe writes it.</summary>
public sealed record IngredientFacts
{
    /// <summary>Nothing is known.</summary>
    public static IngredientFacts None { get; } = new();

    /// <summary>Other words by which recipes call it.</summary>
    public IReadOnlyList<string> OtherNames { get; init; } = [];

    /// <summary>What it does in a formula, as stated; null where nobody has said.</summary>
    public IngredientRole? StatedRole { get; init; }

    /// <summary>What it does in a formula.</summary>
    public IngredientRole Role => StatedRole ?? IngredientRole.Other;

    /// <summary>Its density as it is measured by the cup, or null where none is known.</summary>
    public DensityFigure? Density { get; init; }

    /// <summary>Its density by the way a cup of it was filled, where that matters: "sifted", "spooned", "scooped".</summary>
    public IReadOnlyList<WayOfFilling> WaysOfFilling { get; init; } = [];

    /// <summary>Weights of one: of an egg, a stick, a tin, the juice of a lemon.</summary>
    public IReadOnlyList<PieceWeight> Pieces { get; init; } = [];

    /// <summary>What preparing it leaves.</summary>
    public IReadOnlyList<PreparationYield> Yields { get; init; } = [];

    /// <summary>Allergens that it may carry in traces, as its supplier says; null where nobody has said, empty where it is said to carry none.</summary>
    public IReadOnlyList<string>? StatedMayContain { get; init; }

    /// <summary>Allergens that it may carry in traces.</summary>
    public IReadOnlyList<string> MayContain => StatedMayContain ?? [];

    /// <summary>Alcohol by volume in percent, 0 to 96, as stated; null where nobody has said.</summary>
    public double? StatedAlcoholPercent { get; init; }

    /// <summary>Alcohol by volume in percent, 0 to 96.</summary>
    public double AlcoholPercent => StatedAlcoholPercent ?? 0;

    /// <summary>Whether it is said not to be tasted raw; null where nobody has said.</summary>
    public bool? StatedUnsafeRaw { get; init; }

    /// <summary>Whether it is not to be tasted raw: raw flour, raw egg.</summary>
    public bool UnsafeRaw => StatedUnsafeRaw ?? false;

    /// <summary>Whether a moist filling of it is said to need time and temperature control; null where nobody has said.</summary>
    public bool? StatedNeedsControl { get; init; }

    /// <summary>
    /// Whether a moist filling of it needs time and temperature control for safety: egg, milk and cream, cooked vegetables,
    /// meat (FDA Food Code 1-201.10, from memory).
    /// </summary>
    public bool NeedsControl => StatedNeedsControl ?? false;

    /// <summary>
    /// Share of its weight that is water, of what wets a dough; of a spirit what is not alcohol (ethanol weighs 0.789 g/ml
    /// at 20 C, handbook value).
    /// </summary>
    public double WaterShare => Role switch
    {
        IngredientRole.Liquid => 1,
        IngredientRole.Spirit => 1 - (AlcoholPercent / 100 * EthanolDensity / (Density?.Value.GramsPerMillilitre ?? 1)),
        _ => 0,
    };

    /// <summary>Percent of its weight that is water, 0 to 100; null where nobody has said.</summary>
    public double? WaterPercent { get; init; }

    private const double EthanolDensity = 0.789;

    /// <summary>How much corn starch one gram thickens like; 0 where it does not thicken.</summary>
    public double StarchStrength { get; init; }

    /// <summary>Grams to which the bakery weighs it, above 0; null for what the scale shows.</summary>
    public double? WeighedTo { get; init; }

    /// <summary>The weight of one, or null where none is known.</summary>
    /// <param name="piece">"one" for things that are simply counted, else the piece: "stick", "lemon".</param>
    public PieceWeight? PieceOf(string piece) => Pieces.FirstOrDefault(one => one.Piece.Equals(piece, StringComparison.OrdinalIgnoreCase));

    /// <summary>What one of it weighs as it is bought: "one", or the only piece of which a weight is known; null where none or several are.</summary>
    public PieceWeight? OnePiece => PieceOf("one") ?? (Pieces.Count == 1 ? Pieces[0] : null);

    /// <summary>The yield of a preparation that is known, or null: "pared and cored, sliced" loses what "pared and cored" loses.</summary>
    public PreparationYield? YieldOf(string preparation) =>
        Yields.Where(one => preparation.Contains(one.Preparation, StringComparison.OrdinalIgnoreCase)).MaxBy(one => one.Preparation.Length);

    /// <summary>What is left of it when it is prepared so: what paring and pitting leave, and of that what boiling down leaves.</summary>
    public Yield YieldFor(string preparation)
    {
        var prepared = YieldOf(preparation)?.Yield ?? Yield.Whole;
        return Reduction.ShareLeft(preparation) is { } left ? Yield.FromShare(prepared.Share * left) : prepared;
    }

    /// <summary>These facts, over which a bakery has set its own; a figure of its own wins over the one that ships.</summary>
    public IngredientFacts With(IngredientFacts own) => this with
    {
        OtherNames = [.. OtherNames.Concat(own.OtherNames).Distinct(StringComparer.OrdinalIgnoreCase)],
        StatedRole = own.StatedRole ?? StatedRole,
        Density = own.Density ?? Density,
        // A bakery that has weighed its own cup fills it in its own way.
        WaysOfFilling = own.Density is null ? WaysOfFilling : [],
        Pieces = [.. own.Pieces.Concat(Pieces).DistinctBy(one => one.Piece, StringComparer.OrdinalIgnoreCase)],
        Yields = [.. own.Yields.Concat(Yields).DistinctBy(one => one.Preparation, StringComparer.OrdinalIgnoreCase)],
        StatedMayContain = own.StatedMayContain ?? StatedMayContain,
        StatedAlcoholPercent = own.StatedAlcoholPercent ?? StatedAlcoholPercent,
        StatedUnsafeRaw = own.StatedUnsafeRaw ?? StatedUnsafeRaw,
        StatedNeedsControl = own.StatedNeedsControl ?? StatedNeedsControl,
        WeighedTo = own.WeighedTo ?? WeighedTo,
        WaterPercent = own.WaterPercent ?? WaterPercent,
        StarchStrength = own.StarchStrength > 0 ? own.StarchStrength : StarchStrength,
    };
}

/// <summary>A density and where it comes from.</summary>
/// <param name="Value">The density.</param>
/// <param name="Source">Who says so: a table, or "weighed here".</param>
public sealed record DensityFigure(Density Value, string Source);

/// <summary>A density that depends on how the cup was filled.</summary>
/// <param name="Way">"sifted", "spooned", "scooped": a word of the written line.</param>
/// <param name="Figure">The density then.</param>
public sealed record WayOfFilling(string Way, DensityFigure Figure);

/// <summary>The weight of one piece, before it is prepared, and where it comes from.</summary>
/// <param name="Piece">"one", "large", "stick", "tin", "pod"; of a juice or zest the fruit: "lemon".</param>
/// <param name="Weight">Above 0.</param>
/// <param name="Source">Who says so.</param>
public sealed record PieceWeight(string Piece, Mass Weight, string Source);

/// <summary>What a preparation leaves, and where the figure comes from.</summary>
/// <param name="Preparation">"pared and cored", "pitted".</param>
/// <param name="Yield">Edible portion over as purchased.</param>
/// <param name="Source">Who says so.</param>
public sealed record PreparationYield(string Preparation, Yield Yield, string Source);
