using Lumpet.Core.Baking;
using Lumpet.Core.Batches;
using Lumpet.Core.Dough;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>Everything that a day makes before its pies, pooled over all that takes it.</summary>
internal sealed class DayMaking(ShiftCalendar calendar)
{
    // Of pies that no oven has taken; parcels count from 1.
    private const string NoParcel = "0";

    private readonly MakingTimetable timetable = new(calendar);

    /// <summary>What lots take when their bakes are as late as they may be: the first guess, before any oven is planned.</summary>
    public static IReadOnlyList<PreparationDemand> Expected(IEnumerable<LotAim> aims) => [.. aims.SelectMany(aim => Expected(aim, aim.Work.Lot.Count))];

    /// <summary>What the parcels of a round take, and what the pies would take that found no oven.</summary>
    /// <param name="aims">All lots.</param>
    /// <param name="parcels">Their parcels.</param>
    public static IReadOnlyList<PreparationDemand> Of(IEnumerable<LotAim> aims, IReadOnlyList<Parcel> parcels)
    {
        var byLot = parcels.ToLookup(parcel => parcel.Work.Lot.Id);
        return [.. aims.SelectMany(aim =>
        {
            var mine = byLot[aim.Work.Lot.Id].ToArray();
            var left = aim.Work.Lot.Count - mine.Sum(parcel => parcel.Pies);
            return mine.SelectMany(parcel => Demands(aim.Work, parcel.Pies, parcel.Times, FormattableString.Invariant($"{parcel.Number}")))
                .Concat(left > 0 ? Expected(aim, left) : []);
        })];
    }

    /// <summary>What dough batches take when they are mixed.</summary>
    public static IEnumerable<PreparationDemand> Of(IEnumerable<MixedBatch> mixed) =>
        from one in mixed
        let batch = one.Batch
        from line in batch.Lines
        from wants in PreparationTaking.Wants(line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact))
        select new PreparationDemand(
            wants.Made, batch.Of == 1 ? batch.Dough.Name : FormattableString.Invariant($"{batch.Dough.Name}, batch {batch.Number}"), DayTasks.Id(batch, DayTasks.Mix), batch.LotIds, batch.Discs.Sum(disc => disc.Count), wants.Wanted, batch.MixStartMin);

    /// <summary>
    /// All batches with their times, what is made of others before what they are made of: that is wanted when they begin.
    /// </summary>
    /// <param name="demands">What pies and doughs take.</param>
    /// <param name="plan">What the ovens answered; null before they were asked.</param>
    /// <param name="there">What is there already, and is taken first; null where nothing is.</param>
    /// <returns>The batches, and what pies and batches take of doughs: those go by the mixer.</returns>
    public DayMade Make(IReadOnlyList<PreparationDemand> demands, BakePlan? plan, StockTaking? there = null)
    {
        if (demands.Count == 0) return DayMade.Nothing;
        var dough = demands.Where(IsDough).ToList();
        var trays = plan?.Trays.ToLookup(tray => tray.BakeId);
        var leftOut = plan?.Unplaced.ToLookup(tray => tray.BakeId);
        var open = demands.Where(demand => !IsDough(demand)).GroupBy(demand => demand.Made.Id).ToDictionary(group => group.Key, group => group.ToList());
        var made = new List<MadeBatch>();
        while (open.Count > 0)
        {
            // One that no other open thing is made of comes next; there is one, since nothing is made of itself.
            var next = open.Values.First(list => open.Values.All(other => other == list || !IsMadeOf(other[0].Made, list[0].Made.Id)));
            open.Remove(next[0].Made.Id);
            var anew = there?.Left(next) ?? next;
            if (anew.Count == 0) continue;
            foreach (var batch in PreparationBatching.Divide(anew))
            {
                var timed = timetable.Around(batch, Baked(batch, trays));
                var unplaced = leftOut is null ? null : batch.How.Method.Where(step => step.IsBake).SelectMany(step => leftOut[BakeId(batch, step.Id)]).FirstOrDefault();
                if (unplaced is not null) timed = timed with { Short = Math.Max(1, timed.Short), Breaks = true, Why = Say($"no oven takes it: {unplaced.Reason}") };
                made.Add(timed);
                foreach (var inner in Inner(timed))
                {
                    if (IsDough(inner))
                    {
                        dough.Add(inner);
                        continue;
                    }

                    if (!open.TryGetValue(inner.Made.Id, out var wanted)) open[inner.Made.Id] = wanted = [];
                    wanted.Add(inner);
                }
            }
        }

        return new DayMade(made, dough);
    }

    private static bool IsDough(PreparationDemand demand) => demand.Made.Formula!.How is DoughMaking;

    /// <summary>The bakes of batches as the ovens are asked for them.</summary>
    /// <param name="batches">Batches as they are expected.</param>
    public IEnumerable<Bake> Bakes(IEnumerable<MadeBatch> batches) => batches.SelectMany(one =>
    {
        var (batch, how) = (one.Batch, one.Batch.How);
        var trays = how.Batches.TraysFor(batch.Weighed);
        // When it is late, the pies are that wait for it.
        var weight = Math.Max(1, batch.Uses.Sum(use => use.Pies) / trays);
        return one.Steps.Where(timed => timed.Step.IsBake).Select(timed =>
        {
            var after = how.Method.SkipWhile(step => step != timed.Step).Skip(1).Where(step => step.Wait is not null).Select(step => step.Wait!).Append(how.Keeping.ToUse);
            var earliest = timed.EndMin - after.Sum(span => (long)span.Most - span.Least);
            return new Bake(
                BakeId(batch, timed.Step.Id),
                [.. Enumerable.Repeat(weight, trays)],
                HeatedTrays.Stages(timed.Step),
                HeatedTrays.Release(timed.Step, timetable.FirstDoor(batch, timed.Step)),
                timed.EndMin,
                earliest > 0 ? (int)earliest : null,
                null,
                Before(one, timed))
            {
                OnFloor = timed.Step.Place == OvenPlace.Floor,
            };
        });
    });

    /// <summary>Name of a bake of a batch in the oven problem.</summary>
    public static string BakeId(PreparationBatch batch, string stepId) => $"{batch.Id}/{stepId}";

    /// <summary>A later bake of a batch follows the one before it as the steps between them say.</summary>
    private static IReadOnlyList<BakeAfter> Before(MadeBatch one, TimedStep bake)
    {
        if (one.Steps.TakeWhile(timed => timed != bake).LastOrDefault(timed => timed.Step.IsBake) is not { } before) return [];
        TimedStep[] between = [.. one.Steps.SkipWhile(timed => timed != before).Skip(1).TakeWhile(timed => timed != bake)];
        var least = between.Sum(timed => timed.Step.Wait?.Least ?? timed.EndMin - timed.StartMin);
        var most = between.Sum(timed => timed.Step.Wait?.Most ?? timed.EndMin - timed.StartMin + Preparations.Making.MostBetweenMin);
        return [HeatedTrays.After(bake.Step, new BakeAfter(BakeId(one.Batch, before.Step.Id), least, Math.Max(least, most + (between.Length == 0 ? Preparations.Making.MostBetweenMin : 0)), false))];
    }

    private static PreparationDemand[] Expected(LotAim aim, int pies) => aim.Work.Takes.Count == 0 ? [] : Demands(aim.Work, pies, ExpectedTimes(aim), NoParcel);

    /// <summary>When a lot is worked on if its bakes are as late as they may be.</summary>
    public static ParcelTimes ExpectedTimes(LotAim aim)
    {
        var work = aim.Work;
        return work.Timetable.Around(work.PiesTogether, work.Graph.Bakes.ToDictionary(node => node, node => (aim.Due(node) - work.Graph.Minutes(node, work.PiesTogether), aim.Due(node))));
    }

    /// <summary>What so many pies of a lot take of what is made first.</summary>
    internal static PreparationDemand[] Demands(LotWork work, int pies, ParcelTimes times, string parcel) => PlanStumblesException.Over(
        work.Lot, () => Demands(work.Lot.Product, work.Lot.Pan, work.Takes, work.Graph, pies, times, $"{work.Lot.Id}/{parcel}/", [work.Lot.Id]).ToArray());

    /// <summary>What so many pies of a product take of what is made first, each at the start of the step that takes it.</summary>
    /// <param name="product">The product.</param>
    /// <param name="pan">Its pan.</param>
    /// <param name="takes">Which step takes what.</param>
    /// <param name="graph">Its steps.</param>
    /// <param name="pies">How many pies.</param>
    /// <param name="times">When each step is done.</param>
    /// <param name="prefix">What stands before a step's id in the id of its task.</param>
    /// <param name="lots">The lots they belong to.</param>
    internal static IEnumerable<PreparationDemand> Demands(
        Product product, Pan pan, IReadOnlyList<TakenLine> takes, StepGraph graph, int pies, ParcelTimes times, string prefix, IReadOnlyList<string> lots)
    {
        if (takes.Count == 0) return [];
        var scaled = Scaling.Scale(product, pan, 1);
        return
            from taken in takes
            let line = scaled.AllLines.First(line => ReferenceEquals(line.Line, taken.Line))
            from wants in PreparationTaking.Wants(taken.Line.Ingredient, line.ToBuy * pies)
            where wants.Wanted > Mass.Zero
            select new PreparationDemand(wants.Made, $"{product.Name}, {pan.Name}", $"{prefix}{graph.Nodes[taken.Node].Id}", lots, pies, wants.Wanted, times.Start[taken.Node]);
    }

    /// <summary>What a batch takes itself when it is begun.</summary>
    private static IEnumerable<PreparationDemand> Inner(MadeBatch one) =>
        from line in one.Batch.Lines
        from wants in PreparationTaking.Wants(line.Line.Ingredient, line.Line.Yield.AsPurchased(line.Exact))
        where wants.Wanted > Mass.Zero
        select new PreparationDemand(
            wants.Made, one.Batch.About, DayTasks.Id(one.Batch, one.Steps[0].Step.Id), one.Batch.LotIds, one.Batch.Uses.Sum(use => use.Pies), wants.Wanted, one.StartMin);

    private static bool IsMadeOf(Ingredient made, string id) => made.Formula!.Everything.Any(inner => inner.Id == id);

    private static Dictionary<string, (int Start, int End)> Baked(PreparationBatch batch, ILookup<string, BakedTray>? trays) => trays is null ? [] : batch.How.Method
        .Where(step => step.IsBake && trays[BakeId(batch, step.Id)].Any())
        .ToDictionary(step => step.Id, step => (trays[BakeId(batch, step.Id)].Min(tray => HeatedTrays.PiesIn(step, tray)), trays[BakeId(batch, step.Id)].Max(tray => tray.EndMin)));
}
