using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Preparations;
using Lumpet.Core.Safety;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>Writes batches and parcels out as tasks.</summary>
internal static class DayTasks
{
    // A fridge's temperature: FDA Food Code 2022, 3-501.16, cold holding at 5 C or below; kitchens set 4.
    private const int FridgeC = 4;
    private const int RoomC = 20;

    /// <summary>Mixing, turning and resting of a batch. A turn takes hands; the cold after it takes none, and no mixer.</summary>
    public static IEnumerable<DayTask> Of(DoughBatch batch)
    {
        var (dough, about, caution) = (batch.Dough, About(batch), DoughCautions.Of(batch.Dough));
        var turns = batch.Turns.Count;
        yield return Dough(batch, Mix, !dough.IsMixed ? "Set out" : turns > 0 ? "Mix" : "Mix and divide", about, Station.Dough, TaskKind.Hands, batch.MixStartMin, batch.MixEndMin, RoomC, dough.Sign, caution);
        for (var turn = 0; turn < turns; turn++)
        {
            var (start, end) = (batch.Turns[turn], batch.Turns[turn] + dough.Method.TurnMinutes);
            var isLast = turn == turns - 1;
            yield return Dough(batch, Turn(turn), $"Roll and fold, turn {turn + 1} of {turns}{(isLast ? "; divide" : string.Empty)}", about, Station.Bench, TaskKind.Hands, start, end, RoomC, "even; no fat breaks through", caution);
            yield return Dough(batch, ColdAfter(turn), "Cold after the turn", about, Station.Cold, TaskKind.Wait, end, isLast ? batch.RestStartMin : batch.Turns[turn + 1], FridgeC, string.Empty, string.Empty);
        }

        yield return Dough(batch, Rest, "Rest", about, Station.Cold, TaskKind.Wait, batch.RestStartMin, batch.NeededMin, FridgeC, "cold through; a pressed finger leaves its mark", string.Empty);
    }

    /// <summary>Id of a task of a batch.</summary>
    public static string Id(DoughBatch batch, string what) => FormattableString.Invariant($"{batch.Dough.Id}/{batch.Number}/{what}");

    /// <summary>What is done with a batch, as its tasks' ids say it.</summary>
    public const string Mix = "mix";

    /// <summary>The rest before it is rolled.</summary>
    public const string Rest = "rest";

    /// <summary>A turn, counted from 0.</summary>
    public static string Turn(int turn) => FormattableString.Invariant($"turn-{turn + 1}");

    /// <summary>The cold after a turn, counted from 0.</summary>
    public static string ColdAfter(int turn) => FormattableString.Invariant($"cold-{turn + 1}");

    private static string About(DoughBatch batch) => batch.Of == 1 ? batch.Dough.Name : $"{batch.Dough.Name}, batch {batch.Number} of {batch.Of}";

    private static DayTask Dough(DoughBatch batch, string what, string name, string about, Station station, TaskKind kind, int start, int end, int celsius, string readyWhen, string caution) =>
        new(Id(batch, what), null, what, name, about, station, kind, start, end, 0, celsius, readyWhen, caution);

    /// <summary>Putting trays in and taking trays out.</summary>
    public static DayTask Of(DoorVisit visit, Oven oven)
    {
        static string Trays(int count) => count == 1 ? "1 tray" : FormattableString.Invariant($"{count} trays");
        var (name, what) = (visit.In, visit.Out) switch
        {
            (var In, 0) => ("Put in", $"{Trays(In)} in"),
            (0, var Out) => ("Take out", $"{Trays(Out)} out"),
            var (In, Out) => ("Take out and put in", $"{Trays(Out)} out, {In} in"),
        };
        return new DayTask(FormattableString.Invariant($"{oven.Id}/door/{visit.FromMin}"), null, "door", name, $"{oven.Name}: {what}", Station.Oven, TaskKind.Hands, visit.FromMin, visit.ToMin, 0, RoomC, string.Empty, string.Empty);
    }

    /// <summary>Work, bakes and waits of a parcel.</summary>
    public static IEnumerable<DayTask> Of(Parcel parcel)
    {
        var (graph, times, lot) = (parcel.Work.Graph, parcel.Times, parcel.Work.Lot);
        var cautions = StepCautions.Of(lot.Product);
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            var step = graph.Nodes[node];
            yield return Task(parcel, lot, step, cautions[step.Id], step.IsBake ? TaskKind.Bake : TaskKind.Hands, times.Start[node], times.End[node]);
        }

        foreach (var (wait, start, end) in graph.Edges.SelectMany(edge => Waits(edge, times)))
            yield return Task(parcel, lot, wait, cautions[wait.Id], TaskKind.Wait, start, end);
    }

    /// <summary>Work, bakes and waits of a batch that is made before the pies, and its keeping until the first of it is used.</summary>
    public static IEnumerable<DayTask> Of(MadeBatch made)
    {
        var batch = made.Batch;
        var raw = ProductCautions.Raw(batch.Made.Formula!.Lines);
        foreach (var (step, at) in made.Steps.Select((step, at) => (step, at)))
            yield return Made(batch, step.Step.Id, step.Step.Name, step.Step.Station, Kind(step.Step), step.StartMin, step.EndMin, step.Step.Celsius ?? step.Step.Stages[0].TempC, step.Step.Sign, at == 0 && raw is not null ? $"{step.Step.Caution} {raw}".TrimStart() : step.Step.Caution) with
            {
                Bakes = step.Step.IsBake ? BakeOf.Preparation : null,
            };
        foreach (var (wait, start, end) in made.Kept)
            yield return Made(batch, wait.Id, wait.Name, wait.Station, TaskKind.Wait, start, end, wait.Celsius!.Value, wait.ReadyWhen, Caution(batch, wait));
    }

    /// <summary>What can hurt about keeping something made first where a plan keeps it; empty where nothing, and while it thaws.</summary>
    public static string Caution(PreparationBatch batch, Step kept) => kept.Id == Keeping.KeepId ? KeepingCautions.Of(batch.Made, batch.How.Keeping.Place) : string.Empty;

    /// <summary>Id of a task of a batch that is made before the pies.</summary>
    public static string Id(PreparationBatch batch, string stepId) => $"{batch.Id}/{stepId}";

    private static TaskKind Kind(Step step) => step.IsBake ? TaskKind.Bake : step.Wait is null ? TaskKind.Hands : TaskKind.Wait;

    private static DayTask Made(PreparationBatch batch, string step, string name, Station station, TaskKind kind, int start, int end, int celsius, string readyWhen, string caution) =>
        new(Id(batch, step), null, step, name, batch.About, station, kind, start, end, 0, celsius, readyWhen, caution) { IsMadeFirst = true };

    /// <summary>The waits between two nodes, each with its share of the minutes.</summary>
    internal static IEnumerable<TimedStep> Waits(StepEdge edge, ParcelTimes times)
    {
        if (edge.Waits.Count == 0) yield break;
        var from = times.End[edge.From];
        foreach (var (wait, minutes) in edge.Waits.Zip(Span.Share([.. edge.Waits.Select(wait => wait.Wait!)], times.Start[edge.To] - from)))
        {
            yield return new TimedStep(wait, from, from + minutes);
            from += minutes;
        }
    }

    /// <summary>Id of a task of a parcel.</summary>
    public static string Id(Parcel parcel, string stepId) => FormattableString.Invariant($"{parcel.Work.Lot.Id}/{parcel.Number}/{stepId}");

    private static DayTask Task(Parcel parcel, Lot lot, Step step, string caution, TaskKind kind, int start, int end) => new(
        Id(parcel, step.Id),
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
        step.Sign,
        caution)
    {
        Bakes = step.IsBake ? step.Bakes : null,
    };
}
