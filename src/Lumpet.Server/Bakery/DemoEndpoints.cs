using Lumpet.Server.Changes;
using Lumpet.Store;
using Lumpet.Store.DemoData;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Bakery;

/// <summary>A look round: the demo bakery in a database in which there is none yet.</summary>
internal static class DemoEndpoints
{
    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapPost("/api/demo", Fill).WithName("LookRoundADemo").WithSummary("Puts the made-up demo bakery in, where no bakery is described yet.");

    private static Results<NoContent, ProblemHttpResult> Fill(Database database, BakeryClock clock, ChangeFeed feed)
    {
        if (!DemoBakery.Fill(database, clock.MachineZone, clock.LocalNow(clock.MachineZone)))
            return TypedResults.Problem(title: "There is a bakery in this database already. A demo is only put into an empty one.", statusCode: 409);
        feed.Publish("bakery");
        return TypedResults.NoContent();
    }
}
