using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Weighs a position against the wishes: how much each is missed by, and what cutting ribs costs.</summary>
internal sealed class PositionCost(Ground ground, IReadOnlyList<Wish> wishes)
{
    /// <summary>What a rib that must be cut counts against wishes, mm: assumption, more than any wish on a roof is missed by.</summary>
    public const double PerRibCut = 5000;

    /// <summary>Steps off a candidate that are tried where slanted edges leave its neighbourhood curved, mm.</summary>
    private static readonly double[] PolishMm = [32, 8, 2, 0.5, 0.1];

    public IReadOnlyList<Wish> Wishes { get; } = wishes;

    public double At(PanelPoint centre) => At(centre, null);

    /// <summary>The cost, where the middle of the bay is known because it is the same all over a part of the region.</summary>
    public double At(PanelPoint centre, double? bayMiddle)
    {
        double cost = ground.Site.RibInTheWay == RibInTheWay.CutSecondary ? PerRibCut * RibsCut(centre) : 0;
        foreach (Wish wish in Wishes)
            cost += wish.Weight * (wish.Kind == WishKind.BayCentre && bayMiddle is { } middle ? Math.Abs(middle - centre.SMm) : Missed(wish, centre));
        return cost;
    }

    /// <summary>
    /// The middle of the bay if it is the same for every place in a part of the region: if whatever stands nearest in front and behind, over all
    /// its breadth, is a rectangle that spans it. Null otherwise.
    /// </summary>
    public double? BayMiddleOf(RegionPart part)
    {
        double half = ground.Fitting.CutOut.HeightMm / 2;
        PanelBox box = part.Box,
            edge = ground.Site.Panel.Box;
        (double low, double high) = (box.TMinMm - half, box.TMaxMm + half);
        (double front, double rear) = (edge.SMinMm, edge.SMaxMm);
        (bool frontSpans, bool rearSpans) = (true, true);
        foreach (Obstacle o in ground.Standing)
        {
            if (o.Box.TMaxMm < low || o.Box.TMinMm > high)
                continue;
            bool spans = o.IsBox && o.Box.TMinMm <= box.TMinMm + half && o.Box.TMaxMm >= box.TMaxMm - half;
            if (o.Box.SMaxMm <= box.SMinMm && o.Box.SMaxMm > front)
                (front, frontSpans) = (o.Box.SMaxMm, spans);
            else if (o.Box.SMinMm >= box.SMaxMm && o.Box.SMinMm < rear)
                (rear, rearSpans) = (o.Box.SMinMm, spans);
            else if (o.Box.SMaxMm > box.SMinMm && o.Box.SMinMm < box.SMaxMm)
                return null;
        }
        return frontSpans && rearSpans ? (front + rear) / 2 : null;
    }

    /// <summary>By how much a wish is missed at a position, mm or ml.</summary>
    public double Missed(Wish wish, PanelPoint centre) =>
        wish.Kind switch
        {
            WishKind.OverZone => ZoneOf(wish) is { } z ? Math.Abs(centre.SMm - z.Centre.SMm) + Math.Abs(centre.TMm - z.Centre.TMm) : 0,
            WishKind.BayCentre => Math.Abs(BayMiddle(centre) - centre.SMm),
            WishKind.CentreLine => Math.Abs(centre.TMm - ground.Site.Panel.Box.Centre.TMm),
            WishKind.Level => Math.Abs(centre.TMm - (wish.AtMm ?? 0)),
            _ => SwageFill.Under(ground, centre).FillMl,
        };

    /// <summary>Secondary ribs that would be cut.</summary>
    public int RibsCut(PanelPoint centre)
    {
        PanelBox cut = ground.Fitting.CutOut.BoxAt(centre);
        return ground.Standing.Count(o => o.Member.Role == MemberRole.Secondary && Clearances.Crosses(cut, o));
    }

    /// <summary>Middle, along the vehicle, between the nearest members in front of and behind a place, or the panel's ends, mm.</summary>
    public double BayMiddle(PanelPoint centre)
    {
        PanelBox edge = ground.Site.Panel.Box;
        var strip = new PanelBox(
            edge.SMinMm,
            edge.SMaxMm,
            centre.TMm - (ground.Fitting.CutOut.HeightMm / 2),
            centre.TMm + (ground.Fitting.CutOut.HeightMm / 2)
        );
        double front = edge.SMinMm,
            rear = edge.SMaxMm;
        foreach (Obstacle obstacle in ground.Standing)
        {
            // What lies beyond the nearest found so far need not be clipped.
            if (obstacle.Box.SMaxMm <= front || obstacle.Box.SMinMm >= rear || obstacle.Within(strip) is not { } part)
                continue;
            if (part.SMaxMm <= centre.SMm)
                front = Math.Max(front, part.SMaxMm);
            else if (part.SMinMm >= centre.SMm)
                rear = Math.Min(rear, part.SMinMm);
        }
        return (front + rear) / 2;
    }

    /// <summary>Coordinates along s and t at which the cost of some wish changes its slope: the best position lies on these or on the region's
    /// edge.</summary>
    public (SortedSet<double> S, SortedSet<double> T) Creases(RegionPart part)
    {
        var s = new SortedSet<double>();
        var t = new SortedSet<double>();
        foreach (Wish wish in Wishes)
        {
            switch (wish.Kind)
            {
                case WishKind.OverZone when ZoneOf(wish) is { } zone:
                    s.Add(zone.Centre.SMm);
                    t.Add(zone.Centre.TMm);
                    break;
                case WishKind.BayCentre:
                    foreach (PanelPoint corner in part.Outline)
                        s.Add(BayMiddle(corner));
                    s.Add(BayMiddle(part.Box.Centre));
                    break;
                case WishKind.CentreLine:
                    t.Add(ground.Site.Panel.Box.Centre.TMm);
                    break;
                case WishKind.Level:
                    t.Add(wish.AtMm ?? 0);
                    break;
                case WishKind.LeastFill:
                    AddSwageCreases(s, t);
                    break;
            }
        }
        return (s, t);
    }

    /// <summary>Walks downhill in small steps, straight and across, as long as the position stays in the region.</summary>
    public PanelPoint Polished(PanelPoint start, Func<PanelPoint, bool> allowed)
    {
        (PanelPoint best, double cost) = (start, At(start));
        foreach (double step in PolishMm)
        {
            for (int round = 0; round < 60; round++)
            {
                PanelPoint[] around =
                [
                    best.Plus(step, 0),
                    best.Plus(-step, 0),
                    best.Plus(0, step),
                    best.Plus(0, -step),
                    best.Plus(step, step),
                    best.Plus(-step, step),
                    best.Plus(step, -step),
                    best.Plus(-step, -step),
                ];
                (PanelPoint At, double Cost)[] better =
                [
                    .. around.Select(p => (At: p, Cost: At(p))).Where(p => p.Cost < cost - 1e-9).OrderBy(p => p.Cost),
                ];
                int next = Array.FindIndex(better, p => allowed(p.At));
                if (next < 0)
                    break;
                (best, cost) = better[next];
            }
        }
        return best;
    }

    private void AddSwageCreases(SortedSet<double> s, SortedSet<double> t)
    {
        RoundedRectangle flange = ground.Fitting.Flange,
            cut = ground.Fitting.CutOut;
        foreach (Obstacle swage in ground.Swages)
        {
            foreach (double reach in new[] { flange.HeightMm / 2, cut.HeightMm / 2 })
            {
                foreach (double edge in new[] { swage.Box.TMinMm, swage.Box.TMaxMm })
                    (_, _) = (t.Add(edge - reach), t.Add(edge + reach));
            }
            foreach (double reach in new[] { flange.WidthMm / 2, cut.WidthMm / 2 })
            {
                foreach (double edge in new[] { swage.Box.SMinMm, swage.Box.SMaxMm })
                    (_, _) = (s.Add(edge - reach), s.Add(edge + reach));
            }
        }
    }

    /// <summary>The zone of a wish on this panel; null where the panel has nothing to do with it.</summary>
    public PanelBox? ZoneOf(Wish wish) => ground.Zones.FirstOrDefault(z => z.Name == wish.Zone)?.On(ground.Site.Panel.Facing);
}
