using Abri.Core.Days;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Core.Stages;

/// <summary>A vehicle at one moment, with what decides about its hours.</summary>
/// <param name="Of">The vehicle.</param>
/// <param name="On">Weather, light and people.</param>
/// <param name="Care">How careful to be.</param>
/// <param name="Now">The moment, as a clock at the vehicle shows it.</param>
internal sealed record VehicleNow(VehicleSnapshot Of, Conditions On, CutCare Care, DateTimeOffset Now)
{
    /// <summary>The forecast; null for none.</summary>
    public Forecast? Forecast => Of.Days.Forecast?.Value;

    /// <summary>Whether the forecast tells of this hour and is trusted.</summary>
    public bool IsForeseen => Forecast is { } forecast && forecast.At(Now) is not null && forecast.TrustedUntil > Now;

    /// <summary>A vehicle at a moment.</summary>
    public static VehicleNow At(VehicleSnapshot of, DateTimeOffset now)
    {
        Vehicle vehicle = of.Vehicle.Value;
        // Without a forecast nothing is known of any hour.
        Forecast forecast = of.Days.Forecast?.Value ?? new Forecast(ForecastSource.Typed, DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch, []);
        var on = new Conditions(forecast, vehicle.TimeZone, vehicle.Place, of.Days.People.Values());
        return new VehicleNow(of, on, vehicle.Care ?? CutCare.Usual, on.Local(now));
    }

    /// <summary>Until when it is likely to stay dry; null where that is as far as the forecast is trusted.</summary>
    public DateTimeOffset? WetAt =>
        IsForeseen && RainChance.WetAt(Forecast!, Now, Forecast!.TrustedUntil, Care.MostRainPercent) is { } wet ? On.Local(wet) : null;

    /// <summary>How long it is likely to stay dry, in words.</summary>
    public string Dry =>
        Forecast is null ? "No forecast"
        : !IsForeseen ? "The forecast is out of date"
        : WetAt is not { } wet ? $"Likely dry until {On.Clock(Forecast.TrustedUntil)} at least"
        : wet <= Now ? "It may rain now"
        : $"Likely dry until {On.Clock(wet)}";
}
