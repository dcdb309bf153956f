namespace Lumpet.Core.Steps.Writing;

/// <summary>A step as written: hands, stages or a wait.</summary>
public sealed record StepDraft
{
    /// <summary>Short name, unique in the product.</summary>
    public string? Id { get; init; }

    /// <summary>What is done.</summary>
    public string? Name { get; init; }

    /// <summary>"dough", "pot", "bench", "cold", "oven", "rack", "finish" or "box".</summary>
    public string? Station { get; init; }

    /// <summary>Minutes of hands whatever the count.</summary>
    public int? PerBatch { get; init; }

    /// <summary>Minutes of hands a pie; of a preparation, a kilogram of what is weighed.</summary>
    public double? PerPie { get; init; }

    /// <summary>Least minutes of a wait.</summary>
    public int? WaitLeast { get; init; }

    /// <summary>Minutes of a wait that are aimed for.</summary>
    public int? WaitAim { get; init; }

    /// <summary>Most minutes of a wait.</summary>
    public int? WaitMost { get; init; }

    /// <summary>Temperature of the place; null for a bake.</summary>
    public int? Celsius { get; init; }

    /// <summary>Stages of a bake.</summary>
    public IReadOnlyList<StageDraft?>? Stages { get; init; }

    /// <summary>Whether it takes the rested discs.</summary>
    public bool UsesDough { get; init; }

    /// <summary>The sensory test.</summary>
    public string? ReadyWhen { get; init; }

    /// <summary>What is done where that test fails.</summary>
    public string? Cure { get; init; }

    /// <summary>What can hurt.</summary>
    public string? Caution { get; init; }

    /// <summary>What a bake bakes, one of the names of <see cref="BakeOf"/>; null where its place among the steps tells.</summary>
    public string? Bakes { get; init; }

    /// <summary>Where a bake stands, one of the names of <see cref="OvenPlace"/>; null for any shelf.</summary>
    public string? Place { get; init; }

    /// <summary>Minutes for which the empty trays are heated before a bake; null or 0 for cold trays.</summary>
    public int? HeatedTrayMin { get; init; }

    /// <summary>Minutes into a bake at which the weights come out; null where there are none.</summary>
    public int? WeightsOutMin { get; init; }

    /// <summary>Whether the trays of a bake are turned half-way.</summary>
    public bool Turned { get; init; }

    /// <summary>What else is done while a bake is in the oven, one thing a line: "20 min: shield the rim", or a sign and what is done then.</summary>
    public string? Handwork { get; init; }

    /// <summary>Names of things made here that this step takes, separated by semicolons; null where their part of the recipe tells.</summary>
    public string? Takes { get; init; }

    /// <summary>Whether this step brushes the raw base so that no juice gets in.</summary>
    public bool Seals { get; init; }
}

/// <summary>A stage as written.</summary>
/// <param name="TempC">Its temperature.</param>
/// <param name="Least">Least minutes.</param>
/// <param name="Most">Most minutes.</param>
/// <param name="Written">The temperature as a recipe gives it ("425 °F", "200 °C fan"), which then stands for its own; null for plain degrees Celsius.</param>
public sealed record StageDraft(int? TempC, int? Least, int? Most, string? Written = null);

/// <summary>A link as written.</summary>
/// <param name="From">Id of the earlier step.</param>
/// <param name="To">Id of the later step.</param>
/// <param name="Least">Least minutes between; 0 where a wait stands between.</param>
/// <param name="Most">Most minutes between; 0 where a wait stands between.</param>
/// <param name="Kind">One of the names of <see cref="LinkKind"/>; null for after.</param>
public sealed record LinkDraft(string? From, string? To, int? Least, int? Most, string? Kind = null);
