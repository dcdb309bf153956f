namespace Lumpet.Core.Baking.Files;

/// <summary>Reads bake problems of the format "lumpet.bake-problem/1" (docs/formats/bake-plan.md).</summary>
public static class BakeProblemFile
{
    /// <summary>The format's name and version.</summary>
    public const string Format = "lumpet.bake-problem/1";

    /// <summary>Reads a problem from its JSON text. Unknown fields are ignored.</summary>
    /// <exception cref="BakeFileException">Something is wrong; every fault names its field and id.</exception>
    public static BakeProblem Read(string text)
    {
        var faults = new List<BakeFileFault>();
        var root = JsonNode.Open(text, faults);
        if (root.Text("format") is not Format and var format) root.Fault("format", $"\"{Format}\" is required, not \"{format}\"");

        var ovenNodes = root.List("ovens");
        var bakeNodes = root.List("bakes");
        var ovens = ovenNodes.Select(Oven).ToArray();
        var bakes = bakeNodes.Select(ReadBake).ToArray();
        var problem = new BakeProblem(root.Whole("toleranceC", 0), root.Whole("transferMin", 0), ovens, bakes);

        Unique(ovenNodes, [.. ovens.Select(oven => oven.Id)]);
        Unique(bakeNodes, [.. bakes.Select(bake => bake.Id)]);
        foreach (var (bake, node) in bakes.Zip(bakeNodes)) CheckNames(problem, bake, node);
        return faults.Count == 0 ? problem : throw new BakeFileException(faults);
    }

    private static BakeOven Oven(JsonNode node)
    {
        var oven = new BakeOven(
            Id(node),
            node.Whole("shelves", 0),
            node.Whole("minC"),
            node.Whole("maxC"),
            node.Whole("heatCPerMin", 1),
            node.Whole("coolCPerMin", 1),
            node.Whole("startC"),
            node.Whole("openMin"),
            node.Whole("closeMin"));
        if (oven.MinC > oven.MaxC) node.Fault("maxC", $"at least minC ({oven.MinC}) is required, not {oven.MaxC}");
        if (oven.OpenMin > oven.CloseMin) node.Fault("closeMin", $"at least openMin ({oven.OpenMin}) is required, not {oven.CloseMin}");
        return oven;
    }

    private static Bake ReadBake(JsonNode node)
    {
        var stages = node.List("stages").Select(Stage).ToArray();
        if (stages.Length == 0) node.Fault("stages", "at least one stage is required");
        return new Bake(
            Id(node),
            [.. node.List("trays").Select(tray => tray.AsWhole(0))],
            stages,
            node.Whole("releaseMin"),
            node.Whole("dueMin"),
            node.WholeOrNull("earliestOutMin"),
            node.ListOrNull("ovens")?.Select(oven => oven.AsText()).ToArray(),
            [.. (node.ListOrNull("after") ?? []).Select(After)]);
    }

    private static BakeStage Stage(JsonNode node)
    {
        var stage = new BakeStage(node.Whole("tempC"), node.Whole("minMin", 1), node.Whole("maxMin", 1));
        if (stage.MaxMin < stage.MinMin) node.Fault("maxMin", $"at least minMin ({stage.MinMin}) is required, not {stage.MaxMin}");
        return stage;
    }

    private static BakeAfter After(JsonNode node)
    {
        var after = new BakeAfter(node.Text("bake"), node.Whole("minLagMin", 0), node.Whole("maxLagMin", 0), node.Flag("byTray"));
        if (after.MaxLagMin < after.MinLagMin)
            node.Fault("maxLagMin", $"at least minLagMin ({after.MinLagMin}) is required, not {after.MaxLagMin}");
        return after;
    }

    private static string Id(JsonNode node)
    {
        var id = node.Text("id");
        if (id.Length == 0) node.Fault("id", "an id is required");
        return id;
    }

    private static void Unique(IReadOnlyList<JsonNode> nodes, IReadOnlyList<string> ids)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (id, node) in ids.Zip(nodes))
            if (id.Length > 0 && !seen.Add(id)) node.Fault("id", $"\"{id}\" is used twice");
    }

    private static void CheckNames(BakeProblem problem, Bake bake, JsonNode node)
    {
        foreach (var name in bake.Ovens ?? [])
            if (problem.Ovens.All(oven => oven.Id != name)) node.Fault("ovens", $"there is no oven \"{name}\"");
        foreach (var after in bake.After)
        {
            var before = problem.Bakes.FirstOrDefault(other => other.Id == after.BakeId);
            if (before is null) node.Fault("after", $"there is no bake \"{after.BakeId}\"");
            else if (after.ByTray && before.Trays.Count != bake.Trays.Count)
                node.Fault("after", $"by tray needs as many trays as \"{before.Id}\" has: {before.Trays.Count}, not {bake.Trays.Count}");
        }
    }
}
