namespace Lumpet.Mutate;

/// <summary>The families that faults are drawn from, in equal shares.</summary>
public enum FaultKind
{
    /// <summary>Another operator: plus for minus, the least for the most, the first for the last.</summary>
    Operator,

    /// <summary>A limit that is one step off: "less" for "less or equal", equal for unequal.</summary>
    Bound,

    /// <summary>Another constant: one more, a tenth more, true for false.</summary>
    Constant,

    /// <summary>A condition, a statement or a filter that is left out or turned round.</summary>
    Dropped,
}

/// <summary>One small fault that can be seeded: a text of a file is exchanged.</summary>
/// <param name="File">The file below src, with forward slashes.</param>
/// <param name="Line">The line it stands on, from 1.</param>
/// <param name="Code">That whole line, without its indent, as it stands.</param>
/// <param name="Start">Where in the file the text begins that is exchanged.</param>
/// <param name="Before">The text that is exchanged.</param>
/// <param name="After">What stands there instead.</param>
/// <param name="Kind">Its family.</param>
/// <param name="Twin">How many faults with this code and this exchange stand above it in the file, from 0.</param>
/// <param name="Inlined">True for a constant that the tests are compiled with: they must be compiled again to see it.</param>
public sealed record Fault(string File, int Line, string Code, int Start, string Before, string After, FaultKind Kind, int Twin, bool Inlined)
{
    /// <summary>What tells it from every other fault, and stays when lines around it come and go.</summary>
    public string Name => $"{File}|{Code}|{Before} => {After}|{Twin}";
}
