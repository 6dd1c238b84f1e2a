using Abri.Core;
using Abri.Core.Openings;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Openings;

/// <summary>The catalogue of fittings, and the openings of a vehicle.</summary>
internal static class OpeningEndpoints
{
    public static void MapOpenings(this WebApplication app)
    {
        RouteGroupBuilder fittings = app.MapGroup("/api/fittings").WithTags("openings");
        fittings.MapGet("/", (FittingStore store) => store.All()).WithName("fitting-list");
        fittings.MapPost("/", Results<Ok<Stored<Fitting>>, ProblemHttpResult> (Fitting value, HttpContext context, FittingStore store) =>
            FittingCheck.Of(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(null, value)))
            .Validate<Fitting>().WithName("fitting-add");
        fittings.MapGroup("/{id}").MapRecord<Fitting, FittingStore>("fitting", (_, store, id) => store.Find(id), (_, _, value) => FittingCheck.Of(value));

        RouteGroupBuilder vehicle = app.MapGroup("/api/vehicles/{vehicleId}").WithTags("openings").AddEndpointFilter(ShellEndpoints.VehicleExists);
        vehicle.MapPost("/panels/{panelId}/openings", Add).Validate<Opening>().WithName("opening-add");
        vehicle.MapGroup("/openings/{id}").MapRecord<Opening, OpeningStore>(
            "opening", (context, store, id) => ShellEndpoints.OnOwnPanel(context, store.Find(id)), (context, row, value) => Check(context, row.OwnerId!, value));
        vehicle.MapSheets();
    }

    private static Results<Ok<Stored<Opening>>, ProblemHttpResult> Add(string vehicleId, string panelId, Opening value, HttpContext context, PanelStore panels, OpeningStore store)
    {
        if (panels.Find(panelId)?.OwnerId != vehicleId) return Problems.NotFound("This panel is not there any more.");
        return Check(context, panelId, value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(panelId, value));
    }

    private static Problem? Check(HttpContext context, string panelId, Opening value)
    {
        if (context.RequestServices.GetRequiredService<FittingStore>().Find(value.FittingId) is null)
            return new Problem("fitting-unknown", "/fittingId", "This fitting is not in the catalogue any more. Choose another.");
        return OpeningCheck.Of(ShellEndpoints.PanelOf(context, panelId), value);
    }
}
