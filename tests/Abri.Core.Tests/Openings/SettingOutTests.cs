using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Openings;

public class SettingOutTests
{
    private static readonly PanelPoint MiddleOfBayB = new(892.5, 100);
    private static readonly Marking Inside = new(ViewedFrom.Inside, Vehicle.UsualMarkerOffsetMm, 12, CutSize.WasteSide);

    [Fact]
    public void Inside_the_tape_hooks_on_the_bows_and_reads_half_the_play()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside);
        CutLine front = sheet.CutLines.Single(l => l.Side == Side.Front);
        Assert.Equal(("Bow 1", 72.5, 72.5), (front.Datum, front.TapeFromMm, front.TapeToMm));
        Assert.Equal(72.5 + 3.175, front.SetFromMm, 9);
        Assert.Equal("left edge of the roof", sheet.CutLines.Single(l => l.Side == Side.Top).Datum);
        Assert.Equal((272.5, 272.5, 200), (sheet.AcrossLine.LowMm, sheet.AcrossLine.HighMm, sheet.AcrossLine.HalfMm));
    }

    [Fact] // Fact of the trade: 1 1/2 in wanted, straight-edge set at 1 5/8 in; common practice, no source
    public void The_pencil_s_offset_turns_38_1_into_41_275()
    {
        Member[] bows = [Roofs.Bow("Bow 1", 594.4, 654.4)];
        CutLine front = Mark(bows, Inside).CutLines.Single(l => l.Side == Side.Front);
        Assert.Equal(Reference.Fact("clear-top-bottom"), front.TapeFromMm, 6);
        Assert.Equal(Reference.Fact("marker-example"), front.SetFromMm, 6);
    }

    [Fact]
    public void Outside_the_tape_hooks_on_the_edges_of_the_roof_since_bows_are_hidden()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside with { View = ViewedFrom.Outside });
        Assert.All(sheet.CutLines, l => Assert.EndsWith("edge of the roof", l.Datum));
        Assert.Equal(692.5, sheet.CutLines.Single(l => l.Side == Side.Front).TapeFromMm);
    }

    [Fact]
    public void A_slanted_bow_gives_a_reading_for_each_end_of_the_line()
    {
        var slanted = new Member(
            "Bow 1",
            MemberKind.RoofBow,
            MemberRole.Secondary,
            new Footprint(FootprintShape.Polygon, [new(500, -850), new(560, -850), new(600, 850), new(540, 850)]),
            40
        );
        CutLine front = Mark([slanted], Inside).CutLines.Single(l => l.Side == Side.Front);
        // Rear edge: s = 560 + 40 (t + 850) / 1700, read at t = -100 and t = 300.
        Assert.Equal(692.5 - (560 + (40 * 750 / 1700.0)), front.TapeFromMm, 6);
        Assert.Equal(692.5 - (560 + (40 * 1150 / 1700.0)), front.TapeToMm, 6);
    }

    // By hand: R 3000; the edge at 850 is 3000 asin(0.28333) = 861.9 from the crown, the middle at 100.0, the line 2 x 3000 asin(200/6000) / 2 =
    // 200.1 further: 561.6 mm
    [Fact]
    public void On_a_crowned_roof_the_tape_follows_the_skin()
    {
        var site = new Site(Roofs.Flat() with { ArcRadiusAcrossMm = 3000 }, Roofs.Bows(), Roofs.Vent());
        Assert.True(SettingOut.Of(site, MiddleOfBayB, Inside).IsOk(out var sheet, out _));
        CutLine left = sheet.Result.CutLines.Single(l => l.Side == Side.Top);
        Assert.Equal(3000 * (Math.Asin(850 / 3000.0) - Math.Asin(100 / 3000.0) - Math.Asin(200 / 3000.0)), left.TapeFromMm, 6);
        Assert.InRange(left.TapeFromMm, 561.5, 561.8);
        Assert.Equal(400.3, sheet.Result.LinesHeightMm, 1);
        Assert.Equal(400, sheet.Result.LinesWidthMm);
    }

    [Fact] // Rounded rectangle by hand: 2 (1000 + 400) - (8 - 2 pi) 80 = 2662.65
    public void The_perimeter_of_a_rounded_rectangle_is_the_handbook_s() => Assert.Equal(2662.65, new RoundedRectangle(1000, 400, 80).PerimeterMm, 2);

    [Fact] // NetTopologySuite: a rectangle shrunk and buffered with 64 pieces to the quarter circle
    public void Perimeter_and_diagonals_agree_with_a_general_library()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside);
        var inner = new GeometryFactory().ToGeometry(new Envelope(0, 360, 0, 360));
        var rounded = inner.Buffer(20, 64);
        Assert.Equal(rounded.Length, sheet.PerimeterMm, 1);
        Assert.Equal(new Coordinate(0, 0).Distance(new Coordinate(400, 400)), sheet.DiagonalMm, 9);
        var diagonal = new GeometryFactory().CreateLineString([new(-100, -100), new(500, 500)]);
        Assert.Equal(rounded.Intersection(diagonal).Length, sheet.ArcDiagonalMm, 1);
    }

    [Theory]
    [InlineData(12)]
    [InlineData(30)]
    [InlineData(60)]
    public void Start_holes_touch_the_blade_s_path_from_inside(double diameterMm)
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside with { StartHoleMm = diameterMm });
        RoundedRectangle path = sheet.CutPath.Path;
        PanelBox box = path.BoxAt(sheet.Centre);
        var edge = new GeometryFactory()
            .ToGeometry(
                new Envelope(
                    box.SMinMm + path.CornerRadiusMm,
                    box.SMaxMm - path.CornerRadiusMm,
                    box.TMinMm + path.CornerRadiusMm,
                    box.TMaxMm - path.CornerRadiusMm
                )
            )
            .Buffer(path.CornerRadiusMm, 256);
        Assert.All(sheet.StartHoles, hole =>
        {
            var centre = new GeometryFactory().CreatePoint(new Coordinate(hole.Centre.SMm, hole.Centre.TMm));
            Assert.True(edge.Covers(centre));
            Assert.Equal(diameterMm / 2, edge.Boundary.Distance(centre), 2);
        });
    }

    [Fact]
    public void Through_holes_lie_in_the_waste_and_their_diagonals_are_told()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside);
        Assert.Equal(4, sheet.ThroughHoles.Count);
        Assert.All(sheet.ThroughHoles, h => Assert.True(sheet.CutPath.Path.BoxAt(sheet.Centre).Grown(-10).Holds(h.Centre)));
        Assert.Equal(sheet.ThroughHoles[0].Centre.DistanceMm(sheet.ThroughHoles[2].Centre), sheet.ThroughDiagonalMm, 9);
    }

    [Fact]
    public void The_school_decides_on_which_side_of_the_line_the_blade_runs()
    {
        Assert.Equal(398, Mark(Roofs.Bows(), Inside).CutPath.Path.WidthMm);
        Assert.Equal(403, Mark(Roofs.Bows(), Inside with { CutSize = CutSize.WithClearance }).CutPath.Path.WidthMm);
    }

    [Fact]
    public void Clearance_beyond_the_fitting_s_tolerance_is_warned_of()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent() with { TolerancePlusMm = 2 });
        Assert.True(SettingOut.Of(site, MiddleOfBayB, Inside with { CutSize = CutSize.WithClearance }).IsOk(out var sheet, out _));
        Assert.Contains(sheet.Warnings, w => w.Contains("Cut on the waste side"));
    }

    [Fact]
    public void Flange_screws_stand_on_the_flange_beside_the_hole_and_corners_are_not_drilled_twice()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside);
        Assert.Equal((2 * 5) + (2 * 3), sheet.ScrewHoles.Count);
        Assert.Equal(16, sheet.ScrewHoles.Select(h => h.Centre).Distinct().Count());
        Assert.All(sheet.ScrewHoles, h => Assert.False(sheet.CutOut.BoxAt(sheet.Centre).Holds(h.Centre)));
    }

    [Fact]
    public void The_template_is_drawn_with_true_arcs_round_its_own_centre()
    {
        SettingOutSheet sheet = Mark(Roofs.Bows(), Inside);
        Drawing drawing = OpeningDrawing.Of("Vent", Roofs.Flat(), Roofs.Vent(), sheet, LengthFormat.Millimetres).Value!;
        Assert.Equal(4, drawing.Arcs.Count(a => a.Layer == Layer.Cut && a.RadiusMm == 20 && a.EndDeg - a.StartDeg == 90));
        double drawn =
            drawing.Lines.Where(l => l.Layer == Layer.Cut).Sum(l => Math.Sqrt(Math.Pow(l.X2Mm - l.X1Mm, 2) + Math.Pow(l.Y2Mm - l.Y1Mm, 2)))
            + drawing.Arcs.Where(a => a.Layer == Layer.Cut).Sum(a => a.RadiusMm * Math.PI / 2);
        Assert.Equal(sheet.PerimeterMm, drawn, 9);
        // Bow 1 lies 72.5 in front of the front line: drawn, so that the template can be laid against it.
        Assert.Contains(drawing.Lines, l => l.Layer == Layer.Datum && Math.Abs(l.X1Mm + 272.5) < 1e-9 && Math.Abs(l.X2Mm + 272.5) < 1e-9);
    }

    [Theory] // Round, slotted, nearly round and square: four holes apart from one another, each at least a drill's width inside the edge
    [InlineData(150, 150, 75)]
    [InlineData(300, 120, 60)]
    [InlineData(200, 190, 94)]
    [InlineData(20, 20, 10)]
    [InlineData(400, 400, 20)]
    [InlineData(400, 400, 0)]
    public void Through_holes_lie_apart_inside_every_shape(double width, double height, double radius)
    {
        Fitting f = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(width, height, radius),
            Neck = new RoundedRectangle(width, height, radius),
            Flange = new RoundedRectangle(width + 90, height + 90, 0),
            Screws = null,
        };
        var centre = new PanelPoint(2000, 0);
        SettingOutSheet sheet = SettingOut
            .Of(new Site(Roofs.Flat(), [], f), centre, new Marking(ViewedFrom.Outside, 0, 8, CutSize.WasteSide))
            .Value!.Result;
        PanelPoint[] holes = [.. sheet.ThroughHoles.Select(h => h.Centre)];
        Assert.Equal(4, holes.Length);
        Assert.All(holes, (a, i) => Assert.All(holes.Skip(i + 1), b => Assert.True(a.DistanceMm(b) >= 5, $"{a} and {b}")));
        Assert.Equal(holes[0].DistanceMm(holes[2]), sheet.ThroughDiagonalMm, 6);
        // Distance of a place from the edge of a rounded rectangle: from its corner arcs where it lies beside them.
        Assert.All(holes, h =>
        {
            double s = Math.Max(0, Math.Abs(h.SMm - centre.SMm) - ((width / 2) - radius)),
                t = Math.Max(0, Math.Abs(h.TMm - centre.TMm) - ((height / 2) - radius));
            double inside =
                s > 0 && t > 0
                    ? radius - Math.Sqrt((s * s) + (t * t))
                    : Math.Min((width / 2) - Math.Abs(h.SMm - centre.SMm), (height / 2) - Math.Abs(h.TMm - centre.TMm));
            Assert.True(inside >= Math.Min(15, Math.Min(width, height) / 4) - 1e-6, $"{h} is {inside} inside");
        });
    }

    private static SettingOutSheet Mark(IReadOnlyList<Member> members, Marking marking)
    {
        Assert.True(
            SettingOut.Of(new Site(Roofs.Flat(), members, Roofs.Vent()), MiddleOfBayB, marking).IsOk(out var sheet, out var problem),
            problem?.Message
        );
        return sheet.Result;
    }
}
