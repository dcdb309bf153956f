using Lumpet.Core.Batches;
using Lumpet.Core.Steps;

namespace Lumpet.Core.DayPlan;

/// <summary>A batch of something made before the pies, with the times of its steps.</summary>
/// <param name="Batch">The batch.</param>
/// <param name="Steps">Its steps in order, waits among them.</param>
/// <param name="Short">Minutes by which it comes too late for what takes it; 0 where it fits.</param>
/// <param name="Breaks">Whether it cannot be made so at all, for none of what takes it.</param>
/// <param name="Why">What stands in the way; empty where nothing does.</param>
public sealed record MadeBatch(PreparationBatch Batch, IReadOnlyList<TimedStep> Steps, int Short, bool Breaks, PlanText Why)
{
    /// <summary>When its first step begins: what goes into it is taken then.</summary>
    public int StartMin => Steps[0].StartMin;

    /// <summary>When its last step has ended, and it is kept until it is used.</summary>
    public int DoneMin => Steps[^1].EndMin;

    /// <summary>Where it is kept from then until it is used, with what it takes to thaw; none where it is used at once.</summary>
    public IReadOnlyList<TimedStep> Kept
    {
        get
        {
            var (waits, from, kept) = (Batch.How.Keeping.Waits, DoneMin, new List<TimedStep>());
            foreach (var (wait, share) in waits.Zip(Span.Share([.. waits.Select(wait => wait.Wait!)], Batch.NeededMin - from)))
            {
                // What comes too late is kept for what is left.
                var to = wait == waits[^1] ? Batch.NeededMin : Math.Min(from + share, Batch.NeededMin);
                if (to > from) kept.Add(new TimedStep(wait, from, to));
                from = Math.Max(from, to);
            }

            return kept;
        }
    }
}

/// <summary>A step with its time.</summary>
/// <param name="Step">The step.</param>
/// <param name="StartMin">First minute.</param>
/// <param name="EndMin">Minute after the last.</param>
public sealed record TimedStep(Step Step, int StartMin, int EndMin);
