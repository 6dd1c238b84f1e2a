using Abri.Core.Geometry;
using Abri.Core.Shell;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>
/// Prints the sheets of an opening: a page of figures to mark from, then the template at exactly 1:1 over as many pages as it needs.
/// </summary>
/// <remarks>
/// Each template page has registration crosses, a 100 mm check bar, its place on the page map, and arrows to the vehicle's front and
/// left (or up). Figures are in the vehicle's unit; the check bar is 100 mm in any case, and 4 inches besides where inches are used.
/// </remarks>
public static class OpeningPdf
{
    private const double FooterMm = 24;
    private const double PaddingMm = 1;

    /// <summary>The document.</summary>
    public static byte[] Write(OpeningSheet sheet, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(
                bytes,
                new SKDocumentPdfMetadata { Title = $"{sheet.Vehicle}: {sheet.Drawing.Title}", Creator = "Abri" }
            )
        )
        {
            Tiling tiling = TilingOn(paper, sheet.Drawing);
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
                FiguresPage.Draw(flow, sheet, tiling);
            foreach (Tile tile in tiling.Tiles)
            {
                using var page = new Page(document, tiling.TileWidthMm + (2 * Page.MarginMm), tiling.TileHeightMm + (2 * Page.MarginMm) + FooterMm);
                TemplatePage(page, sheet.Vehicle, sheet.Drawing, sheet.Lengths, tiling, tile);
                Compass(page, sheet, page.WidthMm - Page.MarginMm - 46, page.HeightMm - Page.MarginMm - (FooterMm / 2));
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    /// <summary>A drawing at exactly 1:1 by itself, such as the scribes of an inner frame.</summary>
    public static byte[] Write(string vehicle, Drawing drawing, LengthFormat lengths, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"{vehicle}: {drawing.Title}", Creator = "Abri" }))
        {
            Tiling tiling = TilingOn(paper, drawing);
            foreach (Tile tile in tiling.Tiles)
            {
                using var page = new Page(document, tiling.TileWidthMm + (2 * Page.MarginMm), tiling.TileHeightMm + (2 * Page.MarginMm) + FooterMm);
                TemplatePage(page, vehicle, drawing, lengths, tiling, tile);
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    /// <summary>The template cut into pages, upright or lying, whichever needs fewer.</summary>
    internal static Tiling TilingOn(Paper paper, Drawing drawing)
    {
        (double width, double height) = paper.SizeMm();
        PanelBox area = drawing.Bounds.Grown(PaddingMm);
        Tiling Cut(double w, double h) => Tiling.Of(area, w - (2 * Page.MarginMm), h - (2 * Page.MarginMm) - FooterMm);
        Tiling upright = Cut(width, height),
            lying = Cut(height, width);
        return lying.Tiles.Count < upright.Tiles.Count ? lying : upright;
    }

    private static void TemplatePage(Page page, string vehicle, Drawing drawing, LengthFormat lengths, Tiling tiling, Tile tile)
    {
        var frame = new PanelBox(Page.MarginMm, Page.MarginMm + tiling.TileWidthMm, Page.MarginMm, Page.MarginMm + tiling.TileHeightMm);
        page.Draw(drawing, new PanelPoint(tile.Area.SMinMm, tile.Area.TMaxMm), frame.SMinMm, frame.TMinMm, 1, frame);
        using (SKPaint pen = Page.Pen(Page.Soft, 0.15, 1, 1))
            page.Frame(pen, frame);
        foreach (PanelPoint corner in frame.Grown(-Tiling.OverlapMm / 2).Corners)
            Cross(page, corner.SMm, corner.TMm);

        double footer = frame.TMaxMm + 7;
        page.CheckBar(Page.MarginMm, footer + 2, 100, "Check bar 100 mm: measure it before you cut. Print at 100 %, never fitted to the page.");
        if (lengths.Units == UnitSystem.Inch)
            page.CheckBar(Page.MarginMm, footer + 9, 4 * LengthFormat.MmPerInch, "4 inches");
        page.TextWithin(
            $"Page {tile.Name}. {vehicle}: {drawing.Title}",
            Page.MarginMm,
            footer + 15,
            page.WidthMm - (2 * Page.MarginMm) - 80,
            3,
            true
        );
        Map(page, tiling, tile, page.WidthMm - Page.MarginMm - 14, footer - 3);
    }

    private static void Cross(Page page, double x, double y)
    {
        using SKPaint pen = Page.Pen(Page.Black, 0.2);
        page.Line(pen, x - 4, y, x + 4, y);
        page.Line(pen, x, y - 4, x, y + 4);
        page.Circle(pen, x, y, 2);
    }

    /// <summary>Arrows to the vehicle's front and left; up on a wall; right and up on the rear. The upright one is centred on y, whichever way it
    /// points.</summary>
    internal static void Compass(Page page, OpeningSheet sheet, double x, double middleMm)
    {
        var view = PanelView.Of(sheet.Facing, sheet.SettingOut.View);
        double y = middleMm + (view.TSign * (Page.ArrowMm + Page.WordMm) / 2);
        page.Arrow(x, y, -view.SSign, 0, sheet.Facing is Facing.Rear or Facing.Front ? "RIGHT SIDE" : "FRONT");
        page.Arrow(x, y, 0, -view.TSign, sheet.Facing is Facing.Up or Facing.Down ? "LEFT SIDE" : "UP");
    }

    internal static void Map(Page page, Tiling tiling, Tile? here, double x, double y)
    {
        double cell = Math.Min(5, Math.Min(14.0 / tiling.Columns, 16.0 / tiling.Rows));
        using SKPaint pen = Page.Pen(Page.Ink, 0.2);
        foreach (Tile tile in tiling.Tiles)
        {
            var box = PanelBox.Around(new PanelPoint(x + ((tile.Column + 0.5) * cell), y + ((tile.Row + 0.5) * cell)), cell, cell);
            if (tile == here)
                page.Fill(Page.Ink, box);
            page.Frame(pen, box);
            page.Text(
                tile.Name,
                box.Centre.SMm,
                box.Centre.TMm + (cell * 0.18),
                cell * 0.48,
                colour: tile == here ? SKColors.White : Page.Ink,
                align: SKTextAlign.Center
            );
        }
    }
}
