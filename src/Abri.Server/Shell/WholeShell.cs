using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Abri.Storage.Water;

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
/// <param name="Suspects">Suspects that somebody wrote down; their owner is the panel.</param>
/// <param name="Observations">What was looked at; their owner is the panel.</param>
/// <param name="SealReadings">Readings along seals; their owner is the panel.</param>
/// <param name="Drains">Drains; their owner is the panel.</param>
/// <param name="Coverings">What was put on panels or into them; their owner is the panel.</param>
/// <param name="LeakPriors">Priors that somebody changed.</param>
/// <param name="WaysOut">What keeps water in, worst first.</param>
public sealed record WholeShell(
    Stored<Vehicle> Vehicle, IReadOnlyList<Stored<Panel>> Panels, IReadOnlyList<Stored<Member>> Members, IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings, IReadOnlyList<Stored<Finding>> Findings, IReadOnlyList<Stored<Photo>> Photos, IReadOnlyList<NextJob> Next,
    IReadOnlyList<Stored<Suspect>> Suspects, IReadOnlyList<Stored<Observation>> Observations, IReadOnlyList<Stored<SealReading>> SealReadings, IReadOnlyList<Stored<Drain>> Drains,
    IReadOnlyList<Stored<Covering>> Coverings, IReadOnlyList<Stored<LeakPrior>> LeakPriors, IReadOnlyList<WayOut> WaysOut)
{
    /// <summary>Puts together what the stores keep of a vehicle; each store is asked once.</summary>
    internal static WholeShell Of(Stored<Vehicle> vehicle, PanelStore panels, MemberStore members, ZoneStore zones, OpeningStore openings, FindingStore findings, PhotoStore photos,
        WaterStores water, LeakPriorStore priors, DateTimeOffset now)
    {
        IReadOnlyList<Stored<Panel>> all = panels.All(vehicle.Id);
        Stored<Finding>[] found = [.. all.SelectMany(p => findings.All(p.Id))];
        Stored<Opening>[] opened = [.. all.SelectMany(p => openings.All(p.Id))];
        Dictionary<string, string> names = all.ToDictionary(p => p.Id, p => Words(p.Value));
        Stored<Observation>[] looked = [.. all.SelectMany(p => water.Observations.All(p.Id))];
        Dictionary<string, Panel> drawn = all.ToDictionary(p => p.Id, p => p.Value);
        IEnumerable<Waiting> waiting = found.Select(f => new Waiting(f.Id, names[f.OwnerId!], f.Value, Test: TestsOfFinding.Of(f.Value, drawn[f.OwnerId!], looked.Select(o => o.Value))))
            .Concat(opened.Where(o => o.Value.State != OpeningState.Fitted).Select(o => new Waiting(o.Id, names[o.OwnerId!], null, o.Value.Name, o.Value.State == OpeningState.Cut)));
        Stored<Member>[] joined = [.. all.SelectMany(p => members.All(p.Id))];
        Stored<Drain>[] drains = [.. all.SelectMany(p => water.Drains.All(p.Id))];
        Stored<Covering>[] coverings = [.. all.SelectMany(p => water.Coverings.All(p.Id))];
        IEnumerable<DrainedPanel> drained = all.Select(p => new DrainedPanel(p.Id, p.Value, On(p, joined), On(p, found), On(p, drains), On(p, coverings)));
        return new WholeShell(
            vehicle, all, joined, zones.All(vehicle.Id), opened, found, photos.OfVehicle(vehicle.Id), WorkOrder.Of([.. waiting]), [.. all.SelectMany(p => water.Suspects.All(p.Id))],
            looked, [.. all.SelectMany(p => water.SealReadings.All(p.Id))], drains, coverings, priors.All(vehicle.Id), Core.Water.WaysOut.Of([.. drained], now, new LengthFormat(vehicle.Value.Units, vehicle.Value.InchDenominator)));
    }

    private static T[] On<T>(Stored<Panel> panel, IEnumerable<Stored<T>> rows)
        where T : notnull => [.. rows.Where(r => r.OwnerId == panel.Id).Select(r => r.Value)];

    internal static string Words(Panel panel)
    {
        string name = panel.Name ?? PanelWords.Name(panel.Kind);
        return char.ToUpperInvariant(name[0]) + name[1..];
    }
}
