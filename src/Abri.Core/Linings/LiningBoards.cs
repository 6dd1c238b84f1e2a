using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Linings;

/// <summary>Parts a lining into boards that whole sheets give: as few as can be, joints under members and clear of holes.</summary>
internal static class LiningBoards
{
    /// <summary>Least distance of a joint from a hole, mm: assumption; a narrower strip breaks.</summary>
    public const double FromHoleMm = 50;

    /// <summary>Narrower boards are not made where there is a choice, mm: assumption.</summary>
    private const double NarrowMm = 150;

    /// <summary>Gap between two boards, mm: common practice, so that they do not creak.</summary>
    public const double GapMm = 2;

    /// <summary>Where a joint may lie.</summary>
    /// <param name="AtMm">From the lining's edge, mm.</param>
    /// <param name="On">Name of the member above it; null for none.</param>
    public sealed record Line(double AtMm, string? On);

    /// <summary>Joints across one way of a lining.</summary>
    /// <param name="lengthMm">Extent of the lining that way, mm.</param>
    /// <param name="mostMm">Longest board, mm.</param>
    /// <param name="holes">From where to where holes reach, mm.</param>
    /// <param name="members">Middles of the members that run along such a joint.</param>
    public static IReadOnlyList<Line> Joints(
        double lengthMm,
        double mostMm,
        IReadOnlyList<(double FromMm, double ToMm)> holes,
        IReadOnlyList<Line> members
    )
    {
        int boards = (int)Math.Ceiling((lengthMm / mostMm) - 1e-9);
        if (boards <= 1)
            return [];
        Line[] places =
        [
            .. members,
            .. holes
                .SelectMany(h => new[] { h.FromMm - FromHoleMm, h.FromMm, h.ToMm, h.ToMm + FromHoleMm })
                .Concat([0, lengthMm])
                // As long boards as there are, on from each of these both ways.
                .SelectMany(at => Enumerable.Range(-boards, (2 * boards) + 1).Select(k => at + (k * mostMm)))
                .Concat(Enumerable.Range(1, boards - 1).Select(k => lengthMm * k / boards))
                .Select(at => new Line(at, null)),
        ];
        places = [.. places.Where(p => p.AtMm > 0 && p.AtMm < lengthMm).OrderBy(p => p.AtMm).ThenBy(p => p.On is null)];
        double Cost(Line p) => (p.On is null ? 50 : 0) + holes.Sum(h => Met(h, p.AtMm));
        double Board(double from, double to) =>
            to - from > mostMm + 1e-6 || to <= from
                ? double.PositiveInfinity
                : (to - from < NarrowMm ? 200 : 0) + (20 * Math.Pow(((to - from) / lengthMm) - (1.0 / boards), 2));
        // As few boards as the length asks for: all chains of that many joints, best first, one joint after the other.
        double[] cost = [.. places.Select(p => Cost(p) + Board(0, p.AtMm))];
        int[][] back = new int[boards - 1][];
        for (int k = 1; k < boards - 1; k++)
        {
            double[] next = new double[places.Length];
            back[k] = new int[places.Length];
            for (int i = 0; i < places.Length; i++)
            {
                (next[i], back[k][i]) = Enumerable.Range(0, places.Length).Select(j => (cost[j] + Board(places[j].AtMm, places[i].AtMm), j)).Min();
                next[i] += Cost(places[i]);
            }
            cost = next;
        }
        int at = Enumerable.Range(0, places.Length).MinBy(i => cost[i] + Board(places[i].AtMm, lengthMm));
        List<Line> chosen = [places[at]];
        for (int k = boards - 2; k > 0; k--)
            chosen.Insert(0, places[at = back[k][at]]);
        return chosen;
    }

    /// <summary>What it costs that a joint meets a hole, or leaves a narrow strip beside it.</summary>
    private static double Met((double FromMm, double ToMm) hole, double atMm) =>
        atMm > hole.FromMm && atMm < hole.ToMm ? 100_000
        : atMm > hole.FromMm - FromHoleMm + 1e-6 && atMm < hole.ToMm + FromHoleMm - 1e-6 ? 300
        : 0;

    /// <summary>Members that carry a joint: ribs and rails that run along it, and not what is only pressed into the skin.</summary>
    /// <param name="members">The members of the panel.</param>
    /// <param name="across">Whether the joint runs across the panel.</param>
    /// <param name="on">Carries a place of the plan onto the lining, mm from its edge.</param>
    public static IReadOnlyList<Line> Carriers(IEnumerable<Member> members, bool across, Func<PanelPoint, double> on) =>
        [
            .. members
                .Where(m => m.Kind is MemberKind.Pillar or MemberKind.CantRail or MemberKind.RoofBow or MemberKind.SideRib)
                .Select(m => (m.Name, Box: PanelBox.Of(MemberOutline.Of(m.Footprint))))
                .Where(m => across == m.Box.HeightMm > m.Box.WidthMm)
                .Select(m => new Line(on(m.Box.Centre), m.Name)),
        ];
}
