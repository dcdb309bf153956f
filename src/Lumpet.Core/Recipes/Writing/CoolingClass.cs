namespace Lumpet.Core.Recipes.Writing;

/// <summary>How the usual steps cool a pie before it can be boxed. Times are common practice, no source, but for the clock.</summary>
public enum CoolingClass
{
    /// <summary>Free-form tarts: about an hour on the rack.</summary>
    FreeForm,

    /// <summary>Berries, nut tarts, shells: about two hours.</summary>
    Short,

    /// <summary>Curd with meringue: three hours or more.</summary>
    Curd,

    /// <summary>Double-crust fruit: four to six hours.</summary>
    Fruit,

    /// <summary>Cream: four hours of cold.</summary>
    ColdSet,

    /// <summary>Custard, puree, savoury: off the rack by the cooling rule, then cold.</summary>
    SafetyClock,
}

/// <summary>What is usual for a cooling class.</summary>
public static class CoolingClasses
{
    /// <summary>The least minutes from the last bake to the box.</summary>
    public static int LeastMinutes(CoolingClass cooling) => cooling switch
    {
        CoolingClass.FreeForm => 60,
        CoolingClass.Short => 120,
        CoolingClass.Curd => 180,
        CoolingClass.Fruit => 180,
        CoolingClass.ColdSet => 240,
        _ => 120,
    };

    /// <summary>Whether the pie is kept at 5 C or below until its pick-up (FDA Food Code 3-501.16).</summary>
    public static bool IsKeptCold(CoolingClass cooling) => cooling is CoolingClass.ColdSet or CoolingClass.SafetyClock or CoolingClass.Curd;
}
