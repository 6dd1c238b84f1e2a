using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Linings;

/// <summary>Linings with the holes of what passes through the skin.</summary>
public class LiningHolesTests
{
    private static LinedOpening Vent(double s, double t, double cut = 400, OpeningState state = OpeningState.Fitted) =>
        new("Vent", new PanelPoint(s, t), 0, Roofs.Vent(cut), state, null, null);

    private static LiningSite Roof(double? radius, params LinedOpening[] openings) =>
        new(Roofs.Flat() with { ArcRadiusAcrossMm = radius }, [], openings, []);

    private static Lining Ceiling(LiningLies lies = LiningLies.Bent, double gap = 25, double thick = 6, PanelBox? at = null) =>
        new(
            "Ceiling",
            (at ?? new PanelBox(0, 2400, -600, 600)).Corners,
            NewSheet.Usual(BoardMaterial.BirchPly, thick),
            Grain.Lengthways,
            gap,
            lies,
            15,
            LiningState.Planned,
            ""
        );

    private static LiningPlan Plan(LiningSite site, Lining lining)
    {
        Result<Worked<LiningPlan>> result = LiningHoles.Of(site, lining);
        Assert.Null(result.Problem);
        return result.Value!.Result;
    }

    [Fact]
    public void Under_a_flat_skin_a_hole_lies_below_the_hole_and_is_smaller_at_first()
    {
        LiningPlan plan = Plan(Roof(null, Vent(1000, 100)), Ceiling());
        LiningHole hole = Assert.Single(plan.Holes);
        Assert.Equal(new PanelBox(800, 1200, 500, 900), hole.Final);
        Assert.Equal(new PanelBox(815, 1185, 515, 885), hole.First);
        // Skin 0.8, gap 25, board 6.
        Assert.Equal((31.8, 25.0), (hole.DepthMm, Math.Round(hole.PackMm, 9)));
        LiningBoard board = Assert.Single(plan.Boards);
        Assert.Equal((2400.0, 1200.0, "Ceiling"), (board.LengthMm, board.WidthMm, board.Name));
        Assert.Equal((2400 * 1200) - (400 * 400), plan.AreaMm2, 3);
        Assert.False(Assert.Single(board.Holes).IsNotch);
    }

    [Fact] // By hand: R 3000, 600 beside the crown: a = asin 0.2 = 11.537 degrees, 400 / cos a = 408.2 on a flat board
    public void Under_an_arc_a_flat_lining_gets_a_longer_hole_and_a_bent_one_a_shorter_board()
    {
        LiningSite site = Roof(3000, Vent(1000, 600));
        Lining flat = Ceiling(LiningLies.Flat, 200, 6, new PanelBox(0, 2400, -850, 850));
        LiningHole hole = Plan(site, flat).Holes.Single();
        Assert.Equal(400 / Math.Cos(Math.Asin(0.2)), hole.Final.HeightMm, 6);
        Assert.Equal(400, hole.Final.WidthMm, 9);
        // Its fall is 3000 - sqrt(9e6 - 36e4) = 60.61; from there square through the skin.
        Assert.Equal((206.8 - 60.6123) / Math.Cos(Math.Asin(0.2)), hole.DepthMm, 3);
        // A bent board lies on r = 3000 - 0.8 - 25 - 3 = 2971.2: its half is 2971.2 asin(850 / 2971.2).
        LiningPlan bent = Plan(site, Ceiling(LiningLies.Bent, 25, 6, new PanelBox(0, 2400, -850, 850)));
        Assert.Equal(2 * 2971.2 * Math.Asin(850 / 2971.2), bent.WidthMm, 6);
        Assert.Equal(2 * 2971.2 * Math.Asin(200 / 2971.2), bent.Holes.Single().Final.HeightMm, 6);
    }

    [Fact] // Held against straight lines laid through the skin and met with the lining step by step, written apart
    public void Every_edge_comes_out_where_a_straight_line_through_the_skin_meets_the_lining() =>
        Gen.Select(Gen.Double[1500, 8000], Gen.Double[-400, 400], Gen.Double[60, 500], Gen.Double[5, 60], Gen.Bool)
            .Holds(
                (radius, middle, cut, gap, isFlat) =>
                {
                    double gapMm = isFlat ? gap + 260 : gap;
                    LiningSite site = Roof(radius, Vent(1000, middle, cut));
                    Lining lining = Ceiling(isFlat ? LiningLies.Flat : LiningLies.Bent, gapMm, 4, new PanelBox(0, 2400, -840, 840));
                    LiningHole hole = Plan(site, lining).Holes.Single();
                    double depth = 0.8 + gapMm + 2;
                    (double X, double Z) Skin(double place) => (place, Math.Sqrt((radius * radius) - (place * place)) - radius);
                    (double X, double Z) centre = Skin(middle);
                    double a = Math.Asin(middle / radius);
                    double Met(double beside)
                    {
                        (double x, double z) = (centre.X + (beside * Math.Cos(a)), centre.Z - (beside * Math.Sin(a)));
                        // How far a place on the line is from the lining: halved until it lies on it.
                        double Off(double on)
                        {
                            (double px, double pz) = (x - (on * Math.Sin(a)), z - (on * Math.Cos(a)));
                            return isFlat ? pz + depth : Math.Sqrt((px * px) + ((pz + radius) * (pz + radius))) - (radius - depth);
                        }
                        (double near, double far) = (-200, 600);
                        for (int i = 0; i < 80; i++)
                            _ = Off((near + far) / 2) > 0 ? near = (near + far) / 2 : far = (near + far) / 2;
                        double at = x - (near * Math.Sin(a)),
                            deep = z - (near * Math.Cos(a));
                        return isFlat ? at : (radius - depth) * Math.Atan2(at, deep + radius);
                    }
                    double edge = isFlat ? -840 : -(radius - depth) * Math.Asin(840 / (radius - depth));
                    Assert.Equal(Met(-cut / 2) - edge, hole.Final.TMinMm, 4);
                    Assert.Equal(Met(cut / 2) - edge, hole.Final.TMaxMm, 4);
                },
                cases: 100
            );

    [Fact]
    public void A_hole_that_was_measured_counts_and_what_gets_hot_keeps_its_distance()
    {
        LinedOpening measured = Vent(1000, 0) with { AsCut = new AsCut(404, 402, 399, 401, 560, 560) };
        Assert.Equal(
            (403.0, 400.0),
            (Plan(Roof(null, measured), Ceiling()).Holes[0].Final.WidthMm, Plan(Roof(null, measured), Ceiling()).Holes[0].Final.HeightMm)
        );
        LinedOpening hot = Vent(1000, 0) with { Fitting = Roofs.Vent(100) with { HeatMm = 75 } };
        LiningPlan plan = Plan(Roof(null, hot), Ceiling());
        Assert.Equal(250, plan.Holes[0].Final.WidthMm);
        Assert.Contains(plan.Rows, r => r.Id == "heat-1" && r.Remedy!.Contains("never with wood"));
    }

    [Fact]
    public void Joints_lie_under_ribs_and_clear_of_holes()
    {
        Panel roof = Roofs.Flat();
        Member[] bows = [.. Roofs.Bows(6)];
        // Ribs at 590, 1195, 1800, 2405: the vent stands over the one at 1800, so the next one carries the joint.
        LiningSite site = new(roof, bows, [Vent(1800, 0)], []);
        LiningPlan plan = Plan(site, Ceiling(at: new PanelBox(0, 4200, -600, 600)));
        LiningJoint joint = Assert.Single(plan.Joints);
        Assert.Equal("Bow 4", joint.On);
        Assert.Equal((2405.0 - 1, 4200 - 2405 - 1.0), (plan.Boards[0].LengthMm, plan.Boards[1].LengthMm));
        Assert.DoesNotContain(plan.Rows, r => r.Id == "joints");
        // No rib: in the middle, and a batten behind it.
        LiningPlan bare = Plan(site with { Members = [], Openings = [] }, Ceiling(at: new PanelBox(0, 4200, -600, 600)));
        Assert.Equal(2100, bare.Joints.Single().Line[0].SMm);
        Assert.Contains("batten", bare.Rows.Single(r => r.Id == "joints").Remedy);
    }

    [Fact] // Held against all chains of joints on a raster of 50 mm
    public void No_chain_of_as_many_joints_meets_fewer_holes() =>
        Gen.Select(Gen.Int[13, 60], Gen.Int[8, 24], Gen.Select(Gen.Int[0, 60], Gen.Int[2, 8]).Array[0, 4])
            .Where(x => Math.Ceiling(x.Item1 / (double)x.Item2) <= 4)
            .Holds(
                (length, most, holes) =>
                {
                    (double, double)[] reach = [.. holes.Select(h => (h.Item1 * 50.0, (h.Item1 + h.Item2) * 50.0))];
                    double[] joints = [.. LiningBoards.Joints(length * 50, most * 50, reach, []).Select(l => l.AtMm)];
                    int boards = (int)Math.Ceiling(length / (double)most);
                    Assert.Equal(boards - 1, joints.Length);
                    double[] ends = [0, .. joints, length * 50];
                    Assert.All(ends.Zip(ends.Skip(1)), b => Assert.InRange(b.Second - b.First, 0, (most * 50) + 1e-6));
                    int Crossed(double at) => reach.Count(h => at > h.Item1 + 1e-6 && at < h.Item2 - 1e-6);
                    int Fewest(int from, int left) =>
                        left == 0
                            ? (length - from <= most ? 0 : int.MaxValue / 2)
                            : Enumerable
                                .Range(from + 1, Math.Max(0, Math.Min(from + most, length - 1) - from))
                                .Select(at => Crossed(at * 50) + Fewest(at, left - 1))
                                .DefaultIfEmpty(int.MaxValue / 2)
                                .Min();
                    Assert.True(joints.Sum(Crossed) <= Fewest(0, boards - 1), "Another chain meets fewer holes.");
                },
                cases: 100
            );

    [Fact]
    public void A_hole_over_a_joint_is_a_notch_of_either_board_and_the_area_adds_up()
    {
        LiningPlan plan = Plan(Roof(null, Vent(1200, 700)), Ceiling(at: new PanelBox(0, 2400, -600, 600)));
        BoardHole hole = Assert.Single(plan.Boards[0].Holes);
        Assert.True(hole.IsNotch);
        Assert.Equal(new PanelBox(1000, 1400, 1100, 1200), hole.Box);
        Assert.Contains(plan.Rows, r => r.Title == "Vent runs out over the edge of Ceiling");
        Assert.Equal((2400 * 1200) - (400 * 100), plan.AreaMm2, 3);
    }

    [Fact]
    public void What_it_would_hide_is_mended_first()
    {
        Finding rust = new(
            "Rust at the seam",
            FindingKind.SurfaceRust,
            FindingShape.Point,
            [new(500, 0)],
            ViewedFrom.Inside,
            Severity.Severe,
            new(null, null, null, null),
            FindingState.Open,
            "",
            Tests.Floor.Floors.Day,
            ""
        );
        LiningSite site = Roof(null) with { Findings = [rust] };
        Assert.Equal(JudgementState.Blocked, Plan(site, Ceiling()).Rows[0].State);
        Assert.Contains("Not yet: it would hide Rust at the seam.", Plan(site, Ceiling()).Verdict);
        // Beside it, done or watched, it hides nothing.
        Assert.DoesNotContain(Plan(site, Ceiling(at: new PanelBox(600, 2400, -600, 600))).Rows, r => r.State == JudgementState.Blocked);
        Assert.DoesNotContain(Plan(site with { Findings = [rust with { State = FindingState.Done }] }, Ceiling()).Rows, r =>
            r.State == JudgementState.Blocked
        );
    }

    [Fact]
    public void A_flat_board_needs_room_below_the_skin_and_a_stiff_one_does_not_bend()
    {
        // R 3000 falls 122.9 at 850.
        LiningPlan plan = Plan(Roof(3000), Ceiling(LiningLies.Flat, 100, 6, new PanelBox(0, 2400, -850, 850)));
        Assert.Equal((JudgementState.Blocked, -22.9), (plan.Rows[0].State, plan.Rows[0].Measured));
        Assert.Equal("lining-too-stiff", LiningHoles.Of(Roof(1500), Ceiling(thick: 18)).Problem!.Code);
        Assert.Contains(Plan(Roof(3000), Ceiling(thick: 15)).Rows, r => r.Id == "bends");
        Assert.DoesNotContain(Plan(Roof(3000), Ceiling(thick: 6)).Rows, r => r.Id == "bends");
    }

    [Theory] // Skin 0.8 and board 6: the gap decides
    [InlineData(20, null)]
    [InlineData(40, "End the lining at a frame of 35.2 mm at most, or take less gap.")]
    [InlineData(10, "Pack the frame behind the lining up to 24.2 mm.")]
    public void A_clamped_window_grips_the_finished_wall_or_blocks(double gap, string? remedy)
    {
        Fitting window = Roofs.Vent() with { Clamp = new ClampRange(25, 36), Halves = new Halves(20, 8, 4, [], new RoundedRectangle(410, 410, 20)) };
        LinedOpening opening = Vent(1000, 0) with { Fitting = window, WallMm = 26 };
        Judgement[] rows = [.. Plan(Roof(null, opening), Ceiling(gap: gap)).Rows];
        Judgement clamp = rows.Single(r => r.Id == "clamp-1");
        Assert.Equal(remedy, clamp.Remedy);
        Assert.Equal(remedy is null ? JudgementState.Good : JudgementState.Blocked, clamp.State);
        // 26.8 is what 26 reckons with, within a millimetre; a frame of 410 laps 5 onto a hole of 400.
        Assert.Equal(gap != 20, rows.Any(r => r.Id == "wall-1"));
        Assert.Equal(5, rows.Single(r => r.Id == "cover-1").Measured);
    }

    [Fact]
    public void Two_vents_of_one_name_are_two_holes_and_what_is_not_cut_is_only_begun()
    {
        LiningPlan plan = Plan(Roof(null, Vent(500, 0), Vent(1500, 0, state: OpeningState.Planned)), Ceiling());
        Assert.Equal(2, plan.Holes.Count);
        Assert.Equal("uncut-2", plan.Rows.Single(r => r.Id.StartsWith("uncut", StringComparison.Ordinal)).Id);
        Assert.Empty(Plan(Roof(null, Vent(3000, 0)), Ceiling()).Holes);
    }
}
