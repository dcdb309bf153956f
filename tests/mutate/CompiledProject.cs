using System.Diagnostics;
using System.Reflection;
using System.Text.Json;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Diagnostics;
using Microsoft.CodeAnalysis.Emit;

namespace Lumpet.Mutate;

/// <summary>A project as the build compiles it: its files, options, references and generated sources.</summary>
public static class CompiledProject
{
    /// <summary>Asks the build for the compiler's own arguments, and makes a compilation of them.</summary>
    /// <param name="folder">The folder of a project that is built for release.</param>
    /// <exception cref="InvalidOperationException">The build does not tell, or a file is missing.</exception>
    public static CSharpCompilation Read(string folder)
    {
        var arguments = CSharpCommandLineParser.Default.Parse(Arguments(folder), folder, sdkDirectory: null);
        var trees = arguments.SourceFiles.Select(file => CSharpSyntaxTree.ParseText(
            Microsoft.CodeAnalysis.Text.SourceText.From(File.ReadAllText(file.Path), System.Text.Encoding.UTF8), arguments.ParseOptions, file.Path));
        var references = arguments.MetadataReferences.Select(one => MetadataReference.CreateFromFile(one.Reference));
        // A seeded fault leaves warnings behind (code that is never reached); they are not what is asked.
        var options = arguments.CompilationOptions.WithGeneralDiagnosticOption(ReportDiagnostic.Suppress).WithSpecificDiagnosticOptions([]);
        var compilation = CSharpCompilation.Create(arguments.CompilationName ?? Path.GetFileName(folder), trees, references, options);

        var loader = new Loader();
        var generators = arguments.AnalyzerReferences
            .Where(one => one.FilePath.EndsWith("RegularExpressions.Generator.dll", StringComparison.Ordinal))
            .SelectMany(one => new AnalyzerFileReference(one.FilePath, loader).GetGenerators(LanguageNames.CSharp));
        CSharpGeneratorDriver.Create(generators, parseOptions: arguments.ParseOptions).RunGeneratorsAndUpdateCompilation(compilation, out var whole, out _);
        return (CSharpCompilation)whole;
    }

    /// <summary>The assembly of a compilation, or null when it does not compile.</summary>
    public static byte[]? Emit(CSharpCompilation compilation)
    {
        using var image = new MemoryStream();
        return compilation.Emit(image, options: new EmitOptions(debugInformationFormat: DebugInformationFormat.Embedded)).Success ? image.ToArray() : null;
    }

    private static string[] Arguments(string folder)
    {
        // The compiler is skipped, and a file that never exists keeps the build from saying that nothing is to do.
        var start = new ProcessStartInfo("dotnet",
        [
            "msbuild", folder, "-p:Configuration=Release", "-p:SkipCompilerExecution=true", "-p:ProvideCommandLineArgs=true",
            "-p:DesignTimeBuild=true", "-p:BuildProjectReferences=false", "-p:NonExistentFile=__none__/none", "-t:Compile", "-getItem:CscCommandLineArgs",
        ])
        {
            RedirectStandardOutput = true,
        };
        using var process = Process.Start(start) ?? throw new InvalidOperationException("The build could not be asked.");
        var text = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        using var answer = JsonDocument.Parse(text);
        return
        [
            .. answer.RootElement.GetProperty("Items").GetProperty("CscCommandLineArgs").EnumerateArray()
                .Select(item => item.GetProperty("Identity").GetString() ?? throw new InvalidOperationException("An argument without a text.")),
        ];
    }

    private sealed class Loader : IAnalyzerAssemblyLoader
    {
        public void AddDependencyLocation(string fullPath)
        {
            // The generator of regular expressions stands alone.
        }

        public Assembly LoadFromPath(string fullPath) => Assembly.LoadFrom(fullPath);
    }
}
