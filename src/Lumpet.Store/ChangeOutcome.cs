namespace Lumpet.Store;

/// <summary>What became of a change to something that was read before.</summary>
public enum ChangeOutcome
{
    /// <summary>It is done and on disk.</summary>
    Done,

    /// <summary>It is not there (any more).</summary>
    Gone,

    /// <summary>Someone else changed it since it was read.</summary>
    Conflict,
}
