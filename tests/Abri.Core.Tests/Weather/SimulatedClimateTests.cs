using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Core.Tests.Weather;

public class SimulatedClimateTests
{
    private static readonly Place Harbour = new(48, -4);
    private static readonly DateTimeOffset Begin = new(2031, 5, 12, 0, 0, 0, TimeSpan.Zero);

    /// <summary>Each hour that was forecast from one to so many hours ahead: its chance, and whether it really rained.</summary>
    private static IEnumerable<(double Chance, bool Wet)> Forecasts(Climate climate, int fromLead, int toLead)
    {
        for (int seed = 1; seed <= 6; seed++)
        {
            var service = new SimulatedClimate(new SimulatedService(climate, seed));
            for (int issue = 0; issue < 40; issue++)
            {
                Forecast forecast = service.Latest(Begin.AddHours(30 * issue), Harbour);
                for (int lead = fromLead; lead < toLead; lead += 3)
                    yield return (forecast.Hours[lead].RainPercent / 100, service.IsWet(forecast.From.AddHours(lead)));
            }
        }
    }

    [Theory] // Definition of reliability: of the hours said to be wet with p about p are
    [InlineData(Climate.Coast)]
    [InlineData(Climate.WetCoast)]
    public void Of_the_hours_that_are_said_to_be_wet_with_30_percent_about_30_percent_are(Climate climate)
    {
        (double Chance, bool Wet)[] all = [.. Forecasts(climate, 1, 97)];
        foreach (IGrouping<int, (double Chance, bool Wet)> bin in all.GroupBy(f => Math.Min(4, (int)(f.Chance * 5))).Where(g => g.Count() > 300))
            Assert.InRange(bin.Average(f => f.Wet ? 1.0 : 0) - bin.Average(f => f.Chance), -0.05, 0.05);
    }

    [Fact] // Brier score against climatology, which always says the climate's share of wet hours
    public void A_forecast_knows_more_than_the_climate_does_and_less_the_further_ahead()
    {
        double Skill(int from, int to)
        {
            (double Chance, bool Wet)[] all = [.. Forecasts(Climate.Coast, from, to)];
            double share = all.Average(f => f.Wet ? 1.0 : 0),
                brier = all.Average(f => Math.Pow(f.Chance - (f.Wet ? 1 : 0), 2));
            return 1 - (brier / (share * (1 - share)));
        }
        double first = Skill(1, 12),
            second = Skill(36, 60),
            last = Skill(96, 120);
        Assert.True(first > 0.45, $"{first}");
        Assert.True(second > 0.1 && second < first - 0.1, $"{second}");
        Assert.True(last < second, $"{last}");
    }

    [Theory] // Share of wet hours by the normal distribution above the threshold: 1.05 gives 15 %, 0.45 33 %, 2.1 2 %
    [InlineData(Climate.Coast, 0.15)]
    [InlineData(Climate.WetCoast, 0.33)]
    [InlineData(Climate.Dry, 0.018)]
    public void Each_climate_is_wet_as_often_as_it_should_be(Climate climate, double share)
    {
        var service = new SimulatedClimate(new SimulatedService(climate, 3));
        double wet = Enumerable.Range(0, 30_000).Average(h => service.IsWet(Begin.AddHours(h)) ? 1.0 : 0);
        Assert.InRange(wet, share * 0.85, share * 1.15);
    }

    [Theory] // Tables of the normal distribution
    [InlineData(0, 0.5)]
    [InlineData(1, 0.841345)]
    [InlineData(-1.96, 0.024998)]
    [InlineData(3, 0.998650)]
    public void The_normal_distribution_is_that_of_the_tables(double x, double below) => Assert.Equal(below, Noise.NormalBelow(x), 5);

    [Fact] // The members and the chance tell of the same: of 20 members about as many are wet
    public void Members_are_wet_as_often_as_the_chance_says()
    {
        Forecast forecast = new SimulatedClimate(new SimulatedService(Climate.WetCoast, 4)).Latest(Begin, Harbour);
        double members = forecast.Members!.Average(m => m.Average(c => c == '1' ? 1.0 : 0));
        Assert.InRange(forecast.Hours.Average(h => h.RainPercent) / 100, members - 0.06, members + 0.06);
    }

    [Fact]
    public void Wet_hours_come_in_spells()
    {
        var service = new SimulatedClimate(new SimulatedService(Climate.Coast, 3));
        bool[] wet = [.. Enumerable.Range(0, 20_000).Select(h => service.IsWet(Begin.AddHours(h)))];
        double after = wet.Skip(1).Where((_, i) => wet[i]).Average(w => w ? 1.0 : 0);
        Assert.InRange(after, 0.6, 0.85);
    }

    [Fact]
    public void The_same_service_always_tells_the_same_and_a_new_forecast_comes_every_six_hours()
    {
        Forecast Of(double hours, int seed = 5) =>
            new SimulatedClimate(new SimulatedService(Climate.Inland, seed)).Latest(Begin.AddHours(hours), Harbour);
        Assert.Equal(Of(1).Hours, Of(5.9).Hours);
        Assert.Equal(Begin, Of(5.9).IssuedAt);
        Assert.Equal(Begin.AddHours(6), Of(6).IssuedAt);
        Assert.NotEqual(Of(1).Hours.Skip(10).Take(10), Of(6).Hours.Skip(4).Take(10));
        Assert.NotEqual(Of(1).Hours, Of(1, 6).Hours);
        Assert.Equal((SimulatedClimate.MemberCount, SimulatedClimate.AheadHours), (Of(1).Members!.Count, Of(1).Hours.Count));
    }

    [Theory]
    [InlineData(Climate.Coast)]
    [InlineData(Climate.WetCoast)]
    [InlineData(Climate.Inland)]
    [InlineData(Climate.Dry)]
    [InlineData(Climate.North)]
    public void Every_hour_of_a_year_can_be_kept_and_days_are_warmer_than_nights(Climate climate)
    {
        var service = new SimulatedClimate(new SimulatedService(climate, 2));
        Forecast forecast = service.Latest(Begin, Harbour);
        Assert.Null(Core.Declared.DeclaredRanges.Of(forecast));
        WeatherHour[] year = [.. Enumerable.Range(0, 365 * 24).Select(h => service.Truth(Begin.AddHours(h), Harbour))];
        Assert.All(year, h => Assert.Null(Core.Declared.DeclaredRanges.Of(h)));
        Assert.True(year.Where((_, h) => h % 24 == 14).Average(h => h.AirC) > year.Where((_, h) => h % 24 == 4).Average(h => h.AirC) + 2);
        Assert.True(year[..(24 * 60)].Average(h => h.AirC) > year[(24 * 200)..(24 * 260)].Average(h => h.AirC) + 3);
        Assert.Equal(climate == Climate.North, year.Average(h => h.AirC) < 5);
    }
}
