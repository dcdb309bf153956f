using System.Collections;
using System.Globalization;
using System.Reflection;

namespace Lumpet.Core.Tests;

/// <summary>Finds, for every field of a draft, what a reader takes: the least and the most, the longest and the most many.</summary>
internal static class Limits
{
    // What is taken so far out has no limit.
    private const long Endless = 1L << 40;

    /// <summary>One line for each field, fields of lists included.</summary>
    /// <param name="good">A draft that is taken.</param>
    /// <param name="faults">How many faults its reader finds.</param>
    public static IEnumerable<string> Of<T>(T good, Func<T, int> faults)
        where T : class => Fields(good, string.Empty, changed => faults((T)changed));

    private static IEnumerable<string> Fields(object draft, string path, Func<object, int> faults) =>
        draft.GetType().GetProperties().Where(one => one.CanWrite).SelectMany(property =>
        {
            var value = property.GetValue(draft);
            int With(object? other) => faults(Copy(draft, property, other));
            return Field(path + property.Name, Nullable.GetUnderlyingType(property.PropertyType) ?? property.PropertyType, value, With);
        });

    private static IEnumerable<string> Field(string name, Type type, object? value, Func<object?, int> faults)
    {
        bool Takes(object? other) => faults(other) == 0;
        if (type == typeof(int)) return [$"{name}: {Whole(Convert.ToInt64(value ?? 1, CultureInfo.InvariantCulture), at => at is >= int.MinValue and <= int.MaxValue && Takes((int)at))}{Missing(faults)}"];
        if (type == typeof(double)) return [$"{name}: {Real(Convert.ToDouble(value ?? 1, CultureInfo.InvariantCulture), at => Takes(at))}{Missing(faults)}"];
        if (type == typeof(decimal)) return [$"{name}: {Real(Convert.ToDouble(value ?? 1, CultureInfo.InvariantCulture), at => Takes((decimal)at))}{Missing(faults)}"];
        if (type == typeof(bool)) return [$"{name}: {(Takes(true) ? "yes" : "-")} {(Takes(false) ? "no" : "-")}"];
        if (type == typeof(string))
        {
            var longest = Whole(1, length => length is >= 0 and <= 5000 && Takes(new string('x', (int)length)));
            return [$"{name}: {longest} letters{Missing(faults)}{(Takes(" ") ? ", blank" : string.Empty)}{(Takes("<b>") ? ", markup" : string.Empty)}{(Takes("a\u0007") ? ", control characters" : string.Empty)}"];
        }

        if (value is IList { Count: > 0 } list && list[0] is { } first)
        {
            var many = Whole(list.Count, count => count is >= 0 and <= 300 && Takes(Many(type, list, (int)count)));
            var heading = $"{name}: {many} of them{Missing(faults)}";
            if (first is string or int) return [heading];
            return [heading, .. Fields(first, $"{name}[].", changed => faults(Many(type, (object?[])[changed, .. list.Cast<object?>().Skip(1)], list.Count)))];
        }

        // A part that is a record of its own: its fields one by one.
        if (value is not null and not IEnumerable && type.GetMethod("<Clone>$") is not null) return [$"{name}:{Missing(faults)}", .. Fields(value, $"{name}.", changed => faults(changed))];
        return [$"{name}:{Missing(faults)}"];
    }

    private static string Missing(Func<object?, int> faults) => faults(null) == 0 ? ", or none" : string.Empty;

    // The whole numbers that are taken around one that may be: bounds by doubling steps, then halving.
    private static string Whole(long start, Func<long, bool> takes)
    {
        if (!takes(start)) return "none found";
        long? Edge(int direction)
        {
            long step = 1;
            var at = start;
            for (; step < Endless && takes(at + (direction * step)); step *= 2) at += direction * step;
            if (step >= Endless) return null;
            for (; step > 0; step /= 2)
            {
                if (takes(at + (direction * step))) at += direction * step;
            }

            return at;
        }

        return $"{Edge(-1)?.ToString(CultureInfo.InvariantCulture) ?? "without end"} to {Edge(1)?.ToString(CultureInfo.InvariantCulture) ?? "without end"}";
    }

    private static string Real(double start, Func<double, bool> takes)
    {
        // In steps of a ten-thousandth.
        var range = Whole((long)Math.Round(start * 10_000), at => takes(at / 10_000.0)).Split(" to ");
        return range.Length < 2 ? range[0] : string.Join(" to ", range.Select(edge => long.TryParse(edge, CultureInfo.InvariantCulture, out var steps) ? (steps / 10_000.0).ToString(CultureInfo.InvariantCulture) : edge));
    }

    // So many of them, each with a name of its own.
    private static Array Many(Type type, IList list, int count)
    {
        var array = Array.CreateInstance(type.GetGenericArguments()[0], count);
        for (var at = 0; at < count; at++) array.SetValue(at < list.Count ? list[at] : Renamed(list[^1], at), at);
        return array;
    }

    private static object? Renamed(object? one, int at) =>
        one?.GetType().GetProperties().FirstOrDefault(property => property.Name is "Id" or "Pan" or "Piece" or "Preparation") is { } id && id.GetValue(one) is string name ? Named(Copy(one, id, $"{name}-{at}"), at)
        : one is null or string or int ? one
        : Named(one, at);

    private static object Named(object one, int at) =>
        one.GetType().GetProperty("Name") is { } name && name.GetValue(one) is string text ? Copy(one, name, $"{text} {at}") : one;

    private static object Copy(object draft, PropertyInfo property, object? value)
    {
        var copy = draft.GetType().GetMethod("<Clone>$")!.Invoke(draft, null)!;
        property.SetValue(copy, value);
        return copy;
    }
}
