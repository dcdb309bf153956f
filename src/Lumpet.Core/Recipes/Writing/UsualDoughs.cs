namespace Lumpet.Core.Recipes.Writing;

/// <summary>The usual dough families as a start for one's own. Proportions and times are common practice, no source.</summary>
public static class UsualDoughs
{
    private const string RawFlour = "Do not taste raw dough: raw flour carries pathogens.";
    private const string RawFlourAndEgg = "Do not taste raw dough: raw flour and raw egg carry pathogens.";

    /// <summary>One draft for each family; each of about 1 kg.</summary>
    public static IReadOnlyList<DoughDraft> All { get; } =
    [
        new("Flaky 3-2-1", "480 g Flour\n320 g Butter, cold, cubed\n160 g Water, ice-cold\n8 g Salt", 1.2, 1, 30, 60, 90, 2880, "a pinch holds together; flecks of butter the size of peas still show", RawFlour),
        new("Very rich flaky", "400 g Flour\n400 g Butter, cold, cubed\n200 g Water, ice-cold\n8 g Salt", 1.2, 1, 35, 90, 120, 2880, "butter lies in flat flakes; folded once, it holds without sticking", RawFlour),
        new("Folded", "480 g Flour\n320 g Butter, cold, in big pieces\n160 g Water, ice-cold\n8 g Salt", 1.2, 1, 120, 60, 120, 2880, "three folds done, each after half an hour in the cold; layers show at the cut edge", RawFlour),
        new("Short crust 2-1", "520 g Flour\n260 g Butter, cold, cubed\n80 g Icing sugar\n90 g Egg, beaten\n4 g Salt", 1.2, 1, 25, 30, 60, 2880, "crumbs that press into one piece without a crack", RawFlourAndEgg),
        new("Sweet tart dough", "460 g Flour\n230 g Butter, cold, cubed\n184 g Icing sugar\n50 g Egg, beaten\n2 g Salt", 1.2, 1, 25, 30, 60, 2880, "like cornmeal before the egg, one smooth piece after it", RawFlourAndEgg),
        new("Egg-bound", "500 g Flour\n333 g Butter, cold, cubed\n150 g Egg, beaten\n6 g Salt", 1.2, 1, 25, 30, 60, 2880, "it leaves the side of the bowl in one piece", RawFlourAndEgg),
    ];
}
