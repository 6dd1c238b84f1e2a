using Abri.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Simplify;
using SkiaSharp;

namespace Abri.Exchange;

/// <summary>Breaks curves into short straight edges, because an outline here has straight ones.</summary>
internal static class FlatCurves
{
    /// <summary>How far an edge may be from the curve, mm: assumption, less than anyone can mark.</summary>
    public const double WithinMm = 0.05;

    /// <summary>Points on an arc, both ends among them, mm.</summary>
    /// <param name="centre">Its centre.</param>
    /// <param name="radiusMm">Its radius, mm.</param>
    /// <param name="startDeg">Where it starts, degrees from the X axis.</param>
    /// <param name="sweepDeg">How far it goes, degrees, anticlockwise where positive.</param>
    public static IEnumerable<PanelPoint> Arc(PanelPoint centre, double radiusMm, double startDeg, double sweepDeg)
    {
        double step = radiusMm > WithinMm ? 2 * Math.Acos(1 - (WithinMm / radiusMm)) * 180 / Math.PI : 90;
        int pieces = Math.Clamp((int)Math.Ceiling(Math.Abs(sweepDeg) / step), 1, 360);
        return Enumerable
            .Range(0, pieces + 1)
            .Select(i => (startDeg + (sweepDeg * i / pieces)) * Math.PI / 180)
            .Select(a => centre.Plus(radiusMm * Math.Cos(a), radiusMm * Math.Sin(a)));
    }

    /// <summary>The parts of a path, each with its points and whether it is closed.</summary>
    /// <param name="path">The path.</param>
    /// <param name="unitMm">Length of one of its units, mm.</param>
    public static List<(List<PanelPoint> Points, bool Closed)> PartsOf(SKPath path, double unitMm)
    {
        var parts = new List<(List<PanelPoint> Points, bool Closed)>();
        using SKPath.RawIterator steps = path.CreateRawIterator();
        var four = new SKPoint[4];
        for (SKPathVerb verb = steps.Next(four); verb != SKPathVerb.Done; verb = steps.Next(four))
        {
            if (verb == SKPathVerb.Move)
            {
                parts.Add(([At(four[0])], false));
                continue;
            }
            if (parts.Count == 0)
                continue;
            if (verb == SKPathVerb.Close)
                parts[^1] = (parts[^1].Points, true);
            else
                parts[^1].Points.AddRange(Points(verb, four, steps.ConicWeight(), unitMm).Select(At));
        }
        return [.. parts.Select(p => Tidy(p.Points, p.Closed, unitMm)).Where(p => p.Points.Count > 1)];
    }

    private static PanelPoint At(SKPoint p) => new(p.X, p.Y);

    private static List<SKPoint> Points(SKPathVerb verb, SKPoint[] p, float weight, double unitMm)
    {
        if (verb == SKPathVerb.Line)
            return [p[1]];
        SKPoint a = p[0],
            b = p[1],
            c = p[2],
            d = p[3];
        Func<float, SKPoint> curve = verb switch
        {
            SKPathVerb.Quad => q => Sum(a, (1 - q) * (1 - q), b, 2 * q * (1 - q), c, q * q),
            SKPathVerb.Conic => q => Conic(q),
            _ => q => Sum(Sum(a, (1 - q) * (1 - q) * (1 - q), b, 3 * q * (1 - q) * (1 - q), c, 3 * q * q * (1 - q)), 1, d, q * q * q, default, 0),
        };
        SKPoint Conic(float q)
        {
            float w0 = (1 - q) * (1 - q),
                w1 = 2 * q * (1 - q) * weight,
                w2 = q * q,
                all = w0 + w1 + w2;
            return Sum(a, w0 / all, b, w1 / all, c, w2 / all);
        }
        int pieces = 1;
        while (
            pieces < 256
            && Enumerable
                .Range(0, pieces)
                .Any(i => Off(curve((float)i / pieces), curve((i + 0.5f) / pieces), curve((i + 1f) / pieces)) * unitMm > WithinMm / 2)
        )
            pieces *= 2;
        return [.. Enumerable.Range(1, pieces).Select(i => curve((float)i / pieces))];
    }

    private static SKPoint Sum(SKPoint a, float u, SKPoint b, float v, SKPoint c, float w) =>
        new((a.X * u) + (b.X * v) + (c.X * w), (a.Y * u) + (b.Y * v) + (c.Y * w));

    private static float Off(SKPoint a, SKPoint middle, SKPoint b) => SKPoint.Distance(middle, new SKPoint((a.X + b.X) / 2, (a.Y + b.Y) / 2));

    /// <summary>Leaves out points that lie on the line between their neighbours, and the last one where it is the first again.</summary>
    private static (List<PanelPoint> Points, bool Closed) Tidy(List<PanelPoint> points, bool closed, double unitMm)
    {
        double within = WithinMm / 2 / unitMm;
        bool back = points.Count > 3 && points[0].DistanceMm(points[^1]) < within;
        if (closed && !back && points.Count > 2)
            points = [.. points, points[0]];
        closed |= back;
        if (points.Count > 3)
            points =
            [
                .. DouglasPeuckerSimplifier
                    .Simplify(new LineString([.. points.Select(p => new Coordinate(p.SMm, p.TMm))]), within)
                    .Coordinates.Select(c => new PanelPoint(c.X, c.Y)),
            ];
        return (closed && points.Count > 3 ? points[..^1] : points, closed);
    }
}
