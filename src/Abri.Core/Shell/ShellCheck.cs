using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Says what is contradictory about a panel and its members, or that nothing is.</summary>
/// <remarks>
/// Ranges of single figures are checked where they are typed; this looks at what they mean together: outlines that cross
/// themselves, members that lie off the panel, pillars marked as if they could be cut.
/// </remarks>
public static class ShellCheck
{
    /// <summary>How far a member may reach past the outline before it counts as off the panel, mm: an assumption that allows for a tape read at a rounded edge.</summary>
    public const double OverhangMm = 50;

    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Panel panel, IReadOnlyList<Member> members)
    {
        if (OfPanel(panel) is { } wrong) return wrong.Under("/panel");
        for (int i = 0; i < members.Count; i++)
        {
            if (OfMember(panel, members[i]) is { } problem) return problem.Under($"/members/{i}");
        }
        return null;
    }

    /// <summary>What is contradictory about a panel, or null.</summary>
    public static Problem? OfPanel(Panel panel)
    {
        if (Outlines.Check(panel.Outline, "/outline") is { } problem) return problem;
        if (SectionCheck.Of(panel.Sections ?? [], "/sections") is { } section) return section;
        if (panel.Surface == SurfaceSource.Measured && panel.Sections is not { Count: > 0 })
            return new Problem("surface-not-measured", "/surface", "No section has been measured yet: take one, or let the drawing count.");
        if (panel.ArcRadiusAlongMm is { } along && along < panel.Box.WidthMm / 2) return TooTight("arcRadiusAlongMm", along, panel.Box.WidthMm);
        if (panel.ArcRadiusAcrossMm is { } across && across < panel.Box.HeightMm / 2) return TooTight("arcRadiusAcrossMm", across, panel.Box.HeightMm);
        return null;
    }

    /// <summary>What is contradictory about a member on its panel, or null.</summary>
    public static Problem? OfMember(Panel panel, Member member)
    {
        if (OfFootprint(member.Footprint) is { } problem) return problem;
        if (Member.IsAlwaysUncut(member.Kind) && member.Role is not (MemberRole.Structural or MemberRole.KeepOut))
            return new Problem("member-never-cut", "/role", $"{member.Name} is never cut: give it the role structural or keep out.");
        if (member.Kind == MemberKind.Swage != (member.Role == MemberRole.Pressed))
            return new Problem("member-role-kind", "/role", $"{member.Name}: the role pressed belongs to swages, and a swage is always pressed.");
        IReadOnlyList<PanelPoint> outline = MemberOutline.Of(member.Footprint);
        PanelBox reach = panel.Box.Grown(OverhangMm);
        if (outline.Where(p => !reach.Holds(p)).Take(1).ToList() is [PanelPoint off])
        {
            return new Problem("member-off-panel", "/footprint",
                $"{member.Name} reaches s {off.SMm:0.#} mm, t {off.TMm:0.#} mm, off the panel, which spans s {panel.Box.SMinMm:0.#} to {panel.Box.SMaxMm:0.#} mm and t {panel.Box.TMinMm:0.#} to {panel.Box.TMaxMm:0.#} mm.");
        }
        return Plane.Polygon(outline).Intersects(Plane.Polygon(panel.Outline))
            ? null
            : new Problem("member-off-panel", "/footprint", $"{member.Name} does not touch the panel.");
    }

    /// <summary>What is contradictory about a footprint by itself, or null.</summary>
    public static Problem? OfFootprint(Footprint footprint)
    {
        if (footprint.Shape == FootprintShape.Polygon) return Outlines.Check(footprint.Points, "/footprint/points");
        if (footprint.Points.Count < 2) return new Problem("footprint-too-few-points", "/footprint/points", "A spine needs at least 2 points.");
        for (int i = 1; i < footprint.Points.Count; i++)
        {
            if (footprint.Points[i].DistanceMm(footprint.Points[i - 1]) < 1)
                return new Problem("footprint-too-short", $"/footprint/points/{i}", "Neighbouring points of a spine must lie at least 1 mm apart.");
        }
        return footprint.WidthMm < 1
            ? new Problem("footprint-too-narrow", "/footprint/widthMm", "A spine needs a width of at least 1 mm.")
            : null;
    }

    private static Problem TooTight(string field, double radiusMm, double spanMm) => new("arc-too-tight", "/" + field,
        $"An arc of radius {radiusMm:0.#} mm cannot span the panel's {spanMm:0.#} mm: the radius must be at least {spanMm / 2:0.#} mm.");
}
