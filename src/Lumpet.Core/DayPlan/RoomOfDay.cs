using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What room a day's work takes: a place at the bench or a burner while someone works there, tray places in the cold and on the racks
/// while pies wait, and kilograms in the cold of doughs and tubs, less with each that is taken. What is made beyond what is taken is not counted.
/// </summary>
internal static class RoomOfDay
{
    /// <summary>Everything that is in use.</summary>
    /// <param name="parcels">Parcels that are made.</param>
    /// <param name="mixed">Dough batches that are made.</param>
    /// <param name="made">What is made before the pies.</param>
    /// <param name="there">What is taken of what is there already, and of what.</param>
    public static IReadOnlyList<RoomUse> InUse(IReadOnlyList<Parcel> parcels, IReadOnlyList<MixedBatch> mixed, IReadOnlyList<MadeBatch> made, IEnumerable<(StockUse Use, StockedMass Of)> there)
    {
        // What would be taken for pies that cannot be made is not.
        var takers = parcels.SelectMany(parcel => parcel.Work.Graph.Nodes.Select(node => DayTasks.Id(parcel, node.Id)))
            .Concat(mixed.Select(one => DayTasks.Id(one.Batch, DayTasks.Mix)))
            .Concat(made.SelectMany(one => one.Steps.Select(step => DayTasks.Id(one.Batch, step.Step.Id)))).ToHashSet();
        var uses = parcels.SelectMany(Of).Concat(mixed.SelectMany(one => Of(one, takers))).Concat(made.SelectMany(one => Of(one, takers)))
            .Concat(there.Where(one => one.Use.TaskId is { } taker && takers.Contains(taker)).SelectMany(one => StockRoom.Lies(one.Of, one.Use.Taken, one.Use.AtMin)));
        return [.. uses.Where(use => use.FromMin < use.ToMin && use.Amount > 0).OrderBy(use => use.FromMin).ThenBy(use => use.ToMin).ThenBy(use => use.Place)];
    }

    /// <summary>Grams on a scale, as places count them.</summary>
    public static int Grams(Mass mass) => (int)Math.Min(int.MaxValue / 4, Math.Round(mass.Grams, MidpointRounding.AwayFromZero));

    private static IEnumerable<RoomUse> Of(Parcel parcel)
    {
        var (graph, times) = (parcel.Work.Graph, parcel.Times);
        if (RoomPlaces.OfTrays(parcel.Work.Lot.Begun?.Place) is { } stand) yield return new RoomUse(stand, parcel.Trays.Count, 0, times.Start.Min()) { Content = Pies(parcel, "Brought so far already", parcel.Work.Lot.Begun!.UntilMin) };
        for (var node = 0; node < graph.Nodes.Count; node++)
            if (!graph.Nodes[node].IsBake && RoomPlaces.OfWork(graph.Nodes[node].Station) is { } place)
                yield return new RoomUse(place, 1, times.Start[node], times.End[node]);
        foreach (var wait in graph.Edges.SelectMany(edge => DayTasks.Waits(edge, times)))
            if (RoomPlaces.OfTrays(wait.Step) is { } place) yield return new RoomUse(place, parcel.Trays.Count, wait.StartMin, wait.EndMin) { Content = Pies(parcel, wait.Step.Name, wait.Step.Wait!.Most) };
    }

    private static RoomContent Pies(Parcel parcel, string doing, long keepsFor) =>
        new($"{parcel.Work.Lot.Product.Name}, {parcel.Work.Lot.Pan.Name}", doing, parcel.Pies, keepsFor) { Product = parcel.Work.Lot.Product.Name };

    private static RoomContent Tub(MadeBatch one, string doing, long keepsFor) => new(one.Batch.About, doing, 0, keepsFor) { MadeId = one.Batch.Made.Id };

    private static IEnumerable<RoomUse> Of(MixedBatch one, HashSet<string> takers)
    {
        var (batch, method) = (one.Batch, one.Batch.Dough.Method);
        foreach (var turn in batch.Turns) yield return new RoomUse(RoomPlace.Bench, 1, turn, turn + method.TurnMinutes);
        int[] worked = [batch.MixEndMin, .. batch.Turns.Select(turn => turn + method.TurnMinutes)];
        for (var turn = 1; turn < batch.Turns.Count; turn++) yield return new RoomUse(RoomPlace.FridgeTubs, Grams(batch.InDiscs), worked[turn], batch.Turns[turn]) { Content = new RoomContent(batch.Dough.Name, "Cold until the next turn", 0, null) { MadeId = batch.Dough.IngredientId } };
        foreach (var disc in batch.Discs.Where(disc => disc.TaskId is not null && takers.Contains(disc.TaskId)))
            yield return new RoomUse(RoomPlace.FridgeTubs, Grams(Mass.FromGrams(disc.Disc.Grams * disc.Count)), worked[^1], disc.NeededMin)
            {
                Content = new RoomContent(batch.Dough.Name, "Rests until it is rolled", disc.Count, batch.Dough.Rest.Most + batch.RestStartMin - worked[^1]) { MadeId = batch.Dough.IngredientId },
            };
    }

    private static IEnumerable<RoomUse> Of(MadeBatch one, HashSet<string> takers)
    {
        foreach (var step in one.Steps.Where(step => step.Step is { Wait: null, IsBake: false }))
            if (RoomPlaces.OfWork(step.Step.Station) is { } place) yield return new RoomUse(place, 1, step.StartMin, step.EndMin);
        var last = one.Steps.Last(step => step.Step.Wait is null);
        foreach (var (before, wait) in WaitsWithin(one))
        {
            if (wait.Step.Station == Station.Rack && before.Step.IsBake) yield return new RoomUse(RoomPlace.Racks, one.Batch.How.Batches.TraysFor(one.Batch.Weighed), wait.StartMin, wait.EndMin) { Content = Tub(one, wait.Step.Name, wait.Step.Wait!.Most) };
            if (before != last && RoomPlaces.OfTubs(wait.Step) is { } place) yield return new RoomUse(place, Grams(one.Batch.Weighed), wait.StartMin, wait.EndMin) { Content = Tub(one, wait.Step.Name, wait.Step.Wait!.Most) };
        }

        foreach (var place in Kept(one))
            foreach (var use in one.Batch.Uses.Where(use => takers.Contains(use.TaskId)))
                yield return new RoomUse(place, Grams(use.Wanted), last.EndMin, use.NeededMin) { Content = Tub(one, "Kept until it is taken", one.DoneMin - last.EndMin + one.Batch.How.Keeping.ToUse.Most) };
    }

    /// <summary>The waits of its method, each with the work or bake before it.</summary>
    public static IEnumerable<(TimedStep Before, TimedStep Wait)> WaitsWithin(MadeBatch one)
    {
        var before = one.Steps[0];
        foreach (var step in one.Steps)
        {
            if (step.Step.Wait is null) before = step;
            else yield return (before, step);
        }
    }

    /// <summary>The places in the cold where it lies from its last work until it is taken; both the freezer and the fridge where it thaws before.</summary>
    public static IEnumerable<RoomPlace> Kept(MadeBatch one) =>
        one.Batch.How.Method.AsEnumerable().Reverse().TakeWhile(step => step.Wait is not null).Concat(one.Batch.How.Keeping.Waits)
            .Select(RoomPlaces.OfTubs).OfType<RoomPlace>().Distinct();
}
