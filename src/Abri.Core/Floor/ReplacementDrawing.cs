using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>Draws a replacement, and each new board, as seen from inside: whoever cuts stands on the floor.</summary>
public static class ReplacementDrawing
{
    /// <summary>How much of the floor is shown round the cut, mm.</summary>
    private const double RoundMm = 400;

    /// <summary>The floor round the cut with its bearers, the cut and the timbers that are let in.</summary>
    public static Drawing InPlace(FloorSite site, ReplacementPlan plan, string title)
    {
        PanelBox shown = PanelBox.Of(plan.Cut.SelectMany(c => c)).Grown(RoundMm);
        NetTopologySuite.Geometries.Geometry window = Plane.Polygon(shown);
        IEnumerable<DrawnLine> Shown(Layer layer, IReadOnlyList<PanelPoint> outline) =>
            Plane.Parts(Plane.Polygon(outline).Intersection(window).Each()).SelectMany(part => Ring(site.Panel, layer, part.Outline));
        return new Drawing(
            $"{title}, seen from inside",
            ViewedFrom.Inside,
            [
                .. Shown(Layer.Inner, site.Panel.Outline),
                .. site.Bearers.SelectMany(b => Shown(Layer.Datum, MemberOutline.Of(b.Footprint))),
                .. site.Members.Where(m => plan.Below.Contains(m.Name)).SelectMany(m => Shown(Layer.Flange, MemberOutline.Of(m.Footprint))),
                .. plan.Supports.SelectMany(s => Shown(Layer.Trim, MemberOutline.Of(new Footprint(FootprintShape.Spine, s.Line, s.WideMm)))),
                .. plan.Cut.SelectMany(c => Ring(site.Panel, Layer.Cut, c)),
            ],
            [],
            []
        );
    }

    /// <summary>A new board, its corner nearest to the front and to the paper's foot at (0, 0).</summary>
    public static Drawing Piece(Panel panel, FloorPiece piece)
    {
        PanelPoint[] paper = [.. piece.Outline.Select(p => OnPaper(panel, p))];
        PanelBox box = PanelBox.Of(paper);
        return new Drawing(
            $"{piece.Name}, upper face up",
            ViewedFrom.Inside,
            [.. Ring(Layer.Cut, [.. paper.Select(p => p.Plus(-box.SMinMm, -box.TMinMm))])],
            [],
            []
        );
    }

    /// <summary>A place on paper, mm: X to the right, Y up.</summary>
    public static PanelPoint OnPaper(Panel panel, PanelPoint p)
    {
        (double x, double y) = PanelView.Of(panel.Facing, ViewedFrom.Inside).ToPaper(p);
        return new PanelPoint(x, y);
    }

    private static IEnumerable<DrawnLine> Ring(Panel panel, Layer layer, IReadOnlyList<PanelPoint> ring) =>
        Ring(layer, [.. ring.Select(p => OnPaper(panel, p))]);

    private static IEnumerable<DrawnLine> Ring(Layer layer, IReadOnlyList<PanelPoint> points) =>
        points.Zip([.. points.Skip(1), points[0]], (a, b) => new DrawnLine(layer, a.SMm, a.TMm, b.SMm, b.TMm));
}
