using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Lumpet.Mutate;

/// <summary>Which test classes can reach a file at all, by what each file names.</summary>
public sealed class Reach
{
    private readonly List<(string TestClass, HashSet<string> Files)> _classes = [];

    /// <summary>Reads all compilations once.</summary>
    /// <param name="tested">What is tested.</param>
    /// <param name="tests">Its tests, compiled against those same compilations.</param>
    public Reach(IReadOnlyList<CSharpCompilation> tested, CSharpCompilation tests)
    {
        var named = tested.Append(tests).SelectMany(one => one.SyntaxTrees.Select(tree => (tree.FilePath, Files: Named(one, tree)))).DistinctBy(one => one.FilePath).ToDictionary(one => one.FilePath, one => one.Files);
        foreach (var tree in tests.SyntaxTrees)
        {
            var files = Closure(tree.FilePath, file => named.GetValueOrDefault(file) ?? []);
            var model = tests.GetSemanticModel(tree);
            foreach (var one in tree.GetRoot().DescendantNodes().OfType<ClassDeclarationSyntax>())
            {
                if (model.GetDeclaredSymbol(one) is { ContainingType: null } symbol && IsTestClass(one)) _classes.Add((symbol.ToDisplayString(), files));
            }
        }
    }

    /// <summary>The classes whose tests could notice a fault in a file.</summary>
    public IReadOnlySet<string> Of(string file) => _classes.Where(one => one.Files.Contains(file)).Select(one => one.TestClass).ToHashSet();

    private static bool IsTestClass(ClassDeclarationSyntax one) =>
        one.Members.OfType<MethodDeclarationSyntax>().Any(method => method.AttributeLists.Any());

    private static HashSet<string> Named(CSharpCompilation compilation, SyntaxTree tree)
    {
        var model = compilation.GetSemanticModel(tree);
        return tree.GetRoot().DescendantNodes().OfType<ExpressionSyntax>()
            .SelectMany(node => new ISymbol?[] { model.GetSymbolInfo(node).Symbol, model.GetTypeInfo(node).Type, model.GetTypeInfo(node).ConvertedType })
            .OfType<ISymbol>()
            .SelectMany(symbol => (symbol.OriginalDefinition as IMethodSymbol)?.ReducedFrom?.DeclaringSyntaxReferences ?? symbol.OriginalDefinition.DeclaringSyntaxReferences)
            .Select(place => place.SyntaxTree.FilePath)
            // One generated file holds the expressions of many: through it everything would reach everything.
            .Where(file => !file.EndsWith(".g.cs", StringComparison.Ordinal)).ToHashSet();
    }

    private static HashSet<string> Closure(string start, Func<string, HashSet<string>> next)
    {
        HashSet<string> reached = [start];
        var open = new Stack<string>([start]);
        while (open.TryPop(out var file))
        {
            foreach (var other in next(file).Where(reached.Add)) open.Push(other);
        }

        return reached;
    }
}
