using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Core.Stages;

/// <summary>Puts together what decides about the openings of a vehicle.</summary>
public static class OpeningSites
{
    /// <summary>The site of an opening: its panel with members, its fitting, the other openings, the zones and the doors that slide past.</summary>
    public static Site Of(VehicleSnapshot of, Stored<Opening> row) => Of(of, of.PanelOf(row), row.Value, row.Id);

    /// <summary>The site of an opening that is still being thought of.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="panel">Its panel.</param>
    /// <param name="opening">The opening.</param>
    /// <param name="ownId">Its id, so that it is no neighbour of itself; null for a new one.</param>
    public static Site Of(VehicleSnapshot of, Stored<Panel> panel, Opening opening, string? ownId) => new(
        panel.Value, of.MembersOn(panel).Values(), of.FittingOf(opening), opening.Schools.RibInTheWay, opening.TurnDeg, opening.WallMm,
        [
            .. of.Openings.On(panel.Id).Where(o => o.Id != ownId)
                .Select(o => new Neighbour(o.Value.Name, of.FittingOf(o.Value), o.Value.Centre, o.Value.TurnDeg)),
        ],
        of.Zones.Values(), of.Lengths, Doors(of, panel));

    /// <summary>What the procedure of an opening is made from, with the product that its joint names.</summary>
    public static OpeningWork Work(VehicleSnapshot of, Stored<Opening> row) => new(
        row.Value.Name, Of(of, row), row.Value.Centre, row.Value.Schools, of.Product(of.JointOf(row)?.Value.ProductId), row.Value.Tape);

    /// <summary>The sliding doors beside a panel.</summary>
    private static Panel[] Doors(VehicleSnapshot of, Stored<Panel> panel) =>
        [.. of.Panels.Where(p => p.Id != panel.Id && p.Value.Kind == PanelKind.SlidingDoor).Select(p => p.Value)];
}
