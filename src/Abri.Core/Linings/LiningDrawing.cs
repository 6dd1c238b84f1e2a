using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Linings;

/// <summary>Draws a board of a lining with its holes, the seen face up: as somebody in the vehicle sees it.</summary>
public static class LiningDrawing
{
    /// <summary>The board; the corner that is at the left of the paper and at its foot at (0, 0).</summary>
    public static Drawing Of(Panel panel, LiningPlan plan, LiningBoard board)
    {
        PanelBox box = PanelBox.Of(board.Outline);
        var own = new PanelPoint(box.SMinMm, box.TMinMm);
        PanelPoint[] outline = [.. board.Outline.Select(p => OnPaper(panel, board, p.Plus(-own.SMm, -own.TMm)))];
        List<DrawnLine> lines = [.. Ring(Layer.Cut, outline)];
        List<DrawnArc> arcs = [];
        foreach (BoardHole hole in board.Holes)
        {
            LiningHole whole = plan.Holes[hole.Hole];
            Rounded(Layer.Cut, Turned(panel, board, hole.Box), hole.IsNotch ? 0 : whole.CornerMm, lines, arcs);
            if (hole.First != hole.Box)
                Rounded(Layer.Path, Turned(panel, board, hole.First), hole.IsNotch ? 0 : whole.FirstCornerMm, lines, arcs);
        }
        return new Drawing($"{board.Name}, seen face up", ViewedFrom.Inside, lines, arcs, []);
    }

    /// <summary>A place of a board, from its front and its lower (on a roof, right) edge, on paper, mm: X to the right, Y up.</summary>
    public static PanelPoint OnPaper(Panel panel, LiningBoard board, PanelPoint p)
    {
        var view = PanelView.Of(panel.Facing, ViewedFrom.Inside);
        return new PanelPoint(view.SSign > 0 ? p.SMm : board.LengthMm - p.SMm, view.TSign > 0 ? p.TMm : board.WidthMm - p.TMm);
    }

    private static PanelBox Turned(Panel panel, LiningBoard board, PanelBox box) => PanelBox.Of(box.Corners.Select(c => OnPaper(panel, board, c)));

    private static void Rounded(Layer layer, PanelBox box, double radius, List<DrawnLine> lines, List<DrawnArc> arcs)
    {
        double r = Math.Clamp(radius, 0, Math.Min(box.WidthMm, box.HeightMm) / 2);
        if (r == 0)
        {
            lines.AddRange(Ring(layer, box.Corners));
            return;
        }
        PanelBox inner = box.Grown(-r);
        lines.AddRange([
            new DrawnLine(layer, inner.SMinMm, box.TMinMm, inner.SMaxMm, box.TMinMm),
            new DrawnLine(layer, inner.SMinMm, box.TMaxMm, inner.SMaxMm, box.TMaxMm),
            new DrawnLine(layer, box.SMinMm, inner.TMinMm, box.SMinMm, inner.TMaxMm),
            new DrawnLine(layer, box.SMaxMm, inner.TMinMm, box.SMaxMm, inner.TMaxMm),
        ]);
        // In the order of the corners, from front bottom.
        arcs.AddRange(inner.Corners.Zip(new double[] { 180, 270, 0, 90 }, (c, from) => new DrawnArc(layer, c.SMm, c.TMm, r, from, from + 90)));
    }

    private static IEnumerable<DrawnLine> Ring(Layer layer, PanelPoint[] points) =>
        points.Zip([.. points.Skip(1), points[0]], (a, b) => new DrawnLine(layer, a.SMm, a.TMm, b.SMm, b.TMm));
}
