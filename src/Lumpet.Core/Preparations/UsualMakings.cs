using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Preparations;

/// <summary>The usual ways of making and keeping what goes into pies. Times, amounts and how long things keep are common practice, no source; none keeps in the fridge beyond its seventh day where that is a matter of safety.</summary>
public static class UsualMakings
{
    private const int Day = 1440;
    private const int Overnight = 720;
    private const string HotSugar = "Boiling sugar: long handle, metal spoon, nobody else near.";
    private const string HotTrays = "Hot trays: dry gloves.";

    /// <summary>The usual way for a kind.</summary>
    public static MakingDraft For(PreparationKind kind) => Way(kind) with
    {
        Kind = Naming.Of(kind),
        Elsewhere = Elsewhere(kind),
        ThawMin = kind switch
        {
            PreparationKind.CookedFilling or PreparationKind.Curd or PreparationKind.Puree or PreparationKind.Jam or PreparationKind.NutPaste or PreparationKind.Sauce => Overnight,
            _ => null,
        },
    };

    /// <summary>Where else it keeps: a cooked cream weeps when it thaws, and crumble and nuts are used as they come from the freezer.</summary>
    private static KeptInDraft[] Elsewhere(PreparationKind kind) => kind switch
    {
        PreparationKind.CookedFilling or PreparationKind.Curd or PreparationKind.Sauce => [Else(KeepPlace.Frozen, 90)],
        PreparationKind.Puree or PreparationKind.Jam => [Else(KeepPlace.Frozen, 180)],
        PreparationKind.NutPaste or PreparationKind.Crumble or PreparationKind.Toasted => [Else(KeepPlace.Frozen, 60)],
        PreparationKind.Syrup => [Else(KeepPlace.Room, 2)],
        PreparationKind.Praline => [Else(KeepPlace.Frozen, 90)],
        PreparationKind.Shells => [Else(KeepPlace.Frozen, 30)],
        _ => [],
    };

    private static KeptInDraft Else(KeepPlace place, int days) => new(Naming.Of(place), null, days * Day);

    private static MakingDraft Way(PreparationKind kind) => kind switch
    {
        PreparationKind.CookedFilling => Kept(KeepPlace.Cold, 0, 0, 3 * Day, 8, [
            Hands("cook", "Cook until thick; boil 1 to 2 min", Station.Pot, 20, 4, 100, "clear and thick; a spoon leaves a trail", HotSugar),
            Wait("cool", "Cool completely", Station.Cold, 120, 180, Day, 4, "cold in the middle")]),
        PreparationKind.Curd => Kept(KeepPlace.Cold, 0, Overnight, 6 * Day, 4, [
            Hands("cook", "Cook, stirring; strain", Station.Pot, 20, 5, 82, "coats a spoon; 71 °C and above, below the boil", string.Empty),
            Wait("cool", "Cool, film on the surface", Station.Cold, 120, 180, Day, 4, "5 °C in the middle")], "stir smooth"),
        PreparationKind.Puree => Kept(KeepPlace.Cold, 0, Overnight, 3 * Day, 10, [
            Hands("cut", "Halve, lay on trays", Station.Bench, 5, 2, 20, "cut sides down, not touching", string.Empty),
            Bake("roast", "Roast", 180, 90, 120, "a knife goes in like butter", HotTrays),
            Wait("cool", "Cool on the tray", Station.Rack, 30, 45, 120, 20, "no more steam"),
            Hands("blend", "Scoop and blend", Station.Bench, 8, 3, 20, "smooth; drained where it is wet", string.Empty)], "stir"),
        PreparationKind.Cream => Kept(KeepPlace.Cold, 0, 0, 2 * Day, 4, [
            Hands("cook", "Cook; boil 1 to 2 min, whisking", Station.Pot, 20, 4, 95, "a bubble bursts slowly; no taste of starch", "Boiling cream spits: long whisk."),
            Wait("cool", "Cool, film on the surface", Station.Cold, 120, 240, Day, 4, "5 °C in the middle")], "beat smooth"),
        PreparationKind.Syrup => Kept(KeepPlace.Cold, 0, 0, 14 * Day, 5, [
            Hands("boil", "Boil", Station.Pot, 12, 2, 105, "it just coats a spoon", HotSugar),
            Wait("cool", "Cool", Station.Bench, 30, 60, 240, 20, "only just warm")]),
        PreparationKind.Caramel => Kept(KeepPlace.Cold, 0, 0, 6 * Day, 4, [
            Hands("caramel", "Cook the sugar dark; cream in, off the heat", Station.Pot, 20, 3, 115, "deep amber; no grain", HotSugar),
            Wait("cool", "Cool", Station.Bench, 60, 90, 600, 20, "thick, still pourable")], "warm gently"),
        PreparationKind.Praline => Kept(KeepPlace.Room, 0, 0, 21 * Day, 3, [
            Hands("caramel", "Cook the sugar dark, stir in the nuts, spread", Station.Pot, 15, 4, 165, "amber; every nut coated", HotSugar),
            Wait("cool", "Let it set", Station.Bench, 30, 45, 600, 20, "snaps"),
            Hands("grind", "Grind", Station.Bench, 5, 3, 20, "even crumbs", string.Empty)]),
        PreparationKind.Jam => Kept(KeepPlace.Cold, 0, 0, 21 * Day, 6, [
            Hands("boil", "Boil, stirring", Station.Pot, 25, 3, 105, "a drop wrinkles on a cold plate", HotSugar),
            Wait("cool", "Cool", Station.Cold, 120, 180, Day, 4, "cold in the middle")]),
        PreparationKind.NutPaste => Kept(KeepPlace.Cold, 0, 0, 4 * Day, 6, [
            Hands("beat", "Beat to a paste", Station.Bench, 12, 2, 20, "pale, holds a soft peak", string.Empty)], "let it soften"),
        PreparationKind.Toasted => Kept(KeepPlace.Room, 0, 0, 14 * Day, 12, [
            Hands("spread", "Spread on trays", Station.Bench, 2, 1, 20, "one layer", string.Empty),
            Bake("toast", "Toast, stirring once", 165, 10, 14, "golden inside; they smell", HotTrays),
            Wait("cool", "Cool on the tray", Station.Rack, 15, 30, 240, 20, "cold and crisp")], trayKg: 1.5),
        PreparationKind.Crumble => Kept(KeepPlace.Cold, 20, 30, 4 * Day, 6, [
            Hands("rub", "Rub to crumbs", Station.Bench, 8, 2, 20, "crumbs of all sizes, none greasy", string.Empty)]),
        PreparationKind.Wash => Kept(KeepPlace.Cold, 0, 0, Day, 2, [
            Hands("beat", "Beat and strain", Station.Bench, 3, 1, 20, "no strand left", string.Empty)], "stir"),
        PreparationKind.Glaze => Kept(KeepPlace.Cold, 0, 0, 7 * Day, 2, [
            Hands("warm", "Warm and strain", Station.Pot, 6, 2, 80, "runs off a brush", HotSugar)], "warm until it runs"),
        PreparationKind.Sauce => Kept(KeepPlace.Cold, 0, 0, 4 * Day, 5, [
            Hands("cook", "Cook and strain", Station.Pot, 15, 4, 90, "coats a spoon", HotSugar),
            Wait("cool", "Cool", Station.Cold, 90, 120, Day, 4, "5 °C in the middle")], "stir"),
        PreparationKind.Shells => Kept(KeepPlace.Room, 0, 0, 3 * Day, 0, [
            Hands("line", "Line the tins; dock", Station.Bench, 5, 0.5, 20, "level with the rim; no crack at the edge", string.Empty),
            Wait("chill", "Chill", Station.Cold, 30, 60, Day, 4, "firm"),
            Bake("bake", "Bake blind", 175, 16, 20, "dry and golden all over", HotTrays),
            Wait("cool", "Cool on the rack", Station.Rack, 30, 45, 240, 20, "cold and crisp")]) with
        { BatchMostKg = null, TrayKg = null, BatchMostPieces = 96, TrayPieces = 24 },
        _ => Kept(KeepPlace.Cold, 0, 0, 2 * Day, 5, [Hands("make", "Make", Station.Bench, 10, 3, 20, string.Empty, string.Empty)]),
    };

    private static MakingDraft Kept(KeepPlace place, int least, int aim, int most, double batchMostKg, StepDraft[] steps, string beforeUse = "", double trayKg = MakingReader.UsualTrayKg) => new()
    {
        Steps = steps,
        BatchMostKg = batchMostKg,
        TrayKg = trayKg,
        KeepsIn = Naming.Of(place),
        HoldLeast = least,
        HoldAim = aim,
        HoldMost = most,
        BeforeUse = beforeUse.Length == 0 ? null : beforeUse,
    };

    private static StepDraft Hands(string id, string name, Station station, int perBatch, double perKilogram, int celsius, string readyWhen, string caution) =>
        new() { Id = id, Name = name, Station = Naming.Of(station), PerBatch = perBatch, PerPie = perKilogram, Celsius = celsius, Stages = [], ReadyWhen = readyWhen, Caution = caution };

    private static StepDraft Wait(string id, string name, Station station, int least, int aim, int most, int celsius, string readyWhen) =>
        new() { Id = id, Name = name, Station = Naming.Of(station), WaitLeast = least, WaitAim = aim, WaitMost = most, Celsius = celsius, Stages = [], ReadyWhen = readyWhen, Caution = string.Empty };

    private static StepDraft Bake(string id, string name, int celsius, int least, int most, string readyWhen, string caution) =>
        new() { Id = id, Name = name, Station = Naming.Of(Station.Oven), Stages = [new StageDraft(celsius, least, most)], ReadyWhen = readyWhen, Caution = caution };
}
