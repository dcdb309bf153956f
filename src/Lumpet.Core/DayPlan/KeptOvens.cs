using Lumpet.Core.Baking;

namespace Lumpet.Core.DayPlan;

/// <summary>
/// What the ovens were to do in a plan that is published and that they have not begun: a plan that is made anew keeps of it what still holds, so that a crew
/// need not read all of it again.
/// </summary>
/// <param name="Settings">Changes of setting.</param>
/// <param name="Trays">Trays of pies, each with a whole bake in one oven.</param>
public sealed record KeptOvens(IReadOnlyList<OvenSetting> Settings, IReadOnlyList<KeptTray> Trays)
{
    /// <summary>Nothing is to be kept.</summary>
    public static KeptOvens None { get; } = new([], []);

    /// <summary>What a published plan had for trays that it has not put in.</summary>
    /// <param name="settings">Its changes of setting.</param>
    /// <param name="trays">The trays. What is made before the pies, and bakes that move to another oven, find their place anew.</param>
    internal static KeptOvens Of(IReadOnlyList<OvenSetting> settings, IEnumerable<PublishedTray> trays) => new(
        settings,
        [
            .. from tray in trays
               where tray is { ProductId: not null, PanId: not null, Visit.FromOvenId: null }
               from _ in tray.Visit.Shelves
               select new KeptTray(tray.ProductId!, tray.PanId!, tray.NeededMin, tray.Visit.StepId, Stages(tray)),
        ]);

    /// <summary>The same, on a clock that begins at a minute; what is over by then is gone.</summary>
    internal KeptOvens From(int minute) => new(
        [.. Settings.Select(setting => setting with { AtMin = setting.AtMin - minute })],
        [.. Trays.Select(tray => tray.From(minute)).Where(tray => tray.Stages[0].StartMin >= 0)]);

    /// <summary>As an earlier plan of some lots' bakes: pies that were begun come first, as they did, and then the others in order.</summary>
    /// <param name="works">The lots.</param>
    internal EarlierPlan For(IReadOnlyList<LotWork> works)
    {
        var left = Trays.GroupBy(tray => (tray.ProductId, tray.PanId, tray.PickUpMin, tray.StepId))
            .ToDictionary(same => same.Key, same => new Queue<KeptTray>(same.OrderBy(tray => tray.Stages[0].StartMin).ThenBy(tray => tray.Stages[0].OvenId, StringComparer.Ordinal)));
        var trays = new List<BakedTray>();
        foreach (var work in works.OrderBy(work => work.Lot.Begun is null))
            foreach (var node in work.Graph.Bakes)
            {
                if (!left.TryGetValue((work.Lot.Product.Id, work.Lot.Pan.Id, work.Lot.PickUpMin, work.Graph.Nodes[node].Id), out var there)) continue;
                for (var number = 1; number <= work.Lot.Trays.Count && there.TryDequeue(out var tray); number++) trays.Add(new BakedTray(work.BakeId(node), number, tray.Stages));
            }

        return new EarlierPlan(Settings, trays);
    }

    /// <summary>How many of an earlier plan's trays a plan has in another oven or at another minute.</summary>
    internal static int Moved(EarlierPlan earlier, BakePlan plan)
    {
        var there = plan.Trays.CountBy(Place).ToDictionary();
        return earlier.Trays.CountBy(Place).Sum(one => Math.Max(0, one.Value - there.GetValueOrDefault(one.Key)));

        static (string Bake, string Oven, int Start, int End) Place(BakedTray tray) => (tray.BakeId, tray.Stages[0].OvenId, tray.StartMin, tray.EndMin);
    }

    private static BakedStage[] Stages(PublishedTray tray) =>
        [.. tray.Visit.Stages.Select((stage, at) => new BakedStage(tray.OvenId, at == 0 ? tray.Visit.HeatedFromMin : stage.StartMin, stage.EndMin))];
}

/// <summary>A tray of pies, where a published plan has it.</summary>
/// <param name="ProductId">The product.</param>
/// <param name="PanId">The pan.</param>
/// <param name="PickUpMin">The pick-up.</param>
/// <param name="StepId">The bake.</param>
/// <param name="Stages">When it is in which oven.</param>
public sealed record KeptTray(string ProductId, string PanId, int PickUpMin, string StepId, IReadOnlyList<BakedStage> Stages)
{
    /// <summary>The same, on a clock that begins at a minute.</summary>
    internal KeptTray From(int minute) => this with
    {
        PickUpMin = PickUpMin - minute,
        Stages = [.. Stages.Select(stage => stage with { StartMin = stage.StartMin - minute, EndMin = stage.EndMin - minute })],
    };
}
