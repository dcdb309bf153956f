using Lumpet.Core.Baking;
using Lumpet.Core.Baking.Files;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;

namespace Lumpet.PlanChecking;

/// <summary>The rules of a day's plan, one method each.</summary>
internal sealed partial class DayPlanCheck(DaySnapshot snapshot, PlannedDay plan)
{
    private readonly List<PlanFault> faults = [];
    private readonly Dictionary<string, DayTask[]> byId = plan.Tasks.GroupBy(task => task.Id).ToDictionary(group => group.Key, group => group.ToArray());

    // Lots of which every pie is said to be made: all of their work must hold.
    private readonly HashSet<string> made = [.. plan.Fates.Where(fate => fate.Unfit == 0).Select(fate => fate.Lot.Id)];

    // Lots of which some pies are baked, or need no oven.
    private readonly HashSet<string> baked = [.. plan.Fates.Where(fate => fate.NotBaked < fate.Lot.Count).Select(fate => fate.Lot.Id)];

    /// <summary>What is broken.</summary>
    public IReadOnlyList<PlanFault> Faults => faults;

    /// <summary>Every pie ordered has one fate, and what is said to be in time is.</summary>
    public void Orders()
    {
        var ordered = snapshot.Orders.Sum(order => order.Count);
        var told = plan.Fates.Sum(fate => fate.InTime + fate.Late + fate.Unfit + fate.NotBaked) + plan.Ready.Sum(one => one.Lot.Count);
        if (ordered != told) Say("orders", "day", $"{ordered} pies are ordered, and {told} are accounted for.");
        foreach (var fate in plan.Fates.Where(fate => made.Contains(fate.Lot.Id)))
        {
            var inTime = Parcels(fate.Lot).Where(parcel => parcel.Max(task => task.EndMin) <= fate.Lot.PickUpMin).Sum(parcel => parcel[0].Pies);
            if (inTime != fate.InTime) Say("inTime", fate.Lot.Id, $"{inTime} are boxed by {fate.Lot.PickUpMin}, and {fate.InTime} are said to be.");
        }
    }

    /// <summary>Every step takes its minutes and follows what it follows.</summary>
    public void Steps()
    {
        foreach (var lot in plan.Lots)
        {
            var network = lot.ProcessLeft();
            var steps = network.Steps.ToDictionary(step => step.Id);
            foreach (var parcel in Parcels(lot))
            {
                var tasks = parcel.ToLookup(task => task.StepId);
                foreach (var step in network.Steps)
                {
                    if (!tasks[step.Id].Any()) Say("missing", parcel[0].Id, $"\"{step.Id}\" is not done.");
                    foreach (var task in tasks[step.Id]) Takes(task, step, lot.Id);
                }

                foreach (var link in network.Links) Follows(link, steps, tasks, lot.Id);
            }
        }
    }

    private void Takes(DayTask task, Step step, string lotId)
    {
        var minutes = task.EndMin - task.StartMin;
        if (step.Hands is { } hands && minutes != MinutesOf(hands, task)) Say("minutes", task.Id, $"It takes {MinutesOf(hands, task)} min for {task.Pies} pies, and has {minutes}.");
        if (step.Wait is not { } wait) return;
        if (minutes < wait.Least) Say("least", task.Id, $"It waits {minutes} min, and at least {wait.Least} are needed.");
        if (minutes > wait.Most && made.Contains(lotId)) Say("most", task.Id, $"It waits {minutes} min, and bears {wait.Most} at most.");
    }

    private void Follows(Link link, Dictionary<string, Step> steps, ILookup<string, DayTask> tasks, string lotId)
    {
        // Waits lie between what they lie between: one for each way there is.
        if (steps[link.Before].Wait is not null || steps[link.After].Wait is not null) return;
        foreach (var before in tasks[link.Before])
            foreach (var after in tasks[link.After])
            {
                var between = after.StartMin - before.EndMin;
                switch (link.Kind)
                {
                    case LinkKind.During:
                        if (!made.Contains(lotId)) break;
                        if (after.StartMin < before.StartMin + link.Lag.Least) Say("during", after.Id, $"It begins at {after.StartMin}, sooner than {link.Lag.Least} min into {before.Id}.");
                        if (after.EndMin > Math.Max(before.EndMin, before.StartMin + link.Lag.Least + after.EndMin - after.StartMin)) Say("during", after.Id, $"It ends at {after.EndMin}, after {before.Id}.");
                        break;
                    case LinkKind.DayBefore when made.Contains(lotId) && !snapshot.Midnights.Any(midnight => before.EndMin <= midnight && midnight <= after.StartMin):
                        Say("dayBefore", after.Id, $"No midnight lies between it and {before.Id}.");
                        break;
                    default:
                        if (between < link.Lag.Least) Say("least", after.Id, $"{between} min lie between it and {before.Id}, and at least {link.Lag.Least} must.");
                        if (between > link.Lag.Most && made.Contains(lotId)) Say("most", after.Id, $"{between} min lie between it and {before.Id}, and at most {link.Lag.Most} may.");
                        break;
                }
            }
    }

    /// <summary>Doughs rest as they must, turns are apart, and every disc is there when it is rolled.</summary>
    public void Dough()
    {
        foreach (var batch in plan.Batches)
        {
            var (where, method, isMade) = ($"{batch.Dough.Id}/{batch.Number}", batch.Dough.Method, AreMade(batch.LotIds));
            var ready = batch.MixEndMin;
            foreach (var turn in batch.Turns)
            {
                if (turn < ready) Say("turn", where, $"It is turned at {turn}, and may be from {ready} on.");
                ready = turn + method.TurnMinutes + method.TurnRestMinutes;
            }

            var rest = batch.NeededMin - ready;
            if (rest < batch.Dough.Rest.Least) Say("rest", where, $"It rests {rest} min, and at least {batch.Dough.Rest.Least} are needed.");
            if (rest > batch.Dough.Rest.Most && isMade) Say("rest", where, $"It rests {rest} min, and at most {batch.Dough.Rest.Most} may.");
            foreach (var disc in batch.Discs) Taken("disc", where, disc.TaskId, disc.NeededMin, batch.NeededMin);
        }
    }

    /// <summary>What is made first is made in order, kept as it must be, and there when it is taken.</summary>
    public void MadeFirst()
    {
        foreach (var one in plan.Made.Where(one => AreMade(one.Batch.LotIds)))
        {
            foreach (var (step, next) in one.Steps.Zip(one.Steps.Skip(1)))
                if (next.StartMin < step.EndMin) Say("order", one.Batch.Id, $"\"{next.Step.Id}\" begins at {next.StartMin}, and \"{step.Step.Id}\" ends at {step.EndMin}.");
            foreach (var step in one.Steps.Where(step => step.Step.Wait is { } wait && step.EndMin - step.StartMin < wait.Least))
                Say("least", one.Batch.Id, $"\"{step.Step.Id}\" waits {step.EndMin - step.StartMin} min, and at least {step.Step.Wait!.Least} are needed.");
            var (kept, use) = (one.Batch.NeededMin - one.DoneMin, one.Batch.How.Keeping.ToUse);
            if (kept < use.Least || kept > use.Most + one.Batch.How.Method.Where(step => step.Wait is not null).Sum(step => step.Wait!.Most - step.Wait.Least))
                Say("kept", one.Batch.Id, $"It lies {kept} min until it is taken, where {use.Least} to {use.Most} may.");
            foreach (var taken in one.Batch.Uses) Taken("use", one.Batch.Id, taken.TaskId, taken.NeededMin, one.Batch.NeededMin);
        }
    }

    /// <summary>Who takes of a batch begins when the batch says, and not before the first of it can be had.</summary>
    private void Taken(string rule, string where, string? taskId, int neededMin, int readyMin)
    {
        if (neededMin < readyMin) Say(rule, where, $"Some of it is wanted at {neededMin}, before {readyMin}.");
        if (taskId is not null && byId.TryGetValue(taskId, out var takers) && takers[0].StartMin != neededMin) Say(rule, where, $"{taskId} takes of it at {takers[0].StartMin}, and it is said to be wanted at {neededMin}.");
    }

    /// <summary>One batch at a time is in the mixer, and none while a day before has it.</summary>
    public void Bowl()
    {
        var mixed = plan.Batches.Where(batch => batch.Dough.IsMixed).OrderBy(batch => batch.MixStartMin).ToArray();
        foreach (var batch in mixed.Where(batch => AreMade(batch.LotIds)))
            if (snapshot.Taken.Mixing.FirstOrDefault(taken => taken.FromMin < batch.MixEndMin && batch.MixStartMin < taken.ToMin) is { } other)
                Say("mixer", $"{batch.Dough.Id}/{batch.Number}", $"It is mixed from {batch.MixStartMin}, and a day before has the mixer from {other.FromMin} to {other.ToMin}.");
        foreach (var (batch, next) in mixed.Zip(mixed.Skip(1)))
            if (next.MixStartMin < batch.MixEndMin) Say("mixer", $"{next.Dough.Id}/{next.Number}", $"It is mixed from {next.MixStartMin}, and the mixer is free from {batch.MixEndMin} on.");
    }

    /// <summary>Work lies in the shifts, and no more of it at once than people are there. Of pies that cannot be made only what is made is counted.</summary>
    public void Crew()
    {
        DayTask[] work = [.. plan.Tasks.Where(task => task.Kind == TaskKind.Hands && IsCounted(task))];
        foreach (var task in work)
            for (var minute = task.StartMin; minute < task.EndMin; minute++)
                if (!snapshot.Shifts.Any(shift => shift.StartMin <= minute && minute < shift.EndMin))
                {
                    Say("shift", task.Id, $"It is done from {task.StartMin} to {task.EndMin}, and nobody is there at {minute}.");
                    break;
                }

        var ovens = new StatedBakePlan(plan.BakePlan.Settings, plan.BakePlan.Trays, plan.BakePlan.Unplaced, new Dictionary<string, decimal>(), new Dictionary<string, decimal>());
        (int From, int To)[] doors = [.. new BakePlanCheck(plan.Problem, ovens).Visits().Select(visit => (visit.From, visit.From + (visit.Trays * visit.Oven.ActionMin)))];
        foreach (var minute in work.Select(task => task.StartMin).Concat(doors.Select(visit => visit.From)).Distinct().Order())
        {
            DayShift[] now = [.. snapshot.Shifts.Where(shift => shift.StartMin <= minute && minute < shift.EndMin)];
            if (now.Any(shift => shift.People is null)) continue;
            var (wanted, there) = (work.Count(task => task.StartMin <= minute && minute < task.EndMin), now.Sum(shift => shift.People ?? 0));
            if (wanted > there) Say("hands", $"minute {minute}", $"{wanted} are at work, and {there} are there.");
            Together(minute, wanted, doors.Count(visit => visit.From <= minute && minute < visit.To), now);
        }
    }

    /// <summary>With what days before do at a minute, and with whoever is at an oven's door, there is work for no more than are there for any of the days.</summary>
    private void Together(int minute, int wanted, int atDoors, DayShift[] own)
    {
        var all = own.ToDictionary(shift => (shift.Name, shift.StartMin, shift.EndMin), shift => shift.People);
        foreach (var shift in snapshot.Taken.Shifts.Where(shift => shift.StartMin <= minute && minute < shift.EndMin)) all.TryAdd((shift.Name, shift.StartMin, shift.EndMin), shift.People);
        if (all.Values.Any(people => people is null)) return;
        var before = snapshot.Taken.Work.Count(work => work.FromMin <= minute && minute < work.ToMin);
        if (before + atDoors > 0 && wanted + before + atDoors > all.Values.Sum() && wanted > 0) Say("hands", $"minute {minute}", $"{wanted} are at work, {before} for days before and {atDoors} at the ovens, and {all.Values.Sum()} are there.");
    }

    /// <summary>What stands in the ovens and in pans for days before is what the ovens were asked to go around.</summary>
    public void Standing()
    {
        StandingTray[] there = [.. snapshot.Taken.Trays.Where(tray => snapshot.Ovens.Any(oven => oven.Id == tray.OvenId))];
        if (there.Length != plan.Problem.Standing.Count || there.Zip(plan.Problem.Standing).Any(pair => pair.First != pair.Second)) Say("standing", "ovens", "They were planned around other trays than stand in them.");
        foreach (var pan in snapshot.Orders.Select(order => order.Pan).Where(pan => pan.AtOnce is not null).DistinctBy(pan => pan.Id))
        {
            StandingPans[] inUse = [.. snapshot.Taken.Pans.Where(hold => hold.PanId == pan.Id), .. plan.Lots.Where(lot => lot.Pan.Id == pan.Id && made.Contains(lot.Id)).SelectMany(Holds)];
            foreach (var at in inUse.Select(hold => hold.FromMin).Distinct())
                if (inUse.Where(hold => hold.FromMin <= at && at < hold.ToMin).Sum(hold => hold.Count) is var used && used > pan.AtOnce)
                {
                    Say("pans", pan.Id, $"{used} are in use at {at}, and there are {pan.AtOnce}.");
                    break;
                }
        }
    }

    /// <summary>A pie is in its pan from when dough is laid in it, or where none is from its first step, until it is boxed.</summary>
    private IEnumerable<StandingPans> Holds(Lot lot)
    {
        var takesDough = lot.ProcessLeft().Steps.Where(step => step.UsesDough).Select(step => step.Id).ToHashSet();
        return Parcels(lot).Select(parcel => new StandingPans(
            lot.Pan.Id,
            parcel.Where(task => takesDough.Contains(task.StepId)).Select(task => task.StartMin).DefaultIfEmpty(lot.Begun is null ? parcel.Min(task => task.StartMin) : 0).Min(),
            parcel.Max(task => task.EndMin),
            parcel[0].Pies));
    }

    /// <summary>Whether what is for some lots must hold: all of those that an oven takes are said to be made. What is only for others nobody makes.</summary>
    private bool AreMade(IReadOnlyList<string> lots) => lots.Count == 0 || (lots.Any(baked.Contains) && lots.Where(baked.Contains).All(made.Contains));

    private bool IsCounted(DayTask task) =>
        task.LotId is { } lot ? made.Contains(lot)
        : AreMade(task.IsDough ? plan.Batches.First(batch => task.Id.StartsWith($"{batch.Dough.Id}/{batch.Number}/", StringComparison.Ordinal)).LotIds
            : plan.Made.First(one => task.Id.StartsWith($"{one.Batch.Id}/", StringComparison.Ordinal)).Batch.LotIds);

    private DayTask[][] Parcels(Lot lot) => [.. plan.Tasks.Where(task => task.LotId == lot.Id).GroupBy(task => task.Id[..task.Id.LastIndexOf('/')]).Select(group => group.ToArray())];

    private void Say(string rule, string where, string message) => faults.Add(new PlanFault(rule, where, message));
}
