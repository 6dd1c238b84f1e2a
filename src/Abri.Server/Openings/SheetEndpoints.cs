using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Work;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Openings;

/// <summary>The sheets of an opening: PDF at 1:1, SVG and DXF.</summary>
internal static class SheetEndpoints
{
    /// <summary>Diameter of start holes where nobody says otherwise, mm: assumption, what a jigsaw blade passes.</summary>
    private const double StartHoleMm = 12;

    public static void MapSheets(this RouteGroupBuilder vehicle)
    {
        vehicle.MapGet("/openings/{id}/bond", Bond).WithName("opening-bond");
        vehicle.MapGet("/openings/{id}/steps", Steps).WithName("opening-steps");
        vehicle.MapGet("/openings/{id}/steps.pdf", PrintedSteps).WithName("opening-steps-pdf");
        vehicle
            .MapGet("/openings/{id}/sheet.pdf", (string id, OfVehicle of, TimeProvider clock, Named<Paper>? paper, Named<ViewedFrom>? view) =>
                Sheet(of, id, view, clock, "pdf", "application/pdf", sheet => OpeningPdf.Write(sheet, paper?.Value ?? Paper.A4))
            )
            .WithName("opening-sheet-pdf");
        vehicle
            .MapGet("/openings/{id}/sheet.svg", (string id, OfVehicle of, TimeProvider clock, Named<ViewedFrom>? view) =>
                Sheet(of, id, view, clock, "svg", "image/svg+xml", sheet => Encoding.UTF8.GetBytes(DrawingSvg.Write(sheet.Drawing)))
            )
            .WithName("opening-sheet-svg");
        vehicle
            .MapGet("/openings/{id}/sheet.dxf", (string id, OfVehicle of, TimeProvider clock, Named<ViewedFrom>? view) =>
                Sheet(of, id, view, clock, "dxf", "application/dxf", sheet => Encoding.ASCII.GetBytes(DrawingDxf.Write(sheet.Drawing)))
            )
            .WithName("opening-sheet-dxf");
        vehicle
            .MapGet("/openings/{id}/frame.pdf", (string id, OfVehicle of, Named<Paper>? paper) =>
                Scribe(of, id, "pdf", "application/pdf", drawing =>
                    OpeningPdf.Write(of.Snapshot.Vehicle.Value.Name, drawing, of.Snapshot.Lengths, paper?.Value ?? Paper.A4)
                )
            )
            .WithName("opening-frame-pdf");
        vehicle
            .MapGet("/openings/{id}/frame.dxf", (string id, OfVehicle of) =>
                Scribe(of, id, "dxf", "application/dxf", drawing => Encoding.ASCII.GetBytes(DrawingDxf.Write(drawing)))
            )
            .WithName("opening-frame-dxf");
    }

    private static IResult Sheet(
        OfVehicle of,
        string id,
        Named<ViewedFrom>? view,
        TimeProvider clock,
        string ending,
        string type,
        Func<OpeningSheet, byte[]> write
    )
    {
        if (of.Opening(id) is not { } opening)
            return Problems.NotFound(OfVehicle.OpeningGone);
        ViewedFrom from = view?.Value ?? ViewedFrom.Outside;
        return SheetOf(of.Snapshot, opening, from, Today(clock)).IsOk(out OpeningSheet? sheet, out Problem? problem)
            ? File(
                write(sheet),
                type,
                $"{Named(of, opening)}-{(from == ViewedFrom.Outside ? "outside" : "inside")}{(ending == "dxf" ? "-mm" : "")}.{ending}"
            )
            : Problems.Of(problem);
    }

    /// <summary>The bond of a pane where it is, with the adhesive that its joint names.</summary>
    private static Results<Ok<Worked<PaneBondPlan>>, ProblemHttpResult> Bond(string id, OfVehicle of)
    {
        if (of.Opening(id) is not { } opening)
            return Problems.NotFound(OfVehicle.OpeningGone);
        OpeningWork work = OpeningSites.Work(of.Snapshot, opening);
        return work.Site.Fitting.Bonded is not null
            ? TypedResults.Ok(
                PaneBond.Of(work.Site.Fitting.Turned(opening.Value.TurnDeg), work.Site.Panel.Material, work.Product, of.Snapshot.Lengths)
            )
            : Problems.NotFound("What is fitted here is not bonded.");
    }

    /// <summary>The procedure of an opening.</summary>
    private static Results<Ok<Worked<Procedure>>, ProblemHttpResult> Steps(string id, OfVehicle of)
    {
        if (of.Opening(id) is not { } opening)
            return Problems.NotFound(OfVehicle.OpeningGone);
        return OpeningProcedure.Of(OpeningSites.Work(of.Snapshot, opening)).IsOk(out Worked<Procedure>? procedure, out Problem? problem)
            ? TypedResults.Ok(procedure)
            : Problems.Of(problem);
    }

    private static IResult PrintedSteps(string id, OfVehicle of, TimeProvider clock, Named<Paper>? paper)
    {
        if (Steps(id, of) is not { Result: Ok<Worked<Procedure>> { Value.Result: { } procedure } })
            return Steps(id, of);
        byte[] pdf = ProcedurePdf.Write(of.Snapshot.Vehicle.Value.Name, procedure, of.Snapshot.Lengths, paper?.Value ?? Paper.A4, Today(clock));
        return File(pdf, "application/pdf", $"{Named(of, of.Opening(id)!)}-steps.pdf");
    }

    /// <summary>The scribes of the inner frame in true scale.</summary>
    private static IResult Scribe(OfVehicle of, string id, string ending, string type, Func<Drawing, byte[]> write)
    {
        if (of.Opening(id) is not { } row)
            return Problems.NotFound(OfVehicle.OpeningGone);
        Site site = OpeningSites.Of(of.Snapshot, row);
        if (!InnerFrame.Of(site, row.Value.Centre).IsOk(out Worked<FramePlan>? plan, out Problem? problem))
            return Problems.Of(problem);
        Drawing drawing = ScribeDrawing.Of(row.Value.Name, FacingOf(site.Panel), plan.Result, of.Snapshot.Lengths);
        return File(write(drawing), type, $"{Named(of, row)}-frame{(ending == "dxf" ? "-mm" : "")}.{ending}");
    }

    private static Result<OpeningSheet> SheetOf(VehicleSnapshot of, Stored<Opening> row, ViewedFrom view, DateOnly today)
    {
        (Vehicle vehicle, Opening opening) = (of.Vehicle.Value, row.Value);
        Site site = OpeningSites.Of(of, row);
        var marking = new Marking(view, vehicle.MarkerOffsetMm, StartHoleMm, opening.Schools.CutSize);
        if (!SettingOut.Of(site, opening.Centre, marking).IsOk(out Worked<SettingOutSheet>? marked, out Problem? problem))
            return problem;
        if (!OpeningVerdict.Of(site, opening.Centre).IsOk(out Worked<Verdict>? verdict, out problem))
            return problem;
        Fitting turned = site.Fitting.Turned(opening.TurnDeg);
        if (!OpeningDrawing.Of(opening.Name, site.Panel, turned, marked.Result, of.Lengths).IsOk(out Drawing? drawing, out problem))
            return problem;
        return new OpeningSheet(
            vehicle.Name,
            opening.Name,
            FacingOf(site.Panel),
            turned,
            marked.Result,
            drawing,
            verdict.Result,
            marked.Warnings,
            of.Lengths,
            today
        );
    }

    private static Facing FacingOf(Panel panel) => panel.Faces ?? Panel.FacingOf(panel.Kind);

    private static DateOnly Today(TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().Date);

    private static string Named(OfVehicle of, Stored<Opening> opening) =>
        $"{FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle")}-{FileNames.Plain(opening.Value.Name, "opening")}";

    private static FileContentHttpResult File(byte[] bytes, string type, string name) => TypedResults.File(bytes, type, name);
}
