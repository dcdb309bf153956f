using Lumpet.Core.Baking.Files;
using Xunit;

namespace Lumpet.Core.Tests.Baking;

public sealed class BakeProblemFileTests
{
    [Fact]
    public void What_is_written_reads_back_the_same()
    {
        var written = BakePlanFile.Write(ExampleProblem.Problem);
        Assert.Equal(written, BakePlanFile.Write(BakeProblemFile.Read(written)));
        Assert.Equal(2, BakeProblemFile.Read(written).Bakes.Count);
    }

    [Theory]
    [InlineData("\"toleranceC\": 5", "\"toleranceC\": -1", "toleranceC")]
    [InlineData("\"shelves\": 4", "\"shelves\": 4.5", "ovens[0] (deck).shelves")]
    [InlineData("\"heatCPerMin\": 8", "\"heatCPerMin\": 0", "ovens[0] (deck).heatCPerMin")]
    [InlineData("\"id\": \"custard\", \"trays\": [6, 3]", "\"id\": \"custard\", \"trays\": [6, -3]", "bakes[1] (custard).trays[1]")]
    [InlineData("\"minMin\": 45", "\"minMin\": 60", "bakes[1] (custard).stages[0].maxMin")]
    [InlineData("\"bake\": \"shells\"", "\"bake\": \"shelf\"", "bakes[1] (custard).after")]
    [InlineData("\"ovens\": [\"deck\"]", "\"ovens\": [\"loft\"]", "bakes[1] (custard).ovens")]
    [InlineData("\"id\": \"custard\"", "\"id\": \"shells\"", "bakes[1] (shells).id")]
    [InlineData("\"maxLagMin\": 240", "\"maxLagMin\": 19", "bakes[1] (custard).after[0] (shells).maxLagMin")]
    [InlineData("lumpet.bake-problem/1", "lumpet.bake-problem/2", "format")]
    [InlineData("\"dueMin\": 160", "\"dueMin\": \"160\"", "bakes[1] (custard).dueMin")]
    [InlineData("\"dueMin\": 160", "\"dueMin\": 99999999999", "bakes[1] (custard).dueMin")]
    public void A_fault_names_its_field_and_id(string right, string wrong, string field)
    {
        var text = ExampleProblem.ProblemText.Replace(right, wrong, StringComparison.Ordinal);
        Assert.NotEqual(text, ExampleProblem.ProblemText);
        var thrown = Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text));
        Assert.Contains(field, thrown.Faults.Select(fault => fault.Field));
    }

    [Theory]
    [InlineData("")]
    [InlineData("{")]
    [InlineData("[1, 2]")]
    [InlineData("null")]
    public void What_is_no_problem_is_refused(string text) =>
        Assert.NotEmpty(Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text)).Faults);

    [Fact]
    public void Unknown_fields_are_ignored() =>
        Assert.Single(BakeProblemFile.Read(ExampleProblem.ProblemText.Replace("\"toleranceC\"", "\"note\": {}, \"toleranceC\"", StringComparison.Ordinal)).Ovens);
}
