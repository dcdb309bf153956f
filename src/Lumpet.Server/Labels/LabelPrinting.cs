using Lumpet.Core.Labels;
using Lumpet.Core.Orders;
using Lumpet.Core.Recipes;
using Lumpet.Server.Bakery;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Server.Recipes;
using Lumpet.Store;
using Lumpet.Store.Labels;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Labels;

/// <summary>
/// Prints labels, one job after the other. They are noted first and printed then: should anything end in between, the books know of labels
/// that are not there, and never the other way round, as whoever calls pies back has to know every label.
/// </summary>
/// <param name="database">Where they are noted.</param>
/// <param name="clock">The bakery's clock.</param>
/// <param name="feed">Tells others of it.</param>
/// <param name="recipes">What is printed.</param>
/// <param name="printer">The printer.</param>
internal sealed class LabelPrinting(Database database, BakeryClock clock, ChangeFeed feed, RecipeShelf recipes, ILabelPrinter printer) : IDisposable
{
    // Whoever stands at the printer sees by then that nothing comes.
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(5);

    // A printer does one thing at a time; a second tap waits for what became of the first.
    private readonly SemaphoreSlim turn = new(1);

    /// <inheritdoc/>
    public void Dispose() => turn.Dispose();

    /// <summary>Prints labels, all of them or none; once under one key.</summary>
    /// <param name="product">Id of the product.</param>
    /// <param name="pan">Id of the pan.</param>
    /// <param name="request">What was seen, and how many.</param>
    /// <param name="copies">How many.</param>
    /// <param name="key">The key; may be null.</param>
    /// <param name="waiting">Ends when whoever asks is gone.</param>
    public async Task<Results<Ok<PrintedLabelAnswer>, ValidationProblem, ProblemHttpResult>> PrintAsync(
        string product, string pan, PrintLabelsRequest request, int copies, string? key, CancellationToken waiting)
    {
        await turn.WaitAsync(waiting);
        try
        {
            var once = OnceOnly.Of("labels", key, request);
            var (noted, label, answered) = Note(product, pan, request, copies, once);
            if (noted is null) return answered!;
            var (isNothingPrinted, why) = await AnswerOf(label!, copies, waiting);
            if (why.Length == 0) return TypedResults.Ok(noted);
            database.Write(transaction =>
            {
                if (isNothingPrinted) LabelStore.NoteNotPrinted(transaction, noted.Number, why);
                once.Forget(transaction);
                return true;
            });
            feed.Publish("stock");
            return TypedResults.Problem(title: why, statusCode: StatusCodes.Status409Conflict);
        }
        finally
        {
            turn.Release();
        }
    }

    /// <summary>Notes the labels, or says why there are none to print.</summary>
    private (PrintedLabelAnswer? Noted, PieLabel? Label, Results<Ok<PrintedLabelAnswer>, ValidationProblem, ProblemHttpResult>? Answered) Note(
        string product, string pan, PrintLabelsRequest request, int copies, OnceOnly once)
    {
        IReadOnlyList<Product> products;
        // Before a change begins only what is kept may be asked of a shelf.
        using (var reading = database.Open()) products = recipes.Products(reading);
        using var transaction = database.Begin();
        var (before, reused) = once.Answered<PrintedLabelAnswer>(transaction);
        if (reused is not null) return (null, null, reused);
        if (before is not null) return (null, null, TypedResults.Ok(before));
        var (page, refused, nothing) = LabelPage.Open(transaction.Connection, product, pan, request, clock, products);
        if (page is null) return (null, null, nothing is not null ? nothing : refused!);
        if (request.Lines is not { } seen || !page.Label.Lines.SequenceEqual(seen.OfType<string>())) return (null, null, FieldProblems.Of(("lines", "The label is another one now. Look at it again before it is printed.")));
        if (page.InTheWay.Count > 0 && request.EvenSo != true) return (null, null, FieldProblems.Of(("evenSo", $"{string.Join(' ', page.InTheWay)} Say that it is to be printed even so.")));
        var number = LabelStore.Note(transaction, clock.Now, product, pan, page.Lot?.Id, copies, string.Join('\n', page.Label.Lines));
        var noted = new PrintedLabelAnswer(number, PickUpText.Said.Format(clock.LocalNow(page.Zone)), copies, page.Label.Lines);
        once.Remember(transaction, noted, clock.Now);
        transaction.Commit();
        feed.Publish("stock");
        return (noted, page.Label, null);
    }

    /// <summary>What the printer says: whether it has surely printed nothing, and why; no reason where all is printed.</summary>
    private async Task<(bool IsNothingPrinted, string Why)> AnswerOf(PieLabel label, int copies, CancellationToken waiting)
    {
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(waiting);
        patience.CancelAfter(Patience);
        try
        {
            return (true, await printer.PrintAsync(label, copies, patience.Token));
        }
        catch (OperationCanceledException) when (!waiting.IsCancellationRequested)
        {
            return (false, "The label printer does not answer. The books count these labels as printed: look whether it has printed them before you send them again.");
        }
    }
}
