using Lumpet.Server.Tests.House;
using Xunit;

namespace Lumpet.Server.Tests.Baking;

/// <summary>"plan" and "check" on files, run as the program runs them.</summary>
public sealed class BakeCommandTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lumpet-bake-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private static string Example(string format)
    {
        var place = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(place.FullName, "Lumpet.slnx"))) place = place.Parent!;
        return File.ReadAllText(Path.Combine(place.FullName, "docs", "formats", "bake-plan.md"))
            .Split("```json").Skip(1).Select(rest => rest.Split("```")[0]).First(block => block.Contains(format, StringComparison.Ordinal));
    }

    private string Write(string name, string text)
    {
        var path = Path.Combine(folder, name);
        File.WriteAllText(path, text);
        return path;
    }

    // A process of its own: what a command prints must not mix with what the test runner says.
    private async Task<int> Run(params string[] args) => (await LumpetProcess.Run(folder, args)).Code;

    [Fact]
    public async Task A_problem_is_planned_and_its_plan_is_valid()
    {
        var (problem, plan) = (Write("problem.json", Example("bake-problem")), Path.Combine(folder, "plan.json"));
        Assert.Equal(0, await Run("plan", problem, "--out", plan, "--seconds", "20", "--effort", "5", "--seed", "3"));
        Assert.Equal(0, await Run("check", problem, plan));
    }

    [Fact]
    public async Task A_plan_that_breaks_a_rule_is_not_valid()
    {
        var problem = Write("problem.json", Example("bake-problem"));
        Assert.Equal(0, await Run("check", problem, Write("good.json", Example("bake-plan/1"))));
        Assert.Equal(1, await Run("check", problem, Write("bad.json", Example("bake-plan/1").Replace("\"atMin\": 65", "\"atMin\": 66", StringComparison.Ordinal))));
    }

    [Fact]
    public async Task A_file_that_cannot_be_read_is_said_and_nothing_written()
    {
        var plan = Path.Combine(folder, "plan.json");
        Assert.Equal(2, await Run("plan", Write("broken.json", "{"), "--out", plan));
        Assert.Equal(2, await Run("plan", Path.Combine(folder, "nowhere.json"), "--out", plan));
        Assert.Equal(2, await Run("plan", Write("problem.json", Example("bake-problem")), "--out", plan, "--effort", "0"));
        Assert.False(File.Exists(plan));
    }
}
