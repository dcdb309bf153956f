namespace Lumpet.Core.Baking.Files;

/// <summary>A bake file cannot be read; every fault found is listed.</summary>
public sealed class BakeFileException : Exception
{
    /// <summary>An exception without faults; it exists for the framework's sake.</summary>
    public BakeFileException()
    {
    }

    /// <summary>An exception with a single message.</summary>
    public BakeFileException(string message)
        : base(message)
    {
    }

    /// <summary>An exception with a message and its cause.</summary>
    public BakeFileException(string message, Exception innerException)
        : base(message, innerException)
    {
    }

    /// <summary>An exception that lists faults, each naming its field.</summary>
    public BakeFileException(IReadOnlyList<BakeFileFault> faults)
        : base(string.Join("\n", faults.Select(fault => $"{fault.Field}: {fault.Message}"))) => Faults = faults;

    /// <summary>What is wrong, in the order of the file.</summary>
    public IReadOnlyList<BakeFileFault> Faults { get; } = [];
}

/// <summary>One thing wrong with a bake file.</summary>
/// <param name="Field">Path to the field, with the id where there is one: "bakes[1] (custard).stages[0].minMin".</param>
/// <param name="Message">What is wrong and what would be right.</param>
public sealed record BakeFileFault(string Field, string Message);
