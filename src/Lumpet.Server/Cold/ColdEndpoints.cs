using System.Globalization;
using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Server.DayPlan;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Cold;

/// <summary>What is in the fridge, in the freezer and on the racks, at any minute of a day's plan.</summary>
internal static class ColdEndpoints
{
    // One can move by so much, and by more where a day reaches over many.
    private const int StepMin = 10;
    private const int MostMoments = 600;

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/cold/{day}", Get).WithName("GetCold").WithSummary("What stands and lies in the cold and on the racks over a day, and until when each keeps.");

    private static async Task<Results<Ok<ColdAnswer>, ValidationProblem>> Get(
        string day, string? from, string? given, Database database, PlanShelf shelf, BakeryClock clock, CancellationToken waiting)
    {
        var (view, refused) = await PlanEndpoints.ViewAsync(day, from, given, database, shelf, clock, waiting);
        if (view is null) return refused!;
        var (book, plan) = (view.Book, view.Plan);
        var cold = ColdOfDay.Of(plan, book.Snapshot.Room);
        if (cold.Count == 0) return TypedResults.Ok(new ColdAnswer(Days.Name(book.Day), string.Empty, [], [], 0));
        var (first, last) = ColdOfDay.Window(plan);
        var step = Math.Max(StepMin, (last - first) / MostMoments / StepMin * StepMin);
        int[] minutes = [.. Enumerable.Range(0, ((last - first) / step) + 1).Select(at => first + (at * step))];
        return TypedResults.Ok(new ColdAnswer(
            Days.Name(book.Day),
            Fullest(book, cold),
            [.. cold.Select(place => new ColdPlaceAnswer(RoomLevelWords.Of(book, place.Levels), [.. place.Things.Select(thing => Thing(book, place.Levels.Place, thing))]))],
            [.. minutes.Select(book.Clock.At)],
            OpensAt(cold, minutes, view.Now)));
    }

    /// <summary>Now, where the day is under way; else when the fridge is fullest, or whatever there is.</summary>
    private static int OpensAt(IReadOnlyList<ColdOfDay> cold, int[] minutes, int now)
    {
        var at = now >= minutes[0] && now <= minutes[^1] ? now : (cold.FirstOrDefault(place => place.Levels.Place == RoomPlace.FridgeTrays) ?? cold[0]).Levels.MostAtMin;
        return Math.Clamp(Array.FindLastIndex(minutes, minute => minute <= at), 0, minutes.Length - 1);
    }

    private static string Fullest(DayBook book, IReadOnlyList<ColdOfDay> cold) => string.Join(" ", cold.Select(place =>
    {
        var level = RoomLevelWords.Of(book, place.Levels);
        var of = level.Room is { } room ? string.Create(CultureInfo.InvariantCulture, $" of {room}") : string.Empty;
        return string.Create(CultureInfo.InvariantCulture, $"{level.Name}: at most {level.Most}{of} {level.Unit}, at {level.MostAt.Day} {level.MostAt.Clock}.");
    }));

    private static ColdThingAnswer Thing(DayBook book, RoomPlace place, ColdThing thing)
    {
        var (use, content) = (thing.Use, thing.Use.Content!);
        return new ColdThingAnswer(
            content.Name.Length > 0 ? content.Name : content.MadeId is { } made && book.MadeThere.TryGetValue(made, out var there) ? there.Name : "Pies of another day",
            content.Doing,
            content.Product,
            content.Pieces,
            RoomLevelWords.Shown(place, use.Amount),
            thing.Trays,
            book.Clock.At(use.FromMin),
            book.Clock.At(use.ToMin),
            content.KeepsForMin is { } keeps && use.FromMin + keeps < int.MaxValue / 8 ? book.Clock.At((int)(use.FromMin + keeps)) : null,
            thing.IsOwn);
    }
}

/// <summary>What is in the cold and on the racks over a day.</summary>
/// <param name="DayName">The day in words.</param>
/// <param name="Fullest">When each place is fullest, in words; empty where nothing is there.</param>
/// <param name="Places">Racks, fridge and freezer, trays and tubs by themselves; only those in which anything is.</param>
/// <param name="Moments">The moments one can move to, evenly apart, the first work first.</param>
/// <param name="OpensAt">Which of them is looked at first: now, or when the fridge is fullest.</param>
public sealed record ColdAnswer(string DayName, string Fullest, IReadOnlyList<ColdPlaceAnswer> Places, IReadOnlyList<Moment> Moments, int OpensAt);

/// <summary>A place.</summary>
/// <param name="Level">How full it is over time.</param>
/// <param name="Things">What is there, the first that comes first.</param>
public sealed record ColdPlaceAnswer(RoomAnswer Level, IReadOnlyList<ColdThingAnswer> Things);

/// <summary>A thing in it.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Doing">What it waits for.</param>
/// <param name="Product">Of pies their product; null of doughs and tubs.</param>
/// <param name="Pieces">How many pies or discs; 0 where only its weight says how much.</param>
/// <param name="Amount">How much room it takes, in the place's unit.</param>
/// <param name="Trays">The trays of the place on which it stands, from 0; none of tubs.</param>
/// <param name="From">Since when.</param>
/// <param name="To">Until when.</param>
/// <param name="KeepsUntil">Until when it may stay; null where nothing says.</param>
/// <param name="IsOwn">Whether it is of this day, not of one before.</param>
public sealed record ColdThingAnswer(
    string Name, string Doing, string? Product, int Pieces, double Amount, IReadOnlyList<int> Trays, Moment From, Moment To, Moment? KeepsUntil, bool IsOwn);
