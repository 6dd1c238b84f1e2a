using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Tests.Linings;

/// <summary>What the rules say of linings, at their limits and with what is shown for them.</summary>
public class LiningRulesTests
{
    private static LinedOpening Vent(double s, double t, Fitting? fitting = null) =>
        new("Vent", new PanelPoint(s, t), 0, fitting ?? Roofs.Vent(), OpeningState.Fitted, null, null);

    private static Lining Of(PanelBox at, LiningLies lies = LiningLies.Bent, double gap = 25, double thick = 6) =>
        new("Ceiling", at.Corners, NewSheet.Usual(BoardMaterial.BirchPly, thick), Grain.Lengthways, gap, lies, 15, LiningState.Planned, "");

    private static LiningPlan Plan(LiningSite site, Lining lining)
    {
        Result<Worked<LiningPlan>> result = LiningHoles.Of(site, lining);
        Assert.Null(result.Problem);
        return result.Value!.Result;
    }

    private static LiningSite Roof(params LinedOpening[] openings) => new(Roofs.Flat(), [], openings, []);

    private static readonly PanelBox Board = new(0, 2400, -600, 600);

    [Theory] // A vent of 400: its hole begins so far from the board's front or from its right edge
    [InlineData(250, 0, null)]
    [InlineData(249, 0, 49.0)]
    [InlineData(1000, -351, 49.0)]
    [InlineData(1000, 351, 49.0)]
    [InlineData(2151, 0, 49.0)]
    public void A_strip_of_less_than_50_beside_a_hole_is_said(double s, double t, double? strip)
    {
        Judgement? row = Plan(Roof(Vent(s, t)), Of(Board)).Rows.SingleOrDefault(r => r.Id == "strip-1");
        Assert.Equal(strip, row?.Measured);
        Assert.Equal(strip is null ? null : 50.0, row?.Required);
    }

    [Fact]
    public void A_notch_is_said_once_a_board_and_no_strip_beside_it()
    {
        Judgement[] rows = [.. Plan(Roof(Vent(100, 0)), Of(Board)).Rows];
        Assert.Equal("notch-1-Ceiling", rows.Single(r => r.Id.StartsWith("notch", StringComparison.Ordinal)).Id);
        Assert.DoesNotContain(rows, r => r.Id.StartsWith("strip", StringComparison.Ordinal));
    }

    [Fact]
    public void Room_is_least_where_the_skin_falls_most_and_nothing_is_enough()
    {
        LiningSite curved = new(Roofs.Flat() with { ArcRadiusAcrossMm = 3000 }, [], [], []);
        double fall = 3000 - Math.Sqrt((3000 * 3000) - (600 * 600));
        Judgement room = Plan(curved, Of(Board, LiningLies.Flat, fall)).Rows.Single(r => r.Id == "room");
        Assert.Equal((JudgementState.Good, "Room behind it", 0.0, null), (room.State, room.Title, room.Measured, room.Remedy));
        Judgement none = Plan(curved, Of(Board, LiningLies.Flat, fall - 1)).Rows.Single(r => r.Id == "room");
        Assert.Equal((JudgementState.Blocked, "The skin comes through it", -1.0), (none.State, none.Title, none.Measured));
        Assert.True(Assert.Single(none.Where).IsArea);
        // Bent, it has its gap everywhere; curved the other way too, both falls count.
        Assert.Equal(10, Plan(curved, Of(Board, gap: 10)).Rows.Single(r => r.Id == "room").Measured);
        LiningSite both = new(curved.Panel with { ArcRadiusAlongMm = 20_000 }, [], [], []);
        double along = 20_000 - Math.Sqrt((20_000d * 20_000) - (2100 * 2100));
        Assert.Equal(Math.Round(300 - fall - along, 1), Plan(both, Of(Board, LiningLies.Flat, 300)).Rows.Single(r => r.Id == "room").Measured);
    }

    [Fact] // By hand: R 20 000 along, 1600 before the crown of a roof of 4200: a = asin(0.08)
    public void A_skin_that_is_curved_along_carries_holes_along()
    {
        LiningSite site = new(Roofs.Flat() with { ArcRadiusAlongMm = 20_000 }, [], [Vent(500, 0)], []);
        Lining bent = Of(new PanelBox(100, 2400, -600, 600));
        const double r = 20_000 - 0.8 - 25 - 3;
        LiningPlan plan = Plan(site, bent);
        double edge = r * Math.Asin((100 - 2100) / r),
            middle = r * Math.Asin(-0.08);
        Assert.Equal(middle - (r * Math.Asin(200 / r)) - edge, plan.Holes[0].Final.SMinMm, 6);
        Assert.Equal(middle + (r * Math.Asin(200 / r)) - edge, plan.Holes[0].Final.SMaxMm, 6);
        // Flat: 400 / cos a, and its depth square through the skin.
        LiningHole flat = Plan(site, Of(new PanelBox(100, 2400, -600, 600), LiningLies.Flat, 200)).Holes[0];
        double a = Math.Asin(0.08);
        Assert.Equal(400 / Math.Cos(a), flat.Final.WidthMm, 6);
        Assert.Equal((206.8 - (20_000 * (1 - Math.Cos(a)))) / Math.Cos(a), flat.DepthMm, 6);
        Assert.Equal(400, flat.Final.HeightMm, 9);
    }

    [Fact]
    public void A_joint_is_marked_on_the_panel_where_it_lies()
    {
        LiningSite site = new(Roofs.Flat() with { ArcRadiusAcrossMm = 3000 }, [], [], []);
        LiningPlan plan = Plan(site, Of(new PanelBox(0, 2400, -800, 800)));
        LiningJoint joint = Assert.Single(plan.Joints);
        // In the middle of the lining, which lies under the middle of the roof.
        Assert.All(joint.OnPanel, p => Assert.Equal(0, p.TMm, 6));
        Assert.Equal([0.0, 2400.0], joint.OnPanel.Select(p => Math.Round(p.SMm, 6)));
        Judgement row = plan.Rows.Single(r => r.Id == "joints");
        Assert.Equal("A joint lies under no rib", row.Title);
        Assert.Equal((joint.OnPanel, false), (row.Where.Single().Points, row.Where.Single().IsArea));
        Assert.Equal("2 joints lie under no rib", Plan(Roof(), Of(new PanelBox(0, 2600, -800, 800))).Rows.Single(r => r.Id == "joints").Title);
        // An eccentric one off the crown: back on the panel it is where the arc says.
        LiningPlan aside = Plan(site, Of(new PanelBox(0, 2400, -800, 500)));
        const double r = 3000 - 0.8 - 25 - 3;
        double middle = r * (Math.Asin(500 / r) + Math.Asin(-800 / r)) / 2;
        Assert.Equal(r * Math.Sin(middle / r), aside.Joints[0].OnPanel[0].TMm, 6);
    }

    [Fact]
    public void A_rail_that_runs_along_carries_a_joint_along_and_a_swage_none()
    {
        Member rail = new(
            "Rail",
            MemberKind.CantRail,
            MemberRole.Structural,
            new Footprint(FootprintShape.Spine, [new(0, 100), new(4200, 100)], 40),
            30
        );
        LiningSite site = Roof() with { Members = [rail, Roofs.Swage(0), Roofs.Bow("Bow", 1180, 1240)] };
        LiningJoint joint = Plan(site, Of(new PanelBox(0, 2400, -700, 700))).Joints.Single();
        Assert.Equal(("Rail", 100.0), (joint.On, joint.OnPanel[0].TMm));
    }

    [Fact]
    public void Boards_beside_a_joint_have_their_gap_and_their_own_names_and_holes()
    {
        // 1400 wide: parted in the middle, the vent in the upper half, 50 from the joint at least.
        LiningPlan plan = Plan(Roof(Vent(1000, 300)), Of(new PanelBox(0, 2400, -700, 700)));
        Assert.Equal(["Ceiling 1", "Ceiling 2"], plan.Boards.Select(b => b.Name));
        Assert.Equal([699.0, 699.0], plan.Boards.Select(b => b.WidthMm));
        Assert.Empty(plan.Boards[0].Holes);
        // The vent begins 100 above the middle, and the board half a gap of 2 above it.
        Assert.Equal(new PanelBox(800, 1200, 99, 499), plan.Boards[1].Holes.Single().Box);
        Assert.Equal((2400 * 699 * 2) - (400 * 400), plan.AreaMm2, 3);
        Assert.StartsWith("2 boards, 1 hole; 2400 x 1400 mm", plan.Verdict, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(1500, 1200, 1)] // Across the grain a sheet is as long as it is wide
    [InlineData(1200, 2400, 0)]
    public void Grain_across_turns_the_sheet(double along, double across, int joints) =>
        Assert.Equal(
            joints,
            Plan(Roof(), Of(new PanelBox(0, along, -across / 2 * 0.7, across / 2 * 0.7)) with { Grain = Grain.Across }).Joints.Count
        );

    [Fact]
    public void A_joint_keeps_off_holes_and_no_board_is_narrow_where_there_is_a_choice()
    {
        // 2500 in boards of 2440: in the middle; a hole from 1240 on moves it to 50 before.
        Assert.Equal(1250, LiningBoards.Joints(2500, 2440, [], []).Single().AtMm);
        Assert.Equal(1190, LiningBoards.Joints(2500, 2440, [(1240, 1600)], []).Single().AtMm);
        // A rib at 100 would leave a narrow board; without the narrow strip it would carry the joint.
        Assert.Null(LiningBoards.Joints(2500, 2440, [], [new LiningBoards.Line(100, "Rib")]).Single().On);
        Assert.Equal("Rib", LiningBoards.Joints(2500, 2440, [], [new LiningBoards.Line(160, "Rib")]).Single().On);
        // A rib within 50 of a hole does not; better a batten.
        Assert.Null(LiningBoards.Joints(2500, 2440, [(1240, 1600)], [new LiningBoards.Line(1200, "Rib")]).Single().On);
        Assert.Empty(LiningBoards.Joints(2440, 2440, [], []));
        // Two joints, each under its rib.
        Assert.Equal(
            ["A", "B"],
            LiningBoards.Joints(6000, 2440, [], [new LiningBoards.Line(2000, "A"), new LiningBoards.Line(4000, "B")]).Select(l => l.On!)
        );
    }

    [Theory] // Skin 0.8, board 6: a wall of 25 to 36 is gripped to the last tenth
    [InlineData(18.2, JudgementState.Good, 36.0)]
    [InlineData(29.2, JudgementState.Good, 36.0)]
    [InlineData(18.1, JudgementState.Blocked, 25.0)]
    [InlineData(29.3, JudgementState.Blocked, 36.0)]
    public void A_clamp_grips_up_to_its_limits(double gap, JudgementState state, double limit)
    {
        Fitting window = Roofs.Vent() with { Clamp = new ClampRange(25, 36), Halves = new Halves(20, 8, 4, [], new RoundedRectangle(440, 420, 20)) };
        Judgement[] rows = [.. Plan(Roof(Vent(1000, 0, window)), Of(Board, gap: gap)).Rows];
        Judgement clamp = rows.Single(r => r.Id == "clamp-1");
        Assert.Equal((state, limit), (clamp.State, clamp.Required));
        Assert.Equal(state == JudgementState.Good ? "Vent grips the finished wall" : "Vent does not grip the finished wall", clamp.Title);
        // It laps 20 one way and 10 the other: 10 is what counts, and enough.
        Assert.Equal(10, Plan(Roof(Vent(1000, 0, window)), Of(Board)).Holes[0].CoverMm);
        Assert.DoesNotContain(rows, r => r.Id.StartsWith("cover", StringComparison.Ordinal));
    }

    [Fact]
    public void A_small_hole_is_not_shrunk_to_nothing_and_cold_ones_say_nothing_of_heat()
    {
        Fitting small = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(24, 60, 5),
            Neck = new RoundedRectangle(22, 56, 5),
            Flange = new RoundedRectangle(110, 150, 10),
            Screws = null,
        };
        LiningPlan plan = Plan(Roof(Vent(1000, 0, small)), Of(Board));
        Assert.Equal((2.0, 38.0), (plan.Holes[0].First.WidthMm, plan.Holes[0].First.HeightMm));
        Assert.DoesNotContain(plan.Rows, r => r.Id.StartsWith("heat", StringComparison.Ordinal));
        Assert.Null(plan.Holes[0].CoverMm);
    }

    [Fact]
    public void What_lies_behind_is_marked_as_it_was_drawn_and_counts_with_one_point_of_it()
    {
        Finding Found(FindingKind kind, FindingShape shape, params PanelPoint[] points) =>
            new(
                "It",
                kind,
                shape,
                points,
                ViewedFrom.Inside,
                Severity.Minor,
                new(null, null, null, null),
                FindingState.Planned,
                "",
                Tests.Floor.Floors.Day,
                ""
            );
        LiningSite site = Roof() with
        {
            Findings =
            [
                Found(FindingKind.Stain, FindingShape.Line, new(2300, 0), new(2500, 0)),
                Found(FindingKind.LooseClip, FindingShape.Point, new PanelPoint(100, 0)),
                Found(FindingKind.CrackInPlastic, FindingShape.Area, new(100, 0), new(200, 0), new(200, 100)),
            ],
        };
        Judgement[] rows = [.. Plan(site, Of(Board)).Rows.Where(r => r.Id.StartsWith("hides", StringComparison.Ordinal))];
        Assert.Equal(["hides-1", "hides-2", "hides-3"], rows.Select(r => r.Id));
        Assert.Equal([JudgementState.Blocked, JudgementState.NeedsWork, JudgementState.NeedsWork], rows.Select(r => r.State));
        Assert.Equal([false, false, true], rows.Select(r => r.Where.Single().IsArea));
    }

    [Fact]
    public void What_the_model_leaves_out_is_said()
    {
        Panel measured = Roofs.Flat() with { Surface = SurfaceSource.Measured, Sections = [new SurfaceSection(900, [new(-800, 46), new(0, 0)])] };
        Assert.Contains("follows the panel's radius", LiningHoles.Of(new LiningSite(measured, [], [], []), Of(Board)).Value!.Warnings.Single());
        Panel both = Roofs.Flat() with { ArcRadiusAcrossMm = 5000, ArcRadiusAlongMm = 20_000 };
        Assert.Contains("curved both ways", LiningHoles.Of(new LiningSite(both, [], [], []), Of(Board)).Value!.Warnings.Single());
        Assert.Empty(LiningHoles.Of(new LiningSite(both, [], [], []), Of(Board, LiningLies.Flat, 300)).Value!.Warnings);
        Assert.Empty(LiningHoles.Of(new LiningSite(both with { ArcRadiusAlongMm = null }, [], [], []), Of(Board)).Value!.Warnings);
        Worked<LiningPlan> plain = LiningHoles.Of(Roof(Vent(1000, 0)), Of(Board)).Value!;
        Assert.Equal(["w_1", "h_1", "d_1", "A"], plain.Steps.Select(s => s.Symbol));
        Assert.Equal([SourceKind.Geometry, SourceKind.CommonPractice], plain.Sources.Select(s => s.Kind));
    }

    [Fact] // A board of 1000 in the middle of a stain of 2000: none of its corners lies behind the board
    public void An_area_counts_wherever_it_lies_behind_and_a_line_that_only_crosses_it()
    {
        Finding Found(FindingShape shape, params PanelPoint[] points) =>
            new(
                "It",
                FindingKind.Stain,
                shape,
                points,
                ViewedFrom.Inside,
                Severity.Minor,
                new(null, null, null, null),
                FindingState.Open,
                "",
                Tests.Floor.Floors.Day,
                ""
            );
        bool Blocks(Finding finding) =>
            Plan(Roof() with { Findings = [finding] }, Of(new PanelBox(1000, 2000, -300, 300))).Rows.Any(r => r.Id == "hides-1");
        Assert.True(Blocks(Found(FindingShape.Area, new PanelBox(500, 2500, -600, 600).Corners)));
        Assert.True(Blocks(Found(FindingShape.Line, new(1500, -600), new(1500, 600))));
        // What only reaches its edge goes on behind it, too; what ends before it does not.
        Assert.True(Blocks(Found(FindingShape.Area, new PanelBox(500, 1000, -100, 100).Corners)));
        Assert.False(Blocks(Found(FindingShape.Line, new(900, -600), new(900, 600))));
    }

    [Fact]
    public void No_screw_is_set_near_wiring_and_it_is_marked_where_it_runs()
    {
        Member Run(double t) =>
            new("Wiring run", MemberKind.WiringRun, MemberRole.KeepOut, new Footprint(FootprintShape.Spine, [new(300, t), new(4000, t)], 30), 20);
        Judgement? Row(double t) => Plan(Roof() with { Members = [Run(t)] }, Of(Board)).Rows.SingleOrDefault(r => r.Id == "behind-1");
        Assert.Contains("within 30 mm", Row(0)!.Remedy);
        // Its side lies 29 and 31 beside the lining's edge.
        Assert.NotNull(Row(600 + 29 + 15));
        Assert.Null(Row(600 + 31 + 15));
    }

    [Fact] // By hand: 1 + 32 + 1 of two skins, then 25 and 6
    public void Two_skins_are_both_part_of_the_wall()
    {
        Panel door = Roofs.Flat() with { SkinMm = 1, SkinGapMm = 32 };
        Fitting window = Roofs.Vent() with { Clamp = new ClampRange(25, 60), Halves = new Halves(60, 8, 4, [], new RoundedRectangle(440, 440, 20)) };
        LiningPlan plan = Plan(new LiningSite(door, [], [Vent(1000, 0, window)], []), Of(Board));
        Assert.Equal((65.0, 25.0), (plan.Holes[0].DepthMm, plan.Holes[0].PackMm));
        Assert.Contains("End the lining at a frame of 26 mm at most", plan.Rows.Single(r => r.Id == "clamp-1").Remedy);
    }

    [Fact] // A pipe of 100 in a skin, boards 75 off it: beside a lining that ends 60 from the pipe it still takes its bite
    public void Boards_keep_off_what_gets_hot_beside_them_too()
    {
        Fitting flue = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(100, 100, 50),
            Neck = new RoundedRectangle(96, 96, 48),
            Flange = new RoundedRectangle(190, 190, 30),
            Screws = null,
            HeatMm = 75,
        };
        LiningPlan plan = Plan(Roof(Vent(2400 + 110, 0, flue)), Of(Board));
        BoardHole bite = plan.Boards[0].Holes.Single();
        Assert.Equal((true, 2385.0), (bite.IsNotch, bite.Box.SMinMm));
        Assert.Contains(plan.Rows, r => r.Id == "heat-1");
    }

    [Fact] // The corners of a round hole of 250 as it is cut first lie on a circle of 220: none reaches out of it
    public void What_is_cut_first_stays_within_the_hole_at_its_corners()
    {
        Fitting round = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(250, 250, 125),
            Neck = new RoundedRectangle(246, 246, 123),
            Flange = new RoundedRectangle(340, 340, 30),
            Screws = null,
        };
        LiningPlan plan = Plan(Roof(Vent(1000, 0, round)), Of(Board));
        Assert.Equal((125.0, 110.0), (plan.Holes[0].CornerMm, plan.Holes[0].FirstCornerMm));
        Drawing drawing = LiningDrawing.Of(Roofs.Flat(), plan, plan.Boards[0]);
        Assert.Equal([125.0, 110.0], drawing.Arcs.Select(a => a.RadiusMm).Distinct());
        Assert.All(drawing.Arcs, a => Assert.Equal((1000.0, 600.0), (a.XMm, a.YMm)));
        // Corners of less than what is left on are square, and lie within.
        Assert.Equal(5, Plan(Roof(Vent(1000, 0)), Of(Board)).Holes[0].FirstCornerMm);
        Assert.Equal(0, Plan(Roof(Vent(1000, 0)), Of(Board) with { UndersizeMm = 25 }).Holes[0].FirstCornerMm);
    }

    [Fact]
    public void What_is_no_lining_is_refused()
    {
        Assert.Equal("lining-off-panel", LiningHoles.Of(Roof(), Of(new PanelBox(0, 5000, -600, 600))).Problem!.Code);
        Lining crossed = Of(Board) with { Outline = [new(0, 0), new(900, 400), new(900, 0), new(0, 400)] };
        Assert.Equal("/lining/outline", LiningHoles.Of(Roof(), crossed).Problem!.Pointer);
        Assert.Contains(
            "39 3/8",
            Plan(Roof(Vent(1000, 0)) with { Lengths = new LengthFormat(UnitSystem.Inch) }, Of(new PanelBox(0, 1000, -500, 500))).Verdict
        );
    }
}
