using Abri.Core.Openings;
using Abri.Core.Openings.Together;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Water;

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
    public static Site Of(VehicleSnapshot of, Stored<Panel> panel, Opening opening, string? ownId) =>
        new(
            panel.Value,
            of.MembersOn(panel).Values(),
            of.FittingOf(opening),
            opening.Schools.RibInTheWay,
            opening.TurnDeg,
            opening.WallMm,
            [
                .. of
                    .Openings.On(panel.Id)
                    .Where(o => o.Id != ownId)
                    .Select(o => new Neighbour(o.Value.Name, of.FittingOf(o.Value), o.Value.Centre, o.Value.TurnDeg)),
            ],
            of.Zones.Values(),
            of.Lengths,
            Doors(of, panel),
            Covers(of, panel),
            of.Findings.On(panel.Id).Values()
        );

    private static SiteCover[] Covers(VehicleSnapshot of, Stored<Panel> panel) =>
        [.. of.Water.Coverings.On(panel.Id).Where(c => c.Value.Kind is not (CoveringKind.Sealant or CoveringKind.Patch)).Select(c => Cover(c.Value))];

    /// <summary>Foam and foil burn; of wool, boards and cladding nobody said what they are.</summary>
    private static SiteCover Cover(Covering covering) =>
        new(covering.Name, covering.Area, covering.Kind is CoveringKind.Foam or CoveringKind.Membrane ? true : null);

    /// <summary>What the procedure of an opening is made from, with the product that its joint names.</summary>
    public static OpeningWork Work(VehicleSnapshot of, Stored<Opening> row) =>
        new(row.Value.Name, Of(of, row), row.Value.Centre, row.Value.Schools, of.Product(of.JointOf(row)?.Value.ProductId), row.Value.Tape);

    /// <summary>Several openings of a panel that are placed together; the others stay where they are.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="panel">The panel.</param>
    /// <param name="chosen">Which, each with the name of the zone that it is to serve; null for none.</param>
    /// <param name="spacingMm">Room to be kept between two flanges, mm.</param>
    public static TogetherSite Together(
        VehicleSnapshot of,
        Stored<Panel> panel,
        IReadOnlyList<(Stored<Opening> Row, string? Zone)> chosen,
        double spacingMm
    )
    {
        HashSet<string> moving = [.. chosen.Select(c => c.Row.Id)];
        bool cuts = chosen.All(c => c.Row.Value.Schools.RibInTheWay == RibInTheWay.CutSecondary);
        return new TogetherSite(
            panel.Value,
            of.MembersOn(panel).Values(),
            [.. chosen.Select(c => new TogetherFitting(c.Row.Value.Name, of.FittingOf(c.Row.Value), WishesFor(c.Zone), c.Row.Value.TurnDeg))],
            cuts ? RibInTheWay.CutSecondary : RibInTheWay.Keep,
            spacingMm,
            [
                .. of
                    .Openings.On(panel.Id)
                    .Where(o => !moving.Contains(o.Id))
                    .Select(o => new Neighbour(o.Value.Name, of.FittingOf(o.Value), o.Value.Centre, o.Value.TurnDeg)),
            ],
            of.Zones.Values(),
            of.Lengths,
            Doors(of, panel),
            Covers(of, panel)
        );
    }

    /// <summary>Over what it serves where that is said, in the middle of the vehicle elsewhere; in the middle of its bay in either case, for half as
    /// much.</summary>
    private static Wish[] WishesFor(string? zone) =>
        [new(WishKind.BayCentre, 0.5), zone is null ? new Wish(WishKind.CentreLine, 0.5) : new Wish(WishKind.OverZone, 1, zone)];

    /// <summary>The sliding doors beside a panel.</summary>
    private static Panel[] Doors(VehicleSnapshot of, Stored<Panel> panel) =>
        [.. of.Panels.Where(p => p.Id != panel.Id && p.Value.Kind == PanelKind.SlidingDoor).Select(p => p.Value)];
}
