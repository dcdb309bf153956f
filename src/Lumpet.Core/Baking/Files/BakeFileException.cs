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
    public BakeFileException(IReadOnlyList<FieldFault> faults)
        : base(string.Join("\n", faults.Select(fault => $"{fault.Field}: {fault.Message}"))) => Faults = faults;

    /// <summary>What is wrong; a field is named by its path, with the id where there is one: "bakes[1] (custard).stages[0].minMin".</summary>
    public IReadOnlyList<FieldFault> Faults { get; } = [];
}
