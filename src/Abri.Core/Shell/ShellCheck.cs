using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Says what is contradictory about a panel and its members, or that nothing is.</summary>
/// <remarks>
/// Ranges of single figures are checked where they are typed; this looks at what they mean together: outlines that cross
/// themselves, members that lie off the panel, pillars marked as if they could be cut.
/// </remarks>
public static class ShellCheck
{
    /// <summary>How far a member may reach past the outline before it counts as off the panel, mm: an assumption that allows for a tape read at a
    /// rounded edge.</summary>
    public const double OverhangMm = 50;

    /// <summary>Largest panel, m2: the roof of a long coach has 40.</summary>
    public const double MostAreaM2 = 100;

    /// <summary>Most metres of members on one panel: a long coach's roof with bows every 400 mm and six rails has 150.</summary>
    public const double MostMemberM = 400;

    /// <summary>Most pairs of members of one panel that meet: a long coach's roof has 200.</summary>
    public const int MostMeetings = 300;

    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Panel panel, IReadOnlyList<Member> members)
    {
        if (OfPanel(panel) is { } wrong)
            return wrong.Under("/panel");
        for (int i = 0; i < members.Count; i++)
        {
            if (OfMember(panel, members[i]) is { } problem)
                return problem.Under($"/members/{i}");
        }
        return OfAll(members);
    }

    /// <summary>Whether the members of a panel are more than can be worked on in seconds, or null.</summary>
    public static Problem? OfAll(IReadOnlyList<Member> members)
    {
        double metres = members.Sum(m => LengthMm(m.Footprint)) / 1000;
        if (metres > MostMemberM)
            return new Problem(
                "members-too-long",
                "/members",
                $"The members of this panel come to {metres:0} m; at most {MostMemberM:0} m are worked on. Draw only what an "
                    + "opening has to keep clear of."
            );
        IReadOnlyList<PanelPoint>[] outlines = [.. members.Where(m => m.Role != MemberRole.Pressed).Select(m => MemberOutline.Of(m.Footprint))];
        PanelBox[] boxes = [.. outlines.Select(PanelBox.Of)];
        NetTopologySuite.Geometries.Geometry[] areas = [.. outlines.Select(Plane.Polygon)];
        int meetings = 0;
        for (int i = 0; i < areas.Length; i++)
        {
            for (int j = 0; j < i; j++)
            {
                if (boxes[i].Overlaps(boxes[j]) && areas[i].Intersects(areas[j]) && ++meetings > MostMeetings)
                    return new Problem(
                        "members-meet-too-often",
                        "/members",
                        $"More than {MostMeetings} pairs of members of this panel meet one another; at most {MostMeetings} are "
                            + "worked on. Leave out what lies on others, or draw rails as one member."
                    );
            }
        }
        return null;
    }

    private static double LengthMm(Footprint footprint)
    {
        double along = footprint.Points.Zip(footprint.Points.Skip(1)).Sum(p => p.First.DistanceMm(p.Second));
        return footprint.Shape == FootprintShape.Spine ? along : (along + footprint.Points[^1].DistanceMm(footprint.Points[0])) / 2;
    }

    /// <summary>What is contradictory about a panel, or null.</summary>
    public static Problem? OfPanel(Panel panel)
    {
        if (Outlines.Check(panel.Outline, "/outline") is { } problem)
            return problem;
        if (panel.Box.AreaMm2 / 1e6 > MostAreaM2)
            return new Problem(
                "panel-too-large",
                "/outline",
                $"The panel is {panel.Box.WidthMm / 1000:0.#} by {panel.Box.HeightMm / 1000:0.#} m; at most {MostAreaM2:0} m2 are "
                    + "worked on. Check the unit, or draw it as several panels."
            );
        if (SectionCheck.Of(panel.Sections ?? [], "/sections") is { } section)
            return section;
        if (panel.Surface == SurfaceSource.Measured && panel.Sections is not { Count: > 0 })
            return new Problem("surface-not-measured", "/surface", "No section has been measured yet: take one, or let the drawing count.");
        if (panel.ArcRadiusAlongMm is { } along && along < panel.Box.WidthMm / 2)
            return TooTight("arcRadiusAlongMm", along, panel.Box.WidthMm);
        if (panel.ArcRadiusAcrossMm is { } across && across < panel.Box.HeightMm / 2)
            return TooTight("arcRadiusAcrossMm", across, panel.Box.HeightMm);
        return null;
    }

    /// <summary>What is contradictory about a member on its panel, or null.</summary>
    public static Problem? OfMember(Panel panel, Member member)
    {
        if (OfFootprint(member.Footprint) is { } problem)
            return problem;
        if (Member.IsAlwaysUncut(member.Kind) && member.Role is not (MemberRole.Structural or MemberRole.KeepOut))
            return new Problem("member-never-cut", "/role", $"{member.Name} is never cut: give it the role structural or keep out.");
        if (member.Kind == MemberKind.Swage != (member.Role == MemberRole.Pressed))
            return new Problem("member-role-kind", "/role", $"{member.Name}: the role pressed belongs to swages, and a swage is always pressed.");
        IReadOnlyList<PanelPoint> outline = MemberOutline.Of(member.Footprint);
        PanelBox reach = panel.Box.Grown(OverhangMm);
        if (outline.Where(p => !reach.Holds(p)).Take(1).ToList() is [PanelPoint off])
        {
            return new Problem(
                "member-off-panel",
                "/footprint",
                $"{member.Name} reaches s {off.SMm:0.#} mm, t {off.TMm:0.#} mm, off the panel, which spans s {panel.Box.SMinMm:0.#} "
                    + $"to {panel.Box.SMaxMm:0.#} mm and t {panel.Box.TMinMm:0.#} to {panel.Box.TMaxMm:0.#} mm."
            );
        }
        return Plane.Polygon(outline).Intersects(Plane.Polygon(panel.Outline))
            ? null
            : new Problem("member-off-panel", "/footprint", $"{member.Name} does not touch the panel.");
    }

    /// <summary>What is contradictory about a footprint by itself, or null.</summary>
    public static Problem? OfFootprint(Footprint footprint)
    {
        if (footprint.Shape == FootprintShape.Polygon)
            return Outlines.Check(footprint.Points, "/footprint/points");
        if (footprint.Points.Count < 2)
            return new Problem("footprint-too-few-points", "/footprint/points", "A spine needs at least 2 points.");
        for (int i = 1; i < footprint.Points.Count; i++)
        {
            if (footprint.Points[i].DistanceMm(footprint.Points[i - 1]) < 1)
                return new Problem("footprint-too-short", $"/footprint/points/{i}", "Neighbouring points of a spine must lie at least 1 mm apart.");
        }
        return footprint.WidthMm < 1 ? new Problem("footprint-too-narrow", "/footprint/widthMm", "A spine needs a width of at least 1 mm.") : null;
    }

    private static Problem TooTight(string field, double radiusMm, double spanMm) =>
        new(
            "arc-too-tight",
            "/" + field,
            $"An arc of radius {radiusMm:0.#} mm cannot span the panel's {spanMm:0.#} mm: the radius must be at least {spanMm / 2:0.#} mm."
        );
}
