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
    public static Datum On(Side side, PanelBox cut, Ground ground, ViewedFrom from)
    {
        IEnumerable<Datum> hooked = ground.Obstacles
            .Where(o => CanHook(o.Member.Kind, from))
            .Select(o => Across(o.Member.Name, o.Outline, side, cut))
            .OfType<Datum>();
        Datum? nearest = hooked.MinBy(d => DistanceMm(d, side, cut));
        return nearest ?? Edge(side, cut, ground.Site.Panel);
    }

    /// <summary>Distance from the cut line at the end where the edge is further away, mm.</summary>
    private static double DistanceMm(Datum datum, Side side, PanelBox cut)
    {
        double line = LineMm(side, cut);
        return Math.Max(Math.Abs(datum.FirstMm - line), Math.Abs(datum.SecondMm - line));
    }

    /// <summary>Where the cut line of a side lies, mm.</summary>
    public static double LineMm(Side side, PanelBox cut) => side switch
    {
        Side.Front => cut.SMinMm,
        Side.Rear => cut.SMaxMm,
        Side.Top => cut.TMaxMm,
        _ => cut.TMinMm,
    };

    private static bool CanHook(MemberKind kind, ViewedFrom from) => from == ViewedFrom.Outside
        ? kind is MemberKind.Seam or MemberKind.RainGutter
        : kind is MemberKind.Pillar or MemberKind.CantRail or MemberKind.RoofBow or MemberKind.SideRib or MemberKind.Bearer or MemberKind.SlidingDoorRail;

    private static Datum? Across(string name, IReadOnlyList<PanelPoint> outline, Side side, PanelBox cut)
    {
        bool along = side is Side.Front or Side.Rear;
        double line = LineMm(side, cut);
        int sign = side is Side.Rear or Side.Top ? 1 : -1;
        double? first = Hit(outline, along, along ? cut.TMinMm : cut.SMinMm, line, sign), second = Hit(outline, along, along ? cut.TMaxMm : cut.SMaxMm, line, sign);
        return first is { } a && second is { } b ? new Datum(name, a, b) : null;
    }

    /// <summary>Where a line square to the cut edge first meets an outline, going outwards.</summary>
    private static double? Hit(IReadOnlyList<PanelPoint> outline, bool along, double at, double from, int sign)
    {
        double? nearest = null;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            (double a, double ca) = along ? (outline[j].SMm, outline[j].TMm) : (outline[j].TMm, outline[j].SMm);
            (double b, double cb) = along ? (outline[i].SMm, outline[i].TMm) : (outline[i].TMm, outline[i].SMm);
            if (ca == cb || at < Math.Min(ca, cb) || at > Math.Max(ca, cb)) continue;
            double hit = a + ((b - a) * (at - ca) / (cb - ca));
            if ((hit - from) * sign < 0) continue;
            if (nearest is null || (hit - nearest.Value) * sign < 0) nearest = hit;
        }
        return nearest;
    }

    private static Datum Edge(Side side, PanelBox cut, Panel panel)
    {
        string name = $"{panel.Facing.Name(side)} edge of the {(panel.Kind == PanelKind.Roof ? "roof" : "panel")}";
        if (Across(name, panel.Outline, side, cut) is { } datum) return datum;
        double edge = LineMm(side, panel.Box);
        return new Datum(name, edge, edge);
    }
}
