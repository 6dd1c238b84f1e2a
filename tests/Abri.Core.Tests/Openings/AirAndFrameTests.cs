using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class AirAndFrameTests
{
    [Fact] // Worked by hand: 120 of two fans through 12 m3 are 10 an hour
    public void The_fan_by_the_galley_draws_and_the_far_one_blows_in()
    {
        AirWay front = new("Front vent", new PanelPoint(900, 0), 120, 4000, true),
            rear = new("Rear vent", new PanelPoint(3900, 0), 150, 4000, true);
        AirPlan plan = Draught.Of([front, rear], [new AirSource("Galley", new PanelPoint(3600, 400))], 12, 7).Value!.Result;
        Assert.Equal(("Rear vent", "Front vent"), (plan.Draws, plan.BlowsIn));
        Assert.Equal(10, plan.AirChangesPerHour, 9);
        Assert.Equal(JudgementState.NeedsWork, plan.State);
        Assert.Contains("low down", plan.Verdict);
        Assert.Null(Draught.Of([], [], 12, 7).Value!.Result.Draws);
    }

    [Fact] // Found at the crossing of the fan's line and the orifice's curve by halving, apart from the closed form
    public void A_fan_and_a_passive_inlet_agree_on_the_flow() =>
        Gen.Select(Gen.Int[20, 1200], Gen.Int[100, 60_000])
            .Holds(
                (fan, area) =>
                {
                    AirPlan plan = Draught
                        .Of([new("Fan", new PanelPoint(500, 0), fan, 0, true), new("Hole", new PanelPoint(4000, 0), 0, area, false)], [], 1, 7)
                        .Value!.Result;
                    (double low, double high) = (0, fan);
                    for (int i = 0; i < 200; i++)
                    {
                        double q = (low + high) / 2,
                            pressure = Draught.ClosedPa * (1 - (q / fan));
                        if (0.6 * area / 1e6 * Math.Sqrt(2 * pressure / 1.2) * 3600 > q)
                            low = q;
                        else
                            high = q;
                    }
                    Assert.Equal(low, plan.AirChangesPerHour, 1e-6);
                    Assert.True(plan.AirChangesPerHour < fan);
                },
                cases: 100
            );

    [Fact] // 45 air changes were promised once
    public void Without_a_way_in_a_fan_moves_nothing()
    {
        AirPlan none = Draught.Of([new("Fan", new PanelPoint(500, 0), 900, 0, true)], [], 10, 7).Value!.Result,
            shut =
                Draught
                    .Of([new("Fan", new PanelPoint(500, 0), 900, 0, true), new("Shut", new PanelPoint(4000, 0), 0, 0, false)], [], 10, 7)
                    .Value!.Result;
        Assert.Equal((0, 0, null), (none.AirChangesPerHour, shut.AirChangesPerHour, shut.BlowsIn));
        Assert.Contains("moves none", none.Verdict);
        Assert.True(
            Draught
                .Of([new("Fan", new PanelPoint(500, 0), 900, 0, true), new("Hole", new PanelPoint(4000, 0), 0, 300, false)], [], 10, 7)
                .Value!.Result.AirChangesPerHour < 0.7
        );
    }

    [Theory] // EN 721, from memory: low is at the floor. A window half way up counts for neither, and was once taken for low
    [InlineData(40, false, true)]
    [InlineData(60, false, true)]
    [InlineData(61, false, false)]
    [InlineData(900, false, false)]
    [InlineData(1539, false, false)]
    [InlineData(1540, true, false)]
    public void What_lies_half_way_up_a_wall_is_neither_high_nor_low(double centre, bool high, bool low)
    {
        Fitting grille = Roofs.Vent(80) with { Kind = FittingKind.Grille, Air = new AirPassage(2500, 0) };
        AirWay way = AirWay.Of("Grille", Roofs.Rectangle(0, 3000, 0, 2000) with { Kind = PanelKind.Left }, grille, new PanelPoint(1000, centre))!;
        Assert.Equal((high, low), (way.High, way.Low));
        Assert.Null(AirWay.Of("None", Roofs.Flat(), Roofs.Vent(), new PanelPoint(1000, 0)));
    }

    [Fact] // EN 721, values from memory: more floor never asks for less
    public void Fixed_ventilation_grows_with_the_floor()
    {
        double[] high = [.. new double[] { 3, 5.1, 10.1, 15.1, 25 }.Select(floor => Draught.Of([], [], 12, floor).Value!.Result.HighNeededMm2)];
        Assert.Equal([7500, 10_000, 12_500, 15_000, 20_000], high);
    }

    [Fact] // Worked by hand: 60 - 1100 tan 0.4 degrees = 52.32
    public void A_sill_in_a_tapering_wall_is_deeper_at_one_end()
    {
        Assert.Equal(52.32, SillTaper.Of(1100, 0.4, 60, LengthFormat.Millimetres).Value!.Result.RearMm, 2);
        Assert.Contains("parallel", SillTaper.Of(1100, 0, 60, LengthFormat.Millimetres).Value!.Result.Verdict);
        Assert.Equal("sill-negative", SillTaper.Of(1100, 5, 60, LengthFormat.Millimetres).Problem!.Code);
    }

    [Fact] // Property: what is planed off and the surface add up to the same height all along a side
    public void A_scribed_blank_meets_the_underside_everywhere() =>
        Gen.Select(Gen.Int[-5, 5], Gen.Int[20, 90], Gen.Double[2, 14], Gen.Bool)
            .Holds(
                (at, width, height, curved) =>
                {
                    Panel roof = Roofs.Flat() with { ArcRadiusAcrossMm = curved ? 4000 : null };
                    Member[] swages = [Roofs.Swage(at * 40, width, height), Roofs.Swage((at * 40) + 150, width, height)];
                    var centre = new PanelPoint(2000, 0);
                    FramePlan plan = InnerFrame.Of(new Site(roof, swages, Roofs.Vent()), centre).Value!.Result;
                    Surface surface = Surface.Of(roof, swages);
                    return plan.Sides.All(side =>
                    {
                        bool along = side.Side is Side.Top or Side.Bottom;
                        double middle = side.Side is Side.Rear or Side.Top ? 222.5 : -222.5;
                        double[] sums =
                        [
                            .. side.Places.Select(p =>
                                p.CutMm
                                + surface.HeightAt(
                                    along ? new PanelPoint(2000 - 245 + p.AlongMm, middle) : new PanelPoint(2000 + middle, -245 + p.AlongMm)
                                )
                            ),
                        ];
                        return sums.Max() - sums.Min() < 0.02
                            && side.Places.Min(p => p.CutMm) < 0.01
                            && plan.ThickMm >= side.MostMm + InnerFrame.LeastLeftMm - 1e-9;
                    });
                },
                cases: 60
            );

    [Fact] // Worked by hand: bows at 560 and 1770, clear 1770 - 620 = 1150, 45 x 70 with landings of 2 x 70 at both ends
    public void Over_a_cut_bow_the_frame_becomes_its_header()
    {
        Member[] bows = Roofs.Bows(3);
        var site = new Site(Roofs.Flat(), bows, Roofs.Vent(clearanceMm: 0), RibInTheWay.CutSecondary);
        var over = new PanelPoint(1195, 0);
        FrameHeader header = Assert.Single(InnerFrame.Of(site, over).Value!.Result.Headers);
        Assert.Equal((1150, 1430), (header.ClearMm, header.Size?.LengthMm));
        Assert.Equal(["Bow 2"], header.Bows);
        Assert.Equal(["Bow 1", "Bow 3"], header.Onto);
        Assert.Empty(InnerFrame.Of(site with { RibInTheWay = RibInTheWay.Keep }, over).Value!.Result.Headers);
    }

    [Fact]
    public void Two_bows_cut_between_the_same_neighbours_share_one_pair_of_headers()
    {
        Member[] bows = [Roofs.Bow("Bow 1", 500, 560), Roofs.Bow("Bow 2", 900, 960), Roofs.Bow("Bow 3", 1150, 1210), Roofs.Bow("Bow 4", 1600, 1660)];
        FrameHeader header = Assert.Single(
            InnerFrame
                .Of(new Site(Roofs.Flat(), bows, Roofs.Vent(clearanceMm: 0), RibInTheWay.CutSecondary), new PanelPoint(1055, 0))
                .Value!.Result.Headers
        );
        Assert.Equal(["Bow 2", "Bow 3"], header.Bows);
        Assert.Equal((1040, 1320), (header.ClearMm, header.Size?.LengthMm));
    }

    [Fact] // Worked by hand: 1100 tan 0.4 degrees = 7.68
    public void A_window_in_a_tapering_wall_says_how_its_sill_is_cut()
    {
        Panel wall = Roofs.Rectangle(0, 4000, 0, 1900) with { Kind = PanelKind.Left, TaperDeg = 0.4 };
        Fitting window = Roofs.Vent() with
        {
            Kind = FittingKind.HingedWindow,
            CutOut = new RoundedRectangle(1100, 400, 20),
            Neck = new RoundedRectangle(1096, 396, 18),
            Flange = new RoundedRectangle(1190, 490, 30),
        };
        Judgement Row(Panel panel) =>
            OpeningVerdict.Of(new Site(panel, [], window), new PanelPoint(2000, 1000)).Value!.Result.Rows.SingleOrDefault(r => r.Id == "sill")!;
        Assert.Equal(7.68, Row(wall).Measured!.Value, 2);
        Assert.Contains("92.3 mm at the rear", Row(wall).Why);
        Assert.Null(Row(wall with { TaperDeg = 0 }));
    }

    [Fact] // 38 mm: common practice, no source
    public void A_rib_that_is_cut_is_cut_back_and_structure_never_is()
    {
        SettingOutSheet Sheet(MemberRole role, RibInTheWay school) =>
            SettingOut
                .Of(
                    new Site(Roofs.Flat(), [Roofs.Bow("Bow", 1165, 1225, role)], Roofs.Vent(), school),
                    new PanelPoint(1195, 0),
                    new Marking(ViewedFrom.Inside, 0, 12, CutSize.WasteSide)
                )
                .Value!.Result;
        IReadOnlyList<RibTrim> trims = Sheet(MemberRole.Secondary, RibInTheWay.CutSecondary).Trims;
        Assert.Equal([-238, 238], trims.Select(t => t.From.TMm).Order());
        Assert.All(trims, t => Assert.Equal((38, 60), (t.BackMm, t.To.SMm - t.From.SMm)));
        Assert.Empty(Sheet(MemberRole.Secondary, RibInTheWay.Keep).Trims);
        Assert.Empty(Sheet(MemberRole.Structural, RibInTheWay.CutSecondary).Trims);
    }

    [Fact] // Worked by hand: a gap of 8 over 200 mm, tape squeezed to 5: one strip of 200 + 2 x 15 below the layer that goes round
    public void Tape_is_planned_from_gaps_alone()
    {
        SeatPlace[] places = [.. Enumerable.Range(0, 50).Select(i => new SeatPlace(i * 10, i is >= 15 and < 35 ? 0 : 8, 8))];
        TapeList list = TapePlan.Of([new SeatSide(Side.Front, 490, places, 8)], BeddingTape.Usual, LengthFormat.Millimetres).Value!.Result;
        TapeStrip below = Assert.Single(list.Strips, s => s.Layer == 1);
        Assert.Equal((135, 230), (below.FromMm, below.LengthMm));
        Assert.Equal(2, list.Layers);
        Assert.Equal(list.Strips.Sum(s => s.LengthMm), list.TapeMm);
        Assert.Equal(
            "negative-gap",
            TapePlan.Of([new SeatSide(Side.Front, 490, [new SeatPlace(0, 8, 3)], 0)], BeddingTape.Usual, LengthFormat.Millimetres).Problem!.Code
        );
    }

    // Each strip drawn as a rectangle on its side: no two of a layer meet, none reaches past the flange or into the hole, and the last layer covers
    // the ring
    [Fact]
    public void No_strip_is_longer_than_its_side_nor_laid_twice_at_a_corner() =>
        Gen.Select(Gen.Int[60, 1400], Gen.Int[60, 1400], Gen.Int[8, 80], Gen.Int[8, 80], Gen.Int[10, 60], Gen.Int[20, 120], Gen.Double[0, 25])
            .Select((w, h, s, t, tape, thick, gap) => (w, h, (s, t), tape, thick / 10d, gap))
            .Holds(
                (w, h, land, tapeMm, thick, gap) =>
                {
                    var tape = new BeddingTape(tapeMm, thick, 0.5);
                    var flange = new PanelBox(0, w + (2 * land.s), 0, h + (2 * land.t));
                    SeatSide Along(Side side)
                    {
                        bool along = side is Side.Top or Side.Bottom;
                        double length = along ? flange.WidthMm : flange.HeightMm;
                        return new SeatSide(
                            side,
                            length,
                            [.. Enumerable.Range(0, 21).Select(i => new SeatPlace(length * i / 20, 0, i is > 4 and < 12 ? gap : gap / 3))],
                            gap,
                            along ? land.t : land.s
                        );
                    }
                    SeatSide[] sides = [.. Enum.GetValues<Side>().Select(Along)];
                    Result<Worked<TapeList>> asked = TapePlan.Of(sides, tape, LengthFormat.Millimetres);
                    if (asked.Problem is { } problem)
                    {
                        Assert.True(gap > TapePlan.MostLayers * thick * 0.5, problem.Message);
                        return;
                    }
                    TapeList list = asked.Value!.Result;
                    PanelBox Laid(TapeStrip x) =>
                        x.Side switch
                        {
                            Side.Front => new PanelBox(0, x.WidthMm, x.FromMm, x.FromMm + x.LengthMm),
                            Side.Rear => new PanelBox(flange.SMaxMm - x.WidthMm, flange.SMaxMm, x.FromMm, x.FromMm + x.LengthMm),
                            Side.Top => new PanelBox(x.FromMm, x.FromMm + x.LengthMm, flange.TMaxMm - x.WidthMm, flange.TMaxMm),
                            _ => new PanelBox(x.FromMm, x.FromMm + x.LengthMm, 0, x.WidthMm),
                        };
                    var hole = new PanelBox(land.s, land.s + w, land.t, land.t + h);
                    foreach (IGrouping<int, PanelBox> layer in list.Strips.GroupBy(x => x.Layer, Laid))
                    {
                        PanelBox[] laid = [.. layer];
                        for (int i = 0; i < laid.Length; i++)
                        {
                            Assert.True(
                                flange.Grown(1e-6).Holds(laid[i].Corners[0]) && flange.Grown(1e-6).Holds(laid[i].Corners[2]),
                                $"{laid[i]} reaches past the flange"
                            );
                            Assert.True(
                                laid[i].Shared(hole).AreaMm2 < 1e-3 || laid[i].Shared(hole) is not { WidthMm: > 1e-6, HeightMm: > 1e-6 },
                                $"{laid[i]} reaches into the hole"
                            );
                            for (int j = 0; j < i; j++)
                                Assert.False(laid[i].Grown(-1e-6).Overlaps(laid[j]), $"{laid[i]} and {laid[j]} lie on one another");
                        }
                    }
                    double ws = Math.Min(tapeMm, land.s),
                        wt = Math.Min(tapeMm, land.t),
                        covered = list.Strips.Where(x => x.Layer == list.Layers).Sum(x => x.LengthMm * x.WidthMm);
                    Assert.Equal(
                        (flange.WidthMm * flange.HeightMm) - ((flange.WidthMm - (2 * ws)) * (flange.HeightMm - (2 * wt))),
                        covered,
                        tolerance: 4 * tapeMm
                    );
                    Assert.Equal(list.Strips.Sum(x => x.LengthMm * x.WidthMm) * thick / 1000, list.TapeMl, 6);
                    Assert.Equal(ws < tapeMm || wt < tapeMm, list.Advice.Length > 0);
                },
                cases: 150
            );

    [Fact]
    public void Screws_lie_evenly_round_the_frame() =>
        Gen.Select(Gen.Int[200, 1200], Gen.Int[200, 900], Gen.Int[4, 40])
            .Holds(
                (w, h, n) =>
                {
                    IReadOnlyList<PanelPoint> screws = TighteningOrder.Around(new RoundedRectangle(w, h, 20), n);
                    return screws.Count == n
                        && screws.Distinct().Count() == n
                        && screws.All(p => Math.Abs(Math.Max(Math.Abs(p.SMm) / (w / 2.0), Math.Abs(p.TMm) / (h / 2.0)) - 1) < 1e-9)
                        && (n % 2 == 1 || (Math.Abs(screws.Sum(p => p.SMm)) < 1e-6 && Math.Abs(screws.Sum(p => p.TMm)) < 1e-6));
                },
                cases: 100
            );
}
