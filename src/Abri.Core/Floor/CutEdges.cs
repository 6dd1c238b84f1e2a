using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>What carries a cut edge.</summary>
public enum EdgeOn
{
    /// <summary>A bearer: old and new board meet on its middle.</summary>
    Bearer,

    /// <summary>A joint of boards that was there already, on a bearer.</summary>
    Joint,

    /// <summary>None: the board goes up to the wall.</summary>
    Wall,

    /// <summary>Timbers that are let in between the bearers.</summary>
    Blocking,
}

/// <summary>One side of what is cut out.</summary>
/// <param name="Side">Which side.</param>
/// <param name="On">What carries it.</param>
/// <param name="MemberName">Name of the bearer; null without one.</param>
/// <param name="BearsMm">What old and new board each bear on, mm; null at a wall.</param>
/// <param name="Line">The line of the cut, from end to end.</param>
/// <param name="TapeFrom">Edge of the floor at which the tape is hooked.</param>
/// <param name="TapesMm">What the tape reads at both ends of the line, mm.</param>
/// <param name="Tape">What the tape reads, in words; empty at a wall, where none is needed.</param>
/// <param name="Carried">On what it lies, in words.</param>
public sealed record CutEdge(
    Side Side,
    EdgeOn On,
    string? MemberName,
    double? BearsMm,
    IReadOnlyList<PanelPoint> Line,
    Side TapeFrom,
    IReadOnlyList<double> TapesMm,
    string Tape,
    string Carried
);

/// <summary>Snaps the sides of what has to come out onto what can carry them.</summary>
/// <remarks>
/// Outwards only. A wall that is nearer than a strip that is worth keeping is gone up to; else the nearest bearer, or joint of boards on one, that
/// runs along the whole side and is not further than <see cref="ReachMm"/> carries it; else timbers are let in. Old and new board meet on the middle
/// of what is common to the bearer all along the side, so that an oblique bearer carries no more than it really does. Common practice.
/// </remarks>
internal static class CutEdges
{
    /// <summary>Least bearing of each of two boards that meet, mm: common practice.</summary>
    public const double LeastBearingMm = 19;

    /// <summary>Width that a saw takes, mm: assumption.</summary>
    public const double KerfMm = 2;

    /// <summary>A strip of board that is narrower than this is not kept, mm: assumption.</summary>
    public const double LeastStripMm = 150;

    /// <summary>A bearer further off than this is not gone out to, mm: assumption.</summary>
    public const double ReachMm = 700;

    private const int MostPasses = 8;

    private sealed record Place(double AtMm, EdgeOn On, string? MemberName, double? BearsMm);

    /// <summary>The rectangle that is cut out, and what carries its sides.</summary>
    public static (PanelBox Box, IReadOnlyList<CutEdge> Edges) Of(FloorSite site, PanelBox needed)
    {
        PanelBox box = needed;
        Dictionary<Side, Place> places;
        // A side that moves out lengthens the lanes of the two beside it: what carried them may not reach so far.
        for (int pass = 0; ; pass++)
        {
            PanelBox lanes = box;
            places = Edge.All.ToDictionary(e => e.Side, e => Snapped(site, e, needed, lanes));
            box = Edge.All.Aggregate(needed, (b, e) => e.With(b, places[e.Side].AtMm));
            if (box == lanes || pass == MostPasses)
                return (box, [.. Edge.All.Select(edge => Drawn(site, edge, box, places[edge.Side]))]);
        }
    }

    private static Place Snapped(FloorSite site, Edge edge, PanelBox needed, PanelBox lane)
    {
        double at = edge.Of(needed);
        double wall = edge.Wall(site.Panel.Outline, lane) ?? edge.Of(site.Panel.Box);
        double toWall = edge.Beyond(wall, at);
        if (toWall <= LeastStripMm)
            return new Place(edge.Out * Math.Max(edge.Out * wall, edge.Out * at), EdgeOn.Wall, null, null);
        Place[] carried =
        [
            .. site
                .Bearers.SelectMany(b => OnBearer(site, edge, at, lane, b))
                .Where(p => edge.Beyond(p.AtMm, at) >= 0 && edge.Beyond(p.AtMm, at) <= ReachMm),
        ];
        if (carried.MinBy(p => edge.Beyond(p.AtMm, at)) is not { } nearest)
            return new Place(at, EdgeOn.Blocking, null, null);
        return edge.Beyond(wall, nearest.AtMm) <= LeastStripMm ? new Place(wall, EdgeOn.Wall, null, null) : nearest;
    }

    /// <summary>Where a bearer can carry a side: a joint of boards that lies on it already, and its middle.</summary>
    private static IEnumerable<Place> OnBearer(FloorSite site, Edge edge, double atMm, PanelBox lane, Member bearer)
    {
        IReadOnlyList<PanelPoint> outline = MemberOutline.Of(bearer.Footprint);
        (double from, double to) = Inside(site, edge, outline, lane);
        if (from >= to)
            yield break;
        // Where it is met by a line along the way out, at both ends and at each of its corners between them: nowhere else can it be narrower.
        (double Least, double Most)?[] spans =
        [
            .. outline.Select(edge.Along).Where(a => a > from && a < to).Append(from).Append(to).Select(a => edge.Span(outline, a)),
        ];
        if (spans.Any(s => s is null))
            yield break;
        (double least, double most) = (spans.Max(s => s!.Value.Least), spans.Min(s => s!.Value.Most));
        if (most - least <= KerfMm)
            yield break;
        double middle = (least + most) / 2;
        double Bears(double at) => Math.Min(at - least, most - at);
        double[] joints = [.. Joints(site, edge, lane).Where(j => edge.Beyond(j, atMm) >= 0 && Bears(j) >= LeastBearingMm)];
        foreach (double joint in joints)
            yield return new Place(joint, EdgeOn.Joint, bearer.Name, Bears(joint));
        // A cut beside a joint would leave a sliver.
        if (joints.Length == 0)
            yield return new Place(middle, EdgeOn.Bearer, bearer.Name, (most - least - KerfMm) / 2);
    }

    /// <summary>The lane as far as the floor reaches at a bearer: one that ends near a wall carries the side all along, and the wall may run
    /// aslant.</summary>
    private static (double From, double To) Inside(FloorSite site, Edge edge, IReadOnlyList<PanelPoint> bearer, PanelBox lane)
    {
        (double from, double to) = edge.Lane(lane);
        var across = new Edge(edge.IsStation ? Side.Top : Side.Rear);
        (double Least, double Most)? walls = across.Span(site.Panel.Outline, edge.Place(PanelBox.Of(bearer).Centre));
        // A bearer stops a little short of the wall, and the board at its edge needs no more.
        return walls is { } w ? (Math.Max(from, w.Least + LeastStripMm), Math.Min(to, w.Most - LeastStripMm)) : (from, to);
    }

    /// <summary>Joints of boards that run along the whole side.</summary>
    private static IEnumerable<double> Joints(FloorSite site, Edge edge, PanelBox lane)
    {
        (double from, double to) = edge.Lane(lane);
        PanelBox[] boards = [.. site.Boards.Select(b => PanelBox.Of(b.Outline))];
        return boards
            .Where(b => edge.Lane(b) is var (start, end) && start <= from + KerfMm && end >= to - KerfMm)
            .Select(b => edge.Of(b))
            .Where(at => boards.Any(b => Math.Abs(edge.Opposite.Of(b) - at) <= LeastBearingMm / 2));
    }

    private static CutEdge Drawn(FloorSite site, Edge edge, PanelBox box, Place place)
    {
        (double from, double to) = edge.Lane(box);
        PanelPoint[] line = [edge.Point(edge.Of(box), from), edge.Point(edge.Of(box), to)];
        IReadOnlyList<PanelPoint> floor = site.Panel.Outline;
        double[] Tapes(Edge hooked) =>
            [
                .. line.Select(p =>
                {
                    PanelBox all = site.Panel.Box;
                    (double start, double end) = hooked.Lane(all);
                    (double Least, double Most) span = hooked.Span(floor, Math.Clamp(hooked.Along(p), start, end))
                        ?? (hooked.Of(all), hooked.Of(all));
                    return Math.Max(0, hooked.Beyond(hooked.Out > 0 ? span.Most : span.Least, hooked.Place(p)));
                }),
            ];
        double[] near = Tapes(edge),
            far = Tapes(edge.Opposite);
        // The shorter tape is the truer one; a cut along a wall is hooked at the wall across.
        bool own = place.On != EdgeOn.Wall && near.Max() <= far.Max();
        (Side hookedAt, double[] tapes) = own ? (edge.Side, near) : (edge.Opposite.Side, far);
        return new CutEdge(
            edge.Side,
            place.On,
            place.MemberName,
            place.BearsMm,
            line,
            hookedAt,
            tapes,
            place.On == EdgeOn.Wall ? "" : InWords(tapes, site.Panel.Facing.Name(hookedAt), site.Format),
            place.On switch
            {
                EdgeOn.Bearer => $"on the middle of {place.MemberName}",
                EdgeOn.Joint => $"at the joint on {place.MemberName}",
                EdgeOn.Wall => "up to the wall",
                _ => "on timbers that are let in",
            }
        );
    }

    private static string InWords(double[] tapes, string wall, LengthFormat lengths)
    {
        string[] read = [.. tapes.Select(lengths.Text).Distinct()];
        return read.Length == 1 ? $"{read[0]} from the {wall} wall" : $"{read[0]} and {read[1]} from the {wall} wall, end to end";
    }
}
