using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;

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
        vehicle.MapGet("/openings/{id}/sheet.svg", (string id, HttpContext context, SheetMaker maker, Named<ViewedFrom>? view) =>
            maker.Answer(context, id, view?.Value ?? ViewedFrom.Outside, sheet => (Encoding.UTF8.GetBytes(DrawingSvg.Write(sheet.Drawing)), "image/svg+xml", "svg"))).WithName("opening-sheet-svg");
        vehicle.MapGet("/openings/{id}/sheet.dxf", (string id, HttpContext context, SheetMaker maker, Named<ViewedFrom>? view) =>
            maker.Answer(context, id, view?.Value ?? ViewedFrom.Outside, sheet => (Encoding.ASCII.GetBytes(DrawingDxf.Write(sheet.Drawing)), "application/dxf", "dxf"))).WithName("opening-sheet-dxf");
    }

    /// <summary>Puts the sheet of a stored opening together.</summary>
    internal sealed class SheetMaker(VehicleStore vehicles, PanelStore panels, FittingStore fittings, OpeningStore openings, StoredSites sites, TimeProvider clock)
    {
        public IResult Answer(HttpContext context, string id, ViewedFrom view, Func<OpeningSheet, (byte[] Bytes, string Type, string Ending)> write)
        {
            if (ShellEndpoints.OnOwnPanel(context, openings.Find(id)) is not { } opening) return Problems.NotFound("This opening is not there any more.");
            if (!Sheet(opening, view).IsOk(out OpeningSheet? sheet, out Problem? problem)) return Problems.Of(problem);
            (byte[] bytes, string type, string ending) = write(sheet);
            string from = view == ViewedFrom.Outside ? "outside" : "inside";
            return TypedResults.File(bytes, type, $"{FileNames.Plain(sheet.Vehicle, "vehicle")}-{FileNames.Plain(sheet.Opening, "opening")}-{from}{(ending == "dxf" ? "-mm" : "")}.{ending}");
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
            Facing facing = panel.Value.Faces ?? Panel.FacingOf(panel.Value.Kind);
            Fitting turned = fitting.Turned(opening.TurnDeg);
            return new OpeningSheet(
                vehicle.Name, opening.Name, facing, turned, marked.Result, OpeningDrawing.Of(opening.Name, facing, turned, marked.Result),
                verdict.Result, marked.Warnings, lengths, DateOnly.FromDateTime(clock.GetLocalNow().Date));
        }
    }
}
