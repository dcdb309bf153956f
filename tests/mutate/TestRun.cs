using System.Diagnostics;
using System.Xml.Linq;

namespace Lumpet.Mutate;

/// <summary>What a run of tests said of the core that lay beside them.</summary>
public enum Verdict
{
    /// <summary>All tests passed.</summary>
    Passed,

    /// <summary>A test failed, or the run broke off.</summary>
    Failed,

    /// <summary>The tests did not end in many times their usual time.</summary>
    Hung,
}

/// <summary>Runs tests of a copy of the test program, in which the core can be exchanged.</summary>
public sealed class TestRun
{
    private readonly string _built;
    private readonly string _folder;
    private readonly string _program;

    /// <summary>Copies a built test program to a folder of its own.</summary>
    public TestRun(string built, string program, string folder)
    {
        _built = built;
        _folder = folder;
        _program = program;
        foreach (var file in Directory.EnumerateFiles(built, "*", SearchOption.AllDirectories))
        {
            var copy = Path.Combine(folder, Path.GetRelativePath(built, file));
            Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
            File.Copy(file, copy, overwrite: true);
        }
    }

    /// <summary>Puts every assembly back as it was built.</summary>
    public void Restore()
    {
        foreach (var file in Directory.EnumerateFiles(_built, "Lumpet.*.dll")) File.Copy(file, Path.Combine(_folder, Path.GetFileName(file)), overwrite: true);
    }

    /// <summary>Exchanges one assembly of the program.</summary>
    public void Put(string assembly, byte[] image) => File.WriteAllBytes(PathOf(assembly), image);

    /// <summary>Runs some classes until the first test fails.</summary>
    /// <param name="classes">Their full names; none passes.</param>
    /// <param name="patience">How long the run may take.</param>
    public Verdict Run(IReadOnlyCollection<string> classes, TimeSpan patience) =>
        classes.Count == 0 ? Verdict.Passed : Start(["-maxThreads", "1", "-stopOnFail", .. classes.SelectMany(name => new[] { "-class", name })], patience);

    /// <summary>Runs every test and says how many seconds each class took.</summary>
    /// <exception cref="InvalidOperationException">A test failed: there is no ground to seed faults on.</exception>
    public IReadOnlyDictionary<string, double> Measure()
    {
        var result = Path.Combine(_folder, "result.xml");
        var verdict = Start(["-xml", result], TimeSpan.FromMinutes(10));
        var tests = XDocument.Load(result).Descendants("test").ToList();
        var failed = tests.Where(test => (string?)test.Attribute("result") == "Fail").Select(test => (string?)test.Attribute("name")).ToList();
        if (verdict != Verdict.Passed) throw new InvalidOperationException($"Tests fail without any fault; mend that first: {string.Join("; ", failed)}");
        return tests
            .GroupBy(test => (string)test.Attribute("type")!)
            .ToDictionary(group => group.Key, group => group.Sum(test => (double)test.Attribute("time")!));
    }

    private string PathOf(string assembly) => Path.Combine(_folder, assembly + ".dll");

    private Verdict Start(IEnumerable<string> arguments, TimeSpan patience)
    {
        var start = new ProcessStartInfo("dotnet", [PathOf(_program), "-noColor", "-noLogo", .. arguments])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            RedirectStandardInput = true,
        };
        // A fault may make it grow without end.
        start.Environment["DOTNET_GCHeapHardLimit"] = "0x60000000";
        // A run lasts seconds: what the runtime learns of it is of no use.
        start.Environment["DOTNET_TieredPGO"] = "0";
        // Crash dumps would fill the disk.
        start.Environment["DOTNET_DbgEnableMiniDump"] = "0";
        using var process = Process.Start(start) ?? throw new InvalidOperationException("The tests could not be started.");
        process.StandardInput.Close();
        _ = process.StandardOutput.ReadToEndAsync();
        _ = process.StandardError.ReadToEndAsync();
        if (!process.WaitForExit(patience))
        {
            process.Kill(entireProcessTree: true);
            process.WaitForExit();
            return Verdict.Hung;
        }

        return process.ExitCode == 0 ? Verdict.Passed : Verdict.Failed;
    }
}
