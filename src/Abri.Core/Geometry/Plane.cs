using NetTopologySuite;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Implementation;
using NetTopologySuite.Operation.OverlayNG;

namespace Abri.Core.Geometry;

/// <summary>Bridges panel points and the polygons of NetTopologySuite, and does the robust overlays.</summary>
internal static class Plane
{
    private static readonly GeometryFactory Factory = new NtsGeometryServices(
        CoordinateArraySequenceFactory.Instance, new PrecisionModel(), -1, GeometryOverlay.NG, new CoordinateEqualityComparer())
        .CreateGeometryFactory();

    public static Polygon Polygon(IReadOnlyList<PanelPoint> points)
    {
        var ring = new Coordinate[points.Count + 1];
        for (int i = 0; i < points.Count; i++) ring[i] = new Coordinate(points[i].SMm, points[i].TMm);
        ring[^1] = ring[0].Copy();
        return Factory.CreatePolygon(ring);
    }

    public static Polygon Polygon(PanelBox box) => Polygon(box.Corners);

    public static LineString Line(IReadOnlyList<PanelPoint> points) =>
        Factory.CreateLineString([.. points.Select(p => new Coordinate(p.SMm, p.TMm))]);

    public static NetTopologySuite.Geometries.Geometry Union(IReadOnlyList<NetTopologySuite.Geometries.Geometry> parts) =>
        parts.Count == 0 ? Factory.CreatePolygon() : OverlayNGRobust.Union(Factory.BuildGeometry(parts));

    public static NetTopologySuite.Geometries.Geometry Difference(NetTopologySuite.Geometries.Geometry a, NetTopologySuite.Geometries.Geometry b) =>
        OverlayNGRobust.Overlay(a, b, NetTopologySuite.Operation.Overlay.SpatialFunction.Difference);

    /// <summary>The polygons of a result, in a fixed order: by front edge, then by lower edge.</summary>
    public static IReadOnlyList<RegionPart> Parts(NetTopologySuite.Geometries.Geometry geometry)
    {
        var parts = new List<RegionPart>();
        for (int i = 0; i < geometry.NumGeometries; i++)
        {
            if (geometry.GetGeometryN(i) is not Polygon { IsEmpty: false } polygon) continue;
            parts.Add(new RegionPart(Ring(polygon.ExteriorRing), [.. polygon.InteriorRings.Select(Ring)]));
        }
        return [.. parts.OrderBy(p => Math.Round(p.Box.SMinMm, 3)).ThenBy(p => Math.Round(p.Box.TMinMm, 3))];
    }

    private static PanelPoint[] Ring(LineString ring) =>
        [.. ring.Coordinates.Take(ring.NumPoints - 1).Select(c => new PanelPoint(c.X, c.Y))];
}
