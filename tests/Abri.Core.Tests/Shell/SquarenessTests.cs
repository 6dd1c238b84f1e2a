using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Shell;

public class SquarenessTests
{
    private static readonly GeometryFactory Factory = new();

    [Fact] // Worked by hand: the upper edge slid back by 5 mm over a height of 500
    public void A_slid_field_is_out_of_square_and_still_parallel()
    {
        SquarenessFound found = Found([new(0, 0), new(1000, 0), new(1005, 500), new(5, 500)]);
        Assert.Equal(-5, found.OutOfSquareOverHeightMm, 2);
        Assert.Equal(-10, found.OutOfSquareOverWidthMm, 2);
        Assert.Equal(0, found.TopFromBottomMm, 2);
        Assert.Equal(0, found.FrontFromRearMm, 2);
        Assert.Equal((995, 500), (Math.Round(found.TrueWidthMm, 2), Math.Round(found.TrueHeightMm, 2)));
    }

    [Fact] // Worked by hand: 500 at the front and 494 at the rear over 1000
    public void Edges_that_close_in_are_told_in_mm()
    {
        SquarenessFound found = Found([new(0, 0), new(1000, 0), new(1000, 494), new(0, 500)]);
        Assert.Equal(6, found.TopFromBottomMm, 2);
        Assert.Equal(0, found.OutOfSquareOverWidthMm, 2);
        Assert.Equal(0, found.MisclosureMm, 6);
        Assert.Equal((1000, 494), (Math.Round(found.TrueWidthMm, 1), Math.Round(found.TrueHeightMm, 1)));
    }

    [Fact]
    public void A_true_rectangle_is_one()
    {
        SquarenessFound found = Found(new PanelBox(0, 1100, 0, 450).Corners);
        Assert.Equal((1100, 450), (Math.Round(found.TrueWidthMm, 3), Math.Round(found.TrueHeightMm, 3)));
        Assert.Equal(Side.Bottom, found.LaidAlong);
    }

    [Fact] // Checked against NetTopologySuite (inside?) and against brute force over a grid of heights along the same edge (none larger?)
    public void The_true_rectangle_lies_inside_and_no_larger_one_lies_along_its_edge() =>
        Quads.Holds(
            corners =>
            {
                SquarenessFound found = Found(corners);
                if (!Polygon(found.Corners).Buffer(0.01).Covers(Polygon(found.TrueRectangle)))
                    return false;
                double best = BruteForceAlongBottom(found.Corners);
                return (found.TrueWidthMm * found.TrueHeightMm) >= best - 1;
            },
            cases: 60
        );

    [Fact]
    public void Readings_that_do_not_close_are_doubted_and_impossible_ones_refused()
    {
        Assert.True(Squareness.Of(new SixReadings(1000, 1000, 500, 500, 1118, 1126)).IsOk(out var doubted, out _));
        Assert.Contains("do not close", doubted.Warnings[0]);
        Assert.False(Squareness.Of(new SixReadings(1000, 1000, 500, 500, 300, 300)).IsOk(out _, out Problem? problem));
        Assert.Equal("readings-impossible", problem.Code);
    }

    [Fact] // Worked by hand: (18 - 12) / 2000 * 1100 = 3.3
    public void Lines_that_look_parallel_differ_over_a_window()
    {
        Assert.True(ParallelLines.Of([new("Gutter", 100, 112), new("Body line", 740, 758)], 2000, 1100).IsOk(out var worked, out _));
        Assert.Equal(3.3, Assert.Single(worked.Result).OverOpeningMm, 6);
        Assert.NotEmpty(worked.Warnings);
    }

    private static readonly Gen<PanelPoint[]> Quads = Gen.Double[-30, 30]
        .Array[8]
        .Select(d => new PanelPoint[] { new(d[0], d[1]), new(1000 + d[2], d[3]), new(1000 + d[4], 500 + d[5]), new(d[6], 500 + d[7]) });

    private static SquarenessFound Found(PanelPoint[] c)
    {
        var readings = new SixReadings(
            c[2].DistanceMm(c[3]),
            c[0].DistanceMm(c[1]),
            c[0].DistanceMm(c[3]),
            c[1].DistanceMm(c[2]),
            c[0].DistanceMm(c[2]),
            c[1].DistanceMm(c[3])
        );
        Assert.True(Squareness.Of(readings).IsOk(out var worked, out var problem), problem?.Message);
        return worked.Result;
    }

    private static double BruteForceAlongBottom(IReadOnlyList<PanelPoint> corners)
    {
        NetTopologySuite.Geometries.Geometry shape = Polygon(corners);
        double best = 0;
        for (double low = 0; low < 60; low += 3)
        {
            for (double high = 400; high < 540; high += 3)
            {
                (double a, double b) = Across(shape, low);
                (double c, double d) = Across(shape, high);
                best = Math.Max(best, (Math.Min(b, d) - Math.Max(a, c)) * (high - low));
            }
        }
        return best;
    }

    private static (double, double) Across(NetTopologySuite.Geometries.Geometry shape, double t)
    {
        Envelope cut = shape.Intersection(Factory.CreateLineString([new Coordinate(-200, t), new Coordinate(1300, t)])).EnvelopeInternal;
        return cut.IsNull ? (0, 0) : (cut.MinX, cut.MaxX);
    }

    private static Polygon Polygon(IReadOnlyList<PanelPoint> points) =>
        Factory.CreatePolygon([.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
}
