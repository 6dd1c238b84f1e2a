using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>An edge from which a tape can measure, on one side of a cut-out.</summary>
/// <param name="Name">What the edge belongs to.</param>
/// <param name="FirstMm">Where it lies opposite the lower (or front) end of the cut line: its s for front and rear, its t otherwise, mm.</param>
/// <param name="SecondMm">Where it lies opposite the upper (or rear) end, mm.</param>
internal sealed record Datum(string Name, double FirstMm, double SecondMm)
{
    /// <summary>
    /// The nearest edge that a tape can hook on one side of a cut-out: inside, the ribs and rails that stand in from the
    /// skin; outside, seams, gutters and the edge of the panel.
    /// </summary>
    /// <param name="side">The side.</param>
    /// <param name="first">Lower, or front, end of the cut line.</param>
    /// <param name="second">Its other end.</param>
    /// <param name="ground">The panel and what stands on it.</param>
    /// <param name="from">From which side the metal is marked.</param>
    public static Datum On(Side side, PanelPoint first, PanelPoint second, Ground ground, ViewedFrom from)
    {
        IEnumerable<Datum> hooked = ground
            .Obstacles.Where(o => CanHook(o.Member.Kind, from))
            .Select(o => Across(o.Member.Name, o.Outline, side, first, second))
            .OfType<Datum>();
        bool along = side is Side.Front or Side.Rear;
        // Distance at the end where the edge is further away.
        Datum? nearest = hooked.MinBy(d => Math.Max(Math.Abs(d.FirstMm - Ordinate(first, along)), Math.Abs(d.SecondMm - Ordinate(second, along))));
        return nearest ?? Edge(side, first, second, ground.Site.Panel);
    }

    private static double Ordinate(PanelPoint p, bool along) => along ? p.SMm : p.TMm;

    private static bool CanHook(MemberKind kind, ViewedFrom from) =>
        from == ViewedFrom.Outside
            ? kind is MemberKind.Seam or MemberKind.RainGutter
            : kind
                is MemberKind.Pillar
                    or MemberKind.CantRail
                    or MemberKind.RoofBow
                    or MemberKind.SideRib
                    or MemberKind.Bearer
                    or MemberKind.SlidingDoorRail;

    private static Datum? Across(string name, IReadOnlyList<PanelPoint> outline, Side side, PanelPoint first, PanelPoint second)
    {
        bool along = side is Side.Front or Side.Rear;
        int sign = side is Side.Rear or Side.Top ? 1 : -1;
        return
            Hit(outline, along, Ordinate(first, !along), Ordinate(first, along), sign) is { } a
            && Hit(outline, along, Ordinate(second, !along), Ordinate(second, along), sign) is { } b
            ? new Datum(name, a, b)
            : null;
    }

    /// <summary>Where a line square to the cut edge first meets an outline, going outwards.</summary>
    private static double? Hit(IReadOnlyList<PanelPoint> outline, bool along, double at, double from, int sign)
    {
        double? nearest = null;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            (double a, double ca) = along ? (outline[j].SMm, outline[j].TMm) : (outline[j].TMm, outline[j].SMm);
            (double b, double cb) = along ? (outline[i].SMm, outline[i].TMm) : (outline[i].TMm, outline[i].SMm);
            if (ca == cb || at < Math.Min(ca, cb) || at > Math.Max(ca, cb))
                continue;
            double hit = a + ((b - a) * (at - ca) / (cb - ca));
            if ((hit - from) * sign < 0)
                continue;
            if (nearest is null || (hit - nearest.Value) * sign < 0)
                nearest = hit;
        }
        return nearest;
    }

    private static Datum Edge(Side side, PanelPoint first, PanelPoint second, Panel panel)
    {
        string name = $"{panel.Facing.Name(side)} edge of the {(panel.Kind == PanelKind.Roof ? "roof" : "panel")}";
        if (Across(name, panel.Outline, side, first, second) is { } datum)
            return datum;
        PanelBox box = panel.Box;
        double edge = side switch
        {
            Side.Front => box.SMinMm,
            Side.Rear => box.SMaxMm,
            Side.Top => box.TMaxMm,
            _ => box.TMinMm,
        };
        return new Datum(name, edge, edge);
    }
}
