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
    private readonly Dictionary<long, TimeSpan> offsets = [];
    private readonly TimeZoneInfo zone = TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out TimeZoneInfo? found) ? found : TimeZoneInfo.Utc;

    internal IReadOnlyList<Person> Crew => People.Count > 0 ? People : Person.Somebody;

    /// <summary>The moment as a clock at the vehicle shows it.</summary>
    public DateTimeOffset Local(DateTimeOffset at)
    {
        // Clocks are changed on the full quarter of an hour; the offset of each is looked up once.
        long quarter = at.UtcTicks / (TimeSpan.TicksPerMinute * 15);
        if (!offsets.TryGetValue(quarter, out TimeSpan offset))
            offsets[quarter] = offset = zone.GetUtcOffset(at);
        return at.ToOffset(offset);
    }

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
    internal IEnumerable<Hindrance> Of(DayStep step, DateTimeOffset from, DateTimeOffset to, CutCare care)
    {
        if (Crew.Count(p => p.Works(Local(from).DateTime, Local(to).DateTime)) is var there && there < step.People)
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
            yield return new Hindrance(HindranceKind.Unknown, at, $"The forecast is not reliable after {Clock(at)}: get a new one.");
        }
        (DateTimeOffset wet, WeatherHour? hour) = Forecast.Between(from, to).FirstOrDefault(h => h.Hour.RainPercent > care.MostRainPercent);
        if (hour is not null)
            yield return new Hindrance(HindranceKind.Rain, wet < from ? from : wet, $"Rain from {Clock(wet)} ({hour.RainPercent:0} %).");
    }

    internal List<Hindrance> Air(DayStep step, DateTimeOffset from, DateTimeOffset to)
    {
        (double? wind, double? least, double? most) = (step.Weather.WindBelowMs, step.Weather.FromC, step.Weather.ToC);
        var found = new List<Hindrance>();
        void Note(HindranceKind kind, DateTimeOffset at, string text)
        {
            if (found.All(f => f.Kind != kind))
                found.Add(new Hindrance(kind, at, $"{step.Title}: {text}"));
        }
        foreach ((DateTimeOffset at, WeatherHour hour) in Forecast.Between(from, to))
        {
            if (hour.WindMs >= wind)
                Note(HindranceKind.Wind, at, $"wind of {hour.WindMs:0.#} m/s, too much at {wind:0.#}.");
            if (hour.AirC < least)
                Note(HindranceKind.Cold, at, $"{hour.AirC:0.#} °C, too cold below {least:0.#} °C.");
            if (hour.AirC > most)
                Note(HindranceKind.Hot, at, $"{hour.AirC:0.#} °C, too hot above {most:0.#} °C.");
            // What is laid at a temperature is laid on a dry skin; the skin is taken to be as warm as the air.
            if (least is not null && hour.AirC - hour.DewPointC < MoistAir.AboveDewK)
                Note(HindranceKind.Damp, at, $"dew settles, the air is within {MoistAir.AboveDewK:0} K of its dew point.");
        }
        return found;
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

    /// <summary>A time weeks ahead as it is said: with its date.</summary>
    internal string Date(DateTimeOffset at) => $"{Local(at):ddd d MMM HH:mm}";

    internal static string Lower(string text) => char.ToLowerInvariant(text[0]) + text[1..];
}
