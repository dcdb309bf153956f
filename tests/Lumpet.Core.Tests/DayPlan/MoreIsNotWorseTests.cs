using CsCheck;
using Lumpet.Core.Bakery;
using Lumpet.Core.DayPlan;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.DayPlan;

/// <summary>
/// More hands, room or time never make a day worse, but for the noise of a search that ends: on a crowded day it may leave out up to a
/// tenth of the pies more, and over all days it leaves out no more. A later pick-up is none of these: pies may be only so old at it, so
/// that it moves the last hours in which they can be baked, perhaps into hours in which nobody is there.
/// </summary>
public sealed class MoreIsNotWorseTests
{
    private const double NoiseShare = 0.1;
    private const int Days = 8;

    private static readonly Gen<DaySnapshot> CrowdedDay =
        Gen.Select(Gen.Select(Gen.Int[0, 1], Gen.Int[8, 30], Gen.Int[70, 130], Gen.Bool).Array[2, 4], Gen.Int[0, 200], Gen.Int[300, 700], Gen.Int[1, 3]).Select((orders, pause, night, people) => Snapshot(
            [.. orders.Select(order => Order(order.Item1 == 0 ? Pear : Custard, order.Item2, order.Item3 * 10, order.Item4 ? Pan23 : Pan26))]) with
        {
            Shifts = [new DayShift("Afternoon", 0, 480) { People = people }, new DayShift("Night", 480 + pause, 480 + pause + night) { People = people }],
            Room = KitchenRoom.Uncounted with { FridgeTrays = 12, RackTrays = 20, BenchPlaces = 2 },
        });

    private static readonly (string Name, Func<DaySnapshot, DaySnapshot> More)[] Ways =
    [
        ("hands", day => day with { Shifts = [.. day.Shifts.Select(shift => shift with { People = shift.People + 1 })] }),
        ("fridge", day => day with { Room = day.Room with { FridgeTrays = day.Room.FridgeTrays * 2 } }),
        ("racks", day => day with { Room = day.Room with { RackTrays = day.Room.RackTrays * 2 } }),
        ("horizon", day => day with { HorizonMin = day.HorizonMin + 720 }),
    ];

    private static int NotMade(DaySnapshot day) => DayPlanner.Plan(day, effort: 3).Fates.Sum(fate => fate.NotBaked + fate.Unfit);

    [Fact]
    public void More_of_anything_leaves_out_no_more_but_for_noise()
    {
        var (before, after) = (0, new int[Ways.Length]);
        CrowdedDay.SampleTheSame(
            day =>
            {
                var (least, noise) = (NotMade(day), (int)Math.Ceiling(day.Orders.Sum(order => order.Count) * NoiseShare));
                Interlocked.Add(ref before, least);
                for (var way = 0; way < Ways.Length; way++)
                {
                    var left = NotMade(Ways[way].More(day));
                    Interlocked.Add(ref after[way], left);
                    Assert.True(left <= least + noise, $"with more {Ways[way].Name} {left} pies are not made, and {least} without");
                }
            },
            Days);
        Assert.True(before > 0);
        Assert.All(Ways.Zip(after), way => Assert.True(way.Second <= before, $"with more {way.First.Name} {way.Second} pies are not made in all, and {before} without"));
        // Hands and fridge are what these days lack most.
        Assert.True(after[0] < before && after[1] < before);
    }
}
