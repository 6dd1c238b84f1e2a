using Abri.Core.Weather;

namespace Abri.Core.Stages;

/// <summary>An hour of the forecast as it is drawn.</summary>
/// <param name="At">Its beginning, as a clock at the vehicle shows it.</param>
/// <param name="Hour">The weather.</param>
/// <param name="IsDark">Whether it is too dark to work outside without a lamp.</param>
/// <param name="IsTrusted">Whether the forecast is trusted so far ahead.</param>
/// <param name="RoofC">A dark roof in the sun, C; null where nobody said where the vehicle stands.</param>
public sealed record ForecastHour(DateTimeOffset At, WeatherHour Hour, bool IsDark, bool IsTrusted, double? RoofC);

/// <summary>The forecast of a vehicle.</summary>
/// <param name="Row">Its id and version.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="IssuedAt">When it was issued.</param>
/// <param name="TrustedUntil">Until when it is trusted.</param>
/// <param name="IsOver">Whether it says nothing of the present any more.</param>
/// <param name="Days">What was typed; null where nothing was.</param>
/// <param name="Service">Which simulated service it was asked of; null for others.</param>
/// <param name="Hours">From the present hour on.</param>
public sealed record ForecastNow(
    string Row,
    ForecastSource Source,
    DateTimeOffset IssuedAt,
    DateTimeOffset TrustedUntil,
    bool IsOver,
    IReadOnlyList<DayWeather>? Days,
    SimulatedService? Service,
    IReadOnlyList<ForecastHour> Hours
)
{
    /// <summary>The forecast of a vehicle; null for none.</summary>
    internal static ForecastNow? Of(VehicleNow at) =>
        at.Of.Days.Forecast is { } row
            ? new ForecastNow(
                row.Id,
                row.Value.Source,
                at.On.Local(row.Value.IssuedAt),
                at.On.Local(row.Value.TrustedUntil),
                row.Value.End <= at.Now,
                row.Value.Days,
                row.Value.Service,
                HoursOf(at)
            )
            : null;

    /// <summary>Its hours from the present one on; empty where there are none.</summary>
    internal static IReadOnlyList<ForecastHour> HoursOf(VehicleNow at) =>
        at.Forecast is not { } forecast
            ? []
            :
            [
                .. forecast
                    .Between(at.Now, forecast.End)
                    .Select(h => new ForecastHour(
                        at.On.Local(h.At),
                        h.Hour,
                        at.On.Dark(h.At, h.At.AddMinutes(30)) is not null,
                        h.At < forecast.TrustedUntil,
                        at.On.Place is { } place ? Math.Round(SolAir.At(place, h.At.AddMinutes(30), h.Hour, SkinShade.Dark)) : null
                    )),
            ];
}
