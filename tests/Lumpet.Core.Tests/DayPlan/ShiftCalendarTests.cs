using CsCheck;
using Lumpet.Core.DayPlan;
using Xunit;

namespace Lumpet.Core.Tests.DayPlan;

public sealed class ShiftCalendarTests
{
    private static readonly ShiftCalendar Calendar = new([new DayShift("Night", 720, 1320), new DayShift("Afternoon", 0, 480)]);

    [Theory]
    [InlineData(60, 500, 420)]
    [InlineData(60, 480, 420)]
    [InlineData(60, 300, 240)]
    [InlineData(60, 760, 420)]
    [InlineData(60, 780, 720)]
    [InlineData(60, 5000, 1260)]
    public void Work_ends_by_its_minute_inside_a_shift(int length, int endBy, int start) =>
        Assert.Equal(start, Calendar.LatestStart(length, endBy));

    [Theory]
    [InlineData(60, 0, 0)]
    [InlineData(60, 421, 720)]
    [InlineData(60, 420, 420)]
    [InlineData(60, 1000, 1000)]
    public void Work_begins_at_its_minute_or_in_the_next_shift(int length, int from, int start) =>
        Assert.Equal(start, Calendar.EarliestStart(length, from));

    [Fact]
    public void Work_longer_than_every_shift_fits_nowhere()
    {
        Assert.Null(Calendar.LatestStart(601, 5000));
        Assert.Null(Calendar.EarliestStart(601, 0));
        Assert.Null(Calendar.LatestStart(60, 59));
        Assert.Null(Calendar.EarliestStart(60, 1261));
    }

    [Fact]
    public void Shifts_that_touch_make_one_stretch()
    {
        var touching = new ShiftCalendar([new DayShift("Early", 0, 300), new DayShift("Late", 300, 600)]);
        Assert.Single(touching.Stretches);
        Assert.Equal(100, touching.LatestStart(400, 500));
    }

    [Fact]
    public void What_is_found_lies_in_a_shift() =>
        Gen.Select(Gen.Int[1, 700], Gen.Int[-100, 1600]).Sample((length, minute) =>
        {
            if (Calendar.LatestStart(length, minute) is { } late) Assert.True(Calendar.Holds(late, late + length) && late + length <= minute);
            if (Calendar.EarliestStart(length, minute) is { } early) Assert.True(Calendar.Holds(early, early + length) && early >= minute);
        });
}
