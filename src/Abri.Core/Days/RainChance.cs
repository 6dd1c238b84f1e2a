using Abri.Core.Weather;

namespace Abri.Core.Days;

/// <summary>How likely it rains at all within some time: many hours that are each likely dry are not likely dry together.</summary>
/// <remarks>
/// By the courses of the forecast where it has some: the share of those with a wet hour. Else each hour is wet with its chance, and the more likely
/// as the hour before was: P(wet | before) = p + r (before - p before), which keeps every hour's chance exactly, r = <see cref="Persistence"/> as
/// far as probabilities allow (assumption). Then P(dry all along) = (1 - p1) (1 - (p2 - r p1)) (1 - (p3 - r p2)) and so on. An hour that is touched
/// counts whole: the safe side.
/// </remarks>
/// <example>Four hours of 20 %: 1 - 0.8 (1 - 0.2 x 0.25)^3 = 31 %.</example>
public static class RainChance
{
    /// <summary>How far an hour is like the one before it: assumption.</summary>
    public const double Persistence = 0.75;

    /// <summary>Chance that it rains in any hour that one of the times touches, 0 to 1.</summary>
    /// <param name="forecast">The forecast; of what it says nothing is left out.</param>
    /// <param name="times">The times, in order.</param>
    internal static double Of(Forecast forecast, IEnumerable<(DateTimeOffset From, DateTimeOffset To)> times)
    {
        SortedSet<int> hours = [.. times.SelectMany(t => forecast.Between(t.From, t.To)).Select(h => (int)(h.At - forecast.From).TotalHours)];
        return SoFar(forecast, hours).LastOrDefault();
    }

    /// <summary>The chance of any rain up to and with each of some hours, in order.</summary>
    private static IEnumerable<double> SoFar(Forecast forecast, IEnumerable<int> hours)
    {
        (double dry, int before) = (1, -2);
        List<string> stillDry = [.. forecast.Members ?? []];
        int all = stillDry.Count;
        foreach (int hour in hours)
        {
            double p = Percent(forecast, hour);
            dry *= 1 - (before == hour - 1 ? AfterDry(p, Percent(forecast, before)) : p);
            stillDry.RemoveAll(m => m[hour] == '1');
            before = hour;
            yield return all > 0 ? 1 - ((double)stillDry.Count / all) : 1 - dry;
        }
    }

    /// <summary>Until when it is likely to stay dry all along: the beginning of the first hour with which the chance of any rain so far is above a
    /// limit; null where that does not come before a time.</summary>
    /// <param name="forecast">The forecast.</param>
    /// <param name="from">From then on.</param>
    /// <param name="to">As far as the forecast is trusted.</param>
    /// <param name="mostPercent">The limit, %.</param>
    internal static DateTimeOffset? WetAt(Forecast forecast, DateTimeOffset from, DateTimeOffset to, double mostPercent)
    {
        (DateTimeOffset At, WeatherHour)[] hours = [.. forecast.Between(from, to)];
        IEnumerable<double> soFar = SoFar(forecast, hours.Select(h => (int)(h.At - forecast.From).TotalHours));
        foreach (((DateTimeOffset at, _), double chance) in hours.Zip(soFar))
        {
            if (100 * chance > mostPercent + 1e-9)
                return at < from ? from : at;
        }
        return null;
    }

    /// <summary>Chance of a wet hour after a dry one.</summary>
    /// <param name="p">Its own chance, 0 to 1.</param>
    /// <param name="before">That of the hour before.</param>
    internal static double AfterDry(double p, double before) => p - (Kept(p, before) * before);

    /// <summary>Chance of a wet hour after a wet one.</summary>
    internal static double AfterWet(double p, double before) => p + (Kept(p, before) * (1 - before));

    /// <summary>How far an hour follows the one before, so that no chance leaves 0 to 1.</summary>
    internal static double Kept(double p, double before)
    {
        double most = Persistence;
        if (before > 0)
            most = Math.Min(most, p / before);
        if (before < 1)
            most = Math.Min(most, (1 - p) / (1 - before));
        return most;
    }

    private static double Percent(Forecast forecast, int hour) => forecast.Hours[hour].RainPercent / 100;
}
