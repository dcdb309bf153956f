namespace Lumpet.Core.Measures.Amounts;

/// <summary>Which cup and spoons are meant where a recipe says only "cup", "tablespoon" or "teaspoon".</summary>
public enum CupCustom
{
    /// <summary>Cup 236.6 ml, tablespoon 14.8 ml, teaspoon 4.9 ml (NIST Handbook 44, Appendix C).</summary>
    UnitedStates,

    /// <summary>Cup 250 ml, tablespoon 15 ml, teaspoon 5 ml.</summary>
    Metric,

    /// <summary>Cup 250 ml, tablespoon 20 ml, teaspoon 5 ml.</summary>
    Australian,
}
