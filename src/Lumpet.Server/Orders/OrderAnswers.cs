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
public sealed record OrderRequest(string? Product, string? Pan, int? Count, string? PickUp, string? For);

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
public sealed record OrdersAnswer(
    string Day, string DayName, IReadOnlyList<OrderAnswer> Orders, IReadOnlyList<string> PickUps, IReadOnlyList<TotalAnswer> Totals, int Pies);

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
public sealed record OrderAnswer(
    Guid Id, long Version, string Product, string ProductName, string Pan, string PanName, int Count, string PickUp, string Clock, string For);

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
