using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;

namespace Lumpet.PlanChecking;

/// <summary>Work that is done in one go for several parcels.</summary>
internal sealed partial class DayPlanCheck
{
    private readonly Dictionary<string, DayTask> next = plan.Tasks.Where(task => task.RightAfter is not null).GroupBy(task => task.RightAfter!).ToDictionary(same => same.Key, same => same.First());

    /// <summary>What goes on from other work is not laid out again.</summary>
    private static int MinutesOf(Hands hands, DayTask task) => task.RightAfter is null ? hands.For(task.Pies) : Math.Max(1, (int)Math.Ceiling((hands.PerPie * task.Pies) - 1e-9));

    /// <summary>Whether two tasks are the same step of one product, or the same done to the crusts of two.</summary>
    private bool IsSameWork(DayTask one, DayTask other)
    {
        var (product, with) = (plan.Lot(one.LotId!).Product, plan.Lot(other.LotId!).Product);
        if (product.Id == with.Id) return one.StepId == other.StepId;
        return OnCrustAlone(one) is { } step && OnCrustAlone(other) is { } same
            && step.Station == same.Station && string.Equals(step.Name.Trim(), same.Name.Trim(), StringComparison.OrdinalIgnoreCase)
            && step.UsesDough == same.UsesDough && (!step.UsesDough || (product.Dough.Id == with.Dough.Id && product.TopDough?.Id == with.TopDough?.Id));
    }

    /// <summary>The step of a task where it is done to the crust and nothing is brought to that which is not on it already; null for others.</summary>
    private Step? OnCrustAlone(DayTask task)
    {
        var lot = plan.Lot(task.LotId!);
        var network = lot.Product.ProcessIn(lot.Pan);
        var onCrust = OnCrust(network);
        var (steps, at) = (network.Steps.ToDictionary(step => step.Id), task.StepId);
        var isBare = steps[at].UsesDough || steps[at].Station == Station.Box || LeadsToShell(network, steps, at);
        return isBare && onCrust.Contains(at) && steps[at].Takes.Count == 0 && network.Links.Where(link => link.After == at && link.Kind != LinkKind.During).All(link => onCrust.Contains(link.Before)) ? steps[at] : null;
    }

    private static bool LeadsToShell(ProcessNetwork network, Dictionary<string, Step> steps, string at) =>
        network.Links.Where(link => link.Before == at).Select(link => steps[link.After]).Any(next => next.IsBake ? next.Bakes == BakeOf.Shell : LeadsToShell(network, steps, next.Id));

    /// <summary>What is said to be done in one go is the same work, ends as the next begins, and goes on to one other only.</summary>
    public void InOneGo()
    {
        foreach (var task in plan.Tasks.Where(task => task.RightAfter is not null))
        {
            var before = byId.TryGetValue(task.RightAfter!, out var found) ? found[0] : null;
            var isSame = before is { Kind: TaskKind.Hands, LotId: not null } && task is { Kind: TaskKind.Hands, LotId: not null }
                && IsSameWork(before, task);
            if (!isSame) Say("oneGo", task.Id, $"It is said to go on from {task.RightAfter}, which is no such work.");
            else if (made.Contains(task.LotId!) && !made.Contains(before!.LotId!)) Say("oneGo", task.Id, $"It is said to go on from {before.Id}, on pies that are not all made.");
            else if (before!.EndMin != task.StartMin) Say("oneGo", task.Id, $"It begins at {task.StartMin}, and {before.Id}, from which it is said to go on, ends at {before.EndMin}.");
        }

        foreach (var twice in plan.Tasks.Where(task => task.RightAfter is not null).GroupBy(task => task.RightAfter).Where(same => same.Count() > 1))
            Say("oneGo", twice.Key!, $"{twice.Count()} tasks are said to go on from it.");
        if (next.Count == 0) return;
        foreach (var lot in plan.Lots) OneBatch(lot);
    }

    /// <summary>What is not done to pie after pie but to all at once, as fillings are, begins when all is there that goes in, and is ready when all of it is.</summary>
    private void OneBatch(Lot lot)
    {
        var network = lot.ProcessLeft();
        var (steps, onCrust) = (network.Steps.ToDictionary(step => step.Id), OnCrust(network));
        foreach (var parcel in Parcels(lot))
        {
            var tasks = parcel.Where(task => task.Kind != TaskKind.Wait).ToDictionary(task => task.StepId);
            foreach (var (from, to, least) in network.Links.Where(link => steps[link.Before].Wait is null && link.Kind != LinkKind.During).SelectMany(link => Ways(network, steps, link.Before, link.After, link.Lag.Least)))
            {
                if (!tasks.TryGetValue(from, out var before) || !tasks.TryGetValue(to, out var after)) continue;
                var ready = onCrust.Contains(from) ? before.EndMin : Last(before).EndMin;
                var begins = onCrust.Contains(to) ? after.StartMin : First(after).StartMin;
                if ((ready != before.EndMin || begins != after.StartMin) && begins - ready < least)
                    Say("oneGo", after.Id, $"It begins at {begins} with all that is done in one go with it, and {before.Id} is ready at {ready} with all that is.");
            }
        }
    }

    /// <summary>From work to the work that follows it, through the waits between, with the least minutes of those.</summary>
    private static IEnumerable<(string From, string To, int Least)> Ways(ProcessNetwork network, Dictionary<string, Step> steps, string from, string at, int least) =>
        steps[at].Wait is not { } wait ? [(from, at, least)]
        : network.Links.Where(link => link.Before == at).SelectMany(link => Ways(network, steps, from, link.After, least + wait.Least + link.Lag.Least));

    /// <summary>Steps that are done to the crust, or to what is in it.</summary>
    private static HashSet<string> OnCrust(ProcessNetwork network)
    {
        var found = network.Steps.Where(step => step.UsesDough).Select(step => step.Id).ToHashSet();
        for (var count = 0; count < found.Count;)
        {
            count = found.Count;
            found.UnionWith(network.Links.Where(link => link.Kind != LinkKind.During && found.Contains(link.Before)).Select(link => link.After).ToArray());
        }

        return found;
    }

    private DayTask Last(DayTask task) => next.TryGetValue(task.Id, out var after) && after.StartMin >= task.EndMin && after.EndMin > task.EndMin ? Last(after) : task;

    private DayTask First(DayTask task) => task.RightAfter is { } before && byId.TryGetValue(before, out var found) && found[0].EndMin <= task.StartMin && found[0].StartMin < task.StartMin ? First(found[0]) : task;
}
