using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Recipes.Writing;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Writing;

public sealed class UsualTests
{
    private static readonly Pan Pan = Pan.Round("23", "23 cm", Length.FromCentimetres(23), Length.FromCentimetres(19.5), Length.FromCentimetres(3.5), Length.FromCentimetres(1), 4);

    private static DoughFormula Dough(string name) => DoughReader.Read(UsualDoughs.All.Single(one => one.Name == name), "dough", 1, IngredientLibrary.All).Dough!;

    public static TheoryData<string> Kinds => [.. UsualProducts.All.Select(usual => usual.Id)];

    private static Product Made(string kind)
    {
        var usual = UsualProducts.All.Single(one => one.Id == kind);
        var draft = usual.Draft.Filled("800 g Quince, cooked") with { Name = usual.Name, Dough = "dough", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m)] };
        var (product, fresh, faults) = ProductReader.Read(draft, kind, 1, "EUR", [Pan], [kind == "filled-shells" ? Drafted.Shell("dough") : Dough("Flaky 3-2-1")], IngredientLibrary.All.Where(one => one.Facts.Role != IngredientRole.Packaging && one.Id != "quince"), []);
        Assert.Empty(faults);
        Assert.Equal("Quince", fresh[0].Name);
        Assert.All(fresh, one => Assert.False(one.AllergensStated));
        return product!;
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_usual_chain_gives_a_plan_that_holds(string kind)
    {
        // From Friday noon: an afternoon, then a night, and a pick-up at eleven.
        var snapshot = new DaySnapshot(
            [new DayOrder(Made(kind), Pan, 8, 1380, "test")],
            [new DayShift("Afternoon", 0, 480), new DayShift("Night", 720, 1320)],
            [new Oven("oven", "Oven", 4, 60, 280, 8, 4, 0)],
            new Mixer("Mixer", Mass.FromKilograms(1), Mass.FromKilograms(10)),
            5,
            2,
            30,
            2160);
        var plan = DayPlanner.Plan(snapshot);
        Assert.Empty(plan.Troubles);
        Assert.True(plan.Waves.Single().SpareMin >= 0);
        Assert.Empty(BakePlanChecker.Check(plan.Problem, plan.BakePlan).Faults);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_product_written_out_and_read_again_is_the_same(string kind)
    {
        var product = Made(kind);
        Ingredient[] known = [.. product.AllLines.Select(line => line.Ingredient).DistinctBy(one => one.Id), .. product.Packaging];
        var (again, fresh, faults) = ProductReader.Read(ProductReader.Write(product), kind, 1, "EUR", [Pan], [product.Dough], known, []);
        Assert.Empty(faults);
        Assert.Empty(fresh);
        Assert.Equivalent(product, again, strict: true);
    }

    // The proportions of the trade: flour, fat, water by weight (common practice, no source).
    [Theory]
    [InlineData("Flaky 3-2-1", "3 : 2 : 1")]
    [InlineData("Very rich flaky", "3 : 3 : 1.5")]
    [InlineData("Folded", "3 : 2 : 1")]
    [InlineData("Smeared and stacked", "3 : 2 : 1")]
    [InlineData("Mixed fat", "3 : 2 : 1")]
    public void Doughs_with_water_have_the_usual_proportions(string name, string ratio) => Assert.Equal(ratio, DoughRatio.Of(Dough(name))!.InWords);

    // 2 flour : 1 butter, and 0.8 icing sugar in sweet tart dough; butter two thirds of the flour in the egg-bound one; up to
    // a third of the flour as ground nuts (common practice, no source).
    [Theory]
    [InlineData("Short crust 2-1", 50, 15.4, 0)]
    [InlineData("Sweet tart dough", 50, 40, 0)]
    [InlineData("Egg-bound", 66.6, 0, 0)]
    [InlineData("Nut-enriched", 68.4, 15.8, 31.6)]
    [InlineData("Raised crostata", 50, 36, 0)]
    public void Doughs_with_egg_have_the_usual_fat_sugar_and_nuts(string name, double fat, double sugar, double nuts)
    {
        var ratio = DoughRatio.Of(Dough(name))!;
        Assert.Equal(fat, ratio.FatPercent, 0.05);
        Assert.Equal(sugar, ratio.SugarPercent, 0.05);
        Assert.Equal(nuts, ratio.NutPercent, 0.05);
    }

    [Fact]
    public void Every_family_has_a_usual_dough_and_it_is_usual_for_it()
    {
        var doughs = UsualDoughs.All.Select(draft => Dough(draft.Name!)).ToArray();
        Assert.Equal(Enum.GetValues<DoughFamily>(), doughs.Select(dough => dough.Method.Family).Order());
        Assert.All(doughs, dough => Assert.All(DoughJudgement.Of(dough), finding => Assert.True(finding.IsUsual, $"{dough.Name}: {finding}")));
    }

    [Fact]
    public void Every_choice_of_filling_base_top_and_lining_gives_steps_that_hold_together()
    {
        var shells = new Dictionary<BaseTreatment, string>();
        foreach (var kind in Enum.GetValues<FillingKind>())
            foreach (var treatment in Enum.GetValues<BaseTreatment>())
                foreach (var top in Enum.GetValues<Top>())
                    foreach (var lining in Enum.GetValues<Lining>())
                    {
                        var (steps, links) = UsualChains.For(kind, treatment, top, lining);
                        var draft = UsualProducts.All[0].Draft.Filled("800 g Quinces").Finished("4 g Egg white") with
                        {
                            Name = "Any",
                            Dough = "dough",
                            ReferencePan = "23",
                            Sizes = [new SizeDraft("23", 18m)],
                            Steps = steps,
                            Links = links,
                            Lining = lining == Lining.BoughtShell ? "boughtShell" : "onePiece",
                        };
                        var (product, _, faults) = ProductReader.Read(draft, "any", 1, "EUR", [Pan], [lining == Lining.BoughtShell ? Drafted.Shell("dough") : Dough("Flaky 3-2-1")], IngredientLibrary.All, []);
                        Assert.True(product is not null, $"{kind} {treatment} {top} {lining}: {string.Join("; ", faults)}");
                        if (kind == FillingKind.RawFruit && top == Top.Lid && lining == Lining.OnePiece)
                            shells[treatment] = string.Join(" ", steps.Select(step => $"{step.Id} {step.Name} {step.WaitAim} {string.Join("+", step.Stages!)}"));
                    }

        // Each school is a set of steps of its own.
        Assert.Equal(Enum.GetValues<BaseTreatment>().Length, shells.Values.Distinct().Count());
    }

    [Fact]
    public void A_dough_written_out_and_read_again_is_the_same() => Assert.All(UsualDoughs.All, draft =>
    {
        var dough = Dough(draft.Name!);
        var again = DoughReader.Read(DoughReader.Write(dough), "dough", 1, dough.Lines.Select(line => line.Ingredient)).Dough;
        Assert.Equivalent(dough, again, strict: true);
    });
}
