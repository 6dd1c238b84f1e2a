using System.IO.Compression;
using Abri.Core;
using Abri.Server.Api;
using Abri.Server.Calculators;
using Abri.Server.Demo;
using Abri.Server.Devices;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Record;
using Abri.Storage.Sealing;
using Microsoft.AspNetCore.ResponseCompression;
using Serilog;
using Serilog.Events;

namespace Abri.Server;

/// <summary>Puts the application together: storage, endpoints, front end, guards.</summary>
public static class AbriApp
{
    /// <summary>Largest request body, bytes; a site with 500 members is a tenth of it.</summary>
    public const long MostBodyBytes = 2 * 1024 * 1024;

    /// <summary>Builds the application; it is not started yet.</summary>
    public static WebApplication Build(AppOptions options)
    {
        // Opened first, so that a file that cannot be used is reported before anything listens.
        var clock = new ProgramClock(options.Now);
        var asked = new HttpContextAccessor();
        var database = Database.Open(options.Folder.DatabaseFile, clock, () => DeviceUser.Of(asked.HttpContext));
        WebApplicationBuilder builder = WebApplication.CreateSlimBuilder(
            new WebApplicationOptions { ContentRootPath = AppContext.BaseDirectory, WebRootPath = WebRoot() }
        );
        builder
            .WebHost.UseKestrelCore()
            .ConfigureKestrel(kestrel =>
            {
                kestrel.Listen(System.Net.IPAddress.Loopback, options.Port);
                kestrel.Limits.MaxRequestBodySize = MostBodyBytes;
                kestrel.AddServerHeader = false;
            });
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Warning()
                .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics", LogEventLevel.Fatal)
                .WriteTo.Console(formatProvider: null)
        );
        builder.Services.ConfigureHttpJsonOptions(json => AbriJson.Applied(json.SerializerOptions));
        builder.Services.Configure<RouteHandlerOptions>(route => route.ThrowOnBadRequest = true);
        builder.Services.AddProblemDetails(Problems.Complete);
        builder.Services.AddExceptionHandler<Troubles>();
        builder.Services.AddOpenApi(OpenApiShape.Describe);
        builder.Services.AddHostFiltering(hosts => hosts.AllowedHosts = ["localhost", "127.0.0.1", "[::1]"]);
        builder.Services.AddResponseCompression(c => c.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml"]);
        builder.Services.Configure<GzipCompressionProviderOptions>(gzip => gzip.Level = CompressionLevel.Fastest);
        // Made by a factory, so that it is let go of with the application.
        builder
            .Services.AddSingleton(_ => database)
            .AddSingleton<IHttpContextAccessor>(asked)
            .AddSingleton<History>()
            .AddSingleton(clock)
            .AddSingleton<TimeProvider>(clock)
            .AddSingleton<SnapshotStore>()
            .AddSingleton<Snapshots>()
            .AddSingleton<RecordStore>()
            .AddSingleton(options.Folder)
            .AddSingleton<DeviceEndpoints.DeviceShelf>()
            .AddSingleton<DemoData>()
            .AddSingleton<KeptAnswers>();
        KeptAnswers.Add(builder.Services);
        foreach (ServerStage stage in ServerStages.All)
            stage.Add(builder.Services);

        options.Folder.Photos.RemoveParts();
        WebApplication app = builder.Build();
        app.Services.GetRequiredService<ProductStore>().AddTypicalIfEmpty();
        if (options.WithDemo)
            app.Services.GetRequiredService<DemoData>().AddIfEmpty();
        app.Services.GetRequiredService<FittingStore>().AddTypicalIfEmpty();

        app.UseMiddleware<Guards>();
        app.Use(HeadIsGetWithoutBody);
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseHostFiltering();
        app.UseRouting();
        app.UseOutputCache();
        app.UseResponseCompression();
        app.Use(KeptAnswers.WholeOnesOnly);
        app.Use(ScreensShareOnePage);
        app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = file => CacheForEver(file.Context) });
        app.MapOpenApi();
        app.MapHealth();
        app.MapCalculators();
        app.MapDevices();
        app.MapHistory();
        foreach (ServerStage stage in ServerStages.All)
            stage.Map(app);
        return app;
    }

    /// <summary>Every address that is neither the API's nor a file's is a screen of the one page.</summary>
    private static Task ScreensShareOnePage(HttpContext context, RequestDelegate next)
    {
        PathString path = context.Request.Path;
        bool other =
            path.StartsWithSegments("/api") || path.StartsWithSegments("/openapi") || path.StartsWithSegments("/health") || Path.HasExtension(path);
        if (!other && HttpMethods.IsGet(context.Request.Method))
            context.Request.Path = "/index.html";
        return next(context);
    }

    /// <summary>HEAD is answered as GET would be, without the body (RFC 9110, 9.3.2).</summary>
    private static async Task HeadIsGetWithoutBody(HttpContext context, RequestDelegate next)
    {
        if (!HttpMethods.IsHead(context.Request.Method))
        {
            await next(context);
            return;
        }
        context.Request.Method = HttpMethods.Get;
        context.Response.Body = Stream.Null;
        await next(context);
    }

    /// <summary>Built files bear the hash of what is in them: one that changed has another name.</summary>
    private static void CacheForEver(HttpContext context)
    {
        if (context.Request.Path.StartsWithSegments("/assets"))
            context.Response.Headers.CacheControl = "public, max-age=31536000, immutable";
    }

    /// <summary>The built front end beside the program, or in the source tree while developing.</summary>
    private static string WebRoot()
    {
        string beside = Path.Combine(AppContext.BaseDirectory, "wwwroot");
        return Directory.Exists(beside) ? beside : Directory.CreateDirectory(beside).FullName;
    }
}
