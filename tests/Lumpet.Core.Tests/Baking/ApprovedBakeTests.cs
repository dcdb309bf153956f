using System.Text.Json.Nodes;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Xunit;

namespace Lumpet.Core.Tests.Baking;

/// <summary>
/// Oven plans as they are found today. That they keep every rule is checked by the plan checker, minute by minute; these
/// texts show where a change makes the search find others, so that somebody looks whether they are better.
/// </summary>
public sealed class ApprovedBakeTests
{
    private static readonly int[] Temperatures = [165, 170, 175, 190, 190, 195, 220];

    // The same problems in every run: a seeded generator keeps its numbers.
    internal static BakeProblem Made(int seed)
    {
        var random = new Random(seed);
        BakeOven[] ovens = [.. Enumerable.Range(0, random.Next(1, 4)).Select(at =>
            new BakeOven($"o{at}", random.Next(1, 5), 90, random.Next(2) == 0 ? 230 : 200, random.Next(4, 12), random.Next(2, 8), random.Next(20, 200), random.Next(0, 60), random.Next(420, 800)))];
        var bakes = new List<Bake>();
        for (var at = 0; at < random.Next(2, 7); at++)
        {
            BakeStage[] stages = [.. Enumerable.Range(0, random.Next(1, 3)).Select(_ => Stage(random))];
            BakeAfter[] after = at > 0 && random.Next(3) == 0 ? [new BakeAfter($"b{at - 1}", random.Next(0, 40), random.Next(60, 200), random.Next(2) == 0 && bakes[^1].Trays.Count == bakes[0].Trays.Count)] : [];
            int[] trays = [.. Enumerable.Repeat(0, after is [{ ByTray: true }] ? bakes[^1].Trays.Count : random.Next(1, 5)).Select(_ => random.Next(1, 7))];
            bakes.Add(new Bake($"b{at}", trays, stages, random.Next(0, 120), random.Next(150, 600), random.Next(3) == 0 ? random.Next(100, 400) : null, random.Next(4) == 0 ? ["o0"] : null, after));
        }

        return new BakeProblem(random.Next(0, 7), random.Next(0, 4), ovens, bakes);
    }

    private static BakeStage Stage(Random random)
    {
        var least = random.Next(5, 40);
        return new BakeStage(Temperatures[random.Next(Temperatures.Length)], least, least + random.Next(0, 12));
    }

    private static IEnumerable<string> Plan(BakeProblem problem, int effort)
    {
        var plan = BakePlanner.Plan(problem, effort, 3);
        Assert.Empty(BakePlanChecker.Check(problem, plan).Faults);
        return [Told.Of(plan.Cost), Told.Of(LowerBounds.AllPlaced(problem)), .. plan.Settings.Select(Told.Of), .. plan.Trays.Select(Told.Of), .. plan.Unplaced.Select(Told.Of)];
    }

    [Fact]
    public void Plans_are_those_that_were_approved() => Approved.Matches(
        "Baking/plans",
        Enumerable.Range(1, 30).SelectMany(seed => Plan(Made(seed), 10).Prepend($"== {seed}: {Told.Of(Made(seed))}")).Concat(Plan(ExampleProblem.Problem, 12)));

    [Fact]
    public void Costs_and_bounds_of_many_plans_are_those_that_were_approved() => Approved.Matches("Baking/costs", Enumerable.Range(100, 120).Select(seed =>
    {
        var plan = BakePlanner.Plan(Made(seed), 6, 3);
        return $"{seed}: {Told.Of(plan.Cost)} at least {Told.Of(LowerBounds.AllPlaced(Made(seed)))}";
    }));

    [Fact]
    public void What_finds_no_place_says_why_as_approved()
    {
        BakeOven[] ovens = [Problems.Oven(), Problems.Oven("small", shelves: 1, close: 200), Problems.Oven("none", shelves: 0)];
        BakeProblem[] problems =
        [
            new(5, 2, ovens, [Problems.Bake("hot", stages: [new BakeStage(300, 20, 30)])]),
            new(5, 2, ovens, [Problems.Bake("cold", stages: [new BakeStage(60, 20, 30)])]),
            new(5, 2, ovens, [Problems.Bake("long", stages: [new BakeStage(200, 900, 900)])]),
            new(0, 2, ovens, [Problems.Bake("lowest", stages: [new BakeStage(90, 900, 900)]), Problems.Bake("below", stages: [new BakeStage(89, 900, 900)])]),
            new(0, 2, ovens, [Problems.Bake("highest", stages: [new BakeStage(280, 900, 900)]), Problems.Bake("above", stages: [new BakeStage(281, 900, 900)])]),
            new(5, 2, ovens, [Problems.Bake("late", release: 890)]),
            new(5, 2, ovens, [Problems.Bake("elsewhere", ovens: ["none"])]),
            new(5, 2, ovens, [Problems.Bake("unknown", ovens: ["gone"])]),
            new(5, 2, ovens, [Problems.Bake("first", stages: [new BakeStage(300, 20, 30)]), Problems.Bake("then", after: [new BakeAfter("first", 0, 100, false)])]),
            new(5, 2, ovens, [Problems.Bake("a", due: 300), Problems.Bake("b", release: 500, after: [new BakeAfter("a", 0, 20, false)])]),
            new(5, 2, ovens, [Problems.Bake("a", after: [new BakeAfter("b", 0, 20, false)]), Problems.Bake("b", after: [new BakeAfter("a", 0, 20, false)])]),
            new(5, 2, [Problems.Oven(shelves: 1, close: 120)], [Problems.Bake("many", trays: 4)]),
            new(5, 2, [], [Problems.Bake("many", trays: 4)]),
            new(5, 2, ovens, []),
            new(5, 2, ovens, [Problems.Bake("empty", trays: 0), Problems.Bake("wait", earliestOut: 700, due: 200)]),
        ];
        Approved.Matches("Baking/unplaced", problems.SelectMany(problem => Plan(problem, 4).Prepend($"== {string.Join(", ", problem.Bakes.Select(bake => bake.Id))}")));
    }

    [Fact]
    public void Files_are_written_as_approved() => Approved.Matches("Baking/files", [
        BakePlanFile.Write(ExampleProblem.Problem), BakePlanFile.Write(BakePlanner.Plan(ExampleProblem.Problem, 4)), Told.Of(ExampleProblem.Problem), Told.Of(ExampleProblem.Plan),
        .. new[] { "", "{", "[]", "null", "{\"format\":\"x\"}", "{\"format\":\"lumpet.bake-problem/1\"}", "{\"format\":\"lumpet.bake-plan/1\"}",
            ExampleProblem.ProblemText.Replace("\"shelves\": 4", "\"shelves\": 1000001", StringComparison.Ordinal),
            ExampleProblem.ProblemText.Replace("\"id\": \"custard\"", "\"id\": \"pear\"", StringComparison.Ordinal),
            System.Text.RegularExpressions.Regex.Replace(ExampleProblem.ProblemText, "\"id\": \"[a-z-]+\"", "\"id\": \"\""),
            ExampleProblem.ProblemText.Replace("\"transferMin\": 2", "\"transferMin\": 2.5", StringComparison.Ordinal),
            ExampleProblem.ProblemText.Replace("\"minMin\": 45", "\"minMin\": -45", StringComparison.Ordinal),
            ExampleProblem.PlanText.Replace("\"atMin\": ", "\"atMin\": -", StringComparison.Ordinal),
            ExampleProblem.PlanText.Replace("\"tray\": 1", "\"tray\": 1.5", StringComparison.Ordinal),
        }.SelectMany(text => new[] { Refused(text, BakeProblemFile.Read), Refused(text, BakePlanFile.Read) }),
    ]);

    [Fact]
    public void Every_value_of_a_file_is_looked_at_as_approved() => Approved.Matches("Baking/spoiled-files", new[] { ExampleProblem.ProblemText, ExampleProblem.PlanText }.SelectMany(text =>
        Values(JsonNode.Parse(text)!).Select(value => value.GetPath()).SelectMany(path => new[] { "null", "-1", "0", "0.5", "5256000", "5256001", "\"\"" }.Select(other =>
            $"{path} {other}: {Taken(With(text, path, other), text == ExampleProblem.ProblemText)}"))));

    private static IEnumerable<JsonNode> Values(JsonNode node) => node switch
    {
        JsonObject fields => fields.SelectMany(field => field.Value is null ? [] : Values(field.Value)),
        // The first of a list stands for the others.
        JsonArray list => list.Take(1).SelectMany(one => one is null ? [] : Values(one)),
        _ => [node],
    };

    private static string With(string text, string path, string value)
    {
        var root = JsonNode.Parse(text)!;
        Values(root).First(one => one.GetPath() == path).ReplaceWith(JsonNode.Parse(value));
        return root.ToJsonString();
    }

    private static string Taken(string text, bool isProblem) =>
        isProblem ? Refused(text, file => BakeProblemFile.Read(file) is not null) : Refused(text, file => BakePlanFile.Read(file) is not null);

    private static string Refused<T>(string text, Func<string, T> read)
    {
        try
        {
            return Told.Of(read(text));
        }
        catch (BakeFileException exception)
        {
            return $"{exception.Message} {Told.Of(exception.Faults)}";
        }
    }
}
