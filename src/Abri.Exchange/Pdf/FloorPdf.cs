using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints what of a floor is cut out and the boards that go in, to scale, with what the tape reads.</summary>
public static class FloorPdf
{
    private const double SizeMm = 3.4,
        PlanHighMm = 110,
        BoardHighMm = 70;

    /// <summary>The sheets.</summary>
    public static byte[] Write(string vehicle, Replacement replacement, FloorSite site, ReplacementPlan plan, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(
                bytes,
                new SKDocumentPdfMetadata { Title = $"{vehicle}: {replacement.Name}, sheets", Creator = "Abri" }
            )
        )
        {
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
            {
                flow.Head(replacement.Name, $"{vehicle}. Seen from inside, standing on the floor.");
                flow.Paragraph(plan.Verdict, 0, SizeMm, true);
                PlanOf(flow, replacement, site, plan);
                Boards(flow, site, plan);
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    private static void PlanOf(Flow flow, Replacement replacement, FloorSite site, ReplacementPlan plan)
    {
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        Facing facing = site.Panel.Faces ?? Panel.FacingOf(site.Panel.Kind);
        Laid laid = flow.Lay(ReplacementDrawing.InPlace(site, plan, replacement.Name), PlanHighMm);
        foreach ((CutEdge edge, int i) in plan.Edges.Select((e, i) => (e, i)))
        {
            PanelPoint a = ReplacementDrawing.OnPaper(site.Panel, edge.Line[0]),
                b = ReplacementDrawing.OnPaper(site.Panel, edge.Line[1]);
            // Beside its line, inside the cut.
            bool upright = Math.Abs(a.SMm - b.SMm) < Math.Abs(a.TMm - b.TMm);
            flow.Page.Text(
                $"{i + 1}",
                laid.X((a.SMm + b.SMm) / 2) + (upright ? 3 : 0),
                laid.Y((a.TMm + b.TMm) / 2) + (upright ? 0 : 5),
                4,
                true,
                Page.Rust,
                SKTextAlign.Center
            );
        }
        flow.Page.Arrow(Page.MarginMm + 30, flow.Y + 4, -1, 0, "FRONT");
        flow.Y += 12;
        foreach ((CutEdge edge, int i) in plan.Edges.Select((e, i) => (e, i)))
        {
            flow.Row(
                $"{i + 1}  {facing.Name(edge.Side)}",
                edge.Tape,
                edge.Carried + (edge.BearsMm is { } bears ? $", {lengths.Text(bears)} each" : "")
            );
        }
        foreach (BoardCut board in plan.Boards.Where(b => b.Fate != BoardFate.Stays))
            flow.Row(board.Name, board.Fate == BoardFate.Out ? "all of it comes out" : "cut", $"saw set to {lengths.Text(board.SawDepthMm)}");
        foreach (IGrouping<(SupportKind, double), Support> timbers in plan.Supports.GroupBy(s => (s.Kind, Math.Round(s.LengthMm, 1))))
        {
            Support one = timbers.First();
            flow.Row(
                one.Kind switch
                {
                    SupportKind.Blocking => "Timber between bearers",
                    SupportKind.Sister => "Timber beside a bearer",
                    _ => "Bearer more",
                },
                $"{timbers.Count()} of {lengths.Text(one.LengthMm)}",
                $"{lengths.Number(one.WideMm)} x {lengths.Text(one.HighMm)}"
            );
        }
        flow.Y += 2;
        foreach (RottenMember member in plan.Members)
            flow.Paragraph($"{member.MemberName}: {member.Splice.Verdict}", 0, SizeMm);
        foreach (string below in plan.Below)
            flow.Paragraph($"Mind: {below} lies under a line of the cut, or close. Look from below first.", 0, SizeMm, true, Page.Rust);
    }

    private static void Boards(Flow flow, FloorSite site, ReplacementPlan plan)
    {
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        foreach (FloorPiece piece in plan.Pieces)
        {
            flow.Keep(BoardHighMm + 24);
            flow.Y += 4;
            string grain = piece.Grain == Grain.Lengthways ? "front to rear" : "side to side";
            flow.Paragraph(
                $"{piece.Name}: {lengths.Number(piece.LengthMm)} front to rear x {lengths.Text(piece.WidthMm)} side to side, "
                    + $"grain {grain}, upper face up",
                0,
                SizeMm,
                true
            );
            Laid laid = flow.Lay(ReplacementDrawing.Piece(site.Panel, piece), BoardHighMm);
            flow.Page.Arrow(Page.MarginMm + 30, flow.Y + 4, -1, 0, "FRONT");
            flow.Y += 10;
            if (piece.Outline.Count == 4 && Math.Abs(Outlines.SignedAreaMm2(piece.Outline)) > (piece.LengthMm * piece.WidthMm) - 1)
                continue;
            // Corner by corner from the front and the foot of the drawing: two figures that a square and a tape set out.
            PanelPoint[] paper = [.. piece.Outline.Select(p => ReplacementDrawing.OnPaper(site.Panel, p))];
            PanelBox box = PanelBox.Of(paper);
            foreach ((PanelPoint p, int i) in paper.Select((p, i) => (p.Plus(-box.SMinMm, -box.TMinMm), i)))
            {
                flow.Page.Text($"{i + 1}", laid.X(p.SMm) + 1, laid.Y(p.TMm) - 1, 3, true, Page.Rust);
                flow.Row($"Corner {i + 1}", $"{lengths.Text(p.SMm)} from its front", $"{lengths.Text(p.TMm)} from the edge at the foot");
            }
        }
    }
}
