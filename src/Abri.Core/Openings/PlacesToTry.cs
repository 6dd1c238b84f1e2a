using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// The places of a part of the region at which the best position may lie.
/// </summary>
/// <remarks>
/// What a position costs is piecewise linear in it, and so is what the verdict forbids beyond the region. The pieces are bounded by lines along and
/// across (where a wish
/// changes its slope, where a member enters the strip before the cut-out), and by edges: those of the region, those at which a secondary rib begins
/// to be cut (school B), and
/// the middle of a bay between slanted members. The best place lies where two of them meet. Where the cost jumps, the better side may be the open
/// one: its line is tried <see cref="HairMm"/> off as well.
/// </remarks>
/// <param name="ground">The site.</param>
/// <param name="cost">The wishes.</param>
internal sealed class PlacesToTry(Ground ground, PositionCost cost)
{
    /// <summary>How far beside a jump a place is tried, mm: no tape shows it, and rules take differences of 0.01 mm for none.</summary>
    public const double HairMm = 0.03;

    /// <summary>Pieces in which the middle of a bay between slanted members is followed from one corner to the next.</summary>
    private const int MiddlePieces = 3;

    private readonly double halfS = ground.Fitting.CutOut.WidthMm / 2,
        halfT = ground.Fitting.CutOut.HeightMm / 2;

    /// <summary>The places; some may lie off the part.</summary>
    public IEnumerable<PanelPoint> In(RegionPart part)
    {
        PanelBox box = part.Box;
        (SortedSet<double> s, SortedSet<double> t) = cost.Creases(part);
        var edges = part.Rings.SelectMany(Edges).ToList();
        if (ground.Site.RibInTheWay == RibInTheWay.CutSecondary)
            edges.AddRange(WhereRibsAreCut(box));
        if (HasJumps(part))
        {
            Jumps(box, s, t);
            if (cost.Wishes.Any(w => w.Kind == WishKind.BayCentre))
                edges.AddRange(Middles(box, s, t));
        }
        double[] across = [.. s.Where(x => x >= box.SMinMm && x <= box.SMaxMm)],
            along = [.. t.Where(x => x >= box.TMinMm && x <= box.TMaxMm)];
        foreach (double x in across)
        {
            foreach (double y in along)
                yield return new PanelPoint(x, y);
        }
        for (int i = 0; i < edges.Count; i++)
        {
            foreach (PanelPoint p in On(edges[i], across, along))
                yield return p;
            for (int j = 0; j < i; j++)
            {
                if (Meeting(edges[i], edges[j]) is { } p)
                    yield return p;
            }
        }
    }

    /// <summary>Whether more decides in a part than the wishes: ribs that may be cut, a unit that bows must carry, members within it that make the
    /// middle of the bay differ.</summary>
    private bool HasJumps(RegionPart part) =>
        ground.Site.RibInTheWay == RibInTheWay.CutSecondary
        || ground.MustBeCarried
        || (cost.Wishes.Any(w => w.Kind == WishKind.BayCentre) && cost.BayMiddleOf(part) is null);

    /// <summary>Edges of the places from which a rib is cut.</summary>
    private IEnumerable<(PanelPoint A, PanelPoint B)> WhereRibsAreCut(PanelBox box)
    {
        PerSide reach = ground.CutReach(PerSide.All(0));
        foreach (Obstacle rib in ground.Standing.Where(o => o.Member.Role == MemberRole.Secondary && o.Box.Grown(reach).Overlaps(box)))
        {
            foreach (RegionPart sum in Plane.Parts(MinkowskiSum.TouchedBy(rib.Outline, reach).Each()))
            {
                foreach ((PanelPoint, PanelPoint) edge in sum.Rings.SelectMany(Edges))
                    yield return edge;
            }
        }
    }

    /// <summary>Where a member comes to lie in front or behind, enters the strip, or reaches far enough to carry a header.</summary>
    private void Jumps(PanelBox box, SortedSet<double> s, SortedSet<double> t)
    {
        PanelBox near = box.Grown(new PerSide(1e6, 1e6, halfT + HairMm, halfT + HairMm));
        foreach (Obstacle o in ground.Standing.Where(o => o.Box.Overlaps(near)))
        {
            foreach (
                double x in new[]
                {
                    o.Box.SMinMm,
                    o.Box.SMinMm + HairMm,
                    o.Box.SMaxMm,
                    o.Box.SMaxMm - HairMm,
                    o.Box.SMinMm + halfS,
                    o.Box.SMaxMm - halfS,
                }
            )
                s.Add(x);
            foreach (double y in o.IsBox ? [o.Box.TMinMm, o.Box.TMaxMm] : o.Outline.Select(p => p.TMm))
            {
                foreach (double at in new[] { y - halfT, y - halfT - HairMm, y + halfT, y + halfT + HairMm })
                    t.Add(at);
            }
        }
    }

    /// <summary>The middle of the bay from one line across to the next: straight where members lie square, a few pieces where they are
    /// slanted.</summary>
    private List<(PanelPoint A, PanelPoint B)> Middles(PanelBox box, SortedSet<double> s, SortedSet<double> t)
    {
        var middles = new List<(PanelPoint, PanelPoint)>();
        double[] stops = [box.SMinMm, .. s.Where(x => x > box.SMinMm && x < box.SMaxMm), box.SMaxMm],
            rows = [box.TMinMm, .. t.Where(y => y > box.TMinMm && y < box.TMaxMm), box.TMaxMm];
        for (int i = 1; i < stops.Length; i++)
        {
            double within = (stops[i] + stops[i - 1]) / 2;
            for (int j = 1; j < rows.Length; j++)
            {
                // Just inside the rows' ends, which belong to the member that enters there.
                double low = rows[j - 1] + 1e-4,
                    high = rows[j] - 1e-4;
                if (high <= low)
                    continue;
                PanelPoint before = At(low);
                for (int piece = 1; piece <= MiddlePieces; piece++)
                {
                    PanelPoint next = At(low + ((high - low) * piece / MiddlePieces));
                    if (Math.Max(before.SMm, next.SMm) >= stops[i - 1] && Math.Min(before.SMm, next.SMm) <= stops[i])
                        middles.Add((before, next));
                    before = next;
                }
            }

            PanelPoint At(double y) => new(cost.BayMiddle(new PanelPoint(within, y)), y);
        }
        return middles;
    }

    private static IEnumerable<(PanelPoint A, PanelPoint B)> Edges(IReadOnlyList<PanelPoint> ring) =>
        ring.Select((p, i) => (p, ring[(i + 1) % ring.Count]));

    /// <summary>The ends of an edge, and where it meets the lines.</summary>
    private static IEnumerable<PanelPoint> On((PanelPoint A, PanelPoint B) edge, double[] s, double[] t)
    {
        (PanelPoint a, PanelPoint b) = edge;
        yield return a;
        yield return b;
        double ds = b.SMm - a.SMm,
            dt = b.TMm - a.TMm;
        foreach (double x in s.Where(x => x > Math.Min(a.SMm, b.SMm) && x < Math.Max(a.SMm, b.SMm)))
            yield return new PanelPoint(x, a.TMm + (dt * (x - a.SMm) / ds));
        foreach (double y in t.Where(y => y > Math.Min(a.TMm, b.TMm) && y < Math.Max(a.TMm, b.TMm)))
            yield return new PanelPoint(a.SMm + (ds * (y - a.TMm) / dt), y);
    }

    private static PanelPoint? Meeting((PanelPoint A, PanelPoint B) e, (PanelPoint A, PanelPoint B) f)
    {
        if (Math.Max(e.A.SMm, e.B.SMm) < Math.Min(f.A.SMm, f.B.SMm) || Math.Max(f.A.SMm, f.B.SMm) < Math.Min(e.A.SMm, e.B.SMm))
            return null;
        if (Math.Max(e.A.TMm, e.B.TMm) < Math.Min(f.A.TMm, f.B.TMm) || Math.Max(f.A.TMm, f.B.TMm) < Math.Min(e.A.TMm, e.B.TMm))
            return null;
        double es = e.B.SMm - e.A.SMm,
            et = e.B.TMm - e.A.TMm,
            fs = f.B.SMm - f.A.SMm,
            ft = f.B.TMm - f.A.TMm,
            cross = (es * ft) - (et * fs);
        if (Math.Abs(cross) < 1e-9)
            return null;
        double u = (((f.A.SMm - e.A.SMm) * ft) - ((f.A.TMm - e.A.TMm) * fs)) / cross,
            v = (((f.A.SMm - e.A.SMm) * et) - ((f.A.TMm - e.A.TMm) * es)) / cross;
        return u is >= 0 and <= 1 && v is >= 0 and <= 1 ? new PanelPoint(e.A.SMm + (u * es), e.A.TMm + (u * et)) : null;
    }
}
