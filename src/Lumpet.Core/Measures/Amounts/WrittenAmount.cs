using System.Globalization;

namespace Lumpet.Core.Measures.Amounts;

/// <summary>An amount as a recipe writes it: "2 lb 4 oz", "2 to 3 tbsp", "3" of something that is counted.</summary>
/// <param name="Parts">Its parts, which add up; at least one.</param>
public sealed record WrittenAmount(IReadOnlyList<AmountPart> Parts)
{
    /// <summary>Whether a range was written: its middle is taken.</summary>
    public bool IsRange => Parts.Any(part => part.Least != part.Most);

    /// <summary>The amount written out with the short names of its units; reading it again gives the same amount.</summary>
    public string Written => string.Join(" + ", Parts.Select(part => part.Written));
}

/// <summary>A number of one unit; a range where least and most differ.</summary>
/// <param name="Least">The lower end; at least 0.</param>
/// <param name="Most">The upper end.</param>
/// <param name="Unit">Of what.</param>
public sealed record AmountPart(double Least, double Most, AmountUnit Unit)
{
    /// <summary>The middle of the range.</summary>
    public double Middle => (Least + Most) / 2;

    /// <summary>"2 to 3 US tbsp"; a bare number for what is counted.</summary>
    public string Written
    {
        get
        {
            var number = Least == Most ? Number(Least) : $"{Number(Least)} to {Number(Most)}";
            return Unit == AmountUnit.One ? number : $"{number} {Unit.Name}";
        }
    }

    private static string Number(double value) => value.ToString("0.######", CultureInfo.InvariantCulture);
}
