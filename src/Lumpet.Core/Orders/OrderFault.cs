namespace Lumpet.Core.Orders;

/// <summary>Something wrong with an order.</summary>
/// <param name="Field">"line", "count", "product", "pan", "pickUp" or "for".</param>
/// <param name="Message">What is wrong and what would be right.</param>
public sealed record OrderFault(string Field, string Message);
