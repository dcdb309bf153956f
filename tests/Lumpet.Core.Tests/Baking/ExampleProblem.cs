using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;

namespace Lumpet.Core.Tests.Baking;

/// <summary>The example of docs/formats/bake-plan.md, problem and plan, read from that page so that it stays true.</summary>
internal static class ExampleProblem
{
    private static readonly string[] Blocks = ReadBlocks();

    public static string ProblemText => Blocks.First(block => block.Contains(BakeProblemFile.Format, StringComparison.Ordinal));

    public static string PlanText => Blocks.First(block => block.Contains(BakePlanFile.Format, StringComparison.Ordinal));

    public static BakeProblem Problem => BakeProblemFile.Read(ProblemText);

    public static StatedBakePlan Plan => BakePlanFile.Read(PlanText);

    private static string[] ReadBlocks()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "Lumpet.slnx"))) folder = folder.Parent!;
        var page = File.ReadAllText(Path.Combine(folder.FullName, "docs", "formats", "bake-plan.md"));
        return [.. page.Split("```json").Skip(1).Select(rest => rest.Split("```")[0])];
    }
}
