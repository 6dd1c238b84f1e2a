using Abri.Core;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Abri.Storage.Water;

namespace Abri.Storage.Record;

/// <summary>Adds and reads the whole record of a vehicle.</summary>
public sealed class RecordStore(
    Database database, VehicleStore vehicles, PanelStore panels, MemberStore members, ZoneStore zones, FittingStore fittings, OpeningStore openings,
    FindingStore findings, PhotoStore photos, WaterStores water, LeakPriorStore priors, JointStore joints, ProductStore products)
{
    /// <summary>
    /// Adds a vehicle with everything on it in one change. A fitting that the catalogue has already, in the same words and figures, is
    /// used as it is; another of the same name gets a number behind its name. A product that the catalogue has by its name is used as it is there: somebody may have held it against the data sheet.
    /// </summary>
    /// <returns>Id of the vehicle.</returns>
    public string Add(VehicleRecord record)
    {
        Dictionary<string, Fitting> known = fittings.All().ToDictionary(f => f.Value.Name, f => f.Value);
        Dictionary<string, string> idOf = fittings.All().ToDictionary(f => f.Value.Name, f => f.Id);
        using Work work = database.Begin();
        var fittingIds = new Dictionary<string, string>();
        foreach ((string key, Fitting fitting) in record.Fittings)
        {
            string name = fitting.Name;
            for (int i = 2; known.TryGetValue(name, out Fitting? other) && !Same(other, fitting with { Name = name }); i++) name = $"{fitting.Name} ({i})";
            if (!idOf.TryGetValue(name, out string? id))
            {
                id = fittings.Insert(work, null, fitting with { Name = name });
                (known[name], idOf[name]) = (fitting with { Name = name }, id);
            }
            fittingIds[key] = id;
        }
        HashSet<string> atHand = [.. products.All().Select(p => p.Value.Name)];
        foreach (Product product in (record.Products ?? []).Where(p => atHand.Add(p.Name))) products.Insert(work, null, product);
        string vehicle = vehicles.Insert(work, null, record.Vehicle);
        foreach (Zone zone in record.Zones) zones.Insert(work, vehicle, zone);
        foreach (LeakPrior prior in record.LeakPriors ?? []) priors.Insert(work, vehicle, prior);
        foreach (PanelRecord panel in record.Panels)
        {
            string panelId = panels.Insert(work, vehicle, panel.Panel);
            foreach (Member member in panel.Members) members.Insert(work, panelId, member);
            foreach (FindingRecord found in panel.Findings)
            {
                string findingId = findings.Insert(work, panelId, found.Finding);
                foreach (PhotoRecord photo in found.Photos) photos.Insert(work, findingId, new Photo(photo.Sha256, photo.Type, photo.Bytes, photo.Caption));
            }
            if (panel.Water is { } wet) water.Insert(work, panelId, wet);
            foreach (Joint joint in panel.Joints ?? []) joints.Insert(work, panelId, joint);
            foreach (Opening opening in panel.Openings) openings.Insert(work, panelId, opening with { FittingId = fittingIds[opening.FittingId] });
        }
        work.Commit(VehicleStore.ListScope, $"Added {record.Vehicle.Name}");
        return vehicle;
    }

    /// <summary>The whole record of a vehicle, or null when it is not there.</summary>
    /// <param name="vehicleId">Id of the vehicle.</param>
    /// <param name="content">Gives the bytes of a photo by its hash, or null to leave them out.</param>
    public VehicleRecord? Read(string vehicleId, Func<string, byte[]?> content)
    {
        if (vehicles.Find(vehicleId) is not { } vehicle) return null;
        var used = new Dictionary<string, KeyedFitting>();
        string Key(string fittingId)
        {
            if (!used.TryGetValue(fittingId, out KeyedFitting? keyed)) used[fittingId] = keyed = new KeyedFitting($"fitting-{used.Count + 1}", fittings.Find(fittingId)!.Value);
            return keyed.Key;
        }
        PanelRecord[] all =
        [
            .. panels.All(vehicleId).Select(panel => new PanelRecord(
                panel.Value, [.. members.All(panel.Id).Select(m => m.Value)],
                [.. findings.All(panel.Id).Select(f => new FindingRecord(f.Value, [.. photos.All(f.Id).Select(p => new PhotoRecord(p.Value.Type, p.Value.Caption, p.Value.Sha256, p.Value.Bytes, content(p.Value.Sha256)))]))],
                [.. openings.All(panel.Id).Select(o => o.Value with { FittingId = Key(o.Value.FittingId) })],
                water.OfPanel(panel.Id) is { IsEmpty: false } wet ? wet : null, joints.All(panel.Id) is { Count: > 0 } kept ? [.. kept.Select(j => j.Value)] : null)),
        ];
        LeakPrior[] changed = [.. priors.All(vehicleId).Select(p => p.Value)];
        return new VehicleRecord(vehicle.Value, [.. zones.All(vehicleId).Select(z => z.Value)], [.. used.Values], all, changed.Length > 0 ? changed : null, Named(all));
    }

    /// <summary>The products that joints name, as far as the catalogue has them.</summary>
    private Product[]? Named(PanelRecord[] panels)
    {
        HashSet<string> names = [.. panels.SelectMany(p => p.Joints ?? []).Select(j => j.Product).OfType<string>()];
        Product[] named = [.. products.All().Select(p => p.Value).Where(p => names.Contains(p.Name))];
        return named.Length > 0 ? named : null;
    }

    /// <summary>Whether two fittings are the same in words and figures; lists within them are compared item by item.</summary>
    private static bool Same(Fitting a, Fitting b) => AbriJson.Write(a) == AbriJson.Write(b);
}
