using Lumpet.Core.Baking;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;
using UnitsNet;
using Xunit;

namespace Lumpet.Core.Tests.Steps.Writing;

/// <summary>Temperatures as recipes give them, kept as written and converted once.</summary>
public sealed class TemperatureTextTests
{
    [Theory]
    [InlineData("220", 220)]
    [InlineData("220 °C", 220)]
    [InlineData("425 °F", 218)]
    [InlineData("425F", 218)]
    [InlineData("350 degrees F", 177)]
    [InlineData("200 °C fan", 220)]
    [InlineData("180C, fan", 200)]
    [InlineData("400 °F convection", 224)]
    [InlineData("374.5 f", 190)]
    public void They_come_to_conventional_degrees(string text, int celsius) => Assert.Equal(celsius, TemperatureText.Celsius(text));

    [Theory]
    [InlineData("gas mark 6")]
    [InlineData("hot")]
    [InlineData("")]
    [InlineData("1200 F")]
    [InlineData("-20 C")]
    [InlineData("220 to 230")]
    public void What_is_no_temperature_is_none(string text) => Assert.Null(TemperatureText.Celsius(text));

    [Fact]
    public void Fahrenheit_comes_to_what_an_independent_library_makes_of_it()
    {
        // UnitsNet; (F - 32) / 1.8 by NIST SP 811.
        for (var fahrenheit = 150; fahrenheit <= 550; fahrenheit++)
            Assert.Equal(Math.Round(Temperature.FromDegreesFahrenheit(fahrenheit).DegreesCelsius, MidpointRounding.AwayFromZero), TemperatureText.Celsius($"{fahrenheit} °F")!.Value);
    }

    private static (Core.Steps.Step? Step, IReadOnlyList<FieldFault> Faults) Read(params StageDraft[] stages)
    {
        var (steps, _) = UsualChains.For(Core.Recipes.FillingKind.RawFruit, Core.Recipes.BaseTreatment.Plain, Core.Recipes.Top.Lid, Core.Recipes.Lining.OnePiece);
        var checks = new FieldChecks();
        return (SingleStepReader.Read(checks, steps.Single(step => step.Id == "bake") with { Stages = stages }, "steps[0]"), checks.Faults);
    }

    [Fact]
    public void What_is_written_is_kept_and_stands_for_the_degrees()
    {
        var (step, faults) = Read(new StageDraft(999, 20, 25, "425 °F"), new StageDraft(190, 40, 50), new StageDraft(null, 5, 6, "200"));
        Assert.Empty(faults);
        Assert.Equal([new BakeStage(218, 20, 25), new BakeStage(190, 40, 50), new BakeStage(200, 5, 6)], step!.Stages);
        Assert.Equal(["425 °F", "", ""], step.TemperaturesWritten);
        Assert.Equal([new StageDraft(218, 20, 25, "425 °F"), new StageDraft(190, 40, 50), new StageDraft(200, 5, 6)], SingleStepReader.Write(step).Stages!);
        Assert.Empty(Read(new StageDraft(220, 20, 25), new StageDraft(190, 40, 50, "190 °C")).Step!.TemperaturesWritten);
    }

    [Fact]
    public void What_is_no_temperature_is_a_fault_of_its_stage()
    {
        Assert.Equal("steps[0].stages[0].written", Assert.Single(Read(new StageDraft(null, 20, 25, "gas 6")).Faults).Field);
        // 600 °F are 316 °C; 620 are more than an oven here is set to.
        Assert.Empty(Read(new StageDraft(null, 20, 25, "600 °F")).Faults);
        Assert.Equal("steps[0].stages[0].tempC", Assert.Single(Read(new StageDraft(null, 20, 25, "620 °F")).Faults).Field);
    }
}
