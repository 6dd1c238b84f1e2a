using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;
using NetTopologySuite.Geometries;

namespace Abri.Core.Floor;

/// <summary>What of a floor is cut out, what carries the edges, and what goes in.</summary>
/// <remarks>
/// What is bad is bounded by the first sound places and a margin (<see cref="BadWood"/>), and its sides are snapped outwards onto what can carry
/// them (<see cref="CutEdges"/>); bad places that come to lie inside the cut bound it anew, until nothing changes. New boards span across the
/// bearers, part on bearers, and keep a gap at walls and joints.
/// </remarks>
public static class FloorReplacement
{
    /// <summary>How far the saw goes below the board, mm: common practice.</summary>
    public const double SawBelowMm = 1;

    /// <summary>A greater step is felt, and tears a covering: assumption, mm.</summary>
    public const double StepMm = 0.5;

    /// <summary>Gap of a new board at a wall, mm: assumption.</summary>
    public const double WallGapMm = 3;

    /// <summary>Width of timbers that are let in, mm: two bearings and a kerf, common practice.</summary>
    public const double TimberMm = 45;

    private const double JointGapMm = CutEdges.KerfMm / 2,
        HairMm2 = 100;

    /// <summary>The plan.</summary>
    public static Result<Worked<ReplacementPlan>> Of(FloorSite site, Replacement replacement)
    {
        if (site.Check() is { } wrong)
            return wrong.Under("/site");
        if (Replacement.Check(site.Panel, replacement) is { } contradiction)
            return contradiction.Under("/replacement");
        LengthFormat lengths = site.Format;
        var sheet = new Worksheet();
        (BadWood bad, PanelBox box, IReadOnlyList<CutEdge> edges) = Settled(site, replacement);
        Polygon floor = Plane.Polygon(site.Panel.Outline);
        NetTopologySuite.Geometries.Geometry cut = Plane.Polygon(box).Intersection(floor);
        if (cut.Area < HairMm2)
            return new Problem("replacement-off-floor", "/replacement/area", "Nothing of this area lies on the floor. Draw it where the floor is.");
        foreach (CutEdge edge in edges)
            sheet.Step(
                $"x_{edge.Side.ToString().ToLowerInvariant()}",
                $"{site.Panel.Facing.Name(edge.Side)} edge of the cut",
                edge.On == EdgeOn.Blocking ? "first sound place + margin" : "snapped outwards",
                new Edge(edge.Side).Of(box),
                "mm"
            );
        double area = sheet.Step("A", "cut out", "area on the floor", cut.Area, "mm2");
        var ground = new CutGround(site, replacement, bad, box, edges, cut);
        IReadOnlyList<FloorPiece> pieces = ReplacementPieces.Of(ground, out IReadOnlyList<Support> below);
        Support[] supports = [.. ReplacementSupports.Of(ground), .. below];
        BoardCut[] boards = [.. site.Boards.Select(b => Fate(b, cut))];
        RottenMember[] members = [.. RottenMembers.Of(ground, sheet)];
        Judgement[] rows = [.. ReplacementRules.Of(ground, members)];
        sheet.Cite(new Source("Cut on the middle of a bearer, 19 mm of bearing for each board", SourceKind.CommonPractice));
        sheet.Cite(new Source("Margin beyond the first sound place, twice along the grain; strips under 150 mm are not kept", SourceKind.Assumption));
        foreach (Judgement row in rows.Where(r => r.State == JudgementState.Blocked))
            sheet.Warn($"{row.Title}. {row.Remedy}");
        return sheet.Finish(
            new ReplacementPlan(
                bad.Cover,
                [.. Plane.Parts(cut.Each()).Select(p => p.Outline)],
                edges,
                boards,
                pieces,
                supports,
                members,
                [.. ReplacementRules.Below(ground).Select(m => m.Name).Distinct()],
                area,
                rows,
                Verdict(lengths, box, edges, pieces, supports, members)
            )
        );
    }

    /// <summary>What is bad, and the cut round it, until no bad place lies inside the cut that did not bound it.</summary>
    private static (BadWood Bad, PanelBox Box, IReadOnlyList<CutEdge> Edges) Settled(FloorSite site, Replacement replacement)
    {
        PanelBox first = PanelBox.Of(replacement.Area);
        PanelPoint[] places = [.. site.Bad];
        while (true)
        {
            BadWood bad = BadWood.Of(site, first, replacement.MarginMm);
            (PanelBox box, IReadOnlyList<CutEdge> edges) = CutEdges.Of(site, bad.Needed);
            PanelBox cover = PanelBox.Of([.. bad.Cover.Corners, .. places.Where(box.Holds)]);
            if (cover == bad.Cover)
                return (bad, box, edges);
            first = cover;
        }
    }

    private static BoardCut Fate(Board board, NetTopologySuite.Geometries.Geometry cut)
    {
        Polygon area = Plane.Polygon(board.Outline);
        double taken = area.Intersection(cut).Area;
        return new BoardCut(
            board.Name,
            taken < HairMm2 ? BoardFate.Stays
                : taken > area.Area - HairMm2 ? BoardFate.Out
                : BoardFate.Cut,
            board.ThickMm + SawBelowMm
        );
    }

    private static string Verdict(
        LengthFormat lengths,
        PanelBox box,
        IReadOnlyList<CutEdge> edges,
        IReadOnlyList<FloorPiece> pieces,
        Support[] supports,
        RottenMember[] members
    )
    {
        string[] on = [.. edges.Select(e => e.MemberName).OfType<string>().Distinct()];
        return $"Cut out {lengths.Number(box.WidthMm)} x {lengths.Text(box.HeightMm)}"
            + (on.Length == 0 ? "" : $" on {string.Join(" and ", on)}")
            + $"; {Counted(pieces.Count, "new board")}"
            + (supports.Length == 0 ? "" : $", {Counted(supports.Length, "timber")} let in")
            + (members.Length == 0 ? "" : $", {string.Join(" and ", members.Select(m => m.MemberName))} repaired")
            + ".";
    }

    private static string Counted(int n, string what) => $"{n} {what}{(n == 1 ? "" : "s")}";

    /// <summary>Half the gap at a joint, mm.</summary>
    internal static double HalfGapMm => JointGapMm / 2;
}

/// <summary>A cut that is settled, with all that decides what goes in.</summary>
internal sealed record CutGround(
    FloorSite Site,
    Replacement Replacement,
    BadWood Bad,
    PanelBox Box,
    IReadOnlyList<CutEdge> Edges,
    NetTopologySuite.Geometries.Geometry Cut
)
{
    /// <summary>The side seen along which boards span from bearer to bearer.</summary>
    public Edge Span { get; } = BearerBays.Span(Site);

    /// <summary>Grain that spans across the bearers.</summary>
    public Grain Grain => Span.IsStation ? Grain.Lengthways : Grain.Across;

    /// <summary>Bearers that the middle of the cut meets, by their middle there, from small to great.</summary>
    public IReadOnlyList<(Member Bearer, double AtMm, double WideMm)> Bearers { get; } =
        BearerBays.On(Site, BearerBays.Span(Site).Lane(Box) is var (from, to) ? (from + to) / 2 : 0);

    /// <summary>Height of timbers that are let in, mm: that of the bearers.</summary>
    public double HighMm =>
        Bearers.Select(b => b.Bearer).Concat(Site.Bearers).Select(b => Math.Abs(b.DepthMm)).FirstOrDefault(d => d > 0, FloorReplacement.TimberMm);
}
