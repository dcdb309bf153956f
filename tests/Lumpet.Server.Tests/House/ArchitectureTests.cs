using System.Text.RegularExpressions;
using ArchUnitNET.Domain;
using ArchUnitNET.Fluent;
using ArchUnitNET.Fluent.Slices;
using ArchUnitNET.Loader;
using Lumpet.Store;
using Xunit;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Lumpet.Server.Tests.House;

/// <summary>The rules of docs/architecture.md that a machine can hold.</summary>
public sealed class ArchitectureTests
{
    private static readonly System.Reflection.Assembly[] Projects =
        [typeof(Core.Measures.Mass).Assembly, typeof(PlanChecking.BakePlanChecker).Assembly, typeof(Solving.ConstraintScheduler).Assembly, typeof(Database).Assembly, typeof(Program).Assembly];

    private static readonly Lazy<Architecture> Rooms = new(() => new ArchLoader().LoadAssemblies(Projects).Build());

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
    [InlineData("System.DateTime")]
    [InlineData("System.TimeZoneInfo")]
    [InlineData("NodaTime.SystemClock")]
    [InlineData("System.Threading.Thread")]
    public void The_core_is_pure(string what) =>
        Holds(Types().That().ResideInAssembly(Projects[0]).Should().NotDependOnAny(Types(true).That().HaveFullNameMatching($"^{Regex.Escape(what)}($|[.`])")).WithoutRequiringPositiveResults());

    [Fact]
    public void The_core_reads_no_clock()
    {
        // Asking for the time leaves no type behind, so the source is looked at.
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "Lumpet.slnx"))) folder = folder.Parent!;
        var files = Directory.GetFiles(Path.Combine(folder.FullName, "src", "Lumpet.Core"), "*.cs", SearchOption.AllDirectories)
            .Where(file => !file.Contains("/obj/", StringComparison.Ordinal)).ToArray();
        Assert.NotEmpty(files);
        string[] forbidden = ["DateTime.Now", "DateTime.UtcNow", "DateTime.Today", "DateTimeOffset.Now", "DateTimeOffset.UtcNow", "Environment.", "Guid.NewGuid", "Stopwatch", "Console."];
        Assert.All(files, file => Assert.DoesNotContain(forbidden, word => File.ReadAllText(file).Contains(word, StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData("Lumpet.Core")]
    [InlineData("Lumpet.PlanChecking")]
    [InlineData("Lumpet.Solving")]
    [InlineData("Lumpet.Store")]
    [InlineData("Lumpet.Server")]
    public void No_room_lies_on_a_circle(string project) =>
        Holds(SliceRuleDefinition.Slices().Matching($"{project}.(**)").Should().BeFreeOfCycles());

    [Fact]
    public void The_checker_knows_no_planner()
    {
        // It reads what is asked and what is answered; whatever makes an answer is out of its sight, most of it as an internal of the core.
        var checker = Types().That().ResideInAssembly(typeof(PlanChecking.BakePlanChecker).Assembly);
        Holds(checker.Should().NotDependOnAnyTypesThat().ResideInNamespaceMatching(@"^Lumpet\.Core\.Baking\.Planning"));
        Holds(checker.Should().NotDependOnAnyTypesThat().HaveNameMatching("(Planner|Scheduler|Search|Timetable|Levelling|Work|Rota|Graph)$"));
    }

    [Fact]
    public void The_solver_knows_schedules_and_no_bakery()
    {
        var solver = Types().That().ResideInAssembly(typeof(Solving.ConstraintScheduler).Assembly);
        Holds(solver.Should().NotDependOnAnyTypesThat().ResideInNamespaceMatching(@"^Lumpet\.(Store|Server|PlanChecking)"));
        Holds(solver.Should().NotDependOnAnyTypesThat().ResideInNamespaceMatching(@"^Lumpet\.Core\.(?!Scheduling)"));
        // Nobody but the one who starts the server knows which solver there is.
        Holds(Types().That().ResideInNamespaceMatching(@"^Lumpet\.Server\..+").Should().NotDependOnAnyTypesThat().ResideInAssembly(typeof(Solving.ConstraintScheduler).Assembly));
    }

    [Fact]
    public void The_planner_knows_no_day() =>
        Holds(Types().That().ResideInNamespaceMatching(@"^Lumpet\.Core\.Baking").Should().NotDependOnAnyTypesThat().ResideInNamespaceMatching(@"^Lumpet\.Core\.(DayPlan|Recipes|Steps)"));

    [Fact]
    public void Steps_know_no_recipe_and_no_day() =>
        Holds(Types().That().ResideInNamespaceMatching(@"^Lumpet\.Core\.Steps").Should().NotDependOnAnyTypesThat().ResideInNamespaceMatching(@"^Lumpet\.Core\.(DayPlan|Recipes|Dough)"));

    private static void Holds(IArchRule rule)
    {
        var broken = rule.Evaluate(Rooms.Value).Where(result => !result.Passed).ToArray();
        Assert.True(broken.Length == 0, string.Join(Environment.NewLine, broken.Select(result => result.Description)));
    }
}
