using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Server.Api;
using Abri.Server.Calculators;
using Abri.Server.Openings;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Abri.Storage.Water;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Water;

/// <summary>What bears on water: kept with the panels, and what follows from it.</summary>
internal static class WaterEndpoints
{
    public static void MapWater(this WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapGroup("/api/vehicles/{vehicleId}").WithTags("water").AddEndpointFilter(ShellEndpoints.VehicleExists);
        vehicle.MapGet("/wet-roof", Roof).WithName("wet-roof");
        vehicle.MapGet("/wet-roof/mends", Mends).WithName("wet-roof-mends");
        vehicle.MapGet("/leaks", Leaks).WithName("leak-hunt");
        vehicle.MapOnPanel<Suspect, SuspectStore>("suspect", WaterCheck.Of);
        vehicle.MapOnPanel<Observation, ObservationStore>("observation", WaterCheck.Of);
        vehicle.MapOnPanel<SealReading, SealReadingStore>("seal-reading", WaterCheck.Of);
        vehicle.MapOnPanel<Drain, DrainStore>("drain", WaterCheck.Of);
        vehicle.MapOnPanel<Covering, CoveringStore>("covering", WaterCheck.Of);
        vehicle.MapPost("/leak-priors", (string vehicleId, LeakPrior value, HttpContext context, LeakPriorStore store) => RecordEndpoints.Answer(context, store.Add(vehicleId, value)))
            .Validate<LeakPrior>().WithName("leak-prior-add");
        vehicle.MapGroup("/leak-priors/{id}").MapRecord<LeakPrior, LeakPriorStore>("leak-prior", (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)), (_, _, _) => null);
        app.MapGet("/api/leak-priors", () => LeakPriors.Usual).WithTags("water").WithName("leak-prior-usual");
    }

    /// <summary>The roof with its openings as dams, planned ones too: one wants to know before one cuts.</summary>
    private static Results<Ok<WetRoof>, ProblemHttpResult> Roof(string vehicleId, PanelStore panels, MemberStore members, OpeningStore openings, FittingStore fittings)
    {
        if (panels.All(vehicleId).FirstOrDefault(p => p.Value.Kind == PanelKind.Roof) is not { } roof) return Problems.NotFound("This vehicle has no roof yet. Draw it in Walkaround.");
        IEnumerable<Dam> dams = Named(openings.All(roof.Id)).Select(o => new Dam(
            o.Name, fittings.Find(o.Row.Value.FittingId)!.Value.Turned(o.Row.Value.TurnDeg).Flange.BoxAt(o.Row.Value.Centre), Dam.UsualStandsMm));
        return TypedResults.Ok(new WetRoof(roof.Value, [.. members.All(roof.Id).Select(m => m.Value)], [.. dams]));
    }

    /// <summary>Openings with names that tell them apart: the second of one name is called (2).</summary>
    private static IEnumerable<(Stored<Opening> Row, string Name)> Named(IReadOnlyList<Stored<Opening>> rows) => rows.Select((row, i) =>
        (row, rows.Take(i).Count(r => r.Value.Name == row.Value.Name) is > 0 and var before ? $"{row.Value.Name} ({before + 1})" : row.Value.Name));

    /// <summary>What keeps standing water from what stands on the roof: openings that are only planned may go elsewhere.</summary>
    private static Results<Ok<Worked<MendsOfRoof>>, ProblemHttpResult> Mends(
        string vehicleId, double pitchDeg, double rollDeg, VehicleStore vehicles, PanelStore panels, MemberStore members, OpeningStore openings, FittingStore fittings, StoredSites sites, CancellationToken stop)
    {
        var attitude = new Attitude(pitchDeg, rollDeg);
        if (!new AttitudeValidator().Validate(attitude).IsValid) return Problems.BadRequest("out-of-range", "Pitch and roll must lie between -20 and 20 degrees.", "/pitchDeg");
        if (Roof(vehicleId, panels, members, openings, fittings).Result is not Ok<WetRoof> { Value: { } roof }) return Problems.NotFound("This vehicle has no roof yet. Draw it in Walkaround.");
        string roofId = panels.All(vehicleId).First(p => p.Value.Kind == PanelKind.Roof).Id;
        var places = new List<OtherPlace>();
        foreach ((Stored<Opening> row, string name) in Named(openings.All(roofId)).Where(o => o.Row.Value.State == OpeningState.Planned))
        {
            Site site = sites.Of(row);
            int across = (row.Value.TurnDeg + 90) % 360;
            foreach (int turn in site.Fitting.Flange.WidthMm == site.Fitting.Flange.HeightMm ? [row.Value.TurnDeg] : new[] { row.Value.TurnDeg, across })
            {
                if (RankedPositions.Of(site with { TurnDeg = turn }, [new Wish(WishKind.BayCentre)], stop).Value is not { Result.Positions: var found }) continue;
                string turned = turn == across ? " and turn it by a quarter" : "";
                places.AddRange(found.Take(5).Select(p => new OtherPlace(
                    name, $"Move it to position {p.Rank}{(p.Bay is null ? "" : $" in bay {p.Bay}")}{turned}.", site.Fitting.Flange.Turned(turn).BoxAt(p.Centre))));
            }
        }
        Vehicle vehicle = vehicles.Find(vehicleId)!.Value;
        Result<Worked<MendsOfRoof>> mends = PondingMends.Of(roof, attitude, [.. places.Take(PondingMends.MostPlaces)], new LengthFormat(vehicle.Units, vehicle.InchDenominator), stop);
        return mends.IsOk(out Worked<MendsOfRoof>? worked, out Core.Problem? problem) ? TypedResults.Ok(worked) : Problems.Of(problem);
    }

    /// <summary>The search for a leak: about one mark, about all of them, or about the one that waits first where nobody says.</summary>
    private static Results<Ok<Worked<LeakHunt>>, ProblemHttpResult> Leaks(
        string vehicleId, string? mark, bool? all, VehicleStore vehicles, PanelStore panels, MemberStore members, FindingStore findings, OpeningStore openings, FittingStore fittings, WaterStores water, LeakPriorStore priors, CancellationToken stop)
    {
        WetPanel[] wet =
        [
            .. panels.All(vehicleId).Select(p =>
            {
                var kept = water.OfPanel(p.Id);
                IEnumerable<CutOpening> cut = openings.All(p.Id).Where(o => o.Value.State != OpeningState.Planned).Select(o =>
                {
                    Fitting fitting = fittings.Find(o.Value.FittingId)!.Value.Turned(o.Value.TurnDeg);
                    return new CutOpening(o.Value.Name, fitting.Flange.BoxAt(o.Value.Centre), o.Value.State == OpeningState.Fitted, fitting.Clamp is not null);
                });
                return new WetPanel(
                    p.Id, p.Value, [.. members.All(p.Id).Select(m => m.Value)], [.. findings.All(p.Id).Select(f => f.Value)], [.. cut], kept.Suspects, kept.Observations, kept.SealReadings, kept.Drains, kept.Coverings);
            }),
        ];
        var shell = new WetShell(wet, vehicles.Find(vehicleId)!.Value.Attitude ?? new Attitude(0, 0), [.. priors.All(vehicleId).Select(p => p.Value)]);
        return (mark is null && all != true ? LeakHunt.OfFirst(shell, stop) : LeakHunt.Of(shell, mark, stop)).IsOk(out Worked<LeakHunt>? hunt, out Core.Problem? problem) ? TypedResults.Ok(hunt) : Problems.Of(problem);
    }
}
