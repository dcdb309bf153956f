using Lumpet.Core.Costing;
using Lumpet.Server.Changes;
using Lumpet.Server.Faults;
using Lumpet.Store;
using Lumpet.Store.Prices;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Lumpet.Server.Costing;

/// <summary>Ways in which pies are sold, and what is to be earned in each.</summary>
internal static class ChannelEndpoints
{
    /// <summary>Adds the endpoints.</summary>
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/channels", List).WithName("GetChannels").WithSummary("The ways in which pies are sold, with their version.");
        routes.MapPut("/api/channels", State).WithName("StateChannels").WithSummary("States all channels anew; If-Match carries the version they were read with.");
    }

    private static Ok<ChannelsAnswer> List(Database database)
    {
        using var connection = database.Open();
        return TypedResults.Ok(new ChannelsAnswer(ChannelStore.Version(connection), [.. ChannelStore.All(connection).Select(Draft)]));
    }

    private static Results<NoContent, ValidationProblem, ProblemHttpResult> State(
        ChannelsRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, Database database, ChangeFeed feed)
    {
        if (RowVersion.Read(ifMatch) is not { } version) return RowVersion.Missing("list of channels");
        var (channels, faults) = ChannelReader.Read(request.Channels);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        using var transaction = database.Begin();
        if (ChannelStore.State(transaction, channels, version) == ChangeOutcome.Conflict) return RowVersion.Conflict("the channels");
        transaction.Commit();
        feed.Publish("bakery");
        return TypedResults.NoContent();
    }

    private static ChannelDraft Draft(Channel channel) =>
        new(channel.Name, channel.FoodCostShare * 100, channel.TaxShare * 100, channel.ShowsTax, channel.FeeShare * 100, channel.Step, channel.Under);
}

/// <summary>All channels.</summary>
/// <param name="Version">Their version, together.</param>
/// <param name="Channels">In their order.</param>
public sealed record ChannelsAnswer(long Version, IReadOnlyList<ChannelDraft> Channels);

/// <summary>All channels, stated anew.</summary>
/// <param name="Channels">In their order; at least one.</param>
public sealed record ChannelsRequest(IReadOnlyList<ChannelDraft?>? Channels);
