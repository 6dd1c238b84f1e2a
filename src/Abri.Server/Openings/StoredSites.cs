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
    public Site Of(Stored<Opening> row)
    {
        Stored<Panel> panel = panels.Find(row.OwnerId!)!;
        Vehicle vehicle = vehicles.Find(panel.OwnerId!)!.Value;
        Opening opening = row.Value;
        return new Site(
            panel.Value, [.. members.All(panel.Id).Select(m => m.Value)], fittings.Find(opening.FittingId)!.Value, opening.Schools.RibInTheWay, opening.TurnDeg, opening.WallMm,
            [.. openings.All(panel.Id).Where(o => o.Id != row.Id).Select(o => new Neighbour(o.Value.Name, fittings.Find(o.Value.FittingId)!.Value, o.Value.Centre, o.Value.TurnDeg))],
            [.. zones.All(panel.OwnerId).Select(z => z.Value)], new LengthFormat(vehicle.Units, vehicle.InchDenominator),
            [.. panels.All(panel.OwnerId).Where(p => p.Id != panel.Id && p.Value.Kind == PanelKind.SlidingDoor).Select(p => p.Value)]);
    }
}
