using Abri.Core.Declared;
using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Core.Days;

/// <summary>What decides about hours: weather, light and people.</summary>
/// <param name="Forecast">The forecast.</param>
/// <param name="TimeZone">Name of the time zone at the vehicle.</param>
/// <param name="Place">Where it stands; null where nobody said: then nobody is told when it gets dark.</param>
/// <param name="People">Who works when; empty for one person from eight to six.</param>
public sealed record Conditions(
    Forecast Forecast,
    [TimeZone] string TimeZone,
    Place? Place,
    [Count(0, 20, "At most {1} people.")] IReadOnlyList<Person> People
)
{
    private readonly Dictionary<DateOnly, SunTimes> days = [];
    private readonly TimeZoneInfo zone = TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out TimeZoneInfo? found) ? found : TimeZoneInfo.Utc;

    private IReadOnlyList<Person> Crew => People.Count > 0 ? People : Person.Somebody;

    /// <summary>The moment as a clock at the vehicle shows it.</summary>
    public DateTimeOffset Local(DateTimeOffset at) => LocalTime.In(at, zone);

    /// <summary>The light of a day at the vehicle; null where nobody said where it stands.</summary>
    public SunTimes? Light(DateOnly date)
    {
        if (Place is null)
            return null;
        if (!days.TryGetValue(date, out SunTimes? light))
            days[date] = light = Daylight.Of(Place, date, TimeZone).Value!.Result;
        return light;
    }

    /// <summary>What keeps a step from being done in a time; the first of each kind.</summary>
    internal IEnumerable<Hindrance> Of(OpenStep step, DateTimeOffset from, DateTimeOffset to, CutCare care)
    {
        if (Crew.Count(p => p.Works(from, to, zone)) is var there && there < step.People)
            yield return new Hindrance(
                HindranceKind.People,
                from,
                there == 0
                    ? $"{step.Title}: nobody works then."
                    : $"{step.Title} takes {step.People} people; only {there} {(there == 1 ? "is" : "are")} there."
            );
        if (!step.Inside && Dark(from, to) is { } dark)
            yield return new Hindrance(HindranceKind.Dark, dark, $"Dark from {Clock(dark)}, before {Lower(step.Title)} is done.");
        foreach (Hindrance wet in Rain(from, to, care))
            yield return wet;
        foreach (Hindrance air in Air(step, from, to))
            yield return air;
    }

    /// <summary>The first hour in which it may rain, or of which nothing is known.</summary>
    internal IEnumerable<Hindrance> Rain(DateTimeOffset from, DateTimeOffset to, CutCare care)
    {
        if (from < Forecast.From || to > Forecast.TrustedUntil)
        {
            DateTimeOffset at = from < Forecast.From ? from : Forecast.TrustedUntil;
            yield return new Hindrance(HindranceKind.Unknown, at, $"The forecast is not to be trusted from {Clock(at)} on: get a new one.");
        }
        (DateTimeOffset wet, WeatherHour? hour) = Forecast.Between(from, to).FirstOrDefault(h => h.Hour.RainPercent > care.MostRainPercent);
        if (hour is not null)
            yield return new Hindrance(HindranceKind.Rain, wet < from ? from : wet, $"Rain from {Clock(wet)} ({hour.RainPercent:0} %).");
    }

    private IEnumerable<Hindrance> Air(OpenStep step, DateTimeOffset from, DateTimeOffset to)
    {
        (DateTimeOffset At, WeatherHour Hour)[] hours = [.. Forecast.Between(from, to)];
        Hindrance? First(HindranceKind kind, Func<WeatherHour, bool> wrong, Func<WeatherHour, string> text) =>
            hours.Where(h => wrong(h.Hour)).Select(h => new Hindrance(kind, h.At, text(h.Hour))).FirstOrDefault();
        (double? wind, double? least, double? most) = (step.Weather.WindBelowMs, step.Weather.FromC, step.Weather.ToC);
        Hindrance?[] found =
        [
            First(HindranceKind.Wind, h => wind is { } w && h.WindMs >= w, h => $"{step.Title}: wind of {h.WindMs:0.#} m/s, too much at {wind:0.#}."),
            First(HindranceKind.Cold, h => least is { } c && h.AirC < c, h => $"{step.Title}: {h.AirC:0.#} °C, too cold below {least:0.#} °C."),
            First(HindranceKind.Hot, h => most is { } c && h.AirC > c, h => $"{step.Title}: {h.AirC:0.#} °C, too hot above {most:0.#} °C."),
            // What is laid at a temperature is laid on a dry skin; the skin is taken to be as warm as the air.
            First(
                HindranceKind.Damp,
                h => least is not null && h.AirC - h.DewPointC < MoistAir.AboveDewK,
                h => $"{step.Title}: dew settles, the air is within {MoistAir.AboveDewK:0} K of its dew point."
            ),
        ];
        return found.OfType<Hindrance>();
    }

    /// <summary>When it gets dark within a time; null where it stays light enough to work, or nobody said where.</summary>
    public DateTimeOffset? Dark(DateTimeOffset from, DateTimeOffset to)
    {
        if (Light(DateOnly.FromDateTime(Local(from).DateTime)) is not { } light)
            return null;
        if (light.DawnAt is null && light.DuskAt is null)
            return light.NoonDeg > 0 ? null : Local(from);
        if (light.DawnAt is { } dawn && from < dawn)
            return Local(from);
        return light.DuskAt is { } dusk && to > dusk ? (from > dusk ? Local(from) : dusk) : null;
    }

    /// <summary>A time as it is said: today's are the reader's to see, other days by their name.</summary>
    internal string Clock(DateTimeOffset at) => $"{Local(at):ddd HH:mm}";

    private static string Lower(string text) => char.ToLowerInvariant(text[0]) + text[1..];
}
