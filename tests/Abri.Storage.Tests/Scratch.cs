using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Storage.Bench;
using Abri.Storage.Days;
using Abri.Storage.Floor;
using Abri.Storage.Load;
using Abri.Storage.Logbook;
using Abri.Storage.Metal;
using Abri.Storage.Openings;
using Abri.Storage.Record;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Abri.Storage.Stores;
using Abri.Storage.Water;

namespace Abri.Storage.Tests;

/// <summary>A database in a folder of its own, with its stores; gone after the test.</summary>
internal sealed class Scratch : IDisposable
{
    /// <param name="folder">A folder that holds a database already; null for a new one.</param>
    public Scratch(string? folder = null)
    {
        Folder = folder ?? Directory.CreateTempSubdirectory("abri-test-").FullName;
        Database = Database.Open(File, TimeProvider.System);
        Vehicles = new VehicleStore(Database);
        Panels = new PanelStore(Database);
        Members = new MemberStore(Database, Panels);
        Zones = new ZoneStore(Database);
        Fittings = new FittingStore(Database);
        Openings = new OpeningStore(Database, Panels);
        History = new History(Database);
        Findings = new FindingStore(Database, Panels);
        Photos = new PhotoStore(Database, Findings, Panels);
        Water = new WaterStores(
            new SuspectStore(Database, Panels),
            new ObservationStore(Database, Panels),
            new SealReadingStore(Database, Panels),
            new DrainStore(Database, Panels),
            new CoveringStore(Database, Panels)
        );
        Priors = new LeakPriorStore(Database);
        Joints = new JointStore(Database, Panels);
        Products = new ProductStore(Database);
        Repairs = new RepairStore(Database, Panels);
        Floors = new FloorStores(
            new ProbeStore(Database, Panels),
            new BoardStore(Database, Panels),
            new ReplacementStore(Database, Panels),
            new LiningStore(Database, Panels),
            new StockBoardStore(Database)
        );
        Days = new DayStores(new ForecastStore(Database), new PersonStore(Database), new OwnTaskStore(Database), new PlanStore(Database));
        Lessons = new LessonStore(Database);
        Stock = new StockStore(Database);
        Borrowed = new BorrowedToolStore(Database);
        Done = new StepDoneStore(Database, Openings, Repairs, Floors, Findings, Lessons, Stock);
        Upkeep = new UpkeepStores(new UpkeepDoneStore(Database, Water.Drains), new OwnUpkeepStore(Database));
        Load = new LoadStores(new LoadItemStore(Database), new WeighingStore(Database));
        Snapshots = new SnapshotStore(
            Database,
            Vehicles,
            Panels,
            Members,
            Zones,
            Fittings,
            Openings,
            Findings,
            Photos,
            Water,
            Priors,
            Joints,
            Repairs,
            new SheetStore(Database),
            Floors,
            Days,
            Products,
            Done,
            Lessons,
            Upkeep,
            Load,
            Stock,
            Borrowed
        );
        Records = new RecordStore(
            Database,
            Vehicles,
            Panels,
            Members,
            Zones,
            Fittings,
            Openings,
            Findings,
            Photos,
            Water,
            Priors,
            Joints,
            Repairs,
            new SheetStore(Database),
            Floors,
            Days,
            Products,
            Done,
            Upkeep,
            Load,
            Stock,
            Borrowed
        );
    }

    public string Folder { get; }

    public string File => Path.Combine(Folder, "abri.db");

    public Database Database { get; }

    public JointStore Joints { get; }

    public ProductStore Products { get; }

    public RepairStore Repairs { get; }

    public DayStores Days { get; }

    public StepDoneStore Done { get; }

    public LessonStore Lessons { get; }

    public UpkeepStores Upkeep { get; }

    public LoadStores Load { get; }

    public StockStore Stock { get; }

    public BorrowedToolStore Borrowed { get; }

    public FloorStores Floors { get; }

    public VehicleStore Vehicles { get; }

    public PanelStore Panels { get; }

    public MemberStore Members { get; }

    public ZoneStore Zones { get; }

    public FittingStore Fittings { get; }

    public OpeningStore Openings { get; }

    public History History { get; }

    public FindingStore Findings { get; }

    public PhotoStore Photos { get; }

    public WaterStores Water { get; }

    public LeakPriorStore Priors { get; }

    public RecordStore Records { get; }

    public SnapshotStore Snapshots { get; }

    /// <summary>A vehicle as it goes into a file, without the bytes of its photos.</summary>
    public VehicleRecord Read(string id) => VehicleFile.Of(Snapshots.Read(id)!, _ => null);

    public static Vehicle Van { get; } =
        new("Heron", VehicleKind.PanelVan, 2009, "", UnitSystem.Mm, 16, new Schools(RibInTheWay.Keep, CutSize.WasteSide), 3.175);

    public static Panel Roof { get; } = new(PanelKind.Roof, new PanelBox(0, 4200, -850, 850).Corners, 0.8, SkinMaterial.MildSteel, null, 6000);

    public static Member Bow { get; } =
        new("Bow 1", MemberKind.RoofBow, MemberRole.Secondary, new Footprint(FootprintShape.Spine, [new(590, -850), new(590.25, 850)], 60), 40);

    public static Fitting Vent { get; } =
        new(
            "400 roof vent",
            FittingKind.RoofVent,
            new RoundedRectangle(400, 400, 20),
            1,
            4,
            new RoundedRectangle(396, 396, 18),
            new RoundedRectangle(490, 490, 30),
            25,
            new PerSide(38, 38.1, 38, 38),
            4.5,
            true,
            Side.Front,
            PerSide.All(1.5),
            1,
            10,
            new ClampRange(25, 60),
            new FlangeScrews(5, 3, 12, 2.5)
        );

    /// <summary>A vehicle with its roof, a bow, a zone, a fitting and an opening.</summary>
    public (Stored<Vehicle> Vehicle, Stored<Panel> Roof, Stored<Member> Bow, Stored<Fitting> Vent, Stored<Opening> Opening) Filled()
    {
        Stored<Vehicle> vehicle = Vehicles.Add(null, Van).Row!;
        Stored<Panel> roof = Panels.Add(vehicle.Id, Roof).Row!;
        Stored<Member> bow = Members.Add(roof.Id, Bow).Row!;
        Zones.Add(vehicle.Id, new Zone("Glaze bench", ZoneKind.Bench, 1150, 1750, 250, 800, 0, 900));
        Stored<Fitting> vent = Fittings.Add(null, Vent).Row!;
        Stored<Opening> opening = Openings
            .Add(
                roof.Id,
                new Opening(
                    "Vent",
                    vent.Id,
                    new PanelPoint(892.5, 12.25),
                    90,
                    28.5,
                    Van.Schools,
                    OpeningState.Cut,
                    new AsCut(400, 401, 402, 403, 549, 548.5),
                    "by the bench"
                )
            )
            .Row!;
        return (vehicle, roof, bow, vent, opening);
    }

    /// <summary>Every row of every table but the history, to compare before and after; versions left out.</summary>
    public string[] Rows() =>
        [
            .. Vehicles.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Panels.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Members.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Zones.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Fittings.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Openings.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Findings.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Photos.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Joints.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
            .. Repairs.All().Select(r => $"{r.Id} {AbriJson.Write(r.Value)}"),
        ];

    public void Dispose()
    {
        // Only the own one: tests beside this one count on theirs.
        Database.Dispose();
        Directory.Delete(Folder, recursive: true);
    }
}
