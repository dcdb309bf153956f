namespace Lumpet.Core.Labels;

/// <summary>A label printer. One that ships stands in for a real one; a real one comes through the same door.</summary>
public interface ILabelPrinter
{
    /// <summary>Whether no real printer is behind it.</summary>
    bool IsStandIn { get; }

    /// <summary>Labels that are left on its roll; null where it does not know.</summary>
    int? Left { get; }

    /// <summary>Prints so many of a label, all of them or none.</summary>
    /// <param name="label">The label.</param>
    /// <param name="copies">How many, at least 1.</param>
    /// <param name="cancellation">Ends when whoever asks is gone.</param>
    /// <returns>Why it has surely printed nothing; empty where all is printed. Where it cannot tell it throws: then the books count the labels as printed.</returns>
    Task<string> PrintAsync(PieLabel label, int copies, CancellationToken cancellation);

    /// <summary>Puts a new roll in.</summary>
    void PutIn();
}
