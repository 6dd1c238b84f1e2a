using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;

namespace Abri.Server.Demo;

/// <summary>The floor of the Heron, and its ceilings.</summary>
internal static partial class Heron
{
    private static PanelRecord Floor =>
        PanelRecord.Of(
            new Panel(PanelKind.Floor, new PanelBox(0, LengthMm, -HalfWidthMm, HalfWidthMm).Corners, 1.0, SkinMaterial.MildSteel),
            [
                .. new double[] { 350, 1000, 1650, 2300, 2950, 3600, 4200 }.Select(
                    (s, i) =>
                        new Member(
                            $"Bearer {i + 1}",
                            MemberKind.Bearer,
                            MemberRole.Structural,
                            Strip(new(s, -HalfWidthMm), new(s, HalfWidthMm), 60),
                            60
                        )
                ),
            ],
            [
                Found(
                    "Soft board by the side door",
                    FindingKind.SoftWood,
                    FindingShape.Area,
                    [new(1180, -830), new(1590, -830), new(1590, -530), new(1180, -530)],
                    ViewedFrom.Inside,
                    Severity.Severe,
                    new(410, 300, null, 31),
                    0,
                    "An awl goes in to the handle."
                ),
            ],
            [],
            WaterRecord.None with
            {
                Observations =
                [
                    .. new (int Day, double Percent)[] { (1, 31), (4, 30.5), (8, 31.5) }.Select(m => new Observation(
                        ObservationKind.Moisture,
                        new(1380, -680),
                        FirstDay.AddDays(m.Day),
                        null,
                        m.Percent,
                        null,
                        null,
                        null,
                        null,
                        "Ida",
                        ""
                    )),
                ],
            },
            floor: new FloorRecord(
                [
                    Tapped(1050, -680, WoodState.Sound, 13),
                    Tapped(1200, -780, WoodState.Soft, 30),
                    Tapped(1380, -680, WoodState.Through, 31),
                    Tapped(1560, -760, WoodState.Soft, 27),
                    Tapped(1550, -560, WoodState.Spongy, 22),
                    Tapped(1240, -560, WoodState.Spongy, 21),
                    Tapped(1380, -430, WoodState.Sound, 15),
                    Tapped(1720, -700, WoodState.Sound, 14),
                    Tapped(1380, -100, WoodState.Sound, 11),
                    Tapped(2400, -600, WoodState.Sound, 11),
                ],
                [
                    new Board(
                        "Front sheet",
                        new PanelBox(0, 2300, -HalfWidthMm, HalfWidthMm).Corners,
                        BoardMaterial.SoftwoodPly,
                        15,
                        Grain.Lengthways,
                        ""
                    ),
                    new Board(
                        "Rear sheet",
                        new PanelBox(2300, LengthMm, -HalfWidthMm, HalfWidthMm).Corners,
                        BoardMaterial.SoftwoodPly,
                        15,
                        Grain.Lengthways,
                        ""
                    ),
                ],
                [
                    new Replacement(
                        "Soft board by the side door",
                        [new(1180, -830), new(1590, -830), new(1590, -530), new(1180, -530)],
                        Replacement.UsualMarginMm,
                        NewSheet.Usual(BoardMaterial.BirchPly, 15),
                        ReplacementState.Planned,
                        null,
                        ["finding-1"],
                        ""
                    ),
                ]
            )
        );

    private static Probe Tapped(double s, double t, WoodState wood, double moisture) =>
        new(ProbeOf.Board, new PanelPoint(s, t), wood, moisture, FirstDay.AddDays(1), "");

    private static Lining Ceiling(string name, PanelBox at) =>
        new(
            name,
            at.Corners,
            NewSheet.Usual(BoardMaterial.BirchPly, 6),
            Grain.Lengthways,
            45,
            LiningLies.Bent,
            Lining.UsualUndersizeMm,
            LiningState.Planned,
            ""
        );
}
