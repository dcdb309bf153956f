namespace Lumpet.Core.Recipes;

/// <summary>The schools of a crisp bottom; each is a set of steps of its own. docs/decisions/0005 says which is the default and why.</summary>
public enum BaseTreatment
{
    /// <summary>None of them.</summary>
    Plain,

    /// <summary>Baked through before it is filled: for fillings that are not baked again.</summary>
    FullBlind,

    /// <summary>Baked until dry, then filled and baked again: custards, purees, nut tarts.</summary>
    PartBlind,

    /// <summary>A few minutes at great heat: with folded dough.</summary>
    ShortHotSet,

    /// <summary>Raw, on a tray that is heated in the oven: fruit.</summary>
    HotTray,

    /// <summary>Raw, on the floor of the oven.</summary>
    OvenFloor,

    /// <summary>Raw, brushed with egg: fruit.</summary>
    Seal,
}
