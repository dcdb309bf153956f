using Lumpet.Core.Measures;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Preparations;
using NodaTime;

namespace Lumpet.Core.Ingredients;

/// <summary>What a person states of an ingredient; a figure that is left out leaves the one that ships in force.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Allergens">What it carries; null while nobody has said.</param>
/// <param name="MayContain">What it may carry in traces; null for what ships, empty for nothing.</param>
/// <param name="OtherNames">Other words for it, separated by commas.</param>
/// <param name="Role">What it does in a formula, one of the names of <see cref="IngredientRole"/>; null for the role that ships.</param>
/// <param name="GramsPerMl">Its density.</param>
/// <param name="DensitySource">Where that figure comes from.</param>
/// <param name="Pieces">Weights of one.</param>
/// <param name="Yields">What preparing it leaves.</param>
/// <param name="AlcoholPercent">Alcohol by volume; null for what ships, 0 for none.</param>
/// <param name="UnsafeRaw">Whether it is not to be tasted raw; null for what ships.</param>
/// <param name="WeighedTo">Grams to which it is weighed; null for what the scale shows.</param>
/// <param name="Price">A new price; null leaves the prices as they are.</param>
/// <param name="MadeOf">What it is made of where the bakery makes it itself, one ingredient a line; empty where it is bought.</param>
/// <param name="KeptPercent">What of that is left; null for all of it.</param>
/// <param name="NeedsControl">Whether a moist filling of it needs time and temperature control; null for what ships.</param>
/// <param name="Making">How the bakery makes and keeps it; null while nobody has said, or where it is bought.</param>
/// <param name="ReducedPercent">What boiling down leaves of the weight of what it is made of; null where it is not boiled down.</param>
/// <param name="WaterPercent">What of its weight is water; null for what ships.</param>
public sealed record IngredientDraft(
    string? Name,
    IReadOnlyList<string?>? Allergens,
    IReadOnlyList<string?>? MayContain,
    string? OtherNames,
    string? Role,
    double? GramsPerMl,
    string? DensitySource,
    IReadOnlyList<PieceDraft?>? Pieces,
    IReadOnlyList<YieldDraft?>? Yields,
    double? AlcoholPercent,
    bool? UnsafeRaw,
    double? WeighedTo,
    PriceDraft? Price,
    string? MadeOf = null,
    double? KeptPercent = null,
    bool? NeedsControl = null,
    MakingDraft? Making = null,
    double? ReducedPercent = null,
    double? WaterPercent = null);

/// <summary>A weight of one as stated.</summary>
/// <param name="Piece">"one", "stick", "tin", "pod".</param>
/// <param name="Grams">What it weighs.</param>
/// <param name="Source">Where the figure comes from.</param>
public sealed record PieceDraft(string? Piece, double? Grams, string? Source);

/// <summary>A yield as stated.</summary>
/// <param name="Preparation">"pared and cored".</param>
/// <param name="Percent">What is left, in percent.</param>
/// <param name="Source">Where the figure comes from.</param>
public sealed record YieldDraft(string? Preparation, double? Percent, string? Source);

/// <summary>A price as stated.</summary>
/// <param name="Supplier">From whom.</param>
/// <param name="PackAmount">What a pack holds, in kilograms or pieces.</param>
/// <param name="PackUnit">"kg" or "piece".</param>
/// <param name="Paid">What a pack costs.</param>
public sealed record PriceDraft(string? Supplier, decimal? PackAmount, string? PackUnit, decimal? Paid);

/// <summary>Reads what is stated of an ingredient.</summary>
public static class IngredientReader
{
    private const int MostFigures = 12;
    private const int MostFormulaLines = 40;
    private const decimal LeastPack = 0.001m;
    private const decimal MostPack = 100_000m;

    // Puffed grain weighs about 0.05 g/ml, syrup 1.45; what lies outside is a slip.
    private const double LeastDensity = 0.02;
    private const double MostDensity = 3;

    /// <summary>Reads a draft.</summary>
    /// <param name="id">Id of the ingredient.</param>
    /// <param name="draft">What was stated.</param>
    /// <param name="currency">The bakery's currency.</param>
    /// <param name="today">First day of a new price.</param>
    /// <param name="pantry">What it may be made of; null where nothing is known.</param>
    /// <param name="custom">Which cup and spoons are meant.</param>
    /// <returns>The ingredient with the bakery's own facts, and its new price; or what is wrong.</returns>
    public static (Ingredient? Ingredient, Price? Price, IReadOnlyList<FieldFault> Faults) Read(string id, IngredientDraft draft, string currency, LocalDate today, Pantry? pantry = null, CupCustom custom = CupCustom.UnitedStates)
    {
        var checks = new FieldChecks();
        var name = checks.Name("name", draft.Name, "An ingredient");
        var allergens = MajorAllergens.Stated(checks, "allergens", draft.Allergens ?? []);
        var facts = Facts(checks, draft);
        var one = FactsInForce.Of(new Ingredient(id, name, []) { Facts = facts }).OnePiece?.Weight;
        var formula = string.IsNullOrWhiteSpace(draft.MadeOf) ? null : Formula(checks, id, draft, one, pantry ?? new Pantry([]), custom);
        if (formula is null && draft.Making is not null) checks.Add("making", "How it is made is said of what is made here: write what it is made of.");
        var price = draft.Price is { } stated ? Price(checks, id, stated, currency, today) : null;
        foreach (var twice in Twice(facts.Pieces.Select(piece => piece.Piece))) checks.Add("pieces", $"What one \"{twice}\" weighs is stated twice.");
        foreach (var twice in Twice(facts.Yields.Select(yield => yield.Preparation))) checks.Add("yields", $"What \"{twice}\" leaves is stated twice.");
        return checks.Faults.Count > 0
            ? (null, null, checks.Faults)
            : (new Ingredient(id, name, allergens, draft.Allergens is not null) { Facts = facts, Formula = formula }, price, []);
    }

    private static IEnumerable<string> Twice(IEnumerable<string> names) =>
        names.GroupBy(name => name, StringComparer.OrdinalIgnoreCase).Where(group => group.Count() > 1).Select(group => group.Key);

    /// <summary>What is wrong about how deep an ingredient lies in others with what it is made of, or null.</summary>
    /// <param name="ingredient">The ingredient as read.</param>
    /// <param name="known">All that the bakery has.</param>
    public static FieldFault? Nesting(Ingredient ingredient, IEnumerable<Ingredient> known)
    {
        if (ingredient.Formula is null) return null;
        var nesting = new MadeHereNesting(known);
        nesting.State(ingredient);
        return nesting.Fault(ingredient) is { } fault ? new FieldFault(ingredient.IsDough ? "lines" : "madeOf", fault) : null;
    }

    /// <summary>What a bakery has set itself, as it would be stated again; without a price.</summary>
    /// <param name="own">The ingredient with the bakery's own facts.</param>
    public static IngredientDraft Write(Ingredient own) => new(
        own.Name,
        own.AllergensStated ? own.Allergens : null,
        own.Facts.StatedMayContain,
        string.Join(", ", own.Facts.OtherNames),
        own.Facts.StatedRole is { } role ? Naming.Of(role) : null,
        own.Facts.Density?.Value.GramsPerMillilitre,
        own.Facts.Density?.Source,
        [.. own.Facts.Pieces.Select(piece => new PieceDraft(piece.Piece, piece.Weight.Grams, piece.Source))],
        [.. own.Facts.Yields.Select(yield => new YieldDraft(yield.Preparation, Math.Round(yield.Yield.Share * 100, 6), yield.Source))],
        own.Facts.StatedAlcoholPercent,
        own.Facts.StatedUnsafeRaw,
        own.Facts.WeighedTo,
        null,
        own.Formula is null ? null : string.Join('\n', own.Formula.Lines.Select(RecipeLineReader.Write)),
        own.Formula is null || own.Formula.KeptShare >= 1 ? null : Math.Round(own.Formula.KeptShare * 100, 6),
        own.Facts.StatedNeedsControl,
        own.Formula?.How is { } how ? MakingReader.Write(how, own.Formula.LeftShare) with { WholeOf = own.Formula.Lines.FirstOrDefault(line => line.Ingredient.Id == how.WholeOf)?.Ingredient.Name } : null,
        own.Formula is null or { ReducedTo: >= 1 } ? null : Math.Round(own.Formula.ReducedTo * 100, 6),
        own.Facts.WaterPercent);

    private static IngredientFormula Formula(FieldChecks checks, string id, IngredientDraft draft, Mass? one, Pantry pantry, CupCustom custom)
    {
        var lines = new List<RecipeLine>();
        foreach (var text in draft.MadeOf!.ReplaceLineEndings("\n").Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Take(MostFormulaLines))
        {
            var (read, fault) = RecipeLineReader.Read(text, pantry, custom);
            if (read is null) checks.Add("madeOf", fault!);
            else if (read.Known is not { } part) checks.Add("madeOf", $"\"{read.Name}\" is new here. State it as an ingredient first.");
            else if (part.Id == id) checks.Add("madeOf", $"{part.Name} cannot be made of itself.");
            else if (part.Formula?.Everything.Any(inner => inner.Id == id) == true) checks.Add("madeOf", $"{part.Name} is itself made of this: a recipe cannot use itself.");
            else lines.Add(read.Of(part));
        }

        var reducedTo = checks.Number("reducedPercent", draft.ReducedPercent ?? 100, 5, 100, "%") / 100;
        CanBoilAway(checks, "reducedPercent", lines, reducedTo);
        var kept = checks.Number("keptPercent", draft.KeptPercent ?? 100, 5, 100, "%") / 100;
        return new IngredientFormula(lines, kept)
        {
            ReducedTo = reducedTo,
            How = draft.Making is { } making ? MakingReader.Read(checks, "making", making, one, reducedTo * kept) with { WholeOf = Whole(checks, making, lines) } : null,
        };
    }

    /// <summary>Id of the line of which batches take whole ones; null where nobody says so.</summary>
    private static string? Whole(FieldChecks checks, MakingDraft making, List<RecipeLine> lines)
    {
        if (string.IsNullOrWhiteSpace(making.WholeOf)) return null;
        if (lines.FirstOrDefault(line => line.Ingredient.Name.Equals(making.WholeOf.Trim(), StringComparison.OrdinalIgnoreCase) || line.Ingredient.Id == making.WholeOf) is { Ingredient.Facts.OnePiece: not null } line) return line.Ingredient.Id;
        checks.Add("making.wholeOf", $"Whole ones can be taken of {string.Join(", ", lines.Where(one => one.Ingredient.Facts.OnePiece is not null).Select(one => one.Ingredient.Name).DefaultIfEmpty("nothing that it is made of: no weight of one is known"))}.");
        return null;
    }

    /// <summary>Adds a fault where more would boil away than there is water.</summary>
    internal static void CanBoilAway(FieldChecks checks, string field, IReadOnlyList<RecipeLine> lines, double reducedTo)
    {
        var balance = WaterBalance.Of(lines, reducedTo);
        if (reducedTo < 1 && lines.Count > 0 && !balance.IsPossible)
            checks.Add(field, FormattableString.Invariant($"Boiling takes water, never sugar or starch: of {balance.Before.Grams:0} g there are {(balance.Water + balance.Unknown).Grams:0} g of it, so {Math.Ceiling(balance.LeastLeft * 1000) / 10:0.#} % is left at least."));
    }

    private static IngredientFacts Facts(FieldChecks checks, IngredientDraft draft)
    {
        var role = string.IsNullOrWhiteSpace(draft.Role) ? (IngredientRole?)null : checks.Word("role", draft.Role, IngredientRole.Other);
        return new IngredientFacts
        {
            StatedRole = role,
            OtherNames = [.. checks.Words("otherNames", draft.OtherNames).Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)],
            Density = draft.GramsPerMl is null ? null
                : new DensityFigure(
                    Density.FromGramsPerMillilitre(checks.Number("gramsPerMl", draft.GramsPerMl, LeastDensity, MostDensity, "g/ml")), Source(checks, "densitySource", draft.DensitySource)),
            Pieces = [.. checks.List("pieces", draft.Pieces, 0, MostFigures, "weights of one").Select((piece, at) => new PieceWeight(
                checks.Name($"pieces[{at}].piece", piece.Piece, "What is counted", 30).ToLowerInvariant(),
                Mass.FromGrams(checks.Number($"pieces[{at}].grams", piece.Grams, 0.01, 50_000, "g")),
                Source(checks, $"pieces[{at}].source", piece.Source)))],
            Yields = [.. checks.List("yields", draft.Yields, 0, MostFigures, "yields").Select((yield, at) => new PreparationYield(
                checks.Name($"yields[{at}].preparation", yield.Preparation, "A preparation"),
                Yield.FromShare(checks.Number($"yields[{at}].percent", yield.Percent, 1, 100, "%") / 100),
                Source(checks, $"yields[{at}].source", yield.Source)))],
            StatedMayContain = draft.MayContain is null ? null : MajorAllergens.Stated(checks, "mayContain", draft.MayContain),
            StatedAlcoholPercent = draft.AlcoholPercent is null ? null : checks.Number("alcoholPercent", draft.AlcoholPercent, 0, 96, "%"),
            StatedUnsafeRaw = draft.UnsafeRaw,
            StatedNeedsControl = draft.NeedsControl,
            WaterPercent = draft.WaterPercent is null ? null : checks.Number("waterPercent", draft.WaterPercent, 0, 100, "%"),
            WeighedTo = draft.WeighedTo is null ? null : checks.Number("weighedTo", draft.WeighedTo, 0.01, 1000, "g"),
        };
    }

    private static string Source(FieldChecks checks, string field, string? source)
    {
        var words = checks.Words(field, source, 160);
        return words.Length == 0 ? "set by this bakery" : words;
    }

    private static Price Price(FieldChecks checks, string id, PriceDraft stated, string currency, LocalDate today)
    {
        var supplier = checks.Name("price.supplier", stated.Supplier, "A supplier");
        if (stated.PackUnit is not ("kg" or "piece")) checks.Add("price.packUnit", "A pack counts in kg or in pieces.");
        if (stated.PackAmount is not (>= LeastPack and <= MostPack)) checks.Add("price.packAmount", "A pack holds 0.001 to 100000.");
        if (stated.Paid is not (>= 0 and <= 1_000_000)) checks.Add("price.paid", "A price lies between 0 and 1000000.");
        var amount = stated.PackAmount is >= LeastPack and <= MostPack and { } held ? held : 1;
        var isWeighed = stated.PackUnit == "kg";
        return new Price(id, supplier, isWeighed ? amount * 1000 : amount, isWeighed ? PackUnit.Gram : PackUnit.Piece, new Money(stated.Paid ?? 0, currency), today);
    }
}
