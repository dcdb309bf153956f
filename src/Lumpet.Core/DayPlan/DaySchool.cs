using Lumpet.Core.Recipes.Schools;

namespace Lumpet.Core.DayPlan;

/// <summary>A product that is made by another school on one day than its recipe says.</summary>
/// <param name="ProductId">The product.</param>
/// <param name="Place">Where in its way.</param>
/// <param name="SchoolId">The school there; what the recipe does not offer any more changes nothing.</param>
public sealed record DaySchool(string ProductId, SchoolPlace Place, string SchoolId);
