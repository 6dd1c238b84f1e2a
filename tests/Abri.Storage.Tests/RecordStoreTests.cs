using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Tests;

public sealed class RecordStoreTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    [Fact]
    public void A_whole_vehicle_goes_in_and_out_in_one_change()
    {
        string id = scratch.Records.Add(Whole);
        Assert.Equal(AbriJson.Write(Whole), AbriJson.Write(scratch.Read(id)));
        Assert.Null(scratch.Snapshots.Read("nobody"));
        Assert.Equal("Added Heron", scratch.History.Undo(VehicleStore.ListScope).What);
        Assert.Empty(scratch.Rows());
        scratch.History.Redo(VehicleStore.ListScope);
        Assert.Equal(AbriJson.Write(Whole), AbriJson.Write(scratch.Read(id)));
    }

    [Fact] // SQLite itself tells what it was asked
    public void A_vehicle_is_read_with_as_many_queries_however_many_panels_it_has()
    {
        string few = scratch.Records.Add(Whole),
            many = scratch.Records.Add(
                Whole with
                {
                    Panels =
                    [
                        .. Enumerable
                            .Range(0, 30)
                            .Select(i => Whole.Panels[0] with { Panel = Scratch.Roof with { Kind = PanelKind.Step, Name = $"Step {i}" } }),
                    ],
                }
            );
        int asked = 0;
        using (SqliteConnection connection = scratch.Database.Connect())
            SQLitePCL.raw.sqlite3_trace(connection.Handle!, (SQLitePCL.strdelegate_trace)((_, _) => asked++), null);
        int Asked(string id)
        {
            asked = 0;
            Assert.NotEmpty(scratch.Snapshots.Read(id)!.Joints);
            return asked;
        }
        Assert.Equal(Asked(few), Asked(many));
        Assert.InRange(asked, 10, 39);
        Assert.Equal(30, scratch.Snapshots.Read(many)!.Joints.Count);
        // Panel by panel, whatever the order in which rows were added.
        Assert.Equal(scratch.Snapshots.Read(many)!.Panels.Select(p => p.Id), scratch.Snapshots.Read(many)!.Openings.Select(o => o.OwnerId));
    }

    [Fact]
    public void Removing_a_vehicle_takes_its_findings_and_photos_and_undo_brings_them_back()
    {
        string id = scratch.Records.Add(Whole);
        string[] before = scratch.Rows();
        Assert.Equal(WriteState.Done, scratch.Vehicles.Remove(id, 1).State);
        Assert.Empty(scratch.Findings.All());
        Assert.Empty(scratch.Photos.All());
        scratch.History.Undo(VehicleStore.ListScope);
        Assert.Equal(before, scratch.Rows());
    }

    [Fact]
    public void A_fitting_in_the_same_figures_is_not_added_twice_and_a_product_stays_as_it_is_at_hand()
    {
        scratch.Records.Add(Whole);
        Stored<Product> product = scratch.Products.All().Single();
        scratch.Products.Replace(product.Id, product.Version, product.Value with { SkinMinutes = 25, Known = SourceKind.Published });
        scratch.Records.Add(Whole);
        Assert.Single(scratch.Fittings.All());
        Assert.Equal(25, Assert.Single(scratch.Products.All()).Value.SkinMinutes);
        Assert.Equal(2, scratch.Joints.All().Count);
    }

    [Fact]
    public void Openings_that_move_together_move_in_one_change_or_not_at_all()
    {
        scratch.Records.Add(Whole);
        Stored<Opening> vent = scratch.Openings.All().Single();
        Stored<Opening> other = scratch.Openings.Add(vent.OwnerId, vent.Value with { Name = "Other" }).Row!;
        Opening At(Stored<Opening> row, double s) => row.Value with { Centre = new PanelPoint(s, 0) };
        Assert.Equal(
            WriteState.Stale,
            scratch.Openings.ReplaceAll([(vent.Id, vent.Version, At(vent, 1)), (other.Id, other.Version + 1, At(other, 2))], "Placed").State
        );
        Assert.Equal(900, scratch.Openings.Find(vent.Id)!.Value.Centre.SMm);
        Assert.Equal(
            WriteState.Done,
            scratch.Openings.ReplaceAll([(vent.Id, vent.Version, At(vent, 1)), (other.Id, other.Version, At(other, 2))], "Placed").State
        );
        Assert.Equal([1, 2], scratch.Openings.All().Select(o => o.Value.Centre.SMm));
        Assert.Equal("Placed", scratch.History.Undo(scratch.Vehicles.All().Single().Id).What);
        Assert.Equal([900, 900], scratch.Openings.All().Select(o => o.Value.Centre.SMm));
    }

    [Fact]
    public void Typical_products_are_there_to_begin_with_and_are_not_brought_back()
    {
        scratch.Products.AddTypicalIfEmpty();
        Assert.Equal(TypicalProducts.All.Count, scratch.Products.All().Count);
        Stored<Product> first = scratch.Products.All()[0];
        scratch.Products.Remove(first.Id, first.Version);
        scratch.Products.AddTypicalIfEmpty();
        Assert.Equal(TypicalProducts.All.Count - 1, scratch.Products.All().Count);
    }

    [Fact]
    public void There_is_one_roof_but_there_may_be_several_steps()
    {
        Stored<Vehicle> vehicle = scratch.Vehicles.Add(null, Scratch.Van).Row!;
        Assert.Equal(WriteState.Done, scratch.Panels.Add(vehicle.Id, Scratch.Roof).State);
        Assert.Equal(WriteState.Conflict, scratch.Panels.Add(vehicle.Id, Scratch.Roof).State);
        Assert.Equal(WriteState.Done, scratch.Panels.Add(vehicle.Id, Scratch.Roof with { Kind = PanelKind.Step, Name = "Side step" }).State);
        Assert.Equal(WriteState.Done, scratch.Panels.Add(vehicle.Id, Scratch.Roof with { Kind = PanelKind.Step, Name = "Rear step" }).State);
    }

    [Fact] // A data file of the first release opens with everything that it held, and a copy of it is kept
    public void A_file_of_the_first_release_is_brought_up_to_date()
    {
        string file = Path.Combine(scratch.Folder, "first.db");
        using (var first = new SqliteConnection($"Data Source={file};Foreign Keys=True"))
        {
            first.Open();
            using var sql = new StreamReader(
                typeof(Database).Assembly.GetManifestResourceStream("Abri.Storage.Migrations.0001-shell-and-openings.sql")!
            );
            Database.Execute(first, sql.ReadToEnd());
            Database.Execute(
                first,
                """
                INSERT INTO vehicle VALUES ('v', 3, 'Heron', 'panelVan', 2009, '', 'mm', 16, '{"ribInTheWay":"keep","cutSize":"wasteSide"}', 3.175);
                INSERT INTO panel VALUES ('p', 2, 'v', 'roof', '[{"sMm":0,"tMm":-850},{"sMm":4200,"tMm":-850},{"sMm":4200,"tMm":850}]', 0.8, 'mildSteel', NULL, 6000);
                INSERT INTO member VALUES ('m', 1, 'p', 'Bow 1', 'roofBow', 'secondary', '{"shape":"spine","points":[{"sMm":590,"tMm":-850},{"sMm":590,"tMm":850}],"widthMm":60}', 40);
                INSERT INTO zone VALUES ('z', 1, 'v', 'Bench', 'bench', 0, 1, 0, 1, 0, 1);
                PRAGMA user_version = 1;
                """
            );
        }
        using var database = Database.Open(file, TimeProvider.System);
        Stored<Vehicle> vehicle = new VehicleStore(database).Find("v")!;
        Assert.Equal((3, "Etc/UTC", null), (vehicle.Version, vehicle.Value.TimeZone, vehicle.Value.Masses));
        Stored<Panel> roof = new PanelStore(database).Find("p")!;
        Assert.Equal((2, 6000, SurfaceSource.Drawn), (roof.Version, roof.Value.ArcRadiusAcrossMm, roof.Value.Surface));
        Assert.Equal(0, new MemberStore(database, new PanelStore(database)).Find("m")!.Value.FlankMm);
        Assert.Equal("Bench", new ZoneStore(database).Find("z")!.Value.Name);
        Assert.NotEmpty(Directory.GetFiles(scratch.Folder, "first.db.before-*"));
        // References are checked again.
        Assert.Equal(WriteState.Conflict, new PanelStore(database).Add("nobody", Scratch.Roof).State);
    }

    [Fact]
    public void Photos_lie_under_their_hash_and_no_other_name_is_taken()
    {
        var folder = new PhotoFolder(Path.Combine(scratch.Folder, "photos"));
        byte[] png = [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, 1, 2, 3];
        string hash = folder.Keep(png);
        Assert.Equal(hash, folder.Keep(png));
        Assert.Equal(png, folder.Find(hash));
        Assert.Null(folder.Find(new string('0', 64)));
        Assert.Throws<ArgumentException>(() => folder.Find("../abri.db"));
    }

    [Fact] // A folder in the photo's place lets the last step of writing fail, as a full disk does
    public void A_photo_that_cannot_be_written_leaves_nothing_behind()
    {
        string path = Path.Combine(scratch.Folder, "photos");
        var folder = new PhotoFolder(path);
        byte[] photo = [1, 2, 3];
        Directory.CreateDirectory(Path.Combine(path, PhotoFolder.HashOf(photo), "in the way"));
        Assert.ThrowsAny<IOException>(() => folder.Keep(photo));
        Assert.Empty(Directory.GetFiles(path));
        File.WriteAllBytes(Path.Combine(path, "killed.part12"), photo);
        folder.RemoveParts();
        Assert.Empty(Directory.GetFiles(path));
    }

    [Theory] // Numbers of errno.h, and of Windows' own list
    [InlineData(28, true, false)]
    [InlineData(122, true, false)]
    [InlineData(30, false, true)]
    [InlineData(unchecked((int)0x80070070), true, false)]
    [InlineData(unchecked((int)0x80070013), false, true)]
    [InlineData(2, false, false)]
    public void A_full_disk_and_one_that_takes_no_changes_are_told_apart(int number, bool full, bool readOnly)
    {
        var e = new IOException("as the system says it", number);
        Assert.Equal((full, readOnly), (DiskError.IsFull(e), DiskError.IsReadOnly(e)));
    }

    internal static VehicleRecord Whole =>
        new(
            Scratch.Van with
            {
                Place = new Place(54.5, -3.25),
                Attitude = new Attitude(1.5, -0.25),
                Masses = new Masses(2460, 3500, null, null, 3750),
            },
            [new Zone("Bench", ZoneKind.Bench, 0, 1, 0, 1, 0, 1)],
            [new Keyed<Fitting>("fitting-1", Full)],
            [
                new PanelRecord(
                    Scratch.Roof with
                    {
                        Sections = [new SurfaceSection(900, [new(-500, 12.5), new(500, 11)])],
                        SkinGapMm = 30,
                        TaperDeg = 0.5,
                        Faces = Facing.Up,
                        Name = "High roof",
                    },
                    Keyed.All("member", [Scratch.Bow with { FlankMm = 4 }, Scratch.Bow with { FlankMm = 5 }]),
                    [
                        new FindingRecord(
                            "finding-1",
                            new Finding(
                                "Seam",
                                FindingKind.OpenSeam,
                                FindingShape.Line,
                                [new(0, 0), new(9, 9)],
                                ViewedFrom.Outside,
                                Severity.Severe,
                                new FindingMeasures(140, null, null, 31),
                                FindingState.Planned,
                                "Ida",
                                new DateTimeOffset(2026, 4, 1, 8, 0, 0, TimeSpan.Zero),
                                "n"
                            ),
                            [new PhotoRecord("image/png", "", new string('a', 64), 11, null)]
                        ),
                    ],
                    Keyed.All(
                        "opening",
                        [
                            new Opening(
                                "Vent",
                                "fitting-1",
                                new PanelPoint(900, 0),
                                0,
                                null,
                                Scratch.Van.Schools,
                                OpeningState.Planned,
                                null,
                                "",
                                new ClampWork([new ClampLayer("Skin", 0.8)], [true, false], [0], [8, 8], [4.5])
                            ),
                        ]
                    ),
                    new WaterRecord(
                        [new Suspect("Bolt", SuspectKind.Screw, [new(100, 50)], Condition.Loose, Day, "n")],
                        [
                            new Observation(
                                ObservationKind.Rain,
                                new(100, 50),
                                Day,
                                true,
                                null,
                                WindFrom.Left,
                                new Attitude(1, -0.5),
                                null,
                                null,
                                "Ida",
                                "n"
                            ),
                            new Observation(
                                ObservationKind.WaterTest,
                                new(100, 50),
                                Day,
                                false,
                                null,
                                null,
                                null,
                                new Spray(PanelKind.Roof, new PanelBox(0, 1200, -300, 300), 5, true),
                                4,
                                "",
                                ""
                            ),
                            new Observation(ObservationKind.Moisture, new(100, 50), Day, null, 22.5, null, null, null, null, "", ""),
                        ],
                        [new SealReading(new(10, 20), 9, 12)],
                        [new Drain("Drain", new(10, 20), Day, ""), new Drain("Other", new(30, 20), null, "")],
                        [new Covering("Patch", CoveringKind.Patch, new PanelBox(0, 100, 0, 50), true, Lap.LowerOverUpper, true, "n")]
                    ),
                    [
                        new Joint(
                            "Seam",
                            JointKind.Seam,
                            1200.5,
                            Substrate.PaintedMetal,
                            Substrate.Glass,
                            3,
                            0.2,
                            true,
                            false,
                            true,
                            false,
                            true,
                            false,
                            new JointOf(JointOfKind.Opening, "opening-1"),
                            "product-1",
                            [new JointEvent(new DateOnly(2019, 8, 3), JointEventKind.Sealed, ProductFamily.LapSealant, "b", "Ida")],
                            "n"
                        ),
                    ]
                ),
            ],
            [new LeakPrior(SuspectKind.Seam, Condition.Aged, 0.25)],
            Keyed.All("product", TypicalProducts.All.Where(p => p.Name == "Lap sealant"))
        );

    /// <summary>A fitting of which everything is known.</summary>
    private static Fitting Full =>
        Scratch.Vent with
        {
            Halves = new Halves(60, 8, 6, [new ScrewForWall(20, 25, 40)], new RoundedRectangle(440, 440, 20)),
            Bonded = new Bonded(Pane.Acrylic, 18),
            Air = new AirPassage(4000, 160),
            HeatMm = 150,
            NeedsPower = true,
        };

    private static readonly DateTimeOffset Day = new(2026, 4, 1, 8, 0, 0, TimeSpan.Zero);
}
