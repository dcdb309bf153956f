using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Schools;

/// <summary>Exchanges what stands at a place of a written recipe for another set of steps. What was there is given back, and put in again it restores the recipe.</summary>
public static class SchoolExchange
{
    /// <summary>The recipe with another set at a place, and the set that stood there; the same recipe and null where it has no such place.</summary>
    /// <param name="draft">The recipe as written.</param>
    /// <param name="place">The place.</param>
    /// <param name="set">What is put there.</param>
    public static (ProductDraft Draft, StepSet? Before) Exchanged(ProductDraft draft, SchoolPlace place, StepSet set)
    {
        var places = new SchoolPlaces(draft);
        if (places.Now(place) is not { } before) return (draft, null);
        StepDraft?[] steps = [.. Replaced(draft.Steps ?? [], before.Steps.Select(one => one.At), set.Steps.Select(one => (one.At, (StepDraft?)one.Step)))];
        LinkDraft?[] links = [.. Replaced(draft.Links ?? [], before.Links.Select(one => one.At), set.Links.Select(one => (one.At, (LinkDraft?)one.Link)))];
        if (set.Bake is { } bake && places.PieBake is { } pie)
            steps = [.. steps.Select(step => step?.Id == pie.Id ? step! with { HeatedTrayMin = bake.HeatedTrayMin, Place = bake.Place, Stages = bake.Stages } : step)];
        var layers = set.Filling is { } filling && places.MainFilling is >= 0 and var main
            ? [.. draft.Layers!.Select((layer, at) => at == main ? layer! with { FillingKind = filling.Kind, PackedDensity = filling.PackedDensity, ReducedPercent = filling.ReducedPercent } : layer)]
            : draft.Layers;
        return (draft with { Steps = steps, Links = links, Layers = layers, BaseTreatment = set.BaseTreatment }, before);
    }

    /// <summary>Whether two drafts of one recipe are made the same way, of the same layers.</summary>
    public static bool IsSame(ProductDraft one, ProductDraft other) =>
        Steps(one).SequenceEqual(Steps(other)) && Stages(one).SequenceEqual(Stages(other)) && (one.Links ?? []).SequenceEqual(other.Links ?? []) && (one.Layers ?? []).SequenceEqual(other.Layers ?? []);

    // Lists are compared by themselves: a record with one is the same only as itself.
    private static IEnumerable<StepDraft?> Steps(ProductDraft draft) => (draft.Steps ?? []).Select(step => step is null ? null : step with { Stages = null });

    private static IEnumerable<(string?, StageDraft?)> Stages(ProductDraft draft) => (draft.Steps ?? []).SelectMany(step => (step?.Stages ?? []).Select(stage => (step!.Id, stage)));

    /// <summary>A list without what stood at some places, and with others at theirs.</summary>
    private static List<T> Replaced<T>(IEnumerable<T> list, IEnumerable<int> gone, IEnumerable<(int At, T One)> fresh)
    {
        var without = gone.ToHashSet();
        List<T> result = [.. list.Where((_, at) => !without.Contains(at))];
        foreach (var (at, one) in fresh.OrderBy(one => one.At)) result.Insert(Math.Min(at, result.Count), one);
        return result;
    }
}
