using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;
using NetTopologySuite.Algorithm.Distance;
using NetTopologySuite.Geometries;
using NetTopologySuite.LinearReferencing;
using NetTopologySuite.Operation.Buffer;
using Nts = NetTopologySuite.Geometries.Geometry;
using PanelSide = Abri.Core.Geometry.Side;

namespace Abri.Core.Tests.Metal;

/// <summary>Patches, from the damage to the rivets.</summary>
public class PatchTests
{
    private static readonly Panel Side = new(PanelKind.Left, new PanelBox(0, 2000, 0, 1500).Corners, 1, SkinMaterial.MildSteel);
    private static readonly PanelPoint[] Spot = [new(980, 700), new(1040, 700), new(1040, 725), new(980, 725)];
    private static readonly GeometryFactory Factory = new();

    private static PatchDesign Usual => PatchDesign.Usual(1) with { Metal = SheetMetal.MildSteel };

    private static PatchSite Site(PatchDesign? design = null, IReadOnlyList<PanelPoint>? damage = null, params Member[] members) =>
        new(Side, members, damage ?? Spot, design ?? Usual);

    private static PatchPlan Planned(PatchSite site) => Patch.Of(site).Value!.Result;

    private static Polygon Area(IReadOnlyList<PanelPoint> ring) =>
        Factory.CreatePolygon([.. ring.Append(ring[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);

    private static Member Upright(double s, MemberRole role, double wide = 40) =>
        new(
            "Rib",
            role == MemberRole.Structural ? MemberKind.Pillar : MemberKind.SideRib,
            role,
            new Footprint(FootprintShape.Spine, [new(s, 0), new(s, 1500)], wide),
            40
        );

    /// <summary>Damage with a random star-shaped outline.</summary>
    private static readonly Gen<PanelPoint[]> Damages =
        from radii in Gen.Double[15, 80].Array[3, 14]
        from s in Gen.Double[600, 1400]
        from t in Gen.Double[400, 1000]
        select radii
            .Select((r, i) => new PanelPoint(s + (r * Math.Cos(2 * Math.PI * i / radii.Length)), t + (r * Math.Sin(2 * Math.PI * i / radii.Length))))
            .ToArray();

    [Fact] // By hand: 60 x 25 and 20 all round is 100 x 65, less four corners of 10; with a lap of 25, 150 x 115, corners of 35
    public void The_hole_is_the_damage_and_the_cut_back_the_patch_the_hole_and_the_lap()
    {
        PatchPlan plan = Planned(Site());
        PanelBox hole = PanelBox.Of(Assert.Single(plan.Holes)),
            patch = PanelBox.Of(plan.Patch);
        Assert.Equal((960, 1060, 680, 745), (hole.SMinMm, hole.SMaxMm, hole.TMinMm, hole.TMaxMm));
        Assert.Equal((935, 1085, 655, 770), (patch.SMinMm, patch.SMaxMm, patch.TMinMm, patch.TMaxMm));
        Assert.Equal(1500, plan.DamageMm2, 6);
        Assert.Equal(6500 - (100 * (4 - Math.PI)), plan.HoleMm2, 5.0);
        Assert.Equal(17250 - (1225 * (4 - Math.PI)), plan.Blank.AreaMm2, 40.0);
        Assert.Equal(plan.LapMm2 * 1.2 / 1000, plan.AdhesiveMl, 9);
        Assert.Equal(plan.Blank.AreaMm2 * 7.85 / 1e6, plan.MassKg, 9);
        Assert.Equal(0, plan.TurnDeg);
    }

    [Fact] // Buffers of NetTopologySuite with many pieces a quarter: nowhere nearer to the damage than the cut-back, area a little more
    public void A_grown_hole_is_the_buffer_with_its_corners_opened() =>
        Damages.Holds(
            damage =>
            {
                PatchDesign design = Usual with { Shape = HoleShape.Grown };
                PatchPlan plan = Planned(Site(design, damage));
                Nts wanted = Area(damage).Buffer(20, new BufferParameters(64)),
                    hole = Area(plan.Holes[0]),
                    patch = Area(plan.Patch);
                Assert.True(wanted.Difference(hole).Area < 0.001 * wanted.Area, "all within the cut-back is cut out");
                // Re-entrant corners are filled to the radius: beyond those it is the same line.
                Assert.True(DiscreteHausdorffDistance.Distance(hole, wanted) < 20);
                Assert.InRange(hole.Area, wanted.Area * 0.999, wanted.Area * 1.08);
                Nts lapped = hole.Buffer(25, new BufferParameters(64));
                Assert.True(DiscreteHausdorffDistance.Distance(patch, lapped) < 0.5);
                Assert.InRange(patch.Area, lapped.Area * 0.999, lapped.Area * 1.005);
            },
            60
        );

    [Fact] // Brute force over a tenth of a degree
    public void The_least_rectangle_is_the_least() =>
        Damages.Holds(
            damage =>
            {
                PatchPlan plan = Planned(Site(Usual with { Shape = HoleShape.LeastRectangle, CutBackMm = 0, LapMm = 25 }, damage));
                double least = Enumerable.Range(0, 900).Min(i => BoxArea(damage, i / 10.0));
                double found = BoxArea(damage, -plan.TurnDeg);
                Assert.InRange(found, least * 0.995, least + 1e-6);
                Assert.InRange(plan.TurnDeg, -45, 45);
            },
            60
        );

    private static double BoxArea(IEnumerable<PanelPoint> points, double degrees)
    {
        (double sin, double cos) = Math.SinCos(degrees * Math.PI / 180);
        return PanelBox.Of(points.Select(p => new PanelPoint((p.SMm * cos) - (p.TMm * sin), (p.SMm * sin) + (p.TMm * cos)))).AreaMm2;
    }

    [Fact] // Distances by NetTopologySuite; 3.2 mm rivets
    public void Rivets_keep_two_diameters_to_every_edge_and_even_distances() =>
        (
            from damage in Damages
            from shape in Gen.Enum<HoleShape>()
            from at in Gen.Double[500, 1500]
            from role in Gen.Int[0, 2]
            select (damage, shape, at, role)
        ).Holds(
            x =>
            {
                Member[] members = x.role == 0 ? [] : [Upright(x.at, x.role == 1 ? MemberRole.Structural : MemberRole.Secondary)];
                PatchPlan plan = Planned(Site(Usual with { Shape = x.shape }, x.damage, members));
                Nts edge = Area(plan.Patch).ExteriorRing,
                    holes = Factory.BuildGeometry([.. plan.Holes.Select(Area)]);
                foreach (PanelPoint place in plan.Rivets!.Places)
                {
                    Point p = Factory.CreatePoint(new Coordinate(place.SMm, place.TMm));
                    Assert.True(edge.Distance(p) >= 6.4 - 0.01, $"{edge.Distance(p)} to the patch's edge");
                    Assert.True(plan.Holes.Count == 0 || holes.Distance(p) >= 6.4 - 0.01, "to the hole's edge");
                    Assert.True(x.role != 1 || Math.Abs(place.SMm - x.at) >= 20 + 6.4 - 0.01, "off the pillar");
                }
                if (x.role == 1)
                    return;
                // Along the row, from corner to corner: a rectangle has a rivet in each, a grown outline has none.
                Nts row = Area(plan.Patch).Buffer(-plan.Rivets.EdgeMm, 16);
                var along = new LengthIndexedLine(((Polygon)row).ExteriorRing);
                double around = ((Polygon)row).ExteriorRing.Length;
                double[] ways = [.. plan.Rivets.Places.Select(p => along.Project(new Coordinate(p.SMm, p.TMm))).Order()];
                double[] gaps = [.. ways.Select((w, i) => i + 1 < ways.Length ? ways[i + 1] - w : ways[0] + around - w)];
                Assert.True(gaps.Max() <= 25 + 0.1, $"{gaps.Max()}");
                // Even along each side: four sides, opposite ones alike, so at most two distances.
                int distances = gaps.GroupBy(g => Math.Round(g)).Count();
                Assert.True(
                    x.shape == HoleShape.Grown ? gaps.Max() - gaps.Min() < 1 : distances <= 4,
                    string.Join(", ", gaps.Select(g => g.ToString("0.0")))
                );
                if (x.shape != HoleShape.Grown)
                {
                    PanelPoint[] corners = [.. Corners(plan)];
                    Assert.All(corners, c => Assert.Contains(plan.Rivets.Places, p => p.DistanceMm(c) < 35 + plan.Rivets.EdgeMm));
                }
            },
            80
        );

    /// <summary>Corners of the rectangle round a patch, turned as it is.</summary>
    private static IEnumerable<PanelPoint> Corners(PatchPlan plan)
    {
        (double sin, double cos) = Math.SinCos(plan.TurnDeg * Math.PI / 180);
        var box = PanelBox.Of(plan.Patch.Select(p => new PanelPoint((p.SMm * cos) + (p.TMm * sin), (p.TMm * cos) - (p.SMm * sin))));
        return box.Corners.Select(p => new PanelPoint((p.SMm * cos) - (p.TMm * sin), (p.SMm * sin) + (p.TMm * cos)));
    }

    [Fact]
    public void A_rib_is_kept_and_parts_the_hole()
    {
        PanelPoint[] wide = [new(900, 700), new(1100, 700), new(1100, 760), new(900, 760)];
        PatchPlan plan = Planned(Site(null, wide, Upright(1000, MemberRole.Secondary)));
        Assert.Equal(2, plan.Holes.Count);
        Assert.All(plan.Holes, h => Assert.DoesNotContain(h, p => Math.Abs(p.SMm - 1000) < 25 - 1e-6));
        // Sharp corners crack: where the rib cuts into the hole they are as round as the others.
        Assert.All(plan.Holes, h =>
            Assert.DoesNotContain(h, p => p.DistanceMm(new PanelPoint(975, 780)) < 4 || p.DistanceMm(new PanelPoint(1025, 780)) < 4)
        );
        Assert.Equal(JudgementState.NeedsWork, plan.Rows.Single(r => r.Id == "on-member").State);
        Assert.Equal(JudgementState.NeedsWork, plan.Rows.Single(r => r.Id == "hole-parted").State);
        // One patch covers both, and its rivets may go into the rib.
        Assert.Contains(plan.Rivets!.Places, p => Math.Abs(p.SMm - 1000) < 20);
        PatchPlan pillar = Planned(Site(null, wide, Upright(1000, MemberRole.Structural)));
        Assert.Equal(JudgementState.Blocked, pillar.Rows.Single(r => r.Id == "on-structure").State);
        Assert.DoesNotContain(pillar.Rivets!.Places, p => Math.Abs(p.SMm - 1000) < 26.4 - 1e-6);
    }

    [Fact]
    public void What_lies_on_members_alone_cannot_be_cut_out() =>
        Assert.Equal(
            JudgementState.Blocked,
            Planned(Site(null, null, Upright(1010, MemberRole.Secondary, 200))).Rows.Single(r => r.Id == "hole-none").State
        );

    [Fact]
    public void A_lap_over_the_edge_or_over_an_opening_lies_on_nothing()
    {
        PanelPoint[] low = [new(980, 30), new(1040, 30), new(1040, 50), new(980, 50)];
        Assert.Equal(JudgementState.Blocked, Planned(Site(null, low)).Rows.Single(r => r.Id == "lap-on-nothing").State);
        PatchDesign folded = Usual with { Sides = [new PatchSide(PanelSide.Bottom, null, 5, [new Fold(FoldTo.Inside, 90, 1, 20)])] };
        Assert.DoesNotContain(Planned(Site(folded, low)).Rows, r => r.Id == "lap-on-nothing");
        PatchSite beside = Site() with { Cuts = [new PanelBox(1080, 1400, 600, 900).Corners] };
        Assert.Equal(JudgementState.Blocked, Planned(beside).Rows.Single(r => r.Id == "lap-on-hole").State);
        Assert.DoesNotContain(Planned(Site() with { Cuts = [new PanelBox(1085.1, 1400, 600, 900).Corners] }).Rows, r => r.Id == "lap-on-hole");
    }

    [Theory] // On walls water runs down, askew by the way the vehicle stands; a nose that is up sends it to the rear, which is greater s
    [InlineData(Facing.Left, 0, 0, 0, -1)]
    [InlineData(Facing.Right, 5, 0, 0.0872, -0.9962)]
    [InlineData(Facing.Rear, 0, 5, -0.0872, -0.9962)]
    [InlineData(Facing.Up, 3, 0, 1, 0)]
    [InlineData(Facing.Up, 0, 3, 0, -1)]
    [InlineData(Facing.Up, -3, 0, -1, 0)]
    public void Water_runs_down_hill(Facing facing, double pitch, double roll, double s, double t)
    {
        Panel panel = Side with { Faces = facing, Outline = new PanelBox(0, 2000, -750, 750).Corners };
        (double ds, double dt, double fall) = PatchRules.DownHill(panel, new Attitude(pitch, roll), new PanelPoint(1000, 0));
        Assert.Equal((s, t), (Math.Round(ds, 4), Math.Round(dt, 4)));
        Assert.True(fall > 2.9);
    }

    [Fact] // A circle of radius R falls by t / R: 350 / 7000 is 2.86 degrees
    public void A_curved_roof_sheds_to_its_edges()
    {
        Panel roof = Side with { Kind = PanelKind.Roof, Outline = new PanelBox(0, 2000, -750, 750).Corners, ArcRadiusAcrossMm = 7000 };
        (double ds, double dt, double fall) = PatchRules.DownHill(roof, null, new PanelPoint(1000, 350));
        Assert.Equal((0, 1), (Math.Round(ds, 6), Math.Round(dt, 6)));
        Assert.Equal(2.87, fall, 0.02);
        Assert.Equal(0, PatchRules.DownHill(Side with { Kind = PanelKind.Roof, Outline = roof.Outline }, null, new PanelPoint(1000, 0)).FallDeg);
    }

    [Fact]
    public void The_upper_edge_goes_under_and_the_lower_over()
    {
        JudgementState At(string id, PatchDesign design) => Planned(Site(design)).Rows.Single(r => r.Id == id).State;
        Assert.Equal(JudgementState.NeedsWork, At("edge-upper", Usual));
        Assert.Equal(JudgementState.Good, At("edge-upper", Usual with { UpperEdge = EdgeLie.UnderTheSkin }));
        Assert.Equal(JudgementState.Good, At("edge-lower", Usual));
        PatchDesign Top(FoldTo to) => Usual with { Sides = [new PatchSide(PanelSide.Top, null, null, [new Fold(to, 90, 1, 20)])] };
        PatchDesign Foot(FoldTo to) => Usual with { Sides = [new PatchSide(PanelSide.Bottom, null, null, [new Fold(to, 90, 1, 20)])] };
        Assert.Equal(JudgementState.Good, At("edge-folded-up", Top(FoldTo.Outside)));
        Assert.Equal(JudgementState.NeedsWork, At("edge-folded-in", Top(FoldTo.Inside)));
        Assert.Equal(JudgementState.Good, At("edge-drips", Foot(FoldTo.Inside)));
        Assert.Equal(JudgementState.NeedsWork, At("edge-holds", Foot(FoldTo.Outside)));
        Assert.Equal(JudgementState.NeedsWork, At("edge-flush", Usual with { Join = PatchJoin.ButtOnStrip }));
        // A grown outline has upper and lower stretches, each marked.
        Judgement[] rows =
        [
            .. Planned(Site(Usual with { Shape = HoleShape.Grown })).Rows.Where(r => r.Id.StartsWith("edge-", StringComparison.Ordinal)),
        ];
        Assert.Equal(2, rows.Length);
        Assert.All(rows.Single(r => r.Id == "edge-upper").Where, m => Assert.All(m.Points, p => Assert.True(p.TMm > 712)));
    }

    [Theory]
    [InlineData(0.99, true)]
    [InlineData(1.01, false)]
    public void Below_a_degree_of_fall_water_stands_along_its_edges(double pitch, bool stands)
    {
        Panel roof = Side with { Kind = PanelKind.Roof };
        PatchPlan plan = Planned(Site() with { Panel = roof, Attitude = new Attitude(pitch, 0) });
        Assert.Equal(stands, plan.Rows.Any(r => r.Id == "edges-level"));
    }

    [Fact]
    public void Below_the_vehicle_every_edge_is_sealed() =>
        Assert.Contains(Planned(Site() with { Panel = Side with { Kind = PanelKind.Floor } }).Rows, r => r.Id == "edges-below");

    [Fact]
    public void A_side_too_narrow_for_rivets_is_held_by_its_flange()
    {
        PatchDesign design = Usual with { Sides = [new PatchSide(PanelSide.Top, null, 6, [new Fold(FoldTo.Outside, 90, 1, 20)])] };
        PatchPlan plan = Planned(Site(design));
        Assert.DoesNotContain(plan.Rivets!.Places, p => p.TMm > 745 - 6.4 + 1e-6);
        Assert.Contains(plan.Rivets.Places, p => p.TMm < 670);
        // Its corners are square, the others round.
        Assert.Contains(plan.Patch, p => p.DistanceMm(new PanelPoint(935, 751)) < 1e-6);
        Assert.DoesNotContain(plan.Patch, p => p.DistanceMm(new PanelPoint(935, 655)) < 5);
        // 65 + 25 + 6 to the corner of the fold, less 2 of setback, 2.21 of bend, 20 less 2 of flange.
        Assert.Equal(96 - 2 + 2.21 + 18, plan.Blank.HeightMm, 6);
    }

    [Fact]
    public void A_butt_lies_flush_on_a_strip_with_two_rows()
    {
        PatchPlan plan = Planned(Site(Usual with { Join = PatchJoin.ButtOnStrip }));
        PanelBox patch = PanelBox.Of(plan.Patch);
        Assert.Equal((961, 1059), (patch.SMinMm, patch.SMaxMm));
        Assert.Equal(2, plan.Strip.Count);
        Polygon hole = Area(plan.Holes[0]);
        Assert.Contains(plan.Rivets!.Places, p => hole.Contains(Factory.CreatePoint(new Coordinate(p.SMm, p.TMm))));
        Assert.Contains(plan.Rivets.Places, p => !hole.Contains(Factory.CreatePoint(new Coordinate(p.SMm, p.TMm))));
        Assert.True(plan.BlankHoles.Count < plan.Rivets.Places.Count);
    }

    [Theory] // 3.2 mm rivets want 12.8
    [InlineData(12.7, JudgementState.Blocked)]
    [InlineData(12.8, JudgementState.Good)]
    public void A_lap_has_two_diameters_to_either_side(double lap, JudgementState state) =>
        Assert.Equal(state, Planned(Site(Usual with { LapMm = lap })).Rows.Single(r => r.Id == "lap").State);

    [Fact]
    public void What_does_not_go_together_is_said()
    {
        void Says(string id, JudgementState state, PatchSite site) => Assert.Equal(state, Planned(site).Rows.Single(r => r.Id == id).State);
        PatchSite On(SkinMaterial skin, PatchDesign design) => Site(design) with { Panel = Side with { Material = skin } };
        PatchDesign welded = Usual with { Join = PatchJoin.WeldedLap };
        Says("two-metals", JudgementState.NeedsWork, Site(Usual with { Metal = SheetMetal.Aluminium }));
        Says("two-metals", JudgementState.NeedsWork, On(SkinMaterial.Aluminium, Usual));
        Says("thinner", JudgementState.NeedsWork, Site(Usual with { SheetMm = 0.9 }));
        Says("joggle", JudgementState.NeedsWork, Site(Usual with { Joggled = true, LapMm = 14.9 }));
        Says("weld-zinc", JudgementState.NeedsWork, On(SkinMaterial.GalvanisedSteel, welded));
        Says("weld-aluminium", JudgementState.Blocked, On(SkinMaterial.Aluminium, welded with { Metal = SheetMetal.Aluminium }));
        Says("weld-thin", JudgementState.NeedsWork, Site(welded with { SheetMm = 0.9 }));
        string[] none = ["two-metals", "thinner", "joggle", "weld-zinc", "weld-aluminium", "weld-thin"];
        Assert.DoesNotContain(Planned(Site(Usual with { Joggled = true, LapMm = 15 })).Rows, r => none.Contains(r.Id));
        Assert.DoesNotContain(Planned(Site(welded)).Rows, r => none.Contains(r.Id));
    }

    [Fact] // The flank of a swage beside the patch says nothing of which way the roof falls
    public void Swages_do_not_turn_the_water()
    {
        Panel roof = Side with { Kind = PanelKind.Roof, Outline = new PanelBox(0, 2000, -750, 750).Corners, ArcRadiusAcrossMm = 7000 };
        var swage = new Member(
            "Swage",
            MemberKind.Swage,
            MemberRole.Pressed,
            new Footprint(FootprintShape.Spine, [new(0, 385), new(2000, 385)], 30),
            -30,
            5
        );
        PanelPoint[] spot = [new(980, 320), new(1040, 320), new(1040, 345), new(980, 345)];
        string[] Edges(params Member[] members) =>
            [
                .. Planned(Site(null, spot, members) with { Panel = roof })
                    .Rows.Where(r => r.Id.StartsWith("edge-", StringComparison.Ordinal))
                    .Select(r => r.Id),
            ];
        Assert.Equal(Edges(), Edges(swage));
        Assert.Contains("edge-upper", Edges());
    }

    [Theory] // By hand: a chord of 115 (65 and two laps of 25) rises 115^2 / 8 R: 1 mm at 1653
    [InlineData(1640, true)]
    [InlineData(1670, false)]
    public void On_a_curve_sheet_is_rolled_first(double radius, bool said)
    {
        Panel roof = Side with { Kind = PanelKind.Roof, Outline = new PanelBox(0, 2000, -750, 750).Corners, ArcRadiusAcrossMm = radius };
        PanelPoint[] spot = [new(980, -12.5), new(1040, -12.5), new(1040, 12.5), new(980, 12.5)];
        Assert.Equal(said, Planned(Site(null, spot) with { Panel = roof }).Rows.Any(r => r.Id == "on-curve"));
        // Measured sections say so too.
        Panel measured = roof with
        {
            ArcRadiusAcrossMm = null,
            Surface = SurfaceSource.Measured,
            Sections =
            [
                new SurfaceSection(500, [new(-700, 40), new(-50, said ? 3 : 0), new(0, 0), new(50, said ? 3 : 0), new(700, 40)]),
                new SurfaceSection(1500, [new(-700, 40), new(-50, said ? 3 : 0), new(0, 0), new(50, said ? 3 : 0), new(700, 40)]),
            ],
        };
        if (said)
            Assert.Contains(Planned(Site(null, spot) with { Panel = measured }).Rows, r => r.Id == "on-curve");
    }

    [Theory]
    [InlineData(Nearby.Fuel, "weld-near-fuel", JudgementState.Blocked)]
    [InlineData(Nearby.BrakeLine, "weld-near-fuel", JudgementState.Blocked)]
    [InlineData(Nearby.Glass, "weld-near-glass", JudgementState.NeedsWork)]
    [InlineData(Nearby.Wiring, "weld-near-glass", JudgementState.NeedsWork)]
    public void Nothing_is_welded_near_fuel(Nearby near, string id, JudgementState state)
    {
        Assert.Equal(state, Planned(Site(Usual with { Join = PatchJoin.WeldedLap }) with { Near = [near] }).Rows.Single(r => r.Id == id).State);
        Assert.DoesNotContain(Planned(Site() with { Near = [near] }).Rows, r => r.Id == id);
    }

    [Fact]
    public void A_swage_through_it_is_said() =>
        Assert.Equal(
            JudgementState.NeedsWork,
            Planned(
                Site(
                    null,
                    null,
                    new Member(
                        "Swage 1",
                        MemberKind.Swage,
                        MemberRole.Pressed,
                        new Footprint(FootprintShape.Spine, [new(0, 710), new(2000, 710)], 30),
                        6
                    )
                )
            )
                .Rows.Single(r => r.Id == "on-swage")
                .State
        );

    [Theory]
    [InlineData("outline-crosses-itself")]
    [InlineData("damage-off-panel")]
    [InlineData("skin-not-metal")]
    [InlineData("sheet-too-thick")]
    public void What_cannot_be_patched_is_said(string code)
    {
        PatchSite site = code switch
        {
            "outline-crosses-itself" => Site(null, [new(980, 700), new(1040, 725), new(1040, 700), new(980, 725)]),
            "damage-off-panel" => Site(null, [new(2900, 700), new(3000, 700), new(3000, 725)]),
            "skin-not-metal" => Site() with { Panel = Side with { Material = SkinMaterial.PlywoodSkin } },
            _ => Site(Usual with { SheetMm = 3 }),
        };
        Assert.False(Patch.Of(site).IsOk(out _, out Problem? problem));
        Assert.Equal(code, problem!.Code);
    }

    [Fact]
    public void A_design_says_what_contradicts_it()
    {
        Assert.Null(Usual.Contradiction());
        PatchSide top = new(PanelSide.Top, null, 10, []);
        Assert.NotNull((Usual with { Sides = [top, top] }).Contradiction());
        Assert.NotNull((Usual with { Shape = HoleShape.Grown, Sides = [top] }).Contradiction());
        Assert.NotNull((Usual with { Shape = HoleShape.NoHole, Join = PatchJoin.ButtOnStrip }).Contradiction());
    }

    [Fact] // A circle of 10 as a polygon that lies nowhere inside it; a line widened
    public void Damage_is_found_from_points_and_lines()
    {
        Nts point = Area(DamageOutline.Of(FindingShape.Point, [new(500, 500)], 10, null));
        Assert.True(point.Covers(Factory.CreatePoint(new Coordinate(500, 500)).Buffer(4.99)));
        Assert.InRange(point.Area, Math.PI * 25, Math.PI * 25 * 1.01);
        Assert.Equal(10 * 300, Area(DamageOutline.Of(FindingShape.Line, [new(100, 100), new(400, 100)], null, null)).Area, 6);
        Assert.Equal(6 * 300, Area(DamageOutline.Of(FindingShape.Line, [new(100, 100), new(400, 100)], null, 6)).Area, 6);
        Assert.Same(Spot, DamageOutline.Of(FindingShape.Area, Spot, null, null));
    }

    [Fact] // The stated property: each spot at least a third of the way round from the one before, each place once, 25 to 40 mm apart
    public void Spots_of_weld_keep_far_from_the_one_before() =>
        Gen.Double[60, 900]
            .Select(Gen.Double[60, 900])
            .Holds(x =>
            {
                PanelPoint[] edge = new PanelBox(0, x.Item1, 0, x.Item2).Corners;
                double around = 2 * (x.Item1 + x.Item2);
                WeldPlan plan = WeldOrder.Of(edge, 1, LengthFormat.Millimetres).Value!.Result;
                Assert.InRange(plan.PitchMm, 25, 40.0001);
                Assert.Equal(plan.Spots.Count, plan.Spots.Distinct().Count());
                double[] ways = [.. plan.Spots.Select(p => Way(edge, p))];
                foreach ((double a, double b) in ways.Zip(ways.Skip(1)))
                {
                    double apart = Math.Min(Math.Abs(a - b), around - Math.Abs(a - b));
                    Assert.True(apart >= (around / 3) - 1e-3, $"{apart} of {around}");
                    Assert.True(apart >= plan.LeastApartMm - 1e-3);
                }
            });

    [Fact]
    public void A_corner_of_an_edge_that_was_named_twice_is_one()
    {
        PanelPoint[] edge = [new(0, 0), new(0, 0), new(200, 100), new(0, 100)];
        WeldPlan twice = WeldOrder.Of(edge, 1, LengthFormat.Millimetres).Value!.Result;
        Assert.Equal(WeldOrder.Of(edge[1..], 1, LengthFormat.Millimetres).Value!.Result.Spots, twice.Spots);
    }

    [Fact] // Six spots have no hop between a third and a half of them without a common divisor: seven have, three places on
    public void Six_spots_become_seven()
    {
        WeldPlan plan = WeldOrder.Of(new PanelBox(0, 55, 0, 55).Corners, 1, LengthFormat.Millimetres).Value!.Result;
        Assert.Equal(7, plan.Spots.Count);
        Assert.Equal(3 * 220 / 7.0, plan.LeastApartMm, 6);
    }

    /// <summary>How far along an edge a place lies.</summary>
    private static double Way(PanelPoint[] edge, PanelPoint p)
    {
        double before = 0;
        for (int i = 0; i < edge.Length; i++)
        {
            (PanelPoint a, PanelPoint b) = (edge[i], edge[(i + 1) % edge.Length]);
            if (Math.Abs(a.DistanceMm(p) + p.DistanceMm(b) - a.DistanceMm(b)) < 1e-6)
                return before + a.DistanceMm(p);
            before += a.DistanceMm(b);
        }
        throw new InvalidOperationException("not on the edge");
    }

    [Theory]
    [InlineData(30, "weld-too-short")]
    [InlineData(31.25, null)]
    public void A_weld_needs_room_for_five_spots(double side, string? code)
    {
        Result<Worked<WeldPlan>> plan = WeldOrder.Of(new PanelBox(0, side, 0, side).Corners, 0.8, LengthFormat.Millimetres);
        Assert.Equal(code, plan.IsOk(out Worked<WeldPlan>? worked, out Problem? problem) ? null : problem.Code);
        if (worked is not null)
            Assert.Equal(4, worked.Result.PauseAfter);
    }
}
