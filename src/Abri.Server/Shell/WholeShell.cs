using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;

namespace Abri.Server.Shell;

/// <summary>A vehicle with everything on it, as the screens load it.</summary>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Panels">Its panels.</param>
/// <param name="Members">The members of all panels; their owner is the panel.</param>
/// <param name="Zones">Zones inside.</param>
/// <param name="Openings">The openings of all panels; their owner is the panel.</param>
/// <param name="Findings">The findings of all panels; their owner is the panel.</param>
/// <param name="Photos">The photos of all findings; their owner is the finding.</param>
/// <param name="Next">What waits, in the order of work.</param>
public sealed record WholeShell(
    Stored<Vehicle> Vehicle, IReadOnlyList<Stored<Panel>> Panels, IReadOnlyList<Stored<Member>> Members, IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings, IReadOnlyList<Stored<Finding>> Findings, IReadOnlyList<Stored<Photo>> Photos, IReadOnlyList<NextJob> Next)
{
    /// <summary>Puts together what the stores keep of a vehicle; each store is asked once.</summary>
    internal static WholeShell Of(Stored<Vehicle> vehicle, PanelStore panels, MemberStore members, ZoneStore zones, OpeningStore openings, FindingStore findings, PhotoStore photos)
    {
        IReadOnlyList<Stored<Panel>> all = panels.All(vehicle.Id);
        Stored<Finding>[] found = [.. all.SelectMany(p => findings.All(p.Id))];
        Stored<Opening>[] opened = [.. all.SelectMany(p => openings.All(p.Id))];
        Dictionary<string, string> names = all.ToDictionary(p => p.Id, p => Words(p.Value));
        IEnumerable<Waiting> waiting = found.Select(f => new Waiting(f.Id, names[f.OwnerId!], f.Value))
            .Concat(opened.Where(o => o.Value.State != OpeningState.Fitted).Select(o => new Waiting(o.Id, names[o.OwnerId!], null, o.Value.Name, o.Value.State == OpeningState.Cut)));
        return new WholeShell(
            vehicle, all, [.. all.SelectMany(p => members.All(p.Id))], zones.All(vehicle.Id), opened, found, photos.OfVehicle(vehicle.Id), WorkOrder.Of([.. waiting]));
    }

    internal static string Words(Panel panel)
    {
        string name = panel.Name ?? PanelWords.Name(panel.Kind);
        return char.ToUpperInvariant(name[0]) + name[1..];
    }
}
