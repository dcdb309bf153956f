namespace Lumpet.Core.Recipes;

/// <summary>The families of dough.</summary>
public enum DoughFamily
{
    /// <summary>Three of flour, two of fat, one of water; fat cut to peas.</summary>
    Flaky,

    /// <summary>As much butter as flour.</summary>
    VeryRich,

    /// <summary>Rough puff: big pieces of fat, rolled and folded.</summary>
    Folded,

    /// <summary>Fat smeared or rolled into sheets, quartered and stacked.</summary>
    Smeared,

    /// <summary>Two of flour, one of butter, rubbed to crumbs.</summary>
    Short,

    /// <summary>Short, with much icing sugar and egg.</summary>
    SweetTart,

    /// <summary>Eggs in place of water.</summary>
    EggBound,

    /// <summary>Butter for flavour, lard or shortening for flake.</summary>
    MixedFat,

    /// <summary>Up to a third of the flour as ground nuts.</summary>
    NutEnriched,

    /// <summary>Short crust with egg and a little baking powder.</summary>
    Raised,

    /// <summary>Bought ready.</summary>
    BoughtIn,
}

/// <summary>How a dough is made and kept, beside its formula.</summary>
/// <param name="Family">Its family.</param>
/// <param name="HeldBackPercent">Share of the water that is held back and added only as needed, 0 to 50.</param>
/// <param name="FatSize">Size of the fat to look for: "peas", "hazelnuts"; empty where it does not matter.</param>
/// <param name="Turns">How often it is rolled and folded or stacked.</param>
/// <param name="TurnMinutes">Hands' minutes for one turn of a batch.</param>
/// <param name="TurnRestMinutes">Rest in the cold after each turn.</param>
/// <param name="ThinnestMm">Thinnest it is rolled to.</param>
/// <param name="ThickestMm">Thickest it is rolled to.</param>
/// <param name="KeepsColdDays">Days it keeps in the fridge.</param>
/// <param name="KeepsFrozenDays">Days it keeps frozen.</param>
public sealed record DoughMethod(
    DoughFamily Family,
    double HeldBackPercent,
    string FatSize,
    int Turns,
    int TurnMinutes,
    int TurnRestMinutes,
    double ThinnestMm,
    double ThickestMm,
    int KeepsColdDays,
    int KeepsFrozenDays)
{
    /// <summary>The plain way of the flaky family.</summary>
    public static DoughMethod Flaky { get; } = new(DoughFamily.Flaky, 20, "peas", 0, UsualTurnMinutes, 0, 2, 4, 3, 60);

    /// <summary>Minutes that a turn of a batch usually takes (common practice, no source).</summary>
    public const int UsualTurnMinutes = 5;
}
