using Abri.Core.Load;
using CsCheck;
using MathNet.Numerics.LinearAlgebra;

namespace Abri.Core.Tests.Load;

public class WeighbridgeTests
{
    private static readonly AxleShares Nothing = new(0, 0, 0);

    private static WeighedBase Of(BasePapers papers, params WeighedLoad[] weighed) => Weighbridge.Of(papers, weighed, isTrailer: false).Result;

    private static WeighedLoad Read(double? total, double? front, double? rear, AxleShares? aboard = null) =>
        new(new WeighbridgeReading(total, front, rear), aboard ?? Nothing);

    [Fact]
    public void Without_a_bridge_it_is_as_the_papers_say()
    {
        WeighedBase known = Of(new BasePapers(2400, 1300));
        Assert.Equal((1300, 1100, 1200), (known.On.FrontKg, known.On.RearKg, known.On.LeftKg));
        Assert.Equal((true, true, false), (known.KnowsTotal, known.KnowsAxles, known.KnowsSides));
    }

    [Fact] // By hand: 2500 kg shown with 60 kg aboard on the front and 140 kg on the rear
    public void What_was_aboard_is_taken_off()
    {
        WeighedBase known = Of(new BasePapers(2400, 1300), Read(null, 1310, 1190, new AxleShares(60, 140, 100)));
        Assert.Equal((1250, 1050), (Math.Round(known.On.FrontKg, 2), Math.Round(known.On.RearKg, 2)));
        Assert.Equal(-100, known.MoreKg!.Value, 2);
        Assert.InRange(known.WorstKg, 0, 0.01);
    }

    [Fact]
    public void What_no_bridge_told_stays_as_the_papers_have_it()
    {
        // The front axle alone: the rear one stays.
        WeighedBase front = Of(new BasePapers(2400, 1300), Read(null, 1360, null));
        Assert.Equal((1360, 1100), (Math.Round(front.On.FrontKg, 2), Math.Round(front.On.RearKg, 2)));
        // The total alone: what is more is shared evenly, since nobody knows where it is.
        WeighedBase total = Of(new BasePapers(2400, 1300), Read(2500, null, null));
        Assert.Equal((1350, 1150), (Math.Round(total.On.FrontKg, 2), Math.Round(total.On.RearKg, 2)));
    }

    [Theory] // Papers without the axles, or none: one figure of the bridge shares out the rest
    [InlineData(2400.0, null, 1300.0, null, true, true, 1300, 1100)]
    [InlineData(2400.0, null, null, 1050.0, true, true, 1350, 1050)]
    [InlineData(2400.0, null, null, null, true, false, 1200, 1200)]
    [InlineData(null, 2380.0, 1280.0, null, true, true, 1280, 1100)]
    [InlineData(null, null, 1280.0, 1120.0, true, true, 1280, 1120)]
    [InlineData(null, null, 1280.0, null, false, false, 1280, 0)]
    public void Papers_that_say_little(
        double? kerb,
        double? total,
        double? front,
        double? rear,
        bool knowsTotal,
        bool knowsAxles,
        double onFront,
        double onRear
    )
    {
        WeighedLoad[] weighed = (total ?? front ?? rear) is null ? [] : [Read(total, front, rear)];
        WeighedBase known = Of(new BasePapers(kerb, null), weighed);
        Assert.Equal((knowsTotal, knowsAxles), (known.KnowsTotal, known.KnowsAxles));
        Assert.Equal(onFront, known.On.FrontKg, 1);
        if (knowsAxles)
            Assert.Equal(onRear, known.On.RearKg, 1);
        Assert.Equal(kerb is null, known.MoreKg is null);
    }

    /// <summary>Held against MathNet's least squares (QR) on the same figures, where a bridge told both axles and a side.</summary>
    [Fact]
    public void Many_times_on_many_bridges_are_evened_out_as_least_squares_do() =>
        Gen.Select(
                Gen.Double[800, 1800],
                Gen.Double[700, 1800],
                Gen.Select(Gen.Double[-15, 15].Array[5], Gen.Double[0, 400].Array[3]).Array[2, 8],
                Gen.Bool
            )
            .Holds(
                (front, rear, times, isTrailer) =>
                {
                    double f = isTrailer ? 0 : 1,
                        left = ((f * front) + rear) * 0.52;
                    WeighedLoad[] weighed =
                    [
                        .. times.Select(
                            (t, i) =>
                            {
                                (double[] off, double[] aboard) = t;
                                var on = new AxleShares(aboard[0], aboard[1], aboard[2]);
                                double wheels = (f * (front + on.FrontKg)) + rear + on.RearKg;
                                return new WeighedLoad(
                                    new WeighbridgeReading(
                                        i % 2 == 0 ? front + rear + on.FrontKg + on.RearKg + off[0] : null,
                                        front + on.FrontKg + off[1],
                                        i % 3 == 0 ? rear + on.RearKg + off[2] : null,
                                        left + on.LeftKg + off[3],
                                        i % 2 == 1 ? wheels - left - on.LeftKg + off[4] : null
                                    ),
                                    on
                                );
                            }
                        ),
                    ];
                    List<double[]> rows = [];
                    List<double> figures = [];
                    foreach ((WeighbridgeReading r, AxleShares a) in weighed)
                    {
                        void Add(double? shown, double aboard, params double[] row)
                        {
                            if (shown is not { } kg)
                                return;
                            rows.Add(row);
                            figures.Add(kg - aboard);
                        }
                        Add(r.TotalKg, a.FrontKg + a.RearKg, 1, 1, 0);
                        Add(r.FrontKg, a.FrontKg, 1, 0, 0);
                        Add(r.RearKg, a.RearKg, 0, 1, 0);
                        Add(r.LeftKg, a.LeftKg, 0, 0, 1);
                        Add(r.RightKg, (f * a.FrontKg) + a.RearKg - a.LeftKg, f, 1, -1);
                    }
                    Vector<double> best = Matrix<double>.Build.DenseOfRowArrays(rows).QR().Solve(Vector<double>.Build.DenseOfEnumerable(figures));
                    WeighedBase known = Weighbridge.Of(new BasePapers(2400, 1300), weighed, isTrailer).Result;
                    Assert.InRange(known.On.FrontKg - best[0], -0.05, 0.05);
                    Assert.InRange(known.On.RearKg - best[1], -0.05, 0.05);
                    Assert.InRange(known.On.LeftKg - best[2], -0.05, 0.05);
                    Assert.True(known.KnowsSides);
                },
                cases: 200
            );

    [Theory]
    [InlineData(null, null, null, "totalKg")]
    [InlineData(1000.0, 1200.0, null, "frontKg")]
    [InlineData(1000.0, null, 1200.0, "rearKg")]
    public void A_reading_that_cannot_be_is_told(double? total, double? front, double? rear, string field) =>
        Assert.Equal(field, ((Abri.Core.Declared.IConsistent)new WeighbridgeReading(total, front, rear)).Contradiction()?.Field);
}
