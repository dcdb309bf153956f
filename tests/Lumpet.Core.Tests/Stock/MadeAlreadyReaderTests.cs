using Lumpet.Core.Ingredients;
using Lumpet.Core.Measures;
using Lumpet.Core.Preparations;
using Lumpet.Core.Stock;
using Lumpet.Core.Tests.DayPlan;
using NodaTime;
using Xunit;
using static Lumpet.Core.Tests.TestBakery;

namespace Lumpet.Core.Tests.Stock;

/// <summary>What is made already, as people describe it.</summary>
public sealed class MadeAlreadyReaderTests
{
    private static readonly LocalDateTime Now = new(2026, 11, 25, 9, 0);

    private static readonly Ingredient Shells = MadeFirstTests.Curd with
    {
        Id = "shells",
        Name = "Shells",
        Formula = MadeFirstTests.Curd.Formula! with { How = MadeFirstTests.Curd.Formula.How! with { Piece = Mass.FromGrams(24) } },
    };

    private static readonly Dictionary<string, Ingredient> Ingredients =
        new[] { MadeFirstTests.Curd, Shells, Flaky.AsIngredient(), Ingredient("flour") }.ToDictionary(one => one.Id);

    private static readonly MadeAlreadyDraft Dough = new("dough:flaky", 6.1, null, null, null, null, null, "cold", "2026-11-25T06:00", " two boxes ");

    private static readonly MadeAlreadyDraft Pies = new(null, null, null, "pear", "23", 9, "fill", "cold", "2026-11-25T08:59");

    private static (MadeAlready? Entry, IReadOnlyList<FieldFault> Faults) Read(MadeAlreadyDraft draft) => MadeAlreadyReader.Read(draft, Ingredients, Products, Now);

    [Fact]
    public void Doughs_pieces_and_pies_are_read_and_written_back()
    {
        var at = new LocalDateTime(2026, 11, 25, 6, 0);
        Assert.Equal(new MadeMass("dough:flaky", Mass.FromKilograms(6.1), KeepPlace.Cold, at, "two boxes"), Read(Dough).Entry);
        var shells = Dough with { Made = "shells", Kilograms = null, Pieces = 30 };
        Assert.Equal(new MadeMass("shells", Mass.FromGrams(720), KeepPlace.Cold, at, "two boxes"), Read(shells).Entry);
        Assert.Equal(new MadePies("pear", "23", 9, "fill", KeepPlace.Cold, new LocalDateTime(2026, 11, 25, 8, 59), string.Empty), Read(Pies).Entry);
        foreach (var draft in new[] { Dough, shells, Pies })
        {
            Assert.Empty(Read(draft).Faults);
            Assert.Equal(draft with { Note = draft.Note?.Trim() ?? string.Empty }, MadeAlreadyReader.Write(Read(draft).Entry!, Ingredients));
        }
    }

    public static TheoryData<MadeAlreadyDraft, string, string> Wrong => new()
    {
        { Dough with { Made = "flour" }, "made", "Say what it is" },
        { Dough with { Made = null }, "made", "Say what it is" },
        { Dough with { Kilograms = null }, "kilograms", "0.01 to 2000 kg" },
        { Dough with { Kilograms = 2000.5 }, "kilograms", "0.01 to 2000 kg" },
        { Dough with { Kilograms = double.NaN }, "kilograms", "0.01 to 2000 kg" },
        { Dough with { Made = "shells", Pieces = 0 }, "pieces", "1 to 2000 pieces" },
        { Dough with { Made = "shells" }, "pieces", "1 to 2000 pieces" },
        { Dough with { Place = "room" }, "place", "Flaky does not keep at room temperature" },
        { Dough with { Made = "curd", Place = "frozen" }, "place", "curd does not keep in the freezer, as its recipe says; it keeps in the fridge." },
        { Dough with { Place = "cellar" }, "place", "This is one of" },
        { Dough with { MadeAt = "2026-11-25T09:01" }, "madeAt", "has not come yet" },
        { Dough with { MadeAt = "2025-11-24T08:59" }, "madeAt", "366 days ago at most" },
        { Dough with { MadeAt = "yesterday" }, "madeAt", "A date and a clock time" },
        { Dough with { MadeAt = null }, "madeAt", "A date and a clock time" },
        { Dough with { Note = new string('x', 81) }, "note", "up to 80 characters" },
        { Pies with { Product = "cake" }, "product", "There is no product" },
        { Pies with { Pan = "99" }, "pan", "not made in" },
        { Pies with { Pies = 0 }, "pies", "1 to 2000 pies" },
        { Pies with { Pies = null }, "pies", "1 to 2000 pies" },
        { Pies with { After = "prepare" }, "after", "Say what is done on them already: \"line\", \"fill\", \"bake\", \"box\"." },
        { Pies with { After = null }, "after", "Say what is done" },
        { Pies with { Place = "frozen" }, "place", "Pies that are frozen" },
        { Pies with { Made = "dough:flaky" }, "made", "say one of the two" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_is_wrong_is_said_at_its_field(MadeAlreadyDraft draft, string field, string words)
    {
        var fault = Assert.Single(Read(draft).Faults);
        Assert.Equal(field, fault.Field);
        Assert.Contains(words, fault.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void The_bounds_themselves_are_taken()
    {
        foreach (var draft in new[] { Dough with { Kilograms = 0.01 }, Dough with { Kilograms = 2000 }, Dough with { MadeAt = "2026-11-25T09:00" }, Dough with { MadeAt = "2025-11-24T09:00" }, Pies with { Pies = 2000 }, Pies with { Place = "room" }, Pies with { After = "box" } })
            Assert.Empty(Read(draft).Faults);
    }

    [Fact]
    public void How_long_it_is_good_for_follows_from_its_recipe()
    {
        // Flaky rests 60 min at least and 2880 at most.
        Assert.Equal(new MadeKeeps(60, 2880, 0), MadeKeeps.Of(Ingredients["dough:flaky"], KeepPlace.Cold));
        Assert.Null(MadeKeeps.Of(Ingredients["dough:flaky"], KeepPlace.Room));
        Assert.Null(MadeKeeps.Of(Ingredients["flour"], KeepPlace.Cold));
        var frozen = MadeFirstTests.Curd with
        {
            Formula = MadeFirstTests.Curd.Formula! with { How = MadeFirstTests.Curd.Formula.How! with { Keeping = MadeFirstTests.Curd.Formula.How.Keeping with { Elsewhere = [new KeptIn(KeepPlace.Frozen, 60, 10000)], ThawMin = 300 } } },
        };
        // What thaws is taken out before it has been there for too long.
        Assert.Equal(new MadeKeeps(60, 10300, 300), MadeKeeps.Of(frozen, KeepPlace.Frozen));
        Assert.Equal(new MadeKeeps(0, 5760, 0), MadeKeeps.Of(frozen, KeepPlace.Cold));
        Assert.Equal(new MadeKeeps(0, 1440, 0), MadeKeeps.Of(Pear, "23", "bake"));
        Assert.Null(MadeKeeps.Of(Pear, "23", "prepare"));
        Assert.Null(MadeKeeps.Of(Pear, "99", "bake"));
    }
}
