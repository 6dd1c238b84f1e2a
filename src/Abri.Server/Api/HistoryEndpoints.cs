using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Api;

/// <summary>Undo, redo and the list of changes; of one vehicle, of the catalogue, and of the list of vehicles.</summary>
internal static class HistoryEndpoints
{
    private const int MostShown = 200;

    public static void MapHistory(this WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("history");
        vehicle.MapGet("/changes", (string vehicleId, History history) => history.Newest(vehicleId, MostShown));
        vehicle.MapGet("/changes/{recordId}", (string vehicleId, string recordId, History history) =>
            history.OfRecord(vehicleId, recordId, MostShown)
        );
        vehicle.MapPost("/undo", (string vehicleId, History history) => Answer(history.Undo(vehicleId)));
        vehicle.MapPost("/redo", (string vehicleId, History history) => Answer(history.Redo(vehicleId)));
        app.MapPost("/api/vehicles/undo", (History history) => Answer(history.Undo(VehicleStore.ListScope))).WithTags("history");
        app.MapPost("/api/fittings/undo", (History history) => Answer(history.Undo(FittingStore.CatalogueScope))).WithTags("history");
        app.MapPost("/api/fittings/redo", (History history) => Answer(history.Redo(FittingStore.CatalogueScope))).WithTags("history");
    }

    private static Results<Ok<HistoryStep>, ProblemHttpResult> Answer(HistoryStep step) =>
        step.Conflict is { } conflict ? Problems.Answer(409, "conflict", conflict) : TypedResults.Ok(step);
}
