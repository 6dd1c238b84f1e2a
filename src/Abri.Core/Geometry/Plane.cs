using NetTopologySuite;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Implementation;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.OverlayNG;
using NetTopologySuite.Triangulate.Polygon;

namespace Abri.Core.Geometry;

/// <summary>Bridges panel points and the polygons of NetTopologySuite, and does the robust overlays.</summary>
internal static class Plane
{
    /// <summary>Pieces of a quarter circle: a corner of 300 mm lies at most 0.4 mm too far out.</summary>
    private const int CornerPieces = 16;

    private static readonly GeometryFactory Factory = new NtsGeometryServices(
        CoordinateArraySequenceFactory.Instance,
        new PrecisionModel(),
        -1,
        GeometryOverlay.NG,
        new CoordinateEqualityComparer()
    ).CreateGeometryFactory();

    /// <summary>Corners that are nearer to the one before are one with it, mm: between them a line has no direction.</summary>
    private const double SameCornerMm = 1e-9;

    public static Polygon Polygon(IReadOnlyList<PanelPoint> points)
    {
        PanelPoint[] apart = [.. points.Where((p, i) => p.DistanceMm(points[i == 0 ? points.Count - 1 : i - 1]) >= SameCornerMm)];
        // What has no area at all is left as it is: whoever checks it says so.
        if (apart.Length >= 3)
            points = apart;
        var ring = new Coordinate[points.Count + 1];
        for (int i = 0; i < points.Count; i++)
            ring[i] = new Coordinate(points[i].SMm, points[i].TMm);
        ring[^1] = ring[0].Copy();
        return Factory.CreatePolygon(ring);
    }

    public static Polygon Polygon(RegionPart part) =>
        Factory.CreatePolygon((LinearRing)Polygon(part.Outline).ExteriorRing, [.. part.Holes.Select(h => (LinearRing)Polygon(h).ExteriorRing)]);

    public static Polygon Polygon(PanelBox box) => Polygon(box.Corners);

    public static LineString Line(IReadOnlyList<PanelPoint> points) =>
        Factory.CreateLineString([.. points.Select(p => new Coordinate(p.SMm, p.TMm))]);

    /// <summary>The union of areas. Only areas whose rectangles meet are overlaid with one another; most members of a roof stand apart.</summary>
    public static NetTopologySuite.Geometries.Geometry Union(IReadOnlyList<NetTopologySuite.Geometries.Geometry> parts)
    {
        var joined = new List<NetTopologySuite.Geometries.Geometry>();
        foreach (List<NetTopologySuite.Geometries.Geometry> group in Meeting(parts))
        {
            NetTopologySuite.Geometries.Geometry area = group.Count == 1 ? group[0] : OverlayNGRobust.Union(Factory.BuildGeometry(group));
            joined.AddRange(area.Each());
        }
        return joined.Count == 0 ? Factory.CreatePolygon() : Factory.BuildGeometry(joined);
    }

    /// <summary>Groups of areas that are linked by rectangles that meet or touch.</summary>
    private static List<List<NetTopologySuite.Geometries.Geometry>> Meeting(IReadOnlyList<NetTopologySuite.Geometries.Geometry> parts)
    {
        var groups = new List<(Envelope Around, List<NetTopologySuite.Geometries.Geometry> Areas)>();
        foreach (NetTopologySuite.Geometries.Geometry part in parts)
        {
            (Envelope Around, List<NetTopologySuite.Geometries.Geometry> Areas) own = (part.EnvelopeInternal.Copy(), [part]);
            // A group that grows may come to meet another: look again until none does.
            for (
                int met = groups.FindIndex(g => g.Around.Intersects(own.Around));
                met >= 0;
                met = groups.FindIndex(g => g.Around.Intersects(own.Around))
            )
            {
                own.Around.ExpandToInclude(groups[met].Around);
                own.Areas.AddRange(groups[met].Areas);
                groups.RemoveAt(met);
            }
            groups.Add(own);
        }
        return [.. groups.Select(g => g.Areas)];
    }

    public static NetTopologySuite.Geometries.Geometry Difference(NetTopologySuite.Geometries.Geometry a, NetTopologySuite.Geometries.Geometry b) =>
        OverlayNGRobust.Overlay(a, b, NetTopologySuite.Operation.Overlay.SpatialFunction.Difference);

    /// <summary>An area with everything nearer to it than a distance: round corners as polygons that lie nowhere inside the true one.</summary>
    public static NetTopologySuite.Geometries.Geometry Grown(NetTopologySuite.Geometries.Geometry area, double byMm) =>
        area.Buffer(byMm / Math.Cos(Math.PI / (4 * CornerPieces)), CornerPieces);

    /// <summary>An area with everything nearer to it than a distance, or without what is nearer to its edge; corners stay sharp.</summary>
    public static NetTopologySuite.Geometries.Geometry Square(NetTopologySuite.Geometries.Geometry area, double byMm) =>
        area.Buffer(byMm, new BufferParameters(CornerPieces, EndCapStyle.Flat, JoinStyle.Mitre, 5));

    /// <summary>An area cut into triangles.</summary>
    public static IReadOnlyList<IReadOnlyList<PanelPoint>> Triangles(NetTopologySuite.Geometries.Geometry area) =>
        [
            .. ConstrainedDelaunayTriangulator
                .Triangulate(area)
                .Each()
                .Select(triangle => (IReadOnlyList<PanelPoint>)[.. triangle.Coordinates.Take(3).Select(c => new PanelPoint(c.X, c.Y))]),
        ];

    /// <summary>The polygons of a result, in a fixed order: by front edge, then by lower edge.</summary>
    public static IReadOnlyList<RegionPart> Parts(IEnumerable<NetTopologySuite.Geometries.Geometry> areas) =>
        [
            .. areas
                .OfType<Polygon>()
                .Where(p => !p.IsEmpty)
                .Select(p => new RegionPart(Ring(p.ExteriorRing), [.. p.InteriorRings.Select(Ring)]))
                .OrderBy(p => Math.Round(p.Box.SMinMm, 3))
                .ThenBy(p => Math.Round(p.Box.TMinMm, 3)),
        ];

    /// <summary>The single areas of a collection.</summary>
    public static IEnumerable<NetTopologySuite.Geometries.Geometry> Each(this NetTopologySuite.Geometries.Geometry geometry) =>
        Enumerable.Range(0, geometry.NumGeometries).Select(geometry.GetGeometryN);

    private static PanelPoint[] Ring(LineString ring) => [.. ring.Coordinates.Take(ring.NumPoints - 1).Select(c => new PanelPoint(c.X, c.Y))];
}
