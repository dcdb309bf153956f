namespace Lumpet.Server.Recipes;

/// <summary>A product in the list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Version">Its version.</param>
/// <param name="Dough">Name of its dough.</param>
/// <param name="Top">"open", "lid" or "lattice".</param>
/// <param name="Bake">Its bakes in words.</param>
/// <param name="Pans">Names of its pans.</param>
/// <param name="Allergens">What it carries.</param>
/// <param name="NotStated">Ingredients of which nobody has said yet what they carry.</param>
public sealed record RecipeListed(
    string Id, string Name, int Version, string Dough, string Top, string Bake, IReadOnlyList<string> Pans, IReadOnlyList<string> Allergens, IReadOnlyList<string> NotStated);

/// <summary>A question about a recipe.</summary>
/// <param name="Pan">Id of the pan; null for the reference pan.</param>
/// <param name="Count">Pies; null for one.</param>
public sealed record ScaleRequest(string? Pan, int? Count);

/// <summary>A product scaled to a pan and a count.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Version">Its version.</param>
/// <param name="Allergens">What it carries.</param>
/// <param name="NotStated">Ingredients of which nobody has said yet what they carry.</param>
/// <param name="Count">Pies.</param>
/// <param name="Pan">The pan.</param>
/// <param name="ReferencePan">The pan for which it is written.</param>
/// <param name="Pans">All its pans, for the choice.</param>
/// <param name="FillingKilograms">Filling of all pies.</param>
/// <param name="DoughKilograms">Dough of all pies, bowl loss included.</param>
/// <param name="Filling">How the filling scales.</param>
/// <param name="Lines">The filling, line by line.</param>
/// <param name="Dough">The dough.</param>
/// <param name="Finish">The finish, line by line.</param>
/// <param name="FinishFactor">By which the finish was multiplied.</param>
/// <param name="Cost">What one pie costs.</param>
/// <param name="Steps">How it is made.</param>
public sealed record ScaleAnswer(
    string Id,
    string Name,
    int Version,
    IReadOnlyList<string> Allergens,
    IReadOnlyList<string> NotStated,
    int Count,
    PanAnswer Pan,
    PanAnswer ReferencePan,
    IReadOnlyList<PanAnswer> Pans,
    double FillingKilograms,
    double DoughKilograms,
    FillingScaleAnswer Filling,
    IReadOnlyList<LineAnswer> Lines,
    DoughScaleAnswer Dough,
    IReadOnlyList<LineAnswer> Finish,
    double FinishFactor,
    CostAnswer Cost,
    IReadOnlyList<StepAnswer> Steps);

/// <summary>A pan, in centimetres.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="TopCm">Inner diameter at the rim.</param>
/// <param name="BottomCm">Inner diameter of the floor.</param>
/// <param name="DepthCm">Inner height.</param>
/// <param name="RimCm">Width of the rim.</param>
/// <param name="PerTray">Pans on a tray.</param>
/// <param name="BrimfulMl">Volume of the empty pan.</param>
public sealed record PanAnswer(
    string Id, string Name, double TopCm, double BottomCm, double DepthCm, double RimCm, int PerTray, double BrimfulMl);

/// <summary>How the filling scales.</summary>
/// <param name="Factor">By which every line is multiplied for one pie.</param>
/// <param name="WrittenMl">Room of the written amount.</param>
/// <param name="RoomMl">Room of the filling in this pan.</param>
/// <param name="LevelMl">Room inside the dough, level with the rim.</param>
/// <param name="LevelPercent">Share of that which is filled.</param>
/// <param name="PackedDensity">Grams per millilitre as packed.</param>
/// <param name="GramsPerPie">Filling of one pie.</param>
/// <param name="LinedTopCm">Diameter between the dough walls at the rim.</param>
/// <param name="LinedBottomCm">Diameter between the dough walls on the floor.</param>
/// <param name="LinedDepthCm">From the dough floor to the rim.</param>
/// <param name="HeightCm">Height of the filling's edge above the dough floor.</param>
/// <param name="MoundCm">Height of the mound above the rim.</param>
/// <param name="AfterBakeCm">Height of its middle above the dough floor after the bake.</param>
/// <param name="MovedCm">How far the middle moves in the bake: below 0 sinks.</param>
/// <param name="ThicknessCm">Thickness of the dough.</param>
public sealed record FillingScaleAnswer(
    double Factor,
    double WrittenMl,
    double RoomMl,
    double LevelMl,
    double LevelPercent,
    double PackedDensity,
    double GramsPerPie,
    double LinedTopCm,
    double LinedBottomCm,
    double LinedDepthCm,
    double HeightCm,
    double MoundCm,
    double AfterBakeCm,
    double MovedCm,
    double ThicknessCm);

/// <summary>A line of a formula.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="WrittenGrams">As written for the reference pan, or as written in the dough's formula.</param>
/// <param name="PerPieGrams">For one pie.</param>
/// <param name="TotalGrams">For all pies, to weigh.</param>
/// <param name="ToBuyGrams">To buy; null where nothing is lost.</param>
/// <param name="YieldPercent">What preparation leaves; null where nothing is lost.</param>
public sealed record LineAnswer(
    string Name, string Preparation, double WrittenGrams, double PerPieGrams, double TotalGrams, double? ToBuyGrams, double? YieldPercent);

/// <summary>The dough of a scaled product.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Factor">Dough of this pan over dough of the reference pan.</param>
/// <param name="GramsPerPie">Discs of one pie.</param>
/// <param name="Density">Grams per millilitre.</param>
/// <param name="ThicknessMm">Rolled to.</param>
/// <param name="TrimPercent">Share of a disc that is trimmed off.</param>
/// <param name="BowlPercent">Share of a batch that stays in the bowl.</param>
/// <param name="Pieces">Its pieces.</param>
/// <param name="Lines">Line by line, bowl loss included.</param>
public sealed record DoughScaleAnswer(
    string Name,
    double Factor,
    double GramsPerPie,
    double Density,
    double ThicknessMm,
    double TrimPercent,
    double BowlPercent,
    IReadOnlyList<PieceAnswer> Pieces,
    IReadOnlyList<LineAnswer> Lines);

/// <summary>A piece of dough.</summary>
/// <param name="Name">"base", "lid" or "lattice".</param>
/// <param name="DiameterCm">Of the round, or of the circle that the strips span.</param>
/// <param name="DiscDiameterCm">Of the disc rolled to the same thickness: the round and the trim around it.</param>
/// <param name="StripsCm">Lengths of the strips one way, left to right; empty for a round.</param>
/// <param name="StripWidthCm">Width of a strip.</param>
/// <param name="Reckoning">How its size follows from the pan, in words that can be checked by hand.</param>
/// <param name="AreaCm2">Its area.</param>
/// <param name="PieceGrams">Its weight.</param>
/// <param name="DiscGrams">Weight of its disc.</param>
/// <param name="TrimGrams">What comes back.</param>
public sealed record PieceAnswer(
    string Name, double DiameterCm, double DiscDiameterCm, IReadOnlyList<double> StripsCm, double StripWidthCm, string Reckoning, double AreaCm2, double PieceGrams, double DiscGrams, double TrimGrams);

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
    double? Total,
    double? SellingPrice,
    double? FoodCostPercent,
    IReadOnlyList<CostPartAnswer> Parts,
    IReadOnlyList<CostLineAnswer> Lines,
    IReadOnlyList<string> Missing);

/// <summary>The cost of a part.</summary>
/// <param name="Part">"dough", "filling", "finish" or "packaging".</param>
/// <param name="Cost">Null while a price is missing.</param>
public sealed record CostPartAnswer(string Part, double? Cost);

/// <summary>The cost of an ingredient in one pie.</summary>
/// <param name="Part">Its part.</param>
/// <param name="Name">Its name.</param>
/// <param name="Amount">Grams that go in, or pieces.</param>
/// <param name="Unit">"g" or "piece".</param>
/// <param name="YieldPercent">What preparation leaves; null where nothing is lost.</param>
/// <param name="Price">The price row in words; null where none is known.</param>
/// <param name="Cost">Null where no price is known.</param>
public sealed record CostLineAnswer(
    string Part, string Name, double Amount, string Unit, double? YieldPercent, string? Price, double? Cost);

/// <summary>A step in words.</summary>
/// <param name="Name">What is done.</param>
/// <param name="Station">Where.</param>
/// <param name="Time">How long, in words.</param>
/// <param name="Celsius">Temperature of the place.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record StepAnswer(string Name, string Station, string Time, int Celsius, string ReadyWhen, string Caution);
