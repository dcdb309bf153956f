using CsCheck;
using Lumpet.Core.Steps;
using Xunit;

namespace Lumpet.Core.Tests.Steps;

public sealed class SpanTests
{
    [Theory]
    [InlineData(150, 120, 30)]
    [InlineData(200, 150, 50)]
    [InlineData(500, 150, 350)]
    [InlineData(700, 210, 490)]
    [InlineData(900, 300, 600)]
    public void Minutes_are_shared_by_what_is_needed_then_wanted_then_borne(int minutes, int first, int second) =>
        // Two to three hours frozen where five are borne; half an hour to thaw, fifty wanted, eight hours borne.
        Assert.Equal([first, second], Span.Share([new Span(120, 150, 300), new Span(30, 50, 490)], minutes));

    [Fact]
    public void No_minute_is_lost_and_every_least_is_kept() =>
        Gen.Select(Gen.Int[0, 90], Gen.Int[0, 60], Gen.Int[0, 300]).Select(span => new Span(span.Item1, span.Item1 + span.Item2, span.Item1 + span.Item2 + span.Item3)).Array[1, 4].SelectMany(
            spans => Gen.Int[0, 900].Select(more => (spans, minutes: spans.Sum(span => span.Least) + more))).Sample(one =>
        {
            var shares = Span.Share(one.spans, one.minutes);
            Assert.Equal(one.minutes, shares.Sum());
            Assert.All(shares.Zip(one.spans), pair => Assert.True(pair.First >= pair.Second.Least));
            if (one.minutes <= one.spans.Sum(span => span.Most)) Assert.All(shares.Zip(one.spans), pair => Assert.True(pair.First <= pair.Second.Most));
        });
}
