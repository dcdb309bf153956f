using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes.Schools;
using Lumpet.Server.Bakery;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>A change of a day that is asked about, read against the day as it is: what the day would be, and what is to be written if it is taken.</summary>
/// <param name="Book">The day as it would be.</param>
/// <param name="Arrangement">Its arrangement then.</param>
/// <param name="More">Orders that would be added.</param>
/// <param name="Moves">Pick-ups that would move, from and to.</param>
/// <param name="Faults">What is wrong with the question, field by field; then the day is as it was.</param>
internal sealed record DayQuestion(
    DayBook Book, DayArrangement Arrangement, IReadOnlyList<OrderLine> More, IReadOnlyDictionary<LocalDateTime, LocalDateTime> Moves, IReadOnlyList<FieldFault> Faults)
{
    private const int MostOrders = 20;
    private const int MostBakes = 200;
    private const int MostSchools = 60;

    /// <summary>Reads a question.</summary>
    /// <param name="connection">Where the day is read.</param>
    /// <param name="book">The day as it is.</param>
    /// <param name="request">The question.</param>
    /// <param name="clock">The bakery's clock.</param>
    public static DayQuestion Of(SqliteConnection connection, DayBook book, WhatIfRequest request, BakeryClock clock)
    {
        var now = clock.LocalNow(book.Bakery.Zone);
        var faults = new List<FieldFault>();
        var arrangement = Arranged(connection, book, request, faults);
        var more = Added(connection, book, request.More ?? [], now, faults);
        var moves = request.Moves ?? [];
        var (_, wrong) = PickUpMoves.Apply(book, moves);
        faults.AddRange(wrong);
        if (faults.Count > 0) return new DayQuestion(book, book.Arrangement, [], new Dictionary<LocalDateTime, LocalDateTime>(), faults);
        var times = moves.DistinctBy(move => move!.From).ToDictionary(move => PickUpMoves.Local(book, move!.From)!.Value, move => PickUpMoves.Local(book, move!.To)!.Value);
        // What is left out is moved with the others of its pick-up.
        var leftOut = arrangement.LeftOut;
        arrangement = arrangement with { LeftOut = [.. leftOut.Select(lot => lot with { PickUp = times.GetValueOrDefault(lot.PickUp, lot.PickUp) }).Distinct()] };
        // The arrangement is of the day, and so of what is added and moved as well.
        var plain = DayBook.Open(connection, book.Day, clock, DayArrangement.Usual with { EarlierMin = arrangement.EarlierMin, BetweenHands = arrangement.BetweenHands, LeftOut = leftOut })!;
        var (onceMore, _) = PickUpMoves.Apply(plain, moves);
        var products = RecipeStore.Products(connection, [.. more.Select(order => order.Product).Distinct()]).ToDictionary(product => product.Id);
        DayOrder[] added = [.. more.Select(order => new DayOrder(products[order.Product], products[order.Product].SizeIn(order.Pan)!.Pan, order.Count, plain.Clock.MinuteOf(order.PickUp), order.For))];
        var asked = onceMore with { Snapshot = arrangement.Applied(onceMore.Snapshot with { Orders = [.. onceMore.Snapshot.Orders, .. added] }), Arrangement = arrangement };
        // What a published plan has begun stays begun.
        return new DayQuestion(FollowedPlan.Of(connection, asked, clock.Now), arrangement, more, times, []);
    }

    private static DayArrangement Arranged(SqliteConnection connection, DayBook book, WhatIfRequest request, List<FieldFault> faults)
    {
        var arrangement = book.Arrangement;
        if (request.School is { } school)
        {
            if (Naming.Read<OvenSchool>(school) is { } known) arrangement = arrangement with { School = known };
            else faults.Add(new FieldFault("school", $"A school is one of {string.Join(", ", Naming.All<OvenSchool>())}."));
        }

        if (request.OvensOut is { } ovens)
        {
            foreach (var (oven, at) in ovens.Select((oven, at) => (oven, at)))
                if (book.Bakery.Ovens.All(one => one.Id != oven)) faults.Add(new FieldFault($"ovensOut[{at}]", "There is no such oven."));
            arrangement = arrangement with { OvensOut = [.. ovens.OfType<string>().Distinct().Order(StringComparer.Ordinal)] };
        }

        if (request.Schools is { } schools) arrangement = arrangement with { Schools = Schools(connection, schools, faults) };
        if (request.LeftOut is { } lots) arrangement = arrangement with { LeftOut = LeftOut(book, lots, faults) };
        arrangement = arrangement with
        {
            MoreHands = Within("moreHands", request.MoreHands ?? arrangement.MoreHands, DayArrangement.MostMoreHands, "pairs of hands"),
            EarlierMin = Within("earlierMin", request.EarlierMin ?? arrangement.EarlierMin, DayArrangement.EarliestMin, "min"),
            BetweenHands = Within("betweenHands", request.BetweenHands ?? arrangement.BetweenHands, DayArrangement.MostBetweenHands, "pairs of hands"),
        };
        if (request.LongerBakes is { Count: > MostBakes })
        {
            faults.Add(new FieldFault("longerBakes", $"At most {MostBakes} bakes are said to take longer at once."));
        }
        else if (request.LongerBakes is { } longer)
        {
            var minutes = new Dictionary<string, int>();
            foreach (var (bake, at) in longer.Select((bake, at) => (bake, at)))
            {
                if (bake?.Minutes is not (>= 0 and <= DayArrangement.LongestMin)) faults.Add(new FieldFault($"longerBakes[{at}].minutes", $"A bake takes 0 to {DayArrangement.LongestMin} minutes longer."));
                if (RecipeStore.Products(connection, [bake?.Product ?? string.Empty]).Count == 0) faults.Add(new FieldFault($"longerBakes[{at}].product", "There is no such product."));
                else if (bake is { Product: { } product, Minutes: > 0 and var more }) minutes[product] = more;
            }

            arrangement = arrangement with { LongerBakes = minutes };
        }

        return arrangement;

        int Within(string field, int asked, int most, string unit)
        {
            if (asked < 0 || asked > most) faults.Add(new FieldFault(field, $"This does not fit: 0 to {most} {unit}."));
            return Math.Clamp(asked, 0, most);
        }
    }

    private static DaySchool[] Schools(SqliteConnection connection, IReadOnlyList<ProductSchoolRequest?> wanted, List<FieldFault> faults)
    {
        if (wanted.Count > MostSchools)
        {
            faults.Add(new FieldFault("schools", $"At most {MostSchools} products are made by another school at once."));
            return [];
        }

        var schools = new List<DaySchool>();
        foreach (var (one, at) in wanted.Select((one, at) => (one, at)))
        {
            if (Naming.Read<SchoolPlace>(one?.Place) is not { } place || !AnotherSchool.Places.Contains(place)) faults.Add(new FieldFault($"schools[{at}].place", $"A place is one of {string.Join(", ", AnotherSchool.Places.Select(Naming.Of))}."));
            else if (RecipeStore.Products(connection, [one!.Product ?? string.Empty]) is not [var product]) faults.Add(new FieldFault($"schools[{at}].product", "There is no such product."));
            else if (schools.Any(other => (other.ProductId, other.Place) == (product.Id, place))) faults.Add(new FieldFault($"schools[{at}].place", "One school at one place."));
            else schools.Add(new DaySchool(product.Id, place, one.School ?? string.Empty));
        }

        foreach (var product in schools.GroupBy(school => school.ProductId))
        {
            var made = RecipeStore.Products(connection, [product.Key])[0];
            foreach (var school in product.OrderBy(school => school.Place))
            {
                if (AnotherSchool.Of(made, school.Place, school.SchoolId) is { } so) made = so;
                else faults.Add(new FieldFault($"schools[{schools.IndexOf(school)}].school", "Its recipe offers no such school there, or would break a rule with it."));
            }
        }

        return [.. schools];
    }

    /// <summary>Lots to leave out: of what is ordered for the day, whether it is left out already or not.</summary>
    private static LeftOutLot[] LeftOut(DayBook book, IReadOnlyList<LeftOutRequest?> wanted, List<FieldFault> faults)
    {
        if (wanted.Count > LeftOutLot.Most)
        {
            faults.Add(new FieldFault("leftOut", $"At most {LeftOutLot.Most} lots are left out at once."));
            return [];
        }

        var ordered = book.Snapshot.Orders.Select(order => new LeftOutLot(order.Product.Id, order.Pan.Id, book.Clock.LocalAt(order.PickUpMin)))
            .Concat(book.LeftOut.Select(pies => pies.Lot)).ToHashSet();
        var lots = new List<LeftOutLot>();
        foreach (var (one, at) in wanted.Select((one, at) => (one, at)))
        {
            if (PickUpMoves.Local(book, one?.PickUp) is not { } pickUp) faults.Add(new FieldFault($"leftOut[{at}].pickUp", "A clock time is written 07:45, and is one that the clock shows on that day."));
            else if (new LeftOutLot(one!.Product ?? string.Empty, one.Pan ?? string.Empty, pickUp) is var lot && !ordered.Contains(lot)) faults.Add(new FieldFault($"leftOut[{at}].product", "Nothing of this product is ordered in this pan for that pick-up."));
            else lots.Add(lot);
        }

        return [.. lots.Distinct()];
    }

    private static List<OrderLine> Added(SqliteConnection connection, DayBook book, IReadOnlyList<MoreRequest?> wanted, LocalDateTime now, List<FieldFault> faults)
    {
        var orders = new List<OrderLine>();
        if (wanted.Count > MostOrders)
        {
            faults.Add(new FieldFault("more", $"At most {MostOrders} orders are asked about at once."));
            return orders;
        }

        var products = RecipeStore.Products(connection, [.. wanted.Select(one => one?.Product ?? string.Empty).Distinct()]);
        foreach (var (one, at) in wanted.Select((one, at) => (one, at)))
        {
            if (PickUpMoves.Local(book, one?.PickUp) is not { } pickUp)
            {
                faults.Add(new FieldFault($"more[{at}].pickUp", "A clock time is written 07:45, and is one that the clock shows on that day."));
                continue;
            }

            var order = new OrderLine(one?.Product ?? string.Empty, one?.Pan ?? string.Empty, one?.Count ?? 0, pickUp, one?.For?.Trim() ?? string.Empty);
            faults.AddRange(OrderRules.Faults(order, products, now, book.Bakery.Zone).Select(fault => fault with { Field = $"more[{at}].{fault.Field}" }));
            orders.Add(order);
        }

        return orders;
    }
}

/// <summary>A question to the planner: a day as it might be. What is not said stays as it is.</summary>
/// <param name="Moves">Pick-ups as they might be.</param>
/// <param name="FromNow">Whether work begins now, as if nothing were done yet.</param>
/// <param name="School">What the ovens would be planned for: "fewestHotHours", "freshest" or "steadiest".</param>
/// <param name="OvensOut">Ids of all ovens that would be out; empty for none.</param>
/// <param name="LongerBakes">All bakes that would take longer; empty for none.</param>
/// <param name="More">Orders that would come on top.</param>
/// <param name="MoreHands">Pairs of hands more in every shift of the day.</param>
/// <param name="EarlierMin">By how many minutes the crew of the first shift would begin earlier.</param>
/// <param name="Schools">All products that would be made by another school; empty for none.</param>
/// <param name="BetweenHands">Pairs of hands that would be there between the shifts, 0 to 6.</param>
/// <param name="LeftOut">All lots that would be left out of the plan; empty for none.</param>
public sealed record WhatIfRequest(
    IReadOnlyList<PickUpMove?>? Moves,
    bool FromNow = false,
    string? School = null,
    IReadOnlyList<string?>? OvensOut = null,
    IReadOnlyList<LongerBakeRequest?>? LongerBakes = null,
    IReadOnlyList<MoreRequest?>? More = null,
    int? MoreHands = null,
    int? EarlierMin = null,
    IReadOnlyList<ProductSchoolRequest?>? Schools = null,
    int? BetweenHands = null,
    IReadOnlyList<LeftOutRequest?>? LeftOut = null)
{
    /// <summary>Whether nothing but pick-ups is asked about.</summary>
    internal bool IsOnlyMoves => this with { Moves = null, FromNow = false } == new WhatIfRequest(Moves: null);

    /// <summary>Whether nothing is asked about.</summary>
    internal bool IsEmpty => IsOnlyMoves && Moves is null or [];
}

/// <summary>A bake that takes longer on a day.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Minutes">By how many minutes, 0 to 60; 0 for as usual.</param>
public sealed record LongerBakeRequest(string? Product, int? Minutes);

/// <summary>A lot that is left out of the plan: all of a product in a pan for one pick-up.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PickUp">Clock time of the pick-up on the day, "07:30".</param>
public sealed record LeftOutRequest(string? Product, string? Pan, string? PickUp);

/// <summary>Pies that come on top.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">How many.</param>
/// <param name="PickUp">Clock time of the pick-up on the day, "07:30".</param>
/// <param name="For">Who they are for.</param>
public sealed record MoreRequest(string? Product, string? Pan, int? Count, string? PickUp, string? For);
