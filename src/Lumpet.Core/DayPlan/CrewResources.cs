using Lumpet.Core.Baking;
using Lumpet.Core.Scheduling;

namespace Lumpet.Core.DayPlan;

/// <summary>What a day's work shares, as resources of a schedule: hands, the mixer, places of the kitchen that are counted, and pans.</summary>
internal sealed class CrewResources
{
    /// <summary>The hands.</summary>
    public const int Hands = 0;

    /// <summary>The mixer's bowl.</summary>
    public const int Bowl = 1;

    // As many as nobody ever wants at once, where nobody has said how many there are.
    private const int Unlimited = 1_000_000;

    private readonly DaySnapshot snapshot;
    private readonly IReadOnlyList<DoorVisit> doors;
    private readonly List<Counted> counted = [];
    private readonly Dictionary<RoomPlace, int> places = [];
    private readonly Dictionary<string, int> pans = [];

    /// <summary>The resources of a day.</summary>
    /// <param name="snapshot">What is asked.</param>
    /// <param name="standing">Room that is taken whatever the work.</param>
    /// <param name="doors">When a pair of hands is at an oven's door.</param>
    public CrewResources(DaySnapshot snapshot, IReadOnlyList<RoomUse> standing, IReadOnlyList<DoorVisit> doors)
    {
        (this.snapshot, this.doors) = (snapshot, doors);
        foreach (var place in Enum.GetValues<RoomPlace>())
        {
            if (snapshot.Room.In(place) is not { } amount) continue;
            places[place] = Bowl + 1 + counted.Count;
            counted.Add(new Counted(amount, [.. snapshot.Taken.Room.Concat(standing).Where(use => use.Place == place).Select(use => new TakenAmount(use.Amount, use.FromMin, use.ToMin))], Words(place, amount)));
        }

        foreach (var pan in snapshot.Orders.Select(order => order.Pan).Where(pan => pan.AtOnce is not null).DistinctBy(pan => pan.Id))
        {
            pans[pan.Id] = Bowl + 1 + counted.Count;
            counted.Add(new Counted(pan.AtOnce!.Value, [.. snapshot.Taken.Pans.Where(hold => hold.PanId == pan.Id).Select(hold => new TakenAmount(hold.Count, hold.FromMin, hold.ToMin))], $"all {pan.AtOnce} pans {pan.Name} are in use"));
        }
    }

    /// <summary>The resource of a place; null where nobody has counted it.</summary>
    public int? Of(RoomPlace place) => places.TryGetValue(place, out var at) ? at : null;

    /// <summary>The resource of a pan; null where nobody has counted it.</summary>
    public int? OfPan(string panId) => pans.TryGetValue(panId, out var at) ? at : null;

    /// <summary>The resources, on a clock that begins at a minute of the day's.</summary>
    public IReadOnlyList<Resource> From(int originMin)
    {
        var shifts = snapshot.Shifts.Concat(snapshot.Taken.Shifts).SelectMany(shift => new[] { shift.StartMin, shift.EndMin });
        int[] turns = [.. shifts.Concat(snapshot.Taken.Work.SelectMany(work => new[] { work.FromMin, work.ToMin })).Concat(doors.SelectMany(visit => new[] { visit.FromMin, visit.ToMin })).Append(0).Distinct().Order()];
        int[] bowl = [.. snapshot.Taken.Mixing.SelectMany(mixing => new[] { mixing.FromMin, mixing.ToMin }).Append(originMin).Distinct().Order()];
        return
        [
            new Resource("hands", [.. turns.Select(minute => new CapacityFrom(minute - originMin, PeopleAt(minute)))]),
            new Resource("mixer", [.. bowl.Select(minute => new CapacityFrom(minute - originMin, IsMixing(minute, minute + 1) ? 0 : 1))]),
            .. counted.Select(one => new Resource(one.Lacking, [.. one.Turns(originMin).Select(minute => new CapacityFrom(minute - originMin, one.At(minute)))])),
        ];
    }

    /// <summary>What is seen where a resource beside hands and mixer lacks: "the racks are full (40 trays)".</summary>
    public string Lacking(int resource) => counted[resource - Bowl - 1].Lacking;

    /// <summary>How many pairs of hands are free for this day at a minute; as many as anybody wants where nobody has said.</summary>
    public int PeopleAt(int minute) => snapshot.HandsFreeAt(minute, AtDoors(minute)) ?? Unlimited;

    /// <summary>How many pairs of hands are at the ovens' doors at a minute.</summary>
    public int AtDoors(int minute) => doors.Count(visit => visit.FromMin <= minute && minute < visit.ToMin);

    /// <summary>Whether a day before has the mixer at some minute of these.</summary>
    public bool IsMixing(int fromMin, int toMin) => snapshot.Taken.Mixing.Any(mixing => mixing.FromMin < toMin && fromMin < mixing.ToMin);

    private static string Words(RoomPlace place, int amount) => place switch
    {
        RoomPlace.Bench => amount == 1 ? "the one place at the bench is taken" : $"all {amount} places at the bench are taken",
        RoomPlace.Burners => amount == 1 ? "the one burner is in use" : $"all {amount} burners are in use",
        RoomPlace.Racks => $"the racks are full ({Trays(amount)})",
        RoomPlace.FridgeTrays => $"the fridge is full ({Trays(amount)})",
        RoomPlace.FridgeTubs => $"the fridge has no room for more dough and tubs ({amount / 1000} kg)",
        RoomPlace.FreezerTrays => $"the freezer is full ({Trays(amount)})",
        _ => $"the freezer has no room for more dough and tubs ({amount / 1000} kg)",
    };

    private static string Trays(int amount) => amount == 1 ? "1 tray" : $"{amount} trays";

    private sealed record TakenAmount(int Amount, int FromMin, int ToMin);

    private sealed record Counted(int Amount, TakenAmount[] Taken, string Lacking)
    {
        public IEnumerable<int> Turns(int originMin) => Taken.SelectMany(one => new[] { one.FromMin, one.ToMin }).Where(minute => minute > originMin).Append(originMin).Distinct().Order();

        public int At(int minute) => Math.Max(0, Amount - Taken.Where(one => one.FromMin <= minute && minute < one.ToMin).Sum(one => one.Amount));
    }
}
