using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Tests.Floor;
using Abri.Core.Work;

namespace Abri.Core.Tests.Stages;

/// <summary>What a vehicle's floors show.</summary>
public class FloorOfVehicleTests
{
    private static VehicleSnapshot Van(FloorRecord floor, params Finding[] findings) =>
        Vans.Of([], findings, members: Floors.Van([]).Members, panel: Floors.Van([]).Panel, floor: floor);

    private static Finding Soft(double s) =>
        new(
            "Soft board",
            FindingKind.SoftWood,
            FindingShape.Line,
            [new(s, 0), new(s + 200, 0)],
            ViewedFrom.Inside,
            Severity.Severe,
            new(200, 80, null, 30),
            FindingState.Open,
            "",
            Floors.Day,
            ""
        );

    [Fact]
    public void A_soft_board_waits_until_a_replacement_mends_it_and_then_as_that()
    {
        FloorSpot spot = Assert.Single(FloorOfVehicle.Of(Van(new FloorRecord([], Floors.Van([]).Boards, []), Soft(1000))).Spots);
        Assert.Equal(("f0", 1), (spot.FindingId, spot.Order));
        // A line gets its width, and the sheet is that of the board which lies there.
        Assert.Equal(new PanelBox(960, 1240, -40, 40), PanelBox.Of(spot.Proposal.Area));
        Assert.Equal((BoardMaterial.SoftwoodPly, 18.0), (spot.Proposal.Sheet.Material, spot.Proposal.Sheet.ThickMm));

        VehicleSnapshot planned = Van(new FloorRecord([], [], [spot.Proposal]), Soft(1000));
        FloorOfVehicle floor = FloorOfVehicle.Of(planned);
        Assert.Empty(floor.Spots);
        Assert.Equal((1, JudgementState.NeedsWork), (floor.Replacements[0].Order, floor.Replacements[0].State));
        NextJob next = Assert.Single(WholeShell.Of(planned, Floors.Day).Next);
        Assert.Equal((new Job(JobKind.Replacement, "x0"), "cut out and replace: soft board"), (next.Job, next.What));
        Assert.Equal("Floor: new wood goes in once what made the old wood wet is fixed", next.Why);

        Replacement done = spot.Proposal with { State = ReplacementState.Done, DoneOn = new DateOnly(2026, 6, 2) };
        Assert.Null(FloorOfVehicle.Of(Van(new FloorRecord([], [], [done]), Soft(1000))).Replacements[0].Order);
        Assert.Empty(WholeShell.Of(Van(new FloorRecord([], [], [done]), Soft(1000)), Floors.Day).Next);
    }

    [Fact]
    public void Bad_probes_that_nothing_takes_out_are_offered_cluster_by_cluster()
    {
        FloorRecord floor = new([Floors.Bad(1000, 0), Floors.Bad(1300, 100), Floors.Bad(3500, -500), Floors.Sound(2500, 0)], [], []);
        FloorSpot[] spots = [.. FloorOfVehicle.Of(Van(floor)).Spots];
        Assert.Equal([new PanelBox(975, 1325, -25, 125), new PanelBox(3475, 3525, -525, -475)], spots.Select(s => PanelBox.Of(s.Proposal.Area)));
        Assert.All(spots, s => Assert.Null(s.FindingId));
        Assert.Single(FloorOfVehicle.Of(Van(floor with { Replacements = [spots[0].Proposal] })).Spots);
        // A rotten bearer is bad wood too.
        FloorRecord bearer = new([new Probe(ProbeOf.Member, new PanelPoint(1650, 0), WoodState.Soft, null, Floors.Day, "")], [], []);
        Assert.Single(FloorOfVehicle.Of(Van(bearer)).Spots);
    }

    [Fact]
    public void What_is_blocked_or_lies_off_its_panel_by_now_is_said()
    {
        VehicleSnapshot bare = Vans.Of([], [], panel: Floors.Van([]).Panel, floor: new FloorRecord([], [], [Floors.Area(1000, 1200, 0, 100)]));
        Assert.Equal(JudgementState.Blocked, FloorOfVehicle.Of(bare).Replacements[0].State);
        VehicleSnapshot moved = Van(new FloorRecord([], [], [Floors.Area(9000, 9200, 0, 100)]));
        Assert.Equal("It lies off its panel now: draw it again.", FloorOfVehicle.Of(moved).Replacements[0].Verdict);
    }

    [Fact]
    public void A_deck_is_told_by_its_own_board_and_its_widest_bay_and_a_new_board_is_like_the_old()
    {
        FloorDeck deck = Assert.Single(FloorOfVehicle.Of(Van(new FloorRecord([], Floors.Van([]).Boards, []))).Decks);
        Assert.Equal(("p", 18.0, 650.0), (deck.PanelId, deck.Deck.ThickMm, deck.Deck.SpacingMm));
        Assert.Empty(FloorOfVehicle.Of(Vans.Of([], [], panel: Floors.Van([]).Panel)).Decks);
        VehicleSnapshot van = Van(new FloorRecord([], [Floors.Van([]).Boards[0] with { ThickMm = 12, Notes = "old" }], []));
        Board board = FloorOfVehicle.NewBoard(van, van.Panels[0], "Board 2");
        Assert.Equal(("Board 2", 12.0, ""), (board.Name, board.ThickMm, board.Notes));
    }
}
