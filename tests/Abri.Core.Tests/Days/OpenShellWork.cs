using Abri.Core.Days;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Tests.Days;

/// <summary>Weather and work, made up for tests; everything in universal time, on Monday 12 May 2031.</summary>
internal static class OpenShellWork
{
    public static readonly DateTimeOffset Monday = new(2031, 5, 12, 0, 0, 0, TimeSpan.Zero);

    private static readonly WeatherNeeds Dry = new(true, null, null, null);

    /// <summary>Cut half an hour, paint a quarter and wait an hour, close half an hour and wait for two: 4 h 15 min at 20 C.</summary>
    public static OpenSpan Span { get; } =
        new([Step("Cut the hole", 30), Step("Paint the edge", 15, waitHours: 1), Step("Set it", 30, waitHours: 2)], true);

    public static DayStep Step(string title, double minutes, double waitHours = 0, WeatherNeeds? needs = null, int people = 1, bool inside = false) =>
        new(title, new Minutes(minutes, minutes, minutes), waitHours, needs ?? Dry, people, inside);

    /// <summary>Fine hours of 20 C from midnight on, but for those that are said.</summary>
    public static Forecast Fine(int hours = 120, Func<int, WeatherHour, WeatherHour>? but = null) =>
        new(
            ForecastSource.Table,
            Monday,
            Monday,
            [
                .. Enumerable
                    .Range(0, hours)
                    .Select(h =>
                    {
                        WeatherHour fine = new(20, 50, 3, 5, 0, 0, 20);
                        return but is null ? fine : but(h, fine);
                    }),
            ]
        );

    public static Func<int, WeatherHour, WeatherHour> Rain(double percent, params int[] at) =>
        (h, hour) => at.Contains(h) ? hour with { RainPercent = percent, RainMm = 1 } : hour;
}
