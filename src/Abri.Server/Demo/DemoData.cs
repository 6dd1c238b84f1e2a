using Abri.Core.Days;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Storage.Openings;
using Abri.Storage.Record;
using Abri.Storage.Shell;

namespace Abri.Server.Demo;

/// <summary>Adds the demo vehicles to a database that holds nothing yet.</summary>
internal sealed class DemoData(RecordStore records, VehicleStore vehicles, FittingStore fittings, TimeProvider clock)
{
    /// <summary>Made-up weathers that are looked through for one with a front in it.</summary>
    private const int Weathers = 60;

    public void AddIfEmpty()
    {
        if (vehicles.All().Count > 0 || fittings.All().Count > 0)
            return;
        records.Add(Heron.Record with { Forecast = WithFront(Heron.Record.Vehicle.Place!, clock.GetUtcNow()), People = People });
        records.Add(Plover.Record);
    }

    /// <summary>Who works on the Heron.</summary>
    private static Person[] People =>
        [
            new(
                "Owner",
                [
                    .. new[]
                    {
                        DayOfWeek.Monday,
                        DayOfWeek.Tuesday,
                        DayOfWeek.Wednesday,
                        DayOfWeek.Thursday,
                        DayOfWeek.Friday,
                        DayOfWeek.Saturday,
                    }.Select(d => new WorkDay(d, 8, 19)),
                ]
            ),
            new(
                "Helper",
                [
                    .. new[] { DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday, DayOfWeek.Friday, DayOfWeek.Saturday }.Select(
                        d => new WorkDay(d, 9, 18)
                    ),
                ]
            ),
        ];

    /// <summary>The simulated service's forecast of a weather that is fine today, and that a front crosses within three days.</summary>
    private static Forecast WithFront(Place place, DateTimeOffset now)
    {
        Forecast[] all =
        [
            .. Enumerable.Range(1, Weathers).Select(seed => new SimulatedClimate(new SimulatedService(Climate.Coast, seed)).Latest(now, place)),
        ];
        double Chance(Forecast f, int from, int to) =>
            f.Between(now.AddHours(from), now.AddHours(to)).Select(h => h.Hour.RainPercent).DefaultIfEmpty(0).Max();
        return all.MaxBy(f => Math.Min(Chance(f, 24, 70), 90) - (2 * Chance(f, 0, 15)))!;
    }
}
