using Lumpet.Core.Batches;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;
using static Lumpet.Core.DayPlan.PlanText;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// Times the steps of a batch that is made before the pies: each as late as what follows, its keeping and the shifts allow,
/// around its bakes where the ovens have set them.
/// </summary>
internal sealed class MakingTimetable(ShiftCalendar calendar)
{
    private int FirstMin => calendar.Stretches.Count > 0 ? calendar.Stretches[0].StartMin : 0;

    /// <summary>Times a batch: by the aims of its waits and its keeping where that fits, else by their least.</summary>
    /// <param name="batch">The batch.</param>
    /// <param name="baked">Start and end of its bakes, by the step's id; one that is not there is taken to be as late as it may.</param>
    public MadeBatch Around(PreparationBatch batch, IReadOnlyDictionary<string, (int Start, int End)> baked)
    {
        var aimed = Around(batch, baked, aim: true);
        return aimed.Short == 0 ? aimed : Around(batch, baked, aim: false);
    }

    /// <summary>The first minute at which any of it could be ready to be used: a small batch, begun with the first shift, after all that goes into it.</summary>
    /// <param name="made">Something that a plan makes.</param>
    public int FirstReady(Ingredient made)
    {
        var how = made.Formula!.How!;
        return After(how.Method, 0, FirstStart(made)) + how.Keeping.ToUse.Least;
    }

    /// <summary>When a bake of a batch may begin at the soonest: all before it done as early as it can be.</summary>
    public int FirstDoor(PreparationBatch batch, Step bake) =>
        After(batch.How.Method.TakeWhile(step => step != bake), batch.Units, FirstStart(batch.Made));

    /// <summary>When its first step can begin: what goes into it is there then.</summary>
    private int FirstStart(Ingredient made) =>
        made.Formula!.Lines.SelectMany(line => PreparationTaking.Planned(line.Ingredient)).Select(FirstReady).Append(FirstMin).Max();

    private int After(IEnumerable<Step> steps, double units, int from) => steps.Aggregate(from, (minute, step) =>
    {
        var length = Making.Minutes(step, units);
        return (step.Wait is null ? calendar.EarliestStart(length, minute) ?? minute : minute) + length;
    });

    private MadeBatch Around(PreparationBatch batch, IReadOnlyDictionary<string, (int Start, int End)> baked, bool aim)
    {
        var (worked, gaps) = Worked(batch.How);
        var times = new TimedStep[worked.Count];
        var next = batch.NeededMin;
        for (var at = worked.Count - 1; at >= 0; at--)
        {
            times[at] = baked.TryGetValue(worked[at].Id, out var oven) ? new TimedStep(worked[at], oven.Start, oven.End) : EndedBy(worked[at], next - (aim ? gaps[at].Aim : gaps[at].Least));
            next = times[at].StartMin;
        }

        // What waits too long after a bake that the ovens have set comes sooner; so does what should lie ready for longer.
        for (var at = 1; at < worked.Count; at++)
        {
            if (baked.ContainsKey(worked[at].Id)) continue;
            var (before, length) = (times[at - 1].EndMin, times[at].EndMin - times[at].StartMin);
            if (times[at].StartMin - before > gaps[at - 1].Most) times[at] = EndedBy(worked[at], before + gaps[at - 1].Most + length);
            if (batch.NeededMin - times[^1].EndMin < gaps[^1].Aim && calendar.EarliestStart(length, before + gaps[at - 1].Aim) is { } soon && soon < times[at].StartMin)
                times[at] = new TimedStep(worked[at], soon, soon + length);
        }

        var (late, breaks, why) = Judged(batch, times, gaps);
        return new MadeBatch(batch, [.. WithWaits(batch.How.Method, times, batch.NeededMin - batch.How.Keeping.ToUse.Least)], late, breaks, why);

        TimedStep EndedBy(Step step, int endBy)
        {
            var length = Making.Minutes(step, batch.Units);
            var start = calendar.LatestStart(length, endBy) ?? endBy - length;
            return new TimedStep(step, start, start + length);
        }
    }

    /// <summary>The steps at which someone or an oven works, and what lies between each and what follows it: the waits, and its keeping after the last.</summary>
    internal static (List<Step> Worked, List<Span> Gaps) Worked(Making how)
    {
        var (worked, waits) = (new List<Step>(), new List<Span?>());
        foreach (var step in how.Method)
        {
            if (step.Wait is { } wait) waits[^1] = waits[^1]?.Then(wait) ?? wait;
            else
            {
                worked.Add(step);
                waits.Add(null);
            }
        }

        waits[^1] = waits[^1]?.Then(how.Keeping.ToUse) ?? how.Keeping.ToUse;
        return (worked, [.. waits.Select(wait => wait ?? new Span(0, 0, Making.MostBetweenMin))]);
    }

    /// <summary>By how many minutes it is late, whether it cannot be made so at all, and what stands in the way.</summary>
    private (int Late, bool Breaks, PlanText Why) Judged(PreparationBatch batch, TimedStep[] times, List<Span> gaps)
    {
        var (late, breaks, why) = (0, false, Empty);
        for (var at = times.Length - 1; at >= 0; at--)
        {
            var (step, start, end) = times[at];
            var (next, nextName) = at + 1 < times.Length ? (times[at + 1].StartMin, $"\"{times[at + 1].Step.Name}\" begins") : (batch.NeededMin, "it is used");
            var gap = gaps[at];
            if (!step.IsBake && !calendar.Holds(start, end)) Say(start < FirstMin ? FirstMin - start : 1, start >= FirstMin, PlanText.Say($"\"{step.Name}\" takes {Long(end - start)} and fits into no shift before {At(end)}"));
            if (end > next - gap.Least) Say(end - (next - gap.Least), false, PlanText.Say($"\"{step.Name}\" ends at {At(end)}, and {nextName} at {At(next)}{(gap.Least > 0 ? $", where {Long(gap.Least)} lie between" : string.Empty)}"));
            if (next - end > gap.Most) Say(1, true, PlanText.Say($"after \"{step.Name}\" it would wait {Long(next - end)}, where {Long(gap.Most)} is the most"));
        }

        return (late, breaks, why);

        void Say(int minutes, bool isBroken, PlanText words)
        {
            if (late == 0) why = words;
            late = Math.Max(late, minutes);
            breaks |= isBroken;
        }
    }

    /// <summary>The waits between what is timed; a last wait is over when the keeping begins, which it leaves its least.</summary>
    internal static IEnumerable<TimedStep> WithWaits(IReadOnlyList<Step> method, TimedStep[] times, int keptByMin)
    {
        var worked = 0;
        for (var at = 0; at < method.Count; at++)
        {
            if (method[at].Wait is null)
            {
                yield return times[worked++];
                continue;
            }

            Step[] waits = [.. method.Skip(at).TakeWhile(step => step.Wait is not null)];
            var all = waits.Select(step => step.Wait!).Aggregate((one, other) => one.Then(other));
            var from = times[worked - 1].EndMin;
            var minutes = worked < times.Length ? times[worked].StartMin - from : Math.Clamp(keptByMin - from, all.Least, all.Aim);
            foreach (var (step, share) in waits.Zip(Span.Share([.. waits.Select(step => step.Wait!)], minutes)))
            {
                yield return new TimedStep(step, from, from + share);
                from += share;
            }

            at += waits.Length - 1;
        }
    }
}
