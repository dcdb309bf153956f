using Lumpet.Core.Orders;

namespace Lumpet.Server.Orders;

/// <summary>A typed order line.</summary>
/// <param name="Line">What was typed.</param>
/// <param name="Day">The day meant where the line names none (ISO date).</param>
public sealed record TypedLineRequest(string? Line, string? Day);

/// <summary>An order from the form.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Count">Pies.</param>
/// <param name="PickUp">Local date and time, "2026-05-02T09:00".</param>
/// <param name="For">Who it is for.</param>
/// <param name="MayBeLateMin">By how many minutes it may be late; null where it must not be.</param>
public sealed record OrderRequest(string? Product, string? Pan, int? Count, string? PickUp, string? For, int? MayBeLateMin = null);

/// <summary>What was understood of a typed line.</summary>
/// <param name="Parts">The parts found.</param>
/// <param name="Faults">What is missing or wrong; empty when the line can be taken.</param>
/// <param name="IsComplete">Whether the line can be taken.</param>
public sealed record UnderstoodAnswer(
    IReadOnlyList<UnderstoodPartAnswer> Parts, IReadOnlyList<FaultAnswer> Faults, bool IsComplete);

/// <summary>A part of a typed line.</summary>
/// <param name="Field">What it is: "count", "product", "pan", "day", "time", "for".</param>
/// <param name="Typed">What was typed.</param>
/// <param name="Meaning">What it was taken for.</param>
public sealed record UnderstoodPartAnswer(string Field, string Typed, string Meaning);

/// <summary>A fault at a field.</summary>
/// <param name="Field">The field.</param>
/// <param name="Message">What is wrong and what would be right.</param>
public sealed record FaultAnswer(string Field, string Message);

/// <summary>The orders of a day.</summary>
/// <param name="Day">ISO date.</param>
/// <param name="DayName">As people say it.</param>
/// <param name="Orders">In order of pick-up, then as they came.</param>
/// <param name="PickUps">Clock times of the pick-ups, the columns of the totals.</param>
/// <param name="Totals">A row for each product and pan.</param>
/// <param name="Pies">Pies of all orders.</param>
/// <param name="LeftOut">Orders that repeat, would come on this day and are left out of it; they are in no sum.</param>
/// <param name="Beyond">Pies that are baked beyond what is ordered; the totals have them, the orders have not.</param>
/// <param name="WeekBefore">The same day of the week before (ISO date), whose orders people mostly mean to have again.</param>
public sealed record OrdersAnswer(
    string Day, string DayName, IReadOnlyList<OrderAnswer> Orders, IReadOnlyList<string> PickUps, IReadOnlyList<TotalAnswer> Totals, int Pies, IReadOnlyList<OrderAnswer> LeftOut, int Beyond, string WeekBefore);

/// <summary>An order.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Version">Goes back in If-Match when it is changed or removed.</param>
/// <param name="Product">Id of the product.</param>
/// <param name="ProductName">Name of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PanName">Name of the pan.</param>
/// <param name="Count">Pies.</param>
/// <param name="PickUp">Local date and time, "2026-05-02T09:00".</param>
/// <param name="Clock">Clock time of the pick-up.</param>
/// <param name="For">Who it is for.</param>
/// <param name="MayBeLateMin">By how many minutes it may be late; 0 where it must not be.</param>
/// <param name="Repeats">The order that repeats and comes to this on its day: that day of it is changed or left out by its own address; null of an order by itself.</param>
/// <param name="IsLeftOut">Whether the plan of its day leaves it out; told where a day's orders are.</param>
public sealed record OrderAnswer(
    Guid Id, long Version, string Product, string ProductName, string Pan, string PanName, int Count, string PickUp, string Clock, string For, int MayBeLateMin, RepeatsAnswer? Repeats = null, bool IsLeftOut = false);

/// <summary>The order that repeats and comes to an order on its day.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Words">When it comes: "Mon, Wed and Sat".</param>
public sealed record RepeatsAnswer(Guid Id, string Words);

/// <summary>Orders that repeat.</summary>
/// <param name="Today">ISO date of today at the bakery.</param>
/// <param name="Orders">Those that have not ended, by the time of day.</param>
/// <param name="Most">The most that there can be.</param>
public sealed record StandingOrdersAnswer(string Today, IReadOnlyList<StandingOrderAnswer> Orders, int Most);

/// <summary>An order that repeats.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Version">Goes back in If-Match when it is changed or ended.</param>
/// <param name="Draft">The order as it is described.</param>
/// <param name="ProductName">Name of the product.</param>
/// <param name="PanName">Name of the pan.</param>
/// <param name="Words">Its days: "every day", "Mon, Wed and Sat".</param>
/// <param name="Span">From when and until when, in words; empty where it goes on and has begun.</param>
/// <param name="NextDay">ISO date of its next pick-up; null where none comes.</param>
/// <param name="NextName">That day as people say it.</param>
/// <param name="NotOn">Days from today on that it is left out of, or that have an order in its place, as people say them.</param>
/// <param name="PiesAWeek">Pies in a whole week.</param>
public sealed record StandingOrderAnswer(
    Guid Id, long Version, StandingOrderDraft Draft, string ProductName, string PanName, string Words, string Span, string? NextDay, string? NextName, IReadOnlyList<string> NotOn, int PiesAWeek);

/// <summary>A change of an order that repeats that met another: problem details with the order as it is now.</summary>
/// <param name="present">The order as it is now.</param>
public sealed class StandingOrderConflict(StandingOrderAnswer present) : Microsoft.AspNetCore.Mvc.ProblemDetails
{
    /// <summary>The order as it is now.</summary>
    public StandingOrderAnswer Present { get; } = present;
}

/// <summary>A day of orders that is to be copied.</summary>
/// <param name="From">The day whose orders are copied (ISO date).</param>
/// <param name="Keep">Whether to keep them; otherwise it is only said what would come.</param>
public sealed record CopyRequest(string? From, bool Keep);

/// <summary>What copying a day of orders comes to.</summary>
/// <param name="Orders">Order lines.</param>
/// <param name="Pies">Pies of all lines.</param>
/// <param name="FromName">The day they are of, as people say it.</param>
/// <param name="Repeating">Lines that are not copied, since they repeat and come on the day anyway.</param>
/// <param name="Kept">Whether they are kept now.</param>
public sealed record CopiedAnswer(int Orders, int Pies, string FromName, int Repeating, bool Kept);

/// <summary>Pies of a product in a pan.</summary>
/// <param name="Product">Name of the product.</param>
/// <param name="Pan">Name of the pan.</param>
/// <param name="PerPickUp">Pies at each pick-up.</param>
/// <param name="Total">Pies at all pick-ups.</param>
public sealed record TotalAnswer(string Product, string Pan, IReadOnlyList<int> PerPickUp, int Total);

/// <summary>A change that met another: problem details with the order as it is now, so that both can be shown.</summary>
/// <param name="present">The order as it is now.</param>
public sealed class OrderConflict(OrderAnswer present) : Microsoft.AspNetCore.Mvc.ProblemDetails
{
    /// <summary>The order as it is now.</summary>
    public OrderAnswer Present { get; } = present;
}
