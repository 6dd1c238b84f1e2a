using Abri.Core.Geometry;
using NetTopologySuite.Operation.Buffer;

namespace Abri.Core.Shell;

/// <summary>Finds the edge of the area that a member takes up.</summary>
/// <remarks>
/// A spine of two points gives a rectangle. A longer spine is widened with square ends and mitred corners; one that is bent so
/// sharply that it closes on itself keeps its outer edge only.
/// </remarks>
public static class MemberOutline
{
    /// <summary>The corners of the edge, in order.</summary>
    public static IReadOnlyList<PanelPoint> Of(Footprint footprint)
    {
        if (footprint.Shape == FootprintShape.Polygon)
            return footprint.Points;
        return footprint.Points.Count == 2 ? Strip(footprint.Points[0], footprint.Points[1], footprint.WidthMm) : Widened(footprint);
    }

    private static PanelPoint[] Strip(PanelPoint a, PanelPoint b, double widthMm)
    {
        double ds = b.SMm - a.SMm,
            dt = b.TMm - a.TMm,
            length = a.DistanceMm(b);
        double ns = -dt / length * widthMm / 2,
            nt = ds / length * widthMm / 2;
        return [a.Plus(-ns, -nt), b.Plus(-ns, -nt), b.Plus(ns, nt), a.Plus(ns, nt)];
    }

    private static IReadOnlyList<PanelPoint> Widened(Footprint footprint)
    {
        var square = new BufferParameters(0, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var area = BufferOp.Buffer(Plane.Line(footprint.Points), footprint.WidthMm / 2, square);
        return Plane.Parts(area.Each())[0].Outline;
    }
}
