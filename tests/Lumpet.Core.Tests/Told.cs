using System.Collections;
using System.Globalization;
using System.Reflection;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Pans;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Tests;

/// <summary>
/// Writes any value of the core as text, with every property it has, so that nothing it says goes unseen. What says
/// nothing (null, false, an empty text or list) is left out.
/// </summary>
internal static class Told
{
    /// <summary>One value on one line.</summary>
    public static string Of(object? value) => Value(value, 0) ?? "nothing";

    /// <summary>Each value of a list on a line of its own.</summary>
    public static IEnumerable<string> Each<T>(IEnumerable<T> values) => values.Select(value => Of(value));

    private static string? Value(object? value, int depth) => value switch
    {
        null or false => null,
        string text => text.Length == 0 ? null : $"\"{text.Replace("\n", "⏎", StringComparison.Ordinal)}\"",
        true => "yes",
        double number => Number(number),
        decimal number => Math.Round(number, 9).ToString("0.#########", CultureInfo.InvariantCulture),
        IFormattable plain when value.GetType() is { IsPrimitive: true } or { IsEnum: true } or { Namespace: "NodaTime" } => plain.ToString(null, CultureInfo.InvariantCulture),
        Mass mass => $"{Number(mass.Grams)} g",
        Length length => $"{Number(length.Centimetres)} cm",
        Area area => $"{Number(area.SquareCentimetres)} cm²",
        Volume volume => $"{Number(volume.Millilitres)} ml",
        Density density => $"{Number(density.GramsPerMillilitre)} g/ml",
        Money money => $"{Value(money.Amount, depth)} {money.Currency}",
        PlanText text => $"\"{text.With(minute => $"[{minute}]")}\"",
        // What is told elsewhere in full is named here.
        Ingredient { Id: var id } when depth > 0 => id,
        Product { Id: var id } when depth > 0 => id,
        Pan { Id: var id } when depth > 0 => id,
        DoughFormula { Id: var id } when depth > 0 => id,
        Lot { Id: var id } when depth > 0 => id,
        Step { Id: var id } when depth > 1 => id,
        DoughPiece { Name: var name } when depth > 1 => name,
        IDictionary map => Listed(map.Keys.Cast<object>().Select(key => $"{key}: {Value(map[key], depth + 1) ?? "nothing"}")),
        IEnumerable list => Listed(list.Cast<object?>().Select(one => Value(one, depth + 1) ?? "nothing")),
        _ => Record(value, depth),
    };

    private static string Number(double number) => Math.Round(number, 7).ToString("G10", CultureInfo.InvariantCulture);

    private static string? Listed(IEnumerable<string> parts) => string.Join(", ", parts) is { Length: > 0 } all ? $"[{all}]" : null;

    private static string Record(object value, int depth)
    {
        if (depth > 8) return "…";
        var type = value.GetType();
        var properties = type.GetProperties(BindingFlags.Public | BindingFlags.Instance).Where(one => one.GetIndexParameters().Length == 0).ToArray();
        var fields = type.Name.StartsWith("ValueTuple", StringComparison.Ordinal) ? type.GetFields().Select(one => (Name: string.Empty, Text: Value(one.GetValue(value), depth))) : [];
        var parts = properties.Select(one => (one.Name, Text: Value(Get(one, value), depth + 1))).Concat(fields)
            .Where(one => one.Text is not null).Select(one => one.Name.Length == 0 ? one.Text : $"{one.Name} {one.Text}");
        return $"{{{string.Join("; ", parts)}}}";
    }

    private static object? Get(PropertyInfo property, object value)
    {
        try
        {
            return property.GetValue(value);
        }
        catch (TargetInvocationException exception)
        {
            return exception.InnerException!.GetType().Name;
        }
    }
}
