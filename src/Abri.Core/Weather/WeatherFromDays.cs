using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Weather;

/// <summary>Makes hours of the few words that a phone or the radio has for a day.</summary>
/// <remarks>
/// Temperature: a sine from the low at sunrise over the high in mid-afternoon, and after sunset an exponential fall to the next day's low (Parton and
/// Logan 1981, from memory). Humidity: the dew point stays through the day, <see cref="DewBelowLowK"/> below the low, at the low on a day with rain.
/// Chance of rain, rain, cloud and gusts by the words: <see cref="RainPercentOf"/> and the table beside it, assumptions.
/// </remarks>
/// <example>A dry day from 8 to 18 C: coldest at sunrise, 18 C at about 15:00, humidity from 93 % down to 50 %.</example>
public static class WeatherFromDays
{
    /// <summary>How far the dew point lies below the low of a dry day, K: assumption.</summary>
    public const double DewBelowLowK = 1;

    /// <summary>How long after the sun stands highest it is warmest, hours: Parton and Logan give 1.8 at 1.5 m; from memory.</summary>
    public const double WarmestAfterNoonHours = 1.8;

    /// <summary>How quickly air cools after sunset: exponent over the night, Parton and Logan; from memory.</summary>
    public const double NightFall = 2.2;

    /// <summary>No gust is told beyond what an hour may hold, m/s.</summary>
    private const double MostGustMs = 120;

    /// <summary>Dawn and dusk where nobody said where the vehicle stands, hours after midnight: assumption.</summary>
    private const double UsualRise = 6.5,
        UsualSet = 18.5;

    /// <summary>The hours of the days.</summary>
    /// <param name="days">The days, one after another.</param>
    /// <param name="timeZone">Name of the time zone at the vehicle.</param>
    /// <param name="place">Where it stands; null where nobody said.</param>
    /// <param name="issuedAt">When it was said.</param>
    public static Result<Worked<Forecast>> Of(IReadOnlyList<DayWeather> days, [TimeZone] string timeZone, Place? place, DateTimeOffset issuedAt)
    {
        if (days.Count is 0 or > Forecast.MostDays)
            return new Problem("days-count", "/days", $"Type from 1 to {Forecast.MostDays} days.");
        for (int i = 1; i < days.Count; i++)
        {
            if (days[i].Date != days[i - 1].Date.AddDays(1))
                return new Problem(
                    "days-gap",
                    $"/days/{i}/date",
                    $"{days[i].Date:d MMMM} does not follow {days[i - 1].Date:d MMMM}: type every day."
                );
        }
        if (new TimeZoneAttribute().Wrong(timeZone) is var (_, said))
            return new Problem("out-of-range", "/timeZone", said);
        var zone = TimeZoneInfo.FindSystemTimeZoneById(timeZone);
        (double Rise, double Set)[] light = [.. days.Select(d => Light(place, d.Date, timeZone))];
        var sheet = new Worksheet();
        sheet.Step("t_r", "sunrise of the first day", place is null ? "place not known: half past six" : "by place and date", light[0].Rise, "h");
        sheet.Step("t_x", "warmest", $"(sunrise + sunset) / 2 + {WarmestAfterNoonHours} h", Warmest(light[0]), "h");
        sheet.Step("T_d", "dew point of the first day", $"low - {DewBelowLowK:0} K; the low itself on a day with rain", Dew(days[0]), "C");
        sheet.Cite(new Source("Temperature through a day: Parton and Logan, Agricultural Meteorology 23 (1981)", SourceKind.FromMemory));
        sheet.Cite(
            new Source(
                "Chance of rain in an hour: dry 2 %, showers 40 %, rain 85 %, storm 95 %; gusts 1.6 times the wind, in a storm 2.2",
                SourceKind.Assumption
            )
        );
        if (place is null)
            sheet.Warn("It is not known where the vehicle stands: sunrise and sunset are set to half past six.");

        DateTimeOffset from = Utc(LocalTime.At(days[0].Date, TimeOnly.MinValue, zone)),
            end = Utc(LocalTime.At(days[^1].Date.AddDays(1), TimeOnly.MinValue, zone));
        // Zones that lie half an hour off begin within their first day.
        if (from.Ticks % TimeSpan.TicksPerHour != 0)
            from = new DateTimeOffset(from.Ticks - (from.Ticks % TimeSpan.TicksPerHour) + TimeSpan.TicksPerHour, TimeSpan.Zero);
        var hours = new List<WeatherHour>();
        for (DateTimeOffset at = from; at < end; at = at.AddHours(1))
        {
            DateTimeOffset local = LocalTime.In(at, zone);
            int day = DateOnly.FromDateTime(local.DateTime).DayNumber - days[0].Date.DayNumber;
            hours.Add(Hour(days, light, day, local.TimeOfDay.TotalHours));
        }
        return sheet.Finish(new Forecast(ForecastSource.Typed, issuedAt, from, hours, days));
    }

    private static DateTimeOffset Utc(DateTimeOffset at) => at.ToUniversalTime();

    /// <summary>Chance that it rains within an hour, %: assumptions.</summary>
    public static double RainPercentOf(Sky sky) =>
        sky switch
        {
            Sky.Dry => 2,
            Sky.Showers => 40,
            Sky.Rain => 85,
            _ => 95,
        };

    /// <summary>Rain of an hour in which it rains, mm; cloud, %; gusts over wind: assumptions.</summary>
    private static (double RainMm, double CloudPercent, double Gusts) Of(Sky sky) =>
        sky switch
        {
            Sky.Dry => (0, 25, 1.6),
            Sky.Showers => (1, 65, 1.6),
            Sky.Rain => (1.5, 95, 1.6),
            _ => (5, 100, 2.2),
        };

    private static WeatherHour Hour(IReadOnlyList<DayWeather> days, (double Rise, double Set)[] light, int day, double clock)
    {
        DayWeather of = days[day];
        Sky sky = of.Parts[Math.Min(3, (int)(clock / 6))];
        (double rainMm, double cloud, double gusts) = Of(sky);
        double air = Math.Round(Air(days, light, day, clock), 1);
        return new WeatherHour(
            air,
            Math.Round(Math.Max(1, MoistAir.RelativePercent(air, Dew(of)))),
            of.WindMs,
            Math.Round(Math.Min(of.WindMs * gusts, MostGustMs), 1),
            rainMm,
            RainPercentOf(sky),
            cloud
        );
    }

    private static double Air(IReadOnlyList<DayWeather> days, (double Rise, double Set)[] light, int day, double clock)
    {
        DayWeather of = days[day];
        (double rise, double set) = light[day];
        if (clock >= rise && clock <= set)
            return By(of, light[day], clock);
        // From sunset to the next sunrise, down to the low of that morning; where that night is not told, to this day's own.
        int evening = clock > set ? day : day - 1;
        (DayWeather before, (double Rise, double Set) lightBefore) = evening < 0 ? (of, light[0]) : (days[evening], light[evening]);
        int morning = Math.Min(evening + 1, days.Count - 1);
        double low = days[morning].LowC,
            night = 24 - lightBefore.Set + light[morning].Rise,
            gone = clock > set ? clock - set : clock + 24 - lightBefore.Set,
            atSunset = By(before, lightBefore, lightBefore.Set);
        double left = (Math.Exp(-NightFall * gone / night) - Math.Exp(-NightFall)) / (1 - Math.Exp(-NightFall));
        return low + ((atSunset - low) * Math.Clamp(left, 0, 1));
    }

    /// <summary>By day: from the low at sunrise to the high, and down again.</summary>
    private static double By(DayWeather of, (double Rise, double Set) light, double clock)
    {
        double until = Warmest(light) - light.Rise;
        return of.LowC + ((of.HighC - of.LowC) * Math.Sin(Math.PI / 2 * (clock - light.Rise) / until));
    }

    private static double Warmest((double Rise, double Set) light) => ((light.Rise + light.Set) / 2) + WarmestAfterNoonHours;

    private static double Dew(DayWeather of) => of.Parts.Any(p => p is Sky.Rain or Sky.Storm) ? of.LowC : of.LowC - DewBelowLowK;

    private static (double Rise, double Set) Light(Place? place, DateOnly date, string timeZone) =>
        place is not null
        && Daylight.Of(place, date, timeZone).Value?.Result is { RiseAt: { } rise, SetAt: { } set }
        && set.TimeOfDay > rise.TimeOfDay
            ? (rise.TimeOfDay.TotalHours, set.TimeOfDay.TotalHours)
            : (UsualRise, UsualSet);
}
