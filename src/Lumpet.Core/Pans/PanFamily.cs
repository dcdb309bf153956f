namespace Lumpet.Core.Pans;

/// <summary>The families of pans.</summary>
public enum PanFamily
{
    /// <summary>Round, with sloped walls and a rim: the common pie pan.</summary>
    Sloped,

    /// <summary>Round with straight walls, often with a removable base or a ring.</summary>
    Straight,

    /// <summary>Fluted, with a removable base: tarts. Reckoned as a smooth wall between the flutes' middles.</summary>
    Fluted,

    /// <summary>Round and deep.</summary>
    Deep,

    /// <summary>Square or long, with a base that lifts out or not.</summary>
    Rectangular,

    /// <summary>A shallow tray baked and cut as a slab.</summary>
    Slab,

    /// <summary>A small mould of a batch: minis.</summary>
    Mould,

    /// <summary>A foil pan that goes with the pie.</summary>
    Foil,

    /// <summary>No pan: baked free on a tray; the diameter is that of the filling, the depth how high it stands.</summary>
    FreeForm,
}

/// <summary>What a pan is made of.</summary>
public enum PanMaterial
{
    /// <summary>Bright or tinned steel.</summary>
    Steel,

    /// <summary>Dark or coated steel.</summary>
    DarkSteel,

    /// <summary>Aluminium.</summary>
    Aluminium,

    /// <summary>Thin foil.</summary>
    Foil,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Glazed earthenware.</summary>
    Ceramic,

    /// <summary>Nothing but the tray.</summary>
    Tray,
}

/// <summary>What a pan's material means for the bake. Common practice, no source.</summary>
public static class PanMaterials
{
    /// <summary>A sentence for the bench.</summary>
    public static string Note(PanMaterial material) => material switch
    {
        PanMaterial.DarkSteel => "Dark steel takes up heat fast: look at the base some minutes early.",
        PanMaterial.Aluminium => "Aluminium passes heat on fast and evenly: times as written.",
        PanMaterial.Foil => "Foil is thin and gives little heat to the base: set it on a hot tray, and carry it on one.",
        PanMaterial.Glass => "Glass warms slowly and holds its heat: the base browns late, then goes on. Not from the freezer into a hot oven: it can burst.",
        PanMaterial.Ceramic => "Earthenware warms slowly: expect a paler base, or set it on a hot tray. Not from the freezer into a hot oven: it can crack.",
        PanMaterial.Tray => "Free on the tray: chill it firm, or it spreads.",
        _ => "Bright steel: times as written.",
    };
}
