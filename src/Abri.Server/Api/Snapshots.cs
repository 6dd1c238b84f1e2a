using System.Globalization;
using Abri.Core;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Storage;
using Abri.Storage.Record;
using Microsoft.Extensions.Primitives;

namespace Abri.Server.Api;

/// <summary>The vehicles as they stand, read once a change however many ask.</summary>
internal sealed class Snapshots(Database database, SnapshotStore store, TimeProvider clock)
{
    private readonly Kept<VehicleSnapshot?> kept = new();

    /// <summary>Tells this run of the program from others in tags: what they count, each counts for itself.</summary>
    private readonly string run = clock.GetUtcNow().Ticks.ToString("x", CultureInfo.InvariantCulture);

    /// <summary>The vehicle with everything on it, or null when it is not there.</summary>
    public Task<VehicleSnapshot?> Of(string vehicleId) => kept.Of(vehicleId, database.RevisionOf(vehicleId), () => store.Read(vehicleId));

    /// <summary>Tag of every answer that is worked out of a vehicle: what follows from it may change with the day too.</summary>
    /// <param name="vehicleId">The vehicle.</param>
    /// <param name="asked">What is asked for: some answers change with the minute.</param>
    public string Tag(string vehicleId, Endpoint? asked)
    {
        string until = asked?.Metadata.GetMetadata<ByTheMinute>() is null ? "yyyyMMdd" : "yyyyMMddHHmm";
        return $"W/\"{run}-{database.RevisionOf(vehicleId)}-{clock.GetLocalNow().ToString(until, CultureInfo.InvariantCulture)}\"";
    }
}

/// <summary>The vehicle in the address of a request, with everything on it.</summary>
/// <param name="Snapshot">The vehicle; null where it is not there, which <see cref="VehicleRoutes"/> answers.</param>
internal sealed record OfVehicle(VehicleSnapshot Snapshot)
{
    /// <summary>What is said where an opening has been removed meanwhile.</summary>
    public const string OpeningGone = "This opening has been removed.";

    /// <summary>One of its openings, or null.</summary>
    public Stored<Opening>? Opening(string id) => Snapshot.Openings.FirstOrDefault(o => o.Id == id);

    /// <summary>One of its panels, or null.</summary>
    public Stored<Panel>? Panel(string id) => Snapshot.Panels.FirstOrDefault(p => p.Id == id);

    /// <summary>Reads it for a handler that asks for it.</summary>
    public static async ValueTask<OfVehicle?> BindAsync(HttpContext context) =>
        new((await context.RequestServices.GetRequiredService<Snapshots>().Of((string)context.GetRouteValue("vehicleId")!))!);
}

/// <summary>Addresses under a vehicle.</summary>
internal static class VehicleRoutes
{
    /// <summary>The addresses under a vehicle: 404 where it is not there, 304 where nothing that is asked for has changed.</summary>
    public static RouteGroupBuilder MapVehicle(this WebApplication app, string tag) =>
        app.MapGroup("/api/vehicles/{vehicleId}").WithTags(tag).AddEndpointFilter(Exists).CacheOutput(KeptAnswers.Policy);

    private static async ValueTask<object?> Exists(EndpointFilterInvocationContext call, EndpointFilterDelegate next)
    {
        HttpContext context = call.HttpContext;
        Snapshots snapshots = context.RequestServices.GetRequiredService<Snapshots>();
        string id = (string)context.GetRouteValue("vehicleId")!;
        // Before the data is looked at: what changes meanwhile makes the next question new.
        string tag = snapshots.Tag(id, context.GetEndpoint());
        if (await snapshots.Of(id) is null)
            return Problems.NotFound("This vehicle has been removed.");
        if (!HttpMethods.IsGet(context.Request.Method))
            return await next(call);
        if (Has(context.Request.Headers.IfNoneMatch, tag))
            return TypedResults.StatusCode(StatusCodes.Status304NotModified);
        object? answer = await next(call);
        // Records have a tag of their own, their version, by which they are changed.
        if (context.Response.Headers.ETag.Count == 0 && answer is not IStatusCodeHttpResult { StatusCode: >= 400 })
            context.Response.Headers.ETag = tag;
        return answer;
    }

    private static bool Has(StringValues sent, string tag) => sent.Any(v => v is not null && v.Split(',').Any(t => t.Trim() == tag));
}
