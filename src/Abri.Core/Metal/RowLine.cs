using Abri.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Abri.Core.Metal;

/// <summary>Sets places out along a line at even distances, off what must not be drilled.</summary>
/// <remarks>
/// Corners, and what lies in the way, part the line into runs; each run is parted evenly, with a place at either end, or evenly all round where
/// nothing does.
/// </remarks>
internal static class RowLine
{
    /// <summary>A run shorter than this, in diameters, gets no place of its own.</summary>
    private const double LeastRunDiameters = 1;

    /// <summary>The places, and the greatest distance from one to the next along a run, mm.</summary>
    /// <param name="ring">The line, closed.</param>
    /// <param name="blocked">What must not be drilled; empty for nothing.</param>
    /// <param name="pitchMm">Greatest distance, mm.</param>
    /// <param name="diameterMm">Diameter of what is set, mm: none nearer than three of it.</param>
    /// <param name="corners">Where the line turns a corner, near it; each gets a place. None for a line without corners.</param>
    public static (IReadOnlyList<PanelPoint> Places, double PitchMm) Of(
        IReadOnlyList<PanelPoint> ring,
        NetTopologySuite.Geometries.Geometry blocked,
        double pitchMm,
        double diameterMm,
        IReadOnlyList<PanelPoint> corners
    )
    {
        // A corner that was named twice is one: a side of no length has no direction.
        ring = [.. ring.Where((p, i) => p.DistanceMm(ring[(i + 1) % ring.Count]) >= SamePlaceMm)];
        IReadOnlyList<PanelPoint[]> sides = Sides(ring, corners);
        var places = new List<PanelPoint>();
        double widest = 0;
        foreach (PanelPoint[] run in sides.SelectMany(side => Free(side, blocked)))
        {
            double length = Outlines.LengthMm(run);
            bool closed = run[0].DistanceMm(run[^1]) < 1e-6;
            if (length < LeastRunDiameters * diameterMm)
                continue;
            // One that is too short for two has one in its middle.
            if (!closed && length < 3 * diameterMm)
            {
                places.Add(At(run, length / 2));
                continue;
            }
            int gaps = Rivets.Gaps(length, pitchMm, diameterMm);
            if (closed)
                gaps = Math.Max(3, gaps);
            widest = Math.Max(widest, length / gaps);
            for (int i = 0; i < gaps + (closed ? 0 : 1); i++)
            {
                PanelPoint place = At(run, length * i / gaps);
                // A corner is the end of one run and the beginning of the next.
                if (!places.Exists(p => p.DistanceMm(place) < SamePlaceMm))
                    places.Add(place);
            }
        }
        return (places, widest);
    }

    private const double SamePlaceMm = 0.01;

    /// <summary>The line from corner to corner; the whole line where there are none.</summary>
    private static IReadOnlyList<PanelPoint[]> Sides(IReadOnlyList<PanelPoint> ring, IReadOnlyList<PanelPoint> corners)
    {
        if (corners.Count == 0)
            return
            [
                [.. ring, ring[0]],
            ];
        int[] cuts = [.. corners.Select(c => Enumerable.Range(0, ring.Count).MinBy(i => ring[i].DistanceMm(c))).Distinct().Order()];
        return
        [
            .. cuts.Select(
                (from, k) =>
                {
                    int to = k + 1 < cuts.Length ? cuts[k + 1] : cuts[0] + ring.Count;
                    return Enumerable.Range(from, to - from + 1).Select(i => ring[i % ring.Count]).ToArray();
                }
            ),
        ];
    }

    private static List<PanelPoint[]> Free(PanelPoint[] side, NetTopologySuite.Geometries.Geometry blocked) =>
        blocked.IsEmpty
            ? [side]
            : Joined([.. Plane.Difference(Plane.Line(side), blocked).Each().OfType<LineString>().Where(l => !l.IsEmpty).Select(Points)]);

    /// <summary>Runs whose ends meet are one run: the line begins somewhere.</summary>
    private static List<PanelPoint[]> Joined(List<PanelPoint[]> runs)
    {
        for (int i = 0; i < runs.Count; i++)
        {
            int next = runs.FindIndex(r => r != runs[i] && r[0].DistanceMm(runs[i][^1]) < 1e-6);
            if (next < 0)
                continue;
            runs[i] = [.. runs[i], .. runs[next].Skip(1)];
            runs.RemoveAt(next);
            return Joined(runs);
        }
        return runs;
    }

    private static PanelPoint[] Points(LineString line) => [.. line.Coordinates.Select(c => new PanelPoint(c.X, c.Y))];

    private static PanelPoint At(PanelPoint[] run, double mm)
    {
        double left = mm;
        for (int i = 0; i + 1 < run.Length; i++)
        {
            double piece = run[i].DistanceMm(run[i + 1]);
            if (left <= piece || i + 2 == run.Length)
                return run[i]
                    .Plus((run[i + 1].SMm - run[i].SMm) * Math.Min(1, left / piece), (run[i + 1].TMm - run[i].TMm) * Math.Min(1, left / piece));
            left -= piece;
        }
        return run[^1];
    }
}
