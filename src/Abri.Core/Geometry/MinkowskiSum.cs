namespace Abri.Core.Geometry;

/// <summary>
/// Finds where the centre of a rectangle may not lie if the rectangle is to stay off an outline, or within one.
/// </summary>
/// <remarks>
/// The rectangle is given by how far it reaches from its centre to each side; the reaches need not be equal. It touches an
/// outline P exactly when its centre lies in the Minkowski sum of P with the reflected rectangle. That sum is the union of
/// P itself with the sums of its edges, each of which is the convex hull of two rectangles. (A centre outside P whose rectangle
/// meets P has P's edge within reach.) An outline holds the rectangle when the centre lies in P but in none of the edges' sums.
/// </remarks>
/// <example>A bow from s 560 to 620 and a cut-out reaching 238 mm to front and rear: the centre may not lie between 322 and 858.</example>
internal static class MinkowskiSum
{
    /// <summary>The centres whose rectangle touches the outline.</summary>
    /// <param name="outline">The outline that is to be kept clear of.</param>
    /// <param name="reach">How far the rectangle reaches from its centre, mm; each at least 0.</param>
    public static NetTopologySuite.Geometries.Geometry TouchedBy(IReadOnlyList<PanelPoint> outline, PerSide reach)
    {
        if (Outlines.IsConvex(outline))
            return HullOf(outline, reach);
        List<NetTopologySuite.Geometries.Geometry> parts = EdgeSums(outline, reach);
        parts.Add(Plane.Polygon(outline));
        return Plane.Union(parts);
    }

    /// <summary>The centres whose rectangle stays within the outline.</summary>
    /// <param name="outline">The outline that is to hold the rectangle.</param>
    /// <param name="reach">How far the rectangle reaches from its centre, mm; each at least 0.</param>
    public static NetTopologySuite.Geometries.Geometry HeldBy(IReadOnlyList<PanelPoint> outline, PerSide reach)
    {
        var box = PanelBox.Of(outline);
        if (outline.Count != 4 || Math.Abs(Outlines.SignedAreaMm2(outline)) < box.AreaMm2 - 1e-6)
            return Plane.Difference(Plane.Polygon(outline), Plane.Union(EdgeSums(outline, reach)));
        // A rectangle square to the panel simply shrinks.
        var held = new PanelBox(box.SMinMm + reach.FrontMm, box.SMaxMm - reach.RearMm, box.TMinMm + reach.BottomMm, box.TMaxMm - reach.TopMm);
        return held is { WidthMm: > 0, HeightMm: > 0 } ? Plane.Polygon(held) : Plane.Union([]);
    }

    private static List<NetTopologySuite.Geometries.Geometry> EdgeSums(IReadOnlyList<PanelPoint> outline, PerSide reach)
    {
        var sums = new List<NetTopologySuite.Geometries.Geometry>(outline.Count + 1);
        for (int i = 0; i < outline.Count; i++)
            sums.Add(HullOf([outline[i], outline[(i + 1) % outline.Count]], reach));
        return sums;
    }

    /// <summary>Sum of the convex hull of some points with the reflected rectangle.</summary>
    private static NetTopologySuite.Geometries.Geometry HullOf(IReadOnlyList<PanelPoint> points, PerSide reach)
    {
        var sums = new List<PanelPoint>(points.Count * 4);
        foreach (PanelPoint p in points)
        {
            // Reflected: a rectangle that reaches far to the rear must keep its centre far in front of the outline.
            sums.Add(p.Plus(-reach.RearMm, -reach.TopMm));
            sums.Add(p.Plus(reach.FrontMm, -reach.TopMm));
            sums.Add(p.Plus(reach.FrontMm, reach.BottomMm));
            sums.Add(p.Plus(-reach.RearMm, reach.BottomMm));
        }
        return Plane.Line(sums).ConvexHull();
    }
}
