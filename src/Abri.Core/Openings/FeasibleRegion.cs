using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// Finds all places where the centre of a fitting may lie: the flange stays on the panel, the cut-out keeps its clearances.
/// </summary>
/// <remarks>
/// The panel's outline is eroded by the flange, then the Minkowski sum of every forbidden member with the reflected
/// rectangle of cut-out and clearances is taken away (see <see cref="MinkowskiSum"/>). Clearances may differ from side to side,
/// members may be slanted or of any shape. All reaches are shortened by 0.005 mm, so that a fitting that fits exactly has a
/// region one can point at. School B frees secondary members; what that costs is the verdict's business. What burns keeps its distance from a fitting
/// that
/// gets hot, measured straight, so that those sums have rounded corners; they are drawn as polygons from outside.
/// </remarks>
/// <example>A roof 1700 wide with bows 60 mm wide every 545 mm clear: a 400 x 400 cut-out with 38 mm all round has a strip
/// 69 mm long in each bay (545 - 400 - 76).</example>
internal static class FeasibleRegion
{
    private const double ShortenedMm = PlacingFigures.HairMm / 2;

    /// <summary>The parts of the region, from front to rear.</summary>
    public static IReadOnlyList<RegionPart> Of(Ground ground)
    {
        // Nowhere: what the flue passes through burns itself.
        if (ground.Fitting.HeatMm > 0 && ground.SkinBurns)
            return [];
        PerSide flange = ground.FlangeReach(PlacingFigures.EdgeMarginMm);
        var held = MinkowskiSum.HeldBy(ground.Site.Panel.Outline, Shortened(flange));

        var forbidden = new List<NetTopologySuite.Geometries.Geometry>();
        foreach (Obstacle o in ground.Obstacles)
        {
            if (ground.ReachFor(o.Member) is { } reach)
                forbidden.Add(MinkowskiSum.TouchedBy(o.Outline, Shortened(reach)));
        }
        foreach (Burnable hot in ground.Burnables.Where(b => b.Sure))
            forbidden.Add(Plane.Grown(MinkowskiSum.TouchedBy(hot.Outline, ground.CutReach(PerSide.All(0))), ground.Fitting.HeatMm));
        foreach (Neighbour neighbour in ground.Neighbours)
            forbidden.Add(MinkowskiSum.TouchedBy(neighbour.Flange.Corners, Shortened(ground.FlangeReach(PlacingFigures.FlangeGapMm))));
        foreach (Panel door in ground.Doors)
            forbidden.Add(MinkowskiSum.TouchedBy(door.Box.Corners, Shortened(ground.FlangeReach(PlacingFigures.EdgeMarginMm))));
        return Remainder.Of(held, forbidden);
    }

    private static PerSide Shortened(PerSide reach) =>
        new(reach.FrontMm - ShortenedMm, reach.RearMm - ShortenedMm, reach.TopMm - ShortenedMm, reach.BottomMm - ShortenedMm);
}
