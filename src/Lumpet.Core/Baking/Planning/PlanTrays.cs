namespace Lumpet.Core.Baking.Planning;

/// <summary>A tray of a problem, by its number among all of them.</summary>
/// <param name="Index">Its number.</param>
/// <param name="Bake">Its bake.</param>
/// <param name="Number">Its number in the bake, from 1.</param>
/// <param name="Pies">Pies on it.</param>
/// <param name="Temperatures">Temperature of each stage.</param>
internal sealed record PlanTray(int Index, Bake Bake, int Number, int Pies, int[] Temperatures)
{
    /// <summary>What is left of it where it is in an oven when the horizon starts, or done; null of others.</summary>
    public RunningNow? Running { get; init; }

    /// <summary>Trays that must have ended before it starts, by group: the group starts within a lag of it.</summary>
    public List<PlanLink> Before { get; } = [];

    /// <summary>Trays that start after it ends.</summary>
    public List<PlanLink> Behind { get; } = [];
}

/// <summary>Trays on the other side of an "after".</summary>
/// <param name="Trays">Their numbers.</param>
/// <param name="MinLagMin">Least minutes between.</param>
/// <param name="MaxLagMin">Most minutes between.</param>
internal sealed record PlanLink(int[] Trays, int MinLagMin, int MaxLagMin);

/// <summary>All trays of a problem that can be planned: those of bakes that go round in a circle are not among them.</summary>
internal sealed class PlanTrays
{
    private readonly Dictionary<string, PlanTray[]> byBake = [];

    /// <summary>The trays of a problem.</summary>
    public PlanTrays(BakeProblem problem, BakeChains chains)
    {
        var all = new List<PlanTray>();
        var running = RunningNow.Of(problem);
        foreach (var bake in chains.Ordered)
        {
            int[] temperatures = [.. bake.Stages.Select(stage => stage.TempC)];
            PlanTray[] trays = [.. bake.Trays.Select((pies, at) => running.GetValueOrDefault((bake.Id, at + 1)) is { } now
                ? new PlanTray(all.Count + at, now.Left, at + 1, pies, [.. now.Left.Stages.Select(stage => stage.TempC)]) { Running = now }
                : new PlanTray(all.Count + at, bake, at + 1, pies, temperatures))];
            byBake[bake.Id] = trays;
            all.AddRange(trays);
        }

        All = all;
        foreach (var bake in chains.Ordered)
            foreach (var after in bake.After.Where(after => byBake.ContainsKey(after.BakeId)))
                foreach (var tray in byBake[bake.Id].Where(tray => tray.Running is null))
                {
                    PlanTray[] before = [.. byBake[after.BakeId].Where(other => !after.ByTray || other.Number == tray.Number)];
                    if (before.Length == 0) continue;
                    tray.Before.Add(new PlanLink([.. before.Select(other => other.Index)], after.MinLagMin, after.MaxLagMin));
                    foreach (var other in before) other.Behind.Add(new PlanLink([tray.Index], after.MinLagMin, after.MaxLagMin));
                }
    }

    /// <summary>The trays, each after those it follows.</summary>
    public IReadOnlyList<PlanTray> All { get; }

    /// <summary>The trays of a bake, in order.</summary>
    public IReadOnlyList<PlanTray> Of(Bake bake) => byBake[bake.Id];
}
