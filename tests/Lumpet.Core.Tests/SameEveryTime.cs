using System.Runtime.CompilerServices;
using CsCheck;

namespace Lumpet.Core.Tests;

/// <summary>
/// Random examples that are the same in every run, so that a change is judged by what it changed and not by its luck. With
/// LUMPET_CHANCE set other examples are drawn each time; what fails then prints a seed and becomes a test.
/// </summary>
internal static class SameEveryTime
{
    private static readonly bool IsLeftToChance =
        !string.IsNullOrEmpty(Environment.GetEnvironmentVariable("LUMPET_CHANCE")) || !string.IsNullOrEmpty(Environment.GetEnvironmentVariable("CsCheck_Seed"));

    /// <summary>Asks of so many examples whether something holds.</summary>
    /// <param name="gen">What draws them.</param>
    /// <param name="holds">Throws where it does not hold.</param>
    /// <param name="iter">How many examples.</param>
    /// <param name="threads">How many at once; all processors where it is not said.</param>
    /// <param name="test">The test that asks; each has examples of its own.</param>
    internal static void SampleTheSame<T>(this Gen<T> gen, Action<T> holds, int iter, int threads = -1, [CallerMemberName] string test = "")
    {
        if (IsLeftToChance)
        {
            gen.Sample(holds, iter: iter, threads: threads);
            return;
        }

        var stream = test.Aggregate(17u, (sum, letter) => unchecked((sum * 31) + letter));
        void Ask(int at) => gen.Sample(holds, seed: new PCG(stream, (ulong)at).ToString(), iter: 1, threads: 1);
        if (threads == 1)
            for (var at = 0; at < iter; at++) Ask(at);
        else Parallel.For(0, iter, new ParallelOptions { MaxDegreeOfParallelism = threads }, Ask);
    }
}
