namespace Lumpet.Core.Recipes.Writing;

/// <summary>The usual dough families as a start for one's own. Proportions, times and keeping are common practice, no source.</summary>
public static class UsualDoughs
{
    /// <summary>One draft for each family; each of about 1 kg.</summary>
    public static IReadOnlyList<DoughDraft> All { get; } =
    [
        Of("Flaky 3-2-1", DoughFamily.Flaky, "480 g Flour, plain\n320 g Butter, unsalted, cold, cubed\n160 g Water, ice-cold\n8 g Salt, fine", 30, 60, 90, "a pinch holds together; flecks of butter the size of peas still show", 20, "peas"),
        Of("Very rich flaky", DoughFamily.VeryRich, "400 g Flour, plain\n400 g Butter, unsalted, cold, cubed\n200 g Water, ice-cold\n8 g Salt, fine", 35, 90, 120, "butter lies in flat flakes; folded once, it holds without sticking", 15, "flat flakes", turns: 1, turnRest: 30),
        Of("Folded", DoughFamily.Folded, "480 g Flour, plain\n320 g Butter, unsalted, cold, in big pieces\n160 g Water, ice-cold\n8 g Salt, fine", 40, 60, 120, "three folds done; layers show at the cut edge", 15, "hazelnuts", turns: 3, turnRest: 30),
        Of("Smeared and stacked", DoughFamily.Smeared, "480 g Flour, plain\n320 g Butter, unsalted, cold, sliced\n160 g Water, ice-cold\n8 g Salt, fine", 40, 60, 120, "quartered and stacked; long thin sheets of butter at the cut edge", 15, "sheets", turns: 2, turnRest: 20),
        Of("Short crust 2-1", DoughFamily.Short, "520 g Flour, plain\n260 g Butter, unsalted, cold, cubed\n80 g Icing sugar\n90 g Egg, beaten\n4 g Salt, fine", 25, 30, 60, "crumbs that press into one piece without a crack", 0, "crumbs"),
        Of("Sweet tart dough", DoughFamily.SweetTart, "460 g Flour, plain\n230 g Butter, unsalted, cold, cubed\n184 g Icing sugar\n50 g Egg, beaten\n2 g Salt, fine", 25, 30, 60, "like cornmeal before the egg, one smooth piece after it", 0, "cornmeal", frozen: 90),
        Of("Egg-bound", DoughFamily.EggBound, "500 g Flour, plain\n333 g Butter, unsalted, cold, cubed\n150 g Egg, beaten\n6 g Salt, fine", 25, 30, 60, "it leaves the side of the bowl in one piece", 0, "crumbs"),
        Of("Mixed fat", DoughFamily.MixedFat, "480 g Flour, plain\n200 g Butter, unsalted, cold, cubed\n120 g Lard, cold, cubed\n160 g Water, ice-cold\n8 g Salt, fine", 30, 60, 90, "butter as peas, lard as crumbs; a pinch holds together", 20, "peas and crumbs"),
        Of("Nut-enriched", DoughFamily.NutEnriched, "380 g Flour, plain\n120 g Hazelnuts, ground\n260 g Butter, unsalted, cold, cubed\n60 g Icing sugar\n60 g Egg, beaten\n4 g Salt, fine", 25, 60, 90, "it holds when pressed; breaks easily, so roll it between sheets", 0, "crumbs", thick: 5),
        Of("Raised crostata", DoughFamily.Raised, "500 g Flour, plain\n250 g Butter, unsalted, soft\n180 g Sugar, white\n110 g Egg, beaten\n8 g Baking powder\n3 g Salt, fine", 20, 60, 120, "one soft piece that no longer sticks", 0, string.Empty, thin: 4, thick: 6),
        Of("Flaky, bought in", DoughFamily.BoughtIn, "1000 g Flaky dough, bought in", 5, 30, 60, "thawed in the fridge, firm and cold", 0, string.Empty),
    ];

    private static DoughDraft Of(
        string name, DoughFamily family, string lines, int mixMin, int restLeast, int restAim, string readyWhen, double heldBack, string fatSize,
        int turns = 0, int turnRest = 0, double thin = 2, double thick = 4, int frozen = 60) =>
        new()
        {
            Name = name,
            Lines = lines,
            Density = 1.2,
            BowlLossPercent = family == DoughFamily.BoughtIn ? 0 : 1,
            MixMin = mixMin,
            RestLeast = restLeast,
            RestAim = restAim,
            RestMost = 2880,
            ReadyWhen = readyWhen,
            Cure = family == DoughFamily.BoughtIn ? "thaw it longer" : "20 min of cold where it sticks; held-back water by the spoon where it crumbles; a longer rest where it springs back",
            Caution = string.Empty,
            Family = Naming.Of(family),
            HeldBackPercent = heldBack,
            FatSize = fatSize,
            Turns = turns,
            TurnRestMin = turnRest,
            TurnMin = DoughMethod.UsualTurnMinutes,
            ThinnestMm = thin,
            ThickestMm = thick,
            KeepsColdDays = 3,
            KeepsFrozenDays = frozen,
        };
}
