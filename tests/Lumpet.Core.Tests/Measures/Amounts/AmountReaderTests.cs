using System.Globalization;
using CsCheck;
using Lumpet.Core.Measures.Amounts;
using UnitsNet;
using Xunit;

namespace Lumpet.Core.Tests.Measures.Amounts;

public sealed class AmountReaderTests
{
    /// <summary>Grams or millilitres of an amount of weights or volumes.</summary>
    private static double Sum(string text, CupCustom custom = CupCustom.UnitedStates) =>
        AmountReader.Read(text, custom)!.Amount.Parts.Sum(part => part.Middle * part.Unit.Size);

    // UnitsNet is an independent implementation of the definitions of NIST Handbook 44, Appendix C.
    [Theory]
    [InlineData("1 lb salt", 1, "lb")]
    [InlineData("2.5 pounds of plums", 2.5, "lb")]
    [InlineData("7 oz butter", 7, "oz")]
    [InlineData("1.25 kg flour", 1.25, "kg")]
    [InlineData("250 mg saffron", 250, "mg")]
    public void Weights_are_what_another_library_makes_of_them(string text, double number, string unit)
    {
        var mass = unit switch { "lb" => Mass.FromPounds(number), "oz" => Mass.FromOunces(number), "kg" => Mass.FromKilograms(number), _ => Mass.FromMilligrams(number) };
        Assert.Equal(mass.Grams, Sum(text), 1e-9 * mass.Grams);
    }

    [Theory]
    [InlineData("2 cups milk", 2, "cup")]
    [InlineData("3 tbsp sugar", 3, "tbsp")]
    [InlineData("3 T sugar", 3, "tbsp")]
    [InlineData("1 tsp salt", 1, "tsp")]
    [InlineData("1 t salt", 1, "tsp")]
    [InlineData("4 fl oz cream", 4, "floz")]
    [InlineData("4 fluid ounces cream", 4, "floz")]
    [InlineData("1 pint berries", 1, "pint")]
    [InlineData("1 quart berries", 1, "quart")]
    public void Us_volumes_are_what_another_library_makes_of_them(string text, double number, string unit)
    {
        var volume = unit switch
        {
            "cup" => Volume.FromUsCustomaryCups(number),
            "tbsp" => Volume.FromUsTablespoons(number),
            "tsp" => Volume.FromUsTeaspoons(number),
            "floz" => Volume.FromUsOunces(number),
            "pint" => Volume.FromUsPints(number),
            _ => Volume.FromUsQuarts(number),
        };
        Assert.Equal(volume.Milliliters, Sum(text), 1e-4 * volume.Milliliters);
    }

    // Metric cup 250 ml, metric tablespoon 15 ml, Australian tablespoon 20 ml, metric teaspoon 5 ml (check values of the trade).
    [Theory]
    [InlineData("1 cup flour", CupCustom.Metric, 250)]
    [InlineData("1 cup flour", CupCustom.Australian, 250)]
    [InlineData("1 tbsp flour", CupCustom.Metric, 15)]
    [InlineData("1 tbsp flour", CupCustom.Australian, 20)]
    [InlineData("1 tsp flour", CupCustom.Australian, 5)]
    [InlineData("1 metric cup flour", CupCustom.UnitedStates, 250)]
    [InlineData("1 Australian tablespoon flour", CupCustom.UnitedStates, 20)]
    [InlineData("1 US cup flour", CupCustom.Metric, 236.5882365)]
    [InlineData("1 dry pint berries", CupCustom.UnitedStates, 550.6104713575)]
    public void Cups_and_spoons_are_those_of_the_country(string text, CupCustom custom, double millilitres) => Assert.Equal(millilitres, Sum(text, custom), 1e-6);

    [Theory]
    [InlineData("1/2 kg flour", 500)]
    [InlineData("1 1/2 kg flour", 1500)]
    [InlineData("1-1/2 kg flour", 1500)]
    [InlineData("1½ kg flour", 1500)]
    [InlineData("1 ½ kg flour", 1500)]
    [InlineData("¾ kg flour", 750)]
    [InlineData("⅔ kg flour", 666.6667)]
    [InlineData("3⁄4 kg flour", 750)]
    [InlineData(".5 kg flour", 500)]
    [InlineData("1.5 kg flour", 1500)]
    [InlineData("1,5 kg flour", 1500)]
    [InlineData("1,500 g flour", 1500)]
    [InlineData("half a kilo flour", 500)]
    [InlineData("a kilo of flour", 1000)]
    [InlineData("two kg flour", 2000)]
    [InlineData("one and a half kg flour", 1500)]
    [InlineData("- 200 g flour", 200)]
    [InlineData("2 lb 4 oz flour", 1020.5828)]
    [InlineData("1 kg plus 200 g flour", 1200)]
    [InlineData("1 kg + 200 g flour", 1200)]
    [InlineData("2 x 400 g tins tomatoes", 800)]
    [InlineData("2 tins (400 g) coconut milk", 800)]
    [InlineData("1 (14 oz) can condensed milk", 396.8933)]
    [InlineData("1 14-oz can condensed milk", 396.8933)]
    [InlineData("2 400g tins of beans", 800)]
    [InlineData("1 cup (200 g) sugar", 200)]
    [InlineData("1 tbsp. (15 g) sugar", 15)]
    public void Amounts_are_read_as_they_are_written(string text, double grams) => Assert.Equal(grams, Sum(text), 0.001);

    [Theory]
    [InlineData("2-3 tbsp milk", 2, 3)]
    [InlineData("2 to 3 tbsp milk", 2, 3)]
    [InlineData("2–3 tbsp milk", 2, 3)]
    [InlineData("2 or 3 tbsp milk", 2, 3)]
    [InlineData("1/2-3/4 cup milk", 0.5, 0.75)]
    public void A_range_keeps_both_ends(string text, double least, double most)
    {
        var amount = AmountReader.Read(text)!.Amount;
        Assert.True(amount.IsRange);
        Assert.Contains("its middle is taken", Assert.Single(AmountReader.Read(text)!.Doubts), StringComparison.Ordinal);
        Assert.Equal((least, most), (amount.Parts[0].Least, amount.Parts[0].Most));
    }

    [Theory]
    [InlineData("3 eggs", 3, "one", "eggs")]
    [InlineData("3 large eggs", 3, "one", "large eggs")]
    [InlineData("2 sticks butter, cold", 2, "stick", "butter, cold")]
    [InlineData("1 vanilla pod", 1, "one", "vanilla pod")]
    [InlineData("juice of 1 lemon", 1, "lemon", "lemon juice")]
    [InlineData("the juice of half a lemon, strained", 0.5, "lemon", "lemon juice, strained")]
    [InlineData("grated zest of 2 large oranges", 2, "orange", "orange zest")]
    [InlineData("juice of 3 passion-fruits", 3, "passion-fruit", "passion-fruit juice")]
    public void Things_are_counted(string text, double count, string piece, string rest)
    {
        var read = AmountReader.Read(text)!;
        Assert.Equal((count, piece, rest), (read.Amount.Parts[0].Middle, read.Amount.Parts[0].Unit.Name, read.Rest));
    }

    [Theory]
    [InlineData("a pinch of salt", "pinch")]
    [InlineData("pinch salt", "pinch")]
    [InlineData("2 dashes bitters", "dash")]
    public void A_pinch_is_a_sixteenth_of_a_teaspoon_and_a_dash_an_eighth(string text, string unit)
    {
        // Common practice, no source.
        var part = AmountReader.Read(text)!.Amount.Parts[0];
        Assert.Equal(unit, part.Unit.Name);
        Assert.Equal(Volume.FromUsTeaspoons(1).Milliliters / (unit == "pinch" ? 16 : 8), part.Unit.Size, 1e-4);
    }

    [Fact]
    public void A_heaped_spoon_is_taken_as_level_and_said()
    {
        var read = AmountReader.Read("2 heaped tbsp flour")!;
        Assert.Contains("heaped", Assert.Single(read.Doubts), StringComparison.Ordinal);
        Assert.Equal("flour", read.Rest);
    }

    [Theory]
    [InlineData("flour")]
    [InlineData("some flour")]
    [InlineData("a few plums")]
    [InlineData("a handful of currants")]
    [InlineData("")]
    [InlineData("-5 g flour")]
    [InlineData("1/0 cup flour")]
    [InlineData("1.2.3 g flour")]
    [InlineData("1e9 g flour")]
    [InlineData("5gflour")]
    [InlineData("juice of lemons")]
    public void What_begins_with_no_amount_is_none(string text) => Assert.Null(AmountReader.Read(text));

    [Fact]
    public void An_amount_printed_and_read_again_is_the_same() =>
        Gen.Select(Gen.Int[1, 40_000], Gen.Int[0, 300], Gen.OneOfConst("g", "kg", "lb", "US cup", "US tbsp", "metric cup", "Australian tbsp", "ml", "tin", "stick")).Sample((thousandths, wider, unit) =>
        {
            var number = (thousandths / 1000.0).ToString(CultureInfo.InvariantCulture);
            var text = wider == 0 ? $"{number} {unit}" : $"{number} to {((thousandths + wider) / 1000.0).ToString(CultureInfo.InvariantCulture)} {unit}";
            var first = AmountReader.Read($"{text} butter")!.Amount;
            var again = AmountReader.Read($"{first.Written} butter")!.Amount;
            return first.Parts.SequenceEqual(again.Parts);
        });

    [Fact]
    public void Grams_do_not_depend_on_how_an_amount_is_written() =>
        Gen.Select(Gen.Int[0, 40], Gen.Int[1, 15]).Sample((pounds, ounces) =>
        {
            var all = ((pounds * 16) + ounces).ToString(CultureInfo.InvariantCulture);
            var mixed = pounds == 0 ? $"{ounces} oz" : $"{pounds} lb {ounces} oz";
            return Math.Abs(Sum($"{mixed} flour") - Sum($"{all} oz flour")) < 1e-6 && Math.Abs(Sum($"{all}/16 lb flour") - Sum($"{all} oz flour")) < 1e-6;
        });

    [Fact]
    public void No_text_makes_it_stumble() => Gen.Select(Gen.OneOfConst("", "2 ", "1 1/2 ", "juice of ", "1 (", "3-"), Gen.String).Sample((start, text) =>
    {
        var read = AmountReader.Read(start + text);
        return read is null || read.Amount.Parts.All(part => part.Least >= 0 && part.Most >= part.Least && double.IsFinite(part.Most));
    }, iter: 4000);
}
