namespace Lumpet.Core.Measures.Amounts;

/// <summary>What a unit measures.</summary>
public enum UnitKind
{
    /// <summary>Grams.</summary>
    Mass,

    /// <summary>Millilitres; grams need the ingredient's density.</summary>
    Volume,

    /// <summary>Pieces; grams need the weight of one.</summary>
    Piece,
}

/// <summary>A unit in which recipes are written.</summary>
/// <param name="Name">How it is shown: "g", "US cup", "stick"; "one" for things that are simply counted.</param>
/// <param name="Kind">What it measures.</param>
/// <param name="Size">Grams or millilitres in one; 1 for pieces.</param>
public sealed record AmountUnit(string Name, UnitKind Kind, double Size)
{
    /// <summary>The unit of things that are simply counted: "3 eggs".</summary>
    public static AmountUnit One { get; } = new("one", UnitKind.Piece, 1);

    /// <summary>Grams.</summary>
    public static AmountUnit Gram { get; } = new("g", UnitKind.Mass, 1);

    /// <summary>A unit of pieces with a name of its own: "stick", "pod", "lemon" for the juice of one.</summary>
    public static AmountUnit Piece(string name) => new(name, UnitKind.Piece, 1);
}
