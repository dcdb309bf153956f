namespace Lumpet.Core.Steps;

/// <summary>A time in minutes with its limits: the least and the most are hard, the aim may be given up.</summary>
/// <param name="Least">Never less than this; at least 0.</param>
/// <param name="Aim">What a plan tries for; between least and most.</param>
/// <param name="Most">Never more than this.</param>
public sealed record Span(int Least, int Aim, int Most)
{
    /// <summary>A span whose aim is its least.</summary>
    public static Span Between(int least, int most) => new(least, least, most);

    /// <summary>This and then another.</summary>
    public Span Then(Span other) => new(Least + other.Least, Aim + other.Aim, Most + other.Most);

    /// <summary>
    /// Shares minutes out among spans that follow one another: each its least, then in order what is wanted, then from the
    /// last backwards what they bear, since the last is where something is kept. What is more than all bear falls to the last.
    /// </summary>
    /// <param name="spans">The spans in order; at least one.</param>
    /// <param name="minutes">At least the sum of their leasts.</param>
    public static IReadOnlyList<int> Share(IReadOnlyList<Span> spans, int minutes)
    {
        int[] shares = [.. spans.Select(span => span.Least)];
        var left = minutes - shares.Sum();
        for (var at = 0; at < shares.Length; at++) Give(at, spans[at].Aim);
        for (var at = shares.Length - 1; at >= 0; at--) Give(at, spans[at].Most);
        shares[^1] += left;
        return shares;

        void Give(int at, int upTo)
        {
            var more = Math.Clamp(left, 0, upTo - shares[at]);
            (shares[at], left) = (shares[at] + more, left - more);
        }
    }
}
