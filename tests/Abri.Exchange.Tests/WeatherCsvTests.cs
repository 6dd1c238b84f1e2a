using Abri.Core;
using Abri.Core.Weather;

namespace Abri.Exchange.Tests;

public class WeatherCsvTests
{
    private static readonly DateTimeOffset Issued = new(2031, 5, 12, 6, 0, 0, TimeSpan.Zero);
    private static readonly TimeZoneInfo Lisbon = TimeZoneInfo.FindSystemTimeZoneById("Europe/Lisbon");

    private const string Heads = "time,temperature (C),humidity,wind m/s,gust,rain mm,probability,cloud\n";

    private static ReadWeather Read(string text, TimeZoneInfo? zone = null) =>
        WeatherCsv.Read(text, zone ?? TimeZoneInfo.Utc, Issued).IsOk(out ReadWeather? read, out Problem? problem)
            ? read
            : throw new InvalidOperationException(problem.Message);

    private static string Trouble(string text, TimeZoneInfo? zone = null) => WeatherCsv.Read(text, zone ?? TimeZoneInfo.Utc, Issued).Problem!.Message;

    [Fact]
    public void Columns_are_known_by_their_headings_in_any_order()
    {
        ReadWeather read = Read(
            "cloud;wind direction;chance of rain;Dew point °C;temp;wind;apparent temp;time\n30;210;15%;7;12,5;3,2;11;2031-05-12T07:00\n"
        );
        WeatherHour hour = Assert.Single(read.Forecast.Hours);
        Assert.Equal((12.5, 3.2, 15, 30), (hour.AirC, hour.WindMs, hour.RainPercent, hour.CloudPercent));
        // Magnus formula: dew point 7 C in air of 12.5 C is 69 %.
        Assert.Equal(69, hour.RelativePercent);
        Assert.Equal(5.1, hour.GustMs);
        Assert.Equal(["No gusts in the table: taken as 1.6 times the wind."], read.Notes);
        Assert.Equal((ForecastSource.Table, Issued), (read.Forecast.Source, read.Forecast.IssuedAt));
    }

    [Theory] // 1 knot = 1852 m/h, 1 mph = 0.44704 m/s, 1 in = 25.4 mm, (F - 32) 5/9
    [InlineData("wind (kn)", 10, 5.1)]
    [InlineData("wind_kt", 10, 5.1)]
    [InlineData("wind in knots", 10, 5.1)]
    [InlineData("wind km/h", 36, 10)]
    [InlineData("wind_mph", 10, 4.5)]
    [InlineData("wind", 10, 10)]
    public void Wind_is_read_in_the_unit_of_its_heading(string head, double figure, double metres) =>
        Assert.Equal(metres, Read($"time,temp,rh,{head},chance\n2031-05-12T07:00,12,60,{figure},10\n").Forecast.Hours[0].WindMs);

    [Fact]
    public void Fahrenheit_and_inches_are_read_where_the_heading_says_so()
    {
        WeatherHour hour = Read("time,temp_f,dewpoint (°F),wind,rain in\n2031-05-12T07:00,50,41,3,0.1\n").Forecast.Hours[0];
        Assert.Equal((10, 2.5, 85), (hour.AirC, hour.RainMm, hour.RainPercent));
        Assert.Equal(71, hour.RelativePercent);
        Assert.Contains(
            "name the column temperature (F)",
            Trouble("time,temp,rh,wind,chance\n2031-05-12T07:00,75,60,3,10\n"),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Gaps_up_to_three_hours_are_filled_with_the_worse_rain_and_longer_ones_are_told()
    {
        string Row(int hour, double air, double chance) => $"2031-05-12T{hour:00}:00,{air},60,3,5,0,{chance},20\n";
        ReadWeather read = Read(Heads + Row(6, 10, 0) + Row(9, 16, 80) + Row(10, 17, 0));
        Assert.Equal([10, 12, 14, 16, 17], read.Forecast.Hours.Select(h => h.AirC));
        Assert.Equal([0, 80, 80, 80, 0], read.Forecast.Hours.Select(h => h.RainPercent));
        Assert.Equal(["2 hours were not in the table and filled in from the hours beside."], read.Notes);
        Assert.Contains(
            "Line 3 begins at 12 May 10:00, 4 hours after the line before it.",
            Trouble(Heads + Row(6, 10, 0) + Row(10, 16, 80)),
            StringComparison.Ordinal
        );
        // Lines in any order.
        Assert.Equal([10, 17], Read(Heads + Row(7, 17, 0) + Row(6, 10, 0)).Forecast.Hours.Select(h => h.AirC));
    }

    [Fact]
    public void An_hour_that_stands_twice_is_read_once_and_told_where_it_differs()
    {
        const string Seven = "2031-05-12T07:00,12,60,3,5,0,10,20\n";
        Assert.Equal(["1 hour stood in the table twice and was read once."], Read(Heads + Seven + Seven).Notes);
        Assert.Contains(
            "Line 3 gives 12 May 07:00, as line 2 does, with other figures.",
            Trouble(Heads + Seven + Seven.Replace("12,60", "13,60", StringComparison.Ordinal)),
            StringComparison.Ordinal
        );
    }

    [Fact] // In Lisbon two o'clock comes back as one on 26 October 2031, and is left out on 30 March
    public void The_hour_that_summer_time_gives_or_takes_is_read_as_it_was()
    {
        string Row(string time, double air) => $"{time},{air},60,3,5,0,10,20\n";
        Forecast autumn = Read(
            Heads + Row("2031-10-26T00:00", 9) + Row("2031-10-26T01:00", 10) + Row("2031-10-26T01:00", 11) + Row("2031-10-26T02:00", 12),
            Lisbon
        ).Forecast;
        Assert.Equal([9, 10, 11, 12], autumn.Hours.Select(h => h.AirC));
        Assert.Equal(new DateTimeOffset(2031, 10, 25, 23, 0, 0, TimeSpan.Zero), autumn.From);
        Assert.Equal(2, Read(Heads + Row("2031-03-30T00:00", 9) + Row("2031-03-30T02:00", 10), Lisbon).Forecast.Hours.Count);
        Assert.Contains("that hour is not there", Trouble(Heads + Row("2031-03-30T01:00", 9), Lisbon), StringComparison.Ordinal);
        // With an offset it is exact.
        Assert.Equal(Issued.AddHours(-1), Read(Heads + Row("2031-05-12T07:00+02:00", 9), Lisbon).Forecast.From);
        Assert.Equal(Issued, Read(Heads + Row("2031-05-12T06:00Z", 9), Lisbon).Forecast.From);
    }

    [Theory]
    [InlineData("", "The file is empty.")]
    [InlineData("time,temp\n", "not found: humidity or dew point, wind, chance of rain or rain.")]
    [InlineData("time,temp,temperature,rh,wind,rain\n", "seem to tell the same")]
    [InlineData(Heads, "The file has a heading and no hours.")]
    [InlineData(Heads + "2031-05-12T07:00,12,60,3,5,0,140,20\n", "Line 2 has 140 under \"probability\": it has to lie between 0 and 100 %.")]
    [InlineData(Heads + "2031-05-12T07:00,warm,60,3,5,0,10,20\n", "Line 2 has \"warm\" under \"temperature (C)\"")]
    [InlineData(Heads + "2031-05-12T07:00,12,60\n", "has \"\" under \"wind m/s\"")]
    [InlineData(Heads + "05/12/2031 07:00,12,60,3,5,0,10,20\n", "write it as 2031-05-12T07:00")]
    [InlineData(Heads + "2031-05-12T07:15,12,60,3,5,0,10,20\n", "on the full hour")]
    [InlineData(Heads + "2031-05-12T07:00,12,60,200,5,0,10,20\n", "km/h, mph or knots")]
    public void What_cannot_be_read_is_told_with_its_line(string text, string says) => Assert.Contains(says, Trouble(text), StringComparison.Ordinal);

    [Fact]
    public void A_line_that_says_what_parts_the_columns_is_no_heading()
    {
        ReadWeather read = Read("\uFEFFsep=;\r\ntime;temp;rh;wind;rain\r\n2031-05-12T07:00;12,5;60;3;0\r\n");
        // No rain is dry as it is typed: an hour in fifty.
        Assert.Equal((12.5, 2), (read.Forecast.Hours[0].AirC, read.Forecast.Hours[0].RainPercent));
    }

    [Fact]
    public void Day_and_hour_may_stand_in_two_columns_and_dates_may_be_written_with_dots()
    {
        Assert.Equal(Issued.AddHours(1), Read("date;time;temp;rh;wind;rain\n12.05.2031;7:00;12;60;3;0,4\n").Forecast.From);
        Assert.Equal(Issued.AddHours(1), Read("date,time,temp,rh,wind,rain\n2031-05-12,07:00,12,60,3,0.4\n").Forecast.From);
    }

    [Fact]
    public void Sixteen_days_are_read_of_a_longer_table()
    {
        string rows = string.Concat(Enumerable.Range(0, 400).Select(h => $"{Issued.AddHours(h):yyyy-MM-dd'T'HH:mm},12,60,3,5,0,10,20\n"));
        ReadWeather read = Read(Heads + rows);
        Assert.Equal(Forecast.MostHours, read.Forecast.Hours.Count);
        Assert.Contains("Only the first 16 days were read.", read.Notes);
        Assert.Contains("past the 5000 lines", Trouble(Heads + string.Concat(Enumerable.Repeat(rows, 13))), StringComparison.Ordinal);
    }
}
