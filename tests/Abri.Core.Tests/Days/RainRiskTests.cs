using Abri.Core.Days;
using Abri.Core.Weather;
using Abri.Core.Work;
using CsCheck;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Days;

public class RainRiskTests
{
    private static OpenSpan Hours(double hours) => new([Step("Cut the hole", 60 * hours)], true);

    private static RiskCurve Of(OpenSpan span, Forecast forecast, int starts = 1, double from = 0) =>
        RainRisk.Of(span, forecast, Monday.AddHours(from), starts).Value!.Result;

    [Fact] // Closed form of the same chain: P(no rain in n hours) = (1 - p) (1 - p (1 - r))^(n-1), by hand for p = 0.2, r = 0.75, n = 4
    public void The_chance_that_rain_comes_is_that_of_the_chain_of_hours()
    {
        double dry = 0.8 * Math.Pow(1 - (0.2 * 0.25), 3);
        RiskAt at = Of(Hours(4), Fine(but: (_, w) => w with { RainPercent = 20 })).Starts[0];
        // Three standard deviations of 10 000 draws.
        Assert.InRange(at.Chance, 1 - dry - 0.015, 1 - dry + 0.015);
        // Expected minutes need no model at all: every hour's chance is kept.
        Assert.InRange(at.WetMinutes, (0.2 * 240) - 2.5, (0.2 * 240) + 2.5);
    }

    [Fact] // Expectation is exact for any chances: sum of the hours' chances times their minutes
    public void Every_hour_keeps_its_chance_whatever_stands_beside_it() =>
        Gen.Double[0, 100]
            .Array[6]
            .Holds(
                percents =>
                {
                    Forecast forecast = Fine(6, (h, w) => w with { RainPercent = percents[h] });
                    double expected = percents.Sum(p => 60 * p / 100);
                    Assert.InRange(Of(Hours(6), forecast).Starts[0].WetMinutes, expected - 6, expected + 6);
                },
                cases: 20
            );

    [Theory] // Bounds of r: p + r (1 - b) <= 1 and p - r b >= 0
    [InlineData(0.5, 0.5, 0.75)]
    [InlineData(0.9, 0.2, 0.125)]
    [InlineData(0.1, 0.8, 0.125)]
    [InlineData(0, 0.5, 0)]
    [InlineData(0.3, 0, 0.7)]
    public void An_hour_follows_the_one_before_as_far_as_chances_allow(double p, double before, double kept) =>
        Assert.Equal(kept, RainChance.Kept(p, before), 9);

    [Fact] // Brute force: every course of six hours with its probability by the definition of the chain
    public void The_chance_of_any_rain_is_the_sum_over_all_courses_that_have_some() =>
        Gen.Double[0, 100]
            .Array[6]
            .Holds(percents =>
            {
                double[] p = [.. percents.Select(x => x / 100)];
                double wet = 0;
                for (int course = 1; course < 64; course++)
                {
                    double chance = 1;
                    for (int h = 0; h < 6; h++)
                    {
                        bool rains = ((course >> h) & 1) == 1,
                            before = h > 0 && ((course >> (h - 1)) & 1) == 1;
                        double after = h == 0 ? p[0] : p[h] + (RainChance.Kept(p[h], p[h - 1]) * ((before ? 1 : 0) - p[h - 1]));
                        chance *= rains ? after : 1 - after;
                    }
                    wet += chance;
                }
                Forecast forecast = Fine(6, (h, w) => w with { RainPercent = percents[h] });
                Assert.Equal(wet, RainChance.Of(forecast, [(Monday, Monday.AddHours(6))]), 9);
            });

    [Fact] // Times apart are taken as independent, hours that are touched twice count once, courses are counted as they are
    public void Times_apart_count_by_themselves_and_an_hour_only_once()
    {
        Forecast forecast = Fine(6, (h, w) => w with { RainPercent = 10 });
        double Of(params (double From, double To)[] times) =>
            RainChance.Of(forecast, times.Select(t => (Monday.AddHours(t.From), Monday.AddHours(t.To))));
        Assert.Equal(0.19, Of((0, 1), (3, 4)), 9);
        Assert.Equal(0.1, Of((0, 0.4), (0.6, 1)), 9);
        Assert.Equal(0, Of());
        forecast = forecast with { Members = ["100100", "000000", "010000", "000001"] };
        Assert.Equal(0.25, Of((0, 1), (3, 4)), 9);
        Assert.Equal(0.75, Of((0, 6)), 9);
    }

    [Fact] // Hours of 10 %, 1 - 0.9 x 0.975^n: 10, 12.3, 14.4, 16.6, 18.7, 20.7 %
    public void It_is_likely_dry_until_all_hours_so_far_are_too_wet_together()
    {
        Forecast forecast = Fine(24, (_, w) => w with { RainPercent = 10 });
        DateTimeOffset? Wet(double percent) => RainChance.WetAt(forecast, Monday.AddMinutes(30), Monday.AddHours(24), percent);
        Assert.Equal(Monday.AddHours(5), Wet(20));
        Assert.Equal(Monday.AddHours(1), Wet(10));
        Assert.Equal(Monday.AddMinutes(30), Wet(9.9));
        Assert.Null(Wet(60));
    }

    [Fact] // Counted by hand: of four courses two are wet in the second hour
    public void Courses_of_the_forecast_are_counted_as_they_are()
    {
        Forecast forecast = Fine(6) with { Members = ["010000", "010000", "000000", "000001"] };
        RiskCurve curve = Of(Hours(2), forecast, 8);
        Assert.Equal(0.5, curve.Starts[0].Chance, 3);
        // From 0:30 on until 2:30: the wet hour lies in it whole; from 2:00 on nothing until 4:00, from 4:00 on the last hour.
        Assert.Equal((0.5, 30), (curve.Starts[1].Chance, curve.Starts[1].WetMinutes));
        Assert.Equal(0, curve.Starts[4].Chance);
        Assert.Equal(0, curve.Starts[6].Chance);
        Assert.Equal(0.25, curve.Starts[7].Chance, 3);
        Assert.Equal(15.0 / 2, curve.Starts[7].WetMinutes, 3);
    }

    [Fact] // PERT: mean (a + 4 m + b) / 6 = 75 min; an hour and a quarter of 100 % rain
    public void Work_takes_as_long_as_its_three_times_say()
    {
        OpenSpan span = new([new DayStep("Cut the hole", new Minutes(30, 60, 180), 0, WeatherNeeds.Any, 1, false)], true);
        RiskAt at = Of(span, Fine(but: (_, w) => w with { RainPercent = 100 })).Starts[0];
        Assert.Equal(1, at.Chance);
        Assert.InRange(at.WetMinutes, 74, 76);
        // Spread of that beta distribution by the closed form: alpha 1.8, beta 4.2, variance ab / ((a+b)^2 (a+b+1)).
        double[] drawn =
        [
            .. Enumerable
                .Range(0, 4)
                .Select(i =>
                    RainRisk.Of(span, Fine(but: (_, w) => w with { RainPercent = 100 }), Monday, 1, i + 1).Value!.Result.Starts[0].WetMinutes
                ),
        ];
        Assert.All(drawn, d =>
            Assert.InRange(d, 75 - (3 * 150 * Math.Sqrt(1.8 * 4.2 / (36 * 7)) / 100), 75 + (3 * 150 * Math.Sqrt(1.8 * 4.2 / (36 * 7)) / 100))
        );
    }

    [Fact]
    public void The_best_times_lie_apart_and_the_same_question_has_the_same_answer()
    {
        Forecast forecast = Fine(120, (h, w) => w with { RainPercent = h % 24 < 12 ? 50 : 5 });
        RiskCurve curve = Of(Hours(2), forecast, RainRisk.MostStarts);
        Assert.Equal(3, curve.Best.Count);
        Assert.All(curve.Best, b => Assert.True((b.At - Monday).TotalHours % 24 >= 12));
        Assert.True(Math.Abs((curve.Best[0].At - curve.Best[1].At).TotalHours) >= 6);
        Assert.Equal(curve.Starts, Of(Hours(2), forecast, RainRisk.MostStarts).Starts);
        Assert.All(curve.Starts, s => Assert.True(s.Chance >= curve.Best[0].Chance));
    }

    [Fact]
    public void What_the_forecast_does_not_reach_is_told()
    {
        Assert.Equal("outside-forecast", RainRisk.Of(Hours(2), Fine(24), Monday.AddHours(24)).Problem!.Code);
        Assert.Equal("outside-forecast", RainRisk.Of(Hours(30), Fine(24), Monday).Problem!.Code);
        Assert.Equal("starts", RainRisk.Of(Hours(2), Fine(24), Monday, 241).Problem!.Code);
        // The last beginning is the last that ends within it.
        Assert.Equal(Monday.AddHours(22), Of(Hours(2), Fine(24), 240).Starts[^1].At);
    }

    [Fact]
    public void It_ends_when_nobody_waits_for_it_any_more()
    {
        using var stop = new CancellationTokenSource();
        stop.Cancel();
        Assert.Throws<OperationCanceledException>(() => RainRisk.Of(Hours(2), Fine(), Monday, stop: stop.Token));
    }
}
