using System.Diagnostics;
using System.Globalization;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Xunit;

namespace Lumpet.Core.Tests.Ingredients;

/// <summary>
/// The figures that ship, which are from memory, beside a table that is independent of them: GNU Units, definitions.units,
/// section on cooking (Debian's package units, which ./lumpet test installs).
/// </summary>
public sealed class IndependentTableTests
{
    private const double Most = 0.08;

    // The two tables divide an egg differently: 33 and 17 g here, 30 and 18.6 g there. Whole eggs agree.
    private const double MostOfAnEggsParts = 0.11;

    /// <summary>Grams that GNU Units gives.</summary>
    private static double Ask(string of)
    {
        using var units = Process.Start(new ProcessStartInfo("units", ["-t", of, "g"]) { RedirectStandardOutput = true })!;
        var said = units.StandardOutput.ReadToEnd();
        units.WaitForExit();
        return double.Parse(said, CultureInfo.InvariantCulture);
    }

    private static void Near(double ours, double theirs, double most, string what) =>
        Assert.True(Math.Abs((ours / theirs) - 1) <= most, string.Create(CultureInfo.InvariantCulture, $"{what}: {ours:0.#} g here, {theirs:0.#} g in GNU Units, {((ours / theirs) - 1) * 100:+0.#;-0.#} %"));

    [Theory]
    [InlineData("flour", "flour_spooned")]
    [InlineData("cake-flour", "cakeflour_scooped")]
    [InlineData("corn-starch", "cornstarch")]
    [InlineData("butter", "butter")]
    [InlineData("shortening", "shortening")]
    [InlineData("oil", "oil")]
    [InlineData("cream", "heavycream")]
    [InlineData("milk", "milk")]
    [InlineData("sour-cream", "sourcream")]
    [InlineData("honey", "honey")]
    [InlineData("corn-syrup", "cornsyrup")]
    [InlineData("molasses", "molasses")]
    [InlineData("sugar", "sugar")]
    [InlineData("icing-sugar", "powdered_sugar")]
    [InlineData("brown-sugar", "brownsugar_light")]
    [InlineData("cocoa", "cocoa_spooned")]
    [InlineData("salt", "salt")]
    [InlineData("baking-powder", "baking_powder")]
    public void A_cup_weighs_within_eight_per_cent_of_what_it_weighs_there(string id, string theirs) =>
        Near(IngredientLibrary.Find(id)!.Facts.Density!.Value.GramsPerMillilitre * Volume.MillilitresInUsCup, Ask($"1 uscup {theirs}"), Most, id);

    [Theory]
    [InlineData("sifted")]
    [InlineData("spooned")]
    [InlineData("scooped")]
    public void Flour_by_the_way_of_filling_is_their_figure(string way)
    {
        var ours = IngredientLibrary.Find("flour")!.Facts.WaysOfFilling.Single(one => one.Way == way).Figure;
        Near(ours.Value.GramsPerMillilitre * Volume.MillilitresInUsCup, Ask($"1 uscup flour_{way}"), 0.005, way);
    }

    [Theory]
    [InlineData("egg", "egg", Most)]
    [InlineData("egg-white", "eggwhite", MostOfAnEggsParts)]
    [InlineData("yolk", "eggyolk", MostOfAnEggsParts)]
    public void An_egg_weighs_what_it_weighs_there(string id, string theirs, double most) =>
        Near(IngredientLibrary.Find(id)!.Facts.PieceOf("one")!.Weight.Grams, Ask($"1 {theirs}"), most, id);

    [Fact]
    public void A_figure_that_is_off_is_noticed() =>
        Assert.Throws<Xunit.Sdk.TrueException>(() => Near(Ask("1 uscup flour_scooped"), Ask("1 uscup flour_spooned"), Most, "flour"));
}
