namespace Lumpet.Server.Recipes;

/// <summary>The dough of a scaled product.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Factor">Dough of this pan over dough of the reference pan.</param>
/// <param name="GramsPerPie">Discs of one pie.</param>
/// <param name="Density">Grams per millilitre.</param>
/// <param name="ThicknessMm">Rolled to.</param>
/// <param name="WrittenThicknessMm">What is written.</param>
/// <param name="TrimPercent">Share of a disc that is trimmed off.</param>
/// <param name="BowlPercent">Share of a batch that stays in the bowl.</param>
/// <param name="Pieces">Its pieces.</param>
/// <param name="Lines">Line by line, bowl loss included.</param>
/// <param name="Judged">What is usual for its family.</param>
/// <param name="Method">How it is made and kept, in words.</param>
/// <param name="TrimUse">What becomes of the trim, in words.</param>
/// <param name="Said">How the recipe divides its dough or cuts its sheet, and what follows; empty where it writes thicknesses and gaps.</param>
/// <param name="IsShell">Whether it comes as shells by the piece: nothing of it is rolled.</param>
public sealed record DoughScaleAnswer(
    string Name,
    double Factor,
    double GramsPerPie,
    double Density,
    double ThicknessMm,
    double WrittenThicknessMm,
    double TrimPercent,
    double BowlPercent,
    IReadOnlyList<PieceAnswer> Pieces,
    IReadOnlyList<LineAnswer> Lines,
    DoughJudged Judged,
    string Method,
    string TrimUse,
    string Said,
    bool IsShell);

/// <summary>A dough, judged by its family.</summary>
/// <param name="Family">Its family in words.</param>
/// <param name="Ratio">Flour : fat : water; null where it has no flour.</param>
/// <param name="Findings">What was found.</param>
public sealed record DoughJudged(string Family, string? Ratio, IReadOnlyList<FindingAnswer> Findings);

/// <summary>A finding about a dough.</summary>
/// <param name="Part">Which part.</param>
/// <param name="Percent">Share of the flour.</param>
/// <param name="Least">The least that is usual.</param>
/// <param name="Most">The most that is usual.</param>
/// <param name="Expect">What to expect; empty where it is usual.</param>
public sealed record FindingAnswer(string Part, double Percent, double Least, double Most, string Expect);

/// <summary>A piece of dough.</summary>
/// <param name="Name">"base", "floor", "wall strips", "lid", "lattice" or "cut-outs".</param>
/// <param name="IsRound">Whether it is round.</param>
/// <param name="Count">How many of it a pie takes.</param>
/// <param name="LengthCm">Of the piece, or of what the strips span.</param>
/// <param name="DiameterCm">Across it, or its shorter side.</param>
/// <param name="DiscDiameterCm">Of the disc rolled to the same thickness: the piece and the trim around it.</param>
/// <param name="StripsCm">Lengths of the strips that cross the pan, left to right; empty for a round.</param>
/// <param name="AcrossCm">Lengths of the strips that run along it, top to bottom.</param>
/// <param name="StripWidthCm">Width of a strip.</param>
/// <param name="StripPitchCm">From the middle of a strip of a lattice to that of the next; 0 of other pieces.</param>
/// <param name="Reckoning">How its size follows from the pan, in words that can be checked by hand.</param>
/// <param name="ThicknessMm">To which it is rolled.</param>
/// <param name="AreaCm2">Its area.</param>
/// <param name="PieceGrams">Its weight.</param>
/// <param name="DiscGrams">Weight of its disc.</param>
/// <param name="TrimGrams">What comes back.</param>
/// <param name="TrimPercent">Share of the disc that comes back.</param>
/// <param name="FromTrim">How many of it are cut from the trim of the other pieces.</param>
/// <param name="Sheet">How such pieces lie on a sheet; null where they are cut one by one.</param>
public sealed record PieceAnswer(
    string Name,
    bool IsRound,
    int Count,
    double LengthCm,
    double DiameterCm,
    double DiscDiameterCm,
    IReadOnlyList<double> StripsCm,
    IReadOnlyList<double> AcrossCm,
    double StripWidthCm,
    double StripPitchCm,
    string Reckoning,
    double ThicknessMm,
    double AreaCm2,
    double PieceGrams,
    double DiscGrams,
    double TrimGrams,
    double TrimPercent,
    int FromTrim,
    SheetAnswer? Sheet);

/// <summary>Pieces side by side on a sheet of rolled dough.</summary>
/// <param name="LengthCm">Of the sheet.</param>
/// <param name="WidthCm">Of the sheet.</param>
/// <param name="PieceLengthCm">Of a piece as it lies, or its diameter.</param>
/// <param name="PieceWidthCm">Of a piece as it lies.</param>
/// <param name="Spots">Middle of each piece.</param>
/// <param name="UsedPercent">Share of the sheet that becomes pieces the first time.</param>
/// <param name="Rerolls">How often the scraps are rolled again.</param>
/// <param name="Sheets">Sheets for all pies, scraps rolled again counted in.</param>
public sealed record SheetAnswer(
    double LengthCm, double WidthCm, double PieceLengthCm, double PieceWidthCm, IReadOnlyList<SheetSpot> Spots, double UsedPercent, int Rerolls, int Sheets);

/// <summary>The middle of a piece on a sheet.</summary>
/// <param name="X">From the left edge, in centimetres.</param>
/// <param name="Y">From the upper edge.</param>
public sealed record SheetSpot(double X, double Y);
