using Abri.Core.Declared;

namespace Abri.Core.Weather;

/// <summary>What the sky does for a quarter of a day, as it is said on the radio.</summary>
public enum Sky
{
    /// <summary>No rain.</summary>
    Dry,

    /// <summary>It may rain now and then.</summary>
    Showers,

    /// <summary>It rains.</summary>
    Rain,

    /// <summary>Rain and strong gusts.</summary>
    Storm,
}

/// <summary>The weather of a day in the few words that a phone or the radio has for it.</summary>
/// <param name="Date">The day, at the vehicle.</param>
/// <param name="Night">From midnight to six.</param>
/// <param name="Morning">From six to noon.</param>
/// <param name="Afternoon">From noon to six.</param>
/// <param name="Evening">From six to midnight.</param>
/// <param name="HighC">Highest temperature, C.</param>
/// <param name="LowC">Lowest temperature, C.</param>
/// <param name="WindMs">Wind by day, m/s.</param>
public sealed record DayWeather(
    [Dated] DateOnly Date,
    Sky Night,
    Sky Morning,
    Sky Afternoon,
    Sky Evening,
    [Within(-50, 55, "The high", "C")] double HighC,
    [Within(-55, 50, "The low", "C")] double LowC,
    [Within(0, 60, "The wind", "m/s")] double WindMs
) : IConsistent
{
    /// <summary>The four parts, in order.</summary>
    internal Sky[] Parts => [Night, Morning, Afternoon, Evening];

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        LowC > HighC ? ("lowC", $"The low of {LowC:0.#} °C is above the high of {HighC:0.#} °C.") : null;
}
