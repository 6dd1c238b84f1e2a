using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Water;

/// <summary>What the record of a vehicle gives for questions about water.</summary>
internal static class WaterEndpoints
{
    public static void MapWater(this WebApplication app) =>
        app.MapGroup("/api/vehicles/{vehicleId}").WithTags("water").AddEndpointFilter(ShellEndpoints.VehicleExists).MapGet("/wet-roof", Roof).WithName("wet-roof");

    /// <summary>The roof with its openings as dams, planned ones too: one wants to know before one cuts.</summary>
    private static Results<Ok<WetRoof>, ProblemHttpResult> Roof(string vehicleId, PanelStore panels, MemberStore members, OpeningStore openings, FittingStore fittings)
    {
        if (panels.All(vehicleId).FirstOrDefault(p => p.Value.Kind == PanelKind.Roof) is not { } roof) return Problems.NotFound("This vehicle has no roof yet. Draw it in Walkaround.");
        IEnumerable<Dam> dams = openings.All(roof.Id).Select(o => new Dam(
            o.Value.Name, fittings.Find(o.Value.FittingId)!.Value.Turned(o.Value.TurnDeg).Flange.BoxAt(o.Value.Centre), Dam.UsualStandsMm));
        return TypedResults.Ok(new WetRoof(roof.Value, [.. members.All(roof.Id).Select(m => m.Value)], [.. dams]));
    }
}
