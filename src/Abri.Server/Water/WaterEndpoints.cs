using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Water;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Water;

/// <summary>What bears on water: kept with the panels, and what follows from it.</summary>
internal static class WaterEndpoints
{
    public static void MapWater(this WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("water");
        vehicle.MapGet("/wet-roof", Roof).WithName("wet-roof");
        vehicle.MapGet("/wet-roof/mends", Mends).WithName("wet-roof-mends");
        vehicle.MapGet("/drying", (OfVehicle of) => WetVehicle.Drying(of.Snapshot)).WithName("drying-places");
        vehicle.MapGet("/leaks", Leaks).WithName("leak-hunt");
        vehicle.MapOnPanel<Suspect, SuspectStore>("suspect", WaterCheck.Of);
        vehicle.MapOnPanel<Observation, ObservationStore>("observation", WaterCheck.Of);
        vehicle.MapOnPanel<SealReading, SealReadingStore>("seal-reading", WaterCheck.Of);
        vehicle.MapOnPanel<Drain, DrainStore>("drain", WaterCheck.Of);
        vehicle.MapOnPanel<Covering, CoveringStore>("covering", WaterCheck.Of);
        vehicle
            .MapPost("/leak-priors", (string vehicleId, LeakPrior value, HttpContext context, LeakPriorStore store) =>
                RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<LeakPrior>()
            .WithName("leak-prior-add");
        vehicle
            .MapGroup("/leak-priors/{id}")
            .MapRecord<LeakPrior, LeakPriorStore>(
                "leak-prior",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, _) => null
            );
        app.MapGet("/api/leak-priors", () => LeakPriors.Usual).WithTags("water").WithName("leak-prior-usual");
    }

    private static Results<Ok<WetRoof>, ProblemHttpResult> Roof(OfVehicle of) =>
        WetVehicle.Roof(of.Snapshot) is { } roof ? TypedResults.Ok(roof) : NoRoof();

    private static Results<Ok<Worked<MendsOfRoof>>, ProblemHttpResult> Mends(OfVehicle of, double pitchDeg, double rollDeg, CancellationToken stop)
    {
        var attitude = new Attitude(pitchDeg, rollDeg);
        if (DeclaredRanges.Of(attitude) is { } range)
            return Problems.Bad(range);
        if (WetVehicle.Roof(of.Snapshot) is not { } roof)
            return NoRoof();
        return WetVehicle.Mends(of.Snapshot, roof, attitude, stop).IsOk(out Worked<MendsOfRoof>? worked, out Problem? problem)
            ? TypedResults.Ok(worked)
            : Problems.Of(problem);
    }

    /// <summary>The search for a leak: about one mark, about all of them, or about the one that waits first where nobody says.</summary>
    private static Results<Ok<Worked<LeakHunt>>, ProblemHttpResult> Leaks(OfVehicle of, string? mark, bool? all, CancellationToken stop)
    {
        WetShell shell = WetVehicle.Shell(of.Snapshot);
        Result<Worked<LeakHunt>> found = mark is null && all != true ? LeakHunt.OfFirst(shell, stop) : LeakHunt.Of(shell, mark, stop);
        return found.IsOk(out Worked<LeakHunt>? hunt, out Problem? problem) ? TypedResults.Ok(hunt) : Problems.Of(problem);
    }

    private static ProblemHttpResult NoRoof() => Problems.NotFound("This vehicle has no roof yet. Draw it in Walkaround.");
}
