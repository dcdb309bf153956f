using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Text;

namespace Lumpet.Mutate;

/// <summary>A fault that was seeded, and what the tests said.</summary>
/// <param name="Fault">The fault.</param>
/// <param name="Verdict">Failed or hung when it was noticed.</param>
/// <param name="Reached">How many test classes could have noticed.</param>
public sealed record Outcome(Fault Fault, Verdict Verdict, int Reached)
{
    /// <summary>True when a test noticed.</summary>
    public bool IsFound => Verdict != Verdict.Passed;
}

/// <summary>Seeds faults in the core, one at a time, and runs the tests that can reach them.</summary>
public sealed class Mutation
{
    private const string Core = "Lumpet.Core";
    private const string Checking = "Lumpet.PlanChecking";

    // Classes that take longer than this, in seconds, are asked last.
    private const double Slow = 8;

    private readonly CSharpCompilation _core;
    private readonly CSharpCompilation _checking;
    private readonly CSharpCompilation _tests;
    private readonly byte[] _builtTests;
    private readonly bool _quick;
    private readonly Reach _reach;
    private readonly string _source;
    private readonly IReadOnlyDictionary<string, double> _seconds;

    /// <summary>Reads and measures core and tests, which must be built for release.</summary>
    /// <param name="root">The project's root.</param>
    /// <param name="work">An empty folder to work in.</param>
    /// <param name="quick">True to leave the slow classes out.</param>
    /// <exception cref="InvalidOperationException">Core or tests do not compile, or a test fails without any fault.</exception>
    public Mutation(string root, string work, bool quick)
    {
        _quick = quick;
        _source = Path.Combine(root, "src");
        var testFolder = Path.Combine(root, "tests", "Lumpet.Core.Tests");
        _core = CompiledProject.Read(Path.Combine(_source, Core));
        _checking = Against(CompiledProject.Read(Path.Combine(_source, Checking)), _core);
        _tests = Against(Against(CompiledProject.Read(testFolder), _core), _checking);
        _reach = new Reach([_core, _checking], _tests);

        var plain = new TestRun(Path.Combine(testFolder, "bin", "Release", "net10.0"), "Lumpet.Core.Tests", Path.Combine(work, "plain"));
        plain.Put(Core, CompiledProject.Emit(_core) ?? throw new InvalidOperationException("The core does not compile here."));
        _builtTests = CompiledProject.Emit(_tests) ?? throw new InvalidOperationException("The tests do not compile here.");
        plain.Put("Lumpet.Core.Tests", _builtTests);
        _seconds = plain.Measure();
    }

    /// <summary>Every fault that could be seeded in the core and in the plan checker.</summary>
    public IReadOnlyList<Fault> Faults() =>
    [
        .. _core.SyntaxTrees.Concat(_checking.SyntaxTrees).Where(tree => IsWritten(tree.FilePath)).OrderBy(tree => tree.FilePath, StringComparer.Ordinal)
            .SelectMany(tree => FaultFinder.In(Path.GetRelativePath(_source, tree.FilePath).Replace('\\', '/'), tree)),
    ];

    /// <summary>Seeds one fault and asks the tests.</summary>
    /// <param name="fault">One of <see cref="Faults"/>.</param>
    /// <param name="run">The copy to seed it in; used for nothing else meanwhile.</param>
    /// <returns>What came of it, or null when the fault is none: it does not compile.</returns>
    public Outcome? Try(Fault fault, TestRun run)
    {
        var path = Path.Combine(_source, fault.File);
        var assembly = fault.File[..fault.File.IndexOf('/', StringComparison.Ordinal)];
        var whole = assembly == Core ? _core : _checking;
        var tree = whole.SyntaxTrees.First(one => one.FilePath == path);
        var faulty = whole.ReplaceSyntaxTree(tree, tree.WithChangedText(tree.GetText().WithChanges(new TextChange(new TextSpan(fault.Start, fault.Before.Length), fault.After))));
        if (CompiledProject.Emit(faulty) is not { } image) return null;
        // Tests that name a constant hold a copy of it: against the fault they are compiled anew, as in a build.
        if ((fault.Inlined ? CompiledProject.Emit(Against(_tests, faulty)) : _builtTests) is not { } tests) return null;
        run.Restore();
        run.Put(assembly, image);
        run.Put("Lumpet.Core.Tests", tests);

        var classes = _reach.Of(path).Where(_seconds.ContainsKey).ToList();
        return new Outcome(fault, Ask(Stages(classes, Path.GetDirectoryName(Path.GetRelativePath(assembly, fault.File))!), run), classes.Count);
    }

    private Verdict Ask(IEnumerable<List<string>> stages, TestRun run) =>
        stages.Select(stage => run.Run(stage, TimeSpan.FromSeconds(15 + (6 * stage.Sum(name => _seconds[name])))))
            .FirstOrDefault(verdict => verdict != Verdict.Passed, Verdict.Passed);

    // The tests of the same room first, then those that are quick, then the rest.
    private IEnumerable<List<string>> Stages(List<string> classes, string room)
    {
        var own = "Lumpet.Core.Tests." + room.Replace('/', '.');
        yield return [.. classes.Where(name => _seconds[name] < Slow && name.StartsWith(own, StringComparison.Ordinal))];
        yield return [.. classes.Where(name => _seconds[name] < Slow && !name.StartsWith(own, StringComparison.Ordinal))];
        if (_quick) yield break;
        foreach (var slow in classes.Where(name => _seconds[name] >= Slow).OrderBy(name => _seconds[name])) yield return [slow];
    }

    private static bool IsWritten(string path) => !path.Contains("/obj/", StringComparison.Ordinal) && !path.EndsWith(".g.cs", StringComparison.Ordinal);

    private static CSharpCompilation Against(CSharpCompilation user, CSharpCompilation used)
    {
        var old = user.References.First(one => one is CompilationReference { Compilation: var before } ? before.AssemblyName == used.AssemblyName : Path.GetFileNameWithoutExtension(one.Display) == used.AssemblyName);
        return user.ReplaceReference(old, used.ToMetadataReference());
    }
}
