using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>How far bad wood reaches.</summary>
/// <param name="Cover">The smallest rectangle round all that is known to be bad.</param>
/// <param name="Needed">What has to come out: the cover up to the first sound places, with the margin.</param>
/// <param name="Unknown">Sides on which no sound place is near, and no wall.</param>
internal sealed record BadWood(PanelBox Cover, PanelBox Needed, IReadOnlyList<Side> Unknown)
{
    /// <summary>A sound place further off than this does not bound what is bad: between them nobody has probed. Assumption, mm.</summary>
    public const double NearMm = 400;

    /// <summary>A sound place bounds what is bad within its lane, widened by this: assumption, mm.</summary>
    private const double LaneMm = 150;

    /// <summary>How far it reaches, from a first rectangle on.</summary>
    /// <remarks>
    /// On each side the first sound place in the lane ends it, and the margin is added to that; along the grain twice, since water wicks along
    /// it, and both ways where the grain is not known. Bad places that come to lie inside are covered in their turn, until nothing changes: the
    /// cover only grows, and there is an end of probes.
    /// </remarks>
    /// <param name="site">The floor.</param>
    /// <param name="first">What is certainly bad.</param>
    /// <param name="marginMm">The margin, mm.</param>
    public static BadWood Of(FloorSite site, PanelBox first, double marginMm)
    {
        PanelBox floor = site.Panel.Box;
        PanelPoint[] bad = [.. site.Bad],
            sound = [.. site.Sound];
        PanelBox cover = first;
        while (true)
        {
            PanelBox needed = cover;
            List<Side> unknown = [];
            foreach (Edge edge in Edge.All)
            {
                double at = edge.Of(cover);
                (double from, double to) = edge.Lane(cover);
                double margin = marginMm * (WicksAlong(site, cover, edge) ? 2 : 1);
                double[] ring =
                [
                    .. sound
                        .Where(p => edge.Along(p) >= from - LaneMm && edge.Along(p) <= to + LaneMm)
                        .Select(p => edge.Beyond(edge.Place(p), at))
                        .Where(beyond => beyond > 0),
                ];
                double nearest = ring.DefaultIfEmpty(double.PositiveInfinity).Min();
                double toWall = edge.Beyond(edge.Of(floor), at);
                if (nearest > NearMm && toWall > margin)
                    unknown.Add(edge.Side);
                double grown = (nearest > NearMm ? 0 : nearest) + margin;
                needed = edge.With(needed, at + (edge.Out * Math.Max(0, Math.Min(grown, toWall))));
            }
            PanelBox covered = PanelBox.Of([.. cover.Corners, .. bad.Where(needed.Holds)]);
            if (covered == cover)
                return new BadWood(cover, needed, unknown);
            cover = covered;
        }
    }

    /// <summary>Whether the grain of a board under the rectangle runs out over this side, or may.</summary>
    private static bool WicksAlong(FloorSite site, PanelBox cover, Edge edge)
    {
        Board[] under = [.. site.Boards.Where(b => PanelBox.Of(b.Outline).Overlaps(cover))];
        return under.Length == 0 || under.Any(b => b.Grain == Grain.Lengthways == edge.IsStation);
    }
}
