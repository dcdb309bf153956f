using Lumpet.Core.Measures;
using Lumpet.Core.Steps;
using Lumpet.Core.Steps.Writing;

namespace Lumpet.Core.Preparations;

/// <summary>Reads how something is made: everything wrong is named, or the whole of it can be taken.</summary>
internal static class MakingReader
{
    private const int MostSteps = 20;
    private const double LeastKg = 0.02;
    private const double MostKg = 1000;
    private const int MostPieces = 10_000;

    // A year: what is frozen longer is another product.
    private const int MostHold = 525_600;

    // Room, fridge and freezer, one of which is the plan's.
    private const int OtherPlaces = 2;

    // A week: what is longer on its way from the freezer is kept in the fridge.
    private const int MostThaw = 10_080;

    /// <summary>Reads a draft; faults are added below the field's name.</summary>
    /// <param name="checks">Takes what is wrong.</param>
    /// <param name="field">The field of the draft.</param>
    /// <param name="draft">What was written.</param>
    /// <param name="one">What one of it weighs when it is made; null where nobody has said.</param>
    /// <param name="leftShare">What of the weight that goes in is left in the end.</param>
    public static Making Read(FieldChecks checks, string field, MakingDraft draft, Mass? one = null, double leftShare = 1)
    {
        var steps = checks.List($"{field}.steps", draft.Steps, 0, MostSteps, "steps").Select((step, at) => (Step: SingleStepReader.Read(checks, step, $"{field}.steps[{at}]"), Written: step, Path: $"{field}.steps[{at}]")).ToArray();
        foreach (var twice in steps.GroupBy(one => one.Step.Id).Where(group => group.Count() > 1)) checks.Add($"{field}.steps", $"Two steps have the id \"{twice.Key}\".");
        foreach (var (step, typed, path) in steps) Alone(checks, step, typed, path);
        if (steps.Length > 0 && steps[0].Step.Wait is not null) checks.Add(steps[0].Path, "It begins with work or a bake, not with a wait.");
        var isBaked = steps.Any(one => one.Step.IsBake);
        var kind = checks.Word($"{field}.kind", draft.Kind, PreparationKind.Other);
        if (kind == PreparationKind.Dough) checks.Add($"{field}.kind", "A dough is written as a dough, with its family.");
        var byPiece = draft.BatchMostPieces is not null || draft.BatchLeastPieces is not null || draft.TrayPieces is not null;
        if (byPiece && one is null) checks.Add($"{field}.batchMostPieces", "To count it by the piece, state what one weighs.");
        return new Making(
            kind,
            [.. steps.Select(one => one.Step with { Bakes = BakeOf.Preparation })],
            byPiece ? ByPiece(checks, field, draft, isBaked, one ?? Mass.FromGrams(1), leftShare) : ByWeight(checks, field, draft, isBaked),
            Keeps(checks, field, draft))
        {
            Piece = byPiece ? one : null,
        };
    }

    private static BatchLimits ByWeight(FieldChecks checks, string field, MakingDraft draft, bool isBaked)
    {
        var (least, most) = (checks.Number($"{field}.batchLeastKg", draft.BatchLeastKg ?? 0, 0, MostKg, "kg"), checks.Number($"{field}.batchMostKg", draft.BatchMostKg, LeastKg, MostKg, "kg"));
        if (least > most) checks.Add($"{field}.batchLeastKg", "The smallest batch is more than the largest.");
        var tray = isBaked ? checks.Number($"{field}.trayKg", draft.TrayKg, LeastKg, MostKg, "kg") : draft.TrayKg is >= LeastKg and <= MostKg and { } written ? written : UsualTrayKg;
        return new BatchLimits(Mass.FromKilograms(least), Mass.FromKilograms(most), Mass.FromKilograms(tray));
    }

    private static BatchLimits ByPiece(FieldChecks checks, string field, MakingDraft draft, bool isBaked, Mass one, double leftShare)
    {
        var (least, most) = (checks.Whole($"{field}.batchLeastPieces", draft.BatchLeastPieces ?? 0, 0, MostPieces, "pieces"), checks.Whole($"{field}.batchMostPieces", draft.BatchMostPieces, 1, MostPieces, "pieces"));
        if (least > most) checks.Add($"{field}.batchLeastPieces", "The smallest batch is more than the largest.");
        var tray = isBaked || draft.TrayPieces is not null ? checks.Whole($"{field}.trayPieces", draft.TrayPieces, 1, MostPieces, "pieces") : most;
        return new BatchLimits(one * least, one * Math.Max(1, most), one * (Math.Max(1, tray) / leftShare));
    }

    /// <summary>What it would be written as.</summary>
    /// <param name="making">How it is made.</param>
    /// <param name="leftShare">What of the weight that goes in is left in the end.</param>
    public static MakingDraft Write(Making making, double leftShare = 1) => Limits(making, leftShare) with
    {
        Kind = Naming.Of(making.Kind),
        Steps = [.. making.Method.Select(SingleStepReader.Write)],
        KeepsIn = Naming.Of(making.Keeping.Place),
        HoldLeast = making.Keeping.Hold.Least,
        HoldAim = making.Keeping.Hold.Aim,
        HoldMost = making.Keeping.Hold.Most,
        Elsewhere = [.. making.Keeping.Elsewhere.Select(kept => new KeptInDraft(Naming.Of(kept.Place), kept.LeastMin == 0 ? null : kept.LeastMin, kept.MostMin))],
        ThawMin = making.Keeping.ThawMin == 0 ? null : making.Keeping.ThawMin,
        BeforeUse = making.Keeping.BeforeUse.Length == 0 ? null : making.Keeping.BeforeUse,
    };

    /// <summary>Kilograms that usually lie on a tray (common practice, no source).</summary>
    internal const double UsualTrayKg = 2.5;

    private static MakingDraft Limits(Making making, double leftShare) => making.Piece is { } one
        ? new()
        {
            BatchLeastPieces = making.Batches.Least > Mass.Zero ? (int)Math.Round(making.Batches.Least / one) : null,
            BatchMostPieces = (int)Math.Round(making.Batches.Most / one),
            TrayPieces = (int)Math.Round(making.Batches.Tray * leftShare / one),
        }
        : new()
        {
            BatchLeastKg = making.Batches.Least > Mass.Zero ? Kilograms(making.Batches.Least) : null,
            BatchMostKg = Kilograms(making.Batches.Most),
            TrayKg = Kilograms(making.Batches.Tray),
        };

    private static double Kilograms(Mass mass) => Math.Round(mass.Kilograms, 6);

    private static Keeping Keeps(FieldChecks checks, string field, MakingDraft draft)
    {
        var place = checks.Word($"{field}.keepsIn", draft.KeepsIn, KeepPlace.Cold);
        var hold = Hold(checks, field, draft);
        KeptIn[] elsewhere = [.. checks.List($"{field}.elsewhere", draft.Elsewhere ?? [], 0, OtherPlaces, "places").Select((kept, at) => Kept(checks, $"{field}.elsewhere[{at}]", kept))];
        if (elsewhere.Select(kept => kept.Place).Append(place).GroupBy(kept => kept).Any(group => group.Count() > 1)) checks.Add($"{field}.elsewhere", "Each place is named once: where a plan keeps it, and the others.");
        var thaw = checks.Whole($"{field}.thawMin", draft.ThawMin ?? 0, 0, MostThaw, "min");
        if (thaw > 0 && elsewhere.Select(kept => kept.Place).Append(place).All(kept => kept != KeepPlace.Frozen)) checks.Add($"{field}.thawMin", "Only what keeps in the freezer thaws.");
        return new Keeping(place, hold, checks.Words($"{field}.beforeUse", draft.BeforeUse)) { Elsewhere = elsewhere, ThawMin = thaw };
    }

    private static KeptIn Kept(FieldChecks checks, string field, KeptInDraft kept)
    {
        var (least, most) = (checks.Whole($"{field}.least", kept.Least ?? 0, 0, MostHold, "min"), checks.Whole($"{field}.most", kept.Most, 1, MostHold, "min"));
        if (least > most) checks.Add($"{field}.least", "The least that it needs there is more than it keeps.");
        return new KeptIn(checks.Word($"{field}.in", kept.In, KeepPlace.Cold), least, most);
    }

    private static Span Hold(FieldChecks checks, string field, MakingDraft draft)
    {
        var least = checks.Whole($"{field}.holdLeast", draft.HoldLeast ?? 0, 0, MostHold, "min");
        var aim = checks.Whole($"{field}.holdAim", draft.HoldAim ?? draft.HoldLeast ?? 0, 0, MostHold, "min");
        var most = checks.Whole($"{field}.holdMost", draft.HoldMost, 0, MostHold, "min");
        if (least > aim || aim > most) checks.Add($"{field}.holdAim", "What is wanted lies between the least it needs and the most it keeps.");
        return new Span(least, aim, most);
    }

    /// <summary>What a step of a preparation cannot be: it has no pie, no dough and no box.</summary>
    private static void Alone(FieldChecks checks, Step step, StepDraft draft, string path)
    {
        if (step.UsesDough) checks.Add($"{path}.usesDough", "Only a pie takes dough.");
        if (!string.IsNullOrWhiteSpace(draft.Takes)) checks.Add($"{path}.takes", "What goes in is taken at the first step; only a pie's steps say what they take.");
        if (step.Seals) checks.Add($"{path}.seals", "Only a pie's base is sealed.");
        if (step.WeightsOutMin is not null) checks.Add($"{path}.weightsOutMin", "Only shells are weighted.");
        if (step.Station == Station.Box) checks.Add($"{path}.station", "Only pies are boxed.");
    }
}
