using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>The page of figures: a small drawing, what to set from which edge, diagonals, holes, the order of work, cautions.</summary>
internal static class FiguresPage
{
    public static void Draw(Page page, OpeningSheet sheet, Tiling tiling)
    {
        double left = Page.MarginMm, width = page.WidthMm - (2 * Page.MarginMm), y = left + 6;
        string from = sheet.SettingOut.View == ViewedFrom.Outside ? "outside" : "inside";
        page.Text($"{sheet.Opening}", left, y, 6.4, true);
        page.Text($"{sheet.Vehicle}, {sheet.PrintedOn:yyyy-MM-dd}", left + width, y, 3.4, align: SKTextAlign.Right);
        y = page.Paragraph($"{sheet.Fitting.Name}. Marked from {from}. {sheet.Verdict.Summary}: {sheet.Verdict.Reason}.", left, y + 6, width, 3.6, colour: Page.Soft);

        double drawingTop = y + 1, drawingHeight = 62;
        PanelBox box = sheet.Drawing.Bounds.Grown(8);
        double scale = Math.Min((width - 62) / box.WidthMm, drawingHeight / box.HeightMm);
        page.Draw(sheet.Drawing, box.Centre, left + ((width - 62) / 2), drawingTop + (drawingHeight / 2), scale, new PanelBox(left, left + width - 62, drawingTop, drawingTop + drawingHeight));
        OpeningPdf.Compass(page, sheet, left + width - 24, drawingTop + 14);
        page.Text("Template pages", left + width - 46, drawingTop + 38, 3);
        OpeningPdf.Map(page, tiling, null, left + width - 46, drawingTop + 40);
        page.Text("Not to scale here.", left, drawingTop + drawingHeight + 3, 2.8, colour: Page.Soft);

        y = Lines(page, sheet, left, width, drawingTop + drawingHeight + 9);
        y = Figures(page, sheet, left, width, y + 2);
        foreach (string warning in sheet.Warnings) y = page.Paragraph("Mind: " + warning, left, y + 1, width, 3.2, true, Page.Rust);
        y = Numbered(page, "In order", [.. sheet.SettingOut.Order, .. sheet.SettingOut.View == ViewedFrom.Outside ? sheet.SettingOut.CutPath.HowTo : []], left, width, y + 2);
        Numbered(page, "Cautions", sheet.Verdict.Cautions, left, width, y + 2);
    }

    private static double Lines(Page page, OpeningSheet sheet, double left, double width, double y)
    {
        double[] at = [left, left + 24, left + (width * 0.5), left + width];
        page.Text("Line", at[0], y, 3, true);
        page.Text("Hook the tape on", at[1], y, 3, true);
        page.Text("Tape reads", at[2], y, 3, true);
        page.Text("Set the straight-edge at", at[3], y, 3, true, align: SKTextAlign.Right);
        using SKPaint rule = Page.Pen(Page.Soft, 0.1);
        foreach (CutLine line in sheet.SettingOut.CutLines)
        {
            y += 5.2;
            page.Line(rule, left, y - 3.8, left + width, y - 3.8);
            page.Text(SideName(line.Side, sheet.Facing), at[0], y, 3.4);
            page.Text(line.Datum, at[1], y, 3.4);
            page.Text(Ends(line.TapeFromMm, line.TapeToMm, sheet.Lengths), at[2], y, 3.4);
            page.Text(Ends(line.SetFromMm, line.SetToMm, sheet.Lengths), at[3], y, 3.4, true, align: SKTextAlign.Right);
        }
        return y + 4.5;
    }

    private static double Figures(Page page, OpeningSheet sheet, double left, double width, double y)
    {
        SettingOutSheet s = sheet.SettingOut;
        LengthFormat l = sheet.Lengths;
        CutLine first = s.CutLines[0];
        string[] lines =
        [
            $"The tape reads {l.Text(first.TapeFromMm)}: set the straight-edge at {l.Text(first.SetFromMm)} (pencil offset included). Two figures: at the {EndNames(sheet.Facing)}.",
            $"Cut-out {l.Text(s.CutOut.WidthMm)} along by {l.Text(s.CutOut.HeightMm)} across, corner radius {l.Text(s.CutOut.CornerRadiusMm)}. Half: {l.Text(s.AcrossLine.HalfMm)} and {l.Text(s.AlongLine.HalfMm)}.",
            $"Centre line across: {l.Text(s.AcrossLine.LowMm)} from {s.AcrossLine.LowDatum}, {l.Text(s.AcrossLine.HighMm)} from {s.AcrossLine.HighDatum}. Along: {l.Text(s.AlongLine.LowMm)} from {s.AlongLine.LowDatum}, {l.Text(s.AlongLine.HighMm)} from {s.AlongLine.HighDatum}.",
            $"Diagonals between the crossings of the lines: {l.Text(s.DiagonalMm)} both; between through-holes: {l.Text(s.ThroughDiagonalMm)} both; once cut, arc to arc: {l.Text(s.ArcDiagonalMm)} both.",
            $"First cut: {l.Text(s.CutPath.Path.WidthMm)} by {l.Text(s.CutPath.Path.HeightMm)}. The frame fits holes from {l.Text(s.CutPath.LeastHole.WidthMm)} by {l.Text(s.CutPath.LeastHole.HeightMm)} to {l.Text(s.CutPath.MostHole.WidthMm)} by {l.Text(s.CutPath.MostHole.HeightMm)}.",
            $"Start holes {l.Text(s.CutPath.StartHoleMm)}; through-holes {l.Text(s.ThroughHoles[0].DiameterMm)}" + (s.ScrewHoles.Count > 0 ? $"; {s.ScrewHoles.Count} pilot holes {l.Text(s.ScrewHoles[0].DiameterMm)}." : "."),
        ];
        foreach (string line in lines) y = page.Paragraph(line, left, y + 0.8, width, 3.2);
        return y;
    }

    private static double Numbered(Page page, string title, IReadOnlyList<string> items, double left, double width, double y)
    {
        page.Text(title, left, y + 2, 3.6, true);
        y += 7;
        for (int i = 0; i < items.Count; i++)
        {
            page.Text($"{i + 1}", left, y, 3.2, true);
            y = page.Paragraph(items[i], left + 6, y, width - 6, 3.2);
        }
        return y;
    }

    private static string Ends(double a, double b, LengthFormat lengths) =>
        lengths.Text(a) == lengths.Text(b) ? lengths.Text(a) : $"{lengths.Text(a)} / {lengths.Text(b)}";

    private static string EndNames(Facing facing) => facing switch
    {
        Facing.Up or Facing.Down => "right and left end, or at the front and rear end",
        Facing.Rear or Facing.Front => "lower and upper end, or at the right and left end",
        _ => "lower and upper end, or at the front and rear end",
    };

    private static string SideName(Side side, Facing facing)
    {
        string name = facing.Name(side);
        return char.ToUpperInvariant(name[0]) + name[1..];
    }
}
