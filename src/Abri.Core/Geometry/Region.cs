namespace Abri.Core.Geometry;

/// <summary>A connected area of a panel, possibly with holes.</summary>
/// <param name="Outline">Outer edge, without a repeated last point.</param>
/// <param name="Holes">Edges of the holes.</param>
public sealed record RegionPart(IReadOnlyList<PanelPoint> Outline, IReadOnlyList<IReadOnlyList<PanelPoint>> Holes)
{
    private const double OnEdgeMm = 1e-6;

    /// <summary>The smallest rectangle around the part.</summary>
    internal PanelBox Box { get; } = PanelBox.Of(Outline);

    /// <summary>Whether it is a rectangle square to the panel.</summary>
    internal bool IsBox => Outline.Count == 4 && Holes.Count == 0 && AreaMm2 >= Box.AreaMm2 - OnEdgeMm;

    /// <summary>Area, mm2.</summary>
    public double AreaMm2 => Math.Abs(Outlines.SignedAreaMm2(Outline)) - Holes.Sum(h => Math.Abs(Outlines.SignedAreaMm2(h)));

    /// <summary>Whether a point lies in the part or on its edge.</summary>
    public bool Holds(PanelPoint p)
    {
        if (!Box.Grown(OnEdgeMm).Holds(p))
            return false;
        if (IsBox)
            return true;
        if (Rings.Any(ring => Outlines.DistanceToEdgeMm(ring, p) <= OnEdgeMm))
            return true;
        return Outlines.Encloses(Outline, p) && !Holes.Any(h => Outlines.Encloses(h, p));
    }

    /// <summary>All edges: the outline, then the holes.</summary>
    internal IEnumerable<IReadOnlyList<PanelPoint>> Rings => Holes.Prepend(Outline);
}
