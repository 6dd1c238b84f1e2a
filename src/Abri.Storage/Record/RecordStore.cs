using Abri.Core;
using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Floor;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Water.Leaks;
using Abri.Core.Work;
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

/// <summary>Adds the whole record of a vehicle.</summary>
public sealed class RecordStore(
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
    UpkeepStores upkeep,
    LoadStores load,
    StockStore stock,
    BorrowedToolStore borrowed
)
{
    /// <summary>
    /// Adds a vehicle with everything on it in one change. A fitting that the catalogue has already, in the same words and figures, is
    /// used as it is; another of the same name gets a number behind its name. A product that the catalogue has by its name is used as it is there:
    /// somebody
    /// may have held it against the data sheet.
    /// </summary>
    /// <returns>Id of the vehicle.</returns>
    public string Add(VehicleRecord record)
    {
        using PendingChange pending = database.Begin();
        Dictionary<string, string> fittingIds = AddFittings(pending, record.Fittings),
            productIds = AddProducts(pending, record.Products ?? []);
        string vehicle = vehicles.Insert(pending, null, record.Vehicle);
        foreach (Zone zone in record.Zones)
            zones.Insert(pending, vehicle, zone);
        foreach (StockSheet sheet in record.Sheets ?? [])
            sheets.Insert(pending, vehicle, sheet);
        foreach (StockBoard board in record.StockBoards ?? [])
            floors.Stock.Insert(pending, vehicle, board);
        if (record.Forecast is { } forecast)
            days.Forecasts.Insert(pending, vehicle, forecast);
        foreach (Person person in record.People ?? [])
            days.People.Insert(pending, vehicle, person);
        foreach (OwnTask own in record.OwnTasks ?? [])
            days.Own.Insert(pending, vehicle, own);
        foreach (LeakPrior prior in record.LeakPriors ?? [])
            priors.Insert(pending, vehicle, prior);
        // By what the file's upkeep names things.
        Dictionary<string, string> ids = [];
        foreach ((PanelRecord panel, int i) in record.Panels.Select((panel, i) => (panel, i)))
            AddPanel(pending, vehicle, panel, fittingIds, productIds, (key, id) => ids[key is null ? $"{i + 1}" : $"{i + 1}/{key}"] = id);
        AddUpkeep(pending, vehicle, record.Upkeep, ids);
        if (record.Load is { } carried)
            load.Insert(pending, vehicle, carried);
        foreach (StockItem item in record.Stock ?? [])
            stock.Insert(pending, vehicle, item);
        foreach (BorrowedTool tool in record.Borrowed ?? [])
            borrowed.Insert(pending, vehicle, tool);
        pending.Commit(VehicleStore.ListScope, $"Added {record.Vehicle.Name}");
        return vehicle;
    }

    private void AddPanel(
        PendingChange pending,
        string vehicle,
        PanelRecord panel,
        Dictionary<string, string> fittingIds,
        Dictionary<string, string> productIds,
        Action<string?, string> known
    )
    {
        string panelId = panels.Insert(pending, vehicle, panel.Panel);
        var memberIds = panel.Members.ToDictionary(m => m.Key, m => members.Insert(pending, panelId, m.Value));
        var findingIds = panel.Findings.ToDictionary(f => f.Key, f => findings.Insert(pending, panelId, f.Finding));
        foreach (FindingRecord found in panel.Findings)
        {
            foreach (PhotoRecord photo in found.Photos)
                photos.Insert(pending, findingIds[found.Key], new Photo(photo.Sha256, photo.Type, photo.Bytes, photo.Caption));
        }
        if (panel.Water is { } wet)
            water.Insert(pending, panelId, wet);
        var openingIds = panel.Openings.ToDictionary(
            o => o.Key,
            o => openings.Insert(pending, panelId, o.Value with { FittingId = fittingIds[o.Value.FittingId] })
        );
        var repairIds = (panel.Repairs ?? []).ToDictionary(
            r => r.Key,
            r => repairs.Insert(pending, panelId, r.Value with { FindingIds = [.. r.Value.FindingIds.Select(key => findingIds[key])] })
        );
        (string[] wood, string[] linings) = panel.Floor is { } floor ? floors.Insert(pending, panelId, floor, findingIds) : ([], []);
        known(null, panelId);
        foreach ((string key, string id) in openingIds.Concat(repairIds))
            known(key, id);
        foreach (StepDone step in panel.Done ?? [])
        {
            string job = step.Job.Kind switch
            {
                JobKind.Opening => openingIds[step.Job.Id],
                JobKind.Repair => repairIds[step.Job.Id],
                JobKind.Replacement => wood.Where((_, i) => VehicleFile.KeyOf("replacement", i) == step.Job.Id).Single(),
                _ => linings.Where((_, i) => VehicleFile.KeyOf("lining", i) == step.Job.Id).Single(),
            };
            done.Insert(pending, vehicle, step with { Job = step.Job with { Id = job } });
        }
        foreach (Joint joint in panel.Joints ?? [])
        {
            JointOf? of = joint.Of is not { } it
                ? null
                : it.Kind switch
                {
                    JointOfKind.Member => it with { Id = memberIds[it.Id] },
                    JointOfKind.Opening => it with { Id = openingIds[it.Id] },
                    JointOfKind.Finding => it with { Id = findingIds[it.Id] },
                    JointOfKind.Repair => it with { Id = repairIds[it.Id] },
                    _ => it,
                };
            joints.Insert(pending, panelId, joint with { Of = of, ProductId = joint.ProductId is { } product ? productIds[product] : null });
        }
    }

    /// <summary>What is looked after; of what is not in the file there is nothing to keep.</summary>
    private void AddUpkeep(PendingChange pending, string vehicle, UpkeepRecord? record, Dictionary<string, string> ids)
    {
        string[] own = [.. (record?.Own ?? []).Select(o => upkeep.Own.Insert(pending, vehicle, o))];
        string? IdOf(string kind, string name) =>
            kind != nameof(UpkeepKind.Own) ? ids.GetValueOrDefault(name)
            : int.TryParse(name, out int n) ? own.ElementAtOrDefault(n - 1)
            : null;
        foreach (UpkeepDone looked in record?.Done ?? [])
        {
            if (looked.Rekeyed(name => IdOf(looked.Key.Split('/')[0], name)) is { } here)
                upkeep.Done.Insert(pending, vehicle, here);
        }
    }

    /// <summary>Ids of the fittings by their keys.</summary>
    private Dictionary<string, string> AddFittings(PendingChange pending, IReadOnlyList<Keyed<Fitting>> added)
    {
        var known = fittings.All().ToDictionary(f => f.Value.Name, f => (f.Id, f.Value));
        var ids = new Dictionary<string, string>();
        foreach ((string key, Fitting fitting) in added)
        {
            string name = fitting.Name;
            for (int i = 2; known.TryGetValue(name, out var other) && !Same(other.Value, fitting with { Name = name }); i++)
                name = $"{fitting.Name} ({i})";
            Fitting named = fitting with { Name = name };
            if (!known.ContainsKey(name))
                known[name] = (fittings.Insert(pending, null, named), named);
            ids[key] = known[name].Id;
        }
        return ids;
    }

    /// <summary>Ids of the products by their keys.</summary>
    private Dictionary<string, string> AddProducts(PendingChange pending, IReadOnlyList<Keyed<Product>> added)
    {
        Dictionary<string, string> known = products.All().ToDictionary(p => p.Value.Name, p => p.Id);
        return added.ToDictionary(
            p => p.Key,
            p => known.TryGetValue(p.Value.Name, out string? id) ? id : known[p.Value.Name] = products.Insert(pending, null, p.Value)
        );
    }

    /// <summary>Whether two fittings are the same in words and figures; lists within them are compared item by item.</summary>
    private static bool Same(Fitting a, Fitting b) => AbriJson.Write(a) == AbriJson.Write(b);
}
