using NetTopologySuite.Operation.Valid;

namespace Abri.Core.Geometry;

/// <summary>Questions about a closed outline given by its corners, the last one joined to the first.</summary>
public static class Outlines
{
    /// <summary>Pieces smaller than this come from rounding, mm2.</summary>
    private const double SliverMm2 = 1e-6;

    /// <summary>Area, mm2: positive when the corners run anticlockwise with s to the right and t up.</summary>
    public static double SignedAreaMm2(IReadOnlyList<PanelPoint> outline)
    {
        double twice = 0;
        for (int i = 0; i < outline.Count; i++)
        {
            PanelPoint a = outline[i],
                b = outline[(i + 1) % outline.Count];
            twice += (a.SMm * b.TMm) - (b.SMm * a.TMm);
        }
        return twice / 2;
    }

    /// <summary>Length of a line through points, mm.</summary>
    public static double LengthMm(IReadOnlyList<PanelPoint> line) => line.Zip(line.Skip(1), (a, b) => a.DistanceMm(b)).Sum();

    /// <summary>Whether a point lies inside; on the edge it may come out either way.</summary>
    public static bool Encloses(IReadOnlyList<PanelPoint> outline, PanelPoint p)
    {
        bool inside = false;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            PanelPoint a = outline[i],
                b = outline[j];
            if (a.TMm > p.TMm != b.TMm > p.TMm && p.SMm < ((b.SMm - a.SMm) * (p.TMm - a.TMm) / (b.TMm - a.TMm)) + a.SMm)
                inside = !inside;
        }
        return inside;
    }

    /// <summary>Distance of a point from the edge, mm.</summary>
    public static double DistanceToEdgeMm(IReadOnlyList<PanelPoint> outline, PanelPoint p)
    {
        double nearest = double.PositiveInfinity;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
            nearest = Math.Min(nearest, DistanceToSegmentMm(outline[j], outline[i], p));
        return nearest;
    }

    /// <summary>
    /// Cuts an outline down to a rectangle, by clipping against its four edges in turn (Sutherland and Hodgman 1974).
    /// </summary>
    /// <remarks>
    /// For convex outlines. A concave one may come out with parts joined along the rectangle's edge, even where it only lies round the rectangle: ask
    /// its
    /// <see cref="ConvexPieces"/>.
    /// </remarks>
    public static IReadOnlyList<PanelPoint> ClippedTo(IReadOnlyList<PanelPoint> outline, PanelBox box)
    {
        IReadOnlyList<PanelPoint> kept = outline;
        kept = Clip(kept, p => p.SMm - box.SMinMm);
        kept = Clip(kept, p => box.SMaxMm - p.SMm);
        kept = Clip(kept, p => p.TMm - box.TMinMm);
        return Clip(kept, p => box.TMaxMm - p.TMm);
    }

    /// <summary>Whether an outline turns the same way at every corner.</summary>
    public static bool IsConvex(IReadOnlyList<PanelPoint> outline)
    {
        int turns = 0;
        for (int i = 0; i < outline.Count; i++)
        {
            double cross = Cross(outline[i], outline[(i + 1) % outline.Count], outline[(i + 2) % outline.Count]);
            if (cross == 0)
                continue;
            if (turns != 0 && Math.Sign(cross) != turns)
                return false;
            turns = Math.Sign(cross);
        }
        return true;
    }

    /// <summary>Convex pieces that make up an outline: itself where it is convex, triangles otherwise.</summary>
    internal static IReadOnlyList<IReadOnlyList<PanelPoint>> ConvexPieces(IReadOnlyList<PanelPoint> outline) =>
        IsConvex(outline) ? [outline] : Plane.Triangles(Plane.Polygon(outline));

    /// <summary>What a convex outline leaves of another, in convex pieces that do not overlap: what lies outside its first edge, outside its second
    /// but inside its first, and so on.</summary>
    internal static IEnumerable<PanelPoint[]> ConvexLess(PanelPoint[] outline, PanelPoint[] less)
    {
        int turn = Math.Sign(SignedAreaMm2(less));
        IReadOnlyList<PanelPoint> inside = outline;
        for (int i = 0; i < less.Length && inside.Count > 0; i++)
        {
            PanelPoint a = less[i],
                b = less[(i + 1) % less.Length];
            List<PanelPoint> outside = Clip(inside, p => -turn * Cross(a, b, p));
            if (Math.Abs(SignedAreaMm2(outside)) > SliverMm2)
                yield return [.. outside];
            inside = Clip(inside, p => turn * Cross(a, b, p));
        }
    }

    /// <summary>Says what is wrong with an outline, or null: it needs three corners that are not in line, and must not cross itself.</summary>
    /// <param name="outline">The corners.</param>
    /// <param name="pointer">JSON pointer to it, for the message.</param>
    public static Problem? Check(IReadOnlyList<PanelPoint> outline, string pointer)
    {
        if (outline.Count < 3)
            return new Problem("outline-too-few-points", pointer, "An outline needs at least 3 corners.");
        var valid = new IsValidOp(Plane.Polygon(outline));
        if (valid.ValidationError is { } error)
        {
            string where = error.Coordinate is { } c ? $" near s {c.X:0.#} mm, t {c.Y:0.#} mm" : "";
            return new Problem(
                "outline-crosses-itself",
                pointer,
                $"The outline crosses or touches itself{where}. Give the corners in order round the edge."
            );
        }
        return Math.Abs(SignedAreaMm2(outline)) < 1
            ? new Problem("outline-without-area", pointer, "The corners of the outline lie in one line. Give corners that enclose an area.")
            : null;
    }

    /// <summary>Twice the area of the triangle of three points: positive when they turn anticlockwise.</summary>
    private static double Cross(PanelPoint a, PanelPoint b, PanelPoint c) =>
        ((b.SMm - a.SMm) * (c.TMm - b.TMm)) - ((b.TMm - a.TMm) * (c.SMm - b.SMm));

    private static List<PanelPoint> Clip(IReadOnlyList<PanelPoint> outline, Func<PanelPoint, double> inside)
    {
        var kept = new List<PanelPoint>(outline.Count + 4);
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            PanelPoint a = outline[j],
                b = outline[i];
            double da = inside(a),
                db = inside(b);
            if (da < 0 != db < 0)
            {
                double share = da / (da - db);
                kept.Add(new PanelPoint(a.SMm + ((b.SMm - a.SMm) * share), a.TMm + ((b.TMm - a.TMm) * share)));
            }
            if (db >= 0)
                kept.Add(b);
        }
        return kept;
    }

    private static double DistanceToSegmentMm(PanelPoint a, PanelPoint b, PanelPoint p)
    {
        double ds = b.SMm - a.SMm,
            dt = b.TMm - a.TMm,
            length2 = (ds * ds) + (dt * dt);
        double along = length2 == 0 ? 0 : Math.Clamp((((p.SMm - a.SMm) * ds) + ((p.TMm - a.TMm) * dt)) / length2, 0, 1);
        return p.DistanceMm(new PanelPoint(a.SMm + (along * ds), a.TMm + (along * dt)));
    }
}
