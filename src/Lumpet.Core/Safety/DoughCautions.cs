using Lumpet.Core.Recipes;

namespace Lumpet.Core.Safety;

/// <summary>What can hurt about a dough.</summary>
public static class DoughCautions
{
    /// <summary>What a person wrote, and what is not to be tasted raw; empty where there is nothing.</summary>
    public static string Of(DoughFormula dough)
    {
        var raw = ProductCautions.Raw(dough.Lines);
        return raw is null ? dough.Caution : dough.Caution.Length == 0 ? raw : $"{dough.Caution} {raw}";
    }
}
