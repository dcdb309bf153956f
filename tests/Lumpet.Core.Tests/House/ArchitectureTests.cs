using NetArchTest.Rules;
using Xunit;

namespace Lumpet.Core.Tests.House;

/// <summary>The rules of docs/architecture.md that a machine can hold.</summary>
public sealed class ArchitectureTests
{
    [Theory]
    [InlineData("Microsoft.AspNetCore")]
    [InlineData("Microsoft.Data")]
    [InlineData("Microsoft.Extensions")]
    [InlineData("Dapper")]
    [InlineData("System.Net")]
    [InlineData("System.IO")]
    [InlineData("System.Data")]
    [InlineData("System.Text.Json.Serialization.JsonPropertyNameAttribute")]
    [InlineData("System.Text.Json.Serialization.JsonConverterAttribute")]
    [InlineData("System.Random")]
    [InlineData("System.TimeProvider")]
    [InlineData("System.Threading.Thread")]
    public void The_core_is_pure(string what) => Holds(Types.InAssembly(typeof(Core.Measures.Mass).Assembly).ShouldNot().HaveDependencyOn(what));

    [Fact]
    public void The_core_reads_no_clock()
    {
        // A dependency on DateTime itself is fine; asking it for the time is not. The source is looked at, since a call leaves no type behind.
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "Lumpet.slnx"))) folder = folder.Parent!;
        var files = Directory.GetFiles(Path.Combine(folder.FullName, "src", "Lumpet.Core"), "*.cs", SearchOption.AllDirectories)
            .Where(file => !file.Contains("/obj/", StringComparison.Ordinal)).ToArray();
        Assert.NotEmpty(files);
        string[] forbidden = ["DateTime.Now", "DateTime.UtcNow", "DateTime.Today", "DateTimeOffset.Now", "DateTimeOffset.UtcNow", "Environment.", "Guid.NewGuid", "Stopwatch", "Console."];
        Assert.All(files, file => Assert.DoesNotContain(forbidden, word => File.ReadAllText(file).Contains(word, StringComparison.Ordinal)));
    }

    [Fact]
    public void The_checker_knows_no_planner() =>
        Holds(Types.InAssembly(typeof(PlanChecking.BakePlanChecker).Assembly).ShouldNot().HaveDependencyOnAny("Lumpet.Core.Baking.Planning", "Lumpet.Core.DayPlan"));

    [Fact]
    public void The_planner_knows_no_day() =>
        Holds(Types.InAssembly(typeof(Core.Measures.Mass).Assembly).That().ResideInNamespace("Lumpet.Core.Baking").ShouldNot().HaveDependencyOnAny("Lumpet.Core.DayPlan", "Lumpet.Core.Recipes"));

    private static void Holds(ConditionList condition)
    {
        var result = condition.GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }
}
