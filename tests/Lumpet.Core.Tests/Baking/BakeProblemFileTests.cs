using Lumpet.Core.Baking;
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
    public void Everything_that_does_not_fit_is_said_at_once()
    {
        var text = ExampleProblem.ProblemText
            .Replace("\"toleranceC\": 5", "\"toleranceC\": -1", StringComparison.Ordinal)
            .Replace("\"shelves\": 4", "\"shelves\": null", StringComparison.Ordinal)
            .Replace("\"minMin\": 45", "\"minMin\": 60", StringComparison.Ordinal);
        var faults = Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text)).Faults;
        Assert.Equal(["bakes[1] (custard).stages[0].maxMin", "ovens[0] (deck).shelves", "toleranceC"], faults.Select(fault => fault.Field).Order(StringComparer.Ordinal));
    }

    [Theory]
    [InlineData("{\"format\": \"lumpet.bake-plan/1\", \"settings\": [{\"oven\": \"deck\", \"atMin\": \"soon\"}]}", "settings[0] (deck).atMin")]
    [InlineData("{\"format\": \"lumpet.bake-plan/1\", \"settings\": [], \"trays\": [null], \"unplaced\": []}", "trays[0]")]
    [InlineData("{\"format\": \"lumpet.bake-plan/1\", \"settings\": [], \"trays\": [{\"bake\": \"pear\", \"tray\": 0}], \"unplaced\": []}", "trays[0] (pear).stages")]
    [InlineData("{\"format\": \"lumpet.bake-plan/1\", \"settings\": [], \"trays\": []}", "unplaced")]
    public void A_fault_of_a_plan_names_its_field_and_id(string text, string field) =>
        Assert.Equal([field], Assert.Throws<BakeFileException>(() => BakePlanFile.Read(text)).Faults.Select(fault => fault.Field));

    [Fact]
    public void What_is_optional_and_says_nothing_is_left_out()
    {
        var written = BakePlanFile.Write(ExampleProblem.Problem with { Bakes = [ExampleProblem.Problem.Bakes[0]] });
        Assert.DoesNotContain("null", written, StringComparison.Ordinal);
        Assert.DoesNotContain("earliestOutMin", written, StringComparison.Ordinal);
    }

    [Fact]
    public void A_whole_number_may_be_written_with_a_point() =>
        Assert.Equal(160, BakeProblemFile.Read(ExampleProblem.ProblemText.Replace("\"dueMin\": 160", "\"dueMin\": 160.0", StringComparison.Ordinal)).Bakes[1].DueMin);

    [Fact]
    public void A_plan_reads_back_as_it_was_written()
    {
        var plan = Core.Baking.Planning.BakePlanner.Plan(ExampleProblem.Problem);
        var read = BakePlanFile.Read(BakePlanFile.Write(plan));
        Assert.Equal(plan.Settings, read.Settings);
        Assert.Equal(plan.Trays.SelectMany(tray => tray.Stages), read.Trays.SelectMany(tray => tray.Stages));
        Assert.Equal(plan.Cost.Total, read.Cost["total"]);
        Assert.Equal(plan.LowerBound.OvenOnMin, read.LowerBound["ovenOnMin"]);
    }

    [Fact]
    public void Unknown_fields_are_ignored() =>
        Assert.Single(BakeProblemFile.Read(ExampleProblem.ProblemText.Replace("\"toleranceC\"", "\"note\": {}, \"toleranceC\"", StringComparison.Ordinal)).Ovens);

    [Fact]
    public void A_bake_on_the_floor_reads_back_as_it_was_written_and_no_other_place_is_known()
    {
        var problem = ExampleProblem.Problem with
        {
            Ovens = [.. ExampleProblem.Problem.Ovens.Select(oven => oven with { FloorPlaces = 2 })],
            Bakes = [ExampleProblem.Problem.Bakes[0] with { OnFloor = true }, ExampleProblem.Problem.Bakes[1]],
        };
        var written = BakePlanFile.Write(problem);
        var read = BakeProblemFile.Read(written);
        Assert.Equal([true, false], read.Bakes.Select(bake => bake.OnFloor));
        Assert.Equal(2, read.Ovens[0].FloorPlaces);
        Assert.True(BakeProblemFile.Read(written.Replace("\"place\": \"floor\"", "\"onFloor\": true", StringComparison.Ordinal)).Bakes[0].OnFloor);
        var refused = Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(written.Replace("\"floor\"", "\"roof\"", StringComparison.Ordinal)));
        Assert.Contains("place", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void An_oven_may_be_open_several_times_and_reads_back_as_it_was_written()
    {
        var oven = ExampleProblem.Problem.Ovens[0].OpenAt([new OvenOpening(300, 600), new OvenOpening(0, 120), new OvenOpening(120, 150)]);
        Assert.Equal((0, 600), (oven.OpenMin, oven.CloseMin));
        var read = BakeProblemFile.Read(BakePlanFile.Write(ExampleProblem.Problem with { Ovens = [oven] }));
        // Those that touch are one.
        Assert.Equal([new OvenOpening(0, 150), new OvenOpening(300, 600)], read.Ovens[0].Openings);
        Assert.Equal((0, 600), (read.Ovens[0].OpenMin, read.Ovens[0].CloseMin));
        var none = BakeProblemFile.Read(BakePlanFile.Write(ExampleProblem.Problem with { Ovens = [oven.OpenAt([])] })).Ovens[0];
        Assert.True(none.OpenMin == none.CloseMin);
    }

    [Theory]
    [InlineData("[{\"fromMin\": 0, \"toMin\": 90}, {\"fromMin\": 80, \"toMin\": 200}]", "openings[1].fromMin")]
    [InlineData("[{\"fromMin\": 90, \"toMin\": 80}]", "openings[0].toMin")]
    [InlineData("[null]", "openings[0]")]
    [InlineData("[{\"fromMin\": 0}]", "openings[0].toMin")]
    public void Openings_that_make_no_sense_are_refused_by_name(string openings, string field)
    {
        var text = ExampleProblem.ProblemText.Replace("\"openMin\": 0, \"closeMin\": 600", $"\"openings\": {openings}", StringComparison.Ordinal);
        Assert.Contains(field, Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(text)).Message, StringComparison.Ordinal);
        var both = text.Replace("\"openings\"", "\"closeMin\": 600, \"openings\"", StringComparison.Ordinal);
        Assert.Contains("leave those out", Assert.Throws<BakeFileException>(() => BakeProblemFile.Read(both)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_setting_says_its_temperature_or_that_the_oven_is_off()
    {
        var plan = BakePlanFile.Write(Core.Baking.Planning.BakePlanner.Plan(ExampleProblem.Problem));
        Assert.Null(BakePlanFile.Read(plan).Settings[^1].TempC);
        foreach (var (written, instead) in new[] { ("\"tempC\": null", "\"note\": null"), ("\"tempC\": null", "\"tempC\": \"off\""), ("\"tempC\": 200", "\"tempC\": 200.5") })
        {
            Assert.Contains(written, plan, StringComparison.Ordinal);
            var refused = Assert.Throws<BakeFileException>(() => BakePlanFile.Read(plan.Replace(written, instead, StringComparison.Ordinal)));
            Assert.Contains("tempC", refused.Message, StringComparison.Ordinal);
        }
    }
}
