namespace Lumpet.Core.Scheduling;

/// <summary>A generator of numbers of our own choosing: the framework's may change between versions, and then so would plans.</summary>
internal sealed class Dice(int seed)
{
    private ulong state = unchecked(((ulong)seed * 0x9E3779B97F4A7C15UL) + 1);

    /// <summary>A number from 0 to under a bound; the bound is at least 1.</summary>
    public int Next(int below)
    {
        state = unchecked((state * 6364136223846793005UL) + 1442695040888963407UL);
        return (int)((state >> 33) % (ulong)below);
    }

    /// <summary>Whether something comes true that does so in so many cases of a hundred.</summary>
    public bool In100(int cases) => Next(100) < cases;

    /// <summary>Shuffles a list.</summary>
    public void Shuffle<T>(IList<T> list)
    {
        for (var at = list.Count - 1; at > 0; at--)
        {
            var other = Next(at + 1);
            (list[at], list[other]) = (list[other], list[at]);
        }
    }
}
