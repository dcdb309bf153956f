using Lumpet.Core.Steps;

namespace Lumpet.Core.Preparations;

/// <summary>Where something waits between being made and being used.</summary>
public enum KeepPlace
{
    /// <summary>At room temperature.</summary>
    Room,

    /// <summary>In the fridge.</summary>
    Cold,

    /// <summary>In the freezer.</summary>
    Frozen,
}

/// <summary>How long something keeps in one place.</summary>
/// <param name="Place">The place.</param>
/// <param name="LeastMin">Least minutes that it needs there before it is used; 0 for none.</param>
/// <param name="MostMin">Most minutes that it keeps there.</param>
public sealed record KeptIn(KeepPlace Place, int LeastMin, int MostMin);

/// <summary>How something keeps once it is made.</summary>
/// <param name="Place">Where a plan keeps it.</param>
/// <param name="Hold">Minutes there: the least that it needs, what is wanted before it is used, and what it bears.</param>
/// <param name="BeforeUse">What is done to it again before it is used: stirred, whipped, warmed; empty for nothing.</param>
public sealed record Keeping(KeepPlace Place, Span Hold, string BeforeUse)
{
    private const int ColdC = 4;

    /// <summary>Id of the wait where a plan keeps it; no step that a person writes holds a colon.</summary>
    public const string KeepId = ":keep";

    /// <summary>Id of the wait in which it thaws.</summary>
    public const string ThawId = ":thaw";

    /// <summary>The other places in which it keeps, each at most once; no plan keeps it there.</summary>
    public IReadOnlyList<KeptIn> Elsewhere { get; init; } = [];

    /// <summary>Minutes in the fridge between the freezer and its use; 0 where it is used frozen or never frozen.</summary>
    public int ThawMin { get; init; }

    /// <summary>Every place in which it keeps, the warmest first.</summary>
    public IReadOnlyList<KeptIn> Places => [.. Elsewhere.Append(new KeptIn(Place, Hold.Least, Hold.Most)).OrderBy(kept => kept.Place)];

    /// <summary>Minutes from its last step to its use: where it is kept, and what it takes to thaw.</summary>
    public Span ToUse => Thaw is { } thaw ? Hold.Then(thaw) : Hold;

    /// <summary>The waits between its last step and its use: where a plan keeps it, then the fridge in which it thaws.</summary>
    public IReadOnlyList<Step> Waits => Thaw is { } thaw
        ? [Wait(KeepId, "Keep frozen", Hold, -18, string.Empty), Wait(ThawId, "Thaw in the fridge", thaw, ColdC, Sign)]
        : [Place switch
        {
            KeepPlace.Room => Wait(KeepId, "Keep at room temperature", Hold, 20, Sign),
            KeepPlace.Cold => Wait(KeepId, "Keep cold", Hold, ColdC, Sign),
            _ => Wait(KeepId, "Keep frozen", Hold, -18, Sign),
        }];

    /// <summary>Thawed it keeps as long as it would have in the fridge.</summary>
    private Span? Thaw => Place != KeepPlace.Frozen || ThawMin == 0 ? null
        : new Span(ThawMin, ThawMin, ThawMin + (Elsewhere.SingleOrDefault(kept => kept.Place == KeepPlace.Cold)?.MostMin ?? 0));

    private string Sign => BeforeUse.Length == 0 ? string.Empty : $"before use: {BeforeUse}";

    // A fridge by FDA Food Code 2022, 3-501.16, 5 °C or below: kitchens set 4.
    private static Step Wait(string id, string name, Span wait, int celsius, string readyWhen) =>
        new(id, name, celsius > ColdC ? Station.Rack : Station.Cold, null, [], wait, celsius, false, readyWhen, string.Empty);
}
