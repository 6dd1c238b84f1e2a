using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Stages;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints the cut plan of a vehicle's boards: each sheet to scale, its pieces, and cut after cut the figure of the fence.</summary>
public static class BoardCutsPdf
{
    private const double SizeMm = 3.4,
        SheetHighMm = 85;

    /// <summary>The sheets.</summary>
    public static byte[] Write(string vehicle, BoardsToCut boards, LengthFormat lengths, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"{vehicle}: cut plan", Creator = "Abri" }))
        {
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
            {
                flow.Head("Cut plan", $"{vehicle}. Every cut runs from edge to edge; kerf {lengths.Text(boards.KerfMm)}. Grain runs to the right.");
                foreach (BoardGroup group in boards.Groups)
                {
                    flow.Paragraph($"{group.Material.Name()}, {lengths.Text(group.ThickMm)}: {group.Plan.Result.Verdict}", 0, SizeMm, true);
                    foreach (string warning in group.Plan.Warnings)
                        flow.Paragraph(warning, 0, SizeMm, true, Page.Rust);
                    foreach ((CutSheet sheet, int i) in group.Plan.Result.Sheets.Select((s, i) => (s, i)))
                        Sheet(flow, group, sheet, i + 1, lengths);
                }
                foreach (BoardsNotReady waits in boards.NotReady)
                    flow.Paragraph($"Not in the plan: {waits.Name}. {waits.Why}", 0, SizeMm, false, Page.Rust);
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    private static void Sheet(Flow flow, BoardGroup group, CutSheet sheet, int number, LengthFormat lengths)
    {
        CutStock stock = group.Stock[sheet.Stock];
        flow.Keep(SheetHighMm + 20);
        flow.Y += 4;
        string title = $"Sheet {number}: {stock.Name}, {lengths.Number(stock.LengthMm)} x {lengths.Text(stock.WidthMm)}";
        flow.Paragraph(title, 0, SizeMm, true);
        Laid laid = flow.Lay(CutSheetDrawing.Of(title, stock, sheet), SheetHighMm);
        flow.Y += 3;
        foreach ((CutPlace place, int i) in sheet.Places.Select((p, i) => (p, i)))
        {
            flow.Page.Text(
                $"{i + 1}",
                laid.X(place.AlongMm + (place.LengthMm / 2)),
                laid.Y(place.AcrossMm + (place.WidthMm / 2)) + 1.4,
                4,
                true,
                Page.Rust,
                SKTextAlign.Center
            );
            flow.Row($"{i + 1}  {group.Pieces[place.Piece].Name}", $"{lengths.Number(place.LengthMm)} x {lengths.Text(place.WidthMm)}", "");
        }
        flow.Y += 2;
        foreach (SawCut cut in sheet.Cuts)
            flow.Row(
                $"Cut {cut.Number}, {(cut.IsRip ? "rip" : "crosscut")}{(cut.AtShop ? ", at the shop" : "")}",
                $"{cut.Of}: fence at {lengths.Text(cut.FenceMm)}",
                $"{cut.First}{(cut.Second is { } second ? $"; {second}" : "; waste")}"
            );
        foreach ((CutOffcut offcut, int i) in sheet.Offcuts.Select((r, i) => (r, i)))
            flow.Row($"Offcut {i + 1}, kept", $"{lengths.Number(offcut.LengthMm)} x {lengths.Text(offcut.WidthMm)}", "");
    }
}
