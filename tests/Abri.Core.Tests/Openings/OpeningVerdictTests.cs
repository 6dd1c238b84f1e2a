using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Tests.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class OpeningVerdictTests
{
    private static readonly PanelPoint MiddleOfBayB = new(892.5, 0);

    [Fact] // Worked by hand: (545 - 400) / 2 = 72.5 to either bow
    public void In_the_middle_of_a_bay_both_bows_are_72_5_away_and_the_place_is_good()
    {
        Verdict verdict = Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent()), MiddleOfBayB);
        Assert.Equal(JudgementState.Good, verdict.State);
        Assert.Equal((72.5, 72.5), (verdict.Clearances.FrontMm, verdict.Clearances.RearMm));
        Assert.Equal("Bow 1, in front", verdict.Rows.Single(r => r.Id == "clearance-front").Title);
        Assert.Equal(650, verdict.Clearances.TopMm);
    }

    [Fact]
    public void Too_near_a_bow_the_verdict_says_how_far_to_move()
    {
        Verdict verdict = Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent()), MiddleOfBayB.Plus(-40, 0));
        Judgement row = verdict.Rows.Single(r => r.Id == "clearance-front");
        Assert.Equal((JudgementState.Blocked, 32.5), (row.State, row.Measured));
        Assert.Equal("Move 5.5 mm to the rear.", row.Remedy);
        Assert.Equal(JudgementState.Good, Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent()), MiddleOfBayB.Plus(-40 + 5.5, 0)).State);
    }

    [Fact]
    public void Sentences_speak_inches_when_asked()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Lengths: new LengthFormat(UnitSystem.Inch));
        Assert.Equal("Move 3/16\" to the rear.", Judge(site, MiddleOfBayB.Plus(-40, 0)).Rows[0].Remedy);
    }

    [Fact]
    public void A_bow_across_the_cut_out_blocks_in_school_A_and_asks_for_headers_in_school_B()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent());
        var overBow2 = new PanelPoint(1195, 0);
        Assert.Equal(JudgementState.Blocked, Judge(site, overBow2).State);
        Judgement header = Judge(site with { RibInTheWay = RibInTheWay.CutSecondary }, overBow2).Rows[0];
        Assert.Equal(JudgementState.NeedsWork, header.State);
        // From the rear edge of bow 1 at 620 to the front edge of bow 3 at 1770.
        Assert.Equal(1150, header.Measured);
        Assert.Contains("Bow 1 and Bow 3", header.Why);
    }

    [Fact]
    public void A_cut_bow_with_nothing_behind_it_to_land_on_stays_blocked()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(1), Roofs.Vent(), RibInTheWay.CutSecondary);
        Assert.Equal(JudgementState.Blocked, Judge(site, new PanelPoint(590, 0)).State);
    }

    [Theory]
    [InlineData(RibInTheWay.Keep)]
    [InlineData(RibInTheWay.CutSecondary)]
    public void Structure_is_never_cut_in_either_school(RibInTheWay school)
    {
        Member rail = Roofs.Bow("Cant rail", 1000, 1080) with { Kind = MemberKind.CantRail, Role = MemberRole.Structural };
        Verdict verdict = Judge(new Site(Roofs.Flat(), [rail], Roofs.Vent(), school), new PanelPoint(1040, 0));
        Assert.Equal(JudgementState.Blocked, verdict.State);
        Assert.Contains("never cut", verdict.Rows[0].Why);
    }

    [Fact]
    public void A_seam_may_lie_clear_of_the_cut_but_not_under_the_flange()
    {
        Member seam = Roofs.Bow("Cross seam", 1120, 1130) with { Kind = MemberKind.Seam, Role = MemberRole.KeepOut };
        Verdict verdict = Judge(new Site(Roofs.Flat(), [seam], Roofs.Vent(clearanceMm: 10)), MiddleOfBayB);
        Assert.Equal("under-flange-0", verdict.Rows[0].Id);
        Assert.Equal(JudgementState.Blocked, verdict.State);
    }

    [Fact] // Worked by hand: ring 490^2 - 400^2 = 80 100 mm2, ridge on it 2 x 45 x 44 = 3 960 mm2, 8 mm high: 609.12 ml
    public void A_ridge_across_the_flange_needs_the_valleys_filled()
    {
        Verdict verdict = Judge(new Site(Roofs.Flat(), [.. Roofs.Bows(), Roofs.Swage(0)], Roofs.Vent()), MiddleOfBayB);
        Judgement row = verdict.Rows.Single(r => r.Id == "swages");
        Assert.Equal((JudgementState.NeedsWork, 8.0), (row.State, row.Measured));
        Assert.Contains("609 ml", row.Why);
        Assert.Equal("Can be cut, needs bedding", verdict.Summary);
    }

    [Fact] // Worked by hand: a groove 6 deep under both sides of the ring: 3 960 x 6 = 23.76 ml
    public void A_groove_is_filled_itself()
    {
        Judgement row = Judge(new Site(Roofs.Flat(), [Roofs.Swage(0, heightMm: -6)], Roofs.Vent()), MiddleOfBayB).Rows.Single(r => r.Id == "swages");
        Assert.Contains("24 ml", row.Why);
    }

    [Fact] // Circle geometry by hand: R 5000, chord 490 -> 5000 - sqrt(5000^2 - 245^2) = 6.006 mm
    public void A_crowned_roof_is_measured_under_the_flange()
    {
        Judgement row = Judge(new Site(Roofs.Flat() with { ArcRadiusAcrossMm = 5000 }, Roofs.Bows(), Roofs.Vent()), MiddleOfBayB)
            .Rows.Single(r => r.Id == "curvature");
        Assert.Equal(6.006, row.Measured!.Value, 3);
        Assert.Equal(JudgementState.NeedsWork, row.State);
    }

    [Theory] // Facts of the trade: a 40 mm wall; a ring makes up what is missing
    [InlineData(null, JudgementState.NeedsWork)]
    [InlineData(4.0, JudgementState.NeedsWork)]
    [InlineData(40.0, JudgementState.Good)]
    [InlineData(75.0, JudgementState.Blocked)]
    public void A_clamped_fitting_wants_a_wall_within_its_grip(double? wallMm, JudgementState state)
    {
        Fitting clamped = Roofs.Vent() with { Clamp = new ClampRange(25, 60) };
        Judgement row = Judge(new Site(Roofs.Flat(), Roofs.Bows(), clamped, WallMm: wallMm), MiddleOfBayB).Rows.Single(r => r.Id == "clamp");
        Assert.Equal(state, row.State);
    }

    [Fact]
    public void A_heavy_unit_wants_a_bow_in_front_and_one_behind()
    {
        Fitting heavy = Roofs.Vent() with { MassKg = 32 };
        Assert.Equal(JudgementState.Good, Judge(new Site(Roofs.Flat(), Roofs.Bows(), heavy), MiddleOfBayB).State);
        Assert.Equal("carried", Judge(new Site(Roofs.Flat(), Roofs.Bows(1), heavy), MiddleOfBayB).Rows[0].Id);
    }

    [Fact]
    public void A_lid_hinges_towards_the_front_and_must_not_meet_its_neighbour()
    {
        Fitting lid = Roofs.Vent() with { HingeSide = Side.Front, Sweep = PerSide.All(60) };
        var site = new Site(Roofs.Flat(), [], lid, Neighbours: [new Neighbour("Flue", Roofs.Vent(150), new PanelPoint(1300, 0))]);
        Verdict verdict = Judge(site, MiddleOfBayB);
        Assert.Equal(JudgementState.Good, verdict.Rows.Single(r => r.Id == "hinge").State);
        Assert.Equal(JudgementState.NeedsWork, verdict.Rows.Single(r => r.Id == "sweep-Flue").State);
        Assert.Equal(JudgementState.NeedsWork, Judge(site with { TurnDeg = 90 }, MiddleOfBayB).Rows.Single(r => r.Id == "hinge").State);
    }

    [Fact] // The region comes from Minkowski sums, the verdict from measured gaps: two ways to one answer
    public void Verdict_and_feasible_region_agree_everywhere() =>
        Gen.Select(BaysTests.RandomMembers, Gen.Double[0, 4200], Gen.Double[-850, 850], Gen.Double[0, 80].Array[4])
            .Holds(
                (members, s, t, c) =>
                {
                    var site = new Site(Roofs.Flat(), members, Roofs.Vent(240) with { Clearance = new PerSide(c[0], c[1], c[2], c[3]) });
                    Assert.True(RankedPositions.Of(site, []).IsOk(out var found, out _));
                    var centre = new PanelPoint(s, t);
                    bool nearEdge = found.Result.Region.SelectMany(r => r.Rings).Any(ring => Outlines.DistanceToEdgeMm(ring, centre) < 0.05);
                    return nearEdge || found.Result.Region.Any(r => r.Holds(centre)) == (Judge(site, centre).State != JudgementState.Blocked);
                },
                cases: 800
            );

    [Fact]
    public void Every_row_that_is_not_good_says_what_would_mend_it() =>
        Gen.Select(BaysTests.RandomMembers, Gen.Double[0, 4200], Gen.Double[-850, 850])
            .Holds(
                (members, s, t) =>
                    Judge(new Site(Roofs.Flat(), members, Roofs.Vent()), new PanelPoint(s, t))
                        .Rows.All(r => r.State == JudgementState.Good || r.Remedy is not null),
                cases: 200
            );

    [Fact]
    public void A_contradictory_site_is_refused_with_a_pointer()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent() with { Neck = new RoundedRectangle(500, 400, 0) });
        Assert.False(OpeningVerdict.Of(site, MiddleOfBayB).IsOk(out _, out var problem));
        Assert.Equal("/fitting/neck", problem.Pointer);
    }

    private static Verdict Judge(Site site, PanelPoint centre)
    {
        Assert.True(OpeningVerdict.Of(site, centre).IsOk(out var verdict, out var problem), problem?.Message);
        return verdict.Result;
    }
}
