using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Metal;

/// <summary>Sheet unfolded, and folded again.</summary>
public class FlatBlankTests
{
    private static readonly PanelPoint[] Oblong = [new(0, 0), new(200, 0), new(200, 100), new(0, 100)];

    private static Fold Down(double length, double degrees = 90, double radius = 1) => new(FoldTo.Inside, degrees, radius, length);

    private static BlankDesign Piece(IReadOnlyList<PanelPoint> corners, params FoldedEdge[] edges) => new(corners, edges, 1, BendMetal.MildSteel, 0);

    private static FlatBlank Unfolded(BlankDesign design) => FlatBlanks.Of(design, LengthFormat.Millimetres).Value!.Result;

    [Fact] // By hand: 100 - 2 + 2.21 + (20 - 2)
    public void A_flange_adds_its_length_less_the_deduction()
    {
        FlatBlank blank = Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20)])));
        Assert.Equal((200, 118.21), (blank.WidthMm, Math.Round(blank.HeightMm, 6)));
        Assert.Equal(200 * 118.21, blank.AreaMm2, 6);
        FoldLine line = Assert.Single(blank.FoldLines);
        // The bend begins 2 mm inside the corner and is 2.21 wide; its middle lies 0.895 inside the corner.
        Assert.Equal((0.895, 0.895), (Math.Round(line.From.TMm, 6), Math.Round(line.To.TMm, 6)));
        Assert.Equal(1, line.Order);
        Assert.Empty(blank.Reliefs);
    }

    [Fact]
    public void Two_flanges_at_a_corner_leave_a_notch_with_a_round_end()
    {
        FlatBlank blank = Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20)]), new FoldedEdge(1, [Down(20)])));
        ReliefHole hole = Assert.Single(blank.Reliefs);
        Assert.Equal((198, 2), (Math.Round(hole.Centre.SMm, 9), Math.Round(hole.Centre.TMm, 9)));
        Assert.Equal(3, hole.DiameterMm);
        Assert.Equal(
            6,
            Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20)]), new FoldedEdge(1, [Down(20)])) with { ThickMm = 3 }).Reliefs[0].DiameterMm
        );
        Assert.False(Outlines.Encloses(blank.Outline, new PanelPoint(205, -5)));
        Assert.Equal((218.21, 118.21), (Math.Round(blank.WidthMm, 6), Math.Round(blank.HeightMm, 6)));
    }

    [Fact]
    public void A_flange_along_part_of_an_edge_has_a_slit_at_each_end()
    {
        FlatBlank blank = Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20)], 50, 150)));
        Assert.False(Outlines.Encloses(blank.Outline, new PanelPoint(49, 1)));
        Assert.False(Outlines.Encloses(blank.Outline, new PanelPoint(151, 1)));
        Assert.True(Outlines.Encloses(blank.Outline, new PanelPoint(48, 1)));
        Assert.True(Outlines.Encloses(blank.Outline, new PanelPoint(49, 3)));
        Assert.True(Outlines.Encloses(blank.Outline, new PanelPoint(100, -15)));
        Assert.False(Outlines.Encloses(blank.Outline, new PanelPoint(45, -15)));
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void It_does_not_matter_which_way_round_the_corners_are_given(bool reversed)
    {
        PanelPoint[] corners = reversed ? [.. Oblong.Reverse()] : Oblong;
        // The edge at the foot: from (0, 0) to (200, 0), or the other way.
        FlatBlank blank = Unfolded(Piece(corners, new FoldedEdge(reversed ? 2 : 0, [Down(20)], 20, 80)));
        FoldLine line = Assert.Single(blank.FoldLines);
        Assert.Equal(reversed ? 2 : 0, line.Edge);
        double from = Math.Min(line.From.SMm, line.To.SMm);
        Assert.Equal(reversed ? 120 : 20, from, 6);
        // The base, the flange beyond where the bend begins, less the slits and the strip that the flange has instead of the base.
        Assert.Equal((200 * 100) - (60 * 2) + (60 * 20.21) - (2 * 1.5 * 2), blank.AreaMm2, 6);
    }

    /// <summary>The section across an edge, folded up from the flat: every bend an arc of its neutral line, the points those of the outer
    /// face.</summary>
    private static (double Out, double Down) Folded(IReadOnlyList<Fold> folds, double thick, double startMm, double endMm)
    {
        // Along the flat from the base outwards; x out of the base, y towards the inside of the vehicle; heading turns at each bend.
        (double x, double y, double heading, double along) = (-startMm, thick / 2, 0.0, 0.0);
        double total = endMm + startMm;
        foreach ((Fold fold, int k) in folds.Select((f, k) => (f, k)))
        {
            BendPlan bend = Bend.Of(BendMetal.MildSteel, thick, fold.RadiusMm, fold.Degrees, LengthFormat.Millimetres).Result;
            double flat =
                k == 0
                    ? startMm - bend.SetbackMm
                    : folds[k - 1].LengthMm
                        - bend.SetbackMm
                        - Bend.Of(BendMetal.MildSteel, thick, folds[k - 1].RadiusMm, folds[k - 1].Degrees, LengthFormat.Millimetres).Result.SetbackMm;
            (x, y) = (x + (flat * Math.Cos(heading)), y + (flat * Math.Sin(heading)));
            // The middle of the sheet turns about a point R + T/2 to the inner side.
            double sign = fold.To == FoldTo.Inside ? 1 : -1,
                r = fold.RadiusMm + (thick / 2),
                angle = fold.Degrees * Math.PI / 180;
            (double cx, double cy) = (x - (sign * r * Math.Sin(heading)), y + (sign * r * Math.Cos(heading)));
            double after = heading + (sign * angle);
            (x, y, heading) = (cx + (sign * r * Math.Sin(after)), cy - (sign * r * Math.Cos(after)), after);
            along += flat + bend.AllowanceMm;
        }
        double rest = total - along;
        return (x + (rest * Math.Cos(heading)), y + (rest * Math.Sin(heading)));
    }

    [Fact] // Folded again in a section, by arcs about the centres of the bends, the blank ends where the design ends
    public void The_blank_folds_back_to_the_flanges_that_were_wanted() =>
        (
            from thick in Gen.Double[0.5, 2]
            from r1 in Gen.Double[0.5, 3]
            from r2 in Gen.Double[0.5, 3]
            from a1 in Gen.Double[20, 120]
            from a2 in Gen.Double[20, 120]
            from l1 in Gen.Double[30, 60]
            from l2 in Gen.Double[20, 40]
            from two in Gen.Bool
            select (thick, r1, r2, a1, a2, l1, l2, two)
        ).Holds(x =>
        {
            Fold first = new(FoldTo.Inside, x.a1, x.r1, x.l1),
                second = new(FoldTo.Inside, x.a2, x.r2, x.l2);
            Fold[] folds = x.two ? [first, second] : [first];
            FlatBlank blank = Unfolded(
                Piece([new(0, 0), new(400, 0), new(400, 300), new(0, 300)], new FoldedEdge(0, folds)) with
                {
                    ThickMm = x.thick,
                }
            );
            (double outwards, double inwards) = Folded(folds, x.thick, 300, blank.HeightMm - 300);
            // The design: outer faces along straight lines from corner to corner; the middle of the sheet lies half of it inside them.
            double b1 = x.a1 * Math.PI / 180,
                b2 = b1 + (x.a2 * Math.PI / 180),
                last = x.two ? b2 : b1;
            (double ox, double oy) = (x.l1 * Math.Cos(b1), x.l1 * Math.Sin(b1));
            if (x.two)
                (ox, oy) = (ox + (x.l2 * Math.Cos(b2)), oy + (x.l2 * Math.Sin(b2)));
            (ox, oy) = (ox - (x.thick / 2 * Math.Sin(last)), oy + (x.thick / 2 * Math.Cos(last)));
            Assert.Equal(ox, outwards, 1e-6);
            Assert.Equal(oy, inwards, 1e-6);
        });

    [Fact] // Seen from above, folded: lips that lie over the base, as plane polygons of NetTopologySuite, do not cover one another
    public void Lips_that_meet_at_a_corner_are_cut_back()
    {
        FlatBlank blank = Unfolded(Piece(Oblong, [.. Enumerable.Range(0, 4).Select(i => new FoldedEdge(i, [Down(30), Down(15)]))]));
        // A lip folded twice by 90 degrees: what lay d beyond its second bend's end lies d + setback inside the edge's outer face.
        Polygon[] lips = [.. Enumerable.Range(0, 4).Select(i => Lip(blank, i))];
        for (int i = 0; i < 4; i++)
        {
            Assert.True(lips[i].Intersection(lips[(i + 1) % 4]).Area < 0.01, $"lips {i} and {(i + 1) % 4}");
        }
        Assert.True(lips[0].Area > 13 * 150);
    }

    private static Polygon Lip(FlatBlank blank, int edge)
    {
        // The four points of the outline that lie beyond the second bend of this edge.
        Func<PanelPoint, double> beyond = edge switch
        {
            0 => p => -p.TMm,
            1 => p => p.SMm - 200,
            2 => p => p.TMm - 100,
            _ => p => -p.SMm,
        };
        double end = 30 - 2 - 2 + (2 * 2.21) - 2;
        PanelPoint[] lip = [.. blank.Outline.Where(p => beyond(p) > end - 1e-6)];
        Assert.Equal(4, lip.Length);
        PanelPoint Over(PanelPoint p)
        {
            double inside = beyond(p) - end + 2;
            return edge switch
            {
                0 => p with { TMm = inside },
                1 => p with { SMm = 200 - inside },
                2 => p with { TMm = 100 - inside },
                _ => p with { SMm = inside },
            };
        }
        Coordinate[] ring = [.. lip.Select(Over).Append(Over(lip[0])).Select(p => new Coordinate(p.SMm, p.TMm))];
        return new GeometryFactory().CreatePolygon(ring);
    }

    [Theory]
    [InlineData(20, 10, 1, true)] // a lip in the same sense over a wide flange: the lip first
    [InlineData(40, 30, 1, true)]
    [InlineData(9, 30, 1, false)] // the flange is too low for the bar, in either order
    [InlineData(9, 30, -1, true)] // a lip away from the bar is free
    public void A_lip_in_the_same_sense_wants_room_for_the_bar(double flange, double lip, int sense, bool can)
    {
        Fold outer = new(sense > 0 ? FoldTo.Inside : FoldTo.Outside, 90, 1, lip);
        FlatBlank blank = Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(flange), outer])));
        Judgement row = blank.Rows.Single(r => r.Id == "fold-order");
        Assert.Equal(can ? JudgementState.Good : JudgementState.Blocked, row.State);
        Assert.Equal(can, blank.FoldLines.All(l => l.Order is not null));
    }

    [Theory] // As many folds as are taken, of which one pair locks or none does: a search through their orders would not end
    [InlineData(20, true)]
    [InlineData(9, false)]
    public void Eighty_folds_are_put_in_order_or_refused(double one, bool can)
    {
        PanelPoint[] round =
        [
            .. Enumerable.Range(0, 40).Select(i => new PanelPoint(500 * Math.Cos(Math.PI * i / 20), 500 * Math.Sin(Math.PI * i / 20))),
        ];
        FoldedEdge[] edges = [.. Enumerable.Range(0, 40).Select(i => new FoldedEdge(i, [Down(i == 7 ? one : 20), Down(15)]))];
        FlatBlank blank = Unfolded(Piece(round, edges));
        Assert.Equal(can ? JudgementState.Good : JudgementState.Blocked, blank.Rows.Single(r => r.Id == "fold-order").State);
        if (can)
        {
            Assert.Equal(Enumerable.Range(1, 80), blank.FoldLines.Select(l => l.Order!.Value).Order());
            // A lip is made before the flange that carries it would be in the way.
            Assert.All(blank.FoldLines.GroupBy(l => l.Edge), e => Assert.True(e.Single(l => l.Nth == 2).Order < e.Single(l => l.Nth == 1).Order));
        }
    }

    [Fact]
    public void A_narrow_channel_is_folded_while_the_bar_still_fits()
    {
        PanelPoint[] Base(double wide) => [new(0, 0), new(200, 0), new(200, wide), new(0, wide)];
        FoldedEdge[] both = [new(0, [Down(40)]), new(2, [Down(40)])];
        Assert.Equal(JudgementState.Good, Unfolded(Piece(Base(10), both)).Rows.Single(r => r.Id == "fold-order").State);
        // Between the flanges stands a bar of at least 10 mm.
        Assert.Equal(JudgementState.Blocked, Unfolded(Piece(Base(9.9), both)).Rows.Single(r => r.Id == "fold-order").State);
    }

    [Theory] // Least by plates 4 T + R = 5; by pliers 10
    [InlineData(4.9, JudgementState.Blocked)]
    [InlineData(5.0, JudgementState.Good)]
    public void A_flange_has_to_be_held(double length, JudgementState state) =>
        Assert.Equal(state, Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(length)]))).Rows.Single(r => r.Id == "flange-1-1").State);

    [Fact]
    public void Thick_sheet_is_held_by_pliers_where_plates_do_not_reach()
    {
        BlankDesign thick = Piece(Oblong, new FoldedEdge(0, [Down(10, radius: 2)])) with { ThickMm = 2.5 };
        Assert.Equal(JudgementState.NeedsWork, Unfolded(thick).Rows.Single(r => r.Id == "flange-1-1").State);
    }

    [Fact]
    public void A_small_radius_is_warned_of() =>
        Assert.Equal(
            JudgementState.NeedsWork,
            Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20, radius: 0.5)]))).Rows.Single(r => r.Id == "radius-1-1").State
        );

    [Fact]
    public void Free_corners_are_rounded()
    {
        FlatBlank blank = Unfolded(Piece(Oblong, new FoldedEdge(0, [Down(20)])) with { CornerMm = 30 });
        Assert.False(Outlines.Encloses(blank.Outline, new PanelPoint(3, 97)));
        Assert.True(Outlines.Encloses(blank.Outline, new PanelPoint(1, -17)));
        // A quarter circle leaves (1 - pi/4) of its square; a polygon of 8 pieces a little more.
        double lost = (200 * 118.21) - blank.AreaMm2;
        Assert.InRange(lost, 2 * 900 * (1 - (Math.PI / 4)), 2 * 900 * (1 - (Math.PI / 4)) * 1.05);
    }

    [Theory]
    [InlineData("edge-twice")]
    [InlineData("edge-unknown")]
    [InlineData("flange-off-edge")]
    [InlineData("outline-crosses-itself")]
    [InlineData("base-too-small")]
    [InlineData("flanges-overlap")]
    public void What_cannot_be_unfolded_is_said(string code)
    {
        BlankDesign design = code switch
        {
            "edge-twice" => Piece(Oblong, new FoldedEdge(0, [Down(20)]), new FoldedEdge(0, [Down(20)])),
            "edge-unknown" => Piece(Oblong, new FoldedEdge(4, [Down(20)])),
            "flange-off-edge" => Piece(Oblong, new FoldedEdge(0, [Down(20)], 150, 210)),
            "outline-crosses-itself" => Piece([new(0, 0), new(200, 100), new(200, 0), new(0, 100)]),
            "base-too-small" => Piece([new(0, 0), new(200, 0), new(200, 3), new(0, 3)], new FoldedEdge(0, [Down(20)]), new FoldedEdge(2, [Down(20)])),
            // An L whose two inner edges carry flanges that lie over one another in the flat sheet.
            _ => Piece(
                [new(0, 0), new(200, 0), new(200, 100), new(100, 100), new(100, 200), new(0, 200)],
                new FoldedEdge(2, [Down(60)]),
                new FoldedEdge(3, [Down(60)])
            ),
        };
        Assert.False(FlatBlanks.Of(design, LengthFormat.Millimetres).IsOk(out _, out Problem? problem));
        Assert.Equal(code, problem!.Code);
    }
}
