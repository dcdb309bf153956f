using Lumpet.Core.Baking;

namespace Lumpet.Core.Steps;

/// <summary>Where a step is done.</summary>
public enum Station
{
    /// <summary>The mixer.</summary>
    Dough,

    /// <summary>The burners.</summary>
    Pot,

    /// <summary>The bench.</summary>
    Bench,

    /// <summary>Fridge or freezer.</summary>
    Cold,

    /// <summary>An oven.</summary>
    Oven,

    /// <summary>The cooling rack.</summary>
    Rack,

    /// <summary>Where pies are finished.</summary>
    Finish,

    /// <summary>Where pies are boxed.</summary>
    Box,
}

/// <summary>
/// A step of a product after its dough has rested. A step has hands (someone works), a bake (an oven works) or a wait
/// (time works); exactly one of the three.
/// </summary>
/// <param name="Id">Short name, unique in its product.</param>
/// <param name="Name">What is done, as the crew says it.</param>
/// <param name="Station">Where.</param>
/// <param name="Hands">Minutes of work, or null where nobody works.</param>
/// <param name="Stages">Stages of the bake; empty where it is no bake.</param>
/// <param name="Wait">Minutes of waiting, or null where nothing waits.</param>
/// <param name="Celsius">Temperature of the place, for the eye; null for a bake, which has its stages.</param>
/// <param name="UsesDough">Whether this step takes the rested discs.</param>
/// <param name="ReadyWhen">The sensory test; empty where there is none.</param>
/// <param name="Caution">What can hurt; empty where nothing.</param>
public sealed record Step(
    string Id,
    string Name,
    Station Station,
    Hands? Hands,
    IReadOnlyList<BakeStage> Stages,
    Span? Wait,
    int? Celsius,
    bool UsesDough,
    string ReadyWhen,
    string Caution)
{
    /// <summary>What is done where the sensory test fails; empty where nothing is said.</summary>
    public string Cure { get; init; } = string.Empty;

    /// <summary>The sensory test, and what is done where it fails: "no grey patches; if not, 5 min more, bare".</summary>
    public string Sign => Cures.Sign(ReadyWhen, Cure);

    /// <summary>Whether this step is a bake.</summary>
    public bool IsBake => Stages.Count > 0;

    /// <summary>What a bake bakes; meaningless for other steps.</summary>
    public BakeOf Bakes { get; init; }

    /// <summary>Where a bake stands in the oven.</summary>
    public OvenPlace Place { get; init; }

    /// <summary>The temperature of each stage as the recipe gives it ("425 °F", "200 °C fan"), empty for plain degrees Celsius; none at all where every one is.</summary>
    public IReadOnlyList<string> TemperaturesWritten { get; init; } = [];

    /// <summary>Minutes for which empty trays are heated in the oven before the bake stands on them; 0 for cold trays.</summary>
    public int HeatedTrayMin { get; init; }

    /// <summary>Minutes into the bake at which the weights come out; null where there are none.</summary>
    public int? WeightsOutMin { get; init; }

    /// <summary>Whether the trays of the bake are turned half-way: ovens heat unevenly.</summary>
    public bool Turned { get; init; }

    /// <summary>What else is done to a bake while it is in the oven, in the order written.</summary>
    public IReadOnlyList<OvenHandwork> Handwork { get; init; } = [];

    /// <summary>Whether this step brushes the raw base so that no juice gets in.</summary>
    public bool Seals { get; init; }

    /// <summary>Ids of things made first that this step takes, where a person says so; otherwise their part of the recipe tells.</summary>
    public IReadOnlyList<string> Takes { get; init; } = [];

    /// <summary>Most minutes of a bake, all stages together.</summary>
    public int MostBakeMin => Stages.Sum(stage => stage.MaxMin);
}

/// <summary>What lies in the oven during a bake.</summary>
public enum BakeOf
{
    /// <summary>Filled pies.</summary>
    Pie,

    /// <summary>Empty shells.</summary>
    Shell,

    /// <summary>The top of a pie that is done otherwise: meringue to be browned.</summary>
    Top,

    /// <summary>Something that goes into the pies later: roots to roast, nuts to toast.</summary>
    Preparation,
}

/// <summary>Where trays stand in an oven.</summary>
public enum OvenPlace
{
    /// <summary>On any shelf.</summary>
    Shelf,

    /// <summary>On the oven's floor, for heat from below.</summary>
    Floor,

    /// <summary>Low in the oven.</summary>
    Low,

    /// <summary>High in the oven.</summary>
    Top,
}

/// <summary>Minutes of work: a part per batch, and a part per pie; of something made before the pies, per kilogram.</summary>
/// <param name="PerBatch">Whatever the count; at least 0.</param>
/// <param name="PerPie">For each pie or kilogram; at least 0.</param>
public sealed record Hands(int PerBatch, double PerPie)
{
    /// <summary>The most pies or kilograms at once, what one pot holds; null where nothing limits it. More of them are so many batches.</summary>
    public int? AtOnce { get; init; }

    /// <summary>Whole minutes for so many pies or kilograms, rounded up; at least 1.</summary>
    public int For(double pieces) => Math.Max(1, (int)Math.Ceiling((PerBatch * Batches(pieces)) + (PerPie * pieces) - 1e-9));

    /// <summary>In how many batches so many are done; 1 where nothing limits them.</summary>
    public int Batches(double pieces) => AtOnce is { } most ? Math.Max(1, (int)Math.Ceiling((pieces / most) - 1e-9)) : 1;

    /// <summary>Whole minutes for so many right after others of the same, rounded up; at least 1. What a batch takes whatever the count is paid already.</summary>
    public int Onward(double pieces) => Math.Max(1, (int)Math.Ceiling((PerPie * pieces) - 1e-9));
}

/// <summary>One step after another, with the least and the most minutes between end and start.</summary>
/// <param name="Before">Id of the earlier step.</param>
/// <param name="After">Id of the later step.</param>
/// <param name="Lag">Minutes between; for a link to or from a wait 0 to 0, since the wait holds the minutes.</param>
public sealed record Link(string Before, string After, Span Lag)
{
    /// <summary>What else binds the later step to the earlier one.</summary>
    public LinkKind Kind { get; init; }
}

/// <summary>How a step follows another.</summary>
public enum LinkKind
{
    /// <summary>After it, within the minutes between.</summary>
    After,

    /// <summary>While it bakes: the later step begins and ends while the earlier one is in the oven, the least minutes into it.</summary>
    During,

    /// <summary>The earlier step is done on a day before the later one.</summary>
    DayBefore,

    /// <summary>The later step is done as late as the pick-up allows, and what follows it after that.</summary>
    AtPickUp,
}

/// <summary>The steps of a product and how they follow one another. The last step is the one that nothing follows.</summary>
/// <param name="Steps">In an order in which each comes after all that it needs.</param>
/// <param name="Links">Between them.</param>
public sealed record ProcessNetwork(IReadOnlyList<Step> Steps, IReadOnlyList<Link> Links);
