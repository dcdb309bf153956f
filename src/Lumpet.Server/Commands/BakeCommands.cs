using System.CommandLine;
using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Baking.Planning;
using Lumpet.PlanChecking;
using Lumpet.Store;

namespace Lumpet.Server.Commands;

/// <summary>"plan" and "check": the oven planner and its checker on files.</summary>
internal static class BakeCommands
{
    private const int MostSeconds = 86_400;
    private const int MostEffort = 1_000_000;

    /// <summary>lumpet plan PROBLEM --out PLAN [--from PLAN] [--seconds N] [--effort N] [--seed N].</summary>
    public static Command Plan()
    {
        var problem = new Argument<string>("problem") { Description = "A file of the format lumpet.bake-problem/1." };
        var to = new Option<string?>("--out") { Description = "Where the plan goes; without it, to the screen." };
        var seconds = new Option<int?>("--seconds") { Description = "A cap on the time, used up where no effort is given; a plan cut short may differ." };
        var effort = new Option<int?>("--effort") { Description = $"How many plans are built or bettered; without it and without seconds {BakePlanner.DefaultEffort}." };
        var seed = new Option<int>("--seed") { Description = "Seed of the search.", DefaultValueFactory = _ => 1 };
        var from = new Option<string?>("--from") { Description = "A plan of much the same problem, of the format lumpet.bake-plan/1: what still holds of it is gone on from." };
        var command = new Command("plan", "Plan the ovens of a problem file.") { problem, to, from, seconds, effort, seed };
        command.SetAction(result => Reading(() =>
        {
            if (result.GetValue(effort) is < 1 or > MostEffort || result.GetValue(seconds) is < 1 or > MostSeconds)
                return CommandLine.Refuse($"--effort takes 1 to {MostEffort}, and --seconds 1 to {MostSeconds}.");
            var output = result.GetValue(to);
            if (output is not null && FileIdentity.IsSame(output, result.GetValue(problem)!)) return CommandLine.Refuse($"--out {output} is the question itself. Choose another file for the answer.");
            using var cap = new CancellationTokenSource();
            if (result.GetValue(seconds) is { } limit) cap.CancelAfter(TimeSpan.FromSeconds(limit));
            var earlier = result.GetValue(from) is { } path ? ReadPlan(path) : null;
            var plan = BakePlanner.Plan(
                ReadProblem(result.GetValue(problem)!),
                result.GetValue(effort) ?? (result.GetValue(seconds) is null ? BakePlanner.DefaultEffort : int.MaxValue),
                result.GetValue(seed),
                near: earlier is null ? null : new EarlierPlan(earlier.Settings, earlier.Trays),
                enough: cap.Token,
                cut: cap.Token);
            if (output is not null) Write(output, BakePlanFile.Write(plan) + "\n");
            else Console.WriteLine(BakePlanFile.Write(plan));
            Console.Error.WriteLine(FormattableString.Invariant(
                $"{plan.Trays.Count} trays baked, {plan.Unplaced.Count} left out; cost {plan.Cost.Total}, at least {plan.LowerBound.Total}"));
            return 0;
        }));
        return command;
    }

    /// <summary>lumpet check PROBLEM PLAN: 0 when the plan is valid, 1 when it is not, 2 when a file cannot be read.</summary>
    public static Command Check()
    {
        var problem = new Argument<string>("problem") { Description = "A file of the format lumpet.bake-problem/1." };
        var plan = new Argument<string>("plan") { Description = "A file of the format lumpet.bake-plan/1." };
        var command = new Command("check", "Check a plan file against its problem file.") { problem, plan };
        command.SetAction(result => Reading(() =>
        {
            var verdict = BakePlanChecker.Check(ReadProblem(result.GetValue(problem)!), ReadPlan(result.GetValue(plan)!));
            foreach (var fault in verdict.Faults) Console.WriteLine($"{fault.Rule}: {fault.Where}: {fault.Message}");
            Console.WriteLine(verdict.IsValid
                ? FormattableString.Invariant($"valid; cost {verdict.Cost.Total}, {verdict.Cost.UnplacedPies} pies left out")
                : $"not valid: {verdict.Faults.Count} faults");
            return verdict.IsValid ? 0 : 1;
        }));
        return command;
    }

    /// <summary>A file appears whole or not at all; what is no file, such as a pipe, is written to as it is.</summary>
    private static void Write(string path, string text)
    {
        if (File.Exists(path) && FileIdentity.Of(path) is { IsRegular: false })
        {
            File.WriteAllText(path, text);
            return;
        }

        var place = FileIdentity.RealPath(path);
        var half = $"{place}.half-{Guid.NewGuid():N}";
        try
        {
            File.WriteAllText(half, text);
            File.Move(half, place, overwrite: true);
        }
        finally
        {
            File.Delete(half);
        }
    }

    private static BakeProblem ReadProblem(string path) => Named(path, () => BakeProblemFile.Read(File.ReadAllText(path)));

    private static StatedBakePlan ReadPlan(string path) => Named(path, () => BakePlanFile.Read(File.ReadAllText(path)));

    private static T Named<T>(string path, Func<T> read)
    {
        try
        {
            return read();
        }
        catch (BakeFileException exception)
        {
            throw new BakeFileException($"{path} cannot be read:{Environment.NewLine}{exception.Message}", exception);
        }
    }

    private static int Reading(Func<int> work)
    {
        try
        {
            return work();
        }
        catch (Exception exception) when (exception is BakeFileException or IOException or UnauthorizedAccessException or ArgumentException)
        {
            return CommandLine.Refuse(exception.Message);
        }
    }
}
