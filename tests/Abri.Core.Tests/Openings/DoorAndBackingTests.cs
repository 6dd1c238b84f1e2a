using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class DoorAndBackingTests
{
    private static readonly Panel Side = new(PanelKind.Right, new PanelBox(0, 4200, 0, 1900).Corners, 0.8, SkinMaterial.GalvanisedSteel);
    private static readonly Panel Door = new(PanelKind.SlidingDoor, new PanelBox(900, 2100, 40, 1780).Corners, 0.8, SkinMaterial.GalvanisedSteel);

    private static readonly Fitting Window = Roofs.Vent() with
    {
        Kind = FittingKind.HingedWindow,
        HingeSide = Abri.Core.Geometry.Side.Top,
        Screws = null,
        Clamp = new ClampRange(20, 40),
        Halves = new Halves(40, 8, 6, [], new RoundedRectangle(480, 480, 30), 15),
    };

    [Fact]
    public void Nothing_is_cut_where_the_sliding_door_hangs()
    {
        Verdict verdict = At(new PanelPoint(1500, 1200));
        Assert.Equal(JudgementState.Blocked, verdict.State);
        Assert.Contains(verdict.Rows, r => r.Id == "door-Sliding door" && r.State == JudgementState.Blocked);
    }

    // Worked by hand: 1200 of door from 900 on open to 3300; a flange of 490 about 2800 begins at 2555, so that the door reaches 745 past its front
    [Fact]
    public void What_the_door_passes_over_asks_for_a_reading_and_says_how_far_to_go()
    {
        Judgement row = At(new PanelPoint(2800, 1200)).Rows.Single(r => r.Id == "door-way-Sliding door");
        Assert.Equal(745, row.Measured!.Value, 6);
        Assert.Contains("745 mm", row.Remedy);
        Assert.Contains("sash", row.Why);
        Assert.DoesNotContain(At(new PanelPoint(2800 + 746, 1200)).Rows, r => r.Id.StartsWith("door-", StringComparison.Ordinal));
    }

    [Fact] // Worked by hand: a rail to 2700 lets the door go 600, to 2700, 145 past the flange's front
    public void The_rail_that_is_drawn_ends_the_way_of_the_door()
    {
        var rail = new Member(
            "Rail",
            MemberKind.SlidingDoorRail,
            MemberRole.KeepOut,
            new Footprint(FootprintShape.Spine, [new(900, 700), new(2700, 700)], 40),
            40
        );
        Assert.Equal(145, At(new PanelPoint(2800, 1200), rail).Rows.Single(r => r.Id == "door-way-Sliding door").Measured!.Value, 6);
    }

    [Fact] // The rule and the region are worked out apart; the region may not offer what the rule forbids, nor leave out what it allows
    public void The_feasible_region_leaves_out_the_door_exactly()
    {
        var site = new Site(Side, [], Window, Doors: [Door]);
        Assert.True(RankedPositions.Of(site, []).IsOk(out Worked<PositionsFound>? found, out _));
        Gen.Select(Gen.Double[300, 3900], Gen.Double[300, 1600])
            .Holds(
                (s, t) =>
                {
                    bool offered = found.Result.Region.Any(part =>
                        Outlines.Encloses(part.Outline, new PanelPoint(s, t))
                        && !part.Holes.Any(hole => Outlines.Encloses(hole, new PanelPoint(s, t)))
                    );
                    return offered == At(new PanelPoint(s, t)).Rows.All(r => r.State != JudgementState.Blocked);
                },
                cases: 300
            );
    }

    [Fact] // Worked by hand: frame 480 about a hole of 400: 40 + 20 = 60 wide, 480 + 40 = 520 long, along top and bottom
    public void Corner_screws_in_lining_alone_ask_for_backing_pieces_with_their_size()
    {
        Judgement row = At(new PanelPoint(3600, 1200)).Rows.Single(r => r.Id == "backing");
        Assert.Equal((JudgementState.NeedsWork, 0.0), (row.State, row.Measured!.Value));
        Assert.Contains("520 mm by 60 mm along the top", row.Remedy);
        Assert.Contains("520 mm by 60 mm along the bottom", row.Remedy);
        Assert.Equal(4, row.Where.Count);
    }

    [Fact]
    public void Ribs_and_furring_hold_screws_and_structure_is_not_drilled()
    {
        // Corner screws at 3600 +- 225 and 1200 +- 225.
        Member rib = Upright("Rib", 3375, MemberRole.Secondary),
            pillar = Upright("Pillar", 3825, MemberRole.Structural) with { Kind = MemberKind.Pillar };
        var furring = new Zone("Furring", ZoneKind.Furring, 3780, 3900, -850, -780, 900, 1500);
        Verdict half = At(new PanelPoint(3600, 1200), rib),
            whole = Judge(new Site(Side, [rib], Window, Zones: [furring]), new PanelPoint(3600, 1200)),
            solid = At(new PanelPoint(3600, 1200), rib, pillar);
        Judgement loose = half.Rows.Single(r => r.Id == "backing");
        Assert.Equal(2, loose.Measured);
        Assert.Contains("top rear corner", loose.Remedy);
        Assert.Equal(JudgementState.Good, whole.Rows.Single(r => r.Id == "backing").State);
        Assert.Contains(solid.Rows, r => r.Id == "screw-Pillar" && r.Why.Contains("not drilled"));
    }

    [Fact]
    public void Corner_screws_in_the_hole_are_refused() =>
        Assert.Equal("/halves/cornerScrewMm", FittingCheck.Of(Window with { Halves = Window.Halves! with { CornerScrewMm = 60 } })!.Pointer);

    [Fact] // By hand: a quarter turn anticlockwise takes what lies to the rear to the top
    public void Screws_turn_with_their_frame()
    {
        Fitting screwed = Window with { Halves = Window.Halves! with { ScrewPlaces = [new(230, 10), new(-230, 0)] } };
        Assert.Null(FittingCheck.Of(screwed));
        Assert.Equal([new PanelPoint(-10, 230), new PanelPoint(0, -230)], screwed.Turned(90).Halves!.ScrewPlaces!);
        Assert.Equal(screwed.Halves.ScrewPlaces, screwed.Turned(90).Turned(270).Halves!.ScrewPlaces);
        Assert.Equal(
            "/halves/screwPlaces/1",
            FittingCheck.Of(Window with { Halves = Window.Halves! with { ScrewPlaces = [new(230, 10), new(0, 0)] } })!.Pointer
        );
    }

    private static Member Upright(string name, double s, MemberRole role) =>
        new(name, MemberKind.SideRib, role, new Footprint(FootprintShape.Spine, [new(s, 100), new(s, 1800)], 40), 40);

    private static Verdict At(PanelPoint centre, params Member[] members) => Judge(new Site(Side, members, Window, Doors: [Door]), centre);

    private static Verdict Judge(Site site, PanelPoint centre)
    {
        Assert.True(OpeningVerdict.Of(site, centre).IsOk(out Worked<Verdict>? verdict, out Problem? problem), problem?.Message);
        return verdict.Result;
    }
}
