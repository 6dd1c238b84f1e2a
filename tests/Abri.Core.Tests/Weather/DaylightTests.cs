using System.Globalization;
using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Core.Tests.Weather;

public class DaylightTests
{
    public static TheoryData<string> Days() => [.. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "reference", "daylight.csv")).Skip(2)];

    [Theory] // npm suncalc 2.0.2, a general-purpose library with other equations: within four minutes, in the far north within twelve
    [MemberData(nameof(Days))]
    public void The_sun_rises_and_sets_when_an_independent_library_says(string line)
    {
        string[] cells = line.Split(',');
        double latitude = Number(cells[0]);
        var place = new Place(latitude, Number(cells[1]));
        var date = DateOnly.ParseExact(cells[2], "yyyy-MM-dd", CultureInfo.InvariantCulture);
        SunTimes sun = Daylight.Of(place, date, "Etc/UTC").Value!.Result;
        double within = Math.Abs(latitude) > 62 ? 12 : 4;
        foreach (
            (DateTimeOffset? ours, string theirs) in new[]
            {
                (sun.DawnAt, cells[3]),
                (sun.RiseAt, cells[4]),
                (sun.SetAt, cells[5]),
                (sun.DuskAt, cells[6]),
            }
        )
        {
            Assert.Equal(theirs.Length == 0, ours is null);
            if (ours is not { } at)
                continue;
            double minutes = (at.TimeOfDay - TimeSpan.Parse(theirs, CultureInfo.InvariantCulture)).TotalMinutes;
            Assert.InRange(Math.IEEERemainder(minutes, 1440), -within, within);
        }
        // Its height of the sun is lifted by refraction, ours is not: above 15 degrees that is less than the tolerance.
        double high = Daylight.AltitudeDeg(place, new DateTimeOffset(date.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero));
        if (Number(cells[7]) > 15)
            Assert.InRange(high, Number(cells[7]) - 0.1, Number(cells[7]) + 0.1);
    }

    [Fact] // Geometry: on the equator at the equinox the sun passes the zenith
    public void At_the_equator_in_March_the_sun_stands_overhead_at_noon()
    {
        SunTimes sun = Daylight.Of(new Place(0, 0), new DateOnly(2031, 3, 20), "Etc/UTC").Value!.Result;
        Assert.InRange(sun.NoonDeg, 89.5, 90);
        Assert.InRange((sun.SetAt! - sun.RiseAt!).Value.TotalMinutes, 725, 728);
    }

    [Theory]
    [InlineData(78, 6, "The sun does not set: light all day.")]
    [InlineData(78, 12, "It stays dark all day: work by lamp.")]
    [InlineData(60.2, 6, "it does not get dark")]
    public void In_the_far_north_it_says_so_instead_of_a_time(double latitude, int month, string says)
    {
        SunTimes sun = Daylight.Of(new Place(latitude, 16), new DateOnly(2031, month, 21), "Etc/UTC").Value!.Result;
        if (latitude > 70)
            Assert.Contains(says, sun.Verdict, StringComparison.Ordinal);
        else
            Assert.NotNull(sun.SetAt);
        Assert.Equal(latitude > 70, sun.SetAt is null);
    }

    [Fact] // Lisbon's clocks go forward at one in the night of 30 March 2031: the sun does not
    public void Summer_time_moves_the_clock_and_not_the_sun()
    {
        SunTimes Of(int day) => Daylight.Of(new Place(38.7, -9.1), new DateOnly(2031, 3, day), "Europe/Lisbon").Value!.Result;
        (SunTimes before, SunTimes after) = (Of(29), Of(30));
        Assert.Equal(1, after.NoonAt.Offset.Hours - before.NoonAt.Offset.Hours);
        Assert.InRange((after.RiseAt!.Value.UtcDateTime - before.RiseAt!.Value.UtcDateTime).TotalHours, 23.9, 24);
        Assert.InRange((after.RiseAt.Value.DateTime - before.RiseAt.Value.DateTime).TotalHours, 24.9, 25);
    }

    [Fact]
    public void A_time_zone_that_nobody_knows_is_told() =>
        Assert.Equal("/timeZone", Daylight.Of(new Place(0, 0), new DateOnly(2031, 3, 20), "Mars/Olympus").Problem!.Pointer);

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
