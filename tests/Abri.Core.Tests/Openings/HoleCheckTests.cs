using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Operation.Buffer;

namespace Abri.Core.Tests.Openings;

public class HoleCheckTests
{
    private static readonly Frame Frame = Frame.Of(Roofs.Vent(), 0);
    private static readonly GeometryFactory Factory = new();

    [Fact] // By hand: (400 - 396) / 2 = 2 all round; lap (490 - 400) / 2 = 45
    public void A_true_hole_leaves_two_millimetres_all_round()
    {
        HoleFit fit = Check(400, 400, 400, 400, ArcDiagonal(400, 400), ArcDiagonal(400, 400));
        Assert.Equal(Fit.Fits, fit.Fit);
        Assert.Equal(2, fit.SmallestClearanceMm, 2);
        Assert.Equal(4, fit.Where.Count);
        Assert.Equal(0, fit.SkewMm, 9);
        Assert.Equal(0, fit.MisclosureMm, 6);
        Assert.Equal(45, fit.LapLeftMm, 3);
    }

    [Fact] // By hand: the sheet lets the hole be 399, 394 there: 5 in all
    public void A_narrow_hole_says_where_and_how_much_to_open_up()
    {
        HoleFit fit = Check(394, 394, 400, 400, ArcDiagonal(394, 400), ArcDiagonal(394, 400));
        Assert.Equal(Fit.OpenUp, fit.Fit);
        Assert.Equal([Side.Front, Side.Rear], fit.OpenUp.Select(o => o.Side));
        Assert.Equal("Open up here: front edge by 2.5 mm; rear edge by 2.5 mm, or one of the two by 5 mm.", fit.Advice);
    }

    [Fact] // By hand: 490 - 450 leaves 20 a side when centred, 5 less than wanted
    public void A_hole_too_big_for_the_flange_says_what_lap_is_left()
    {
        HoleFit fit = Check(450, 450, 400, 400, ArcDiagonal(450, 400), ArcDiagonal(450, 400));
        Assert.Equal(Fit.TooBig, fit.Fit);
        Assert.Equal(20, fit.LapLeftMm, 2);
        Assert.Contains("Too big by 5 mm", fit.Advice);
    }

    [Fact] // By hand: neck 13 3/4", cut-out 14" -1/16" +3/16": holes from 13 15/16" to 14 3/16", whoever is asked
    public void Sheet_check_and_steps_agree_on_what_fits_in_sixteenths()
    {
        const double inch = 25.4;
        var inches = new LengthFormat(UnitSystem.Inch, 16);
        RoundedRectangle Square(double n) => new(n * inch, n * inch, 0);
        Fitting vent = Roofs.Vent() with
        {
            CutOut = Square(14),
            Neck = Square(13.75),
            Flange = Square(18),
            ToleranceMinusMm = inch / 16,
            TolerancePlusMm = 3 * inch / 16,
            Screws = null,
        };
        HoleFit Of(double side) =>
            HoleCheck
                .Of(
                    Frame.Of(vent, 0),
                    new AsCut(side * inch, side * inch, side * inch, side * inch, side * inch * Math.Sqrt(2), side * inch * Math.Sqrt(2)),
                    Facing.Up,
                    inches
                )
                .Value!.Result;
        var path = CutPath.For(vent, CutSize.WasteSide, 10, inches);
        Assert.Equal(("13 15/16\"", "14 3/16\""), (inches.Text(path.LeastHole.WidthMm), inches.Text(path.MostHole.WidthMm)));
        Assert.Equal((Fit.Fits, Fit.Fits, Fit.TooBig), (Of(13.9375).Fit, Of(14.1875).Fit, Of(14.25).Fit));
        Assert.Equal("Open up here: front edge by 1/16\"; rear edge by 1/16\"; left edge by 1/16\"; right edge by 1/16\".", Of(13.8125).Advice);
        Assert.Contains("by less than 1/16\"", Of(13.92).Advice);
        Assert.DoesNotContain("by 0", Of(13.92).Advice);
        Assert.StartsWith("Larger than the fitting's sheet allows by 1/16\".", Of(14.25).Advice);
    }

    [Fact] // The same on fittings and square holes nobody chose: what the sheet gives as the range is what the check calls fitting
    public void A_square_hole_fits_exactly_where_the_sheet_says() =>
        Gen.Select(
                Gen.Int[100, 900],
                Gen.Int[100, 900],
                Gen.Int[0, 60],
                Gen.Int[0, 80],
                Gen.Int[0, 80],
                Gen.Int[0, 40],
                Gen.Double[-9, 9],
                Gen.Double[-9, 9]
            )
            .Holds(FitsAsTheSheetSays, cases: 150);

    [Fact] // Found by fresh cases: a neck so close to its cut-out that there is no room for paint at the corners either
    public void A_tight_neck_asks_no_more_of_corners_than_of_edges() =>
        FitsAsTheSheetSays(777, 551, 3, 68, 68, 38, 2.235294117647059, 0.1935483870967742);

    private static void FitsAsTheSheetSays(int w, int h, int slack, int minus, int plus, int radius, double dw, double dh)
    {
        Fitting fitting = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(w, h, radius),
            Neck = new RoundedRectangle(w - (slack / 10d), h - (slack / 10d), radius),
            Flange = new RoundedRectangle(w + 70, h + 70, 0),
            ToleranceMinusMm = minus / 10d,
            TolerancePlusMm = plus / 10d,
            Screws = null,
        };
        var range = HoleRange.Of(Frame.Of(fitting, 0));
        double width = w + dw,
            height = h + dh,
            diagonal = Math.Sqrt((width * width) + (height * height)) - (2 * radius * (Math.Sqrt(2) - 1));
        HoleFit fit = HoleCheck
            .Of(Frame.Of(fitting, 0), new AsCut(width, width, height, height, diagonal, diagonal), Facing.Up, LengthFormat.Millimetres)
            .Value!.Result;
        double under = Math.Max(range.Least.WidthMm - width, range.Least.HeightMm - height),
            over = Math.Max(width - range.Most.WidthMm, height - range.Most.HeightMm);
        if (Math.Abs(under) < 0.03 || Math.Abs(over) < 0.03)
            return;
        // Rounded corners of hole and neck alike bind only where the edges do.
        Assert.Equal(
            under > 0 ? Fit.OpenUp
                : over > 0 ? Fit.TooBig
                : Fit.Fits,
            fit.Fit
        );
    }

    // By hand: corner of radius 20 in the hole, 5 on the neck with 2 mm all round; along the diagonal (20 - 5)(sqrt 2 - 1) - 2 sqrt 2 + 0.5 lack,
    // less what a small turn gives
    [Fact]
    public void Where_only_corners_bind_the_corners_are_filed()
    {
        var frame = new Frame(new RoundedRectangle(400, 400, 20), new RoundedRectangle(396, 396, 5), new RoundedRectangle(440, 440, 30), 15);
        HoleFit fit = HoleCheck
            .Of(frame, new AsCut(400, 400, 400, 400, ArcDiagonal(400, 400), ArcDiagonal(400, 400)), Facing.Up, LengthFormat.Millimetres)
            .Value!.Result;
        Assert.Equal((Fit.OpenUp, 0), (fit.Fit, fit.OpenUp.Count));
        Assert.InRange(fit.CornersMm, 3.3, 3.9);
        Assert.StartsWith("File the corners", fit.Advice);
        // Filed to the radius that it names, it goes in.
        var filed = frame with
        {
            CutOut = frame.CutOut with
            {
                CornerRadiusMm = double.Parse(System.Text.RegularExpressions.Regex.Match(fit.Advice, "radius of (\\d+) mm").Groups[1].Value),
            },
        };
        double arc = (400 * Math.Sqrt(2)) - (2 * filed.CutOut.CornerLossMm);
        Assert.Equal(Fit.Fits, HoleCheck.Of(filed, new AsCut(400, 400, 400, 400, arc, arc), Facing.Up, LengthFormat.Millimetres).Value!.Result.Fit);
    }

    [Fact] // By hand: a parallelogram slid by x has d1^2 - d2^2 = 4 w x
    public void Skew_is_the_slide_of_the_upper_edge()
    {
        const double slide = 3;
        double height = Math.Sqrt((400 * 400) - (slide * slide));
        double rising = Math.Sqrt(Math.Pow(400 + slide, 2) + (height * height)),
            falling = Math.Sqrt(Math.Pow(400 - slide, 2) + (height * height));
        double loss = 2 * 20 * (Math.Sqrt(2) - 1);
        HoleFit fit = Check(400, 400, 400, 400, rising - loss, falling - loss);
        Assert.Equal(slide, fit.SkewMm, 6);
        Assert.True(fit.SmallestClearanceMm is > 0 and < 2);
    }

    [Fact]
    public void One_wrong_diagonal_is_doubted_aloud()
    {
        Assert.True(
            HoleCheck
                .Of(Frame, new AsCut(400, 400, 400, 400, ArcDiagonal(400, 400) + 8, ArcDiagonal(400, 400)), Facing.Up, LengthFormat.Millimetres)
                .IsOk(out var worked, out _)
        );
        Assert.Contains(worked.Warnings, w => w.Contains("do not close"));
    }

    [Fact]
    public void Readings_of_no_hole_at_all_are_refused()
    {
        Assert.False(
            HoleCheck.Of(Frame, new AsCut(400, 400, 400, 400, 1200, 1200), Facing.Up, LengthFormat.Millimetres).IsOk(out _, out var problem)
        );
        Assert.Equal("readings-impossible", problem.Code);
    }

    [Fact] // NetTopologySuite lays the same frame in the same hole and measures the distance between their edges
    public void The_least_room_is_the_distance_a_general_library_measures() =>
        Holes.Holds(
            (corners, measured) =>
            {
                if (!HoleCheck.Of(Frame, measured, Facing.Up, LengthFormat.Millimetres).IsOk(out var worked, out _))
                    return false;
                HoleFit fit = worked.Result;
                if (fit.SmallestClearanceMm <= 0.01)
                    return true;
                var hole = Rounded(fit.Hole);
                var neck = AffineTransformation
                    .TranslationInstance(fit.FrameCentre.SMm, fit.FrameCentre.TMm)
                    .Transform(
                        AffineTransformation
                            .RotationInstance(fit.TurnedDeg * Math.PI / 180)
                            .Transform(Polygon(PanelBox.Around(new PanelPoint(0, 0), 360, 360).Corners).Buffer(18, 64))
                    );
                return hole.Covers(neck) && Math.Abs(hole.Boundary.Distance(neck) - fit.SmallestClearanceMm) < 0.1;
            },
            cases: 60
        );

    [Fact] // Brute force over shifts and turns
    public void No_other_way_of_laying_the_frame_leaves_more_room() =>
        Holes.Holds(
            (corners, measured) =>
            {
                // Without a sheet all edges ask for the same room, so that the least of it is what is made as great as it can be.
                if (
                    !HoleCheck
                        .Of(Frame with { ToleranceMinusMm = null, TolerancePlusMm = null }, measured, Facing.Up, LengthFormat.Millimetres)
                        .IsOk(out var worked, out _)
                )
                    return false;
                HoleFit fit = worked.Result;
                var hole = Rounded(fit.Hole);
                double best = double.NegativeInfinity;
                foreach (double turn in new[] { -0.6, -0.3, 0, 0.3, 0.6 })
                    for (double ds = -2; ds <= 2; ds += 0.5)
                    for (double dt = -2; dt <= 2; dt += 0.5)
                    {
                        var neck = AffineTransformation
                            .TranslationInstance(fit.FrameCentre.SMm + ds, fit.FrameCentre.TMm + dt)
                            .Transform(
                                AffineTransformation
                                    .RotationInstance((fit.TurnedDeg + turn) * Math.PI / 180)
                                    .Transform(Polygon(PanelBox.Around(new PanelPoint(0, 0), 360, 360).Corners).Buffer(18, 16))
                            );
                        if (hole.Covers(neck))
                            best = Math.Max(best, hole.Boundary.Distance(neck));
                    }
                return best <= Math.Max(fit.SmallestClearanceMm, 0) + 0.1;
            },
            cases: 12
        );

    /// <summary>Holes cut by an unsteady hand, with the readings a tape would give.</summary>
    private static readonly Gen<(PanelPoint[] Corners, AsCut Measured)> Holes = Gen.Double[-2, 5]
        .Array[8]
        .Select(d =>
        {
            PanelPoint[] c = [new(-d[0], -d[1]), new(398 + d[2], -d[3]), new(398 + d[4], 398 + d[5]), new(-d[6], 398 + d[7])];
            double loss = 2 * 20 * (Math.Sqrt(2) - 1);
            return (
                c,
                new AsCut(
                    c[2].DistanceMm(c[3]),
                    c[0].DistanceMm(c[1]),
                    c[0].DistanceMm(c[3]),
                    c[1].DistanceMm(c[2]),
                    c[0].DistanceMm(c[2]) - loss,
                    c[1].DistanceMm(c[3]) - loss
                )
            );
        });

    private static double ArcDiagonal(double w, double h) => Math.Sqrt((w * w) + (h * h)) - (2 * 20 * (Math.Sqrt(2) - 1));

    private static HoleFit Check(double top, double bottom, double front, double rear, double rising, double falling)
    {
        Assert.True(
            HoleCheck
                .Of(Frame, new AsCut(top, bottom, front, rear, rising, falling), Facing.Up, LengthFormat.Millimetres)
                .IsOk(out var worked, out var problem),
            problem?.Message
        );
        return worked.Result;
    }

    /// <summary>The hole with its corners rounded: shrunk by the radius and grown again.</summary>
    private static NetTopologySuite.Geometries.Geometry Rounded(IReadOnlyList<PanelPoint> corners) =>
        Polygon(corners).Buffer(-20, new BufferParameters(64, EndCapStyle.Round, JoinStyle.Mitre, 5)).Buffer(20, 64);

    private static Polygon Polygon(IReadOnlyList<PanelPoint> points) =>
        Factory.CreatePolygon([.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
}
