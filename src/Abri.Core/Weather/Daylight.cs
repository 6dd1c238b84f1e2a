using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Weather;

/// <summary>When it is light on a day.</summary>
/// <param name="DawnAt">Civil dawn; null where the sun does not pass six degrees below the horizon that day.</param>
/// <param name="RiseAt">Sunrise; null where it does not rise or does not set.</param>
/// <param name="NoonAt">Sun at its highest.</param>
/// <param name="SetAt">Sunset; null as sunrise.</param>
/// <param name="DuskAt">Civil dusk; null as dawn.</param>
/// <param name="NoonDeg">How high the sun stands then, degrees above the horizon.</param>
/// <param name="Verdict">In words.</param>
public sealed record SunTimes(
    DateTimeOffset? DawnAt,
    DateTimeOffset? RiseAt,
    DateTimeOffset NoonAt,
    DateTimeOffset? SetAt,
    DateTimeOffset? DuskAt,
    double NoonDeg,
    string Verdict
);

/// <summary>When the sun rises and sets, and how long one can work without a lamp: until civil dusk.</summary>
/// <remarks>
/// Equations of the solar calculator of the National Oceanic and Atmospheric Administration (after Meeus, Astronomical Algorithms), from memory.
/// Sunrise and sunset with the sun's upper edge on the horizon and usual refraction (0.833 degrees below), civil dusk six degrees below. Within two
/// minutes up to 65 degrees of latitude; hills and houses bring dusk sooner.
/// </remarks>
/// <example>At the equator on 20 March the sun stands 90 degrees high at noon, and the day has 12 h 7 min.</example>
public static class Daylight
{
    private const double RiseDeg = -0.833,
        CivilDeg = -6,
        MinutesPerDegree = 4;

    /// <summary>The light of a day.</summary>
    /// <param name="place">Where.</param>
    /// <param name="date">The day there.</param>
    /// <param name="timeZone">Name of its time zone.</param>
    public static Result<Worked<SunTimes>> Of(Place place, DateOnly date, [TimeZone] string timeZone)
    {
        if (new TimeZoneAttribute().Wrong(timeZone) is var (_, said))
            return new Problem("out-of-range", "/timeZone", said);
        var zone = TimeZoneInfo.FindSystemTimeZoneById(timeZone);
        var sheet = new Worksheet();
        DateTimeOffset midday = LocalTime.At(date, new TimeOnly(12, 0), zone);
        (double declination, double equation) = Sun(midday);
        sheet.Step("d", "declination of the sun at noon", "by the date", declination, "degrees");
        sheet.Step("E", "equation of time", "by the date", equation, "min");
        // Noon by the sun, in minutes of universal time, on the day on which it is noon here.
        DateTimeOffset midnight = new(midday.UtcDateTime.Date, TimeSpan.Zero);
        double noon = 720 - (MinutesPerDegree * place.LongitudeDeg) - equation;
        while (midnight.AddMinutes(noon) < midday.AddHours(-12))
            noon += 1440;
        while (midnight.AddMinutes(noon) > midday.AddHours(12))
            noon -= 1440;
        DateTimeOffset At(double minutes) => TimeZoneInfo.ConvertTime(midnight.AddMinutes(minutes), zone);
        DateTimeOffset? Crosses(double altitude, int side)
        {
            if (HourAngle(place.LatitudeDeg, declination, altitude) is not { } first)
                return null;
            // Once more with the sun as it stands then.
            double guess = noon + (side * MinutesPerDegree * first);
            (double then, double equationThen) = Sun(midnight.AddMinutes(guess));
            double noonThen = noon + equation - equationThen;
            return HourAngle(place.LatitudeDeg, then, altitude) is { } angle ? At(noonThen + (side * MinutesPerDegree * angle)) : At(guess);
        }
        DateTimeOffset? rise = Crosses(RiseDeg, -1),
            set = Crosses(RiseDeg, 1),
            dusk = Crosses(CivilDeg, 1);
        double high = sheet.Step("h", "sun at its highest", "90 - |latitude - d|", 90 - Math.Abs(place.LatitudeDeg - declination), "degrees");
        if (rise is not null && set is not null)
            sheet.Step("t", "sun above the horizon", "sunset - sunrise", (set.Value - rise.Value).TotalHours, "h");
        sheet.Cite(new Source("Solar calculator of the National Oceanic and Atmospheric Administration, after Meeus", SourceKind.FromMemory));
        string verdict = (rise, set, dusk) switch
        {
            ({ } r, { } s, { } d) => $"Sun from {r:HH:mm} to {s:HH:mm}; light enough to work until {d:HH:mm}.",
            ({ } r, { } s, null) => $"Sun from {r:HH:mm} to {s:HH:mm}; it does not get dark.",
            (null, _, { } d) when high < 0 => $"The sun does not rise; light enough to work until {d:HH:mm}.",
            _ => high > 0 ? "The sun does not set: light all day." : "It stays dark all day: work by lamp.",
        };
        return sheet.Finish(new SunTimes(Crosses(CivilDeg, -1), rise, At(noon), set, dusk, high, verdict));
    }

    /// <summary>How high the sun stands, degrees above the horizon; below it negative.</summary>
    internal static double AltitudeDeg(Place place, DateTimeOffset at)
    {
        (double declination, double equation) = Sun(at);
        double minutes = at.UtcDateTime.TimeOfDay.TotalMinutes + equation + (MinutesPerDegree * place.LongitudeDeg);
        double hour = Rad((minutes / MinutesPerDegree) - 180);
        double sine = (Sin(place.LatitudeDeg) * Sin(declination)) + (Cos(place.LatitudeDeg) * Cos(declination) * Math.Cos(hour));
        return Math.Asin(sine) * 180 / Math.PI;
    }

    /// <summary>Declination, degrees, and equation of time, min.</summary>
    private static (double DeclinationDeg, double EquationMinutes) Sun(DateTimeOffset at)
    {
        double century = (at.UtcDateTime - new DateTime(2000, 1, 1, 12, 0, 0, DateTimeKind.Utc)).TotalDays / 36525,
            longitude = 280.46646 + (century * (36000.76983 + (century * 0.0003032))),
            anomaly = 357.52911 + (century * (35999.05029 - (0.0001537 * century))),
            eccentricity = 0.016708634 - (century * (0.000042037 + (0.0000001267 * century))),
            centre =
                (Sin(anomaly) * (1.914602 - (century * (0.004817 + (0.000014 * century)))))
                + (Sin(2 * anomaly) * (0.019993 - (0.000101 * century)))
                + (Sin(3 * anomaly) * 0.000289),
            node = 125.04 - (1934.136 * century),
            apparent = longitude + centre - 0.00569 - (0.00478 * Sin(node)),
            oblique = 23.439291 - (0.0130042 * century) + (0.00256 * Cos(node)),
            declination = Math.Asin(Sin(oblique) * Sin(apparent)) * 180 / Math.PI,
            y = Math.Pow(Math.Tan(Rad(oblique / 2)), 2),
            equation =
                (y * Sin(2 * longitude))
                - (2 * eccentricity * Sin(anomaly))
                + (4 * eccentricity * y * Sin(anomaly) * Cos(2 * longitude))
                - (0.5 * y * y * Sin(4 * longitude))
                - (1.25 * eccentricity * eccentricity * Sin(2 * anomaly));
        return (declination, MinutesPerDegree * equation * 180 / Math.PI);
    }

    /// <summary>From noon until the sun stands at an altitude, degrees of the hour angle; null where it never does.</summary>
    private static double? HourAngle(double latitudeDeg, double declinationDeg, double altitudeDeg)
    {
        double cosine = (Sin(altitudeDeg) - (Sin(latitudeDeg) * Sin(declinationDeg))) / (Cos(latitudeDeg) * Cos(declinationDeg));
        return cosine is >= -1 and <= 1 ? Math.Acos(cosine) * 180 / Math.PI : null;
    }

    private static double Rad(double degrees) => degrees * Math.PI / 180;

    private static double Sin(double degrees) => Math.Sin(Rad(degrees));

    private static double Cos(double degrees) => Math.Cos(Rad(degrees));
}
