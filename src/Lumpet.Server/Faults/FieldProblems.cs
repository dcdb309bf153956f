using Lumpet.Core;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Faults;

/// <summary>Problem details that name the field of each fault.</summary>
internal static class FieldProblems
{
    /// <summary>A problem with these faults.</summary>
    public static ValidationProblem Of(params IEnumerable<(string Field, string Message)> faults)
    {
        var byField = faults.GroupBy(fault => fault.Field).ToDictionary(group => group.Key, group => group.Select(fault => fault.Message).ToArray());
        return TypedResults.ValidationProblem(byField, title: "Nothing was changed, because of what is named here.");
    }

    /// <summary>A problem with these faults of an order.</summary>
    public static ValidationProblem Of(IEnumerable<FieldFault> faults) => Of(faults.Select(fault => (fault.Field, fault.Message)));
}
