using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;

namespace Lumpet.Core.Recipes;

/// <summary>How many pies something on hand is enough for.</summary>
/// <param name="What">What there is: an ingredient, "filling" or "dough".</param>
/// <param name="Have">How much there is.</param>
/// <param name="PerPie">How much one pie takes of it, in the same state.</param>
/// <param name="Pies">Whole pies it is enough for; 0 where it is not enough for one.</param>
public sealed record OnHand(string What, Mass Have, Mass PerPie, int Pies)
{
    /// <summary>What is left then.</summary>
    public Mass Left => Have - (PerPie * Pies);

    /// <summary>For so much of something.</summary>
    public static OnHand Of(string what, Mass have, Mass perPie) =>
        new(what, have, perPie, perPie.Grams <= 0 ? 0 : (int)Math.Min(Scaling.MostPies, Math.Floor((have / perPie) + 1e-9)));

    /// <summary>
    /// Reads "14.2 kg pears" (as bought), "11 kg pears, pared and cored" (as prepared), "9 kg filling", "4 l filling" or
    /// "6 kg dough" against one pie of a scaled product.
    /// </summary>
    /// <returns>The answer, or what is wrong.</returns>
    public static (OnHand? Answer, string? Fault) Read(string text, ScaledProduct scaled)
    {
        if (AmountReader.Read(text) is { } read && (Is(read, "filling") || Is(read, "dough"))) return Part(read, scaled);
        var product = scaled.Product;
        var pantry = new Pantry(product.AllLines.Select(line => line.Ingredient).DistinctBy(one => one.Id));
        var (line, fault) = RecipeLineReader.Read(text, pantry);
        if (line is null) return (null, fault);
        if (line.Known is not { } ingredient) return (null, $"{product.Name} takes no \"{line.Name}\". Say how much there is of one of its ingredients, of filling or of dough.");
        var lines = scaled.AllLines.Where(one => one.Line.Ingredient.Id == ingredient.Id).ToArray();
        // Said with its preparation it is what goes in; said without, it is what was bought.
        var isPrepared = line.Preparation.Length > 0;
        var perPie = Mass.FromGrams(lines.Sum(one => (isPrepared ? one.PerPie : one.Line.Yield.AsPurchased(one.PerPie)).Grams));
        return (Of(isPrepared ? $"{ingredient.Name}, {line.Preparation}" : ingredient.Name, line.Amount, perPie), null);
    }

    private static (OnHand? Answer, string? Fault) Part(ReadAmount read, ScaledProduct scaled)
    {
        var isFilling = Is(read, "filling");
        if (!isFilling && scaled.Product.TopDough is { } top) return (null, $"It takes {scaled.Product.Dough.Name} and {top.Name}: one weight of dough says nothing of either.");
        // Several fillings pack as the mean of them does.
        var density = isFilling ? scaled.FillingDensity : scaled.Product.Dough.Density;
        double grams = 0;
        foreach (var part in read.Amount.Parts)
        {
            if (part.Unit.Kind == UnitKind.Piece) return (null, "Filling and dough are weighed or measured, not counted.");
            grams += part.Middle * part.Unit.Size * (part.Unit.Kind == UnitKind.Volume ? density.GramsPerMillilitre : 1);
        }

        return (Of(isFilling ? "filling" : "dough", Mass.FromGrams(grams), isFilling ? scaled.FillingPerPie : scaled.DoughPerPie), null);
    }

    private static bool Is(ReadAmount read, string what) => read.Rest.Equals(what, StringComparison.OrdinalIgnoreCase);
}
