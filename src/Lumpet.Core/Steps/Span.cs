namespace Lumpet.Core.Steps;

/// <summary>A time in minutes with its limits: the least and the most are hard, the aim may be given up.</summary>
/// <param name="Least">Never less than this; at least 0.</param>
/// <param name="Aim">What a plan tries for; between least and most.</param>
/// <param name="Most">Never more than this.</param>
public sealed record Span(int Least, int Aim, int Most)
{
    /// <summary>A span whose aim is its least.</summary>
    public static Span Between(int least, int most) => new(least, least, most);
}
