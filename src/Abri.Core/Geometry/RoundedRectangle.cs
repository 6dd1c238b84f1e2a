using Abri.Core.Declared;

namespace Abri.Core.Geometry;

/// <summary>A rectangle with equal rounded corners, as cut-outs, flanges and frame necks are.</summary>
/// <param name="WidthMm">Extent along s, mm.</param>
/// <param name="HeightMm">Extent along t, mm.</param>
/// <param name="CornerRadiusMm">Corner radius, mm; 0 for sharp corners, half of the side for a round hole.</param>
/// <example>1000 x 400 with corners of 80 has a perimeter of 2662.65 mm.</example>
public sealed record RoundedRectangle(
    [Within(20, 5000, "A width", "mm")] double WidthMm,
    [Within(20, 5000, "A height", "mm")] double HeightMm,
    [Within(0, 2500, "A corner radius", "mm")] double CornerRadiusMm
)
{
    /// <summary>Length all round, mm: the four sides with each corner's two radii replaced by a quarter circle.</summary>
    public double PerimeterMm => (2 * (WidthMm + HeightMm)) - ((8 - (2 * Math.PI)) * CornerRadiusMm);

    /// <summary>Distance between opposite corners of the unrounded rectangle, mm.</summary>
    public double DiagonalMm => Math.Sqrt((WidthMm * WidthMm) + (HeightMm * HeightMm));

    /// <summary>What the rounding of one corner takes off a diagonal, mm.</summary>
    public double CornerLossMm => CornerRadiusMm * (Math.Sqrt(2) - 1);

    /// <summary>The rectangle with every side moved outwards, mm; corners stay concentric.</summary>
    /// <param name="byMm">Outwards, mm; negative to shrink.</param>
    public RoundedRectangle Grown(double byMm) =>
        new(WidthMm + (2 * byMm), HeightMm + (2 * byMm), CornerRadiusMm == 0 ? 0 : Math.Max(0, CornerRadiusMm + byMm));

    /// <summary>The rectangle after quarter turns.</summary>
    /// <param name="turnDeg">0, 90, 180 or 270.</param>
    public RoundedRectangle Turned(int turnDeg) => turnDeg is 90 or 270 ? new RoundedRectangle(HeightMm, WidthMm, CornerRadiusMm) : this;

    /// <summary>The rectangle around it, placed at a centre.</summary>
    public PanelBox BoxAt(PanelPoint centre) => PanelBox.Around(centre, WidthMm, HeightMm);

    /// <summary>Centres of the corner arcs, in the order of <see cref="PanelBox.Corners"/>.</summary>
    public PanelPoint[] CornerCentresAt(PanelPoint centre) => BoxAt(centre).Grown(-CornerRadiusMm).Corners;
}
