using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Floor;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Floor;

/// <summary>Probes, boards and replacements of a vehicle's floors.</summary>
internal static class FloorEndpoints
{
    public static void MapFloor(this WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("floor");
        vehicle.MapGet("/floor", (OfVehicle of) => FloorOfVehicle.Of(of.Snapshot)).WithName("vehicle-floor");
        vehicle.MapOnPanel<Probe, ProbeStore>("probe", Probe.Check);
        vehicle.MapPost("/panels/{panelId}/probe-grid", AddProbes).Validate<ProbesToAdd>().WithName("probes-add");
        vehicle.MapOnPanel<Board, BoardStore>("board", Board.Check);
        vehicle.MapOnPanel<Replacement, ReplacementStore>("replacement", Replacement.Check, PanelRecords.KnowsFindings);
        vehicle.MapGet("/replacements/{id}/plan", Plan).WithName("replacement-plan");
        vehicle.MapPost("/panels/{panelId}/replacement-plan", Draft).Validate<Replacement>().WithName("replacement-draft-plan");
        vehicle
            .MapGet(
                "/panels/{panelId}/new-replacement",
                Results<Ok<Replacement>, ProblemHttpResult> (string panelId, double sMm, double tMm, OfVehicle of) =>
                    of.Panel(panelId) is { } panel
                        ? TypedResults.Ok(FloorOfVehicle.At(of.Snapshot, panel, new PanelPoint(sMm, tMm)))
                        : Problems.NoPanel()
            )
            .WithName("replacement-new");
        vehicle
            .MapGet("/panels/{panelId}/new-board", Results<Ok<Board>, ProblemHttpResult> (string panelId, string name, OfVehicle of) =>
                of.Panel(panelId) is { } panel ? TypedResults.Ok(FloorOfVehicle.NewBoard(of.Snapshot, panel, name)) : Problems.NoPanel()
            )
            .WithName("board-new");
        vehicle.MapGet("/replacements/{id}/steps.pdf", Steps).WithName("replacement-steps-pdf");
        vehicle.MapGet("/replacements/{id}/sheet.pdf", Sheet).WithName("replacement-sheet-pdf");
        vehicle.MapLinings();
        vehicle.MapBoardCuts();
    }

    private static Results<Ok<IReadOnlyList<Stored<Probe>>>, ProblemHttpResult> AddProbes(
        string panelId,
        ProbesToAdd body,
        OfVehicle of,
        ProbeStore store
    )
    {
        if (of.Panel(panelId) is not { } panel)
            return Problems.NoPanel();
        if (of.Snapshot.Floor.Probes.On(panelId).Count() + body.Probes.Count > Probe.MostOnPanel)
            return Problems.BadRequest("too-many-probes", $"A panel has at most {Probe.MostOnPanel} probes.", "/probes");
        for (int i = 0; i < body.Probes.Count; i++)
        {
            if (Probe.Check(panel.Value, body.Probes[i]) is { } problem)
                return Problems.Of(problem.Under($"/probes/{i}"));
        }
        string what = body.Probes.Count == 1 ? "Added a probe" : $"Added {body.Probes.Count} probes";
        (WriteState state, IReadOnlyList<Stored<Probe>> rows, string? message) = store.Add(panelId, body.Probes, what);
        return state == WriteState.Done ? TypedResults.Ok(rows) : Problems.Answer(409, "conflict", message!);
    }

    private static Stored<Replacement>? Find(OfVehicle of, string id) => of.Snapshot.Floor.Replacements.FirstOrDefault(r => r.Id == id);

    private static Result<Worked<FloorJob>> JobOf(OfVehicle of, Stored<Panel> panel, Replacement replacement) =>
        ReplacementProcedure.Of(FloorOfVehicle.Site(of.Snapshot, panel), replacement).IsOk(out Worked<FloorJob>? job, out Problem? problem)
            ? job
            // Told where the form has it.
            : problem with
            {
                Pointer = problem.Pointer.Replace("/replacement", "", StringComparison.Ordinal),
            };

    private static Results<Ok<Worked<FloorJob>>, ProblemHttpResult> Plan(string id, OfVehicle of)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        return JobOf(of, of.Snapshot.PanelOf(row), row.Value).IsOk(out Worked<FloorJob>? job, out Problem? problem)
            ? TypedResults.Ok(job)
            : Problems.Of(problem);
    }

    private static Results<Ok<Worked<FloorJob>>, ProblemHttpResult> Draft(string panelId, Replacement value, OfVehicle of)
    {
        if (of.Panel(panelId) is not { } panel)
            return Problems.NoPanel();
        return JobOf(of, panel, value).IsOk(out Worked<FloorJob>? job, out Problem? problem) ? TypedResults.Ok(job) : Problems.Of(problem);
    }

    private static IResult Steps(string id, OfVehicle of, TimeProvider clock, Named<Paper>? paper) =>
        Print(of, id, "steps", job =>
            ProcedurePdf.Write(
                of.Snapshot.Vehicle.Value.Name,
                job.Procedure,
                of.Snapshot.Lengths,
                paper?.Value ?? Paper.A4,
                DateOnly.FromDateTime(clock.GetLocalNow().Date)
            )
        );

    private static IResult Sheet(string id, OfVehicle of, Named<Paper>? paper) => Print(of, id, "sheet", job =>
        {
            Stored<Replacement> row = Find(of, id)!;
            return FloorPdf.Write(
                of.Snapshot.Vehicle.Value.Name,
                row.Value,
                FloorOfVehicle.Site(of.Snapshot, of.Snapshot.PanelOf(row)),
                job.Plan,
                paper?.Value ?? Paper.A4
            );
        });

    private static IResult Print(OfVehicle of, string id, string what, Func<FloorJob, byte[]> write)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        return JobOf(of, of.Snapshot.PanelOf(row), row.Value).IsOk(out Worked<FloorJob>? job, out Problem? problem)
            ? TypedResults.File(
                write(job.Result),
                "application/pdf",
                $"{FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle")}-{FileNames.Plain(row.Value.Name, "floor")}-{what}.pdf"
            )
            : Problems.Of(problem);
    }

    private static ProblemHttpResult Gone() => Problems.NotFound("This replacement has been removed.");
}
