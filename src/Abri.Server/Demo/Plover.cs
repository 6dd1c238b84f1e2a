using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Load;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Shell.Presets;

namespace Abri.Server.Demo;

/// <summary>The second demo vehicle, all invented: an exhibition box trailer on a timber frame, becoming a birdwatching hide.</summary>
internal static class Plover
{
    private static readonly Schools Schools = new(RibInTheWay.CutSecondary, CutSize.WasteSide);
    private static readonly DateTimeOffset FirstDay = new(2026, 5, 2, 14, 0, 0, TimeSpan.Zero);

    /// <summary>Everything on it.</summary>
    public static VehicleRecord Record { get; } =
        new(
            new Vehicle(
                "Plover",
                VehicleKind.BoxTrailer,
                1998,
                "Exhibition box trailer, aluminium skin on a timber frame. Becoming a birdwatching hide.",
                UnitSystem.Inch,
                16,
                Schools,
                Vehicle.UsualMarkerOffsetMm,
                "Europe/London",
                new Place(54.6, -3.5),
                new Masses(640, 1300, 100, 1300, 2300, 45, -720, 1650, 900, 520),
                new Attitude(0, 0)
            ),
            [new("Bench", ZoneKind.Bench, 700, 2300, -950, -520, 0, 450), new("Spotting shelf", ZoneKind.Bench, 700, 2300, -950, -700, 900, 940)],
            [
                new Keyed<Fitting>(
                    "hatch",
                    new Fitting(
                        "Viewing hatch 900 x 400",
                        FittingKind.Hatch,
                        new RoundedRectangle(900, 400, 0),
                        2,
                        4,
                        new RoundedRectangle(890, 390, 0),
                        new RoundedRectangle(980, 480, 5),
                        30,
                        PerSide.All(10),
                        8,
                        false,
                        Side.Top,
                        new PerSide(0, 0, 0, 380),
                        3,
                        6,
                        null,
                        null
                    )
                ),
            ],
            [
                .. ShellPresets
                    .All.Single(p => p.Key == "box-trailer")
                    .Panels.Select(p =>
                        PanelRecord.Of(
                            p.Panel,
                            p.Members,
                            Found(p.Panel.Kind),
                            Planned(p.Panel.Kind),
                            repairs: Repairs(p.Panel.Kind),
                            floor: Wood(p.Panel.Kind)
                        )
                    ),
            ],
            Load: new LoadRecord(
                [
                    new("Bench and spotting shelf", LoadKind.Fixed, 34, new(1500, -720, 500), 100, TakenOut: false, IsIn: false, ""),
                    new(
                        "Batteries",
                        LoadKind.Fixed,
                        52,
                        new(2700, 600, 200),
                        100,
                        TakenOut: false,
                        IsIn: false,
                        "By the rear doors, where they are reached."
                    ),
                    new("Scopes, tripods, folding chairs", LoadKind.Baggage, 45, new(1900, 0, 300), 100, TakenOut: false, IsIn: false, ""),
                ],
                []
            )
        );

    private static Repair[]? Repairs(PanelKind panel) =>
        panel == PanelKind.Roof
            ?
            [
                Repair.At("Edge strip, left side", RepairKind.Trim, FindingShape.Line, [new(300, 945), new(2700, 945)]) with
                {
                    WidthMm = 25,
                    Trim = new TrimRun(TrimHeld.Screws, 150, 25),
                    FindingIds = ["finding-1"],
                    Notes = "The old strip is straight and goes on again.",
                },
            ]
            : null;

    /// <summary>The front bearer, probed from below until the awl stops.</summary>
    private static FloorRecord? Wood(PanelKind panel) =>
        panel == PanelKind.Floor
            ? new FloorRecord(
                [
                    .. new (double T, WoodState Wood, double Percent)[]
                    {
                        (920, WoodState.Through, 34),
                        (650, WoodState.Soft, 30),
                        (300, WoodState.Spongy, 22),
                        (120, WoodState.Sound, 15),
                        (-200, WoodState.Sound, 13),
                        (-800, WoodState.Sound, 12),
                    }.Select(p => new Probe(ProbeOf.Member, new PanelPoint(30, p.T), p.Wood, p.Percent, FirstDay, "")),
                    new Probe(ProbeOf.Board, new PanelPoint(60, 800), WoodState.Spongy, 24, FirstDay, ""),
                    new Probe(ProbeOf.Board, new PanelPoint(60, 300), WoodState.Sound, 15, FirstDay, ""),
                    new Probe(ProbeOf.Board, new PanelPoint(380, 800), WoodState.Sound, 13, FirstDay, ""),
                ],
                [
                    new Board(
                        "Deck",
                        new PanelBox(0, 3000, -950, 950).Corners,
                        BoardMaterial.SoftwoodPly,
                        12.7,
                        Grain.Lengthways,
                        "Old sheets of 1/2 inch, joints under the covering."
                    ),
                ],
                [
                    new Replacement(
                        "Front bearer and the deck over it",
                        new PanelBox(0, 120, 700, 950).Corners,
                        Replacement.UsualMarginMm,
                        NewSheet.Usual(BoardMaterial.SoftwoodPly, 12.7, UnitSystem.Inch),
                        ReplacementState.Planned,
                        null,
                        ["finding-1"],
                        ""
                    ),
                ]
            )
            : null;

    private static Finding[] Found(PanelKind panel) =>
        panel switch
        {
            PanelKind.Roof =>
            [
                At(
                    "Edge strip let go, left side",
                    FindingKind.CrackedSealant,
                    FindingShape.Line,
                    [new(300, 945), new(2700, 945)],
                    ViewedFrom.Outside,
                    Severity.Severe,
                    new(2400, null, null, null),
                    0,
                    "The strip can be lifted off by hand."
                ),
                At(
                    "Water stands at the middle joist",
                    FindingKind.StandingWater,
                    FindingShape.Area,
                    [new(1300, -250), new(1700, -250), new(1700, 250), new(1300, 250)],
                    ViewedFrom.Outside,
                    Severity.Moderate,
                    new(400, 500, 6, null),
                    1,
                    ""
                ),
            ],
            PanelKind.Floor =>
            [
                At(
                    "Soft front bearer",
                    FindingKind.SoftWood,
                    FindingShape.Line,
                    [new(30, 200), new(30, 950)],
                    ViewedFrom.Outside,
                    Severity.Severe,
                    new(750, 60, null, 34),
                    0,
                    "The left end crumbles."
                ),
            ],
            PanelKind.Left =>
            [
                At(
                    "Damp behind the ply, front corner",
                    FindingKind.DampInsulation,
                    FindingShape.Area,
                    [new(70, 60), new(460, 60), new(460, 700), new(70, 700)],
                    ViewedFrom.Inside,
                    Severity.Moderate,
                    new(390, 640, null, 26),
                    1,
                    ""
                ),
            ],
            _ => [],
        };

    private static Opening[] Planned(PanelKind panel) =>
        panel == PanelKind.Right
            ?
            [
                new Opening(
                    "Viewing hatch",
                    "hatch",
                    new PanelPoint(1250, 1150),
                    0,
                    null,
                    Schools,
                    OpeningState.Planned,
                    null,
                    "Seen over from the bench."
                ),
            ]
            : [];

    private static Finding At(
        string name,
        FindingKind kind,
        FindingShape shape,
        PanelPoint[] points,
        ViewedFrom seen,
        Severity severity,
        FindingMeasures measures,
        int day,
        string notes
    ) => new(name, kind, shape, points, seen, severity, measures, FindingState.Open, "Tam", FirstDay.AddDays(day), notes);
}
