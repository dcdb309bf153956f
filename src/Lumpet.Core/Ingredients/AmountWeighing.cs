using System.Globalization;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Ingredients;

/// <summary>A written amount turned into grams.</summary>
/// <param name="Amount">The grams; null where they cannot be known.</param>
/// <param name="How">By which figures, in words; empty for plain weights.</param>
/// <param name="Fault">Why not, and what would help; empty where it was weighed.</param>
public sealed record WeighedAmount(Mass? Amount, string How, string Fault);

/// <summary>Weighs what a recipe measures or counts: volumes by density, pieces by the weight of one.</summary>
public static class AmountWeighing
{
    private static readonly string[] Sizes = ["extra-large", "large", "medium", "small"];

    /// <summary>Weighs an amount.</summary>
    /// <param name="amount">As written; of a range its middle is taken.</param>
    /// <param name="ingredient">Of what.</param>
    /// <param name="preparation">How it is prepared, and which size it has; what it loses is taken off pieces, which are weighed whole.</param>
    public static WeighedAmount Weigh(WrittenAmount amount, Ingredient ingredient, string preparation)
    {
        var (grams, how) = (0.0, new List<string>());
        foreach (var part in amount.Parts)
        {
            var weighed = Weigh(part, ingredient, preparation);
            if (weighed.Fault.Length > 0) return weighed;
            grams += weighed.Amount!.Value.Grams;
            if (weighed.How.Length > 0) how.Add(weighed.How);
        }

        return new WeighedAmount(Mass.FromGrams(grams), string.Join("; ", how), string.Empty);
    }

    private static WeighedAmount Weigh(AmountPart part, Ingredient ingredient, string preparation) => part.Unit.Kind switch
    {
        UnitKind.Mass => new(Mass.FromGrams(part.Middle * part.Unit.Size), part.Least == part.Most ? string.Empty : "the middle of the range", string.Empty),
        UnitKind.Volume => ByVolume(part, ingredient, preparation),
        _ => ByPiece(part, ingredient, preparation),
    };

    private static WeighedAmount ByVolume(AmountPart part, Ingredient ingredient, string preparation)
    {
        var density = Filled(ingredient, preparation)?.Figure ?? ingredient.Facts.Density;
        if (density is null)
            return Not($"No density of {ingredient.Name} is known, so \"{part.Written}\" cannot be weighed. Weigh it once, or state its density under Ingredients.");
        var unit = Dry(part.Unit, ingredient);
        var volume = Volume.FromMillilitres(part.Middle * unit.Size);
        var dry = unit == part.Unit ? string.Empty : $"{unit.Name}, as berries and fruit are sold: ";
        return new(volume * density.Value, Words($"{dry}{Number(volume.Millilitres)} ml × {Number(density.Value.GramsPerMillilitre)} g/ml, {density.Source}"), string.Empty);
    }

    /// <summary>The way a cup was filled, where the line says one and it matters; null otherwise.</summary>
    public static WayOfFilling? Filled(Ingredient ingredient, string preparation)
    {
        var words = preparation.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries);
        return ingredient.Facts.WaysOfFilling.FirstOrDefault(way => words.Contains(way.Way, StringComparer.OrdinalIgnoreCase));
    }

    /// <summary>A pint or quart of fruit and vegetables is a dry one, a sixth more than that of a liquid (NIST Handbook 44, Appendix C).</summary>
    private static AmountUnit Dry(AmountUnit unit, Ingredient ingredient) =>
        ingredient.Facts.Role is IngredientRole.Fruit or IngredientRole.Vegetable ? UnitWords.DryOf(unit) : unit;

    private static WeighedAmount ByPiece(AmountPart part, Ingredient ingredient, string preparation)
    {
        var piece = part.Unit == AmountUnit.One ? "one" : part.Unit.Name;
        var size = Sizes.FirstOrDefault(word => preparation.Split([' ', ',']).Contains(word, StringComparer.OrdinalIgnoreCase));
        var one = (piece == "one" && size is not null ? ingredient.Facts.PieceOf(size) : null) ?? ingredient.Facts.PieceOf(piece);
        // "1 vanilla pod", "2 lemons": counted by a name that the thing has anyway.
        if (one is null && piece == "one") one = ingredient.Facts.Pieces.FirstOrDefault(other => ingredient.Name.Contains(other.Piece, StringComparison.OrdinalIgnoreCase));
        if (one is null)
        {
            return Not(ingredient.Facts.Role is IngredientRole.Liquid or IngredientRole.Acid
                ? $"{ingredient.Name} is a liquid: it is not counted but weighed or measured."
                : $"What one {(piece == "one" ? string.Empty : piece + " of ")}{ingredient.Name} weighs is not known. Write a weight, or state it under Ingredients.");
        }

        var lost = ingredient.Facts.YieldOf(preparation);
        var mass = one.Weight * part.Middle * (lost?.Yield.Share ?? 1);
        var yield = lost is null ? string.Empty : Words($" × {Number(lost.Yield.Share * 100)} % left");
        return new(mass, Words($"{Number(part.Middle)} × {Number(one.Weight.Grams)} g{yield}, {one.Source}"), string.Empty);
    }

    private static WeighedAmount Not(string fault) => new(null, string.Empty, fault);

    private static string Words(FormattableString text) => FormattableString.Invariant(text);

    private static string Number(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);
}
