using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Procedures;
using Abri.Core.Shell;
using Abri.Core.Work;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

public class ProcedurePdfTests
{
    private static readonly Site Ribbed = new(
        new Panel(PanelKind.Roof, new PanelBox(0, 4200, -850, 850).Corners, 0.8, SkinMaterial.MildSteel),
        [new Member("Swage", MemberKind.Swage, MemberRole.Pressed, new Footprint(FootprintShape.Spine, [new(0, 0), new(4200, 0)], 60), -8, 10)],
        Sample.Sheet(ViewedFrom.Outside).Fitting
    );

    [Fact] // Read back by poppler's pdftotext
    public void Every_step_is_printed_in_order_with_its_holds()
    {
        Procedure procedure = OpeningProcedure
            .Of(
                new OpeningWork(
                    "Vent over the glaze bench",
                    Ribbed,
                    new PanelPoint(1500, 100),
                    new Schools(RibInTheWay.Keep, CutSize.WasteSide),
                    null
                )
            )
            .Value!.Result;
        byte[] pdf = ProcedurePdf.Write("Heron", procedure, LengthFormat.Millimetres, Paper.A4, new DateOnly(2026, 11, 26));
        string text = string.Join(' ', Poppler.Text(pdf).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
        int[] at = [.. procedure.Steps.Select(s => text.IndexOf($"{s.Number} {s.Title}", StringComparison.Ordinal))];
        Assert.DoesNotContain(-1, at);
        Assert.Equal(at.Order(), at);
        Assert.Contains("OPENS THE SHELL", text);
        Assert.All(procedure.Steps.SelectMany(s => s.Holds), h => Assert.Contains(h.Name.Split(' ')[0], text));
        Assert.True(Poppler.Info(pdf, 1).Pages > 1);
    }

    [Fact] // Rastered by poppler at ten points to the millimetre: the ridge's scribe stands 8 mm above the rest
    public void The_inner_frame_is_scribed_at_one_to_one()
    {
        FramePlan plan = InnerFrame.Of(Ribbed, new PanelPoint(1500, 0)).Value!.Result;
        Drawing drawing = ScribeDrawing.Of("Vent", Facing.Up, plan, LengthFormat.Millimetres);
        Tiling tiling = OpeningPdf.TilingOn(Paper.A3, drawing);
        byte[] pdf = OpeningPdf.Write("Heron", drawing, LengthFormat.Millimetres, Paper.A3);
        Assert.Equal(tiling.Tiles.Count, Poppler.Info(pdf, 1).Pages);
        Tile tile = tiling.Tiles.First(t => t.Area.Holds(new PanelPoint(60, plan.ThickMm)));
        var (width, _, grey) = Poppler.Raster(pdf, tiling.Tiles.ToList().IndexOf(tile) + 1);
        int column = (int)Math.Round((8 + 30.5 - tile.Area.SMinMm) * 10);
        int[] dark =
        [
            .. Enumerable.Range((int)((8 + tile.Area.TMaxMm - plan.ThickMm - 12) * 10), 240).Where(row => grey[(row * width) + column] < 150),
        ];
        // Top of the blank, drawn dashed there or not, and the line 8 mm below it.
        double line = 8 + tile.Area.TMaxMm - (dark.Max() / 10.0);
        Assert.Equal(plan.ThickMm - 8, line, 0.5);
    }
}
