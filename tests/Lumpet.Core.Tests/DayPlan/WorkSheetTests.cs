using Lumpet.Core.DayPlan;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>Every piece of work is on one sheet, and whoever has it does one thing at a time.</summary>
public sealed class WorkSheetTests
{
    private static readonly DaySnapshot Day = Crew(2, Snapshot(Order(Pear, 12, 1170), Order(Custard, 8, 1170), Order(Pear, 4, 1320, Pan26)));

    private static readonly PlannedDay Plan = DayPlanner.Plan(Day, effort: 3);

    private static readonly string[] Work = [.. Plan.Tasks.Where(task => task.Kind == TaskKind.Hands && task.EndMin > task.StartMin).Select(task => task.Id).Order(StringComparer.Ordinal)];

    [Fact]
    public void Every_piece_of_work_is_on_one_sheet_of_a_person_and_on_one_of_a_station()
    {
        Assert.Empty(Plan.Troubles);
        foreach (var sheets in new[] { WorkSheets.ByPerson(Plan, Day.Shifts), WorkSheets.ByStation(Plan) })
        {
            Assert.Equal(Work, sheets.SelectMany(sheet => sheet.Tasks).Select(task => task.Id).Order(StringComparer.Ordinal));
            Assert.Equal(sheets.Count, sheets.Select(sheet => sheet.Id).Distinct().Count());
            Assert.Equal(HandsNeeded.In(Plan).WorkMin, sheets.Sum(sheet => sheet.WorkMin));
        }
    }

    [Fact]
    public void A_person_does_one_thing_at_a_time_in_one_shift_and_no_more_of_them_than_are_there()
    {
        var sheets = WorkSheets.ByPerson(Plan, Day.Shifts);
        foreach (var sheet in sheets)
        {
            Assert.All(sheet.Tasks.Zip(sheet.Tasks.Skip(1)), pair => Assert.True(pair.Second.StartMin >= pair.First.EndMin));
            Assert.All(sheet.Tasks, task => Assert.True(task.StartMin >= sheet.Shift!.StartMin && task.EndMin <= sheet.Shift.EndMin));
        }

        Assert.All(sheets.GroupBy(sheet => sheet.Shift), shift => Assert.Equal(Enumerable.Range(1, shift.Count()), shift.Select(sheet => sheet.Person)));
        Assert.All(sheets.GroupBy(sheet => sheet.Shift), shift => Assert.InRange(shift.Count(), 1, 2));
    }

    [Fact]
    public void Where_two_shifts_overlap_work_is_on_a_sheet_of_the_first()
    {
        DayShift[] shifts = [new DayShift("All day", 0, 1400), new DayShift("Night", 720, 1320)];
        Assert.All(WorkSheets.ByPerson(Plan, shifts), sheet => Assert.Equal("All day", sheet.Shift!.Name));
    }

    [Fact]
    public void A_station_has_its_own_work_in_order_of_time()
    {
        var sheets = WorkSheets.ByStation(Plan);
        Assert.Equal(Station.Dough, sheets[0].Station);
        Assert.All(sheets, sheet => Assert.All(sheet.Tasks, task => Assert.Equal(sheet.Station, task.Station)));
        Assert.All(sheets, sheet => Assert.Equal(sheet.Tasks.OrderBy(task => task.StartMin).Select(task => task.StartMin), sheet.Tasks.Select(task => task.StartMin)));
    }

    [Fact]
    public void What_a_later_shift_makes_too_late_is_made_in_an_earlier_one()
    {
        // At 1440 people come back; lining and chilling before a bake that must be out by 1510 would begin before that.
        var day = Snapshot(Order(Pear, 10, 1800)) with { Shifts = [new DayShift("Afternoon", 0, 480), new DayShift("Night", 720, 1320), new DayShift("Day", 1440, 1920)], HorizonMin = 1920 };
        Assert.Empty(DayPlanner.Plan(day, effort: 12).Troubles);
    }
}
