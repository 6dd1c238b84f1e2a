using Abri.Core.Shell;
using Abri.Core.Water;
using CsCheck;
using MathNet.Numerics;

namespace Abri.Core.Tests.Water;

public class DryingTests
{
    [Fact] // Checked against MathNet.Numerics: a straight line through the logarithms, followed from the last reading
    public void Wood_dries_towards_the_moisture_of_the_air()
    {
        DryingOutlook outlook = Of((0, 30), (48, 24), (96, 20));
        (_, double slope) = Fit.Line([0, 48, 96], [Math.Log(18), Math.Log(12), Math.Log(8)]);
        Assert.Equal(DryingState.Drying, outlook.State);
        Assert.Equal(Math.Log(8 / 4.0) / -slope, outlook.HoursToLimit!.Value, 6);
        Assert.Equal(82, outlook.HoursToLimit!.Value, 0);
        Assert.Contains("3 days", outlook.Verdict);
    }

    [Theory]
    [InlineData(24, 24, DryingState.TooEarly, "too early")]
    [InlineData(24, 23.1, DryingState.TooEarly, "decays")]
    [InlineData(24, 23, DryingState.Drying, "Not dry yet")]
    [InlineData(19, 20.1, DryingState.WaterComesIn, "decays")]
    [InlineData(19, 20, DryingState.TooEarly, "not fallen")]
    [InlineData(18, 16, DryingState.DryEnough, "Dry enough")]
    [InlineData(18, 16.1, DryingState.Drying, "Not dry yet")]
    [InlineData(12, 12, DryingState.DryEnough, "Dry enough")]
    [InlineData(10, 11.2, DryingState.WaterComesIn, "still comes in")]
    public void The_last_readings_decide(double first, double last, DryingState state, string says)
    {
        DryingOutlook outlook = Of((0, first), (72, last));
        Assert.Equal(state, outlook.State);
        Assert.Contains(says, outlook.Verdict);
        Assert.Equal(state is DryingState.DryEnough or DryingState.Drying, outlook.HoursToLimit is not null);
    }

    [Fact] // Quick at first and slow then, as thick wood dries: once called dry by the fit while the meter read 17.2 %
    public void A_fit_never_calls_dry_what_the_meter_calls_wet() =>
        Assert.Equal(DryingState.TooEarly, Of((0, 45), (12, 22), (24, 18), (48, 17.5), (72, 17.2)).State);

    [Fact] // Down to 12.5 % and up to 18 %: once called dry enough
    public void What_rises_again_is_wetted_again() =>
        Assert.Equal(DryingState.WaterComesIn, Of((0, 30), (24, 20), (48, 14), (72, 13), (96, 12.5), (120, 18)).State);

    [Fact] // By hand: quick 0.0289 per h at first, 0.0047 lately: the slower counts
    public void The_slower_of_two_paces_counts()
    {
        DryingOutlook outlook = Of((0, 40), (24, 26), (48, 22), (72, 20.9), (96, 20));
        Assert.Equal(Math.Log(8 / 4.0) / (Math.Log(10.0 / 8) / 48), outlook.HoursToLimit!.Value, 0);
    }

    [Fact]
    public void No_readings_at_all_are_called_dry_above_the_limit_or_drying_after_a_rise() =>
        Gen.Select(Gen.Double[0.5, 60], Gen.Double[4, 60])
            .Array[2, 9]
            .Select(steps => steps.Select((x, i) => (Hours: steps.Take(i + 1).Sum(y => y.Item1), Percent: x.Item2)).ToArray())
            .Holds(
                readings =>
                {
                    if (readings[^1].Hours - readings[0].Hours < 1)
                        return;
                    DryingOutlook outlook = Of(readings);
                    double last = readings[^1].Percent,
                        low = readings[..^1].Min(r => r.Percent);
                    if (outlook.State == DryingState.DryEnough)
                        Assert.True(last <= WoodMoisture.CoatPercent);
                    if (last > low + Drying.ErrorPercent)
                        Assert.Equal(DryingState.WaterComesIn, outlook.State);
                    if (outlook.State == DryingState.Drying)
                        Assert.True(outlook.HoursToLimit is > 0 && double.IsFinite(outlook.HoursToLimit.Value) && last > WoodMoisture.CoatPercent);
                },
                cases: 400
            );

    [Fact]
    public void Readings_that_say_nothing_are_refused()
    {
        Assert.Equal("readings-too-few", Drying.Of([new(0, 30), new(0.5, 29)]).Problem?.Code);
        Assert.Equal("limit-below-air", Drying.Of([new(0, 30), new(48, 24)], 18, 16).Problem?.Code);
    }

    private static DryingOutlook Of(params (double Hours, double Percent)[] readings) =>
        Drying.Of([.. readings.Select(r => new MoistureReading(r.Hours, r.Percent))]).Value!.Result;
}
