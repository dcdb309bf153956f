using Lumpet.Core.Steps;

using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Recipes.Writing;

/// <summary>
/// The usual chain of steps for a filling, a base treatment and a top: each choice swaps steps in and out. Times,
/// temperatures and orders are common practice, no source; cautions name their rule.
/// </summary>
public static class UsualChains
{
    // A tray is hot after about a quarter of an hour in a hot oven.
    private const int HeatedTrayMin = 15;

    private const string HotTrays = "Hot trays and boiling juice: dry gloves, tray below.";
    private const string Weights = "Beans used as weights are kept for that and never eaten. Hot weights and steam.";
    private const string HotSugar = "Boiling sugar and fruit: long handle, nobody else near.";

    /// <summary>The school that a filling is given unless another is chosen (docs/decisions/0005).</summary>
    public static BaseTreatment DefaultBase(FillingKind kind) => kind switch
    {
        FillingKind.BakedCustard or FillingKind.Puree or FillingKind.NutSyrup => BaseTreatment.PartBlind,
        FillingKind.CookedCream or FillingKind.Curd => BaseTreatment.FullBlind,
        FillingKind.NutPaste => BaseTreatment.Plain,
        _ => BaseTreatment.HotTray,
    };

    /// <summary>How a filling below a top usually cools; small rounds are cool in an hour.</summary>
    public static CoolingClass CoolingOf(FillingKind kind, Top top, Lining lining) => kind switch
    {
        FillingKind.BakedCustard or FillingKind.Puree or FillingKind.Savoury or FillingKind.NutSyrup or FillingKind.NutPaste => CoolingClass.SafetyClock,
        FillingKind.CookedCream => CoolingClass.ColdSet,
        FillingKind.Curd => CoolingClass.Curd,
        _ when lining == Lining.SmallRounds => CoolingClass.FreeForm,
        FillingKind.Berry => CoolingClass.Short,
        _ => top == Top.Fold ? CoolingClass.FreeForm : CoolingClass.Fruit,
    };

    /// <summary>The steps and how they follow one another.</summary>
    /// <param name="kind">What goes in.</param>
    /// <param name="treatment">How the base is kept crisp. A filling that is not baked always gets a shell that is baked through, unless shells come so by the piece.</param>
    /// <param name="top">What lies on it.</param>
    /// <param name="lining">How the base is laid in.</param>
    public static (IReadOnlyList<StepDraft> Steps, IReadOnlyList<LinkDraft> Links) For(FillingKind kind, BaseTreatment treatment, Top top, Lining lining)
    {
        var chain = new Chain();
        var shell = Shell(chain, FillingKinds.IsBaked(kind) || lining == Lining.BoughtShell ? treatment : BaseTreatment.FullBlind, lining);
        var (ready, within) = Prepare(chain, kind);
        // Shells that come baked stand a while; what is chilled or cooled is filled from there.
        chain.Then(FillStep(kind, top), (shell, shell == SetOut ? 60 : 0), (ready, within));
        if (FillingKinds.IsBaked(kind)) Bake(chain, kind, treatment, top, lining);
        if (top == Top.Meringue) Brown(chain, FillingKinds.IsBaked(kind));
        Cool(chain, kind, CoolingOf(kind, top, lining), top);
        return (chain.Steps, chain.Links);
    }

    private const string SetOut = "set-out";

    /// <summary>What is done to the lined pan before the filling comes in; the id of its last step.</summary>
    private static string Shell(Chain chain, BaseTreatment treatment, Lining lining)
    {
        if (lining == Lining.BoughtShell)
        {
            chain.Add(Hands(SetOut, "Set out the shells", Station.Bench, 4, 0.3, 20, "whole and crisp; broken ones put aside") with { UsesDough = true });
            if (treatment == BaseTreatment.Plain) return SetOut;
            chain.Then(Wait("chill-lined", "Chill the shells", Station.Cold, 20, 45, 960, 4, "firm to the touch"), (SetOut, 0));
            return Treated(chain, treatment);
        }

        chain.Add(Hands("line", lining == Lining.Pressed ? "Press into the pans" : lining == Lining.SmallRounds ? "Cut small rounds, line" : "Roll, line, cut what goes on top", Station.Bench, 8, 3, 20, "even; no crack in the corner") with { UsesDough = true });
        chain.Then(Wait("chill-lined", "Chill what was shaped", Station.Cold, 20, 45, 960, 4, "firm to the touch"), ("line", 0));
        return Treated(chain, treatment);
    }

    /// <summary>How the base of what was shaped and chilled is kept crisp; the id of its last step.</summary>
    private static string Treated(Chain chain, BaseTreatment treatment)
    {
        switch (treatment)
        {
            case BaseTreatment.FullBlind:
                return Blind(chain, Stage(180, 35, 42), 25, "golden all over and dry", Wait("shell-cool", "Cool shells", Station.Rack, 30, 60, 720, 20, "cold to the hand"));
            case BaseTreatment.PartBlind:
                return Blind(chain, Stage(190, 23, 28), 15, "no grey damp patches", Wait("shell-cool", "Cool shells", Station.Rack, 20, 30, 600, 20, "only just warm"));
            case BaseTreatment.ShortHotSet:
                chain.Then(Hands("dock", "Dock all over", Station.Bench, 2, 0.3, 20, "holes to the pan's floor"), ("chill-lined", 0));
                chain.Then(Oven("blind", "Set the base, hot and short", [Stage(220, 4, 6)], "dry on top, not yet coloured", HotTrays) with { Bakes = Naming.Of(BakeOf.Shell) }, ("dock", 30));
                chain.Then(Wait("shell-cool", "Cool shells", Station.Rack, 10, 20, 240, 20, "only just warm"), ("blind", 0));
                return "shell-cool";
            case BaseTreatment.Seal:
                chain.Then(Hands("seal", "Brush the raw base with egg white", Station.Bench, 2, 0.5, 20, "a thin film, no pool in the corner") with { Seals = true }, ("chill-lined", 0));
                chain.Then(Wait("dry", "Let the film dry in the cold", Station.Cold, 10, 15, 60, 4, "no longer wet"), ("seal", 0));
                return "dry";
            default:
                return "chill-lined";
        }
    }

    private static string Blind(Chain chain, StageDraft stage, int weightsOutMin, string done, StepDraft cool)
    {
        chain.Then(Hands("weight", "Dock, line with paper, weight", Station.Bench, 3, 1, 20, "weights up to the rim", "Beans used as weights are kept for that and never eaten."), ("chill-lined", 0));
        chain.Then(Oven("blind", "Blind bake, weighted, then bare", [stage], done, Weights) with { Bakes = Naming.Of(BakeOf.Shell), WeightsOutMin = weightsOutMin }, ("weight", 30));
        chain.Then(cool, ("blind", 0));
        return cool.Id!;
    }

    /// <summary>The filling until it is ready to go in: the id of its last step, and within how many minutes it is used.</summary>
    private static (string Id, int Within) Prepare(Chain chain, FillingKind kind)
    {
        switch (kind)
        {
            case FillingKind.RawFruit:
                chain.Add(Hands("prepare", "Prepare and toss the fruit", Station.Bench, 10, 4, 20, "all coated; surplus juice stays behind"));
                return ("prepare", 30);
            case FillingKind.Berry:
                chain.Add(Hands("prepare", "Pick over and toss the berries", Station.Bench, 8, 2, 20, "all coated, none crushed"));
                return ("prepare", 30);
            case FillingKind.PrecookedFruit:
                chain.Add(Hands("cook", "Cook the fruit; starch in, boil 1 to 2 min", Station.Pot, 20, 1.5, 100, "clear and thick; a spoon leaves a trail", HotSugar));
                return Cooled(chain, "cook");
            case FillingKind.MaceratedFruit:
                chain.Add(Hands("toss", "Toss the fruit with its sugar", Station.Bench, 10, 3, 20, "all wet"));
                chain.Then(Wait("macerate", "Let it give its juice", Station.Bench, 15, 30, 90, 20, "fruit lies in juice"), ("toss", 0));
                chain.Then(Hands("reduce", "Drain; boil the juice down by half to two thirds; starch in, fruit back", Station.Pot, 20, 1.5, 103, "juice coats a spoon", HotSugar), ("macerate", 0));
                return Cooled(chain, "reduce");
            case FillingKind.BakedCustard:
                chain.Add(Hands("whisk", "Mix and strain the filling", Station.Pot, 20, 1, 60, "smooth; nothing left in the sieve", "Pour the hot part slowly."));
                return ("whisk", 60);
            case FillingKind.Puree:
                chain.Add(Hands("blend", "Blend the puree, roasted the day before, with the rest", Station.Pot, 15, 1, 20, "smooth and pourable"));
                return ("blend", 120);
            case FillingKind.CookedCream:
                chain.Add(Hands("cook", "Cook the cream; boil 1 to 2 min, whisking", Station.Pot, 20, 1, 95, "a bubble bursts slowly; no taste of starch", "Boiling cream spits: long whisk."));
                return ("cook", 15);
            case FillingKind.Curd:
                chain.Add(Hands("cook", "Cook the curd, stirring; strain", Station.Pot, 20, 1.2, 82, "coats a spoon; 71 °C and above, below the boil"));
                return ("cook", 20);
            case FillingKind.NutSyrup:
                chain.Add(Hands("syrup", "Warm the syrup, whisk in egg, stir in nuts", Station.Pot, 15, 1, 60, "it just coats a spoon", "Syrup is far hotter than boiling water: long handle, nobody else near."));
                return ("syrup", 60);
            case FillingKind.NutPaste:
                chain.Add(Hands("beat", "Beat butter, sugar, egg and nuts to a paste", Station.Bench, 12, 0.8, 20, "pale, holds a soft peak"));
                return ("beat", 120);
            default:
                chain.Add(Hands("cook", "Cook the filling", Station.Pot, 25, 1.5, 95, "soft, and nothing runs"));
                return Cooled(chain, "cook", "5 °C in the middle");
        }
    }

    private static (string Id, int Within) Cooled(Chain chain, string cooked, string ready = "cold in the middle: hot filling melts the crust")
    {
        chain.Then(Wait("cool-filling", "Cool the filling completely", Station.Cold, 120, 180, 1440, 4, ready), (cooked, 0));
        return ("cool-filling", 0);
    }

    private static StepDraft FillStep(FillingKind kind, Top top) => (kind, top) switch
    {
        (FillingKind.BakedCustard or FillingKind.Puree, _) => Hands("fill", "Pour at the oven door", Station.Bench, 3, 0.5, 20, "just under the rim"),
        (FillingKind.CookedCream, _) => Hands("fill", "Pour in warm, film on the surface", Station.Bench, 3, 0.7, 20, "film lies on it, no air below"),
        (FillingKind.Curd, _) => Hands("fill", "Pour in warm", Station.Bench, 3, 0.7, 20, "level, just under the rim"),
        (_, Top.Lid) => Hands("fill", "Fill, close, wash, vent", Station.Bench, 4, 2.5, 20, "it lies close on the filling; vents open"),
        (_, Top.Lattice) => Hands("fill", "Fill, weave the lattice, wash", Station.Bench, 4, 3, 20, "ends pressed to the rim"),
        (_, Top.CutOuts) => Hands("fill", "Fill, lay the cut-outs, wash", Station.Bench, 4, 2, 20, "cut-outs touch, washed to the edge"),
        (_, Top.Crumble) => Hands("fill", "Fill, strew the crumble", Station.Bench, 4, 1.2, 20, "no fruit shows; not pressed down"),
        (_, Top.Fold) => Hands("fill", "Fill, fold the rim over, wash", Station.Bench, 4, 2, 20, "pleats lie flat; no hole where juice gets out"),
        _ => Hands("fill", "Fill", Station.Bench, 3, 0.7, 20, "even, just under the rim"),
    };

    private static void Bake(Chain chain, FillingKind kind, BaseTreatment treatment, Top top, Lining lining)
    {
        var isPoured = kind is FillingKind.BakedCustard or FillingKind.Puree;
        var isCovered = top is Top.Lid or Top.Lattice or Top.CutOuts or Top.Fold;
        var (before, within) = ("fill", isPoured ? 5 : 30);
        if (isCovered)
        {
            chain.Then(Wait("firm", "Firm in the freezer", Station.Cold, 10, 20, 45, -18, "the rim does not give"), ("fill", 0));
            (before, within) = ("firm", 0);
        }

        if (treatment == BaseTreatment.HotTray)
        {
            chain.Then(Hands("onto-tray", "Set on trays heated in the oven", Station.Bench, 1, 0.2, 20, "it hisses on the tray", HotTrays), (before, within));
            (before, within) = ("onto-tray", 5);
        }

        var isFloor = treatment == BaseTreatment.OvenFloor;
        chain.Then(
            Oven("bake", isFloor ? "Bake on the floor of the oven" : "Bake", Stages(kind, treatment, top, lining), Done(kind, top), HotTrays) with
            {
                Bakes = Naming.Of(BakeOf.Pie),
                Place = isFloor ? Naming.Of(OvenPlace.Floor) : null,
                HeatedTrayMin = treatment == BaseTreatment.HotTray ? HeatedTrayMin : null,
                // A top that takes colour shows how unevenly an oven heats.
                Turned = isCovered || top == Top.Crumble,
            },
            (before, within));
    }

    private static StageDraft[] Stages(FillingKind kind, BaseTreatment treatment, Top top, Lining lining) => kind switch
    {
        _ when treatment == BaseTreatment.OvenFloor && kind is FillingKind.BakedCustard or FillingKind.Puree => [Stage(175, 45, 50)],
        _ when lining == Lining.SmallRounds => [Stage(190, 25, 35)],
        FillingKind.BakedCustard => [Stage(170, 40, 50)],
        FillingKind.Puree => [Stage(175, 40, 50)],
        FillingKind.NutSyrup => [Stage(175, 30, 40)],
        FillingKind.NutPaste => [Stage(180, 30, 40)],
        _ when top == Top.Fold => [Stage(200, 35, 45)],
        FillingKind.Savoury => [Stage(210, 15, 20), Stage(185, 30, 40)],
        FillingKind.Berry => [Stage(220, 15, 20), Stage(190, 25, 35)],
        FillingKind.PrecookedFruit or FillingKind.MaceratedFruit => [Stage(220, 20, 25), Stage(190, 30, 40)],
        _ => top == Top.Lid ? [Stage(220, 20, 25), Stage(190, 45, 55)] : [Stage(205, 15, 20), Stage(175, 35, 45)],
    };

    private static string Done(FillingKind kind, Top top) => kind switch
    {
        FillingKind.BakedCustard => "moves as one with a gentle wobble; 71 °C in the middle",
        FillingKind.Puree => "puffed edge, just set in the middle; 71 °C there",
        FillingKind.NutSyrup => "domed and set; 71 °C in the middle",
        FillingKind.NutPaste => "risen, golden, springs back; 71 °C in the middle",
        FillingKind.Savoury => "deep golden; 74 °C in the middle",
        _ => top switch
        {
            Top.Lid => "thick juice bubbles through the vents; top deep golden, brown underneath",
            Top.Lattice or Top.CutOuts => "juice bubbles thickly between the strips; dough golden",
            Top.Crumble => "crumble brown and crisp, juice bubbles at the edge",
            _ => "juice bubbles thickly; rim deep golden, brown underneath",
        },
    };

    private static void Brown(Chain chain, bool isBaked)
    {
        var before = isBaked ? "bake" : "fill";
        chain.Add(Hands("whip", "Whip the meringue: clean metal bowl, sugar by the spoon", Station.Bench, 12, 0.5, 20, "glossy; stands in a peak"));
        chain.Then(Hands("top", "Spread it to the rim while the filling is warm", Station.Finish, 3, 1.2, 20, "sealed all round"), (before, isBaked ? 20 : 15), ("whip", 10));
        chain.Then(Oven("brown", "Brown the meringue", [Stage(180, 10, 15)], "tips lightly golden; 71 °C within", HotTrays) with { Bakes = Naming.Of(BakeOf.Top) }, ("top", 10));
    }

    private static void Cool(Chain chain, FillingKind kind, CoolingClass cooling, Top top)
    {
        var last = top == Top.Meringue ? "brown" : FillingKinds.IsBaked(kind) ? "bake" : "fill";
        if (!CoolingClasses.IsKeptCold(cooling))
        {
            var (least, aim) = cooling == CoolingClass.Fruit ? (kind, top) switch
            {
                (FillingKind.RawFruit, Top.Lid) => (240, 360),
                (_, Top.Lid) => (180, 300),
                _ => (180, 240),
            }
            : (CoolingClasses.LeastMinutes(cooling), CoolingClasses.LeastMinutes(cooling));
            chain.Then(Wait("cool", "Cool on the rack", Station.Rack, least, aim, 1440, 20, "base cool to the hand"), (last, 0));
            chain.Then(Hands("box", "Box and label", Station.Box, 2, 1, 20, string.Empty), ("cool", 0));
            return;
        }

        var (setLeast, setAim) = cooling switch { CoolingClass.ColdSet => (240, 270), CoolingClass.Curd => (150, 180), _ => (120, 150) };
        chain.Then(
            cooling == CoolingClass.ColdSet
                ? Wait("rack", "Cool, timed", Station.Rack, 15, 30, 60, 20, "no more steam")
                : Wait("rack", "Cool on the rack, timed", Station.Rack, 30, 45, 90, 20, "no more steam"),
            (last, 0));
        chain.Then(Hands("to-fridge", "Into the fridge", Station.Cold, 2, 0.3, 4, "spaced so that air moves"), ("rack", 0));
        chain.Then(Wait("set", "Set cold", Station.Cold, setLeast, setAim, 1440, 4, cooling == CoolingClass.ColdSet ? "a knife comes out clean" : "5 °C in the middle"), ("to-fridge", 0));
        chain.Then(Hands("box", "Box and label, keep cold", Station.Box, 2, 1, 4, string.Empty), ("set", 0));
    }

    private static StepDraft Hands(string id, string name, Station station, int perBatch, double perPie, int celsius, string readyWhen, string caution = "") =>
        new() { Id = id, Name = name, Station = Naming.Of(station), PerBatch = perBatch, PerPie = perPie, Celsius = celsius, Stages = [], ReadyWhen = readyWhen, Caution = caution };

    private static StepDraft Wait(string id, string name, Station station, int least, int aim, int most, int celsius, string readyWhen) =>
        new() { Id = id, Name = name, Station = Naming.Of(station), WaitLeast = least, WaitAim = aim, WaitMost = most, Celsius = celsius, Stages = [], ReadyWhen = readyWhen, Caution = string.Empty };

    private static StepDraft Oven(string id, string name, StageDraft[] stages, string readyWhen, string caution) =>
        new() { Id = id, Name = name, Station = Naming.Of(Station.Oven), Stages = stages, ReadyWhen = readyWhen, Caution = caution };

    private static StageDraft Stage(int celsius, int least, int most) => new(celsius, least, most);

    /// <summary>Steps and links as they are put together.</summary>
    private sealed class Chain
    {
        public List<StepDraft> Steps { get; } = [];

        public List<LinkDraft> Links { get; } = [];

        /// <summary>What is usually done where a step's test fails.</summary>
        private static StepDraft Cured(StepDraft step) => step.Id switch
        {
            "line" => step with { Cure = "back into the cold for 10 min; patch cracks, never stretch" },
            "chill-lined" => step with { Cure = "10 min more" },
            "blind" => step with { Cure = "5 min more, bare" },
            "whisk" => step with { Cure = "strain it again" },
            "cook" or "reduce" => step with { Cure = "boil a minute longer" },
            "bake" => step with { Cure = "5 min more; shield a rim that is dark" },
            "set" => step with { Cure = "leave it in the cold; box the next first" },
            _ => step,
        };

        public void Add(StepDraft step) => Steps.Add(Cured(step));

        /// <summary>Adds a step after others, each within so many minutes; 0 where a wait stands between.</summary>
        public void Then(StepDraft step, params (string Before, int Within)[] after)
        {
            Add(step);
            Links.AddRange(after.Select(one => new LinkDraft(one.Before, step.Id, 0, one.Within)));
        }
    }
}
