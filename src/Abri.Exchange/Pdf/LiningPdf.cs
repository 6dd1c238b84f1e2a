using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Shell;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints the boards of a lining to scale, with where each hole begins and ends from the board's own edges.</summary>
public static class LiningPdf
{
    private const double SizeMm = 3.4,
        BoardHighMm = 95;

    /// <summary>The sheets.</summary>
    public static byte[] Write(string vehicle, Lining lining, LiningSite site, LiningPlan plan, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"{vehicle}: {lining.Name}, sheets", Creator = "Abri" })
        )
        {
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
            {
                flow.Head(
                    lining.Name,
                    $"{vehicle}. The face that is seen lies up; fine lines are cut first, full ones are marked from the hole in the skin."
                );
                flow.Paragraph(plan.Verdict, 0, SizeMm, true);
                foreach (LiningBoard board in plan.Boards)
                    Board(flow, site, plan, board);
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    private static void Board(Flow flow, LiningSite site, LiningPlan plan, LiningBoard board)
    {
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        Facing facing = site.Panel.Faces ?? Panel.FacingOf(site.Panel.Kind);
        (string width, string height) = facing.Ways();
        flow.Keep(BoardHighMm + 24);
        flow.Y += 4;
        flow.Paragraph($"{board.Name}: {lengths.Number(board.LengthMm)} {width} x {lengths.Text(board.WidthMm)} {height}", 0, SizeMm, true);
        Laid laid = flow.Lay(LiningDrawing.Of(site.Panel, plan, board), BoardHighMm);
        bool frontLeft = PanelView.Of(facing, ViewedFrom.Inside).SSign > 0;
        if (facing is not (Facing.Front or Facing.Rear))
            flow.Page.Arrow(Page.MarginMm + (frontLeft ? 30 : 20), flow.Y + 4, frontLeft ? -1 : 1, 0, "FRONT");
        flow.Y += 10;
        foreach (BoardHole hole in board.Holes)
        {
            LiningHole whole = plan.Holes[hole.Hole];
            PanelPoint middle = LiningDrawing.OnPaper(site.Panel, board, hole.Box.Centre);
            flow.Page.Text($"{hole.Hole + 1}", laid.X(middle.SMm), laid.Y(middle.TMm), 4, true, Page.Rust, SKTextAlign.Center);
            string From(Side side, double from, double to) => $"{lengths.Number(from)} to {lengths.Text(to)} from its {facing.Name(side)} edge";
            flow.Row(
                $"{hole.Hole + 1}  {whole.Opening}, first",
                From(Side.Front, hole.First.SMinMm, hole.First.SMaxMm),
                From(Side.Bottom, hole.First.TMinMm, hole.First.TMaxMm)
            );
            flow.Row(
                "   to the line, about",
                From(Side.Front, hole.Box.SMinMm, hole.Box.SMaxMm),
                From(Side.Bottom, hole.Box.TMinMm, hole.Box.TMaxMm)
            );
            flow.Row(
                "   skin to finished face",
                lengths.Text(whole.DepthMm),
                whole.CornerMm > 0 ? $"corners {lengths.Text(whole.CornerMm)}, first {lengths.Text(whole.FirstCornerMm)}" : "square corners"
            );
        }
        if (Math.Abs(Outlines.SignedAreaMm2(board.Outline)) > (board.LengthMm * board.WidthMm) - 1)
            return;
        // Corner by corner from the board's own edges: two figures that a square and a tape set out.
        PanelBox box = PanelBox.Of(board.Outline);
        foreach ((PanelPoint p, int i) in board.Outline.Select((p, i) => (p.Plus(-box.SMinMm, -box.TMinMm), i)))
        {
            PanelPoint at = LiningDrawing.OnPaper(site.Panel, board, p);
            flow.Page.Text($"{(char)('A' + (i % 26))}", laid.X(at.SMm) + 1, laid.Y(at.TMm) - 1, 3, true, Page.Rust);
            flow.Row(
                $"Corner {(char)('A' + (i % 26))}",
                $"{lengths.Text(p.SMm)} from its {facing.Name(Side.Front)} edge",
                $"{lengths.Text(p.TMm)} from its {facing.Name(Side.Bottom)} edge"
            );
        }
    }
}
