using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Linings;

/// <summary>Works out a lining: its boards, and in them the holes of what passes through the skin above.</summary>
/// <remarks>
/// Each hole is said from its board's own edges, on the board laid out flat; it is cut smaller first, held up, and marked from the hole in the skin,
/// as shells and tapes are never that exact. Around what gets hot the hole grows by the distance that the fitting asks for, for boards burn. Where a
/// panel is curved both ways a bent lining is taken as an arc each way by itself: no sheet lies on such a skin without being cut into.
/// </remarks>
/// <example>A roof of radius 3000, a hole of 400 in its middle, a flat lining: 400. The same 600 beside the crown: 408.2.</example>
public static class LiningHoles
{
    /// <summary>The lining.</summary>
    public static Result<Worked<LiningPlan>> Of(LiningSite site, Lining lining)
    {
        if (site.Check() is { } wrong)
            return wrong.Under("/site");
        if (Lining.Check(site.Panel, lining) is { } problem)
            return problem.Under("/lining");
        double board = site.SkinsMm + lining.GapMm + (lining.Sheet.ThickMm / 2);
        bool bent = lining.Lies == LiningLies.Bent;
        PanelPoint crown = site.Panel.Box.Centre;
        LiningAxis along = new(crown.SMm, site.Panel.ArcRadiusAlongMm, board, bent),
            across = new(crown.TMm, site.Panel.ArcRadiusAcrossMm, board, bent);
        if (new[] { along, across }.Any(a => a.OwnRadiusMm is { } r && r < LiningRules.BendsMostOf * lining.Sheet.ThickMm))
            return new Problem(
                "lining-too-stiff",
                "/lining/lies",
                $"A board of {site.Format.Text(lining.Sheet.ThickMm)} does not bend to this skin: take a thinner one, or let it lie flat."
            );
        var sheet = new Worksheet();
        var ground = new LiningGround(site, lining, along, across);
        LinedOpening[] met = [.. site.Openings.Where(ground.Meets)];
        LiningHole[] holes = [.. met.Select(o => Hole(ground, o))];
        foreach ((LiningHole hole, int i) in holes.Select((h, i) => (h, i)))
        {
            sheet.Step($"w_{i + 1}", $"{hole.Opening}: hole front to rear", "as it comes out on the lining", hole.Final.WidthMm, "mm");
            sheet.Step($"h_{i + 1}", $"{hole.Opening}: hole the other way", "as it comes out on the lining", hole.Final.HeightMm, "mm");
            sheet.Step($"d_{i + 1}", $"{hole.Opening}: skin to finished face", "skin + gap + board, square through the skin", hole.DepthMm, "mm");
        }
        (LiningBoard[] boards, LiningJoint[] joints) = Boards(ground, holes);
        double area = sheet.Step("A", "boards without their holes", "area", boards.Sum(b => Net(b)) / 1e6, "m2") * 1e6;
        sheet.Cite(new Source("Arcs and straight lines square through the skin", SourceKind.Geometry));
        sheet.Cite(new Source("Holes are cut 15 mm smaller all round and marked from the hole in the skin", SourceKind.CommonPractice));
        if (site.Panel is { Surface: Shell.SurfaceSource.Measured })
            sheet.Warn("The lining follows the panel's radius; the sections that were measured are not in it. Hold a board up before you saw it.");
        if (bent && along.RadiusMm is not null && across.RadiusMm is not null)
            sheet.Warn("The panel is curved both ways: a bent sheet lies on it only in narrow boards.");
        Judgement[] rows = [.. LiningRules.Of(ground, met, holes, boards, joints)];
        return sheet.Finish(
            new LiningPlan(
                ground.Outline,
                ground.Box.WidthMm,
                ground.Box.HeightMm,
                holes,
                boards,
                joints,
                area,
                rows,
                Verdict(ground, holes, boards, rows)
            )
        );
    }

    private static LiningHole Hole(LiningGround ground, LinedOpening opening)
    {
        RoundedRectangle hole = opening.Hole;
        PanelBox final = ground.Through(opening.Centre, hole);
        double undersize = Math.Min(ground.Lining.UndersizeMm, (Math.Min(final.WidthMm, final.HeightMm) / 2) - 1);
        double depth = ground.DepthMm(opening.Centre);
        double? cover = opening.Turned.Halves?.InnerFrame is { } frame
            ? Math.Min(frame.WidthMm - hole.WidthMm, frame.HeightMm - hole.HeightMm) / 2
            : null;
        return new LiningHole(
            opening.Name,
            final,
            final.Grown(-undersize),
            hole.CornerRadiusMm,
            Math.Max(0, hole.CornerRadiusMm - undersize),
            depth,
            depth - ground.Site.SkinsMm - ground.Lining.Sheet.ThickMm,
            cover
        );
    }

    private static (LiningBoard[] Boards, LiningJoint[] Joints) Boards(LiningGround ground, LiningHole[] holes)
    {
        (PanelBox box, Floor.NewSheet sheet) = (ground.Box, ground.Lining.Sheet);
        (double mostAlong, double mostAcross) =
            ground.Lining.Grain == Floor.Grain.Lengthways ? (sheet.LengthMm, sheet.WidthMm) : (sheet.WidthMm, sheet.LengthMm);
        IReadOnlyList<LiningBoards.Line> cuts = LiningBoards.Joints(
                box.WidthMm,
                mostAlong,
                [.. holes.Select(h => (h.Final.SMinMm, h.Final.SMaxMm))],
                LiningBoards.Carriers(ground.Site.Members, true, p => ground.Laid(p).SMm)
            ),
            rips = LiningBoards.Joints(
                box.HeightMm,
                mostAcross,
                [.. holes.Select(h => (h.Final.TMinMm, h.Final.TMaxMm))],
                LiningBoards.Carriers(ground.Site.Members, false, p => ground.Laid(p).TMm)
            );
        double[] s = [0, .. cuts.Select(c => c.AtMm), box.WidthMm],
            t = [0, .. rips.Select(r => r.AtMm), box.HeightMm];
        NetTopologySuite.Geometries.Geometry whole = Plane.Polygon(ground.Outline);
        // Each joint takes half of the gap from the boards on either side; the outline itself is the size of the lining.
        double Half(double at, double end) => at <= 0 || at >= end ? 0 : LiningBoards.GapMm / 2;
        IReadOnlyList<PanelPoint>[] outlines =
        [
            .. s.Zip(s.Skip(1))
                .SelectMany(
                    _ => t.Zip(t.Skip(1)),
                    (a, b) =>
                        new PanelBox(
                            a.First + Half(a.First, box.WidthMm),
                            a.Second - Half(a.Second, box.WidthMm),
                            b.First + Half(b.First, box.HeightMm),
                            b.Second - Half(b.Second, box.HeightMm)
                        )
                )
                .SelectMany(cell => Plane.Parts(Plane.Polygon(cell).Intersection(whole).Each()))
                .Select(p => p.Outline),
        ];
        return (
            [.. outlines.Select((o, i) => Board(outlines.Length == 1 ? ground.Lining.Name : $"{ground.Lining.Name} {i + 1}", o, holes))],
            [
                .. cuts.Select(c => Joint(ground, new PanelPoint(c.AtMm, 0), new PanelPoint(c.AtMm, box.HeightMm), c.On)),
                .. rips.Select(r => Joint(ground, new PanelPoint(0, r.AtMm), new PanelPoint(box.WidthMm, r.AtMm), r.On)),
            ]
        );
    }

    private static LiningJoint Joint(LiningGround ground, PanelPoint from, PanelPoint to, string? on) =>
        new([from, to], [ground.OnPanel(from), ground.OnPanel(to)], on);

    private static LiningBoard Board(string name, IReadOnlyList<PanelPoint> outline, LiningHole[] holes)
    {
        PanelBox box = PanelBox.Of(outline);
        PanelBox Own(PanelBox hole)
        {
            PanelBox h = hole.Shared(box);
            return new PanelBox(h.SMinMm - box.SMinMm, h.SMaxMm - box.SMinMm, h.TMinMm - box.TMinMm, h.TMaxMm - box.TMinMm);
        }
        NetTopologySuite.Geometries.Geometry area = Plane.Polygon(outline);
        return new LiningBoard(
            name,
            outline,
            box.WidthMm,
            box.HeightMm,
            [
                .. holes
                    .Select((h, i) => (h, i))
                    .Where(x => Plane.Polygon(x.h.Final).Intersection(area).Area > 1)
                    .Select(x => new BoardHole(x.i, Own(x.h.Final), Own(x.h.First), !area.Contains(Plane.Polygon(x.h.Final)))),
            ]
        );
    }

    private static double Net(LiningBoard board) => Math.Abs(Outlines.SignedAreaMm2(board.Outline)) - board.Holes.Sum(h => h.Box.AreaMm2);

    private static string Verdict(LiningGround ground, LiningHole[] holes, LiningBoard[] boards, Judgement[] rows)
    {
        static string Counted(int n, string what) => $"{n} {what}{(n == 1 ? "" : "s")}";
        string what =
            $"{Counted(boards.Length, "board")}, {Counted(holes.Length, "hole")}; "
            + $"{ground.Site.Format.Number(ground.Box.WidthMm)} x {ground.Site.Format.Text(ground.Box.HeightMm)} laid out flat.";
        return rows.FirstOrDefault(r => r.State == JudgementState.Blocked) is { } blocked
            ? $"{what} Not yet: {char.ToLowerInvariant(blocked.Title[0])}{blocked.Title[1..]}."
            : what;
    }
}
