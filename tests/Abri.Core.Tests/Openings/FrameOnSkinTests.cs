using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Openings;

/// <summary>Templates of curved panels, held to an unrolling of the arc by small chords and to the frame bent back on in space.</summary>
public class FrameOnSkinTests
{
    private static readonly LengthFormat Mm = LengthFormat.Millimetres;

    private static readonly Gen<(double Radius, double At, double Width, double Height, double Corner, ViewedFrom View)> Curved = Gen.Select(
        Gen.Double[900, 6000],
        Gen.Double[-0.8, 0.8],
        Gen.Double[150, 700],
        Gen.Double[150, 500],
        Gen.Double[0, 75],
        Gen.Enum<ViewedFrom>(),
        (r, at, w, h, c, v) => (r, at * 500, w, h, c, v)
    );

    [Fact] // Bent back: each point of the template is walked along the arc in chords of 0.01 degree, then looked at along the frame's normal
    public void Bent_onto_the_skin_the_template_s_cut_line_is_the_frame_s_own_outline() =>
        Curved.Holds(x =>
        {
            (Panel panel, Fitting fitting, SettingOutSheet sheet) = Marked(x);
            Drawing drawing = Drawn(panel, fitting, sheet);
            NetTopologySuite.Geometries.Geometry outline = Outline(fitting.CutOut).Boundary;
            foreach ((double px, double py) in Points(drawing, Layer.Cut))
            {
                double across = Math.Sign(py) * ThroughTheAir(x.Radius, Math.Abs(py));
                Assert.InRange(outline.Distance(new Point(px, across)), 0, 0.07);
            }
        });

    [Fact] // An own unrolling of the arc: the sum of 20 000 chords between the two places
    public void Edges_to_measure_from_lie_on_the_template_where_the_tape_reads_them() =>
        Curved.Holds(x =>
        {
            (Panel panel, Fitting fitting, SettingOutSheet sheet) = Marked(x);
            Drawing drawing = Drawn(panel, fitting, sheet);
            var view = PanelView.Of(Facing.Up, x.View);
            foreach (CutLine line in sheet.CutLines)
            {
                bool across = line.Side is Side.Top or Side.Bottom;
                double unrolled = across ? Chords(x.Radius, line.DatumFrom.TMm, line.From.TMm) : Math.Abs(line.DatumFrom.SMm - line.From.SMm);
                Assert.Equal(unrolled, line.TapeFromMm, 2);
                if (Math.Max(line.TapeFromMm, line.TapeToMm) > 150)
                    continue;
                // The datum is drawn level with its cut line, so that a rule on the template reads what the tape reads.
                double at =
                    (line.Side is Side.Front or Side.Bottom ? -1 : 1) * ((across ? sheet.LinesHeightMm : sheet.LinesWidthMm) / 2 + line.TapeFromMm);
                Assert.Contains(drawing.Lines, l =>
                    l.Layer == Layer.Datum
                    && (
                        across
                            ? Math.Abs(l.Y1Mm - (view.TSign * at)) < 1e-6 && Math.Abs(l.Y2Mm - l.Y1Mm) < 1e-6
                            : Math.Abs(l.X1Mm - (view.SSign * at)) < 1e-6 && Math.Abs(l.X2Mm - l.X1Mm) < 1e-6
                    )
                );
            }
            CutLine top = sheet.CutLines.Single(l => l.Side == Side.Top),
                bottom = sheet.CutLines.Single(l => l.Side == Side.Bottom);
            Assert.Equal(Chords(x.Radius, bottom.From.TMm, top.From.TMm), sheet.LinesHeightMm, 2);
        });

    [Fact] // Near the edge of a strongly curved roof: where the holes come to lie in space, from the template alone
    public void A_vent_near_the_edge_of_a_strongly_curved_roof_lands_where_the_drawing_says()
    {
        const double radius = 1200;
        (Panel panel, Fitting fitting, SettingOutSheet sheet) = Marked((radius, 560, 412.7, 287.3, 22.2, ViewedFrom.Outside));
        Drawing drawing = Drawn(panel, fitting, sheet);
        // The sheet's centre taped on at the centre of the drawing, 560 off the crown; up on the paper is towards the vehicle's right.
        double crown = Math.Asin(560 / radius);
        foreach (
            (DrawnArc hole, DrilledHole planned) in drawing
                .Arcs.Where(a => a.Layer == Layer.Holes)
                .Zip(sheet.StartHoles.Concat(sheet.ThroughHoles).Concat(sheet.ScrewHoles))
        )
        {
            Assert.Equal(planned.Centre.SMm, sheet.Centre.SMm + hole.XMm, 6);
            Assert.Equal(planned.Centre.TMm, radius * Math.Sin(crown + (-hole.YMm / radius)), 6);
        }
        // In plan the hole is narrower than the frame, because the frame leans; along the skin it is a little longer.
        CutLine top = sheet.CutLines.Single(l => l.Side == Side.Top),
            bottom = sheet.CutLines.Single(l => l.Side == Side.Bottom);
        Assert.InRange(top.From.TMm - bottom.From.TMm, 250, 260);
        Assert.Equal(2 * radius * Math.Asin(287.3 / (2 * radius)), sheet.LinesHeightMm, 6);
        Assert.Equal(412.7, sheet.LinesWidthMm, 9);
    }

    [Fact] // In space: the four crossings of the lines are a rectangle of the frame's size through the air, however the skin is curved
    public void On_a_skin_curved_both_ways_the_tape_s_figures_still_give_the_frame_s_rectangle() =>
        Gen.Select(Curved, Gen.Double[2200, 20000], Gen.Double[-900, 900])
            .Holds(
                (x, alongRadius, s) =>
                {
                    Panel panel = Roof(x.Radius) with { ArcRadiusAlongMm = alongRadius };
                    Fitting fitting = Framed(x.Width, x.Height, x.Corner);
                    SettingOutSheet sheet = Sheet(panel, fitting, new PanelPoint(2100 + s, x.At), x.View);
                    (double X, double Y, double Z) Space(PanelPoint p) =>
                        (
                            p.SMm,
                            p.TMm,
                            Math.Sqrt((alongRadius * alongRadius) - Math.Pow(p.SMm - 2100, 2)) + Math.Sqrt((x.Radius * x.Radius) - (p.TMm * p.TMm))
                        );
                    double Apart(PanelPoint a, PanelPoint b) =>
                        Space(a) is var p && Space(b) is var q
                            ? Math.Sqrt(Math.Pow(p.X - q.X, 2) + Math.Pow(p.Y - q.Y, 2) + Math.Pow(p.Z - q.Z, 2))
                            : 0;
                    CutLine front = sheet.CutLines.Single(l => l.Side == Side.Front),
                        rear = sheet.CutLines.Single(l => l.Side == Side.Rear);
                    // What lies on a saddle or a dome stands off the plane of the frame by as much on both sides, so its sides are seen in full.
                    double tilt = 0.02 * Math.Max(x.Width, x.Height) * Math.Max(x.Width, x.Height) / Math.Min(alongRadius, x.Radius);
                    Assert.Equal(Math.Sqrt((x.Width * x.Width) + (x.Height * x.Height)), Apart(front.From, rear.To), 1 + tilt);
                    Assert.Equal(Apart(front.From, rear.To), Apart(front.To, rear.From), 1 + tilt);
                    Assert.Equal(x.Width, Apart(front.From, rear.From), 1 + tilt);
                    Assert.Equal(x.Height, Apart(front.From, front.To), 1 + tilt);
                }
            );

    [Fact]
    public void A_frame_larger_than_the_bend_is_refused()
    {
        Assert.False(
            SettingOut
                .Of(
                    new Site(Roof(900), [], Framed(400, 1300, 20)),
                    new PanelPoint(2100, 0),
                    new Marking(ViewedFrom.Outside, 3, 12, CutSize.WasteSide)
                )
                .IsOk(out _, out Problem? problem)
        );
        Assert.Equal("skin-too-curved", problem.Code);
    }

    private static Panel Roof(double radius) => Roofs.Flat() with { ArcRadiusAcrossMm = radius };

    private static Fitting Framed(double width, double height, double corner) =>
        Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(width, height, corner),
            Neck = new RoundedRectangle(width - 4, height - 4, Math.Max(0, corner - 2)),
            Flange = new RoundedRectangle(width + 90, height + 90, corner),
        };

    private static (Panel, Fitting, SettingOutSheet) Marked((double Radius, double At, double Width, double Height, double Corner, ViewedFrom View) x)
    {
        (Panel panel, Fitting fitting) = (Roof(x.Radius), Framed(x.Width, x.Height, x.Corner));
        return (panel, fitting, Sheet(panel, fitting, new PanelPoint(1300, x.At), x.View));
    }

    private static SettingOutSheet Sheet(Panel panel, Fitting fitting, PanelPoint centre, ViewedFrom view)
    {
        Member[] members =
        [
            Roofs.Bow("Bow 1", 600, 660),
            new(
                "Rail",
                MemberKind.CantRail,
                MemberRole.Structural,
                new Footprint(FootprintShape.Spine, [new(0, panel.Box.TMaxMm - 20), new(4200, panel.Box.TMaxMm - 20)], 20),
                40
            ),
        ];
        Assert.True(
            SettingOut
                .Of(new Site(panel, members, fitting), centre, new Marking(view, 3, 12, CutSize.WasteSide))
                .IsOk(out var sheet, out var problem),
            problem?.Message
        );
        return sheet.Result;
    }

    private static Drawing Drawn(Panel panel, Fitting fitting, SettingOutSheet sheet) => OpeningDrawing.Of("Vent", panel, fitting, sheet, Mm).Value!;

    private static IEnumerable<(double X, double Y)> Points(Drawing drawing, Layer layer) =>
        drawing
            .Lines.Where(l => l.Layer == layer)
            .SelectMany(l => Enumerable.Range(0, 11).Select(i => (l.X1Mm + ((l.X2Mm - l.X1Mm) * i / 10), l.Y1Mm + ((l.Y2Mm - l.Y1Mm) * i / 10))))
            .Concat(
                drawing
                    .Arcs.Where(a => a.Layer == layer)
                    .SelectMany(a =>
                        Enumerable
                            .Range(0, 11)
                            .Select(i => (a.StartDeg + ((a.EndDeg - a.StartDeg) * i / 10)) * Math.PI / 180)
                            .Select(at => (a.XMm + (a.RadiusMm * Math.Cos(at)), a.YMm + (a.RadiusMm * Math.Sin(at))))
                    )
            );

    private static Polygon Outline(RoundedRectangle shape)
    {
        var inner = new GeometryFactory().ToGeometry(
            new Envelope(
                -(shape.WidthMm / 2) + shape.CornerRadiusMm,
                (shape.WidthMm / 2) - shape.CornerRadiusMm,
                -(shape.HeightMm / 2) + shape.CornerRadiusMm,
                (shape.HeightMm / 2) - shape.CornerRadiusMm
            )
        );
        return (Polygon)(shape.CornerRadiusMm == 0 ? inner : inner.Buffer(shape.CornerRadiusMm, 256));
    }

    /// <summary>How far, in the plane that touches the arc at its start, one gets by walking a length along it in small chords.</summary>
    private static double ThroughTheAir(double radius, double length)
    {
        const int steps = 2000;
        double at = 0,
            turn = length / radius / steps,
            chord = 2 * radius * Math.Sin(turn / 2);
        for (int i = 0; i < steps; i++)
            at += chord * Math.Cos((i + 0.5) * turn);
        return at;
    }

    private static double Chords(double radius, double from, double to)
    {
        const int steps = 20_000;
        double Height(double t) => Math.Sqrt((radius * radius) - (t * t));
        double Place(int i) => from + ((to - from) * i / steps);
        return Enumerable
            .Range(0, steps)
            .Sum(i => Math.Sqrt(Math.Pow(Place(i + 1) - Place(i), 2) + Math.Pow(Height(Place(i + 1)) - Height(Place(i)), 2)));
    }
}
