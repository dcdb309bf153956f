using Lumpet.Core.Pans;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Recipes;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Pans;

/// <summary>The pans of the bakery, with what their geometry says.</summary>
internal static class PanEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/pans", Get).WithName("GetPans").WithSummary("Every pan: volume, surface, what its material means, and how many stand on a tray.");

    private static Ok<PansAnswer> Get(Database database, RecipeShelf recipes)
    {
        using var connection = database.Open();
        var products = recipes.Products(connection);
        return TypedResults.Ok(new PansAnswer(
            TrayLayout.Tray.Length.Centimetres,
            TrayLayout.Tray.Width.Centimetres,
            [.. RecipeStore.Pans(connection).Select(pan => Shown(pan, products.Count(product => product.SizeIn(pan.Id) is not null)))]));
    }

    private static PanShown Shown(Pan pan, int usedIn)
    {
        var fullest = TrayLayout.Fullest(TrayLayout.Tray, pan.Footprint);
        // Drawn as the bakery says that they stand, where that fits the common tray.
        var shown = TrayLayout.Of(pan.PerTray, pan.Footprint);
        return new PanShown(
            ScaleAnswers.Pan(pan),
            PanMaterials.Note(pan.Material),
            Math.Round(pan.Footprint.Length.Centimetres, 2),
            Math.Round(pan.Footprint.Width.Centimetres, 2),
            Math.Round(pan.BrimfulVolume.UsCups, 1),
            fullest.Spots.Count,
            [.. (shown?.Spots ?? []).Select(spot => new SheetSpot(Math.Round(spot.XCm, 1), Math.Round(spot.YCm, 1)))],
            shown?.IsTurned ?? false,
            usedIn);
    }
}

/// <summary>The pans of the bakery.</summary>
/// <param name="TrayLengthCm">Longer side of the tray they are drawn on.</param>
/// <param name="TrayWidthCm">Its shorter side.</param>
/// <param name="Pans">In the bakery's order.</param>
public sealed record PansAnswer(double TrayLengthCm, double TrayWidthCm, IReadOnlyList<PanShown> Pans);

/// <summary>A pan with what its geometry says.</summary>
/// <param name="Pan">The pan.</param>
/// <param name="Note">What its material means for the bake.</param>
/// <param name="OuterLengthCm">Outer length, rim included.</param>
/// <param name="OuterWidthCm">Outer width.</param>
/// <param name="BrimfulCups">Volume in US cups.</param>
/// <param name="Most">The most that a common tray holds, by their outer measures.</param>
/// <param name="Spots">Where as many as the bakery puts on a tray stand; empty where they do not fit the common tray.</param>
/// <param name="IsTurned">Whether long pans lie across the tray.</param>
/// <param name="UsedIn">Products made in it.</param>
public sealed record PanShown(
    PanAnswer Pan, string Note, double OuterLengthCm, double OuterWidthCm, double BrimfulCups, int Most, IReadOnlyList<SheetSpot> Spots, bool IsTurned, int UsedIn);
