using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Tests.Recipes;
using Xunit;

namespace Lumpet.Core.Tests.Pans;

public sealed class ApprovedPanTests
{
    [Fact]
    public void Pans_hold_what_was_approved() => Approved.Matches("Pans/pans", Demonstration.Pans.SelectMany(pan =>
    {
        var lined = pan.Lined(Length.FromMillimetres(3));
        return new[]
        {
            $"{pan.Id}: {Told.Of(pan)} {Told.Of(lined)} {PanMaterials.Note(pan.Material)}",
            $"levels: {string.Join(", ", new[] { 0.0, 100, 400, 900, 1500, 4000 }.Select(ml => Told.Of(lined.LevelOf(Volume.FromMillilitres(ml)))))}",
            $"up to: {string.Join(", ", new[] { -1.0, 0, 1, 2.2, 50 }.Select(cm => Told.Of(lined.VolumeUpTo(Length.FromCentimetres(cm)))))} mound {Told.Of(lined.MoundVolume(Length.FromCentimetres(1.5)))} at {Told.Of(lined.At(Length.FromCentimetres(1.2)))}",
        };
    }));

    [Fact]
    public void Trays_and_sheets_are_laid_as_approved() => Approved.Matches("Pans/trays", new[] { Outline.Circle(Length.FromCentimetres(25)), Outline.Circle(Length.FromCentimetres(11)), Outline.Rectangle(Length.FromCentimetres(36), Length.FromCentimetres(26)), Outline.Rectangle(Length.FromCentimetres(12), Length.FromCentimetres(5)), Outline.Circle(Length.FromCentimetres(90)) }
        .SelectMany(outline => new[]
        {
            $"{Told.Of(outline)} fullest {Told.Of(TrayLayout.Fullest(TrayLayout.Tray, outline))}",
            $"of 1, 2, 4, 15: {string.Join(", ", new[] { 1, 2, 4, 15 }.Select(many => Told.Of(TrayLayout.Of(many, outline))))}",
            $"of 3, 7: {Told.Of(TrayLayout.Of(3, outline))} {Told.Of(TrayLayout.Of(7, outline))}",
            $"sheet: {string.Join(", ", new[] { 0, 1, 2, 3 }.Select(rerolls => outline.Length.Centimetres > 60 ? "none" : Told.Of(SheetLayout.Of(outline, rerolls))))}",
        }));
}
