using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>Trays of a lot that go through the same ovens at the same minutes, with the times of all their work.</summary>
/// <param name="Work">Their lot.</param>
/// <param name="Number">From 1 in the lot, in order of time.</param>
/// <param name="Trays">Numbers of the trays.</param>
/// <param name="Pies">Pies on them.</param>
/// <param name="Times">When each node is done.</param>
internal sealed record Parcel(LotWork Work, int Number, IReadOnlyList<int> Trays, int Pies, ParcelTimes Times)
{
    /// <summary>When the last of them is boxed.</summary>
    public int DoneMin => Times.End.Max();

    /// <summary>The parcels of a lot under a bake plan; trays that are not wholly baked are left out.</summary>
    public static IEnumerable<Parcel> Of(LotWork work, ILookup<string, BakedTray> baked)
    {
        var bakes = work.Graph.Bakes;
        // Nothing is baked: no oven keeps them apart.
        if (bakes.Count == 0) return [new Parcel(work, 1, [.. Enumerable.Range(1, work.Lot.Trays.Count)], work.Lot.Count, work.Around(work.Lot.Count, new Dictionary<int, (int, int)>()))];
        var byTray = bakes.ToDictionary(node => node, node => baked[work.BakeId(node)].ToDictionary(tray => tray.Tray));
        return Enumerable.Range(1, work.Lot.Trays.Count)
            .Where(number => bakes.All(node => byTray[node].ContainsKey(number)))
            // One oven at a time: what lies in two ovens at once is more than travels together.
            .GroupBy(number => string.Join(' ', bakes.SelectMany(node => byTray[node][number].Stages)))
            .OrderBy(group => byTray[bakes[0]][group.First()].StartMin)
            .Select((group, index) =>
            {
                var pies = group.Sum(number => work.Lot.Trays[number - 1]);
                var times = bakes.ToDictionary(node => node, node => (HeatedTrays.PiesIn(work.Graph.Nodes[node], byTray[node][group.First()]), byTray[node][group.First()].EndMin));
                return new Parcel(work, index + 1, [.. group], pies, work.Around(pies, times));
            });
    }
}
