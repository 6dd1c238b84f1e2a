using Abri.Core.Days;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Weather;
using Abri.Core.Work;
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
        records.Add(
            Heron.Record with
            {
                Forecast = WithFront(Heron.Record.Vehicle.Place!, clock.GetUtcNow()),
                People = People,
                Stock = StockOn(DateOnly.FromDateTime(clock.GetUtcNow().DateTime)),
            }
        );
        records.Add(Plover.Record);
    }

    /// <summary>What lies on the Heron's shelf: not enough for the flue's bead, wipes that have dried out, a primer that soon will.</summary>
    private static StockItem[] StockOn(DateOnly today)
    {
        static StockItem Of(Material m, double amount, string place, DateOnly? bought, string batch = "", DateOnly? opened = null) =>
            new(m.Id, m.Name, m.Kind, m.Unit, m.Pack, amount, place, bought, null, opened, batch, "");
        Material Product(ProductFamily family) => TypicalProducts.All.First(p => p.Family == family).AsMaterial();
        return
        [
            Of(Product(ProductFamily.HeatSilicone), 310, "Shelf", today.AddDays(-40), "H 2207"),
            Of(Product(ProductFamily.PolyurethaneAdhesive), 620, "Shelf", today.AddDays(-90), "P 1184"),
            Of(Materials.ActivatorWipe, 10, "Drawer", today.AddMonths(-13), "A 0031"),
            Of(Materials.GlassPrimer, 30, "Drawer", today.AddMonths(-9).AddDays(6), "G 0412"),
            Of(Materials.Degreaser, 300, "Shelf", today.AddDays(-200), opened: today.AddDays(-20)),
            Of(Materials.ZincPrimer, 400, "Shelf", today.AddDays(-60), "Z 77"),
            Of(Materials.MaskingTape, 14_000, "Drawer", today.AddDays(-30)),
            Of(Materials.MetalBlade, 5, "Saw case", null),
            Of(Materials.Screw, 100, "Tin", null),
            Of(Materials.TopCoat, 400, "Shelf", today.AddDays(-60), "T 19"),
        ];
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
