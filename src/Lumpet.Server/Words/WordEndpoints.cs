using Lumpet.Core;
using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures.Amounts;
using Lumpet.Core.Pans;
using Lumpet.Core.Preparations;
using Lumpet.Core.Recipes;
using Lumpet.Core.Recipes.Judging;
using Lumpet.Core.Recipes.Writing;
using Lumpet.Core.Steps;
using Lumpet.Server.Preparations;
using Lumpet.Server.Recipes;

namespace Lumpet.Server.Words;

/// <summary>Every kind that can be chosen, with its words: said here and nowhere else.</summary>
internal static class WordEndpoints
{
    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/words", () => TypedResults.Ok(All)).WithName("GetWords").WithSummary("Every kind that can be chosen, with its words.");

    private static WordsAnswer All { get; } = new(
        Choices<FillingKind>(KindWords.Of),
        [.. Enum.GetValues<PartKind>().Where(LayerDrafts.IsLayer).Select(part => new WordChoice(Naming.Of(part), LayerWords.Of(part)))],
        Choices<LayerLaw>(LayerWords.Of),
        Choices<Top>(KindWords.Of),
        Choices<BaseTreatment>(KindWords.Of),
        Choices<Lining>(KindWords.Of),
        Choices<DoughFamily>(DoughJudgement.Name),
        Choices<PanFamily>(KindWords.Of),
        Choices<PanMaterial>(KindWords.Of),
        Choices<CupCustom>(KindWords.Of),
        Choices<IngredientRole>(KindWords.Of),
        Choices<OvenPlace>(place => place switch { OvenPlace.Floor => "on the floor of the oven", OvenPlace.Low => "low in the oven", OvenPlace.Top => "high in the oven", _ => "on any shelf" }),
        Choices<PreparationKind>(PreparationWords.Of),
        Choices<KeepPlace>(PreparationWords.Of),
        Choices<Station>(station => station switch { Station.Rack => "on the rack", Station.Cold => "in the cold", Station.Oven => "in the oven", Station.Pot => "at the burners", Station.Dough => "at the mixer", Station.Finish => "where pies are finished", Station.Box => "where pies are boxed", _ => "at the bench" }),
        MajorAllergens.All);

    private static WordChoice[] Choices<T>(Func<T, string> words)
        where T : struct, Enum => [.. Enum.GetValues<T>().Select(value => new WordChoice(Naming.Of(value), words(value)))];
}

/// <summary>The kinds that can be chosen.</summary>
/// <param name="Fillings">Kinds of filling.</param>
/// <param name="Parts">Which part of the pie a layer is.</param>
/// <param name="Laws">How a layer follows the pan.</param>
/// <param name="Tops">What lies on the filling.</param>
/// <param name="Schools">The schools of a crisp bottom.</param>
/// <param name="Linings">How a base is laid in.</param>
/// <param name="DoughFamilies">Families of dough.</param>
/// <param name="PanFamilies">Families of pans.</param>
/// <param name="PanMaterials">What pans are made of.</param>
/// <param name="Cups">Which cups a recipe means.</param>
/// <param name="Roles">What an ingredient does in a formula.</param>
/// <param name="Places">Where a bake stands.</param>
/// <param name="Preparations">Kinds of what is made before it goes into pies.</param>
/// <param name="KeepPlaces">Where such things are kept.</param>
/// <param name="Stations">Where work is done.</param>
/// <param name="Allergens">What an ingredient may carry.</param>
public sealed record WordsAnswer(
    IReadOnlyList<WordChoice> Fillings,
    IReadOnlyList<WordChoice> Parts,
    IReadOnlyList<WordChoice> Laws,
    IReadOnlyList<WordChoice> Tops,
    IReadOnlyList<WordChoice> Schools,
    IReadOnlyList<WordChoice> Linings,
    IReadOnlyList<WordChoice> DoughFamilies,
    IReadOnlyList<WordChoice> PanFamilies,
    IReadOnlyList<WordChoice> PanMaterials,
    IReadOnlyList<WordChoice> Cups,
    IReadOnlyList<WordChoice> Roles,
    IReadOnlyList<WordChoice> Places,
    IReadOnlyList<WordChoice> Preparations,
    IReadOnlyList<WordChoice> KeepPlaces,
    IReadOnlyList<WordChoice> Stations,
    IReadOnlyList<string> Allergens);
