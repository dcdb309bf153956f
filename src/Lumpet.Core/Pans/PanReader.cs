using Lumpet.Core.Measures;

namespace Lumpet.Core.Pans;

/// <summary>A pan as described; anything may be missing or wrong until it is read.</summary>
/// <param name="Id">Short name for order lines, "23", "34x24".</param>
/// <param name="Name">The name shown.</param>
/// <param name="Family">One of the names of <see cref="PanFamily"/>; null for sloped.</param>
/// <param name="Material">One of the names of <see cref="PanMaterial"/>; null for steel.</param>
/// <param name="TopCm">Inner diameter at the rim, or the length of a long pan.</param>
/// <param name="BottomCm">Inner diameter of the floor, or its length.</param>
/// <param name="TopWidthCm">Inner width at the rim of a long pan; null of a round one.</param>
/// <param name="BottomWidthCm">Inner width of its floor; null of a round one.</param>
/// <param name="DepthCm">Inner height.</param>
/// <param name="RimCm">Width of the rim.</param>
/// <param name="PerTray">Pans on a tray.</param>
/// <param name="BoughtAs">Id of the ingredient as which it is bought, where it goes with the pie; null or empty where it comes back.</param>
/// <param name="Owned">How many of them there are; null where they are not counted.</param>
/// <param name="Retired">Whether it is kept for what is made in it, and offered no more; null for no.</param>
public sealed record PanDraft(
    string? Id,
    string? Name,
    string? Family,
    string? Material,
    double? TopCm,
    double? BottomCm,
    double? TopWidthCm,
    double? BottomWidthCm,
    double? DepthCm,
    double? RimCm,
    int? PerTray,
    string? BoughtAs = null,
    int? Owned = null,
    bool? Retired = null);

/// <summary>Reads pans as a person describes them.</summary>
internal static class PanReader
{
    /// <summary>The most pans of a bakery.</summary>
    public const int MostPans = 60;

    // A deep dish stands at 1 to 4; deeper than wide is no pan.
    private const double Widest = 80;

    /// <summary>Reads a list of pans; every fault is named by its field.</summary>
    public static Pan[] Read(FieldChecks checks, string field, IReadOnlyList<PanDraft?>? drafts)
    {
        var pans = new List<Pan>();
        foreach (var (pan, at) in checks.List(field, drafts, 1, MostPans, "pans").Select((pan, at) => (pan, at)))
        {
            var path = $"{field}[{at}]";
            var id = Id(checks, path, pan.Id);
            if (pans.Any(other => other.Id.Equals(id, StringComparison.OrdinalIgnoreCase))) checks.Add($"{path}.id", $"Two pans are called {id}.");
            pans.Add(Read(checks, path, id, pan));
        }

        return [.. pans];
    }

    /// <summary>A pan as it would be described.</summary>
    public static PanDraft Write(Pan pan) => new(
        pan.Id,
        pan.Name,
        Naming.Of(pan.Family),
        Naming.Of(pan.Material),
        pan.Top.Length.Centimetres,
        pan.Bottom.Length.Centimetres,
        pan.IsRound ? null : pan.Top.Width.Centimetres,
        pan.IsRound ? null : pan.Bottom.Width.Centimetres,
        pan.Depth.Centimetres,
        pan.RimWidth.Centimetres,
        pan.PerTray,
        pan.BoughtAs,
        pan.Owned,
        pan.IsRetired ? true : null);

    private static string Id(FieldChecks checks, string path, string? typed)
    {
        var id = (typed ?? string.Empty).Trim();
        // An order line ends the pan's name at the next blank.
        if (id.Length is 0 or > 20 || !id.All(letter => char.IsAsciiLetterOrDigit(letter) || letter is '-' or '.'))
            checks.Add($"{path}.id", "A pan's short name takes up to 20 letters, digits, hyphens or points: 23, 26-deep, 34x24.");
        return id;
    }

    private static Pan Read(FieldChecks checks, string path, string id, PanDraft pan)
    {
        var family = checks.Word($"{path}.family", pan.Family, PanFamily.Sloped);
        var material = checks.Word($"{path}.material", pan.Material, family switch { PanFamily.Foil => PanMaterial.Foil, PanFamily.FreeForm => PanMaterial.Tray, _ => PanMaterial.Steel });
        var (top, bottom) = (checks.Number($"{path}.topCm", pan.TopCm, 3, Widest, "cm"), checks.Number($"{path}.bottomCm", pan.BottomCm, 3, Widest, "cm"));
        var isLong = pan.TopWidthCm is not null || pan.BottomWidthCm is not null || family is PanFamily.Rectangular or PanFamily.Slab;
        var (topWidth, bottomWidth) = isLong
            ? (checks.Number($"{path}.topWidthCm", pan.TopWidthCm, 3, Widest, "cm"), checks.Number($"{path}.bottomWidthCm", pan.BottomWidthCm ?? pan.TopWidthCm, 3, Widest, "cm"))
            : (top, bottom);
        var depth = checks.Number($"{path}.depthCm", pan.DepthCm, 1, 20, "cm");
        if (bottom > top) checks.Add($"{path}.bottomCm", "The floor is wider than the top.");
        if (bottomWidth > topWidth) checks.Add($"{path}.bottomWidthCm", "The floor is wider than the top.");
        if (topWidth > top) checks.Add($"{path}.topWidthCm", "The width is the shorter side; the length comes first.");
        if (depth > topWidth) checks.Add($"{path}.depthCm", "A pan is not deeper than it is wide.");
        Outline Of(double length, double width) => isLong
            ? Outline.Rectangle(Length.FromCentimetres(length), Length.FromCentimetres(width))
            : Outline.Circle(Length.FromCentimetres(length));
        return new Pan(
            id,
            checks.Name($"{path}.name", pan.Name, "A pan", 40),
            family,
            material,
            Of(top, topWidth),
            Of(bottom, bottomWidth),
            Length.FromCentimetres(depth),
            Length.FromCentimetres(checks.Number($"{path}.rimCm", pan.RimCm, 0, 6, "cm")),
            checks.Whole($"{path}.perTray", pan.PerTray, 1, 200, "on a tray"))
        {
            BoughtAs = checks.Words($"{path}.boughtAs", pan.BoughtAs, 60) is { Length: > 0 } bought ? bought : null,
            Owned = pan.Owned is null ? null : checks.Whole($"{path}.owned", pan.Owned, 1, 10_000, "pans"),
            IsRetired = pan.Retired ?? false,
        };
    }
}
