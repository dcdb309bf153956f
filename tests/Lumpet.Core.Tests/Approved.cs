using Xunit;

namespace Lumpet.Core.Tests;

/// <summary>
/// Texts kept beside the tests: what the core says and reckons must be what was approved, so that no change goes unseen.
/// Whether it is right is for the tests with a source to say, and for whoever reads the difference: LUMPET_APPROVE=1
/// writes the texts anew.
/// </summary>
internal static class Approved
{
    private static readonly bool IsWriting = Environment.GetEnvironmentVariable("LUMPET_APPROVE") == "1";

    public static void Matches(string name, IEnumerable<string> lines)
    {
        var file = Path.Combine(Folder(), $"{name}.txt");
        string[] told = [.. string.Join('\n', lines).Split('\n').Select(line => line.TrimEnd())];
        if (IsWriting)
        {
            Directory.CreateDirectory(Path.GetDirectoryName(file)!);
            File.WriteAllText(file, string.Join('\n', told) + "\n");
            return;
        }

        Assert.True(File.Exists(file), $"{name} was never approved; LUMPET_APPROVE=1 writes it.");
        var approved = File.ReadAllText(file).TrimEnd('\n').Split('\n');
        var first = approved.Zip(told).TakeWhile(pair => pair.First == pair.Second).Count();
        Assert.True(
            approved.Length == told.Length && first == told.Length,
            $"{name}, line {first + 1}:\napproved: {approved.ElementAtOrDefault(first)}\nnow:      {told.ElementAtOrDefault(first)}");
    }

    private static string Folder()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "Lumpet.slnx"))) folder = folder.Parent!;
        return Path.Combine(folder.FullName, "tests", "Lumpet.Core.Tests", "Approved");
    }
}
