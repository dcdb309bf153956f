using Lumpet.Core.Dough;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Writes batches and parcels out as tasks.</summary>
internal static class DayTasks
{
    // A fridge's temperature: FDA Food Code 2022, 3-501.16, cold holding at 5 C or below; kitchens set 4.
    private const int FridgeC = 4;
    private const int RoomC = 20;

    /// <summary>Mixing and resting of a batch.</summary>
    public static IEnumerable<DayTask> Of(DoughBatch batch)
    {
        var dough = batch.Dough;
        var about = batch.Of == 1 ? dough.Name : $"{dough.Name}, batch {batch.Number} of {batch.Of}";
        var id = $"{dough.Id}/{batch.Number}";
        yield return new DayTask(
            $"{id}/mix", null, "mix", "Mix and divide", about, Station.Dough, TaskKind.Hands, batch.MixStartMin, batch.MixEndMin, 0, RoomC, dough.ReadyWhen, dough.Caution);
        yield return new DayTask(
            $"{id}/rest", null, "rest", "Rest", about, Station.Cold, TaskKind.Wait, batch.MixEndMin, batch.NeededMin, 0, FridgeC, "cold through; a pressed finger leaves its mark", string.Empty);
    }

    /// <summary>Work, bakes and waits of a parcel.</summary>
    public static IEnumerable<DayTask> Of(Parcel parcel)
    {
        var (graph, times, lot) = (parcel.Work.Graph, parcel.Times, parcel.Work.Lot);
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            var step = graph.Nodes[node];
            yield return Task(parcel, lot, step, step.IsBake ? TaskKind.Bake : TaskKind.Hands, times.Start[node], times.End[node]);
        }

        foreach (var edge in graph.Edges.Where(edge => edge.Wait is not null))
            yield return Task(parcel, lot, edge.Wait!, TaskKind.Wait, times.End[edge.From], times.Start[edge.To]);
    }

    private static DayTask Task(Parcel parcel, Lot lot, Step step, TaskKind kind, int start, int end) => new(
        $"{lot.Id}/{parcel.Number}/{step.Id}",
        lot.Id,
        step.Id,
        step.Name,
        $"{lot.Product.Name}, {lot.Pan.Name}",
        step.Station,
        kind,
        start,
        end,
        parcel.Pies,
        step.Celsius,
        step.ReadyWhen,
        step.Caution);
}
