using Lumpet.Core.Recipes;
using NodaTime;

namespace Lumpet.Core.Orders;

/// <summary>What an order must keep to.</summary>
public static class OrderRules
{
    /// <summary>Everything wrong with an order, field by field; empty when it can be taken.</summary>
    /// <param name="order">The order.</param>
    /// <param name="products">The bakery's products.</param>
    /// <param name="localNow">The bakery's clock.</param>
    /// <param name="zone">The bakery's time zone, for hours that a change of the clock skips.</param>
    public static IReadOnlyList<FieldFault> Faults(
        OrderLine order, IReadOnlyList<Product> products, LocalDateTime localNow, DateTimeZone zone)
    {
        List<FieldFault> faults = [.. WhatFaults(order.Product, order.Pan, order.Count, products)];
        faults.AddRange(PickUpFaults(order.PickUp, localNow, zone));
        faults.AddRange(ForFaults(order.For));
        faults.AddRange(LateFaults(order.MayBeLateMin));
        return faults;
    }

    /// <summary>What is wrong with what is ordered.</summary>
    /// <param name="named">Id of the product.</param>
    /// <param name="pan">Id of the pan.</param>
    /// <param name="count">Pies.</param>
    /// <param name="products">The bakery's products.</param>
    internal static IEnumerable<FieldFault> WhatFaults(string named, string pan, int count, IReadOnlyList<Product> products)
    {
        if (count is < 1 or > OrderLine.MostPies) yield return new FieldFault("count", $"A line takes 1 to {OrderLine.MostPies} pies.");

        var product = products.FirstOrDefault(product => product.Id == named);
        if (product is null) yield return new FieldFault("product", $"There is no product \"{Shorten(named)}\". There are {Names(products)}.");
        else if (product.IsRetired) yield return new FieldFault("product", $"{product.Name} is retired. Take it back under Recipes to take orders for it.");
        else if (product.SizeIn(pan) is null) yield return new FieldFault("pan", $"{product.Name} is not made in \"{Shorten(pan)}\", only in {Sizes(product)}.");
    }

    /// <summary>What is wrong with how late it may be.</summary>
    internal static IEnumerable<FieldFault> LateFaults(int minutes)
    {
        if (minutes is < 0 or > OrderLine.MostLateMin) yield return new FieldFault("mayBeLateMin", $"An order may be 0 to {OrderLine.MostLateMin} min late.");
    }

    /// <summary>What is wrong with who it is for.</summary>
    internal static IEnumerable<FieldFault> ForFaults(string name)
    {
        if (name.Length > OrderLine.LongestFor || name.Any(char.IsControl))
            yield return new FieldFault("for", $"A name takes up to {OrderLine.LongestFor} characters on one line.");
        else if (VisibleText.Hides(name) || (name.Length > 0 && !VisibleText.Shows(name)))
            yield return new FieldFault("for", "A name takes only characters that can be seen.");
    }

    /// <summary>The pans of a product, as a list in words.</summary>
    internal static string Sizes(Product product) => string.Join(" or ", product.Sizes.Select(size => size.Pan.Id));

    /// <summary>The products, as a list in words.</summary>
    internal static string Names(IReadOnlyList<Product> products) =>
        products.Count == 0 ? "none yet" : string.Join(", ", products.Select(product => product.Name));

    /// <summary>A text cut to a length that a message bears.</summary>
    internal static string Shorten(string text) => text.Length > 40 ? text[..40] + "…" : text;

    private static IEnumerable<FieldFault> PickUpFaults(LocalDateTime pickUp, LocalDateTime localNow, DateTimeZone zone)
    {
        if (pickUp <= localNow)
            yield return new FieldFault("pickUp", $"The pick-up at {PickUpText.Said.Format(pickUp)} has passed.");
        else if (pickUp > localNow.PlusDays(OrderLine.MostDaysAhead))
            yield return new FieldFault("pickUp", $"A pick-up lies at most {OrderLine.MostDaysAhead} days ahead.");
        else if (zone.MapLocal(pickUp).Count == 0)
            yield return new FieldFault("pickUp", $"The clock skips {PickUpText.Clock.Format(pickUp.TimeOfDay)} on {PickUpText.Day.Format(pickUp.Date)}; choose a time before or after.");
    }
}
