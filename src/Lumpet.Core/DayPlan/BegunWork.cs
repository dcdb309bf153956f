using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What a published plan has begun by a minute: all that should have begun counts as begun, unless someone says otherwise, and as done when
/// its time has passed. What was made is there; what is under way goes on; the rest can be planned anew.
/// </summary>
/// <param name="Stock">What it has made: doughs and tubs that nobody has taken yet, and pies as far as they are.</param>
/// <param name="Used">What it has taken of what was noted as made already.</param>
/// <param name="Taken">Hands, mixer and ovens that what is under way still takes.</param>
/// <param name="GoingOn">The work and the bakes that are under way, and those that batches which were begun still need.</param>
/// <param name="Trays">The trays that were put into ovens.</param>
public sealed record BegunWork(DayStock Stock, IReadOnlyList<StockUse> Used, TakenTime Taken, IReadOnlyList<DayTask> GoingOn, IReadOnlyList<PublishedTray> Trays)
{
    /// <summary>What the ovens were to do beyond that.</summary>
    public KeptOvens Left { get; init; } = KeptOvens.None;

    /// <summary>What is begun at a minute.</summary>
    /// <param name="published">The plan that the crew works by.</param>
    /// <param name="atMin">The minute.</param>
    /// <param name="notDone">Ids of tasks of which someone says that they are not done.</param>
    /// <param name="library">Recipes as they are now; what they know no more is lost.</param>
    /// <param name="name">What comes before the names of what is there, so that no other has one of them; and the day by which others know its trays.</param>
    public static BegunWork At(PublishedPlan published, int atMin, IReadOnlySet<string> notDone, RecipesThere library, (string Stock, string Day) name)
    {
        var tasks = published.Tasks.GroupBy(task => task.Task.Id).ToDictionary(same => same.Key, same => same.Last());
        bool IsBegun(string id) => tasks.TryGetValue(id, out var task) && (task.IsFromBefore || task.Task.StartMin < atMin) && !notDone.Contains(id);
        PublishedMade[] made = [.. published.Made.Where(one => library.Made.ContainsKey(one.MadeId) && (one.TaskIds.Count == 0 || IsBegun(one.TaskIds[0])))];
        // What a batch that was begun still needs is done as it was planned.
        var followed = made.SelectMany(one => one.TaskIds).Where(id => !notDone.Contains(id)).ToHashSet();
        DayTask[] goingOn = [.. published.Tasks.Where(task => task.Task.EndMin > atMin && (followed.Contains(task.Task.Id) || IsBegun(task.Task.Id))).Select(task => task.Task).OrderBy(task => task.StartMin).ThenBy(task => task.Id, StringComparer.Ordinal)];
        PublishedTray[] trays = [.. published.Trays.Where(tray => (followed.Contains(tray.TaskId) || IsBegun(tray.TaskId) || !tasks.ContainsKey(tray.TaskId)) && library.StepOf(tray) is not null)];
        return new BegunWork(
            new DayStock(
                [
                    .. made.Select((one, at) => new StockedMass(
                        FormattableString.Invariant($"{name.Stock}m{at + 1}"), one.MadeId, Mass.FromGrams(one.Shares.Where(share => share.TaskId is null || !IsBegun(share.TaskId)).Sum(share => share.Grams)), one.Place, one.ReadyMin, one.UntilMin, one.ThawMin))
                        .Where(one => one.Mass.Grams > LeastGrams),
                ],
                [.. published.Pies.Select((one, at) => Pies(FormattableString.Invariant($"{name.Stock}p{at + 1}"), one, library, atMin, id => IsBegun(id) ? tasks[id].Task.EndMin : null)).OfType<StockedPies>()]),
            [.. published.Uses.Where(use => use.TaskId is { } task ? IsBegun(task) : use.AtMin < atMin).Select(use => new StockUse(use.StockId, string.Empty, [], use.TaskId, Mass.FromGrams(use.Grams), use.Pies, use.AtMin))],
            TakenTime.None with
            {
                Trays = [.. trays.SelectMany(tray => tray.Standing)],
                Loads = [.. trays.Select((tray, at) => new TakenLoad(name.Day, tray.OvenId, tray.Visit with { LotId = FormattableString.Invariant($"{name.Stock}t{at + 1}") }, new OvenThing(tray.Name, library.StepOf(tray)!, tray.NeededMin, null)))],
                Mixing = [.. goingOn.Where(task => task.Kind == TaskKind.Hands && task.Station == Station.Dough).Select(task => new TakenMinutes(task.StartMin, task.EndMin))],
                Work = [.. goingOn.Where(task => task.Kind == TaskKind.Hands).Select(task => new TakenMinutes(task.StartMin, task.EndMin))],
                OvensWatched = published.OvensWatched,
                Warm = Warm(published, atMin),
            },
            goingOn,
            trays)
        {
            Left = KeptOvens.Of(BakePlanFile.Read(published.Ovens).Settings, published.Trays.Except(trays, ReferenceEqualityComparer.Instance).Cast<PublishedTray>()),
        };
    }

    /// <summary>The same, on a clock that begins at a minute; what is over by then takes nothing more.</summary>
    /// <param name="minute">The minute.</param>
    public BegunWork From(int minute)
    {
        var later = Taken.Later(-minute);
        return this with
        {
            Stock = Stock.Later(-minute),
            Used = [.. Used.Select(use => use with { AtMin = use.AtMin - minute })],
            Taken = later with
            {
                Trays = [.. later.Trays.Where(tray => tray.EndMin > 0)],
                Loads = [.. later.Loads.Where(load => load.Visit.EndMin > 0)],
                OvensWatched = [.. later.OvensWatched.Where(shift => shift.EndMin > 0).Select(shift => shift with { StartMin = Math.Max(0, shift.StartMin) })],
                Warm = Taken.Warm,
            },
            GoingOn = [.. GoingOn.Select(task => task with { StartMin = task.StartMin - minute, EndMin = task.EndMin - minute })],
            Trays = [.. Trays.Select(tray => tray.From(minute))],
            Left = Left.From(minute),
        };
    }

    /// <summary>The ovens as they are at a minute of the plan that is followed.</summary>
    private static WarmOven[] Warm(PublishedPlan published, int atMin)
    {
        var ovens = BakePlanFile.Read(published.Ovens);
        return
        [
            .. Replanning.OvensAt(BakeProblemFile.Read(published.Problem), ovens.Settings, ovens.Trays, Math.Max(0, atMin))
                .Where(oven => oven.StartSettingC is not null || oven.StartC > RoomC)
                .Select(oven => new WarmOven(oven.Id, oven.StartC, oven.StartSettingC)),
        ];
    }

    // As ovens are when nobody has heated them.
    private const int RoomC = 25;

    // What is left in a box when all is weighed off is nothing.
    private const double LeastGrams = 1;

    /// <summary>Pies as far as they are; null where nothing is done on them yet.</summary>
    private static StockedPies? Pies(string id, PublishedPies one, RecipesThere library, int atMin, Func<string, int?> endOf)
    {
        if (!library.Products.TryGetValue(one.ProductId, out var product) || product.SizeIn(one.PanId) is not { } size) return null;
        var network = product.ProcessIn(size.Pan);
        var begun = one.Steps.Select(step => (step.Key, End: endOf(step.Value))).Where(step => step.End is not null).ToDictionary(step => step.Key, step => step.End!.Value);
        foreach (var (step, end) in one.Done) begun.TryAdd(step, end);
        var done = PartDone.Whole(network, begun);
        // A filling that has waited too long is made again, and holds up no pie.
        if (done.Count > 0 && (PartDone.Next(network, done).Any(next => next.UntilMin < atMin) || PartDone.GoodUntilMin(network, done, product.OldestAtPickUp) < one.PickUpMin)) done = PartDone.OnTheCrust(network, done);
        if (done.Count == 0) return null;
        var isReady = done.ContainsKey(network.Steps[^1].Id);
        return new StockedPies(id, one.ProductId, one.PanId, one.Count, done, isReady, isReady ? KeepPlace.Room : Place(network, done), PartDone.GoodUntilMin(network, done, product.OldestAtPickUp));
    }

    private static KeepPlace? Place(ProcessNetwork network, IReadOnlyDictionary<string, int> done) => PartDone.Waiting(network, done) switch
    {
        [] => null,
        [.., { Station: Station.Cold, Celsius: < 0 }] => KeepPlace.Frozen,
        [.., { Station: Station.Cold }] => KeepPlace.Cold,
        _ => KeepPlace.Room,
    };
}

/// <summary>Recipes as they are when a published plan is looked at.</summary>
/// <param name="Products">Products by id.</param>
/// <param name="Made">What is made here, doughs among it, by the ingredient's id.</param>
public sealed record RecipesThere(IReadOnlyDictionary<string, Product> Products, IReadOnlyDictionary<string, Ingredient> Made)
{
    /// <summary>The bake of trays; null where their recipe does not have it any more.</summary>
    internal Step? StepOf(PublishedTray tray)
    {
        if (tray.MadeId is { } made) return Made.GetValueOrDefault(made)?.Formula?.How?.Method.FirstOrDefault(step => step.Id == tray.Visit.StepId);
        return tray.ProductId is { } id && Products.TryGetValue(id, out var product) && product.SizeIn(tray.PanId!) is { } size ? product.ProcessIn(size.Pan).Steps.FirstOrDefault(step => step.Id == tray.Visit.StepId) : null;
    }
}
