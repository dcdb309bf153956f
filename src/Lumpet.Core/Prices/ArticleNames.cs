using Lumpet.Core.Ingredients;

namespace Lumpet.Core.Prices;

/// <summary>Which ingredient a supplier means by an article: as was said now, as was said before, or by its name.</summary>
/// <param name="Remembered">What was said before: by article the ingredient's id, or null for one that is passed over.</param>
/// <param name="SaidNow">What is said now.</param>
/// <param name="Pantry">What there is, by name.</param>
public sealed record ArticleNames(IReadOnlyDictionary<string, string?> Remembered, IReadOnlyDictionary<string, string?> SaidNow, Pantry Pantry)
{
    /// <summary>The ingredient of an article; null where it is none, or nobody has said which.</summary>
    public string? Find(string article)
    {
        if (SaidNow.TryGetValue(article, out var now)) return now;
        if (Remembered.TryGetValue(article, out var before)) return before;
        // Only by its whole name: "Butter biscuits" is not butter.
        return Pantry.Find(article)?.Id;
    }

    /// <summary>Whether it was said that an article is none of the ingredients.</summary>
    public bool IsPassedOver(string article) =>
        SaidNow.TryGetValue(article, out var now) ? now is null : Remembered.TryGetValue(article, out var before) && before is null;

    /// <summary>What is to be remembered.</summary>
    public IEnumerable<KeyValuePair<string, string?>> Said => SaidNow;
}
