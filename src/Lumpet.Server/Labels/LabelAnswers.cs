using Lumpet.Core.Labels;

namespace Lumpet.Server.Labels;

/// <summary>The label of a product in a pan, and what is stated for it.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PanName">Its name.</param>
/// <param name="Pans">Every pan it is made in.</param>
/// <param name="Manner">"europeanUnion" or "unitedStates".</param>
/// <param name="IsOneList">Whether all ingredients stand in one list.</param>
/// <param name="Made">The day on which it was made (ISO date).</param>
/// <param name="Lot">The lot of the pies; null where none is said.</param>
/// <param name="Label">The label.</param>
/// <param name="InTheWay">What stands in the way of using it; empty where nothing does.</param>
/// <param name="Notes">What a person should know of it.</param>
/// <param name="Stated">What is stated; what is usual where nobody has said.</param>
/// <param name="Version">Goes back in If-Match when that is stated anew; 0 where nobody has said.</param>
/// <param name="RecipeGrams">What one weighs by its recipe, before it is baked.</param>
/// <param name="Ingredients">Everything bought that is in it, what weighs most first, with its words for labels.</param>
/// <param name="Lots">Lots of these pies on the shelves, the latest first.</param>
/// <param name="PrinterLeft">Labels on the printer's roll; null where it does not know.</param>
/// <param name="PrinterIsStandIn">Whether no real printer is behind it.</param>
/// <param name="Printed">What was printed last.</param>
public sealed record LabelAnswer(
    string Product,
    string Name,
    string Pan,
    string PanName,
    IReadOnlyList<LabelPanAnswer> Pans,
    string Manner,
    bool IsOneList,
    string Made,
    Guid? Lot,
    PieLabel Label,
    IReadOnlyList<string> InTheWay,
    IReadOnlyList<string> Notes,
    LabelStatementDraft Stated,
    long Version,
    int RecipeGrams,
    IReadOnlyList<LabelIngredientAnswer> Ingredients,
    IReadOnlyList<LabelLotAnswer> Lots,
    int? PrinterLeft,
    bool PrinterIsStandIn,
    IReadOnlyList<PrintedLabelAnswer> Printed);

/// <summary>A pan that a product is made in.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
public sealed record LabelPanAnswer(string Id, string Name);

/// <summary>An ingredient of a label.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">The bakery's name for it.</param>
/// <param name="Grams">How much goes into one pie.</param>
/// <param name="Allergens">What it carries; null where nobody has said.</param>
/// <param name="Words">How it is called on labels; empty where by its name.</param>
/// <param name="Version">Goes back in If-Match when that is said anew; 0 where nobody has said.</param>
public sealed record LabelIngredientAnswer(string Id, string Name, double Grams, IReadOnlyList<string>? Allergens, string Words, long Version);

/// <summary>A lot of the pies that the label is of.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Code">Its number.</param>
/// <param name="Pies">How many are there.</param>
/// <param name="Made">The day on which they were made (ISO date).</param>
public sealed record LabelLotAnswer(Guid Id, string Code, int Pies, string Made);

/// <summary>Labels that were printed.</summary>
/// <param name="Number">Their number.</param>
/// <param name="At">When, in words.</param>
/// <param name="Copies">How many.</param>
/// <param name="Lines">All that stood on each.</param>
public sealed record PrintedLabelAnswer(long Number, string At, int Copies, IReadOnlyList<string> Lines);

/// <summary>Labels to be printed.</summary>
/// <param name="Copies">How many, 1 to 2000.</param>
/// <param name="Manner">"europeanUnion" or "unitedStates".</param>
/// <param name="IsOneList">Whether all ingredients stand in one list.</param>
/// <param name="Made">The day on which they were made (ISO date); that of the lot where one is said.</param>
/// <param name="Lot">The lot of the pies; null for none.</param>
/// <param name="Lines">The label as it was seen: another is not printed unseen.</param>
/// <param name="EvenSo">Whether they are printed though something stands in the way.</param>
public sealed record PrintLabelsRequest(int? Copies, string? Manner, bool? IsOneList, string? Made, Guid? Lot, IReadOnlyList<string?>? Lines, bool? EvenSo);

/// <summary>How an ingredient is called on labels.</summary>
/// <param name="Words">The words, up to 400 characters; empty takes them back.</param>
public sealed record LabelWordsRequest(string? Words);
