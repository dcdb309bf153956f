using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Lumpet.Core;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Server.Tables;
using NodaTime;

namespace Lumpet.Server.Orders;

/// <summary>Orders as comma-separated values (RFC 4180, UTF-8): count, product, pan, pick_up, for, may_be_late_min.</summary>
internal static class OrderCsv
{
    /// <summary>The most rows of one file.</summary>
    public const int MostRows = 2000;

    private static readonly string[] Columns = ["count", "product", "pan", "pick_up", "for", "may_be_late_min"];

    /// <summary>Writes orders.</summary>
    public static string Write(IEnumerable<OrderLine> orders)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in Columns) csv.WriteField(column);
        csv.NextRecord();
        foreach (var order in orders)
        {
            csv.WriteField(order.Count);
            csv.WriteField(order.Product);
            csv.WriteField(order.Pan);
            csv.WriteField(PickUpText.Written.Format(order.PickUp));
            csv.WriteField(CellGuard.Write(order.For));
            csv.WriteField(order.MayBeLateMin);
            csv.NextRecord();
        }

        csv.Flush();
        return text.ToString();
    }

    /// <summary>Reads orders: every row, or what is wrong with each bad one ("rows[3].count", counted from 1 below the heading).</summary>
    public static (IReadOnlyList<OrderLine> Orders, IReadOnlyList<FieldFault> Faults) Read(
        string text, IReadOnlyList<Product> products, LocalDateTime localNow, DateTimeZone zone)
    {
        var (orders, faults) = (new List<OrderLine>(), new List<FieldFault>());
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture) { MissingFieldFound = null, BadDataFound = null, TrimOptions = TrimOptions.Trim, DetectDelimiter = true, DetectDelimiterValues = [",", ";", "\t"] };
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), configuration);
        try
        {
            if (!csv.Read() || !csv.ReadHeader()) return ([], [new FieldFault("file", $"The file is empty. Its first row names the columns: {string.Join(',', Columns)}.")]);
            var missing = Columns.Take(4).Except(csv.HeaderRecord!.Select(name => name.Trim().ToLowerInvariant())).ToArray();
            if (missing.Length > 0) return ([], [new FieldFault("file", $"The first row lacks {string.Join(", ", missing)}. It names the columns: {string.Join(',', Columns)}.")]);
            for (var row = 1; csv.Read(); row++)
            {
                if (row > MostRows) return ([], [new FieldFault("file", $"At most {MostRows} rows are taken at once.")]);
                var order = Row(csv, products);
                faults.AddRange(OrderRules.Faults(order, products, localNow, zone).Select(fault => fault with { Field = $"rows[{row}].{fault.Field}" }));
                orders.Add(order);
            }
        }
        catch (Exception exception) when (exception is CsvHelperException or ArgumentException)
        {
            return ([], [new FieldFault("file", "This cannot be read as comma-separated values.")]);
        }

        if (orders.Count == 0) faults.Add(new FieldFault("file", "There is no order in the file."));
        return (orders, faults);
    }

    private static OrderLine Row(CsvReader csv, IReadOnlyList<Product> products)
    {
        string Text(string column)
        {
            var at = Array.FindIndex(csv.HeaderRecord!, name => name.Trim().Equals(column, StringComparison.OrdinalIgnoreCase));
            return at >= 0 && csv.TryGetField<string>(at, out var text) ? CellGuard.Read(text ?? string.Empty) : string.Empty;
        }

        var named = Text("product");
        // By id or by name: a list from elsewhere has names.
        var product = products.FirstOrDefault(one => one.Id == named) ?? products.FirstOrDefault(one => one.Name.Equals(named, StringComparison.OrdinalIgnoreCase));
        _ = int.TryParse(Text("count"), NumberStyles.None, CultureInfo.InvariantCulture, out var count);
        var pickUp = PickUpText.Read(Text("pick_up").Replace(' ', 'T')) ?? default;
        return new OrderLine(product?.Id ?? named, Text("pan"), count, pickUp, Text("for")) { MayBeLateMin = Late(Text("may_be_late_min")) };
    }

    // A list from elsewhere may not have it; what is no number is refused by the rules of an order.
    private static int Late(string text) => text.Length == 0 ? 0 : int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var minutes) ? minutes : -1;
}
