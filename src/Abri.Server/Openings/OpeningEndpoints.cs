using System.Text;
using Abri.Core;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange;
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
        fittings.MapGet("/typical", () => TypicalFittings.All).WithName("fitting-typical");
        fittings
            .MapPost("/", Results<Ok<Stored<Fitting>>, ProblemHttpResult> (Fitting value, HttpContext context, FittingStore store) =>
                FittingCheck.Of(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(null, value))
            )
            .Validate<Fitting>()
            .WithName("fitting-add");
        fittings
            .MapGroup("/{id}")
            .MapRecord<Fitting, FittingStore>("fitting", (_, store, id) => store.Find(id), (_, _, value) => FittingCheck.Of(value));

        RouteGroupBuilder vehicle = app.MapVehicle("openings");
        vehicle.MapGet("/openings", (OfVehicle of) => OpeningList.Of(of.Snapshot)).WithName("opening-list");
        vehicle.MapGet("/openings.csv", Csv).WithName("opening-csv");
        vehicle.MapGet("/air", Air).WithName("vehicle-air");
        vehicle.MapGet("/openings/{id}/site", StoredSite).WithName("opening-site");
        vehicle.MapPost("/panels/{panelId}/site", DraftSite).Validate<Opening>().WithName("opening-draft-site");
        vehicle.MapPost("/panels/{panelId}/openings", Add).Validate<Opening>().WithName("opening-add");
        vehicle
            .MapGroup("/openings/{id}")
            .MapRecord<Opening, OpeningStore>(
                "opening",
                (context, store, id) => ShellEndpoints.OnOwnPanel(context, store.Find(id)),
                (context, row, value) => Check(context, row.OwnerId!, value)
            );
        vehicle.MapPost("/panels/{panelId}/openings/move", Move).Validate<OpeningMoves>().WithName("openings-move");
        vehicle
            .MapPost("/panels/{panelId}/openings/together", OpeningsTogether.Places)
            .Validate<OpeningsTogether>()
            .WithName("openings-together-places");
        vehicle.MapSheets();
    }

    /// <summary>What decides about the place of an opening: what the calculators of openings are asked with.</summary>
    private static Results<Ok<Site>, ProblemHttpResult> StoredSite(string id, OfVehicle of) =>
        of.Opening(id) is { } row ? TypedResults.Ok(OpeningSites.Of(of.Snapshot, row)) : Problems.NotFound(OfVehicle.OpeningGone);

    /// <summary>The same for an opening that is only thought of.</summary>
    private static Results<Ok<Site>, ProblemHttpResult> DraftSite(string panelId, Opening value, OfVehicle of)
    {
        if (of.Snapshot.Panels.FirstOrDefault(p => p.Id == panelId) is not { } panel)
            return Problems.NoPanel();
        return of.Snapshot.Fittings.Any(f => f.Id == value.FittingId)
            ? TypedResults.Ok(OpeningSites.Of(of.Snapshot, panel, value, null))
            : Problems.Of(FittingUnknown);
    }

    private static FileContentHttpResult Csv(OfVehicle of)
    {
        Dictionary<string, Stored<Opening>> rows = of.Snapshot.Openings.ToDictionary(o => o.Id);
        IEnumerable<OpeningLine> lines = OpeningList
            .Of(of.Snapshot)
            .Select(o => new OpeningLine(
                PanelWords.Title(of.Snapshot.PanelOf(rows[o.Id]).Value),
                rows[o.Id].Value,
                of.Snapshot.FittingOf(rows[o.Id].Value),
                o.Standing,
                o.Product
            ));
        return TypedResults.File(Encoding.UTF8.GetBytes(OpeningsCsv.Write(lines)), "text/csv", "openings.csv");
    }

    /// <summary>What moves the air of a vehicle, by its openings and by where damp or dust arises.</summary>
    private static Results<Ok<Worked<AirPlan>>, ProblemHttpResult> Air(OfVehicle of, double volumeM3, double floorAreaM2)
    {
        AirSource[] sources = [.. of.Snapshot.Zones.Select(z => AirSource.Of(z.Value)).OfType<AirSource>()];
        return Draught.Of(OpeningList.Air(of.Snapshot), sources, volumeM3, floorAreaM2).IsOk(out Worked<AirPlan>? plan, out Problem? problem)
            ? TypedResults.Ok(plan)
            : Problems.Of(problem);
    }

    private static Results<Ok<Stored<Opening>>, ProblemHttpResult> Add(
        string vehicleId,
        string panelId,
        Opening value,
        HttpContext context,
        PanelStore panels,
        OpeningStore store
    )
    {
        if (panels.Find(panelId)?.OwnerId != vehicleId)
            return Problems.NoPanel();
        return Check(context, panelId, value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(panelId, value));
    }

    private static Results<Ok<IReadOnlyList<Stored<Opening>>>, ProblemHttpResult> Move(
        string vehicleId,
        string panelId,
        OpeningMoves body,
        PanelStore panels,
        OpeningStore store
    )
    {
        if (panels.Find(panelId) is not { } panel || panel.OwnerId != vehicleId)
            return Problems.NoPanel();
        var moved = new List<(string, int, Opening)>();
        for (int i = 0; i < body.Moves.Count; i++)
        {
            OpeningMove move = body.Moves[i];
            if (store.Find(move.Id) is not { } row || row.OwnerId != panelId)
                return Problems.NotFound("One of these openings has been removed.");
            Opening value = row.Value with { Centre = move.Centre };
            if (OpeningCheck.Of(panel.Value, value) is { } off)
                return Problems.Of(off.Under($"/moves/{i}"));
            moved.Add((move.Id, move.Version, value));
        }
        Written<Opening> written = store.ReplaceAll(moved, $"Placed {moved.Count} openings together");
        return written.State == WriteState.Done
            ? TypedResults.Ok<IReadOnlyList<Stored<Opening>>>([.. moved.Select(m => store.Find(m.Item1)!)])
            : Problems.Of(written);
    }

    private static Problem FittingUnknown { get; } =
        new("fitting-unknown", "/fittingId", "This fitting is not in the catalogue any more. Choose another.");

    private static Problem? Check(HttpContext context, string panelId, Opening value)
    {
        if (context.RequestServices.GetRequiredService<FittingStore>().Find(value.FittingId) is null)
            return FittingUnknown;
        return OpeningCheck.Of(ShellEndpoints.PanelOf(context, panelId), value);
    }
}
