using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Shell;

namespace Abri.Server.Openings;

/// <summary>Puts together what decides about the place of a stored opening.</summary>
internal sealed class StoredSites(VehicleStore vehicles, PanelStore panels, MemberStore members, ZoneStore zones, FittingStore fittings, OpeningStore openings)
{
    /// <summary>The site of an opening: its panel with members, its fitting, the other openings and the zones.</summary>
    public Site Of(Stored<Opening> row) => OnPanel(row.OwnerId!)(row);

    /// <summary>Makes the sites of the openings of a panel, which is read once for all of them.</summary>
    public Func<Stored<Opening>, Site> OnPanel(string panelId)
    {
        Stored<Panel> panel = panels.Find(panelId)!;
        Vehicle vehicle = vehicles.Find(panel.OwnerId!)!.Value;
        Dictionary<string, Fitting> catalogue = fittings.All().ToDictionary(f => f.Id, f => f.Value);
        Member[] own = [.. members.All(panel.Id).Select(m => m.Value)];
        (string Id, Neighbour Neighbour)[] placed = [.. openings.All(panel.Id).Select(o => (o.Id, new Neighbour(o.Value.Name, catalogue[o.Value.FittingId], o.Value.Centre, o.Value.TurnDeg)))];
        Zone[] inside = [.. zones.All(panel.OwnerId).Select(z => z.Value)];
        Panel[] doors = [.. panels.All(panel.OwnerId).Where(p => p.Id != panel.Id && p.Value.Kind == PanelKind.SlidingDoor).Select(p => p.Value)];
        var lengths = new LengthFormat(vehicle.Units, vehicle.InchDenominator);
        return row => new Site(
            panel.Value, own, catalogue[row.Value.FittingId], row.Value.Schools.RibInTheWay, row.Value.TurnDeg, row.Value.WallMm,
            [.. placed.Where(o => o.Id != row.Id).Select(o => o.Neighbour)], inside, lengths, doors);
    }
}
