using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class ClampingTests
{
    [Fact] // Common practice, worked by hand: 45 + 8 = 53; 60 - 53 = 7 off each lug
    public void A_stack_of_53_in_a_gap_of_60_takes_7_off_each_lug()
    {
        ClampFit fit = Fit([new("build-up", 45), new("lining", 8)], 60, new ClampRange(25, 60), [new(14, 0, 32), new(20, 32, 60)]);
        Assert.Equal((53, 7, 0, 20.0), (fit.StackMm, fit.LugTrimMm, fit.PackMm, fit.ScrewMm!.Value));
        Assert.Contains("7 mm off each of the 8 lugs", fit.Verdict);
    }

    [Fact]
    public void A_thin_wall_is_packed_and_on_the_border_the_short_screw_is_tried_first()
    {
        ClampFit thin = Fit([new("skin", 1)], 42, new ClampRange(26, 42), []);
        Assert.Equal((25, 16), (thin.PackMm, thin.LugTrimMm));
        ClampFit border = Fit([new("wall", 31.5)], 42, new ClampRange(26, 42), [new(14, 20, 32), new(20, 32, 60)]);
        Assert.Equal(14, border.ScrewMm);
        // By hand: 32.5 mm of wall, the short screw is for 20 to 32: 12.5 before it bottoms, half a millimetre too thick for its thread.
        ClampFit past = Fit([new("wall", 32.5)], 42, new ClampRange(26, 42), [new(14, 20, 32), new(20, 32, 60)]);
        Assert.Equal((14.0, 12.5, -0.5), (past.ScrewMm!.Value, past.ToBottomMm!.Value, past.ToLooseMm!.Value));
        Assert.Contains("stop before it strips", past.Verdict);
        Assert.Contains("try the 14 mm screw first", border.Verdict);
    }

    [Theory]
    [InlineData(70, 25, 60, "clamp-too-thick")]
    [InlineData(30, 60, 25, "clamp-range")]
    [InlineData(-1, 25, 60, "clamp-layers")]
    public void A_wall_that_can_never_be_clamped_is_refused(double thick, double least, double most, string code) =>
        Assert.Equal(code, ClampedWall.Of([new("wall", thick)], 60, new ClampRange(least, most), 8, [], LengthFormat.Millimetres).Problem!.Code);

    [Theory] // Common practice: 8 mm free; 4.0 meets both readings, 2.0 to 4.0 the one, 4.0 to 6.0 the other
    [InlineData(4, true, true)]
    [InlineData(2, true, false)]
    [InlineData(3, true, false)]
    [InlineData(6, false, true)]
    [InlineData(5, false, true)]
    [InlineData(1.9, false, false)]
    [InlineData(6.1, false, false)]
    public void The_gasket_rule_is_read_both_ways(double after, bool by, bool to)
    {
        GasketFit fit = Gasket.Of([8], [after], LengthFormat.Millimetres).Value!.Result;
        Assert.Equal((by, to, 4.0), (fit.Places[0].MeetsBy, fit.Places[0].MeetsTo, fit.TargetGapMm));
    }

    [Fact]
    public void Where_to_go_on_is_the_place_with_most_left()
    {
        Assert.Contains("place 3 by 1.5 mm", Gasket.Of([8, 8, 8], [4, 4.5, 5.5], LengthFormat.Millimetres).Value!.Result.Verdict);
        // By hand, 8 free: 3.2 is squeezed more than half, 5.5 less: 0.8 back, then 1.5 on.
        Assert.Equal(
            "The frame is skewed: place 2 is squeezed more than half and place 3 less. Ease place 2 first by 0.8 mm, then go on at place "
                + "3 by 1.5 mm.",
            Gasket.Of([8, 8, 8], [4, 3.2, 5.5], LengthFormat.Millimetres).Value!.Result.Verdict
        );
        Assert.Contains("squeezed too far", Gasket.Of([8, 8], [4, 1], LengthFormat.Millimetres).Value!.Result.Verdict);
        Assert.Equal("/afterMm/1", Gasket.Of([8, 8], [4, 9], LengthFormat.Millimetres).Problem!.Pointer);
        Assert.Contains("larger than before", Gasket.Of([8, 8], [4, 9], LengthFormat.Millimetres).Problem!.Message);
        Assert.Equal("/afterMm/0", Gasket.Of([8], [-1], LengthFormat.Millimetres).Problem!.Pointer);
    }

    [Fact] // Checked against every order
    public void No_order_of_tightening_keeps_the_resultant_smaller() =>
        Gen.Select(Gen.Double[-400, 400], Gen.Double[-300, 300])
            .Array[2, 7]
            .Holds(
                places =>
                {
                    PanelPoint[] screws = [.. places.Select(p => new PanelPoint(p.Item1, p.Item2))];
                    ScrewOrder order = TighteningOrder.Of(screws).Value!.Result;
                    var middle = new PanelPoint(screws.Average(p => p.SMm), screws.Average(p => p.TMm));
                    double least = Orders([.. Enumerable.Range(0, screws.Length)]).Min(o => Worst(o, screws, middle));
                    return order.Order.Order().SequenceEqual(Enumerable.Range(0, screws.Length)) && Math.Abs(order.WorstMm - least) < 1e-6;
                },
                cases: 60
            );

    [Fact]
    public void Four_screws_go_crosswise_and_many_are_still_ordered()
    {
        ScrewOrder four = TighteningOrder.Of([new(0, 0), new(400, 0), new(400, 400), new(0, 400)]).Value!.Result;
        Assert.Equal([0, 2, 1, 3], four.Order);
        ScrewOrder many = TighteningOrder
            .Of([.. Enumerable.Range(0, 40).Select(i => new PanelPoint(400 * Math.Cos(i * Math.PI / 20), 300 * Math.Sin(i * Math.PI / 20)))])
            .Value!.Result;
        Assert.False(many.Proven);
        Assert.True(many.WorstMm < 450);
        Assert.Equal("screws-count", TighteningOrder.Of(new PanelPoint[65]).Problem!.Code);
    }

    private static ClampFit Fit(ClampLayer[] layers, double gap, ClampRange range, ScrewForWall[] screws) =>
        ClampedWall.Of(layers, gap, range, 8, screws, LengthFormat.Millimetres).Value!.Result;

    private static double Worst(int[] order, PanelPoint[] screws, PanelPoint middle)
    {
        (double s, double t, double worst) = (0, 0, 0);
        foreach (int i in order)
        {
            (s, t) = (s + screws[i].SMm - middle.SMm, t + screws[i].TMm - middle.TMm);
            worst = Math.Max(worst, Math.Sqrt((s * s) + (t * t)));
        }
        return worst;
    }

    private static IEnumerable<int[]> Orders(int[] left) =>
        left.Length == 0
            ?
            [
                [],
            ]
            : left.SelectMany(first => Orders([.. left.Where(i => i != first)]).Select(rest => (int[])[first, .. rest]));
}
