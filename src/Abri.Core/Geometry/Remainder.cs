using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Abri.Core.Geometry;

/// <summary>
/// Finds what is left of an area when other areas are taken from it.
/// </summary>
/// <remarks>
/// The answer is that of one overlay by NetTopologySuite of the whole with the union of all that is taken; most roofs can be had for less.
/// A rectangle is first cut apart where a taken rectangle spans it, as bows do. Taken areas that meet nothing else become holes as they are. Of the
/// others, those that touch nothing that is left cannot bound it and are left out: what is left is known beforehand, cut into convex pieces, by
/// subtracting the convex ones from one another. Leaving them out may add parts elsewhere; parts that lie in none of the pieces are dropped again.
/// </remarks>
/// <example>A panel 2600 x 1700 less three bows right across it leaves four rectangles, without any overlay.</example>
internal static class Remainder
{
    /// <summary>Pieces and areas nearer than this count as touching, mm: wide against rounding, narrow against metal.</summary>
    private const double TouchMm = 1e-3;

    /// <summary>The parts that are left, from front to rear.</summary>
    /// <param name="whole">What is taken from.</param>
    /// <param name="taken">What is taken; the areas may meet one another.</param>
    public static IReadOnlyList<RegionPart> Of(Area whole, IReadOnlyList<Area> taken)
    {
        var left = new List<Area>();
        Along(whole, taken, left);
        return Plane.Parts(left);
    }

    /// <summary>Cuts a rectangle apart where a taken rectangle spans it from side to side.</summary>
    private static void Along(Area whole, IReadOnlyList<Area> taken, List<Area> left)
    {
        Envelope around = whole.EnvelopeInternal;
        if (!whole.IsRectangle)
        {
            Within(whole, taken, left);
            return;
        }
        double from = around.MinX;
        IEnumerable<Envelope> bows = taken
            .Where(a => a.IsRectangle)
            .Select(a => a.EnvelopeInternal)
            .Where(b => b.MinY <= around.MinY && b.MaxY >= around.MaxY)
            .OrderBy(b => b.MinX)
            .Append(new Envelope(around.MaxX, around.MaxX, 0, 0));
        foreach (Envelope bow in bows)
        {
            // Bows may lie beyond either end of what is cut apart: an opening that keeps clear of the rear edge has its region end before them.
            double to = Math.Min(bow.MinX, around.MaxX);
            if (to > from)
            {
                var bay = new Envelope(from, to, around.MinY, around.MaxY);
                Within(whole.Factory.ToGeometry(bay), [.. taken.Where(a => Overlap(a.EnvelopeInternal, bay))], left);
            }
            from = Math.Max(from, bow.MaxX);
        }
    }

    private static void Within(Area whole, IReadOnlyList<Area> taken, List<Area> left)
    {
        Area[] alone = [.. taken.Where(a => whole.IsRectangle && a is Polygon { NumInteriorRings: 0 } && StandsAlone(a, whole, taken))];
        Area[] meeting = [.. taken.Except(alone, ReferenceEqualityComparer.Instance).Cast<Area>()];
        IEnumerable<Area> parts = meeting.Length == 0 ? [whole] : Overlaid(whole, meeting);
        foreach (Polygon part in parts.OfType<Polygon>())
        {
            LinearRing[] holes = [.. alone.Where(a => part.Covers(a.Factory.CreatePoint(a.Coordinate))).Select(a => ((Polygon)a).Shell)];
            left.Add(holes.Length == 0 ? part : part.Factory.CreatePolygon(part.Shell, [.. part.Holes, .. holes]));
        }
    }

    private static bool StandsAlone(Area area, Area whole, IReadOnlyList<Area> taken)
    {
        Envelope own = area.EnvelopeInternal,
            edge = whole.EnvelopeInternal;
        return own.MinX > edge.MinX
            && own.MaxX < edge.MaxX
            && own.MinY > edge.MinY
            && own.MaxY < edge.MaxY
            && taken.All(other => ReferenceEquals(other, area) || !other.EnvelopeInternal.Intersects(own));
    }

    private static IEnumerable<Area> Overlaid(Area whole, Area[] taken)
    {
        PanelPoint[] outline = Corners(whole);
        if (!Outlines.IsConvex(outline) || whole is not Polygon { NumInteriorRings: 0 })
            return Plane.Difference(whole, Plane.Union(taken)).Each();
        List<PanelPoint[]> pieces = Pieces(outline, taken);
        Area[] bounding = [.. taken.Where(a => pieces.Any(p => Near(PanelBox.Of(p), a.EnvelopeInternal) && Plane.Polygon(p).Distance(a) < TouchMm))];
        return Plane
            .Difference(whole, Plane.Union(bounding))
            .Each()
            .Where(part => !part.IsEmpty && pieces.Any(piece => Holds(piece, part.InteriorPoint.Coordinate)));
    }

    /// <summary>What the convex areas leave of a convex outline, in convex pieces that do not overlap.</summary>
    private static List<PanelPoint[]> Pieces(PanelPoint[] outline, Area[] taken)
    {
        List<PanelPoint[]> pieces = [outline];
        foreach (PanelPoint[] area in taken.Where(a => a is Polygon { NumInteriorRings: 0 }).Select(Corners).Where(Outlines.IsConvex))
        {
            var around = PanelBox.Of(area);
            pieces = [.. pieces.SelectMany(piece => PanelBox.Of(piece).Overlaps(around) ? Outlines.ConvexLess(piece, area) : [piece])];
        }
        return pieces;
    }

    private static PanelPoint[] Corners(Area area) => [.. area.Coordinates.Skip(1).Select(c => new PanelPoint(c.X, c.Y))];

    private static bool Holds(PanelPoint[] piece, Coordinate c)
    {
        var p = new PanelPoint(c.X, c.Y);
        return Outlines.Encloses(piece, p) || Outlines.DistanceToEdgeMm(piece, p) < TouchMm;
    }

    private static bool Near(PanelBox box, Envelope area) =>
        box.SMinMm < area.MaxX + TouchMm && box.SMaxMm > area.MinX - TouchMm && box.TMinMm < area.MaxY + TouchMm && box.TMaxMm > area.MinY - TouchMm;

    private static bool Overlap(Envelope a, Envelope b) => a.MinX < b.MaxX && a.MaxX > b.MinX && a.MinY < b.MaxY && a.MaxY > b.MinY;
}
