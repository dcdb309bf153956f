namespace Lumpet.Core.Recipes.Judging;

/// <summary>One finding about a dough.</summary>
/// <param name="Part">"fat", "water and egg", "sugar", "ground nuts" or "baking powder".</param>
/// <param name="Percent">Share of the flour.</param>
/// <param name="Least">The least that is usual for the family.</param>
/// <param name="Most">The most that is usual.</param>
/// <param name="Expect">What to expect where it lies outside; empty where it is usual.</param>
public sealed record DoughFinding(string Part, double Percent, double Least, double Most, string Expect)
{
    /// <summary>Whether it lies within what is usual.</summary>
    public bool IsUsual => Expect.Length == 0;
}

/// <summary>Judges a dough by what is usual for its family. Ranges and effects are common practice, no source.</summary>
public static class DoughJudgement
{
    /// <summary>Findings, one for each part that counts in its family; none for a dough that is bought in.</summary>
    public static IReadOnlyList<DoughFinding> Of(DoughFormula dough) => DoughRatio.Of(dough) is not { } ratio
        ? []
        : [.. new[]
        {
            Judge("fat", ratio.FatPercent, Usual(dough.Method.Family).Fat, "tender but softens fast: roll it cold, chill often", "firm and less flaky, may be tough"),
            Judge("water and egg", ratio.LiquidPercent, Usual(dough.Method.Family).Liquid, "sticky, springs back and shrinks: rest it longer", "dry, cracks at the edge: add held-back water by the spoon"),
            Judge("sugar", ratio.SugarPercent, Usual(dough.Method.Family).Sugar, "crisp, browns fast and sticks: lower heat", "paler and less sweet than its family"),
            Judge("ground nuts", ratio.NutPercent, Usual(dough.Method.Family).Nuts, "breaks when it is lifted: press it in", "tastes of little nut"),
            Judge("baking powder", ratio.RaisingPercent, Usual(dough.Method.Family).Raising, "swells over the rim", "dense, not cake-like"),
        }.OfType<DoughFinding>()];

    private static DoughFinding? Judge(string part, double percent, (double Least, double Most) usual, string above, string below)
    {
        if (usual == (0, 0) && percent == 0) return null;
        var expect = percent > usual.Most + Hair ? above : percent < usual.Least - Hair ? below : string.Empty;
        return new DoughFinding(part, percent, usual.Least, usual.Most, expect);
    }

    // Half a per cent is within what a scale and a bag of flour do.
    private const double Hair = 0.5;

    private static Range Usual(DoughFamily family) => family switch
    {
        DoughFamily.VeryRich => new((90, 110), (40, 58)),
        DoughFamily.Folded => new((58, 95), (28, 48)),
        DoughFamily.Smeared => new((58, 90), (28, 45)),
        DoughFamily.Short => new((42, 60), (8, 24)) { Sugar = (5, 25) },
        DoughFamily.SweetTart => new((42, 60), (8, 18)) { Sugar = (28, 50) },
        DoughFamily.EggBound => new((58, 75), (20, 40)) { Sugar = (0, 20) },
        DoughFamily.NutEnriched => new((45, 80), (8, 35)) { Sugar = (0, 40), Nuts = (10, 50) },
        DoughFamily.Raised => new((40, 60), (15, 40)) { Sugar = (20, 50), Raising = (0.5, 3) },
        _ => new((55, 80), (25, 40)) { Sugar = (0, 5) },
    };

    private sealed record Range((double Least, double Most) Fat, (double Least, double Most) Liquid)
    {
        public (double Least, double Most) Sugar { get; init; }

        public (double Least, double Most) Nuts { get; init; }

        public (double Least, double Most) Raising { get; init; }
    }

    /// <summary>A family in words.</summary>
    public static string Name(DoughFamily family) => family switch
    {
        DoughFamily.Flaky => "flaky 3-2-1",
        DoughFamily.VeryRich => "very rich flaky",
        DoughFamily.Smeared => "smeared or stacked",
        DoughFamily.Short => "short crust",
        DoughFamily.SweetTart => "sweet tart dough",
        DoughFamily.EggBound => "egg-bound",
        DoughFamily.MixedFat => "mixed fat",
        DoughFamily.NutEnriched => "nut-enriched",
        DoughFamily.Raised => "raised crostata",
        DoughFamily.BoughtIn => "bought in",
        _ => Naming.Of(family),
    };
}
