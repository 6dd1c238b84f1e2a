using Abri.Core.Declared;

namespace Abri.Core.Weather;

/// <summary>Where a forecast comes from.</summary>
public enum ForecastSource
{
    /// <summary>Typed by hand: what a phone or the radio says.</summary>
    Typed,

    /// <summary>Read from a table of hours.</summary>
    Table,

    /// <summary>From the simulated weather service that ships.</summary>
    Simulated,
}

/// <summary>Which of its made-up weathers the simulated service tells of.</summary>
/// <param name="Climate">The climate.</param>
/// <param name="Seed">Which of its weathers.</param>
public sealed record SimulatedService(Climate Climate, [Within(1, 1_000_000, "The seed")] int Seed = 1);

/// <summary>The weather of coming hours, without gaps.</summary>
/// <param name="Source">Where it comes from.</param>
/// <param name="IssuedAt">When it was issued, or typed.</param>
/// <param name="From">Beginning of the first hour, on the full hour.</param>
/// <param name="Hours">The hours.</param>
/// <param name="Days">What was typed; null where nothing was.</param>
/// <param name="Members">Equally likely courses of the rain: a <c>1</c> for each wet hour, a <c>0</c> for each dry one; null where there are
/// none.</param>
/// <param name="Service">Which simulated service it was asked of; null for others.</param>
public sealed record Forecast(
    ForecastSource Source,
    [Dated] DateTimeOffset IssuedAt,
    [Dated] DateTimeOffset From,
    [Count(1, Forecast.MostHours, "A forecast has from 1 to {1} hours: 16 days.")] IReadOnlyList<WeatherHour> Hours,
    [Count(1, Forecast.MostDays, "From 1 to {1} days are typed.")] IReadOnlyList<DayWeather>? Days = null,
    [Count(1, 100, "From 1 to 100 courses of the rain.")] IReadOnlyList<string>? Members = null,
    SimulatedService? Service = null
) : IConsistent
{
    /// <summary>Most days, and most hours in them.</summary>
    public const int MostDays = 16,
        MostHours = 24 * MostDays;

    /// <summary>How far ahead a forecast is trusted, hours after it was issued: what was typed, and what a service gave by the hour;
    /// assumptions.</summary>
    public const double TypedTrustedHours = 72,
        HourlyTrustedHours = 120;

    /// <summary>After its last hour.</summary>
    public DateTimeOffset End => From.AddHours(Hours.Count);

    /// <summary>Until when it is trusted.</summary>
    public DateTimeOffset TrustedUntil => Earlier(End, IssuedAt.AddHours(Source == ForecastSource.Typed ? TypedTrustedHours : HourlyTrustedHours));

    /// <summary>The hour of a moment; null where the forecast says nothing of it.</summary>
    public WeatherHour? At(DateTimeOffset moment) => moment < From || moment >= End ? null : Hours[(int)(moment - From).TotalHours];

    /// <summary>The hours that a time touches, each with its beginning; those of which the forecast says nothing are left out.</summary>
    public IEnumerable<(DateTimeOffset At, WeatherHour Hour)> Between(DateTimeOffset from, DateTimeOffset to)
    {
        int first = Math.Max(0, (int)Math.Floor((from - From).TotalHours));
        for (int i = first; i < Hours.Count && From.AddHours(i) < to; i++)
            yield return (From.AddHours(i), Hours[i]);
    }

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        From.Ticks % TimeSpan.TicksPerHour != 0 ? ("from", "A forecast begins on the full hour.")
        : Members?.Any(m => m.Length != Hours.Count || m.Any(c => c is not ('0' or '1'))) == true
            ? ("members", "A course of the rain has a 0 or a 1 for each hour.")
        : null;

    private static DateTimeOffset Earlier(DateTimeOffset a, DateTimeOffset b) => a < b ? a : b;
}
