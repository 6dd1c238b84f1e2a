using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>
/// The ways that water takes inside a shell as it is parked: over the inner skin, along bows, rails and ribs to their low ends, down the sides to the
/// floor.
/// </summary>
/// <remarks>
/// A graph whose nodes are places on skins and members. Water on a skin runs down the steepest slope until a member stops it; along a member it runs
/// to the low end; where two members meet it may change over; some gets past; from
/// the roof some drips to the floor. Each step is passed with a chance that falls with its length and with each turn. The chance that water from one
/// place shows at another is that of the best way between them. All chances are
/// assumptions (<see cref="WayChances"/>).
/// </remarks>
internal sealed class WaterWays
{
    private const double SkinStepMm = 120,
        MemberStepMm = 200,
        MergeMm = 100,
        MarchMm = 30,
        StepUpMm = 40,
        FootMm = 1,
        LevelSlope = 0.002;
    private const int MostSkinSteps = 60;

    private readonly IReadOnlyList<WetPanel> panels;
    private readonly ShellFrame frame;
    private readonly Attitude attitude;
    private readonly Surface[] surfaces;
    private readonly List<Node> nodes = [];
    private readonly List<Channel>[] channels;
    private readonly List<List<(int To, double Chance)>> steps = [];
    private readonly Dictionary<(int Panel, int S, int T), int> onSkin = [];
    private readonly Dictionary<int, Channel> channelOf = [];
    private int[]? lowestFirst;

    public WaterWays(IReadOnlyList<WetPanel> panels, Attitude attitude)
    {
        (this.panels, this.attitude) = (panels, attitude);
        frame = new ShellFrame([.. panels.Select(p => p.Panel)]);
        // Swages make the skin wavy but do not turn its fall; water inside crosses them.
        surfaces = [.. panels.Select(p => Surface.Of(p.Panel, []))];
        channels = [.. panels.Select(_ => new List<Channel>())];
        for (int p = 0; p < panels.Count; p++)
            LayMembers(p);
        for (int p = 0; p < panels.Count; p++)
            JoinMembers(p);
        int members = nodes.Count;
        for (int n = 0; n < members; n++)
            LeaveMember(n);
    }

    /// <summary>A place on the ways.</summary>
    /// <param name="Panel">Number of the panel.</param>
    /// <param name="At">Where on it.</param>
    /// <param name="Place">Where in the vehicle.</param>
    /// <param name="HeightMm">Height above level ground, mm.</param>
    /// <param name="Member">The member; null on the skin.</param>
    public sealed record Node(int Panel, PanelPoint At, ShellPoint Place, double HeightMm, Member? Member);

    /// <summary>The nodes.</summary>
    public IReadOnlyList<Node> Nodes => nodes;

    /// <summary>Lets water in at a place; the ways that it takes from there are added.</summary>
    public int Enter(int panel, PanelPoint at)
    {
        lowestFirst = null;
        return Skin(panel, Inside(panel, at));
    }

    /// <summary>Chance, per node, that water there shows at a spot.</summary>
    public double[] ChancesTo(ShellPoint spot, double spreadMm)
    {
        var chances = new double[nodes.Count];
        for (int n = 0; n < nodes.Count; n++)
            chances[n] = WayChances.Seen(nodes[n].Place.DistanceMm(spot) - spreadMm);
        lowestFirst ??= [.. Enumerable.Range(0, nodes.Count).OrderBy(n => nodes[n].HeightMm)];
        // Steps lead down, but for the level ones: a few rounds from the lowest node up settle those too.
        for (bool changed = true; changed; )
        {
            changed = false;
            foreach (int n in lowestFirst)
            {
                foreach ((int to, double chance) in steps[n])
                {
                    if (chance * chances[to] <= chances[n] + 1e-12)
                        continue;
                    chances[n] = chance * chances[to];
                    changed = true;
                }
            }
        }
        return chances;
    }

    /// <summary>The best way from a node towards a spot, given the chances to it.</summary>
    public IReadOnlyList<Node> Way(int from, double[] chances)
    {
        var way = new List<Node> { nodes[from] };
        for (int n = from; way.Count < 500; )
        {
            (int to, double best) = (-1, 0);
            foreach ((int next, double chance) in steps[n])
            {
                if (chance * chances[next] > best)
                    (to, best) = (next, chance * chances[next]);
            }
            // It ends where water shows as well as it would further on.
            if (to < 0 || best < chances[n] - 1e-9)
                break;
            way.Add(nodes[to]);
            n = to;
        }
        return way;
    }

    /// <summary>Members that lead or stop water inside: what stands on the inner skin.</summary>
    private static bool Leads(Member m) =>
        m.Kind is MemberKind.RoofBow or MemberKind.CantRail or MemberKind.Pillar or MemberKind.SideRib or MemberKind.SlidingDoorRail && m.DepthMm > 0;

    private void LayMembers(int panel)
    {
        foreach (Member member in panels[panel].Members.Where(Leads))
        {
            PanelPoint[] spine = Spine(member);
            var along = new List<int>();
            for (int i = 0; i < spine.Length; i++)
            {
                int pieces = i == 0 ? 1 : Math.Max(1, (int)Math.Ceiling(spine[i].DistanceMm(spine[i - 1]) / MemberStepMm));
                for (int piece = i == 0 ? pieces : 1; piece <= pieces; piece++)
                {
                    PanelPoint from = i == 0 ? spine[0] : spine[i - 1];
                    along.Add(
                        Add(
                            panel,
                            Inside(panel, from.Plus((spine[i].SMm - from.SMm) * piece / pieces, (spine[i].TMm - from.TMm) * piece / pieces)),
                            member
                        )
                    );
                }
            }
            var channel = new Channel(member, MemberOutline.Of(member.Footprint), spine, along);
            channels[panel].Add(channel);
            foreach (int n in along)
                channelOf[n] = channel;
            for (int i = 1; i < along.Count; i++)
            {
                RunAlong(along[i - 1], along[i]);
                RunAlong(along[i], along[i - 1]);
            }
        }
    }

    private void RunAlong(int from, int to)
    {
        double length = nodes[from].Place.DistanceMm(nodes[to].Place);
        double slope = (nodes[from].HeightMm - nodes[to].HeightMm) / Math.Max(1, length);
        if (slope < -LevelSlope)
            return;
        Lead(from, to, Math.Abs(slope) <= LevelSlope ? WayChances.Level : 1, length, WayChances.MemberMm);
    }

    /// <summary>Where the ends of members touch others of the same panel, water changes over.</summary>
    private void JoinMembers(int panel)
    {
        foreach (Channel a in channels[panel])
        {
            foreach (Channel b in channels[panel].Where(b => b != a))
            {
                double reach = (WidthMm(a) + WidthMm(b)) / 2 + 10;
                foreach (int n in a.Along)
                {
                    if (!b.Box.Grown(reach).Holds(nodes[n].At) || DistanceToLineMm(b.Spine, nodes[n].At) > reach)
                        continue;
                    int other = Nearest(b.Along, nodes[n].At);
                    if (nodes[other].HeightMm > nodes[n].HeightMm + StepUpMm)
                        continue;
                    Lead(n, other, WayChances.Turn, nodes[n].Place.DistanceMm(nodes[other].Place), WayChances.MemberMm);
                }
            }
        }
    }

    /// <summary>Where water goes that leaves a member: past it down the skin, down a side from the roof's edge, or in drops to the floor.</summary>
    private void LeaveMember(int n)
    {
        Node node = nodes[n];
        Channel channel = channelOf[n];
        if (Downhill(node.Panel, node.At) is { } down)
        {
            PanelPoint past = node.At;
            for (int i = 0; i < 40 && (i == 0 || Outlines.Encloses(channel.Outline, past)); i++)
                past = past.Plus(down.SMm * 10, down.TMm * 10);
            if (Outlines.Encloses(panels[node.Panel].Panel.Outline, past))
                Lead(n, Skin(node.Panel, past), WayChances.Past, past.DistanceMm(node.At), WayChances.SkinMm);
            else
                OverEdge(n, node.Panel, node.At);
        }
        if (panels[node.Panel].Panel.Facing != Facing.Up)
            return;
        if (channel.Member.Kind == MemberKind.CantRail)
            OverEdge(n, node.Panel, node.At);
        if (Floor() is { } floor)
        {
            PanelPoint below = new(node.At.SMm, node.At.TMm);
            if (Outlines.Encloses(panels[floor].Panel.Outline, below))
                Lead(n, Skin(floor, below), WayChances.Drop, 0, 1);
        }
    }

    /// <summary>The node of water that stands on a skin, with the way down from it. Ways that meet go on as one.</summary>
    private int Skin(int panel, PanelPoint at)
    {
        // It starts at its own place: beside a member a few millimetres decide on which side of it water runs.
        int first = Add(panel, at, null),
            n = first;
        bool known = false;
        for (int i = 0; !known && i < MostSkinSteps; i++)
        {
            if (Stopped(panel, nodes[n].At) is { } stopped)
            {
                int on = Nearest(stopped.Along, nodes[n].At);
                Lead(n, on, WayChances.Turn, nodes[n].Place.DistanceMm(nodes[on].Place), WayChances.MemberMm);
                return first;
            }
            if (Downhill(panel, nodes[n].At) is not { } down)
                return first;
            PanelPoint next = nodes[n].At;
            Channel? met = null;
            for (double gone = 0; gone < SkinStepMm && met is null; gone += MarchMm)
            {
                PanelPoint ahead = next.Plus(down.SMm * MarchMm, down.TMm * MarchMm);
                if (!Outlines.Encloses(panels[panel].Panel.Outline, ahead))
                {
                    OverEdge(n, panel, next);
                    return first;
                }
                next = ahead;
                met = Stopped(panel, next);
            }
            (int to, known) = OnSkin(panel, next);
            // Water never runs back to where it came from on a rounded place.
            if (nodes[to].HeightMm > nodes[n].HeightMm)
                return first;
            Lead(n, to, 1, nodes[n].Place.DistanceMm(nodes[to].Place), WayChances.SkinMm);
            n = to;
        }
        return first;
    }

    private (int Node, bool Known) OnSkin(int panel, PanelPoint at)
    {
        (int, int, int) key = (panel, (int)Math.Round(at.SMm / MergeMm), (int)Math.Round(at.TMm / MergeMm));
        if (onSkin.TryGetValue(key, out int known))
            return (known, true);
        return (onSkin[key] = Add(panel, at, null), false);
    }

    /// <summary>From the roof's edge to the head of the side below it, from the foot of a side to the floor's edge.</summary>
    private void OverEdge(int n, int panel, PanelPoint at)
    {
        Panel from = panels[panel].Panel;
        int to = -1;
        PanelPoint there = at;
        if (from.Kind == PanelKind.Roof)
        {
            Facing side = Math.Abs(at.TMm - from.Box.TMaxMm) < Math.Abs(at.TMm - from.Box.TMinMm) ? Facing.Left : Facing.Right;
            to = Find(p => p.Facing == side && p.Kind is (PanelKind.Left or PanelKind.Right));
            if (to >= 0)
                there = Inside(to, new PanelPoint(at.SMm, panels[to].Panel.Box.TMaxMm));
        }
        else if (from.Kind is PanelKind.Left or PanelKind.Right)
        {
            to = Floor() ?? -1;
            if (to >= 0)
                there = Inside(to, new PanelPoint(at.SMm, from.Kind == PanelKind.Left ? panels[to].Panel.Box.TMaxMm : panels[to].Panel.Box.TMinMm));
        }
        if (to >= 0)
            Lead(n, Skin(to, there), WayChances.Corner, 0, 1);
    }

    private int Find(Func<Panel, bool> wanted)
    {
        for (int p = 0; p < panels.Count; p++)
        {
            if (wanted(panels[p].Panel))
                return p;
        }
        return -1;
    }

    private int? Floor() => Find(p => p.Kind == PanelKind.Floor) is >= 0 and var floor ? floor : null;

    private Channel? Stopped(int panel, PanelPoint at) => channels[panel].Find(c => c.Box.Holds(at) && Outlines.Encloses(c.Outline, at));

    /// <summary>The way down on a panel, as a vector of length 1; null where it is level.</summary>
    private PanelPoint? Downhill(int panel, PanelPoint at)
    {
        const double d = 30;
        double ds = (HeightAt(panel, at.Plus(d, 0)) - HeightAt(panel, at.Plus(-d, 0))) / (2 * d),
            dt = (HeightAt(panel, at.Plus(0, d)) - HeightAt(panel, at.Plus(0, -d))) / (2 * d);
        double steep = Math.Sqrt((ds * ds) + (dt * dt));
        return steep < LevelSlope ? null : new PanelPoint(-ds / steep, -dt / steep);
    }

    private double HeightAt(int panel, PanelPoint at) => ShellFrame.HeightMm(PlaceOf(panel, at), attitude);

    private ShellPoint PlaceOf(int panel, PanelPoint at) =>
        frame.At(panels[panel].Panel, at, panels[panel].Panel.Kind == PanelKind.Roof ? surfaces[panel].HeightAt(at) : 0);

    private int Add(int panel, PanelPoint at, Member? member)
    {
        ShellPoint place = PlaceOf(panel, at);
        nodes.Add(new Node(panel, at, place, ShellFrame.HeightMm(place, attitude), member));
        steps.Add([]);
        return nodes.Count - 1;
    }

    private void Lead(int from, int to, double chance, double lengthMm, double fadesMm) =>
        steps[from].Add((to, chance * Math.Exp(-lengthMm / fadesMm)));

    /// <summary>A place moved a hair inside the panel's rectangle, so that what lies on the edge counts as on it.</summary>
    private PanelPoint Inside(int panel, PanelPoint at)
    {
        PanelBox box = panels[panel].Panel.Box;
        return new PanelPoint(
            Math.Clamp(at.SMm, box.SMinMm + FootMm, box.SMaxMm - FootMm),
            Math.Clamp(at.TMm, box.TMinMm + FootMm, box.TMaxMm - FootMm)
        );
    }

    private int Nearest(List<int> along, PanelPoint at) => along.MinBy(n => nodes[n].At.DistanceMm(at));

    private static double WidthMm(Channel s) =>
        s.Member.Footprint.Shape == FootprintShape.Spine ? s.Member.Footprint.WidthMm : Math.Min(s.Box.WidthMm, s.Box.HeightMm);

    private static double DistanceToLineMm(PanelPoint[] line, PanelPoint at) =>
        line.Zip(line.Skip(1)).Min(piece => Outlines.DistanceToEdgeMm([piece.First, piece.Second], at));

    /// <summary>The line along the middle of a member; of a polygon, along the middle of its rectangle.</summary>
    private static PanelPoint[] Spine(Member member)
    {
        if (member.Footprint.Shape == FootprintShape.Spine)
            return [.. member.Footprint.Points];
        PanelBox box = PanelBox.Of(member.Footprint.Points);
        return box.WidthMm >= box.HeightMm
            ? [new(box.SMinMm, box.Centre.TMm), new(box.SMaxMm, box.Centre.TMm)]
            : [new(box.Centre.SMm, box.TMaxMm), new(box.Centre.SMm, box.TMinMm)];
    }

    private sealed record Channel(Member Member, IReadOnlyList<PanelPoint> Outline, PanelPoint[] Spine, List<int> Along)
    {
        public PanelBox Box { get; } = PanelBox.Of(Outline);
    }
}

/// <summary>Chances that water passes from one piece of its way to the next: assumptions all of them.</summary>
public static class WayChances
{
    /// <summary>Length on a skin over which the chance falls to 1/e, mm.</summary>
    public const double SkinMm = 4000;

    /// <summary>Length along a member over which the chance falls to 1/e, mm.</summary>
    public const double MemberMm = 6000;

    /// <summary>At a turn: from skin to member, from member to member.</summary>
    public const double Turn = 0.85;

    /// <summary>Past a member and on down the skin.</summary>
    public const double Past = 0.35;

    /// <summary>Along a member that is level, either way.</summary>
    public const double Level = 0.5;

    /// <summary>Round a corner of the shell: from roof to side, from side to floor.</summary>
    public const double Corner = 0.6;

    /// <summary>In drops from the roof to the floor.</summary>
    public const double Drop = 0.35;

    /// <summary>By a way that no drawing shows, from a place that lies no lower than <see cref="UnseenBelowMm"/> below the mark; it falls with the
    /// distance like that over a skin.</summary>
    public const double Unseen = 0.03;

    /// <summary>How far below a mark its cause may lie, mm.</summary>
    public const double UnseenBelowMm = 100;

    /// <summary>Half of the chance is left where a mark lies so far from the way, mm.</summary>
    private const double HalfMm = 120;

    /// <summary>Beyond this water that passes is not seen, mm.</summary>
    private const double BlindMm = 400;

    /// <summary>Chance that a mark is that of water which passes at a distance.</summary>
    /// <param name="offMm">Distance from the edge of the mark, mm; negative inside.</param>
    internal static double Seen(double offMm) =>
        offMm <= 0 ? 1
        : offMm > BlindMm ? 0
        : Math.Pow(2, -offMm / HalfMm);
}
