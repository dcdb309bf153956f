using Lumpet.Core.DayPlan;
using Lumpet.Server.Bakery;
using Lumpet.Store.DayPlan;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Microsoft.Data.Sqlite;
using NodaTime;

namespace Lumpet.Server.DayPlan;

/// <summary>The plan that a crew works by, beside the day as it is now.</summary>
/// <param name="Publication">The plan as it was published.</param>
/// <param name="IsSame">Whether the day asks for what it asked for then, and all that should have begun has: then that plan is the plan.</param>
/// <param name="Anew">What is left of the day now, around what was begun; null while nothing has.</param>
/// <param name="At">The minute from which on it is planned anew.</param>
internal sealed record FollowedPlan(StoredPublication Publication, bool IsSame, DayBook? Anew, Instant At)
{
    // What is planned anew begins at whole steps, so that it can be kept meanwhile.
    private const int NowStepMin = 5;

    /// <summary>A day as its crew's plan has it: that plan, where nothing has changed since, or what is left around what it has begun.</summary>
    /// <param name="connection">Where it is read.</param>
    /// <param name="book">The day by itself.</param>
    /// <param name="now">Now.</param>
    public static DayBook Of(SqliteConnection connection, DayBook book, Instant now)
    {
        if (PublishedPlanStore.Followed(connection, book.Day) is not { } publication) return book;
        var asked = publication.From is { } from && PublishedPlanStore.Find(connection, book.Day, from.Number) is { } before
            ? GoneOn(connection, book, before, from.At, from.NotDone.ToHashSet(), from.LongerMin)
            : book;
        var isSame = asked.Fingerprint == publication.Fingerprint && publication.NotDone.Count + publication.LongerMin.Count == 0;
        var at = book.Clock.InstantAt((book.Clock.MinuteOf(now) + NowStepMin) / NowStepMin * NowStepMin);
        var isBegun = publication.Start + Duration.FromMinutes(publication.Work.Tasks.Select(task => task.Task.StartMin).DefaultIfEmpty(int.MaxValue / 4).Min()) < at;
        var anew = isBegun ? GoneOn(connection, book, publication, at, publication.NotDone, publication.LongerMin) : null;
        var followed = new FollowedPlan(publication, isSame, anew is null ? null : anew with { Followed = new FollowedPlan(publication, false, null, at) }, at);
        return isSame ? asked with { Followed = followed } : followed.Anew ?? book with { Followed = followed };
    }

    /// <summary>What is left of a day when a plan has been followed up to an instant.</summary>
    private static DayBook GoneOn(SqliteConnection connection, DayBook book, StoredPublication publication, Instant at, IReadOnlySet<string> notDone, IReadOnlyDictionary<string, int> longerMin)
    {
        var products = RecipeStore.Products(connection, [.. publication.Work.Pies.Select(pies => pies.ProductId).Concat(publication.Work.Trays.Select(tray => tray.ProductId).OfType<string>()).Distinct()])
            .ToDictionary(product => product.Id, book.Arrangement.Applied);
        var made = IngredientStore.All(connection).Values.Where(one => one.Formula?.How is not null).ToDictionary(one => one.Id);
        var onItsClock = (int)(at - publication.Start).TotalMinutes;
        var begun = BegunWork.At(publication.Work.Taking(longerMin), onItsClock, notDone, new RecipesThere(products, made), ($"b{publication.Number}", Days.Iso(book.Day)))
            .From(-book.Clock.MinuteOf(publication.Start));
        var left = book.At(book.Clock.MinuteOf(at), begun, made);
        return left with { Library = LibraryStamps.Of(connection, [.. book.Products, .. products.Values], left.MadeThere.Values) };
    }
}
