using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>Members in the way of the cut-out: crossed, or nearer than the fitting wants them.</summary>
internal static class StructureRules
{
    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        foreach (Obstacle obstacle in placed.Crossing)
            yield return Crossed(placed, obstacle, sheet);
        foreach (Side side in Enum.GetValues<Side>())
        {
            if (placed.Nearest.TryGetValue(side, out NearestThing? thing))
                yield return Clearance(placed, thing, sheet);
        }
    }

    private static Judgement Crossed(Placed placed, Obstacle obstacle, Worksheet sheet)
    {
        Member member = obstacle.Member;
        var where = new Mark(obstacle.Outline, true);
        string id = $"crossed-{obstacle.Index}";
        string aside = WayOut(placed, obstacle);
        if (placed.Ground.Forbids(member))
        {
            sheet.Cite(PlacingFigures.NeverCut);
            string why =
                member.Role == MemberRole.Secondary ? "Secondary, but the chosen school keeps every rib."
                : member.Role == MemberRole.KeepOut ? "Nothing may touch it."
                : "Carries the shell and is never cut.";
            string remedy = member.Role == MemberRole.Secondary ? $"{aside} Or change the school of this opening to cutting secondary ribs." : aside;
            return new Judgement(id, JudgementState.Blocked, $"{member.Name} crosses the cut-out", null, null, Unit.Mm, why, remedy, [where]);
        }
        return HeaderFor.Row(placed, obstacle, sheet)
            ?? new Judgement(
                id,
                JudgementState.Blocked,
                $"{member.Name} would be cut",
                null,
                null,
                Unit.Mm,
                "There is no member on both sides of it to carry its load.",
                aside,
                [where]
            );
    }

    private static Judgement Clearance(Placed placed, NearestThing thing, Worksheet sheet)
    {
        double wanted = placed.Fitting.Clearance.At(thing.Side),
            gap = thing.GapMm;
        string name = thing.Obstacle.Member.Name,
            side = thing.Side.ToString().ToLowerInvariant();
        sheet.Step($"g_{side}", $"cut edge to {name}, {placed.Ground.Site.Panel.Facing.Beside(thing.Side)}", GapFormula(thing.Side), gap, "mm");
        sheet.Cite(PlacingFigures.Clearances);
        bool enough = gap >= wanted - PlacingFigures.HairMm;
        bool mayGo = !placed.Ground.Forbids(thing.Obstacle.Member);
        JudgementState state =
            enough ? JudgementState.Good
            : mayGo ? JudgementState.NeedsWork
            : JudgementState.Blocked;
        string? remedy = enough
            ? null
            : $"Move {placed.L(wanted - gap)} {placed.Ground.Site.Panel.Facing.Towards(Opposite(thing.Side))}"
                + (mayGo ? ", or cut this rib back as well and tie it to the header." : ".");
        string why = enough
            ? $"Wanted {placed.L(wanted)}: room for the frame, the fingers and the tool."
            : $"{placed.L(wanted - gap)} less than the {placed.L(wanted)} that this fitting wants: the frame would crowd it.";
        return new Judgement(
            $"clearance-{side}",
            state,
            $"{name}, {placed.Ground.Site.Panel.Facing.Beside(thing.Side)}",
            gap,
            wanted,
            Unit.Mm,
            why,
            remedy,
            [GapLine(placed, thing), new Mark(thing.Obstacle.Outline, true)]
        );
    }

    private static string GapFormula(Side side) =>
        side switch
        {
            Side.Front => "(s_centre - w/2) - rear edge of member",
            Side.Rear => "front edge of member - (s_centre + w/2)",
            Side.Top => "near edge of member - (t_centre + h/2)",
            _ => "(t_centre - h/2) - near edge of member",
        };

    /// <summary>The line along which a gap is measured, where member and cut-out face each other.</summary>
    private static Mark GapLine(Placed placed, NearestThing thing)
    {
        PanelBox cut = placed.Cut,
            at = thing.At;
        double s = (Math.Max(cut.SMinMm, at.SMinMm) + Math.Min(cut.SMaxMm, at.SMaxMm)) / 2;
        double t = (Math.Max(cut.TMinMm, at.TMinMm) + Math.Min(cut.TMaxMm, at.TMaxMm)) / 2;
        return new Mark(
            thing.Side switch
            {
                Side.Front => [new(at.SMaxMm, t), new(cut.SMinMm, t)],
                Side.Rear => [new(cut.SMaxMm, t), new(at.SMinMm, t)],
                Side.Top => [new(s, cut.TMaxMm), new(s, at.TMinMm)],
                _ => [new(s, at.TMaxMm), new(s, cut.TMinMm)],
            },
            false
        );
    }

    /// <summary>The shortest square move that clears a member that is crossed.</summary>
    private static string WayOut(Placed placed, Obstacle obstacle)
    {
        PanelBox cut = placed.Cut,
            box = obstacle.Box;
        PerSide want = placed.Fitting.Clearance;
        (Side Side, double Mm)[] moves =
        [
            (Side.Rear, box.SMaxMm + want.FrontMm - cut.SMinMm),
            (Side.Front, cut.SMaxMm + want.RearMm - box.SMinMm),
            (Side.Top, box.TMaxMm + want.BottomMm - cut.TMinMm),
            (Side.Bottom, cut.TMaxMm + want.TopMm - box.TMinMm),
        ];
        (Side side, double mm) = moves.MinBy(m => m.Mm);
        return $"Move {placed.L(mm)} {placed.Ground.Site.Panel.Facing.Towards(side)} to clear it.";
    }

    private static Side Opposite(Side side) =>
        side switch
        {
            Side.Front => Side.Rear,
            Side.Rear => Side.Front,
            Side.Top => Side.Bottom,
            _ => Side.Top,
        };
}
