using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Openings.Seating;
using Abri.Core.Openings.Together;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Tests.Openings;

/// <summary>What burns near a flue, what its fumes come in by, and what lies below a new flange.</summary>
public class HeatAndFindingsTests
{
    private static readonly Fitting Flue = Roofs.Vent(150) with { Kind = FittingKind.Flue, HeatMm = 100 };
    private static readonly PanelPoint Middle = new(892.5, 0);

    private static Verdict Judge(Site site, PanelPoint centre) => OpeningVerdict.Of(site, centre).Value!.Result;

    [Theory] // The hole's edge lies at t 75: what begins at 175 is 100 away
    [InlineData(175, true, JudgementState.Good)]
    [InlineData(174, true, JudgementState.Blocked)]
    [InlineData(174, null, JudgementState.NeedsWork)]
    [InlineData(174, false, JudgementState.Good)]
    public void Insulation_that_burns_keeps_its_distance_from_a_flue(double from, bool? burns, JudgementState state)
    {
        var cover = new SiteCover("Foam above the bench", new PanelBox(600, 1200, from, 700), burns);
        Judgement row = Judge(new Site(Roofs.Flat(), Roofs.Bows(), Flue, Covers: [cover]), Middle)
            .Rows.Single(r => r.Id.StartsWith("heat", StringComparison.Ordinal));
        Assert.Equal(state, row.State);
    }

    [Theory] // Cut-outs of 150 and 400: edge to edge is centre to centre less 275
    [InlineData(775, null, JudgementState.Good)]
    [InlineData(774, null, JudgementState.Blocked)]
    [InlineData(875, 600.0, JudgementState.Good)]
    [InlineData(874, 600.0, JudgementState.Blocked)]
    public void Fumes_keep_their_distance_whichever_of_the_two_is_placed(double apart, double? sheet, JudgementState state)
    {
        Fitting flue = Flue with { MouthMm = sheet };
        PanelPoint there = new(1000, -300),
            here = there.Plus(apart, 0);
        Judgement flueFirst = Judge(new Site(Roofs.Flat(), [], flue, Neighbours: [new Neighbour("Vent", Roofs.Vent(), there)]), here)
                .Rows.Single(r => r.Id == "mouth-Vent"),
            ventFirst = Judge(new Site(Roofs.Flat(), [], Roofs.Vent(), Neighbours: [new Neighbour("Stove", flue, there)]), here)
                .Rows.Single(r => r.Id == "mouth-Stove");
        Assert.Equal((state, state), (flueFirst.State, ventFirst.State));
        Assert.Equal(sheet ?? FlueRules.UsualMouthMm, flueFirst.Required);
    }

    [Theory] // A sliding door in the same wall is opened too: beside it 500 are kept, and never below
    [InlineData(1225, -1000, false)]
    [InlineData(800, 0, false)]
    [InlineData(2576, 0, true)]
    public void A_sliding_door_lets_fumes_in(double s, double t, bool good)
    {
        Panel wall = Roofs.Rectangle(0, 4000, -1500, 1500) with { Kind = PanelKind.Left },
            door = Roofs.Rectangle(1000, 2000, -700, 900) with { Kind = PanelKind.SlidingDoor, Faces = Facing.Left };
        Judgement row = Judge(new Site(wall, [], Flue, Doors: [door]), new(s, t)).Rows.Single(r => r.Id == "mouth-Sliding door");
        Assert.Equal(good ? JudgementState.Good : JudgementState.Blocked, row.State);
    }

    [Fact]
    public void A_pane_that_never_opens_lets_no_fumes_in()
    {
        Fitting glass = Roofs.Vent() with { Kind = FittingKind.BondedWindow, Screws = null, Bonded = new Bonded(Pane.Glass, 18) };
        Assert.DoesNotContain(
            Judge(new Site(Roofs.Flat(), [], Flue, Neighbours: [new Neighbour("Pane", glass, new(1000, 0))]), new(1400, 0)).Rows,
            r => r.Id.StartsWith("mouth", StringComparison.Ordinal)
        );
    }

    [Theory] // On a wall fumes rise: 1000 below the window they come in, 1000 above it and 600 beside it they do not
    [InlineData(0, -1000, false)]
    [InlineData(0, 1000, true)]
    [InlineData(-875, 0, true)]
    [InlineData(-774, -1000, false)]
    [InlineData(-776, -1000, true)]
    public void On_a_wall_a_mouth_never_lies_below_what_can_be_open(double s, double t, bool good)
    {
        Panel wall = Roofs.Rectangle(0, 4000, -1500, 1500) with { Kind = PanelKind.Left };
        Fitting window = Roofs.Vent() with { Kind = FittingKind.Grille };
        Judgement row = Judge(new Site(wall, [], Flue, Neighbours: [new Neighbour("Grille", window, new(2000, 0))]), new(2000 + s, t))
            .Rows.Single(r => r.Id == "mouth-Grille");
        Assert.Equal(good ? JudgementState.Good : JudgementState.Blocked, row.State);
    }

    [Fact]
    public void Placed_together_a_flue_and_a_vent_keep_their_distance_and_the_verdict_agrees()
    {
        Panel roof = Roofs.Flat(2400);
        Wish[] wishes = [new(WishKind.Level, 1, AtMm: 0)];
        var site = new TogetherSite(
            roof,
            [],
            [new TogetherFitting("Vent", Roofs.Vent(), wishes, 0), new TogetherFitting("Flue", Flue, wishes, 0)],
            RibInTheWay.Keep
        );
        TogetherPlan answer = PlacingTogether.Of(site).Value!.Result;
        Assert.Null(answer.Conflict);
        PanelPoint vent = answer.Places.Single(p => p.Name == "Vent").Centre,
            flue = answer.Places.Single(p => p.Name == "Flue").Centre;
        Assert.Equal(
            JudgementState.Good,
            Judge(new Site(roof, [], Flue, Neighbours: [new Neighbour("Vent", Roofs.Vent(), vent)]), flue)
                .Rows.Single(r => r.Id == "mouth-Vent")
                .State
        );
        // On a roof of a metre there is no room for that, and it says so.
        TogetherConflict clash = PlacingTogether.Of(site with { Panel = Roofs.Rectangle(0, 1100, -420, 420) }).Value!.Result.Conflict!;
        Assert.Contains("fumes", clash.Because);
    }

    [Fact]
    public void A_flue_without_a_distance_and_a_mouth_without_a_flue_are_refused()
    {
        Judgement none = Judge(new Site(Roofs.Flat(), [], Flue with { HeatMm = 0 }), Middle).Rows.Single(r => r.Id == "heat-distance");
        Problem odd = OpeningVerdict.Of(new Site(Roofs.Flat(), [], Roofs.Vent() with { MouthMm = 300 }), Middle).Problem!;
        Assert.Equal(JudgementState.Blocked, none.State);
        Assert.Contains("appliance's sheet", none.Remedy);
        Assert.Equal("mouth-without-flue", odd.Code);
    }

    private static Finding Found(FindingKind kind, FindingShape shape, params PanelPoint[] points) =>
        new(
            "Thing",
            kind,
            shape,
            points,
            ViewedFrom.Outside,
            Severity.Moderate,
            new FindingMeasures(null, null, null, null),
            FindingState.Open,
            "Ada",
            DateTimeOffset.UnixEpoch,
            ""
        );

    [Theory] // Flange 490, hole 400 about (892.5, 0): the land lies from 200 to 245 of the middle
    [InlineData(FindingKind.Pitting, 240, true)]
    [InlineData(FindingKind.Pitting, 251, false)]
    [InlineData(FindingKind.Dent, 206, true)]
    [InlineData(FindingKind.Dent, 190, false)] // goes with the piece
    [InlineData(FindingKind.Stain, 240, false)] // lies inside
    public void What_lies_below_a_new_flange_is_mended_before(FindingKind kind, double off, bool told)
    {
        Finding finding = Found(kind, FindingShape.Point, Middle.Plus(0, off));
        Verdict verdict = Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Findings: [finding]), Middle);
        Assert.Equal(told, verdict.Rows.Any(r => r.Id == "finding-0" && r.State == JudgementState.NeedsWork && r.Remedy!.Contains("before the cut")));
        Assert.DoesNotContain(
            Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Findings: [finding with { State = FindingState.Done }]), Middle).Rows,
            r => r.Id == "finding-0"
        );
    }

    [Fact] // A seam of which only a part lies below it, and dents all round it, count; one that the hole takes with it does not
    public void Lines_and_areas_below_a_flange_count_by_what_lies_on_its_land()
    {
        bool Told(Finding f) => Judge(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Findings: [f]), Middle).Rows.Any(r => r.Id == "finding-0");
        Assert.True(Told(Found(FindingKind.CrackedSealant, FindingShape.Line, new(100, 230), new(4000, 230))));
        Assert.True(Told(Found(FindingKind.Dent, FindingShape.Area, [.. new PanelBox(300, 1500, -400, 400).Corners])));
        Assert.False(Told(Found(FindingKind.Dent, FindingShape.Area, [.. new PanelBox(800, 900, -50, 50).Corners])));
    }

    [Theory] // Worked by hand: crown across 4000: 490 wide stands off 7.5 mm along left and right; curved along: along front and rear
    [InlineData(null, 4000.0, "left and right edges stand off all along, the front and rear ones at their ends")]
    [InlineData(4000.0, null, "front and rear edges stand off all along, the left and right ones at their ends")]
    public void A_crown_says_where_the_flange_stands_off_and_the_seat_agrees(double? along, double? across, string says)
    {
        Panel crown = Roofs.Flat() with { ArcRadiusAlongMm = along, ArcRadiusAcrossMm = across };
        var site = new Site(crown, [], Roofs.Vent());
        Judgement row = Judge(site, new(2000, 0)).Rows.Single(r => r.Id == "curvature");
        Assert.Contains(says, row.Why);
        // The resting plane: the least gap of an edge that stands off all along is more than the least of one that does so at its ends.
        Seat seat = FlangeSeat.Of(site, new(2000, 0), null).Value!.Result;
        double Least(Side side) => seat.Sides.Single(x => x.Side == side).Places.Min(p => p.FrameMm - p.SkinMm);
        Assert.Equal(across is not null, Least(Side.Top) > Least(Side.Front) + 1);
        Assert.Equal(across is not null, Least(Side.Bottom) > Least(Side.Rear) + 1);
    }

    [Theory] // As wide as the land takes it; 3 mm where half of it fills the gap, 10 mm where valleys are filled
    [InlineData(45, 0, 40, 3)]
    [InlineData(45, 1.5, 40, 3)]
    [InlineData(45, 1.6, 40, 10)]
    [InlineData(29, 0, 25, 3)]
    [InlineData(10, 8, 15, 10)]
    public void Bedding_tape_is_as_wide_as_its_land_and_as_thick_as_its_gap(double land, double gap, double wide, double thick)
    {
        BeddingTape tape = BeddingTape.For(land, gap);
        Assert.Equal((wide, thick), (tape.WidthMm, tape.ThickMm));
    }
}
