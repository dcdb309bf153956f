using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>A dough as a person writes it; anything may be missing or wrong until <see cref="DoughReader"/> has read it.</summary>
public sealed record DoughDraft
{
    /// <summary>Its name.</summary>
    public string? Name { get; init; }

    /// <summary>One ingredient a line, amounts by weight; they give the proportions.</summary>
    public string? Lines { get; init; }

    /// <summary>Grams per millilitre when rolled.</summary>
    public double? Density { get; init; }

    /// <summary>Share of a batch that stays in the bowl.</summary>
    public double? BowlLossPercent { get; init; }

    /// <summary>Minutes to scale, mix and divide a batch.</summary>
    public int? MixMin { get; init; }

    /// <summary>Least minutes of rest, cold.</summary>
    public int? RestLeast { get; init; }

    /// <summary>Minutes of rest that are aimed for.</summary>
    public int? RestAim { get; init; }

    /// <summary>Most minutes of rest.</summary>
    public int? RestMost { get; init; }

    /// <summary>The sign that mixing is done.</summary>
    public string? ReadyWhen { get; init; }

    /// <summary>What is done where that sign does not come.</summary>
    public string? Cure { get; init; }

    /// <summary>What can hurt.</summary>
    public string? Caution { get; init; }

    /// <summary>One of the names of <see cref="DoughFamily"/>; null for flaky.</summary>
    public string? Family { get; init; }

    /// <summary>Share of the water that is held back.</summary>
    public double? HeldBackPercent { get; init; }

    /// <summary>Size of the fat to look for.</summary>
    public string? FatSize { get; init; }

    /// <summary>How often it is rolled and folded or stacked.</summary>
    public int? Turns { get; init; }

    /// <summary>Hands' minutes for one turn of a batch; null for what is usual.</summary>
    public int? TurnMin { get; init; }

    /// <summary>Minutes of cold rest after each turn.</summary>
    public int? TurnRestMin { get; init; }

    /// <summary>Thinnest it is rolled to.</summary>
    public double? ThinnestMm { get; init; }

    /// <summary>Thickest it is rolled to.</summary>
    public double? ThickestMm { get; init; }

    /// <summary>Days it keeps in the fridge.</summary>
    public int? KeepsColdDays { get; init; }

    /// <summary>Days it keeps frozen.</summary>
    public int? KeepsFrozenDays { get; init; }
}

/// <summary>A product as a person writes it; anything may be missing or wrong until <see cref="ProductReader"/> has read it.</summary>
public sealed record ProductDraft
{
    /// <summary>Its name.</summary>
    public string? Name { get; init; }

    /// <summary>Other words for it, separated by commas.</summary>
    public string? Aliases { get; init; }

    /// <summary>Id of its dough.</summary>
    public string? Dough { get; init; }

    /// <summary>Id of the dough of lid, strips or cut-outs; null where it is the same.</summary>
    public string? TopDough { get; init; }

    /// <summary>To which that is rolled; null where it is as thick as the base.</summary>
    public double? TopThicknessMm { get; init; }

    /// <summary>One of the names of <see cref="Recipes.Top"/>.</summary>
    public string? Top { get; init; }

    /// <summary>To which the dough is rolled.</summary>
    public double? ThicknessMm { get; init; }

    /// <summary>Overhang of the base beyond the rim, on one side.</summary>
    public double? BaseOverhangCm { get; init; }

    /// <summary>Overhang of lid or strips, on one side.</summary>
    public double? TopOverhangCm { get; init; }

    /// <summary>Share of a disc that is trimmed off.</summary>
    public double? TrimPercent { get; init; }

    /// <summary>Width of a lattice strip.</summary>
    public double? StripWidthCm { get; init; }

    /// <summary>Gap between strips.</summary>
    public double? StripGapCm { get; init; }

    /// <summary>How far its middle moves in the bake; below 0 sinks.</summary>
    public double? BakeChangeCm { get; init; }

    /// <summary>Id of the pan for which it is written.</summary>
    public string? ReferencePan { get; init; }

    /// <summary>Minutes from the last bake to the pick-up, at most.</summary>
    public int? OldestMin { get; init; }

    /// <summary>Its fillings from the floor up, then what lies on them, is brushed on or served beside.</summary>
    public IReadOnlyList<LayerDraft?>? Layers { get; init; }

    /// <summary>What is counted by the pie, one thing a line: box, label.</summary>
    public string? Packaging { get; init; }

    /// <summary>The pans it is made in, and its price in each.</summary>
    public IReadOnlyList<SizeDraft?>? Sizes { get; init; }

    /// <summary>How it is made.</summary>
    public IReadOnlyList<StepDraft?>? Steps { get; init; }

    /// <summary>Which step follows which.</summary>
    public IReadOnlyList<LinkDraft?>? Links { get; init; }

    /// <summary>One of the names of <see cref="Recipes.BaseTreatment"/>; null for plain.</summary>
    public string? BaseTreatment { get; init; }

    /// <summary>One of the names of <see cref="Recipes.Lining"/>; null for one piece.</summary>
    public string? Lining { get; init; }

    /// <summary>Across a cut-out.</summary>
    public double? CutOutCm { get; init; }

    /// <summary>Cut-outs on a pie in the reference pan.</summary>
    public int? CutOuts { get; init; }

    /// <summary>Whether cut-outs are made from the base's trim as far as it goes; null for yes.</summary>
    public bool? CutOutsFromTrim { get; init; }

    /// <summary>How often the scraps of small rounds are rolled again.</summary>
    public int? Rerolls { get; init; }

    /// <summary>Dough portioned for a pie in the reference pan, trim included, from which the thickness follows; null where thicknesses are written.</summary>
    public double? DoughGrams { get; init; }

    /// <summary>Share of that dough for the base below a lid or a lattice; the rest lies on top. Null for half.</summary>
    public double? BaseSharePercent { get; init; }

    /// <summary>One of the names of <see cref="Recipes.ShareGives"/>: what follows on top; null for thickness.</summary>
    public string? ShareGives { get; init; }

    /// <summary>The sheet that is cut into the strips of the lattice: "30 x 40 into 16"; null where strips and gaps are written.</summary>
    public string? StripSheet { get; init; }

    /// <summary>Sides of the sheet from which small rounds, wall strips and cut-outs are cut, in centimetres: "60 x 40"; null for that.</summary>
    public string? Sheet { get; init; }

    /// <summary>Whether overhangs are counted from the inner edge of the wall, rim included; null for from the rim's outer edge.</summary>
    public bool? OverhangFromWall { get; init; }

    /// <summary>What a person should still look at, one thing a line: doubtful lines of a recipe that was taken in from elsewhere.</summary>
    public string? Review { get; init; }

    /// <summary>
    /// What the manager states where the steps leave the cold longer than the rule for time and temperature allows: who
    /// assessed it, how, and when; null where nothing was assessed.
    /// </summary>
    public string? Assessment { get; init; }

    /// <summary>Whether the manager accepts glass or earthenware going from the freezer into a hot oven.</summary>
    public bool? GlassFromFreezer { get; init; }
}

/// <summary>A layer as written.</summary>
public sealed record LayerDraft
{
    /// <summary>"filling", "topping", "finish" or "beside"; null for a filling.</summary>
    public string? Part { get; init; }

    /// <summary>What the bakery calls it; null where its part says enough.</summary>
    public string? Name { get; init; }

    /// <summary>One of the names of <see cref="LayerLaw"/>; null for what is usual for its part.</summary>
    public string? Law { get; init; }

    /// <summary>One ingredient a line, for one pie in the reference pan.</summary>
    public string? Lines { get; init; }

    /// <summary>One of the names of <see cref="Recipes.FillingKind"/>; null for raw fruit. Says nothing of what is no filling.</summary>
    public string? FillingKind { get; init; }

    /// <summary>Grams per millilitre as packed, of a filling.</summary>
    public double? PackedDensity { get; init; }

    /// <summary>What boiling down leaves of the weight of the lines; null where nothing is boiled down.</summary>
    public double? ReducedPercent { get; init; }

    /// <summary>What of that goes into the pan, after what stays in the pot; null for all of it.</summary>
    public double? KeptPercent { get; init; }

    /// <summary>Pieces on a pie in the reference pan, where it goes by the piece.</summary>
    public int? Pieces { get; init; }
}

/// <summary>A size as written.</summary>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Price">Selling price; null where none is set.</param>
/// <param name="Packaging">What is counted by the pie in this size only, one thing a line; null for nothing beside what every size has.</param>
/// <param name="BakeLeast">Least minutes of its last bake in this size; null where it bakes as the steps say.</param>
/// <param name="BakeMost">Most minutes of it.</param>
public sealed record SizeDraft(string? Pan, decimal? Price, string? Packaging = null, int? BakeLeast = null, int? BakeMost = null);
