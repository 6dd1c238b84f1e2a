using System.Text;
using Abri.Core;
using Abri.Core.Linings;
using Abri.Core.Procedures;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Floor;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Floor;

/// <summary>Linings of a vehicle's panels.</summary>
internal static class LiningEndpoints
{
    public static void MapLinings(this RouteGroupBuilder vehicle)
    {
        vehicle.MapGet("/linings", (OfVehicle of) => LiningsOfVehicle.Of(of.Snapshot)).WithName("vehicle-linings");
        vehicle.MapOnPanel<Lining, LiningStore>("lining", Lining.Check);
        vehicle
            .MapGet("/linings/{id}/plan", Results<Ok<Worked<LiningJob>>, ProblemHttpResult> (string id, OfVehicle of) =>
                Find(of, id) is { } row ? Answer(of, of.Snapshot.PanelOf(row), row.Value) : Gone()
            )
            .WithName("lining-plan");
        vehicle
            .MapPost(
                "/panels/{panelId}/lining-plan",
                Results<Ok<Worked<LiningJob>>, ProblemHttpResult> (string panelId, Lining value, OfVehicle of) =>
                    of.Panel(panelId) is { } panel ? Answer(of, panel, value) : Problems.NoPanel()
            )
            .Validate<Lining>()
            .WithName("lining-draft-plan");
        vehicle
            .MapGet("/panels/{panelId}/new-lining", Results<Ok<Lining>, ProblemHttpResult> (string panelId, string name, OfVehicle of) =>
                of.Panel(panelId) is { } panel ? TypedResults.Ok(LiningsOfVehicle.New(of.Snapshot, panel, name)) : Problems.NoPanel()
            )
            .WithName("lining-new");
        vehicle.MapGet("/linings/{id}/steps.pdf", Steps).WithName("lining-steps-pdf");
        vehicle.MapGet("/linings/{id}/sheet.pdf", Sheet).WithName("lining-sheet-pdf");
        vehicle
            .MapGet("/linings/{id}/boards/{number:int}.dxf", (string id, int number, OfVehicle of) =>
                Print(of, id, $"board-{number}-mm.dxf", "image/vnd.dxf", job =>
                    number >= 1 && number <= job.Plan.Boards.Count
                        ? Encoding.UTF8.GetBytes(
                            DrawingDxf.Write(LiningDrawing.Of(of.Snapshot.PanelOf(Find(of, id)!).Value, job.Plan, job.Plan.Boards[number - 1]))
                        )
                        : null
                )
            )
            .WithName("lining-board-dxf");
    }

    private static Stored<Lining>? Find(OfVehicle of, string id) => of.Snapshot.Floor.Linings.FirstOrDefault(l => l.Id == id);

    private static Results<Ok<Worked<LiningJob>>, ProblemHttpResult> Answer(OfVehicle of, Stored<Panel> panel, Lining lining) =>
        JobOf(of, panel, lining).IsOk(out Worked<LiningJob>? job, out Problem? problem) ? TypedResults.Ok(job) : Problems.Of(problem);

    private static Result<Worked<LiningJob>> JobOf(OfVehicle of, Stored<Panel> panel, Lining lining) =>
        LiningProcedure.Of(LiningsOfVehicle.Site(of.Snapshot, panel), lining).IsOk(out Worked<LiningJob>? job, out Problem? problem)
            ? job
            // Told where the form has it.
            : problem with
            {
                Pointer = problem.Pointer.Replace("/lining", "", StringComparison.Ordinal),
            };

    private static IResult Steps(string id, OfVehicle of, TimeProvider clock, Named<Paper>? paper) =>
        Print(of, id, "steps.pdf", "application/pdf", job =>
            ProcedurePdf.Write(
                of.Snapshot.Vehicle.Value.Name,
                job.Procedure,
                of.Snapshot.Lengths,
                paper?.Value ?? Paper.A4,
                DateOnly.FromDateTime(clock.GetLocalNow().Date)
            )
        );

    private static IResult Sheet(string id, OfVehicle of, Named<Paper>? paper) => Print(of, id, "sheet.pdf", "application/pdf", job =>
        {
            Stored<Lining> row = Find(of, id)!;
            return LiningPdf.Write(
                of.Snapshot.Vehicle.Value.Name,
                row.Value,
                LiningsOfVehicle.Site(of.Snapshot, of.Snapshot.PanelOf(row)),
                job.Plan,
                paper?.Value ?? Paper.A4
            );
        });

    private static IResult Print(OfVehicle of, string id, string what, string type, Func<LiningJob, byte[]?> write)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        if (!JobOf(of, of.Snapshot.PanelOf(row), row.Value).IsOk(out Worked<LiningJob>? job, out Problem? problem))
            return Problems.Of(problem);
        string vehicle = FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle");
        return write(job.Result) is { } bytes
            ? TypedResults.File(bytes, type, $"{vehicle}-{FileNames.Plain(row.Value.Name, "lining")}-{what}")
            : Problems.NotFound("This lining has no such board.");
    }

    private static ProblemHttpResult Gone() => Problems.NotFound("This lining has been removed.");
}
