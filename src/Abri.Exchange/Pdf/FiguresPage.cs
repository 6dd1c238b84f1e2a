using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>The page of figures: a small drawing, what to set from which edge, diagonals, holes, the order of work, cautions.</summary>
internal static class FiguresPage
{
    private const double DrawingHeightMm = 62;
    private const double SizeMm = 3.2;

    public static void Draw(Flow flow, OpeningSheet sheet, Tiling tiling)
    {
        string from = sheet.SettingOut.View == ViewedFrom.Outside ? "outside" : "inside";
        flow.Head(
            sheet.Opening,
            $"{sheet.Vehicle}, {sheet.PrintedOn:yyyy-MM-dd}. {sheet.Fitting.Name}. Marked from {from}. {sheet.Verdict.Summary}: "
                + $"{sheet.Verdict.Reason}."
        );

        double left = Page.MarginMm,
            top = flow.Y,
            room = flow.Wide - 62;
        PanelBox box = sheet.Drawing.Bounds.Grown(8);
        double scale = Math.Min(room / box.WidthMm, DrawingHeightMm / box.HeightMm);
        flow.Page.Draw(
            sheet.Drawing,
            box.Centre,
            left + (room / 2),
            top + (DrawingHeightMm / 2),
            scale,
            new PanelBox(left, left + room, top, top + DrawingHeightMm)
        );
        OpeningPdf.Compass(flow.Page, sheet, left + flow.Wide - 24, top + 18);
        flow.Page.Text("Template pages", left + flow.Wide - 46, top + 42, 3);
        OpeningPdf.Map(flow.Page, tiling, null, left + flow.Wide - 46, top + 44);
        flow.Page.Text("Not to scale here.", left, top + DrawingHeightMm + 3, 2.8, colour: Page.Soft);

        flow.Y = top + DrawingHeightMm + 9;
        Lines(flow, sheet);
        foreach (string line in Figures(sheet))
            flow.Paragraph(line, 0, SizeMm);
        foreach (string warning in sheet.Warnings)
            flow.Paragraph("Mind: " + warning, 0, SizeMm, true, Page.Rust);
        Numbered(flow, "In order", [.. sheet.SettingOut.Order, .. sheet.SettingOut.View == ViewedFrom.Outside ? sheet.SettingOut.CutPath.HowTo : []]);
        Numbered(flow, "Cautions", sheet.Verdict.Cautions);
    }

    private static void Lines(Flow flow, OpeningSheet sheet)
    {
        double left = Page.MarginMm;
        double[] at = [left, left + 24, left + (flow.Wide * 0.5), left + flow.Wide];
        flow.Page.Text("Line", at[0], flow.Y, 3, true);
        flow.Page.Text("Hook the tape on", at[1], flow.Y, 3, true);
        flow.Page.Text("Tape reads", at[2], flow.Y, 3, true);
        flow.Page.Text("Set the straight-edge at", at[3], flow.Y, 3, true, align: SKTextAlign.Right);
        using SKPaint rule = Page.Pen(Page.Soft, 0.1);
        foreach (CutLine line in sheet.SettingOut.CutLines)
        {
            flow.Y += 5.2;
            flow.Page.Line(rule, left, flow.Y - 3.8, left + flow.Wide, flow.Y - 3.8);
            flow.Page.Text(SideName(line.Side, sheet.Facing), at[0], flow.Y, 3.4);
            flow.Page.TextWithin(line.Datum, at[1], flow.Y, at[2] - at[1] - 2, 3.4);
            flow.Page.Text(Ends(line.TapeFromMm, line.TapeToMm, sheet.Lengths), at[2], flow.Y, 3.4);
            flow.Page.Text(Ends(line.SetFromMm, line.SetToMm, sheet.Lengths), at[3], flow.Y, 3.4, true, align: SKTextAlign.Right);
        }
        flow.Y += 6;
    }

    private static IEnumerable<string> Figures(OpeningSheet sheet)
    {
        SettingOutSheet s = sheet.SettingOut;
        LengthFormat l = sheet.Lengths;
        CutLine first = s.CutLines[0];
        (string width, string height) = sheet.Facing.Ways();
        (string across, string along) = sheet.Facing.CentreLines();
        string Size(RoundedRectangle r) => $"{l.Text(r.WidthMm)} {width} by {l.Text(r.HeightMm)} {height}";
        yield return $"The tape reads {l.Text(first.TapeFromMm)}: set the straight-edge at {l.Text(first.SetFromMm)} (pencil offset "
            + $"included). Two figures: at the {EndNames(sheet.Facing)}.";
        yield return $"Cut-out {Size(s.CutOut)}, corner radius {l.Text(s.CutOut.CornerRadiusMm)}."
            + (
                l.Text(s.LinesWidthMm) == l.Text(s.CutOut.WidthMm) && l.Text(s.LinesHeightMm) == l.Text(s.CutOut.HeightMm)
                    ? ""
                    : $" The skin is curved: along it the lines lie {l.Text(s.LinesWidthMm)} {width} and {l.Text(s.LinesHeightMm)} "
                        + $"{height} apart, so that the frame finds its own size."
            );
        yield return $"Centre line {across}: {l.Text(s.AcrossLine.LowMm)} from {s.AcrossLine.LowDatum}, "
            + $"{l.Text(s.AcrossLine.HighMm)} from {s.AcrossLine.HighDatum}. Centre line {along}: {l.Text(s.AlongLine.LowMm)} from "
            + $"{s.AlongLine.LowDatum}, {l.Text(s.AlongLine.HighMm)} from {s.AlongLine.HighDatum}. From them to the lines: "
            + $"{l.Text(s.AcrossLine.HalfMm)} {width}, {l.Text(s.AlongLine.HalfMm)} {height}.";
        yield return $"Diagonals between the crossings of the lines: {l.Text(s.DiagonalMm)} both; between through-holes: "
            + $"{l.Text(s.ThroughDiagonalMm)} both; once cut, arc to arc: {l.Text(s.ArcDiagonalMm)} both.";
        yield return $"First cut: {Size(s.CutPath.Path)}. The frame fits holes from {l.Text(s.CutPath.LeastHole.WidthMm)} by "
            + $"{l.Text(s.CutPath.LeastHole.HeightMm)} to {l.Text(s.CutPath.MostHole.WidthMm)} by {l.Text(s.CutPath.MostHole.HeightMm)}.";
        yield return $"Start holes {s.StartHoles[0].Drill}; {s.ThroughHoles.Count} through-holes {s.ThroughHoles[0].Drill}"
            + (s.ScrewHoles.Count > 0 ? $"; {s.ScrewHoles.Count} pilot holes {s.ScrewHoles[0].Drill}." : ".");
    }

    private static void Numbered(Flow flow, string title, IReadOnlyList<string> items)
    {
        flow.Y += 3;
        flow.Keep(12);
        flow.Paragraph(title, 0, 3.6, true);
        for (int i = 0; i < items.Count; i++)
        {
            flow.Keep(0);
            flow.Page.Text($"{i + 1}", Page.MarginMm, flow.Y, SizeMm, true);
            flow.Paragraph(items[i], 6, SizeMm);
        }
    }

    private static string Ends(double a, double b, LengthFormat lengths) =>
        lengths.Text(a) == lengths.Text(b) ? lengths.Text(a) : $"{lengths.Text(a)} / {lengths.Text(b)}";

    private static string EndNames(Facing facing) =>
        facing switch
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
