using Lumpet.Core.DayPlan;
using Lumpet.Core.Labels;
using Lumpet.Core.Prices;
using Lumpet.Core.Scheduling;
using Lumpet.Server.Ahead;
using Lumpet.Server.Bakery;
using Lumpet.Server.Bench;
using Lumpet.Server.Bills;
using Lumpet.Server.Buying;
using Lumpet.Server.Changes;
using Lumpet.Server.Cold;
using Lumpet.Server.Costing;
using Lumpet.Server.DayPlan;
using Lumpet.Server.Dough;
using Lumpet.Server.Faults;
using Lumpet.Server.Fillings;
using Lumpet.Server.Ingredients;
using Lumpet.Server.Labels;
using Lumpet.Server.Library;
using Lumpet.Server.Orders;
using Lumpet.Server.Pans;
using Lumpet.Server.Preparations;
using Lumpet.Server.Prices;
using Lumpet.Server.Recipes;
using Lumpet.Server.Sheets;
using Lumpet.Server.Stock;
using Lumpet.Server.Words;
using Lumpet.Solving;
using Lumpet.Store.DemoData;
using Lumpet.Store.Ingredients;
using Lumpet.Store.Recipes;
using Lumpet.Store;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.Extensions.FileProviders;
using Microsoft.Net.Http.Headers;
using System.Text.Json.Serialization;

namespace Lumpet.Server;

/// <summary>The web application.</summary>
internal static class LumpetApplication
{
    // Nothing that a person types is longer; a larger body is refused before it is read.
    private const long LargestBody = 1_000_000;

    // A file of 16 MB, and what escaping its text adds.
    private const long LargestFile = 24_000_000;

    // A price list of 64 MB in base 64.
    private const long LargestList = 90_000_000;

    /// <summary>Builds it. Settings: Data (database file), Demo (fill a new one), Web (folder of the built front end).</summary>
    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateBuilder(args);
        builder.Logging.AddFilter("Microsoft.AspNetCore", LogLevel.Warning).AddFilter("Microsoft.Hosting", LogLevel.Warning);
        builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = LargestList);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(services => Open(services.GetRequiredService<IConfiguration>(), services.GetRequiredService<BakeryClock>()));
        builder.Services.AddSingleton<IScheduleSolver, ConstraintScheduler>();
        builder.Services.AddSingleton<Planning>(services => (snapshot, effort, patience, progress) =>
            // While someone waits for an answer there is no time for a solver.
            DayPlanner.Plan(snapshot, effort, patience, progress, effort > DayPlanner.DefaultEffort ? services.GetRequiredService<IScheduleSolver>() : null));
        builder.Services.AddSingleton<PlanShelf>();
        builder.Services.AddSingleton<RecipeShelf>();
        builder.Services.AddSingleton<PriceShelf>();
        builder.Services.AddSingleton<ISupplierFeed, StandInFeed>();
        builder.Services.AddSingleton<TraceShelf>();
        builder.Services.AddSingleton<ILabelPrinter, StandInLabelPrinter>();
        builder.Services.AddSingleton<LabelPrinting>();
        builder.Services.AddSingleton<ChangeFeed>();
        builder.Services.AddSingleton<BakeryClock>();
        if (!IsGeneratingContract) builder.Services.AddHostedService<PlanWarmer>();
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<FaultHandler>();
        builder.Services.AddOpenApi("v1");
        builder.Services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = true);
        builder.Services.ConfigureHttpJsonOptions(options =>
        {
            // Otherwise the contract types every number as number or text.
            options.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            options.SerializerOptions.Converters.Add(new JsonStringEnumConverter(System.Text.Json.JsonNamingPolicy.CamelCase));
        });

        var app = builder.Build();
        // Opened before the first request, so that a broken file is said at the start.
        if (!IsGeneratingContract) app.Services.GetRequiredService<Database>();
        app.Use(AddHeaders);
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.Use(RefuseBodies);
        Map(app);
        ServeFrontEnd(app);
        return app;
    }

    private static bool IsGeneratingContract =>
        System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    private static void Map(WebApplication app)
    {
        app.MapGet("/healthz", () => TypedResults.Text("ok")).ExcludeFromDescription();
        app.MapOpenApi("/api/openapi.json");
        OverviewEndpoints.Map(app);
        WordEndpoints.Map(app);
        ShelvingEndpoints.Map(app);
        DemoEndpoints.Map(app);
        BakeryDraftEndpoints.Map(app);
        ChangeEndpoints.Map(app);
        OrderEndpoints.Map(app);
        OrderFileEndpoints.Map(app);
        StandingOrderEndpoints.Map(app);
        MarginEndpoints.Map(app);
        PlanEndpoints.Map(app);
        DoughEndpoints.Map(app);
        FillingEndpoints.Map(app);
        CoolingEndpoints.Map(app);
        BenchEndpoints.Map(app);
        SheetEndpoints.Map(app);
        RecipeEndpoints.Map(app);
        WritingEndpoints.Map(app);
        SchoolEndpoints.Map(app);
        DoughWritingEndpoints.Map(app);
        VersionEndpoints.Map(app);
        PanEndpoints.Map(app);
        LibraryEndpoints.Map(app);
        IngredientEndpoints.Map(app);
        PriceEndpoints.Map(app);
        PriceListEndpoints.Map(app);
        CostEndpoints.Map(app);
        DriverEndpoints.Map(app);
        BillEndpoints.Map(app);
        RunEndpoints.Map(app);
        BesideEndpoints.Map(app);
        ChannelEndpoints.Map(app);
        PreparationEndpoints.Map(app);
        WayEndpoints.Map(app);
        StockEndpoints.Map(app);
        ShelfEndpoints.Map(app);
        LotEndpoints.Map(app);
        BatchEndpoints.Map(app);
        TraceEndpoints.Map(app);
        LabelEndpoints.Map(app);
        BuyingEndpoints.Map(app);
        PurchaseEndpoints.Map(app);
        ColdEndpoints.Map(app);
        AheadEndpoints.Map(app);
        PublishEndpoints.Map(app);
        app.MapFallback("/api/{**rest}", () => TypedResults.Problem(title: "There is nothing at this address.", statusCode: 404)).ExcludeFromDescription();
    }

    private static Database Open(IConfiguration configuration, BakeryClock clock)
    {
        var database = new Database(configuration["Data"] ?? throw new InvalidOperationException("The setting Data names the database file; it is missing."));
        database.Migrate();
        IngredientWriter.AddShipped(database);
        RecipeVersions.KeepThoseInUse(database, clock.Now);
        // Filled whenever there is no bakery yet, not only into a new file: a first start that was cut short is made good.
        if (configuration.GetValue<bool>("Demo"))
            DemoBakery.Fill(database, clock.MachineZone, clock.LocalNow(clock.MachineZone));
        return database;
    }

    /// <summary>Set as the answer begins, so that those that say what went wrong carry them too.</summary>
    private static Task AddHeaders(HttpContext context, RequestDelegate next)
    {
        context.Response.OnStarting(() =>
        {
            var headers = context.Response.Headers;
            headers.ContentSecurityPolicy = "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'";
            headers.XContentTypeOptions = "nosniff";
            if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal)) headers.CacheControl = "no-store";
            return Task.CompletedTask;
        });
        return next(context);
    }

    private static Task RefuseBodies(HttpContext context, RequestDelegate next)
    {
        if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal) && HasBody(context.Request) && !IsJson(context.Request.ContentType))
            throw new BadHttpRequestException("A body of another kind.", StatusCodes.Status415UnsupportedMediaType);
        // Said before the body is read; Kestrel is told the same limit for bodies that do not tell their length.
        var largest = LargestOf(context.Request.Path);
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit) limit.MaxRequestBodySize = largest;
        return context.Request.ContentLength > largest
            ? throw new BadHttpRequestException("The request is too large.", StatusCodes.Status413PayloadTooLarge)
            : next(context);
    }

    private static long LargestOf(PathString path) =>
        path.StartsWithSegments("/api/prices/list", StringComparison.Ordinal) ? LargestList : path.StartsWithSegments("/api/library", StringComparison.Ordinal) ? LargestFile : LargestBody;

    private static bool HasBody(HttpRequest request) => request.ContentLength > 0 || request.ContentType is not null || request.Headers.TransferEncoding.Count > 0;

    /// <summary>JSON is UTF-8 (RFC 8259, section 8.1); a reader asked for another alphabet would stumble over a name it does not know.</summary>
    private static bool IsJson(string? contentType) =>
        MediaTypeHeaderValue.TryParse(contentType, out var type) && type.MediaType.Equals("application/json", StringComparison.OrdinalIgnoreCase)
        && (!type.Charset.HasValue || HeaderUtilities.RemoveQuotes(type.Charset).Equals("utf-8", StringComparison.OrdinalIgnoreCase));

    private static void ServeFrontEnd(WebApplication app)
    {
        if (app.Configuration["Web"] is not { Length: > 0 } folder || !Directory.Exists(folder)) return;
        var files = new PhysicalFileProvider(Path.GetFullPath(folder));
        app.UseDefaultFiles(new DefaultFilesOptions { FileProvider = files });
        app.UseStaticFiles(new StaticFileOptions { FileProvider = files });
    }
}
