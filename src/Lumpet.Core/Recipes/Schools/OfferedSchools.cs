using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Schools;

/// <summary>The schools that a recipe may be made by, place by place. Times and temperatures are common practice, no source.</summary>
public static class OfferedSchools
{
    /// <summary>All that its way has a place for. Bases of fillings that are not baked are baked through and offer no other.</summary>
    public static IReadOnlyList<School> For(ProductDraft draft)
    {
        var places = new SchoolPlaces(draft);
        return [.. Fillings(places), .. Rests(places), .. Bases(places), .. Trays(places), .. Heats(places)];
    }

    private static IEnumerable<School> Fillings(SchoolPlaces places)
    {
        FillingKind[] fruit = [FillingKind.RawFruit, FillingKind.PrecookedFruit, FillingKind.MaceratedFruit];
        if (places.At(SchoolPlace.Filling) is null || !fruit.Contains(KindOf(places))) yield break;
        foreach (var kind in fruit)
        {
            var (name, why, packed, reduced) = kind switch
            {
                FillingKind.RawFruit => ("Fruit raw", "least work; it sinks and gives its juice in the oven", 0.62, (double?)null),
                FillingKind.PrecookedFruit => ("Fruit cooked first", "fruit and crust are done together; no gap below the lid", 0.95, null),
                _ => ("Fruit macerated, its juice boiled down", "least starch; the juice is thick before it goes in", 0.9, 85),
            };
            if (Usual(places, SchoolPlace.Filling, kind, BaseOf(places)) is { } set)
                yield return new School(Naming.Of(kind), SchoolPlace.Filling, name, why, set with { Filling = new FillingMarks(Naming.Of(kind), packed, reduced) });
        }
    }

    private static IEnumerable<School> Rests(SchoolPlaces places)
    {
        if (places.At(SchoolPlace.Rest) is not { } rest) yield break;
        School Rest(string id, string name, string why, params StepDraft[] waits) => new(id, SchoolPlace.Rest, name, why, Fitted(places, rest, waits, SchoolPlace.Rest, 0));
        yield return Rest("fridge", "Chilled in the fridge", "firm without haste; keeps until it is wanted", Wait("chill-lined", "Chill what was shaped", 20, 45, 960, 4));
        yield return Rest("freezer", "Firmed in the freezer", "firm in a quarter of an hour; takes freezer shelves", Wait("freeze-lined", "Firm what was shaped in the freezer", 10, 15, 60, -18));
        yield return Rest("frozen", "Lined ahead and frozen", "shells of several days at once; baked from frozen", Wait("freeze-lined", "Freeze what was shaped", 120, 720, 4320, -18));
    }

    private static IEnumerable<School> Bases(SchoolPlaces places)
    {
        if (places.At(SchoolPlace.Base) is null || places.PieBake is null) yield break;
        foreach (var treatment in new[] { BaseTreatment.Plain, BaseTreatment.Seal, BaseTreatment.PartBlind, BaseTreatment.ShortHotSet })
        {
            var (name, why) = treatment switch
            {
                BaseTreatment.Plain => ("Base raw", "no blind bake: the first heat sets it"),
                BaseTreatment.Seal => ("Raw, sealed with egg", "a film of egg keeps juice out for a while; needs that egg among the lines"),
                BaseTreatment.PartBlind => ("Part-baked", "dry before it is filled: for wet fillings"),
                _ => ("Set hot and short", "a few minutes of great heat: for folded dough"),
            };
            if (Usual(places, SchoolPlace.Base, KindOf(places), treatment) is { } set)
                yield return new School(Naming.Of(treatment), SchoolPlace.Base, name, why, set with { BaseTreatment = TreatmentWith(places, treatment) });
        }
    }

    private static IEnumerable<School> Trays(SchoolPlaces places)
    {
        if (places.At(SchoolPlace.Tray) is null) yield break;
        foreach (var treatment in new[] { BaseTreatment.Plain, BaseTreatment.HotTray, BaseTreatment.OvenFloor })
        {
            var (name, why) = treatment switch
            {
                BaseTreatment.Plain => ("On a cold tray", "nothing to heat first"),
                BaseTreatment.HotTray => ("On a tray heated in the oven", "heat from below at once: a crisp base without a blind bake"),
                _ => ("On the floor of the oven", "most heat from below; few places"),
            };
            if (Usual(places, SchoolPlace.Tray, KindOf(places), treatment) is not { } set) continue;
            // Only how it stands changes, not how long it bakes.
            yield return new School(Naming.Of(treatment), SchoolPlace.Tray, name, why, set with
            {
                Bake = set.Bake! with { Stages = places.PieBake!.Stages },
                BaseTreatment = places.At(SchoolPlace.Base)?.Steps.Length > 0 ? places.Draft.BaseTreatment : Naming.Of(treatment),
            });
        }
    }

    private static IEnumerable<School> Heats(SchoolPlaces places)
    {
        if (places.PieBake is not { } bake) yield break;
        var minutes = (bake.Stages ?? []).OfType<StageDraft>().ToArray();
        var (least, most) = (minutes.Sum(stage => stage.Least ?? 1), minutes.Sum(stage => stage.Most ?? 1));
        School Heat(string id, string name, string why, params StageDraft[] stages) =>
            new(id, SchoolPlace.Heat, name, why, places.Now(SchoolPlace.Heat)! with { Bake = new BakeMarks(bake.HeatedTrayMin, bake.Place, stages) });
        // A third of the time at the hot start, as it is usual.
        var (hotLeast, hotMost) = (Math.Max(1, least / 3), Math.Max(1, most / 3));
        if (least >= 20)
            yield return Heat("twoStages", "A hot start, then lower", "sets the crust before the filling boils; the rim does not burn", new StageDraft(220, hotLeast, hotMost), new StageDraft(185, least - hotLeast, most - hotMost));
        yield return Heat("oneStage", "One heat", "shares an oven with more; no drop to remember", new StageDraft(190, least, most));
    }

    /// <summary>A usual set, tied to this recipe's own neighbours; null where the usual way has no such place.</summary>
    private static StepSet? Usual(SchoolPlaces places, SchoolPlace place, FillingKind kind, BaseTreatment treatment)
    {
        var (steps, links) = UsualChains.For(kind, treatment, Naming.Read<Top>(places.Draft.Top) ?? Top.Open, Naming.Read<Lining>(places.Draft.Lining) ?? Lining.OnePiece);
        var usual = new SchoolPlaces(places.Draft with { Steps = steps, Links = links });
        if (usual.At(place) is not { } found || places.At(place) is not { } here) return null;
        var within = found.Steps.Length == 0 ? 0 : links.Where(link => link.To == found.After?.Id && link.From == found.Steps[^1].Id).Select(link => link.Most ?? 0).FirstOrDefault();
        return Fitted(places, here, found.Steps, place, within, [.. links.Where(link => found.Steps.Any(step => step.Id == link.From) && found.Steps.Any(step => step.Id == link.To))]) with
        {
            Bake = place == SchoolPlace.Tray ? usual.Now(place)!.Bake : null,
            BaseTreatment = places.Draft.BaseTreatment,
        };
    }

    /// <summary>Steps one after the other between the neighbours of a place, under ids that are free there.</summary>
    /// <param name="places">The recipe.</param>
    /// <param name="here">The place in it.</param>
    /// <param name="steps">The steps.</param>
    /// <param name="place">Which place.</param>
    /// <param name="within">Within how many minutes the neighbour follows the last of them.</param>
    /// <param name="inner">Links among them; none for a row of waits.</param>
    private static StepSet Fitted(SchoolPlaces places, (StepDraft[] Steps, StepDraft? Before, StepDraft? After) here, StepDraft[] steps, SchoolPlace place, int within, LinkDraft[]? inner = null)
    {
        var now = places.Now(place)!;
        var gone = here.Steps.Select(step => step.Id).ToHashSet();
        var taken = places.Draft.Steps!.OfType<StepDraft>().Select(step => step.Id ?? string.Empty).Where(id => !gone.Contains(id)).ToList();
        var ids = new Dictionary<string, string>();
        foreach (var step in steps)
        {
            ids[step.Id!] = taken.Contains(step.Id!) ? ShortName.For(step.Id!, taken) : step.Id!;
            taken.Add(ids[step.Id!]);
        }

        StepDraft[] fresh = [.. steps.Select(step => step with { Id = ids[step.Id!] })];
        var all = places.Draft.Steps!.ToList();
        var at = now.Steps.Count > 0 ? now.Steps[0].At : here.Before is null ? all.IndexOf(here.After) : all.IndexOf(here.Before) + 1;
        var links = (inner ?? []).Select(link => link with { From = ids[link.From!], To = ids[link.To!] }).ToList();
        if (fresh.Length > 0)
        {
            if (here.Before is { } before) links.Add(Between(before, fresh[0], 30));
            if (here.After is { } after) links.Add(Between(fresh[^1], after, within));
        }
        else if (here is { Before: { } from, After: { } to })
        {
            links.Add(now.Links.Count == 1 && now.Steps.Count == 0 ? now.Links[0].Link : Between(from, to, 30));
        }

        // A place is found by its links, so there is always one.
        var firstLink = now.Links[0].At;
        return now with
        {
            Steps = [.. fresh.Select((step, offset) => new PlacedStep(at + offset, step))],
            Links = [.. links.Select((link, offset) => new PlacedLink(firstLink + offset, link))],
        };
    }

    /// <summary>A link; at a wait it holds no minutes.</summary>
    private static LinkDraft Between(StepDraft from, StepDraft to, int within) =>
        new(from.Id, to.Id, 0, from.WaitMost is not null || to.WaitMost is not null ? 0 : within > 0 ? within : 30);

    private static FillingKind KindOf(SchoolPlaces places) =>
        places.MainFilling is >= 0 and var at ? Naming.Read<FillingKind>(places.Draft.Layers![at]!.FillingKind) ?? FillingKind.RawFruit : FillingKind.RawFruit;

    private static BaseTreatment BaseOf(SchoolPlaces places) => Naming.Read<BaseTreatment>(places.Draft.BaseTreatment) ?? BaseTreatment.Plain;

    /// <summary>By what the recipe is called: the school of its base, or where that is raw what it stands on.</summary>
    private static string TreatmentWith(SchoolPlaces places, BaseTreatment treatment) => Naming.Of(
        treatment != BaseTreatment.Plain ? treatment
        : places.PieBake?.HeatedTrayMin > 0 ? BaseTreatment.HotTray
        : Naming.Read<OvenPlace>(places.PieBake?.Place) == OvenPlace.Floor ? BaseTreatment.OvenFloor
        : BaseTreatment.Plain);

    private static StepDraft Wait(string id, string name, int least, int aim, int most, int celsius) => new()
    {
        Id = id,
        Name = name,
        Station = Naming.Of(Station.Cold),
        WaitLeast = least,
        WaitAim = aim,
        WaitMost = most,
        Celsius = celsius,
        Stages = [],
        ReadyWhen = "firm to the touch",
        Caution = string.Empty,
    };
}
