using Lumpet.Core.Bakery;
using Lumpet.Core.Dough;
using Lumpet.Core.Measures;
using Lumpet.Core.Recipes;
using Lumpet.Core.Steps;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Dough;

public sealed class ApprovedDoughTests
{
    private static readonly DoughPiece Piece = DoughPieces.For(Pear, Pan23, Length.Zero)[0];

    private static readonly DoughFormula Turned = Flaky with { Id = "turned", Method = DoughMethod.Flaky with { Turns = 2, TurnRestMinutes = 30 } };

    private static DoughDemand Demand(DoughFormula dough, string label, double grams, int count, int needed) => new(dough, [$"lot-{label}"], label, Mass.FromGrams(grams), count, Piece, needed);

    private static readonly DoughDemand[][] Demands =
    [
        [Demand(Flaky, "a", 350, 12, 600), Demand(Flaky, "b", 280, 7, 540), Demand(Flaky, "c", 512.5, 3, 600)],
        [Demand(Flaky, "a", 350, 120, 600), Demand(Flaky, "b", 280, 70, 700)],
        [Demand(Flaky, "a", 350, 1, 600)],
        [Demand(Turned, "a", 350, 60, 900), Demand(Turned, "b", 35, 200, 400)],
        [Demand(Flaky, "a", 3000, 3, 600), Demand(Flaky, "b", 10, 4, 600)],
    ];

    private static readonly Mixer[] Mixers = [new("Mixer", Mass.FromKilograms(2), Mass.FromKilograms(12)), new("Bowl", Mass.FromGrams(100), Mass.FromGrams(2500))];

    [Fact]
    public void Batches_are_divided_as_approved() => Approved.Matches("Dough/batches", Demands.SelectMany(demand => Mixers.SelectMany(mixer =>
        Told.Each(DoughBatching.Divide(demand, mixer)).Prepend($"== {mixer.Name}"))));

    [Fact]
    public void Batches_are_mixed_when_it_was_approved() => Approved.Matches("Dough/mixing", Demands.SelectMany(demand => new (string What, Func<int, int, int?> Latest)[]
    {
        ("someone always there", (length, by) => by - length),
        ("a shift from 100 to 500", (length, by) => Math.Min(by, 500) - length is >= 100 and var start ? start : null),
        ("nobody", (_, _) => null),
    }.SelectMany(there => Told.Each(Mixing.Schedule(DoughBatching.Divide(demand, Mixers[1]), there.Latest, 100).Select(mixed => (mixed.Batch.Dough.Id, mixed.Batch.Number, mixed.Batch.NeededMin, mixed.Batch.MixStartMin, mixed.Batch.MixEndMin, mixed.Batch.Turns, mixed.Batch.RestStartMin, mixed.Short)))
        .Prepend($"== {there.What}"))));

    [Fact]
    public void Rests_that_are_too_long_are_told()
    {
        var brief = Flaky with { Rest = new Span(30, 40, 50) };
        Assert.Equal([1], Mixing.Schedule(DoughBatching.Divide([Demand(brief, "a", 300, 4, 600)], Mixers[0]), (length, by) => Math.Min(by, 549) - length, 0).Select(mixed => mixed.Short));
        Assert.Equal([0], Mixing.Schedule(DoughBatching.Divide([Demand(brief, "a", 300, 4, 600)], Mixers[0]), (length, by) => Math.Min(by, 550) - length, 0).Select(mixed => mixed.Short));
    }
}
