using Lumpet.Core.Steps;
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

    private static ProductDraft Good => UsualProducts.All[0].Draft.Filled("800 g quince") with
    {
        Name = "Quince",
        Dough = "dough",
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
        { "no such dough on top", "topDough", Good with { TopDough = "puff" } },
        { "a lid of paper", "topThicknessMm", Good with { TopThicknessMm = 0.2 } },
        { "no such top", "top", Good with { Top = "roof" } },
        { "a number for a top", "top", Good with { Top = "1" } },
        { "paper-thin", "thicknessMm", Good with { ThicknessMm = 0.1 } },
        { "no number at all", "thicknessMm", Good with { ThicknessMm = double.NaN } },
        { "without bounds", "layers[0].packedDensity", Good.First(layer => layer with { PackedDensity = double.PositiveInfinity }) },
        { "no such filling", "layers[0].fillingKind", Good.First(layer => layer with { FillingKind = "soup" }) },
        { "no such school", "baseTreatment", Good with { BaseTreatment = "2" } },
        { "a filling that boils away", "layers[0].keptPercent", Good.First(layer => layer with { KeptPercent = 0 }) },
        { "cut-outs without a size", "cutOutCm", Good with { Top = "cutOuts", CutOuts = 5 } },
        { "a crumble without crumble", "layers", Good with { Top = "crumble" } },
        { "scraps rolled for ever", "rerolls", Good with { Lining = "smallRounds", Rerolls = 9 } },
        { "rounds larger than a sheet", "sizes", Good with { Lining = "smallRounds", BaseOverhangCm = 8, ThicknessMm = 2, Sizes = [new SizeDraft("23", null), new SizeDraft("wide", null)] } },
        { "a seal of egg without egg", "layers", Good with { Steps = [Good.Steps![0]! with { Seals = true }, .. Good.Steps.Skip(1)] } },
        { "cups of what is new here", "layers[0].lines", Good.Filled("2 cups quince") },
        { "all trim", "trimPercent", Good with { TrimPercent = 100 } },
        { "a lattice without strips", "stripWidthCm", Good with { Top = "lattice" } },
        { "no filling", "layers[0].lines", Good.Filled("") },
        { "a filling without weights", "layers[0].lines", Good.Filled("some quinces") },
        { "a filling without end", "layers[0].lines", Good.Filled(string.Join('\n', Enumerable.Repeat("1 g quince", 61))) },
        { "no layers", "layers", Good with { Layers = null } },
        { "a layer of null", "layers", Good with { Layers = [null, .. Good.Layers!] } },
        { "a pie without a filling", "layers", Good with { Layers = [new LayerDraft { Part = "topping", Lines = "90 g quince" }] } },
        { "more layers than a pie holds", "layers", Good with { Layers = [.. Enumerable.Repeat(Good.Layers![0], 13)] } },
        { "a layer that is dough", "layers[1].part", Good with { Layers = [.. Good.Layers!, new LayerDraft { Part = "dough", Lines = "90 g quince" }] } },
        { "a layer that is no part of a pie", "layers[0].part", Good.First(layer => layer with { Part = "roof" }) },
        { "a law that is none", "layers[0].law", Good.First(layer => layer with { Law = "gravity" }) },
        { "a topping that fills the crust", "layers[1].law", Good with { Layers = [.. Good.Layers!, new LayerDraft { Part = "topping", Law = "room", Lines = "90 g quince" }] } },
        { "a sauce spread on the floor", "layers[1].law", Good with { Layers = [.. Good.Layers!, new LayerDraft { Part = "beside", Law = "floor", Lines = "90 g quince" }] } },
        { "by the piece, and no pieces", "layers[0].pieces", Good.First(layer => layer with { Law = "count" }) },
        { "a layer with a name and no lines", "layers[1].lines", Good with { Layers = [.. Good.Layers!, new LayerDraft { Part = "beside", Name = "Sauce" }] } },
        { "a name of a layer without end", "layers[0].name", Good.First(layer => layer with { Name = new string('x', 61) }) },
        { "a paste that leaves no room in a smaller pan", "sizes", Good with { ReferencePan = "wide", Sizes = [new SizeDraft("wide", null), new SizeDraft("23", null)], Layers = [.. Good.Filled("900 g quince").Layers!, new LayerDraft { Law = "weight", Lines = "1300 g quince", PackedDensity = 0.9 }] } },
        { "no sizes", "sizes", Good with { Sizes = [] } },
        { "a size of null", "sizes", Good with { Sizes = [null, new SizeDraft("23", 1m)] } },
        { "no such pan", "sizes[0].pan", Good with { Sizes = [new SizeDraft("99", null)] } },
        { "the same pan twice", "sizes[1].pan", Good with { Sizes = [new SizeDraft("23", null), new SizeDraft("23", null)] } },
        { "a price below nothing", "sizes[0].price", Good with { Sizes = [new SizeDraft("23", -1m)] } },
        { "a bake without its most", "sizes[0].bakeMost", Good with { Sizes = [new SizeDraft("23", 18m, null, 30)] } },
        { "a bake that ends before it begins", "sizes[0].bakeMost", Good with { Sizes = [new SizeDraft("23", 18m, null, 30, 20)] } },
        { "a minute for two stages", "sizes[0].bakeLeast", Good with { Sizes = [new SizeDraft("23", 18m, null, 1, 20)] } },
        { "baked for days", "sizes[0].bakeMost", Good with { Sizes = [new SizeDraft("23", 18m, null, 30, 601)] } },
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
        { "handwork after the bake", "steps[6].handwork", With(6, Step(6) with { Handwork = "66 min: shield the rim" }) },
        { "handwork at no minute", "steps[6].handwork", With(6, Step(6) with { Handwork = "0 min: shield the rim" }) },
        { "handwork without end", "steps[6].handwork", With(6, Step(6) with { Handwork = string.Join('\n', Enumerable.Repeat("brush", 9)) }) },
        { "handwork of many words", "steps[6].handwork", With(6, Step(6) with { Handwork = new string('x', 121) }) },
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
    public void A_layer_in_which_nothing_is_written_is_passed_over_unless_it_is_the_only_filling()
    {
        var dough = DoughReader.Read(UsualDoughs.All[0], "dough", 1, []).Dough!;
        string[] Kept(params LayerDraft[] more) =>
            [.. ProductReader.Read(Good with { Layers = [.. Good.Layers!, .. more] }, "quince", 1, "EUR", [Pan], [dough], [], []).Product!.Layers.Select(layer => layer.Id)];
        Assert.Equal(["filling"], Kept(new LayerDraft { Part = "topping", Lines = " " }, new LayerDraft { Part = "finish" }));
        Assert.Equal(["filling"], Kept(new LayerDraft { Lines = "\n" }));
        Assert.Equal(["filling", "filling-2", "beside"], Kept(new LayerDraft { Lines = "90 g quince", PackedDensity = 1 }, new LayerDraft { Part = "beside", Lines = "9 g quince" }));
        Assert.Contains("layers[0].lines", Fields(Good.Filled(" ")));
    }

    [Theory]
    [InlineData("crumble", "Under crumble a topping is needed, with its lines.")]
    [InlineData("meringue", "Under meringue a topping is needed, with its lines.")]
    public void A_top_that_is_a_layer_is_asked_for_by_its_name(string top, string said)
    {
        var faults = ProductReader.Read(Good with { Top = top }, "quince", 1, "EUR", [Pan], [], [], []).Faults;
        Assert.Contains(faults, fault => fault.Field == "layers" && fault.Message == said);
    }

    [Fact]
    public void Handwork_is_read_by_its_minute_or_its_sign_and_written_the_same()
    {
        var dough = DoughReader.Read(UsualDoughs.All[0], "dough", 1, []).Dough!;
        var draft = With(6, Step(6) with { Handwork = "20 min: shield the rim\r\n 45 MIN brush with milk\n\nwhen the rim is dark: shield it\n5 minutes" });
        var product = ProductReader.Read(draft, "quince", 1, "EUR", [Pan], [dough], [], []).Product!;
        OvenHandwork[] read = [new(20, "shield the rim"), new(45, "brush with milk"), new(null, "when the rim is dark: shield it"), new(null, "5 minutes")];
        Assert.Equal(read, product.Process.Steps[6].Handwork);
        Assert.Equal("20 min: shield the rim\n45 min: brush with milk\nwhen the rim is dark: shield it\n5 minutes", ProductReader.Write(product).Steps![6]!.Handwork);
        Assert.All(product.Process.Steps.Where(step => !step.IsBake), step => Assert.Empty(step.Handwork));
    }

    [Fact]
    public void A_size_of_what_is_not_baked_filled_has_no_time_for_that()
    {
        var cream = UsualProducts.All.Single(usual => usual.Id == "cream").Draft.Filled("800 g quince") with { Name = "Cream", Dough = "dough", ReferencePan = "23", Sizes = [new SizeDraft("23", 18m, null, 30, 40)] };
        Assert.Equal(["sizes[0].bakeLeast"], Fields(cream));
    }

    [Fact]
    public void Everything_wrong_is_said_at_once() =>
        Assert.Equal(
            ["name", "dough", "trimPercent", "layers[0].lines", "sizes", "referencePan"],
            Fields(Good.Filled(null) with { Name = null, Dough = null, TrimPercent = 99, Sizes = null }).Take(6));

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
