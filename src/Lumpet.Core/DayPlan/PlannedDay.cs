using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.Dough;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A day's plan, from first dough to last box. It follows from its snapshot and nothing else.</summary>
/// <param name="Lots">What is made.</param>
/// <param name="Problem">What the ovens were asked.</param>
/// <param name="BakePlan">What they answered.</param>
/// <param name="Ovens">The ovens, by id.</param>
/// <param name="Loads">Loads in order of time.</param>
/// <param name="Tasks">Every task, in order of time.</param>
/// <param name="Batches">Dough batches, in order of mixing.</param>
/// <param name="Made">Batches of what is made before the pies; what takes others comes before what it takes.</param>
/// <param name="Fates">What becomes of every lot, in the order of the lots.</param>
/// <param name="Troubles">What does not work out; empty when all is well.</param>
/// <param name="Reasons">Why each task is when it is, by the task's id; worked out when it is asked for.</param>
public sealed record PlannedDay(
    IReadOnlyList<Lot> Lots,
    BakeProblem Problem,
    BakePlan BakePlan,
    IReadOnlyDictionary<string, Oven> Ovens,
    IReadOnlyList<Load> Loads,
    IReadOnlyList<DayTask> Tasks,
    IReadOnlyList<DoughBatch> Batches,
    IReadOnlyList<MadeBatch> Made,
    IReadOnlyList<LotFate> Fates,
    IReadOnlyList<Trouble> Troubles,
    IReadOnlyDictionary<string, TaskReason> Reasons)
{
    /// <summary>Whether all was tried that is tried for a day; where patience ran out before, there may be a better plan.</summary>
    public bool IsSettled { get; init; } = true;

    /// <summary>What can be done about what does not work out, what helps most first; a few at most.</summary>
    public IReadOnlyList<WayOut> WaysOut { get; init; } = [];

    /// <summary>What days before have taken, around which it was planned.</summary>
    public TakenTime Taken { get; init; } = TakenTime.None;

    /// <summary>Pans that are in use, of those that are counted; pies that find none take none.</summary>
    public IReadOnlyList<StandingPans> PansInUse { get; init; } = [];

    /// <summary>What room of the kitchen is in use, counted or not, in order of time; what cannot be made takes none.</summary>
    public IReadOnlyList<RoomUse> Room { get; init; } = [];

    /// <summary>Work and bakes that a published plan has begun and that go on beside what is planned here, in order of time.</summary>
    public IReadOnlyList<DayTask> GoingOn { get; init; } = [];

    /// <summary>Work at the ovens' doors, where trays are said to take minutes of hands: of this day's trays, and when the ovens' plan has them.</summary>
    public IReadOnlyList<DayTask> AtDoors { get; init; } = [];

    /// <summary>Everything that is to be done, what goes on among it, in order of time.</summary>
    public IReadOnlyList<DayTask> AllTasks() => GoingOn.Count + AtDoors.Count == 0 ? Tasks : [.. GoingOn.Concat(Tasks).Concat(AtDoors).OrderBy(task => task.StartMin).ThenBy(task => task.EndMin).ThenBy(task => task.Id, StringComparer.Ordinal)];

    /// <summary>What was there already when it was made, but for what days before take.</summary>
    public DayStock Stock { get; init; } = DayStock.None;

    /// <summary>What is taken of what is there already, in order of time.</summary>
    public IReadOnlyList<StockUse> FromStock { get; init; } = [];

    /// <summary>Pies that are ready and only have to be handed over.</summary>
    public IReadOnlyList<ReadyPies> Ready { get; init; } = [];

    /// <summary>All that is done in one go with a task, in order of time; the task alone where nothing is.</summary>
    public IReadOnlyList<DayTask> InOneGoWith(DayTask task)
    {
        runs ??= WorkRun.In(AllTasks());
        return runs.TryGetValue(task.Id, out var run) ? run : [task];
    }

    private IReadOnlyDictionary<string, IReadOnlyList<DayTask>>? runs;
    private IReadOnlyList<Wave>? waves;
    private readonly Dictionary<string, Lot> byId = Lots.ToDictionary(lot => lot.Id);

    /// <summary>The lot of an id.</summary>
    /// <exception cref="KeyNotFoundException">There is none.</exception>
    public Lot Lot(string id) => byId[id];

    /// <summary>What lies on the trays of a visit, of this day's or of one before.</summary>
    public OvenThing Thing(LoadVisit visit)
    {
        if (Taken.Loads.FirstOrDefault(load => load.Visit.LotId == visit.LotId && load.Visit.StepId == visit.StepId) is { } taken) return taken.Thing;
        if (byId.TryGetValue(visit.LotId, out var lot))
            return new OvenThing(lot.Product.Name, lot.ProcessLeft().Steps.First(step => step.Id == visit.StepId), lot.PickUpMin, lot);
        var made = Made.First(one => one.Batch.Id == visit.LotId);
        return new OvenThing(made.Batch.About, made.Batch.How.Method.First(step => step.Id == visit.StepId), made.Batch.NeededMin, null);
    }

    /// <summary>Pies of all lots; those that are ready are none of them.</summary>
    public int Pies => Lots.Sum(lot => lot.Count);

    /// <summary>Pick-ups in order of time.</summary>
    public IReadOnlyList<Wave> Waves => waves ??=
    [
        .. Fates.Select(fate => fate.Lot.PickUpMin).Concat(Ready.Select(one => one.Lot.PickUpMin)).Distinct().Order()
            .Select(pickUp => new Wave(pickUp, [.. Fates.Where(fate => fate.Lot.PickUpMin == pickUp)]) { Ready = [.. Ready.Where(one => one.Lot.PickUpMin == pickUp)] }),
    ];
}

/// <summary>What lies on trays in an oven.</summary>
/// <param name="Name">Name of the product, or of what is made before the pies.</param>
/// <param name="Step">The bake.</param>
/// <param name="NeededMin">The pick-up, or when the first of it is taken.</param>
/// <param name="Lot">The lot; null of what is made before the pies.</param>
public sealed record OvenThing(string Name, Step Step, int NeededMin, Lot? Lot);

/// <summary>The trays that enter one oven at the same minute.</summary>
/// <param name="Number">From 1, in order of time.</param>
/// <param name="OvenId">The oven.</param>
/// <param name="StartMin">When they enter.</param>
/// <param name="Visits">What enters, each with its stages in this oven.</param>
public sealed record Load(int Number, string OvenId, int StartMin, IReadOnlyList<LoadVisit> Visits)
{
    /// <summary>Trays in the load.</summary>
    public int Trays => Visits.Sum(visit => visit.Shelves.Count);
}

/// <summary>Trays of one bake that enter an oven together and leave it together.</summary>
/// <param name="LotId">Their lot, or the batch of what is made before the pies.</param>
/// <param name="StepId">The bake's step.</param>
/// <param name="Pies">Pies on them; 0 of what is made before.</param>
/// <param name="Stages">Their stages in this oven.</param>
/// <param name="Shelves">The shelf of each tray, from 1 at the top; places on the floor come after the last shelf.</param>
/// <param name="TrayPies">Pies on each of these trays.</param>
/// <param name="FromOvenId">The oven they come from, or null where they come from the bench.</param>
/// <param name="LeftAtMin">When they left that oven; meaningless without one.</param>
public sealed record LoadVisit(
    string LotId, string StepId, int Pies, IReadOnlyList<VisitStage> Stages, IReadOnlyList<int> Shelves, IReadOnlyList<int> TrayPies, string? FromOvenId, int LeftAtMin)
{
    /// <summary>When they leave.</summary>
    public int EndMin => Stages[^1].EndMin;

    /// <summary>The same, so many minutes later on the clock.</summary>
    internal LoadVisit Later(int minutes) => this with
    {
        Stages = [.. Stages.Select(stage => stage with { StartMin = stage.StartMin + minutes, EndMin = stage.EndMin + minutes })],
        LeftAtMin = LeftAtMin + minutes,
        HeatedFromMin = HeatedFromMin + minutes,
    };

    /// <summary>From when on their trays are in this oven: where they are heated empty, before their first stage.</summary>
    public required int HeatedFromMin { get; init; }
}

/// <summary>A stage of a visit.</summary>
/// <param name="Number">Which stage of the bake, from 1.</param>
/// <param name="TempC">Its temperature.</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
public sealed record VisitStage(int Number, int TempC, int StartMin, int EndMin);

/// <summary>Something to be done, or something that waits, with its time.</summary>
/// <param name="Id">Stable for the same snapshot.</param>
/// <param name="LotId">The lot it belongs to; null for dough and what else is made first, which serve many.</param>
/// <param name="StepId">The step of the product or of what is made first; of dough what is done with it.</param>
/// <param name="Name">What is done.</param>
/// <param name="About">Of what: product and pan, or dough and batch.</param>
/// <param name="Station">Where.</param>
/// <param name="Kind">Whether someone works, an oven bakes or time works.</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
/// <param name="Pies">Pies concerned; 0 for dough and what else is made first.</param>
/// <param name="Celsius">Temperature of the place; null for pies in an oven, which have stages.</param>
/// <param name="ReadyWhen">The sensory test; may be empty.</param>
/// <param name="Caution">What can hurt; may be empty.</param>
public sealed record DayTask(
    string Id,
    string? LotId,
    string StepId,
    string Name,
    string About,
    Station Station,
    TaskKind Kind,
    int StartMin,
    int EndMin,
    int Pies,
    int? Celsius,
    string ReadyWhen,
    string Caution)
{
    /// <summary>Whether it is done to dough that serves many lots.</summary>
    public bool IsDough => LotId is null && !IsMadeFirst;

    /// <summary>Whether it is done to something that is made before the pies.</summary>
    public bool IsMadeFirst { get; init; }

    /// <summary>What a bake bakes; null of other tasks.</summary>
    public BakeOf? Bakes { get; init; }

    /// <summary>Id of the task right after which the same hands do it, with nothing laid out again; null where it begins by itself.</summary>
    public string? RightAfter { get; init; }
}

/// <summary>Who or what is at work in a task.</summary>
public enum TaskKind
{
    /// <summary>Someone's hands.</summary>
    Hands,

    /// <summary>An oven.</summary>
    Bake,

    /// <summary>Time.</summary>
    Wait,
}

/// <summary>A pick-up, as its lots fare.</summary>
/// <param name="PickUpMin">When.</param>
/// <param name="Fates">What becomes of its lots.</param>
public sealed record Wave(int PickUpMin, IReadOnlyList<LotFate> Fates)
{
    /// <summary>What of it was ready before anything was made.</summary>
    public IReadOnlyList<ReadyPies> Ready { get; init; } = [];

    /// <summary>Pies ordered for it.</summary>
    public int Pies => Fates.Sum(fate => fate.Lot.Count) + ReadyPies;

    private int ReadyPies => Ready.Sum(one => one.Lot.Count);

    /// <summary>Who they are for.</summary>
    public IReadOnlyList<string> For => [.. Fates.SelectMany(fate => fate.Lot.For).Concat(Ready.SelectMany(one => one.Lot.For)).Distinct()];

    /// <summary>Pies that are boxed in time.</summary>
    public int InTime => Fates.Sum(fate => fate.InTime) + ReadyPies;

    /// <summary>Pies that cannot be made at all: not baked, or with work that does not fit.</summary>
    public int NotMade => Fates.Sum(fate => fate.NotBaked + fate.Unfit);

    /// <summary>When the last of its pies is boxed; null where some never are, and where all were ready before.</summary>
    public int? BoxedMin => NotMade > 0 ? null : Fates.Max(fate => fate.DoneMin);

    /// <summary>Minutes from the last box to the pick-up; below 0 when late, null where some pies are never boxed.</summary>
    public int? SpareMin => PickUpMin - BoxedMin;

    /// <summary>Whether all of it is boxed in time.</summary>
    public bool IsMet => InTime == Pies;
}

/// <summary>What is wrong about some pies.</summary>
public enum TroubleKind
{
    /// <summary>They have no place in an oven.</summary>
    NotBaked,

    /// <summary>Their work cannot be done around their bakes.</summary>
    Unfit,

    /// <summary>They are boxed after their pick-up.</summary>
    Late,
}

/// <summary>Something that does not work out.</summary>
/// <param name="LotId">The lot concerned.</param>
/// <param name="Kind">What is wrong.</param>
/// <param name="Pies">How many of its pies.</param>
/// <param name="LateMin">By how many minutes they are late; 0 where they are not made at all.</param>
/// <param name="What">What is seen: where it does not fit.</param>
/// <param name="Mend">What was tried and would free it.</param>
public sealed record Trouble(string LotId, TroubleKind Kind, int Pies, int LateMin, PlanText What, PlanText Mend);
