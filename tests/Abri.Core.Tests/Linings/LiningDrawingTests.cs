using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Linings;

/// <summary>Boards of linings as they are drawn: the seen face up, neither mirrored nor turned.</summary>
public class LiningDrawingTests
{
    /// <summary>A panel of 2000 x 1000 with a hole of 300 x 200 that begins 100 from the front and 50 from the lower edge.</summary>
    private static (Drawing Drawing, LiningPlan Plan) Drawn(PanelKind kind, double corner = 20, double s = 250)
    {
        Fitting fitting = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(300, 200, corner),
            Neck = new RoundedRectangle(296, 196, Math.Min(corner, 98)),
            Flange = new RoundedRectangle(380, 280, corner),
            Screws = null,
        };
        var site = new LiningSite(
            new Panel(kind, new PanelBox(0, 2000, 0, 1000).Corners, 1, SkinMaterial.MildSteel),
            [],
            [new LinedOpening("Vent", new PanelPoint(s, 150), 0, fitting, OpeningState.Fitted, null, null)],
            []
        );
        var lining = new Lining(
            "Lining",
            site.Panel.Outline,
            NewSheet.Usual(BoardMaterial.BirchPly, 6),
            Grain.Lengthways,
            25,
            LiningLies.Bent,
            15,
            LiningState.Planned,
            ""
        );
        Result<Worked<LiningPlan>> result = LiningHoles.Of(site, lining);
        Assert.Null(result.Problem);
        LiningPlan plan = result.Value!.Result;
        return (LiningDrawing.Of(site.Panel, plan, plan.Boards[0]), plan);
    }

    /// <summary>The box of the lines of a layer that do not lie on the board's own edge.</summary>
    private static PanelBox Hole(Drawing drawing, Layer layer) =>
        PanelBox.Of(
            drawing
                .Lines.Where(l => l.Layer == layer)
                .Where(l => !OnEdge(l.X1Mm, l.X2Mm, 2000) && !OnEdge(l.Y1Mm, l.Y2Mm, 1000))
                .SelectMany(l => new[] { new PanelPoint(l.X1Mm, l.Y1Mm), new PanelPoint(l.X2Mm, l.Y2Mm) })
        );

    private static bool OnEdge(double a, double b, double end) => a == b && (a == 0 || a == end);

    [Theory] // Front at the left under a roof with the right side at the foot; on the left side, seen from inside, the front is at the right
    [InlineData(PanelKind.Roof, 100, 400, 50, 250)]
    [InlineData(PanelKind.Left, 1600, 1900, 50, 250)]
    [InlineData(PanelKind.Right, 100, 400, 50, 250)]
    public void Each_panel_is_drawn_as_it_is_seen_from_inside(PanelKind kind, double x1, double x2, double y1, double y2)
    {
        (Drawing drawing, _) = Drawn(kind);
        Assert.Equal(new PanelBox(x1, x2, y1, y2), Hole(drawing, Layer.Cut));
        Assert.Equal(new PanelBox(x1 + 15, x2 - 15, y1 + 15, y2 - 15), Hole(drawing, Layer.Path));
        Assert.Equal(new PanelBox(0, 2000, 0, 1000), drawing.Bounds);
    }

    [Fact]
    public void Corners_are_quarters_of_circles_that_meet_the_straight_sides()
    {
        (Drawing drawing, _) = Drawn(PanelKind.Roof);
        DrawnArc[] corners = [.. drawing.Arcs.Where(a => a.Layer == Layer.Cut)];
        Assert.Equal(4, corners.Length);
        Assert.All(corners, a => Assert.Equal((20.0, 90.0), (a.RadiusMm, a.EndDeg - a.StartDeg)));
        Assert.All(drawing.Arcs.Where(a => a.Layer == Layer.Path), a => Assert.Equal(5, a.RadiusMm));
        // Each end of each arc is an end of a straight side.
        HashSet<(double, double)> ends =
        [
            .. drawing
                .Lines.Where(l => l.Layer == Layer.Cut)
                .SelectMany(l => new[] { (Math.Round(l.X1Mm, 6), Math.Round(l.Y1Mm, 6)), (Math.Round(l.X2Mm, 6), Math.Round(l.Y2Mm, 6)) }),
        ];
        (double, double) At(DrawnArc a, double deg) =>
            (
                Math.Round(a.XMm + (a.RadiusMm * Math.Cos(deg * Math.PI / 180)), 6),
                Math.Round(a.YMm + (a.RadiusMm * Math.Sin(deg * Math.PI / 180)), 6)
            );
        Assert.All(corners, a => Assert.True(ends.Contains(At(a, a.StartDeg)) && ends.Contains(At(a, a.EndDeg)), "An arc hangs in the air."));
    }

    [Fact]
    public void Square_holes_and_notches_have_no_arcs_and_a_round_one_has_no_more_than_a_circle()
    {
        Assert.Empty(Drawn(PanelKind.Roof, 0).Drawing.Arcs);
        (Drawing notch, LiningPlan plan) = Drawn(PanelKind.Roof, 20, 100);
        Assert.True(plan.Boards[0].Holes[0].IsNotch);
        Assert.Empty(notch.Arcs);
        Assert.Equal(100, Drawn(PanelKind.Roof, 100).Drawing.Arcs[0].RadiusMm);
        Assert.Equal("Lining, seen face up", notch.Title);
    }
}
