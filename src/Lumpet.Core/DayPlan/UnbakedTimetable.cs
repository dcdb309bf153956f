using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Times the work on pies that see no oven of their own: shells that come baked, filled and set. Everything is as late as
/// what follows allows, so that the box is ready for its pick-up; where that is too early for what goes in, as soon as it can be.
/// </summary>
internal sealed class UnbakedTimetable(StepGraph graph, ShiftCalendar calendar, int pickUpMin, int spareMin, IReadOnlyList<ReadyFrom> ready)
{
    // No bake stands for the work that does not fit.
    private const int NoBake = -1;

    /// <summary>The times of all work for so many pies.</summary>
    public ParcelTimes Of(int pies)
    {
        var aimed = Backward(pies, aim: true);
        if (aimed.Misfits.Count == 0) return aimed;
        var soon = Forward(pies, aim: true);
        if (soon.Misfits.Count == 0 && soon.End[^1] <= pickUpMin) return soon;
        var least = Backward(pies, aim: false);
        if (least.Misfits.Count == 0) return least;
        var late = Forward(pies, aim: false);
        return late.Misfits.Count == 0 ? late : least;
    }

    private ParcelTimes Backward(int pies, bool aim)
    {
        var (start, end) = (new int[graph.Nodes.Count], new int[graph.Nodes.Count]);
        for (var node = graph.Nodes.Count - 1; node >= 0; node--)
        {
            var length = graph.Minutes(node, pies);
            var endBy = graph.Out(node).Select(edge => calendar.EndBy(edge, start[edge.To], aim)).DefaultIfEmpty(aim ? pickUpMin - spareMin : pickUpMin).Min();
            start[node] = calendar.LatestStart(length, endBy) ?? endBy - length;
            end[node] = start[node] + length;
        }

        return new ParcelTimes(start, end, Misfits(start, end));
    }

    private ParcelTimes Forward(int pies, bool aim)
    {
        var (start, end) = (new int[graph.Nodes.Count], new int[graph.Nodes.Count]);
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            var length = graph.Minutes(node, pies);
            var from = graph.Into(node).Select(edge => calendar.From(edge, start[edge.From], end[edge.From], aim)).Append(Math.Max(0, ready[node].Min)).Max();
            start[node] = calendar.EarliestStart(length, from) ?? from;
            end[node] = start[node] + length;
        }

        // What was begun too soon for what it joins comes later.
        for (var node = graph.Nodes.Count - 2; node >= 0; node--)
        {
            var length = end[node] - start[node];
            if (calendar.LatestStart(length, graph.Out(node).Min(edge => calendar.EndBy(edge, start[edge.To], aim))) is { } later && later > start[node])
                (start[node], end[node]) = (later, later + length);
        }

        return new ParcelTimes(start, end, Misfits(start, end));
    }

    private List<Misfit> Misfits(int[] start, int[] end)
    {
        var misfits = new List<Misfit>();
        for (var node = 0; node < graph.Nodes.Count; node++)
        {
            var name = graph.Nodes[node].Name;
            if (start[node] < ready[node].Min) Add(node, PlanText.Say($"\"{name}\" would begin before any {ready[node].What}"));
            else if (start[node] > ready[node].UntilMin) Add(node, PlanText.Say($"\"{name}\" would be at {PlanText.At(start[node])}, and what was done on them before waits until {PlanText.At((int)ready[node].UntilMin)} at most"));
            else if (!calendar.Holds(start[node], end[node])) Add(node, PlanText.Say($"\"{name}\" takes {end[node] - start[node]} min and fits into no shift before its pick-up"));
            else if (graph.Out(node).FirstOrDefault(edge => start[edge.To] - end[node] > edge.Lag.Most) is { } tooLong)
                Add(node, PlanText.Say($"\"{name}\" would end more than {tooLong.Lag.Most} min before \"{graph.Nodes[tooLong.To].Name}\", because no one is there in between"));
        }

        return misfits;

        void Add(int node, PlanText why) => misfits.Add(new Misfit(NoBake, node, 0, why));
    }
}
