using Abri.Core.Declared;

namespace Abri.Core.Geometry;

/// <summary>Four sides and two diagonals of a four-sided thing, mm.</summary>
/// <param name="TopMm">Along the upper edge (on the roof, the vehicle's left).</param>
/// <param name="BottomMm">Along the lower edge (on the roof, the vehicle's right).</param>
/// <param name="FrontMm">Along the front edge.</param>
/// <param name="RearMm">Along the rear edge.</param>
/// <param name="RisingMm">From the front bottom corner to the one opposite.</param>
/// <param name="FallingMm">From the front top corner to the one opposite.</param>
public sealed record SixReadings(
    [Within(10, Limits.LongestMm, "A measured side", "mm")] double TopMm,
    [Within(10, Limits.LongestMm, "A measured side", "mm")] double BottomMm,
    [Within(10, Limits.LongestMm, "A measured side", "mm")] double FrontMm,
    [Within(10, Limits.LongestMm, "A measured side", "mm")] double RearMm,
    [Within(10, 2 * Limits.LongestMm, "A measured diagonal", "mm")] double RisingMm,
    [Within(10, 2 * Limits.LongestMm, "A measured diagonal", "mm")] double FallingMm
);

/// <summary>
/// Finds the shape of a four-sided thing from its sides and diagonals.
/// </summary>
/// <remarks>
/// Five readings would do; of the shapes that keep the four sides, the one is taken that misses both diagonals equally. What the sixth reading
/// is off by is the misclosure: large where something was misread.
/// </remarks>
/// <param name="Corners">Front bottom, rear bottom, rear top, front top; the first at (0, 0), the second on the s axis.</param>
/// <param name="MisclosureMm">The rising diagonal as measured less the one that the other five readings give, mm.</param>
public sealed record FourSided(IReadOnlyList<PanelPoint> Corners, double MisclosureMm)
{
    /// <summary>Misclosure from which the readings are doubted, mm: as for any two readings of one dimension.</summary>
    public const double DoubtMm = 3;

    /// <summary>Misclosure, as a share of a diagonal, beyond which the readings are taken for mistyped: assumption.</summary>
    private const double MostMisclosure = 0.1;

    /// <summary>The shape, or null when nothing four-sided has these sides and diagonals.</summary>
    public static FourSided? Of(SixReadings r)
    {
        double misclosure = Shape(r, r.FallingMm) is { } measured ? r.RisingMm - measured[0].DistanceMm(measured[2]) : r.RisingMm - r.FallingMm;
        return Math.Abs(misclosure) <= MostMisclosure * r.FallingMm && Nearest(r) is { } corners ? new FourSided(corners, misclosure) : null;
    }

    private static PanelPoint[]? Nearest(SixReadings r)
    {
        double Missed(double shift)
        {
            if (Shape(r, r.FallingMm + shift) is not { } shape)
                return double.PositiveInfinity;
            double other = shape[0].DistanceMm(shape[2]) - r.RisingMm;
            return (other * other) + (shift * shift);
        }
        double reach = 0.2 * r.FallingMm;
        // The readings may be so far off that no shape exists near them: start from the best of a scan.
        double start = Enumerable.Range(-40, 81).Select(i => reach * i / 40).MinBy(Missed);
        double best = GoldenSection.Lowest(Missed, start - (reach / 40), start + (reach / 40));
        return double.IsFinite(Missed(best)) ? Shape(r, r.FallingMm + best) : null;
    }

    private static PanelPoint[]? Shape(SixReadings r, double falling)
    {
        PanelPoint frontBottom = new(0, 0),
            rearBottom = new(r.BottomMm, 0);
        if (Apex(frontBottom, rearBottom, r.FrontMm, falling, 1) is not { } frontTop)
            return null;
        // The last corner lies on the far side of the falling diagonal.
        return Apex(rearBottom, frontTop, r.RearMm, r.TopMm, -1) is not { } rearTop ? null : [frontBottom, rearBottom, rearTop, frontTop];
    }

    /// <summary>The point at given distances from a and b, to the left (+1) or right (-1) of the way from a to b.</summary>
    private static PanelPoint? Apex(PanelPoint a, PanelPoint b, double fromA, double fromB, int hand)
    {
        double apart = a.DistanceMm(b),
            along = ((fromA * fromA) - (fromB * fromB) + (apart * apart)) / (2 * apart),
            height2 = (fromA * fromA) - (along * along);
        if (height2 <= 0)
            return null;
        double us = (b.SMm - a.SMm) / apart,
            ut = (b.TMm - a.TMm) / apart,
            off = hand * Math.Sqrt(height2);
        return new PanelPoint(a.SMm + (along * us) - (off * ut), a.TMm + (along * ut) + (off * us));
    }
}
