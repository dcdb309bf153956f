namespace Lumpet.Core.Preparations;

/// <summary>What is made before it goes into pies; the usual way of making and keeping it follows.</summary>
public enum PreparationKind
{
    /// <summary>Anything else.</summary>
    Other,

    /// <summary>Fruit or vegetables cooked for a filling.</summary>
    CookedFilling,

    /// <summary>Curd of fruit juice, egg and butter.</summary>
    Curd,

    /// <summary>Squash or roots, roasted and blended.</summary>
    Puree,

    /// <summary>Cream cooked with starch.</summary>
    Cream,

    /// <summary>Sugar and water or juice, boiled.</summary>
    Syrup,

    /// <summary>Sugar cooked dark, with cream or butter.</summary>
    Caramel,

    /// <summary>Nuts in caramel, ground.</summary>
    Praline,

    /// <summary>Jam or compote.</summary>
    Jam,

    /// <summary>A paste of ground nuts, butter, sugar and egg.</summary>
    NutPaste,

    /// <summary>Nuts, seeds or oats, toasted in the oven.</summary>
    Toasted,

    /// <summary>Crumble.</summary>
    Crumble,

    /// <summary>Egg or milk to be brushed on.</summary>
    Wash,

    /// <summary>A glaze, brushed on after the bake.</summary>
    Glaze,

    /// <summary>A sauce, served beside.</summary>
    Sauce,

    /// <summary>Shells of dough, baked by the piece and kept until they are filled.</summary>
    Shells,

    /// <summary>A dough: it is written with its family, and the mixer makes it.</summary>
    Dough,
}
