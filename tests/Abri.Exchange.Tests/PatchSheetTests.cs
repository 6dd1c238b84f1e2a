using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Shell;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

/// <summary>The sheets of a patch, measured.</summary>
public class PatchSheetTests
{
    /// <summary>An irregular outline over a rib, on a wall.</summary>
    private static PatchPlan Plan(HoleShape shape, params PatchSide[] sides) =>
        Patch
            .Of(
                new PatchSite(
                    new Panel(PanelKind.Right, new PanelBox(0, 2000, 0, 1500).Corners, 1, SkinMaterial.MildSteel),
                    [
                        new Member(
                            "Rib",
                            MemberKind.SideRib,
                            MemberRole.Secondary,
                            new Footprint(FootprintShape.Spine, [new(1000, 0), new(1000, 1500)], 30),
                            40
                        ),
                    ],
                    [new(960, 700), new(1030, 690), new(1045, 730), new(1000, 760), new(955, 735)],
                    PatchDesign.Usual(1) with
                    {
                        Shape = shape,
                        Sides = sides,
                    }
                )
            )
            .Value!.Result;

    [Fact] // Rastered by poppler at ten points to the millimetre: the cut line left and right of the blank's middle, on one row of points
    public void The_blank_is_printed_at_one_to_one()
    {
        PatchPlan plan = Plan(HoleShape.SquareRectangle, new PatchSide(Side.Bottom, null, null, [new Fold(FoldTo.Inside, 90, 1, 20)]));
        Drawing drawing = PatchDrawing.Blank("Patch", Facing.Right, plan, LengthFormat.Millimetres);
        byte[] pdf = OpeningPdf.Write("Van", drawing, LengthFormat.Millimetres, Paper.A3);
        Tile tile = Assert.Single(OpeningPdf.TilingOn(Paper.A3, drawing).Tiles);
        (int width, _, byte[] grey) = Poppler.Raster(pdf, 1);
        // 12 mm above the middle, off rivets and words.
        double level = 12.3;
        int row = (int)Math.Round((8 + tile.Area.TMaxMm - level) * 10);
        double half = plan.Blank.WidthMm / 2;
        double[] found =
        [
            .. Enumerable
                .Range(85, width - 170)
                .Where(x => grey[(row * width) + x] is > 60 and < 140)
                .Select(x => (x / 10.0) - 8 + tile.Area.SMinMm)
                .Where(x => Math.Abs(Math.Abs(x) - half) < 2),
        ];
        Assert.Equal(plan.Blank.WidthMm, found.Where(x => x > 0).Average() - found.Where(x => x < 0).Average(), 0.15);
    }

    [Fact] // A wall on the right seen from outside has the front at the right: what is towards the rear is drawn at the left
    public void Both_sheets_are_seen_from_outside()
    {
        PatchSide rear = new(Side.Rear, null, 60, [new Fold(FoldTo.Inside, 90, 1, 20)]);
        PatchPlan plan = Plan(HoleShape.SquareRectangle, rear);
        Drawing blank = PatchDrawing.Blank("Patch", Facing.Right, plan, LengthFormat.Millimetres),
            place = PatchDrawing.InPlace("Patch", Facing.Right, plan, LengthFormat.Millimetres);
        DrawnLine fold = Assert.Single(blank.Lines, l => l.Layer == Layer.Fold);
        Assert.True(fold.X1Mm < 0 && fold.X2Mm < 0);
        // Two holes beside the rib, in the layer that says so.
        Assert.Equal(2, plan.Holes.Count);
        Assert.Contains(place.Lines, l => l.Layer == Layer.HoleInShell);
        Assert.Equal(plan.Rivets!.Places.Count, place.Arcs.Count(a => a.Layer == Layer.Holes));
        Assert.Contains("HOLE_IN_SHELL", DrawingDxf.Write(place));
        Assert.Contains("FOLD", DrawingDxf.Write(blank));
    }

    [Fact] // Words where poppler finds them: none off its page
    public void Every_word_is_on_its_page()
    {
        foreach (Paper paper in Enum.GetValues<Paper>())
        {
            PatchPlan plan = Plan(HoleShape.Grown);
            foreach (
                Drawing drawing in new[]
                {
                    PatchDrawing.Blank("A patch", Facing.Right, plan, new LengthFormat(UnitSystem.Inch)),
                    PatchDrawing.InPlace("A patch", Facing.Right, plan, LengthFormat.Millimetres),
                }
            )
            {
                byte[] pdf = OpeningPdf.Write("Van", drawing, LengthFormat.Millimetres, paper);
                var sizes = Poppler.Sizes(pdf);
                Assert.All(Poppler.Words(pdf), w => Assert.True(w.Box.SMinMm >= 0 && w.Box.SMaxMm <= sizes[w.Page - 1].WidthMm, w.Word));
            }
        }
    }
}
