namespace Lumpet.Server.Recipes;

/// <summary>What was found among the products.</summary>
/// <param name="Total">Products there are.</param>
/// <param name="Matching">Products that match; more than are listed where there are many.</param>
/// <param name="Recipes">The first of them, in the bakery's order.</param>
/// <param name="Kinds">Kinds of filling that occur, for the choice.</param>
public sealed record RecipesFound(int Total, int Matching, IReadOnlyList<RecipeListed> Recipes, IReadOnlyList<WordChoice> Kinds);

/// <summary>A value and its words.</summary>
/// <param name="Value">As it is sent.</param>
/// <param name="Words">As it is shown.</param>
public sealed record WordChoice(string Value, string Words);

/// <summary>A product in the list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Version">Its version.</param>
/// <param name="Dough">Name of its dough.</param>
/// <param name="Filling">Its kind of filling, in words.</param>
/// <param name="Top">What lies on it, in words.</param>
/// <param name="Base">How its base is kept crisp, in words.</param>
/// <param name="Bake">Its bakes in words.</param>
/// <param name="Pans">Names of its pans.</param>
/// <param name="Allergens">What it carries.</param>
/// <param name="MayContain">What it may carry in traces.</param>
/// <param name="Alcohol">Whether it contains alcohol.</param>
/// <param name="NotStated">Ingredients of which nobody has said yet what they carry.</param>
/// <param name="IsRetired">Whether it is offered no more.</param>
/// <param name="ToReview">How many things a person should still look at.</param>
public sealed record RecipeListed(
    string Id,
    string Name,
    int Version,
    string Dough,
    string Filling,
    string Top,
    string Base,
    string Bake,
    IReadOnlyList<string> Pans,
    IReadOnlyList<string> Allergens,
    IReadOnlyList<string> MayContain,
    bool Alcohol,
    IReadOnlyList<string> NotStated,
    bool IsRetired,
    int ToReview);

/// <summary>A question about a recipe.</summary>
/// <param name="Pan">Id of the pan; null for the reference pan.</param>
/// <param name="Count">Pies; null for one.</param>
/// <param name="Have">What is on hand, "14.2 kg pears": then the count is what it is enough for; null where the count is asked.</param>
/// <param name="ThicknessMm">Dough rolled to another thickness than is written, to see what it would change; null for what is written.</param>
public sealed record ScaleRequest(string? Pan, int? Count, string? Have, double? ThicknessMm);

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
/// <param name="Layers">Its layers, from the floor up, then what lies on it, is brushed on or served beside.</param>
/// <param name="Dough">The dough of the base, and of what lies on top unless that has its own.</param>
/// <param name="TopDough">The dough of what lies on top, where it is another.</param>
/// <param name="Packaging">What is counted by the pie in this pan.</param>
/// <param name="Cost">What one pie costs.</param>
/// <param name="Steps">How it is made.</param>
/// <param name="Facts">What it is.</param>
/// <param name="Warnings">What to look at.</param>
/// <param name="Whole">What comes whole.</param>
/// <param name="Estimate">How long the bake may take; null where none can be said.</param>
/// <param name="OnHand">What is on hand; null where it was not asked.</param>
/// <param name="Made">What is made here first, each once, whatever it goes into.</param>
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
    IReadOnlyList<PieLayerAnswer> Layers,
    DoughScaleAnswer Dough,
    DoughScaleAnswer? TopDough,
    IReadOnlyList<string> Packaging,
    CostAnswer Cost,
    IReadOnlyList<StepAnswer> Steps,
    RecipeFacts Facts,
    IReadOnlyList<string> Warnings,
    IReadOnlyList<WholeAnswer> Whole,
    EstimateAnswer? Estimate,
    OnHandAnswer? OnHand,
    IReadOnlyList<MadeAnswer> Made);

/// <summary>A layer of the pie, scaled.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Part">"filling", "topping", "finish" or "beside".</param>
/// <param name="Title">What it is called.</param>
/// <param name="Kind">Kind of filling, in words; empty of what is none.</param>
/// <param name="Scaled">How it follows the pan, in words.</param>
/// <param name="Factor">By which every line was multiplied.</param>
/// <param name="GramsPerPie">What of it goes into one pie.</param>
/// <param name="KeptPercent">What of its lines that is.</param>
/// <param name="Reduced">What boiling down does to it, before and after; empty where nothing is boiled down.</param>
/// <param name="Pieces">Whole pieces on one pie; 0 where it does not go by the piece.</param>
/// <param name="UpToCm">How high the edge of a filling stands above the dough floor, what lies below it included; null of what is none.</param>
/// <param name="Lines">Line by line.</param>
public sealed record PieLayerAnswer(
    string Id,
    string Part,
    string Title,
    string Kind,
    string Scaled,
    double Factor,
    double GramsPerPie,
    double KeptPercent,
    string Reduced,
    int Pieces,
    double? UpToCm,
    IReadOnlyList<LineAnswer> Lines);

/// <summary>Something that is made here and goes into the pies.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Grams">How much of it is needed.</param>
/// <param name="KeptPercent">What of its ingredients is left.</param>
/// <param name="Lines">What it takes, to weigh.</param>
public sealed record MadeAnswer(string Name, double Grams, double KeptPercent, IReadOnlyList<MadeLine> Lines);

/// <summary>A line of what is made here.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Preparation">How it is prepared.</param>
/// <param name="Grams">To weigh.</param>
public sealed record MadeLine(string Name, string Preparation, double Grams);

/// <summary>What a product is, in words.</summary>
/// <param name="Filling">Kind of filling.</param>
/// <param name="Top">What lies on it.</param>
/// <param name="Base">How its base is kept crisp.</param>
/// <param name="Lining">How the base is laid in.</param>
/// <param name="Cooling">How it cools, as its steps say.</param>
/// <param name="Keeping">How it is kept until its pick-up.</param>
/// <param name="MayContain">What it may carry in traces, as the suppliers of its ingredients say.</param>
/// <param name="Handles">What this kitchen handles, as the bakery states; null while it has stated nothing.</param>
/// <param name="Alcohol">Ingredients with alcohol.</param>
/// <param name="Cautions">What can hurt.</param>
/// <param name="Thickening">How its filling is thickened, in words; null where starch does not thicken it.</param>
/// <param name="Pan">What the pan's material means for the bake.</param>
/// <param name="Review">What a person should still look at.</param>
/// <param name="IsRetired">Whether it is offered no more.</param>
public sealed record RecipeFacts(
    string Filling,
    string Top,
    string Base,
    string Lining,
    string Cooling,
    string Keeping,
    IReadOnlyList<string> MayContain,
    IReadOnlyList<string>? Handles,
    IReadOnlyList<string> Alcohol,
    IReadOnlyList<string> Cautions,
    string? Thickening,
    string Pan,
    IReadOnlyList<string> Review,
    bool IsRetired);

/// <summary>Something that comes whole, and the three ways to deal with it.</summary>
/// <param name="Name">The ingredient.</param>
/// <param name="Piece">What comes whole.</param>
/// <param name="Exact">How many it takes exactly.</param>
/// <param name="Grams">What that weighs: the first way.</param>
/// <param name="Nearest">The nearest whole number: the second way.</param>
/// <param name="MovedPercent">By how much that moves this ingredient.</param>
/// <param name="WholeAt">The nearest count of pies at which it comes out whole: the third way; null where none is near.</param>
public sealed record WholeAnswer(string Name, string Piece, double Exact, double Grams, int Nearest, double MovedPercent, WholeAtAnswer? WholeAt);

/// <summary>A count of pies at which something comes out whole, within a twentieth of one piece.</summary>
/// <param name="Pies">Pies.</param>
/// <param name="Pieces">Whole pieces for them.</param>
/// <param name="MovedPercent">By how much taking so many still moves the ingredient.</param>
public sealed record WholeAtAnswer(int Pies, int Pieces, double MovedPercent);

/// <summary>How long the bake may take in this pan.</summary>
/// <param name="Least">Least minutes in all.</param>
/// <param name="Most">Most minutes in all.</param>
/// <param name="Why">How it was reckoned, and what decides.</param>
public sealed record EstimateAnswer(int Least, int Most, string Why);

/// <summary>How many pies something on hand is enough for.</summary>
/// <param name="What">What there is.</param>
/// <param name="HaveGrams">How much.</param>
/// <param name="PerPieGrams">How much one pie takes.</param>
/// <param name="Pies">Whole pies.</param>
/// <param name="LeftGrams">What is left.</param>
public sealed record OnHandAnswer(string What, double HaveGrams, double PerPieGrams, int Pies, double LeftGrams);

/// <summary>A pan, in centimetres.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Family">Its family, in words.</param>
/// <param name="Material">What it is made of, in words.</param>
/// <param name="IsRound">Whether it is round.</param>
/// <param name="IsFreeForm">Whether there is no pan.</param>
/// <param name="TopCm">Inner diameter at the rim, or the inner length.</param>
/// <param name="BottomCm">Inner diameter of the floor, or its length.</param>
/// <param name="TopWidthCm">Inner width at the rim; the diameter again of a round one.</param>
/// <param name="BottomWidthCm">Inner width of the floor.</param>
/// <param name="DepthCm">Inner height.</param>
/// <param name="RimCm">Width of the rim.</param>
/// <param name="PerTray">Pans on a tray.</param>
/// <param name="BrimfulMl">Volume of the empty pan.</param>
/// <param name="InsideCm2">Floor and wall inside.</param>
public sealed record PanAnswer(
    string Id,
    string Name,
    string Family,
    string Material,
    bool IsRound,
    bool IsFreeForm,
    double TopCm,
    double BottomCm,
    double TopWidthCm,
    double BottomWidthCm,
    double DepthCm,
    double RimCm,
    int PerTray,
    double BrimfulMl,
    double InsideCm2);

/// <summary>How the filling scales.</summary>
/// <param name="Factor">Filling of this pan over filling of the reference pan, by room.</param>
/// <param name="WrittenMl">Room of the written amount.</param>
/// <param name="RoomMl">Room of the filling in this pan.</param>
/// <param name="LevelMl">Room inside the dough, level with the rim.</param>
/// <param name="LevelPercent">Share of that which is filled.</param>
/// <param name="PackedDensity">Grams per millilitre as packed; of several fillings the mean by their room.</param>
/// <param name="GramsPerPie">All fillings of one pie, in the pan.</param>
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
/// <param name="Written">The amount as it was written; empty for grams.</param>
/// <param name="WrittenGrams">As written for the reference pan, or as written in the dough's formula.</param>
/// <param name="PerPieGrams">For one pie.</param>
/// <param name="TotalGrams">For all pies, to weigh.</param>
/// <param name="ToBuyGrams">To buy; null where nothing is lost.</param>
/// <param name="YieldPercent">What preparation leaves; null where nothing is lost.</param>
/// <param name="Pieces">About how many to buy of what grows by the piece: "about 17 of 182 g"; null where that is not known.</param>
public sealed record LineAnswer(
    string Name, string Preparation, string Written, double WrittenGrams, double PerPieGrams, double TotalGrams, double? ToBuyGrams, double? YieldPercent, string? Pieces);

/// <summary>A step in words.</summary>
/// <param name="Name">What is done.</param>
/// <param name="Station">Where.</param>
/// <param name="Time">How long, in words.</param>
/// <param name="Celsius">Temperature of the place.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record StepAnswer(string Name, string Station, string Time, int Celsius, string ReadyWhen, string Caution);
