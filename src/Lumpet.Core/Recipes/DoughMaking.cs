using Lumpet.Core.Preparations;
using Lumpet.Core.Steps;

namespace Lumpet.Core.Recipes;

/// <summary>
/// A dough as what it is beside every other preparation: something made in batches before it goes into pies, and kept cold
/// until it is used. Its steps follow from its method; the mixer says how much is made at once.
/// </summary>
/// <param name="Dough">The dough.</param>
public sealed record DoughMaking(DoughFormula Dough)
    : Making(PreparationKind.Dough, StepsOf(Dough), BatchLimits.ByTheMixer, Keeps(Dough))
{
    private const int RoomC = 20;

    // Overnight in the fridge (common practice, no source).
    private const int ThawMin = 720;

    private static Keeping Keeps(DoughFormula dough) => new(KeepPlace.Cold, dough.Rest, string.Empty)
    {
        Elsewhere = dough.Method.KeepsFrozenDays > 0 ? [new KeptIn(KeepPlace.Frozen, 0, dough.Method.KeepsFrozenDays * 1440)] : [],
        ThawMin = dough.Method.KeepsFrozenDays > 0 ? ThawMin : 0,
    };

    private static Step[] StepsOf(DoughFormula dough) =>
    [
        Hands("mix", dough.IsMixed ? "Mix" : "Set out", Station.Dough, dough.MixMinutes, dough.ReadyWhen, dough.Caution) with { Cure = dough.Cure },
        .. Enumerable.Range(1, dough.Method.Turns).SelectMany(turn => Turn(dough.Method, turn)),
    ];

    private static IEnumerable<Step> Turn(DoughMethod method, int turn)
    {
        yield return Hands($"turn-{turn}", $"Roll and fold, turn {turn} of {method.Turns}", Station.Bench, method.TurnMinutes, "even; no fat breaks through", string.Empty);
        if (method.TurnRestMinutes > 0)
            yield return new Step($"cold-{turn}", "Cold after the turn", Station.Cold, null, [], Span.Between(method.TurnRestMinutes, method.TurnRestMinutes), 4, false, string.Empty, string.Empty);
    }

    private static Step Hands(string id, string name, Station station, int minutes, string readyWhen, string caution) =>
        new(id, name, station, new Hands(minutes, 0), [], null, RoomC, false, readyWhen, caution);
}
