using Abri.Core.Weather;

namespace Abri.Core.Days;

/// <summary>How long something that sets or dries takes in the air of a forecast.</summary>
/// <remarks>
/// Waits are told for air at <see cref="AtC"/>. They take twice as long for every 10 K less, no less time in warmer air, and stand still in frost
/// (assumption).
/// </remarks>
internal static class WaitTime
{
    /// <summary>Air for which the waits of steps are told, C: assumption.</summary>
    public const double AtC = 20;

    /// <summary>When a wait is over that begins at a moment; null where the forecast ends before.</summary>
    public static DateTimeOffset? Until(Forecast forecast, DateTimeOffset from, double hours)
    {
        (DateTimeOffset at, double left) = Known(forecast, from, hours);
        return left > 0 ? null : at;
    }

    /// <summary>When a wait is over, what comes after the forecast taken to be like it on average; null where that is frost.</summary>
    /// <returns>Null where it never ends.</returns>
    public static DateTimeOffset? Expected(Forecast forecast, DateTimeOffset from, double hours)
    {
        (DateTimeOffset at, double left) = Known(forecast, from, hours);
        if (left <= 0)
            return at;
        double pace = forecast.Hours.Count == 0 ? 1 : forecast.Hours.Average(h => Pace(h.AirC));
        return pace <= 0 ? null : at.AddHours(left / pace);
    }

    /// <summary>How far a wait gets within the forecast: where it ends, and the hours at <see cref="AtC"/> that are left then.</summary>
    private static (DateTimeOffset At, double Left) Known(Forecast forecast, DateTimeOffset from, double hours)
    {
        DateTimeOffset at = from;
        while (hours > 1e-9)
        {
            if (forecast.At(at) is not { } air)
                return (at, hours);
            double pace = Pace(air.AirC);
            DateTimeOffset next = forecast.From.AddHours(Math.Floor((at - forecast.From).TotalHours) + 1);
            double passed = (next - at).TotalHours * pace;
            if (passed >= hours)
                return (at.AddHours(hours / pace), 0);
            (hours, at) = (hours - passed, next);
        }
        return (at, 0);
    }

    private static double Pace(double airC) => airC <= 0 ? 0 : Math.Min(1, Math.Pow(2, (airC - AtC) / 10));
}
