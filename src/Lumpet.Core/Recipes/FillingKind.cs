namespace Lumpet.Core.Recipes;

/// <summary>The kinds of filling; steps, judgement of thickening and cooling follow them.</summary>
public enum FillingKind
{
    /// <summary>Raw fruit, tossed and heaped.</summary>
    RawFruit,

    /// <summary>Fruit cooked and cooled first.</summary>
    PrecookedFruit,

    /// <summary>Fruit that gave its juice, which is boiled down.</summary>
    MaceratedFruit,

    /// <summary>Raw berries.</summary>
    Berry,

    /// <summary>Baked custard.</summary>
    BakedCustard,

    /// <summary>Baked puree of squash or roots.</summary>
    Puree,

    /// <summary>Cream cooked with starch, set cold.</summary>
    CookedCream,

    /// <summary>Curd of fruit juice, egg and butter.</summary>
    Curd,

    /// <summary>Nuts in a syrup.</summary>
    NutSyrup,

    /// <summary>Savoury.</summary>
    Savoury,

    /// <summary>A paste of ground nuts, butter, sugar and egg.</summary>
    NutPaste,
}

/// <summary>What a kind of filling asks for.</summary>
public static class FillingKinds
{
    /// <summary>Whether it is baked in its crust, or set in a crust that was baked before.</summary>
    public static bool IsBaked(FillingKind kind) => kind is not (FillingKind.CookedCream or FillingKind.Curd);
}
