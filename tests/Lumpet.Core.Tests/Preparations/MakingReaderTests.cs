using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Preparations;

public sealed class MakingReaderTests
{
    private static readonly MakingDraft Puree = UsualMakings.For(PreparationKind.Puree);

    private static readonly Pantry Pantry = new(IngredientLibrary.All);

    private static (Ingredient? Ingredient, IReadOnlyList<FieldFault> Faults) Read(MakingDraft? making, string? madeOf = "1 kg sweet potatoes, pared\n1 pinch salt")
    {
        var draft = new IngredientDraft("Puree", [], null, null, null, null, null, null, null, null, null, null, null, madeOf, 90, null, making);
        var (ingredient, _, faults) = IngredientReader.Read("puree", draft, "EUR", new LocalDate(2026, 11, 26), Pantry);
        return (ingredient, faults);
    }

    [Fact]
    public void The_usual_way_of_every_kind_can_be_taken_and_is_written_as_it_was()
    {
        foreach (var kind in Enum.GetValues<PreparationKind>())
        {
            var usual = UsualMakings.For(kind);
            var (ingredient, faults) = Read(usual);
            Assert.Empty(faults);
            var how = ingredient!.Formula!.How!;
            Assert.Equal(kind, how.Kind);
            Assert.True(how.IsPlanned);
            var again = IngredientReader.Write(ingredient);
            Assert.Null(again.Making!.BatchLeastKg);
            Assert.Equal(Told.Of(ingredient.Formula), Told.Of(Read(again.Making).Ingredient!.Formula!));


        }
    }

    [Fact]
    public void The_usual_ways_are_those_that_were_approved() =>
        Approved.Matches("Preparations/usual", Enum.GetValues<PreparationKind>().Select(kind => Told.Of(UsualMakings.For(kind))));

    [Fact]
    public void A_batch_says_how_much_it_takes()
    {
        var fault = Assert.Single(Read(Puree with { BatchMostKg = null }).Faults);
        Assert.Equal("making.batchMostKg", fault.Field);
        Assert.Contains("0.02 to 1000", fault.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_does_not_hold_together_is_said_where_it_stands()
    {
        // What is used at once is kept for no minute.
        Assert.Empty(Fields(Puree with { HoldLeast = 0, HoldAim = 0, HoldMost = 0 }));
        Assert.Equal(["making.batchLeastKg"], Fields(Puree with { BatchLeastKg = 12 }));
        Assert.Equal(["making.trayKg"], Fields(Puree with { TrayKg = null }));
        Assert.Equal(["making.holdAim"], Fields(Puree with { HoldAim = 5000 }));
        Assert.Equal(["making.holdAim"], Fields(Puree with { HoldLeast = 800 }));
        Assert.Equal(["making.holdMost"], Fields(Puree with { HoldMost = 600_000, HoldAim = 0 }));
        Assert.Equal(["making.kind", "making.keepsIn"], Fields(Puree with { Kind = "stew", KeepsIn = "cellar" }));
        Assert.Equal(["making.steps[0]"], Fields(Puree with { Steps = [.. Puree.Steps!.Skip(2)] }));
        // Two waits in a row are one wait in two places: cooled on the tray, then in the cold.
        Assert.Empty(Fields(Puree with { Steps = [.. Puree.Steps!.Take(3), Puree.Steps![2]! with { Id = "more", Station = "cold", Celsius = 4 }, Puree.Steps[3]] }));
        Assert.Equal(["making.steps"], Fields(Puree with { Steps = [Puree.Steps![0], Puree.Steps[0]] }));
        Assert.Equal(["making.steps[0].usesDough"], Fields(With(step => step with { UsesDough = true })));
        Assert.Equal(["making.steps[0].seals"], Fields(With(step => step with { Seals = true })));
        Assert.Equal(["making.steps[0].takes"], Fields(With(step => step with { Takes = "Praline" })));
        Assert.Equal(["making.steps[0].station"], Fields(With(step => step with { Station = "box" })));
        Assert.Equal(["making.steps[0].weightsOutMin"], Fields(Puree with { Steps = [Puree.Steps![1]! with { WeightsOutMin = 20 }] }));
    }

    [Fact]
    public void How_it_is_made_is_said_of_what_is_made_here_and_without_steps_no_plan_makes_it()
    {
        Assert.Equal("making", Assert.Single(Read(Puree, madeOf: null).Faults).Field);
        Assert.False(Read(Puree with { Steps = [] }).Ingredient!.Formula!.How!.IsPlanned);
        Assert.Null(Read(null).Ingredient!.Formula!.How);
    }

    private static MakingDraft With(Func<StepDraft, StepDraft> change) => Puree with { Steps = [change(Puree.Steps![0]!), .. Puree.Steps.Skip(1)] };

    private static string[] Fields(MakingDraft draft) => [.. Read(draft).Faults.Select(fault => fault.Field)];
}
