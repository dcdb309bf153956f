using Lumpet.Core.Baking;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>The pans of a day: a pie is in its own from when its dough is laid in until it is boxed. Pans that nobody counts, and those that go with the pie, bind nothing.</summary>
internal static class PansOfDay
{
    /// <summary>The pans that bind, as the ovens are asked.</summary>
    public static IReadOnlyList<PanStock> Stocks(IEnumerable<Lot> lots) =>
        [.. lots.Select(lot => lot.Pan).Where(pan => pan.AtOnce is not null).DistinctBy(pan => pan.Id).Select(pan => new PanStock(pan.Id, pan.AtOnce!.Value))];

    /// <summary>The pans of which there are fewer than pies, so that some of them are used more than once or not at all.</summary>
    /// <param name="lots">The lots.</param>
    /// <param name="taken">Pans that others have in use.</param>
    public static IReadOnlySet<string> Shared(IEnumerable<Lot> lots, IReadOnlyList<StandingPans> taken) =>
        lots.Where(lot => lot.Pan.AtOnce is not null).GroupBy(lot => lot.Pan.Id)
            .Where(pan => pan.Sum(lot => lot.Count) + taken.Where(hold => hold.PanId == pan.Key).Sum(hold => hold.Count) > pan.First().Pan.AtOnce)
            .Select(pan => pan.Key).ToHashSet();

    /// <summary>
    /// For how long a bake's pies are in their pans before and after it, where they are baked as late as they may be; or as early as
    /// they can, where that is shorter and asked for: a pause between shifts lies in one of them. Null where pans do not bind.
    /// </summary>
    /// <param name="aim">The lot and what is aimed at.</param>
    /// <param name="node">Node of the bake.</param>
    /// <param name="sharedUntilMin">Last minute up to which it is looked at by the hour; null where there are pans for all pies.</param>
    public static PanNeed? Need(LotAim aim, int node, int? sharedUntilMin)
    {
        var (work, graph) = (aim.Work, aim.Work.Graph);
        if (work.Lot.Pan.AtOnce is null) return null;
        var late = graph.Bakes.ToDictionary(bake => bake, bake => (Start: aim.Due(bake) - graph.Minutes(bake, work.PiesTogether), End: aim.Due(bake)));
        var (before, after) = InPans(work, late);
        if (aim.IsShortlyInPans)
        {
            var sooner = late[graph.Bakes[0]].Start - aim.Release[graph.Bakes[0]];
            var early = InPans(work, late.ToDictionary(bake => bake.Key, bake => (bake.Value.Start - sooner, bake.Value.End - sooner)));
            (before, after) = (Math.Min(before, early.Before), Math.Min(after, early.After));
        }

        return new PanNeed(
            work.Lot.Pan.Id,
            node == graph.Bakes[0] ? Math.Max(0, before) : 0,
            node == graph.LastBake ? Math.Max(0, after) : 0)
        {
            Since = sharedUntilMin is { } first && node == graph.Bakes[0] ? work.PansSince(first) : [],
            Until = sharedUntilMin is { } last && node == graph.LastBake ? work.PansUntil(last) : [],
        };
    }

    // Nights and breaks are longer.
    private const int LookedAtEvery = 15;

    /// <summary>Since when the pans of a lot are in use, by when its first bake is in, as its work fits around that bake.</summary>
    /// <param name="work">The lot.</param>
    /// <param name="untilMin">Last minute looked at.</param>
    public static IReadOnlyList<PansSince> Since(LotWork work, int untilMin)
    {
        var (steps, most) = (new List<PansSince>(), int.MinValue);
        for (var inMin = 0; inMin <= untilMin; inMin += LookedAtEvery)
        {
            if (work.Timetable.BeforeOne(work.Graph.Bakes[0], work.PiesTogether, inMin) is not { Misfits.Count: 0 } times) continue;
            // What goes in sooner is not in its pans later.
            most = Math.Max(most, LaidIn(work, times));
            steps.Add(new PansSince(inMin, Math.Min(inMin, most)));
        }

        return [.. steps.Where((step, at) => at == steps.Count - 1 || steps[at + 1].SinceMin != step.SinceMin)];
    }

    /// <summary>Until when the pans of a lot are in use, by when its last bake is out, as its work fits around that bake.</summary>
    /// <param name="work">The lot.</param>
    /// <param name="untilMin">Last minute looked at.</param>
    public static IReadOnlyList<PansUntil> Until(LotWork work, int untilMin)
    {
        var (steps, least) = (new List<PansUntil>(), int.MaxValue);
        for (var outMin = untilMin; outMin >= 0; outMin -= LookedAtEvery)
        {
            if (work.Timetable.AfterLast(work.PiesTogether, outMin) is not { Misfits.Count: 0 } times) continue;
            // What is out later is not out of its pans sooner.
            least = Math.Min(least, times.End.Max());
            steps.Add(new PansUntil(outMin, Math.Max(outMin, least)));
        }

        steps.Reverse();
        return [.. steps.Where((step, at) => at == 0 || steps[at - 1].UntilMin != step.UntilMin)];
    }

    private static (int Before, int After) InPans(LotWork work, IReadOnlyDictionary<int, (int Start, int End)> bakes)
    {
        var times = work.Timetable.Around(work.PiesTogether, bakes);
        return (bakes[work.Graph.Bakes[0]].Start - From(work, times), times.End.Max() - bakes[work.Graph.LastBake].End);
    }

    /// <summary>When pies go into their pans before their first bake: with the first dough that is laid in, or where none is, with the first work.</summary>
    private static int LaidIn(LotWork work, ParcelTimes times)
    {
        int[] before = [.. Enumerable.Range(0, work.Graph.Nodes.Count).Where(node => work.Graph.BakeAhead(node) == work.Graph.Bakes[0])];
        return before.Where(node => work.Graph.Nodes[node].UsesDough).DefaultIfEmpty(-1).Where(node => node >= 0).Concat(before).Select(node => times.Start[node]).Min();
    }

    /// <summary>
    /// What finds its pans taken: those that begin first have them. Of each of the others why, and how many minutes later enough
    /// of them are free.
    /// </summary>
    /// <param name="parcels">The parcels.</param>
    /// <param name="taken">Pans that others have in use.</param>
    public static IReadOnlyDictionary<Parcel, PanShort> Short(IReadOnlyList<Parcel> parcels, IReadOnlyList<StandingPans> taken)
    {
        var found = new Dictionary<Parcel, PanShort>(ReferenceEqualityComparer.Instance);
        foreach (var pan in parcels.Where(parcel => parcel.Work.Lot.Pan.AtOnce is not null).GroupBy(parcel => parcel.Work.Lot.Pan.Id))
        {
            var (stock, held) = (pan.First().Work.Lot.Pan.AtOnce!.Value, taken.Where(hold => hold.PanId == pan.Key).ToList());
            foreach (var parcel in pan.OrderBy(parcel => From(parcel.Work, parcel.Times)).ThenBy(parcel => parcel.Work.Lot.Id, StringComparer.Ordinal).ThenBy(parcel => parcel.Number))
            {
                var from = From(parcel.Work, parcel.Times);
                int InUse(int minute) => held.Where(other => other.FromMin <= minute && other.ToMin > minute).Sum(other => other.Count);
                // What others begin to use meanwhile is in use as well.
                int MostInUse(int minute) => held.Select(other => other.FromMin).Where(begin => begin > minute && begin < minute + parcel.DoneMin - from).Append(minute).Max(InUse);
                if (MostInUse(from) + parcel.Pies <= stock)
                {
                    held.Add(Hold(parcel));
                    continue;
                }

                var free = held.Select(other => other.ToMin).Where(minute => minute > from && MostInUse(minute) + parcel.Pies <= stock).DefaultIfEmpty(from).Min();
                found[parcel] = new PanShort(
                    parcel.Pies > stock
                        ? Say($"{parcel.Pies} pans {parcel.Work.Lot.Pan.Name} are needed at once, and there are {stock}")
                        : Say($"of {stock} pans {parcel.Work.Lot.Pan.Name} {MostInUse(from)} are in use at {At(from)}, and {parcel.Pies} more are needed"),
                    free - from);
            }
        }

        return found;
    }

    /// <summary>The pans that parcels have in use.</summary>
    public static IReadOnlyList<StandingPans> InUse(IEnumerable<Parcel> parcels) => [.. parcels.Where(parcel => parcel.Work.Lot.Pan.AtOnce is not null).Select(Hold)];

    private static StandingPans Hold(Parcel parcel) => new(parcel.Work.Lot.Pan.Id, From(parcel.Work, parcel.Times), parcel.DoneMin, parcel.Pies);

    /// <summary>When pies go into their pans: with the first dough that is laid in, or where none is, with the first work; those that were begun are in them.</summary>
    private static int From(LotWork work, ParcelTimes times) => work.Lot.Begun is not null && !work.Graph.Nodes.Any(node => node.UsesDough) ? 0
        : Enumerable.Range(0, work.Graph.Nodes.Count).Where(node => work.Graph.Nodes[node].UsesDough).Select(node => times.Start[node]).DefaultIfEmpty(times.Start.Min()).Min();
}

/// <summary>Pies that find no pans.</summary>
/// <param name="Why">What is seen.</param>
/// <param name="Short">By how many minutes they would have to come later; 0 where that would not help.</param>
internal sealed record PanShort(PlanText Why, int Short);
