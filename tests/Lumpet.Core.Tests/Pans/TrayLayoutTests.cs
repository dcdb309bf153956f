using CsCheck;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Xunit;

namespace Lumpet.Core.Tests.Pans;

public sealed class TrayLayoutTests
{
    [Fact]
    public void Pans_never_overlap_and_never_hang_over() =>
        Gen.Select(Gen.Int[1, 40], Gen.Double[3, 46]).Sample((pans, across) =>
        {
            if (TrayLayout.Of(pans, Length.FromCentimetres(across)) is not { } layout) return;
            Assert.Equal(pans, layout.Spots.Count);
            Assert.All(layout.Spots, spot => Assert.True(
                spot.XCm >= (across / 2) - 1e-9 && spot.XCm <= 66 - (across / 2) + 1e-9 && spot.YCm >= (across / 2) - 1e-9 && spot.YCm <= 46 - (across / 2) + 1e-9));
            for (var one = 0; one < pans; one++)
                for (var other = 0; other < one; other++)
                    Assert.True(
                        Math.Sqrt(Math.Pow(layout.Spots[one].XCm - layout.Spots[other].XCm, 2) + Math.Pow(layout.Spots[one].YCm - layout.Spots[other].YCm, 2)) >= across - 1e-9,
                        $"{pans} of {across}");
        });

    // By hand: rows 46 - d apart, neighbours d apart, so that they are sqrt(d^2 - (46 - d)^2) along: 13.56 cm for 25 cm.
    [Theory]
    [InlineData(4, 25, true)]
    [InlineData(5, 25, false)]
    [InlineData(2, 28, true)]
    [InlineData(3, 28, false)]
    [InlineData(6, 22, true)]
    [InlineData(1, 46, true)]
    [InlineData(1, 47, false)]
    public void So_many_fit_and_no_more(int pans, double across, bool fits) => Assert.Equal(fits, TrayLayout.Of(pans, Length.FromCentimetres(across)) is not null);
}
