using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Stages;

/// <summary>A vehicle as rain sees it.</summary>
public static class WetVehicle
{
    /// <summary>Places that are tried for one opening and turn.</summary>
    private const int PlacesEach = 5;

    /// <summary>The roof with its openings as dams, planned ones too: one wants to know before one cuts. Null where no roof is drawn.</summary>
    public static WetRoof? Roof(VehicleSnapshot of) =>
        of.Roof is not { } roof
            ? null
            : new WetRoof(
                roof.Value,
                of.MembersOn(roof).Values(),
                [
                    .. Named(of.Openings.On(roof.Id))
                        .Select(o => new Dam(
                            o.Name,
                            of.FittingOf(o.Row.Value).Turned(o.Row.Value.TurnDeg).Flange.BoxAt(o.Row.Value.Centre),
                            Dam.UsualStandsMm
                        )),
                ]
            );

    /// <summary>How wood dries at each place where the meter was held.</summary>
    public static IReadOnlyList<DryingPlace> Drying(VehicleSnapshot of) =>
        DryingPlaces.Of(
            of.Water.Observations.Where(o => o.Value.MoisturePercent is not null)
                .Select(o => new MeterReading(o.OwnerId!, o.Value.Place, o.Value.SeenAt, o.Value.MoisturePercent!.Value))
        );

    /// <summary>What keeps standing water from what stands on the roof: openings that are only planned may go elsewhere.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="roof">Its roof, as <see cref="Roof"/> gives it.</param>
    /// <param name="attitude">How it is parked.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<MendsOfRoof>> Mends(VehicleSnapshot of, WetRoof roof, Attitude attitude, CancellationToken stop)
    {
        var places = new List<OtherPlace>();
        foreach ((Stored<Opening> row, string name) in Named(of.Openings.On(of.Roof!.Id)).Where(o => o.Row.Value.State == OpeningState.Planned))
        {
            Site site = OpeningSites.Of(of, row);
            int across = (row.Value.TurnDeg + 90) % 360;
            foreach (
                int turn in site.Fitting.Flange.WidthMm == site.Fitting.Flange.HeightMm ? [row.Value.TurnDeg] : new[] { row.Value.TurnDeg, across }
            )
            {
                if (
                    RankedPositions.Of(site with { TurnDeg = turn }, [new Wish(WishKind.BayCentre)], stop).Value
                    is not { Result.Positions: var found }
                )
                    continue;
                string turned = turn == across ? " and turn it by a quarter" : "";
                places.AddRange(
                    found
                        .Take(PlacesEach)
                        .Select(p => new OtherPlace(
                            name,
                            $"Move it to position {p.Rank}{(p.Bay is null ? "" : $" in bay {p.Bay}")}{turned}.",
                            site.Fitting.Flange.Turned(turn).BoxAt(p.Centre)
                        ))
                );
            }
        }
        return PondingMends.Of(roof, attitude, [.. places.Take(PondingMends.MostPlaces)], of.Lengths, stop);
    }

    /// <summary>The shell with all that bears on leaks.</summary>
    public static WetShell Shell(VehicleSnapshot of) =>
        new(
            [
                .. of.Panels.Select(p => new WetPanel(
                    p.Id,
                    p.Value,
                    of.MembersOn(p).Values(),
                    Keys(of.Findings.On(p.Id)),
                    [.. of.Openings.On(p.Id).Values().Where(o => o.State != OpeningState.Planned).Select(o => Cut(of, o))],
                    Keys(of.Water.Suspects.On(p.Id)),
                    of.Water.Observations.On(p.Id).Values(),
                    of.Water.SealReadings.On(p.Id).Values(),
                    of.Water.Drains.On(p.Id).Values(),
                    Coverings(of, p),
                    Mended(of, p)
                )),
            ],
            of.Vehicle.Value.Attitude ?? new Attitude(0, 0),
            of.LeakPriors.Values()
        );

    /// <summary>What was put on a panel or into it: written down, and by repairs.</summary>
    internal static IReadOnlyList<Covering> Coverings(VehicleSnapshot of, Stored<Panel> panel) =>
        [
            .. of.Water.Coverings.On(panel.Id).Values(),
            .. of
                .Repairs.On(panel.Id)
                .Select(r => MetalOfVehicle.Work(of, panel, r.Value).Allowed)
                .Where(r => r is { Kind: RepairKind.Patch or RepairKind.Plate, Patch: not null })
                .Select(r => Covering(of, panel, r)),
        ];

    private static Covering Covering(VehicleSnapshot of, Stored<Panel> panel, Repair repair)
    {
        PatchSite site = MetalOfVehicle.Work(of, panel, repair).PatchSite!;
        return new Covering(
            repair.Name,
            CoveringKind.Patch,
            PanelBox.Of(Patch.Edge(site)),
            false,
            Patch.RunsAgainst(site) ? Lap.LowerOverUpperSealed : Lap.UpperOverLower,
            !repair.IsOver,
            ""
        );
    }

    /// <summary>What was mended on a panel.</summary>
    private static MendedPlace[] Mended(VehicleSnapshot of, Stored<Panel> panel) =>
        [
            .. of
                .Repairs.On(panel.Id)
                .Select(r => MetalOfVehicle.Work(of, panel, r.Value).Allowed)
                .Where(r => r is { IsOver: true, DoneOn: not null, Seals: true })
                .Select(r =>
                {
                    // All of it has to be wetted, on a later day: what was sprayed that day may have been sprayed before, or wet sealant.
                    IReadOnlyList<PanelPoint> places = MetalOfVehicle.Outline(r, panel.Value);
                    bool isArea = r.Kind != RepairKind.Plug && r.Shape == FindingShape.Area;
                    DateOnly since = r.DoneOn!.Value.AddDays(1);
                    TestedJoint? test = TestsOfFinding.Of(places, MendedPlace.Midnight(since), panel.Value, of.Water.Observations.Values());
                    return new MendedPlace(r.Name, places, isArea, r.Kind == RepairKind.Plug, r.DoneOn.Value, test is { Wet: false });
                }),
        ];

    private static Keyed<T>[] Keys<T>(IEnumerable<Stored<T>> rows)
        where T : notnull => [.. rows.Select(r => new Keyed<T>(r.Id, r.Value))];

    private static CutOpening Cut(VehicleSnapshot of, Opening opening)
    {
        Fitting fitting = of.FittingOf(opening).Turned(opening.TurnDeg);
        return new CutOpening(opening.Name, fitting.Flange.BoxAt(opening.Centre), opening.State == OpeningState.Fitted, fitting.Clamp is not null);
    }

    /// <summary>Openings with names that tell them apart: the second of one name is called (2).</summary>
    private static IEnumerable<(Stored<Opening> Row, string Name)> Named(IEnumerable<Stored<Opening>> rows)
    {
        var seen = new Dictionary<string, int>();
        foreach (Stored<Opening> row in rows)
        {
            int before = seen[row.Value.Name] = seen.GetValueOrDefault(row.Value.Name) + 1;
            yield return (row, before == 1 ? row.Value.Name : $"{row.Value.Name} ({before})");
        }
    }
}
