using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Finds the outline of what is damaged from how it was written down.</summary>
public static class DamageOutline
{
    /// <summary>Width that is taken for a point or a line of which nobody measured one, mm: assumption.</summary>
    public const double UsualMm = 10;

    private const int CirclePoints = 24;

    /// <summary>The corners: of an area its own; round a point, or along a line, by its measures.</summary>
    /// <param name="shape">How it was drawn.</param>
    /// <param name="points">The point, the points of the line, or the corners.</param>
    /// <param name="lengthMm">Diameter of a point, mm; null where nobody measured.</param>
    /// <param name="widthMm">Width of a line, mm; null where nobody measured.</param>
    public static IReadOnlyList<PanelPoint> Of(FindingShape shape, IReadOnlyList<PanelPoint> points, double? lengthMm, double? widthMm) =>
        shape switch
        {
            FindingShape.Area => points,
            FindingShape.Line => MemberOutline.Of(new Footprint(FootprintShape.Spine, points, Measured(widthMm))),
            _ => Circle(points[0], Measured(lengthMm)),
        };

    private static double Measured(double? mm) => mm is > 0 ? mm.Value : UsualMm;

    /// <summary>A circle as a polygon that lies nowhere inside it.</summary>
    private static IReadOnlyList<PanelPoint> Circle(PanelPoint at, double diameterMm)
    {
        double r = diameterMm / 2 / Math.Cos(Math.PI / CirclePoints);
        return
        [
            .. Enumerable
                .Range(0, CirclePoints)
                .Select(i => at.Plus(r * Math.Cos(2 * Math.PI * i / CirclePoints), r * Math.Sin(2 * Math.PI * i / CirclePoints))),
        ];
    }
}
