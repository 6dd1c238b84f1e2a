using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Openings;

/// <summary>The sheets of an opening: PDF at 1:1, SVG and DXF.</summary>
internal static class SheetEndpoints
{
    /// <summary>Diameter of start holes where nobody says otherwise, mm: assumption, what a jigsaw blade passes.</summary>
    private const double StartHoleMm = 12;

    public static void MapSheets(this RouteGroupBuilder vehicle)
    {
        vehicle.MapGet("/openings/{id}/sheet.pdf", (string id, HttpContext context, SheetMaker maker, Named<Paper>? paper, Named<ViewedFrom>? view) =>
            maker.Answer(context, id, view?.Value ?? ViewedFrom.Outside, sheet => (OpeningPdf.Write(sheet, paper?.Value ?? Paper.A4), "application/pdf", "pdf"))).WithName("opening-sheet-pdf");
        vehicle.MapGet("/openings/{id}/bond", (string id, HttpContext context, SheetMaker maker) => maker.Bond(context, id)).WithName("opening-bond");
        vehicle.MapGet("/openings/{id}/steps", (string id, HttpContext context, SheetMaker maker) => maker.Steps(context, id)).WithName("opening-steps");
        vehicle.MapGet("/openings/{id}/steps.pdf", (string id, HttpContext context, SheetMaker maker, Named<Paper>? paper) => maker.PrintedSteps(context, id, paper?.Value ?? Paper.A4)).WithName("opening-steps-pdf");
        vehicle.MapGet("/openings/{id}/frame.pdf", (string id, HttpContext context, SheetMaker maker, Named<Paper>? paper) =>
            maker.Scribe(context, id, (vehicle, drawing, lengths) => (OpeningPdf.Write(vehicle, drawing, lengths, paper?.Value ?? Paper.A4), "application/pdf", "pdf"))).WithName("opening-frame-pdf");
        vehicle.MapGet("/openings/{id}/frame.dxf", (string id, HttpContext context, SheetMaker maker) =>
            maker.Scribe(context, id, (_, drawing, _) => (Encoding.ASCII.GetBytes(DrawingDxf.Write(drawing)), "application/dxf", "dxf"))).WithName("opening-frame-dxf");
        vehicle.MapGet("/openings/{id}/sheet.svg", (string id, HttpContext context, SheetMaker maker, Named<ViewedFrom>? view) =>
            maker.Answer(context, id, view?.Value ?? ViewedFrom.Outside, sheet => (Encoding.UTF8.GetBytes(DrawingSvg.Write(sheet.Drawing)), "image/svg+xml", "svg"))).WithName("opening-sheet-svg");
        vehicle.MapGet("/openings/{id}/sheet.dxf", (string id, HttpContext context, SheetMaker maker, Named<ViewedFrom>? view) =>
            maker.Answer(context, id, view?.Value ?? ViewedFrom.Outside, sheet => (Encoding.ASCII.GetBytes(DrawingDxf.Write(sheet.Drawing)), "application/dxf", "dxf"))).WithName("opening-sheet-dxf");
    }

    /// <summary>Puts the sheet of a stored opening together.</summary>
    internal sealed class SheetMaker(VehicleStore vehicles, PanelStore panels, FittingStore fittings, OpeningStore openings, JointStore joints, ProductStore products, StoredSites sites, TimeProvider clock)
    {
        public IResult Answer(HttpContext context, string id, ViewedFrom view, Func<OpeningSheet, (byte[] Bytes, string Type, string Ending)> write)
        {
            if (ShellEndpoints.OnOwnPanel(context, openings.Find(id)) is not { } opening) return Problems.NotFound("This opening is not there any more.");
            if (!Sheet(opening, view).IsOk(out OpeningSheet? sheet, out Problem? problem)) return Problems.Of(problem);
            (byte[] bytes, string type, string ending) = write(sheet);
            string from = view == ViewedFrom.Outside ? "outside" : "inside";
            return TypedResults.File(bytes, type, $"{FileNames.Plain(sheet.Vehicle, "vehicle")}-{FileNames.Plain(sheet.Opening, "opening")}-{from}{(ending == "dxf" ? "-mm" : "")}.{ending}");
        }

        /// <summary>The bond of a pane where it is, with the adhesive that its joint names.</summary>
        public Results<Ok<Worked<PaneBondPlan>>, ProblemHttpResult> Bond(HttpContext context, string id)
        {
            if (ShellEndpoints.OnOwnPanel(context, openings.Find(id)) is not { } opening) return Problems.NotFound("This opening is not there any more.");
            Fitting fitting = fittings.Find(opening.Value.FittingId)!.Value;
            OpeningWork work = Work(opening);
            return fitting.Bonded is not null
                ? TypedResults.Ok(PaneBond.Of(fitting.Turned(opening.Value.TurnDeg), work.Site.Panel.Material, work.Product, work.Site.Lengths!))
                : Problems.NotFound("What is fitted here is not bonded.");
        }

        /// <summary>The procedure of an opening.</summary>
        public Results<Ok<Worked<Procedure>>, ProblemHttpResult> Steps(HttpContext context, string id)
        {
            if (ShellEndpoints.OnOwnPanel(context, openings.Find(id)) is not { } opening) return Problems.NotFound("This opening is not there any more.");
            return OpeningProcedure.Of(Work(opening)).IsOk(out Worked<Procedure>? procedure, out Problem? problem) ? TypedResults.Ok(procedure) : Problems.Of(problem);
        }

        public IResult PrintedSteps(HttpContext context, string id, Paper paper)
        {
            if (Steps(context, id) is not { Result: Ok<Worked<Procedure>> { Value: { } procedure } }) return Steps(context, id);
            Vehicle vehicle = vehicles.Find((string)context.GetRouteValue("vehicleId")!)!.Value;
            return TypedResults.File(ProcedurePdf.Write(vehicle.Name, procedure.Result, new LengthFormat(vehicle.Units, vehicle.InchDenominator), paper, DateOnly.FromDateTime(clock.GetLocalNow().Date)), "application/pdf", $"{FileNames.Plain(vehicle.Name, "vehicle")}-{FileNames.Plain(procedure.Result.Title, "opening")}-steps.pdf");
        }

        /// <summary>The scribes of the inner frame in true scale.</summary>
        public IResult Scribe(HttpContext context, string id, Func<string, Drawing, LengthFormat, (byte[] Bytes, string Type, string Ending)> write)
        {
            if (ShellEndpoints.OnOwnPanel(context, openings.Find(id)) is not { } row) return Problems.NotFound("This opening is not there any more.");
            Site site = sites.Of(row);
            if (!InnerFrame.Of(site, row.Value.Centre).IsOk(out Worked<FramePlan>? plan, out Problem? problem)) return Problems.Of(problem);
            Vehicle vehicle = vehicles.Find((string)context.GetRouteValue("vehicleId")!)!.Value;
            Drawing drawing = ScribeDrawing.Of(row.Value.Name, site.Panel.Faces ?? Panel.FacingOf(site.Panel.Kind), plan.Result, site.Lengths!);
            (byte[] bytes, string type, string ending) = write(vehicle.Name, drawing, site.Lengths!);
            return TypedResults.File(bytes, type, $"{FileNames.Plain(vehicle.Name, "vehicle")}-{FileNames.Plain(row.Value.Name, "opening")}-frame{(ending == "dxf" ? "-mm" : "")}.{ending}");
        }

        /// <summary>The opening with the product that its joint names.</summary>
        private OpeningWork Work(Stored<Opening> row)
        {
            string? product = joints.All(row.OwnerId).FirstOrDefault(j => j.Value.Of == row.Value.Name)?.Value.Product;
            return new OpeningWork(row.Value.Name, sites.Of(row), row.Value.Centre, row.Value.Schools, product is null ? null : products.All().FirstOrDefault(p => p.Value.Name == product)?.Value, row.Value.Tape);
        }

        private Result<OpeningSheet> Sheet(Stored<Opening> row, ViewedFrom view)
        {
            Stored<Panel> panel = panels.Find(row.OwnerId!)!;
            Vehicle vehicle = vehicles.Find(panel.OwnerId!)!.Value;
            Opening opening = row.Value;
            Fitting fitting = fittings.Find(opening.FittingId)!.Value;
            var lengths = new LengthFormat(vehicle.Units, vehicle.InchDenominator);
            Site site = sites.Of(row);
            var marking = new Marking(view, vehicle.MarkerOffsetMm, StartHoleMm, opening.Schools.CutSize);
            if (!SettingOut.Of(site, opening.Centre, marking).IsOk(out Worked<SettingOutSheet>? marked, out Problem? problem)) return problem;
            if (!OpeningVerdict.Of(site, opening.Centre).IsOk(out Worked<Verdict>? verdict, out problem)) return problem;
            Fitting turned = fitting.Turned(opening.TurnDeg);
            if (!OpeningDrawing.Of(opening.Name, site.Panel, turned, marked.Result, lengths).IsOk(out Drawing? drawing, out problem)) return problem;
            return new OpeningSheet(
                vehicle.Name, opening.Name, panel.Value.Faces ?? Panel.FacingOf(panel.Value.Kind), turned, marked.Result, drawing,
                verdict.Result, marked.Warnings, lengths, DateOnly.FromDateTime(clock.GetLocalNow().Date));
        }
    }
}
