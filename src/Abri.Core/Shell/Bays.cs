using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>A bay: an area of a panel that members leave free.</summary>
/// <param name="Label">A, B, C... from the front.</param>
/// <param name="Area">Its edge.</param>
/// <param name="ClearRectangle">The largest rectangle, square to the panel, that fits into it.</param>
/// <param name="ClearWidthMm">Extent of that rectangle along s, mm.</param>
/// <param name="ClearHeightMm">Extent of that rectangle along t, mm.</param>
/// <param name="IsExact">Whether no larger rectangle exists; false where slanted edges were approached from inside.</param>
/// <param name="AreaM2">Area of the bay, m2.</param>
public sealed record Bay(
    string Label,
    RegionPart Area,
    PanelBox ClearRectangle,
    double ClearWidthMm,
    double ClearHeightMm,
    bool IsExact,
    double AreaM2
);

/// <summary>
/// Finds the bays of a panel: what is left when the footprints of its members are taken from its outline.
/// </summary>
/// <remarks>
/// Swages are part of the skin and do not bound a bay; every other member does. Slivers narrower than <see cref="NarrowestMm"/>
/// are left out: nothing can be placed there, and a rib that ends that near to the edge of the panel or to another member ends the bay as if it
/// reached it. Bays are never stored; they follow from the members.
/// </remarks>
/// <example>A roof 1700 wide with bows 60 wide every 545 clear has bays whose clear rectangle is 545 x 1700 mm.</example>
public static class Bays
{
    /// <summary>Narrowest strip that counts as a bay, mm: an assumption; no opening fits into less.</summary>
    public const double NarrowestMm = 100;

    private const double TouchingMm = 0.1;

    /// <summary>The bays from front to rear, and from the lower to the upper edge where several lie side by side.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="members">Its members.</param>
    /// <returns>The bays, or what is contradictory about the panel and its members.</returns>
    public static Result<Worked<IReadOnlyList<Bay>>> Of(Panel panel, IReadOnlyList<Member> members)
    {
        if (ShellCheck.Of(panel, members) is { } problem)
            return problem;

        var sheet = new Worksheet();
        sheet.Step("A", "area of the panel", "outline", Math.Abs(Outlines.SignedAreaMm2(panel.Outline)) / 1e6, "m2");
        sheet.Step("n", "members that bound bays (swages do not)", "count", members.Count(Bounds), "count");
        var bays = new List<Bay>();
        foreach ((string label, RegionPart area) in Labelled(panel, members))
        {
            ClearRectangle clear = LargestRectangle.Within(area);
            sheet.Step($"w_{label}", $"bay {label}, clear along the vehicle", "largest rectangle within outline - members", clear.Box.WidthMm, "mm");
            sheet.Step($"h_{label}", $"bay {label}, clear across", "largest rectangle within outline - members", clear.Box.HeightMm, "mm");
            bays.Add(new Bay(label, area, clear.Box, clear.Box.WidthMm, clear.Box.HeightMm, clear.IsExact, area.AreaMm2 / 1e6));
        }
        sheet.Cite(new Source("Polygon difference and largest rectangle under a histogram", SourceKind.Geometry));
        if (bays.Any(b => !b.IsExact))
            sheet.Warn("Slanted edges: the clear rectangle of those bays surely fits, but may be a little smaller than the largest.");
        return sheet.Finish<IReadOnlyList<Bay>>(bays);
    }

    /// <summary>The areas of the bays with their labels, without their clear rectangles; panel and members are taken as checked.</summary>
    internal static IReadOnlyList<(string Label, RegionPart Area)> Labelled(Panel panel, IReadOnlyList<Member> members)
    {
        Member[] bounding = [.. members.Where(Bounds)];
        IReadOnlyList<PanelPoint>[] outlines = [.. bounding.Select(m => MemberOutline.Of(m.Footprint))];
        PanelBox[] boxes = [.. outlines.Select(PanelBox.Of)];
        bool IsClosed(PanelPoint beyond) =>
            !Outlines.Encloses(panel.Outline, beyond)
            || Enumerable.Range(0, boxes.Length).Any(i => boxes[i].Holds(beyond) && Outlines.Encloses(outlines[i], beyond));
        IReadOnlyList<RegionPart> parts = Remainder.Of(
            Plane.Polygon(panel.Outline),
            [.. bounding.Select((m, i) => Plane.Polygon(Reaching(m.Footprint, IsClosed) is { } longer ? MemberOutline.Of(longer) : outlines[i]))]
        );
        return [.. parts.Where(p => MeanWidthMm(p) >= NarrowestMm).Select((p, i) => (Label(i), p))];
    }

    /// <summary>A spine that ends just short of something is drawn out to it; null where it is not.</summary>
    private static Footprint? Reaching(Footprint footprint, Func<PanelPoint, bool> isClosed)
    {
        if (footprint.Shape != FootprintShape.Spine)
            return null;
        PanelPoint[] spine = [.. footprint.Points];
        PanelPoint first = Beyond(spine[0], spine[1]),
            last = Beyond(spine[^1], spine[^2]);
        (spine[0], spine[^1]) = (first, last);
        return first == footprint.Points[0] && last == footprint.Points[^1] ? null : footprint with { Points = spine };

        PanelPoint Beyond(PanelPoint end, PanelPoint before)
        {
            double length = end.DistanceMm(before);
            PanelPoint On(double byMm) => end.Plus((end.SMm - before.SMm) / length * byMm, (end.TMm - before.TMm) / length * byMm);
            return !isClosed(On(TouchingMm)) && isClosed(On(NarrowestMm)) ? On(NarrowestMm) : end;
        }
    }

    /// <summary>Twice the area over the edge's length: the width of a long strip.</summary>
    private static double MeanWidthMm(RegionPart part) =>
        2 * part.AreaMm2 / part.Rings.Sum(r => r.Select((p, i) => p.DistanceMm(r[(i + 1) % r.Count])).Sum());

    private static bool Bounds(Member member) => member.Role != MemberRole.Pressed;

    /// <summary>A to Z, then AA, AB and so on.</summary>
    private static string Label(int index) => index < 26 ? $"{(char)('A' + index)}" : Label((index / 26) - 1) + Label(index % 26);
}
