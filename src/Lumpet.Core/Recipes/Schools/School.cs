namespace Lumpet.Core.Recipes.Schools;

/// <summary>Where in its way a pie may be made by one school or another.</summary>
public enum SchoolPlace
{
    /// <summary>How the filling is got ready: raw, cooked first, macerated and boiled down.</summary>
    Filling,

    /// <summary>How shaped dough is chilled.</summary>
    Rest,

    /// <summary>What is done to the base before it is filled.</summary>
    Base,

    /// <summary>What the filled pie stands on in the oven.</summary>
    Tray,

    /// <summary>By which heat it bakes.</summary>
    Heat,
}

/// <summary>A school: a set of steps for one place, that can be exchanged for another set and combined with schools of other places.</summary>
/// <param name="Id">Unique among the schools of its place.</param>
/// <param name="Place">The place.</param>
/// <param name="Name">The name shown.</param>
/// <param name="Why">What speaks for it (common practice, no source).</param>
/// <param name="Set">Its steps, fitted to the way that they are offered to.</param>
public sealed record School(string Id, SchoolPlace Place, string Name, string Why, StepSet Set);

/// <summary>The steps at one place of a way, with everything that ties them to it: put back, they are what they were.</summary>
/// <param name="Steps">Its steps, in order; may be empty.</param>
/// <param name="Links">The links of these steps, to one another and to their neighbours; of no steps the link between the neighbours.</param>
public sealed record StepSet(IReadOnlyList<PlacedStep> Steps, IReadOnlyList<PlacedLink> Links)
{
    /// <summary>What the bake of the filled pie says meanwhile; null where the place does not touch it.</summary>
    public BakeMarks? Bake { get; init; }

    /// <summary>What the main filling is meanwhile; null where the place does not touch it.</summary>
    public FillingMarks? Filling { get; init; }

    /// <summary>The school of a crisp bottom by which the recipe is called meanwhile.</summary>
    public string? BaseTreatment { get; init; }
}

/// <summary>A step and its place in the list.</summary>
/// <param name="At">From 0.</param>
/// <param name="Step">The step.</param>
public sealed record PlacedStep(int At, Steps.Writing.StepDraft Step);

/// <summary>A link and its place in the list.</summary>
/// <param name="At">From 0.</param>
/// <param name="Link">The link.</param>
public sealed record PlacedLink(int At, Steps.Writing.LinkDraft Link);

/// <summary>What a school changes of the bake of the filled pie.</summary>
/// <param name="HeatedTrayMin">Minutes for which its tray is heated; null for a cold tray.</param>
/// <param name="Place">Where it stands; null for any shelf.</param>
/// <param name="Stages">Its stages.</param>
public sealed record BakeMarks(int? HeatedTrayMin, string? Place, IReadOnlyList<Steps.Writing.StageDraft?>? Stages);

/// <summary>What a school changes of the main filling.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="PackedDensity">How it packs.</param>
/// <param name="ReducedPercent">What boiling down leaves of it.</param>
public sealed record FillingMarks(string? Kind, double? PackedDensity, double? ReducedPercent);
