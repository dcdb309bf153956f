using Lumpet.Core.DayPlan;
using Lumpet.Server.DayPlan;
using Xunit;

namespace Lumpet.Server.Tests.DayPlan;

/// <summary>What is said of how many people are there.</summary>
public sealed class CrewWordTests
{
    private static DayShift[] Shifts(int? afternoon, int? night) => [new DayShift("Afternoon", 0, 480) { People = afternoon }, new DayShift("Night", 720, 1320) { People = night }];

    [Theory]
    [InlineData(null, null, "")]
    [InlineData(1, 1, "1 is there")]
    [InlineData(4, 4, "4 are there")]
    [InlineData(4, 2, "there are 4 in \"Afternoon\", 2 in \"Night\"")]
    [InlineData(null, 4, "there are as many as are wanted in \"Afternoon\", 4 in \"Night\"")]
    public void It_is_said_of_every_shift_or_of_all(int? afternoon, int? night, string words) =>
        Assert.Equal(words, PlanSentence.There(Shifts(afternoon, night), []));

    [Fact]
    public void Work_on_pies_that_cannot_be_made_is_named() =>
        Assert.Equal("1 is there; work on pies that cannot be made is counted too", PlanSentence.There(Shifts(1, 1), [new LotFate(null!, 0, 0, 0, 3, 0, null, PlanText.Empty, PlanText.Empty)]));

    [Fact]
    public void Without_a_shift_nothing_is_said() => Assert.Empty(PlanSentence.There([], []));
}
