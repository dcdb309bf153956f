using Lumpet.Core.Steps.Writing;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;
using Xunit;

namespace Lumpet.Core.Tests.Steps;

public sealed class BakedThingsTests
{
    [Theory]
    [InlineData("custard", "Shell Pie")]
    [InlineData("fruit-lid", "Pie")]
    [InlineData("curd-meringue", "Shell Top")]
    [InlineData("cream", "Shell")]
    [InlineData("minis", "Pie")]
    public void What_a_bake_bakes_is_told_by_its_place_whatever_it_is_called(string usual, string bakes)
    {
        var draft = UsualProducts.All.First(one => one.Id == usual).Draft;
        // Nothing is said, and the names are no help.
        draft = draft with
        {
            Steps = [.. draft.Steps!.Select(step => step! with { Id = $"x-{step.Id}", Bakes = null })],
            Links = [.. draft.Links!.Select(link => new LinkDraft($"x-{link!.From}", $"x-{link.To}", link.Least, link.Most))],
        };
        var process = StepReader.Read(new FieldChecks(), draft, FillingKinds.IsBaked(Naming.Read<FillingKind>(draft.Layers![0]!.FillingKind)!.Value));
        Assert.Equal(bakes, string.Join(' ', process.Steps.Where(step => step.IsBake).Select(step => step.Bakes)));
    }

    [Fact]
    public void Roasting_something_beside_the_dough_is_a_preparation_and_what_is_said_wins()
    {
        StepDraft Step(string id, bool dough = false, bool bake = false, string? bakes = null) => new()
        {
            Id = id,
            Name = id,
            Station = bake ? "oven" : "bench",
            PerBatch = bake ? null : 5,
            Celsius = bake ? null : 20,
            Stages = bake ? [new StageDraft(180, 40, 60)] : [],
            UsesDough = dough,
            Bakes = bakes,
        };
        var draft = new ProductDraft
        {
            Steps = [Step("cut"), Step("roast", bake: true), Step("line", dough: true), Step("fill"), Step("bake", bake: true), Step("brown", bake: true, bakes: "top"), Step("box")],
            Links = [new LinkDraft("cut", "roast", 0, 60), new LinkDraft("roast", "fill", 0, 600), new LinkDraft("line", "fill", 0, 60), new LinkDraft("fill", "bake", 0, 60), new LinkDraft("bake", "brown", 0, 60), new LinkDraft("brown", "box", 0, 600)],
        };
        var checks = new FieldChecks();
        var process = StepReader.Read(checks, draft, isFillingBaked: true);
        Assert.Empty(checks.Faults);
        Assert.Equal([BakeOf.Preparation, BakeOf.Pie, BakeOf.Top], process.Steps.Where(step => step.IsBake).Select(step => step.Bakes));
    }
}
