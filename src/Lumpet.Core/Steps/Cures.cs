namespace Lumpet.Core.Steps;

/// <summary>Says a sensory test together with what is done where it fails.</summary>
public static class Cures
{
    /// <summary>"no grey patches; if not, 5 min more, bare"; the one or the other alone where only it is said.</summary>
    public static string Sign(string readyWhen, string cure) =>
        cure.Length == 0 ? readyWhen : readyWhen.Length == 0 ? $"if it is not right, {cure}" : $"{readyWhen}; if not, {cure}";
}
