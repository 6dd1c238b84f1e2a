using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>One side of a rectangle, seen along the way out: so that front, rear, left and right are asked in the same words.</summary>
/// <param name="Side">Which side.</param>
internal readonly record struct Edge(Side Side)
{
    /// <summary>All four.</summary>
    public static Edge[] All { get; } = [new(Side.Front), new(Side.Rear), new(Side.Top), new(Side.Bottom)];

    /// <summary>Whether the edge runs across the vehicle, so that its place is a station s.</summary>
    public bool IsStation => Side is Side.Front or Side.Rear;

    /// <summary>1 where the figure grows outwards, else -1.</summary>
    public int Out => Side is Side.Rear or Side.Top ? 1 : -1;

    /// <summary>The same edge on the other side.</summary>
    public Edge Opposite =>
        new(
            Side switch
            {
                Side.Front => Side.Rear,
                Side.Rear => Side.Front,
                Side.Top => Side.Bottom,
                _ => Side.Top,
            }
        );

    /// <summary>Place of a point along the way out, mm.</summary>
    public double Place(PanelPoint p) => IsStation ? p.SMm : p.TMm;

    /// <summary>Place of a point along the edge, mm.</summary>
    public double Along(PanelPoint p) => IsStation ? p.TMm : p.SMm;

    /// <summary>Place of this side of a rectangle, mm.</summary>
    public double Of(PanelBox box) =>
        Side switch
        {
            Side.Front => box.SMinMm,
            Side.Rear => box.SMaxMm,
            Side.Top => box.TMaxMm,
            _ => box.TMinMm,
        };

    /// <summary>A rectangle with this side somewhere else.</summary>
    public PanelBox With(PanelBox box, double placeMm) =>
        Side switch
        {
            Side.Front => box with { SMinMm = placeMm },
            Side.Rear => box with { SMaxMm = placeMm },
            Side.Top => box with { TMaxMm = placeMm },
            _ => box with { TMinMm = placeMm },
        };

    /// <summary>From where to where the edge runs, mm.</summary>
    public (double From, double To) Lane(PanelBox box) => IsStation ? (box.TMinMm, box.TMaxMm) : (box.SMinMm, box.SMaxMm);

    /// <summary>The point at a place along the way out and a place along the edge.</summary>
    public PanelPoint Point(double placeMm, double alongMm) => IsStation ? new(placeMm, alongMm) : new(alongMm, placeMm);

    /// <summary>How much further out a place is than another, mm.</summary>
    public double Beyond(double placeMm, double thanMm) => Out * (placeMm - thanMm);

    /// <summary>From where to where an outline lies along the way out, at one place of the edge; null where it is not met.</summary>
    public (double Least, double Most)? Span(IReadOnlyList<PanelPoint> outline, double alongMm)
    {
        (double least, double most) = (double.PositiveInfinity, double.NegativeInfinity);
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            (double a, double b) = (Along(outline[j]), Along(outline[i]));
            if (Math.Min(a, b) > alongMm || Math.Max(a, b) < alongMm)
                continue;
            (double from, double to) = (Place(outline[j]), Place(outline[i]));
            if (a == b)
            {
                (least, most) = (Math.Min(least, Math.Min(from, to)), Math.Max(most, Math.Max(from, to)));
                continue;
            }
            double at = from + ((to - from) * (alongMm - a) / (b - a));
            (least, most) = (Math.Min(least, at), Math.Max(most, at));
        }
        return double.IsFinite(least) ? (least, most) : null;
    }

    /// <summary>Where a wall stands along a lane: the furthest out that any of it is, mm; null where the outline is not met.</summary>
    /// <param name="outline">Outline of the floor.</param>
    /// <param name="box">Whose lane.</param>
    public double? Wall(IReadOnlyList<PanelPoint> outline, PanelBox box)
    {
        (double from, double to) = Lane(box);
        Edge edge = this;
        double[] met =
        [
            .. outline
                .Select(Along)
                .Where(a => a > from && a < to)
                .Append(from)
                .Append(to)
                .Select(a => edge.Span(outline, a))
                .OfType<(double Least, double Most)>()
                .Select(span => edge.Out > 0 ? span.Most : span.Least),
        ];
        return met.Length == 0 ? null
            : Out > 0 ? met.Max()
            : met.Min();
    }
}
