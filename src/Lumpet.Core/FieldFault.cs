namespace Lumpet.Core;

/// <summary>Something wrong with what was entered.</summary>
/// <param name="Field">Where: the name of the field, with a path for fields inside lists: "count", "steps[2].name".</param>
/// <param name="Message">What is wrong and what would be right.</param>
public sealed record FieldFault(string Field, string Message);
