using Abri.Core.Declared;

namespace Abri.Core.Geometry;

/// <summary>A place on a panel, in the panel's own frame; see <c>PanelView</c> for how it is drawn.</summary>
/// <param name="SMm">Along the panel, mm: backwards from the front datum on roof, sides and floor; to the vehicle's left on the rear.</param>
/// <param name="TMm">Across the panel, mm: to the vehicle's left from the centre line on roof and floor; up from the floor elsewhere.</param>
public readonly record struct PanelPoint(
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance along", "mm")] double SMm,
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance across", "mm")] double TMm
)
{
    /// <summary>The point moved by an offset, mm.</summary>
    public PanelPoint Plus(double sMm, double tMm) => new(SMm + sMm, TMm + tMm);

    /// <summary>Straight distance to another point, mm.</summary>
    public double DistanceMm(PanelPoint other) => Math.Sqrt(Math.Pow(SMm - other.SMm, 2) + Math.Pow(TMm - other.TMm, 2));
}

/// <summary>One of the four sides of a thing that lies square on a panel.</summary>
public enum Side
{
    /// <summary>Towards smaller s: the front of the vehicle.</summary>
    Front,

    /// <summary>Towards greater s: the rear of the vehicle.</summary>
    Rear,

    /// <summary>Towards greater t: up on a wall, the vehicle's left on the roof.</summary>
    Top,

    /// <summary>Towards smaller t: down on a wall, the vehicle's right on the roof.</summary>
    Bottom,
}

/// <summary>A figure for each of the four sides, mm.</summary>
/// <param name="FrontMm">At the front.</param>
/// <param name="RearMm">At the rear.</param>
/// <param name="TopMm">At the top; on the roof, at the vehicle's left.</param>
/// <param name="BottomMm">At the bottom; on the roof, at the vehicle's right.</param>
public sealed record PerSide(
    [Within(0, 2000, "The figure at the front", "mm")] double FrontMm,
    [Within(0, 2000, "The figure at the rear", "mm")] double RearMm,
    [Within(0, 2000, "The figure at the top (left)", "mm")] double TopMm,
    [Within(0, 2000, "The figure at the bottom (right)", "mm")] double BottomMm
)
{
    /// <summary>The same figure all round, mm.</summary>
    public static PerSide All(double mm) => new(mm, mm, mm, mm);

    /// <summary>The figure at one side, mm.</summary>
    public double At(Side side) =>
        side switch
        {
            Side.Front => FrontMm,
            Side.Rear => RearMm,
            Side.Top => TopMm,
            _ => BottomMm,
        };

    /// <summary>The greater of two figures at each side.</summary>
    public PerSide Max(PerSide other) =>
        new(Math.Max(FrontMm, other.FrontMm), Math.Max(RearMm, other.RearMm), Math.Max(TopMm, other.TopMm), Math.Max(BottomMm, other.BottomMm));

    /// <summary>The figures after a turn of the thing by quarter turns, as seen with s to the right and t up, anticlockwise.</summary>
    /// <param name="turnDeg">0, 90, 180 or 270.</param>
    public PerSide Turned(int turnDeg) =>
        turnDeg switch
        {
            90 => new PerSide(TopMm, BottomMm, RearMm, FrontMm),
            180 => new PerSide(RearMm, FrontMm, BottomMm, TopMm),
            270 => new PerSide(BottomMm, TopMm, FrontMm, RearMm),
            _ => this,
        };
}
