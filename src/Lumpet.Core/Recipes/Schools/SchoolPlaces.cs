using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Schools;

/// <summary>Finds the places of a written way from how its steps follow one another, whatever they are called.</summary>
internal sealed class SchoolPlaces
{
    private readonly StepDraft[] steps;
    private readonly LinkDraft[] links;
    private readonly StepDraft[] doughLine;
    private readonly StepDraft? fill;

    /// <summary>The places of a draft's way.</summary>
    public SchoolPlaces(ProductDraft draft)
    {
        Draft = draft;
        steps = [.. (draft.Steps ?? []).OfType<StepDraft>()];
        links = [.. (draft.Links ?? []).OfType<LinkDraft>()];
        doughLine = DoughLine();
        fill = doughLine.FirstOrDefault(step => Into(step).Length > 1);
        PieBake = doughLine.SkipWhile(step => step != fill).FirstOrDefault(IsBake);
    }

    /// <summary>The draft.</summary>
    public ProductDraft Draft { get; }

    /// <summary>The first bake of the filled pie; null where it is not baked filled.</summary>
    public StepDraft? PieBake { get; }

    /// <summary>Place in the draft of its main filling, by written room as it is usual: the filling that fills the room; -1 where none does.</summary>
    public int MainFilling => (Draft.Layers ?? []).ToList().FindIndex(layer =>
        Naming.Read<PartKind>(layer?.Part) is null or PartKind.Filling && layer is not null && Naming.Read<LayerLaw>(layer.Law) is null or LayerLaw.Room);

    /// <summary>The steps at a place with their neighbours; null where the way has no such place.</summary>
    public (StepDraft[] Steps, StepDraft? Before, StepDraft? After)? At(SchoolPlace place) => place switch
    {
        SchoolPlace.Filling => OfFilling(),
        SchoolPlace.Rest => OfRest(),
        SchoolPlace.Base => OfBase(),
        SchoolPlace.Tray => OfTray(),
        _ => PieBake is null ? null : ([], null, null),
    };

    /// <summary>What stands at a place now; null where the way has no such place.</summary>
    public StepSet? Now(SchoolPlace place)
    {
        if (At(place) is not { } found) return null;
        var ids = found.Steps.Select(step => step.Id).ToHashSet();
        bool IsIts(LinkDraft link) => ids.Count > 0 ? ids.Contains(link.From) || ids.Contains(link.To)
            : found.Before is not null && found.After is not null && link.From == found.Before.Id && link.To == found.After.Id;
        return new StepSet(
            [.. steps.Select((step, at) => new PlacedStep(at, step)).Where(one => found.Steps.Contains(one.Step))],
            [.. links.Select((link, at) => new PlacedLink(at, link)).Where(one => IsIts(one.Link))])
        {
            Bake = place is SchoolPlace.Tray or SchoolPlace.Heat ? new BakeMarks(PieBake!.HeatedTrayMin, PieBake.Place, PieBake.Stages) : null,
            Filling = place == SchoolPlace.Filling ? Draft.Layers![MainFilling] is { } layer ? new FillingMarks(layer.FillingKind, layer.PackedDensity, layer.ReducedPercent) : null : null,
            BaseTreatment = Draft.BaseTreatment,
        };
    }

    /// <summary>Everything that leads to the step that fills and holds no dough; there must be one way only.</summary>
    private (StepDraft[] Steps, StepDraft? Before, StepDraft? After)? OfFilling()
    {
        if (fill is null || MainFilling < 0) return null;
        var found = new List<StepDraft>();
        var open = new Stack<StepDraft>(Into(fill).Where(step => !doughLine.Contains(step)));
        if (open.Count != 1) return null;
        while (open.TryPop(out var step))
        {
            if (Onward(step).Length > 1 || Into(step).Length > 1 || links.Any(link => link.To == step.Id && !Carries(link))) return null;
            found.Add(step);
            foreach (var before in Into(step)) open.Push(before);
        }

        return ([.. steps.Where(found.Contains)], null, fill);
    }

    /// <summary>The waits right after the dough is shaped.</summary>
    private (StepDraft[] Steps, StepDraft? Before, StepDraft? After)? OfRest()
    {
        if (doughLine.Length < 2) return null;
        StepDraft[] waits = [.. doughLine.Skip(1).TakeWhile(step => IsWait(step) && step != fill)];
        return waits.Length == 0 || doughLine.Length <= waits.Length + 1 ? null : (waits, doughLine[0], doughLine[waits.Length + 1]);
    }

    /// <summary>What lies between the chilled shell and the step that fills.</summary>
    private (StepDraft[] Steps, StepDraft? Before, StepDraft? After)? OfBase()
    {
        if (fill is null || OfRest() is not { } rest) return null;
        var from = rest.Steps.Length;
        var to = Array.IndexOf(doughLine, fill);
        return to <= from ? null : (doughLine[(from + 1)..to], doughLine[from], fill);
    }

    /// <summary>The work between the filled pie and its oven that sets it on a tray heated there.</summary>
    private (StepDraft[] Steps, StepDraft? Before, StepDraft? After)? OfTray()
    {
        if (PieBake is null) return null;
        var at = Array.IndexOf(doughLine, PieBake);
        var door = doughLine[at - 1];
        return PieBake.HeatedTrayMin > 0 && door != fill && !IsWait(door) && !IsBake(door) && at > 1
            ? ([door], doughLine[at - 2], PieBake)
            : ([], door, PieBake);
    }

    /// <summary>From the step that first takes the dough, step by step, as far as one leads to one.</summary>
    private StepDraft[] DoughLine()
    {
        var line = new List<StepDraft>();
        for (var step = steps.FirstOrDefault(step => step.UsesDough); step is not null && !line.Contains(step); step = Onward(step) is [var only] ? only : null) line.Add(step);
        return [.. line];
    }

    private StepDraft[] Into(StepDraft step) => [.. links.Where(link => link.To == step.Id && Carries(link)).Select(link => Find(link.From)).OfType<StepDraft>()];

    private StepDraft[] Onward(StepDraft step) => [.. links.Where(link => link.From == step.Id && Carries(link)).Select(link => Find(link.To)).OfType<StepDraft>()];

    private StepDraft? Find(string? id) => steps.FirstOrDefault(step => step.Id == id);

    private static bool Carries(LinkDraft link) => Naming.Read<LinkKind>(link.Kind) != LinkKind.During;

    private static bool IsWait(StepDraft step) => step.WaitLeast is not null || step.WaitAim is not null || step.WaitMost is not null;

    private static bool IsBake(StepDraft step) => step.Stages is { Count: > 0 };
}
