using Lumpet.Core.Steps.Writing;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes.Writing;
using Xunit;

namespace Lumpet.Core.Tests.Recipes.Writing;

public sealed class ProductReaderTests
{
    private static readonly Pan Pan = Pan.Round("23", "23 cm", Length.FromCentimetres(23), Length.FromCentimetres(19.5), Length.FromCentimetres(3.5), Length.FromCentimetres(1), 4);
    private static readonly Pan Tiny = Pan.Round("mini", "Mini", Length.FromCentimetres(3), Length.FromCentimetres(3), Length.FromCentimetres(1), Length.Zero, 24);

    private static readonly Pan Wide = Pan.Round("wide", "Wide", Length.FromCentimetres(34), Length.FromCentimetres(32), Length.FromCentimetres(3), Length.Zero, 1);

    private static ProductDraft Good => UsualProducts.All[0].Draft with
    {
        Name = "Quince",
        Dough = "dough",
        Filling = "800 g quince",
        ReferencePan = "23",
        Sizes = [new SizeDraft("23", 18m)],
    };

    private static StepDraft Step(int at) => Good.Steps![at]!;

    private static IReadOnlyList<string> Fields(ProductDraft draft)
    {
        var dough = DoughReader.Read(UsualDoughs.All[0], "dough", 1, []).Dough!;
        var (product, _, faults) = ProductReader.Read(draft, "quince", 1, "EUR", [Pan, Tiny, Wide], [dough], [], []);
        Assert.Equal(product is null, faults.Count > 0);
        Assert.All(faults, fault => Assert.False(string.IsNullOrWhiteSpace(fault.Message)));
        return [.. faults.Select(fault => fault.Field)];
    }

    private static ProductDraft With(int at, StepDraft step) => Good with { Steps = [.. Good.Steps!.Select((one, index) => index == at ? step : one)] };

    public static TheoryData<string, string, ProductDraft> Wrong => new()
    {
        { "no name", "name", Good with { Name = " " } },
        { "a name with a line break", "name", Good with { Name = "a\nb" } },
        { "a name without end", "name", Good with { Name = new string('x', 81) } },
        { "no dough", "dough", Good with { Dough = null } },
        { "no such dough", "dough", Good with { Dough = "puff" } },
        { "no such top", "top", Good with { Top = "roof" } },
        { "a number for a top", "top", Good with { Top = "1" } },
        { "paper-thin", "thicknessMm", Good with { ThicknessMm = 0.1 } },
        { "no number at all", "thicknessMm", Good with { ThicknessMm = double.NaN } },
        { "without bounds", "packedDensity", Good with { PackedDensity = double.PositiveInfinity } },
        { "no such filling", "fillingKind", Good with { FillingKind = "soup" } },
        { "no such school", "baseTreatment", Good with { BaseTreatment = "2" } },
        { "a filling that boils away", "keptPercent", Good with { KeptPercent = 0 } },
        { "cut-outs without a size", "cutOutCm", Good with { Top = "cutOuts", CutOuts = 5 } },
        { "a crumble without crumble", "topping", Good with { Top = "crumble" } },
        { "scraps rolled for ever", "rerolls", Good with { Lining = "smallRounds", Rerolls = 9 } },
        { "rounds larger than a sheet", "sizes", Good with { Lining = "smallRounds", BaseOverhangCm = 8, ThicknessMm = 2, Sizes = [new SizeDraft("23", null), new SizeDraft("wide", null)] } },
        { "a seal of egg without egg", "finish", Good with { Steps = [Good.Steps![0]! with { Seals = true }, .. Good.Steps.Skip(1)] } },
        { "cups of what is new here", "filling", Good with { Filling = "2 cups quince" } },
        { "all trim", "trimPercent", Good with { TrimPercent = 100 } },
        { "a lattice without strips", "stripWidthCm", Good with { Top = "lattice" } },
        { "no filling", "filling", Good with { Filling = "" } },
        { "a filling without weights", "filling", Good with { Filling = "some quinces" } },
        { "a filling without end", "filling", Good with { Filling = string.Join('\n', Enumerable.Repeat("1 g quince", 61)) } },
        { "no sizes", "sizes", Good with { Sizes = [] } },
        { "a size of null", "sizes", Good with { Sizes = [null, new SizeDraft("23", 1m)] } },
        { "no such pan", "sizes[0].pan", Good with { Sizes = [new SizeDraft("99", null)] } },
        { "the same pan twice", "sizes[1].pan", Good with { Sizes = [new SizeDraft("23", null), new SizeDraft("23", null)] } },
        { "a price below nothing", "sizes[0].price", Good with { Sizes = [new SizeDraft("23", -1m)] } },
        { "written for a pan it is not made in", "referencePan", Good with { ReferencePan = "mini" } },
        { "a pan that its dough would fill", "sizes", Good with { ThicknessMm = 14, Sizes = [new SizeDraft("23", null), new SizeDraft("mini", null)] } },
        { "older than any pie", "oldestMin", Good with { OldestMin = 100_000 } },
        { "no steps", "steps", Good with { Steps = null } },
        { "a step twice", "steps", Good with { Steps = [.. Good.Steps!, Step(0)] } },
        { "a step without a name", "steps[0].name", With(0, Step(0) with { Name = "" }) },
        { "a step at no station", "steps[0].station", With(0, Step(0) with { Station = "roof" }) },
        { "a step at station number three", "steps[0].station", With(0, Step(0) with { Station = "3" }) },
        { "a step that works and waits", "steps[0]", With(0, Step(0) with { WaitLeast = 5, WaitMost = 9 }) },
        { "a step that does nothing", "steps[0]", With(0, Step(0) with { PerBatch = null, PerPie = null }) },
        { "a wait that ends before it begins", "steps[1].waitAim", With(1, Step(1) with { WaitLeast = 90, WaitMost = 60 }) },
        { "an oven too hot", "steps[6].stages[0].tempC", With(6, Step(6) with { Stages = [new StageDraft(900, 10, 20)] }) },
        { "a stage that ends before it begins", "steps[6].stages[0].most", With(6, Step(6) with { Stages = [new StageDraft(190, 20, 10)] }) },
        { "no bake", "steps", Good with { Steps = [.. Good.Steps!.Where(step => step!.Id != "bake")], Links = [.. Good.Links!.Where(link => link!.From != "bake" && link.To != "bake"), new LinkDraft("onto-tray", "cool", 0, 0)] } },
        { "no dough taken", "steps", With(0, Step(0) with { UsesDough = false }) },
        { "a link to nowhere", "links", Good with { Links = [.. Good.Links!, new LinkDraft("box", "moon", 0, 0)] } },
        { "a circle", "steps", Good with { Links = [.. Good.Links!, new LinkDraft("box", "line", 0, 0)] } },
        { "two ends", "steps", Good with { Links = [.. Good.Links!.Where(link => link!.From != "prepare")] } },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_is_wrong_is_named_by_its_field(string what, string field, ProductDraft draft)
    {
        Assert.Empty(Fields(Good));
        Assert.True(Fields(draft).Contains(field), $"{what}: {string.Join(", ", Fields(draft))}");
    }

    [Fact]
    public void Everything_wrong_is_said_at_once() =>
        Assert.Equal(
            ["name", "dough", "trimPercent", "filling", "sizes", "referencePan"],
            Fields(Good with { Name = null, Dough = null, TrimPercent = 99, Filling = null, Sizes = null }).Take(6));

    [Fact]
    public void A_pan_that_changes_so_that_a_product_has_no_room_in_it_is_said()
    {
        var dough = DoughReader.Read(UsualDoughs.All[0], "dough", 1, []).Dough!;
        var product = ProductReader.Read(Good with { ThicknessMm = 10 }, "quince", 1, "EUR", [Pan], [dough], [], []).Product!;
        Assert.Empty(PanChanges.Faults([product], [Pan, Tiny]));
        var fault = Assert.Single(PanChanges.Faults([product], [Pan with { Depth = Length.FromCentimetres(1) }]));
        Assert.Equal("pans", fault.Field);
        Assert.StartsWith("Quince cannot be made in 23 cm", fault.Message, StringComparison.Ordinal);
    }
}
