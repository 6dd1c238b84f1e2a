using Abri.Core.Declared;

namespace Abri.Core.Weather;

/// <summary>The weather of one hour.</summary>
/// <param name="AirC">Temperature, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
/// <param name="WindMs">Wind, m/s.</param>
/// <param name="GustMs">Strongest gust, m/s.</param>
/// <param name="RainMm">Rain that falls if it rains, mm.</param>
/// <param name="RainPercent">Chance that it rains, %.</param>
/// <param name="CloudPercent">Sky covered by clouds, %.</param>
public sealed record WeatherHour(
    [Within(-60, 60, "The temperature", "C")] double AirC,
    [Within(1, 100, "The humidity", "%")] double RelativePercent,
    [Within(0, 75, "The wind", "m/s")] double WindMs,
    [Within(0, 120, "The gust", "m/s")] double GustMs,
    [Within(0, 200, "The rain of an hour", "mm")] double RainMm,
    [Within(0, 100, "The chance of rain", "%")] double RainPercent,
    [Within(0, 100, "The cloud", "%")] double CloudPercent
)
{
    /// <summary>Temperature at which dew forms, C.</summary>
    public double DewPointC => MoistAir.DewPointC(AirC, RelativePercent);
}
