using Abri.Core;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Storage.Bench;
using Abri.Storage.Days;
using Abri.Storage.Floor;
using Abri.Storage.Load;
using Abri.Storage.Logbook;
using Abri.Storage.Metal;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Abri.Storage.Stores;
using Abri.Storage.Water;

namespace Abri.Storage.Record;

/// <summary>Reads a whole vehicle as it stands at one moment.</summary>
public sealed class SnapshotStore(
    Database database,
    VehicleStore vehicles,
    PanelStore panels,
    MemberStore members,
    ZoneStore zones,
    FittingStore fittings,
    OpeningStore openings,
    FindingStore findings,
    PhotoStore photos,
    WaterStores water,
    LeakPriorStore priors,
    JointStore joints,
    RepairStore repairs,
    SheetStore sheets,
    FloorStores floors,
    DayStores days,
    ProductStore products,
    StepDoneStore done,
    LessonStore lessons,
    UpkeepStores upkeep,
    LoadStores load,
    StockStore stock,
    BorrowedToolStore borrowed
)
{
    /// <summary>The vehicle with everything on it, or null when it is not there; one query a table, in one transaction.</summary>
    public VehicleSnapshot? Read(string vehicleId) =>
        database.AtOnce(() =>
        {
            if (vehicles.Find(vehicleId) is not { } vehicle)
                return null;
            IReadOnlyList<Stored<Panel>> own = panels.OfVehicle(vehicleId);
            Dictionary<string, int> place = own.Select((p, i) => (p.Id, i)).ToDictionary(p => p.Id, p => p.i);
            IReadOnlyList<Stored<T>> PanelByPanel<T>(Store<T> store)
                where T : notnull => [.. store.OfVehicle(vehicleId).OrderBy(row => place[row.OwnerId!])];
            return new VehicleSnapshot(
                vehicle,
                own,
                PanelByPanel(members),
                zones.OfVehicle(vehicleId),
                PanelByPanel(openings),
                PanelByPanel(findings),
                photos.OfVehicle(vehicleId),
                new WaterRows(
                    PanelByPanel(water.Suspects),
                    PanelByPanel(water.Observations),
                    PanelByPanel(water.SealReadings),
                    PanelByPanel(water.Drains),
                    PanelByPanel(water.Coverings)
                ),
                priors.OfVehicle(vehicleId),
                PanelByPanel(joints),
                PanelByPanel(repairs),
                sheets.OfVehicle(vehicleId),
                new FloorRows(
                    PanelByPanel(floors.Probes),
                    PanelByPanel(floors.Boards),
                    PanelByPanel(floors.Replacements),
                    PanelByPanel(floors.Linings),
                    floors.Stock.OfVehicle(vehicleId)
                ),
                new DayRows(
                    days.Forecasts.OfVehicle(vehicleId).SingleOrDefault(),
                    days.People.OfVehicle(vehicleId),
                    days.Own.OfVehicle(vehicleId),
                    days.Plans.OfVehicle(vehicleId).SingleOrDefault()
                ),
                fittings.All(),
                products.All()
            )
            {
                Done = done.OfVehicle(vehicleId),
                Lessons = lessons.All(),
                Upkeep = new UpkeepRows(upkeep.Done.OfVehicle(vehicleId), upkeep.Own.OfVehicle(vehicleId)),
                Load = load.OfVehicle(vehicleId),
                Stock = stock.OfVehicle(vehicleId),
                Borrowed = borrowed.OfVehicle(vehicleId),
            };
        });
}
