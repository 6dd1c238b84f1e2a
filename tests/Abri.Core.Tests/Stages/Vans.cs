using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;
using Abri.Core.Weather;

namespace Abri.Core.Tests.Stages;

/// <summary>Vehicles of one panel for tests.</summary>
internal static class Vans
{
    public static VehicleSnapshot Of(
        IReadOnlyList<Repair> repairs,
        IReadOnlyList<Finding> findings,
        IReadOnlyList<Observation>? observations = null,
        IReadOnlyList<Joint>? joints = null,
        IReadOnlyList<Member>? members = null,
        IReadOnlyList<StockSheet>? sheets = null,
        Panel? panel = null,
        FloorRecord? floor = null,
        IReadOnlyList<StockBoard>? stock = null,
        IReadOnlyList<Opening>? openings = null,
        Fitting? fitting = null,
        Forecast? forecast = null,
        IReadOnlyList<Person>? people = null,
        IReadOnlyList<OwnTask>? own = null,
        KeptPlan? plan = null
    ) =>
        new(
            new Stored<Vehicle>(
                "v",
                1,
                null,
                new Vehicle("Van", VehicleKind.PanelVan, null, "", UnitSystem.Mm, 16, new Schools(RibInTheWay.Keep, CutSize.WasteSide), 3)
            ),
            [new Stored<Panel>("p", 1, "v", panel ?? new Panel(PanelKind.Left, new PanelBox(0, 2000, 0, 1500).Corners, 1, SkinMaterial.MildSteel))],
            [.. (members ?? []).Select((m, i) => new Stored<Member>($"m{i}", 1, "p", m))],
            [],
            [.. (openings ?? []).Select((o, i) => new Stored<Opening>($"o{i}", 1, "p", o))],
            [.. findings.Select((f, i) => new Stored<Finding>($"f{i}", 1, "p", f))],
            [],
            new WaterRows([], [.. (observations ?? []).Select((o, i) => new Stored<Observation>($"o{i}", 1, "p", o))], [], [], []),
            [],
            [.. (joints ?? []).Select((j, i) => new Stored<Joint>($"j{i}", 1, "p", j))],
            [.. repairs.Select((r, i) => new Stored<Repair>($"r{i}", 1, "p", r))],
            [.. (sheets ?? []).Select((s, i) => new Stored<StockSheet>($"s{i}", 1, "v", s))],
            new FloorRows(
                [.. (floor?.Probes ?? []).Select((x, i) => new Stored<Probe>($"probe{i}", 1, "p", x))],
                [.. (floor?.Boards ?? []).Select((x, i) => new Stored<Board>($"board{i}", 1, "p", x))],
                [.. (floor?.Replacements ?? []).Select((x, i) => new Stored<Replacement>($"x{i}", 1, "p", x))],
                [.. (floor?.Linings ?? []).Select((x, i) => new Stored<Lining>($"lining{i}", 1, "p", x))],
                [.. (stock ?? []).Select((x, i) => new Stored<StockBoard>($"stock{i}", 1, "v", x))]
            ),
            new DayRows(
                forecast is null ? null : new Stored<Forecast>("f", 1, "v", forecast),
                [.. (people ?? []).Select((x, i) => new Stored<Person>($"person{i}", 1, "v", x))],
                [.. (own ?? []).Select((x, i) => new Stored<OwnTask>($"own{i}", 1, "v", x))],
                plan is null ? null : new Stored<KeptPlan>("plan", 1, "v", plan)
            ),
            fitting is null ? [] : [new Stored<Fitting>("g", 1, null, fitting)],
            []
        );
}
