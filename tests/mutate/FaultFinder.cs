using System.Globalization;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Microsoft.CodeAnalysis.Text;

namespace Lumpet.Mutate;

/// <summary>Walks one file and collects every small fault that could be seeded in it.</summary>
public sealed class FaultFinder : CSharpSyntaxWalker
{
    private static readonly Dictionary<SyntaxKind, (string After, FaultKind Kind)> Tokens = new()
    {
        [SyntaxKind.LessThanToken] = ("<=", FaultKind.Bound),
        [SyntaxKind.LessThanEqualsToken] = ("<", FaultKind.Bound),
        [SyntaxKind.GreaterThanToken] = (">=", FaultKind.Bound),
        [SyntaxKind.GreaterThanEqualsToken] = (">", FaultKind.Bound),
        [SyntaxKind.EqualsEqualsToken] = ("!=", FaultKind.Bound),
        [SyntaxKind.ExclamationEqualsToken] = ("==", FaultKind.Bound),
        [SyntaxKind.PlusToken] = ("-", FaultKind.Operator),
        [SyntaxKind.MinusToken] = ("+", FaultKind.Operator),
        [SyntaxKind.AsteriskToken] = ("/", FaultKind.Operator),
        [SyntaxKind.SlashToken] = ("*", FaultKind.Operator),
        [SyntaxKind.PercentToken] = ("/", FaultKind.Operator),
        [SyntaxKind.PlusEqualsToken] = ("-=", FaultKind.Operator),
        [SyntaxKind.MinusEqualsToken] = ("+=", FaultKind.Operator),
        [SyntaxKind.AmpersandAmpersandToken] = ("||", FaultKind.Operator),
        [SyntaxKind.BarBarToken] = ("&&", FaultKind.Operator),
    };

    private static readonly Dictionary<string, string> Names = new()
    {
        ["Min"] = "Max",
        ["Max"] = "Min",
        ["MinBy"] = "MaxBy",
        ["MaxBy"] = "MinBy",
        ["Any"] = "All",
        ["All"] = "Any",
        ["First"] = "Last",
        ["Last"] = "First",
        ["FirstOrDefault"] = "LastOrDefault",
        ["LastOrDefault"] = "FirstOrDefault",
        ["OrderBy"] = "OrderByDescending",
        ["OrderByDescending"] = "OrderBy",
        ["ThenBy"] = "ThenByDescending",
        ["ThenByDescending"] = "ThenBy",
        ["Ceiling"] = "Floor",
        ["Floor"] = "Ceiling",
        ["Skip"] = "Take",
        ["Take"] = "Skip",
    };

    private static readonly HashSet<string> Filters = ["Where", "Distinct", "DistinctBy", "Reverse", "TakeWhile", "SkipWhile", "Trim", "ToLowerInvariant"];

    private readonly List<Fault> _found = [];
    private readonly Dictionary<(string, string, string), int> _twins = [];
    private readonly string _file;
    private readonly SourceText _text;
    private readonly SyntaxNode _root;

    private FaultFinder(string file, SyntaxTree tree)
    {
        _file = file;
        _text = tree.GetText();
        _root = tree.GetRoot();
    }

    /// <summary>Every fault of a file, in its order.</summary>
    public static IReadOnlyList<Fault> In(string file, SyntaxTree tree)
    {
        var finder = new FaultFinder(file, tree);
        finder.Visit(tree.GetRoot());
        return finder._found;
    }

    /// <inheritdoc/>
    public override void VisitAttributeList(AttributeListSyntax node)
    {
        // What attributes say is for compilers and frameworks.
    }

    /// <inheritdoc/>
    public override void VisitBinaryExpression(BinaryExpressionSyntax node)
    {
        Exchange(node.OperatorToken);
        if (node.IsKind(SyntaxKind.LogicalAndExpression) || node.IsKind(SyntaxKind.LogicalOrExpression))
        {
            Add(node.Span, node.Left.ToString(), FaultKind.Dropped);
            Add(node.Span, node.Right.ToString(), FaultKind.Dropped);
        }

        if (node.IsKind(SyntaxKind.CoalesceExpression)) Add(node.Span, node.Right.ToString(), FaultKind.Dropped);
        base.VisitBinaryExpression(node);
    }

    /// <inheritdoc/>
    public override void VisitRelationalPattern(RelationalPatternSyntax node)
    {
        Exchange(node.OperatorToken);
        base.VisitRelationalPattern(node);
    }

    /// <inheritdoc/>
    public override void VisitAssignmentExpression(AssignmentExpressionSyntax node)
    {
        Exchange(node.OperatorToken);
        base.VisitAssignmentExpression(node);
    }

    /// <inheritdoc/>
    public override void VisitPrefixUnaryExpression(PrefixUnaryExpressionSyntax node)
    {
        if (node.IsKind(SyntaxKind.LogicalNotExpression)) Add(node.Span, node.Operand.ToString(), FaultKind.Dropped);
        if (node.IsKind(SyntaxKind.UnaryMinusExpression)) Add(node.Span, node.Operand.ToString(), FaultKind.Operator);
        base.VisitPrefixUnaryExpression(node);
    }

    /// <inheritdoc/>
    public override void VisitLiteralExpression(LiteralExpressionSyntax node)
    {
        if (node.IsKind(SyntaxKind.TrueLiteralExpression)) Add(node.Span, "false", FaultKind.Constant);
        if (node.IsKind(SyntaxKind.FalseLiteralExpression)) Add(node.Span, "true", FaultKind.Constant);
        if (node.IsKind(SyntaxKind.NumericLiteralExpression) && Other(node.Token) is { } other) Add(node.Span, other, FaultKind.Constant);
        base.VisitLiteralExpression(node);
    }

    /// <inheritdoc/>
    public override void VisitIfStatement(IfStatementSyntax node)
    {
        Add(node.Condition.Span, $"false && ({node.Condition})", FaultKind.Dropped);
        Add(node.Condition.Span, $"!({node.Condition})", FaultKind.Dropped);
        base.VisitIfStatement(node);
    }

    /// <inheritdoc/>
    public override void VisitConditionalExpression(ConditionalExpressionSyntax node)
    {
        Add(node.Span, node.WhenTrue.ToString(), FaultKind.Dropped);
        Add(node.Span, node.WhenFalse.ToString(), FaultKind.Dropped);
        base.VisitConditionalExpression(node);
    }

    /// <inheritdoc/>
    public override void VisitExpressionStatement(ExpressionStatementSyntax node)
    {
        Add(node.Span, ";", FaultKind.Dropped);
        base.VisitExpressionStatement(node);
    }

    /// <inheritdoc/>
    public override void VisitWhenClause(WhenClauseSyntax node)
    {
        Add(node.Condition.Span, $"true || ({node.Condition})", FaultKind.Dropped);
        base.VisitWhenClause(node);
    }

    /// <inheritdoc/>
    public override void VisitInvocationExpression(InvocationExpressionSyntax node)
    {
        if (node.Expression is MemberAccessExpressionSyntax { Name: { } name } access)
        {
            if (Names.TryGetValue(name.Identifier.Text, out var after)) Add(name.Identifier.Span, after, FaultKind.Operator);
            if (Filters.Contains(name.Identifier.Text)) Add(TextSpan.FromBounds(access.OperatorToken.SpanStart, node.Span.End), string.Empty, FaultKind.Dropped);
        }

        base.VisitInvocationExpression(node);
    }

    // A whole number becomes one more; a fraction a tenth more; nought with a point becomes one.
    private static string? Other(SyntaxToken literal) => literal.Value switch
    {
        int whole => literal.Text.StartsWith("0x", StringComparison.Ordinal) ? null : (whole + 1L).ToString(CultureInfo.InvariantCulture),
        long whole => $"{whole + 1}L",
        double value => (value == 0 ? 1 : value * 1.1).ToString("R", CultureInfo.InvariantCulture) + (value * 1.1 % 1 == 0 || value == 0 ? "d" : string.Empty),
        decimal value => (value == 0 ? 1 : value * 1.1m).ToString(CultureInfo.InvariantCulture) + "m",
        _ => null,
    };

    private void Exchange(SyntaxToken token)
    {
        if (Tokens.TryGetValue(token.Kind(), out var other)) Add(token.Span, other.After, other.Kind);
    }

    private void Add(TextSpan span, string after, FaultKind kind)
    {
        var line = _text.Lines.GetLineFromPosition(span.Start);
        var code = line.ToString().Trim();
        var before = _text.ToString(span);
        var twin = _twins[(code, before, after)] = _twins.GetValueOrDefault((code, before, after), -1) + 1;
        _found.Add(new Fault(_file, line.LineNumber + 1, code, span.Start, before, after, kind, twin, IsInlined(span)));
    }

    // Constants and default arguments are copied into whatever is compiled against the core.
    private bool IsInlined(TextSpan span)
    {
        var node = _root.FindNode(span, getInnermostNodeForTie: true);
        return node.AncestorsAndSelf().Any(one => one is ParameterSyntax or EnumMemberDeclarationSyntax
            || (one is FieldDeclarationSyntax field && field.Modifiers.Any(SyntaxKind.ConstKeyword)));
    }
}
