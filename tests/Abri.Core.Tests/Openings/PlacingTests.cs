using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Abri.Core.Tests.Openings;

/// <summary>Places found on panels and among members that nobody chose.</summary>
public class PlacingTests
{
    private static readonly GeometryFactory Factory = new();
    private static readonly Zone Bench = new("Bench", ZoneKind.Bench, 1300, 1500, -50, 150, 0, 900);

    private static readonly Gen<Panel> Panels = Gen.OneOf(
        Gen.Select(Gen.Int[16, 32], Gen.Int[5, 9]).Select((l, h) => Roofs.Rectangle(0, l * 100, -h * 100, h * 100)),
        Gen.Select(Gen.Int[20, 32], Gen.Int[8, 16], Gen.Int[-3, 3])
            .Select(
                (l, step, at) =>
                    Outlined(new(0, -600), new(l * 100, -600), new(l * 100, at * 100), new(step * 100, at * 100), new(step * 100, 600), new(0, 600))
            ),
        Gen.Select(Gen.Int[18, 30], Gen.Int[0, 4], Gen.Int[0, 4])
            .Select((l, a, b) => Outlined(new(a * 50, -700), new((l * 100) - (b * 60), -700), new(l * 100, 650), new(0, 700))),
        Gen.Select(Gen.Int[22, 32], Gen.Int[6, 9], Gen.Int[12, 15])
            .Select(
                (l, from, to) =>
                    Outlined(
                        new(0, -700),
                        new(l * 100, -700),
                        new(l * 100, 700),
                        new(to * 100, 700),
                        new(to * 100, 100),
                        new(from * 100, 100),
                        new(from * 100, 700),
                        new(0, 700)
                    )
            )
    );

    /// <summary>Bows and ribs square, slanted and bent, at the ends and a little past them too.</summary>
    private static Gen<Member[]> Members(Panel panel, bool slanted, int most) =>
        Gen.Select(
                Gen.Int[-4, (int)(panel.Box.WidthMm / 10) + 4],
                Gen.Int[(int)(panel.Box.TMinMm / 10) - 4, (int)(panel.Box.TMaxMm / 10) + 4],
                Gen.Int[1, 12],
                Gen.Int[-40, 40],
                Gen.Int[0, 4],
                Gen.Int[0, 9]
            )
            .Select(
                (s, t, w, lean, shape, role) =>
                    (shape, slanted) switch
                    {
                        (0 or 1, _) => Bow(role, new(s * 10, panel.Box.TMinMm), new(s * 10, panel.Box.TMaxMm), w * 10),
                        (2, _) => Bow(role, new(s * 10, t * 10), new(s * 10, Math.Min(panel.Box.TMaxMm, (t * 10) + 400)), w * 10),
                        (3, true) => Bow(
                            role,
                            new(s * 10, panel.Box.TMinMm),
                            new(Math.Clamp((s + lean) * 10, 0, panel.Box.SMaxMm), panel.Box.TMaxMm),
                            w * 10
                        ),
                        _ => Bow(
                            role,
                            new(0, t * 10),
                            new(panel.Box.SMaxMm, Math.Clamp((t + (slanted ? lean : 0)) * 10, panel.Box.TMinMm, panel.Box.TMaxMm)),
                            w * 10
                        ),
                    }
            )
            .Where(m => ShellCheck.OfMember(panel, m) is null)
            .Array[0, most];

    private static Gen<Site> Sites(bool slanted, int most, Gen<RibInTheWay> schools) =>
        Panels.SelectMany(panel =>
            Gen.Select(Members(panel, slanted, most), Gen.Int[6, 50], Gen.Int[6, 50], Gen.Int[0, 6].Array[4], schools, Gen.Int[0, 5])
                .Select(
                    (members, w, h, c, school, kind) =>
                        new Site(
                            panel,
                            members,
                            Vent(w * 10, h * 10, new PerSide(c[0] * 10, c[1] * 10, c[2] * 10, c[3] * 10)) with
                            {
                                Vibrates = kind == 0,
                            },
                            school,
                            Zones: [Bench]
                        )
                )
        );

    private static readonly Gen<RibInTheWay> EitherSchool = Gen.Enum<RibInTheWay>();

    // Checked against NetTopologySuite: the panel eroded, less the sum of each member, one overlay after another, without the program's shortcuts
    [Fact]
    public void The_region_is_that_of_plain_overlays_on_panels_of_any_shape() =>
        Sites(slanted: true, 9, EitherSchool)
            .Holds(
                site =>
                {
                    Ground ground = Ground.Of(site).Value!;
                    Fitting f = site.Fitting;
                    Area left = Eroded(site.Panel, (f.Flange.WidthMm / 2) + 10, (f.Flange.HeightMm / 2) + 10);
                    foreach (Member m in site.Members.Where(ground.Forbids))
                        left = left.Difference(
                            Swept(
                                MemberOutline.Of(m.Footprint),
                                (f.CutOut.WidthMm / 2) + f.Clearance.RearMm,
                                (f.CutOut.WidthMm / 2) + f.Clearance.FrontMm,
                                (f.CutOut.HeightMm / 2) + f.Clearance.TopMm,
                                (f.CutOut.HeightMm / 2) + f.Clearance.BottomMm
                            )
                        );
                    IReadOnlyList<RegionPart> region = FeasibleRegion.Of(ground);
                    Area found = Factory.BuildGeometry([
                        .. region.Select(p => (Area)Factory.CreatePolygon(Ring(p.Outline), [.. p.Holes.Select(Ring)])),
                    ]);
                    // The program's region reaches 0.005 mm further, so that a fitting that fits exactly has a place.
                    Assert.True(found.Buffer(-0.012).Difference(left).Area < 1e-3, "the region holds places that plain overlays do not");
                    Assert.True(left.Buffer(-0.012).Difference(found).Area < 1e-3, "the region misses places");
                },
                cases: 250
            );

    [Fact]
    public void What_is_proposed_lies_in_the_region_and_is_never_blocked() =>
        Sites(slanted: true, 9, EitherSchool)
            .Holds(
                site =>
                {
                    PositionsFound found = RankedPositions
                        .Of(site, [new(WishKind.BayCentre), new(WishKind.CentreLine, 0.5), new(WishKind.OverZone, 1, "Bench")])
                        .Value!.Result;
                    foreach (RankedPosition p in found.Positions)
                    {
                        Assert.Contains(found.Region, r => r.Holds(p.Centre));
                        Verdict verdict = OpeningVerdict.Of(site, p.Centre).Value!.Result;
                        Assert.True(verdict.State != JudgementState.Blocked, $"{p.Rank} at {p.Centre}: {verdict.Reason}");
                    }
                },
                cases: 60
            );

    [Fact] // Brute force over a grid, with the verdict's word for each place of it
    public void No_place_on_a_fine_grid_is_better_square_in_both_schools() =>
        Sites(slanted: false, 7, EitherSchool)
            .Holds(
                site => IsBest(site, [new(WishKind.BayCentre, 0.7), new(WishKind.CentreLine, 0.5), new(WishKind.OverZone, 1, "Bench")], 23, 0.2),
                cases: 30
            );

    [Fact] // The same among slanted members; the walk downhill may end a little short
    public void No_place_on_a_fine_grid_is_better_slanted_in_both_schools() =>
        Sites(slanted: true, 6, EitherSchool)
            .Holds(
                site => IsBest(site, [new(WishKind.BayCentre, 0.7), new(WishKind.CentreLine, 0.5), new(WishKind.OverZone, 1, "Bench")], 23, 1),
                cases: 30
            );

    [Fact] // Found by an independent check: bows beyond the eroded end became a bay of swapped ends
    public void Bows_beyond_the_last_place_make_no_bay_of_their_own()
    {
        Member Full(double s) => Bow(9, new(s, -600), new(s, 600), 50) with { Role = MemberRole.Structural };
        Panel step = Outlined(new(0, -600), new(3000, -600), new(3000, 0), new(1500, 0), new(1500, 600), new(0, 600));
        var site = new Site(
            step,
            [Full(1325), Full(1925), Full(2525)],
            Vent(500, 700, PerSide.All(10)) with
            {
                Flange = new RoundedRectangle(560, 740, 0),
            },
            Zones: [Bench]
        );
        PositionsFound found = RankedPositions.Of(site, [new(WishKind.OverZone, 1, "Bench")]).Value!.Result;
        Assert.All(found.Region, r => Assert.True(r.Box.SMaxMm <= 1040.01));
        Assert.Equal(1040, found.Positions[0].Centre.SMm, 0.1);
    }

    [Fact] // Worked by hand: cut 400 wide, rib from 1470 to 1530; centred over 1400 the cut ends at the rib when its centre is at 1270
    public void In_school_B_the_best_place_may_lie_right_beside_a_rib()
    {
        Member[] bows =
        [
            Bow(9, new(300, -850), new(300, 850), 60) with
            {
                Role = MemberRole.Structural,
            },
            Bow(0, new(1500, -850), new(1500, 850), 60),
            Bow(9, new(2700, -850), new(2700, 850), 60) with
            {
                Role = MemberRole.Structural,
            },
        ];
        var site = new Site(
            Roofs.Flat(3000),
            bows,
            Vent(400, 400, PerSide.All(0)),
            RibInTheWay.CutSecondary,
            Zones: [Bench with { YMinMm = -50, YMaxMm = 50 }]
        );
        RankedPosition best = RankedPositions.Of(site, [new(WishKind.OverZone, 1, "Bench")]).Value!.Result.Positions[0];
        Assert.Equal((1270, 0), (Math.Round(best.Centre.SMm, 1), Math.Round(best.Centre.TMm, 1)));
        Assert.Equal(130, best.Cost, 0.1);
    }

    [Fact]
    public void A_unit_that_no_bows_carry_is_proposed_nowhere_and_it_is_said_why()
    {
        PositionsFound found = RankedPositions.Of(new Site(Roofs.Flat(), [], Vent(300, 300, PerSide.All(0)) with { MassKg = 30 }), []).Value!.Result;
        Assert.Empty(found.Positions);
        Assert.Contains("bow", found.NoneBecause);
    }

    [Fact] // A rib bent round the cut-out was once taken for one that crosses it: clipping joined its two legs along the edge
    public void A_rib_that_only_bends_round_a_cut_out_does_not_cross_it()
    {
        var bent = new Member(
            "Bent",
            MemberKind.SideRib,
            MemberRole.Structural,
            new Footprint(
                FootprintShape.Polygon,
                [new(900, -300), new(1400, -300), new(1400, 300), new(1350, 300), new(1350, -250), new(950, -250), new(950, 300), new(900, 300)]
            ),
            40
        );
        Verdict verdict = OpeningVerdict.Of(new Site(Roofs.Flat(), [bent], Vent(200, 200, PerSide.All(20))), new PanelPoint(1150, 0)).Value!.Result;
        Assert.Equal(JudgementState.Good, verdict.State);
        Assert.Equal((100, 100, 150), (verdict.Clearances.FrontMm, verdict.Clearances.RearMm, verdict.Clearances.BottomMm));
    }

    private static void IsBest(Site site, Wish[] wishes, int step, double withinMm)
    {
        PositionsFound found = RankedPositions.Of(site, wishes).Value!.Result;
        Ground ground = Ground.Of(site).Value!;
        var cost = new PositionCost(ground, wishes);
        double best = found.Positions.Count == 0 ? double.PositiveInfinity : found.Positions[0].Cost;
        foreach (RegionPart part in found.Region)
        {
            for (double s = part.Box.SMinMm; s <= part.Box.SMaxMm; s += step)
            {
                for (double t = part.Box.TMinMm; t <= part.Box.TMaxMm; t += step)
                {
                    var p = new PanelPoint(s, t);
                    if (!part.Holds(p) || cost.At(p) >= best - withinMm)
                        continue;
                    Assert.True(
                        OpeningVerdict.Blocks(ground, p),
                        $"{p} costs {cost.At(p)}, the best proposed {best} at {(found.Positions.Count > 0 ? found.Positions[0].Centre : null)}"
                    );
                }
            }
        }
    }

    private static Member Bow(int role, PanelPoint from, PanelPoint to, double width) =>
        new(
            "Bow",
            MemberKind.RoofBow,
            role < 7 ? MemberRole.Secondary
                : role == 7 ? MemberRole.KeepOut
                : MemberRole.Structural,
            new Footprint(FootprintShape.Spine, [from, to], width),
            40,
            0,
            MemberMaterial.Metal
        );

    private static Panel Outlined(params PanelPoint[] outline) => new(PanelKind.Roof, outline, 0.8, SkinMaterial.MildSteel);

    private static Fitting Vent(double width, double height, PerSide clearance) =>
        Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(width, height, 0),
            Neck = new RoundedRectangle(width, height, 0),
            Flange = new RoundedRectangle(width + 60, height + 60, 0),
            LeastLapMm = 5,
            Clearance = clearance,
            Screws = null,
        };

    /// <summary>Centres at which a rectangle stays on the panel: those off the outline and near its edge are taken away, edge by edge.</summary>
    private static Area Eroded(Panel panel, double s, double t)
    {
        Area left = Factory.CreatePolygon(Ring(panel.Outline));
        for (int i = 0; i < panel.Outline.Count; i++)
            left = left.Difference(Swept([panel.Outline[i], panel.Outline[(i + 1) % panel.Outline.Count]], s, s, t, t));
        return left;
    }

    /// <summary>Centres whose rectangle meets a shape: the shape swept by the reflected rectangle, edge by edge.</summary>
    private static Area Swept(IReadOnlyList<PanelPoint> shape, double rear, double front, double top, double bottom)
    {
        var parts = new List<Area>();
        if (shape.Count > 2)
            parts.Add(Factory.CreatePolygon(Ring(shape)));
        for (int i = 0; i < (shape.Count > 2 ? shape.Count : 1); i++)
        {
            parts.Add(
                Factory
                    .CreateMultiPointFromCoords([
                        .. new[] { shape[i], shape[(i + 1) % shape.Count] }.SelectMany(p =>
                            new[]
                            {
                                new Coordinate(p.SMm - rear, p.TMm - top),
                                new Coordinate(p.SMm + front, p.TMm - top),
                                new Coordinate(p.SMm + front, p.TMm + bottom),
                                new Coordinate(p.SMm - rear, p.TMm + bottom),
                            }
                        ),
                    ])
                    .ConvexHull()
            );
        }
        return NetTopologySuite.Operation.Union.UnaryUnionOp.Union(parts);
    }

    private static LinearRing Ring(IReadOnlyList<PanelPoint> points) =>
        Factory.CreateLinearRing([.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
}
