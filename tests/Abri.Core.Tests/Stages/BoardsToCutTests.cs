using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Tests.Floor;
using Abri.Core.Work;

namespace Abri.Core.Tests.Stages;

/// <summary>Linings of a vehicle, and the boards that they and replacements still need.</summary>
public class BoardsToCutTests
{
    private static Lining Ceiling(string name, PanelBox at, LiningState state = LiningState.Planned, double thick = 15) =>
        new(name, at.Corners, NewSheet.Usual(BoardMaterial.SoftwoodPly, thick), Grain.Lengthways, 25, LiningLies.Bent, 15, state, "");

    private static VehicleSnapshot Van(
        IReadOnlyList<Lining> linings,
        IReadOnlyList<Replacement> replacements,
        IReadOnlyList<StockBoard>? stock = null,
        params Finding[] findings
    ) =>
        Vans.Of(
            [],
            findings,
            members: Floors.Van([]).Members,
            panel: Floors.Van([]).Panel,
            floor: new FloorRecord([], Floors.Van([]).Boards, replacements, linings),
            stock: stock
        );

    private static Finding Rust(double s, FindingKind kind = FindingKind.SurfaceRust) =>
        new(
            "Rust",
            kind,
            FindingShape.Point,
            [new(s, 0)],
            ViewedFrom.Inside,
            Severity.Minor,
            new(null, null, null, null),
            FindingState.Open,
            "",
            Floors.Day,
            ""
        );

    [Fact]
    public void Boards_of_one_material_and_thickness_lie_together_whatever_they_are_for()
    {
        VehicleSnapshot van = Van(
            [Ceiling("Lining", new PanelBox(2400, 3400, -300, 300), thick: 18), Ceiling("Thin", new PanelBox(0, 900, -300, 300), thick: 6)],
            [Floors.Area(1180, 1300, -200, 200)]
        );
        BoardsToCut boards = BoardsToCut.Of(van, 3, null);
        Assert.Equal([6.0, 18.0], boards.Groups.Select(g => g.ThickMm));
        BoardGroup thick = boards.Groups[1];
        Assert.Equal(["Soft board: New board", "Lining"], thick.Pieces.Select(p => p.Name));
        Assert.Equal([BoardFor.Replacement, BoardFor.Lining], thick.Pieces.Select(p => p.For));
        Assert.Equal((1, 0), (thick.Plan.Result.Bought, thick.Plan.Result.Left.Count));
        // What is done, sawn or up needs no board any more.
        VehicleSnapshot done = Van(
            [Ceiling("Lining", new PanelBox(2400, 3400, -300, 300), LiningState.Cut)],
            [Floors.Area(1180, 1300, -200, 200) with { BoardsCut = true }]
        );
        Assert.Empty(BoardsToCut.Of(done, 3, null).Groups);
    }

    [Fact]
    public void Grain_decides_how_a_board_lies_on_its_sheet()
    {
        BoardsToCut boards = BoardsToCut.Of(Van([Ceiling("Lining", new PanelBox(0, 600, -500, 500)) with { Grain = Grain.Across }], []), 3, null);
        CutPlace place = boards.Groups.Single().Plan.Result.Sheets.Single().Places.Single();
        // Sixty centimetres front to rear, a metre across: the metre lies along the sheet.
        Assert.Equal((1000.0, 600.0), (place.LengthMm, place.WidthMm));
    }

    [Fact]
    public void What_is_there_is_used_and_its_rest_kept_under_its_name()
    {
        StockBoard shelf = new("Old shelf", BoardMaterial.SoftwoodPly, 15, 1500, 700, 2, "");
        BoardsToCut boards = BoardsToCut.Of(
            Van([Ceiling("Lining", new PanelBox(0, 1000, -300, 300))], [], [shelf, shelf with { ThickMm = 12 }]),
            3,
            null
        );
        BoardGroup group = boards.Groups.Single();
        Assert.Equal(["stock0"], group.StockIds);
        Assert.Equal(0, group.Plan.Result.Bought);
        StockBoard rest = group.Offcuts().Single();
        Assert.Equal(("Offcut of old shelf", 1, 497.0, 700.0, 15.0), (rest.Name, rest.Count, rest.LengthMm, rest.WidthMm, rest.ThickMm));
    }

    [Fact]
    public void What_the_rules_block_is_named_and_not_laid_out()
    {
        VehicleSnapshot van = Van([Ceiling("Lining", new PanelBox(0, 1000, -300, 300))], [], null, Rust(500));
        BoardsToCut boards = BoardsToCut.Of(van, 3, null);
        Assert.Empty(boards.Groups);
        Assert.StartsWith("It would hide Rust: Fix it first", boards.NotReady.Single().Why, StringComparison.Ordinal);
        LiningLine line = LiningsOfVehicle.Of(van).Linings.Single();
        Assert.Equal(JudgementState.Blocked, line.State);
        // A dent goes on being a dent.
        VehicleSnapshot dented = Van([Ceiling("Lining", new PanelBox(0, 1000, -300, 300))], [], null, Rust(500, FindingKind.Dent));
        Assert.Single(BoardsToCut.Of(dented, 3, null).Groups);
        Assert.Equal(JudgementState.NeedsWork, LiningsOfVehicle.Of(dented).Linings.Single().State);
    }

    [Fact]
    public void A_job_s_boards_stay_in_one_plan()
    {
        // 9 boards each: six jobs of them are 54, the seventh waits as a whole.
        Lining Strips(int i) =>
            Ceiling($"Strips {i}", new PanelBox(0, 4000, -800, 800)) with
            {
                Sheet = new NewSheet(BoardMaterial.Planks, 15, 1400, 600),
            };
        BoardGroup group = BoardsToCut.Of(Van([.. Enumerable.Range(0, 7).Select(Strips)], []), 3, null).Groups.Single();
        Assert.Equal((54, 9), (group.Pieces.Count, group.Later));
        Assert.Equal(6, group.Pieces.Select(p => p.OwnerId).Distinct().Count());
    }

    [Fact]
    public void A_new_lining_begins_all_over_its_panel_and_like_the_last_one()
    {
        VehicleSnapshot van = Van([Ceiling("Lining", new PanelBox(0, 1000, -300, 300), LiningState.Fixed) with { GapMm = 40 }], []);
        Lining made = LiningsOfVehicle.New(van, van.Panels[0], "Next");
        Assert.Equal(("Next", 40.0, LiningState.Planned), (made.Name, made.GapMm, made.State));
        Assert.Equal(van.Panels[0].Value.Outline, made.Outline);
        Lining first = LiningsOfVehicle.New(Van([], []), van.Panels[0], "First");
        Assert.Equal((25.0, Lining.UsualUndersizeMm), (first.GapMm, first.UndersizeMm));
    }
}
