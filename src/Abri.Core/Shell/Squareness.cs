using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>How far a panel, or a field of it, is from a true rectangle.</summary>
/// <param name="Corners">Its corners as found: front bottom, rear bottom, rear top, front top, mm.</param>
/// <param name="OutOfSquareOverWidthMm">How far a square laid on the front edge leaves the bottom edge over its length, mm; positive where the angle
/// between them is more than 90 degrees.</param>
/// <param name="OutOfSquareOverHeightMm">How far a square laid on the bottom edge leaves the front edge over its height, mm; positive
/// likewise.</param>
/// <param name="TopFromBottomMm">By how much the top edge stands further from the bottom edge at the front than at the rear, mm.</param>
/// <param name="FrontFromRearMm">By how much the front edge stands further from the rear edge at the top than at the bottom, mm.</param>
/// <param name="TrueRectangle">The largest rectangle inside that lies along one of the edges.</param>
/// <param name="TrueWidthMm">Its extent nearest to the bottom edge's direction, mm.</param>
/// <param name="TrueHeightMm">Its other extent, mm.</param>
/// <param name="LaidAlong">The edge that it lies along.</param>
/// <param name="MisclosureMm">What the six readings are off from one another, mm.</param>
public sealed record SquarenessFound(
    IReadOnlyList<PanelPoint> Corners,
    double OutOfSquareOverWidthMm,
    double OutOfSquareOverHeightMm,
    double TopFromBottomMm,
    double FrontFromRearMm,
    IReadOnlyList<PanelPoint> TrueRectangle,
    double TrueWidthMm,
    double TrueHeightMm,
    Side LaidAlong,
    double MisclosureMm
);

/// <summary>
/// Tells from four sides and two diagonals how far a panel is out of square, how far its opposite edges are from parallel, and how large a true
/// rectangle it holds.
/// </summary>
/// <remarks>
/// The shape is found by <see cref="FourSided"/>. The rectangle lies along one edge, since that is what a person can mark; of the four the largest is
/// taken. For one direction its area is the product of two concave lengths, so that nested golden sections find its top.
/// </remarks>
/// <example>1000 x 500 with diagonals 1120.27 and 1115.80 (a slide of 5 mm): 5 mm out of square over the height, opposite edges parallel.</example>
public static class Squareness
{
    /// <summary>Finds it.</summary>
    /// <returns>The figures, or why nothing has these sides and diagonals.</returns>
    public static Result<Worked<SquarenessFound>> Of(SixReadings readings)
    {
        if (FourSided.Of(readings) is not { } shape)
            return new Problem("readings-impossible", "/readings", "Nothing four-sided has these sides and diagonals. Measure the diagonals again.");
        IReadOnlyList<PanelPoint> c = shape.Corners;
        PanelPoint frontBottom = c[0],
            rearBottom = c[1],
            rearTop = c[2],
            frontTop = c[3];
        var sheet = new Worksheet();
        double misclosure = sheet.Step(
            "v",
            "misclosure of the readings",
            "rising diagonal - rising diagonal from the other five",
            shape.MisclosureMm,
            "mm"
        );
        if (Math.Abs(misclosure) > FourSided.DoubtMm)
            sheet.Warn(
                $"The readings do not close: one diagonal is {Math.Abs(misclosure):0.#} mm off what the others give. Measure again "
                    + "before you trust the rest."
            );

        double cosine = Dot(frontBottom, rearBottom, frontTop) / (readings.BottomMm * frontBottom.DistanceMm(frontTop));
        sheet.Step(
            "a",
            "angle at the front bottom corner",
            "acos((bottom^2 + front^2 - falling^2) / (2 bottom front))",
            Math.Acos(Math.Clamp(cosine, -1, 1)) * 180 / Math.PI,
            "degrees"
        );
        double overWidth = sheet.Step("q_w", "out of square over the width", "-bottom * cos(a)", -readings.BottomMm * cosine, "mm");
        double overHeight = sheet.Step("q_h", "out of square over the height", "-front * cos(a)", -frontBottom.DistanceMm(frontTop) * cosine, "mm");
        double topFromBottom = sheet.Step(
            "p_t",
            "top from bottom edge, front less rear",
            "distance of the front top corner - distance of the rear top corner",
            Off(frontTop, frontBottom, rearBottom) - Off(rearTop, frontBottom, rearBottom),
            "mm"
        );
        double frontFromRear = sheet.Step(
            "p_f",
            "front from rear edge, top less bottom",
            "distance of the front top corner - distance of the front bottom corner",
            Off(frontTop, rearBottom, rearTop) - Off(frontBottom, rearBottom, rearTop),
            "mm"
        );

        (PanelPoint[] rectangle, double width, double height, Side along) = LargestAlongAnEdge(c);
        sheet.Step("w", "largest true rectangle, width", "greatest width x height along an edge", width, "mm");
        sheet.Step("h", "largest true rectangle, height", "greatest width x height along an edge", height, "mm");
        sheet.Cite(new Source("Quadrilateral from sides and diagonals; law of cosines", SourceKind.Geometry));
        return sheet.Finish(new SquarenessFound(c, overWidth, overHeight, topFromBottom, frontFromRear, rectangle, width, height, along, misclosure));
    }

    private static double Dot(PanelPoint at, PanelPoint a, PanelPoint b) =>
        ((a.SMm - at.SMm) * (b.SMm - at.SMm)) + ((a.TMm - at.TMm) * (b.TMm - at.TMm));

    /// <summary>Distance of a point from the line through two others, mm.</summary>
    private static double Off(PanelPoint p, PanelPoint a, PanelPoint b) =>
        Math.Abs(((b.SMm - a.SMm) * (p.TMm - a.TMm)) - ((b.TMm - a.TMm) * (p.SMm - a.SMm))) / a.DistanceMm(b);

    private static (PanelPoint[] Rectangle, double WidthMm, double HeightMm, Side Along) LargestAlongAnEdge(IReadOnlyList<PanelPoint> c)
    {
        (double Angle, Side Side)[] edges =
        [
            (Angle(c[0], c[1]), Side.Bottom),
            (Angle(c[1], c[2]) - (Math.PI / 2), Side.Rear),
            (Angle(c[3], c[2]), Side.Top),
            (Angle(c[0], c[3]) - (Math.PI / 2), Side.Front),
        ];
        (PanelBox Box, double Angle, Side Side) best = default;
        foreach ((double angle, Side side) in edges)
        {
            PanelBox box = LargestSquareTo([.. c.Select(p => Turned(p, -angle))]);
            // A hair, so that rounding does not choose between equal edges.
            if (box.AreaMm2 > best.Box.AreaMm2 + 1e-3)
                best = (box, angle, side);
        }
        return ([.. best.Box.Corners.Select(p => Turned(p, best.Angle))], best.Box.WidthMm, best.Box.HeightMm, best.Side);
    }

    private static double Angle(PanelPoint a, PanelPoint b) => Math.Atan2(b.TMm - a.TMm, b.SMm - a.SMm);

    private static PanelPoint Turned(PanelPoint p, double by) =>
        new((p.SMm * Math.Cos(by)) - (p.TMm * Math.Sin(by)), (p.SMm * Math.Sin(by)) + (p.TMm * Math.Cos(by)));

    /// <summary>The largest rectangle square to the axes in a convex outline.</summary>
    private static PanelBox LargestSquareTo(PanelPoint[] outline)
    {
        PanelBox around = PanelBox.Of(outline);
        PanelBox Between(double low, double high)
        {
            ((double a, double b), (double c, double d)) = (Span(outline, low), Span(outline, high));
            return new PanelBox(Math.Max(a, c), Math.Min(b, d), low, high);
        }
        double Top(double low) => GoldenSection.Lowest(high => -Signed(Between(low, high)), low, around.TMaxMm);
        double best = GoldenSection.Lowest(low => -Signed(Between(low, Top(low))), around.TMinMm, around.TMaxMm);
        // The best often lies at an end, which a golden section only comes near to.
        return new[]
        {
            Between(best, Top(best)),
            Between(around.TMinMm, Top(around.TMinMm)),
            Between(best, around.TMaxMm),
            Between(around.TMinMm, around.TMaxMm),
        }.MaxBy(b => b.AreaMm2);
    }

    private static double Signed(PanelBox box) => box.WidthMm < 0 ? box.WidthMm : box.WidthMm * box.HeightMm;

    /// <summary>From where to where a convex outline reaches along s at a height.</summary>
    private static (double Low, double High) Span(PanelPoint[] outline, double t)
    {
        (double low, double high) = (double.PositiveInfinity, double.NegativeInfinity);
        for (int i = 0; i < outline.Length; i++)
        {
            PanelPoint a = outline[i],
                b = outline[(i + 1) % outline.Length];
            if (t < Math.Min(a.TMm, b.TMm) || t > Math.Max(a.TMm, b.TMm))
                continue;
            double s = Math.Abs(b.TMm - a.TMm) < 1e-9 ? a.SMm : a.SMm + ((b.SMm - a.SMm) * (t - a.TMm) / (b.TMm - a.TMm));
            (low, high) = (Math.Min(low, s), Math.Max(high, s));
            if (Math.Abs(b.TMm - a.TMm) < 1e-9)
                (low, high) = (Math.Min(low, b.SMm), Math.Max(high, b.SMm));
        }
        return (low, high);
    }
}
