using Abri.Core.Floor;
using Abri.Core.Geometry;
using CsCheck;
using MathNet.Numerics.LinearAlgebra;

namespace Abri.Core.Tests.Floor;

/// <summary>Awkward boards from base line, tapes, rises and notches.</summary>
public class BoardOutlineTests
{
    private static TapedCorner Off(double along, double off, double rise = 0) => new(TapedBy.Offset, along, off, rise);

    private static TapedCorner Tapes(double a, double b) => new(TapedBy.TwoTapes, a, b);

    private static TapedBoard Board(double baseMm, params TapedCorner[] corners) => new(baseMm, corners, 0, []);

    private static BoardShape Found(TapedBoard board)
    {
        Result<Worked<BoardShape>> result = BoardOutline.Of(board, LengthFormat.Millimetres);
        Assert.Null(result.Problem);
        return result.Value!.Result;
    }

    [Fact]
    public void Two_tapes_meet_where_the_triangle_says()
    {
        FoundCorner corner = Found(Board(1000, Tapes(1000, 1000))).Corners[2];
        Assert.Equal((500.0, 866.0254), (Math.Round(corner.At.SMm, 4), Math.Round(corner.At.TMm, 4)));
        // 3-4-5, over the end of the base line.
        Assert.Equal(new PanelPoint(400, 300), Found(Board(400, Tapes(500, 300))).Corners[2].At);
    }

    [Fact] // Held against MathNet's Levenberg-Marquardt fit of a point to two distances, from another start
    public void Tapes_meet_where_a_fit_of_both_distances_ends() =>
        Gen.Select(Gen.Double[300, 3000], Gen.Double[-500, 3500], Gen.Double[50, 2500])
            .Holds(
                (length, x, y) =>
                {
                    double Apart(double px, double py, double qx) => Math.Sqrt(Math.Pow(px - qx, 2) + (py * py));
                    (double a, double b) = (Apart(x, y, 0), Apart(x, y, length));
                    BoardShape shape = Found(Board(length, Tapes(a, b)));
                    Vector<double> ends = Vector<double>.Build.Dense([0, length]),
                        tapes = Vector<double>.Build.Dense([a, b]);
                    var model = MathNet.Numerics.Optimization.ObjectiveFunction.NonlinearModel(
                        (p, e) => e.Map(q => Apart(p[0], p[1], q)),
                        ends,
                        tapes
                    );
                    Vector<double> fit = new MathNet.Numerics.Optimization.LevenbergMarquardtMinimizer(maximumIterations: 500)
                        .FindMinimum(model, Vector<double>.Build.Dense([length / 2, 1000]))
                        .MinimizingPoint;
                    Assert.InRange(shape.Corners[2].At.DistanceMm(new PanelPoint(fit[0], Math.Abs(fit[1]))), 0, 0.01);
                },
                cases: 60
            );

    [Fact] // Held against the corner worked out anew with each tape a thousandth of a millimetre longer or shorter
    public void Doubt_is_what_a_millimetre_of_tape_does_at_worst() =>
        Gen.Select(Gen.Double[500, 2000], Gen.Double[0, 2000], Gen.Double[100, 2000])
            .Holds(
                (length, x, y) =>
                {
                    (double a, double b) = (Math.Sqrt((x * x) + (y * y)), Math.Sqrt(((x - length) * (x - length)) + (y * y)));
                    FoundCorner corner = Found(Board(length, Tapes(a, b))).Corners[2];
                    const double small = 0.001;
                    double worst = new[] { (1, 1), (1, -1), (-1, 1), (-1, -1) }.Max(s =>
                        Found(Board(length, Tapes(a + (s.Item1 * small), b + (s.Item2 * small)))).Corners[2].At.DistanceMm(corner.At) / small
                    );
                    // What a thousandth does is not quite a straight line.
                    Assert.True(corner.DoubtMm >= (0.999 * worst) - 0.01, $"{corner.DoubtMm} is less than {worst}.");
                    Assert.True(corner.DoubtMm <= (2 * worst) + 0.01, $"{corner.DoubtMm} is more than twice {worst}.");
                },
                cases: 100
            );

    [Fact]
    public void A_flat_crossing_is_said_with_what_to_do()
    {
        BoardShape shape = Found(new TapedBoard(2000, [Off(2000, 800), Off(900, 800), Tapes(1002, 1000)], 0, []));
        Assert.Equal("doubt-3", shape.Rows.Single().Id);
        Assert.Contains("Corner 3 is doubtful: Tape it from a longer base line", shape.Verdict);
        Assert.Empty(Found(Board(1000, Off(1000, 500), Off(0, 500))).Rows);
    }

    [Fact] // By hand: half a circle over a chord of 600 has radius 300 and 141 372 mm2
    public void An_edge_bulges_as_an_arc_and_bends_in_as_one()
    {
        BoardShape arch = Found(new TapedBoard(600, [Off(600, 400), Off(0, 400, 300)], 0, []));
        Assert.Equal(300, arch.Edges[2].RadiusMm!.Value, 9);
        Assert.InRange(arch.AreaMm2, (600 * 400) + (Math.PI * 300 * 300 / 2) - 400, (600 * 400) + (Math.PI * 300 * 300 / 2));
        Assert.Equal(700, arch.WidthMm, 1);
        BoardShape hollow = Found(new TapedBoard(600, [Off(600, 400), Off(0, 400, -300)], 0, []));
        Assert.InRange(hollow.AreaMm2, (600 * 400) - (Math.PI * 300 * 300 / 2), (600 * 400) - (Math.PI * 300 * 300 / 2) + 400);
        Assert.Equal((600.0, 400.0), (hollow.LengthMm, hollow.WidthMm));
        // As good as straight is not a million chords.
        Assert.Equal(5, Found(new TapedBoard(600, [Off(600, 400), Off(0, 400, 1e-300)], 0, [])).Outline.Count);
    }

    [Fact]
    public void Notches_are_taken_out_and_what_is_scribed_is_left_on()
    {
        TapedBoard board = Board(1000, Off(1000, 500), Off(0, 500)) with { Notches = [new(0, 200, 260, 40), new(1, 100, 180, 30)], ScribeMm = 5 };
        BoardShape shape = Found(board);
        Assert.Equal((1000 * 500) - (60 * 40) - (80 * 30), Math.Abs(Outlines.SignedAreaMm2(shape.Outline)), 6);
        Assert.Equal((1010.0, 510.0), (Math.Round(shape.LengthMm, 6), Math.Round(shape.WidthMm, 6)));
        // Its sawn notch is narrower by what is left on either side.
        Assert.Equal((1010 * 510) - (50 * 40) - (70 * 30), shape.AreaMm2, 0);
        Assert.Equal([Math.Sqrt(1_250_000), 500], shape.CheckMm);
        Assert.Equal("A board of 1010 x 510 mm, 5 mm left on to scribe.", shape.Verdict);
    }

    [Fact]
    public void What_cannot_be_is_refused_where_it_was_typed()
    {
        Problem Wrong(TapedBoard board) => BoardOutline.Of(board, LengthFormat.Millimetres).Problem!;
        Problem shorts = Wrong(Board(1000, Off(1000, 500), Tapes(300, 600)));
        Assert.Equal(("tapes-do-not-meet", "/corners/1"), (shorts.Code, shorts.Pointer));
        Assert.Contains("together they are 100 mm short", shorts.Message);
        Assert.Contains("longer than the other", Wrong(Board(1000, Tapes(2500, 600))).Message);
        Assert.Equal("corner-twice", Wrong(Board(1000, Off(1000, 0), Off(0, 500))).Code);
        Assert.Equal("/corners/0/riseMm", Wrong(Board(1000, Off(1000, 500, 251), Off(0, 500))).Pointer);
        Assert.Equal("/lastRiseMm", Wrong(Board(1000, Off(1000, 500), Off(0, 500)) with { LastRiseMm = 300 }).Pointer);
        Assert.Equal("notch-off-edge", Wrong(Board(1000, Off(1000, 500), Off(0, 500)) with { Notches = [new(7, 1, 2, 3)] }).Code);
        Assert.Equal("notch-off-edge", Wrong(Board(1000, Off(1000, 500), Off(0, 500)) with { Notches = [new(1, 400, 600, 3)] }).Code);
        Assert.Equal("notch-through", Wrong(Board(1000, Off(1000, 500), Off(0, 500)) with { Notches = [new(0, 400, 600, 500)] }).Code);
        Assert.NotNull(Wrong(Board(1000, Off(0, 500), Off(1000, 500))));
    }
}
