using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;
using static Abri.Core.Tests.Floor.Floors;

namespace Abri.Core.Tests.Floor;

/// <summary>What of a floor is cut out, and what carries it.</summary>
public class FloorReplacementTests
{
    private static CutEdge At(ReplacementPlan plan, Side side) => plan.Edges.Single(e => e.Side == side);

    private static Judgement Row(ReplacementPlan plan, string id) => Assert.Single(plan.Rows, r => r.Id == id);

    private static PanelBox Cut(ReplacementPlan plan) => PanelBox.Of(plan.Cut.SelectMany(p => p));

    [Fact] // By hand: sound at 1050 and 1720 along the grain plus 300, so 750 to 2020: bearers at 350 and 2300; across 150 beyond -400: -250
    public void A_soft_board_by_the_wall_is_cut_on_the_middles_of_bearers()
    {
        ReplacementPlan plan = Plan(
            Van([Sound(1050, -680), Bad(1250, -680), Bad(1500, -600), Sound(1720, -680), Sound(1380, -400)]),
            Area(1180, 1590, -830, -530)
        );
        Assert.Equal(new PanelBox(350, 2300, -830, -250), Cut(plan));
        Assert.Equal((EdgeOn.Bearer, "Bearer 1", 29.0), (At(plan, Side.Front).On, At(plan, Side.Front).MemberName, At(plan, Side.Front).BearsMm));
        Assert.Equal("Bearer 4", At(plan, Side.Rear).MemberName);
        Assert.Equal(EdgeOn.Wall, At(plan, Side.Bottom).On);
        Assert.Equal(EdgeOn.Blocking, At(plan, Side.Top).On);
        // The tape is hooked where it is shorter, and reads the same at both ends.
        Assert.Equal((Side.Front, 350.0, 350.0), (At(plan, Side.Front).TapeFrom, At(plan, Side.Front).TapesMm[0], At(plan, Side.Front).TapesMm[1]));
        Assert.Equal((Side.Bottom, 580.0), (At(plan, Side.Top).TapeFrom, At(plan, Side.Top).TapesMm[0]));
        // Timbers from bearer to bearer below the edge that hangs free: three bays of 650 less 60.
        Assert.Equal([590, 590, 590], plan.Supports.Select(s => Math.Round(s.LengthMm, 6)));
        Assert.All(plan.Supports, s => Assert.Equal((SupportKind.Blocking, 60.0), (s.Kind, s.HighMm)));
        FloorPiece piece = Assert.Single(plan.Pieces);
        Assert.Equal((1949, 576), (Math.Round(piece.LengthMm), Math.Round(piece.WidthMm)));
        Assert.Equal([(BoardFate.Cut, 19.0)], plan.Boards.Select(b => (b.Fate, b.SawDepthMm)));
        Assert.Equal("Cut out 1950 x 580 mm on Bearer 1 and Bearer 4; 1 new board, 3 timbers let in.", plan.Verdict);
    }

    [Fact]
    public void Across_the_grain_the_margin_is_single_and_unknown_grain_counts_both_ways()
    {
        Probe[] probes = [Sound(1050, 0), Bad(1250, 0), Sound(1350, 0), Sound(1250, 300), Sound(1250, -300)];
        // Grain across: 1350 + 150 = 1500, so Bearer 3; along: 1350 + 300 = 1650, just the same bearer; across t it is 300 + 300.
        PanelBox across = Cut(Plan(Van(probes, grain: Grain.Across), Area(1200, 1300, -50, 50)));
        PanelBox along = Cut(Plan(Van(probes), Area(1200, 1300, -50, 50)));
        PanelBox unknown = Cut(Plan(Van(probes) with { Boards = [] }, Area(1200, 1300, -50, 50)));
        Assert.Equal((350, 1650, -600, 600), (across.SMinMm, across.SMaxMm, across.TMinMm, across.TMaxMm));
        Assert.Equal((350, 1650, -450, 450), (along.SMinMm, along.SMaxMm, along.TMinMm, along.TMaxMm));
        Assert.Equal((350, 1650, -600, 600), (unknown.SMinMm, unknown.SMaxMm, unknown.TMinMm, unknown.TMaxMm));
    }

    [Fact]
    public void Where_nobody_has_probed_it_is_asked_for()
    {
        ReplacementPlan plan = Plan(Van([Bad(2000, 0)]), Area(1950, 2050, -50, 50));
        Assert.Equal(
            ["unknown-bottom", "unknown-front", "unknown-rear", "unknown-top"],
            plan.Rows.Where(r => r.Id.StartsWith("unknown", StringComparison.Ordinal)).Select(r => r.Id).Order()
        );
        Assert.Equal("Probe every 100 mm that way until it rings twice.", Row(plan, "unknown-rear").Remedy);
    }

    [Fact]
    public void A_bearer_too_narrow_for_two_boards_gets_a_timber_on_each_side()
    {
        ReplacementPlan plan = Plan(Van([], wide: 30), Area(1180, 1590, -300, 300));
        Judgement edge = Row(plan, "edge-rear");
        Assert.Equal((JudgementState.NeedsWork, 14.0, 19.0), (edge.State, edge.Measured, edge.Required));
        Support[] sisters = [.. plan.Supports.Where(s => s.Kind == SupportKind.Sister && s.Line[0].SMm > 1500)];
        // Beside a bearer from 2285 to 2315 when cut at 2300 (1590 + 300 lies beyond Bearer 3).
        Assert.Equal([2300 - 15 - 22.5, 2300 + 15 + 22.5], sisters.Select(s => s.Line[0].SMm).Order());
    }

    [Fact]
    public void A_joint_that_lies_on_a_bearer_is_used_where_both_boards_bear()
    {
        FloorSite site = Van([Sound(1320, 0)]);
        Board whole = site.Boards[0];
        site = site with
        {
            Boards =
            [
                whole with
                {
                    Name = "Front board",
                    Outline = new PanelBox(0, 1655, -830, 830).Corners,
                },
                whole with
                {
                    Name = "Rear board",
                    Outline = new PanelBox(1655, 4300, -830, 830).Corners,
                },
            ],
        };
        CutEdge rear = At(Plan(site, Area(1200, 1300, -100, 100)), Side.Rear);
        Assert.Equal((EdgeOn.Joint, "Bearer 3", 25.0), (rear.On, rear.MemberName, rear.BearsMm));
    }

    [Fact]
    public void An_oblique_bearer_carries_what_is_common_to_all_of_the_edge()
    {
        FloorSite site = Van([]);
        // From 1600 at the right wall to 1700 at the left: over 600 mm of edge it wanders 36 mm of its 60.
        site = site with { Members = [Bearer("Oblique", new(1600, -830), new(1700, 830))] };
        CutEdge rear = At(Plan(site, Area(1000, 1250, -150, 150) with { MarginMm = 75 }), Side.Rear);
        Assert.Equal("Oblique", rear.MemberName);
        double wander = (PanelBox.Of(rear.Line).HeightMm * 100 / 1660) + 2;
        Assert.Equal((60 / Math.Cos(Math.Atan2(100, 1660)) - wander) / 2, rear.BearsMm!.Value, 0.05);
    }

    [Fact] // The left wall comes in from 830 to 530: a bearer that ends at it carries the edge, one that stops half way does not
    public void A_bearer_that_ends_at_an_oblique_wall_carries_the_edge()
    {
        FloorSite site = Van([]);
        site = site with
        {
            Panel = site.Panel with { Outline = [new(0, -830), new(4300, -830), new(4300, 530), new(0, 830)] },
            Members = [Bearer("Long", new(1650, -830), new(1650, 650)), Bearer("Short", new(2300, -830), new(2300, 300))],
        };
        Replacement byTheWall = Area(1250, 1300, 400, 700);
        Assert.Equal((EdgeOn.Bearer, "Long"), At(Plan(site, byTheWall), Side.Rear) is var e ? (e.On, e.MemberName) : default);
        site = site with { Members = [site.Members[1]] };
        Assert.Equal(EdgeOn.Blocking, At(Plan(site, byTheWall with { Area = new PanelBox(1700, 1800, 400, 700).Corners }), Side.Rear).On);
    }

    [Fact] // By hand: 18 mm holds 1.5 mm up to 609.5, so a bay of 2000 needs 4 parts; no sheet of 59 mm is sent for
    public void Bays_wider_than_any_sheet_get_bearers()
    {
        FloorSite site = Van([]);
        site = site with { Members = [site.Members[0] with { Name = "First" }, Bearer("Last", new(2350, -830), new(2350, 830))] };
        Judgement sag = Row(Plan(site, Area(350, 2350, -830, 830) with { MarginMm = 0 }), "sag");
        Assert.Equal("Let in 3 bearers more, 500 mm apart.", sag.Remedy);
    }

    [Fact]
    public void No_bearers_an_anchorage_and_what_lies_below_are_said()
    {
        FloorSite site = Van([]);
        var belt = new Member(
            "Belt anchorage",
            MemberKind.Anchorage,
            MemberRole.Structural,
            new Footprint(FootprintShape.Polygon, new PanelBox(1200, 1300, 0, 80).Corners),
            20
        );
        var loom = new Member(
            "Loom",
            MemberKind.WiringRun,
            MemberRole.KeepOut,
            new Footprint(FootprintShape.Spine, [new(0, 320), new(4300, 320)], 20),
            -40
        );
        ReplacementPlan plan = Plan(site with { Members = [.. site.Members, belt, loom] }, Area(1180, 1590, -200, 200) with { MarginMm = 100 });
        Assert.Equal(JudgementState.Blocked, plan.Rows[0].State);
        Assert.Equal("Belt anchorage stands in it", Row(plan, "anchorage-Belt anchorage").Title);
        Assert.Equal(["Loom"], plan.Below);
        ReplacementPlan bare = Plan(site with { Members = [] }, Area(1180, 1590, -200, 200));
        Assert.Equal(JudgementState.Blocked, Row(bare, "bearers").State);
    }

    [Fact]
    public void Thickness_sag_narrow_strips_and_damp_are_judged()
    {
        FloorSite site = Van([Sound(1300, 300, 18)]);
        ReplacementPlan thin = Plan(site, Area(1200, 1250, -60, 60, 12));
        Assert.Equal("A step of 6 mm at Old floor", Row(thin, "step-18").Title);
        Assert.StartsWith("Lay strips of 6 mm", Row(thin, "step-18").Remedy, StringComparison.Ordinal);
        Assert.Equal(JudgementState.NeedsWork, Row(thin, "sag").State);
        Assert.Equal((JudgementState.NeedsWork, 18.0), (Row(thin, "damp").State, Row(thin, "damp").Measured));
        // A second board begins 60 mm before the bearer: what stays of the first is no board any more.
        Board whole = site.Boards[0];
        FloorSite parted = site with
        {
            Boards =
            [
                whole with
                {
                    Name = "First",
                    Outline = new PanelBox(0, 1740, -830, 830).Corners,
                },
                whole with
                {
                    Name = "Second",
                    Outline = new PanelBox(1740, 4300, -830, 830).Corners,
                },
            ],
        };
        Assert.Contains(Plan(parted, Area(1180, 1300, -830, 830)).Rows, r => r.Id.StartsWith("strip-First", StringComparison.Ordinal));
    }

    [Fact]
    public void A_bearer_is_followed_to_dry_wood_and_spliced()
    {
        Probe[] probes =
        [
            .. new (double T, bool Bad)[] { (-800, true), (-600, true), (-450, false), (0, false) }.Select(p => new Probe(
                ProbeOf.Member,
                new PanelPoint(1000, p.T),
                p.Bad ? WoodState.Through : WoodState.Sound,
                null,
                Day,
                ""
            )),
        ];
        ReplacementPlan plan = Plan(Van(probes), Area(1180, 1300, -830, -600));
        RottenMember rotten = Assert.Single(plan.Members);
        // Bearer 2 from -830: bad at 30 and 230, sound at 380; lap 4 x 60.
        Assert.Equal(("Bearer 2", 0.0, 380.0, 620.0), (rotten.MemberName, rotten.Splice.CutFromMm, rotten.Splice.CutToMm, rotten.Splice.NewLengthMm));
        Assert.Equal([new PanelPoint(1000, -830), new PanelPoint(1000, -450)], rotten.Removed);
        Assert.StartsWith("From its right end, bad from 30 mm to 230 mm", rotten.Splice.Verdict, StringComparison.Ordinal);
        // One of metal is no timber to be spliced.
        FloorSite steel = Van(probes);
        steel = steel with { Members = [.. steel.Members.Select(m => m with { Material = MemberMaterial.Metal })] };
        ReplacementPlan metal = Plan(steel, Area(1180, 1300, -830, -600));
        Assert.Empty(metal.Members);
        Assert.Equal(JudgementState.Blocked, Row(metal, "metal-Bearer 2").State);
        // One that is not under the cut belongs to another job.
        Assert.Empty(Plan(Van(probes), Area(3000, 3100, 100, 200)).Members);
    }

    [Fact]
    public void Large_cuts_part_into_boards_that_sheets_give()
    {
        ReplacementPlan plan = Plan(Van([]), Area(0, 4300, -830, 830));
        Assert.All(plan.Pieces, p => Assert.True(p.LengthMm <= 2440 && p.WidthMm <= 1220, $"{p.LengthMm} x {p.WidthMm}"));
        Assert.Equal(4, plan.Pieces.Count);
        // Parted on Bearer 4, the furthest within a sheet; the seam along the middle has timbers in all bays.
        Assert.Equal(2300, plan.Pieces.Select(p => PanelBox.Of(p.Outline)).Min(b => b.SMaxMm) + 0.5, 6);
        Assert.Equal(8, plan.Supports.Count);
    }

    [Fact]
    public void What_contradicts_itself_is_told_with_its_place()
    {
        FloorSite site = Van([]);
        Assert.Equal("/replacement/area", FloorReplacement.Of(site, Area(5000, 5200, 0, 100)).Problem!.Pointer);
        Assert.Equal("/site/probes/0/at", FloorReplacement.Of(Van([Bad(9000, 0)]), Area(1000, 1200, 0, 100)).Problem!.Pointer);
        PanelPoint[] crossed = [new(1000, 0), new(1200, 100), new(1200, 0), new(1000, 100)];
        Assert.Equal("outline-crosses-itself", FloorReplacement.Of(site, Area(1000, 1200, 0, 100) with { Area = crossed }).Problem!.Code);
    }

    private static readonly Gen<FloorSite> AnyFloor = Gen.Select(
        Gen.Double[1500, 6000],
        Gen.Double[-200, 200],
        Gen.Double[120, 900].Array[2, 12],
        Gen.Double[25, 90],
        Gen.Select(Gen.Double[0, 1], Gen.Double[0, 1], Gen.Bool).Array[0, 40],
        Gen.Bool,
        (length, slant, gaps, wide, probes, lengthways) =>
        {
            // An oblique wall: the left edge of the floor runs aslant.
            PanelPoint[] outline = [new(0, -800), new(length, -800), new(length, 800 + slant), new(0, 800)];
            double at = 0;
            List<Member> bearers = [];
            foreach (double gap in gaps)
            {
                at += gap;
                if (at < length - wide)
                    bearers.Add(Bearer($"Bearer {bearers.Count + 1}", new(at, -800), new(at, 600), wide));
            }
            return new FloorSite(
                new Panel(PanelKind.Floor, outline, 1, SkinMaterial.MildSteel),
                bearers,
                [new Board("Old floor", outline, BoardMaterial.SoftwoodPly, 18, lengthways ? Grain.Lengthways : Grain.Across, "")],
                [.. probes.Select(p => p.Item3 ? Bad(p.Item1 * length, -800 + (p.Item2 * 1400)) : Sound(p.Item1 * length, -800 + (p.Item2 * 1400)))]
            );
        }
    );

    [Fact] // Property over floors with odd bearers and an oblique wall, held against NetTopologySuite
    public void On_any_floor_the_cut_takes_all_that_is_bad_near_it_and_its_edges_are_carried() =>
        Gen.Select(AnyFloor, Gen.Double[0.1, 0.7], Gen.Double[-700, 300], Gen.Double[50, 500])
            .Holds(t =>
            {
                (FloorSite site, double share, double right, double size) = t;
                double s = share * site.Panel.Box.WidthMm;
                Replacement wanted = Area(s, Math.Min(s + size, site.Panel.Box.SMaxMm), right, right + 250);
                ReplacementPlan plan = Plan(site, wanted);
                NetTopologySuite.Geometries.Geometry cut = Plane.Union([.. plan.Cut.Select(Plane.Polygon)]),
                    floor = Plane.Polygon(site.Panel.Outline);
                Assert.True(floor.Buffer(1e-6).Covers(cut));
                Assert.True(cut.Buffer(1e-6).Covers(Plane.Polygon(wanted.Area).Intersection(floor)));
                // Every bad probe inside keeps its margin to an edge that is no wall.
                foreach (Probe bad in site.Probes.Where(p => p.IsBad && cut.Covers(Plane.Polygon(PanelBox.Around(p.At, 1, 1)))))
                {
                    foreach (CutEdge edge in plan.Edges.Where(e => e.On != EdgeOn.Wall))
                    {
                        bool across = edge.Side is Side.Front or Side.Rear;
                        double off = Math.Abs(across ? bad.At.SMm - edge.Line[0].SMm : bad.At.TMm - edge.Line[0].TMm);
                        double margin = site.Boards[0].Grain == Grain.Lengthways == across ? 300 : 150;
                        Assert.True(off >= margin - 1e-6, $"{off} from the {edge.Side}");
                    }
                }
                // An edge on a bearer has the bearer's own strip under both boards, all along.
                foreach (CutEdge edge in plan.Edges.Where(e => e.On == EdgeOn.Bearer && e.Side is Side.Front or Side.Rear))
                {
                    PanelBox bearer = PanelBox.Of(MemberOutline.Of(site.Members.Single(m => m.Name == edge.MemberName).Footprint));
                    Assert.Equal(
                        ((bearer.SMinMm + bearer.SMaxMm) / 2, (bearer.WidthMm - 2) / 2),
                        (edge.Line[0].SMm, edge.BearsMm!.Value),
                        new Near()
                    );
                }
                // New boards lie in the cut, clear of walls and of one another, and sheets give them.
                NetTopologySuite.Geometries.Polygon[] pieces = [.. plan.Pieces.Select(p => Plane.Polygon(p.Outline))];
                for (int i = 0; i < pieces.Length; i++)
                {
                    Assert.True(cut.Buffer(1e-6).Covers(pieces[i]));
                    Assert.True(pieces[i].Distance(((NetTopologySuite.Geometries.Polygon)floor).ExteriorRing) >= FloorReplacement.WallGapMm - 1e-6);
                    Assert.All(pieces[..i], other => Assert.True(other.Distance(pieces[i]) >= 0.999));
                    Assert.True(plan.Pieces[i].LengthMm <= 2440.001 && plan.Pieces[i].WidthMm <= 1220.001);
                }
                Assert.True(pieces.Sum(p => p.Area) >= cut.Area - (8 * (cut.Length + 10_000)));
                // Timbers between bearers run from face to face.
                NetTopologySuite.Geometries.Geometry bearers = Plane.Union([
                    .. site.Members.Select(m => Plane.Polygon(MemberOutline.Of(m.Footprint))),
                ]);
                Assert.All(plan.Supports.Where(x => x.Kind == SupportKind.Blocking), x =>
                    Assert.True(Plane.Line(x.Line).Intersection(bearers.Buffer(-0.01)).Length < 1e-3)
                );
            });

    private sealed class Near : IEqualityComparer<(double, double)>
    {
        public bool Equals((double, double) a, (double, double) b) => Math.Abs(a.Item1 - b.Item1) < 1e-6 && Math.Abs(a.Item2 - b.Item2) < 1e-6;

        public int GetHashCode((double, double) of) => 0;
    }
}
