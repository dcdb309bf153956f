using Lumpet.Core.Baking;

namespace Lumpet.Core.Tests.Baking;

/// <summary>Small builders for bake problems.</summary>
internal static class Problems
{
    public static BakeOven Oven(string id = "deck", int shelves = 4, int start = 25, int open = 0, int close = 900, int heat = 8, int cool = 4) =>
        new(id, shelves, 90, 280, heat, cool, start, open, close);

    public static Bake Bake(
        string id, int trays = 1, int pies = 6, int release = 0, int due = 600, int? earliestOut = null, IReadOnlyList<BakeStage>? stages = null, IReadOnlyList<BakeAfter>? after = null, IReadOnlyList<string>? ovens = null) =>
        new(id, [.. Enumerable.Repeat(pies, trays)], stages ?? [new BakeStage(190, 30, 35)], release, due, earliestOut, ovens, after ?? []);

    public static BakeProblem Problem(IReadOnlyList<BakeOven> ovens, params IReadOnlyList<Bake> bakes) => new(5, 2, ovens, bakes);
}
