using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Load;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;

namespace Abri.Server.Demo;

/// <summary>
/// The demo vehicle, all invented: a retired mobile-library van with a ribbed high roof, becoming a travelling ceramics studio.
/// </summary>
internal static partial class Heron
{
    private const double LengthMm = 4300,
        HalfWidthMm = 850,
        HeightMm = 1950;
    private static readonly Schools Schools = new(RibInTheWay.Keep, CutSize.WasteSide);
    private static readonly DateTimeOffset FirstDay = new(2026, 4, 11, 9, 30, 0, TimeSpan.Zero);

    /// <summary>Everything on it.</summary>
    public static VehicleRecord Record { get; } =
        new(
            new Vehicle(
                "Heron",
                VehicleKind.PanelVan,
                2009,
                "Retired mobile-library van, long wheelbase, high ribbed roof. Becoming a travelling ceramics studio with a bed.",
                UnitSystem.Mm,
                16,
                Schools,
                Vehicle.UsualMarkerOffsetMm,
                "Europe/London",
                new Place(54.6, -3.5),
                new Masses(2460, 3500, 1750, 2240, 3750, 1390, -1150, 1740, 860, 690),
                new Attitude(-0.6, 0.4)
            ),
            Zones,
            Fittings,
            [Roof, Left, Right, RearLeftDoor, RearRightDoor, SlidingDoor, Bulkhead, Floor, Step],
            Products: Keyed.All("product", TypicalProducts.All.Where(p => p.Family == ProductFamily.ButylTape)),
            StockBoards: [new StockBoard("Back of the old bookcase", BoardMaterial.BirchPly, 15, 1180, 780, 1, "")],
            Sheets:
            [
                new StockSheet("Half sheet", SheetMetal.MildSteel, 1.5, new PanelBox(0, 1000, 0, 500).Corners, ""),
                new StockSheet(
                    "Piece from the old shelf",
                    SheetMetal.MildSteel,
                    1.5,
                    [new(0, 0), new(420, 0), new(420, 90), new(260, 90), new(260, 160), new(0, 160)],
                    "A corner is cut away."
                ),
            ],
            Load: new LoadRecord(Carried, [])
        );

    private static LoadItem[] Carried =>
        [
            new(
                "Bookcases and lending desk",
                LoadKind.Fixed,
                310,
                new(2200, 0, 800),
                100,
                TakenOut: true,
                IsIn: true,
                "Weighed on the bathroom scale."
            ),
            new("Throwing wheel", LoadKind.Fixed, 52, new(2730, 0, 300), 100, TakenOut: false, IsIn: false, ""),
            new("Glaze bench with cupboards", LoadKind.Fixed, 64, new(1520, 520, 450), 100, TakenOut: false, IsIn: false, ""),
            new("Stove with hearth", LoadKind.Fixed, 58, new(3910, -540, 300), 100, TakenOut: false, IsIn: false, ""),
            new("Bed", LoadKind.Fixed, 46, new(3650, 280, 500), 100, TakenOut: false, IsIn: false, ""),
            new("Test kiln", LoadKind.Fixed, 118, new(4020, 480, 300), 100, TakenOut: false, IsIn: false, "Stands on the floor, strapped."),
            new("Deadening of sides and roof", LoadKind.Deadening, 44, new(2150, 0, 1300), 100, TakenOut: false, IsIn: false, "All over, so far."),
            new("Batteries", LoadKind.Fixed, 56, new(620, -600, 150), 100, TakenOut: false, IsIn: false, ""),
            new("Fresh water", LoadKind.Tank, 90, new(2100, -640, 200), 80, TakenOut: false, IsIn: false, ""),
            new("Driver", LoadKind.Person, 78, new(-780, 380, 350), 100, TakenOut: false, IsIn: true, ""),
            new("Passenger", LoadKind.Person, 70, new(-780, -380, 350), 0, TakenOut: false, IsIn: true, ""),
            new(
                "Clay, glazes, pots",
                LoadKind.Baggage,
                260,
                new(3500, -300, 350),
                50,
                TakenOut: false,
                IsIn: false,
                "Under the bed and on the rack."
            ),
            new("Clothes, food, tools", LoadKind.Baggage, 110, new(2600, 500, 500), 70, TakenOut: false, IsIn: false, ""),
        ];

    private static Zone[] Zones =>
        [
            new("Glaze bench", ZoneKind.Bench, 1200, 1850, 230, 800, 0, 900),
            new("Throwing wheel", ZoneKind.Bench, 2430, 3030, -300, 300, 0, 550),
            new("Stove", ZoneKind.Stove, 3700, 4120, -760, -320, 0, 800),
            new("Bed", ZoneKind.Bed, 3050, 4250, -250, 800, 400, 650),
            new("Pot rack", ZoneKind.OverheadLocker, 300, 1100, 480, 820, 1400, 1850),
        ];

    private static Keyed<Fitting>[] Fittings =>
        [
            new("vent", TypicalFittings.Of(FittingKind.RoofVent)),
            new("skylight", TypicalFittings.Of(FittingKind.RoofSkylight)),
            new("flue", TypicalFittings.Of(FittingKind.Flue)),
            new("window", TypicalFittings.Of(FittingKind.HingedWindow)),
            new("glass", TypicalFittings.Of(FittingKind.BondedWindow)),
            new("grille", TypicalFittings.Of(FittingKind.Grille)),
        ];

    private static PanelRecord Roof =>
        PanelRecord.Of(
            new Panel(
                PanelKind.Roof,
                [new(0, -720), new(260, -HalfWidthMm), new(LengthMm, -HalfWidthMm), new(LengthMm, HalfWidthMm), new(260, HalfWidthMm), new(0, 720)],
                0.8,
                SkinMaterial.GalvanisedSteel,
                null,
                7000,
                Sections:
                [
                    new SurfaceSection(900, [new(-800, 46), new(-480, 17), new(-320, 8), new(0, 1), new(320, 8), new(480, 16), new(800, 45)]),
                    new SurfaceSection(2700, [new(-800, 47), new(-480, 18), new(-320, 7), new(0, 0), new(320, 7), new(480, 17), new(800, 47)]),
                ]
            ),
            [
                Along("Left cant rail", MemberKind.CantRail, 822, 56, 60, 260),
                Along("Right cant rail", MemberKind.CantRail, -822, 56, 60, 260),
                Bow("Bow 1", 590),
                Bow("Bow 2", 1195),
                Bow("Bow 3", 1800),
                Bow("Bow 4", 2405),
                Bow("Bow 5", 3059),
                Bow("Bow 6", 3630),
                new("Rear header", MemberKind.RoofBow, MemberRole.Structural, Strip(new(4240, -794), new(4240, 794), 120), 70),
                new("Wiring run", MemberKind.WiringRun, MemberRole.KeepOut, Strip(new(300, -779), new(4180, -779), 30), 20),
                .. new double[] { -560, -400, -240, -80, 80, 240, 400, 560 }.Select(
                    (t, i) => new Member($"Swage {i + 1}", MemberKind.Swage, MemberRole.Pressed, Strip(new(320, t), new(4080, t), 44), -8, 10)
                ),
            ],
            [
                Found(
                    "Seam open, rear left corner",
                    FindingKind.OpenSeam,
                    FindingShape.Line,
                    [new(4120, 838), new(4262, 838)],
                    ViewedFrom.Outside,
                    Severity.Severe,
                    new(140, null, null, null),
                    0,
                    "Old sealant lifts with a fingernail."
                ),
                Found(
                    "Aerial grommet perished",
                    FindingKind.MissingSeal,
                    FindingShape.Point,
                    [new(2560, 620)],
                    ViewedFrom.Outside,
                    Severity.Moderate,
                    new(22, null, null, null),
                    1,
                    "The aerial is gone, the hole is not."
                ),
                Found(
                    "Stain below bow 4",
                    FindingKind.Stain,
                    FindingShape.Area,
                    [new(2360, 700), new(2450, 700), new(2450, 790), new(2360, 790)],
                    ViewedFrom.Inside,
                    Severity.Moderate,
                    new(90, 90, null, null),
                    2,
                    "Wet after the night of rain with the nose down."
                ),
                Found(
                    "Hail dents",
                    FindingKind.Dent,
                    FindingShape.Area,
                    [new(1300, -480), new(2250, -480), new(2250, 480), new(1300, 480)],
                    ViewedFrom.Outside,
                    Severity.Minor,
                    new(25, null, 2, null),
                    0,
                    "About thirty, none through the paint."
                ),
            ],
            [
                Planned("Vent over the glaze bench", "vent", new PanelPoint(1497.5, 320), 0),
                Planned("Skylight over the throwing wheel", "skylight", new PanelPoint(2732, 0), 90, "Lining not chosen yet."),
                Planned("Stove flue", "flue", new PanelPoint(3910, -480), 0),
            ],
            WaterRecord.None with
            {
                Observations = [Rained(new(2400, -760), 3, false), Rained(new(1150, 780), 3, false)],
            },
            [
                new Joint(
                    "Seam at the rear left corner",
                    JointKind.Seam,
                    140,
                    Substrate.PaintedMetal,
                    Substrate.PaintedMetal,
                    3,
                    0.2,
                    true,
                    false,
                    false,
                    true,
                    false,
                    false,
                    new JointOf(JointOfKind.Finding, "finding-1"),
                    null,
                    [new JointEvent(new DateOnly(2019, 8, 3), JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", "a former owner")],
                    "Clear silicone, peels at one end."
                ),
                new Joint(
                    "Vent over the glaze bench: flange",
                    JointKind.RoofFlange,
                    1908.5,
                    Substrate.PaintedMetal,
                    Substrate.PlasticFrame,
                    3,
                    0,
                    false,
                    true,
                    false,
                    false,
                    false,
                    true,
                    new JointOf(JointOfKind.Opening, "opening-1"),
                    "product-1",
                    [],
                    ""
                ),
            ],
            floor: new FloorRecord(
                [],
                [],
                [],
                [
                    Ceiling("Ceiling over the bench", new PanelBox(60, 2340, -700, 700)),
                    Ceiling("Ceiling over the bed", new PanelBox(2345, 4180, -760, 760)),
                ]
            )
        );

    private static PanelRecord Left =>
        PanelRecord.Of(
            new Panel(PanelKind.Left, new PanelBox(0, LengthMm, 0, HeightMm).Corners, 0.8, SkinMaterial.GalvanisedSteel, null, 9000, TaperDeg: 0.4),
            [
                .. SideMembers([40, 880, 2180, 3560, 4255], [1530, 3910]),
                new("Lower seam", MemberKind.Seam, MemberRole.KeepOut, Strip(new(0, 560), new(LengthMm, 560), 24), 0),
            ],
            [
                Found(
                    "Two sign bolts through the skin",
                    FindingKind.OpenHole,
                    FindingShape.Line,
                    [new(1080, 1380), new(1680, 1380)],
                    ViewedFrom.Outside,
                    Severity.Moderate,
                    new(6, null, null, null),
                    1,
                    "Rust runs below both."
                ),
                Found(
                    "Rust behind the lower lining",
                    FindingKind.SurfaceRust,
                    FindingShape.Area,
                    [new(2250, 60), new(2900, 60), new(2900, 180), new(2250, 180)],
                    ViewedFrom.Inside,
                    Severity.Moderate,
                    new(650, 120, null, null),
                    3,
                    ""
                ),
            ],
            [Planned("Hinged window by the wheel", "window", new PanelPoint(2870, 1270), 0)],
            repairs:
            [
                Repair.At("Sign-bolt holes closed", RepairKind.Plug, FindingShape.Point, [new(1080, 1380), new(1680, 1380)]) with
                {
                    Holes = new HoleRow(6, 0.8, SheetMetal.MildSteel, true, false, null),
                    FindingIds = ["finding-1"],
                },
            ],
            water: WaterRecord.None with
            {
                Drains =
                [
                    .. new double[] { 700, 1900, 3100 }.Select(
                        (s, i) => new Drain($"Left sill drain {i + 1}", new(s, 12), i < 2 ? FirstDay : null, "")
                    ),
                ],
                Coverings =
                [
                    new Covering(
                        "Wool in the lower left side",
                        CoveringKind.Insulation,
                        new PanelBox(920, 2140, 20, 800),
                        false,
                        Lap.Unknown,
                        true,
                        "Bought already."
                    ),
                ],
            }
        );

    private static PanelRecord Right =>
        PanelRecord.Of(
            new Panel(PanelKind.Right, new PanelBox(0, LengthMm, 0, HeightMm).Corners, 0.8, SkinMaterial.GalvanisedSteel, null, 9000, TaperDeg: 0.4),
            [
                .. SideMembers([40, 880, 2160, 3330, 4255], [2740, 3820]),
                new(
                    "Filler neck",
                    MemberKind.FillerNeck,
                    MemberRole.KeepOut,
                    new Footprint(FootprintShape.Polygon, new PanelBox(560, 760, 420, 640).Corners),
                    200
                ),
                new("Sliding-door rail", MemberKind.SlidingDoorRail, MemberRole.KeepOut, Strip(new(880, 980), new(3300, 980), 44), 40),
            ],
            [
                Found(
                    "Sill drains cleared, 6 of 6",
                    FindingKind.BlockedDrain,
                    FindingShape.Line,
                    [new(900, 20), new(4200, 20)],
                    ViewedFrom.Outside,
                    Severity.Moderate,
                    new(null, null, null, null),
                    0,
                    "Leaf mould in all of them.",
                    FindingState.Done
                ),
            ],
            [Planned("Heater grille", "grille", new PanelPoint(3570, 420), 0)]
        );

    private static PanelRecord SlidingDoor =>
        PanelRecord.Of(
            new Panel(PanelKind.SlidingDoor, new PanelBox(900, 2140, 40, 1780).Corners, 0.8, SkinMaterial.GalvanisedSteel, null, 9000, SkinGapMm: 38),
            [
                new("Door frame, front", MemberKind.SideRib, MemberRole.Structural, Strip(new(935, 40), new(935, 1780), 70), 38),
                new("Door frame, rear", MemberKind.SideRib, MemberRole.Structural, Strip(new(2105, 40), new(2105, 1780), 70), 38),
                new("Lock rod", MemberKind.WiringRun, MemberRole.KeepOut, Strip(new(970, 760), new(2070, 760), 40), 30),
            ],
            [],
            [Planned("Glass in the sliding door", "glass", new PanelPoint(1520, 1270), 0)]
        );

    private static PanelRecord RearLeftDoor =>
        PanelRecord.Of(
            new Panel(PanelKind.RearLeftDoor, new PanelBox(0, HalfWidthMm, 0, HeightMm).Corners, 0.8, SkinMaterial.GalvanisedSteel, SkinGapMm: 32),
            [new("Door frame", MemberKind.SideRib, MemberRole.Secondary, Strip(new(0, 780), new(HalfWidthMm, 780), 50), 35)],
            [
                Found(
                    "Sealant cracked at the hinge",
                    FindingKind.CrackedSealant,
                    FindingShape.Line,
                    [new(835, 1500), new(835, 1720)],
                    ViewedFrom.Outside,
                    Severity.Minor,
                    new(220, null, null, null),
                    2,
                    ""
                ),
            ],
            [],
            WaterRecord.None with
            {
                SealReadings = [.. new double[] { 9, 8.5, 10.8, 9.5 }.Select((gap, i) => new SealReading(new(150 + (i * 200), 1945), gap, 12))],
            }
        );

    private static PanelRecord RearRightDoor =>
        PanelRecord.Of(
            new Panel(PanelKind.RearRightDoor, new PanelBox(-HalfWidthMm, 0, 0, HeightMm).Corners, 0.8, SkinMaterial.GalvanisedSteel, SkinGapMm: 32),
            [new("Door frame", MemberKind.SideRib, MemberRole.Secondary, Strip(new(-HalfWidthMm, 780), new(0, 780), 50), 35)],
            [],
            [],
            repairs:
            [
                Repair.At("Right rear door stands off", RepairKind.Door, FindingShape.Point, [new(-60, 950)]) with
                {
                    State = RepairState.Doing,
                    Door = new DoorFit(
                        14,
                        false,
                        false,
                        [
                            new DoorRound(DoorTurn.AsFound, null, LatchGaps(12.5, 15.5, 17.5, 16, 13)),
                            new DoorRound(DoorTurn.HingesAndLatch, null, LatchGaps(9, 12, 14, 12.5, 9.5)),
                            new DoorRound(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 950, 10), LatchGaps(9, 12, 14, 12.5, 9.5)),
                            new DoorRound(DoorTurn.Bend, new DoorPushed(DoorEdge.Latch, 950, 15), LatchGaps(9, 11.5, 12.5, 12, 9.5)),
                        ]
                    ),
                },
            ]
        );

    /// <summary>Gaps along the latch edge from below upwards, mm.</summary>
    private static DoorReading[] LatchGaps(params double[] gaps) =>
        [.. gaps.Select((gap, i) => new DoorReading(DoorEdge.Latch, 150 + (i * 400), gap))];

    private static PanelRecord Bulkhead =>
        PanelRecord.Of(
            new Panel(PanelKind.Bulkhead, new PanelBox(-HalfWidthMm, HalfWidthMm, 0, 1900).Corners, 1.0, SkinMaterial.MildSteel),
            [
                new(
                    "Belt anchorage",
                    MemberKind.Anchorage,
                    MemberRole.Structural,
                    new Footprint(FootprintShape.Polygon, new PanelBox(-780, -660, 900, 1020).Corners),
                    60
                ),
            ],
            [],
            []
        );

    private static PanelRecord Step =>
        PanelRecord.Of(
            new Panel(
                PanelKind.Step,
                new PanelBox(LengthMm, LengthMm + 230, -HalfWidthMm, HalfWidthMm).Corners,
                1.5,
                SkinMaterial.MildSteel,
                Name: "Rear step"
            ),
            [],
            [
                Found(
                    "Rusted through under the rear step",
                    FindingKind.Perforation,
                    FindingShape.Area,
                    [new(4380, 260), new(4440, 260), new(4440, 285), new(4380, 285)],
                    ViewedFrom.Inside,
                    Severity.Severe,
                    new(60, 25, null, null),
                    1,
                    "Both sides can be reached."
                ),
            ],
            [],
            repairs:
            [
                Repair.At(
                    "Patch under the rear step",
                    RepairKind.Patch,
                    FindingShape.Area,
                    [new(4380, 260), new(4440, 260), new(4440, 285), new(4380, 285)]
                ) with
                {
                    Spot = new RustSpot(RustGrade.ManyPits, true, 1.5, 1.2, 100, 60, false, false, true, true, []),
                    Patch = PatchDesign.Usual(1.5) with
                    {
                        Metal = SheetMetal.MildSteel,
                        // The step's seam lies at its front edge: the flange goes up behind the sheet that hangs over it.
                        Sides = [new PatchSide(Side.Front, null, 58, [new Fold(FoldTo.Outside, 90, 1.5, 18)])],
                    },
                    FindingIds = ["finding-1"],
                    Notes = "The flange tucks up under the seam of the step.",
                },
            ]
        );

    private static IEnumerable<Member> SideMembers(double[] pillarsMm, double[] ribsMm) =>
        [
            .. pillarsMm.Select(
                (s, i) => new Member($"Pillar {i + 1}", MemberKind.Pillar, MemberRole.Structural, Strip(new(s, 0), new(s, 1850), 75), 60)
            ),
            .. ribsMm.Select(
                (s, i) => new Member($"Rib {i + 1}", MemberKind.SideRib, MemberRole.Secondary, Strip(new(s, 140), new(s, 1850), 45), 45)
            ),
            new("Cant rail", MemberKind.CantRail, MemberRole.Structural, Strip(new(0, 1895), new(LengthMm, 1895), 90), 60),
            new("Body line", MemberKind.Swage, MemberRole.Pressed, Strip(new(60, 820), new(4240, 820), 36), 7, 10),
        ];

    private static Member Bow(string name, double s) => new(name, MemberKind.RoofBow, MemberRole.Secondary, Strip(new(s, -794), new(s, 794), 60), 40);

    private static Member Along(string name, MemberKind kind, double t, double widthMm, double depthMm, double fromMm) =>
        new(name, kind, Member.DefaultRole(kind), Strip(new(fromMm, t), new(LengthMm, t), widthMm), depthMm);

    private static Footprint Strip(PanelPoint from, PanelPoint to, double widthMm) => new(FootprintShape.Spine, [from, to], widthMm);

    private static Opening Planned(string name, string fitting, PanelPoint at, int turnDeg, string notes = "") =>
        new(name, fitting, at, turnDeg, null, Schools, OpeningState.Planned, null, notes);

    /// <summary>What was looked at after the night of rain.</summary>
    private static Observation Rained(PanelPoint at, int day, bool wet) =>
        new(ObservationKind.Rain, at, FirstDay.AddDays(day), wet, null, WindFrom.Rear, null, null, null, "Ida", "");

    private static Finding Found(
        string name,
        FindingKind kind,
        FindingShape shape,
        PanelPoint[] points,
        ViewedFrom seen,
        Severity severity,
        FindingMeasures measures,
        int day,
        string notes,
        FindingState state = FindingState.Open
    ) => new(name, kind, shape, points, seen, severity, measures, state, "Ida", FirstDay.AddDays(day), notes);
}
