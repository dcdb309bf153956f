namespace Lumpet.Server.Recipes;

/// <summary>What one pie costs.</summary>
/// <param name="IsComplete">Whether every price is known.</param>
/// <param name="Currency">ISO 4217 code.</param>
/// <param name="Total">For one pie; null while incomplete.</param>
/// <param name="SellingPrice">Null where none is set.</param>
/// <param name="FoodCostPercent">Cost over selling price; null where either is unknown.</param>
/// <param name="Parts">By part; they add up to the total.</param>
/// <param name="Lines">By ingredient; they add up to the parts.</param>
/// <param name="Missing">Ingredients without a price.</param>
public sealed record CostAnswer(
    bool IsComplete,
    string Currency,
    decimal? Total,
    decimal? SellingPrice,
    decimal? FoodCostPercent,
    IReadOnlyList<CostPartAnswer> Parts,
    IReadOnlyList<CostLineAnswer> Lines,
    IReadOnlyList<string> Missing);

/// <summary>The cost of a part.</summary>
/// <param name="Part">Its id: "dough", that of a layer, or "packaging".</param>
/// <param name="Title">What it is called.</param>
/// <param name="Cost">Null while a price is missing.</param>
public sealed record CostPartAnswer(string Part, string Title, decimal? Cost);

/// <summary>The cost of an ingredient in one pie.</summary>
/// <param name="Part">Id of its part.</param>
/// <param name="Name">Its name.</param>
/// <param name="Amount">Grams that go in, or pieces.</param>
/// <param name="Unit">"g" or "piece".</param>
/// <param name="YieldPercent">What preparation leaves; null where nothing is lost.</param>
/// <param name="Price">The price row in words; null where none is known.</param>
/// <param name="Cost">Null where no price is known.</param>
public sealed record CostLineAnswer(
    string Part, string Name, double Amount, string Unit, double? YieldPercent, string? Price, decimal? Cost);
