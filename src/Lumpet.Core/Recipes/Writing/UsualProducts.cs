using Lumpet.Core.DayPlan;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>A usual way to make a product, as a start for one's own.</summary>
/// <param name="Id">Short name.</param>
/// <param name="Name">The name shown.</param>
/// <param name="Why">What it is good for, and which school it follows.</param>
/// <param name="Draft">Steps, times and crust; name, dough, filling and sizes are left open.</param>
public sealed record UsualProduct(string Id, string Name, string Why, ProductDraft Draft);

/// <summary>The usual chains of steps. Times, temperatures and thicknesses are common practice, no source.</summary>
public static class UsualProducts
{
    private const string HotTrays = "Hot trays and boiling juice: dry gloves, tray below.";
    private const string Weights = "Beans used as weights are kept for that and never eaten. Hot weights and steam.";
    private const string CoolingRule = "From 57 C to 21 C within 2 h, to 5 C within 6 h in all (FDA Food Code 3-501.14). Record temperatures. Local codes and licensed practice decide.";
    private const string ColdHolding = "Cold holding at 5 C or below (FDA Food Code 3-501.16). Local codes decide.";
    private const string EggFilling = "Egg fillings reach 71 C in the middle (USDA FSIS). Local codes decide.";

    /// <summary>All usual chains.</summary>
    public static IReadOnlyList<UsualProduct> All { get; } =
    [
        new("fruit-lid", "Double crust, raw fruit", "raw crust on a hot tray, no blind bake: the first heat sets it", Draft("lid", 1.8, 1.2, 0.62, -3, 1440, DoubleCrust("Prepare and toss the fruit", 4, [Stage(220, 20, 25), Stage(190, 45, 55)], 240, 360, "thick juice bubbles through the vents; top deep golden, brown underneath"))),
        new("cooked-fruit-lid", "Double crust, precooked fruit", "fruit cooked first and cooled, so that fruit and crust are done together", Draft("lid", 1.8, 1.2, 0.95, -0.5, 1440, CookedFruit())),
        new("lattice", "Lattice", "open weave over fruit", Draft("lattice", 1.8, 1, 0.8, -0.5, 1440, DoubleCrust("Prepare and toss the fruit", 4, [Stage(205, 15, 20), Stage(175, 35, 45)], 180, 240, "juice bubbles thickly between the strips; strips golden"))),
        new("custard", "Baked custard or puree", "part-baked shell, filled when only just warm: the base stays crisp", Draft("open", 1.5, 0, 1.05, 0.4, 1440, Custard())),
        new("cream", "Cooked cream", "fully baked shell, filled and set cold", Draft("open", 1.5, 0, 1.05, 0, 1440, Cream())),
        new("nut", "Nut tart", "part-baked shell; a thin syrup that just binds", Draft("open", 1.5, 0, 0.9, 0.3, 2880, Nut())),
        new("savoury", "Savoury, double crust", "raw crust, cold filling; kept by the cooling rule", Draft("lid", 1.8, 1.2, 0.9, -0.5, 1440, Savoury())),
    ];

    private static ProductDraft Draft(string top, double baseOverhang, double topOverhang, double packed, double change, int oldest, (StepDraft[] Steps, LinkDraft[] Links) process) =>
        new(null, null, null, top, 3, baseOverhang, topOverhang, 12, top == "lattice" ? 2 : 0, top == "lattice" ? 1 : 0, packed, change, null, oldest, null, null, "Pie box\nLabel", null, process.Steps, process.Links);

    private static (StepDraft[] Steps, LinkDraft[] Links) DoubleCrust(string prepare, double perPie, StageDraft[] stages, int coolLeast, int coolAim, string done) => (
        [
            Line("Roll, line, cut the tops"),
            Chill(),
            Hands("prepare", prepare, Station.Bench, 10, perPie, 20, "all coated; surplus juice stays behind"),
            Hands("fill", "Fill, close, wash, vent", Station.Bench, 4, 2.5, 20, "it lies close on the filling; vents open"),
            Wait("firm", "Firm in the freezer", Station.Cold, 10, 20, 45, -18, "the rim does not give"),
            Bake("bake", "Bake", stages, done, HotTrays),
            Wait("cool", "Cool on the rack", Station.Rack, coolLeast, coolAim, 1440, 20, "base cool to the hand"),
            Box(20, string.Empty),
        ],
        [
            Next("line", "chill-lined"), Next("chill-lined", "fill"), Within("prepare", "fill", 30), Next("fill", "firm"), Next("firm", "bake"),
            Next("bake", "cool"), Next("cool", "box"),
        ]);

    private static (StepDraft[] Steps, LinkDraft[] Links) CookedFruit() => (
        [
            Line("Roll, line, cut the tops"),
            Chill(),
            Hands("cook", "Cook the fruit; starch in, boil 1 to 2 min", Station.Pot, 20, 1.5, 100, "clear and thick; a spoon leaves a trail", "Boiling sugar and fruit: long handle, nobody else near."),
            Wait("cool-filling", "Cool the filling completely", Station.Cold, 120, 180, 1440, 4, "cold in the middle: hot filling melts the crust"),
            Hands("fill", "Fill, close, wash, vent", Station.Bench, 4, 2.5, 20, "it lies close on the filling; vents open"),
            Wait("firm", "Firm in the freezer", Station.Cold, 10, 20, 45, -18, "the rim does not give"),
            Bake("bake", "Bake", [Stage(220, 20, 25), Stage(190, 30, 40)], "deep golden, juice bubbles at the vents", HotTrays),
            Wait("cool", "Cool on the rack", Station.Rack, 180, 300, 1440, 20, "base cool to the hand"),
            Box(20, string.Empty),
        ],
        [
            Next("line", "chill-lined"), Next("chill-lined", "fill"), Next("cook", "cool-filling"), Next("cool-filling", "fill"), Next("fill", "firm"), Next("firm", "bake"),
            Next("bake", "cool"), Next("cool", "box"),
        ]);

    private static (StepDraft[] Steps, LinkDraft[] Links) Custard() => (
        [
            .. Shell(Bake("blind", "Blind bake, weighted, then bare", [Stage(190, 23, 28)], "no grey damp patches", Weights)),
            Wait("shell-cool", "Cool shells", Station.Rack, 20, 30, 600, 20, "only just warm"),
            Hands("whisk", "Mix and strain the filling", Station.Pot, 20, 1, 60, "smooth; nothing left in the sieve", "Do not taste raw egg. Pour the hot part slowly."),
            Hands("pour", "Pour at the oven door", Station.Bench, 3, 0.5, 20, "just under the rim"),
            Bake("bake", "Bake", [Stage(170, 40, 50)], "moves as one with a gentle wobble; 71 C in the middle", EggFilling),
            .. ColdFinish(120, 150),
        ],
        [
            .. ShellLinks(), Next("blind", "shell-cool"), Next("shell-cool", "pour"), Within("whisk", "pour", 60), Within("pour", "bake", 5),
            Next("bake", "rack"), .. ColdLinks(),
        ]);

    private static (StepDraft[] Steps, LinkDraft[] Links) Cream() => (
        [
            .. Shell(Bake("blind", "Blind bake, weighted, then bare", [Stage(180, 35, 42)], "golden all over and dry", Weights)),
            Wait("shell-cool", "Cool shells", Station.Rack, 30, 60, 720, 20, "cold to the hand"),
            Hands("cook", "Cook the cream; boil 1 to 2 min, whisking", Station.Pot, 20, 1, 95, "a bubble bursts slowly; no taste of starch", "Boiling cream spits: long whisk."),
            Hands("fill", "Pour in warm, film on the surface", Station.Bench, 3, 0.7, 20, "film lies on it, no air below"),
            Wait("rack", "Cool, timed", Station.Rack, 15, 30, 60, 20, "no more steam", CoolingRule),
            Hands("to-fridge", "Into the fridge", Station.Cold, 2, 0.3, 4, "spaced so that air moves"),
            Wait("set", "Set cold", Station.Cold, 240, 270, 1440, 4, "a knife comes out clean", ColdHolding),
            Box(4, "Boxed pies stay at 5 C or below until pick-up."),
        ],
        [
            .. ShellLinks(), Next("blind", "shell-cool"), Next("shell-cool", "fill"), Within("cook", "fill", 15), Next("fill", "rack"), .. ColdLinks(),
        ]);

    private static (StepDraft[] Steps, LinkDraft[] Links) Nut() => (
        [
            .. Shell(Bake("blind", "Blind bake, weighted, then bare", [Stage(185, 20, 25)], "no grey damp patches", Weights)),
            Wait("shell-cool", "Cool shells", Station.Rack, 30, 60, 720, 20, "cold to the hand"),
            Hands("syrup", "Warm the syrup, whisk in egg, stir in nuts", Station.Pot, 15, 1, 60, "it just coats a spoon", "Syrup is far hotter than boiling water. Do not taste raw egg."),
            Hands("fill", "Fill", Station.Bench, 3, 0.7, 20, "nuts lie evenly, just under the rim"),
            Bake("bake", "Bake", [Stage(175, 30, 40)], "domed and set; 71 C in the middle", EggFilling),
            Wait("cool", "Cool on the rack", Station.Rack, 120, 120, 1440, 20, "firm to a light touch"),
            Box(20, string.Empty),
        ],
        [
            .. ShellLinks(), Next("blind", "shell-cool"), Next("shell-cool", "fill"), Within("syrup", "fill", 60), Within("fill", "bake", 30),
            Next("bake", "cool"), Next("cool", "box"),
        ]);

    private static (StepDraft[] Steps, LinkDraft[] Links) Savoury() => (
        [
            Line("Roll, line, cut the tops"),
            Chill(),
            Hands("cook", "Cook the filling", Station.Pot, 25, 1.5, 95, "soft, and nothing runs"),
            Wait("cool-filling", "Cool the filling completely", Station.Cold, 120, 180, 1440, 4, "5 C in the middle", CoolingRule),
            Hands("fill", "Fill, close, wash, vent", Station.Bench, 4, 2.5, 20, "it lies close on the filling; vents open"),
            Wait("firm", "Firm in the freezer", Station.Cold, 10, 20, 45, -18, "the rim does not give"),
            Bake("bake", "Bake", [Stage(210, 15, 20), Stage(185, 30, 40)], "deep golden; 74 C in the middle", HotTrays),
            .. ColdFinish(120, 150),
        ],
        [
            Next("line", "chill-lined"), Next("chill-lined", "fill"), Next("cook", "cool-filling"), Next("cool-filling", "fill"), Next("fill", "firm"), Next("firm", "bake"),
            Next("bake", "rack"), .. ColdLinks(),
        ]);

    private static StepDraft[] Shell(StepDraft blind) =>
        [Line("Roll and line"), Chill(), Hands("weight", "Dock, line with paper, weight", Station.Bench, 3, 1, 20, "weights up to the rim", "Beans used as weights are kept for that and never eaten."), blind];

    private static LinkDraft[] ShellLinks() => [Next("line", "chill-lined"), Next("chill-lined", "weight"), Within("weight", "blind", 30)];

    private static StepDraft[] ColdFinish(int setLeast, int setAim) =>
    [
        Wait("rack", "Cool on the rack, timed", Station.Rack, 30, 45, 90, 20, "no more steam", CoolingRule),
        Hands("to-fridge", "Into the fridge", Station.Cold, 2, 0.3, 4, "spaced so that air moves"),
        Wait("set", "Set cold", Station.Cold, setLeast, setAim, 1440, 4, "5 C in the middle", ColdHolding),
        Box(4, "Boxed pies stay at 5 C or below until pick-up."),
    ];

    private static LinkDraft[] ColdLinks() => [Next("rack", "to-fridge"), Next("to-fridge", "set"), Next("set", "box")];

    private static StepDraft Line(string name) => Hands("line", name, Station.Bench, 8, 3, 20, "even; no crack in the corner") with { UsesDough = true };

    private static StepDraft Chill() => Wait("chill-lined", "Chill what was shaped", Station.Cold, 20, 45, 960, 4, "firm to the touch");

    private static StepDraft Box(int celsius, string caution) => Hands("box", "Box and label", Station.Box, 2, 1, celsius, string.Empty, caution);

    private static StepDraft Hands(string id, string name, Station station, int perBatch, double perPie, int celsius, string readyWhen, string caution = "") =>
        new(id, name, Word(station), perBatch, perPie, null, null, null, celsius, [], false, readyWhen, caution);

    private static StepDraft Wait(string id, string name, Station station, int least, int aim, int most, int celsius, string readyWhen, string caution = "") =>
        new(id, name, Word(station), null, null, least, aim, most, celsius, [], false, readyWhen, caution);

    private static StepDraft Bake(string id, string name, StageDraft[] stages, string readyWhen, string caution) =>
        new(id, name, Word(Station.Oven), null, null, null, null, null, null, stages, false, readyWhen, caution);

    private static StageDraft Stage(int celsius, int least, int most) => new(celsius, least, most);

    private static LinkDraft Next(string from, string to) => new(from, to, 0, 0);

    private static LinkDraft Within(string from, string to, int most) => new(from, to, 0, most);

    private static string Word(Station station) => station.ToString().ToLowerInvariant();
}
