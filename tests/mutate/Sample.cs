using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace Lumpet.Mutate;

/// <summary>Draws faults by a seed, equally many of each kind.</summary>
public static class Sample
{
    /// <summary>
    /// The faults in the order in which they are tried, kinds by turns. A fault's place comes from the seed and its own
    /// name, so that a line added elsewhere leaves the draw nearly as it was.
    /// </summary>
    public static IEnumerable<Fault> Draw(IReadOnlyList<Fault> all, int seed)
    {
        var byKind = all.GroupBy(fault => fault.Kind).OrderBy(group => group.Key)
            .Select(group => group.OrderBy(fault => Place(fault, seed), StringComparer.Ordinal).ToList()).ToList();
        for (var turn = 0; byKind.Any(kind => turn < kind.Count); turn++)
        {
            foreach (var kind in byKind.Where(kind => turn < kind.Count)) yield return kind[turn];
        }
    }

    private static string Place(Fault fault, int seed) =>
        Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(string.Create(CultureInfo.InvariantCulture, $"{seed}|{fault.Name}"))));
}
