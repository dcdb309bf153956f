using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;
using NodaTime;
using Xunit;

namespace Lumpet.Core.Tests.Preparations;

public sealed class MakingReaderTests
{
    private static readonly MakingDraft Puree = UsualMakings.For(PreparationKind.Puree);

    private static readonly Pantry Pantry = new(IngredientLibrary.All);

    private static (Ingredient? Ingredient, IReadOnlyList<FieldFault> Faults) Read(MakingDraft? making, string? madeOf = "1 kg sweet potatoes, pared\n1 pinch salt", double? one = null)
    {
        PieceDraft?[]? pieces = one is null ? null : [new PieceDraft("one", one, null)];
        var draft = new IngredientDraft("Puree", [], null, null, null, null, null, pieces, null, null, null, null, null, madeOf, 90, null, making);
        var (ingredient, _, faults) = IngredientReader.Read("puree", draft, "EUR", new LocalDate(2026, 11, 26), Pantry);
        return (ingredient, faults);
    }

    [Fact]
    public void The_usual_way_of_every_kind_can_be_taken_and_is_written_as_it_was()
    {
        foreach (var kind in Enum.GetValues<PreparationKind>().Where(kind => kind != PreparationKind.Dough))
        {
            var usual = UsualMakings.For(kind);
            var (ingredient, faults) = Read(usual, one: 27);
            Assert.Empty(faults);
            var how = ingredient!.Formula!.How!;
            Assert.Equal(kind, how.Kind);
            Assert.True(how.IsPlanned);
            var again = IngredientReader.Write(ingredient);
            Assert.Null(again.Making!.BatchLeastKg);
            Assert.Equal(Told.Of(ingredient.Formula), Told.Of(Read(again.Making, one: 27).Ingredient!.Formula!));


        }
    }

    [Fact]
    public void The_usual_ways_are_those_that_were_approved() =>
        Approved.Matches("Preparations/usual", Enum.GetValues<PreparationKind>().Where(kind => kind != PreparationKind.Dough).Select(kind => Told.Of(UsualMakings.For(kind))));

    [Fact]
    public void What_goes_by_the_piece_is_counted_as_it_is_made_and_weighed_as_it_goes_in()
    {
        var shells = UsualMakings.For(PreparationKind.Shells);
        var how = Read(shells, one: 27).Ingredient!.Formula!.How!;
        // 96 at once of 27 g; 24 on a tray, of each of which a tenth is lost on the way.
        Assert.Equal((27.0, 96 * 27.0, 0.0), (how.Piece!.Value.Grams, how.Batches.Most.Grams, how.Batches.Least.Grams));
        Assert.Equal(24 * 27 / 0.9, how.Batches.Tray.Grams, 0.001);
        Assert.Equal(shells, MakingReader.Write(how, 0.9) with { Steps = shells.Steps, HoldLeast = shells.HoldLeast, BeforeUse = shells.BeforeUse, Elsewhere = shells.Elsewhere });
        Assert.Equal(["making.batchMostPieces"], Read(shells).Faults.Select(fault => fault.Field));
        Assert.Equal(["making.trayPieces"], Read(shells with { TrayPieces = null }, one: 27).Faults.Select(fault => fault.Field));
        Assert.Equal(["making.batchMostPieces"], Read(shells with { BatchMostPieces = 0 }, one: 27).Faults.Select(fault => fault.Field));
        Assert.Equal(["making.batchLeastPieces"], Read(shells with { BatchLeastPieces = 97 }, one: 27).Faults.Select(fault => fault.Field));
        Assert.Equal(12 * 27.0, Read(shells with { BatchLeastPieces = 12 }, one: 27).Ingredient!.Formula!.How!.Batches.Least.Grams, 0.001);
        Assert.Equal(["making.kind"], Read(shells with { Kind = "dough" }, one: 27).Faults.Select(fault => fault.Field));
    }

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
    public void It_keeps_in_three_places_each_with_its_least_and_most_and_a_plan_takes_one()
    {
        var draft = Puree with { Elsewhere = [new KeptInDraft("frozen", 60, 86_400), new KeptInDraft("room", null, 240)], ThawMin = 720 };
        var keeping = Read(draft).Ingredient!.Formula!.How!.Keeping;
        Assert.Equal([new KeptIn(KeepPlace.Room, 0, 240), new KeptIn(KeepPlace.Cold, 0, 4320), new KeptIn(KeepPlace.Frozen, 60, 86_400)], keeping.Places);
        // Kept in the fridge nothing thaws.
        Assert.Equal((720, new Span(0, 720, 4320)), (keeping.ThawMin, keeping.ToUse));
        Assert.Equal([Keeping.KeepId], keeping.Waits.Select(wait => wait.Id));

        var frozen = Read(draft with { KeepsIn = "frozen", HoldLeast = 60, HoldMost = 86_400, Elsewhere = [new KeptInDraft("cold", null, 2880)] }).Ingredient!.Formula!.How!.Keeping;
        // Thawed it keeps as long as it would have in the fridge.
        Assert.Equal(new Span(60 + 720, 720 + 720, 86_400 + 720 + 2880), frozen.ToUse);
        Assert.Equal([(Keeping.KeepId, -18), (Keeping.ThawId, 4)], frozen.Waits.Select(wait => (wait.Id, wait.Celsius!.Value)));
        Assert.All(frozen.Waits, wait => Assert.Equal((Station.Cold, false, string.Empty), (wait.Station, wait.UsesDough, wait.Caution)));
        Assert.Equal(["", "before use: stir"], frozen.Waits.Select(wait => wait.ReadyWhen));
        // Never in the fridge beside it, it is used as soon as it has thawed; used frozen, it is only kept.
        Assert.Equal(new Span(780, 1440, 87_120), (frozen with { Elsewhere = [] }).ToUse);
        Assert.Equal(frozen.Hold, (frozen with { ThawMin = 0 }).ToUse);
        Assert.Equal([("Keep at room temperature", Station.Rack, 20)], (keeping with { Place = KeepPlace.Room }).Waits.Select(wait => (wait.Name, wait.Station, wait.Celsius!.Value)));
        Assert.Equal([("Keep cold", Station.Cold, 4)], keeping.Waits.Select(wait => (wait.Name, wait.Station, wait.Celsius!.Value)));
        Assert.Equal(["Keep frozen"], (frozen with { ThawMin = 0 }).Waits.Select(wait => wait.Name));
    }

    [Fact]
    public void A_place_is_said_once_and_only_what_is_frozen_thaws()
    {
        KeptInDraft[] Else(params (string? In, int? Least, int? Most)[] places) => [.. places.Select(one => new KeptInDraft(one.In, one.Least, one.Most))];
        var bare = Puree with { ThawMin = null };
        Assert.Empty(Fields(bare with { Elsewhere = null }));
        Assert.Equal(["making.elsewhere"], Fields(bare with { Elsewhere = Else(("cold", null, 60)) }));
        Assert.Equal(["making.elsewhere"], Fields(bare with { Elsewhere = Else(("frozen", null, 60), ("frozen", null, 60)) }));
        Assert.Equal(["making.elsewhere"], Fields(bare with { Elsewhere = Else(("frozen", null, 60), ("room", null, 60), ("room", null, 60)) }));
        Assert.Equal(["making.elsewhere"], Fields(bare with { Elsewhere = [null] }));
        Assert.Equal(["making.elsewhere[1].in"], Fields(bare with { Elsewhere = Else(("frozen", null, 60), ("cellar", null, 60)), KeepsIn = "room" }));
        Assert.Equal(["making.elsewhere[0].most"], Fields(bare with { Elsewhere = Else(("frozen", null, null)) }));
        Assert.Equal(["making.elsewhere[0].most"], Fields(bare with { Elsewhere = Else(("frozen", null, 0)) }));
        Assert.Equal(["making.elsewhere[0].least"], Fields(bare with { Elsewhere = Else(("frozen", 61, 60)) }));
        Assert.Empty(Fields(bare with { Elsewhere = Else(("frozen", 60, 60)) }));
        Assert.Equal(["making.thawMin"], Fields(bare with { Elsewhere = Else(("room", null, 60)), ThawMin = 720 }));
        Assert.Equal(["making.thawMin"], Fields(bare with { Elsewhere = Else(("frozen", null, 60)), ThawMin = 10_081 }));
        Assert.Empty(Fields(bare with { Elsewhere = [], KeepsIn = "frozen", ThawMin = 10_080 }));
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
