using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>The nearest thing on one side of a cut-out.</summary>
/// <param name="Side">The side.</param>
/// <param name="GapMm">Distance from the cut edge, mm.</param>
/// <param name="Obstacle">What lies there.</param>
/// <param name="At">The part of it that is nearest.</param>
internal sealed record NearestThing(Side Side, double GapMm, Obstacle Obstacle, PanelBox At);

/// <summary>
/// Measures how much room a cut-out has on its four sides, and what crosses it.
/// </summary>
/// <remarks>
/// On each side the gap is measured square to the cut edge, over the width of the cut-out. A member that lies only off a corner
/// is held against the side on which it is relatively further away, since that is the easier way out. So a cut-out is free
/// of a member exactly when the rectangle grown by the four clearances does not meet it.
/// </remarks>
internal static class Clearances
{
    private const double Far = 1e6;

    /// <summary>The nearest thing on each side; sides with nothing are left out. Things that cross the cut-out are not counted.</summary>
    public static Dictionary<Side, NearestThing> Around(PanelBox cut, PerSide wanted, IEnumerable<Obstacle> obstacles)
    {
        var nearest = new Dictionary<Side, NearestThing>();
        PanelBox room = cut.Grown(wanted).Grown(-PlacingFigures.HairMm);
        foreach (Obstacle obstacle in obstacles)
        {
            if (Crosses(cut, obstacle))
                continue;
            bool tooNear = false;
            foreach (Side side in Enum.GetValues<Side>())
            {
                if (obstacle.Within(Band(cut, side)) is not { } part)
                    continue;
                double gap = GapMm(cut, part, side);
                tooNear |= gap < wanted.At(side) - PlacingFigures.HairMm;
                Note(nearest, new NearestThing(side, gap, obstacle, part));
            }
            if (!tooNear && obstacle.Within(room) is { } corner)
                Note(nearest, OffCorner(cut, wanted, obstacle, corner));
        }
        return nearest;
    }

    /// <summary>Whether a member reaches into the cut-out itself.</summary>
    public static bool Crosses(PanelBox cut, Obstacle obstacle) => obstacle.Within(cut.Grown(-PlacingFigures.HairMm)) is not null;

    private static void Note(Dictionary<Side, NearestThing> nearest, NearestThing thing)
    {
        if (!nearest.TryGetValue(thing.Side, out NearestThing? known) || thing.GapMm < known.GapMm)
            nearest[thing.Side] = thing;
    }

    /// <summary>The strip of the panel that lies square before one side of the cut-out.</summary>
    private static PanelBox Band(PanelBox cut, Side side)
    {
        PanelBox c = cut.Grown(-PlacingFigures.HairMm);
        return side switch
        {
            Side.Front => c with { SMinMm = -Far, SMaxMm = cut.SMinMm + (2 * PlacingFigures.HairMm) },
            Side.Rear => c with { SMinMm = cut.SMaxMm - (2 * PlacingFigures.HairMm), SMaxMm = Far },
            Side.Top => c with { TMinMm = cut.TMaxMm - (2 * PlacingFigures.HairMm), TMaxMm = Far },
            _ => c with { TMinMm = -Far, TMaxMm = cut.TMinMm + (2 * PlacingFigures.HairMm) },
        };
    }

    private static double GapMm(PanelBox cut, PanelBox part, Side side) =>
        Math.Max(
            0,
            side switch
            {
                Side.Front => cut.SMinMm - part.SMaxMm,
                Side.Rear => part.SMinMm - cut.SMaxMm,
                Side.Top => part.TMinMm - cut.TMaxMm,
                _ => cut.TMinMm - part.TMaxMm,
            }
        );

    private static NearestThing OffCorner(PanelBox cut, PerSide wanted, Obstacle obstacle, PanelBox corner)
    {
        Side along = corner.Centre.SMm < cut.Centre.SMm ? Side.Front : Side.Rear;
        Side across = corner.Centre.TMm < cut.Centre.TMm ? Side.Bottom : Side.Top;
        double alongGap = GapMm(cut, corner, along),
            acrossGap = GapMm(cut, corner, across);
        return alongGap * wanted.At(across) >= acrossGap * wanted.At(along)
            ? new NearestThing(along, alongGap, obstacle, corner)
            : new NearestThing(across, acrossGap, obstacle, corner);
    }
}
