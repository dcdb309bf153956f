using System.Text.Json;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Schools;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;
using Lumpet.Core.Tests.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Schools;

/// <summary>Schools exchanged, combined and exchanged back.</summary>
public sealed class SchoolTests
{
    private static ProductDraft Draft(string usual) => Drafted.Of(usual, "800 g Quinces");

    private static (Product? Product, IReadOnlyList<FieldFault> Faults) Read(ProductDraft draft) => Drafted.Read(draft);

    private static School Of(ProductDraft draft, SchoolPlace place, string id) => OfferedSchools.For(draft).Single(school => school.Place == place && school.Id == id);

    private static ProductDraft Taken(ProductDraft draft, SchoolPlace place, string id) => SchoolExchange.Exchanged(draft, place, Of(draft, place, id).Set).Draft;

    private static string[] Steps(ProductDraft draft) => [.. draft.Steps!.Select(step => step!.Id!)];

    /// <summary>Steps, links, layers and the name of the base, in their order.</summary>
    private static void Same(ProductDraft expected, ProductDraft actual)
    {
        // As text: stages are lists.
        Assert.Equal(expected.Steps!.Select(step => JsonSerializer.Serialize(step)), actual.Steps!.Select(step => JsonSerializer.Serialize(step)));
        Assert.Equal(expected.Links!, actual.Links!);
        Assert.Equal(expected.Layers!, actual.Layers!);
        Assert.Equal(expected.BaseTreatment, actual.BaseTreatment);
    }

    public static TheoryData<string> Usual => [.. UsualProducts.All.Select(one => one.Id)];

    [Theory]
    [MemberData(nameof(Usual))]
    public void Exchanged_and_back_it_is_the_same_and_in_between_it_holds_together(string usual)
    {
        var draft = Draft(usual);
        Assert.Empty(Read(draft).Faults);
        foreach (var school in OfferedSchools.For(draft))
        {
            var (other, before) = SchoolExchange.Exchanged(draft, school.Place, school.Set);
            var faults = Read(other).Faults;
            Assert.True(faults.Count == 0, $"{school.Place} {school.Id}: {string.Join("; ", faults)}");
            Same(draft, SchoolExchange.Exchanged(other, school.Place, before!).Draft);
            // Taken twice it is what it is taken once.
            Same(other, Taken(other, school.Place, school.Id));
            // And any two are combined, and come apart again in either order.
            foreach (var second in OfferedSchools.For(other).Where(one => one.Place != school.Place))
            {
                var (both, beforeSecond) = SchoolExchange.Exchanged(other, second.Place, second.Set);
                Assert.DoesNotContain(Read(both).Faults, fault => fault.Field is "steps" or "links");
                Same(other, SchoolExchange.Exchanged(both, second.Place, beforeSecond!).Draft);
            }
        }
    }

    [Fact]
    public void What_is_edited_elsewhere_meanwhile_stays_edited()
    {
        var draft = Draft("custard");
        var (raw, before) = SchoolExchange.Exchanged(draft, SchoolPlace.Base, Of(draft, SchoolPlace.Base, "plain").Set);
        var edited = raw with { Steps = [.. raw.Steps!.Select(step => step!.Id == "whisk" ? step with { PerBatch = 33 } : step)] };
        var back = SchoolExchange.Exchanged(edited, SchoolPlace.Base, before!).Draft;
        Assert.Equal(33, back.Steps!.Single(step => step!.Id == "whisk")!.PerBatch);
        Assert.Equal(Steps(draft), Steps(back));
    }

    [Fact]
    public void A_base_may_be_part_baked_and_stand_on_a_hot_tray()
    {
        var draft = Taken(Taken(Draft("fruit-lid"), SchoolPlace.Base, "partBlind"), SchoolPlace.Tray, "hotTray");
        Assert.Equal(["line", "chill-lined", "weight", "blind", "shell-cool", "prepare", "fill", "firm", "onto-tray", "bake", "cool", "box"], Steps(draft));
        Assert.Equal(15, draft.Steps!.Single(step => step!.Id == "bake")!.HeatedTrayMin);
        Assert.Equal("partBlind", draft.BaseTreatment);
        var product = Read(draft).Product!;
        Assert.Equal(2, product.Process.Steps.Count(step => step.IsBake));
        // On a cold tray the step that sets it on a hot one is gone.
        Assert.Equal(Steps(draft).Where(step => step != "onto-tray"), Steps(Taken(draft, SchoolPlace.Tray, "plain")));
    }

    [Fact]
    public void Fruit_cooked_first_packs_otherwise_and_is_called_so()
    {
        var draft = Taken(Draft("fruit-lid"), SchoolPlace.Filling, "precookedFruit");
        Assert.Equal(["line", "chill-lined", "cook", "cool-filling", "fill", "firm", "onto-tray", "bake", "cool", "box"], Steps(draft));
        Assert.Equal(("precookedFruit", 0.95), (draft.Layers![0]!.FillingKind, draft.Layers[0]!.PackedDensity));
        Assert.Equal(85, Taken(draft, SchoolPlace.Filling, "maceratedFruit").Layers![0]!.ReducedPercent);
    }

    [Fact]
    public void What_it_takes_is_reckoned_from_its_steps()
    {
        var (plain, part) = (Read(Taken(Draft("custard"), SchoolPlace.Base, "plain")).Product!, Read(Draft("custard")).Product!);
        var (without, with) = (SchoolEffect.Of(plain.Process, 12, 4), SchoolEffect.Of(part.Process, 12, 4));
        // Weighting 12 shells is 3 + 12 minutes of hands; the shell bakes 23 minutes at least.
        Assert.Equal(15, with.WorkMin - without.WorkMin);
        Assert.Equal(23, with.OvenMin - without.OvenMin);
        // Three trays in the fridge while they are chilled: 3 x 45 of both, and 150 to set.
        Assert.Equal(3 * (45 + 150), with.ColdTrayMin);
        Assert.True(with.WayMin > without.WayMin);
        // A tray heated for a quarter of an hour is oven time too.
        var hot = SchoolEffect.Of(Read(Taken(Draft("fruit-lid"), SchoolPlace.Tray, "hotTray")).Product!.Process, 4, 4);
        var cold = SchoolEffect.Of(Read(Taken(Draft("fruit-lid"), SchoolPlace.Tray, "plain")).Product!.Process, 4, 4);
        Assert.Equal(15, hot.OvenMin - cold.OvenMin);
    }

    [Fact]
    public void The_longest_way_is_what_counts()
    {
        var process = new ProcessNetwork(
            [
                TestBakery.Work("line", Station.Bench, 10, 0) with { UsesDough = true },
                TestBakery.Work("cook", Station.Pot, 20, 0),
                TestBakery.Wait("cool", Station.Cold, 60, 90, 600) with { Celsius = 4 },
                TestBakery.Work("fill", Station.Bench, 5, 0),
                new Step("bake", "bake", Station.Oven, null, [new(180, 30, 40)], null, null, false, "", ""),
            ],
            [new("cook", "cool", Span.Between(0, 0)), new("cool", "fill", Span.Between(0, 0)), new("line", "fill", Span.Between(0, 60)), new("fill", "bake", Span.Between(0, 30))]);
        // 20 of cooking, 90 to cool, 5 to fill, 30 to bake.
        Assert.Equal(new SchoolEffect(35, 30, 90 * 2, 145), SchoolEffect.Of(process, 5, 4));
    }

    [Fact]
    public void A_way_that_has_no_such_place_is_left_as_it_is()
    {
        // Two fillings, each with steps of its own: which of them would be meant?
        var two = Draft("fruit-lid");
        two = two with
        {
            Steps = [two.Steps![0], new StepDraft { Id = "paste", Name = "Beat", Station = "bench", PerBatch = 5, PerPie = 1, Celsius = 20, Stages = [] }, .. two.Steps.Skip(1)],
            Links = [.. two.Links!, new LinkDraft("paste", "fill", 0, 60)],
        };
        Assert.DoesNotContain(OfferedSchools.For(two), school => school.Place == SchoolPlace.Filling);
        Assert.Contains(OfferedSchools.For(two), school => school.Place == SchoolPlace.Base);
        var (same, before) = SchoolExchange.Exchanged(two, SchoolPlace.Filling, new StepSet([], []));
        Assert.Null(before);
        Assert.Same(two, same);
        Assert.Empty(OfferedSchools.For(new ProductDraft()));
        // A filling that is set in a baked shell needs that shell.
        Assert.DoesNotContain(OfferedSchools.For(Draft("cream")), school => school.Place is SchoolPlace.Base or SchoolPlace.Tray or SchoolPlace.Heat);
    }

    private static WrittenWay Way(ProductDraft draft) => new([.. draft.Steps!.OfType<StepDraft>()], [.. draft.Links!.OfType<LinkDraft>()]);

    private static ProductDraft With(ProductDraft draft, WrittenWay way) => draft with { Steps = [.. way.Steps], Links = [.. way.Links] };

    [Fact]
    public void A_base_of_one_step_gives_the_pie_its_name_whatever_it_stands_on()
    {
        var draft = Taken(Draft("fruit-lid"), SchoolPlace.Base, "seal");
        // Sealed, and not dried: one step is left of the two.
        draft = With(draft, StepEditing.Apply(Way(draft), StepAct.TakeOut, "dry"));
        Assert.Equal("seal", Taken(draft, SchoolPlace.Tray, "hotTray").BaseTreatment);
        Assert.Equal("ovenFloor", Taken(Draft("fruit-lid"), SchoolPlace.Tray, "ovenFloor").BaseTreatment);
        Assert.Equal("hotTray", Taken(Taken(draft, SchoolPlace.Tray, "hotTray"), SchoolPlace.Base, "plain").BaseTreatment);
        Assert.Equal("plain", Taken(Taken(draft, SchoolPlace.Tray, "plain"), SchoolPlace.Base, "plain").BaseTreatment);
    }

    [Fact]
    public void A_filling_that_is_made_while_its_shell_bakes_is_not_exchanged_and_a_sauce_beside_the_pie_is_no_matter()
    {
        var part = Taken(Draft("fruit-lid"), SchoolPlace.Base, "partBlind");
        bool IsOffered(ProductDraft draft) => OfferedSchools.For(draft).Any(school => school.Place == SchoolPlace.Filling);
        Assert.True(IsOffered(part));
        Assert.False(IsOffered(part with { Links = [.. part.Links!, new LinkDraft("blind", "prepare", 0, 0, "during")] }));
        var sauce = With(part, StepEditing.Apply(Way(part), StepAct.AddWork, "bake"));
        Assert.True(IsOffered(With(sauce, StepEditing.Apply(Way(sauce), StepAct.FollowDuring, "work", "bake"))));
    }
}
