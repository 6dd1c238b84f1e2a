using Abri.Core.Shell;
using Abri.Core.Weather;
using CsCheck;

namespace Abri.Core.Tests.Weather;

public class WeatherFromDaysTests
{
    private static readonly Place Harbour = new(38.7, -9.1);

    private static DayWeather Day(int day, double high = 18, double low = 8, Sky all = Sky.Dry) =>
        new(new DateOnly(2031, 5, day), all, all, all, all, high, low, 4);

    private static Forecast Of(params DayWeather[] days) =>
        WeatherFromDays.Of(days, "Europe/Lisbon", Harbour, new DateTimeOffset(2031, 5, 12, 6, 0, 0, TimeSpan.Zero)).Value!.Result;

    [Fact] // By hand: sun from 6:27 to 20:38 by the clock there, so warmest at 13:33 + 1.8 h
    public void A_day_is_coldest_at_sunrise_and_warmest_in_the_afternoon()
    {
        Forecast forecast = Of(Day(12), Day(13), Day(14));
        Assert.Equal(72, forecast.Hours.Count);
        WeatherHour[] second = [.. forecast.Hours.Skip(24).Take(24)];
        int coldest = Array.FindIndex(second, h => h.AirC == second.Min(x => x.AirC)),
            warmest = Array.FindIndex(second, h => h.AirC == second.Max(x => x.AirC));
        Assert.InRange(coldest, 6, 7);
        Assert.Equal(15, warmest);
        Assert.InRange(second[warmest].AirC, 17.5, 18);
        Assert.InRange(second[coldest].AirC, 8, 8.6);
        // From its beginning by the clock at the vehicle: an hour before midnight in universal time.
        Assert.Equal(new DateTimeOffset(2031, 5, 11, 23, 0, 0, TimeSpan.Zero), forecast.From);
    }

    [Fact] // Humidity by the Magnus formula: dew point 7 C, at 8 C 93 %, at 18 C 49 %
    public void The_air_keeps_its_water_through_the_day()
    {
        Forecast forecast = Of(Day(12), Day(13));
        Assert.All(forecast.Hours, h => Assert.InRange(h.DewPointC, 6.6, 7.2));
        Assert.InRange(forecast.Hours.Max(h => h.RelativePercent), 90, 94);
        Assert.InRange(forecast.Hours.Min(h => h.RelativePercent), 48, 50);
        // On a day with rain the air is full at its coldest.
        Assert.InRange(Of(Day(12, all: Sky.Rain)).Hours.Max(h => h.RelativePercent), 97, 100);
    }

    [Theory]
    [InlineData(Sky.Dry, 2, 0, 6.4)]
    [InlineData(Sky.Showers, 40, 1, 6.4)]
    [InlineData(Sky.Rain, 85, 1.5, 6.4)]
    [InlineData(Sky.Storm, 95, 5, 8.8)]
    public void Each_word_has_its_chance_its_rain_and_its_gusts(Sky sky, double chance, double mm, double gust)
    {
        WeatherHour hour = Of(new DayWeather(new DateOnly(2031, 5, 12), Sky.Dry, sky, Sky.Dry, Sky.Dry, 18, 8, 4)).Hours[7];
        Assert.Equal((chance, mm, gust), (hour.RainPercent, hour.RainMm, hour.GustMs));
    }

    [Fact]
    public void Each_quarter_of_the_day_has_its_own_sky()
    {
        Forecast forecast = Of(new DayWeather(new DateOnly(2031, 5, 12), Sky.Dry, Sky.Showers, Sky.Rain, Sky.Storm, 18, 8, 4));
        Assert.Equal([2, 40, 85, 95], new[] { 5, 6, 12, 18 }.Select(i => forecast.Hours[i].RainPercent));
        Assert.Equal([2, 40, 85, 95], new[] { 0, 11, 17, 23 }.Select(i => forecast.Hours[i].RainPercent));
    }

    [Theory] // Clocks go forward on 30 March 2031 and back on 26 October
    [InlineData(3, 30, 23)]
    [InlineData(10, 26, 25)]
    [InlineData(5, 12, 24)]
    public void A_day_has_the_hours_that_its_clock_gives_it(int month, int day, int hours)
    {
        var typed = new DayWeather(new DateOnly(2031, month, day), Sky.Dry, Sky.Dry, Sky.Dry, Sky.Dry, 18, 8, 4);
        Assert.Equal(hours, WeatherFromDays.Of([typed], "Europe/Lisbon", Harbour, DateTimeOffset.UnixEpoch).Value!.Result.Hours.Count);
    }

    [Fact]
    public void Days_that_do_not_follow_one_another_are_told()
    {
        Problem problem = WeatherFromDays.Of([Day(12), Day(14)], "Etc/UTC", Harbour, DateTimeOffset.UnixEpoch).Problem!;
        Assert.Equal(("days-gap", "/days/1/date"), (problem.Code, problem.Pointer));
        Assert.Equal("days-count", WeatherFromDays.Of([], "Etc/UTC", Harbour, DateTimeOffset.UnixEpoch).Problem!.Code);
        Assert.NotEmpty(WeatherFromDays.Of([Day(12)], "Etc/UTC", null, DateTimeOffset.UnixEpoch).Value!.Warnings);
    }

    [Fact]
    public void Whatever_is_typed_no_hour_leaves_its_high_and_low_and_every_hour_can_be_kept() =>
        Gen.Select(Gen.Double[-40, 30], Gen.Double[0, 25], Gen.Double[0, 60], Gen.Enum<Sky>(), Gen.Double[-85, 85], Gen.Int[1, 300])
            .Holds(x =>
            {
                (double low, double span, double wind, Sky sky, double latitude, int day) = x;
                DateOnly first = new DateOnly(2031, 1, 1).AddDays(day);
                DayWeather[] days =
                [
                    .. Enumerable.Range(0, 3).Select(i => new DayWeather(first.AddDays(i), sky, sky, Sky.Dry, sky, low + span, low, wind)),
                ];
                Forecast forecast = WeatherFromDays.Of(days, "Etc/UTC", new Place(latitude, 10), DateTimeOffset.UnixEpoch).Value!.Result;
                Assert.All(forecast.Hours, h => Assert.InRange(h.AirC, low - 0.051, low + span + 0.051));
                Assert.Null(Core.Declared.DeclaredRanges.Of(forecast));
            });

    [Fact] // How far ahead it is trusted: 72 h typed, 120 h else; never beyond its end
    public void A_forecast_knows_its_hours_and_how_far_it_is_trusted()
    {
        Forecast typed = Of(Day(12), Day(13), Day(14), Day(15), Day(16));
        Assert.Equal(typed.IssuedAt.AddHours(72), typed.TrustedUntil);
        Assert.Equal(typed.End, (typed with { Source = ForecastSource.Table, IssuedAt = typed.From.AddHours(1) }).TrustedUntil);
        Assert.Null(typed.At(typed.From.AddTicks(-1)));
        Assert.Same(typed.Hours[0], typed.At(typed.From));
        Assert.Same(typed.Hours[0], typed.At(typed.From.AddMinutes(59)));
        Assert.Same(typed.Hours[^1], typed.At(typed.End.AddTicks(-1)));
        Assert.Null(typed.At(typed.End));
        Assert.Equal(2, typed.Between(typed.From.AddMinutes(30), typed.From.AddMinutes(90)).Count());
        Assert.Single(typed.Between(typed.From.AddMinutes(30), typed.From.AddMinutes(60)));
        Assert.Equal("from", (typed with { From = typed.From.AddMinutes(1) }).Contradiction()!.Value.Field);
        Assert.Equal("members", (typed with { Members = ["01"] }).Contradiction()!.Value.Field);
        Assert.NotNull(Day(12, 8, 9).Contradiction());
    }
}
