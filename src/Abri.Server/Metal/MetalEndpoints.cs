using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Metal;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Metal;

/// <summary>Which of the two sheets of a patch.</summary>
public enum PatchSheet
{
    /// <summary>The hole, the patch and the rivets on the shell.</summary>
    Place,

    /// <summary>The blank to cut.</summary>
    Blank,
}

/// <summary>Rust, holes and repairs of a vehicle.</summary>
internal static class MetalEndpoints
{
    public static void MapMetal(this WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("metal");
        vehicle.MapGet("/metal", (OfVehicle of) => MetalOfVehicle.Of(of.Snapshot)).WithName("vehicle-metal");
        vehicle.MapOnPanel<Repair, RepairStore>("repair", RepairCheck.Of, PanelRecords.KnowsFindings);
        vehicle.MapGet("/repairs/{id}/plan", Plan).WithName("repair-plan");
        vehicle.MapPost("/panels/{panelId}/repair-plan", Draft).Validate<Repair>().WithName("repair-draft-plan");
        vehicle
            .MapGet("/panels/{panelId}/new-repair", Results<Ok<Repair>, ProblemHttpResult> (string panelId, double sMm, double tMm, OfVehicle of) =>
                of.Panel(panelId) is { } panel ? TypedResults.Ok(RepairProposal.At(panel.Value, new PanelPoint(sMm, tMm))) : Problems.NoPanel()
            )
            .WithName("repair-new");
        vehicle
            .MapGet("/panels/{panelId}/repair-kinds", Results<Ok<IReadOnlyList<KindsOfShape>>, ProblemHttpResult> (string panelId, OfVehicle of) =>
                of.Panel(panelId) is { } panel ? TypedResults.Ok(RepairProposal.KindsByShape(panel.Value)) : Problems.NoPanel()
            )
            .WithName("repair-kinds");
        vehicle
            .MapPost(
                "/panels/{panelId}/repair-as/{kind}",
                Results<Ok<Repair>, ProblemHttpResult> (string panelId, Named<RepairKind> kind, Repair value, OfVehicle of) =>
                    of.Panel(panelId) is { } panel ? TypedResults.Ok(RepairProposal.As(value, kind.Value, panel.Value)) : Problems.NoPanel()
            )
            .Validate<Repair>()
            .WithName("repair-as");
        vehicle.MapSheets();
        vehicle.MapGet("/repairs/{id}/steps.pdf", Steps).WithName("repair-steps-pdf");
        vehicle
            .MapGet("/repairs/{id}/{sheet}.pdf", (string id, OfVehicle of, Named<PatchSheet> sheet, Named<Paper>? paper) =>
                Sheet(of, id, sheet.Value, "pdf", "application/pdf", d =>
                    OpeningPdf.Write(of.Snapshot.Vehicle.Value.Name, d, of.Snapshot.Lengths, paper?.Value ?? Paper.A4)
                )
            )
            .WithName("repair-sheet-pdf");
        vehicle
            .MapGet("/repairs/{id}/{sheet}.svg", (string id, OfVehicle of, Named<PatchSheet> sheet) =>
                Sheet(of, id, sheet.Value, "svg", "image/svg+xml", d => Encoding.UTF8.GetBytes(DrawingSvg.Write(d)))
            )
            .WithName("repair-sheet-svg");
        vehicle
            .MapGet("/repairs/{id}/{sheet}.dxf", (string id, OfVehicle of, Named<PatchSheet> sheet) =>
                Sheet(of, id, sheet.Value, "dxf", "application/dxf", d => Encoding.ASCII.GetBytes(DrawingDxf.Write(d)))
            )
            .WithName("repair-sheet-dxf");
    }

    private static Result<Worked<RepairPlan>> PlanOf(VehicleSnapshot of, Stored<Repair> row) =>
        RepairProcedure.Of(MetalOfVehicle.Work(of, of.PanelOf(row), row.Value));

    private static Stored<Repair>? Find(OfVehicle of, string id) => of.Snapshot.Repairs.FirstOrDefault(r => r.Id == id);

    private static Results<Ok<Worked<RepairPlan>>, ProblemHttpResult> Plan(string id, OfVehicle of)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        return PlanOf(of.Snapshot, row).IsOk(out Worked<RepairPlan>? plan, out Problem? problem) ? TypedResults.Ok(plan) : Problems.Of(problem);
    }

    private static Results<Ok<Worked<RepairPlan>>, ProblemHttpResult> Draft(string panelId, Repair value, OfVehicle of)
    {
        if (of.Panel(panelId) is not { } panel)
            return Problems.NoPanel();
        return RepairProcedure.Of(MetalOfVehicle.Work(of.Snapshot, panel, value)).IsOk(out Worked<RepairPlan>? plan, out Problem? problem)
            ? TypedResults.Ok(plan)
            : Problems.Of(problem);
    }

    private static IResult Steps(string id, OfVehicle of, TimeProvider clock, Named<Paper>? paper)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        if (!PlanOf(of.Snapshot, row).IsOk(out Worked<RepairPlan>? plan, out Problem? problem))
            return Problems.Of(problem);
        byte[] pdf = ProcedurePdf.Write(
            of.Snapshot.Vehicle.Value.Name,
            plan.Result.Procedure,
            of.Snapshot.Lengths,
            paper?.Value ?? Paper.A4,
            DateOnly.FromDateTime(clock.GetLocalNow().Date)
        );
        return TypedResults.File(pdf, "application/pdf", $"{Named(of, row)}-steps.pdf");
    }

    private static IResult Sheet(OfVehicle of, string id, PatchSheet sheet, string ending, string type, Func<Drawing, byte[]> write)
    {
        if (Find(of, id) is not { } row)
            return Gone();
        if (!PlanOf(of.Snapshot, row).IsOk(out Worked<RepairPlan>? plan, out Problem? problem))
            return Problems.Of(problem);
        if (plan.Result.Patch is not { } patch)
            return Problems.NotFound("This repair has no patch to draw: nothing is cut here, or a licensed workshop does it.");
        Panel panel = of.Snapshot.PanelOf(row).Value;
        Facing facing = panel.Faces ?? Panel.FacingOf(panel.Kind);
        Drawing drawing =
            sheet == PatchSheet.Place
                ? PatchDrawing.InPlace(row.Value.Name, facing, patch, of.Snapshot.Lengths)
                : PatchDrawing.Blank(row.Value.Name, facing, patch, of.Snapshot.Lengths);
        string which = sheet == PatchSheet.Place ? "place" : "blank";
        return TypedResults.File(write(drawing), type, $"{Named(of, row)}-{which}{(ending == "dxf" ? "-mm" : "")}.{ending}");
    }

    private static string Named(OfVehicle of, Stored<Repair> row) =>
        $"{FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle")}-{FileNames.Plain(row.Value.Name, "repair")}";

    private static ProblemHttpResult Gone() => Problems.NotFound("This repair has been removed.");
}
