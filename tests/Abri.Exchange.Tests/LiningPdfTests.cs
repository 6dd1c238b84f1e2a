using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

/// <summary>The sheets of linings and of the cut plan, read back by poppler.</summary>
public class LiningPdfTests
{
    private static Lining Ceiling(IReadOnlyList<PanelPoint> outline) =>
        new("Ceiling", outline, NewSheet.Usual(BoardMaterial.BirchPly, 6), Grain.Lengthways, 25, LiningLies.Bent, 15, LiningState.Planned, "");

    private static LiningSite Site { get; } =
        new(
            new Panel(PanelKind.Roof, new PanelBox(0, 3000, -850, 850).Corners, 0.8, SkinMaterial.MildSteel),
            [],
            [new LinedOpening("Vent", new PanelPoint(800, 200), 0, TypicalFittings.Of(FittingKind.RoofVent), OpeningState.Fitted, null, null)],
            []
        );

    private static LiningPlan Plan(Lining lining) => LiningHoles.Of(Site, lining).Value!.Result;

    [Fact]
    public void Each_hole_is_printed_from_its_board_s_own_edges_first_and_to_the_line()
    {
        Lining lining = Ceiling(new PanelBox(100, 2100, -600, 600).Corners);
        LiningHole hole = Plan(lining).Holes.Single();
        string text = Poppler.Text(LiningPdf.Write("Heron", lining, Site, Plan(lining), Paper.A4));
        Assert.Contains($"{hole.First.SMinMm:0.#} to {hole.First.SMaxMm:0.#} mm from its front edge", text, StringComparison.Ordinal);
        Assert.Contains($"{hole.Final.TMinMm:0.#} to {hole.Final.TMaxMm:0.#} mm from its right edge", text, StringComparison.Ordinal);
        Assert.Contains("31.8 mm", text, StringComparison.Ordinal);
        Assert.DoesNotContain("Corner A", text, StringComparison.Ordinal);
        // An oblique board is given corner by corner.
        Lining oblique = Ceiling([new(100, -600), new(2100, -600), new(2100, 600), new(300, 600)]);
        Assert.Contains("Corner D", Poppler.Text(LiningPdf.Write("Heron", oblique, Site, Plan(oblique), Paper.A4)), StringComparison.Ordinal);
    }

    [Fact] // A ceiling is seen from below: front at the left, and the vehicle's left at the top of the paper
    public void The_board_is_drawn_as_it_is_seen_from_below()
    {
        Lining lining = Ceiling(new PanelBox(100, 2100, -600, 600).Corners);
        LiningPlan plan = Plan(lining);
        Drawing drawing = LiningDrawing.Of(Site.Panel, plan, plan.Boards[0]);
        double height = plan.Holes[0].Final.TMaxMm;
        // The vent stands left of the middle: above it on paper.
        Assert.Equal(
            height,
            drawing
                .Lines.Where(l => l.Layer == Layer.Cut && l.X1Mm > 1 && l.X1Mm < 1999 && Math.Abs(l.Y1Mm - l.Y2Mm) < 1e-9)
                .Max(l => l.Y1Mm == plan.WidthMm ? 0 : l.Y1Mm),
            6
        );
        // Four rounded corners for the first cut, and four for the hole itself.
        Assert.Equal(4, drawing.Arcs.Count(a => a.Layer == Layer.Cut));
        Assert.Equal(4, drawing.Arcs.Count(a => a.Layer == Layer.Path));
    }

    [Fact]
    public void The_cut_plan_prints_the_fence_of_every_cut_and_its_table_has_a_line_for_each()
    {
        CutQuestion question = new(
            [new CutPiece("Shelf", 1000, 300, 3), new CutPiece("Long board", 2300, 500)],
            [new CutStock("New sheet", 2440, 1220, null)],
            3,
            new CarryHome(1500, 900)
        );
        Worked<CutPlan> plan = BoardCuts.Of(question).Value!;
        var boards = new BoardsToCut(
            [],
            [
                new BoardGroup(
                    BoardMaterial.BirchPly,
                    15,
                    [new BoardPiece(BoardFor.Lining, "a", "Shelf"), new BoardPiece(BoardFor.Lining, "a", "Long board")],
                    question.Stock,
                    [],
                    0,
                    plan
                ),
            ],
            [new BoardsNotReady(BoardFor.Lining, "b", "Ceiling", "It would hide rust: mend it first.")],
            3
        );
        string text = Poppler.Text(BoardCutsPdf.Write("Heron", boards, LengthFormat.Millimetres, Paper.A4));
        CutSheet sheet = plan.Result.Sheets[0];
        foreach (SawCut cut in sheet.Cuts)
            Assert.Contains($"Cut {cut.Number}, {(cut.IsRip ? "rip" : "crosscut")}", text, StringComparison.Ordinal);
        Assert.Contains($"fence at {sheet.Cuts[0].FenceMm:0.#} mm", text, StringComparison.Ordinal);
        Assert.Contains("at the shop", text, StringComparison.Ordinal);
        Assert.Contains("Not in the plan: Ceiling. It would hide rust: mend it first.", text, StringComparison.Ordinal);
        string[] lines = BoardCutsCsv.Write(boards).Split('\n', StringSplitOptions.RemoveEmptyEntries);
        Assert.Equal(1 + plan.Result.Sheets.Sum(s => s.Places.Count + s.Cuts.Count + s.Offcuts.Count), lines.Length);
        Assert.Contains(lines, l => l.Contains("cut,1,", StringComparison.Ordinal) && l.TrimEnd().EndsWith("yes", StringComparison.Ordinal));
    }

    [Fact]
    public void A_sheet_s_drawing_has_each_piece_each_cut_and_its_own_edge()
    {
        CutQuestion question = new([new CutPiece("Shelf", 1000, 300, 2)], [new CutStock("New sheet", 2440, 1220, null)], 3);
        CutSheet sheet = BoardCuts.Of(question).Value!.Result.Sheets[0];
        Drawing drawing = CutSheetDrawing.Of("Sheet", question.Stock[0], sheet);
        Assert.Equal((8, 4), (drawing.Lines.Count(l => l.Layer == Layer.Cut), drawing.Lines.Count(l => l.Layer == Layer.Inner)));
        Assert.Equal(sheet.Cuts.Count, drawing.Lines.Count(l => l.Layer == Layer.Path));
        Assert.Equal(["1", "2"], drawing.Texts.Select(t => t.Text));
        Assert.Equal(new PanelBox(0, 2440, 0, 1220), drawing.Bounds);
    }
}
