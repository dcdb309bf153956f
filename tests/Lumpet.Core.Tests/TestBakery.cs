using Lumpet.Core.Bakery;
using Lumpet.Core.Baking;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using NodaTime;

namespace Lumpet.Core.Tests;

/// <summary>A small bakery of our own for tests: two pans, a raw fruit pie, and a custard in a part-baked shell.</summary>
internal static class TestBakery
{
    public static readonly Pan Pan23 = Pan("23", 23, 19.5, 3.5, 4);

    public static readonly Pan Pan26 = Pan("26", 26, 22, 4, 2);

    // Flour, butter, water 450 : 300 : 150 (flaky 3-2-1, common practice, no source).
    public static readonly DoughFormula Flaky = new(
        "flaky", "Flaky", 1, [Line("flour", 450), Line("butter", 300), Line("water", 150)], Density.FromGramsPerMillilitre(1.2), 0.01, 30, new Span(60, 90, 2880), "", "");

    public static readonly Product Pear = new(
        "pear",
        "Pear and ginger",
        1,
        ["pear ginger"],
        Flaky,
        Crust(Top.Lid),
        [Layered.Filling([Line("pear", 1010, 0.78), Line("sugar", 140), Line("starch", 26)], 0.62), new Layer("finish", PartKind.Finish, LayerLaw.Top, [Line("egg", 18)])],
        [Ingredient("box")],
        Pan23,
        [new ProductSize(Pan23, new Money(21, "EUR")), new ProductSize(Pan26, null)],
        new ProcessNetwork(
            [
                Work("line", Station.Bench, 8, 3) with { UsesDough = true },
                Wait("chill", Station.Cold, 20, 45, 960),
                Work("prepare", Station.Bench, 10, 3),
                Work("fill", Station.Bench, 4, 2),
                Wait("firm", Station.Cold, 10, 20, 45),
                Bake("bake", new BakeStage(220, 20, 25), new BakeStage(190, 45, 55)),
                Wait("cool", Station.Rack, 240, 360, 1440),
                Work("box", Station.Box, 2, 1),
            ],
            [Follows("line", "chill"), Follows("chill", "fill"), Follows("prepare", "fill", 30), Follows("fill", "firm"), Follows("firm", "bake"), Follows("bake", "cool"), Follows("cool", "box")]),
        1440)
    {
        BakeChange = Length.FromCentimetres(-3),
    };

    public static readonly Product Custard = Pear with
    {
        Id = "custard",
        Name = "Oat custard",
        Aliases = ["oat"],
        Crust = Crust(Top.Open),
        Layers = [Layered.Filling([Line("milk", 700), Line("egg", 184), Line("sugar", 95)], 1.05), new Layer("finish", PartKind.Finish, LayerLaw.Top, [Line("egg", 18)])],
        BakeChange = Length.FromCentimetres(0.4),
        Process = new ProcessNetwork(
            [
                Work("line", Station.Bench, 6, 2) with { UsesDough = true },
                Wait("chill", Station.Cold, 20, 40, 960),
                Work("weight", Station.Bench, 3, 1),
                Bake("blind", new BakeStage(190, 23, 28)) with { Bakes = BakeOf.Shell },
                Wait("shell-cool", Station.Rack, 20, 30, 600),
                Work("whisk", Station.Pot, 20, 1),
                Work("pour", Station.Bench, 3, 0.5),
                Bake("bake", new BakeStage(170, 40, 50)),
                Wait("rack", Station.Rack, 30, 45, 90),
                Work("to-fridge", Station.Cold, 2, 0.3),
                Wait("set", Station.Cold, 120, 150, 1440),
                Work("box", Station.Box, 2, 1),
            ],
            [
                Follows("line", "chill"), Follows("chill", "weight"), Follows("weight", "blind", 30), Follows("blind", "shell-cool"),
                Follows("shell-cool", "pour"), Follows("whisk", "pour", 60), Follows("pour", "bake", 5), Follows("bake", "rack"),
                Follows("rack", "to-fridge"), Follows("to-fridge", "set"), Follows("set", "box"),
            ]),
    };

    public static readonly IReadOnlyList<Product> Products = [Pear, Custard];

    /// <summary>Minute 0 is noon; an afternoon of eight hours, four hours of nobody, a night of ten.</summary>
    public static DaySnapshot Snapshot(params IReadOnlyList<DayOrder> orders) => new(
        orders,
        [new DayShift("Afternoon", 0, 480), new DayShift("Night", 720, 1320)],
        [new Oven("hearth", "Hearth", 4, 90, 280, 8, 4, 0), new Oven("finisher", "Finisher", 4, 60, 240, 10, 5, -20)],
        new Mixer("Mixer", Mass.FromGrams(2000), Mass.FromGrams(12000)),
        5,
        2,
        30,
        2160)
    {
        Midnights = [720, 2160],
    };

    /// <summary>The same day with so many people in each of its shifts.</summary>
    public static DaySnapshot Crew(int? people, DaySnapshot day) => day with { Shifts = [.. day.Shifts.Select(shift => shift with { People = people })] };

    public static DayOrder Order(Product product, int count, int pickUp, Pan? pan = null) => new(product, pan ?? Pan23, count, pickUp, "kiosk");

    public static Ingredient Ingredient(string id) => new(id, id, id is "flour" ? ["wheat"] : id is "butter" or "milk" ? ["milk"] : []);

    public static RecipeLine Line(string id, double grams, double yield = 1) =>
        new(Ingredient(id), "", Yield.FromShare(yield), Mass.FromGrams(grams));

    public static Price Price(string id, decimal packGrams, decimal paid, int year = 2026) =>
        new(id, "a supplier", packGrams, PackUnit.Gram, new Money(paid, "EUR"), new LocalDate(year, 1, 1));

    private static Pan Pan(string id, double top, double bottom, double depth, int perTray) => Core.Pans.Pan.Round(
        id, $"{id} cm", Length.FromCentimetres(top), Length.FromCentimetres(bottom), Length.FromCentimetres(depth), Length.FromCentimetres(1), perTray);

    private static Crust Crust(Top top) => new(
        top, Length.FromMillimetres(3), Length.FromCentimetres(1.8), Length.FromCentimetres(1.2), 0.12, Length.FromCentimetres(2), Length.FromCentimetres(1));

    public static Step Work(string id, Station station, int perBatch, double perPie) =>
        new(id, id, station, new Hands(perBatch, perPie), [], null, 20, false, "", "");

    public static Step Wait(string id, Station station, int least, int aim, int most) =>
        new(id, id, station, null, [], new Span(least, aim, most), 20, false, "", "");

    private static Step Bake(string id, params IReadOnlyList<BakeStage> stages) => new(id, id, Station.Oven, null, stages, null, null, false, "", "");

    private static Link Follows(string before, string after, int most = 0) => new(before, after, Span.Between(0, most));
}
