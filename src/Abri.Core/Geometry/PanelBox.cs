namespace Abri.Core.Geometry;

/// <summary>A rectangle that lies square on a panel.</summary>
/// <param name="SMinMm">Front edge, mm.</param>
/// <param name="SMaxMm">Rear edge, mm.</param>
/// <param name="TMinMm">Lower edge, mm.</param>
/// <param name="TMaxMm">Upper edge, mm.</param>
public readonly record struct PanelBox(double SMinMm, double SMaxMm, double TMinMm, double TMaxMm)
{
    /// <summary>A rectangle around a centre, all in mm.</summary>
    public static PanelBox Around(PanelPoint centre, double widthMm, double heightMm) =>
        new(centre.SMm - (widthMm / 2), centre.SMm + (widthMm / 2), centre.TMm - (heightMm / 2), centre.TMm + (heightMm / 2));

    /// <summary>The smallest rectangle that holds all points.</summary>
    public static PanelBox Of(IEnumerable<PanelPoint> points)
    {
        var box = new PanelBox(double.PositiveInfinity, double.NegativeInfinity, double.PositiveInfinity, double.NegativeInfinity);
        foreach (PanelPoint p in points)
        {
            box = new PanelBox(Math.Min(box.SMinMm, p.SMm), Math.Max(box.SMaxMm, p.SMm), Math.Min(box.TMinMm, p.TMm), Math.Max(box.TMaxMm, p.TMm));
        }
        return box;
    }

    /// <summary>Extent along s, mm.</summary>
    public double WidthMm => SMaxMm - SMinMm;

    /// <summary>Extent along t, mm.</summary>
    public double HeightMm => TMaxMm - TMinMm;

    /// <summary>Area, mm2; zero when the rectangle is empty.</summary>
    public double AreaMm2 => Math.Max(0, WidthMm) * Math.Max(0, HeightMm);

    /// <summary>The middle.</summary>
    public PanelPoint Centre => new((SMinMm + SMaxMm) / 2, (TMinMm + TMaxMm) / 2);

    /// <summary>The corners, anticlockwise with s to the right and t up, from front bottom.</summary>
    public PanelPoint[] Corners => [new(SMinMm, TMinMm), new(SMaxMm, TMinMm), new(SMaxMm, TMaxMm), new(SMinMm, TMaxMm)];

    /// <summary>The rectangle with each side moved outwards by its figure, mm.</summary>
    public PanelBox Grown(PerSide by) => new(SMinMm - by.FrontMm, SMaxMm + by.RearMm, TMinMm - by.BottomMm, TMaxMm + by.TopMm);

    /// <summary>The rectangle with all sides moved outwards, mm.</summary>
    public PanelBox Grown(double byMm) => Grown(PerSide.All(byMm));

    /// <summary>The part that both rectangles share; its area is zero when they do not meet.</summary>
    public PanelBox Shared(PanelBox other) =>
        new(Math.Max(SMinMm, other.SMinMm), Math.Min(SMaxMm, other.SMaxMm), Math.Max(TMinMm, other.TMinMm), Math.Min(TMaxMm, other.TMaxMm));

    /// <summary>Whether the insides of two rectangles meet.</summary>
    public bool Overlaps(PanelBox other) => SMinMm < other.SMaxMm && other.SMinMm < SMaxMm && TMinMm < other.TMaxMm && other.TMinMm < TMaxMm;

    /// <summary>Shortest distance to another rectangle, mm; 0 where they meet.</summary>
    public double DistanceMm(PanelBox other)
    {
        double s = Math.Max(0, Math.Max(SMinMm - other.SMaxMm, other.SMinMm - SMaxMm)),
            t = Math.Max(0, Math.Max(TMinMm - other.TMaxMm, other.TMinMm - TMaxMm));
        return Math.Sqrt((s * s) + (t * t));
    }

    /// <summary>Whether a point lies in the rectangle or on its edge.</summary>
    public bool Holds(PanelPoint p) => p.SMm >= SMinMm && p.SMm <= SMaxMm && p.TMm >= TMinMm && p.TMm <= TMaxMm;
}
