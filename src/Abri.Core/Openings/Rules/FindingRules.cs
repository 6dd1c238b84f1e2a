using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What was found where a new flange would lie: it is mended before, since nobody gets at it afterwards. What goes with the piece that is
/// cut
/// out does not count.</summary>
internal static class FindingRules
{
    /// <summary>Begin of the ids of its rows.</summary>
    public const string Id = "finding-";

    /// <summary>End of their titles, after what was found.</summary>
    public const string Below = ": below the flange";

    public static IEnumerable<Judgement> Rows(Placed placed)
    {
        NetTopologySuite.Geometries.Geometry land = Plane.Polygon(placed.Flange).Difference(Plane.Polygon(placed.Cut));
        foreach (var (finding, i) in (placed.Ground.Site.Findings ?? []).Select((f, i) => (f, i)))
        {
            if (finding.State == FindingState.Done || Why(finding.Kind) is not { } why || !land.Intersects(ShapeOf(finding)))
                continue;
            yield return new Judgement(
                $"{Id}{i}",
                JudgementState.NeedsWork,
                $"{finding.Name}{Below}",
                null,
                null,
                Unit.Mm,
                why,
                "Repair it before the cut, down to sound painted skin.",
                [new Mark(finding.Points, true)]
            );
        }
    }

    private static NetTopologySuite.Geometries.Geometry ShapeOf(Finding finding) =>
        finding.Shape switch
        {
            FindingShape.Area => Plane.Polygon(finding.Points),
            FindingShape.Line => Plane.Line(finding.Points),
            _ => Plane.Polygon(PanelBox.Around(finding.Points[0], PointMm, PointMm)),
        };

    /// <summary>Extent of something that is only a point, mm.</summary>
    private const double PointMm = 10;

    private static string? Why(FindingKind kind) =>
        kind switch
        {
            FindingKind.Dent => "The flange stands off it, and the bedding is too thin beside it.",
            FindingKind.SurfaceRust or FindingKind.Scale or FindingKind.Pitting => "It rusts on below the bedding, and lifts it.",
            FindingKind.Perforation or FindingKind.OpenHole => "Water gets in under the bedding, out of sight.",
            FindingKind.OpenSeam or FindingKind.CrackedSealant or FindingKind.MissingSeal => "It leaks on below the bedding.",
            _ => null,
        };
}
