using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Says what is contradictory about a finding on its panel, or that nothing is.</summary>
public static class FindingCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Panel panel, Finding finding)
    {
        (int least, string needs) = finding.Shape switch
        {
            FindingShape.Point => (1, "A point needs 1 place."),
            FindingShape.Line => (2, "A line needs at least 2 points."),
            _ => (3, "An area needs at least 3 corners."),
        };
        if (finding.Points.Count < least || (finding.Shape == FindingShape.Point && finding.Points.Count > 1))
            return new Problem("finding-points", "/points", needs);
        if (finding.Shape == FindingShape.Area && Outlines.Check(finding.Points, "/points") is { } crossed)
            return crossed;
        return PlaceCheck.Of(panel, finding.Points, "finding-off-panel", "/points");
    }
}
